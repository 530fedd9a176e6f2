package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mosspebble.core.words.SupplyWords;
import mosspebble.core.units.Millilitres;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.supplies.Jar;
import java.util.Optional;
import java.util.SplittableRandom;
import mosspebble.core.Boards;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Compatibility.Known;
import mosspebble.core.care.Compatibility.Severity;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.Who;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Shelf;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Project;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import mosspebble.core.words.TimetableWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;

/** Special materials in whole plans: their procedures, waits and what keeps them apart (common practice, no source). */
@Tag("outside")
class MaterialsTest {

    private static final Shelf SHELF = Boards.materials();
    private static final Shelf ISOLATING = Boards.withIsolating(SHELF);

    private static Map<String, Mix> colours(String text) {
        Map<String, Mix> colours = new HashMap<>();
        Arrays.stream(text.split(",")).map(pair -> pair.strip().split("=")).forEach(pair -> colours.put(pair[0], Mix.of(pair[1])));
        return colours;
    }

    private static Blend blend(String text) {
        String[] words = text.split(" with ");
        return Blend.of(BlendKind.valueOf(words[0])).withColours(words.length == 1 ? List.of() : List.of(Mix.of(words[1])));
    }

    private static List<String> painted(PaintPlan plan) {
        return plan.steps().stream().filter(s -> s instanceof Step.Lay).map(StepWords::title).toList();
    }

    private static Step.Lay step(PaintPlan plan, String title) {
        return (Step.Lay) plan.steps().stream().filter(s -> StepWords.title(s).startsWith(title)).findFirst()
                .orElseThrow(() -> new AssertionError(title + " of " + StepWords.titles(plan)));
    }

    private static List<Code> codes(PaintPlan plan) {
        return plan.findings().stream().map(Finding::code).toList();
    }

    private static Finding finding(PaintPlan plan, Code code) {
        return plan.findings().stream().filter(f -> f.code() == code).findFirst().orElseThrow(() -> new AssertionError(codes(plan)));
    }

    @ParameterizedTest(name = "{0}")
    @CsvFileSource(resources = "materials.csv", delimiter = '|', numLinesToSkip = 2)
    void eachMaterialIsLaidInItsOrder(String name, String colours, String slot, String blend, boolean isolating, String titles) {
        PaintPlan plan = Boards.plan(Boards.project(25, colours(colours)).withBlend(slot, blend(blend)), isolating ? ISOLATING : SHELF);
        assertThat(painted(plan)).as(name).containsExactly(titles.split("; "));
    }

    @Test
    void powderGoesOnWhileTheGelIsFreshFromTheLampAndOnDryPaint() {
        PaintPlan plan = Boards.plan(Boards.project(25, colours("board=black")).withBlend("board", blend("POWDERED")), SHELF);
        Step.Lay gel = step(plan, "Gel, lamp and powder");
        assertThat(gel.layers()).extracting(l -> l.load().mix()).containsExactly(Mix.of("gel"), Mix.of("gold dust"));
        assertThat(StepWords.sentence(gel)).contains("80 s under the lamp").contains("do not look into it").contains("At once")
                .contains("do not breathe it in");
        assertThat(gel.wet().orElseThrow().inTime()).isTrue();
        Step.Lay black = step(plan, "Fill the board");
        assertThat(gel.after()).anyMatch(a -> a.step() == plan.steps().indexOf(black) && a.waits() == Step.Waits.LIES_BELOW);
        double lamp = gel.work().hand().toSeconds();
        assertThat(lamp).as("with the time under the lamp").isGreaterThan(80);
        assertThat(gel.work().dries()).as("cured, not dried").isLessThan(Duration.ofMinutes(3));
    }

    @Test
    void withoutALampThereIsNoPowderOnGelAndTheWayOutIsSaid() {
        Project project = Boards.project(25, colours("board=black")).withBlend("board", blend("POWDERED"));
        Project dark = project.withHabits(project.habits().withLamp(false));
        PaintPlan plan = Boards.plan(dark, SHELF);
        assertThat(painted(plan)).containsExactly("Fill the board");
        assertThat(FindingWords.sentence(finding(plan, Code.NO_LAMP)))
                .isEqualTo("Board is to be powder on gel, but gel hardens only under a "
                        + "lamp, and there is none: take metallic paint or leaf, or say in Habits that there is one.");
        assertThat(finding(plan, Code.NO_LAMP).remedy().orElseThrow().change().apply(dark).blends()).doesNotContainKey("board");
    }

