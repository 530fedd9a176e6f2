package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mosspebble.core.photo.Photo;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.proof.ProofFinding.Kind;
import mosspebble.core.sketch.Placement;
import mosspebble.core.stone.Form;
import org.junit.jupiter.api.Test;

/** A board on an oval stone, photographed from straight above by this test's own camera. */
class PhotoProofTest {

    private static final Project BOARD = Table.project(Table.oval());
    private static final PaintPlan PLAN = Table.plan(BOARD);

    private static Stray board(Proof proof) {
        return proof.strays().stream().filter(s -> s.part().isEmpty()).findFirst().orElseThrow();
    }

    private static List<Kind> kinds(Proof proof) {
        return proof.findings().stream().map(ProofFinding::kind).toList();
    }

    @Test
    void aFaithfulBoardLiesWhereItWasPlannedHoweverTheStoneIsTurned() {
        for (double turn : new double[] {0, 140, -95}) {
            Proof proof = Table.proof(PLAN, Moment.painted(Table.painted(PLAN)),
                    Table.photo(PLAN.survey(), Table.painting(PLAN), turn));

            assertThat(kinds(proof)).as("turned by %s", turn).doesNotContain(Kind.TURNED, Kind.MOVED, Kind.SIZED, Kind.NOT_SEEN,
                    Kind.PART_MOVED, Kind.PART_SIZED, Kind.NEAR_EDGE);
            assertThat(board(proof).by().distance()).isLessThan(0.35);
            assertThat(board(proof).by().turn()).isCloseTo(0, within(0.4));
            assertThat(board(proof).by().mm()).isCloseTo(0, within(0.4));
        }
    }

    @Test
    void moveTurnAndSizeArePulledApartAndThePlanThatFollowsHasNoneOfThem() {
        Project drawn = Table.placed(BOARD, new Placement(1.8, -1.2, 3.5, 34 * 1.07));
        PaintPlan lies = Table.plan(drawn);
        Photo photo = Table.photo(lies.survey(), Table.painting(lies), 20);
        Proof proof = Table.proof(PLAN, Moment.painted(Table.painted(PLAN)), photo);
        Stray stray = board(proof);

        assertThat(stray.by().dx()).isCloseTo(1.8, within(0.4));
        assertThat(stray.by().dy()).isCloseTo(-1.2, within(0.4));
        assertThat(stray.by().turn()).isCloseTo(3.5, within(0.5));
        assertThat(stray.by().mm()).as("7 %% of the longest way round it, %s mm", Laid.longest(stray.planned()))
                .isCloseTo(0.07 * Laid.longest(stray.planned()), within(0.4));
        assertThat(kinds(proof)).contains(Kind.TURNED, Kind.MOVED, Kind.SIZED);
        assertThat(stray.lies().getArea()).isCloseTo(stray.planned().getArea() * 1.07 * 1.07, within(12.0));

        Placement followed = stray.placed(BOARD.sketch().orElseThrow().items().get(0).placement());
        assertThat(followed.x()).isCloseTo(1.8, within(0.4));
        assertThat(followed.turn()).isCloseTo(3.5, within(0.5));
        assertThat(followed.scale()).isCloseTo(34 * 1.07, within(0.4));
        Proof again = Table.proof(Table.plan(Table.placed(BOARD, followed)), Moment.painted(Table.painted(PLAN)), photo);
        assertThat(kinds(again)).doesNotContain(Kind.TURNED, Kind.MOVED, Kind.SIZED);
    }

    @Test
    void pencilledLinesAreEnough() {
        PaintPlan lies = Table.plan(Table.placed(BOARD, new Placement(0.5, 1.6, -3, 34)));
        Proof proof = Table.proof(PLAN, Moment.pencilled(), Table.photo(lies.survey(), Table.pencil(lies, Table.graphite()), -12));

        assertThat(board(proof).by().turn()).isCloseTo(-3, within(0.5));
        assertThat(board(proof).by().dy()).isCloseTo(1.6, within(0.4));
        assertThat(kinds(proof)).contains(Kind.TURNED, Kind.MOVED).doesNotContain(Kind.SIZED, Kind.BALD, Kind.COLOUR);
        assertThat(proof.tones()).as("no paint, no colours").isEmpty();
    }

