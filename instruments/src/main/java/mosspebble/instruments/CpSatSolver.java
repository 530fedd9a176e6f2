package mosspebble.instruments;

import com.google.ortools.Loader;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.CumulativeConstraint;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.util.Domain;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;

/**
 * Timetables by a native solver of constraints, which also proves how soon all can be ready. It is loaded when it is first asked; one seed,
 * one thread and a bound on its work, not on its time, make it give the same answer again.
 */
public final class CpSatSolver implements Timetable.Solver {

    /** Work in the solver's own unit; with two hundred pieces it takes some two seconds for each question on a usual machine. */
    private static final double WORK = 0.2;

    /** More pieces than this are left to the search in Java. */
    private static final int MOST = 1_500;

    /** So near the bound, as a share of the whole, it is not asked. */
    private static final double NEAR = 0.001;

    private static final int SEED = 4711;
    private static final long LOOK_MS = 40;

    private final double work;

    public CpSatSolver() {
        this(WORK);
    }

    /** @param work in the solver's own unit, above 0: about so many seconds for each of its questions */
    public CpSatSolver(double work) {
        this.work = work;
    }

    /** Whether the solver can be loaded on this machine. */
    public static boolean works() {
        return Library.LOADED;
    }

    private static final class Library {

        static final boolean LOADED = load();

        private static boolean load() {
            try {
                Loader.loadNativeLibraries();
                return true;
            } catch (RuntimeException | LinkageError e) { // no library for this machine, or no room to unpack it
                return false;
            }
        }
    }

    @Override
    public Optional<Timetable> better(Timetable known, BooleanSupplier unwanted) {
        if (!works()) {
            return Optional.empty();
        }
        Timetable best = known;
        for (boolean keeps : new boolean[] {false, true}) {
            if (best.of().pieces().size() <= MOST && far(best) && !unwanted.getAsBoolean()) {
                Found found = new Model(best, keeps).solve(work, unwanted);
                best = best.improved(found.order, found.bound);
            }
        }
        return Optional.of(best);
    }

    /** Whether there is anything to be won. */
    private static boolean far(Timetable known) {
        long whole = Duration.between(known.of().from(), known.end()).toSeconds();
        return Duration.between(known.bound(), known.end()).toSeconds() > NEAR * whole;
    }

    /**
     * What was found.
     *
     * @param order empty for none
     */
    private record Found(List<Integer> order, Optional<Instant> bound) {}

    /** Pieces as starts in seconds from the beginning, within the sittings, one pair of hands, until all is ready. */
    private static final class Model {

        private final Timetable known;
        private final Workload of;
        private final boolean keeps;
        private final CpModel model = new CpModel();
        /** Seconds of the hand, by piece: as known, or where only how soon is asked the least. */
        private final long[] hand;
        private final IntVar[] start;
        private final IntVar end;

        /**
         * @param keeps whether all that is good about what is known is kept: its sittings, when each stone is due or ready, its windows;
         *        else only how soon all could be ready is asked, and every wait is as short as it can be
         */
        Model(Timetable known, boolean keeps) {
            this.keeps = keeps;
            this.known = known;
            this.of = known.of();
            long horizon = seconds(known.end());
            Map<Integer, Timetable.Placed> at = new HashMap<>();
            known.placed().forEach(p -> at.put(p.piece(), p));
            List<Duration> least = known.leastHands();
            this.hand = IntStream.range(0, of.pieces().size())
                    .mapToLong(i -> keeps ? seconds(at.get(i).end()) - seconds(at.get(i).start()) : least.get(i).toSeconds()).toArray();
            List<Workload.Hours> hours = hours();
            Set<Integer> missed = new HashSet<>(known.missed());
            this.start = IntStream.range(0, of.pieces().size()).mapToObj(i -> start(i, hours, !missed.contains(i))).toArray(IntVar[]::new);
            this.end = model.newIntVar(Math.min(horizon, seconds(known.bound())), horizon, "end");
            for (int i = 0; i < start.length; i++) {
                Workload.Piece piece = of.pieces().get(i);
                model.addGreaterOrEqual(end, LinearExpr.affine(start[i], 1, hand[i] + piece.dries().toSeconds()));
                model.addHint(start[i], seconds(at.get(i).start()));
            }
            hands();
            places();
            // a timetable reckons in thousandths
            double slowest = Math.ceil(1_000 * of.hours().stream().mapToDouble(of::slower).max().orElse(1)) / 1_000;
            double quickest = Math.floor(1_000 * of.hours().stream().mapToDouble(of::slower).min().orElse(1)) / 1_000;
            for (Workload.Wait wait : of.waits()) {
                double times = !wait.inAir() ? 1 : keeps ? slowest : quickest;
                after(wait, (long) (times * wait.lag().toSeconds()), !missed.contains(wait.then()));
            }
            if (keeps) {
                ready();
            }
            model.minimize(end);
        }

