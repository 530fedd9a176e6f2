package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mosspebble.core.colour.Mix;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.DoneSteps;
import mosspebble.core.plan.InTime;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.SittingPage;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Project;
import mosspebble.core.project.Room;
import mosspebble.core.project.Studio;
import mosspebble.core.timetable.HoursText;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Celsius;
import mosspebble.core.words.TimetableWords;
import org.junit.jupiter.api.Test;

/** The nine stones of the Lantern Walk and one pair of hands. */
class ManyStonesTest {

    private static final Instant FRIDAY = Instant.parse("2026-11-27T18:00:00Z");
    private static final Diary DAILY = Diary.USUAL.withWeek("Mon-Sun 19-22");
    private static final Map<String, PaintPlan> PLANS = plans();

    private static Map<String, PaintPlan> plans() {
        Studio studio = WalkPlans.STUDIO;
        Map<String, PaintPlan> plans = new LinkedHashMap<>();
        for (Project project : studio.projects()) {
            plans.put(project.id(), WalkPlans.of(project.id()));
        }
        return plans;
    }

    private static Timetable table(List<PaintPlan> plans, String hours, Map<String, Instant> due) {
        return Timetable.of(
                ManyStones.workload(plans, HoursText.parse(hours, LocalDate.of(2026, 11, 27), ZoneOffset.UTC), FRIDAY, due));
    }

    @Test
    void everyStoneKeepsItsOwnOrderAndItsWaits() {
        Timetable table = table(List.copyOf(PLANS.values()), "Mon-Fri 19-21, Sat-Sun 14-18", Map.of());
        Map<String, List<Instant>> ends = new LinkedHashMap<>();
        for (Timetable.Placed each : table.placed()) {
            Workload.Piece piece = table.of().pieces().get(each.piece());
            Step step = PLANS.get(piece.stone()).steps().get(piece.step());
            List<Instant> own = ends.computeIfAbsent(piece.stone(), k -> new ArrayList<>());
            assertThat(piece.step()).isBetween(own.size() - 1, own.size());
            if (piece.step() == own.size()) {
                for (Step.After after : step.after()) {
                    Duration lag = after.lag(PLANS.get(piece.stone()).steps().get(after.step()));
                    assertThat(each.start()).as("%s, step %s", piece.stone(), piece.step() + 1)
                            .isAfterOrEqualTo(own.get(after.step()).plus(lag.truncatedTo(java.time.temporal.ChronoUnit.SECONDS)));
                }
                own.add(each.end());
            } else {
                own.set(piece.step(), each.end()); // another coat of the same step
            }
        }
        assertThat(ends).hasSameSizeAs(PLANS);
        PLANS.forEach((id, plan) -> assertThat(ends.get(id)).hasSameSizeAs(plan.steps()));
        Duration together = PLANS.values().stream().map(PaintPlan::handTime).reduce(Duration.ZERO, Duration::plus);
        Duration placed = table.placed().stream().map(p -> Duration.between(p.start(), p.end())).reduce(Duration.ZERO, Duration::plus);
        long mixed = mixedAnew(table, 0);
        long once = PLANS.values().stream().mapToLong(p -> mixes(p).distinct().count()).sum();
        assertThat(placed).as("all the work of the hand, and two minutes for each time a mix has dried up since")
                .isCloseTo(together.plus(Duration.ofMinutes(2 * (mixed - once))), Duration.ofSeconds(15)); // parts are whole seconds
        assertThat(table.end()).as("as soon as can be, and known to be").isEqualTo(table.bound());
    }

    @Test
    void aDryerDoesNotMakeAColdRoomWarmAndWashingNeedsNoWarmth() {
        LocalDate friday = LocalDate.of(2026, 11, 27);
        Room cold = new Room(Climate.room());
        for (int day = 0; day < 14; day++) {
            cold = cold.with(friday.plusDays(day), Optional.of(new Climate(new Celsius(8), 0.5, 0.1)), friday);
        }
        Studio studio = WalkPlans.STUDIO;
        for (boolean dryer : new boolean[] {false, true}) {
            Project snail = studio.project("snail").orElseThrow();
            snail = snail.withHabits(snail.habits().withHandling(snail.habits().handling().withDryer(dryer)));
            PaintPlan plan = WalkPlans.of(snail);
            Timetable evening = table(List.of(plan), "Mon-Sun 19-22", Map.of());
            assertThat(TimetableWords.tooCold(evening, Map.of("snail", plan), DAILY, cold, ZoneOffset.UTC)).as("with a dryer: %s", dryer)
                    .hasValueSatisfying(words -> assertThat(words).contains("Sat 28", "below 10 °C").doesNotContain("Fri 27"));
            assertThat(TimetableWords.tooCold(evening, Map.of("snail", plan), DAILY, new Room(Climate.room()), ZoneOffset.UTC)).isEmpty();
            PaintPlan bare = WalkPlans.of(snail.withSketch(Optional.empty()));
            assertThat(TimetableWords.tooCold(table(List.of(bare), "Mon-Sun 19-22", Map.of()), Map.of("snail", bare), DAILY, cold,
                    ZoneOffset.UTC))
                    .as("no paint is laid").isEmpty();
        }
    }