    @Test
    void withoutColourBelowPowderOnGelIsSeenThrough() {
        PaintPlan plan = Boards.plan(Boards.project(25, colours("board=gel")).withBlend("board", blend("POWDERED with flakes")), SHELF);
        assertThat(painted(plan)).containsExactly("Gel, lamp and powder: the board");
    }

    @Test
    void leafWaitsForTackySizeAndNotForItsDrying() {
        PaintPlan plan = Boards.plan(Boards.project(25, colours("board=red")).withBlend("board", blend("LEAFED")), SHELF);
        Step.Lay size = step(plan, "Lay size");
        Step.Lay leaf = step(plan, "Lay leaf");
        assertThat(size.work().dries()).isBetween(Duration.ofMinutes(10), Duration.ofMinutes(60));
        assertThat(leaf.after()).anyMatch(a -> a.step() == plan.steps().indexOf(size));
        assertThat(codes(plan)).doesNotContain(Code.INCOMPATIBLE);
    }

    @ParameterizedTest
    // size and crackle medium take what is laid on them for about a day (common practice, no source)
    @CsvSource({"LEAFED, Lay size, Lay leaf", "CRACKLED with white, Lay crackle medium, Lay the coat that cracks"})
    void whatIsLaidOnSizeOrOnCrackleMediumComesInTheSameSitting(String way, String below, String upper) {
        PaintPlan plan = Boards.plan(Boards.project(25, colours("board=red")).withBlend("board", blend(way)), SHELF);
        Step.Lay size = step(plan, below);
        Step.Lay leaf = step(plan, upper);
        assertThat(size.lapses(leaf)).contains(Duration.ofHours(24));
        assertThat(leaf.lapses(size)).isEmpty();
        assertThat(size.lapses(plan.steps().get(plan.steps().size() - 1))).as("a seal has time").isEmpty();
        assertThat(StepWords.sentence(size)).contains("within a day");
        assertThat(TimetableWords.pace(size, Diary.USUAL)).contains("for 24 h");
        int at = plan.steps().indexOf(size);
        Instant monday = Instant.parse("2026-11-30T00:00:00Z");
        Diary week = Diary.USUAL.withWeek("Mon 19:00-19:30, Thu 19:00-23:00");
        Timetable table = Timetable.of(ManyStones.workload(List.of(plan), week, monday, ZoneOffset.UTC));
        assertThat(table.missed()).isEmpty();
        List<Instant> both = table.placed().stream().filter(p -> List.of(at, plan.steps().indexOf(leaf))
                .contains(table.of().pieces().get(p.piece()).step())).map(Timetable.Placed::start).toList();
        assertThat(Duration.between(both.get(0), both.get(both.size() - 1))).isLessThan(Duration.ofHours(24));
        String id = plan.project().id();
        Instant done = Instant.parse("2026-12-03T20:00:00Z");
        Diary begun = week;
        for (int k = 0; k <= at; k++) {
            begun = begun.plus(new Diary.Deed(id, plan.names().get(k), 0, done.minusSeconds(60), done, false));
        }
        Workload left = ManyStones.workload(List.of(plan), begun, done, ZoneOffset.UTC);
        Workload.Piece next = left.pieces().stream().filter(p -> p.step() == plan.steps().indexOf(leaf)).findFirst().orElseThrow();
        assertThat(next.when().latest()).contains(done.plus(Duration.ofHours(24)).plus(next.hand()));
    }

