package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Font;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Shelf;
import mosspebble.core.sketch.Motif;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.awt.ShapeReader;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.GeometryFixer;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/** Small files that cost much, and how areas are made of what files hold. */
class HostileFilesTest {

    private static final String HEAD = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 100 100\" data-motif=\"kite\" "
            + "data-title=\"Kite\" data-slots=\"a: Colour: #886644\">";

    @TempDir
    private Path folder;

    private static Motif motif(String inside) throws FileTrouble {
        return MotifReader.read(new ByteArrayInputStream((HEAD + inside + "</svg>").getBytes(StandardCharsets.UTF_8)), "kite.svg");
    }

    private static String part(String id, String data) {
        return "<path data-part=\"" + id + "\" data-slot=\"a\" d=\"" + data + "\"/>";
    }

    // --- counted before it is cut

    @Test
    void aThousandCrossingLinesAreCountedNotCut() {
        SplittableRandom random = new SplittableRandom(4);
        StringBuilder data = new StringBuilder("M0 0");
        for (int i = 0; i < 1000; i++) {
            data.append('L').append(random.nextInt(100)).append(' ').append(random.nextInt(100));
        }
        assertThatThrownBy(() -> motif(part("tangle", data + "Z"))).isInstanceOf(FileTrouble.class).hasMessageContaining("tangle")
                .hasMessageContaining("cross").hasMessageContaining("Simplify");
    }

    @Test
    void twoCombsThatCrossAreRefusedAndOneCombIsNot() throws FileTrouble {
        StringBuilder down = new StringBuilder("M0 0");
        StringBuilder across = new StringBuilder("M0 0");
        for (int i = 0; i < 300; i++) {
            double at = i / 3.1;
            down.append('L').append(at).append(" 100L").append(at + 0.1).append(" 100L").append(at + 0.1).append(" 0.5L").append(at + 0.3)
                    .append(" 0.5");
            across.append("L100 ").append(at).append("L100 ").append(at + 0.1).append("L0.5 ").append(at + 0.1).append("L0.5 ")
                    .append(at + 0.3);
        }
        assertThat(motif(part("comb", down + "L97 0Z")).parts()).hasSize(1);
        assertThatThrownBy(() -> motif(part("comb", down + "L97 0Z") + part("other", across + "L0 97Z"))).hasMessageContaining("intricate")
                .hasMessageContaining("cross");
    }

    @ParameterizedTest
    @ValueSource(strings = {"comb", "fine"})
    void tooManyPointsAreRefused(String what) {
        StringBuilder data = new StringBuilder("M0 0");
        for (int i = 0; i < 25_000; i++) {
            data.append(what.equals("comb") ? "L" + i / 250.0 + (i % 2 == 0 ? " 0" : " 90") : "C1 2 3 4 " + i % 90 + " 6");
        }
        assertThatThrownBy(() -> motif(part("p", data + "L100 100L0 100Z"))).isInstanceOf(FileTrouble.class).hasMessageContaining("points");
    }

