package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/**
 * Only what will guide paint is pencilled, details when their ground is dry, with chalk on what is dark (common practice, no source).
 */
class PencillingTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Geometry FIELD = box(0, 0, 40, 30);

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private record Tile(String id, Geometry shape, String mix) {}

    private static PaintPlan plan(String stone, Habits.Primer primer, Tile... tiles) {
        List<Slot> slots = new ArrayList<>();
        List<MotifPart> parts = new ArrayList<>();
        Map<String, Mix> colours = new HashMap<>();
        for (Tile tile : tiles) {
            slots.add(new Slot(tile.id(), tile.id(), Srgb.ofHex("#808080")));
            parts.add(new MotifPart(tile.id(), tile.id(), Role.FILL, tile.id(), tile.shape(),
                    new MotifPart.Make(0, 0.4, false, Presence.ALWAYS), Optional.empty()));
            colours.put(tile.id(), Mix.of(tile.mix()));
        }
        Motif motif = new Motif("tile", "Tile", slots, parts, FIELD, FIELD, false, false);
        Stone on = Stone.cobble()
                .withSkin(new Skin(RockKind.LIMESTONE, Texture.SMOOTH, 0.03, Srgb.ofHex(stone), Skin.Before.NOTHING, false));
        Project project = Project.begin("p", "Tile", on)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("tile"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(colours)
                .withHabits(Habits.usual().withPrimer(primer).withLineColour(Habits.LineColour.NONE)
                        .withLight(mosspebble.core.project.Light.NONE));
        return Plans.plan(project, Surveys.of(on),
                new Workshop(new Palette(Paints.shelf()), Repertoire.of(List.of(motif), List.of(), List.of()), Climate.room(), List.of()),
                new Remembered());
    }

    private static Step.Lay first(PaintPlan plan, String part) {
        return plan.steps().stream().filter(s -> s instanceof Step.Lay l && l.doing().what().stream().anyMatch(w -> w.part().equals(part)))
                .map(s -> (Step.Lay) s).findFirst().orElseThrow();
    }

    private static List<Step.Pencil> pencils(PaintPlan plan) {
        return plan.steps().stream().filter(s -> s instanceof Step.Pencil).map(s -> (Step.Pencil) s).toList();
    }

    @Test
    void whatIsSetOnPaintIsPencilledOnItJustBeforeAndNotOnTheStone() {
        PaintPlan plan = plan("#e9e2d2", Habits.Primer.NEVER, new Tile("field", FIELD, "red"),
                new Tile("patch", box(10, 10, 16, 16), "white"));
        assertThat(pencils(plan)).hasSize(1);
        // 140 mm of the edge of the field at 300 mm a minute, two minutes to lay the guide out; the patch is not in it
        assertThat(pencils(plan).get(0).work().hand().toMinutes()).isEqualTo(3);
        assertThat(first(plan, "field").doing().pencil()).isEmpty();
        Step.Drawing drawing = first(plan, "patch").doing().pencil().orElseThrow();
        assertThat(drawing.onPaint()).isTrue();
        assertThat(drawing.belowL()).isCloseTo(39, within(8.0));
        assertThat(StepWords.sentence(first(plan, "patch"))).startsWith("Draw it in chalk on the dry paint first.");
        assertThat(plan.steps().get(plan.steps().size() - 1)).as("graphite on the stone, chalk on the paint: both go before the seal")
                .isInstanceOfSatisfying(Step.Seal.class, seal -> assertThat(seal.lying().lines()).isEqualTo(Step.Lines.BOTH));
        for (Step step : plan.steps()) {
            if (step instanceof Step.Lay lay && lay.doing().count().number() > 1) {
                assertThat(lay.doing().pencil()).as("a second coat follows the first").isEmpty();
            }
        }
    }

    @Test // a flat-ended rod sets dots; a pass that also fills something is done with a brush (common practice, no source)
    void aRodIsForDotsAlone() {
        Geometry dot = new GeometryFactory().createPoint(new Coordinate(8, 8)).buffer(3, 32);
        PaintPlan mixed = plan("#e9e2d2", Habits.Primer.NEVER, new Tile("dot", dot, "blue"),
                new Tile("block", box(20, 10, 24, 14), "blue"));
        assertThat(first(mixed, "dot").key()).as("one pass").isEqualTo(first(mixed, "block").key());
        assertThat(first(mixed, "dot").tool().kind()).isNotEqualTo(Tool.Kind.DOT_END);
        PaintPlan alone = plan("#e9e2d2", Habits.Primer.NEVER, new Tile("dot", dot, "blue"));
        assertThat(first(alone, "dot").tool().kind()).isEqualTo(Tool.Kind.DOT_END);
    }

    @Test
    void onPalePaintGraphiteIsEnough() {
        PaintPlan plan = plan("#8a8a86", Habits.Primer.NEVER, new Tile("field", FIELD, "palegreen"),
                new Tile("patch", box(10, 10, 16, 16), "blue"));
        assertThat(first(plan, "patch").doing().pencil().orElseThrow().chalk()).isFalse();
        assertThat(StepWords.sentence(first(plan, "patch"))).startsWith("Pencil it lightly on the dry paint first.");
    }

    @Test
    void neighboursAreDrawnOnceOnTheStoneAndATinySpotIsPaintedFreely() {
        PaintPlan beside = plan("#e9e2d2", Habits.Primer.NEVER, new Tile("left", box(0, 0, 20, 30), "red"),
                new Tile("right", box(20, 0, 40, 30), "blue"));
        assertThat(first(beside, "left").doing().pencil()).isEmpty();
        assertThat(first(beside, "right").doing().pencil()).isEmpty();
        PaintPlan spot = plan("#e9e2d2", Habits.Primer.NEVER, new Tile("field", FIELD, "red"),
                new Tile("spot", box(19, 14, 20.5, 15.5), "white"));
        assertThat(first(spot, "spot").doing().pencil()).as("six millimetres of edge").isEmpty();
    }

    @Test
    void theMinutesOfThePencilAreThoseOfItsLine() {
        Tile field = new Tile("field", FIELD, "red");
        double patch = 24 / 300.0;
        PaintPlan with = plan("#e9e2d2", Habits.Primer.NEVER, field, new Tile("patch", box(10, 10, 16, 16), "black"));
        Step.Lay lay = first(with, "patch");
        // the same patch on the stone itself, beside a field that leaves it free
        PaintPlan free = plan("#e9e2d2", Habits.Primer.NEVER, new Tile("patch", box(10, 10, 16, 16), "black"));
        double more = (lay.work().hand().toSeconds() - first(free, "patch").work().hand().toSeconds()) / 60.0;
        assertThat(more).isCloseTo(patch, within(0.05));
    }

    @Test
    void afterPrimerOnlyWhatItCoversIsPencilledAgain() {
        Tile pale = new Tile("pale", box(0, 0, 20, 30), "yellow");
        Tile dark = new Tile("dark", box(20, 0, 40, 30), "black");
        PaintPlan plain = plan("#35383c", Habits.Primer.WHERE_NEEDED, pale, dark);
        assertThat(plain.steps()).anyMatch(s -> s.kind() == Step.Kind.PRIME);
        assertThat(pencils(plain)).as("the primer ends at the very edge of what it is for: nothing is lost").hasSize(1);
        PaintPlan inner = plan("#35383c", Habits.Primer.WHERE_NEEDED, pale, dark, new Tile("inner", box(5, 5, 11, 11), "palegreen"));
        for (Step.Pencil pencil : pencils(inner)) {
            if (pencil.drawing().again()) {
                assertThat(pencil.work().hand().toMinutes()).as("a minute or two, not the whole design").isLessThanOrEqualTo(2);
            }
        }
    }

    /** White chalk pencil on what is dark, graphite on what is pale, lightly (common practice, no source). */
    @Test
    void onADarkStoneItIsSaidToTakeChalkAndNothingOfPencil() {
        Step.Pencil dark = pencils(plan("#35383c", Habits.Primer.NEVER, new Tile("field", FIELD, "black"))).get(0);
        assertThat(StepWords.title(dark)).isEqualTo("Chalk the design");
        assertThat(StepWords.sentence(dark)).endsWith("draw in white chalk.").doesNotContain("lightly");
        Step.Pencil pale = pencils(plan("#e9e2d2", Habits.Primer.NEVER, new Tile("field", FIELD, "black"))).get(0);
        assertThat(StepWords.title(pale)).isEqualTo("Pencil the design");
        assertThat(StepWords.sentence(pale)).endsWith("draw lightly.").doesNotContain("chalk");
    }

    @Test
    void onAGroundUnderAllEverythingIsDrawnOnceOnTheGround() {
        PaintPlan plan = plan("#35383c", Habits.Primer.WHOLE, new Tile("field", FIELD, "red"),
                new Tile("patch", box(10, 10, 16, 16), "white"));
        assertThat(pencils(plan)).hasSize(1);
        assertThat(pencils(plan).get(0).drawing().onPaint()).isTrue();
        assertThat(pencils(plan).get(0).drawing().again()).isFalse();
        assertThat(first(plan, "patch").doing().pencil()).as("the patch still lies on the field").isPresent();
    }

    @Test
    void theDarkestPaintBelowDecidesBetweenChalkAndGraphite() {
        PaintPlan plan = plan("#e9e2d2", Habits.Primer.NEVER, new Tile("light", box(0, 0, 20, 30), "palegreen"),
                new Tile("dark", box(20, 0, 40, 30), "black"), new Tile("one", box(4, 10, 10, 16), "red"),
                new Tile("two", box(26, 10, 32, 16), "red"));
        Step.Lay red = first(plan, "two");
        if (red.doing().what().size() == 2) {
            assertThat(red.doing().pencil().orElseThrow().chalk()).isTrue();
            assertThat(StepWords.sentence(red)).startsWith("Draw them in chalk");
        } else {
            assertThat(red.doing().pencil().orElseThrow().chalk()).isTrue();
            assertThat(first(plan, "one").doing().pencil().orElseThrow().chalk()).isFalse();
        }
    }
}
