package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mosspebble.core.Surveys;
import mosspebble.core.words.LayOutWords;
import mosspebble.core.words.FindingWords;
import mosspebble.core.project.Diary;
import mosspebble.core.book.Finished;
import java.util.Locale;
import java.time.Instant;
import java.util.Optional;
import mosspebble.core.rules.Taught;
import mosspebble.core.finding.Finding;
import mosspebble.core.care.Lessons;
import java.util.OptionalDouble;
import java.util.TreeMap;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Pot;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
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
import mosspebble.core.stone.Stone;
import mosspebble.core.supplies.Amounts;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.supplies.Puddle;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** What a plan takes from the pots: puddles that can be mixed, not thousandths of a millilitre. */
class SuppliesTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Mix SMALL = new Mix(List.of(new Mix.Part("red", 3), new Mix.Part("white", 1)));

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static MotifPart part(String id, Geometry shape) {
        return new MotifPart(id, id, Role.FILL, id, shape, new MotifPart.Make(0, 0.4, true, Presence.ALWAYS), Optional.empty());
    }

    private static final Repertoire REPERTOIRE = Repertoire.of(List.of(new Motif("tile", "Tile",
            List.of(new Slot("field", "Field", Srgb.ofHex("#1f4e9c")), new Slot("spot", "Spot", Srgb.ofHex("#c0504a"))),
            List.of(part("field", box(0, 0, 40, 30)), part("spot", box(18, 13, 22, 17))), box(0, 0, 40, 30), box(0, 0, 40, 30), false,
            false)), List.of(), List.of());

    private static PaintPlan plan(Mix field, Mix spot, Shelf shelf) {
        Stone stone = Stone.cobble();
        Project project = Project.begin("p", "Tile", stone)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("tile"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("field", field, "spot", spot)).withHabits(Habits.usual().withPrimer(Habits.Primer.NEVER));
        return Plans.plan(project, Surveys.of(stone), new Workshop(new Palette(shelf), REPERTOIRE, Climate.room(), List.of()),
                new Remembered());
    }

    private static double needed(PaintPlan plan, String paint) {
        return plan.supplies().stream().filter(u -> u.paint().equals(paint)).findFirst().map(u -> u.needed().value()).orElse(0.0);
    }

    @Test
    void theSmallestSpotOfAMixTakesAWholePuddle() {
        PaintPlan plan = plan(Mix.of("blue"), SMALL, Paints.shelf());
        Puddle puddle = plan.puddles().stream().filter(p -> p.mix().equals(SMALL)).findFirst().orElseThrow();
        assertThat(puddle.amounts().made().value()).isCloseTo(Amounts.LEAST_ML, within(1e-9));
        assertThat(needed(plan, "red")).as("three of four drops").isCloseTo(0.15, within(1e-9));
        double laid = 4 * 4 * 1.1 * 60 / 1e6;
        assertThat(needed(plan, "red")).as("many times what lies on 16 square millimetres").isGreaterThan(20 * laid);
    }

    @Test
    void aSinglePaintComesFromThePotByTheDrop() {
        PaintPlan plan = plan(Mix.of("blue"), Mix.of("red"), Paints.shelf());
        assertThat(needed(plan, "red")).isCloseTo(Amounts.DROP_ML, within(1e-9));
        double drops = needed(plan, "blue") / Amounts.DROP_ML;
        assertThat(drops).isCloseTo(Math.rint(drops), within(1e-6));
        double least = 0;
        for (Step step : plan.steps()) {
            if (step.mix().filter(Mix.of("blue")::equals).isPresent()) {
                least += PaintUse.spread(step.work().areaMm2(), 60, 1).value();
            }
        }
        double inMixes = plan.puddles().stream().filter(p -> !p.mix().isSingle()).flatMap(p -> p.amounts().shares().stream())
                .filter(share -> share.paint().equals("blue")).mapToDouble(share -> share.volume().value()).sum();
        long own = plan.puddles().stream().filter(p -> p.mix().equals(Mix.of("blue"))).count();
        assertThat(needed(plan, "blue") - inMixes).as("what lies on the stone, with its loss, and at most a drop a puddle more")
                .isBetween(least, least + Amounts.DROP_ML * own);
    }

    @Test
    void pensAreUsedUpByWhatTheyLayAndNothingElse() {
        PaintPlan plan = plan(Mix.of("blue"), Mix.of("red"), Paints.shelf());
        Step outline = plan.steps().stream().filter(s -> s.kind() == Step.Kind.OUTLINE).findFirst().orElseThrow();
        String pen = outline.mix().orElseThrow().parts().get(0).paint();
        double um = Paints.shelf().find(pen).orElseThrow().wetCoat().value();
        double all = plan.steps().stream().filter(s -> s.mix().equals(outline.mix()))
                .mapToDouble(s -> PaintUse.spread(s.work().areaMm2(), um * s.layer().orElseThrow().load().thin(), 1).value()).sum();
        assertThat(needed(plan, pen)).isCloseTo(all, within(1e-6));
        assertThat(plan.puddles()).noneMatch(p -> p.mix().equals(outline.mix().orElseThrow()));
    }

    @Test
    void whatRunsOutIsSaidInTimeBecausePuddlesCount() {
        Paint red = Paints.shelf().find("red").orElseThrow();
        Shelf short0 = Paints.shelf().with(red.withPot(new Pot(new Millilitres(0.1), new Millilitres(0), 0)));
        assertThat(plan(Mix.of("blue"), SMALL, short0).findings()).as("a tenth of a millilitre would cover the spot but gives no puddle")
                .anyMatch(f -> f.code() == Code.RUNS_OUT);
        assertThat(plan(Mix.of("blue"), SMALL, Paints.shelf()).findings()).noneMatch(f -> f.code() == Code.RUNS_OUT);
    }

    @Test
    void thePuddlesAddUpToTheSuppliesAndEachServesStepsThatLayItsMix() {
        PaintPlan plan = plan(new Mix(List.of(new Mix.Part("blue", 2), new Mix.Part("white", 1))), SMALL, Paints.shelf());
        Map<String, Double> sum = new TreeMap<>();
        for (Puddle puddle : plan.puddles()) {
            puddle.amounts().shares().forEach(s -> sum.merge(s.paint(), s.volume().value(), Double::sum));
            for (int step : puddle.steps()) {
                assertThat(plan.steps().get(step).layers()).anyMatch(l -> l.load().mix().equals(puddle.mix()));
            }
        }
        Map<String, Double> supplies = new HashMap<>();
        plan.supplies().forEach(u -> supplies.put(u.paint(), u.needed().value()));
        sum.forEach((paint, ml) -> assertThat(supplies.get(paint)).as(paint).isCloseTo(ml, within(1e-9)));
    }

    @Test
    void theCardSaysHowAMixIsCountedOutOnceAndWhereItStandsLater() {
        Mix mixed = new Mix(List.of(new Mix.Part("yellow", 2), new Mix.Part("white", 1)));
        PaintPlan plan = plan(mixed, Mix.of("red"), Paints.shelf());
        List<String> words = new ArrayList<>();
        for (int i = 0; i < plan.steps().size(); i++) {
            if (plan.steps().get(i).mix().filter(mixed::equals).isPresent()) {
                words.add(StepWords.puddles(plan, i));
            } else if (plan.steps().get(i).mix().filter(m -> m.touchOver(mixed).isPresent()).isPresent()) {
                assertThat(StepWords.puddles(plan, i)).as("a shade is the base and a touch")
                        .startsWith("Bring some of the 2 yellow : 1 white");
            } else {
                assertThat(StepWords.puddles(plan, i)).as("nothing is mixed for %s", plan.steps().get(i).kind()).isEmpty();
            }
        }
        assertThat(words.size()).as("yellow takes several coats").isGreaterThan(1);
        assertThat(words.get(0)).startsWith("Mix it, ").contains("keep it damp");
        assertThat(words.get(1)).startsWith("Take it from the puddle of step ").endsWith("kept damp.");
    }

    // --- passes that are done

    private static Diary.Deed deed(PaintPlan plan, int step, int part) {
        Instant at = Instant.parse("2026-11-27T19:00:00Z").plusSeconds(60L * step);
        return new Diary.Deed(plan.project().id(), plan.names().get(step), part, at, at.plusSeconds(40), false);
    }

    private static double sum(Map<String, Double> taken) {
        return taken.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    @Test
    void eachPassThatIsDoneTakesItsShareAndAllOfThemTheWhole() {
        PaintPlan plan = plan(new Mix(List.of(new Mix.Part("blue", 2), new Mix.Part("white", 1))), SMALL, Paints.shelf());
        Diary diary = Diary.USUAL;
        assertThat(new TakenOut(plan, diary).byPaint()).isEmpty();
        assertThat(new TakenOut(plan, diary).stillNeeded()).isEqualTo(plan.supplies());
        double before = 0;
        for (int step = 0; step < plan.steps().size(); step++) {
            for (int part = 0; part < ManyStones.parts(plan.steps().get(step)); part++) {
                diary = diary.plus(deed(plan, step, part));
                double now = sum(new TakenOut(plan, diary).byPaint());
                boolean paints = !plan.steps().get(step).layers().isEmpty();
                assertThat(now > before + 1e-9).as("%s, part %d", StepWords.title(plan.steps().get(step)), part).isEqualTo(paints);
                before = now;
            }
        }
        Map<String, Double> all = new TakenOut(plan, diary).byPaint();
        plan.supplies().forEach(u -> assertThat(all.get(u.paint())).as(u.paint()).isCloseTo(u.needed().value(), within(1e-9)));
        assertThat(new TakenOut(plan, diary).stillNeeded()).allSatisfy(u -> assertThat(u.needed().value()).isCloseTo(0, within(1e-9)));
    }

    @Test
    void whatIsTakenAndWhatIsStillNeededAreTheWholeAndASpoiledPassCountsAgain() {
        PaintPlan plan = plan(Mix.of("blue"), Mix.of("red"), Paints.shelf());
        int first = 0;
        while (plan.steps().get(first).layers().isEmpty()) {
            first++;
        }
        Diary done = Diary.USUAL.plus(deed(plan, first, 0));
        Map<String, Double> taken = new TakenOut(plan, done).byPaint();
        for (PaintUse still : new TakenOut(plan, done).stillNeeded()) {
            assertThat(still.needed().value() + taken.getOrDefault(still.paint(), 0.0)).isCloseTo(needed(plan, still.paint()),
                    within(1e-9));
        }
        Diary.Deed last = done.last().orElseThrow();
        Diary spoiled = done.plus(new Diary.Deed(last.stone(), last.step(), last.part(), last.to(), last.to(), true));
        assertThat(new TakenOut(plan, spoiled).byPaint()).as("it is to be done, and paid, again").isEmpty();
    }

    @Test
    void thePotsGiveWhatWasTakenAndNoneGoesBelowEmpty() {
        Shelf shelf = Paints.shelf();
        double blue = shelf.find("blue").orElseThrow().left().value();
        Shelf left = TakenOut.from(shelf, Map.of("blue", 1.5, "red", 1e6, "nowhere", 3.0));
        assertThat(left.find("blue").orElseThrow().left().value()).isCloseTo(blue - 1.5, within(1e-9));
        assertThat(left.find("red").orElseThrow().left().value()).isZero();
        assertThat(left.find("white")).isEqualTo(shelf.find("white"));
        assertThat(left.paints()).hasSameSizeAs(shelf.paints());
    }

    @Test
    void aStoneInTheBookTakesOnlyWhatItsTickedPassesDidNot() {
        PaintPlan plan = plan(Mix.of("blue"), Mix.of("red"), Paints.shelf());
        Diary all = Diary.USUAL;
        for (int step = 0; step < plan.steps().size(); step++) {
            for (int part = 0; part < ManyStones.parts(plan.steps().get(step)); part++) {
                all = all.plus(deed(plan, step, part));
            }
        }
        double blue = Paints.shelf().find("blue").orElseThrow().left().value();
        assertThat(Finished.used(Paints.shelf(), plan, Diary.USUAL).find("blue").orElseThrow().left().value())
                .isCloseTo(blue - needed(plan, "blue"), within(1e-9));
        assertThat(Finished.used(Paints.shelf(), plan, all).find("blue").orElseThrow().left().value()).isCloseTo(blue, within(1e-9));
    }

    // --- what is laid out

    private static List<String> lines(List<LayOutWords.Section> sections, String heading) {
        return sections.stream().filter(s -> s.heading().equals(heading)).flatMap(s -> s.lines().stream()).map(LayOutWords.Line::words)
                .toList();
    }

    @Test
    void everythingThatIsUsedIsLaidOutOnceWithItsAmount() {
        PaintPlan plan = plan(Mix.of("blue"), SMALL, Paints.shelf());
        List<LayOutWords.Section> sections = LayOutWords.of(plan, Paints.shelf());
        assertThat(sections).extracting(LayOutWords.Section::heading).startsWith("Paints and pens", "To mix, in drops", "Tools")
                .endsWith("Take care").doesNotHaveDuplicates();
        List<String> paints = new ArrayList<>(lines(sections, "Paints and pens"));
        paints.addAll(lines(sections, "To seal it"));
        for (PaintUse use : plan.supplies()) {
            String name = Paints.shelf().find(use.paint()).orElseThrow().name();
            assertThat(paints).filteredOn(l -> l.toLowerCase(Locale.ROOT).matches(name.toLowerCase(Locale.ROOT) + "[:,].*")).as(name)
                    .hasSize(1);
        }
        assertThat(lines(sections, "To mix, in drops").get(0))
                .startsWith("Three drops of red and one drop of white, for step ");
        List<String> tools = lines(sections, "Tools");
        assertThat(tools).doesNotHaveDuplicates();
        plan.steps().stream().filter(s -> !(s instanceof Step.Seal)).map(StepWords::tool).forEach(
                tool -> assertThat(tools).anyMatch(t -> t.equalsIgnoreCase(tool.replaceAll(",.*", ""))));
        assertThat(lines(sections, "Still open")).hasSameSizeAs(plan.findings().stream().map(FindingWords::sentence).distinct().toList());
    }

    @Test
    void whatDoesNotReachIsSaidWhereItIsLaidOut() {
        Paint red = Paints.shelf().find("red").orElseThrow();
        Shelf scarce = Paints.shelf().with(red.withPot(new Pot(new Millilitres(0.05), new Millilitres(0), 0)));
        assertThat(lines(LayOutWords.of(plan(Mix.of("blue"), SMALL, scarce), scarce), "Paints and pens"))
                .filteredOn(l -> l.startsWith("Red")).singleElement().asString().isEqualTo("Red: 0.1 ml missing");
    }

    // --- what the book teaches

    @Test
    void theBookSpeaksOnlyToPlansThatUseWhatItSpeaksOf() {
        Shelf shelf = Paints.shelf();
        PaintPlan plan = plan(Mix.of("blue"), SMALL, shelf);
        String seal = plan.steps().stream().filter(s -> s instanceof Step.Seal).findFirst().flatMap(Step::mix)
                .flatMap(m -> shelf.find(m.parts().get(0).paint())).orElseThrow().name();
        boolean out = plan.project().habits().outdoors();
        Lessons.Worn worn = new Lessons.Worn(seal, out, 2, 3, 7);
        Lessons all = new Lessons(List.of(worn), List.of(new Lessons.Failed("red", "red", 2, 4)), OptionalDouble.of(1.4), 3);
        assertThat(Taught.by(plan, Lessons.NOTHING, shelf)).isSameAs(plan);
        PaintPlan taught = Taught.by(plan, all, shelf);
        assertThat(taught.findings()).extracting(Finding::code).contains(Code.SEALER_WORE, Code.PRODUCT_FAILED, Code.TOOK_LONGER);
        assertThat(taught.findings()).extracting(Finding::weight).isSorted();
        assertThat(taught.steps()).isSameAs(plan.steps());
        assertThat(taught.findings()).filteredOn(f -> f.code() == Code.SEALER_WORE).singleElement()
                .satisfies(f -> assertThat(FindingWords.sentence(f)).contains(seal + " was worn on two of three stones",
                        out ? "outdoors" : "indoors", "within 7 months"));

        Lessons elsewhere = new Lessons(List.of(new Lessons.Worn(seal, !out, 2, 3, 7), new Lessons.Worn("another", out, 2, 3, 7)),
                List.of(new Lessons.Failed("violet", "violet", 2, 4)), OptionalDouble.empty(), 0);
        assertThat(Taught.by(plan, elsewhere, shelf)).isSameAs(plan);
    }
}