    @Test
    void oneSittingOfADayIsColderThanTheOther() {
        LocalDate sunday = LocalDate.of(2026, 11, 29);
        Diary twice = Diary.USUAL.withWeek("Sat-Sun 9-12, Sat-Sun 19-22");
        Room garden = new Room(Climate.room()).with(sunday.atTime(9, 0), Optional.of(new Climate(new Celsius(8), 0.5, 0.1)), sunday);
        PaintPlan snail = PLANS.get("snail");
        Workload work = ManyStones.workload(List.of(snail), twice, garden, FRIDAY, UTC);
        assertThat(work.hours().stream().filter(h -> work.slower(h) > 1).map(Workload.Hours::from))
                .containsExactly(sunday.atTime(9, 0).toInstant(ZoneOffset.UTC));
        Room cold = garden;
        for (int week = 1; week < 4; week++) {
            cold = cold.with(sunday.plusWeeks(week).atTime(9, 0), Optional.of(new Climate(new Celsius(8), 0.5, 0.1)), sunday);
        }
        Diary mornings = Diary.USUAL.withWeek("Sun 9-12");
        Timetable table = Timetable.of(ManyStones.workload(List.of(snail), mornings, cold, FRIDAY, UTC));
        assertThat(table.placed().stream().filter(p -> ManyStones.formsFilm(snail.steps().get(table.of().pieces().get(p.piece()).step()))))
                .as("no paint where it is too cold for it").isNotEmpty()
                .allMatch(p -> p.start().isAfter(sunday.plusWeeks(3).atTime(23, 0).toInstant(UTC)));
        assertThat(table.placed().get(0).start()).as("washing needs no warmth").isBefore(sunday.atTime(12, 0).toInstant(UTC));
        assertThat(TimetableWords.leftForCold(table, cold, UTC)).hasValueSatisfying(
                words -> assertThat(words).startsWith("Nothing is painted on Sun 29, 9:00, Sun 6").contains("below 10 °C"));
        assertThat(TimetableWords.tooCold(table, Map.of("snail", snail), mornings, cold, UTC)).isEmpty();
        Diary pinned = mornings;
        for (String step : snail.names()) {
            pinned = pinned.withPin("snail", step, Optional.of(sunday.atTime(9, 0)));
        }
        Timetable held = Timetable.of(ManyStones.workload(List.of(snail), pinned, cold, FRIDAY, UTC));
        assertThat(TimetableWords.tooCold(held, Map.of("snail", snail), pinned, cold, UTC)).as("what is pinned there is warned of")
                .hasValueSatisfying(words -> assertThat(words).matches("Too cold to paint on Sun \\d+, 9:00.* below 10 °C.*"));
        Room day = new Room(Climate.room()).with(sunday, Optional.of(new Climate(new Celsius(8), 0.5, 0.1)), sunday)
                .with(sunday.atTime(9, 0), Optional.of(Climate.room()), sunday);
        Workload later = ManyStones.workload(List.of(snail), twice, day, FRIDAY, UTC);
        assertThat(later.hours().stream().filter(h -> later.slower(h) > 1).map(Workload.Hours::from)).as("warm in the morning alone")
                .containsExactly(sunday.atTime(19, 0).toInstant(ZoneOffset.UTC));
    }

    private static Workload week(Diary diary) {
        return ManyStones.workload(List.of(PLANS.get("owl"), PLANS.get("snail")), diary.withWeek("Mon-Sun 10-22"), FRIDAY, ZoneOffset.UTC);
    }

