package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Scanner;
import javax.xml.parsers.DocumentBuilderFactory;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/** The design as SVG, read back by an XML parser and measured by the shoelace formula. */
class DesignSvgTest {

    @TempDir
    private Path folder;

    @Test
    @Tag("outside") // SVG 1.1, 7.8 and 8.3: a viewBox as wide in units as the picture in mm makes a unit a millimetre; M, L and Z
    void thePictureIsInTrueMillimetresAndEveryPartKeepsItsArea() throws Exception {
        PaintPlan plan = WalkPlans.of("owl");
        Path file = folder.resolve("owl.svg");
        DesignSvg.write(plan, file);

        Document document = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(file.toFile());
        Element svg = document.getDocumentElement();
        String[] box = svg.getAttribute("viewBox").split(" ");
        assertThat(svg.getAttribute("width")).isEqualTo(box[2] + "mm");
        assertThat(svg.getAttribute("height")).isEqualTo(box[3] + "mm");
        double longer = Math.max(Double.parseDouble(box[2]), Double.parseDouble(box[3]));
        assertThat(longer).as("96 mm of stone and 2 mm of margin at both ends").isCloseTo(100, within(0.6));

        NodeList paths = document.getElementsByTagName("path");
        List<Double> areas = new ArrayList<>();
        List<String> fills = new ArrayList<>();
        for (int i = 0; i < paths.getLength(); i++) {
            Element path = (Element) paths.item(i);
            areas.add(area(path.getAttribute("d")));
            fills.add(path.getAttribute("fill"));
        }
        assertThat(areas.get(0)).isCloseTo(plan.survey().zones().outline().getArea(), within(0.5));
        List<PlacedPart> parts = plan.design().orElseThrow().parts().stream().filter(p -> p.part().role() != Role.GUIDE)
                .filter(p -> p.painted().getArea() > 0).toList();
        assertThat(areas).hasSize(parts.size() + 1);
        for (int i = 0; i < parts.size(); i++) {
            double area = parts.get(i).painted().getArea();
            assertThat(areas.get(i + 1)).as(parts.get(i).part().title()).isCloseTo(area, within(0.02 + 0.002 * area));
        }
        assertThat(fills.stream().distinct()).as("colours as they are mixed").hasSizeGreaterThan(6).doesNotContain("#808080");
    }

    /** Area of all rings by the shoelace formula; holes turn the other way round. */
    private static double area(String d) {
        double sum = 0;
        for (String ring : d.split("Z")) {
            List<double[]> points = new ArrayList<>();
            try (Scanner numbers = new Scanner(ring.replace('M', ' ').replace('L', ' '))) {
                numbers.useLocale(java.util.Locale.ROOT);
                while (numbers.hasNextDouble()) {
                    points.add(new double[] {numbers.nextDouble(), numbers.nextDouble()});
                }
            }
            for (int i = 0; i < points.size(); i++) {
                double[] a = points.get(i);
                double[] b = points.get((i + 1) % points.size());
                sum += (a[0] * b[1] - b[0] * a[1]) / 2;
            }
        }
        return Math.abs(sum);
    }

    @Test
    void theTemplateIsCutFromTheInsideOutAndRefusedWhereNothingWouldBeLeft() throws Exception {
        PaintPlan plan = WalkPlans.of("lettering");
        Path file = folder.resolve("template.svg");
        DesignSvg.writeStencil(plan, file);

        NodeList paths = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(file.toFile()).getElementsByTagName("path");
        List<Double> areas = new ArrayList<>();
        for (int i = 0; i < paths.getLength(); i++) {
            areas.add(area(((Element) paths.item(i)).getAttribute("d")));
            assertThat(((Element) paths.item(i)).getAttribute("fill")).isEqualTo("none");
        }
        assertThat(areas).as("one or more for each letter, and the edge").hasSizeGreaterThan(10)
                .isSortedAccordingTo((a, b) -> Math.abs(a - b) < 0.1 ? 0 : Double.compare(a, b)); // rounded to a thousandth of a mm
        assertThat(areas.get(areas.size() - 1)).as("the sheet is larger than the stone")
                .isGreaterThan(plan.survey().zones().outline().getArea());

        PaintPlan whole = WalkPlans.of("harbour");
        Path none = folder.resolve("none.svg");
        assertThatThrownBy(() -> DesignSvg.writeStencil(whole, none)).isInstanceOf(FileTrouble.class)
                .hasMessageContaining("covers the whole stone");
        assertThat(none).doesNotExist();
    }
}
