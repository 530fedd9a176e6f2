package mosspebble.torture;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What came of the runs: counted, printed as a table, and summed up in one line that a script can read. */
final class Tally {

    /** Longer than this is a hang. */
    static final long SLOW_MS = 2_000;

    /** More than this besides the pictures' own pixels is too much. */
    static final long MUCH_BYTES = 256L << 20;

    private static final int LONGEST = 400;
    private static final int MOST_CASES = 200;

    /** Counts of one kind of run. */
    static final class Row {
        long runs;
        long acknowledged;
        long lost;
        long unopened;
        long half;
        long unclear;
        long slow;
        long slowestMs;
        long mostBytes;

        void took(long ms) {
            slowestMs = Math.max(slowestMs, ms);
            slow += ms > SLOW_MS ? 1 : 0;
        }
    }

    private final String title;
    private final Map<String, Row> rows = new LinkedHashMap<>();
    private final List<String> cases = new ArrayList<>();

    Tally(String title) {
        this.title = title;
    }

    Row row(String name) {
        return rows.computeIfAbsent(name, n -> new Row());
    }

    /** Keeps what went wrong, so that it can be done again. */
    void fault(String what) {
        if (cases.size() < MOST_CASES) {
            cases.add(what);
        }
        System.out.println("  ! " + what.substring(0, Math.min(LONGEST, what.length())));
    }

    boolean clean() {
        return rows.values().stream().allMatch(r -> r.lost + r.unopened + r.half + r.unclear + r.slow == 0);
    }

    /** The line at the end: {@code lost N, unopened N, half N, unclear N, slow N}. */
    String line() {
        long[] sums = new long[5];
        for (Row r : rows.values()) {
            sums[0] += r.lost;
            sums[1] += r.unopened;
            sums[2] += r.half;
            sums[3] += r.unclear;
            sums[4] += r.slow;
        }
        return "lost " + sums[0] + ", unopened " + sums[1] + ", half " + sums[2] + ", unclear " + sums[3] + ", slow " + sums[4];
    }

    String table() {
        StringBuilder text = new StringBuilder(String.format(Locale.ROOT, "%n%-34s %8s %8s %6s %8s %5s %8s %6s %10s %8s%n", title, "runs",
                "acknow.", "lost", "unopened", "half", "unclear", "slow", "slowest ms", "most MB"));
        rows.forEach((name,
                r) -> text.append(String.format(Locale.ROOT, "%-34s %8d %8d %6d %8d %5d %8d %6d %10d %8s%n", name, r.runs, r.acknowledged,
                        r.lost, r.unopened, r.half, r.unclear, r.slow, r.slowestMs,
                        r.mostBytes == 0 ? "-" : String.valueOf(r.mostBytes >> 20))));
        return text.toString();
    }
}
