package mosspebble.core.sketch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.area.Shapes;
import mosspebble.core.sketch.LetterSetting.Path;
import mosspebble.core.sketch.LetterSetting.Style;
import mosspebble.core.stone.Eye;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Viewpoint;
import mosspebble.core.units.Millimetres;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Letters on lines, arcs, waves and rims. */
class LetteringTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final double CAP = 0.7;

    /** A face of plain bars, so that every measure is known: I is 0.2 em wide, M 0.8, L an angle of bars 0.1 thick. */
    private static final Typeface BARS = new Typeface.Drawn("bars", "Bars", CAP, glyphs());

    private static final Typeface PEN = new Typeface.Drawn("pen", "Pen", CAP,
            Map.of((int) 'V', new Typeface.Glyph(
                    FACTORY.createLineString(new Coordinate[] {new Coordinate(0, -CAP), new Coordinate(0.2, 0), new Coordinate(0.4, -CAP)}),
                    0.5)));

    private static Map<Integer, Typeface.Glyph> glyphs() {
        Map<Integer, Typeface.Glyph> glyphs = new TreeMap<>();
        glyphs.put((int) 'I', new Typeface.Glyph(box(0.05, -CAP, 0.25, 0), 0.3));
        glyphs.put((int) 'M', new Typeface.Glyph(box(0.05, -CAP, 0.85, 0), 0.9));
        glyphs.put((int) 'L', new Typeface.Glyph(box(0.05, -CAP, 0.15, 0).union(box(0.05, -0.1, 0.45, 0)), 0.5));
        glyphs.put((int) ' ', new Typeface.Glyph(FACTORY.createPolygon(), 0.3));
        return glyphs;
    }

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static Subject.Word word(LetterSetting setting, String... lines) {
        return new Subject.Word(List.of(lines), "bars", setting);
    }

    private static List<Envelope> boxes(Motif motif) {
        return motif.parts().stream().map(p -> p.shape().getEnvelopeInternal()).toList();
    }

    private static Support bed(Stone stone, Viewpoint viewpoint) {
        return new Support(Survey.of(stone), viewpoint);
    }

    private static Stone domed() {
        return Stone.cobble().withSize(new Millimetres(160), new Millimetres(84), new Millimetres(38)).withDome(0.6, 2);
    }

    @Test
    // letter boxes, common practice, no source: half the boxes to each side of the middle line; with an odd count the middle letter sits on
    // it
    @Tag("outside")
    void boxesFollowTheRuleOfTheMiddleLine() {
        for (String text : List.of("IMLI", "IMLIM")) {
            List<Lettering.Letter> letters = Lettering.rows(word(LetterSetting.plain().withBoxes(true), text), BARS).get(0).letters();
            double step = letters.get(1).middle() - letters.get(0).middle();
            for (int i = 1; i < letters.size(); i++) {
                assertThat(letters.get(i).middle() - letters.get(i - 1).middle()).as("boxes of %s are equal", text).isCloseTo(step,
                        within(1e-9));
            }
            int n = letters.size();
            double middle = n % 2 == 1 ? letters.get(n / 2).middle() : (letters.get(n / 2 - 1).middle() + letters.get(n / 2).middle()) / 2;
            assertThat(middle).as("%s about the middle line", text).isCloseTo(0, within(1e-9));
        }
    }

    @Test
    void opticalSpacingMakesNearestDistancesEqualAndKernsMoveALetterWithAllAfterIt() {
        List<Envelope> optical = boxes(Lettering.set(word(LetterSetting.plain().spaced(1, 0, 1.4), "IMLIM"), BARS));
        double first = optical.get(1).getMinX() - optical.get(0).getMaxX();
        for (int i = 2; i < optical.size(); i++) {
            double gap = optical.get(i).getMinX() - optical.get(i - 1).getMaxX();
            assertThat(gap).as("gap before letter %d", i).isCloseTo(first, within(1e-9));
        }
        Motif plain = Lettering.set(word(LetterSetting.plain(), "IMIM"), BARS);
        Motif moved = Lettering.set(word(LetterSetting.plain().kerned(2, 0.1), "IMIM"), BARS);
        double before = boxes(plain).get(2).getMinX() - boxes(plain).get(1).getMaxX();
        double after = boxes(moved).get(2).getMinX() - boxes(moved).get(1).getMaxX();
        assertThat(after - before).as("half of a kern is taken back by optical spacing at its usual place").isCloseTo(0.1 / CAP * 0.5,
                within(0.1 / CAP));
        assertThat(boxes(moved).get(3).getMinX() - boxes(moved).get(2).getMaxX()).as("those after it go along")
                .isCloseTo(boxes(plain).get(3).getMinX() - boxes(plain).get(2).getMaxX(), within(1e-9));
        assertThat(LetterSetting.plain().kerned(2, 0.1).kerned(2, 0)).isEqualTo(LetterSetting.plain());
    }

    @Test
    void lettersThatShareAStrokeTouchAndAreOneArea() {
        Motif tucked = Lettering.set(word(LetterSetting.plain().spaced(1, -0.12, 1.4), "LL"), BARS);
        Geometry both = Shapes.union(tucked.parts().get(0).shape(), tucked.parts().get(1).shape());
        assertThat(both.getNumGeometries()).isEqualTo(1);
    }

    @Test
    @Tag("outside") // plane geometry: letters on an arc stand on one circle, at right angles to its radius
    void onAnArcEveryLetterStandsOnTheCircle() {
        for (double bend : new double[] {110, -110, 300}) {
            Motif arc = Lettering.set(word(LetterSetting.plain().along(Path.ARC, bend), "MIMIMIM"), BARS);
            Motif flat = Lettering.set(word(LetterSetting.plain(), "MIMIMIM"), BARS);
            double width = flat.sitting().getEnvelopeInternal().getWidth();
            double radius = width / Math.toRadians(bend);
            for (int i = 0; i < arc.parts().size(); i++) {
                Coordinate[] c = arc.parts().get(i).shape().getCoordinates();
                Coordinate foot = mid(c, radius, bend);
                assertThat(foot.distance(new Coordinate(0, radius))).as("foot of letter %d at bend %s", i, bend).isCloseTo(Math.abs(radius),
                        within(1e-6));
                assertThat(arc.parts().get(i).shape().getArea()).as("keeps its form").isCloseTo(flat.parts().get(i).shape().getArea(),
                        within(1e-9));
            }
        }
    }

    /** Middle of the bar's lower edge: of its four edges the one whose middle is nearest the circle about (0, radius). */
    private static Coordinate mid(Coordinate[] c, double radius, double bend) {
        Coordinate best = null;
        double near = Double.POSITIVE_INFINITY;
        for (int i = 1; i < c.length; i++) {
            Coordinate m = new Coordinate((c[i].x + c[i - 1].x) / 2, (c[i].y + c[i - 1].y) / 2);
            double off = Math.abs(m.distance(new Coordinate(0, radius)) - Math.abs(radius));
            if (off < near) {
                near = off;
                best = m;
            }
        }
        return best;
    }

    @Test
    void aWaveGoesUpAndDownOnceAndHalfAsHighEachWay() {
        Motif wave = Lettering.set(word(LetterSetting.plain().along(Path.WAVE, 60), "IIIIIIIIIIIIIIIII"), BARS);
        double top = wave.parts().stream().mapToDouble(p -> p.shape().getCentroid().getY()).min().orElseThrow();
        double bottom = wave.parts().stream().mapToDouble(p -> p.shape().getCentroid().getY()).max().orElseThrow();
        assertThat(bottom - top).as("60 % of a letter's height up and down").isCloseTo(1.2, within(0.06));
    }

    @Test
    void onTheRimLettersFollowTheEdgeAndStandUprightBelow() {
        Support bed = bed(domed(), Viewpoint.above());
        for (double turn : new double[] {0, 40, 180}) {
            Subject.Word word = word(LetterSetting.plain().along(Path.RIM, 2), "MIMILM");
            Item item = Item.of(word, ItemMode.ON_STONE, new Placement(0, 0, turn, 6), 0);
            Motif rim = Lettering.onRim(word, BARS, item, bed).orElseThrow();
            Geometry edge = bed.zones().paintable().getExteriorRing();
            for (MotifPart part : rim.parts()) {
                assertThat(bed.zones().paintable().covers(part.shape())).as("%s at %s inside", part.title(), turn).isTrue();
                assertThat(part.shape().distance(edge)).as("%s at %s keeps the inset", part.title(), turn).isBetween(1.2, 4.2);
            }
            boolean leftToRight = rim.parts().get(0).shape().getCentroid().getX() < rim.parts().get(5).shape().getCentroid().getX();
            assertThat(leftToRight).as("read from left to right at %s", turn).isTrue();
        }
        Subject.Word too = word(LetterSetting.plain().along(Path.RIM, 2), "MMMMMMMMMMMMMMMMMMMMMMMMMMMMMMMMMMMMMMMM");
        assertThat(Lettering.onRim(too, BARS, Item.of(too, ItemMode.ON_STONE, new Placement(0, 0, 0, 14), 0), bed))
                .as("longer than the rim").isEmpty();
        double largest = Lettering.largestOnRim(too, BARS, Item.of(too, ItemMode.ON_STONE, new Placement(0, 0, 0, 14), 0), bed)
                .orElseThrow();
        assertThat(Lettering.onRim(too, BARS, Item.of(too, ItemMode.ON_STONE, new Placement(0, 0, 0, largest), 0), bed)).isPresent();
        assertThat(Lettering.onRim(too, BARS, Item.of(too, ItemMode.ON_STONE, new Placement(0, 0, 0, largest * 1.03), 0), bed)).isEmpty();
    }

    @Test
    void downStrokesAreThickenedAndCrossStrokesAreNot() {
        Geometry thin = Lettering.set(word(LetterSetting.plain(), "L"), BARS).parts().get(0).shape();
        Geometry thick = Lettering.set(word(LetterSetting.plain().withSwell(0.05), "L"), BARS).parts().get(0).shape();
        double by = 0.05 / CAP;
        assertThat(width(thick, -0.5)).as("stem").isCloseTo(width(thin, -0.5) + by, within(1e-9));
        assertThat(thick.getEnvelopeInternal().getHeight()).as("height stays").isCloseTo(thin.getEnvelopeInternal().getHeight(),
                within(1e-9));
        Geometry foot = thick
                .intersection(FACTORY.createLineString(new Coordinate[] {new Coordinate(thick.getEnvelopeInternal().getMaxX() - 0.05, -2),
                    new Coordinate(thick.getEnvelopeInternal().getMaxX() - 0.05, 1)}));
        assertThat(foot.getLength()).as("foot").isCloseTo(0.1 / CAP, within(1e-9));
        Motif script = Lettering.set(new Subject.Word(List.of("V"), "pen", LetterSetting.plain().withSwell(0.05)), PEN);
        assertThat(script.parts()).as("one line, and the down-stroke thickened, not the up-stroke").hasSize(2);
        Geometry down = script.parts().stream().filter(MotifPart::isArea).findFirst().orElseThrow().shape();
        assertThat(down.getCentroid().getX()).isLessThan(script.parts().get(1).shape().getEnvelopeInternal().centre().x);
    }

    private static double width(Geometry shape, double y) {
        return shape.intersection(FACTORY.createLineString(new Coordinate[] {new Coordinate(-9, y), new Coordinate(9, y)})).getLength();
    }

    @Test
    void stylesMakeTheirParts() {
        assertThat(Lettering.set(word(LetterSetting.plain().withStyle(Style.OUTLINE).withPenMm(0.5), "M"), BARS).parts()).allSatisfy(p -> {
            assertThat(p.role()).isEqualTo(Role.LINE);
            assertThat(p.penMm()).isEqualTo(0.5);
        });
        Motif inline = Lettering.set(word(LetterSetting.plain().withStyle(Style.INLINE), "M"), BARS);
        assertThat(inline.parts()).hasSize(2);
        assertThat(inline.parts().get(0).shape().covers(inline.parts().get(1).shape())).as("the light lies within").isTrue();
        Motif shadow = Lettering.set(word(LetterSetting.plain().withStyle(Style.SHADOW), "IM"), BARS);
        assertThat(shadow.parts()).extracting(MotifPart::slot).as("shades lie below all letters").containsExactly("shadow", "shadow",
                "letters", "letters");
        assertThat(shadow.slots()).hasSize(2);
    }

    @Test
    void aLineIsAsWideAsItIsSetWhicheverLinesStandBeforeIt() {
        LetterSetting kerned = LetterSetting.plain().kerned(4, 1).kerned(8, -0.5);
        for (LetterSetting setting : List.of(LetterSetting.plain(), kerned)) {
            Map<List<Object>, Double> known = new HashMap<>();
            for (List<String> lines : List.of(List.of("MIM IM", "LIM MI"), List.of("MIM", "IM", "LIM MI"),
                    List.of("MIM", "IM LIM", "MI"))) {
                assertThat(Lettering.widths(lines, setting, BARS, known)).as("%s", lines).containsExactlyElementsOf(
                        Lettering.rows(word(setting, lines.toArray(new String[0])), BARS).stream().map(Lettering.Row::width).toList());
            }
        }
    }

    @Test
    void theBestBreakBeatsEveryOtherBreak() {
        LetterSetting setting = LetterSetting.plain();
        Support bed = bed(domed(), Viewpoint.above());
        Subject.Word word = word(setting, "MIM IM LIM MI");
        Lettering.Arranged best = Lettering.arranged(word, BARS, bed, 2).orElseThrow();
        List<List<String>> all = new ArrayList<>();
        String[] parts = {"MIM", "IM", "LIM", "MI"};
        for (int cuts = 0; cuts < 8; cuts++) {
            List<String> lines = new ArrayList<>(List.of(parts[0]));
            for (int i = 1; i < 4; i++) {
                if ((cuts >> (i - 1) & 1) == 1) {
                    lines.add(parts[i]);
                } else {
                    lines.set(lines.size() - 1, lines.get(lines.size() - 1) + " " + parts[i]);
                }
            }
            all.add(lines);
        }
        for (List<String> lines : all) {
            Optional<LargestFit.Fit> fit = LargestFit.inside(
                    Lettering.set(word(setting, lines.toArray(new String[0])), BARS).sitting(),
                    Shapes.grown(bed.zones().face(), -2), 0, 0);
            assertThat(best.capMm()).as("against %s", lines).isGreaterThan(0.99 * fit.orElseThrow().placement().scale());
        }
    }

    @Test
    @Tag("outside") // perspective: the feet of a line that looks straight lie on one line of the picture plane
    void aLineMadeStraightToTheEyeIsStraightInThePicture() {
        Support bed = bed(Stone.cobble().withSize(new Millimetres(160), new Millimetres(110), new Millimetres(80)).withDome(0.7, 1.6),
                Viewpoint.table());
        Subject.Word plain = word(LetterSetting.plain(), "MIMIMIM");
        Sketch ruled = Sketch.of(plain, ItemMode.ON_STONE, new Placement(0, 8, 0, 12), 0);
        Sketch lifted = Sketch.of(plain.with(LetterSetting.plain().withToEye(true)), ItemMode.ON_STONE, new Placement(0, 8, 0, 12), 0);
        Repertoire repertoire = Repertoire.of(List.of(), List.of(BARS));
        double bent = unevenness(Designs.place(ruled, repertoire, bed).orElseThrow(), bed);
        double straight = unevenness(Designs.place(lifted, repertoire, bed).orElseThrow(), bed);
        assertThat(bent).as("ruled on the dome it looks bent, mm in the picture").isGreaterThan(0.8);
        assertThat(straight).as("lifted it does not").isLessThan(0.15);
    }

    /** Largest departure of the letters' lowest places in the picture from their common height. */
    private static double unevenness(PlacedDesign design, Support bed) {
        Eye eye = bed.viewpoint().eye();
        double[] seen = new double[3];
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (PlacedPart part : design.parts()) {
            double foot = Double.NEGATIVE_INFINITY;
            for (Coordinate c : part.drawn().getCoordinates()) {
                eye.project(c.x, c.y, bed.dome().heightAt(c.x, c.y), seen);
                foot = Math.max(foot, seen[1]);
            }
            low = Math.min(low, foot);
            high = Math.max(high, foot);
        }
        return high - low;
    }

    @Test
    void wordsThatNoStoneCarriesAreRefusedInASentence() {
        assertThatThrownBy(() -> new Subject.Word(List.of("a".repeat(500)), "bars")).hasMessageContaining("500 letters")
                .hasMessageContaining("80");
        assertThatThrownBy(() -> new Subject.Word(List.of(" "), "bars")).hasMessageContaining("one to four lines");
        assertThatThrownBy(() -> LetterSetting.plain().withSwell(0.5)).hasMessageContaining("0 to 0.12");
        assertThatThrownBy(() -> LetterSetting.plain().along(Path.ARC, Double.NaN)).hasMessageContaining("-340 to 340");
        assertThat(Lettering.missing(word(LetterSetting.plain(), "I🙂Mא"), BARS))
                .as("one entry for each letter, also beyond the basic plane").containsExactly("🙂", "א");
    }
}
