package mosspebble.core.stone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;

/** Balls, half balls and stones that lean, worked out by hand. */
class StoneByHandTest {

    private static final double R = 40;

    private static Stone sized(double length, double width, double height) {
        return Stone.cobble().withSize(new Millimetres(length), new Millimetres(width), new Millimetres(height))
                .withShape(new Shape.Grown(Form.OVAL, 1, 0));
    }

    private static Stone halfBall() {
        return sized(2 * R, 2 * R, R).withDome(1, 1);
    }

    private static Stone ball() {
        return sized(2 * R, 2 * R, 2 * R).withDome(0.5, 1).withBackFullness(1);
    }

    /** From the girdle up to where a ball is no steeper than the limit: the radius times the angle that is left of a right one. */
    private static double rim() {
        return R * Math.toRadians(90 - ZoneLimits.usual().rimTilt());
    }

    @Test
    void theEdgeOfAHalfBallIsAStripAsLongAsItsGirdleAndFlatBelow() {
        EdgeStrip strip = EdgeStrip.of(Survey.of(halfBall()));
        assertThat(strip.lengthMm()).isCloseTo(2 * Math.PI * R, within(0.1));
        assertThat(strip.along()[60]).as("a quarter of the way").isCloseTo(Math.PI * R / 2, within(0.05));
        assertThat(strip.mostFrontMm()).isCloseTo(rim(), within(1.2));
        assertThat(strip.mostBackMm()).isZero();
        assertThat(strip.lowestMm()).isCloseTo(rim(), within(1.2));
        assertThat(strip.polygon().getArea()).isCloseTo(2 * Math.PI * R * strip.front()[0], Percentage.withPercentage(4));
        Envelope box = strip.polygon().getEnvelopeInternal();
        assertThat(box.getMaxY()).as("nothing toward the back").isZero();
        assertThat(box.getMinY()).as("the front is up").isEqualTo(-strip.mostFrontMm());
    }

    @Test
    void theEdgeOfABallReachesAsFarToTheBackAsToTheFrontAndIsCutInBands() {
        EdgeStrip strip = EdgeStrip.of(Survey.of(ball()));
        assertThat(strip.mostBackMm()).isCloseTo(strip.mostFrontMm(), within(0.3));
        assertThat(strip.lowestMm()).isCloseTo(2 * rim(), within(2.5));
        assertThat(strip.between(1, 3).getArea()).as("two of its millimetres").isCloseTo(2 * strip.lengthMm(), within(1e-6));
        assertThat(strip.between(1, 3).getEnvelopeInternal()).isEqualTo(new Envelope(0, strip.lengthMm(), -3, -1));
        assertThat(strip.between(-2, 0).getEnvelopeInternal()).isEqualTo(new Envelope(0, strip.lengthMm(), 0, 2));
        assertThat(strip.between(500, 600).isEmpty()).as("beyond it").isTrue();
        assertThat(strip.between(-600, -500).isEmpty()).isTrue();
        assertThat(strip.between(-600, 600).getArea()).isCloseTo(strip.polygon().getArea(), within(1e-9));
    }

    @Test
    void theNormalOfAHalfBallPointsAwayFromItsMiddleAndComesWithItsHeight() {
        Dome dome = Dome.of(halfBall());
        SplittableRandom random = new SplittableRandom(3);
        double[] normal = new double[3];
        int inside = 0;
        for (int k = 0; k < 2_000; k++) {
            double x = random.nextDouble(-R - 3, R + 3);
            double y = random.nextDouble(-R - 3, R + 3);
            double height = dome.surfaceAt(x, y, normal);
            assertThat(height).as("%s, %s", x, y).isEqualTo(dome.smoothHeightAt(x, y));
            assertThat(Math.hypot(Math.hypot(normal[0], normal[1]), normal[2])).isCloseTo(1, within(1e-9));
            double r = Math.hypot(x, y);
            if (r < 0.93 * R) {
                inside++;
                double z = Math.sqrt(R * R - r * r);
                assertThat(height).isCloseTo(z, within(0.12));
                assertThat(normal[0]).isCloseTo(x / R, within(0.02));
                assertThat(normal[1]).isCloseTo(y / R, within(0.02));
                assertThat(normal[2]).isCloseTo(z / R, within(0.03));
            } else if (r > R + 0.5) {
                assertThat(height).as("beside it").isZero();
            }
        }
        assertThat(inside).isGreaterThan(1_000);
    }

