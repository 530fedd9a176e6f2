package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import mosspebble.core.finding.Code;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The order of the passes once it is the painter's own. */
class OrderKeptTest {

    private static Project stone(String id) {
        return WalkPlans.stone(id);
    }

    private static PaintPlan plan(Project project) {
        return WalkPlans.of(project);
    }

    @ParameterizedTest
    @ValueSource(strings = {"owl", "snail", "fox", "moon", "heron", "toadstool", "lettering", "harbour"})
    void theOrderThatIsKeptIsTheOneThatWas(String id) {
        PaintPlan plan = plan(stone(id));
        PaintPlan kept = plan(stone(id).withOrder(plan.order()));
        assertThat(StepWords.titles(kept)).isEqualTo(StepWords.titles(plan));
        assertThat(kept.steps()).extracting(Step::key).isEqualTo(plan.steps().stream().map(Step::key).toList());
        assertThat(kept.findings()).noneMatch(f -> f.code() == Code.ORDER_BROKEN);
        assertThat(kept.readyAfter()).isEqualTo(plan.readyAfter());
    }

    @Test
    void aPassMovedTakesThePlaceOfTheOtherAndAllElseKeepsItsTurn() {
        PaintPlan plan = plan(stone("snail"));
        List<String> order = plan.order();
        SplittableRandom random = new SplittableRandom(4);
        int tried = 0;
        for (int i = 0; i < 200; i++) {
            int step = random.nextInt(plan.steps().size());
            int to = random.nextInt(plan.steps().size());
            Optional<List<String>> moved = plan.moved(step, to);
            String key = plan.steps().get(step).key();
            boolean moves = order.contains(key);
            if (!moves || step == to) {
                assertThat(moved).as("what keeps its place").isEmpty();
            } else if (moved.isPresent()) {
                tried++;
                assertThat(moved.get()).containsExactlyInAnyOrderElementsOf(order);
                List<String> others = new ArrayList<>(order);
                others.remove(key);
                List<String> after = new ArrayList<>(moved.get());
                after.remove(key);
                assertThat(after).as("all else in its turn").isEqualTo(others);
                String onto = plan.steps().get(to).key();
                if (order.contains(onto)) {
                    assertThat(moved.get().indexOf(key)).as("%d to the place of %d", step, to).isEqualTo(order.indexOf(onto));
                }
            }
        }
        assertThat(tried).isGreaterThan(60);
    }

    @Test
    void overTheEndsAPassGoesFirstOrLast() {
        PaintPlan plan = plan(stone("snail"));
        int some = plan.steps().indexOf(plan.steps().stream().filter(s -> s.key().equals(plan.order().get(3))).findFirst().orElseThrow());
        assertThat(plan.moved(some, 0).orElseThrow().get(0)).isEqualTo(plan.order().get(3));
        List<String> last = plan.moved(some, plan.steps().size() - 1).orElseThrow();
        assertThat(last.get(last.size() - 1)).isEqualTo(plan.order().get(3));
        int end = plan.steps().indexOf(
                plan.steps().stream().filter(s -> s.key().equals(plan.order().get(plan.order().size() - 1))).findFirst().orElseThrow());
        assertThat(plan.moved(end, plan.steps().size() - 1)).as("it is the last already").isEmpty();
    }

    @Test
    void ontoThePencilAPassLandsJustBeforeIt() {
        PaintPlan plan = plan(stone("owl"));
        int pencil = -1;
        int before = 0;
        for (int i = 0; i < plan.steps().size(); i++) {
            pencil = plan.steps().get(i).kind() == Step.Kind.PENCIL_AGAIN ? i : pencil;
        }
        for (int i = 0; i < pencil; i++) {
            before += plan.order().contains(plan.steps().get(i).key()) ? 1 : 0;
        }
        assertThat(before).isGreaterThan(1);
        int first = plan.steps().stream().map(Step::key).toList().indexOf(plan.order().get(0));
        assertThat(plan.moved(first, pencil).orElseThrow().indexOf(plan.order().get(0))).isEqualTo(before - 1);
        int later = plan.steps().stream().map(Step::key).toList().indexOf(plan.order().get(before + 2));
        assertThat(plan.moved(later, pencil).orElseThrow().indexOf(plan.order().get(before + 2))).isEqualTo(before);
    }

    @Test
    void primerSignatureAndWashingKeepTheirPlace() {
        PaintPlan plan = plan(stone("owl"));
        for (int i = 0; i < plan.steps().size(); i++) {
            Step step = plan.steps().get(i);
            boolean fixed = step.kind() == Step.Kind.PRIME || step.kind() == Step.Kind.PREPARE || step.kind() == Step.Kind.SIGN
                    || step.kind() == Step.Kind.SEAL || step instanceof Step.Pencil;
            assertThat(plan.order().contains(step.key())).as("%s", step.kind()).isEqualTo(!fixed);
        }
    }
}
