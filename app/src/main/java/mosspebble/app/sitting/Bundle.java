package mosspebble.app.sitting;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;

/** Pieces of work on one stone done in a row without getting up: one stitch of the hem. */
record Bundle(String stone, List<Timetable.Placed> placed) {

    private static final Duration GAP = Duration.ofMinutes(1);

    Bundle {
        placed = List.copyOf(placed);
    }

    Instant start() {
        return placed.get(0).start();
    }

    Instant end() {
        return placed.get(placed.size() - 1).end();
    }

    /** Whether it begins with the same piece of work, whenever that is. */
    boolean sameWork(Bundle other) {
        return stone.equals(other.stone) && placed.get(0).piece() == other.placed.get(0).piece();
    }

    /** When all of it is dry. */
    Instant dry(Timetable table) {
        return placed.stream().map(p -> p.end().plus(table.of().pieces().get(p.piece()).dries())).max(Instant::compareTo).orElseThrow();
    }

    /** All of a timetable by its days, in their order. */
    static Map<LocalDate, List<Bundle>> byDay(Timetable table, ZoneId zone) {
        Map<LocalDate, List<Bundle>> days = new TreeMap<>();
        for (List<Timetable.Placed> sitting : table.bySitting()) {
            List<Timetable.Placed> row = new ArrayList<>();
            for (Timetable.Placed each : sitting) {
                if (!row.isEmpty() && !goesOn(row.get(row.size() - 1), each, table)) {
                    add(row, table, zone, days);
                    row = new ArrayList<>();
                }
                row.add(each);
            }
            add(row, table, zone, days);
        }
        return days;
    }

    private static boolean goesOn(Timetable.Placed before, Timetable.Placed next, Timetable table) {
        Workload.Piece one = table.of().pieces().get(before.piece());
        return one.stone().equals(table.of().pieces().get(next.piece()).stone())
                && Duration.between(before.end(), next.start()).compareTo(GAP) <= 0;
    }

    private static void add(List<Timetable.Placed> row, Timetable table, ZoneId zone, Map<LocalDate, List<Bundle>> days) {
        if (!row.isEmpty()) {
            Bundle bundle = new Bundle(table.of().pieces().get(row.get(0).piece()).stone(), row);
            days.computeIfAbsent(bundle.start().atZone(zone).toLocalDate(), d -> new ArrayList<>()).add(bundle);
        }
    }
}