    /** With marks the normal is that of the height with them: against differences of it. */
    @Test
    void aMarkBendsTheNormalAsItBendsTheHeight() {
        Dome dome = Dome.of(halfBall().withPatches(List.of(Patch.at(Patch.Kind.DENT, 6, -4, 5, 2))));
        double[] normal = new double[3];
        double e = 0.3;
        for (double[] at : new double[][] {{6, -4}, {9, -4}, {6, -8}, {3, -2}, {8, -6}, {-12, 9}}) {
            dome.normalAt(at[0], at[1], normal);
            double sx = (dome.heightAt(at[0] + e, at[1]) - dome.heightAt(at[0] - e, at[1])) / (2 * e);
            double sy = (dome.heightAt(at[0], at[1] + e) - dome.heightAt(at[0], at[1] - e)) / (2 * e);
            assertThat(normal[0] / normal[2]).as("%s, %s", at[0], at[1]).isCloseTo(-sx, within(0.08));
            assertThat(normal[1] / normal[2]).as("%s, %s", at[0], at[1]).isCloseTo(-sy, within(0.08));
        }
    }

    @Test
    void theEyesFrameStandsSquareAndWhatItSeesIsFoundAgain() {
        Dome dome = Dome.of(halfBall());
        for (Eye eye : new Eye[] {new Eye(0, 0, 500), new Eye(0, 300, 400), new Eye(120, 260, 350), new Eye(-200, 100, 300)}) {
            double[][] f = eye.frame();
            for (int i = 0; i < 3; i++) {
                for (int j = 0; j < 3; j++) {
                    double dot = f[i][0] * f[j][0] + f[i][1] * f[j][1] + f[i][2] * f[j][2];
                    assertThat(dot).as("%s, %d, %d", eye, i, j).isCloseTo(i == j ? 1 : 0, within(1e-9));
                }
            }
            assertThat(f[1][0]).as("right is right").isPositive();
            assertThat(f[2][1]).as("down is toward the painter").isPositive();
            double[] seen = new double[3];
            for (double[] at : new double[][] {{0, 0}, {10, 5}, {-8, 12}, {15, -6}}) {
                double z = dome.heightAt(at[0], at[1]);
                eye.project(at[0], at[1], z, seen);
                double size = Math.sqrt(eye.x() * eye.x() + eye.y() * eye.y() + eye.z() * eye.z());
                assertThat(seen[2]).as("toward the eye").isCloseTo((at[0] * eye.x() + at[1] * eye.y() + z * eye.z()) / size, within(1e-9));
                Coordinate found = eye.cast(dome, seen[0], seen[1]).orElseThrow();
                assertThat(found.distance(new Coordinate(at[0], at[1]))).as("%s from %s", at, eye).isLessThan(0.05);
            }
            assertThat(eye.cast(dome, 400, 0)).as("beside the stone").isEmpty();
        }
        assertThat(new Eye(0, 400, -5).cast(dome, 0, 200)).as("from below the table").isEmpty();
    }

    @Test
    void aPlaceOfTheStonesOwnFrameIsFoundAgainHoweverItLies() {
        Stone stone = Stone.cobble().withShape(new Shape.Grown(Form.TRIANGLE, 0.5, 0.6));
        for (double degrees : new double[] {0, 37, 90, 200}) {
            StoneOutline outline = StoneOutline.of(stone.withWayUp(degrees));
            for (double[] at : new double[][] {{0, 0}, {13, -7}, {-21, 30}}) {
                Coordinate placed = outline.placed(at[0], at[1]);
                Coordinate own = outline.own(placed.x, placed.y);
                assertThat(own.x).as("%s°", degrees).isCloseTo(at[0], within(1e-9));
                assertThat(own.y).isCloseTo(at[1], within(1e-9));
            }
            double far = outline.placed(1, 0).distance(outline.placed(0, 0));
            assertThat(far).as("nothing is stretched").isCloseTo(1, within(1e-9));
        }
        StoneOutline level = StoneOutline.of(stone);
        StoneOutline turned = StoneOutline.of(stone.withWayUp(90));
        assertThat(turned.halfWidth()).isCloseTo(level.halfHeight(), within(0.5));
        assertThat(turned).isNotEqualTo(level).isEqualTo(StoneOutline.of(stone.withWayUp(90)));
        assertThat(turned.hashCode()).isEqualTo(StoneOutline.of(stone.withWayUp(90)).hashCode()).isNotEqualTo(level.hashCode());
    }

