package mosspebble.app.finish;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.List;
import mosspebble.core.plan.SittingPage;
import java.util.Arrays;
import java.util.ArrayList;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import mosspebble.app.finish.FinishModel.Matter;
import mosspebble.app.model.AnswersInTurn;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.care.SealChoice;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import mosspebble.files.Paper;
import mosspebble.files.SheetBook;
import org.junit.jupiter.api.Test;

/** Finish without a window. */
class FinishModelTest {

    private static final Studio WALK = LanternWalk.studio(BuiltIn.repertoire());

    private final AnswersInTurn answers = new AnswersInTurn();
    private Workbench workbench;
    private FinishModel model;
    private Results results;

    private interface Use {
        void of(PlanWorker desk) throws Exception;
    }

    private void with(List<String> stones, Use use) throws Exception {
        workbench = new Workbench(WALK.withProjects(WALK.projects().stream().filter(p -> stones.contains(p.id())).toList()),
                (s, title) -> {});
        try (PlanWorker desk = new PlanWorker(BuiltIn::repertoire, answers, error -> {
            throw new AssertionError(error);
        })) {
            results = new Results(workbench, desk);
            model = new FinishModel(workbench, results, desk);
            desk.begin();
            answers.until(() -> results.plan() != null && desk.idle());
            use.of(desk);
        }
    }

    @Test
    void jarsAreTakenInTheOrderOfTheTimetableAndWhatItDoesNotKnowComesLast() throws Exception {
        with(List.of("owl", "snail", "moon"), desk -> {
            assertThat(model.stonesInTurn()).as("as they lie in the tray").isEqualTo(workbench.studio().projects());
            model.inTurn(() -> List.of("moon", "snail"));
            assertThat(model.stonesInTurn()).extracting(Project::id).containsExactly("moon", "snail", "owl");
        });
    }

    @Test
    void sheetsAreMadeOnlyWhereTheyAreLookedAtAndAnewWhereSomethingChanged() throws Exception {
        with(List.of("snail", "owl"), desk -> {
            assertThat(model.bookProperty().get()).as("another stage is shown").isNull();
            workbench.stageProperty().set(Finding.Stage.FINISH);
            answers.until(() -> model.bookProperty().get() != null);
            SheetBook first = model.bookProperty().get();
            assertThat(first.titles()).startsWith("Guide at true size");
            assertThat(model.making().orElseThrow().of(results.plan(), (fraction, what) -> {
                throw new AssertionError("made again: " + what);
            }).orElseThrow()).as("what is saved and printed lies on the table").isSameAs(first);
            model.matterProperty().set(Matter.JARS);
            model.matterProperty().set(Matter.SHEETS);
            answers.until(desk::idle);
            assertThat(model.bookProperty().get()).as("nothing changed").isSameAs(first);
            Paper other = first.paper() == Paper.A4 ? Paper.LETTER : Paper.A4;
            model.paperProperty().set(other);
            assertThat(model.bookProperty().get()).as("what is stale is not shown").isNull();
            answers.until(() -> model.bookProperty().get() != null);
            assertThat(model.bookProperty().get().paper()).isEqualTo(other);
            workbench.choose("owl");
            answers.until(() -> results.plan() != null && results.plan().project().id().equals("owl") && desk.idle()
                    && model.bookProperty().get() != null);
            int pages = model.bookProperty().get().titles().size();
            workbench.choose("snail");
            workbench.choose("owl"); // the sheets of the snail are given up
            answers.until(() -> results.plan() != null && results.plan().project().id().equals("owl") && desk.idle()
                    && model.bookProperty().get() != null);
            assertThat(model.bookProperty().get().titles()).hasSize(pages);
            SheetBook onOther = model.bookProperty().get();
            model.paperProperty().set(first.paper());
            answers.until(() -> desk.idle() && model.bookProperty().get() != null);
            assertThat(model.bookProperty().get()).as("made once for this stone and this paper").isSameAs(first).isNotSameAs(onOther);
            workbench.choose("snail");
            answers.until(() -> results.plan() != null && results.plan().project().id().equals("snail") && desk.idle()
                    && model.bookProperty().get() != null);
            assertThat(model.bookProperty().get()).as("another stone").isNotSameAs(first);
        });
    }

