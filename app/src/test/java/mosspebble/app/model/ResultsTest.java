package mosspebble.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import mosspebble.core.picture.Shadow;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import org.junit.jupiter.api.Test;

/** What is worked out for the screen, without a screen. */
class ResultsTest {

    private static final Studio WALK = LanternWalk.studio(BuiltIn.repertoire());

    private final AnswersInTurn answers = new AnswersInTurn();
    private final Workbench workbench = new Workbench(
            WALK.withProjects(WALK.projects().stream().filter(p -> List.of("snail", "moon").contains(p.id())).toList()), (s, title) -> {});
    private Results results;

    private interface Use {
        void of(PlanWorker desk) throws Exception;
    }

    private void with(Use use) throws Exception {
        try (PlanWorker desk = new PlanWorker(BuiltIn::repertoire, answers, error -> {
            throw new AssertionError(error);
        })) {
            results = new Results(workbench, desk);
            desk.begin();
            workbench.choose("snail");
            answers.until(() -> results.plan() != null && results.thumbs().size() == 2 && desk.idle());
            use.of(desk);
        }
    }

    private static Project lightFrom(Project project, double degrees) {
        return project.withHabits(project.habits().withLight(project.habits().light().withFrom(degrees)));
    }

    private void isThrownBy(PaintPlan plan, double lightFrom) {
        Shadow expected = Shadow.of(plan.survey().dome(), lightFrom);
        assertThat(results.shadowProperty().get().grid()).isEqualTo(expected.grid());
        assertThat(results.shadowProperty().get().pixels()).isEqualTo(expected.pixels());
    }

    @Test
    void aStoneThrowsItsOwnShadowAndNeverThatOfAnotherStone() throws Exception {
        with(desk -> {
            double from = results.plan().project().habits().light().from();
            isThrownBy(results.plan(), from);
            Shadow first = results.shadowProperty().get();
            workbench.edit("Name", p -> p.withName("Another name", ""));
            answers.until(desk::idle);
            assertThat(results.shadowProperty().get()).as("neither its shape nor its light is another").isSameAs(first);
            workbench.edit("Light", p -> lightFrom(p, from + 90));
            answers.until(desk::idle);
            isThrownBy(results.plan(), from + 90);
            workbench.choose("moon");
            assertThat(results.shadowProperty().get()).as("while the other stone is worked out").isNull();
            answers.until(() -> results.plan() != null && desk.idle());
            isThrownBy(results.plan(), workbench.shown().orElseThrow().habits().light().from());
            workbench.choose("snail");
            workbench.choose("moon"); // what was begun for the snail is given up
            answers.until(() -> results.plan() != null && desk.idle());
            isThrownBy(results.plan(), workbench.shown().orElseThrow().habits().light().from());
        });
    }

    @Test
    void theTrayShowsAStoneAsItWillBeByItsOwnLight() throws Exception {
        with(desk -> {
            Results.Thumb before = results.thumbs().get("snail");
            assertThat(before.lit().pixels()).isEqualTo(drawn(before, before.project().habits().light().from()));
            double other = before.project().habits().light().from() + 120;
            workbench.edit("Light", p -> lightFrom(p, other));
            answers.until(() -> results.thumbs().get("snail") != before && desk.idle());
            Results.Thumb after = results.thumbs().get("snail");
            assertThat(after.lit().pixels()).isEqualTo(drawn(after, other)).isNotEqualTo(before.lit().pixels());
            assertThat(results.thumbs().get("moon").lit().pixels()).as("the other stone").isNotEqualTo(after.lit().pixels());
        });
    }

    private static int[] drawn(Results.Thumb thumb, double lightFrom) {
        int[] pixels = new int[thumb.picture().terrain().grid().cells()];
        thumb.picture().draw(thumb.picture().steps(), lightFrom, pixels);
        return pixels;
    }
}
