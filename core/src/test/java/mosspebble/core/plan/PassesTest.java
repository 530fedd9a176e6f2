package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Share;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
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
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** One load, one pass; nothing beside wet paint; every place gets its coats. Tiles on a grey stone. */
class PassesTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Stone STONE = Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(30));
    private static final Survey SURVEY = Surveys.of(STONE);
    private static final List<String> COLOURS = List.of("red", "white", "blue", "yellow", "black", "palegreen");

    private static Geometry box(double x, double y, double wide, double high) {
        return FACTORY.toGeometry(new Envelope(x, x + wide, y, y + high));
    }

    private static Geometry disc(double x, double y, double r) {
        return FACTORY.createPoint(new Coordinate(x, y)).buffer(r, 24);
    }

    private static MotifPart part(String title, String slot, Geometry shape, boolean outlined) {
        return new MotifPart(title.replace(' ', '-'), title, Role.FILL, slot, shape, new MotifPart.Make(0, 0, outlined, Presence.ALWAYS),
                Optional.empty());
    }

    private static PaintPlan plan(List<MotifPart> parts, Map<String, Mix> colours, Habits habits) {
        return plan(parts, colours, habits, Paints.shelf());
    }

    private static PaintPlan plan(List<MotifPart> parts, Map<String, Mix> colours, Habits habits, Shelf shelf) {
        Geometry whole = Shapes.union(parts.stream().map(MotifPart::shape).toList());
        List<Slot> slots = parts.stream().map(MotifPart::slot).distinct().map(s -> new Slot(s, s, Srgb.ofHex("#888888"))).toList();
        Repertoire repertoire = Repertoire.of(List.of(new Motif("tiles", "Tiles", slots, parts, whole, whole, true, false)), List.of());
        Project project = Project.begin("p", "Tiles", STONE)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("tiles"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(colours).withHabits(habits);
        return Plans.plan(project, SURVEY, new Workshop(new Palette(shelf), repertoire, Climate.room(), List.of()),
                new Remembered());
    }

    private static final Habits BARE = Habits.usual().withGround(Habits.Ground.BARE).withPrimer(Habits.Primer.NEVER);

    private static List<Step.Lay> fills(PaintPlan plan) {
        return plan.steps().stream().filter(s -> s.kind() == Step.Kind.FILL).map(s -> (Step.Lay) s).toList();
    }

    // --- one load, one pass

    @Test
    @Tag("outside") // one load, everything it goes on; a second coat is a pass of its own (common practice, no source)
    void allRaysOfOneColourAreOnePassACoat() {
        List<MotifPart> rays = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            double a = Math.toRadians(30 * i);
            rays.add(part("ray " + (i + 1), "rays", disc(30 * Math.cos(a), 30 * Math.sin(a), 5).getEnvelope(), true));
        }
        PaintPlan plan = plan(rays, Map.of("rays", Mix.of("yellow")), BARE);

        List<Step.Lay> fills = fills(plan);
        assertThat(fills).extracting(s -> s.doing().count().number()).isSorted().startsWith(1, 2).doesNotHaveDuplicates();
        assertThat(fills).allSatisfy(s -> assertThat(s.doing().what()).hasSize(12));
        assertThat(StepWords.title(fills.get(1))).isEqualTo("Second coat: all twelve rays");
        assertThat(StepWords.sentence(fills.get(0))).contains("the next one closes it");
        assertThat(fills.get(1).after()).extracting(Step.After::waits).contains(Step.Waits.OWN_COAT);
    }

    @Test
    @Tag("outside") // sealed, a porous stone stays as dark as it is wet: a pale colour needs more coats then (common practice, no source)
    void alsoOnceSealedNothingShowsThrough() {
        Stone porous = Stone.cobble().withSkin(Skin.of(RockKind.SANDSTONE, Texture.SMOOTH, Srgb.ofHex("#d9cdb4")));
        Survey survey = Surveys.of(porous);
        Geometry tile = box(-15, -10, 30, 20);
        Repertoire repertoire = Repertoire.of(List.of(new Motif("tile", "Tile", List.of(new Slot("tile", "tile", Srgb.ofHex("#888888"))),
                List.of(part("tile", "tile", tile, false)), tile, tile, true, false)), List.of());
        for (String colour : List.of("white", "yellow", "palegreen")) {
            for (double tolerance : new double[] {1, 2, 3, 4}) {
                Project project = Project.begin("p", "Tile", porous)
                        .withSketch(Optional.of(Sketch.of(new Subject.Figure("tile"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                        .withColours(Map.of("tile", Mix.of(colour))).withHabits(BARE.withTolerance(tolerance));
                PaintPlan plan = Plans.plan(project, survey,
                        new Workshop(new Palette(Paints.shelf()), repertoire, Climate.room(), List.of()), new Remembered());
                FilmMap films = plan.filmsAfter(plan.steps().size() - 2, Grid.around(50, 40, 0.5), StoneState.SEALED);
                Coordinate at = plan.design().orElseThrow().parts().get(0).drawn().getCentroid().getCoordinate();
                Lab full = Lab.of(fills(plan).get(0).paint().load().coat().optics().full());
                assertThat(films.table().film(films.at(at.x, at.y)).lab().differenceTo(full)).as("%s, tolerance %s", colour, tolerance)
                        .isLessThanOrEqualTo(tolerance + 1e-9);
            }
        }
    }

    @Test
    void oneColourBesideItselfNeverWaits() {
        List<MotifPart> tiles = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            tiles.add(part("tile " + (i + 1), "tiles", box(-40 + 16 * i, -10, 16, 20), true));
        }
        PaintPlan plan = plan(tiles, Map.of("tiles", Mix.of("black")), BARE);
        assertThat(fills(plan)).hasSize(1);
    }

    @Test
    @Tag("outside") // the palest stripe needs most coats and begins; its neighbours wait for it, the others do not (common practice)
    void crispStripesAlternateAndThePalestBegins() {
        List<MotifPart> stripes = new ArrayList<>();
        Map<String, Mix> colours = new HashMap<>();
        List<String> of = List.of("red", "blue", "black", "yellow", "purple", "umber");
        for (int i = 0; i < 6; i++) {
            stripes.add(part("stripe " + (i + 1), "s" + i, box(-48 + 16 * i, -20, 16, 40), false));
            colours.put("s" + i, Mix.of(of.get(i)));
        }
        PaintPlan plan = plan(stripes, colours, BARE);
        assertThat(fills(plan).stream().flatMap(s -> s.after().stream()).map(Step.After::waits)).as("side by side, touch-dry is enough")
                .contains(Step.Waits.WOULD_BLEED).doesNotContain(Step.Waits.LIES_BELOW);
        List<Integer> first = fills(plan).stream().filter(s -> s.doing().count().number() == 1)
                .map(s -> Integer.parseInt(s.doing().what().get(0).part().replaceAll("\\D", ""))).toList();
        assertThat(first).hasSize(6);
        assertThat(first.get(0)).as("yellow: %s", first).isEqualTo(4);
        assertThat(Math.abs(first.get(1) - first.get(0))).as("%s", first).isGreaterThan(1);
        assertThat(Math.abs(first.get(2) - first.get(1))).as("%s", first).isGreaterThan(1);
    }

    @Test
    @Tag("outside") // dots: one touch each, thick ones dry 20 to 60 minutes (common practice, no source)
    void aDotIsOneTouchOfThickPaint() {
        List<MotifPart> parts = List.of(part("cap", "cap", disc(0, 0, 25), true), part("dots", "dots",
                Shapes.union(List.of(disc(-8, 0, 2), disc(0, 0, 2), disc(8, 0, 2))), false));
        PaintPlan plan = plan(parts, Map.of("cap", Mix.of("black"), "dots", Mix.of("white")), BARE);
        List<Step.Lay> dots = fills(plan).stream().filter(s -> s.doing().what().get(0).part().equals("dots")).toList();
        assertThat(dots).hasSize(1);
        assertThat(dots.get(0).paint().load().thin()).as("as thick as the coats it stands for").isGreaterThan(1);
        assertThat(dots.get(0).work().dries()).isBetween(Duration.ofMinutes(20), Duration.ofMinutes(60));
        Palette.Colour white = new Palette(Paints.shelf()).colour(Mix.of("white")).orElseThrow();
        double mean = Math.max(1, dots.get(0).paint().load().thin() / 2); // the mean height of a flat cap is half of its height
        assertThat(dots.get(0).work().dries())
                .isEqualTo(Drying.of(white.wetUm() * mean, white.solids(), Drying.Below.PAINT, false, Climate.room()).recoat());
        assertThat(StepWords.tool(dots.get(0))).contains("reloaded");
    }

    @Test
    @Tag("outside") // clear stuff goes over things and hides nothing (common practice, no source)
    void whatIsClearHidesNothing() {
        Paint crackle = Paint.usual("crackle", "crackle medium", PaintKind.CRACKLE, Srgb.ofHex("#f1efe6"), new Millilitres(40));
        Paint glitter = Paint.usual("glitter", "silver glitter", PaintKind.GLITTER, Srgb.ofHex("#c8c8cc"), new Millilitres(40));
        for (Paint clear : List.of(crackle, glitter)) {
            List<MotifPart> parts = List.of(part("wood", "wood", box(-30, -20, 60, 40), false),
                    part("knot", "knot", disc(-12, 0, 3), false), part("shine", "shine", box(-25, -15, 50, 30), false));
            PaintPlan plan = plan(parts, Map.of("wood", Mix.of("umber"), "knot", Mix.of("black"), "shine", Mix.of(clear.id())),
                    BARE.withSparkleBase(false),
                    Paints.shelf().with(clear));
            Step wood = fills(plan).stream().filter(s -> s.doing().what().get(0).part().equals("wood")).findFirst().orElseThrow();
            Step shine = fills(plan).stream().filter(s -> s.doing().what().get(0).part().equals("shine")).findFirst().orElseThrow();
            Geometry drawn = plan.design().orElseThrow().parts().get(2).drawn();
            assertThat(Shapes.common(wood.place(), drawn).getArea()).as("wood under %s", clear.name())
                    .isCloseTo(drawn.getArea(), within(0.02 * drawn.getArea()));
            assertThat(fills(plan)).anyMatch(s -> s.doing().what().stream().anyMatch(w -> w.part().equals("knot")));
            assertThat(plan.steps().indexOf(shine)).isGreaterThan(plan.steps().indexOf(wood));
            assertThat(shine.after()).extracting(Step.After::waits).contains(Step.Waits.LIES_BELOW);
            assertThat(((Step.Lay) shine).doing().hides()).isFalse();
        }
    }

    @Test
    @Tag("outside") // glitter over its own colour (common practice, no source)
    void glitterLiesOnABaseOfItsOwnColourUnlessThatIsRefused() {
        Paint glitter = Paint.usual("glitter", "blue glitter", PaintKind.GLITTER, Srgb.ofHex("#2f5fae"), new Millilitres(40));
        List<MotifPart> parts = List.of(part("wood", "wood", box(-30, -20, 60, 40), false),
                part("shine", "shine", box(-25, -15, 50, 30), false));
        Map<String, Mix> colours = Map.of("wood", Mix.of("umber"), "shine", Mix.of("glitter"));
        PaintPlan plan = plan(parts, colours, BARE, Paints.shelf().with(glitter));
        List<Step.Lay> base = fills(plan).stream().filter(s -> s.doing().what().get(0).share().kind() == Share.Kind.BASE).toList();
        Step.Lay shine = fills(plan).stream().filter(s -> s.paint().load().mix().equals(Mix.of("glitter"))).findFirst().orElseThrow();
        assertThat(base).isNotEmpty().allSatisfy(s -> {
            assertThat(s.paint().load().mix().parts()).as("a blue of the shelf").anyMatch(p -> p.paint().equals("blue"));
            assertThat(s.paint().load().mix().totalParts()).isLessThanOrEqualTo(4);
            assertThat(plan.steps().indexOf(s)).isLessThan(plan.steps().indexOf(shine));
            assertThat(StepWords.title(s)).endsWith("he base under the shine");
            assertThat(StepWords.reason(s)).contains("gaps between them");
        });
        assertThat(shine.after()).anyMatch(a -> a.waits() == Step.Waits.LIES_BELOW
                && a.step() == plan.steps().indexOf(base.get(base.size() - 1)));
        assertThat(shine.place().getArea()).isCloseTo(base.get(0).place().getArea(), within(1.0));
        assertThat(fills(plan(parts, colours, BARE.withSparkleBase(false), Paints.shelf().with(glitter))))
                .noneMatch(s -> s.doing().what().get(0).share().kind() == Share.Kind.BASE);
    }

    @Test // a word is pencilled whole, whatever it is painted with (common practice, no source)
    void whatGlittersIsPencilledLetterByLetterLikeAnyOther() {
        Paint glitter = Paint.usual("glitter", "blue glitter", PaintKind.GLITTER, Srgb.ofHex("#2f5fae"), new Millilitres(40));
        List<MotifPart> letters = IntStream.range(0, 8)
                .mapToObj(i -> part("letter " + (i + 1), "letters", box(-40 + 10 * i, -20, 4, 40), false)).toList();
        List<Integer> minutes = new ArrayList<>();
        for (String paint : List.of("blue", "glitter")) {
            PaintPlan plan = plan(letters, Map.of("letters", Mix.of(paint)), BARE, Paints.shelf().with(glitter));
            minutes.add(plan.steps().stream().filter(s -> s instanceof Step.Pencil).mapToInt(s -> (int) s.work().hand().toMinutes()).sum());
        }
        assertThat(minutes).as("eight times 88 mm at 300 mm a minute, two minutes to lay the guide out").containsExactly(4, 4);
    }

    // --- whatever the picture

    @Test
    void noPassLiesBesideWetPaintAndEveryPlaceGetsItsCoats() {
        SplittableRandom random = new SplittableRandom(11);
        for (int round = 0; round < 25; round++) {
            List<MotifPart> parts = new ArrayList<>();
            Map<String, Mix> colours = new HashMap<>();
            int n = 3 + random.nextInt(8);
            for (int i = 0; i < n; i++) {
                Geometry shape = random.nextBoolean()
                        ? disc(random.nextDouble(-40, 40), random.nextDouble(-25, 25), random.nextDouble(2, 16))
                        : box(random.nextDouble(-45, 20), random.nextDouble(-30, 10), random.nextDouble(4, 30), random.nextDouble(4, 25));
                parts.add(part("part " + (i + 1), "s" + i % 5, shape, random.nextBoolean()));
                colours.put("s" + i % 5, Mix.of(COLOURS.get(random.nextInt(COLOURS.size()))));
            }
            PaintPlan plan = plan(parts, colours, BARE.withLight(mosspebble.core.project.Light.NONE));
            List<Step> steps = plan.steps();
            assertThat(plan.painting()).as("never below its bound").isGreaterThanOrEqualTo(plan.schedule().bound().minusMinutes(1));
            for (int i = 0; i < steps.size(); i++) {
                if (!(steps.get(i) instanceof Step.Lay)) {
                    continue;
                }
                assertThat(steps.get(i).coats()).as("a pass is one coat").isEqualTo(1);
                for (int j = 0; j < i; j++) {
                    if (steps.get(j) instanceof Step.Lay && !steps.get(j).mix().equals(steps.get(i).mix())
                            && steps.get(j).place().distance(steps.get(i).place()) < 0.3) {
                        assertThat(plan.sitting().steps().get(i).start()).as("%s beside wet %s, round %s", StepWords.title(steps.get(i)),
                                StepWords.title(steps.get(j)), round)
                                .isGreaterThanOrEqualTo(plan.sitting().steps().get(j).end().plus(steps.get(j).work().touch()));
                    }
                }
            }
            covered(plan, parts, round);
        }
    }

    /** What is seen of a part has its colour at the end. */
    private static void covered(PaintPlan plan, List<MotifPart> parts, int round) {
        Grid grid = Grid.around(75, 55, 0.5);
        FilmMap films = plan.filmsAfter(plan.steps().size() - 2, grid, StoneState.DRY);
        Geometry lines = Shapes.union(plan.steps().stream().filter(s -> s.kind() == Step.Kind.OUTLINE).map(Step::place).toList());
        List<Geometry> drawn = plan.design().orElseThrow().parts().stream().map(p -> p.drawn()).toList();
        for (int i = 0; i < parts.size(); i++) {
            Geometry seen = drawn.get(i);
            for (int k = i + 1; k < parts.size(); k++) {
                seen = Shapes.minus(seen, drawn.get(k));
            }
            Geometry inner = Shapes.minus(Shapes.grown(seen, -2), Shapes.grown(lines, 0.6));
            if (inner.getArea() > 4) {
                Coordinate at = inner.getInteriorPoint().getCoordinate();
                Mix wanted = plan.project().colours().get(parts.get(i).slot());
                assertThat(films.table().film(films.at(at.x, at.y)).coat().map(c -> c.name()).orElse("bare"))
                        .as("part %s of round %s: %s", i + 1, round, StepWords.titles(plan))
                        .isEqualTo(Paints.shelf().words(wanted));
            }
        }
    }

    @Test
    void theFilmIsTheSumOfThePasses() {
        List<MotifPart> parts = List.of(part("wall", "wall", box(-30, -20, 60, 40), true), part("door", "door", box(-5, -5, 6, 5), true));
        PaintPlan plan = plan(parts, Map.of("wall", Mix.of("yellow"), "door", Mix.of("blue")), BARE);
        Geometry wall = plan.design().orElseThrow().parts().get(0).drawn();
        Coordinate at = new Coordinate(wall.getCentroid().getX() + 20, wall.getCentroid().getY() + 10);
        double sum = plan.steps().stream().filter(s -> s instanceof Step.Lay).flatMap(s -> s.layers().stream())
                .filter(l -> l.place().contains(FACTORY.createPoint(at))).mapToDouble(l -> l.load().coat().dryUm()).sum();
        List<Slice.Sample> cut = new Slice(plan).cut(plan.steps().size() - 1, at.x - 0.01, at.y, at.x + 0.01, at.y, 3);
        double soaked = 0.35 * sum; // the first coat soaks into the stone in part
        assertThat(cut.get(1).totalUm()).isCloseTo(sum, within(soaked));
    }
}