    /** When pieces of a stone are done that are of these kinds, or of all others. */
    private static List<Timetable.Placed> of(Timetable table, String stone, boolean these, Class<? extends Step> kind) {
        return table.placed().stream().filter(p -> table.of().pieces().get(p.piece()).stone().equals(stone))
                .filter(p -> these == kind.isInstance(PLANS.get(stone).steps().get(table.of().pieces().get(p.piece()).step()))).toList();
    }

    private static Instant begun(Timetable table, String stone) {
        return of(table, stone, false, Step.Prepare.class).stream().map(Timetable.Placed::start).min(Comparator.naturalOrder())
                .orElseThrow();
    }

    @Test
    void aStoneThatWaitsForAnotherIsBegunWhenThatIsPaintedAndDry() {
        Timetable free = Timetable.of(week(Diary.USUAL));
        Timetable waits = Timetable.of(week(Diary.USUAL.withAfter("owl", "snail")));
        Instant painted = of(waits, "snail", false, Step.Seal.class).stream()
                .map(p -> p.end().plus(waits.of().pieces().get(p.piece()).dries())).max(Comparator.naturalOrder()).orElseThrow();
        assertThat(begun(free, "owl")).isBefore(of(free, "snail", false, Step.Seal.class).get(5).end());
        assertThat(begun(waits, "owl")).isAfterOrEqualTo(painted).isBefore(painted.plus(Duration.ofHours(13)));
        assertThat(of(waits, "owl", true, Step.Prepare.class).get(0).start()).as("it may be washed meanwhile").isBefore(painted);
        Instant cured = of(waits, "snail", true, Step.Seal.class).stream()
                .map(p -> p.end().plus(waits.of().pieces().get(p.piece()).dries())).max(Comparator.naturalOrder()).orElseThrow();
        assertThat(cured).as("not for the seal, which cures for days").isAfter(begun(waits, "owl").plus(Duration.ofDays(2)));
        assertThat(waits.ready().get("owl").soonest()).isAfter(free.ready().get("owl").soonest());
        assertThat(begun(Timetable.of(week(Diary.USUAL.withAfter("owl", "gone"))), "owl")).as("a stone that is there no more")
                .isEqualTo(begun(free, "owl"));
    }

    @Test
    void aStoneThatWaitsForADayIsBegunThenAndWhatIsInHandWaitsForNothing() {
        LocalDateTime tuesday = LocalDateTime.of(2026, 12, 1, 0, 0);
        Diary later = Diary.USUAL.withFrom("owl", Optional.of(tuesday));
        assertThat(begun(Timetable.of(week(later)), "owl")).isEqualTo(Instant.parse("2026-12-01T10:00:00Z"));
        PaintPlan owl = PLANS.get("owl");
        int pencil = 0;
        while (owl.steps().get(pencil) instanceof Step.Prepare) {
            pencil++;
        }
        Diary inHand = later;
        for (int i = 0; i <= pencil; i++) {
            inHand = inHand.plus(new Diary.Deed("owl", owl.names().get(i), 0, FRIDAY.minusSeconds(600), FRIDAY.minusSeconds(300), false));
        }
        assertThat(begun(Timetable.of(week(inHand)), "owl")).as("as if it waited for nothing")
                .isEqualTo(begun(Timetable.of(week(inHand.withFrom("owl", Optional.empty()))), "owl"))
                .isBefore(tuesday.toInstant(ZoneOffset.UTC));
    }

    @Test
    void whoWaitsForOneThatRestsIsLeftOutUntilThatIsPainted() {
        Diary rests = Diary.USUAL.withAfter("owl", "snail").withAfter("fox", "owl").withResting("snail", true);
        List<PaintPlan> three = List.of(PLANS.get("fox"), PLANS.get("owl"), PLANS.get("snail"));
        assertThat(ManyStones.leftOut(three, rests)).containsExactlyInAnyOrder("fox", "owl", "snail");
        assertThat(ManyStones.workload(three, rests, FRIDAY, ZoneOffset.UTC).pieces()).isEmpty();
        assertThat(TimetableWords.leftOut("owl", rests, id -> "the " + id)).isEqualTo("the owl waits for the snail");
        PaintPlan snail = PLANS.get("snail");
        Diary painted = rests;
        for (int i = 0; i < snail.steps().size(); i++) {
            for (int part = 0; part < ManyStones.parts(snail.steps().get(i)) && !(snail.steps().get(i) instanceof Step.Seal); part++) {
                painted = painted.plus(new Diary.Deed("snail", snail.names().get(i), part, FRIDAY.minusSeconds(600), FRIDAY, false));
            }
        }
        assertThat(ManyStones.leftOut(three, painted)).containsExactly("snail");
    }

