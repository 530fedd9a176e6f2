package mosspebble.app.sketch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import mosspebble.app.model.AnswersInTurn;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Sketch;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import org.junit.jupiter.api.Test;

/** What is told where the tracing cannot be laid, and that nothing is changed then. */
class TracingModelTest {

    private static final Studio WALK = LanternWalk.studio(BuiltIn.repertoire());

    private final AnswersInTurn answers = new AnswersInTurn();
    private Workbench workbench;
    private TracingModel model;

    private interface Use {
        void of(PlanWorker desk) throws Exception;
    }

    private void with(Use use) throws Exception {
        workbench = new Workbench(
                WALK.withProjects(WALK.projects().stream().filter(p -> List.of("owl", "snail").contains(p.id())).toList()),
                (s, title) -> {});
        try (PlanWorker desk = new PlanWorker(BuiltIn::repertoire, answers, error -> {
            throw new AssertionError(error);
        })) {
            model = new TracingModel(workbench, desk);
            desk.begin();
            use.of(desk);
        }
    }

    private List<?> things() {
        return workbench.shown().flatMap(Project::sketch).map(Sketch::items).orElse(List.of());
    }

    @Test
    void aStoneThatWasChangedMeanwhileIsLeftAsItIsNow() throws Exception {
        with(desk -> {
            workbench.choose("owl");
            model.traceAll();
            workbench.choose("snail");
            model.layOn();
            workbench.edit("Name", p -> p.withName("Snail with a letter"));
            answers.until(() -> desk.idle() && workbench.noticeProperty().get().contains("changed meanwhile"));
            assertThat(things()).isEqualTo(WALK.project("snail").flatMap(Project::sketch).orElseThrow().items());
            model.layOn();
            answers.until(() -> things().size() > 1);
            assertThat(workbench.shown().map(Project::name)).contains("Snail with a letter");
        });
    }

    @Test
    void aStoneThatCarriesNoMoreIsLeftAndTheReasonIsTold() throws Exception {
        with(desk -> {
            workbench.choose("owl");
            model.traceAll();
            workbench.choose("snail");
            Sketch full = workbench.shown().flatMap(Project::sketch).orElseThrow();
            while (full.items().size() < Sketch.MOST) {
                full = full.plus(full.items().get(0));
            }
            Sketch forty = full;
            workbench.edit("Many", p -> p.withSketch(Optional.of(forty)));
            model.layOn();
            answers.until(() -> workbench.noticeProperty().get().contains("1 to 40 things"));
            assertThat(things()).hasSize(Sketch.MOST);
        });
    }

    @Test
    void fromABareStoneNothingIsTracedAndThePaperStaysAsItWas() throws Exception {
        with(desk -> {
            workbench.edit("Bare", p -> p.withSketch(Optional.empty()));
            model.traceThing();
            assertThat(workbench.noticeProperty().get()).isEqualTo("Nothing is on the stone that could be traced.");
            assertThat(model.tracingProperty().get()).isNull();
            model.layOn();
            assertThat(workbench.noticeProperty().get()).startsWith("Nothing is on the tracing paper yet.");
        });
    }

    @Test
    void aTracingIsKeptByNameAndLaidOnFromThereAndUndoTakesItBack() throws Exception {
        with(desk -> {
            workbench.choose("owl");
            model.keep("Nothing traced yet");
            assertThat(workbench.studio().own()).isEmpty();
            model.traceAll();
            model.keep("  ");
            assertThat(workbench.noticeProperty().get()).contains("kept by a name");
            model.keep("Owl with a lamp");
            OwnFile kept = workbench.studio().own().get(0);
            assertThat(kept.title()).isEqualTo("Owl with a lamp");
            model.putAway();
            workbench.choose("snail");
            model.layOn(kept);
            answers.until(() -> things().size() > 1);
            assertThat(model.tracingProperty().get().name()).as("and lies on the paper again").isEqualTo("Owl keeping a lamp");
            workbench.undo();
            assertThat(things()).hasSize(1);
            workbench.undo();
            assertThat(workbench.studio().own()).isEmpty();
            model.layOn(new OwnFile(OwnFile.Kind.TRACING, "own-tracing-7", "Torn", "{"));
            assertThat(workbench.noticeProperty().get()).contains("Torn").contains("not whole");
        });
    }
}
