package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.proof.ProofFinding.Kind;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.Placement;
import mosspebble.core.units.Facts;
import mosspebble.core.words.ProofWords;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;

/** What is told of one thing, and where the plan must place it to follow. */
class StrayTest {

    private static final PaintPlan PLAN = Table.plan(Table.project(Table.oval()));
    private static final Planned PLANNED = Table.planned(PLAN, Moment.pencilled());

    private static Stray stray(double dx, double dy, double degrees, double size, double likeness) {
        return new Laid(0, -1, new Fit(0, 0, dx, dy, Math.toRadians(degrees), size, likeness, new double[4]), new Laid.Off(0.15, 0),
                Fit.none(0, 0))
                .stray(PLANNED);
    }

    @Test
    void aPlacementThatFollowsGivesTheShapeAsItLies() {
        double[][] moves = {{0, 0, 0, 1}, {2, -1, 0, 1}, {0, 0, 7, 1}, {0, 0, 0, 1.08}, {-1.5, 2, -6, 0.94}};
        for (double[] move : moves) {
            Stray stray = stray(move[0], move[1], move[2], move[3], 0.9);
            Placement followed = stray.placed(new Placement(0, 0, 0, 34));
            Geometry drawn = Table.plan(Table.placed(Table.project(Table.oval()), followed)).design().orElseThrow().silhouette();

            assertThat(drawn.symDifference(stray.lies()).getArea()).as("mm² that are not common, of %s", drawn.getArea()).isLessThan(2);
        }
    }

    @Test
    void aTurnedPlacementIsTurnedOnAndMovedFromWhereItWas() {
        Placement followed = stray(1, 0, 10, 1, 0.9).placed(new Placement(0, 0, 25, 34));

        assertThat(followed.turn()).isCloseTo(35, within(1e-6));
        assertThat(followed.x()).isCloseTo(1, within(1e-6));
        assertThat(followed.scale()).isCloseTo(34, within(1e-6));
    }

    @Test
    void aThingIsToldInOneLine() {
        PlacedDesign design = PLAN.design().orElseThrow();

        assertThat(ProofWords.lies(stray(0, 0, 0, 1, 0.9), design)).isEqualTo("the board: 0 mm and 0° off, as long as planned");
        assertThat(ProofWords.lies(stray(3, 4, -2, 1.1, 0.9), design)).startsWith("the board: ").contains("5 mm and 2° off")
                .endsWith(" longer");
        assertThat(ProofWords.lies(stray(0, 0, 2, 0.9, 0.9), design)).endsWith(" shorter");
        assertThat(ProofWords.lies(stray(0, 0, 0, 1, 0.05), design)).isEqualTo("the board: not made out");
    }

    @Test
    void theSummaryCountsWhatWasComparedAndWhatIsToBeLookedAt() {
        Optional<Proof.Face> face = Optional.of(new Proof.Face(PLANNED.grid, new int[PLANNED.grid.cells()]));
        ProofFinding here = new ProofFinding(Kind.MOVED, Optional.of(new ProofFinding.Place(1, 2)), Optional.of(""), Optional.empty(),
                Facts.of("mm", 2.0).and("right", 2.0).and("down", 0.0).and("off", 0.3));
        ProofFinding whole = ProofFinding.whole(Kind.ROUND, Facts.of("degrees", 9.0));
        List<Stray> one = List.of(stray(2, 0, 0, 1, 0.9));

        assertThat(ProofWords.summary(new Proof(Moment.pencilled(), face, one, List.of(), List.of(whole))))
                .as("a round stone is no mistake").isEqualTo("One thing compared: all as planned.");
        assertThat(ProofWords.summary(new Proof(Moment.pencilled(), face, one, List.of(), List.of(here, whole))))
                .isEqualTo("One thing compared, one place to look at.");
        assertThat(ProofWords.sentence(here, PLAN.design().orElseThrow())).startsWith("The board sits 2 mm too far to the right");
    }
}
