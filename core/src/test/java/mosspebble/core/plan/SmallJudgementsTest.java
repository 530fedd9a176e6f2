package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.Surveys;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.blend.Share;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
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
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;

/** Judgements of a plan that take a measure or two: what is too narrow or too close, which sealer, what is alike, what goes where. */
class SmallJudgementsTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Stone STONE = Stone.cobble();
    private static final double PIT_MM = STONE.texture().pitMm();
    private static final Habits PLAIN = Habits.usual().withPrimer(Habits.Primer.NEVER).withLineColour(Habits.LineColour.NONE)
            .withLight(Light.NONE);
    private static final Map<String, Mix> COLOURS = Map.of("board", Mix.of("blue"), "bar", Mix.of("yellow"), "line", Mix.of("black"));

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static MotifPart part(String id, Role role, Geometry shape, double penMm) {
        return part(id, role, "s", shape, penMm);
    }

    private static MotifPart part(String id, Role role, String slot, Geometry shape, double penMm) {
        return new MotifPart(id, id, role, slot, shape, new MotifPart.Make(penMm, 0, false, Presence.ALWAYS), Optional.empty());
    }

    /** The plan of a few parts in one colour as they are drawn, mm. */
    private static PaintPlan plan(String paint, Shelf shelf, List<MotifPart> parts) {
        return plan(paint, shelf, parts, Habits.Hand.RIGHT);
    }

    private static PaintPlan plan(String paint, Shelf shelf, List<MotifPart> parts, Habits.Hand hand) {
        return plan("strips", project(STONE, Map.of("s", paint)).withHabits(PLAIN.withHand(hand)), shelf, parts);
    }

    private static Project project(Stone stone, Map<String, String> paints) {
        Map<String, Mix> colours = new HashMap<>();
        paints.forEach((slot, paint) -> colours.put(slot, Mix.of(paint)));
        return Project.begin("p", "P", stone).withColours(colours).withHabits(PLAIN);
    }

    /** The plan of a project with its parts drawn as one motif of an id. */
    private static PaintPlan plan(String motif, Project project, Shelf shelf, List<MotifPart> parts) {
        Geometry all = box(-30, -20, 30, 20);
        List<Slot> slots = parts.stream().map(MotifPart::slot).distinct().map(s -> new Slot(s, s, Srgb.ofHex("#444444"))).toList();
        Repertoire repertoire = Repertoire.of(List.of(new Motif(motif, "Strips", slots, parts, all, all, false, false)), List.of(),
                List.of());
        Project drawn = project
                .withSketch(Optional.of(Sketch.of(new Subject.Figure(motif), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)));
        return Plans.plan(drawn, Surveys.of(project.stone()), new Workshop(new Palette(shelf), repertoire, Climate.room(), List.of()),
                new Remembered());
    }

    // --- what tools can reach

    private static final List<MotifPart> STRIPS = List.of(part("0.7", Role.FILL, box(-20, 0, 20, 0.7), 0),
            part("0.3", Role.FILL, box(-20, 5, 20, 5.3), 0), part("4", Role.FILL, box(-20, -9, 20, -5), 0));

    @Test
    @Tag("outside") // a fine brush fills nothing narrower than 1 mm, a pen nothing below two nibs (common practice, no source)
    void strokesNarrowerThanTheToolAreToldWithTheirWidthTheWorstFirst() {
        List<Paintability.Narrow> brushed = plan("blue", Paints.shelf(), STRIPS).noticed().fit().narrow();
        assertThat(brushed).extracting(n -> n.part().part().id()).containsExactly("0.3", "0.7");
        double needed = 1 + PIT_MM;
        assertThat(brushed).allSatisfy(n -> {
            assertThat(n.neededMm()).isCloseTo(needed, within(1e-9));
            double wide = Double.parseDouble(n.part().part().id());
            assertThat(n.wideMm()).as("to a hundredth of what is needed").isBetween(wide - needed / 100, wide + 1e-9);
            assertThat(n.growth()).isCloseTo(needed / n.wideMm(), within(1e-9));
            assertThat(n.pen()).isEmpty();
        });
        List<Paintability.Narrow> penned = plan("blackpen", Paints.shelf(), STRIPS).noticed().fit().narrow();
        assertThat(penned).extracting(Paintability.Narrow::neededMm).as("a nib of half a millimetre, twice")
                .containsOnly(2 * 0.5 + PIT_MM);
        Paint fine = Paint.usual("finepen", "finepen", PaintKind.PEN, Srgb.ofHex("#19191b"), new Millilitres(6)).made(Binder.ACRYLIC,
                Finish.MATT, new Millimetres(0.1), new Micrometres(18));
        List<Paintability.Narrow> withFine = plan("blackpen", Paints.shelf().with(fine), STRIPS).noticed().fit().narrow();
        assertThat(withFine).filteredOn(n -> n.wideMm() >= 0.2 + PIT_MM).allSatisfy(n -> assertThat(n.finer()).contains(fine));
        assertThat(withFine).filteredOn(n -> n.wideMm() < 0.2 + PIT_MM).allSatisfy(n -> assertThat(n.finer()).isEmpty());
    }

    /** What lacks the larger share of what it needs is worse, however wide it is. */
    @Test
    void theWorstIsWhatLacksMostOfItsOwnTool() {
        Paint broad = Paint.usual("broadpen", "broadpen", PaintKind.PEN, Srgb.ofHex("#19191b"), new Millilitres(6)).made(Binder.ACRYLIC,
                Finish.MATT, new Millimetres(2), new Micrometres(18));
        List<MotifPart> parts = List.of(part("brushed", Role.FILL, "s", box(-20, 0, 20, 0.5), 0),
                part("penned", Role.FILL, "t", box(-20, 5, 20, 6), 0));
        PaintPlan plan = plan("strips", project(STONE, Map.of("s", "blue", "t", "broadpen")), Paints.shelf().with(broad), parts);
        assertThat(plan.noticed().fit().narrow()).as("a millimetre of four, half a millimetre of one")
                .extracting(n -> n.part().part().id()).containsExactly("penned", "brushed");
    }

    private static MotifPart lines(String id, double y, double apart) {
        return lines(id, y, apart, 0.5);
    }

    private static MotifPart lines(String id, double y, double apart, double penMm) {
        LineString low = FACTORY.createLineString(new Coordinate[] {new Coordinate(-20, y), new Coordinate(20, y)});
        LineString high = FACTORY.createLineString(new Coordinate[] {new Coordinate(-20, y + apart), new Coordinate(20, y + apart)});
        return part(id, Role.LINE, FACTORY.createMultiLineString(new LineString[] {low, high}), penMm);
    }

    @Test
    @Tag("outside") // two strokes closer than a nib run together (common practice, no source)
    void strokesThatRunTogetherAreToldTheTightestFirst() {
        List<Paintability.Tight> tight = plan("blackpen", Paints.shelf(),
                List.of(lines("wide", -10, 2), lines("close", 0, 0.4), lines("closer", 10, 0.2))).noticed().fit().tight();
        assertThat(tight).extracting(t -> t.one().part().id()).containsExactly("closer", "close");
        assertThat(tight).extracting(Paintability.Tight::gapMm).satisfiesExactly(gap -> assertThat(gap).isCloseTo(0.2, within(1e-6)),
                gap -> assertThat(gap).isCloseTo(0.4, within(1e-6)));
        assertThat(tight).allSatisfy(t -> assertThat(t.neededMm()).isCloseTo(0.5 + PIT_MM, within(1e-9)));
        List<Paintability.Tight> ofTwoNibs = plan("blackpen", Paints.shelf(), List.of(lines("fine", -10, 0.3), lines("broad", 0, 0.4, 2)))
                .noticed().fit().tight();
        assertThat(ofTwoNibs).as("a fifth of its nib, more than half of its own").extracting(t -> t.one().part().id())
                .containsExactly("broad", "fine");
    }

    @Test
    @Tag("outside") // letters of a word need a gap that a pen leaves, unless they touch on purpose (common practice, no source)
    void lettersThatRunTogetherAreToldByTheirPair() {
        double needed = 0.4 + PIT_MM;
        double close = needed / 2;
        List<MotifPart> letters = List.of(part("letter-1", Role.FILL, box(-20, 0, -10, 14), 0),
                part("letter-2", Role.FILL, box(-10 + close, 0, 0, 14), 0), part("letter-3", Role.FILL, box(0, 0, 8, 14), 0),
                part("letter-4", Role.FILL, box(8 + 2 * needed, 0, 20, 14), 0),
                part("tail", Role.FILL, box(-20, 14 + close, -10, 18), 0));
        Project project = project(STONE, Map.of("s", "black"));
        assertThat(plan("word", project, Paints.shelf(), letters).noticed().fit().tight()).singleElement().satisfies(tight -> {
            assertThat(List.of(tight.one().part().id(), tight.other().part().id())).containsExactlyInAnyOrder("letter-1", "letter-2");
            assertThat(tight.gapMm()).isCloseTo(close, within(1e-6));
            assertThat(tight.neededMm()).isCloseTo(needed, within(1e-9));
        });
        assertThat(plan("strips", project, Paints.shelf(), letters).noticed().fit().tight()).as("no word, no letters").isEmpty();
    }

    @Test
    @Tag("outside") // the stone is turned where what was just laid lies under the wrist (common practice, no source)
    void theStoneIsTurnedWhereTheLastPassLiesUnderTheWrist() {
        assertThat(turned(16, 12, Habits.Hand.RIGHT)).as("just below to the right").isTrue();
        assertThat(turned(16, 12, Habits.Hand.LEFT)).isFalse();
        assertThat(turned(-16, 12, Habits.Hand.LEFT)).isTrue();
        assertThat(turned(-16, 12, Habits.Hand.RIGHT)).isFalse();
        assertThat(turned(16, -12, Habits.Hand.RIGHT)).as("above").isFalse();
    }

    /** Whether the stone is turned half round for a disc when another so far off, mm, was painted just before it. */
    private static boolean turned(double x, double y, Habits.Hand hand) {
        List<MotifPart> parts = List.of(part("near", Role.FILL, "s", FACTORY.createPoint(new Coordinate(0, 0)).buffer(4, 16), 0),
                part("far", Role.FILL, "t", FACTORY.createPoint(new Coordinate(x, y)).buffer(4, 16), 0));
        Project project = project(STONE, Map.of("s", "black", "t", "red")).withHabits(PLAIN.withHand(hand));
        List<String> order = new ArrayList<>(plan("strips", project, Paints.shelf(), parts).order());
        order.sort(Comparator.comparing(key -> !key.contains("far")));
        PaintPlan plan = plan("strips", project.withOrder(order), Paints.shelf(), parts);
        Step.Lay near = (Step.Lay) plan.steps().stream().filter(s -> s.kind() == Step.Kind.FILL && s.key().contains("near")).findFirst()
                .orElseThrow();
        assertThat(plan.steps().get(plan.steps().indexOf(near) - 1).key()).contains("far");
        return near.doing().turn() == Step.Turn.HALF_ROUND;
    }

    // --- what goes under

    @Test
    @Tag("outside") // a thicker film waits longer for its seal, a day for a tenth of a millimetre (usual advice for acrylics, from memory)
    void theSealWaitsByTheThickestPlace() {
        for (String board : List.of("black", "yellow")) {
            Project project = Boards.project(40, Map.of("board", Mix.of(board), "bar", Mix.of("palegreen")));
            PaintPlan plan = Boards.plan(project.withHabits(project.habits().withSeal(Habits.Seal.NONE)), Paints.shelf());
            Step sign = plan.steps().stream().filter(s -> s.kind() == Step.Kind.SIGN).findFirst().orElseThrow();
            assertThat(plan.thickestUm()).isGreaterThan(20);
            assertThat(sign.work().dries().toMinutes() / 60.0).as(board).isCloseTo(24 * plan.thickestUm() / 100, within(0.02));
        }
    }

    @Test
    void anEdgeOnPaintIsDrawnFromEightMillimetresOnInGraphiteUnlessThatIsLostThere() {
        assertThat(new Pencilling.Edge(List.of(), 7.9, 80).drawing()).isEmpty();
        assertThat(new Pencilling.Edge(List.of(), 8, 80).drawing()).contains(new Step.Drawing(false, true, false, 80));
        assertThat(new Pencilling.Edge(List.of(), 8, Pencilling.SHOWS_GRAPHITE).drawing().orElseThrow().chalk()).as("from here down chalk")
                .isTrue();
        assertThat(new Pencilling.Edge(List.of(), 8, Pencilling.SHOWS_GRAPHITE + 1).drawing().orElseThrow().chalk()).isFalse();
    }

    @Test
    @Tag("outside") // what most of a picture needs goes under all of it (common practice, no source)
    void primerGoesUnderAllOfItWhereMostOfItNeedsThat() {
        assertThat(primed(16, Habits.Primer.WHERE_NEEDED)).contains(What.Of.WHOLE_PICTURE);
        assertThat(primed(3, Habits.Primer.WHERE_NEEDED)).contains(What.Of.BRIGHT_AREAS);
        assertThat(primed(3, Habits.Primer.WHOLE)).contains(What.Of.WHOLE_PICTURE);
        assertThat(primed(16, Habits.Primer.NEVER)).isEmpty();
    }

    /** What is primed on black stone of a yellow and a black field, of which the yellow takes so many of 20 mm. */
    private static Optional<What.Of> primed(double yellowMm, Habits.Primer primer) {
        Stone black = STONE.withSkin(new Skin(RockKind.BASALT, Texture.SMOOTH, 0.03, Srgb.ofHex("#2b2b2d"), Skin.Before.NOTHING, false));
        List<MotifPart> parts = List.of(part("pale", Role.FILL, "s", box(-15, -10, 15, -10 + yellowMm), 0),
                part("dark", Role.FILL, "t", box(-15, -10 + yellowMm, 15, 10), 0));
        Project project = project(black, Map.of("s", "yellow", "t", "black")).withHabits(PLAIN.withPrimer(primer));
        return plan("strips", project, Paints.shelf(), parts).steps().stream().filter(s -> s.kind() == Step.Kind.PRIME)
                .map(s -> ((Step.Lay) s).doing().what().get(0).of()).findFirst();
    }

    @Test
    void whatNoNumberOfCoatsHidesIsTold() {
        Paint weak = Paints.brush("weak", "#f2e27a", 0.1);
        List<MotifPart> parts = List.of(part("under", Role.FILL, "s", box(-15, -10, 15, 10), 0),
                part("upon", Role.FILL, "t", box(-5, -5, 5, 5), 0));
        Shelf shelf = Paints.shelf().with(weak);
        assertThat(plan("strips", project(STONE, Map.of("s", "black", "t", "weak")), shelf, parts).noticed().showing())
                .extracting(s -> s.what().part(), Noticed.Showing::mix).containsExactly(tuple("upon", Mix.of("weak")));
        assertThat(plan("strips", project(STONE, Map.of("s", "black", "t", "white")), shelf, parts).noticed().showing()).isEmpty();
    }

    // --- the order

    @Test
    @Tag("outside") // pupils come when the eyes are finished (common practice, no source)
    void whatSitsInTheGapsOfARowComesWhenThatIsFinished() {
        for (List<String> paints : List.of(List.of("yellow", "black"), List.of("black", "yellow"), List.of("white", "blue"))) {
            List<MotifPart> parts = new ArrayList<>();
            for (int i = -1; i <= 1; i++) {
                Geometry all = FACTORY.createPoint(new Coordinate(20 * i, 0)).buffer(7, 16);
                Geometry gap = FACTORY.createPoint(new Coordinate(20 * i, 0)).buffer(3, 16);
                parts.add(part("ring " + (i + 2), Role.FILL, "s", all.difference(gap), 0));
                parts.add(part("pupil " + (i + 2), Role.FILL, "t", gap, 0));
            }
            List<String> order = plan("strips", project(STONE, Map.of("s", paints.get(0), "t", paints.get(1))), Paints.shelf(), parts)
                    .steps().stream().filter(s -> s.kind() == Step.Kind.FILL)
                    .map(s -> ((Step.Lay) s).doing().what().get(0).part().replaceAll(" .*", "")).toList();
            assertThat(order.lastIndexOf("ring")).as("%s", paints).isLessThan(order.indexOf("pupil"));
        }
    }

    @Test
    void everyStepHasANameOfItsOwnAndTheNameOfItsKind() {
        PaintPlan plan = Boards.plan(Boards.project(40, COLOURS), Paints.shelf());
        assertThat(plan.steps().stream().map(Step::key).toList()).doesNotHaveDuplicates().contains("SIGN", "PENCIL");
        assertThat(plan.steps()).allSatisfy(s -> assertThat(s.key()).startsWith(s instanceof Step.Seal ? "SEAL" : s.kind().name()));
        Step.Earlier earlier = new Step.Earlier(List.of());
        assertThat(earlier.key()).isEqualTo("EARLIER");
        assertThat(earlier.kind()).isEqualTo(Step.Kind.EARLIER);
    }

    // --- the hand

    @Test
    @Tag("outside") // a right hand works from the upper left, a left one from the upper right, off what is wet (common practice, no source)
    void placesOfOneColourAreWorkedAwayFromTheHand() {
        List<MotifPart> parts = List.of(part("broad", Role.FILL, box(-30, -4, -10, 4), 0), part("slim", Role.FILL, box(0, -4, 4, 4), 0),
                part("middling", Role.FILL, box(14, -4, 26, 4), 0));
        assertThat(worked(parts, Habits.Hand.RIGHT)).containsExactly("broad", "slim", "middling");
        assertThat(worked(parts, Habits.Hand.LEFT)).containsExactly("middling", "slim", "broad");
        List<MotifPart> below = List.of(part("low", Role.FILL, box(-9, 12, -1, 18), 0), part("high", Role.FILL, box(0, -18, 8, 2), 0));
        assertThat(worked(below, Habits.Hand.RIGHT)).as("what lies higher comes first").containsExactly("high", "low");
    }

    private static List<String> worked(List<MotifPart> parts, Habits.Hand hand) {
        return plan("black", Paints.shelf(), parts, hand).steps().stream().filter(s -> s.kind() == Step.Kind.FILL)
                .flatMap(s -> ((Step.Lay) s).doing().what().stream()).map(What::part).distinct().toList();
    }

    @Test
    void whatIsWorkedWetDriesAsItsSlowestPaint() {
        Paint slow = Paints.brush("slow", "#3f6fae", 0.95).made(Binder.ACRYLIC, Finish.MATT, new Millimetres(0), new Micrometres(150));
        Shelf shelf = Paints.shelf().with(slow);
        List<List<String>> pairs = List.of(List.of("blue", "slow"), List.of("slow", "blue"), List.of("blue", "purple"));
        List<Step.Work> work = pairs.stream().map(pair -> Boards.plan(Boards.project(40, Map.of("board", Mix.of(pair.get(0))))
                .withBlend("board", Blend.of(BlendKind.BANDS).withColours(List.of(Mix.of(pair.get(1))))), shelf).steps().stream()
                .filter(s -> s instanceof Step.Lay l && l.wet().isPresent()).findFirst().orElseThrow().work()).toList();
        assertThat(work.get(0).dries()).as("whichever of both comes first").isEqualTo(work.get(1).dries())
                .isGreaterThan(work.get(2).dries());
        assertThat(work.get(0).touch()).isGreaterThan(work.get(2).touch());
    }

    // --- which sealer

    private static Paint sealer(String id, Binder binder, Finish finish) {
        return Paint.usual(id, id, PaintKind.VARNISH, Srgb.ofHex("#f5f1e2"), new Millilitres(100)).made(binder, finish, new Millimetres(0),
                new Micrometres(60));
    }

    private static Optional<String> sealedWith(Habits.Seal wish, Paint... sealers) {
        Shelf shelf = new Shelf(Paints.shelf().paints().stream().filter(p -> p.kind() != PaintKind.VARNISH).toList());
        for (Paint sealer : sealers) {
            shelf = shelf.with(sealer);
        }
        Project project = Boards.project(30, COLOURS);
        return Boards.plan(project.withHabits(project.habits().withSeal(wish)), shelf).steps().stream().filter(s -> s instanceof Step.Seal)
                .map(s -> ((Step.Seal) s).varnish().load().coat().name()).findFirst();
    }

    @Test
    void theSealerIsTheOneWishedForElseAVarnishAndOnlyThenResin() {
        Paint resin = sealer("resin", Binder.RESIN, Finish.GLOSS);
        Paint matt = sealer("matt", Binder.ACRYLIC, Finish.MATT);
        Paint gloss = sealer("gloss", Binder.ACRYLIC, Finish.GLOSS);
        assertThat(sealedWith(Habits.Seal.GLOSS, resin, matt, gloss)).contains("gloss");
        assertThat(sealedWith(Habits.Seal.MATT, resin, matt, gloss)).contains("matt");
        assertThat(sealedWith(Habits.Seal.RESIN, gloss, matt, resin)).contains("resin");
        assertThat(sealedWith(Habits.Seal.GLOSS, resin, matt)).as("no gloss there: a varnish all the same").contains("matt");
        assertThat(sealedWith(Habits.Seal.GLOSS, resin)).as("nothing else there").contains("resin");
        assertThat(sealedWith(Habits.Seal.RESIN, gloss)).contains("gloss");
        assertThat(sealedWith(Habits.Seal.NONE, gloss)).isEmpty();
        assertThat(sealedWith(Habits.Seal.GLOSS)).as("nothing to seal with").isEmpty();
    }

    @Test
    @Tag("outside") // resin wants its own cautions, varnish others (common practice, no source)
    void whatIsPouredIsWarnedOfAsResinAndWhatIsBrushedAsVarnish() {
        for (Binder binder : List.of(Binder.RESIN, Binder.ACRYLIC)) {
            Project project = Boards.project(30, COLOURS);
            Shelf shelf = new Shelf(Paints.shelf().paints().stream().filter(p -> p.kind() != PaintKind.VARNISH).toList())
                    .with(sealer("seal", binder, Finish.GLOSS));
            PaintPlan plan = Boards.plan(project, shelf);
            Step.Seal seal = (Step.Seal) plan.steps().get(plan.steps().size() - 1);
            boolean poured = binder == Binder.RESIN;
            assertThat(Hazard.of(seal, shelf).contains(Hazard.RESIN)).as("%s", binder).isEqualTo(poured);
            assertThat(Hazard.of(seal, shelf).contains(Hazard.VARNISH)).isEqualTo(!poured);
            assertThat(Hazard.of(plan, shelf)).contains(poured ? Hazard.RESIN : Hazard.VARNISH, Hazard.FOOD_AND_FIRE, Hazard.CHILDREN)
                    .doesNotContain(Hazard.HEAVY, Hazard.HOT_AIR, Hazard.GLUE, Hazard.UNCURED_GEL);
        }
    }

    @Test
    @Tag("outside") // solvents are vented, oily rags laid flat, gel cured before it is touched (common practice, no source)
    void everyBinderIsWarnedOfInItsOwnWay() {
        Map<Binder, Set<Hazard>> wanted = Map.of(Binder.ACRYLIC, Set.of(), Binder.ALCOHOL, Set.of(Hazard.SOLVENT), Binder.OIL,
                Set.of(Hazard.SOLVENT, Hazard.OILY_RAGS), Binder.SOLVENT_LACQUER, Set.of(Hazard.SOLVENT), Binder.UV_GEL,
                Set.of(Hazard.UNCURED_GEL), Binder.RESIN, Set.of(Hazard.RESIN));
        wanted.forEach((binder, hazards) -> {
            Paint bar = Paints.brush("bar", "#f2c21b", 0.9).made(binder, Finish.MATT, new Millimetres(0), new Micrometres(50));
            Shelf shelf = Paints.shelf().with(bar);
            PaintPlan plan = Boards.plan(Boards.project(30, Map.of("board", Mix.of("blue"), "bar", Mix.of("bar"))), shelf);
            Step laid = plan.steps().stream().filter(s -> s.kind() == Step.Kind.FILL && s.key().contains("bar")).findFirst().orElseThrow();
            assertThat(Hazard.of(laid, shelf)).as("%s", binder).isEqualTo(hazards);
        });
        for (Binder binder : List.of(Binder.ACRYLIC, Binder.OIL, Binder.SOLVENT_LACQUER)) {
            Shelf shelf = new Shelf(Paints.shelf().paints().stream().filter(p -> p.kind() != PaintKind.VARNISH).toList())
                    .with(sealer("seal", binder, Finish.GLOSS));
            PaintPlan plan = Boards.plan(Boards.project(30, COLOURS), shelf);
            assertThat(Hazard.of(plan.steps().get(plan.steps().size() - 1), shelf).contains(Hazard.SOLVENT)).as("sealed with %s", binder)
                    .isEqualTo(binder != Binder.ACRYLIC);
        }
    }

    // --- what takes the same material

    private static Region region(Palette palette, int part, Share share, String paint, Geometry place) {
        What what = What.of(What.Of.PART).share(share);
        return new Region(Step.Kind.FILL, what, place, palette.colour(Mix.of(paint)).orElseThrow(), Region.Spread.EVEN,
                part * Region.LEVELS,
                Region.Line.NONE, Why.NONE);
    }

    @Test
    void partsOfOneMaterialAreDoneTogetherUnlessSomethingLiesBetweenThem() {
        Palette palette = new Palette(Boards.materials());
        Share powder = Share.of(Share.Kind.POWDER);
        Region low = region(palette, 0, powder, "gold dust", box(0, 0, 10, 10));
        Region high = region(palette, 2, powder, "gold dust", box(20, 0, 30, 10));
        Region bridge = region(palette, 1, Share.WHOLE, "blue", box(5, 2, 25, 8));
        Region onLow = region(palette, 1, Share.WHOLE, "blue", box(5, 2, 15, 8));
        Region clear = region(palette, 1, Share.of(Share.Kind.ISOLATED), "blue", box(5, 2, 25, 8));
        Region aside = region(palette, 3, Share.WHOLE, "blue", box(5, 2, 25, 8));
        assertThat(new Alike(List.of(low, high)).share(low, high)).isTrue();
        assertThat(new Alike(List.of(low, bridge, high)).share(low, high)).as("blue on the one and below the other").isFalse();
        assertThat(new Alike(List.of(low, bridge, high)).share(high, low)).isFalse();
        assertThat(new Alike(List.of(low, onLow, high)).share(low, high)).as("blue on the one alone").isTrue();
        assertThat(new Alike(List.of(low, clear, high)).share(low, high)).as("only what keeps them apart").isTrue();
        assertThat(new Alike(List.of(low, high, aside)).share(low, high)).as("blue in front of both").isTrue();
        assertThat(new Alike(List.of(low, high)).share(low, low)).as("one part").isFalse();
        Region flakes = region(palette, 2, powder, "flakes", box(20, 0, 30, 10));
        assertThat(new Alike(List.of(low, flakes)).share(low, flakes)).as("another powder").isFalse();
        assertThat(new Alike(List.of(low, bridge)).share(low, bridge)).as("paint is no such material").isFalse();
        Region gel = region(palette, 2, Share.of(Share.Kind.GEL), "gel", box(20, 0, 30, 10));
        Alike both = new Alike(List.of(low, high, gel));
        assertThat(both.together(low, gel)).isTrue();
        assertThat(both.comesFirst(region(palette, 2, Share.WHOLE, "blue", box(20, 0, 30, 10)), low)).as("a base before a powder").isTrue();
        assertThat(both.comesFirst(low, high)).as("both powder").isFalse();
    }

    // --- names and places

    @Test
    void partsOfTwoColoursAreRowsByTheTitlesOfTheirColours() {
        List<MotifPart> parts = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            parts.add(part("leaf " + (i + 1), Role.FILL, i < 2 ? "pale leaves" : "dark leaves", box(-20 + 10 * i, 0, -13 + 10 * i, 8), 0));
        }
        PaintPlan plan = plan("strips", project(STONE, Map.of("pale leaves", "palegreen", "dark leaves", "black")), Paints.shelf(), parts);
        assertThat(plan.steps().stream().filter(s -> s instanceof Step.Lay && s.kind() == Step.Kind.FILL)
                .flatMap(s -> ((Step.Lay) s).doing().what().stream()).map(w -> w.part() + ": " + w.row().title() + " " + w.row().size()))
                .containsOnly("leaf 1: pale leaves 2", "leaf 2: pale leaves 2", "leaf 3: dark leaves 2", "leaf 4: dark leaves 2");
    }

    @Test
    void aPieceKeepsItsNameFromPlanToPlan() {
        What part = new What(What.Of.PART, "left wing", Share.WHOLE, List.of());
        assertThat(part.id()).isEqualTo("part:left wing");
        assertThat(part.share(Share.of(Share.Kind.POWDER)).id()).isEqualTo("part:left wing:powder");
        assertThat(part.share(Share.of(Share.Kind.BAND, 2)).id()).isEqualTo("part:left wing:band-2");
        assertThat(part.share(new Share(Share.Kind.GLAZE, 2, 3)).id()).as("passes of one glaze are one").isEqualTo("part:left wing:glaze");
        assertThat(What.of(What.Of.GROUND).id()).isEqualTo("ground");
    }

    @Test
    void aPassMovedTakesThePlaceOfTheOtherAndNothingElseMoves() {
        PaintPlan plan = Boards.plan(Boards.project(40, COLOURS), Paints.shelf());
        List<String> keys = plan.steps().stream().map(Step::key).toList();
        List<String> order = plan.order();
        assertThat(order).hasSizeGreaterThanOrEqualTo(3);
        int first = keys.indexOf(order.get(0));
        int last = keys.indexOf(order.get(order.size() - 1));
        for (int from = first; from <= last; from++) {
            for (int to = 0; to < keys.size(); to++) {
                boolean movable = order.contains(keys.get(to));
                int place = movable ? order.indexOf(keys.get(to)) : to < first ? 0 : order.size() - 1;
                List<String> wanted = new ArrayList<>(order);
                wanted.remove(keys.get(from));
                wanted.add(place, keys.get(from));
                assertThat(plan.moved(from, to)).as("%d to %d", from, to)
                        .isEqualTo(wanted.equals(order) ? Optional.empty() : Optional.of(wanted));
            }
        }
        assertThat(IntStream.range(0, first).mapToObj(i -> plan.moved(i, last))).as("washing stays where it is")
                .allMatch(Optional::isEmpty);
        assertThat(plan.moved(keys.size() - 1, first)).as("and so does the seal").isEmpty();
    }
}
