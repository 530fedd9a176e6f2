package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import mosspebble.core.area.Grid;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Viewpoint;
import mosspebble.core.units.Millimetres;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class SeenPictureTest {

    private static final double R = 40;
    private static final int RED = 0xFFC02010;

    /** Face and back together a ball. */
    private static Stone ball() {
        return Stone.cobble().withShape(new Shape.Grown(Form.ROUND, 1, 0))
                .withSize(new Millimetres(2 * R), new Millimetres(2 * R), new Millimetres(2 * R)).withDome(0.5, 1).withBackFullness(1);
    }

    private static int[] seen(Grid grid, Viewpoint viewpoint) {
        int[] top = new int[grid.cells()];
        Arrays.fill(top, RED);
        return SeenPicture.of(ball(), Dome.of(ball()), top, grid, viewpoint);
    }

    private static double share(int[] pixels, Grid grid) {
        double opaque = 0;
        for (int pixel : pixels) {
            opaque += (pixel >>> 24) / 255.0;
        }
        return opaque * grid.cellMm() * grid.cellMm();
    }

    @Test
    // a ball looks like the disc of its tangent cone from everywhere: radius R D / sqrt(D^2 - R^2) in the plane of its middle
    @Tag("outside")
    void aBallIsTheSameDiscFromEverywhere() {
        Grid grid = Grid.around(R + 8, R + 8, 0.4);
        for (Viewpoint viewpoint : new Viewpoint[] {Viewpoint.above(), Viewpoint.table(), Viewpoint.leaning(),
            new Viewpoint(60, 300, 500)}) {
            double far = Math.hypot(viewpoint.eyeHeight(), viewpoint.eyeDistance());
            double radius = R * far / Math.sqrt(far * far - R * R);

            assertThat(Math.sqrt(share(seen(grid, viewpoint), grid) / Math.PI)).as("radius of the disc from %s", viewpoint)
                    .isCloseTo(radius, within(0.25));
        }
    }

    @Test
    void fromAboveOnlyTheFaceIsSeenAndFromAsideTheBackTooLowerDown() {
        Grid grid = Grid.around(R + 8, R + 8, 0.4);
        int[] above = seen(grid, Viewpoint.above());
        int[] table = seen(grid, Viewpoint.table());
        int middle = grid.rows() / 2 * grid.columns() + grid.columns() / 2;
        int low = (int) (grid.rows() / 2 + 0.85 * R / grid.cellMm()) * grid.columns() + grid.columns() / 2;

        assertThat(above[middle]).isEqualTo(RED);
        assertThat(above[low]).isEqualTo(RED);
        assertThat(table[middle]).isEqualTo(RED);
        assertThat(table[low] >>> 24).as("the back is there").isEqualTo(255);
        assertThat(table[low]).as("but it is bare stone").isNotEqualTo(RED);
        assertThat(Arrays.stream(above).filter(p -> p >>> 24 == 0).count()).as("round about is nothing").isGreaterThan(1000);
    }
}