    @Test
    void labelsAndSittingsLieOnTheTableAsTheStonesSheetsDo() throws Exception {
        with(List.of("snail"), desk -> {
            SittingPage page = new SittingPage(Instant.parse("2026-11-27T19:00:00Z"), Instant.parse("2026-11-27T20:00:00Z"), List.of(),
                    List.of(), List.of());
            List<List<SittingPage>> planned = new ArrayList<>();
            model.sittings(() -> planned.stream().findFirst(), () -> {});
            workbench.stageProperty().set(Finding.Stage.FINISH);
            model.pageFullProperty().set(false);
            model.pagesProperty().set(FinishModel.Pages.LABEL);
            assertThat(model.making()).as("not made yet").isEmpty();
            answers.until(() -> model.bookProperty().get() != null);
            assertThat(model.bookProperty().get().titles()).containsExactly("Labels to cut out");
            SheetBook one = model.bookProperty().get();
            assertThat(model.making().orElseThrow().of(results.plan(), (fraction, what) -> true)).containsSame(one);
            assertThat(model.ending()).isEqualTo("-label.pdf");
            model.pageFullProperty().set(true);
            answers.until(() -> model.bookProperty().get() != null);
            assertThat(ink(model.bookProperty().get())).as("a page full of them").isGreaterThan(6 * ink(one));

            model.pagesProperty().set(FinishModel.Pages.SITTINGS);
            assertThat(model.bookProperty().get()).isNull();
            assertThat(model.withoutProperty().get()).contains("No sitting is planned");
            planned.add(List.of(page, page));
            model.sittingsChanged();
            answers.until(() -> model.bookProperty().get() != null);
            assertThat(model.withoutProperty().get()).isEmpty();
            assertThat(model.bookProperty().get().titles()).hasSize(2);
        });
    }

    /** Pixels of the first page that are not white. */
    private static long ink(SheetBook book) throws Exception {
        return Arrays.stream(book.picture(0, 420)).filter(p -> (p & 0xFF) < 200).count();
    }

    @Test
    void thePlannedSealStandsFirstAndAnotherBecomesItWhenItIsTaken() throws Exception {
        with(List.of("owl"), desk -> {
            List<SealChoice> two = model.seals(Month.JUNE, 2);
            assertThat(two).hasSize(2);
            assertThat(two.get(0).sealer().id()).isEqualTo(model.sealer()).isEqualTo("varnish");
            assertThat(model.seals(Month.JUNE, 5)).hasSizeGreaterThan(2).startsWith(two.get(0), two.get(1));
            SealChoice other = two.get(1);
            workbench.edit("Seal", p -> p.withHabits(p.habits().withSealer(other.sealer())));
            answers.until(() -> desk.idle() && model.sealer().equals(other.sealer().id()));
            assertThat(model.seals(Month.JUNE, 2).get(0).sealer()).isEqualTo(other.sealer());
            assertThat(model.advice().kind()).isEqualTo(model.planned().orElseThrow().advice().kind());
            workbench.edit("Indoors", p -> p.withHabits(p.habits().withOutdoors(false)));
            answers.until(() -> desk.idle() && !model.outdoors());
            assertThat(model.seals(Month.JUNE, 5)).allMatch(SealChoice::lasts);
        });
    }

    @Test
    void withoutASubjectNothingIsSealedAndNoSheetIsMade() throws Exception {
        with(List.of("snail"), desk -> {
            workbench.edit("Bare", p -> p.withSketch(Optional.empty()).withColours(Map.of()));
            answers.until(() -> desk.idle() && results.plan() != null && results.plan().steps().isEmpty());
            workbench.stageProperty().set(Finding.Stage.FINISH);
            answers.until(desk::idle);
            assertThat(model.bookProperty().get()).isNull();
            assertThat(model.seals(Month.JUNE, 2)).isEmpty();
            assertThat(model.untested()).isEmpty();
        });
    }
}
