package mosspebble.core.area;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Areas, the cells they cover and rays to their edge, held against plain geometry and the library's own overlay. */
class ShapesTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static Geometry disc(double x, double y, double r) {
        return FACTORY.createPoint(new Coordinate(x, y)).buffer(r, 32);
    }

    /** A star-shaped blot that has nothing regular about it. */
    private static Polygon blot(SplittableRandom random) {
        int corners = random.nextInt(5, 24);
        Coordinate[] ring = new Coordinate[corners + 1];
        double x = random.nextDouble(-12, 12);
        double y = random.nextDouble(-12, 12);
        for (int i = 0; i < corners; i++) {
            double angle = 2 * Math.PI * i / corners;
            double r = random.nextDouble(1, 14);
            ring[i] = new Coordinate(x + r * Math.cos(angle), y + r * Math.sin(angle));
        }
        ring[corners] = ring[0].copy();
        return FACTORY.createPolygon(ring);
    }

    @Test
    void areasAddUpHoweverTheyAreTakenApart() {
        SplittableRandom random = new SplittableRandom(17);
        for (int i = 0; i < 60; i++) {
            Geometry one = blot(random);
            Geometry other = blot(random);
            double common = Shapes.common(one, other).getArea();
            assertThat(Shapes.union(one, other).getArea()).as("inclusion and exclusion").isCloseTo(
                    one.getArea() + other.getArea() - common, within(1e-6));
            assertThat(Shapes.minus(one, other).getArea()).isCloseTo(one.getArea() - common, within(1e-6));
            assertThat(Shapes.union(one, other).isValid()).isTrue();
            assertThat(Shapes.minus(one, Shapes.nothing())).isSameAs(one);
            assertThat(Shapes.union(Shapes.nothing(), other)).isSameAs(other);
            assertThat(Shapes.common(one, Shapes.nothing()).isEmpty()).isTrue();
        }
    }

    @Test
    void manyCutsAtOnceAreTheSameAsOneAfterTheOther() {
        SplittableRandom random = new SplittableRandom(23);
        for (int count : new int[] {0, 1, 3, 5, 6, 7, 20}) {
            Geometry area = disc(0, 0, 20);
            List<Geometry> cuts = new ArrayList<>();
            Geometry slowly = area;
            for (int i = 0; i < count; i++) {
                Geometry cut = blot(random);
                cuts.add(cut);
                slowly = slowly.difference(cut);
            }
            Geometry left = Shapes.minus(area, cuts);
            assertThat(left.symDifference(slowly).getArea()).as("%d cuts", count).isLessThan(1e-6);
            assertThat(left.getGeometryType()).isIn("Polygon", "MultiPolygon");
        }
    }

    @Test
    // Steiner's formula: a convex area grown by r has A + P r + pi r2; a round with four segments a quarter is a little less
    @Tag("outside")
    void growingFollowsSteiner() {
        Geometry box = box(0, 0, 30, 20);
        for (double r : new double[] {0.5, 2, 5}) {
            assertThat(Shapes.grown(box, r).getArea()).isCloseTo(600 + 100 * r + Math.PI * r * r, within(0.03 * Math.PI * r * r));
        }
        assertThat(Shapes.grown(box, -3).getArea()).isCloseTo(24 * 14, within(1e-9));
        assertThat(Shapes.grown(box, -11).isEmpty()).as("nothing is left").isTrue();
        assertThat(Shapes.grown(box, 0)).isSameAs(box);
        Geometry line = FACTORY.createLineString(new Coordinate[] {new Coordinate(0, 0), new Coordinate(40, 0)});
        assertThat(Shapes.stroke(line, 0.8).getArea()).as("a pen line with round ends").isCloseTo(40 * 0.8 + Math.PI * 0.16,
                within(0.02));
    }

    @Test
    // a convex area moved straight by d sweeps A + d times its width across the way
    @Tag("outside")
    void sweepingFollowsCavalieri() {
        Geometry disc = disc(3, 4, 10);
        assertThat(Shapes.swept(disc, 6, 8).getArea()).isCloseTo(disc.getArea() + 10 * 20, within(1.0));
        assertThat(Shapes.swept(box(0, 0, 10, 5), 7, 0).getArea()).isCloseTo(85, within(1e-6));
        Geometry ring = disc(0, 0, 10).difference(disc(0, 0, 8));
        assertThat(Shapes.swept(ring, 30, 0).contains(FACTORY.createPoint(new Coordinate(15, 0)))).as("the band between").isTrue();
        assertThat(Shapes.swept(ring, 1, 0).contains(FACTORY.createPoint(new Coordinate(0, 0)))).as("the hole stays").isFalse();
    }

    @Test
    void linesAreCutByAreasAndTheLargestPieceIsFound() {
        Geometry line = FACTORY.createLineString(new Coordinate[] {new Coordinate(-20, 0), new Coordinate(20, 0)});
        Geometry disc = disc(0, 0, 10);
        assertThat(Shapes.inside(line, disc).getLength()).isCloseTo(20, within(0.01));
        assertThat(Shapes.outside(line, disc).getLength()).isCloseTo(20, within(0.01));
        assertThat(Shapes.outside(line, box(0, 50, 1, 60))).isSameAs(line);
        Geometry two = box(0, 0, 4, 4).union(box(10, 0, 16, 6));
        assertThat(Shapes.largest(two).orElseThrow().getArea()).isCloseTo(36, within(1e-9));
        assertThat(Shapes.ring(two).orElseThrow().getLength()).isCloseTo(24, within(1e-9));
        assertThat(Shapes.ring(box(0, 0, 4, 4))).as("too small to run along").isEmpty();
        assertThat(Shapes.largest(Shapes.nothing())).isEmpty();
        Geometry mixed = FACTORY.createGeometryCollection(new Geometry[] {line, box(0, 0, 2, 2)});
        assertThat(Shapes.polygons(mixed).getArea()).isCloseTo(4, within(1e-9));
        assertThat(Shapes.polygons(line).isEmpty()).isTrue();
    }

    @Test
    void eachCellKnowsExactlyHowMuchOfItIsCovered() {
        SplittableRandom random = new SplittableRandom(31);
        Grid grid = new Grid(-30, -25, 0.9, 64, 55);
        for (int i = 0; i < 12; i++) {
            Geometry area = i % 3 == 0 ? blot(random).difference(disc(0, 0, 4)) : blot(random);
            Mask mask = Mask.of(area, grid);
            double covered = 0;
            for (int r = 0; r < mask.rows(); r++) {
                for (int c = 0; c < mask.columns(); c++) {
                    covered += mask.at(c, r);
                    if ((r * 7 + c) % 11 == 0) {
                        double left = grid.left() + (mask.column() + c) * 0.9;
                        double top = grid.top() + (mask.row() + r) * 0.9;
                        double truth = area.intersection(box(left, top, left + 0.9, top + 0.9)).getArea() / 0.81;
                        assertThat((double) mask.at(c, r)).isCloseTo(truth, within(2e-4));
                    }
                }
            }
            assertThat(covered * 0.81).as("all cells together").isCloseTo(area.getArea(), within(1e-3 * area.getArea() + 0.01));
        }
    }

    @Test
    void whatLiesOutsideTheGridIsCutOffAndNothingIsNoCell() {
        Grid grid = new Grid(0, 0, 1, 20, 10);
        Mask half = Mask.of(box(-10, 2, 5, 6), grid);
        double covered = 0;
        for (int r = 0; r < half.rows(); r++) {
            for (int c = 0; c < half.columns(); c++) {
                covered += half.at(c, r);
            }
        }
        assertThat(covered).isCloseTo(20, within(1e-4));
        assertThat(Mask.of(box(40, 40, 50, 50), grid).isEmpty()).isTrue();
        assertThat(Mask.of(Shapes.nothing(), grid).isEmpty()).isTrue();
        assertThat(Cells.of(Mask.of(box(40, 40, 50, 50), grid)).count()).isZero();
    }

    @Test
    // the chamfer distance of weights 3 and 4 is right to 8 % (G. Borgefors 1986)
    @Tag("outside")
    void theWidestDiscIsFoundToTwoCellsAndEightPercent() {
        Grid grid = new Grid(-40, -40, 0.5, 160, 160);
        for (double r : new double[] {3, 7, 15}) {
            assertThat(Mask.of(disc(1, -2, r), grid).widest() * 0.5).as("disc of %s", r).isCloseTo(2 * r, within(0.08 * 2 * r + 1));
        }
        assertThat(Mask.of(box(-20, 0, 20, 6), grid).widest() * 0.5).as("a band").isCloseTo(6, within(0.08 * 6 + 1));
        Geometry turned = AffineTransformation.rotationInstance(Math.toRadians(33)).transform(box(-20, -3, 20, 3));
        assertThat(Mask.of(turned, grid).widest() * 0.5).as("the same band turned").isCloseTo(6, within(0.08 * 6 + 1));
    }

    @Test
    void raysMeetTheNearestAndTheFarthestEdge() {
        Geometry ring = disc(0, 0, 10);
        for (double angle = 0; angle < 6.28; angle += 0.37) {
            assertThat(Rays.radius(ring, 0, 0, angle)).isCloseTo(10, within(0.02));
            assertThat(Rays.radius(ring, 3, 0, angle)).as("by the law of cosines").isCloseTo(
                    -3 * Math.cos(angle) + Math.sqrt(100 - 9 * Math.sin(angle) * Math.sin(angle)), within(0.03));
        }
        // a C opened to the right, looked through from the left
        Geometry hook = box(-10, -10, 10, 10).difference(box(-6, -4, 20, 4));
        assertThat(Rays.crossing(hook.getCoordinates(), -20, 0.1, 1, 0, false)).isCloseTo(10, within(1e-9));
        assertThat(Rays.crossing(hook.getCoordinates(), -20, 0.1, 1, 0, true)).isCloseTo(14, within(1e-9));
        assertThat(Rays.crossing(hook.getCoordinates(), -20, 0.1, -1, 0, false)).as("behind counts not").isZero();
    }

    @Test
    void scatteredAreasAreJoinedAsTheLibraryJoinsThem() {
        SplittableRandom random = new SplittableRandom(41);
        for (int round = 0; round < 40; round++) {
            List<Geometry> all = new ArrayList<>();
            for (int i = 0; i < random.nextInt(2, 30); i++) {
                all.add(AffineTransformation.translationInstance(random.nextDouble(-90, 90), random.nextDouble(-90, 90))
                        .transform(blot(random)));
            }
            all.add(Shapes.nothing());
            Geometry joined = Shapes.union(all);
            Geometry known = FACTORY.buildGeometry(all).union();
            assertThat(joined.symDifference(known).getArea()).isLessThan(1e-6);
            assertThat(joined.getNumGeometries()).isEqualTo(known.getNumGeometries());
            assertThat(joined.isValid()).isTrue();
        }
        assertThat(Shapes.union(List.of(Shapes.nothing(), Shapes.nothing())).isEmpty()).isTrue();
    }
}
