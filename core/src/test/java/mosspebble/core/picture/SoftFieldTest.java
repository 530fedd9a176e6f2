package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import mosspebble.core.area.Grid;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class SoftFieldTest {

    private static Geometry box(double x0, double x1) {
        return new GeometryFactory().toGeometry(new Envelope(x0, x1, -20, 20));
    }

    @Test
    void anEdgeRunsOutAsTwoBoxesDo() {
        // two box means of half width r make a step into a quadratic spline from -2 r to 2 r: its values by hand
        double r = 1.2;
        Grid grid = SoftField.grid(box(0, 30), r);
        SoftField soft = SoftField.of(grid, SoftField.covered(box(0, 30), grid), r);
        for (double t = -2; t <= 2; t += 0.25) {
            double up = t <= 0 ? (t + 2) * (t + 2) / 8 : 1 - (2 - t) * (2 - t) / 8;
            assertThat((double) soft.at(t * r, 0)).as("%s r from the edge", t).isCloseTo(up, within(0.01));
        }
        assertThat(soft.at(15, 0)).isCloseTo(1, within(1e-4f));
        assertThat(soft.at(-2.6 * r, 0)).isZero();
    }

    @Test
    void itsCellsAreBounded() {
        Geometry wide = new GeometryFactory().toGeometry(new Envelope(-1000, 1000, -800, 800));
        assertThat(SoftField.grid(wide, 0.05).cells()).isLessThan(260_000);
        assertThat(SoftField.grid(box(0, 10), 3.5).cellMm()).isEqualTo(1, within(1e-9));
    }
}
