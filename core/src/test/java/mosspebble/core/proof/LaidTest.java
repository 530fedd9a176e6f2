package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.BitSet;
import java.util.stream.IntStream;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;

/** What was planned on the cells of a face, and what a fit says of a thing and its parts. */
class LaidTest {

    private static final PaintPlan PLAN = Table.plan(Table.project(Table.oval()));
    private static final Planned PAINTED = Table.planned(PLAN, Moment.painted(Table.painted(PLAN)));
    private static final Planned PENCILLED = Table.planned(PLAN, Moment.pencilled());
    private static final double[] SURE = {0.02, 0.02, 0.001, 0.001};

    private static Laid thing(double dx, double dy, double degrees, double size, double likeness) {
        return new Laid(0, -1, new Fit(0, 0, dx, dy, Math.toRadians(degrees), size, likeness, SURE), new Laid.Off(0.15, 0), Fit.none(0, 0));
    }

    private static int part(String id) {
        return IntStream.range(0, PAINTED.parts.size()).filter(p -> PAINTED.parts.get(p).part().id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void aFitIsToldInMillimetresAndDegreesAboutTheMiddleOfTheThing() {
        Stray stray = thing(1, -2, 3, 1.1, 0.9).stray(PAINTED);

        assertThat(stray.by().turn()).isCloseTo(3, within(1e-9));
        assertThat(stray.by().mm()).isCloseTo(0.1 * 34 * Math.sqrt(1), within(0.6));
        assertThat(stray.off().dx()).as("the outline's own error is in it").isCloseTo(Math.hypot(0.02, 0.15), within(1e-9));
        assertThat(stray.off().turn()).isGreaterThan(Math.toDegrees(0.001));
        assertThat(stray.isFound()).isTrue();
        assertThat(thing(0, 0, 0, 1, 0.1).stray(PAINTED).isFound()).isFalse();
    }

    @Test
    void howFarTheStoneIsTurnedIsLeftOpenForThingsButNotForTheirParts() {
        Laid known = thing(1, 0, 3, 1, 0.9).known(new Laid.Off(0.3, Math.toRadians(0.5)));

        assertThat(known.stray(PAINTED).off().turn()).isGreaterThan(0.5).isLessThan(0.55);
        assertThat(known.stray(PAINTED).off().dx()).isCloseTo(Math.hypot(0.02, 0.3), within(1e-9));
        assertThat(known.stray(PAINTED).by()).isEqualTo(thing(1, 0, 3, 1, 0.9).stray(PAINTED).by());
        Stray part = new Laid(0, part("bar"), known.fit(), Laid.PART, known.fit()).stray(PAINTED);
        assertThat(part.off().turn()).as("it turns with its thing").isCloseTo(Math.toDegrees(0.001), within(1e-9));
    }

    @Test
    void seenFromATurnedStoneTheTurnIsGoneAndThePlaceGoesRound() {
        Fit turned = thing(4, 0, 5, 1, 0.9).from(Math.toRadians(5)).fit();

        assertThat(turned.turn()).isCloseTo(0, within(1e-9));
        assertThat(turned.toX(0, 0)).isCloseTo(4 * Math.cos(Math.toRadians(5)), within(1e-9));
        assertThat(turned.toY(0, 0)).isCloseTo(-4 * Math.sin(Math.toRadians(5)), within(1e-9));
    }

    @Test
    void aPartIsToldAgainstItsThingAndNotWhereItsNeighbourIsTakenForIt() {
        Fit whole = thing(2, 0, 4, 1, 0.9).fit();
        Fit with = new Fit(0, 0, 2.5, 0, Math.toRadians(4), 1, 0.95, SURE);
        Stray stray = new Laid(0, part("bar"), with, Laid.PART, whole).stray(PAINTED);

        assertThat(stray.part()).contains("bar");
        assertThat(stray.by().turn()).isCloseTo(0, within(1e-9));
        assertThat(stray.by().dx()).isCloseTo(0.5, within(0.02));
        Fit far = new Fit(0, 0, 6, 0, Math.toRadians(4), 1, 0.95, SURE);
        Fit large = new Fit(0, 0, 2, 0, Math.toRadians(4), 1.4, 0.95, SURE);
        Fit faint = new Fit(0, 0, 2.5, 0, Math.toRadians(4), 1, 0.6, SURE);
        assertThat(new Laid(0, part("bar"), with, Laid.PART, whole).isTelling(PAINTED)).isTrue();
        assertThat(new Laid(0, part("bar"), far, Laid.PART, whole).isTelling(PAINTED)).isFalse();
        assertThat(new Laid(0, part("bar"), large, Laid.PART, whole).isTelling(PAINTED)).isFalse();
        assertThat(new Laid(0, part("bar"), faint, Laid.PART, whole).isTelling(PAINTED)).as("painted it must be alike").isFalse();
        assertThat(new Laid(0, part("bar"), faint, Laid.PART, whole).isTelling(PENCILLED)).as("lines are never so alike").isTrue();
    }

    @Test
    void aThingInOtherColoursIsBelievedWhereItLiesAsPlanned() {
        assertThat(thing(0.3, 0, 0.5, 1.01, 0.5).isTelling(PAINTED)).isTrue();
        assertThat(thing(2, 0, 3, 1.05, 0.5).isTelling(PAINTED)).isFalse();
        assertThat(thing(2, 0, 3, 1.05, 0.9).isTelling(PAINTED)).isTrue();
        assertThat(thing(2, 0, 3, 1.05, 0.3).isTelling(PENCILLED)).isTrue();
    }

    @Test
    void theCellsOfAThingLieOnItAndRoundIt() {
        int[] cells = PAINTED.about(0);
        double square = PAINTED.grid.cellMm() * PAINTED.grid.cellMm();

        assertThat(cells.length * square).as("34 mm and 1.6 mm round it").isCloseTo(37.2 * 37.2, within(30.0));
        int[] bar = PAINTED.aboutPart(part("bar")).toArray();
        assertThat(bar.length * square).as("the bar, less the line in front of it").isBetween(150.0, 260.0);
        int[] lines = PENCILLED.about(0);
        assertThat(lines.length).as("pencilled, only what is near a line").isLessThan(cells.length);
    }

    @Test
    void graphiteIsDarkerThanTheStoneAndChalkLighter() {
        Field dark = PENCILLED.field();
        PaintPlan slate = Table.plan(Table.project(Table.oval().withSkin(
                Table.oval().skin().withColour(Srgb.ofHex("#3a3d40")))));
        Field pale = Table.planned(slate, Moment.pencilled()).field();
        double[] at = new double[1];

        assertThat(dark.sample(0, -17, at)).isTrue();
        assertThat(at[0]).as("on the upper edge of the board").isLessThan(-3);
        assertThat(pale.sample(0, -17, at)).isTrue();
        assertThat(at[0]).isGreaterThan(3);
        assertThat(dark.sample(0, -10, at)).isTrue();
        assertThat(Math.abs(at[0])).as("far from a line").isLessThan(2.5);
    }

    @Test
    void whatIsCoveredIsAskedWhereTheThingLies() {
        BitSet covered = PAINTED.covered(PAINTED.silhouette(0));
        int columns = PAINTED.grid.columns();
        int middle = PAINTED.grid.rows() / 2 * columns + columns / 2;
        int corner = 3 * columns + 3;

        assertThat(PAINTED.isCovered(middle, Fit.none(0, 0), covered)).isTrue();
        assertThat(PAINTED.isCovered(middle, new Fit(0, 0, 30, 0, 0, 1, 1, SURE), covered)).as("moved off it").isFalse();
        assertThat(PAINTED.isCovered(corner, Fit.none(0, 0), covered)).isFalse();
        assertThat(PAINTED.isCovered(corner, new Fit(0, 0, -200, 0, 0, 1, 1, SURE), covered)).as("off the grid").isFalse();
    }
}
