package mosspebble.core.sketch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.sketch.Subject.Becomes;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.algorithm.distance.DiscreteHausdorffDistance;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Strokes of the pencil. */
class StrokesTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    /** Three quarters of a circle, drawn by a hand that trembles. */
    private static List<Coordinate> trembling(double radius, double tremor) {
        SplittableRandom random = new SplittableRandom(5);
        List<Coordinate> places = new ArrayList<>();
        for (int i = 0; i <= 240; i++) {
            double angle = 1.5 * Math.PI * i / 240;
            double r = radius + tremor * (random.nextDouble() - 0.5);
            places.add(new Coordinate(10 + r * Math.cos(angle), -4 + r * Math.sin(angle)));
        }
        return places;
    }

    private static Geometry onStone(Strokes.Placed placed) {
        Motif motif = Strokes.motif(placed.stroke());
        Coordinate middle = LargestFit.middle(motif.sitting());
        return placed.placement().transformation(middle.x, middle.y).transform(motif.parts().get(0).shape());
    }

    @Test
    @Tag("outside") // JTS Hausdorff distance between what was meant and what came of it
    void aTremblingHandIsSmoothedAndStaysWhereItDrew() {
        Strokes.Placed placed = Strokes.drawn(trembling(20, 0.4), Becomes.LINE, 0.7).orElseThrow();
        assertThat(placed.stroke().points().size() / 2).as("few points are kept").isLessThan(60);
        Geometry meant = FACTORY.createLineString(trembling(20, 0).toArray(new Coordinate[0]));
        assertThat(DiscreteHausdorffDistance.distance(onStone(placed), meant, 0.1)).as("mm from the circle that was meant")
                .isLessThan(0.75);
    }

    @Test
    void theSplinePassesThroughItsPointsAndAClosedOneComesRound() {
        List<Coordinate> points = List.of(new Coordinate(0, 0), new Coordinate(10, 1), new Coordinate(11, 9), new Coordinate(3, 12));
        for (boolean closed : new boolean[] {false, true}) {
            Coordinate[] curve = Strokes.spline(points, closed);
            for (Coordinate p : points) {
                assertThat(FACTORY.createLineString(curve).distance(FACTORY.createPoint(p))).isLessThan(1e-9);
            }
            assertThat(curve[0].equals2D(curve[curve.length - 1])).isEqualTo(closed);
        }
        Coordinate[] line = Strokes.spline(List.of(new Coordinate(0, 0), new Coordinate(4, 2)), false);
        assertThat(FACTORY.createLineString(line).getLength()).as("two points make a straight line").isCloseTo(Math.hypot(4, 2),
                within(1e-9));
    }

    @Test
    void whatItBecomesDecidesWhatIsPainted() {
        Strokes.Placed area = Strokes.drawn(trembling(20, 0.2), Becomes.AREA, 0.7).orElseThrow();
        assertThat(Strokes.motif(area.stroke()).parts().get(0).role()).isEqualTo(Role.FILL);
        assertThat(onStone(area).getArea())
                .as("three quarters of the circle and the triangle that closes it, its corners rounded by the spline")
                .isCloseTo(0.75 * Math.PI * 400 + 200, within(60.0));
        Strokes.Placed dots = Strokes.drawn(trembling(20, 0.2), Becomes.DOTS, 2).orElseThrow();
        Geometry set = onStone(dots);
        assertThat(set.getNumGeometries()).as("apart from one another").isBetween(20, 34);
        assertThat(Strokes.motif(dots.stroke().becoming(Becomes.GUIDE)).parts().get(0).role()).isEqualTo(Role.GUIDE);
        Geometry eight = Strokes.motif(new Subject.Stroke(List.of(0.0, 0.0, 10.0, 10.0, 10.0, 0.0, 0.0, 10.0), true, Becomes.AREA, 0.7))
                .parts().get(0).shape();
        assertThat(eight.isValid()).as("an area that crosses itself is still an area").isTrue();
        assertThat(eight.getArea()).isGreaterThan(10);
    }

    @Test
    void pointsAreMovedAddedAndTakenAway() {
        Subject.Stroke stroke = new Subject.Stroke(List.of(0.0, 0.0, 10.0, 0.0, 10.0, 10.0), false, Becomes.LINE, 0.7);
        assertThat(Strokes.points(Strokes.moved(stroke, 1, 12, -1)).get(1)).isEqualTo(new Coordinate(12, -1));
        Subject.Stroke more = Strokes.plus(stroke, 0);
        assertThat(Strokes.points(more)).hasSize(4);
        assertThat(Strokes.points(more).get(1).x).isBetween(3.0, 7.0);
        assertThat(Strokes.points(Strokes.without(more, 1))).isEqualTo(Strokes.points(stroke));
        Subject.Stroke two = Strokes.without(stroke, 1);
        assertThat(Strokes.without(two, 0)).as("two points are the least").isEqualTo(two);
    }

    @Test
    void whatIsNoStrokeIsRefused() {
        assertThat(Strokes.drawn(List.of(new Coordinate(0, 0), new Coordinate(0.5, 0.5)), Becomes.LINE, 0.7)).as("too short").isEmpty();
        assertThatThrownBy(() -> new Subject.Stroke(List.of(0.0, 0.0), false, Becomes.LINE, 0.7)).hasMessageContaining("2 to 200 points");
        assertThatThrownBy(() -> new Subject.Stroke(List.of(0.0, Double.NaN, 1.0, 1.0), false, Becomes.LINE, 0.7))
                .hasMessageContaining("1000 mm");
        assertThatThrownBy(() -> new Subject.Stroke(Collections.nCopies(1000, 1.0), false, Becomes.LINE, 0.7))
                .hasMessageContaining("had 500");
    }
}