    @Test
    void aGemSitsInTheMiddleOfASeatThatStandsOutRoundIt() {
        PaintPlan plan = Boards.plan(Boards.project(25, colours("board=blue, bar=yellow")).withBlend("bar", blend("GEMS")), SHELF);
        Step.Lay gem = step(plan, "Glue the gem on: the bar");
        Step.Layer stone = gem.layers().get(1);
        assertThat(stone.place().getArea()).as("4 mm across").isCloseTo(Math.PI * 4, within(0.2));
        assertThat(step(plan, "First coat: the bar").place().buffer(-Gems.SEAT_MM).covers(stone.place())).isTrue();
        assertThat(stone.place().covers(gem.layers().get(0).place())).as("glue stays below it").isTrue();
        PaintUse used = plan.supplies().stream().filter(u -> u.paint().equals("red stone")).findFirst().orElseThrow();
        assertThat(used.needed().value()).as("one gem is one, whatever its size").isEqualTo(1);
        assertThat(plan.puddles()).noneMatch(p -> p.mix().equals(stone.load().mix()));
        assertThat(SupplyWords.amount(new Jar("red stone", new Millilitres(12), used.needed(), Optional.empty()), SHELF))
                .isEqualTo("1 of 12");
        assertThat(SupplyWords.amount(new Jar("red stone", new Millilitres(0), used.needed(), Optional.of("p")), SHELF))
                .isEqualTo("1 missing");
        assertThat(gem.work().dries()).isEqualTo(Duration.ofHours(24));
        assertThat(StepWords.sentence(gem)).contains("press").contains("not for children");
        Step seal = plan.steps().get(plan.steps().size() - 1);
        assertThat(StepWords.sentence(seal)).contains("round the gems, not over them");
        assertThat(codes(plan)).doesNotContain(Code.NEVER_DRIES, Code.FILM_THICK);
    }

    @Test
    void theLargestGemIsTheLargestCircleLessTheSeat() {
        GeometryFactory factory = new GeometryFactory();
        for (double radius : new double[] {2, 3.5, 8}) {
            assertThat(Gems.largestMm(factory.createPoint(new Coordinate(3, 4)).buffer(radius, 64))).isCloseTo(2 * (radius - Gems.SEAT_MM),
                    within(0.15));
        }
        assertThat(Gems.largestMm(factory.createPoint(new Coordinate(0, 0)).buffer(0.3))).isZero();
        assertThat(Gems.set(factory.createPoint(new Coordinate(0, 0)).buffer(2.2), 4).isEmpty()).isTrue();
        assertThat(Gems.set(factory.createPoint(new Coordinate(0, 0)).buffer(2.8), 4).getNumGeometries()).isEqualTo(1);
    }

    @Test
    void aGemLargerThanItsSeatIsLeftOutAndTheWayOutIsSaid() {
        Project small = Boards.project(12, colours("board=blue, bar=yellow")).withBlend("bar", blend("GEMS"));
        PaintPlan plan = Boards.plan(small, SHELF);
        assertThat(StepWords.titles(plan)).noneMatch(t -> t.contains("gem"));
        Finding said = finding(plan, Code.GEM_TOO_LARGE);
        assertThat(FindingWords.sentence(said)).startsWith("Red stone of 4 mm is larger than its seat: bar holds at most 1.4 mm.")
                .contains("smaller gem or a larger seat");
        assertThat(said.remedy().orElseThrow().change().apply(small).blends()).doesNotContainKey("bar");
    }

    @ParameterizedTest
    @CsvSource({"gold dust, powder on gel, 'Gel, lamp and powder: the board'", "leaf, metal leaf or foil, Lay leaf on the board",
        "red stone, gem in its seat, Glue the gem on: the board"})
    void whatNothingHoldsIsSaidAndLaidInItsWayByOneButton(String paint, String way, String title) {
        Project bare = Boards.project(25, colours("board=" + paint));
        Finding said = finding(Boards.plan(bare, SHELF), Code.NEEDS_ITS_WAY);
        assertThat(FindingWords.sentence(said)).endsWith("does not hold on board by itself: it is laid as " + way + ".");
        Finding.Remedy remedy = said.remedy().orElseThrow();
        assertThat(FindingWords.label(remedy)).isEqualTo("Lay it as " + way);
        PaintPlan mended = Boards.plan(remedy.change().apply(bare), SHELF);
        assertThat(codes(mended)).doesNotContain(Code.NEEDS_ITS_WAY);
        assertThat(painted(mended)).contains(title);
    }

