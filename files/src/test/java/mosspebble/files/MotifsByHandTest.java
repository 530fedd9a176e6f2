package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.What;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Shipped motifs on stones of no studio, in the mixes nearest to how they are drawn: read as a practised hand would read them (common
 * practice, no source).
 */
@Tag("outside")
class MotifsByHandTest {

    private static final Repertoire REPERTOIRE = BuiltIn.repertoire();
    private static final Palette PALETTE = new Palette(LanternWalk.shelf());
    private static final Remembered MEMORY = new Remembered();
    private static final Map<String, Mix> NEAREST = new HashMap<>();
    private static final Stone PALE = stone(RockKind.LIMESTONE, "#d3cbb9");
    private static final Stone DARK = stone(RockKind.BASALT, "#44474a");

    private static Stone stone(RockKind rock, String colour) {
        return stone(120, 110, rock, colour);
    }

    private static Stone stone(double length, double width, RockKind rock, String colour) {
        return Stone.cobble().withShape(new Shape.Grown(Form.OVAL, 0.8, 0.2))
                .withSize(new Millimetres(length), new Millimetres(width), new Millimetres(40)).withDome(Stone.ROUNDED_FACE, 3)
                .withBackFullness(3).withSeed(19).withSkin(Skin.of(rock, Texture.SMOOTH, Srgb.ofHex(colour)));
    }

    private static Mix nearest(Slot slot) {
        return NEAREST.computeIfAbsent(slot.wish().hex(),
                wish -> RecipeSearch.nearest(Lab.of(slot.wish()), PALETTE, 4, 2).orElseThrow().mix());
    }

    private static PaintPlan plan(String motif, Stone stone, double wideMm) {
        Subject subject = new Subject.Figure(motif);
        double scale = wideMm / Designs.motif(subject, REPERTOIRE).orElseThrow().silhouette().getEnvelopeInternal().getWidth();
        return plan(subject, stone, Item.of(subject, ItemMode.ON_STONE, new Placement(0, 0, 0, scale), 0));
    }

    private static PaintPlan plan(Subject subject, Stone stone, Item item) {
        Motif drawn = Designs.motif(subject, REPERTOIRE).orElseThrow();
        Map<String, Mix> colours = new LinkedHashMap<>();
        drawn.slots().forEach(slot -> colours.put(slot.id(), nearest(slot)));
        Project project = Project.begin(drawn.id(), drawn.title(), stone).withSketch(Optional.of(new Sketch(List.of(item))))
                .withColours(colours).withHabits(Habits.usual());
        return Plans.plan(project, Surveys.of(stone), new Workshop(PALETTE, REPERTOIRE, new Climate(new Celsius(19), 0.55, 0.1), List.of()),
                MEMORY);
    }

    private static List<Integer> fills(PaintPlan plan, String part) {
        return IntStream.range(0, plan.steps().size())
                .filter(k -> plan.steps().get(k) instanceof Step.Lay lay && lay.kind() == Step.Kind.FILL
                        && lay.doing().what().stream().anyMatch(w -> w.part().matches(part)))
                .boxed().toList();
    }

    private static int begun(PaintPlan plan, String part) {
        return fills(plan, part).get(0);
    }

    private static int closed(PaintPlan plan, String part) {
        List<Integer> all = fills(plan, part);
        return all.get(all.size() - 1);
    }

    @Test
    void aSceneGoesFromTheSkyToWhatStandsBeforeIt() {
        PaintPlan cottage = plan("cottage-night", PALE, 74);
        assertThat(closed(cottage, "far hill")).as("nobody paints a hill round four trees").isLessThan(begun(cottage, "tree \\d"));
        assertThat(closed(cottage, "sky")).isLessThan(closed(cottage, "far hill"));
        assertThat(closed(cottage, "roof")).as("snow lies on a roof").isLessThan(closed(cottage, "snow on the roof"));
        PaintPlan lake = plan("mountain-lake", PALE, 88);
        assertThat(List.of(begun(lake, "sky"), begun(lake, "dawn"), begun(lake, "far mountains"), begun(lake, "mountain"),
                begun(lake, "pine \\d"))).isSorted();
    }

