package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mosspebble.core.blend.Share;
import mosspebble.core.project.Habits;
import mosspebble.core.timetable.HandOrder;
import org.locationtech.jts.geom.Geometry;

/**
 * The passes on one surface: one coat of one load on all places that may take it at once. First every coat of every region is a job; jobs
 * of one load are then drawn together as long as none of them waits, by whatever way, for another, and apart again where that is done much
 * sooner; what is worked wet together is one pass of several loads. The passes are put in the order that is done soonest.
 */
final class Passes {

    /** Orders tried. */
    private static final int TRIES = 30;

    private static final int FEW_TRIES = 4;

    /** A further pass counts like so many minutes: rinsing, taking up, looking where to go on (common practice, no source). */
    private static final double PASS_COST = 6;

    /** And so many where parts of one row are taken apart; letters of a word never are (common practice, no source). */
    private static final double ROW_COST = 12;
    private static final double WORD_COST = 10_000;

    /** Bounds what is tried to draw passes together: looks, and looks times the square of the jobs. */
    private static final int MOST_LOOKS = 80;
    private static final int WORK = 2_000_000;

    /** So much later is as soon. */
    private static final Duration NO_LATER = Duration.ofMinutes(1);

    /** No hand puts a load away to take it up again at once, if that makes it so much later. */
    private static final Duration A_LITTLE = Duration.ofMinutes(5);

    /**
     * One pass; without members it is the pencil on what was painted before.
     *
     * @param key stable name, by which the painter's own order knows it
     * @param wet whether its members are worked wet into each other
     * @param after passes it waits for, by their place in the order
     */
    record Pass(String key, List<Jobs.Member> members, boolean wet, List<Link> after) {
        boolean isPencil() {
            return members.isEmpty();
        }
    }

    /** A pass waits for an earlier one. */
    record Link(int pass, Step.Waits waits) {}

    /** What the painter's own order goes against: it puts one region before another that should come first. */
    record Broken(int first, int then, PaintOrder.Arrow arrow) {}

    private final Jobs jobs;
    private final List<Region> regions;
    private final PaintOrder order;
    private final BuildUp built;
    /** The pass of each job, numbered as they are found. */
    private int[] passOf = new int[0];
    private int passes;
    private int pencil = -1;
    private final List<String> keys = new ArrayList<>();
    private List<Integer> sequence = List.of();
    private List<Broken> broken = List.of();
    private Duration bound = Duration.ZERO;

    private Passes(Jobs jobs, List<Region> regions, PaintOrder order, BuildUp built) {
        this.jobs = jobs;
        this.regions = regions;
        this.order = order;
        this.built = built;
    }

    /**
     * @param coats of each region
     * @param pencilledAgain whether the pencil is needed again on what the first grounds cover
     * @param own keys of passes in the painter's own order; empty for none
     */
    static Passes of(List<Region> regions, List<CoatCount.Coats> coats, PaintOrder order, BuildUp built, Habits.Hand hand,
            boolean pencilledAgain, List<String> own) {
        Passes passes = new Passes(new Jobs(regions, coats, order, built, hand), regions, order, built);
        passes.gather();
        passes.improve(pencilledAgain);
        passes.arrange(pencilledAgain);
        if (!own.isEmpty()) {
            passes.follow(own);
        }
        return passes;
    }

    // --- one load, one pass

    /** To begin with, everything of one load that does not wait for itself. */
    private void gather() {
        passOf = new int[jobs.all.size()];
        List<BitSet> before = new ArrayList<>(); // passes that each pass waits for, by whatever way
        List<Integer> first = new ArrayList<>();
        for (int job : jobs.sorted()) {
            BitSet needs = new BitSet();
            for (int b = jobs.after.get(job).nextSetBit(0); b >= 0; b = jobs.after.get(job).nextSetBit(b + 1)) {
                needs.set(passOf[b]);
                needs.or(before.get(passOf[b]));
            }
            int into = -1;
            for (int p = first.size() - 1; p >= 0 && into < 0; p--) {
                if (jobs.sameLoad(first.get(p), job) && !needs.get(p)) {
                    into = p;
                }
            }
            if (into < 0) {
                into = first.size();
                first.add(job);
                before.add(new BitSet());
            }
            passOf[job] = into;
            before.get(into).or(needs);
            for (BitSet other : before) {
                if (other.get(into)) {
                    other.or(before.get(into));
                }
            }
        }
        passes = first.size();
    }

