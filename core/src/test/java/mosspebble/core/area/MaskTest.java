package mosspebble.core.area;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class MaskTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private static Geometry star(SplittableRandom random) {
        Coordinate[] ring = new Coordinate[12];
        for (int i = 0; i < 11; i++) {
            double r = 3 + 22 * random.nextDouble();
            ring[i] = new Coordinate(r * Math.cos(2 * Math.PI * i / 11), 0.4 * r * Math.sin(2 * Math.PI * i / 11));
        }
        ring[11] = ring[0];
        return FACTORY.createPolygon(ring);
    }

    private static float share(Mask mask, int column, int row) {
        int c = column - mask.column();
        int r = row - mask.row();
        return c >= 0 && r >= 0 && c < mask.columns() && r < mask.rows() ? mask.at(c, r) : 0;
    }

    @Test
    void aCutOutOfAGridCoversWhatTheWholeGridDoesThere() {
        SplittableRandom random = new SplittableRandom(5);
        for (int k = 0; k < 60; k++) {
            Geometry star = star(random);
            Grid whole = new Grid(-30, -15, 0.43, 140, 70);
            int c0 = random.nextInt(30, 80);
            int r0 = random.nextInt(10, 40);
            Grid part = new Grid(whole.left() + c0 * 0.43, whole.top() + r0 * 0.43, 0.43, 37, 21);
            Mask of = Mask.of(star, whole);
            Mask cut = Mask.of(star, part);
            for (int r = 0; r < part.rows(); r++) {
                for (int c = 0; c < part.columns(); c++) {
                    assertThat((double) share(cut, c, r)).as("star %s at %s, %s", k, c, r)
                            .isCloseTo(share(of, c + c0, r + r0), within(2e-6));
                }
            }
        }
    }

    @Test
    void everyCellIsCoveredAsFarAsTheLibraryCutsIt() {
        Geometry star = star(new SplittableRandom(8));
        Grid grid = new Grid(-4, -3, 0.9, 9, 7); // all its borders are crossed
        Mask mask = Mask.of(star, grid);
        for (int r = 0; r < grid.rows(); r++) {
            for (int c = 0; c < grid.columns(); c++) {
                Geometry cell = FACTORY.toGeometry(new Envelope(grid.x(c) - 0.45, grid.x(c) + 0.45, grid.y(r) - 0.45, grid.y(r) + 0.45));
                assertThat((double) share(mask, c, r)).as("cell %s, %s", c, r)
                        .isCloseTo(cell.intersection(star).getArea() / cell.getArea(), within(2e-6));
            }
        }
    }

    @Test
    void theSharesAreThoseOfTheCells() {
        Grid grid = new Grid(-30, -15, 0.43, 140, 70);
        Mask mask = Mask.of(star(new SplittableRandom(9)), grid);
        float[] shares = mask.shares();
        assertThat(shares).hasSize(mask.columns() * mask.rows());
        double sum = 0;
        for (int i = 0; i < shares.length; i++) {
            assertThat(shares[i]).isEqualTo(mask.at(i % mask.columns(), i / mask.columns()));
            sum += shares[i];
        }
        assertThat(sum * 0.43 * 0.43).as("the area of the star").isCloseTo(star(new SplittableRandom(9)).getArea(), within(0.01));
    }
}