    @Test
    void severalStonesTogetherWaitLessThanOneAfterTheOther() {
        List<PaintPlan> three = List.of(PLANS.get("owl"), PLANS.get("fox"), PLANS.get("toadstool"));
        Timetable together = table(three, "Fri-Thu 0-24", Map.of());
        Duration alone = three.stream().map(PaintPlan::readyAfter).reduce(Duration.ZERO, Duration::plus);
        Duration longest = three.stream().map(PaintPlan::readyAfter).max(Duration::compareTo).orElseThrow();
        Duration took = Duration.between(FRIDAY, together.end());
        assertThat(took).isLessThan(alone.multipliedBy(2).dividedBy(3));
        assertThat(took).as("hardly longer than the slowest by itself").isLessThan(longest.plus(Duration.ofHours(24)));
    }

    @Test
    void whatIsDueIsSaidInWords() {
        Map<String, Instant> due = Map.of("snail", Instant.parse("2026-12-05T12:00:00Z"), "moon", Instant.parse("2026-11-29T12:00:00Z"));
        Timetable table = table(List.of(PLANS.get("snail"), PLANS.get("moon")), "Mon-Fri 19-21, Sat-Sun 14-18", due);
        Map<String, Timetable.Ready> ready = table.ready();
        assertThat(TimetableWords.ready(table, ready.get("snail"), "Snail with post", ZoneOffset.UTC))
                .startsWith("Snail with post: ready on")
                .endsWith("in time.");
        assertThat(TimetableWords.ready(table, ready.get("moon"), "Moon ring", ZoneOffset.UTC))
                .contains(" late; alone it could not be ready")
                .contains("December");
        assertThat(TimetableWords.bound(table, ZoneOffset.UTC)).startsWith("All are ready on ").endsWith("; sooner is not possible.");
        assertThat(TimetableWords.stretched(table, ZoneOffset.UTC)).startsWith("If all takes a quarter longer");
        List<String> lines = TimetableWords.lines(table, PLANS, ZoneOffset.UTC);
        assertThat(lines.get(0)).isEqualTo("Friday 27 November");
        assertThat(lines).anyMatch(l -> l.matches("  \\d+:\\d\\d  Snail with post: Fill both eyes and the letter, \\d+ min"));
        assertThat(lines).filteredOn(l -> l.contains("Seal")).hasSizeGreaterThan(3);
    }

    private static final ZoneOffset UTC = ZoneOffset.UTC;

    private static Timetable table(List<PaintPlan> plans, Diary diary, Instant from) {
        return Timetable.of(ManyStones.workload(plans, diary, from, UTC));
    }

    /** The diary after the first pieces of a timetable were done when they were planned. */
    private static Diary after(Timetable table, int count, Diary diary) {
        Diary done = diary;
        for (Timetable.Placed each : table.placed().subList(0, count)) {
            Workload.Piece piece = table.of().pieces().get(each.piece());
            done = done.plus(new Diary.Deed(piece.stone(), PLANS.get(piece.stone()).names().get(piece.step()), piece.part(), each.start(),
                    each.end(), false));
        }
        return done;
    }

    @Test
    void stepsHaveNamesOfTheirOwn() {
        PLANS.forEach((id, plan) -> assertThat(plan.names()).as(id).hasSameSizeAs(plan.steps()).doesNotHaveDuplicates());
    }

    @Test
    void whatIsDoneIsLeftOutAndWhatIsSpoiledComesAgain() {
        List<PaintPlan> two = List.of(PLANS.get("snail"), PLANS.get("fox"));
        Timetable whole = table(two, Diary.USUAL, FRIDAY);
        assertThat(whole.proven()).as("else something better may be found on the way").isTrue();
        int done = whole.placed().size() / 2;
        Diary diary = after(whole, done, Diary.USUAL);
        Instant now = whole.placed().get(done - 1).end();
        Workload left = ManyStones.workload(two, diary, now, UTC);
        assertThat(left.pieces()).hasSize(whole.placed().size() - done);
        Timetable again = whole.goingOn(left, () -> false);
        assertThat(again.placed()).extracting(Timetable.Placed::start)
                .as("an undisturbed plan goes on as it was")
                .containsExactlyElementsOf(
                        whole.placed().subList(done, whole.placed().size()).stream().map(Timetable.Placed::start).toList());
        assertThat(again.end()).isEqualTo(whole.end());
        Diary.Deed last = diary.last().orElseThrow();
        Diary spoiled = diary.plus(new Diary.Deed(last.stone(), last.step(), last.part(), last.to(), last.to(), true));
        Workload redo = ManyStones.workload(two, spoiled, now, UTC);
        assertThat(redo.pieces()).hasSize(left.pieces().size() + 1);
        assertThat(redo.pieces().stream().filter(p -> p.stone().equals(last.stone())).findFirst().orElseThrow().step())
                .isEqualTo(PLANS.get(last.stone()).names().indexOf(last.step()));
    }

