package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.care.SealKind;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.plan.Hazard;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.units.Millimetres;
import mosspebble.core.words.HazardWords;
import mosspebble.core.words.LayOutWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What can hurt is told with whatever can hurt (the usual cautions, no source). */
@Tag("outside")
class HazardsTest {

    private static final Studio STUDIO = WalkPlans.STUDIO;
    private static final Project OWL = WalkPlans.stone("owl");

    private static PaintPlan plan(Project project, Shelf shelf) {
        return WalkPlans.of(project,
                shelf == STUDIO.shelf() ? WalkPlans.WORKSHOP
                        : new Workshop(new Palette(shelf), WalkPlans.REPERTOIRE, STUDIO.climate(), STUDIO.known()));
    }

    private static Set<Hazard> of(Project project) {
        return Hazard.of(plan(project, STUDIO.shelf()), STUDIO.shelf());
    }

    private static List<String> takeCare(PaintPlan plan, Shelf shelf) {
        return LayOutWords.of(plan, shelf).stream().filter(s -> s.heading().equals("Take care")).flatMap(s -> s.lines().stream())
                .map(LayOutWords.Line::words).toList();
    }

    /** A stone that is not sealed goes into no fire either. */
    @Test
    void whatHoldsForEveryStoneIsToldAlsoOfOneThatIsNotSealed() {
        PaintPlan bare = plan(OWL.withHabits(OWL.habits().withSeal(Habits.Seal.NONE)), STUDIO.shelf());
        assertThat(Hazard.of(bare, STUDIO.shelf())).contains(Hazard.FOOD_AND_FIRE, Hazard.CHILDREN).doesNotContain(Hazard.VARNISH);
        assertThat(takeCare(bare, STUDIO.shelf())).anyMatch(s -> s.contains("aquaria")).anyMatch(s -> s.contains("choking"))
                .noneMatch(s -> s.contains("arnish"));
        assertThat(takeCare(plan(OWL, STUDIO.shelf()), STUDIO.shelf())).anyMatch(s -> s.contains("Varnish with the window open"));
    }

    @Test
    void gelAndPowderAskForGlovesAndAMask() {
        assertThat(of(OWL)).doesNotContain(Hazard.UNCURED_GEL, Hazard.LOOSE_POWDER);
        Project powdered = OWL.withBlend("wings", Blend.of(BlendKind.POWDERED));
        assertThat(of(powdered)).contains(Hazard.UNCURED_GEL, Hazard.LOOSE_POWDER);
        PaintPlan plan = plan(powdered, STUDIO.shelf());
        Step gel = plan.steps().stream().filter(s -> Hazard.of(s, STUDIO.shelf()).contains(Hazard.UNCURED_GEL)).findFirst().orElseThrow();
        assertThat(HazardWords.besides(gel, STUDIO.shelf())).contains("gloves").contains("lamp");
        assertThat(of(OWL.withBlend("wings", Blend.of(BlendKind.GEMS)))).contains(Hazard.GLUE);
    }

    @Test
    void solventIsToldOfWhatHoldsTheColour() {
        String first = plan(OWL, STUDIO.shelf()).steps().stream().filter(s -> s instanceof Step.Lay).flatMap(s -> s.layers().stream())
                .map(l -> l.load().mix().parts().get(0).paint()).findFirst().orElseThrow();
        Paint usual = STUDIO.shelf().find(first).orElseThrow();
        for (Binder binder : new Binder[] {Binder.ALCOHOL, Binder.OIL, Binder.SOLVENT_LACQUER, Binder.ACRYLIC}) {
            Shelf shelf = STUDIO.shelf().with(usual.made(binder, usual.film().finish(), usual.tip(), usual.wetCoat()));
            Step laid = plan(OWL, STUDIO.shelf()).steps().stream().filter(s -> s instanceof Step.Lay).filter(s -> s.layers().stream()
                    .anyMatch(l -> l.load().mix().parts().stream().anyMatch(p -> p.paint().equals(first)))).findFirst().orElseThrow();
            Set<Hazard> found = Hazard.of(laid, shelf);
            assertThat(found.contains(Hazard.SOLVENT)).as("%s", binder).isEqualTo(binder != Binder.ACRYLIC);
            assertThat(found.contains(Hazard.OILY_RAGS)).as("%s", binder).isEqualTo(binder == Binder.OIL);
        }
    }

    @Test
    void dryerWeightAndDustAreTold() {
        assertThat(of(OWL)).doesNotContain(Hazard.HOT_AIR, Hazard.HEAVY);
        assertThat(of(OWL.withHabits(OWL.habits().withDryer(true)))).contains(Hazard.HOT_AIR);
        Project window = STUDIO.project("window").orElseThrow().withOwnHabits(true);
        Project oneFace = window.withHabits(window.habits().withDryer(true));
        assertThat(of(window)).doesNotContain(Hazard.HOT_AIR);
        assertThat(of(oneFace)).as("one face has habits of its own").contains(Hazard.HOT_AIR);
        assertThat(of(oneFace.turnedOver())).as("and lies below").contains(Hazard.HOT_AIR);
        Project slab = OWL.withStone(OWL.stone().withSize(new Millimetres(400), new Millimetres(300), new Millimetres(120)));
        assertThat(plan(slab, STUDIO.shelf()).survey().facts().weight().value()).isGreaterThan(12_000);
        assertThat(of(slab)).contains(Hazard.HEAVY);
        assertThat(of(STUDIO.project("fox").orElseThrow())).as("loose grains are brushed off").contains(Hazard.STONE_DUST);
    }

    @Test
    void resinAsksForGlovesAndSpraysForTheOpenAir() {
        Set<Hazard> poured = of(OWL.withHabits(OWL.habits().withSeal(Habits.Seal.RESIN)));
        assertThat(poured).contains(Hazard.RESIN).doesNotContain(Hazard.VARNISH);
        for (Project project : STUDIO.projects()) {
            PaintPlan plan = plan(project, STUDIO.shelf());
            plan.steps().stream().filter(s -> s instanceof Step.Seal).map(s -> (Step.Seal) s)
                    .forEach(seal -> assertThat(Hazard.of(seal.advice()).contains(Hazard.SOLVENT))
                            .isEqualTo(seal.advice().kind().fumes() == SealKind.Fumes.SOLVENT));
        }
    }

    @ParameterizedTest
    @EnumSource(Hazard.class)
    void eachIsToldInItsOwnWords(Hazard hazard) {
        assertThat(HazardWords.sentence(hazard)).endsWith(".").matches("[A-Z].*")
                .isNotIn(Arrays.stream(Hazard.values()).filter(h -> h != hazard).map(HazardWords::sentence).toList());
    }
}
