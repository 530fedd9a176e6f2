package mosspebble.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import mosspebble.core.Boards;
import mosspebble.core.colour.Mix;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import org.junit.jupiter.api.Test;

/** The same stone once more. */
class AgainTest {

    private static final Mix BLUE = Mix.of("blue");
    private final AtomicInteger ids = new AtomicInteger();

    private String id() {
        return "again-" + ids.incrementAndGet();
    }

    private static Optional<Sketch> board(double wide) {
        return Optional.of(Sketch.of(new Subject.Figure("board"), ItemMode.ON_STONE, new Placement(0, 0, 0, wide), 0));
    }

    private static Project first() {
        Stone stone = Stone.cobble().withPatches(List.of(new Patch(Patch.Kind.HOLE, 12, 3, 12, 3, 3, 1, false)));
        return Project.begin("first", "Board", stone).withSketch(board(20)).withColours(Map.of("board", BLUE))
                .withEdge(new Edge(Optional.of(BLUE), List.of(new Edge.Band(4, 2, BLUE))));
    }

    private static Stone half(Stone stone) {
        Millimetres length = new Millimetres(stone.length().value() / 2);
        return stone.withPatches(List.of()).withSize(length, new Millimetres(stone.width().value() / 2),
                new Millimetres(stone.height().value() / 2));
    }

    @Test
    void bothFacesAndTheEdgeAreFittedToTheOtherStone() {
        Project both = first().turnedOver().withSketch(board(12)).turnedOver();
        Project small = Again.on(half(both.stone()), both, Boards.repertoire()).project();
        double size = Again.on(half(both.stone()), both, Boards.repertoire()).size();
        assertThat(size).isBetween(0.35, 0.6);
        assertThat(small.stone()).isEqualTo(half(both.stone()));
        assertThat(small.sketch().orElseThrow().items().get(0).placement().scale()).isCloseTo(20 * size, within(1e-9));
        Item below = small.turnedOver().sketch().orElseThrow().items().get(0);
        assertThat(below.placement().scale()).isBetween(12 * 0.35, 12 * 0.6);
        assertThat(small.colours()).isEqualTo(both.colours());
        assertThat(small.edge().bands().get(0).wideMm()).isCloseTo(2 * size, within(1e-9));
        assertThat(small.edge().bands().get(0).offMm()).isCloseTo(4 * size, within(1e-9));
        assertThat(small.edge().ground()).contains(BLUE);
    }

    @Test
    void onItsOwnStoneItIsTheSame() {
        Project again = Again.on(first().stone(), first(), Boards.repertoire()).project();
        assertThat(again.edge()).isEqualTo(first().edge());
        assertThat(again.sketch().orElseThrow().items().get(0).placement().scale()).isEqualTo(20);
    }

    @Test
    void aSeriesIsAlikeButForNamesThatAreFree() {
        List<Project> more = Again.series(first(), 3, List.of("Board", "Board 3"), this::id);
        assertThat(more).extracting(Project::name).containsExactly("Board 2", "Board 4", "Board 5");
        assertThat(more).extracting(Project::id).containsExactly("again-1", "again-2", "again-3");
        assertThat(more).allSatisfy(p -> assertThat(p.withId("first").withName("Board")).isEqualTo(first()));
        String longest = "x".repeat(Project.LONGEST);
        assertThat(Again.series(first().withName(longest), 1, List.of(longest), this::id).get(0).name()).hasSize(Project.LONGEST)
                .endsWith("x 2");
        assertThatThrownBy(() -> Again.series(first(), 0, List.of(), this::id)).hasMessage("A series takes 1 to 24 stones more, not 0.");
        assertThatThrownBy(() -> Again.series(first(), 25, List.of(), this::id)).hasMessageContaining("not 25");
    }

    @Test
    void onePractisesOnAPlainStoneThatIsNotSealed() {
        Project practice = Again.practice(first(), List.of("Board", "Practice for Board"), this::id);
        assertThat(practice.name()).isEqualTo("Practice for Board 2");
        assertThat(practice.stone().patches()).isEmpty();
        assertThat(practice.stone().size()).isEqualTo(first().stone().size());
        assertThat(practice.sketch()).isEqualTo(first().sketch());
        assertThat(practice.habits().keeping().seal()).isEqualTo(Habits.Seal.NONE);
        assertThat(practice.habits().keeping().outdoors()).isFalse();
    }
}
