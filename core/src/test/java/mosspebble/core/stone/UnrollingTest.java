package mosspebble.core.stone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import mosspebble.core.units.Millimetres;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Paper on a half ball, whose cuts are worked out by hand: meridians draw together by 1 - sin(s/R) / (s/R). */
class UnrollingTest {

    private static final double R = 60;
    private static final double GUIDE = 45;
    private static final int CUTS = 6;
    private static final Dome BALL = Dome.of(Stone.cobble().withShape(new Shape.Grown(Form.ROUND, 1, 0))
            .withSize(new Millimetres(2 * R), new Millimetres(2 * R), new Millimetres(R)).withDome(1, 1));
    private static final Unrolling PAPER = Unrolling.about(BALL, 0, 0);

    private static Geometry point(double x, double y) {
        return new GeometryFactory().createPoint(new Coordinate(x, y));
    }

    private static List<Unrolling.Cut> cuts(double x, double y, double radius) {
        return PAPER.cuts(point(x, y).buffer(radius, 64), CUTS, 0.03);
    }

    /** A corner of a cut, as distance from the middle and degrees from the cut's own direction. */
    private static double[] corner(Unrolling.Cut cut, int number) {
        Coordinate at = cut.triangle().getExteriorRing().getCoordinateN(number);
        double turned = Math.toDegrees(Math.atan2(at.y, at.x)) - cut.degrees();
        return new double[] {Math.hypot(at.x, at.y), Math.IEEEremainder(turned, 360)};
    }

    @Test
    void cutsStandEvenlyAndEachTakesItsShareOfTheRim() {
        List<Unrolling.Cut> cuts = cuts(0, 0, GUIDE);
        // the rim on paper is 2 pi s long, on the stone 2 pi R sin(s/R)
        double each = 2 * Math.PI * (GUIDE - R * Math.sin(GUIDE / R)) / CUTS;

        assertThat(cuts.stream().map(Unrolling.Cut::degrees)).containsExactly(30.0, 90.0, 150.0, 210.0, 270.0, 330.0);
        assertThat(cuts).allSatisfy(cut -> {
            assertThat(cut.widthMm()).isCloseTo(each, within(0.04 * each));
            assertThat(cut.fromMm()).as("where 1 - sin x / x is 0.03").isBetween(0.426 * R - 0.6, 0.426 * R + 0.6);
            assertThat(corner(cut, 0)[0]).as("its point").isCloseTo(cut.fromMm(), within(1e-9));
            assertThat(corner(cut, 0)[1]).isCloseTo(0, within(1e-9));
            assertThat(corner(cut, 1)[0]).as("beyond the guide").isCloseTo(GUIDE + 2, within(0.03));
            assertThat(corner(cut, 2)[0]).isCloseTo(GUIDE + 2, within(0.03));
            assertThat(corner(cut, 2)[1]).as("as far to either side").isCloseTo(-corner(cut, 1)[1], within(1e-9)).isPositive();
        });
    }

    @Test
    void aCutIsAsWideAtTheRimAsItTakesOutAndNothingAtItsPoint() {
        for (Unrolling.Cut cut : cuts(0, 0, GUIDE)) {
            assertThat(cut.halfAngle(cut.fromMm())).isZero();
            assertThat(cut.halfAngle(cut.fromMm() - 5)).isZero();
            assertThat(2 * GUIDE * Math.sin(cut.halfAngle(GUIDE)) / cut.widthMm()).isBetween(0.98, 1.08);
            assertThat(Math.toDegrees(cut.halfAngle(GUIDE + 2))).isCloseTo(corner(cut, 2)[1], within(0.02));
            assertThat(cut.halfAngle((GUIDE + cut.fromMm()) / 2)).isBetween(0.3 * cut.halfAngle(GUIDE), 0.8 * cut.halfAngle(GUIDE));
        }
    }

    /** From a place inside a circle its rim is c + sqrt(r^2 - a^2 + c^2) away, c and a how far its middle lies along and away. */
    @Test
    void aGuideAsideOfItsMiddleIsCutToItsOwnRim() {
        double x = 6;
        double y = -4;
        assertThat(cuts(x, y, 42)).hasSize(CUTS).allSatisfy(cut -> {
            double turn = Math.toRadians(cut.degrees());
            double along = x * Math.cos(turn) + y * Math.sin(turn);
            assertThat(corner(cut, 1)[0] - 2).isCloseTo(along + Math.sqrt(42 * 42 - x * x - y * y + along * along), within(0.05));
        });
    }

    @ParameterizedTest
    @ValueSource(doubles = {5, 31, 60, 89, 185, 350})
    void whatIsDrawnBetweenTwoCutsIsSqueezedEvenly(double degrees) {
        List<Unrolling.Cut> cuts = cuts(0, 0, GUIDE);
        double turn = Math.toRadians(degrees);
        Coordinate moved = Unrolling.squeezed(point(44 * Math.cos(turn), 44 * Math.sin(turn)), cuts).getCoordinate();
        double half = Math.toDegrees(cuts.get(0).halfAngle(44));
        double middle = 60 * Math.round(degrees / 60); // between the cuts at 30, 90 and so on
        double expected = middle + (degrees - middle) * (30 - half) / 30;

        assertThat(Math.hypot(moved.x, moved.y)).as("as far out").isCloseTo(44, within(1e-9));
        assertThat(Math.IEEEremainder(Math.toDegrees(Math.atan2(moved.y, moved.x)) - expected, 360)).as("degrees from %s", expected)
                .isCloseTo(0, within(0.06));
    }

    @Test
    void theMiddleIsTheMiddleAndBeyondTheStoneThePaperGoesStraightOn() {
        assertThat(PAPER.paper(0, 0)).isEqualTo(new Coordinate(0, 0));
        Unrolling rim = Unrolling.about(BALL, R - 0.05, 0);
        for (double angle : new double[] {0, 6, -12}) { // outward there is no step to go
            double turn = Math.toRadians(angle);
            Coordinate paper = rim.paper(R - 0.05 + 0.4 * Math.cos(turn), 0.4 * Math.sin(turn));
            assertThat(paper.x).isCloseTo(0.4 * Math.cos(turn), within(1e-6));
            assertThat(paper.y).isCloseTo(0.4 * Math.sin(turn), within(1e-6));
        }
    }

    @Test
    void aTapeBeginsAndEndsWhereItIsHeld() {
        SurfacePath path = SurfacePath.between(BALL, -10, 5, 30, -18);

        assertThat(path.x(0)).isEqualTo(-10);
        assertThat(path.y(0)).isEqualTo(5);
        assertThat(path.x(path.size() - 1)).isCloseTo(30, within(1e-9));
        assertThat(path.y(path.size() - 1)).isCloseTo(-18, within(1e-9));
        double least = Double.POSITIVE_INFINITY;
        double most = 0;
        for (int i = 1; i < path.size(); i++) {
            double piece = Math.hypot(Math.hypot(path.x(i) - path.x(i - 1), path.y(i) - path.y(i - 1)),
                    BALL.heightAt(path.x(i), path.y(i)) - BALL.heightAt(path.x(i - 1), path.y(i - 1)));
            least = Math.min(least, piece);
            most = Math.max(most, piece);
        }
        assertThat(most / least).as("its points lie evenly on the stone").isLessThan(1.05);
    }
}
