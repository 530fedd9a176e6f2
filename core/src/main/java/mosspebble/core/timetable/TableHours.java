package mosspebble.core.timetable;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * The sittings of a workload one after the other, in seconds from its beginning; those that are over are left out, and after the last they
 * come again week by week. Each has its beginning, its end, how many thousandths of the usual time it takes to dry in it, and 1 where it is
 * too cold for some work.
 */
final class TableHours {

    /** No timetable runs longer than so many weeks. */
    private static final int MOST_WEEKS = 1_040;

    private final Workload of;
    private final List<long[]> hours = new ArrayList<>();
    private final List<long[]> week;
    private final long period;
    /** The sitting asked for last: the next question is most often about the same. */
    private int near;

    TableHours(Workload of) {
        this.of = of;
        this.week = of.hours().stream()
                .map(h -> new long[] {Math.max(0, seconds(h.from())), seconds(h.to()), permille(of, h),
                    of.shared().cold().sittings().contains(h.from()) ? 1 : 0})
                .filter(h -> h[1] > h[0]).toList();
        long first = of.hours().stream().mapToLong(h -> seconds(h.from())).min().orElse(0);
        long last = of.hours().stream().mapToLong(h -> seconds(h.to())).max().orElse(0);
        long seven = Duration.ofDays(7).toSeconds();
        this.period = seven * Math.max(1, (last - first + seven - 1) / seven);
        hours.addAll(week);
    }

    private long seconds(Instant at) {
        return Duration.between(of.from(), at).toSeconds();
    }

    /** How many thousandths of the usual time it takes to dry in a sitting. */
    static long permille(Workload of, Workload.Hours hours) {
        return Math.round(1000 * of.slower(hours));
    }

    /**
     * When a piece can begin that may begin from a time on: where it is done before the sitting ends.
     *
     * @param warm whether it needs warmth
     */
    long begin(long from, long takes, boolean warm) {
        for (int k = sitting(from);; k++) {
            long[] each = hour(k);
            long start = Math.max(from, each[0]);
            if (start + takes <= each[1] && !(warm && each[3] == 1)) {
                return start;
            }
        }
    }

    /** The first sitting that ends after a time. */
    int sitting(long time) {
        int last = near;
        if (last < hours.size() && hours.get(last)[1] > time && (last == 0 || hours.get(last - 1)[1] <= time)) {
            return last;
        }
        int low = 0;
        while (hours.isEmpty() || hour(hours.size() - 1)[1] <= time) {
            hour(hours.size());
        }
        int high = hours.size() - 1;
        while (low < high) {
            int middle = (low + high) / 2;
            if (hours.get(middle)[1] > time) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        near = low;
        return low;
    }

    /** Whether a time lies in a sitting that had begun by the beginning. */
    boolean isUnderWay(long time) {
        return sitting(time) == 0 && hour(0)[0] == 0;
    }

    /** Sittings come again after those that were given. */
    long[] hour(int k) {
        while (k >= hours.size()) {
            long weeks = period * (1 + (hours.size() - week.size()) / Math.max(1, of.hours().size()));
            if (weeks / Duration.ofDays(7).toSeconds() > MOST_WEEKS) {
                throw new IllegalArgumentException("With so few hours it would take longer than twenty years.");
            }
            for (Workload.Hours again : of.hours()) {
                hours.add(new long[] {seconds(again.from()) + weeks, seconds(again.to()) + weeks, permille(of, again), 0});
            }
        }
        return hours.get(k);
    }

    /** The latest beginning of a piece that is done by a time, in one sitting; where there is none, as if one sat at any time. */
    long latest(long by, long hand, boolean warm) {
        for (int k = by - hand < 0 ? -1 : sitting(by - hand); k >= 0; k--) {
            if (hour(k)[0] + hand <= Math.min(by, hour(k)[1]) && !(warm && hour(k)[3] == 1)) {
                return Math.min(by, hour(k)[1]) - hand;
            }
        }
        return by - hand;
    }

    /** Those that begin before a moment. */
    List<Workload.Hours> until(Instant last) {
        List<Workload.Hours> until = new ArrayList<>();
        for (int k = 0; hour(k)[0] < seconds(last); k++) {
            until.add(new Workload.Hours(of.from().plusSeconds(hour(k)[0]), of.from().plusSeconds(hour(k)[1])));
        }
        return until;
    }
}