    @Test
    void aViewBoxMadeTinyDoesNotMakeCurvesOfMillionsOfPoints() {
        String svg = (HEAD + part("p", "M0 0C90 0 90 90 0 90" + "C50 80 50 20 9 9".repeat(400) + "Z") + "</svg>").replace("0 0 100 100",
                "0 0 0.001 0.001");
        assertThatThrownBy(() -> MotifReader.read(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)), "kite.svg"))
                .isInstanceOf(FileTrouble.class);
    }

    @Test
    @Tag("outside") // how often segments cross, by comparing every pair (Sedgewick, Algorithms, "intersect" by orientation)
    void crossingsAreCountedAsComparingEveryPairWould() {
        SplittableRandom random = new SplittableRandom(9);
        for (int round = 0; round < 20; round++) {
            List<Coordinate[]> lines = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                lines.add(new Coordinate[] {new Coordinate(random.nextDouble(), random.nextDouble()),
                    new Coordinate(random.nextDouble(), random.nextDouble())});
            }
            int expected = 0;
            for (int i = 0; i < lines.size(); i++) {
                for (int k = i + 1; k < lines.size(); k++) {
                    expected += cross(lines.get(i), lines.get(k)) ? 1 : 0;
                }
            }
            assertThat(Intricacy.crossings(lines)).isEqualTo(expected);
        }
        Coordinate[] ring = {new Coordinate(0, 0), new Coordinate(4, 0), new Coordinate(4, 4), new Coordinate(0, 4), new Coordinate(0, 0)};
        assertThat(Intricacy.crossings(List.<Coordinate[]>of(ring))).as("a ring's own joints are no crossings").isZero();
    }

    private static boolean cross(Coordinate[] a, Coordinate[] b) {
        return side(a[0], a[1], b[0]) * side(a[0], a[1], b[1]) < 0 && side(b[0], b[1], a[0]) * side(b[0], b[1], a[1]) < 0;
    }

    private static double side(Coordinate a, Coordinate b, Coordinate p) {
        return (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);
    }

    // --- winding

    @Test
    // a five-pointed star drawn in one line: by the rule of non-zero winding its middle is filled, by the odd rule it is not (SVG 1.1,
    // 11.3, figures to fill-rule)
    @Tag("outside")
    void aStarInOneLineIsFilledByTheRuleItAsksFor() {
        Path2D star = new Path2D.Double(Path2D.WIND_NON_ZERO);
        Path2D odd = new Path2D.Double(Path2D.WIND_EVEN_ODD);
        for (int i = 0; i < 5; i++) {
            double angle = Math.PI * (0.5 + 0.8 * i);
            for (Path2D path : List.of(star, odd)) {
                if (i == 0) {
                    path.moveTo(Math.cos(angle), Math.sin(angle));
                } else {
                    path.lineTo(Math.cos(angle), Math.sin(angle));
                }
            }
        }
        star.closePath();
        odd.closePath();
        double phi = (1 + Math.sqrt(5)) / 2;
        double inner = 2.5 * Math.sin(2 * Math.PI / 5) / Math.pow(phi, 4); // regular pentagon on the circle of radius 1 / phi^2
        double outer = 10 * 0.5 * Math.sin(Math.PI / 5) / (phi * phi);
        assertThat(Outlines.area(star, 0.001).getArea()).isCloseTo(outer, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(Outlines.area(odd, 0.001).getArea()).isCloseTo(outer - inner, org.assertj.core.data.Offset.offset(1e-9));
    }

    @Test
    @Tag("outside") // java.awt.geom.Area of the same letters, the toolkit's own constructive geometry
    void lettersOfAllFacesAreAsTheToolkitsOwnGeometryHasThem() throws Exception {
        for (String name : List.of("AlfaSlabOne_400Regular", "Lora_700Bold", "Fredoka_700Bold", "PatrickHand_400Regular",
                "DancingScript_700Bold")) {
            try (InputStream in = BuiltIn.open("fonts/" + name + ".ttf")) {
                Font font = Font.createFont(Font.TRUETYPE_FONT, in).deriveFont(1000f);
                for (char letter : "ABGRQ8&@abegosßÄÖ%".toCharArray()) {
                    Shape outline = font.createGlyphVector(new FontRenderContext(null, true, true), new char[] {letter}).getOutline();
                    Geometry ours = Outlines.area(outline, 0.3);
                    Geometry theirs = byArea(outline);
                    assertThat(ours.isValid()).as("%s of %s", letter, name).isTrue();
                    assertThat(OverlayNGRobust.overlay(ours, theirs, OverlayNG.SYMDIFFERENCE).getArea()).as("%s of %s", letter, name)
                            .isLessThan(0.002 * theirs.getArea());
                }
            }
        }
    }

    private static Geometry byArea(Shape shape) {
        GeometryFactory factory = new GeometryFactory();
        Geometry area = factory.createPolygon();
        for (Object points : ShapeReader.toCoordinates(new Area(shape).getPathIterator(null, 0.3))) {
            Coordinate[] ring = (Coordinate[]) points;
            if (ring.length >= 4) {
                area = OverlayNGRobust.overlay(area, GeometryFixer.fix(factory.createPolygon(ring)), OverlayNG.SYMDIFFERENCE);
            }
        }
        return area;
    }

    // --- what was said badly

    @Test
    void aByteOrderMarkIsNoPartOfAFile() throws Exception {
        assertThat(
                MotifReader
                        .read(new ByteArrayInputStream(
                                ("\uFEFF" + HEAD + part("p", "M0 0H9V9Z") + "</svg>").getBytes(StandardCharsets.UTF_8)), "kite.svg")
                        .parts())
                .hasSize(1);
        assertThatCode(() -> OutlineReader
                .read(new ByteArrayInputStream("\uFEFFx,y\n0,0\n40,0\n40,30\n0,30\n".getBytes(StandardCharsets.UTF_8)), "stone.csv"))
                .doesNotThrowAnyException();
    }

    @Test
    void aShortFormOfWebPagesIsExplained() {
        assertThatThrownBy(() -> motif("<title>Kite&nbsp;one</title>" + part("p", "M0 0H9V9Z"))).hasMessageContaining("&nbsp;")
                .hasMessageContaining("&#160;");
        assertThatThrownBy(() -> motif("<title>caf&eacute;</title>" + part("p", "M0 0H9V9Z"))).hasMessageContaining("&eacute;")
                .hasMessageContaining("line 1");
    }

    @Test
    void noMessageEndsInHalfALetter() {
        String lamps = "\uD83C\uDFEE".repeat(200);
        assertThatThrownBy(() -> motif(part("p", lamps)))
                .satisfies(e -> assertThat(e.getMessage().codePoints().noneMatch(c -> c >= 0xD800 && c <= 0xDFFF)).isTrue());
        for (int most = 1; most < 9; most++) {
            assertThat(Said.shortly("a" + lamps, most).codePoints().noneMatch(c -> c >= 0xD800 && c <= 0xDFFF)).isTrue();
            assertThat(Said.first("a" + lamps, most).codePointCount(0, Said.first("a" + lamps, most).length())).isEqualTo(most);
        }
        assertThat(Said.shortly("one\ntwo\u0007", 20)).isEqualTo("one two");
    }

    @Test
    void aCellOfFourMegabytesIsToldInOneLine() throws FileTrouble {
        ShelfCsv.Read read = ShelfCsv.read(
                new ByteArrayInputStream(("name,kind,colour\n" + "x".repeat(3_900_000) + ",brush paint,#112233\nfog,brush paint,#99aabb\n")
                        .getBytes(StandardCharsets.UTF_8)),
                "shelf.csv");
        assertThat(read.paints()).extracting(Paint::name).containsExactly("fog");
        assertThat(read.troubles()).singleElement()
                .satisfies(t -> assertThat(t.sentence()).hasSizeLessThan(200).contains("more than 60 letters"));
    }

    @Test
    @Tag("outside") // OWASP, "CSV Injection": cells that begin with = + - @ tab or carriage return are run by spreadsheets
    void cellsThatASpreadsheetWouldRunAreWrittenHarmlessAndReadAsTheyWere() throws Exception {
        List<String> names = List.of("=HYPERLINK(1)", "+1", "-fog", "@sum", "plain");
        Shelf shelf = new Shelf(names.stream()
                .map(n -> Paint.usual(Paint.idOf(n + " paint"), n, PaintKind.values()[0], Srgb.ofHex("#445566"), new Millilitres(5)))
                .toList());
        Path file = folder.resolve("shelf.csv");
        ShelfCsv.write(shelf, file);
        for (String line : Files.readAllLines(file).subList(1, 6)) {
            assertThat(line.replaceFirst("^\"", "")).doesNotMatch("[=+@-].*");
        }
        assertThat(ShelfCsv.read(file).paints()).extracting(Paint::name).containsExactlyElementsOf(names);
    }

    @Test
    void devicesFoldersAndImpossibleNamesAreNoFiles() {
        assertThatThrownBy(() -> PhotoFile.read(Path.of("/dev/zero"))).hasMessageContaining("device");
        assertThatThrownBy(() -> OwnFiles.read(folder)).hasMessageContaining("folder");
        assertThatThrownBy(() -> ShelfCsv.read(folder.resolve("none.csv"))).hasMessageContaining("no such file");
        assertThatThrownBy(() -> InFile.path("a\u0000b")).isInstanceOf(FileTrouble.class)
                .hasMessageContaining("cannot be the name of a file");
    }

    @Test
    void aReaderThatIsToldToStopTakesNothingOver() {
        Thread.currentThread().interrupt();
        try {
            assertThatThrownBy(() -> motif(part("p", "M0 0H9V9Z"))).hasMessageContaining("stopped");
        } finally {
            Thread.interrupted();
        }
    }

    @Test
    void whateverAReaderStumblesOverIsTheFilesTrouble() {
        for (Throwable error : List.of(new IllegalStateException("x"), new StackOverflowError(), new OutOfMemoryError())) {
            assertThatThrownBy(() -> InFile.read(new byte[1], "kite.svg", (bytes, place) -> {
                if (error instanceof Error e) {
                    throw e;
                }
                throw (RuntimeException) error;
            })).isInstanceOf(FileTrouble.class).hasMessageStartingWith("kite.svg: The file").hasCause(error);
        }
    }
}