    @Test
    void aStoneThatIsDoneButCuresIsReadyWhenItsSealIsHard() {
        List<PaintPlan> snail = List.of(PLANS.get("snail"));
        Timetable whole = table(snail, Diary.USUAL, FRIDAY);
        Diary diary = after(whole, whole.placed().size(), Diary.USUAL);
        Timetable left = table(snail, diary, whole.placed().get(whole.placed().size() - 1).end());
        assertThat(left.placed()).isEmpty();
        assertThat(left.ready().get("snail").at()).isEqualTo(whole.end());
    }

    @Test
    void aPinnedStepStaysWhereItIsWhateverElseIsMoved() {
        List<PaintPlan> two = List.of(PLANS.get("snail"), PLANS.get("toadstool"));
        LocalDateTime sunday = LocalDateTime.of(2026, 11, 29, 14, 0);
        int late = PLANS.get("snail").steps().size() - 4;
        Diary one = Diary.USUAL.withPin("snail", PLANS.get("snail").names().get(late), Optional.of(sunday));
        Timetable pinned = table(two, one, FRIDAY);
        Instant at = start(pinned, "snail", late);
        assertThat(at).isBetween(Instant.parse("2026-11-29T14:00:00Z"), Instant.parse("2026-11-29T18:00:00Z"));
        Diary both = one.withPin("toadstool", PLANS.get("toadstool").names().get(6), Optional.of(sunday.plusDays(1).withHour(19)));
        Timetable moved = pinned.goingOn(ManyStones.workload(two, both, FRIDAY, UTC), () -> false);
        assertThat(moved.missed()).isEmpty();
        assertThat(start(moved, "snail", late)).isBetween(Instant.parse("2026-11-29T14:00:00Z"), Instant.parse("2026-11-29T18:00:00Z"));
        assertThat(start(moved, "toadstool", 6)).isBetween(Instant.parse("2026-11-30T19:00:00Z"), Instant.parse("2026-11-30T21:00:00Z"));
        assertThat(TimetableWords.pinned("Snail with post", sunday, table(two, Diary.USUAL, FRIDAY), pinned, id -> id, UTC))
                .startsWith("Snail with post is pinned to Sun 29 November, 14:00");
    }

    private static Instant start(Timetable table, String stone, int step) {
        return table.placed().stream().filter(p -> table.of().pieces().get(p.piece()).stone().equals(stone)
                && table.of().pieces().get(p.piece()).step() == step).findFirst().orElseThrow().start();
    }

    @Test
    void whereStonesAreLateTheLeastThatHelpsIsOffered() {
        List<PaintPlan> three = List.of(PLANS.get("snail"), PLANS.get("toadstool"), PLANS.get("fox"));
        Timetable free = table(three, Diary.USUAL.withWeek("Mon-Fri 19:00-20:00"), FRIDAY);
        LocalDateTime tight = LocalDateTime.ofInstant(free.ready().get("snail").at(), UTC).minusHours(20);
        Diary diary = Diary.USUAL.withWeek("Mon-Fri 19:00-20:00").withDue("snail", Optional.of(tight)).withDue("fox", Optional.of(tight));
        Timetable late = table(three, diary, FRIDAY);
        int count = (int) late.ready().values().stream().filter(r -> !r.late().isZero()).count();
        assertThat(count).isPositive();
        InTime help = new InTime(three, Map.of(), diary, new Room(Climate.room()), late, UTC, () -> false);
        List<InTime.Way> ways = help.ways();
        assertThat(ways).isNotEmpty().allSatisfy(way -> {
            assertThat(way.late()).isLessThan(count);
            Timetable then = table(three, InTime.changed(diary, way.means()), FRIDAY);
            assertThat(then.ready().values().stream().filter(r -> !r.late().isZero()).count()).as("%s does what it says", way)
                    .isLessThanOrEqualTo(way.late());
            assertThat(TimetableWords.way(way.means(), id -> "The " + id)).matches("\\p{Lu}.*[^.]");
        });
        assertThat(new InTime(three, Map.of(), Diary.USUAL, new Room(Climate.room()), free, UTC, () -> false).ways()).as("nobody is late")
                .isEmpty();
        InTime.Means.Later later = ways.stream().filter(w -> w.means() instanceof InTime.Means.Later)
                .map(w -> (InTime.Means.Later) w.means()).findFirst().orElseThrow();
        Instant by = later.due().toInstant(UTC);
        assertThat(by).as("the next full hour").isAfterOrEqualTo(late.ready().get(later.stone()).at()).isBefore(
                late.ready().get(later.stone()).at().plusSeconds(3_600)).isEqualTo(by.truncatedTo(ChronoUnit.HOURS));
        assertThat(TimetableWords.way(later, id -> "the " + id)).startsWith("the " + later.stone() + " only by ")
                .endsWith(later.due().getHour() + ":00");
    }

