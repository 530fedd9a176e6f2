package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.care.Compatibility;
import mosspebble.core.colour.Mix;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;

/** Special materials on the demo stones: whatever is laid where, what quarrels is kept apart. */
class MaterialsOnStonesTest {

    private static final List<BlendKind> WAYS = List.of(BlendKind.POWDERED, BlendKind.LEAFED, BlendKind.CRACKLED, BlendKind.GEMS,
            BlendKind.RAISED);

    @Test
    void nothingRunsOverAMaterialThatItDoesNotHoldOn() {
        SplittableRandom random = new SplittableRandom(30);
        List<String> laid = new ArrayList<>();
        for (Project stone : WalkPlans.STUDIO.projects()) {
            List<String> slots = stone.colours().keySet().stream().sorted().toList();
            for (int round = 0; round < 3; round++) {
                String slot = slots.get(random.nextInt(slots.size()));
                BlendKind way = WAYS.get(random.nextInt(WAYS.size()));
                Blend blend = Blend.of(way).withColours(way == BlendKind.CRACKLED ? List.of(Mix.of("cream")) : List.of());
                PaintPlan plan = WalkPlans.of(stone.withBlend(slot, blend));
                assertThat(plan.findings()).as("%s, %s laid as %s: %s", stone.id(), slot, way, StepWords.titles(plan))
                        .filteredOn(f -> f.code() == Code.INCOMPATIBLE && f.weight() != Finding.Weight.TIP)
                        .extracting(FindingWords::sentence).filteredOn(s -> !s.contains("cured and wiped")).isEmpty();
                assertThat(plan.findings()).as("%s, %s laid as %s", stone.id(), slot, way).noneMatch(f -> f.code() == Code.LEFT_OUT);
                StepWords.titles(plan).stream().filter(t -> t.startsWith("Isolate")).forEach(laid::add);
            }
        }
        assertThat(laid).as("and there was something to keep apart").hasSizeGreaterThan(3);
    }

    @Test
    void theOwlsWingsInPowderAreIsolatedBeforeTheirFeathersAreDrawn() {
        Project owl = WalkPlans.stone("owl");
        PaintPlan plan = WalkPlans.of(owl.withBlend("wings", Blend.of(BlendKind.POWDERED)));
        List<String> titles = StepWords.titles(plan);
        int powder = titles.indexOf(titles.stream().filter(t -> t.startsWith("Gel, lamp and powder")).findFirst().orElseThrow());
        int isolated = titles.indexOf(titles.stream().filter(t -> t.startsWith("Isolate")).findFirst().orElseThrow());
        assertThat(isolated).isGreaterThan(powder);
        for (Map.Entry<Integer, String> each : Map.of(0, "the feather lines", 1, "Outline").entrySet()) {
            titles.stream().filter(t -> t.contains(each.getValue())).forEach(t -> assertThat(titles.indexOf(t)).isGreaterThan(isolated));
        }
        assertThat(Compatibility.Known.NOTHING.tests()).isEmpty();
    }
}
