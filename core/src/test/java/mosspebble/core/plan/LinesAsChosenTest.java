package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Two red discs, the left one outlined by its motif, the right one not: lines as chosen for the stone, the thing and its parts. */
class LinesAsChosenTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Stone STONE = Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(30));
    private static final Survey SURVEY = Surveys.of(STONE);
    private static final Habits BARE = Habits.usual().withGround(Habits.Ground.BARE);
    private static final Paint GREY = pen("greypen", "#8a8a8c", 0.7);
    private static final Paint FINE = pen("finepen", "#19191b", 0.3);

    private static Paint pen(String id, String hex, double tip) {
        return Paint.usual(id, id, PaintKind.PEN, Srgb.ofHex(hex), new Millilitres(6)).withHiding(0.97, 0.05).made(Binder.ACRYLIC,
                Finish.MATT, new Millimetres(tip), new Micrometres(18));
    }

    private static MotifPart part(String id, double x, double r, boolean outlined) {
        Geometry disc = FACTORY.createPoint(new Coordinate(x, 0)).buffer(r, 32);
        return new MotifPart(id, id, Role.FILL, id, disc, new MotifPart.Make(0, 0, outlined, Presence.ALWAYS), Optional.empty());
    }

    private static Project project(Habits habits, UnaryOperator<Item.Lines> lines, double size) {
        Sketch sketch = Sketch.of(new Subject.Figure("discs"), ItemMode.ON_STONE, new Placement(0, 0, 0, size), 0);
        return Project.begin("p", "Discs", STONE).withSketch(Optional.of(sketch.with("", i -> i.withLines(lines.apply(i.lines())))))
                .withColours(Map.of("lined", Mix.of("red"), "plain", Mix.of("red"))).withHabits(habits);
    }

    private static PaintPlan plan(Project project, Paint... more) {
        List<MotifPart> parts = List.of(part("lined", -16, 12, true), part("plain", 16, 12, false));
        Geometry whole = Shapes.union(parts.stream().map(MotifPart::shape).toList());
        Repertoire repertoire = Repertoire.of(List.of(new Motif("discs", "Discs",
                List.of(new Slot("lined", "Lined", Srgb.ofHex("#b3261e")), new Slot("plain", "Plain", Srgb.ofHex("#b3261e"))), parts, whole,
                whole, true, false)), List.of());
        Shelf shelf = Paints.shelf();
        for (Paint paint : more) {
            shelf = shelf.with(paint);
        }
        return Plans.plan(project, SURVEY, new Workshop(new Palette(shelf), repertoire, Climate.room(), List.of()), new Remembered());
    }

    private static PaintPlan plan(Habits habits, UnaryOperator<Item.Lines> lines, Paint... more) {
        return plan(project(habits, lines, 1), more);
    }

    private static List<Step> outlines(PaintPlan plan) {
        return plan.steps().stream().filter(s -> s.kind() == Step.Kind.OUTLINE).toList();
    }

    private static UnaryOperator<Item.Lines> whole(LineWish wish) {
        return lines -> lines.withWhole(wish);
    }

    private static LineWish wish(LineWish.Colour colour) {
        return LineWish.OPEN.coloured(colour);
    }

    // --- colour

    @Test
    @Tag("outside") // contrast chooses among black, white and grey (common practice, no source)
    void withoutAWishTheMotifAndTheContrastDecide() {
        PaintPlan plan = plan(BARE, l -> l);
        assertThat(outlines(plan)).hasSize(1);
        assertThat(outlines(plan).get(0).mix()).contains(Mix.of("blackpen"));
        assertThat(StepWords.reason(outlines(plan).get(0))).startsWith("Stands out best");
        assertThat(outlines(plan).get(0).place().getNumGeometries()).as("only the disc that its motif outlines").isEqualTo(1);
    }

    @Test
    void aThingMayHaveNoLine() {
        assertThat(outlines(plan(BARE, whole(wish(LineWish.Colour.NONE))))).isEmpty();
        assertThat(outlines(plan(BARE.withLineColour(Habits.LineColour.NONE), l -> l))).as("nor any on the stone").isEmpty();
    }

    @Test
    void eachColourHasItsPen() {
        Map<LineWish.Colour, String> pens = Map.of(LineWish.Colour.BLACK, "blackpen", LineWish.Colour.WHITE, "whitepen",
                LineWish.Colour.GREY, "greypen");
        pens.forEach((colour, pen) -> {
            PaintPlan plan = plan(BARE, whole(wish(colour)), GREY);
            assertThat(outlines(plan)).as("%s", colour).isNotEmpty().allMatch(s -> s.mix().equals(Optional.of(Mix.of(pen))));
            assertThat(StepWords.reason(outlines(plan).get(0))).startsWith("The line you chose.");
            assertThat(plan.findings()).extracting(Finding::code).doesNotContain(Code.LINE_NOT_ON_SHELF, Code.FAINT_OUTLINE);
        });
        Map<Habits.LineColour, String> habits = Map.of(Habits.LineColour.BLACK, "blackpen", Habits.LineColour.WHITE, "whitepen",
                Habits.LineColour.GREY, "greypen");
        habits.forEach((colour, pen) -> assertThat(outlines(plan(BARE.withLineColour(colour), l -> l, GREY))).as("by habit %s", colour)
                .isNotEmpty().allMatch(s -> s.mix().equals(Optional.of(Mix.of(pen)))));
    }

    @Test
    void anyPaintDrawsALineWithTheLiner() {
        PaintPlan plan = plan(BARE, whole(LineWish.OPEN.in("blue")));
        assertThat(outlines(plan)).hasSize(1);
        assertThat(outlines(plan).get(0).mix()).contains(Mix.of("blue"));
        assertThat(StepWords.tool(outlines(plan).get(0))).isEqualTo("liner brush");
    }

    @Test
    void aPartHasItsOwnLineOverThatOfTheThingAndTheStone() {
        PaintPlan plan = plan(BARE.withLineColour(Habits.LineColour.NONE),
                l -> l.withWhole(wish(LineWish.Colour.BLACK)).with("plain", wish(LineWish.Colour.WHITE)));
        Geometry plain = plan.design().orElseThrow().parts().get(1).drawn();
        assertThat(outlines(plan)).extracting(s -> s.mix().orElseThrow()).contains(Mix.of("blackpen"), Mix.of("whitepen"));
        outlines(plan).forEach(s -> assertThat(s.place().intersects(plain)).as("a part that its motif does not outline is lined if asked")
                .isEqualTo(s.mix().orElseThrow().equals(Mix.of("whitepen"))));
        PaintPlan without = plan(BARE, l -> l.with("lined", wish(LineWish.Colour.NONE)));
        assertThat(outlines(without)).isEmpty();
    }

    // --- what cannot be had

    @Test
    void aColourThatNoPenHasIsSaidAndDrawnByContrast() {
        Project project = project(BARE, whole(wish(LineWish.Colour.GREY)), 1);
        PaintPlan plan = plan(project);
        Finding finding = plan.findings().stream().filter(f -> f.code() == Code.LINE_NOT_ON_SHELF).findFirst().orElseThrow();
        assertThat(FindingWords.sentence(finding))
                .isEqualTo("The discs are to have a line in grey, which no pen on the shelf draws; it is drawn by contrast.");
        assertThat(outlines(plan)).as("as much as can be done").extracting(s -> s.mix().orElseThrow()).containsExactly(Mix.of("blackpen"));
        Project mended = finding.remedy().orElseThrow().change().apply(project);
        assertThat(mended.sketch().orElseThrow().items().get(0).lines().whole().colour()).isEqualTo(LineWish.Colour.CONTRAST);
        assertThat(plan(mended).findings()).extracting(Finding::code).doesNotContain(Code.LINE_NOT_ON_SHELF);

        Project gone = project(BARE, l -> l.with("plain", LineWish.OPEN.in("a-paint-that-is-gone")), 1);
        Finding of = plan(gone).findings().stream().filter(f -> f.code() == Code.LINE_NOT_ON_SHELF).findFirst().orElseThrow();
        assertThat(FindingWords.sentence(of)).startsWith("The plain is to have a line in a paint that is gone");
        assertThat(of.remedy().orElseThrow().change().apply(gone).sketch().orElseThrow().items().get(0).lines().of("plain").colour())
                .isEqualTo(LineWish.Colour.CONTRAST);

        Project habit = project(BARE.withLineColour(Habits.LineColour.GREY), l -> l, 1);
        Finding stone = plan(habit).findings().stream().filter(f -> f.code() == Code.LINE_NOT_ON_SHELF).findFirst().orElseThrow();
        assertThat(stone.remedy().orElseThrow().change().apply(habit).habits().lineColour()).isEqualTo(Habits.LineColour.CONTRAST);
    }

    @Test
    void nonsenseIsRefused() {
        assertThatThrownBy(() -> new LineWish(LineWish.Colour.OPEN, "", LineWish.Style.OPEN, 4)).hasMessageContaining("0.2 to 3 mm");
        assertThatThrownBy(() -> new LineWish(LineWish.Colour.PAINT, "", LineWish.Style.OPEN, 0)).hasMessageContaining("names the paint");
        assertThatThrownBy(() -> new LineWish(LineWish.Colour.BLACK, "blue", LineWish.Style.OPEN, 0))
                .hasMessageContaining("names the paint");
    }

    // --- style and weight

    @Test
    void styleAndWidthComeFromThePartThenTheThingThenTheStone() {
        LineWish part = new LineWish(LineWish.Colour.OPEN, "", LineWish.Style.OPEN, 1.5);
        LineWish thing = new LineWish(LineWish.Colour.WHITE, "", LineWish.Style.DOUBLE, 0);
        assertThat(part.or(thing)).isEqualTo(new LineWish(LineWish.Colour.WHITE, "", LineWish.Style.DOUBLE, 1.5));
        assertThat(LineWish.OPEN.or(LineWish.OPEN.in("blue"))).isEqualTo(LineWish.OPEN.in("blue"));
        Item.Lines lines = Item.Lines.OPEN.with("a", part);
        assertThat(lines.with("a", LineWish.OPEN).parts()).as("what wants nothing is forgotten").isEmpty();

        PaintPlan twice = plan(BARE, whole(LineWish.OPEN.withStyle(LineWish.Style.DOUBLE)));
        PaintPlan once = plan(BARE, l -> l);
        assertThat(outlines(twice).get(0).place().getArea()).isGreaterThan(1.5 * outlines(once).get(0).place().getArea());
        assertThat(StepWords.title(outlines(twice).get(0))).endsWith("and a second line inside");
    }

    @Test
    void aWiderLineIsDrawnInSeveralStrokes() {
        PaintPlan usual = plan(BARE, l -> l);
        PaintPlan wide = plan(BARE, whole(LineWish.OPEN.withWidthMm(1.5)));
        double round = 2 * Math.PI * 12;
        assertThat(outlines(usual).get(0).place().getArea()).isCloseTo(0.5 * round, within(1.5));
        assertThat(outlines(wide).get(0).place().getArea()).isCloseTo(1.5 * round, within(3.0));
        assertThat(outlines(wide).get(0).work().hand()).as("three strokes of a 0.5 mm nib")
                .isGreaterThan(outlines(usual).get(0).work().hand().multipliedBy(2));
    }

    @Test
    @Tag("outside") // weight follows the size of stone and thing (common practice, no source)
    void aSmallThingIsOutlinedWithTheFinerPen() {
        PaintPlan large = plan(project(BARE, l -> l, 1.2), FINE);
        PaintPlan small = plan(project(BARE, l -> l, 0.35), FINE);
        assertThat(outlines(large).get(0).mix()).contains(Mix.of("blackpen"));
        assertThat(outlines(small).get(0).mix()).contains(Mix.of("finepen"));
        assertThat(outlines(plan(project(BARE, whole(LineWish.OPEN.withWidthMm(0.3)), 1.2), FINE)).get(0).mix()).as("as wished")
                .contains(Mix.of("finepen"));
    }
}
