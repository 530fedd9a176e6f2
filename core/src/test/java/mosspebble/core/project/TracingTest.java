package mosspebble.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.Boards;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import org.junit.jupiter.api.Test;

/** What is taken from one stone and laid on another. */
class TracingTest {

    private static final Mix BLUE = Mix.of("blue");
    private static final Mix YELLOW = Mix.of("yellow");
    private static final Mix BLACK = Mix.of("black");
    private static final Blend FADED = Blend.of(BlendKind.WASHED);

    private static Item board(String id, double x) {
        return Item.of(new Subject.Figure("board"), ItemMode.ON_STONE, new Placement(x, 0, 0, 14), 0).withId(id);
    }

    /** Two boards, the second kept within the bar of the first, in one group; the ground is black. */
    private static Project two() {
        Item first = board("", -10).withGroup(Optional.of("g"));
        Item second = board("i2", -9).withWithin(Optional.of("bar")).withGroup(Optional.of("g"));
        Item third = board("i3", 14);
        return Project.begin("from", "Boards", Stone.cobble()).withSketch(Optional.of(new Sketch(List.of(first, second, third))))
                .withColours(Map.of("board", BLUE, "i2/board", YELLOW, "i3/bar", BLACK)).withBlend("i2/board", FADED)
                .withBlend(Project.GROUND, FADED).withGround(Optional.of(BLACK));
    }

    private static Project bare() {
        return Project.begin("to", "Other", Stone.cobble().withSize(new Millimetres(60), new Millimetres(50), new Millimetres(20)));
    }

    @Test
    void aWholeFaceOnABareStoneBringsItsGroundAndItsNames() {
        Tracing.Laid laid = Tracing.of(two()).orElseThrow().laidOn(bare(), Boards.repertoire());
        assertThat(laid.project().id()).isEqualTo("to");
        assertThat(laid.project().stone()).isEqualTo(bare().stone());
        assertThat(laid.project().colours()).isEqualTo(two().colours());
        assertThat(laid.project().blends()).isEqualTo(two().blends());
        assertThat(laid.project().ground()).contains(BLACK);
        assertThat(laid.added()).containsExactly("", "i2", "i3");
        assertThat(laid.size()).isBetween(0.2, 0.9);
        assertThat(laid.project().sketch().orElseThrow().items().get(1).within()).contains("bar");
    }

    @Test
    void aGroundThatIsThereStays() {
        Tracing.Laid laid = Tracing.of(two()).orElseThrow().laidOn(bare().withGround(Optional.of(YELLOW)), Boards.repertoire());
        assertThat(laid.project().ground()).contains(YELLOW);
    }

    @Test
    void beforeOtherThingsItIsCalledAnewWithItsColoursItsWayOfLayingAndWhatItIsKeptWithin() {
        Project painted = two().withId("to").withGround(Optional.of(YELLOW)).withBlend(Project.GROUND, Blend.flat());
        Tracing.Laid laid = Tracing.of(two()).orElseThrow().laidOn(painted, Boards.repertoire());
        Sketch sketch = laid.project().sketch().orElseThrow();
        assertThat(sketch.items()).hasSize(6);
        assertThat(sketch.items().subList(0, 3)).as("what was there stays as it was").isEqualTo(two().sketch().orElseThrow().items());
        assertThat(laid.added()).doesNotContain("", "i2", "i3").hasSize(3).doesNotHaveDuplicates();
        String first = laid.added().get(0);
        String second = laid.added().get(1);
        assertThat(laid.project().colours()).containsAllEntriesOf(two().colours()).containsEntry(first + "/board", BLUE)
                .containsEntry(second + "/board", YELLOW).containsEntry(laid.added().get(2) + "/bar", BLACK).hasSize(6);
        assertThat(laid.project().blends()).containsEntry(second + "/board", FADED).hasSize(2);
        assertThat(laid.project().ground()).contains(YELLOW);
        assertThat(sketch.item(second).orElseThrow().within()).contains(first + "/bar");
        assertThat(sketch.together(first)).as("a group of its own").extracting(Item::id).containsExactly(first, second);
        assertThat(sketch.together("")).extracting(Item::id).containsExactly("", "i2");
        PaintPlan plan = Boards.plan(laid.project(), Boards.materials());
        assertThat(plan.design().orElseThrow().items()).as("it can be planned").hasSize(6);
    }

    @Test
    void oneThingIsTakenWithItsGroupAndItsColoursAlone() {
        Tracing third = Tracing.of(two(), "i3").orElseThrow();
        assertThat(third.things()).isEqualTo(1);
        assertThat(third.face().colours()).containsOnlyKeys("i3/bar");
        assertThat(third.face().blends()).isEmpty();
        assertThat(third.face().ground()).isEmpty();
        Tracing pair = Tracing.of(two(), "").orElseThrow();
        assertThat(pair.face().colours()).containsOnlyKeys("board", "i2/board");
        assertThat(pair.face().blends()).as("the ground stays behind").containsOnlyKeys("i2/board");
        assertThat(pair.face().sketch().orElseThrow().items().get(1).within()).contains("bar");
        Project loose = two().withSketch(two().sketch().map(s -> s.with("i2", i -> i.withGroup(Optional.empty()))));
        assertThat(Tracing.of(loose, "i2").orElseThrow().face().sketch().orElseThrow().items().get(0).within())
                .as("what it was kept within is not taken").isEmpty();
    }

    @Test
    void whatWoreTheStoneLiesBeforeOthersWithoutWearingIt() {
        Project worn = two().withSketch(Optional.of(new Sketch(List.of(board("", 0).withManner(ItemMode.WEARING)))));
        Tracing tracing = Tracing.of(worn).orElseThrow();
        assertThat(tracing.laidOn(bare(), Boards.repertoire()).project().sketch().orElseThrow().items().get(0).wearing()).isTrue();
        assertThat(tracing.laidOn(two(), Boards.repertoire()).project().sketch().orElseThrow().items().get(3).wearing()).isFalse();
    }

    @Test
    void nothingCanBeTakenFromABareStoneAndNoMoreLaidThanAStoneCarries() {
        assertThat(Tracing.of(bare())).isEmpty();
        assertThat(Tracing.of(bare(), "i2")).isEmpty();
        assertThatThrownBy(() -> new Tracing("Bare", Stone.cobble(), bare().viewpoint(), Face.BARE))
                .isInstanceOf(IllegalArgumentException.class);
        Project full = two();
        for (int i = 0; i < 12; i++) {
            full = Tracing.of(two()).orElseThrow().laidOn(full, Boards.repertoire()).project();
        }
        Project last = full;
        assertThatThrownBy(() -> Tracing.of(two()).orElseThrow().laidOn(last, Boards.repertoire()))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("1 to 40 things");
    }
}
