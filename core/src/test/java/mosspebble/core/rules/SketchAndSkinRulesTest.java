package mosspebble.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Support;
import mosspebble.core.sketch.Typeface;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.FindingWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Rules about words, pairs, rim and skin, each brought about on purpose and each left silent where nothing is wrong. */
class SketchAndSkinRulesTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Typeface BARS = new Typeface.Drawn("bars", "Bars", 0.7, glyphs());

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static Map<Integer, Typeface.Glyph> glyphs() {
        Map<Integer, Typeface.Glyph> glyphs = new TreeMap<>();
        glyphs.put((int) 'I', new Typeface.Glyph(box(0.05, -0.7, 0.25, 0), 0.3));
        glyphs.put((int) 'L', new Typeface.Glyph(box(0.05, -0.7, 0.2, 0).union(box(0.05, -0.15, 0.45, 0)), 0.5));
        glyphs.put((int) ' ', new Typeface.Glyph(FACTORY.createPolygon(), 0.3));
        return glyphs;
    }

    private static MotifPart part(String id, Geometry shape, String mirror) {
        return new MotifPart(id, id, Role.FILL, "one", shape, new MotifPart.Make(0, 0.4, false, Presence.ALWAYS),
                Optional.ofNullable(mirror));
    }

    private static final Motif EYES = new Motif("eyes", "Eyes", List.of(new Slot("one", "One", Srgb.ofHex("#b3261e"))),
            List.of(part("left", box(-30, -8, -4, 8), "right"), part("right", box(4, -8, 30, 8), "left")), box(-34, -12, 34, 12),
            box(-34, -12, 34, 12), true, false);

    private static MotifPart named(String title, Geometry shape) {
        return new MotifPart(title.replace(' ', '-'), title, Role.FILL, "one", shape, new MotifPart.Make(0, 0.4, false, Presence.ALWAYS),
                Optional.empty());
    }

    private static final Motif OWLET = new Motif("owlet", "Owlet", List.of(new Slot("one", "One", Srgb.ofHex("#b3261e"))),
            List.of(named("body", box(-20, -20, 20, 20)), named("left eye", box(-12, -10, -4, -2)), named("right eye", box(4, -10, 12, -2)),
                    named("tail", box(-4, 14, 4, 20))),
            box(-20, -20, 20, 20), box(-20, -20, 20, 20), false, false);

    private static final Repertoire REPERTOIRE = Repertoire.of(List.of(EYES, OWLET), List.of(BARS), List.of());

    private static Project of(Stone stone, Subject subject, ItemMode mode, Placement placement) {
        Project project = Project.begin("p", "Try", stone).withSketch(Optional.of(Sketch.of(subject, mode, placement, 0)))
                .withHabits(Habits.usual().withOutdoors(false));
        Map<String, Mix> colours = new HashMap<>();
        plan(project, Paints.shelf()).design().ifPresent(d -> d.slots().forEach(slot -> colours.put(slot.id(), Mix.of("red"))));
        return project.withColours(colours);
    }

    private static PaintPlan plan(Project project, Shelf shelf) {
        return Plans.plan(project, Surveys.of(project.stone()), new Workshop(new Palette(shelf), REPERTOIRE, Climate.room(), List.of()),
                new Remembered());
    }

    private static Optional<Finding> found(Project project, Code code) {
        return plan(project, Paints.shelf()).findings().stream().filter(f -> f.code() == code).findFirst();
    }

    private static Subject.Word word(String text, LetterSetting setting) {
        return new Subject.Word(List.of(text), "bars", setting);
    }

    private static Stone slab() {
        return Stone.cobble().withShape(new Shape.Grown(Form.OVAL, 1, 0)).withSize(new Millimetres(140), new Millimetres(90),
                new Millimetres(20)).withDome(0.4, 4);
    }

    @Test
    void aLetterThatTheFaceLacksIsNamed() {
        Finding missing = found(of(slab(), word("ILKI", LetterSetting.plain()), ItemMode.ON_STONE, new Placement(0, 0, 0, 12)),
                Code.MISSING_LETTERS).orElseThrow();
        assertThat(mosspebble.core.words.FindingWords.sentence(missing)).contains("K").doesNotContain("L,");
        assertThat(found(of(slab(), word("ILLI", LetterSetting.plain()), ItemMode.ON_STONE, new Placement(0, 0, 0, 12)),
                Code.MISSING_LETTERS)).isEmpty();
    }

    @Test
    void lettersOverACrackAreSaidAndFittedBesideIt() {
        Stone cracked = slab().plus(Patch.crack(-20, -30, 10, 30, 1, 0.5));
        Project project = of(cracked, word("ILIL", LetterSetting.plain()), ItemMode.ON_STONE, new Placement(0, 0, 0, 14));
        Finding over = found(project, Code.OVER_CRACK).orElseThrow();
        Project mended = over.remedies().get(0).change().apply(project);
        assertThat(found(mended, Code.OVER_CRACK)).isEmpty();
        assertThat(mended.sketch().orElseThrow().items().get(0).placement()).isNotEqualTo(
                project.sketch().orElseThrow().items().get(0).placement());
        Project figure = of(cracked, new Subject.Figure("eyes"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1));
        assertThat(found(figure, Code.OVER_CRACK)).as("a crack under a picture may be part of it").isEmpty();
    }

    @Test
    void aWordAcrossTheRimStopsAndWhatRunsOffByALittleMayBeMeant() {
        Project off = of(slab(), word("ILILIL", LetterSetting.plain()), ItemMode.ON_STONE, new Placement(30, 0, 0, 24));
        Finding leaves = found(off, Code.LEAVES).orElseThrow();
        assertThat(leaves.weight()).as("off the stone altogether").isEqualTo(Finding.Weight.STOP);
        Project fitted = leaves.remedies().get(0).change().apply(off);
        assertThat(found(fitted, Code.LEAVES)).isEmpty();
        Project near = of(slab(), new Subject.Figure("eyes"), ItemMode.ON_STONE, new Placement(0, 30, 0, 1));
        Finding little = found(near, Code.LEAVES).orElseThrow();
        Finding.Remedy meant = little.remedies().get(little.remedies().size() - 1);
        Project let = meant.change().apply(near);
        if (little.weight() == Finding.Weight.MIND) {
            assertThat(found(let, Code.LEAVES)).isEmpty();
            assertThat(found(let, Code.RUNS_OFF)).hasValueSatisfying(f -> assertThat(f.weight()).isEqualTo(Finding.Weight.TIP));
        }
    }

    @Test
    void aPairPulledApartByTheShapeIsSaidAndMadeEqual() {
        Stone crooked = Stone.cobble().withShape(new Shape.Grown(Form.KIDNEY, 0.8, 0.3)).withSize(new Millimetres(130),
                new Millimetres(80), new Millimetres(30)).withWayUp(25);
        Project project = of(crooked, new Subject.Figure("eyes"), ItemMode.WEARING, new Placement(0, 0, 0, 1));
        Optional<Finding> unequal = found(project, Code.UNEQUAL_PAIR);
        assertThat(unequal).isPresent();
        assertThat(found(unequal.get().remedies().get(0).change().apply(project), Code.UNEQUAL_PAIR)).isEmpty();
        assertThat(found(of(slab(), new Subject.Figure("eyes"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1)), Code.UNEQUAL_PAIR))
                .as("laid flat they are as they were drawn").isEmpty();
    }

    private static Stone skinned(RockKind rock, double porosity, String colour) {
        return slab().withSkin(new Skin(rock, Texture.SMOOTH, porosity, Srgb.ofHex(colour), Skin.Before.NOTHING, false));
    }

    @ParameterizedTest
    @CsvSource({
        // rock, porosity, colour, whether pale paint needs a primer, whether the bare stone darkens (common practice, no source)
        "SLATE, 0.01, #35383c, true, false",
        "BASALT, 0.10, #4a4744, true, true",
        "SANDSTONE, 0.18, #c9b48e, true, true",
        "LIMESTONE, 0.06, #e9e2d2, false, true",
        "MARBLE, 0.005, #efece4, false, false",
        "CAST_PLASTER, 0.30, #f4f2ec, false, false"})
    void skinIsJudgedByItsColourAndWhatItDrinks(RockKind rock, double porosity, String colour, boolean primer, boolean darkens) {
        Project project = of(skinned(rock, porosity, colour), new Subject.Figure("eyes"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1));
        assertThat(found(project.withSketch(Optional.empty()), Code.PALE_NEEDS_PRIMER).isPresent()).as("primer").isEqualTo(primer);
        assertThat(found(project, Code.PALE_NEEDS_PRIMER)).as("the passes say it").isEmpty();
        assertThat(found(project, Code.DARKENS_SEALED).isPresent()).as("darkens").isEqualTo(darkens);
    }

    @Test
    void whatNeverHidesIsSaidAndAPrimerOfferedToThoseWhoForbadeIt() {
        Shelf thin = new Shelf(List.of(Paints.brush("lemonish", "#f6e04a", 0.45), Paints.shelf().find("gesso").orElseThrow(),
                Paints.shelf().find("varnish").orElseThrow()));
        Project project = of(skinned(RockKind.SLATE, 0.01, "#2b2d30"), new Subject.Figure("eyes"), ItemMode.ON_STONE,
                new Placement(0, 0, 0, 1));
        Map<String, Mix> thinly = new HashMap<>();
        project.colours().keySet().forEach(slot -> thinly.put(slot, Mix.of("lemonish")));
        Project never = project.withColours(thinly).withHabits(project.habits().withPrimer(Habits.Primer.NEVER));
        Finding shows = plan(never, thin).findings().stream().filter(f -> f.code() == Code.NEVER_HIDES).findFirst().orElseThrow();
        assertThat(shows.remedies()).hasSize(1);
        Project allowed = shows.remedies().get(0).change().apply(never);
        assertThat(allowed.habits().primer()).isEqualTo(Habits.Primer.WHERE_NEEDED);
        assertThat(plan(allowed, thin).steps().stream().anyMatch(s -> s.kind() == mosspebble.core.plan.Step.Kind.PRIME))
                .as("with leave the planner primes").isTrue();
    }

    @Test
    void whereNotEvenPrimerHelpsThePaintThatHidesIsOfferedAndMends() {
        Shelf thin = new Shelf(List.of(Paints.brush("lemonish", "#f6e04a", 0.05), Paints.brush("ochre", "#c9a02c", 0.93),
                Paints.brush("chalky", "#f6f4ee", 0.9), Paints.shelf().find("gesso").orElseThrow(),
                Paints.shelf().find("varnish").orElseThrow()));
        Project project = of(skinned(RockKind.SLATE, 0.01, "#2b2d30"), new Subject.Figure("eyes"), ItemMode.ON_STONE,
                new Placement(0, 0, 0, 1));
        Map<String, Mix> thinly = new HashMap<>();
        project.colours().keySet().forEach(slot -> thinly.put(slot, Mix.of("lemonish")));
        for (Habits.Primer primer : List.of(Habits.Primer.NEVER, Habits.Primer.WHERE_NEEDED)) {
            Project glassy = project.withColours(thinly).withHabits(project.habits().withPrimer(primer));
            Finding shows = plan(glassy, thin).findings().stream().filter(f -> f.code() == Code.NEVER_HIDES).findFirst().orElseThrow();
            assertThat(shows.remedies()).as("primer would not mend it").extracting(Finding.Remedy::cure)
                    .containsExactly(Finding.Cure.HIDING_MIX);
            assertThat(FindingWords.sentence(shows)).endsWith("Choose a paint that hides better.");
            Project mended = shows.remedies().get(0).change().apply(glassy);
            assertThat(mended.colours().values()).allMatch(mix -> mix.parts().stream().noneMatch(p -> p.paint().equals("lemonish")));
            assertThat(plan(mended, thin).findings()).extracting(Finding::code).doesNotContain(Code.NEVER_HIDES);
        }
    }

    @Test
    void aFilmTooThickForAGlassyRimIsMeasuredThere() {
        Stone glassy = skinned(RockKind.FLINT, 0.002, "#22252a");
        Project project = of(glassy, new Subject.Figure("eyes"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1));
        PaintPlan plan = plan(project, Paints.shelf());
        PaintPlan.Weakest weakest = plan.weakest().orElseThrow();
        double counted = plan.steps().subList(0, weakest.top() + 1).stream().filter(s -> s.coat().isPresent()).count();
        assertThat(weakest.coats()).isLessThanOrEqualTo((int) counted);
        assertThat(weakest.um()).as("a coat of craft paint is some 10 to 35 µm dry (from memory)").isBetween(8.0 * weakest.coats(),
                40.0 * weakest.coats());
        assertThat(plan.findings().stream().anyMatch(f -> f.code() == Code.FILM_THICK)).isEqualTo(
                weakest.um() > 260 * 0.7 * (weakest.onRim() ? 0.8 : 1));
    }

    private static Project written(double x, double y, double cap) {
        Project project = of(slab(), new Subject.Figure("owlet"), ItemMode.ON_STONE, new Placement(-30, 0, 0, 1));
        Sketch sketch = project.sketch().orElseThrow()
                .plus(Item.of(word("ILI", LetterSetting.plain()), ItemMode.ON_STONE, new Placement(x, y, 0, cap), 0));
        Map<String, Mix> colours = new HashMap<>(project.colours());
        plan(project.withSketch(Optional.of(sketch)), Paints.shelf()).design().orElseThrow().slots()
                .forEach(slot -> colours.putIfAbsent(slot.id(), Mix.of("blue")));
        return project.withSketch(Optional.of(sketch)).withColours(colours);
    }

    @Test
    void wordsOverAFaceAreSaidAndFittedBesideItAndOverATailTheyAreNot() {
        Project over = written(-30, -6, 8);
        Finding covers = found(over, Code.COVERS_FACE).orElseThrow();
        assertThat(mosspebble.core.words.FindingWords.sentence(covers)).startsWith("The words ILI lie over the ").contains("eye", "owlet");
        Project mended = covers.remedies().get(0).change().apply(over);
        assertThat(found(mended, Code.COVERS_FACE)).isEmpty();
        assertThat(found(mended, Code.LEAVES)).isEmpty();
        assertThat(found(written(-30, 14, 6), Code.COVERS_FACE)).as("over the tail").isEmpty();
        assertThat(found(written(30, 0, 10), Code.COVERS_FACE)).as("beside it").isEmpty();
    }

    @Test
    void wordsBehindAFaceCoverNothing() {
        Project over = written(-30, -6, 8);
        List<Item> items = over.sketch().orElseThrow().items();
        Project behind = over.withSketch(Optional.of(new Sketch(List.of(items.get(1), items.get(0)))));
        assertThat(found(behind, Code.COVERS_FACE)).isEmpty();
    }

    @Test
    void besideTheOthersIsTheLargestFreePatchAndTouchesNone() {
        Project project = written(30, 0, 5);
        Support bed = Support.of(Surveys.of(project.stone()));
        PlacedDesign design = Designs.place(project.sketch().orElseThrow(), REPERTOIRE, bed).orElseThrow();
        Item words = project.sketch().orElseThrow().items().get(1);
        Placement at = Designs.beside(design, words, java.util.Set.of(), REPERTOIRE, bed).orElseThrow();
        assertThat(at.scale()).as("larger than it was").isGreaterThan(5);
        assertThat(at.x()).as("right of the owlet").isGreaterThan(0);
        PlacedDesign after = Designs.place(project.sketch().orElseThrow().with(words.id(), i -> i.withPlacement(at)), REPERTOIRE, bed)
                .orElseThrow();
        assertThat(after.items().get(1).silhouette().distance(after.items().get(0).silhouette())).isGreaterThanOrEqualTo(0.5);
        assertThat(bed.zones().face().buffer(0.05).covers(after.items().get(1).silhouette())).isTrue();
        // free only in two narrow strips: the word goes where its letters are larger, not where the area is
        Geometry shut = box(-80, -16, 80, 60);
        Placement above = Designs.fit(words, REPERTOIRE, bed, shut).orElseThrow();
        assertThat(above.y()).isLessThan(-16);
    }
}