    @Test
    void aPartIsToldAgainstItsThing() {
        // the bar alone is drawn longer: every line of it farther from its middle
        Table.Face pencil = Table.pencil(PLAN, Table.graphite());
        double size = 34;
        Table.Face longer = (x, y) -> Math.abs(x) < 0.42 * size && Math.abs(y) < 0.22 * size && Math.abs(y) > 0.02 * size
                || Math.abs(x) < 0.42 * size && Math.abs(y) <= 0.02 * size ? pencil.at(x / 1.2, y / 1.2) : pencil.at(x, y);
        Proof proof = Table.proof(PLAN, Moment.pencilled(), Table.photo(PLAN.survey(), longer, 0));
        Optional<Stray> bar = proof.strays().stream().filter(s -> s.part().filter("bar"::equals).isPresent()).findFirst();

        assertThat(bar).isPresent();
        assertThat(bar.get().by().mm()).as("a fifth of %s mm", Laid.longest(bar.get().planned()))
                .isCloseTo(0.2 * Laid.longest(bar.get().planned()), within(1.2));
        assertThat(kinds(proof)).contains(Kind.PART_SIZED);
    }

    private static double toEdge(PaintPlan plan) {
        return plan.design().orElseThrow().silhouette().distance(plan.survey().zones().outline().getBoundary());
    }

    @Test
    void tooNearTheEdgeIsSaidWithBothDistances() {
        PaintPlan lies = Table.plan(Table.placed(BOARD, new Placement(0, -3.4, 0, 34)));
        PaintPlan high = Table.plan(Table.placed(BOARD, new Placement(0, -10, 0, 34)));
        PaintPlan close = Table.plan(Table.placed(BOARD, new Placement(0, -13, 0, 34)));
        Proof proof = Table.proof(high, Moment.painted(Table.painted(high)), Table.photo(close.survey(), Table.painting(close), 0));
        Proof far = Table.proof(PLAN, Moment.painted(Table.painted(PLAN)), Table.photo(lies.survey(), Table.painting(lies), 0));

        ProofFinding near = proof.findings().stream().filter(f -> f.kind() == Kind.NEAR_EDGE).findFirst().orElseThrow();
        assertThat(near.facts().number("planned")).isCloseTo(toEdge(high), within(0.01));
        assertThat(near.facts().number("left")).as("measured in the photo").isCloseTo(toEdge(close), within(0.4));
        assertThat(kinds(far)).as("moved, but with room left").contains(Kind.MOVED).doesNotContain(Kind.NEAR_EDGE);
    }

    @Test
    void whatCannotBeComparedIsSaidAndNotCalledRight() {
        PaintPlan square = Table.plan(Table.project(Table.stone(Form.OVAL, 84, 40)));
        Photo photo = Table.photo(PLAN.survey(), Table.painting(PLAN), 0);
        Proof other = Table.proof(square, Moment.pencilled(), photo);
        Proof bare = Table.proof(PLAN, Moment.pencilled(), Table.photo(PLAN.survey(), (x, y) -> Table.graphite(), 0));
        Proof nothing = Table.proof(Table.plan(BOARD.withSketch(Optional.empty())), Moment.pencilled(), photo);

        assertThat(kinds(other)).containsExactly(Kind.OTHER_STONE);
        assertThat(other.face()).isEmpty();
        assertThat(kinds(bare)).containsExactly(Kind.NOT_SEEN);
        assertThat(kinds(nothing)).containsExactly(Kind.NO_DESIGN);
        assertThat(Kind.OTHER_STONE.stops()).isTrue();
        assertThat(Kind.TURNED.stops()).isFalse();
        assertThatThrownBy(() -> Table.proof(PLAN, Moment.painted(99), photo)).hasMessageContaining("steps, not 99");
        assertThatThrownBy(() -> Moment.painted(-1)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void theFaceIsCutOutOfThePhotoInThePlansFrame() {
        Proof proof = Table.proof(PLAN, Moment.painted(Table.painted(PLAN)), Table.photo(PLAN.survey(), Table.painting(PLAN), 75));
        Proof.Face face = proof.face().orElseThrow();
        int column = (int) ((0 - face.grid().left()) / face.grid().cellMm());
        int bar = face.at((int) ((0 - face.grid().top()) / face.grid().cellMm()) * face.grid().columns() + column);
        int board = face.at((int) ((10 - face.grid().top()) / face.grid().cellMm()) * face.grid().columns() + column);

        assertThat(bar >> 16 & 255).as("the bar is yellow").isGreaterThan(150);
        assertThat(bar & 255).isLessThan(120);
        assertThat(board & 255).as("the board is blue").isGreaterThan(board >> 16 & 255);
        assertThat(face.at(0) >>> 24).as("no stone in the corner").isZero();
    }
}