    @Test
    void aStoneThatIsLateForWaitingMayBeBegunAtOnce() {
        List<PaintPlan> two = List.of(PLANS.get("snail"), PLANS.get("toadstool"));
        LocalDateTime due = LocalDateTime.ofInstant(table(two, Diary.USUAL, FRIDAY).ready().get("toadstool").at(), UTC).plusDays(1);
        Diary waits = Diary.USUAL.withDue("toadstool", Optional.of(due)).withFrom("toadstool", Optional.of(due.minusDays(2)));
        Timetable late = table(two, waits, FRIDAY);
        assertThat(late.ready().get("toadstool").late()).isPositive();
        List<InTime.Way> ways = new InTime(two, Map.of(), waits, new Room(Climate.room()), late, UTC, () -> false).ways();
        assertThat(ways).contains(new InTime.Way(new InTime.Means.AtOnce("toadstool"), 0));
        assertThat(InTime.changed(waits, new InTime.Means.AtOnce("toadstool")).terms("toadstool").from()).isEmpty();
        assertThat(TimetableWords.way(new InTime.Means.AtOnce("toadstool"), id -> "the " + id))
                .isEqualTo("Begin the toadstool without waiting");
    }

    private static Stream<Mix> mixes(PaintPlan plan) {
        return plan.steps().stream().filter(Step.Lay.class::isInstance).flatMap(s -> ((Step.Lay) s).mixes().stream());
    }

    /** How often something is mixed from a place in the order on. */
    private static long mixedAnew(Timetable table, int from) {
        return IntStream.range(from, table.placed().size())
                .mapToLong(k -> table.mixed().get(k).values().stream().filter(table.placed().get(k).start()::equals).count()).sum();
    }

    @Test
    void whatIsDampServesTheNextStoneAndIsSaidAtTheTable() {
        PaintPlan owl = PLANS.get("owl");
        Studio studio = WalkPlans.STUDIO;
        PaintPlan twin = WalkPlans.of(owl.project().withId("twin"));
        Map<String, PaintPlan> both = Map.of("owl", owl, "twin", twin);
        Timetable table = table(List.of(owl, twin), "Mon-Sun 10-22", Map.of());
        List<Map<String, Instant>> mixed = table.mixed();
        int served = 0;
        for (int k = 0; k < table.placed().size(); k++) {
            Timetable.Placed each = table.placed().get(k);
            Workload.Piece piece = table.of().pieces().get(each.piece());
            String words = TimetableWords.puddles(table, k, both.get(piece.stone()), UTC);
            boolean paints = !mixed.get(k).isEmpty();
            assertThat(words.isEmpty()).as("mixing is told where something is mixed: %s", words).isEqualTo(!paints);
            Optional<Instant> damp = mixed.get(k).values().stream().filter(at -> at.isBefore(each.start())).findFirst();
            assertThat(words.contains("kept damp")).as(words).isEqualTo(damp.isPresent());
            damp.ifPresent(at -> assertThat(words).contains("from the puddle of " + TimetableWords.time(at, UTC)));
            assertThat(mixed.get(k).values()).allMatch(at -> !at.isBefore(each.start().minus(Duration.ofHours(2))));
            String other = piece.stone().equals("owl") ? "twin" : "owl";
            served += damp.filter(at -> table.placed().stream()
                    .anyMatch(p -> p.start().equals(at) && table.of().pieces().get(p.piece()).stone().equals(other))).isPresent() ? 1 : 0;
        }
        assertThat(served).as("mixed for one owl, used for the other").isGreaterThan(4);
        assertThat(mixedAnew(table, 0)).as("hardly oftener than for one").isLessThan(2 * mixes(owl).distinct().count());
        SittingPage first = SittingPage.of(table, both).get(0);
        assertThat(first.rows()).filteredOn(r -> r.damp().isPresent()).isNotEmpty().allSatisfy(
                r -> assertThat(TimetableWords.rowWith(r, UTC)).contains("mixed at " + TimetableWords.time(r.damp().get(), UTC)));
    }

