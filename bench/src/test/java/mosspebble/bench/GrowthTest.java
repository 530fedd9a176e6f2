package mosspebble.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

class GrowthTest {

    private static final Growth.Series LINEAR = new Growth.Series("Evenly", "stones", new int[] {10, 20, 40},
            new double[] {0.01, 0.02, 0.04});
    private static final Growth.Series SQUARE = new Growth.Series("Ever more", "parts", new int[] {10, 20, 40}, new double[] {0.5, 2, 8});

    private static List<Element> all(Document svg, String name) {
        NodeList found = svg.getElementsByTagName(name);
        List<Element> all = new ArrayList<>();
        for (int i = 0; i < found.getLength(); i++) {
            all.add((Element) found.item(i));
        }
        return all;
    }

    private static double[][] places(Element path) {
        return Stream.of(path.getAttribute("d").substring(1).split("L"))
                .map(p -> Stream.of(p.split(" ")).mapToDouble(Double::parseDouble).toArray()).toArray(double[][]::new);
    }

    /** 40 log 40 over 10 log 10 is 4 times 1.602. */
    @Test
    void growthIsTheRatioOfTheEnds() {
        assertThat(LINEAR.grown()).isEqualTo(4, within(1e-12));
        assertThat(SQUARE.grown()).isEqualTo(16, within(1e-12));
        assertThat(SQUARE.byNLogN()).isEqualTo(4 * 1.60206, within(1e-4));
    }

    /** Else the smallest size pays for all that runs for the first time. */
    @Test
    void theSmallestIsMeasuredAfterAllSizesHaveBeenRunThrough() {
        List<Integer> ran = new ArrayList<>();
        Figures figures = new Figures(new PrintStream(OutputStream.nullOutputStream()), List.of());
        figures.begin("growth");
        Growth.series(figures, "Work", "things", new int[] {2, 3, 4}, size -> () -> ran.addAll(Collections.nCopies(10_000, size)));

        assertThat(ran.stream().filter(i -> i == 2).count()).as("once before, once more and three times measured").isEqualTo(5 * 10_000);
        assertThat(IntStream.range(0, 4).mapToObj(i -> ran.get(10_000 * i))).containsExactly(4, 3, 2, 2);
    }

    @Test
    void itIsDrawnInPowersBesideItsGuides() throws Exception {
        Document svg = DocumentBuilderFactory.newInstance().newDocumentBuilder()
                .parse(new ByteArrayInputStream(Growth.svg(List.of(LINEAR, SQUARE)).getBytes(StandardCharsets.UTF_8)));
        assertThat(all(svg, "circle")).hasSize(6);
        assertThat(all(svg, "text")).extracting(Element::getTextContent)
                .contains("Evenly", "stones", "10", "40", "10.0 ms", "40.0 ms", "500 ms", "8.0 s");
        List<double[][]> lines = all(svg, "path").stream().filter(p -> p.getAttribute("d").contains("L")).map(GrowthTest::places).toList();
        assertThat(lines).as("n log n, n², and what was measured, for each of two").hasSize(6);
        double[][] square = lines.get(1);
        double[][] linear = lines.get(2);
        for (int i = 0; i < 3; i++) { // a power is a straight line, and half the power half as steep
            assertThat(linear[i][0]).isEqualTo(square[i][0]);
            assertThat(linear[0][1] - linear[i][1]).isEqualTo((square[0][1] - square[i][1]) / 2, within(0.11));
            assertThat(lines.get(5)[i][1]).as("what grows as the square lies on its guide").isEqualTo(lines.get(4)[i][1], within(0.11));
        }
        assertThat(linear[1][1] - linear[2][1]).isEqualTo(linear[0][1] - linear[1][1], within(0.11)).isPositive();
        double nLogN = lines.get(0)[2][1];
        assertThat(nLogN).as("between both").isBetween(square[2][1], linear[2][1]);
    }
}
