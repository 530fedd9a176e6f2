package mosspebble.core.words;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.timetable.Durations;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Words;

/** What is said of a timetable. */
public final class TimetableWords {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter NEAR = DateTimeFormatter.ofPattern("EEEE H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter FAR = DateTimeFormatter.ofPattern("EEEE d MMMM, H:mm", Locale.ENGLISH);

    private TimetableWords() {}

    /** "Sunday 11:20" within a week of the beginning, else with the date. */
    static String moment(Instant at, Instant from, ZoneId zone) {
        return (Duration.between(from, at).compareTo(Duration.ofDays(6)) < 0 ? NEAR : FAR).format(at.atZone(zone));
    }

    /** What cannot be helped, and how near this comes to it. */
    public static String bound(Timetable table, ZoneId zone) {
        String here = moment(table.end(), table.of().from(), zone);
        return table.proven() ? "All are ready on " + here + "; nobody can be done before."
                : "Nobody can be done before " + moment(table.bound(), table.of().from(), zone) + "; this plan: " + here + ".";
    }

    /** When a stone is ready, and what that means for the day it is due. */
    public static String ready(Timetable table, Timetable.Ready ready, String name, ZoneId zone) {
        String when = Words.upper(name) + ": ready on " + moment(ready.at(), table.of().from(), zone);
        Optional<Instant> due = ready.due();
        if (due.isEmpty()) {
            return when + ".";
        }
        if (ready.late().isZero()) {
            return when + ", in time.";
        }
        return when + ", " + Durations.words(ready.late()) + " late"
                + (ready.hopeless() ? "; alone it could not be ready before " + moment(ready.soonest(), table.of().from(), zone) + "."
                        : ".");
    }

    /** What a sitting is called in a calendar. */
    public static String sitting(List<String> stones) {
        return "Paint: " + Words.list(stones);
    }

    /** The sealing of a stone in a calendar. */
    public static String seal(String stone) {
        return "Seal: " + stone;
    }

    /** The moment from which a stone may be given away, in a calendar. */
    public static String isReady(String stone) {
        return "Ready: " + stone;
    }

    /** What becomes of it if everything takes a quarter longer. */
    public static String stretched(Timetable table) {
        Timetable longer = table.stretched(1.25);
        int more = longer.sittings() - table.sittings();
        long late = longer.ready().values().stream().filter(r -> !r.late().isZero()).count();
        long before = table.ready().values().stream().filter(r -> !r.late().isZero()).count();
        return "If everything takes a quarter longer, all are ready " + Durations.words(Duration.between(table.end(), longer.end()))
                + " later" + (more > 0 ? ", in " + Words.number(more) + " more " + (more == 1 ? "sitting" : "sittings") : "")
                + (late > before ? "; " + Words.number((int) (late - before)) + " more would be late" : "") + ".";
    }

    /** The timetable to read, sitting by sitting: what, on which stone, how long. */
    public static List<String> lines(Timetable table, Map<String, PaintPlan> plans, ZoneId zone) {
        List<String> lines = new ArrayList<>();
        LocalDate day = null;
        Instant free = null;
        for (Timetable.Placed each : table.placed()) {
            Workload.Piece piece = table.of().pieces().get(each.piece());
            LocalDate on = each.start().atZone(zone).toLocalDate();
            if (!on.equals(day)) {
                lines.add(DAY.format(on));
                day = on;
                free = null;
            }
            if (free != null && Duration.between(free, each.start()).toMinutes() >= 3) {
                lines.add("  " + TIME.format(free.atZone(zone)) + "  wait " + Durations.words(Duration.between(free, each.start())));
            }
            PaintPlan plan = plans.get(piece.stone());
            lines.add("  " + TIME.format(each.start().atZone(zone)) + "  " + plan.project().name() + ": "
                    + StepWords.title(plan.steps().get(piece.step())) + ", " + Durations.words(piece.hand()));
            free = each.end();
        }
        return lines;
    }
}