    @ParameterizedTest
    @CsvSource({"POWDERED, gel, gel coat", "POWDERED, gold dust+flakes, powder or flakes", "LEAFED, size, leaf size",
        "LEAFED, leaf, metal leaf",
        "GEMS, glue, gem glue", "GEMS, red stone, gem", "RAISED, paste, texture paste", "CRACKLED with white, crackle, crackle medium"})
    void aMediumThatTheShelfLacksIsNamedAndNothingHalfIsLaid(String way, String without, String named) {
        Shelf less = SHELF;
        for (String id : without.split("\\+")) {
            less = less.without(id);
        }
        PaintPlan plan = Boards.plan(Boards.project(25, colours("board=blue")).withBlend("board", blend(way)), less);
        assertThat(FindingWords.sentence(finding(plan, Code.LACKS_MEDIUM))).endsWith("but the shelf has no " + named
                + "; it is planned flat.");
        assertThat(painted(plan)).containsExactly("Fill the board");
    }

    @Test
    void glowIsLaidTwiceOverWhite() {
        PaintPlan plan = Boards.plan(Boards.project(25, colours("board=glow")), SHELF);
        assertThat(painted(plan)).contains("First coat: the base under the board", "First coat: the board", "Second coat: the board");
        assertThat(step(plan, "First coat: the base").mix()).contains(Mix.of("white"));
        assertThat(StepWords.reason(step(plan, "First coat: the board"))).contains("thickness");
    }

    @Test
    void flakesAreLaidOnInSmallAreasRatherThanBrushedOut() {
        PaintPlan plan = Boards.plan(Boards.project(25, colours("board=mica")), SHELF);
        assertThat(painted(plan).get(0)).isEqualTo("Fill the base under the board");
        assertThat(StepWords.reason(step(plan, "Lay the board"))).contains("small areas").contains("no bald patch");
        PaintPlan wash = Boards.plan(Boards.project(25, colours("board=ink wash")), SHELF);
        assertThat(StepWords.reason(step(wash, "Lay the board"))).isEqualTo("One thin coat; what is below is meant to show.");
    }

    @Test
    void pasteRestsUntilDryThroughAndIsNoFilmThatPeels() {
        PaintPlan plan = Boards.plan(Boards.project(25, colours("board=blue")).withBlend("board", blend("RAISED")), SHELF);
        assertThat(step(plan, "Raise with paste: the board").work().dries()).isGreaterThan(Duration.ofHours(1));
        assertThat(codes(plan)).doesNotContain(Code.FILM_THICK);
    }

    // --- what keeps apart

    @Test
    void withoutAnIsolatingCoatTheQuarrelIsSaidOnceWithItsWayOut() {
        PaintPlan plan = Boards.plan(Boards.project(25, colours("board=ink wash, bar=white, line=blackpen")), SHELF);
        List<Finding> said = plan.findings().stream().filter(f -> f.code() == Code.INCOMPATIBLE).toList();
        assertThat(said).hasSize(1);
        assertThat(FindingWords.sentence(said.get(0))).contains("ink wash").contains("runs again under water")
                .endsWith("The shelf has no isolating coat.");
        assertThat(codes(Boards.plan(Boards.project(25, colours("board=ink wash, bar=white, line=blackpen")), ISOLATING)))
                .doesNotContain(Code.INCOMPATIBLE);
    }

    @Test
    void aRuleOfOnesOwnIsolatesWaitsOrIsOnlySaid() {
        Project project = Boards.project(25, colours("board=blue, bar=yellow"));
        Who blue = Who.parse("paint=blue");
        Who yellow = Who.parse("paint=yellow");
        Known isolates = own(blue, yellow, Quarrel.Way.ISOLATE, Duration.ZERO);
        assertThat(painted(Boards.plan(project, ISOLATING, isolates))).startsWith("Fill the board", "Isolate the board");
        Known waits = own(blue, yellow, Quarrel.Way.WAIT, Duration.ofHours(6));
        PaintPlan waiting = Boards.plan(project, ISOLATING, waits);
        assertThat(step(waiting, "Fill the board").work().dries()).isEqualTo(Duration.ofHours(6));
        assertThat(codes(waiting)).as("what is kept needs no warning").doesNotContain(Code.INCOMPATIBLE, Code.NEVER_DRIES);
        PaintPlan told = Boards.plan(project, ISOLATING, own(blue, yellow, Quarrel.Way.NONE, Duration.ZERO));
        assertThat(FindingWords.sentence(finding(told, Code.INCOMPATIBLE))).isEqualTo("Yellow over blue: A rule of your own: it peeled.");
        Known all = own(Who.parse("not paint=nothing"), Who.parse("not paint=nothing"), Quarrel.Way.NONE, Duration.ZERO);
        PaintPlan forbidden = Boards.plan(project, ISOLATING, all);
        assertThat(painted(forbidden)).as("a rule that forbids everything is said, and the plan stands").contains("Fill the board");
        assertThat(forbidden.findings().stream().filter(f -> f.code() == Code.INCOMPATIBLE)).hasSize(1);
    }

