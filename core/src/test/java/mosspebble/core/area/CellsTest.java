package mosspebble.core.area;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.BitSet;
import java.util.SplittableRandom;
import mosspebble.core.area.Cells;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class CellsTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Grid GRID = Grid.around(60, 40, 0.5);

    private static Geometry blob(SplittableRandom random) {
        return FACTORY.createPoint(new Coordinate(random.nextDouble(-55, 55), random.nextDouble(-35, 35)))
                .buffer(random.nextDouble(0.6, 24));
    }

    /** The same cells, one bit for every cell of the grid. */
    private static BitSet plain(Mask mask) {
        BitSet set = new BitSet(GRID.cells());
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                if (mask.at(c, r) > 0.1f) {
                    set.set((mask.row() + r) * GRID.columns() + mask.column() + c);
                }
            }
        }
        return set;
    }

    private static BitSet spread(BitSet set, int steps) {
        BitSet now = set;
        for (int step = 0; step < steps; step++) {
            BitSet next = (BitSet) now.clone();
            for (int i = now.nextSetBit(0); i >= 0; i = now.nextSetBit(i + 1)) {
                int row = i / GRID.columns();
                int column = i % GRID.columns();
                if (column > 0) {
                    next.set(i - 1);
                }
                if (column + 1 < GRID.columns()) {
                    next.set(i + 1);
                }
                if (row > 0) {
                    next.set(i - GRID.columns());
                }
                if (row + 1 < GRID.rows()) {
                    next.set(i + GRID.columns());
                }
            }
            now = next;
        }
        return now;
    }

    @Test
    @Tag("outside") // java.util.BitSet over the whole grid as a second opinion
    void countingMeetingAndSpreadingAreThoseOfPlainSets() {
        SplittableRandom random = new SplittableRandom(12);
        for (int round = 0; round < 300; round++) {
            Mask one = Mask.of(blob(random), GRID);
            Mask other = Mask.of(blob(random), GRID);
            Cells a = Cells.of(one);
            Cells b = Cells.of(other);
            BitSet pa = plain(one);
            BitSet pb = plain(other);
            assertThat(a.count()).isEqualTo(pa.cardinality());
            BitSet both = (BitSet) pa.clone();
            both.and(pb);
            assertThat(a.common(b)).isEqualTo(both.cardinality());
            assertThat(b.common(a)).isEqualTo(both.cardinality());
            assertThat(a.intersects(b)).isEqualTo(!both.isEmpty());
            int steps = random.nextInt(0, 4);
            BitSet wide = spread(pa, steps);
            assertThat(a.spread(steps, GRID).count()).as("spread by %s", steps).isEqualTo(wide.cardinality());
            wide.and(pb);
            assertThat(a.spread(steps, GRID).common(b)).isEqualTo(wide.cardinality());
        }
    }

    @Test
    void whatBothHaveIsWhatPlainSetsHave() {
        SplittableRandom random = new SplittableRandom(5);
        for (int i = 0; i < 60; i++) {
            Mask one = Mask.of(blob(random), GRID);
            Mask other = Mask.of(blob(random), GRID);
            BitSet both = plain(one);
            both.and(plain(other));
            Cells common = Cells.of(one).and(Cells.of(other));
            assertThat(common.count()).isEqualTo(both.cardinality()).isEqualTo(Cells.of(one).common(Cells.of(other)));
            assertThat(common.common(Cells.of(one))).isEqualTo(common.count());
        }
    }

    @Test
    void aStripIsNoWiderThanItIs() {
        for (double wide : new double[] {0.7, 1.2, 3, 6, 40}) {
            Geometry strip = FACTORY.toGeometry(new org.locationtech.jts.geom.Envelope(-45, 45, 0.1, 0.1 + wide));
            Cells cells = Cells.of(Mask.of(strip, GRID));
            assertThat(cells.widerThan(2)).as("a strip of %s mm against 2 mm", wide).isEqualTo(wide > 2);
            assertThat(cells.widerThan(0)).isTrue();
        }
        assertThat(Cells.of(Mask.of(FACTORY.createPoint(new Coordinate(0, 0)).buffer(10), GRID)).widerThan(19)).isTrue();
        assertThat(Cells.of(Mask.of(FACTORY.createPoint(new Coordinate(0, 0)).buffer(10), GRID)).widerThan(25)).isFalse();
    }

    /** Against the buffer of the geometry library. */
    @Test
    void whatLiesWellWithinIsWhatIsLeftWhenTheEdgeIsTakenAway() {
        SplittableRandom random = new SplittableRandom(4);
        for (int i = 0; i < 40; i++) {
            Geometry area = blob(random).difference(blob(random)); // with holes, and beyond the grid
            double mm = random.nextDouble(0.3, 3);
            Geometry inner = area.buffer(-mm, 32);
            Mask mask = Mask.of(area, GRID);
            Mask core = mask.within(area, GRID, mm);
            int differ = 0;
            for (int r = 0; r < core.rows(); r++) {
                for (int c = 0; c < core.columns(); c++) {
                    double x = GRID.left() + (core.column() + c + 0.5) * GRID.cellMm();
                    double y = GRID.top() + (core.row() + r + 0.5) * GRID.cellMm();
                    boolean in = inner.intersects(FACTORY.createPoint(new Coordinate(x, y)));
                    differ += in != core.at(c, r) >= 0.5f ? 1 : 0;
                    assertThat(core.at(c, r)).isIn(0f, mask.at(c, r));
                }
            }
            assertThat(differ).as("cells on the very edge of it").isLessThanOrEqualTo(2 + core.cells() / 200);
            assertThat(core.cells()).isLessThanOrEqualTo(mask.cells());
        }
    }

    @Test
    void nothingMeetsNothing() {
        Cells none = Cells.of(Mask.of(FACTORY.createPolygon(), GRID));
        Cells some = Cells.of(Mask.of(FACTORY.createPoint(new Coordinate(0, 0)).buffer(5), GRID));
        assertThat(none.count()).isZero();
        assertThat(none.intersects(some)).isFalse();
        assertThat(some.intersects(none)).isFalse();
        assertThat(none.spread(3, GRID).count()).isZero();
    }
}
