package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.stone.Survey;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;

/** Plans of the demo stones while their things are moved about: what was worked out where a thing lay before serves it where it lies. */
class MovedThingsTest {

    private static final Repertoire REPERTOIRE = BuiltIn.repertoire();

    private static Project moved(Project project, SplittableRandom random) {
        List<Item> items = project.sketch().orElseThrow().items();
        Item item = items.get(random.nextInt(items.size()));
        double dx = random.nextDouble(-4, 4);
        double dy = random.nextDouble(-4, 4);
        return project.withSketch(project.sketch().map(s -> s.with(item.id(), i -> i.withPlacement(i.placement().movedBy(dx, dy)))));
    }

    @Test
    void aPlanAfterMovesIsThePlanFromNothing() {
        Studio studio = LanternWalk.studio(REPERTOIRE);
        Workshop workshop = new Workshop(new Palette(studio.shelf()), REPERTOIRE, studio.climate(), List.of());
        SplittableRandom random = new SplittableRandom(26);
        for (Project stone : studio.projects()) {
            Survey survey = Surveys.of(stone.stone());
            Remembered remembered = new Remembered();
            Project project = stone;
            Plans.plan(project, survey, workshop, remembered);
            for (int move = 0; move < 1; move++) {
                project = moved(project, random);
                PaintPlan fast = Plans.plan(project, survey, workshop, remembered);
                PaintPlan slow = Plans.plan(project, survey, workshop, new Remembered());
                assertThat(StepWords.titles(fast)).as("%s, move %s", stone.id(), move).isEqualTo(StepWords.titles(slow));
                for (int i = 0; i < slow.steps().size(); i++) {
                    Step one = fast.steps().get(i);
                    Step other = slow.steps().get(i);
                    assertThat(one.work()).as(one.key()).isEqualTo(other.work());
                    assertThat(one.place().equalsExact(other.place())).as(one.key()).isTrue();
                }
                assertThat(fast.findings().stream().map(FindingWords::sentence).toList())
                        .isEqualTo(slow.findings().stream().map(FindingWords::sentence).toList());
            }
        }
    }

    @Test
    void aThingMovedAndMovedBackIsPaintedAsBefore() {
        Studio studio = LanternWalk.studio(REPERTOIRE);
        Workshop workshop = new Workshop(new Palette(studio.shelf()), REPERTOIRE, studio.climate(), List.of());
        Project snail = studio.projects().stream().filter(p -> p.id().equals("snail")).findFirst().orElseThrow();
        Survey survey = Surveys.of(snail.stone());
        Remembered remembered = new Remembered();
        PaintPlan before = Plans.plan(snail, survey, workshop, remembered);
        Project away = snail.withSketch(snail.sketch().map(s -> s.with(s.items().get(0).id(),
                i -> i.withPlacement(i.placement().movedBy(2.5, -1.5)))));
        PaintPlan there = Plans.plan(away, survey, workshop, remembered);
        PaintPlan again = Plans.plan(snail, survey, workshop, remembered);
        assertThat(StepWords.titles(again)).isEqualTo(StepWords.titles(before));
        assertThat(StepWords.titles(there)).as("and there it is painted with the same loads").hasSameSizeAs(StepWords.titles(before));
        for (Step step : before.steps()) { // inner lines are what they were, wherever they lie
            there.steps().stream().filter(s -> s.key().equals(step.key()) && s.kind() == Step.Kind.DETAIL).forEach(
                    s -> assertThat(s.place().getArea()).as(step.key()).isCloseTo(step.place().getArea(),
                            within(0.001 * step.place().getArea())));
        }
    }
}
