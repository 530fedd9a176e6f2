package mosspebble.core.blend;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class DabsTest {

    private static final Geometry FIELD = new GeometryFactory().toGeometry(new Envelope(-40, 40, -30, 30));

    /** Squares in which dabs are counted, mm. */
    private static final int SQUARE = 5;

    private static List<Geometry> sponge(double share, long seed) {
        return new Dabs(FIELD, seed).sponge(1.2, 2, c -> share);
    }

    private static double[] counts(Geometry dabs) {
        double[] counts = new double[80 / SQUARE * (60 / SQUARE)];
        for (int i = 0; i < dabs.getNumGeometries(); i++) {
            Coordinate middle = dabs.getGeometryN(i).getCentroid().getCoordinate();
            counts[(int) ((middle.y + 30) / SQUARE) * (80 / SQUARE) + (int) ((middle.x + 40) / SQUARE)]++;
        }
        return counts;
    }

    private static double mean(double[] of) {
        return Arrays.stream(of).average().orElseThrow();
    }

    private static double together(double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += (one[i] - mean(one)) * (other[i] - mean(other));
        }
        return sum / one.length;
    }

    @Test
    @Tag("outside") // variance over mean of counts in squares is 1 for points strewn at random, less on a grid, more in clouds
    void aSpongeSetsClouds() {
        for (long seed = 1; seed <= 4; seed++) {
            List<Geometry> dabs = sponge(0.5, seed);
            double[] first = counts(dabs.get(0));
            double[] second = counts(dabs.get(1));
            assertThat(together(first, first) / mean(first)).as("first colour, seed %d", seed).isGreaterThan(1.5);
            assertThat(together(second, second) / mean(second)).as("second colour, seed %d", seed).isGreaterThan(1.5);
            assertThat(together(first, second)).as("pressed elsewhere for another colour, seed %d", seed).isNegative();
        }
    }

    @Test
    void noDabLiesOverAnotherAndAllLieInside() {
        List<Geometry> dabs = sponge(0.9, 7);
        assertThat(dabs.get(0).getNumGeometries() + dabs.get(1).getNumGeometries()).isGreaterThan(500);
        for (Geometry each : dabs) {
            assertThat(FIELD.covers(each)).isTrue();
            assertThat(each.isValid()).as("no two of a colour over one another").isTrue();
        }
        assertThat(dabs.get(0).intersects(dabs.get(1))).isFalse();
        assertThat(sponge(0, 7)).allMatch(Geometry::isEmpty);
        assertThat(sponge(0.9, 7).get(0).equalsExact(dabs.get(0))).as("the same seed gives the same dabs").isTrue();
    }
}