    private static Known own(Who below, Who above, Quarrel.Way way, Duration rest) {
        return new Known(List.of(), List.of(new Quarrel(below, above, false, Severity.NEVER, way, rest, "it peeled")));
    }

    @Test
    void nothingThatCanBeKeptApartEverTouchesInRandomDesigns() {
        SplittableRandom random = new SplittableRandom(12);
        List<String> boards = List.of("ink wash", "blue", "white", "gel", "glow", "mica", "umber");
        List<String> others = List.of("white", "black", "ink wash", "yellow", "glow");
        List<String> ways = List.of("FLAT", "POWDERED", "LEAFED", "CRACKLED with white", "GEMS", "RAISED", "GLAZE with red");
        int kept = 0;
        for (int i = 0; i < 40; i++) {
            Map<String, Mix> colours = new HashMap<>(Map.of("board", Mix.of(boards.get(random.nextInt(boards.size())))));
            colours.put("bar", Mix.of(others.get(random.nextInt(others.size()))));
            if (random.nextBoolean()) {
                colours.put("line", Mix.of(random.nextBoolean() ? "blackpen" : "whitepen"));
            }
            Project project = Boards.project(random.nextDouble(14, 28), colours)
                    .withBlend("board", blend(ways.get(random.nextInt(ways.size())))).withBlend("bar", blend(ways.get(random.nextInt(5))));
            PaintPlan plan = Boards.plan(project, ISOLATING);
            List<String> met = new ArrayList<>();
            for (BuildUp.Laid laid : plan.noticed().laid()) {
                if (laid.below() >= 0) {
                    met.addAll(quarrels(plan.steps().get(laid.below()), plan.steps().get(laid.above())));
                }
            }
            assertThat(met).as("design %s: %s", i, StepWords.titles(plan)).isEmpty();
            kept += (int) painted(plan).stream().filter(t -> t.startsWith("Isolate")).count();
        }
        assertThat(kept).as("and there was something to keep apart").isGreaterThan(10);
    }

    /** Pairs that an isolating coat would have kept apart, but for the coat that is meant to crack on its medium. */
    private static List<String> quarrels(Step below, Step above) {
        List<String> met = new ArrayList<>();
        List<Step.Layer> lower = below.layers();
        Step.Layer top = lower.get(lower.size() - 1);
        for (Paint one : paints(top)) {
            for (Paint other : paints(above.layers().get(0))) {
                boolean meant = StepWords.title(above).contains("cracks on");
                Known.NOTHING.of(one, other, true).filter(v -> v.way() == Quarrel.Way.ISOLATE || v.way() == Quarrel.Way.SPRAY_BETWEEN)
                        .filter(v -> !meant && !one.id().equals(other.id())).ifPresent(v -> met.add(other.id() + " over " + one.id()));
            }
        }
        return met;
    }

    private static List<Paint> paints(Step.Layer layer) {
        return layer.load().mix().parts().stream().flatMap(p -> ISOLATING.find(p.paint()).stream()).toList();
    }

    @Test
    void theTableWaitsForWhatWaitingMends() {
        assertThat(Arrays.stream(Compatibility.Rule.values()).filter(r -> r.way() == Quarrel.Way.WAIT)).containsExactlyInAnyOrder(
                Compatibility.Rule.SEALER_OVER_CRACKLE, Compatibility.Rule.RESIN_OVER_CRACKLE, Compatibility.Rule.RESIN_OVER_PAINT,
                Compatibility.Rule.LACQUER_OVER_FRESH_ACRYLIC);
    }
}