        private long seconds(Instant at) {
            return Duration.between(of.from(), at).toSeconds();
        }

        /** Sittings in which there may be work: all there are, or those that are used. */
        private List<Workload.Hours> hours() {
            return known.hoursUntil(known.end()).stream().filter(h -> !keeps
                    || known.placed().stream().anyMatch(p -> !p.start().isBefore(h.from()) && !p.end().isAfter(h.to()))).toList();
        }

        private IntVar start(int i, List<Workload.Hours> hours, boolean inTime) {
            Workload.Piece piece = of.pieces().get(i);
            long earliest = piece.when().earliest().map(this::seconds).orElse(0L);
            long latest = keeps && inTime ? piece.when().latest().map(l -> seconds(l) - hand[i]).orElse(Long.MAX_VALUE)
                    : Long.MAX_VALUE;
            long[][] free = hours.stream().filter(h -> !of.isTooCold(i, h))
                    .map(h -> new long[] {Math.max(earliest, seconds(h.from())),
                        Math.min(latest, seconds(h.to()) - hand[i])})
                    .filter(h -> h[0] <= h[1]).toArray(long[][]::new);
            return model.newIntVarFromDomain(Domain.fromIntervals(free), "start " + i);
        }

        private void hands() {
            model.addNoOverlap(IntStream.range(0, start.length).filter(i -> hand[i] > 0)
                    .mapToObj(i -> model.newFixedSizeIntervalVar(start[i], hand[i], "hand " + i))
                    .toArray(IntervalVar[]::new));
        }

        private void places() {
            of.shared().places().forEach((place, room) -> {
                IntervalVar[] stood = of.shared().stays().entrySet().stream().filter(s -> s.getValue().place().equals(place))
                        .map(s -> model.newFixedSizeIntervalVar(start[s.getKey()],
                                hand[s.getKey()] + s.getValue().after().toSeconds(), "stay " + s.getKey()))
                        .toArray(IntervalVar[]::new);
                if (room == 1) {
                    model.addNoOverlap(stood);
                } else if (stood.length > room) {
                    CumulativeConstraint together = model.addCumulative(room);
                    Arrays.stream(stood).forEach(s -> together.addDemand(s, 1));
                }
            });
        }

        private void after(Workload.Wait wait, long lag, boolean inTime) {
            model.addGreaterOrEqual(start[wait.then()], LinearExpr.affine(start[wait.before()], 1, hand[wait.before()] + lag));
            if (keeps && inTime && wait.most().isPresent()) {
                long most = Math.max(lag, wait.most().get().toSeconds());
                model.addLessOrEqual(start[wait.then()], LinearExpr.affine(start[wait.before()], 1, hand[wait.before()] + most));
            }
        }

        /** No stone is ready after it is due, or after it would be ready as it is. */
        private void ready() {
            Map<String, Timetable.Ready> ready = known.ready();
            for (int i = 0; i < start.length; i++) {
                Workload.Piece piece = of.pieces().get(i);
                Optional<Instant> due = ready.get(piece.stone()).due();
                if (due.isPresent()) {
                    Instant by = due.get().isAfter(ready.get(piece.stone()).at()) ? due.get() : ready.get(piece.stone()).at();
                    model.addLessOrEqual(start[i], seconds(by) - hand[i] - piece.dries().toSeconds());
                }
            }
        }

        Found solve(double work, BooleanSupplier unwanted) {
            CpSolver solver = new CpSolver();
            solver.getParameters().setRandomSeed(SEED).setNumWorkers(1).setMaxDeterministicTime(work);
            ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(r -> {
                Thread thread = new Thread(r, "solver-watch");
                thread.setDaemon(true);
                return thread;
            });
            try {
                watch.scheduleAtFixedRate(() -> {
                    if (unwanted.getAsBoolean()) {
                        solver.stopSearch();
                    }
                }, LOOK_MS, LOOK_MS, TimeUnit.MILLISECONDS);
                CpSolverStatus status = solver.solve(model);
                boolean found = status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
                Optional<Instant> bound = found && !keeps
                        ? Optional.of(of.from().plusSeconds((long) Math.ceil(solver.bestObjectiveBound() - 1e-6)))
                        : Optional.empty();
                return new Found(found ? order(solver) : List.of(), bound);
            } finally {
                watch.shutdownNow();
            }
        }

        private List<Integer> order(CpSolver solver) {
            Map<Integer, Integer> place = new HashMap<>();
            known.placed().forEach(p -> place.put(p.piece(), place.size()));
            List<Integer> order = new ArrayList<>(place.keySet());
            order.sort(Comparator.comparingLong((Integer i) -> solver.value(start[i])).thenComparingInt(place::get));
            return order;
        }
    }
}