    /** Takes single jobs out of passes that wait too long for them, and draws passes together, as long as that is better on the whole. */
    private void improve(boolean pencilledAgain) {
        int looks = Math.min(MOST_LOOKS, WORK / Math.max(1, jobs.all.size() * jobs.all.size()));
        double cost = cost(passOf, pencilledAgain);
        boolean better = true;
        for (int from = 0; better && looks > 0;) {
            List<int[]> moves = moves();
            better = false;
            for (int k = 0; k < moves.size() && looks > 0; k++) {
                int[] tried = compact(moves.get((from + k) % moves.size()));
                looks--;
                double now = cost(tried, pencilledAgain);
                if (now < cost - 1e-6) {
                    cost = now;
                    passOf = tried;
                    passes = Arrays.stream(passOf).max().orElse(-1) + 1;
                    better = true;
                    from = (from + k) % moves.size(); // goes on where it was
                    break;
                }
            }
        }
        number();
    }

    /** Numbers the passes as they are come upon. */
    private void number() {
        int[] number = new int[passes];
        Arrays.fill(number, -1);
        int count = 0;
        for (int job : jobs.sorted()) {
            if (number[passOf[job]] < 0) {
                number[passOf[job]] = count++;
            }
        }
        for (int job = 0; job < jobs.all.size(); job++) {
            passOf[job] = number[passOf[job]];
        }
        passes = count;
    }

    /** Each job alone, each job in another pass of its load, each two passes of one load together. */
    private List<int[]> moves() {
        List<int[]> moves = new ArrayList<>();
        int[] size = new int[passes];
        Arrays.stream(passOf).forEach(p -> size[p]++);
        for (int job = 0; job < jobs.all.size(); job++) {
            if (size[passOf[job]] > 1) {
                moves.add(moved(job, passes));
            }
            BitSet seen = new BitSet();
            for (int other = 0; other < jobs.all.size(); other++) {
                int place = passOf[other];
                if (place != passOf[job] && !seen.get(place) && jobs.sameLoad(job, other)) {
                    seen.set(place);
                    moves.add(moved(job, place));
                    if (job < other && size[place] + size[passOf[job]] > 2) {
                        int[] together = passOf.clone();
                        for (int j = 0; j < together.length; j++) {
                            together[j] = together[j] == passOf[job] ? place : together[j];
                        }
                        moves.add(together);
                    }
                }
            }
        }
        return moves;
    }

    private int[] moved(int job, int place) {
        int[] moved = passOf.clone();
        moved[job] = place;
        return moved;
    }

