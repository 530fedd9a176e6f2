package mosspebble.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Room;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.instruments.CpSatSolver;

/** How near timetables come to what no timetable can beat, and in what time, on made-up stones: first answer and best. */
final class Timetables {

    private static final Instant START = Instant.parse("2026-11-27T18:00:00Z");
    private static final int[][] SIZES = {{3, 25}, {8, 25}, {30, 25}, {200, 25}};
    private static final int SEEDS = 5;

    private Timetables() {}

    /**
     * Made-up stones whose coats dry 10 to 60 minutes or not at all, and cure for two days.
     *
     * @param evenings whether there are two hours each evening, or all the time
     */
    static Workload madeUp(int stones, int steps, long seed, boolean evenings) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Workload.Piece> pieces = new ArrayList<>();
        List<Workload.Wait> waits = new ArrayList<>();
        for (int s = 0; s < stones; s++) {
            for (int c = 0; c < steps; c++) {
                if (c > 0) {
                    waits.add(new Workload.Wait(pieces.size() - 1, pieces.size(),
                            Duration.ofMinutes(random.nextInt(3) == 0 ? 0 : random.nextInt(10, 60))));
                }
                pieces.add(new Workload.Piece("stone " + s, c, Duration.ofMinutes(random.nextInt(2, 12)),
                        c == steps - 1 ? Duration.ofDays(2) : Duration.ofMinutes(30), "load " + random.nextInt(8),
                        "tool " + random.nextInt(5)));
            }
        }
        List<Workload.Hours> hours = new ArrayList<>();
        for (int day = 0; day < 7; day++) {
            Instant from = START.plus(Duration.ofDays(day));
            hours.add(new Workload.Hours(from.plus(Duration.ofHours(evenings ? 1 : 0)), from.plus(Duration.ofHours(evenings ? 3 : 24))));
        }
        return new Workload(pieces, waits, hours, START, Map.of());
    }

    static void print(Figures figures) {
        for (int[] size : SIZES) {
            for (boolean evenings : new boolean[] {false, true}) {
                double first = 0;
                double best = 0;
                double seconds = 0;
                double slowest = 0;
                for (int seed = 1; seed <= SEEDS; seed++) {
                    Workload workload = madeUp(size[0], size[1], seed, evenings);
                    long begin = System.nanoTime();
                    Timetable quick = Timetable.quick(workload);
                    long between = System.nanoTime();
                    Timetable found = Timetable.of(workload);
                    slowest = Math.max(slowest, (System.nanoTime() - between) / 1e9);
                    seconds = Math.max(seconds, (between - begin) / 1e9);
                    first = Math.max(first, gap(quick));
                    best = Math.max(best, gap(found));
                }
                String what = String.format("timetable of %d stones of %d, %s, worst of %d: ", size[0], size[1],
                        evenings ? "evenings" : "always", SEEDS);
                boolean many = size[0] >= 30;
                figures.one(what + "first answer", "s", seconds, Figures.Goal.median(many ? 1 : 0.2), "");
                figures.one(what + "first answer over the bound", "%", 100 * first, Figures.Goal.NONE, "");
                figures.one(what + "best answer", "s", slowest, Figures.Goal.median(many ? 15 : 3), "");
                figures.one(what + "best answer over the bound", "%", 100 * best, Figures.Goal.median(many ? 5 : 2), "");
            }
        }
    }

    /** The demo's stones in three kinds of weeks: sittings, and what the solver adds. */
    static void print(Figures figures, List<PaintPlan> plans, Room room) {
        String[] weeks = {"Mon-Fri 19:00-21:00, Sat-Sun 14:00-18:00", "Mon-Sun 19:00-20:00", "Mon 9-11, Wed 19-22, Sat 10-16"};
        for (String week : weeks) {
            for (int stones : new int[] {3, plans.size()}) {
                Timetable found = Timetable.of(ManyStones.workload(plans.subList(0, stones), Diary.USUAL.withWeek(week), room, START,
                        ZoneOffset.UTC));
                long begin = System.nanoTime();
                Timetable better = new CpSatSolver().better(found, () -> false).orElse(found);
                String what = stones + " stones of the demo, " + week + ": ";
                figures.one(what + "sittings", "", better.sittings(), Figures.Goal.NONE,
                        found.sittings() + " without the solver, at least " + found.fewest());
                figures.one(what + "over the bound", "%", 100 * gap(better), Figures.Goal.NONE,
                        Figures.amount(100 * gap(found), "%") + " without the solver");
                figures.one(what + "solver", "s", (System.nanoTime() - begin) / 1e9, Figures.Goal.NONE, "");
            }
        }
    }

    private static double gap(Timetable table) {
        return (double) Duration.between(START, table.end()).toSeconds() / Duration.between(START, table.bound()).toSeconds() - 1;
    }
}
