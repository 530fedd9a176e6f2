package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** What rings fill, against closed forms and against the winding number counted by angles. */
class WindingTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private static Path2D box(Path2D path, double x, double y, double size, boolean clockwise) {
        path.moveTo(x, y);
        if (clockwise) {
            path.lineTo(x + size, y);
            path.lineTo(x + size, y + size);
            path.lineTo(x, y + size);
        } else {
            path.lineTo(x, y + size);
            path.lineTo(x + size, y + size);
            path.lineTo(x + size, y);
        }
        path.closePath();
        return path;
    }

    private static double area(Path2D path) {
        Geometry area = Outlines.area(path, 0.01);
        assertThat(area.isValid()).isTrue();
        return area.getArea();
    }

    @Test
    void aRingTheOtherWayRoundIsAHoleAndOneTheSameWayIsNot() {
        assertThat(area(box(box(new Path2D.Double(), 0, 0, 10, true), 2, 2, 4, false))).isEqualTo(100 - 16);
        assertThat(area(box(box(new Path2D.Double(), 0, 0, 10, true), 2, 2, 4, true))).isEqualTo(100);
        assertThat(area(box(box(new Path2D.Double(Path2D.WIND_EVEN_ODD), 0, 0, 10, true), 2, 2, 4, true))).isEqualTo(100 - 16);
    }

    @Test
    void anIslandInAHoleIsFilledAgain() {
        Path2D path = box(box(box(new Path2D.Double(), 0, 0, 10, true), 2, 2, 6, false), 4, 4, 2, true);
        assertThat(area(path)).isEqualTo(100 - 36 + 4);
        assertThat(Outlines.area(path, 0.01).getNumGeometries()).isEqualTo(2);
    }

    @Test
    void ringsThatOverlapFillWhatEitherFills() {
        assertThat(area(box(box(new Path2D.Double(), 0, 0, 10, true), 5, 5, 10, true))).isCloseTo(175, within(1e-9));
        assertThat(area(box(box(new Path2D.Double(Path2D.WIND_EVEN_ODD), 0, 0, 10, true), 5, 5, 10, true))).isCloseTo(150, within(1e-9));
        assertThat(area(box(box(new Path2D.Double(), 0, 0, 10, true), 10, 0, 10, true))).as("side by side, a common edge").isCloseTo(200,
                within(1e-9));
    }

    @Test
    void theWayRoundDoesNotMatterForOneRing() {
        assertThat(area(box(new Path2D.Double(), 3, 4, 5, true))).isEqualTo(25);
        assertThat(area(box(new Path2D.Double(), 3, 4, 5, false))).isEqualTo(25);
    }

    @Test
    @Tag("outside") // area of an ellipse, pi a b; a polygon within a distance f of it lacks at most its length times f
    void curvesComeWithinTheFlatnessThatWasAskedFor() {
        for (double flatness : new double[] {0.5, 0.05, 0.005}) {
            double area = Outlines.area(new Ellipse2D.Double(0, 0, 80, 50), flatness).getArea();
            assertThat(area).isBetween(Math.PI * 40 * 25 - 210 * flatness, Math.PI * 40 * 25 + 210 * flatness);
        }
    }

    @Test
    void aLineIsNoAreaAndNothingIsNothing() {
        Path2D line = new Path2D.Double();
        line.moveTo(0, 0);
        line.lineTo(9, 9);
        assertThat(Outlines.area(line, 0.1).isEmpty()).isTrue();
        assertThat(Outlines.area(new Path2D.Double(), 0.1).isEmpty()).isTrue();
        assertThat(Outlines.lines(line, 0.1).getLength()).isCloseTo(9 * Math.sqrt(2), within(1e-12));
    }

    @Test
    void aPathGoesOnFromWhereItWasClosed() {
        Path2D path = new Path2D.Double();
        path.moveTo(1, 1);
        path.lineTo(4, 1);
        path.lineTo(4, 4);
        path.closePath();
        path.lineTo(1, 9);
        assertThat(Outlines.lines(path, 0.1).getNumGeometries()).isEqualTo(2);
        assertThat(Outlines.lines(path, 0.1).getGeometryN(1).getCoordinates()[0]).isEqualTo(new Coordinate(1, 1));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    // winding number of a place as the sum of the angles under which the pieces are seen, over a full turn (Hormann and Agathos,
    // Computational Geometry 20, 131, 2001)
    @Tag("outside")
    void everyPlaceIsInsideOrOutsideAsTheAnglesSay(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Coordinate[]> rings = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            int count = 3 + random.nextInt(9);
            Coordinate[] ring = new Coordinate[count + 1];
            for (int k = 0; k < count; k++) {
                ring[k] = new Coordinate(100 * random.nextDouble(), 100 * random.nextDouble());
            }
            ring[count] = ring[0].copy();
            rings.add(ring);
        }
        Geometry nonZero = Winding.area(rings, false);
        Geometry odd = Winding.area(rings, true);
        assertThat(nonZero.isValid() && odd.isValid()).isTrue();
        for (int i = 0; i < 400; i++) {
            Coordinate at = new Coordinate(100 * random.nextDouble(), 100 * random.nextDouble());
            if (near(at, rings)) {
                continue;
            }
            long number = Math.round(rings.stream().mapToDouble(r -> turns(at, r)).sum());
            assertThat(nonZero.intersects(FACTORY.createPoint(at))).as("%s, winding number %d", at, number).isEqualTo(number != 0);
            assertThat(odd.intersects(FACTORY.createPoint(at))).as("%s, winding number %d", at, number).isEqualTo(number % 2 != 0);
        }
    }

    private static boolean near(Coordinate at, List<Coordinate[]> rings) {
        return rings.stream().anyMatch(r -> FACTORY.createLineString(r).distance(FACTORY.createPoint(at)) < 1e-3);
    }

    private static double turns(Coordinate at, Coordinate[] ring) {
        double angle = 0;
        for (int i = 1; i < ring.length; i++) {
            double ax = ring[i - 1].x - at.x;
            double ay = ring[i - 1].y - at.y;
            double bx = ring[i].x - at.x;
            double by = ring[i].y - at.y;
            angle += Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
        }
        return angle / (2 * Math.PI);
    }

    @Test
    void sizeAndPlaceDoNotMatter() {
        Path2D star = new Path2D.Double();
        for (int i = 0; i < 7; i++) {
            double angle = 2 * Math.PI * 3 * i / 7;
            if (i == 0) {
                star.moveTo(Math.cos(angle), Math.sin(angle));
            } else {
                star.lineTo(Math.cos(angle), Math.sin(angle));
            }
        }
        star.closePath();
        double unit = Outlines.area(star, 1e-4).getArea();
        for (double scale : new double[] {1e-3, 1, 1e4}) {
            AffineTransform move = AffineTransform.getTranslateInstance(50 * scale, -20 * scale);
            move.scale(scale, scale);
            assertThat(Outlines.area(move.createTransformedShape(star), 1e-4).getArea()).isCloseTo(unit * scale * scale,
                    within(1e-9 * scale * scale));
        }
    }

    @Test
    void tooManyPiecesAndPlacesBeyondAnyNumberAreRefused() {
        Path2D crumbs = new Path2D.Double();
        for (int i = 0; i < 2_500; i++) {
            crumbs.append(new Rectangle2D.Double(i, 0, 0.5, 0.5), false);
        }
        assertThatThrownBy(() -> Outlines.area(crumbs, 0.1)).isInstanceOf(Intricacy.TooIntricate.class).hasMessageContaining("pieces");
        Path2D beyond = new Path2D.Double();
        beyond.moveTo(0, 0);
        beyond.lineTo(Double.POSITIVE_INFINITY, 3);
        beyond.lineTo(4, Double.NaN);
        assertThatThrownBy(() -> Outlines.area(beyond, 0.1)).isInstanceOf(Intricacy.TooIntricate.class);
    }

    @Test
    void whatGoesBackOnItselfIsACrossingAndAJointIsNot() {
        Coordinate[] back = {new Coordinate(0, 0), new Coordinate(4, 0), new Coordinate(1, 0)};
        Coordinate[] corner = {new Coordinate(0, 0), new Coordinate(4, 0), new Coordinate(4, 3)};
        Coordinate[] touching = {new Coordinate(4, 1), new Coordinate(9, 1)};
        assertThat(Intricacy.crossings(List.<Coordinate[]>of(back))).isEqualTo(1);
        assertThat(Intricacy.crossings(List.<Coordinate[]>of(corner))).isZero();
        assertThat(Intricacy.crossings(List.of(corner, touching))).isEqualTo(1);
    }
}