    /** Minutes until all is dry, with what every further pass costs; infinite if passes would wait for each other in a circle. */
    private double cost(int[] assigned, boolean pencilledAgain) {
        int[] compact = compact(assigned);
        return HandOrder.ifPossible(jobs.problem(compact, pencilledAgain, true), FEW_TRIES)
                .map(o -> o.end().toSeconds() / 60.0 + PASS_COST * Arrays.stream(compact).distinct().count() + apart(compact))
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** What it costs that rows are taken apart. */
    private double apart(int[] assigned) {
        double cost = 0;
        Map<String, BitSet> passesOf = new HashMap<>();
        for (int job = 0; job < jobs.all.size(); job++) {
            if (!jobs.rowOf.get(job).isEmpty()) {
                passesOf.computeIfAbsent(jobs.rowOf.get(job), r -> new BitSet()).set(assigned[job]);
            }
        }
        for (Map.Entry<String, BitSet> row : passesOf.entrySet()) {
            cost += (row.getValue().cardinality() - 1) * (row.getKey().startsWith(Jobs.WORD) ? WORD_COST : ROW_COST);
        }
        return cost;
    }

    private static int[] compact(int[] assigned) {
        Map<Integer, Integer> number = new HashMap<>();
        int[] compact = new int[assigned.length];
        for (int i = 0; i < assigned.length; i++) {
            compact[i] = number.computeIfAbsent(assigned[i], k -> number.size());
        }
        return compact;
    }

    // --- the order

    private void arrange(boolean pencilledAgain) {
        HandOrder.Problem problem = jobs.problem(passOf, pencilledAgain, true);
        HandOrder answer = HandOrder.of(problem, TRIES);
        while (drawnTogether(answer, pencilledAgain)) {
            problem = jobs.problem(passOf, pencilledAgain, true);
            answer = HandOrder.of(problem, TRIES);
        }
        sequence = countedUp(problem, answer.order());
        bound = HandOrder.bound(jobs.problem(passOf, pencilledAgain, false));
        Map<String, Integer> names = new HashMap<>();
        for (int p = 0; p < passes; p++) {
            keys.add(jobs.key(members(p), names));
        }
        if (pencilledAgain) {
            pencil = passes;
            keys.add("PENCIL_AGAIN");
        }
    }

    /** Draws two passes together that follow one another with one load; false if there are none, or all would be dry much later. */
    private boolean drawnTogether(HandOrder answer, boolean pencilledAgain) {
        for (int k = 0; k + 1 < answer.order().size(); k++) {
            int one = answer.order().get(k);
            int next = answer.order().get(k + 1);
            if (one < passes && next < passes && jobs.sameLoad(jobs.anyJob(passOf, one), jobs.anyJob(passOf, next))) {
                int[] together = compact(Arrays.stream(passOf).map(p -> p == next ? one : p).toArray());
                if (HandOrder.ifPossible(jobs.problem(together, pencilledAgain, true), TRIES)
                        .filter(a -> a.end().compareTo(answer.end().plus(A_LITTLE)) <= 0).isPresent()) {
                    passOf = together;
                    passes--;
                    number();
                    return true;
                }
            }
        }
        return false;
    }

    /** Parts of one area that may come in either order one after the other come as they are counted, where that is no later. */
    private List<Integer> countedUp(HandOrder.Problem problem, List<Integer> order) {
        List<Integer> best = order;
        Duration end = HandOrder.end(problem, order);
        for (int k = 0; k + 1 < best.size(); k++) {
            int first = best.get(k);
            int then = best.get(k + 1);
            if (first < passes && then < passes && isCountedAfter(first, then)
                    && problem.arcs().stream().noneMatch(a -> a.before() == first && a.then() == then)) {
                List<Integer> turned = new ArrayList<>(best);
                Collections.swap(turned, k, k + 1);
                if (HandOrder.end(problem, turned).compareTo(end.plus(NO_LATER)) <= 0) {
                    best = turned;
                    k = Math.max(-1, k - 2);
                }
            }
        }
        return best;
    }

    /** Whether a pass begins with a later part of the same area than another. */
    private boolean isCountedAfter(int pass, int other) {
        What what = regions.get(members(pass).get(0).region()).what();
        What before = regions.get(members(other).get(0).region()).what();
        return what.part().equals(before.part()) && what.row().thing() == before.row().thing()
                && counted(what.share()) > counted(before.share()) && counted(before.share()) > 0;
    }

    private static int counted(Share share) {
        return switch (share.kind()) {
            case FIRST_PART -> 1;
            case SECOND_PART -> 2;
            case BAND, ARM, RUN, DABS -> share.number();
            default -> 0;
        };
    }

    /** The painter's own order: passes it names in its order, each other one right after the one it followed. */
    private void follow(List<String> own) {
        Map<String, Integer> byKey = new HashMap<>();
        sequence.forEach(p -> byKey.put(keys.get(p), p));
        for (int p : sequence) { // whoever led a pass of its own before is known by its own name
            if (p != pencil) {
                members(p).forEach(m -> byKey.putIfAbsent(jobs.name(m), p));
            }
        }
        List<Integer> result = new ArrayList<>(own.stream().distinct().map(byKey::get).filter(p -> p != null).toList());
        for (int i = 0; i < sequence.size(); i++) {
            if (!result.contains(sequence.get(i))) {
                result.add(i == 0 ? 0 : result.indexOf(sequence.get(i - 1)) + 1, sequence.get(i));
            }
        }
        sequence = result;
        int[] place = new int[sequence.size()];
        for (int i = 0; i < result.size(); i++) {
            place[result.get(i)] = i;
        }
        List<Broken> found = new ArrayList<>();
        Set<Jobs.Two> seen = new HashSet<>();
        for (PaintOrder.Arrow arrow : order.arrows()) {
            int first = passOf[jobs.lastJob(arrow.before())];
            int then = passOf[jobs.byRegion.get(arrow.then())[0]];
            boolean workedTogether = jobs.lastJob(arrow.before()) == jobs.lastJob(arrow.then());
            if (!workedTogether && place[first] > place[then] && seen.add(new Jobs.Two(first, then))) {
                found.add(new Broken(arrow.before(), arrow.then(), arrow));
            }
        }
        broken = found;
    }

    private List<Jobs.Member> members(int pass) {
        return IntStream.range(0, jobs.all.size()).filter(j -> passOf[j] == pass).boxed().flatMap(j -> jobs.all.get(j).stream())
                .sorted((a, b) -> Double.compare(jobs.own.get(jobs.byRegion.get(a.region())[0]).near(),
                        jobs.own.get(jobs.byRegion.get(b.region())[0]).near()))
                .toList();
    }

    // --- answers

    /** The passes in order. */
    List<Pass> list() {
        int[] place = new int[sequence.size()];
        for (int i = 0; i < sequence.size(); i++) {
            place[sequence.get(i)] = i;
        }
        List<List<Link>> waits = new ArrayList<>();
        sequence.forEach(p -> waits.add(new ArrayList<>()));
        jobs.ties(passOf).forEach((pair, tie) -> {
            if (tie == Jobs.Tie.LAST) {
                return;
            }
            int first = Math.min(place[pair.one()], place[pair.other()]);
            int then = Math.max(place[pair.one()], place[pair.other()]);
            waits.get(then).add(new Link(first, tie.waits));
        });
        for (int p = 0; pencil >= 0 && p < pencil; p++) {
            boolean under = jobs.isUnder(passOf, p);
            if (under || jobs.isPencilledOn(passOf, p)) {
                waits.get(Math.max(place[p], place[pencil]))
                        .add(new Link(Math.min(place[p], place[pencil]), (under ? Jobs.Tie.GROUND : Jobs.Tie.PENCIL).waits));
            }
        }
        List<Pass> list = new ArrayList<>();
        for (int i = 0; i < sequence.size(); i++) {
            int p = sequence.get(i);
            List<Jobs.Member> members = p == pencil ? List.of() : members(p);
            boolean wet = IntStream.range(0, jobs.all.size()).anyMatch(j -> passOf[j] == p && jobs.isWet(jobs.all.get(j)));
            list.add(new Pass(keys.get(p), (wet ? inTurn(p) : members).stream().map(m -> trimmed(m, place)).toList(), wet,
                    waits.get(i).stream().sorted((a, b) -> Integer.compare(a.pass, b.pass)).toList()));
        }
        return list;
    }

    /** Stops at the edges of what lies in front and is painted already. */
    private Jobs.Member trimmed(Jobs.Member member, int[] place) {
        int own = place[passOf[jobs.byRegion.get(member.region())[member.coat() - 1]]];
        Map<Integer, List<Geometry>> things = order.edges().stream()
                .filter(e -> e.back() == member.region() && place[passOf[jobs.byRegion.get(e.front())[0]]] < own)
                .map(e -> regions.get(e.front()))
                .collect(Collectors.groupingBy(r -> r.what().row().thing(), TreeMap::new,
                        Collectors.mapping(Region::place, Collectors.toList())));
        if (things.isEmpty()) {
            return member;
        }
        List<Geometry> front = things.values().stream().map(built.remembered()::union).toList(); // where one has moved the others are known
        return new Jobs.Member(member.region(), member.coat(), built.remembered().without(member.place(), front), front);
    }

    /** The members of what is worked wet, load by load. */
    private List<Jobs.Member> inTurn(int pass) {
        List<List<Jobs.Member>> wet = IntStream.range(0, jobs.all.size()).filter(j -> passOf[j] == pass).mapToObj(jobs.all::get)
                .sorted((a, b) -> Double.compare(jobs.own.get(jobs.byRegion.get(a.get(0).region())[0]).near(),
                        jobs.own.get(jobs.byRegion.get(b.get(0).region())[0]).near()))
                .toList();
        return IntStream.range(0, wet.get(0).size()).boxed().flatMap(k -> wet.stream().map(job -> job.get(k))).toList();
    }

    /** What the painter's own order goes against: the regions of both. */
    List<Broken> broken() {
        return broken;
    }

    /** The regions one by one as the passes run. */
    List<Integer> oneByOne() {
        return sequence.stream().filter(p -> p != pencil).flatMap(p -> members(p).stream()).map(Jobs.Member::region).distinct().toList();
    }

    /** No order ends sooner. */
    Duration bound() {
        return bound;
    }
}
