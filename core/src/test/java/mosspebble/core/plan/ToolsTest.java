package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import java.util.stream.IntStream;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Share;
import mosspebble.core.colour.Mix;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Tools by width, area and manner, with the speeds of the trade (common practice, no source). */
@Tag("outside")
class ToolsTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Geometry BLOB = disc(0, 20).union(disc(15, 12));

    private static Geometry disc(double x, double radius) {
        return FACTORY.createPoint(new Coordinate(x, 0)).buffer(radius, 24);
    }

    private static Tools of(Geometry place, String paint, boolean line, Share.Kind share, double wide) {
        return Tools.of(place, Mix.of(paint), line, share, wide, Paints.shelf());
    }

    @ParameterizedTest
    @CsvSource({
        // widest disc that fits, mm; tool; cm2 a minute at least and at most
        "40, LARGE_FLAT, 30, 60", "14, LARGE_FLAT, 30, 60", "13.9, MEDIUM_ROUND, 15, 25", "5, MEDIUM_ROUND, 15, 25",
        "4.9, SMALL_ROUND, 5, 15", "2, SMALL_ROUND, 5, 15", "1.9, FINE_ROUND, 2, 6"})
    void aBrushGoesByTheNarrowestWidth(double wide, Tool.Kind kind, double least, double most) {
        Tools tools = of(BLOB, "blue", false, Share.Kind.WHOLE, wide);
        assertThat(tools.tool().kind()).isEqualTo(kind);
        assertThat(tools.mm2PerMinute() / 100).isBetween(least, most);
    }

    @Test // a pen tip of 0.7 mm fills about 3 to 5 cm2 a minute
    void aPenFillsByItsTip() {
        Tools tools = of(BLOB, "whitepen", false, Share.Kind.WHOLE, 20);
        assertThat(tools.tool()).isEqualTo(new Tool(Tool.Kind.PEN, 0.7));
        assertThat(tools.mm2PerMinute() / 100).isBetween(3.0, 5.0);
        assertThat(of(BLOB, "blackpen", false, Share.Kind.WHOLE, 20).mm2PerMinute()).as("a finer one in proportion")
                .isCloseTo(tools.mm2PerMinute() * 0.5 / 0.7, within(1.0));
    }

    @Test
    void dabsAreSpongedStreaksAreDraggedLinesTakeTheLiner() {
        assertThat(of(BLOB, "blue", false, Share.Kind.DABS, 20).tool().kind()).isEqualTo(Tool.Kind.SPONGE);
        assertThat(of(BLOB, "blue", false, Share.Kind.FOAM, 1).tool().kind()).isEqualTo(Tool.Kind.SPONGE);
        assertThat(of(BLOB, "blue", false, Share.Kind.FOAM, 1).mm2PerMinute() / 100).as("some 50 dabs of a quarter cm2 a minute")
                .isBetween(8.0, 20.0);
        assertThat(of(BLOB, "blue", false, Share.Kind.STREAKS, 1).tool().kind()).isEqualTo(Tool.Kind.DRY_BRUSH);
        assertThat(of(BLOB, "blue", true, Share.Kind.WHOLE, 1).tool().kind()).isEqualTo(Tool.Kind.LINER);
        assertThat(of(BLOB, "whitepen", false, Share.Kind.DABS, 1).tool().kind()).as("a pen is no sponge").isEqualTo(Tool.Kind.PEN);
    }

    @Test
    void equalDotsAreTouchedOnAndOtherPiecesAreNot() {
        Geometry dots = Shapes.union(IntStream.range(0, 6).mapToObj(i -> disc(6 * i, 1.5)).toList());
        assertThat(of(dots, "white", false, Share.Kind.WHOLE, 3).tool().kind()).isEqualTo(Tool.Kind.DOT_END);
        assertThat(of(dots, "white", false, Share.Kind.WHOLE, 3).tool().mm()).isCloseTo(3, within(0.05));
        assertThat(Tools.dotMm(dots.union(disc(40, 2.5)))).as("one larger").isZero();
        assertThat(Tools.dotMm(disc(0, 6))).as("nobody sets so large a dot with one touch").isZero();
        assertThat(Tools.eachIsAtMost(dots.union(disc(40, 2.5)), 8)).isTrue();
        assertThat(Tools.eachIsAtMost(disc(0, 6), 8)).isFalse();
    }

    @Test
    void theFirstCoatCutsInAlongTheEdgeTheNextFindsItThere() {
        assertThat(Tools.edgeMmPerMinute(1)).isBetween(100.0, 200.0);
        assertThat(Tools.edgeMmPerMinute(2)).isEqualTo(2 * Tools.edgeMmPerMinute(1)).isEqualTo(Tools.edgeMmPerMinute(3));
        for (Tool.Kind kind : Tool.Kind.values()) {
            assertThat(new Tool(kind, 1).followsEdges()).as("%s", kind)
                    .isEqualTo(kind.ordinal() <= Tool.Kind.PEN.ordinal());
        }
    }

    @ParameterizedTest
    @CsvSource({"POWDER, APPLICATOR", "LEAF, LEAF_BRUSH", "GLUE, TWEEZERS", "GEM, TWEEZERS", "PASTE, KNIFE", "ISOLATED, SPRAY",
        "GEL, LARGE_FLAT", "SIZE, LARGE_FLAT"})
    void whatIsNotPaintHasToolsOfItsOwn(Share.Kind share, Tool.Kind tool) {
        Tools tools = Tools.of(BLOB, Mix.of("isolating spray"), false, share, 20, Boards.withIsolating(Paints.shelf()));
        assertThat(tools.tool().kind()).isEqualTo(tool);
        assertThat(tools.isLarge()).as("only a brush needs its edge widened first").isEqualTo(tool == Tool.Kind.LARGE_FLAT);
    }

    @Test // two coats of varnish on a palm-sized stone: about 12 minutes with signing
    void varnishGoesOnLikePaintUnderAFlatBrush() {
        double palm = Math.PI * 42 * 40;
        double minutes = Tools.SEAL_LAY_OUT_MIN + 2 * palm / Tools.SEAL_MM2_PER_MINUTE;
        assertThat(minutes).isBetween(4.0, 12.0);
    }

    @Test // held against the library's own shrinking, on blots with holes of every breadth
    void whatIsCalledBroadHoldsTheDisc() {
        SplittableRandom random = new SplittableRandom(8);
        int broad = 0;
        for (int i = 0; i < 300; i++) {
            Geometry blot = disc(0, random.nextDouble(1, 12)).union(disc(random.nextDouble(0, 20), random.nextDouble(1, 9)))
                    .difference(disc(random.nextDouble(-5, 20), random.nextDouble(0.5, 5)));
            double radius = random.nextDouble(0.3, 6);
            boolean fits = !blot.buffer(-radius, 24).isEmpty();
            if (Tools.isBroad(blot, radius)) {
                broad++;
                assertThat(fits).as("radius %s", radius).isTrue();
            }
            assertThat(Tools.widerThan(blot, 2 * radius)).isEqualTo(!Shapes.grown(blot, -radius).isEmpty());
        }
        assertThat(broad).as("and it is mostly found at once").isGreaterThan(60);
        assertThat(Tools.isBroad(disc(0, 5), 2.4)).isTrue();
        assertThat(Tools.isBroad(disc(0, 5), 5.1)).isFalse();
        assertThat(Tools.isBroad(disc(0, 10).difference(disc(0, 9)), 0.6)).as("a ring is as narrow as its band").isFalse();
    }
}