    @Test
    void whatWasMixedForWhatIsDoneIsDampStillWhenTheRestIsPlanned() {
        List<PaintPlan> two = List.of(PLANS.get("snail"), PLANS.get("fox"));
        Timetable whole = table(two, Diary.USUAL, FRIDAY);
        int done = IntStream.range(0, whole.placed().size()).filter(k -> !whole.mixed().get(k).isEmpty()).findFirst().orElseThrow();
        Diary diary = after(whole, done + 1, Diary.USUAL);
        Timetable.Placed mixed = whole.placed().get(done);
        String mix = whole.mixed().get(done).keySet().iterator().next();
        Instant dried = mixed.start().plus(Duration.ofHours(2));
        assertThat(ManyStones.workload(two, diary, mixed.end(), UTC).shared().mixing().damp()).containsEntry(mix, dried);
        assertThat(ManyStones.workload(two, diary, dried.plusSeconds(1), UTC).shared().mixing().damp()).doesNotContainKey(mix);
    }

    @Test
    void aSittingOnPaperHoldsAllThatIsDoneInIt() {
        Timetable table = table(List.copyOf(PLANS.values()), Diary.USUAL, FRIDAY);
        List<SittingPage> pages = SittingPage.of(table, PLANS);
        assertThat(pages).hasSize(table.sittings());
        assertThat(pages.stream().mapToInt(p -> p.rows().size()).sum()).isEqualTo(table.placed().size());
        SittingPage saturday = pages.get(1);
        assertThat(TimetableWords.heading(saturday, UTC)).startsWith("Saturday 28 November, 14:0");
        List<String> out = TimetableWords.layOut(saturday, LanternWalk.shelf());
        assertThat(out.get(0)).startsWith("Lay out ");
        saturday.rows().forEach(r -> {
            assertThat(out.get(0)).contains(r.plan().project().name());
            r.done().layers().forEach(l -> l.load().mix().parts()
                    .forEach(part -> assertThat(out.get(1)).contains(LanternWalk.shelf().find(part.paint()).orElseThrow().name())));
        });
    }

    @Test
    void whatIsLearntChangesTheTimesOfItsKindAndNoOther() {
        List<PaintPlan> owl = List.of(PLANS.get("owl"));
        Workload usual = ManyStones.workload(owl, Diary.USUAL, FRIDAY, UTC);
        String kind = ManyStones.work(PLANS.get("owl").steps().stream().filter(s -> s.kind() == Step.Kind.FILL).findFirst().orElseThrow());
        Diary quick = Diary.USUAL;
        for (int k = 0; k < 40; k++) {
            quick = quick.plus(new Diary.Deed("gone", "x", 0, FRIDAY, FRIDAY.plusSeconds(100), false, kind, 200));
        }
        String load = usual.pieces().stream().filter(p -> !p.dries().isZero() && p.load().contains("umber")).findFirst().orElseThrow()
                .load();
        quick = quick.withDryings(Collections.nCopies(40, new Diary.Drying(load, 1_000, 2_000)));
        Workload own = ManyStones.workload(owl, quick, FRIDAY, UTC);
        for (int i = 0; i < usual.pieces().size(); i++) {
            Workload.Piece one = usual.pieces().get(i);
            double hand = (double) own.pieces().get(i).hand().toMillis() / one.hand().toMillis();
            boolean mine = ManyStones.work(PLANS.get("owl").steps().get(one.step())).equals(kind);
            assertThat(hand).as("%s", one).isCloseTo(mine ? 0.5 : 1, within(0.04));
            assertThat(own.pieces().get(i).dries().toSeconds()).isCloseTo(
                    Math.round(one.dries().toSeconds() * (one.load().equals(load) ? 2 : 1)),
                    withinPercentage(3));
        }
        int longer = 0;
        for (int i = 0; i < usual.waits().size(); i++) {
            Workload.Wait wait = usual.waits().get(i);
            boolean waitsForIt = !wait.lag().isZero() && usual.pieces().get(wait.before()).load().equals(load);
            assertThat((double) own.waits().get(i).lag().toSeconds()).isCloseTo(wait.lag().toSeconds() * (waitsForIt ? 2 : 1),
                    withinPercentage(3));
            longer += waitsForIt ? 1 : 0;
        }
        assertThat(longer).isPositive();
        assertThat(TimetableWords.hand(kind, quick.hand(kind))).matches("Filling, .*: 0.5\\d* of the usual time .*, from 40 times");
    }

