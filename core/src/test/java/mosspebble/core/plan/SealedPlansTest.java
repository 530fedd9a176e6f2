package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.Surveys;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.blend.Share;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Resin;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Seals, glitter and crackle in whole plans. */
class SealedPlansTest {

    private static final Paint RESIN = sealer("resin", Binder.RESIN, Finish.GLOSS, 500);
    private static final Paint WAX = sealer("wax", Binder.WAX, Finish.SATIN, 30);
    private static final Paint SPRAY = sealer("spray", Binder.SOLVENT_LACQUER, Finish.GLOSS, 20);
    private static final Paint GLITTER = Paint.usual("glitter", "star glitter", PaintKind.GLITTER, Srgb.ofHex("#c9bfa6"),
            new Millilitres(20));

    private static Paint sealer(String id, Binder binder, Finish finish, double wetUm) {
        return Paint.usual(id, "some " + id, PaintKind.VARNISH, Srgb.ofHex("#f5f1e2"), new Millilitres(300)).made(binder, finish,
                new Millimetres(0), new Micrometres(wetUm));
    }

    private static Project board(double wide, String paint) {
        return Project.begin("p", "Board", Stone.cobble())
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("board"), ItemMode.ON_STONE, new Placement(0, 0, 0, wide), 0)))
                .withColours(Map.of("board", Mix.of(paint)))
                .withHabits(Habits.usual().withPrimer(Habits.Primer.NEVER).withLineColour(Habits.LineColour.NONE).withLight(Light.NONE));
    }

    private static final Paint CRACKLE = Paint.usual("crackle", "crackle medium", PaintKind.CRACKLE, Srgb.ofHex("#efe9d9"),
            new Millilitres(60));

    private static PaintPlan plan(Project project, Climate air) {
        return plan(project, air, shelf());
    }

    private static PaintPlan plan(Project project, Climate air, Shelf shelf) {
        Geometry square = new GeometryFactory().toGeometry(new Envelope(0, 1, 0, 1));
        Repertoire repertoire = Repertoire.of(List.of(new Motif("board", "Board",
                List.of(new Slot("board", "Board", Srgb.ofHex("#1f4e9c"))),
                List.of(new MotifPart("board", "board", Role.FILL, "board", square, MotifPart.Make.FLAT, Optional.empty())), square, square,
                false, false)), List.of(), List.of());
        return Plans.plan(project, Surveys.of(project.stone()), new Workshop(new Palette(shelf), repertoire, air, List.of()),
                new Remembered());
    }

    private static PaintPlan sealed(Paint sealer, Climate air) {
        Project project = board(25, "blue");
        return plan(project.withHabits(project.habits().withSealer(sealer)), air);
    }

    private static Step.Seal seal(PaintPlan plan) {
        return (Step.Seal) plan.steps().get(plan.steps().size() - 1);
    }

    private static List<Code> codes(PaintPlan plan) {
        return plan.findings().stream().map(Finding::code).toList();
    }

    @Test
    // resin clouds over paint that is not dry through: three days (common practice, no source)
    void resinWaitsThreeDaysIsStirredByWeightAndIsNotWarnedAgainst() {
        PaintPlan plan = sealed(RESIN, Climate.room());
        Step sign = plan.steps().get(plan.steps().size() - 2);
        assertThat(sign.work().dries()).isGreaterThanOrEqualTo(Duration.ofHours(72));
        Resin.Amount amount = Resin.USUAL.amount(seal(plan).work().areaMm2(), Resin.LEVEL_MM);
        assertThat(StepWords.sentence(seal(plan))).contains(" One pour of some resin").contains("lying level").contains("dam")
                .contains("bubbles").contains("dust")
                .contains("Stir " + Math.round(amount.gramsA()) + " g of resin and " + Math.round(amount.gramsB()) + " g of hardener");
        assertThat(StepWords.reason(seal(plan))).contains("mm high on a flat face").contains("runs down");
        assertThat(plan.supplies().stream().filter(u -> u.paint().equals("resin")).findFirst().orElseThrow().needed().value())
                .isGreaterThanOrEqualTo(amount.millilitres());
        assertThat(codes(plan)).as("what the plan keeps is no warning").doesNotContain(Code.INCOMPATIBLE);
        PaintPlan varnished = plan(board(25, "blue"), Climate.room());
        assertThat(varnished.steps().get(varnished.steps().size() - 2).work().dries()).isLessThan(Duration.ofHours(72));
    }

    @Test
    // solvent wrinkles acrylic that is not dry through (common practice, no source): a day, before a seal and within the picture
    void lacquerWithinThePictureWaitsForThePaintBelow() {
        Project board = board(25, "blue");
        Paint lacquer = Paints.brush("lacquer", "#b3261e", 0.93).withFilm(Paints.brush("lacquer", "#b3261e", 0.93).film()
                .withBinder(Binder.SOLVENT_LACQUER));
        Project painted = board.withBlend("board",
                Blend.flat().plusOver(Blend.of(BlendKind.STROKES).withColours(List.of(Mix.of("lacquer")))));
        PaintPlan plan = plan(painted, Climate.room(), Paints.shelf().with(lacquer));
        assertThat(codes(plan)).doesNotContain(Code.INCOMPATIBLE);
        assertThat(plan.steps().get(StepWords.titles(plan).indexOf("Fill the board")).work().dries()).isEqualTo(Duration.ofHours(24));
        assertThat(codes(sealed(SPRAY, Climate.room()))).doesNotContain(Code.INCOMPATIBLE);
    }

    @Test
    void sprayGoesOnInMistCoatsWithinTheHour() {
        assertThat(StepWords.sentence(seal(sealed(SPRAY, Climate.room())))).isEqualTo(
                "Lift what is left of the pencil with a kneaded eraser: a spray fixes it for good. 3 coats of some spray, thin mist, the "
                        + "next after 15 min and within 1 h, else dull the one before with fine paper.");
        assertThat(seal(sealed(SPRAY, Climate.room())).advice().coats()).isEqualTo(3);
    }

    @Test
    void waxOutdoorsIsStoppedWithAWayOut() {
        PaintPlan plan = sealed(WAX, Climate.room());
        Finding said = plan.findings().stream().filter(f -> f.code() == Code.SEAL_INDOORS_ONLY).findFirst().orElseThrow();
        assertThat(FindingWords.sentence(said)).isEqualTo("Some wax does not last outdoors: take a varnish there.");
        PaintPlan mended = plan(said.remedy().orElseThrow().change().apply(plan.project()), Climate.room());
        assertThat(codes(mended)).doesNotContain(Code.SEAL_INDOORS_ONLY);
        assertThat(seal(mended).varnish().load().mix()).isEqualTo(Mix.of("varnish"));
        Project indoors = plan.project().withHabits(plan.project().habits().withOutdoors(false));
        assertThat(codes(plan(indoors, Climate.room()))).doesNotContain(Code.SEAL_INDOORS_ONLY);
    }

    @Test
    // resin below 20 C stays soft and full of bubbles; damp clouds lacquer (common practice, no source)
    void theAirMustSuitTheSealer() {
        Climate cool = new Climate(new Celsius(16), 0.5, 0.1);
        assertThat(codes(sealed(RESIN, cool))).contains(Code.SEAL_AIR);
        assertThat(codes(plan(board(25, "blue"), cool))).doesNotContain(Code.SEAL_AIR);
        assertThat(codes(sealed(RESIN, new Climate(new Celsius(22), 0.5, 0.1)))).doesNotContain(Code.SEAL_AIR);
        assertThat(codes(sealed(SPRAY, new Climate(new Celsius(22), 0.68, 0.1)))).contains(Code.SEAL_AIR);
    }

    @Test
    void aSealerThatIsGoneFromTheShelfGivesWayToOneOfItsFinish() {
        Paint gone = sealer("gone", Binder.ACRYLIC, Finish.GLOSS, 60);
        assertThat(seal(sealed(gone, Climate.room())).varnish().load().mix()).isEqualTo(Mix.of("varnish"));
        assertThat(Habits.usual().withSealer(RESIN).withSeal(Habits.Seal.MATT).sealer()).as("a finish asked for later counts").isEmpty();
    }

    @Test
    void glitterTakesOneCoatOnASmallPlaceAndTwoOnALargeOne() {
        assertThat(glitterCoats(5)).isEqualTo(1);
        assertThat(glitterCoats(25)).isEqualTo(2);
        List<Step.Lay> large = glitter(25);
        assertThat(StepWords.sentence(large.get(0))).contains("bald patches").doesNotContain("streaky").doesNotContain("Pencil");
        assertThat(StepWords.reason(large.get(0))).contains("two thin coats").contains("what is below is meant to show");
    }

    @Test
    // flakes that are brushed out or thinned stand on edge (common practice, no source)
    void glitterLaidOverAColourIsPattedOnAndNotThinned() {
        Project board = board(25, "white").withBlend("board",
                Blend.flat().plusOver(Blend.of(BlendKind.GLAZE).withColours(List.of(Mix.of("glitter")))));
        List<Step.Lay> over = plan(board, Climate.room()).steps().stream().filter(Step.Lay.class::isInstance).map(Step.Lay.class::cast)
                .filter(s -> s.doing().what().get(0).share().kind() == Share.Kind.GLAZE).toList();
        assertThat(over).isNotEmpty();
        assertThat(StepWords.sentence(over.get(0))).contains("flakes lie flat").contains("bald patches").doesNotContain("water");
        assertThat(StepWords.sentence(over.get(over.size() - 1))).doesNotContain("bald patches").doesNotContain("water");
        assertThat(StepWords.title(over.get(0))).isEqualTo("Pat the first layer of star glitter on the board");
        assertThat(StepWords.reason(over.get(0))).contains("flakes").doesNotContain("Watered");
    }

    @Test
    // base, dry; medium, touch-dry; the upper coat once and not gone over; a day until the cracks are sealed (common practice, no source)
    void crackleGoesBetweenTwoColoursAndRestsADayBeforeTheSeal() {
        Project cracked = board(25, "umber").withBlend("board", Blend.of(BlendKind.CRACKLED).withColours(List.of(Mix.of("white"))));
        PaintPlan plan = plan(cracked, new Climate(new Celsius(24), 0.4, 0.1));
        List<String> titles = StepWords.titles(plan);
        assertThat(titles).containsSubsequence("Lay crackle medium on the board", "Lay the coat that cracks on the board", "Sign it",
                "Seal");
        int medium = titles.indexOf("Lay crackle medium on the board");
        assertThat(titles.subList(0, medium)).anyMatch(t -> t.contains("board"));
        assertThat(StepWords.sentence(plan.steps().get(medium))).contains("dry colour").contains("tacky");
        Step.Lay upper = (Step.Lay) plan.steps().get(titles.indexOf("Lay the coat that cracks on the board"));
        assertThat(StepWords.sentence(upper)).startsWith("White. ").contains("not gone over").contains("within the hour");
        assertThat(upper.after()).anyMatch(a -> a.step() == medium && a.waits() == Step.Waits.LIES_BELOW);
        assertThat(plan.steps().get(titles.indexOf("Sign it")).work().dries()).isGreaterThanOrEqualTo(Duration.ofHours(24));
        assertThat(codes(plan)).as("it is meant to crack, and the plan waits").doesNotContain(Code.INCOMPATIBLE);
        PaintPlan plain = plan(board(25, "umber"), new Climate(new Celsius(24), 0.4, 0.1));
        assertThat(plain.steps().get(StepWords.titles(plain).indexOf("Sign it")).work().dries()).isLessThan(Duration.ofHours(24));
    }

    @Test
    void withoutMediumOnTheShelfNothingCracksAndThatIsSaid() {
        Project cracked = board(25, "umber").withBlend("board", Blend.of(BlendKind.CRACKLED).withColours(List.of(Mix.of("white"))));
        PaintPlan plan = plan(cracked, Climate.room(), Paints.shelf());
        assertThat(StepWords.titles(plan)).noneMatch(t -> t.contains("crack"));
        Finding said = plan.findings().stream().filter(f -> f.code() == Code.LACKS_MEDIUM).findFirst().orElseThrow();
        assertThat(FindingWords.sentence(said)).isEqualTo(
                "Board is to be crackled, but the shelf has no crackle medium; it is planned flat.");
        assertThat(said.remedy().orElseThrow().change().apply(cracked).blends()).isEmpty();
    }

    @Test
    // graphite smears or is fixed, chalk ghosts (common practice, no source): what is left of the drawing goes before the seal
    void whatIsLeftOfTheDrawingGoesBeforeTheSeal() {
        assertThat(seal(sealed(WAX, Climate.room())).lying().lines()).isEqualTo(Step.Lines.GRAPHITE);
        Project dark = board(25, "white");
        Project chalked = dark.withStone(dark.stone().withSkin(dark.stone().skin().withColour(Srgb.ofHex("#2b2c2e"))));
        Step.Seal seal = seal(plan(chalked, Climate.room()));
        assertThat(seal.lying().lines()).isEqualTo(Step.Lines.CHALK);
        assertThat(StepWords.sentence(seal)).startsWith("Wipe off what is left of the chalk with a damp cloth").contains("ghosts");
    }

    @Test
    // test each pen under each sealer once and write it down (common practice, no source)
    void pensAndInksNeverTriedUnderTheSealerAreNamedOnce() {
        Project lined = Boards.project(25, Map.of("board", Mix.of("blue"), "line", Mix.of("blackpen")));
        PaintPlan plan = Boards.plan(lined, shelf());
        List<Untested.Pair> pairs = Untested.of(plan, shelf(), Compatibility.Known.NOTHING);
        assertThat(pairs).hasSize(1);
        Finding said = plan.findings().stream().filter(f -> f.code() == Code.UNTESTED).findFirst().orElseThrow();
        assertThat(FindingWords.sentence(said)).isEqualTo("Not tried yet under gloss varnish: " + pairs.get(0).below().name()
                + ". A test sheet for it lies in Finish.");
        SmearTest fine = new SmearTest(pairs.get(0).below().id(), "varnish", SmearTest.Outcome.FINE, "");
        assertThat(Untested.of(plan, shelf(), new Compatibility.Known(List.of(fine), List.of()))).as("one's own test settles it").isEmpty();
        PaintPlan bare = Boards.plan(lined.withHabits(lined.habits().withSeal(Habits.Seal.NONE)), shelf());
        assertThat(Untested.of(bare, shelf(), Compatibility.Known.NOTHING)).as("nothing over it").isEmpty();
        assertThat(codes(plan(board(25, "blue"), Climate.room()))).as("brushed paint is no pen").doesNotContain(Code.UNTESTED);
    }

    private static Shelf shelf() {
        return Paints.shelf().with(RESIN).with(WAX).with(SPRAY).with(GLITTER).with(CRACKLE);
    }

    private static int glitterCoats(double wide) {
        return glitter(wide).size();
    }

    private static List<Step.Lay> glitter(double wide) {
        return plan(board(wide, "glitter"), Climate.room()).steps().stream()
                .filter(s -> s instanceof Step.Lay && s.mix().equals(Optional.of(Mix.of("glitter")))).map(s -> (Step.Lay) s).toList();
    }

    /** Mean L* of the middle of the board in the picture. */
    private static double lightness(PaintPlan plan, StoneState look) {
        Grid grid = Grid.around(60, 50, 0.5);
        StonePicture picture = StonePicture.of(plan, StoneTerrain.of(plan.survey(), grid), look);
        int[] pixels = new int[grid.cells()];
        picture.draw(picture.steps(), 0, 320, pixels);
        double sum = 0;
        int middle = (grid.rows() / 2) * grid.columns() + grid.columns() / 2;
        for (int r = -8; r < 8; r++) {
            for (int c = -8; c < 8; c++) {
                sum += Lab.of(Srgb.ofRgb(pixels[middle + r * grid.columns() + c] & 0xFFFFFF)).l() / 256;
            }
        }
        return sum;
    }

    @Test // water-based varnish goes on milky and dries clear, lacquer goes on clear (common practice, no source)
    void aHardeningSealIsToldFromAHardOne() {
        PaintPlan brushed = sealed(Paints.shelf().find("varnish").orElseThrow(), Climate.room());
        assertThat(lightness(brushed, StoneState.CURING)).isGreaterThan(lightness(brushed, StoneState.SEALED) + 8)
                .isGreaterThan(lightness(brushed, StoneState.WET) + 8).isLessThan(85);
        PaintPlan sprayed = sealed(SPRAY, Climate.room());
        assertThat(lightness(sprayed, StoneState.CURING)).isCloseTo(lightness(sprayed, StoneState.SEALED), within(4.0));
    }
}
