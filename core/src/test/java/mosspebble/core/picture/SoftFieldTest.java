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

    private static float at(SoftField field, double x, double y) {
        SoftField.Row row = field.new Row();
        row.go(y, x, x);
        return row.at(x);
    }

    @Test
    void anEdgeRunsOutAsTwoBoxesDo() {
        // two box means of half width r make a step into a quadratic spline from -2 r to 2 r: its values by hand
        double r = 1.2;
        Grid grid = SoftField.grid(box(0, 30), r);
        SoftField soft = SoftField.of(grid, SoftField.covered(box(0, 30), grid), r);
        for (double t = -2; t <= 2; t += 0.25) {
            double up = t <= 0 ? (t + 2) * (t + 2) / 8 : 1 - (2 - t) * (2 - t) / 8;
            assertThat((double) at(soft, t * r, 0)).as("%s r from the edge", t).isCloseTo(up, within(0.01));
        }
        assertThat(at(soft, 15, 0)).isCloseTo(1, within(1e-4f));
        assertThat(at(soft, -2.6 * r, 0)).isZero();
    }

    @Test
    void itsCellsAreBounded() {
        Geometry wide = new GeometryFactory().toGeometry(new Envelope(-1000, 1000, -800, 800));
        assertThat(SoftField.grid(wide, 0.05).cells()).isLessThan(260_000);
        assertThat(SoftField.grid(box(0, 10), 3.5).cellMm()).isEqualTo(1, within(1e-9));
    }

    /** Read between four cells: what is straight along both sides stays so, and beyond the cells it is as at their border. */
    @Test
    void aRowReadsWhatLiesBetweenItsCells() {
        Grid grid = new Grid(-3, 5, 0.5, 40, 30);
        float[] plane = new float[grid.cells()];
        for (int i = 0; i < plane.length; i++) {
            plane[i] = (float) (2 + 0.1 * grid.x(i % 40) - 0.05 * grid.y(i / 40));
        }
        SoftField field = SoftField.of(grid, plane, 0.01); // softened over three cells, which leaves a plane as it is
        SoftField.Row row = field.new Row();
        for (double y = 7; y < 18; y += 0.37) {
            row.go(y, -1, 15);
            for (double x = -1; x < 15; x += 0.29) {
                assertThat((double) row.at(x)).as("%s, %s", x, y).isCloseTo(2 + 0.1 * x - 0.05 * y, within(1e-4));
            }
        }
        assertThat(at(field, -40, 12)).isCloseTo(at(field, -2.75, 12), within(1e-6f));
        assertThat(at(field, 400, 12)).isCloseTo(at(field, 16.7495, 12), within(1e-4f));
    }

    @Test
    void whatLiesInAnAreaIsItsShareOfIt() {
        Grid grid = SoftField.grid(box(0, 30), 1);
        SoftField all = SoftField.of(grid, SoftField.covered(box(0, 30), grid), 1);
        SoftField half = SoftField.of(grid, SoftField.covered(box(0, 15), grid), 1);
        SoftField share = half.shareOf(all);
        assertThat(at(share, 0, 0)).as("on the edge of both").isCloseTo(1, within(1e-4f));
        assertThat(at(share, 15, 0)).as("on its own edge").isCloseTo(0.5f, within(0.02f));
        assertThat(at(share, 28, 0)).isZero();
        assertThat(at(share, -2.5, 0)).as("beyond both").isZero();
    }
}