    @Test
    void sprayedStonesNeedTheirPlaceAndBrushedOnesDoNot() {
        Studio studio = WalkPlans.STUDIO;
        List<PaintPlan> sprayed = List.of("owl", "snail", "moon").stream().map(id -> studio.project(id).orElseThrow())
                .map(p -> p.withHabits(p.habits().withSealer(studio.shelf().find("spray").orElseThrow())))
                .map(p -> WalkPlans.of(p)).toList();
        Room narrow = new Room(studio.climate()).withSprayed(1);
        Workload one = ManyStones.workload(sprayed, Diary.USUAL, narrow, FRIDAY, UTC);
        long coats = sprayed.stream().flatMap(p -> p.steps().stream()).filter(s -> s.kind() == Step.Kind.SEAL).mapToLong(ManyStones::parts)
                .sum();
        assertThat(one.shared().stays()).hasSize((int) coats);
        one.shared().stays().forEach((i, stay) -> assertThat(stay.after()).isBetween(Duration.ofMinutes(5), Duration.ofHours(2)));
        Timetable queued = Timetable.of(one);
        Map<Integer, Timetable.Placed> at = new HashMap<>();
        queued.placed().forEach(p -> at.put(p.piece(), p));
        List<Timetable.Placed> there = one.shared().stays().keySet().stream().map(at::get)
                .sorted(Comparator.comparing(Timetable.Placed::start)).toList();
        for (int i = 1; i < there.size(); i++) {
            Timetable.Placed before = there.get(i - 1);
            assertThat(there.get(i).start()).as("only one at a time")
                    .isAfterOrEqualTo(before.end().plus(one.shared().stays().get(before.piece()).after()));
        }
        assertThat(ManyStones.workload(List.copyOf(PLANS.values()), Diary.USUAL, narrow, FRIDAY, UTC).shared().stays())
                .as("the demo seals by brush").isEmpty();
    }

    private static Diary all(PaintPlan plan) {
        Diary diary = Diary.USUAL;
        for (int i = 0; i < plan.steps().size(); i++) {
            for (int part = 0; part < ManyStones.parts(plan.steps().get(i)); part++) {
                diary = diary.plus(new Diary.Deed(plan.project().id(), plan.names().get(i), part, FRIDAY, FRIDAY, false));
            }
        }
        return diary;
    }

    @Test
    void aPassDoneWithAnotherPaintCountsForThePassInItsPlace() {
        PaintPlan planned = PLANS.get("toadstool");
        Studio studio = WalkPlans.STUDIO;
        int tried = 0;
        for (String slot : planned.project().colours().keySet()) {
            PaintPlan told = WalkPlans.of(planned.project().withOrder(planned.order()).withColour(slot, Mix.of("plum")));
            if (told.names().equals(planned.names()) || told.steps().size() != planned.steps().size()) {
                continue; // nothing else is painted, or in other coats
            }
            tried++;
            DoneSteps done = new DoneSteps(told, all(planned));
            long others = told.names().stream().filter(n -> !planned.names().contains(n)).count();
            assertThat(others).isPositive();
            assertThat(done.strangers()).as("%s in plum: %s", slot, told.names()).isLessThan((int) others);
            assertThat(ManyStones.workload(List.of(told), all(planned), FRIDAY, UTC).pieces().size()).isLessThan((int) others);
        }
        assertThat(tried).isGreaterThan(1);
        assertThat(new DoneSteps(planned, all(planned)).inOrder()).isEqualTo(planned.steps().size());
        assertThat(new DoneSteps(planned, Diary.USUAL).begun()).isFalse();
        Diary gone = Diary.USUAL.plus(new Diary.Deed("toadstool", "FRONT FILL part:a_bell gold", 0, FRIDAY, FRIDAY, false));
        assertThat(new DoneSteps(planned, gone).strangers()).as("a bell that is no longer there").isEqualTo(1);
        assertThat(new DoneSteps(PLANS.get("owl"), gone).strangers()).isZero();
    }
}