    @Test
    void whatAStoneIsMadeOfIsWhatWasSaid() {
        Stone slate = Stone.cobble().withSkin(Skin.of(RockKind.SLATE, Texture.GRAINY, Srgb.ofHex("#5a6068")));
        assertThat(slate.texture()).isEqualTo(Texture.GRAINY);
        assertThat(slate.colour()).isEqualTo(Srgb.ofHex("#5a6068"));
        assertThat(IntStream.range(1, Texture.values().length)
                .allMatch(i -> Texture.values()[i].pitMm() > 2 * Texture.values()[i - 1].pitMm())).as("rougher, larger pits").isTrue();
        assertThat(RockKind.values()).filteredOn(RockKind::isCast).containsExactlyInAnyOrder(RockKind.CAST_PLASTER, RockKind.CAST_CEMENT);
        for (Casting.Powder powder : Casting.Powder.values()) {
            assertThat(powder.label()).isNotBlank();
            assertThat(powder.waterRatio()).as("%s: less water than powder, as bags say (common practice, no source)", powder)
                    .isBetween(0.15, 0.9);
            assertThat(powder.rock().isCast()).isTrue();
            assertThat(powder.demouldMinutes()).isGreaterThan(powder.workMinutes());
        }
        Viewpoint shelf = Viewpoint.shelf();
        assertThat(shelf.straightDown()).isFalse();
        assertThat(Math.toDegrees(Math.atan2(shelf.eye().z(), Math.abs(shelf.eye().y())))).as("a standing stone is seen nearly square")
                .isGreaterThan(65);
    }

    /** A ring moved by (100, -40) and, if wished, run the other way round. */
    private static StoneOutline.Traced traced(boolean back, double[]... corners) {
        int n = corners.length;
        double[] x = new double[n];
        double[] y = new double[n];
        for (int i = 0; i < n; i++) {
            double[] corner = corners[back ? n - 1 - i : i];
            x[i] = corner[0] + 100;
            y[i] = corner[1] - 40;
        }
        return StoneOutline.trace(Shape.Source.HAND, x, y, 360);
    }

    private static double spoke(StoneOutline.Traced traced, int degrees) {
        return traced.shape().spokes().get(degrees).mm();
    }

    /** By hand: all of an L is seen from the square in its corner alone, whose middle is (10, 10). */
    @Test
    void anAngleIsSeenWholeFromItsCorner() {
        for (boolean back : new boolean[] {false, true}) {
            StoneOutline.Traced angle = traced(back, new double[] {0, 0}, new double[] {60, 0}, new double[] {60, 20},
                    new double[] {20, 20}, new double[] {20, 60}, new double[] {0, 60});
            assertThat(angle.bridged()).isFalse();
            assertThat(angle.poleX()).isCloseTo(110, within(1e-9));
            assertThat(angle.poleY()).isCloseTo(-30, within(1e-9));
            assertThat(spoke(angle, 0)).as("along its foot").isCloseTo(50, within(1e-9));
            assertThat(spoke(angle, 90)).as("along its stem").isCloseTo(50, within(1e-9));
            assertThat(spoke(angle, 45)).as("to its inner corner").isCloseTo(Math.hypot(10, 10), within(1e-9));
            assertThat(spoke(angle, 180)).isCloseTo(10, within(1e-9));
            assertThat(spoke(angle, 225)).isCloseTo(Math.hypot(10, 10), within(1e-9));
        }
    }

    /** The same L to the left and above, as wide as it is high. */
    @Test
    void anAngleIsSeenWholeFromItsCornerWhereverItLies() {
        double[] x = {-60, 0, 0, -40, -40, -60};
        double[] y = {-60, -60, -40, -40, 0, 0};
        StoneOutline.Traced angle = StoneOutline.trace(Shape.Source.HAND, x, y, 360);
        assertThat(angle.bridged()).isFalse();
        assertThat(angle.poleX()).isCloseTo(-50, within(1e-9));
        assertThat(angle.poleY()).isCloseTo(-50, within(1e-9));
        assertThat(spoke(angle, 0)).isCloseTo(50, within(1e-9));
    }

