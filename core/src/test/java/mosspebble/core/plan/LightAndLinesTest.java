package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.finding.Code;
import mosspebble.core.plan.Step.Kind;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Item;
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
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/** A ball with a flat spot and a smaller ball before it: everything the light gives, and how lines are built. */
class LightAndLinesTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Survey SURVEY = Surveys.of(Stone.cobble());

    private static Geometry disc(double x, double y, double radius) {
        return FACTORY.createPoint(new Coordinate(x, y)).buffer(radius, 24);
    }

    private static MotifPart part(String id, Geometry shape, double round) {
        return new MotifPart(id, id, Role.FILL, id, shape, new MotifPart.Make(0, round, round > 0, Presence.ALWAYS), Optional.empty());
    }

    private static final Repertoire BALLS = Repertoire.of(List.of(new Motif("balls", "Balls",
            List.of(new Slot("ball", "Ball", Srgb.ofHex("#b3261e")), new Slot("spot", "Spot", Srgb.ofHex("#f6f4ee")),
                    new Slot("near", "Near", Srgb.ofHex("#1f4e9c"))),
            List.of(part("ball", disc(0, 0, 18), 0.8), part("spot", disc(-6, -4, 4), 0), part("near", disc(14, 10, 7), 0.6)),
            disc(0, 0, 22), disc(0, 0, 22), false, false)), List.of(), List.of());

    private static Project project(Habits habits) {
        return Project.begin("p", "Balls", Stone.cobble())
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("balls"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("ball", Mix.of("red"), "spot", Mix.of("white"), "near", Mix.of("blue")))
                .withGround(Optional.of(Mix.of("palegreen"))).withHabits(habits);
    }

    private static PaintPlan plan(Habits habits, Paint... more) {
        var shelf = Paints.shelf();
        for (Paint paint : more) {
            shelf = shelf.with(paint);
        }
        return Plans.plan(project(habits), SURVEY, new Workshop(new Palette(shelf), BALLS, Climate.room(), List.of()), new Remembered());
    }

    private static Step of(PaintPlan plan, String title) {
        return plan.steps().stream().filter(o -> StepWords.title(o).contains(title)).findFirst()
                .orElseThrow(() -> new AssertionError(title + " in " + plan.steps().stream().map(StepWords::title).toList()));
    }

    private static Geometry ball(PaintPlan plan) {
        return plan.design().orElseThrow().parts().get(0).drawn();
    }

    @Test
    void shadeLiesAwayFromTheLightWhereverItComesFrom() {
        for (double from : new double[] {0, 90, 180, 270, 320}) {
            Light light = new Light(from, 0.7, 0, 0, 0);
            PaintPlan plan = plan(Habits.usual().withLight(light));
            Coordinate shade = of(plan, "shade side of the ball").place().getCentroid().getCoordinate();
            Coordinate middle = ball(plan).getCentroid().getCoordinate();
            double toward = (shade.x - middle.x) * Math.sin(Math.toRadians(from)) - (shade.y - middle.y) * Math.cos(Math.toRadians(from));
            assertThat(toward).as("light from %s", from).isLessThan(-3);
            Step glaze = of(plan, "shade side of the ball");
            assertThat(Lab.of(glaze.coat().orElseThrow().optics().full()).l()).as("darker").isLessThan(Lab.of(Srgb.ofHex("#b3261e")).l());
        }
    }

    @Test // clear stuff goes over things: glaze over the dry shade; what hides lies below it (common practice, no source)
    void whatIsClearGoesOverTheShadeAndWhatIsDabbedBelowIt() {
        Blend glaze = Blend.of(BlendKind.GLAZE).withColours(List.of(Mix.of("purple")));
        Blend foam = Blend.of(BlendKind.FOAM).withColours(List.of(Mix.of("white")));
        assertThat(onTheBall(Blend.flat().plusOver(glaze))).containsExactly("WHOLE", "SHADE", "GLAZE");
        assertThat(onTheBall(glaze)).containsExactly("WHOLE", "SHADE", "GLAZE");
        assertThat(onTheBall(Blend.flat().plusOver(glaze).plusOver(foam))).as("the foam lies on the glaze")
                .containsExactly("WHOLE", "GLAZE", "FOAM", "SHADE");
        assertThat(onTheBall(Blend.flat().plusOver(foam).plusOver(glaze))).containsExactly("WHOLE", "FOAM", "SHADE", "GLAZE");
    }

    /** What is laid on the ball, each once, in order. */
    private static List<String> onTheBall(Blend blend) {
        Project project = project(Habits.usual().withLight(Light.USUAL).withLineColour(Habits.LineColour.NONE)).withBlend("ball", blend);
        return Plans.plan(project, SURVEY, new Workshop(new Palette(Paints.shelf()), BALLS, Climate.room(), List.of()), new Remembered())
                .steps().stream().filter(s -> s instanceof Step.Lay lay && lay.doing().what().get(0).part().equals("ball"))
                .map(s -> s.kind() == Kind.SHADE ? "SHADE" : ((Step.Lay) s).doing().what().get(0).share().kind().name()).distinct()
                .toList();
    }

    @Test
    void highlightLiesTowardTheLightAndIsLighter() {
        PaintPlan plan = plan(Habits.usual().withLight(new Light(320, 0, 0, 0.8, 0)));
        Step light = of(plan, "light side of the ball");
        Coordinate at = light.place().getCentroid().getCoordinate();
        Coordinate middle = ball(plan).getCentroid().getCoordinate();
        assertThat(at.x).isLessThan(middle.x);
        assertThat(at.y).isLessThan(middle.y);
        assertThat(Lab.of(light.coat().orElseThrow().optics().full()).l()).isGreaterThan(Lab.of(Srgb.ofHex("#b3261e")).l());
        assertThat(plan.steps()).noneMatch(o -> StepWords.title(o).contains("shade side"));
    }

    /** A light is paler than what it lies on and no more than half way to white; it runs out within its own breadth. */
    @Test
    void moreLightIsPalerAndNeverMoreThanHalfWayToWhite() {
        double base = Lab.of(Srgb.ofHex("#b3261e")).l();
        double before = base;
        for (double amount : new double[] {0.3, 0.6, 1}) {
            Step.Lay light = (Step.Lay) of(plan(Habits.usual().withLight(new Light(320, 0, 0, amount, 0))), "light side of the ball");
            double pale = Lab.of(light.coat().orElseThrow().optics().full()).l();
            assertThat(pale).as("light %s", amount).isGreaterThan(base).isGreaterThanOrEqualTo(before).isLessThan((base + 100) / 2);
            before = pale;
            assertThat(light.paint().soft().mm()).as("the ball is 36 mm across").isBetween(1.0, 5.0);
        }
    }

    @Test
    @Tag("outside") // nobody shades one berry of seven (common practice, no source)
    void aRowOfWhichMostAreTooSmallForShadeHasNone() {
        Light light = new Light(320, 0.8, 0, 0, 0);
        assertThat(shaded(light, 1, 6)).as("one large among six of three millimetres").isZero();
        assertThat(shaded(light, 4, 3)).as("most are large").isEqualTo(4);
        assertThat(shaded(light, 2, 0)).as("two are no row").isEqualTo(2);
    }

    /** How many berries are shaded of so many large and so many small ones. */
    private static long shaded(Light light, int large, int small) {
        List<MotifPart> parts = new ArrayList<>();
        for (int i = 0; i < large + small; i++) {
            Geometry berry = disc(-36 + 12 * i, 0, i < large ? 5 : 1.5);
            parts.add(new MotifPart("berry " + (i + 1), "berry " + (i + 1), Role.FILL, "berry", berry,
                    new MotifPart.Make(0, 0.8, false, Presence.ALWAYS), Optional.empty()));
        }
        Repertoire berries = Repertoire
                .of(List.of(new Motif("berries", "Berries", List.of(new Slot("berry", "Berry", Srgb.ofHex("#b3261e"))),
                        parts, disc(0, 0, 42), disc(0, 0, 42), false, false)), List.of(), List.of());
        Project project = Project.begin("p", "Berries", Stone.cobble())
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("berries"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("berry", Mix.of("red"))).withHabits(Habits.usual().withLight(light));
        return Plans.plan(project, SURVEY, new Workshop(new Palette(Paints.shelf()), berries, Climate.room(), List.of()), new Remembered())
                .steps().stream().filter(s -> s.kind() == Kind.SHADE).flatMap(s -> ((Step.Lay) s).doing().what().stream()).count();
    }

    @Test
    @Tag("outside") // first the area, then its shade and its light (common practice, no source)
    void shadeAndLightAreSetOnceTheThingIsFilledAndDry() {
        for (double shade : new double[] {0, 0.7}) {
            List<Kind> onBall = plan(Habits.usual().withLight(new Light(320, shade, 0, 0.8, 0)).withLineColour(Habits.LineColour.NONE))
                    .steps()
                    .stream().filter(s -> s instanceof Step.Lay lay && lay.doing().what().get(0).part().equals("ball")).map(Step::kind)
                    .distinct().toList();
            assertThat(onBall).containsExactly(Kind.FILL, Kind.SHADE);
        }
        PaintPlan both = plan(Habits.usual().withLight(new Light(320, 0.7, 0, 0.8, 0)));
        for (String side : List.of("light side of the ball", "shade side of the ball")) {
            assertThat(of(both, side).after()).as("%s waits for the ball", side)
                    .anyMatch(a -> both.steps().get(a.step()).kind() == Kind.FILL
                            && both.steps().get(a.step()).key().contains("ball"));
        }
    }

    @Test
    void onlyWhatBulgesThrowsAContactShadow() {
        // from below right, so that the near ball throws its shade onto the other
        PaintPlan plan = plan(Habits.usual().withLight(new Light(140, 0, 0.8, 0, 0)));
        Geometry shade = of(plan, "shade side of the ball").place();
        Geometry near = plan.design().orElseThrow().parts().get(2).drawn();
        Geometry spot = plan.design().orElseThrow().parts().get(1).drawn();
        assertThat(shade.distance(near)).as("it touches the ball before it").isLessThan(0.5);
        assertThat(shade.distance(spot)).as("a flat spot throws none").isGreaterThan(2);
    }

    @Test
    void withoutLightNothingIsDerived() {
        assertThat(plan(Habits.usual().withLight(Light.NONE)).steps()).noneMatch(o -> o.kind() == Kind.SHADE);
        assertThatThrownBy(() -> new Light(0, 2, 0, 0, 0)).hasMessageContaining("shade");
        assertThatThrownBy(() -> new Light(Double.NaN, 0, 0, 0, 0)).hasMessageContaining("degrees");
        assertThat(new Light(-40, 0, 0, 0, 0).from()).isEqualTo(320);
        assertThat(Light.USUAL.clock()).isEqualTo("11 o'clock");
    }

    @Test
    void theHaloLiesOnTheGroundCloseRoundTheSubject() {
        PaintPlan plan = plan(Habits.usual().withLight(new Light(320, 0, 0, 0, 1)));
        Step halo = of(plan, "halo");
        Geometry silhouette = plan.design().orElseThrow().silhouette();
        assertThat(halo.kind()).isEqualTo(Kind.GROUND);
        assertThat(halo.soft().mm()).isPositive();
        assertThat(halo.place().difference(silhouette.buffer(8.5)).getArea()).isLessThan(0.5);
        assertThat(plan.steps().indexOf(halo)).isGreaterThan(plan.steps().indexOf(of(plan, "coat: the ground")))
                .isLessThan(plan.steps().indexOf(of(plan, "ball")));
    }

    @Test
    @Tag("outside") // thickening the outline on the shade side deepens it (common practice, no source)
    void aShadedLineIsThickerAwayFromTheLight() {
        Habits even = Habits.usual().withLight(Light.USUAL.withFrom(0));
        PaintPlan plain = plan(even);
        PaintPlan shaded = plan(even.withLineStyle(Habits.LineStyle.SHADED));
        Geometry ball = ball(plain);
        Coordinate middle = ball.getCentroid().getCoordinate();
        Geometry low = disc(middle.x - 10, middle.y + 15, 3.5); // below left: away from a light from above, clear of the near ball
        Geometry high = disc(middle.x, middle.y - 18, 3.5);
        assertThat(lines(shaded, low) / lines(plain, low)).isGreaterThan(1.25);
        assertThat(lines(shaded, high) / lines(plain, high)).isCloseTo(1, within(0.12));
    }

    private static double lines(PaintPlan plan, Geometry where) {
        return plan.steps().stream().filter(o -> o.kind() == Kind.OUTLINE).mapToDouble(o -> o.place().intersection(where).getArea()).sum();
    }

    @Test
    void aSecondLineRunsJustInsideAndMetalComesFromAMetallic() {
        Paint gold = Paint.usual("gold", "gold metallic", PaintKind.METALLIC, Srgb.ofHex("#b8913f"), new Millilitres(9));
        PaintPlan twice = plan(Habits.usual().withLineStyle(Habits.LineStyle.DOUBLE));
        Geometry both = of(twice, "Outline with the blackpen, and a second line inside").place();
        PaintPlan once = plan(Habits.usual());
        Geometry inner = both.difference(of(once, "Outline with the blackpen").place().buffer(0.01));
        assertThat(inner.getArea()).as("one pen, one pass: a second line").isGreaterThan(20);
        assertThat(inner.difference(ball(twice).union(twice.design().orElseThrow().parts().get(2).drawn())).getArea()).as("just inside")
                .isLessThan(0.3);
        PaintPlan metal = plan(Habits.usual().withLineStyle(Habits.LineStyle.METALLIC), gold);
        assertThat(of(metal, "Second line").mix()).contains(Mix.of("gold"));
        assertThat(plan(Habits.usual().withLineStyle(Habits.LineStyle.METALLIC)).steps()).as("no metal on the shelf, no metal line")
                .noneMatch(o -> StepWords.title(o).startsWith("Second line"));
    }

    @Test
    void brushPaintersDrawWithTheLinerAndPenPaintersFillWithPens() {
        PaintPlan brushes = plan(Habits.usual().withMedium(Habits.Medium.BRUSHES));
        assertThat(brushes.steps().stream().filter(o -> o.kind() == Kind.OUTLINE).toList()).isNotEmpty()
                .allMatch(o -> StepWords.tool(o).contains("liner"));
        Paint whitePen = Paint.usual("whitemarker", "white marker", PaintKind.PEN, Srgb.ofHex("#f6f4ee"), new Millilitres(9));
        PaintPlan pens = plan(Habits.usual().withMedium(Habits.Medium.PENS), whitePen);
        assertThat(StepWords.tool(of(pens, "Set the spot"))).contains("pen");
        assertThat(StepWords.tool(of(plan(Habits.usual(), whitePen), "Set the spot"))).doesNotContain("pen");
    }

    @Test
    void aLargeAreaGetsItsEdgeWidenedBeforeTheLargeBrush() {
        Step ball = of(plan(Habits.usual()), "Fill the ball");
        assertThat(StepWords.tool(ball)).isEqualTo("large flat brush");
        assertThat(StepWords.sentence(ball)).contains("widen its edge");
        assertThat(StepWords.sentence(of(plan(Habits.usual()), "Set the spot"))).doesNotContain("widen");
    }

    @Test
    void dampAndLooseStoneIsSaid() {
        List<SteadyMass.Weighing> drying = List.of(new SteadyMass.Weighing(0, 500), new SteadyMass.Weighing(4, 470),
                new SteadyMass.Weighing(8, 452), new SteadyMass.Weighing(12, 441.2));
        Project damp = project(Habits.usual()).withWeighings(drying);
        assertThat(Plans.plan(damp, SURVEY, new Palette(Paints.shelf()), BALLS, Climate.room()).findings())
                .anyMatch(f -> FindingWords.sentence(f).contains("g of water") && FindingWords.sentence(f).contains("peels"));
        Stone loose = Stone.cobble()
                .withSkin(new Skin(RockKind.SANDSTONE, Texture.ROUGH, 0.15, Srgb.ofHex("#b89a6e"), Skin.Before.NOTHING, true));
        assertThat(
                Plans.plan(project(Habits.usual()).withStone(loose), Surveys.of(loose), new Palette(Paints.shelf()), BALLS, Climate.room())
                        .findings())
                .anyMatch(f -> f.code() == Code.LOOSE_GRAINS);
    }

    @Test
    void whatIsSunkIsShadedInsideOnTheSideOfTheLightByOneWashOverAllThatLiesInIt() {
        Repertoire hollow = Repertoire.of(List.of(new Motif("hollow", "Hollow",
                List.of(new Slot("rim", "Rim", Srgb.ofHex("#1a1a1c")), new Slot("left", "Left", Srgb.ofHex("#b3261e")),
                        new Slot("right", "Right", Srgb.ofHex("#f2c21b")), new Slot("near", "Near", Srgb.ofHex("#f6f4ee"))),
                List.of(part("rim", disc(0, 0, 20), -0.8), part("left", half(-1), 0), part("right", half(1), 0)), disc(0, 0, 20),
                disc(0, 0, 20), false, false)), List.of(), List.of());
        Light fromTheLeft = new Light(270, 1, 0, 0, 0);
        Project project = Project.begin("p", "Hollow", Stone.cobble())
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("hollow"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("rim", Mix.of("black"), "left", Mix.of("red"), "right", Mix.of("yellow")))
                .withHabits(Habits.usual().withLight(fromTheLeft));
        Workshop workshop = new Workshop(new Palette(Paints.shelf()), hollow, Climate.room(), List.of());
        PaintPlan plan = Plans.plan(project, SURVEY, workshop, new Remembered());
        List<Step.Lay> washes = plan.steps().stream().filter(s -> s.kind() == Kind.SHADE).map(s -> (Step.Lay) s).toList();
        assertThat(washes).singleElement().satisfies(wash -> {
            assertThat(StepWords.title(wash)).isEqualTo("Glaze the shade inside the rim");
            assertThat(StepWords.reason(wash)).contains("9 o'clock").contains("throws its shade");
            assertThat(wash.doing().hides()).isFalse();
            assertThat(wash.paint().load().coat().dryUm()).as("a wash: through it red and yellow are still told apart").isLessThan(6);
            Geometry place = wash.paint().place();
            assertThat(place.getCentroid().getX()).as("inside the edge that the light comes over").isLessThan(-8);
            // a disc of radius r less the same disc moved by d: 2 r^2 asin(d / 2r) + d sqrt(r^2 - d^2 / 4); law of the lens, from memory
            double d = 0.8 * 0.22 * Math.sqrt(Math.PI * 400);
            assertThat(place.getArea()).isCloseTo(2 * 400 * Math.asin(d / 40) + d * Math.sqrt(400 - d * d / 4), within(12.0));
            assertThat(wash.paint().soft().mm()).as("it runs out over most of its own breadth").isBetween(d / 2, d);
        });
        Project unlit = project.withHabits(Habits.usual().withLight(Light.NONE));
        assertThat(Plans.plan(unlit, SURVEY, workshop, new Remembered()).steps()).noneMatch(s -> s.kind() == Kind.SHADE);
    }

    @Test
    void lightsThatAThingInFrontCoversAreNotSet() {
        Motif eyes = new Motif("eyes", "Eyes",
                List.of(new Slot("eye", "Eye", Srgb.ofHex("#1a1a1c")), new Slot("glint", "G", Srgb.ofHex("#f6f4ee")),
                        new Slot("lid", "Lid", Srgb.ofHex("#4a3426"))),
                List.of(part("eye", FACTORY.createMultiPolygon(new Polygon[] {(Polygon) disc(-8, 0, 5), (Polygon) disc(8, 0, 5)}), 0),
                        new MotifPart("glint", "glint", Role.HIGHLIGHT, "glint",
                                FACTORY.createMultiPolygon(new Polygon[] {(Polygon) disc(-8, 0, 1), (Polygon) disc(8, 0, 1)}),
                                MotifPart.Make.FLAT, Optional.empty()),
                        part("lid", disc(-8, -3, 4), 0)),
                disc(0, 0, 14), disc(0, 0, 14), false, false);
        Motif patch = new Motif("patch", "Patch", List.of(new Slot("patch", "Patch", Srgb.ofHex("#b3261e"))),
                List.of(part("patch", disc(8, 0, 6), 0)),
                disc(8, 0, 6), disc(8, 0, 6), false, false);
        Repertoire both = Repertoire.of(List.of(eyes, patch), List.of(), List.of());
        Sketch open = Sketch.of(new Subject.Figure("eyes"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0);
        Sketch shut = open.plus(Item.of(new Subject.Figure("patch"), ItemMode.ON_STONE, new Placement(8, 0, 0, 1), 0));
        assertThat(glints(open, both)).as("lights lie on all of their own thing").isCloseTo(2 * Math.PI, within(0.1));
        assertThat(glints(shut, both)).as("the patch covers one eye and its glint").isCloseTo(Math.PI, within(0.1));
    }

    @Test // one pen in the hand sets all lights, touches and strokes (common practice, no source)
    void touchesAndStrokesOfOnePenAreOnePass() {
        Motif eye = new Motif("eye", "Eye",
                List.of(new Slot("eye", "Eye", Srgb.ofHex("#1a1a1c")), new Slot("light", "L", Srgb.ofHex("#f6f4ee"))),
                List.of(part("eye", disc(0, 0, 15), 0),
                        new MotifPart("glint", "glint", Role.HIGHLIGHT, "light", disc(-6, -6, 1), MotifPart.Make.FLAT, Optional.empty()),
                        new MotifPart("shine", "shine", Role.HIGHLIGHT, "light",
                                FACTORY.createLineString(new Coordinate[] {new Coordinate(4, 6), new Coordinate(9, 2)}),
                                new MotifPart.Make(0.8, 0, false, Presence.ALWAYS), Optional.empty())),
                disc(0, 0, 15), disc(0, 0, 15), false, false);
        Project project = Project.begin("p", "Eye", Stone.cobble())
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("eye"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("eye", Mix.of("black"), "light", Mix.of("whitepen")));
        PaintPlan plan = Plans.plan(project, SURVEY,
                new Workshop(new Palette(Paints.shelf()), Repertoire.of(List.of(eye), List.of(), List.of()), Climate.room(), List.of()),
                new Remembered());
        assertThat(StepWords.titles(plan)).filteredOn(t -> t.contains("glint") || t.contains("shine")).singleElement().asString()
                .contains("the glint and the shine");
    }

    private static double glints(Sketch sketch, Repertoire repertoire) {
        Project project = Project.begin("p", "Eyes", Stone.cobble()).withSketch(Optional.of(sketch))
                .withColours(
                        Map.of("eye", Mix.of("black"), "glint", Mix.of("whitepen"), "lid", Mix.of("umber"), "i2/patch", Mix.of("red")));
        return Plans
                .plan(project, SURVEY, new Workshop(new Palette(Paints.shelf()), repertoire, Climate.room(), List.of()), new Remembered())
                .steps().stream().filter(s -> s.kind() == Kind.HIGHLIGHT).flatMap(s -> ((Step.Lay) s).layers().stream())
                .mapToDouble(l -> l.place().getArea()).sum();
    }

    private static Geometry half(int side) {
        return disc(0, 0, 19).intersection(FACTORY.toGeometry(new Envelope(0, side * 30.0, -30, 30)));
    }
}
