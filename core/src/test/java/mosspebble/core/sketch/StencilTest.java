package mosspebble.core.sketch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.area.Shapes;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/** Templates to cut out: nothing falls out of them. */
class StencilTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Geometry STONE = disc(0, 0, 50);

    private static Geometry disc(double x, double y, double radius) {
        return FACTORY.createPoint(new Coordinate(x, y)).buffer(radius, 16);
    }

    private static Geometry ring(double x, double y, double outer, double inner) {
        return disc(x, y, outer).difference(disc(x, y, inner));
    }

    private static Geometry left(Stencil stencil) {
        return stencil.paper().difference(Shapes.union(List.copyOf(stencil.cuts())));
    }

    @Test
    void theMiddleOfAnOIsHeldByTwoBridgesOfFullWidth() {
        Stencil stencil = Stencil.of(ring(0, 0, 12, 7), STONE, 1.6).orElseThrow();

        assertThat(stencil.bridges()).isEqualTo(2);
        assertThat(stencil.cuts()).as("two halves of a ring").hasSize(2);
        assertThat(left(stencil).getNumGeometries()).as("one sheet of paper").isEqualTo(1);
        assertThat(left(stencil).buffer(-0.78).getNumGeometries()).as("that still hangs together 1.56 mm wide").isEqualTo(1);
        double cut = stencil.cuts().stream().mapToDouble(Polygon::getArea).sum();
        // two bridges of 1.6 mm over a ring 5 mm wide; a little more, as its edges are curved
        assertThat(ring(0, 0, 12, 7).getArea() - cut).isCloseTo(2 * 1.6 * 5, within(0.4));
    }

    @Test
    void aSmallMiddleHasOneBridgeAndASpeckNone() {
        Stencil small = Stencil.of(ring(0, 0, 6, 2), STONE, 1.6).orElseThrow();
        Stencil speck = Stencil.of(ring(0, 0, 6, 0.4), STONE, 1.6).orElseThrow();

        assertThat(small.bridges()).isEqualTo(1);
        assertThat(left(small).getNumGeometries()).isEqualTo(1);
        assertThat(speck.bridges()).isZero();
        assertThat(speck.cuts()).singleElement().satisfies(c -> assertThat(c.getNumInteriorRing()).isZero());
    }

    @Test
    void ringsWithinRingsHangTogetherAsWell() {
        Geometry target = Shapes.union(List.of(ring(0, 0, 30, 24), ring(0, 0, 18, 12), disc(0, 0, 5)));
        Stencil stencil = Stencil.of(target, STONE, 1.6).orElseThrow();

        assertThat(left(stencil).getNumGeometries()).isEqualTo(1);
        assertThat(stencil.cuts()).isSortedAccordingTo((a, b) -> Double.compare(a.getArea(), b.getArea()));
        assertThat(stencil.cuts()).hasSize(5);
    }

    @Test
    void whateverTheDesignNothingFallsOutAndNothingElseIsCut() {
        SplittableRandom random = new SplittableRandom(3);
        for (int k = 0; k < 60; k++) {
            Geometry design = disc(random.nextDouble(-20, 20), random.nextDouble(-20, 20), random.nextDouble(4, 18));
            for (int i = 0; i < 9; i++) {
                Geometry next = disc(random.nextDouble(-25, 25), random.nextDouble(-25, 25), random.nextDouble(1, 10));
                design = i % 3 == 0 ? design.union(next) : design.difference(next);
            }
            Geometry wanted = design;
            Stencil.of(design, STONE, 1.6).ifPresent(stencil -> {
                Geometry paper = left(stencil);
                for (int i = 0; i < paper.getNumGeometries(); i++) {
                    boolean sheet = paper.getGeometryN(i).getArea() > 0.2 * stencil.paper().getArea();
                    assertThat(sheet || paper.getGeometryN(i).getArea() < 0.01).as("a piece of %s mm²", paper.getGeometryN(i).getArea())
                            .isTrue();
                }
                assertThat(Shapes.union(List.copyOf(stencil.cuts())).difference(wanted.buffer(1e-6)).getArea())
                        .as("specks alone are cut besides").isLessThan(9 * 1.0);
                assertThat(stencil.paper().buffer(-2.9).contains(wanted)).as("3 mm are left round it").isTrue();
            });
        }
    }

    @Test
    void nothingToCutAndAllOfItCutAreNoTemplate() {
        assertThat(Stencil.of(Shapes.nothing(), STONE, 1.6)).isEmpty();
        assertThat(Stencil.of(disc(0, 0, 0.3), STONE, 1.6)).isEmpty();
        assertThat(Stencil.of(disc(0, 0, 49), STONE, 1.6)).as("it would be a hole").isEmpty();
    }
}