    @Test
    void theSpokesOfAnOvalAreHalfItsMeasures() {
        Shape.Measured spokes = StoneOutline.spokes(sized(90, 60, 20).withWayUp(35), 4);
        assertThat(spokes.source()).isEqualTo(Shape.Source.HAND);
        assertThat(spokes.spokes().stream().mapToDouble(Shape.Spoke::mm).toArray()).as("however it lies")
                .containsExactly(new double[] {45, 30, 45, 30}, within(0.05));
    }

    /** Walked in steps of its own, finer than those that are tested. */
    private static double toTheFace(Dome dome, double angle) {
        double limit = Math.cos(Math.toRadians(ZoneLimits.usual().rimTilt()));
        double radius = dome.outline().radius(angle);
        double length = 0;
        double beforeR = radius;
        double beforeZ = 0;
        double[] normal = new double[3];
        for (double share = 0.0005; share <= 1; share += 0.0005) {
            double r = radius * Math.cos(Math.PI / 2 * share);
            double z = dome.surfaceAt(dome.outline().poleX() + r * Math.cos(angle), dome.outline().poleY() + r * Math.sin(angle), normal);
            length += Math.hypot(r - beforeR, z - beforeZ);
            if (normal[2] >= limit) {
                return length;
            }
            beforeR = r;
            beforeZ = z;
        }
        return length;
    }

    @Test
    void theEdgeOfAPearIsWalkedWhereItIs() {
        Survey survey = Survey.of(sized(120, 76, 34).withDome(1, 1).withShape(new Shape.Grown(Form.PEAR, 0, 0)).withWayUp(30));
        EdgeStrip strip = EdgeStrip.of(survey);
        int rays = strip.front().length - 1;
        for (int ray = 0; ray < rays; ray += rays / 12) {
            assertThat(strip.front()[ray]).as("ray %s", ray).isCloseTo(toTheFace(survey.dome().smooth(), 2 * Math.PI * ray / rays),
                    within(1.0));
        }
    }

    /** By hand: from no place both arms of a fork are seen; its centroid is that of a foot of 60 by 20 and arms of 20 by 40 and by 30. */
    @Test
    void aForkIsBridgedOverFromItsCentroid() {
        for (boolean back : new boolean[] {false, true}) {
            StoneOutline.Traced fork = traced(back, new double[] {0, 0}, new double[] {60, 0}, new double[] {60, 50},
                    new double[] {40, 50}, new double[] {40, 20}, new double[] {20, 20}, new double[] {20, 60}, new double[] {0, 60});
            assertThat(fork.bridged()).isTrue();
            assertThat(fork.poleX()).isCloseTo(100 + (1_200 * 30 + 800 * 10 + 600 * 50) / 2_600.0, within(1e-9));
            assertThat(fork.poleY()).isCloseTo(-40 + (1_200 * 10 + 800 * 40 + 600 * 35) / 2_600.0, within(1e-9));
            assertThat(spoke(fork, 0)).as("across the gap to the far side of an arm").isCloseTo(160 - fork.poleX(), within(1e-9));
            assertThat(spoke(fork, 270)).isCloseTo(fork.poleY() + 40, within(1e-9));
        }
    }

    @Test
    void radiiThatDoNotBeginAtTheRightGoRoundAllTheSame() {
        List<Shape.Spoke> spokes = IntStream.range(0, 12).mapToObj(i -> new Shape.Spoke(30.0 * i + 15, 30)).toList();
        double[] extent = StoneOutline.extent(new Shape.Measured(Shape.Source.HAND, spokes));
        assertThat(extent).containsExactly(new double[] {60, 60}, within(0.01));
    }

    /** Where the face ends the stone is as steep as the limit says, also of a stone whose pole is not its middle. */
    @Test
    void theFaceEndsWhereItGetsTooSteepHoweverTheStoneLies() {
        ZoneLimits limits = ZoneLimits.usual();
        for (Form form : new Form[] {Form.TRIANGLE, Form.OVAL}) {
            Dome dome = Dome.of(sized(96, 74, 30).withDome(1, 1).withShape(new Shape.Grown(form, 0.6, 0.5)).withWayUp(35));
            double limit = limits.faceTilt();
            Coordinate[] ring = Zones.of(dome, limits).face().getCoordinates();
            long near = Arrays.stream(ring).filter(c -> Math.abs(dome.tiltAt(c.x, c.y) - limit) < 0.3).count();
            assertThat(near).as("%s", form).isGreaterThan(ring.length * 9 / 10);
        }
    }
}
