package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.operation.distance.DistanceOp;

class RingTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    /** Round about 40 mm, with bays as deep as told. */
    private static Coordinate[] bays(double deep) {
        Coordinate[] corners = new Coordinate[301];
        for (int i = 0; i < 300; i++) {
            double angle = 2 * Math.PI * i / 300;
            double radius = 40 + deep * Math.sin(5 * angle) + 0.3 * Math.sin(37 * angle);
            corners[i] = new Coordinate(radius * Math.cos(angle), radius * Math.sin(angle));
        }
        corners[300] = corners[0].copy();
        return corners;
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 4, 25})
    @Tag("outside") // nearest places by the geometry library's own search
    void theNearestPlaceIsThatOfTheGeometryLibraryWhereverTheOneBeforeLay(double deep) {
        Coordinate[] corners = bays(deep);
        LinearRing outline = FACTORY.createLinearRing(corners);
        Ring ring = new Ring(corners);
        SplittableRandom random = new SplittableRandom(8);
        for (int k = 0; k < 400; k++) {
            boolean jumps = k % 10 == 0; // mostly a step on along the outline, at times anywhere
            double angle = jumps ? random.nextDouble(7) : 0.04 * k;
            double far = jumps ? random.nextDouble(90) : 40 + random.nextDouble(-2, 2);
            Coordinate at = new Coordinate(far * Math.cos(angle), far * Math.sin(angle));
            Coordinate nearest = new DistanceOp(outline, FACTORY.createPoint(at)).nearestPoints()[0];
            double across = random.nextDouble(7);

            assertThat(ring.across(at.x, at.y, Math.cos(across), Math.sin(across))).as("from %s", at)
                    .isCloseTo((nearest.x - at.x) * Math.cos(across) + (nearest.y - at.y) * Math.sin(across), within(1e-9));
        }
    }

    @Test
    void cornersOnOneAnotherHideNothing() {
        Ring ring = new Ring(new Coordinate[] {new Coordinate(0, 0), new Coordinate(0, 0), new Coordinate(10, 0), new Coordinate(10, 0),
            new Coordinate(10, 10), new Coordinate(0, 10), new Coordinate(0, 0), new Coordinate(0, 0)});

        assertThat(ring.across(4, 7, 0, 1)).as("up to the side, 3 off").isCloseTo(3, within(1e-12));
        assertThat(ring.across(9, 4, 1, 0)).isCloseTo(1, within(1e-12));
        assertThat(ring.across(12, -5, 1, 0)).as("to the corner, as far as it goes to the right").isCloseTo(-2, within(1e-12));
        assertThat(ring.across(12, -5, 0, 1)).isCloseTo(5, within(1e-12));
    }
}
