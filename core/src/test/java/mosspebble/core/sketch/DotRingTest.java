package mosspebble.core.sketch;

import static mosspebble.core.Reference.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import mosspebble.core.Reference;
import mosspebble.core.area.Shapes;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;

/** Dots round rings and outlines. */
class DotRingTest {

    private static LinearRing circle(double radius) {
        Coordinate[] ring = new Coordinate[1441];
        for (int i = 0; i < 1440; i++) {
            double angle = 2 * Math.PI * i / 1440;
            ring[i] = new Coordinate(3 + radius * Math.cos(angle), -2 + radius * Math.sin(angle));
        }
        ring[1440] = ring[0].copy();
        return new GeometryFactory().createLinearRing(ring);
    }

    @Test
    @Tag("outside") // n = floor(pi / asin((d + g) / 2R)), gap 2 R sin(pi/n) - d, computed with mpmath; see the file's head
    void numberAndGapOnACircleAreThoseOfTheChordRule() {
        for (Map<String, String> row : Reference.rows("dots_fit_ring.csv")) {
            DotRing ring = DotRing.most(circle(number(row, "Rc")), number(row, "d"), number(row, "g"), true);
            if (number(row, "exact_ratio") == number(row, "n")) {
                continue; // the exact case stands on a knife's edge for a polygon of 1,440 sides
            }
            assertThat(ring.centres()).as("%s", row).hasSize((int) number(row, "n"));
            assertThat(ring.gapMm()).as("%s", row).isCloseTo(number(row, "real_gap"), within(1e-3));
        }
    }

    @Test
    @Tag("outside") // rings of touching circles, computed with mpmath; see the file's head
    void touchingDotsHaveTheRadiiOfTheTable() {
        for (Map<String, String> row : Reference.rows("ring_of_circles.csv")) {
            int n = (int) number(row, "n");
            assertThat(DotRing.touchingOutside(1, n)).isCloseTo(number(row, "r_outside"), within(1e-12));
            assertThat(DotRing.touchingInside(1, n)).isCloseTo(number(row, "r_inside"), within(1e-12));
            DotRing ring = DotRing.count(circle(10), n, 2 * 10 * number(row, "r_on") - 1e-6, true);
            assertThat(ring.gapMm()).as("%d dots that touch on their circle", n).isCloseTo(0, within(2e-3));
        }
    }

    @Test
    void neighboursOnAnyOutlineAreEquallyFarApartAndTheRingCloses() {
        for (Form form : new Form[] {Form.OVAL, Form.EGG, Form.KIDNEY, Form.SLAB}) {
            LinearRing curve = (LinearRing) Shapes
                    .grown(Survey.of(Stone.cobble().withShape(new Shape.Grown(form, 0.5, 0.3))).zones().face(), -2).getGeometryN(0)
                    .getBoundary();
            for (int n : new int[] {12, 37, 60}) {
                DotRing ring = DotRing.count(curve, n, 2, n % 2 == 0);
                for (int i = 0; i < n; i++) {
                    assertThat(ring.centres().get(i).distance(ring.centres().get((i + 1) % n))).as("%s, %d dots, after dot %d", form, n, i)
                            .isCloseTo(ring.gapMm() + 2, within(0.02));
                }
            }
        }
    }

    @Test
    void aRingIsSymmetricWithADotOrAGapOnTop() {
        for (boolean dot : new boolean[] {true, false}) {
            DotRing ring = DotRing.count(circle(20), 24, 3, dot);
            for (Coordinate c : ring.centres()) {
                assertThat(ring.centres()).as("mirror image of %s", c)
                        .anySatisfy(o -> assertThat(o.distance(new Coordinate(6 - c.x, c.y))).isLessThan(0.02));
            }
            boolean onTop = ring.centres().stream().anyMatch(c -> Math.abs(c.x - 3) < 0.01 && c.y < -2);
            assertThat(onTop).isEqualTo(dot);
        }
    }

    @Test
    void sizesThatNoDotHasAreRefused() {
        assertThatThrownBy(() -> DotRing.most(circle(20), 0.1, 1, true)).hasMessageContaining("0.3 to 60 mm");
        assertThatThrownBy(() -> DotRing.count(circle(20), 2, 1, true)).hasMessageContaining("3 to 400");
        assertThat(DotRing.count(circle(20), 12, 3, true).areas().getNumGeometries()).isEqualTo(12);
    }
}
