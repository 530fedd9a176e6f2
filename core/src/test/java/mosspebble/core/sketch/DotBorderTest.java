package mosspebble.core.sketch;

import static mosspebble.core.Reference.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import mosspebble.core.Reference;
import mosspebble.core.sketch.DotBorder.Dot;
import mosspebble.core.sketch.Subject.Dots;
import mosspebble.core.sketch.Subject.Series;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;

/** Borders of dots in all series. */
class DotBorderTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private static LinearRing circle(double radius) {
        return (LinearRing) FACTORY.createPoint(new Coordinate(0, 0)).buffer(radius, 360).getBoundary().getGeometryN(0);
    }

    private static List<Dot> kind(DotBorder border, int kind) {
        return border.dots().stream().filter(d -> d.kind() == kind).toList();
    }

    @Test
    @Tag("outside") // chord of n points on a circle, 2 R sin(pi / n)
    void justSoManyEqualDotsStandAChordApart() {
        for (int n : new int[] {3, 12, 24, 97, 400}) {
            DotBorder border = DotBorder.of(circle(60),
                    Dots.usual().withRing(new Subject.Dots.Ring(0.4, 0, 0)).withCounted(new Subject.Dots.Count(n, true, false)));
            assertThat(border.dots()).hasSize(n);
            assertThat(border.gapMm() + 0.4).as("%d dots", n).isCloseTo(2 * 60 * Math.sin(Math.PI / n), within(2e-3));
        }
    }

    @Test
    void largeAndSmallInTurnHaveEvenGapsFromEdgeToEdge() {
        DotBorder border = DotBorder.of(circle(30),
                Dots.usual().withRing(new Subject.Dots.Ring(4, 1, 0)).withShrink(new Subject.Dots.Shrink(Series.ALTERNATING, 0.5)));
        assertThat(border.dots().size() % 2).as("an even number").isZero();
        for (int i = 0; i < border.dots().size(); i++) {
            Dot a = border.dots().get(i);
            Dot b = border.dots().get((i + 1) % border.dots().size());
            assertThat(a.diameterMm() / b.diameterMm()).isIn(2.0, 0.5);
            assertThat(a.centre().distance(b.centre()) - (a.diameterMm() + b.diameterMm()) / 2).isCloseTo(border.gapMm(), within(1e-6));
        }
        assertThat(border.gapMm()).isGreaterThanOrEqualTo(1);
    }

    @Test
    void shrinkingDotsGrowSmallerDownBothSidesAlikeAndTheRingCloses() {
        DotBorder border = DotBorder.of(circle(30),
                Dots.usual().withRing(new Subject.Dots.Ring(5, 0.8, 0)).withShrink(new Subject.Dots.Shrink(Series.SHRINKING, 0.3)));
        List<Dot> dots = border.dots();
        double[] gaps = border.gaps().orElseThrow();
        assertThat(gaps[1] - gaps[0]).as("gaps are even, the last one too").isLessThan(1e-3);
        assertThat(gaps[0]).isGreaterThanOrEqualTo(0.8 - 1e-6);
        assertThat(dots.get(0).diameterMm()).as("the largest on top").isEqualTo(5);
        for (int i = 1; i < dots.size(); i++) {
            assertThat(dots.get(i).diameterMm()).as("left as right, dot %d", i).isCloseTo(dots.get(dots.size() - i).diameterMm(),
                    within(1e-3));
            if (i <= dots.size() / 2) {
                assertThat(dots.get(i).diameterMm()).isLessThan(dots.get(i - 1).diameterMm());
            }
        }
        DotBorder counted = DotBorder.of(circle(30),
                Dots.usual().withRing(new Subject.Dots.Ring(5, 0.8, 0)).withCounted(new Subject.Dots.Count(20, true, false))
                        .withShrink(new Subject.Dots.Shrink(Series.SHRINKING, 0.3)));
        assertThat(counted.dots()).hasSize(20);
        assertThat(counted.gaps().orElseThrow()[1] - counted.gaps().orElseThrow()[0]).isLessThan(1e-3);
    }

    @Test
    @Tag("outside") // tangent circles: centres are as far apart as their radii together
    void walkingDotsTouchTheLargeOneAndEachOther() {
        DotBorder border = DotBorder.of(circle(30),
                Dots.usual().withRing(new Subject.Dots.Ring(6, 4, 0)).withShrink(new Subject.Dots.Shrink(Series.WALKING, 0.4)));
        List<Dot> large = kind(border, 0);
        int walkers = kind(border, 1).size() / large.size();
        assertThat(walkers).isGreaterThanOrEqualTo(5);
        Dot first = large.get(0);
        List<Dot> walk = kind(border, 1).subList(0, walkers);
        for (Dot dot : walk) {
            assertThat(dot.centre().distance(first.centre())).isCloseTo((dot.diameterMm() + first.diameterMm()) / 2, within(1e-9));
            assertThat(dot.centre().distance(new Coordinate(0, 0))).as("outward")
                    .isGreaterThan(first.centre().distance(new Coordinate(0, 0)) - 1e-9);
        }
        for (int i = 1; i + 2 < walkers; i += 2) {
            Dot a = walk.get(i);
            Dot b = walk.get(i + 2);
            assertThat(a.centre().distance(b.centre())).isCloseTo((a.diameterMm() + b.diameterMm()) / 2, within(1e-9));
            assertThat(b.diameterMm()).isLessThan(a.diameterMm());
        }
    }

    @Test
    void draggedDotsPointInwardAndASecondRingTurnsInStep() {
        DotBorder dragged = DotBorder.of(circle(30),
                Dots.usual().withRing(new Subject.Dots.Ring(3, 1, 0)).withShrink(new Subject.Dots.Shrink(Series.DRAGGED, 0.5)));
        for (Dot dot : dragged.dots()) {
            assertThat(dot.shape().getCentroid().distance(FACTORY.createPoint(new Coordinate(0, 0))))
                    .isLessThan(dot.centre().distance(new Coordinate(0, 0)));
            assertThat(dot.shape().isValid()).isTrue();
        }
        DotBorder twice = DotBorder.of(circle(30),
                Dots.usual().withRing(new Subject.Dots.Ring(3, 1, 0)).withFrame(new Subject.Dots.Frame(0, 1.6)));
        List<Dot> outer = kind(twice, 0);
        List<Dot> inner = kind(twice, 1);
        assertThat(inner).hasSameSizeAs(outer);
        for (int i = 0; i < inner.size(); i++) {
            double before = inner.get(i).centre().distance(outer.get(i).centre());
            double after = inner.get(i).centre().distance(outer.get((i + 1) % outer.size()).centre());
            assertThat(before).as("in the middle of its gap").isCloseTo(after, within(1e-6));
            assertThat(inner.get(i).centre().distance(new Coordinate(0, 0))).isLessThan(30);
        }
        assertThat(DotBorder.of(circle(30), Dots.usual().withFrame(new Subject.Dots.Frame(5, 0))).lines()).hasSize(2);
    }

    @Test
    @Tag("outside") // volume of a spherical cap, computed with mpmath; see the file's head
    void paintOfADotIsTheVolumeOfItsCap() {
        for (Map<String, String> row : Reference.rows("spherical_cap.csv")) {
            double r = number(row, "base_radius");
            double h = number(row, "h");
            assertThat(Math.PI * h * (3 * r * r + h * h) / 6).as("%s", row).isCloseTo(number(row, "volume"),
                    within(1e-9 * number(row, "volume")));
        }
        DotBorder ring = DotBorder.of(circle(30),
                Dots.usual().withRing(new Subject.Dots.Ring(4, 1, 0)).withCounted(new Subject.Dots.Count(10, true, false)));
        double one = Math.PI * 1 * (3 * 2 * 2 + 1) / 6;
        assertThat(ring.millilitres()).isCloseTo(10 * one / 1000, within(1e-12));
        assertThat(ring.tools()).containsExactly("10 of 4 mm: brush end of about 3.2 mm");
    }

    @Test
    void numbersThatNoBorderHasAreRefused() {
        assertThatThrownBy(() -> Dots.usual().withCounted(new Subject.Dots.Count(2, true, false))).hasMessageContaining("3 to 400");
        assertThatThrownBy(() -> Dots.usual().withShrink(new Subject.Dots.Shrink(Series.SHRINKING, 0))).hasMessageContaining("0.1 to 1");
        assertThatThrownBy(() -> Dots.usual().withRing(new Subject.Dots.Ring(Double.NaN, 1, 1))).hasMessageContaining("0.3 to 60 mm");
    }
}
