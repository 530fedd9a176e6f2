package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.finding.Code;
import mosspebble.core.plan.DoneSteps;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Project;
import mosspebble.core.words.StepWords;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.words.LayOutWords;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Stones of the Lantern Walk that are planned anew on what was painted on them. */
class PlanOnTest {

    private static final Instant FRIDAY = Instant.parse("2026-11-27T18:00:00Z");

    private static List<Integer> passes(PaintPlan plan) {
        return IntStream.range(0, plan.steps().size()).filter(i -> plan.steps().get(i) instanceof Step.Lay).boxed().toList();
    }

    /** The diary when so many passes of a plan are done. */
    private static Diary after(PaintPlan plan, int passes) {
        Diary diary = Diary.USUAL;
        int last = passes == 0 ? 0 : passes(plan).get(passes - 1);
        for (int i = 0; i <= last; i++) {
            String stone = plan.project().id();
            diary = diary
                    .plus(new Diary.Deed(stone, plan.names().get(i), 0, FRIDAY.plusSeconds(600L * i), FRIDAY.plusSeconds(600L * i + 300),
                            false))
                    .withLaid(stone, plan.names().get(i), DoneSteps.laid(plan.steps().get(i)));
        }
        return diary;
    }

    private static Project on(PaintPlan plan, Diary diary, Project now) {
        return now.withOldPaint(new DoneSteps(plan, diary).lying()).withOrder(List.of());
    }

    /** Share of the painted cells that look another colour at the end of two plans. */
    private static double apart(PaintPlan one, PaintPlan other) {
        Grid grid = Grid.around(one.survey().dome().outline().halfWidth(), one.survey().dome().outline().halfHeight(), 0.5);
        Mask face = Mask.of(one.survey().zones().outline(), grid);
        FilmMap first = one.filmsAfter(one.steps().size(), grid, StoneState.DRY);
        FilmMap then = other.filmsAfter(other.steps().size(), grid, StoneState.DRY);
        int all = 0;
        int apart = 0;
        for (int r = 0; r < face.rows(); r++) {
            for (int c = 0; c < face.columns(); c++) {
                int cell = (face.row() + r) * grid.columns() + face.column() + c;
                if (face.at(c, r) >= 0.5f) {
                    all++;
                    apart += first.table().film(first.at(cell)).lab().differenceTo(then.table().film(then.at(cell)).lab()) > 6 ? 1 : 0;
                }
            }
        }
        return (double) apart / all;
    }

    @ParameterizedTest
    @ValueSource(strings = {"owl", "harbour", "lettering", "snail", "moon", "fox", "heron", "window", "toadstool"})
    void whatIsPaintedIsLeftAndTheRestIsPaintedAsItWouldHaveBeen(String id) {
        PaintPlan plan = WalkPlans.of(id);
        int all = passes(plan).size();
        PaintPlan done = WalkPlans.of(on(plan, after(plan, all), plan.project()));
        assertThat(titles(done)).as("all is painted").isEmpty();
        assertThat(done.findings()).noneMatch(f -> f.code() == Code.OLD_PAINT_SEEN);
        assertThat(apart(plan, done)).as("it looks as it did").isLessThan(0.005);
        PaintPlan on = WalkPlans.of(on(plan, after(plan, all / 2), plan.project()));
        assertThat(titles(on)).as("a pass or two are counted otherwise on paint than below it").hasSizeBetween(all - all / 2 - 2,
                all - all / 2 + 3);
        if (List.of("owl", "snail", "heron").contains(id)) {
            assertThat(titles(on)).as("primed once").noneMatch(t -> t.startsWith("Prime"));
        }
        assertThat(on.findings()).noneMatch(f -> f.code() == Code.OLD_PAINT_SEEN);
        assertThat(apart(plan, on)).as("it will look as it would have").isLessThan(0.012);
    }

    @Test
    void aWordThatWasLeftOutIsPaintedOver() {
        PaintPlan plan = WalkPlans.of("lettering");
        Project without = plan.project().withSketch(plan.project().sketch().flatMap(s -> s.without("i2")));
        PaintPlan rest = WalkPlans.of(on(plan, after(plan, passes(plan).size()), without));
        assertThat(titles(rest)).isNotEmpty().allMatch(t -> t.contains("the ground"));
        assertThat(rest.findings()).noneMatch(f -> f.code() == Code.OLD_PAINT_SEEN);
        assertThat(apart(WalkPlans.of(without), rest)).as("as if it had never been there").isLessThan(0.005);
    }

    @Test
    void aThingThatWasLeftOutOnBareStoneIsTold() {
        PaintPlan plan = WalkPlans.of("toadstool");
        Project without = plan.project().withSketch(plan.project().sketch().flatMap(s -> s.without("i3")));
        PaintPlan rest = WalkPlans.of(on(plan, after(plan, passes(plan).size()), without));
        assertThat(rest.findings()).anyMatch(f -> f.code() == Code.OLD_PAINT_SEEN);
        assertThat(titles(rest)).as("the ferns where the toadstool stood before them").isNotEmpty()
                .noneMatch(t -> t.contains("cap") || t.contains("gill"));
    }

    @Test
    void onPaperNobodyIsAskedForAToolForIt(@TempDir Path folder) throws Exception {
        PaintPlan plan = WalkPlans.of("snail");
        PaintPlan on = WalkPlans.of(on(plan, after(plan, 7), plan.project()));
        assertThat(LayOutWords.of(on, WalkPlans.STUDIO.shelf())).flatExtracting(LayOutWords.Section::lines)
                .extracting(LayOutWords.Line::words)
                .isNotEmpty().doesNotContain("Nothing");
        Path file = folder.resolve("snail.pdf");
        Sheets.write(on, Paper.A4, LengthUnit.MM, file, (fraction, what) -> true);
        try (PDDocument read = Loader.loadPDF(file.toFile())) {
            String text = new PDFTextStripper().getText(read);
            assertThat(text).contains("1  Painted earlier", "Nothing to do: ", "there already").doesNotContain("nothing ·", "hand 0");
        }
    }

    private static List<String> titles(PaintPlan plan) {
        return passes(plan).stream().map(i -> StepWords.title(plan.steps().get(i))).toList();
    }
}
