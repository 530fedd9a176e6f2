package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.stone.Survey;
import mosspebble.core.timetable.HoursText;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.words.TimetableWords;
import org.junit.jupiter.api.Test;

/** The nine stones of the Lantern Walk and one pair of hands. */
class ManyStonesTest {

    private static final Instant FRIDAY = Instant.parse("2026-11-27T18:00:00Z");
    private static final Map<String, PaintPlan> PLANS = plans();

    private static Map<String, PaintPlan> plans() {
        Studio studio = LanternWalk.studio(BuiltIn.repertoire());
        Workshop workshop = new Workshop(new Palette(studio.shelf()), BuiltIn.repertoire(), studio.climate(), List.of());
        Map<String, PaintPlan> plans = new LinkedHashMap<>();
        for (Project project : studio.projects()) {
            plans.put(project.id(), Plans.plan(project, Survey.of(project.stone()), workshop, new Remembered()));
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
        assertThat(placed.minus(together).abs()).as("all the work of the hand, no more and no less").isLessThan(Duration.ofMinutes(5));
        assertThat(table.end()).as("as soon as can be, and known to be").isEqualTo(table.bound());
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
        assertThat(TimetableWords.bound(table, ZoneOffset.UTC)).contains("before");
        assertThat(TimetableWords.stretched(table)).startsWith("If everything takes a quarter longer");
        List<String> lines = TimetableWords.lines(table, PLANS, ZoneOffset.UTC);
        assertThat(lines.get(0)).isEqualTo("Friday 27 November");
        assertThat(lines).anyMatch(l -> l.matches("  \\d+:\\d\\d  Snail with post: Fill the letter, \\d+ min"));
        assertThat(lines).filteredOn(l -> l.contains("Seal")).hasSizeGreaterThan(3);
    }
}
