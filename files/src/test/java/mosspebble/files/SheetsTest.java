package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.awt.geom.Point2D;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.TreeSet;
import mosspebble.core.plan.Untested;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Paint;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.words.StepWords;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Millimetres;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.io.WKTReader;

class SheetsTest {

    private static final Studio STUDIO = WalkPlans.STUDIO;

    @TempDir
    private Path folder;

    private static PaintPlan plan(Project project) {
        return WalkPlans.of(project);
    }

    private static PaintPlan plan(String id) {
        return WalkPlans.of(id);
    }

    @ParameterizedTest
    @EnumSource(Paper.class)
    @Tag("outside") // the PDF read back with PDFBox: 1 in = 72 pt = 25.4 mm exactly
    void theScaleBarIs100MmAndTheStoneItsTrueSize(Paper paper) throws Exception {
        Path file = folder.resolve("s.pdf");
        assertThat(Sheets.write(plan("owl"), paper, LengthUnit.MM, file, (f, what) -> true)).isTrue();

        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            PDPage page = document.getPage(0);
            assertThat(page.getMediaBox().getWidth() / 72 * 25.4).isCloseTo(paper.widthMm(), within(0.01));
            assertThat(page.getMediaBox().getHeight() / 72 * 25.4).isCloseTo(paper.heightMm(), within(0.01));
            Lines lines = new Lines(page);
            assertThat(lines.horizontals).as("a line of exactly 100 mm").anySatisfy(mm -> assertThat(mm).isCloseTo(100.0, within(0.02)));
            assertThat(lines.widest).as("outline 74 mm wide").isCloseTo(74, within(0.1));
            assertThat(lines.highest).as("and 96 mm high").isCloseTo(96, within(0.1));
            assertThat(document.getDocumentCatalog().getViewerPreferences().getPrintScaling()).isEqualTo("None");
            assertThat(new PDFTextStripper().getText(document)).contains("Owl keeping a lamp")
                    .contains("The upper bar is 100 mm, the lower 4 inches")
                    .contains("Wash and dry the stone").contains("Seal");
        }
    }

    @ParameterizedTest
    @EnumSource(Paper.class)
    @Tag("outside") // paper sizes: ISO 216 and US Letter as the JDK has them, see the file's head; the card read back with PDFBox
    void paperAndScaleCardHaveTheirTrueSize(Paper paper) throws Exception {
        String table;
        try (var in = SheetsTest.class.getResourceAsStream("paper_sizes.csv")) {
            table = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        String[] row = table.lines().filter(l -> l.startsWith(paper == Paper.A4 ? "A4," : "LETTER,")).findFirst().orElseThrow().split(",");
        assertThat(paper.widthMm()).isEqualTo(Double.parseDouble(row[1]));
        assertThat(paper.heightMm()).isEqualTo(Double.parseDouble(row[2]));

        Path file = folder.resolve("card.pdf");
        ScaleCardSheet.write(paper, file);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            Lines lines = new Lines(document.getPage(0));
            assertThat(lines.horizontals).as("the card's ruler").anySatisfy(mm -> assertThat(mm).isCloseTo(50.0, within(0.02)));
            assertThat(lines.squares.stream().filter(mm -> Math.abs(mm - 18) < 0.02).count()).as("four marks on each of two cards")
                    .isEqualTo(8);
            assertThat(document.getDocumentCatalog().getViewerPreferences().getPrintScaling()).isEqualTo("None");
        }
    }

    @ParameterizedTest
    @EnumSource(Paper.class)
    void noWordPassesTheEdgeOfThePaperOrTheSwatch(Paper paper) throws Exception {
        Project owl = WalkPlans.stone("owl").withName("W".repeat(78) + " W", "");
        PaintPlan plan = plan(owl);
        Path file = folder.resolve("wide.pdf");
        Sheets.write(plan, paper, LengthUnit.MM, file, (fraction, what) -> true);
        List<Double> rights = new ArrayList<>();
        List<Double> titles = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            new PDFTextStripper() {
                @Override
                protected void processTextPosition(TextPosition letter) {
                    double right = (letter.getXDirAdj() + letter.getWidthDirAdj()) / 72 * 25.4;
                    rights.add(right);
                    if (letter.getFontSizeInPt() > 12.5 && letter.getFontSizeInPt() < 13.5) {
                        titles.add(right);
                    }
                }
            }.getText(document);
        }
        assertThat(rights).isNotEmpty().allMatch(mm -> mm <= paper.widthMm() - 9.5, "stays on the paper");
        assertThat(titles).isNotEmpty().allMatch(mm -> mm <= paper.widthMm() - 10 - 9, "stays off the swatch");
    }

    @ParameterizedTest
    @EnumSource(Paper.class)
    void aStepOfManyWordsHasRoomForAllOfThem(Paper paper) throws Exception {
        PaintPlan plan = plan("harbour");
        Path file = folder.resolve("long.pdf");
        Sheets.write(plan, paper, LengthUnit.MM, file, (fraction, what) -> true);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            for (int number = 1; number <= document.getNumberOfPages(); number++) {
                TreeSet<Double> baselines = new TreeSet<>();
                PDFTextStripper page = new PDFTextStripper() {
                    @Override
                    protected void processTextPosition(TextPosition letter) {
                        if (letter.getXDirAdj() / 72 * 25.4 > 60) {
                            baselines.add(Math.round(letter.getYDirAdj() / 72 * 254) / 10.0);
                        }
                    }
                };
                page.setStartPage(number);
                page.setEndPage(number);
                page.getText(document);
                for (Double line : baselines) {
                    assertThat(baselines.higher(line) == null || baselines.higher(line) - line >= 3.5).as("page %s at %s mm", number, line)
                            .isTrue();
                }
                assertThat(baselines.isEmpty() || baselines.last() < paper.heightMm() - 8).isTrue();
            }
            String all = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            for (Step step : plan.steps()) {
                assertThat(all).contains(StepWords.sentence(step)).contains(StepWords.reason(step));
            }
        }
    }

    @ParameterizedTest
    @EnumSource(Paper.class)
    void theTestSheetHasAFieldForEachPairAndAsManyPagesAsItTakes(Paper paper) throws Exception {
        List<Paint> pens = STUDIO.shelf().that(PaintKind.Use.HAS_NIB);
        Paint sealer = STUDIO.shelf().find("varnish").orElseThrow();
        List<Untested.Pair> pairs = new ArrayList<>();
        for (int i = 0; i < 15; i++) {
            pairs.add(new Untested.Pair(pens.get(i % pens.size()), sealer));
        }
        Path file = folder.resolve("tests.pdf");
        SmearSheet.write(pairs, paper, file);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
            String text = new PDFTextStripper().getText(document);
            assertThat(text).contains("Five-minute smear test").contains("After five minutes").contains("under gloss varnish");
            assertThat(text.split("smears", -1)).as("one box for it in each row").hasSize(16);
            assertThat(pens).allSatisfy(p -> assertThat(text).contains(p.name()));
        }
    }

    /** Horizontal strokes and the largest closed outline of a page, mm. */
    private static final class Lines extends PDFGraphicsStreamEngine {
        final List<Double> horizontals = new ArrayList<>();
        final List<Double> squares = new ArrayList<>();
        double widest;
        double highest;
        private final List<Point2D> path = new ArrayList<>();

        Lines(PDPage page) throws Exception {
            super(page);
            processPage(page);
        }

        @Override
        public void strokePath() {
            double minX = path.stream().mapToDouble(Point2D::getX).min().orElse(0);
            double maxX = path.stream().mapToDouble(Point2D::getX).max().orElse(0);
            double minY = path.stream().mapToDouble(Point2D::getY).min().orElse(0);
            double maxY = path.stream().mapToDouble(Point2D::getY).max().orElse(0);
            double mm = 25.4 / 72;
            if (path.size() == 2 && maxY == minY) {
                horizontals.add((maxX - minX) * mm);
            } else if (path.size() > 300) {
                widest = Math.max(widest, (maxX - minX) * mm);
                highest = Math.max(highest, (maxY - minY) * mm);
            }
            path.clear();
        }

        @Override
        public void moveTo(float x, float y) {
            path.add(new Point2D.Float(x, y));
        }

        @Override
        public void lineTo(float x, float y) {
            path.add(new Point2D.Float(x, y));
        }

        @Override
        public void endPath() {
            path.clear();
        }

        @Override
        public void fillPath(int rule) {
            path.clear();
        }

        @Override
        public Point2D getCurrentPoint() {
            return path.isEmpty() ? new Point2D.Float() : path.get(path.size() - 1);
        }

        @Override
        public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {
            double wide = Math.abs(c.getX() - a.getX()) * 25.4 / 72;
            double high = Math.abs(c.getY() - a.getY()) * 25.4 / 72;
            if (Math.abs(wide - high) < 0.01) {
                squares.add(wide);
            }
        }

        @Override
        public void drawImage(PDImage image) {}

        @Override
        public void clip(int rule) {}

        @Override
        public void curveTo(float a, float b, float c, float d, float e, float f) {}

        @Override
        public void closePath() {}

        @Override
        public void fillAndStrokePath(int rule) {}

        @Override
        public void shadingFill(COSName name) {}
    }

    @Test
    void aStoneLargerThanThePaperGoesOverSeveralPages() throws Exception {
        Project project = STUDIO.project("lettering").orElseThrow();
        Project large = project.withStone(project.stone().withSize(new Millimetres(390), new Millimetres(205), new Millimetres(60)));
        Path file = folder.resolve("large.pdf");

        Sheets.Layout guides = new Sheets.Layout(Sheets.Cards.NONE, false, false);
        Sheets.write(plan(large), Paper.A4, LengthUnit.MM, guides, file, (f, what) -> true);

        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            PDFTextStripper words = new PDFTextStripper();
            assertThat(words.getText(document)).contains("part 1 of 3").contains("part 3 of 3");
            words.setEndPage(3);
            List<String> joins = Pattern.compile("[1-9][abcd]").matcher(words.getText(document)).results().map(MatchResult::group).sorted()
                    .toList();
            assertThat(joins).as("each join is marked on both its pages").containsExactly("1a", "1a", "1b", "1b", "2a", "2a", "2b", "2b");
        }
    }

    @Test
    void bothFacesAndTheEdgeGoToPaperAndToJson() throws Exception {
        PaintPlan both = plan("window");
        Path file = folder.resolve("both.pdf");
        Sheets.write(both, Paper.A4, LengthUnit.MM, file, (f, what) -> true);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            assertThat(new PDFTextStripper().getText(document)).containsSubsequence("Front. Guide at true size", "Front. Guide unrolled",
                    "Back. Guide at true size", "Back. Guide unrolled", "Chalk the design on the back", "the band round the edge");
        }
        PlanJson.write(both, folder.resolve("both.json"));
        JsonNode root = new ObjectMapper().readTree(folder.resolve("both.json").toFile());
        assertThat(root.path("stone").path("up").asText()).isEqualTo("front");
        assertThat(root.path("stone").path("edge").path("lengthMm").asDouble()).isCloseTo(
                new WKTReader().read(root.path("stone").path("outline").asText()).getLength(), org.assertj.core.api.Assertions.within(1.0));
        List<String> sides = new ArrayList<>();
        root.path("steps").forEach(step -> sides.add(step.path("side").asText()));
        assertThat(sides).contains("front", "back", "edge");
        assertThat(root.path("findings")).isNotEmpty().allMatch(f -> !f.path("code").asText().isEmpty() && f.path("facts").isObject());
    }

    @Test
    void stoppingLeavesNothingBehind() throws Exception {
        assertThat(Sheets.write(plan("owl"), Paper.A4, LengthUnit.MM, folder.resolve("s.pdf"), (f, what) -> f < 0.2)).isFalse();
        assertThat(folder).isEmptyDirectory();
    }

    @Test
    void whatCannotBeWrittenIsSaidAndLeavesNoHalfFile() throws Exception {
        Path blocked = folder.resolve("blocked");
        Files.writeString(blocked, "x");

        assertThatThrownBy(() -> PlanJson.write(plan("owl"), blocked.resolve("p.json"))).isInstanceOf(FileTrouble.class)
                .hasMessageContaining("could not be written");
        assertThatThrownBy(() -> Sheets.write(plan("owl"), Paper.A4, LengthUnit.MM, blocked.resolve("s.pdf"), (f, what) -> true))
                .isInstanceOf(FileTrouble.class);
        Path full = Path.of("/dev/full");
        if (Files.exists(full)) { // a disk that is always full: writing through it fails at the first flush
            assertThatThrownBy(() -> SafeWrite.write(folder.resolve("f"), out -> {
                try (var device = Files.newOutputStream(full)) {
                    device.write(new byte[100_000]);
                }
            })).isInstanceOf(FileTrouble.class).hasMessageContaining("nothing is left half done");
        }
        assertThat(folder.toFile().list()).containsExactly("blocked");
    }

    @Test
    void thePlanAsJsonTellsStepsTimesAndPlaces() throws Exception {
        PaintPlan plan = plan("harbour");
        PlanJson.write(plan, folder.resolve("p.json"));

        JsonNode root = new ObjectMapper().readTree(folder.resolve("p.json").toFile());
        assertThat(root.path("format").asText()).isEqualTo("moss-pebble-plan");
        assertThat(root.path("steps")).hasSize(plan.steps().size());
        assertThat(root.path("project").path("stone").path("length").asDouble()).isEqualTo(148);
        assertThat(root.path("readyAfterMin").asDouble()).isCloseTo(plan.readyAfter().toSeconds() / 60.0, within(0.01));
        double end = 0;
        for (JsonNode step : root.path("steps")) {
            assertThat(step.path("startMin").asDouble()).isGreaterThanOrEqualTo(end - 0.011);
            end = step.path("endMin").asDouble();
            for (JsonNode after : step.path("after")) {
                assertThat(after.path("step").asInt()).isLessThan(step.path("number").asInt());
            }
            if (step.has("place")) {
                assertThat(new WKTReader().read(step.path("place").asText()).getArea()).isPositive();
            }
        }
        List<JsonNode> wet = new ArrayList<>();
        root.path("steps").forEach(step -> {
            if (step.has("wet")) {
                wet.add(step);
            }
        });
        assertThat(wet).as("the sky is worked wet into wet, in one pass of several loads").isNotEmpty()
                .allMatch(s -> s.path("loads").size() > 2 && s.path("loads").path(0).path("mix").path("parts").size() > 0);
        assertThat(wet.get(0).path("wet").path("workMin").asDouble()).as("mixed before the clock starts").isPositive()
                .isLessThan(wet.get(0).path("handMin").asDouble());
        for (JsonNode step : root.path("steps")) {
            if (step.has("coat")) {
                assertThat(step.path("coats").asInt()).as("a pass is one coat").isEqualTo(1);
                assertThat(step.path("coat").asInt()).isBetween(1, step.path("ofCoats").asInt());
                assertThat(step.path("on").size()).isPositive();
            }
        }
        assertThat(root.path("project").path("sides").path("up").path("blends").path("night").path("kind").asText()).isEqualTo("GRADIENT");
        List<String> keys = new ArrayList<>();
        root.path("steps").forEach(step -> keys.add(step.path("key").asText()));
        assertThat(keys).doesNotHaveDuplicates().doesNotContain("");
    }
}