    @Test
    void aBrokenEdgeComesWhenTheStripesInItAreDone() {
        for (Stone stone : List.of(PALE, DARK)) {
            Subject opening = new Subject.Pattern("opening", Map.of());
            PaintPlan plan = plan(opening, stone, Item.of(opening, ItemMode.WEARING, new Placement(0, 0, 0, 36), 0));
            assertThat(begun(plan, "broken edge")).isGreaterThan(closed(plan, "stripe [2-5]"));
        }
    }

    @Test
    void theEyesAreSetIntoTheHead() {
        PaintPlan frog = plan("frog-leaf", stone(110, 90, RockKind.SANDSTONE, "#c9b08a"), 56);
        assertThat(closed(frog, "head")).isLessThan(begun(frog, "(left|right) eye"));
    }

    @Test
    void whatIsWhiteOnWhiteIsOnlyDrawn() {
        PaintPlan pup = plan("seal-pup", DARK, 70);
        assertThat(fills(pup, "(left|right) muzzle")).isEmpty();
        assertThat(fills(pup, "body")).isNotEmpty();
        assertThat(pup.steps().stream().filter(s -> s.kind() == Step.Kind.OUTLINE).anyMatch(s -> pup.design().orElseThrow().parts().stream()
                .filter(p -> p.part().title().equals("left muzzle")).anyMatch(p -> s.place().intersects(p.drawn().getBoundary()))))
                .as("its line is there").isTrue();
    }

    @Test
    void smallTeethAreOneTouchEach() {
        PaintPlan bat = plan("bat-cloak", PALE, 60);
        assertThat(StepWords.titles(bat)).contains("Set both teeth");
        assertThat(fills(bat, "(left|right) tooth")).hasSize(1);
    }

    @Test
    void aSecondCoatOfTheLineIsNoSecondOutline() {
        List<String> bear = StepWords.titles(plan("bear-asleep", DARK, 76));
        assertThat(bear).doesNotHaveDuplicates().contains("Outline with the white pen", "Go over the outline with the white pen once more");
    }

    @Test
    void whatOneCoatIsEnoughForIsTold() {
        assertThat(plan("bear-asleep", DARK, 60).steps()).extracting(StepWords::sentence)
                .anyMatch(s -> s.contains("enough for the insides of both ears; on the sole it may be streaky"));
    }

    @Test
    void blackLimbsTakeNoShade() {
        PaintPlan badger = plan("badger-lamp", PALE, 60);
        List<What> shaded = badger.steps().stream().filter(s -> s.kind() == Step.Kind.SHADE)
                .flatMap(s -> ((Step.Lay) s).doing().what().stream()).toList();
        assertThat(shaded).extracting(What::part).contains("head", "body").noneMatch(p -> p.matches("(left|right) (stripe|arm|foot)"));
    }

    static List<String> motifs() {
        return BuiltIn.titles().stream().map(BuiltIn.Title::id).toList();
    }

    @ParameterizedTest
    @MethodSource("motifs")
    void lightsAreSetOnceAndASubjectHasTwoColoursOfLineAtMost(String motif) {
        for (Stone stone : List.of(PALE, DARK)) {
            PaintPlan plan = plan(motif, stone, 60);
            assertThat(plan.steps()).filteredOn(s -> s.kind() == Step.Kind.HIGHLIGHT)
                    .allSatisfy(s -> assertThat(((Step.Lay) s).doing().count().of()).as(StepWords.title(s)).isEqualTo(1));
            assertThat(plan.steps().stream().filter(s -> s.kind() == Step.Kind.OUTLINE).map(s -> s.mix().orElseThrow()).distinct())
                    .as(StepWords.titles(plan).toString()).hasSizeLessThanOrEqualTo(2);
            assertThat(StepWords.titles(plan)).as("each pass has a name of its own").doesNotHaveDuplicates()
                    .noneMatch(t -> t.contains(" first ") && t.contains(" third "));
        }
    }
}
