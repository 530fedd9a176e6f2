package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.care.Compatibility;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;

/** Special materials on the demo stones: whatever is laid where, what quarrels is kept apart. */
class MaterialsOnStonesTest {

    private static final Repertoire REPERTOIRE = BuiltIn.repertoire();
    private static final Studio STUDIO = LanternWalk.studio(REPERTOIRE);
    private static final Workshop WORKSHOP = new Workshop(new Palette(STUDIO.shelf()), REPERTOIRE, STUDIO.climate(), STUDIO.known());

    private static final List<BlendKind> WAYS = List.of(BlendKind.POWDERED, BlendKind.LEAFED, BlendKind.CRACKLED, BlendKind.GEMS,
            BlendKind.RAISED);

    private static PaintPlan plan(Project project) {
        return Plans.plan(project, Surveys.of(project.stone()), WORKSHOP, new Remembered());
    }

    @Test
    void nothingRunsOverAMaterialThatItDoesNotHoldOn() {
        SplittableRandom random = new SplittableRandom(30);
        List<String> laid = new ArrayList<>();
        for (Project stone : STUDIO.projects()) {
            List<String> slots = stone.colours().keySet().stream().sorted().toList();
            for (int round = 0; round < 3; round++) {
                String slot = slots.get(random.nextInt(slots.size()));
                BlendKind way = WAYS.get(random.nextInt(WAYS.size()));
                Blend blend = Blend.of(way).withColours(way == BlendKind.CRACKLED ? List.of(Mix.of("cream")) : List.of());
                PaintPlan plan = plan(stone.withBlend(slot, blend));
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
        Project owl = STUDIO.project("owl").orElseThrow();
        PaintPlan plan = plan(owl.withBlend("wings", Blend.of(BlendKind.POWDERED)));
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
