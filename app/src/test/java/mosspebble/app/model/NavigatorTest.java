package mosspebble.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import org.junit.jupiter.api.Test;

/** Where the painter is, and what can be done. */
class NavigatorTest {

    private final Workbench workbench = new Workbench(LanternWalk.studio(BuiltIn.repertoire()), (studio, title) -> {});
    private final Navigator navigator = new Navigator(workbench);

    @Test
    void aViewAsideBelongsToItsStageAndAnotherStageEndsIt() {
        navigator.go(Stage.COLOUR, Navigator.SHELF);
        assertThat(workbench.stageProperty().get()).isEqualTo(Stage.COLOUR);
        assertThat(navigator.onCloth()).isFalse();
        assertThat(navigator.at(Stage.COLOUR)).as("the shelf lies over it").isFalse();
        navigator.back();
        assertThat(navigator.at(Stage.COLOUR)).isTrue();
        navigator.go(Stage.STONE, Navigator.PHOTO);
        assertThat(navigator.asideProperty().get()).isEqualTo("photo");
        workbench.stageProperty().set(Stage.SKETCH);
        assertThat(navigator.onCloth()).as("whoever goes to a stage sees its stone").isTrue();
        navigator.go(Stage.SKETCH, Navigator.LIBRARY);
        navigator.go(Stage.SKETCH);
        assertThat(navigator.onCloth()).isTrue();
    }

    @Test
    void whatWaitsForAPlaceIsDoneOnceWhenThatIsThere() {
        List<String> done = new ArrayList<>();
        navigator.whenThere(() -> done.add("at once"));
        navigator.setOut();
        navigator.whenThere(() -> done.add("first"));
        navigator.whenThere(() -> {
            done.add("then");
            navigator.whenThere(() -> done.add("there by now"));
        });
        assertThat(done).containsExactly("at once");
        navigator.arrive();
        navigator.arrive();
        assertThat(done).containsExactly("at once", "first", "then", "there by now");
    }

    @Test
    void theStageOfAViewAsideIsPassedThrough() {
        List<Boolean> passed = new ArrayList<>();
        workbench.stageProperty().addListener((o, a, b) -> passed.add(navigator.goesOn()));
        navigator.asideProperty().addListener((o, a, b) -> passed.add(navigator.goesOn()));
        navigator.go(Stage.COLOUR, Navigator.SHELF);
        navigator.go(Stage.FINISH);
        assertThat(passed).as("to colour and on to the shelf; to what is left of it, and there").containsExactly(true, false, false, false);
    }

    @Test
    void anActionIsFoundByAnyOfItsWordsInAnyOrder() {
        int[] done = {0};
        Action action = Action.of("Turn the stone over", () -> done[0]++).key("V").also("other side", "back").where(() -> false);
        assertThat(action.isFoundBy("over stone")).isTrue();
        assertThat(action.isFoundBy("  OTHER ")).isTrue();
        assertThat(action.isFoundBy("back stone")).isTrue();
        assertThat(action.isFoundBy("")).isTrue();
        assertThat(action.isFoundBy("front")).isFalse();
        assertThat(action.where().getAsBoolean()).isFalse();
        assertThat(action.key()).isEqualTo("V");
        action.run().run();
        assertThat(done[0]).as("by name it can always be done").isEqualTo(1);
    }
}
