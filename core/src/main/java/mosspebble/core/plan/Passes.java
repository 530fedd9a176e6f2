package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import mosspebble.core.colour.Mix;
import mosspebble.core.drying.Drying;
import mosspebble.core.project.Habits;
import mosspebble.core.timetable.HandOrder;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * The passes on one surface: one coat of one load on all places that may take it at once. First every coat of every region is a job; jobs of
 * one load are then drawn together as long as none of them waits, by whatever way, for another; what is worked wet together is one pass of
 * several loads. The passes are put in the order that is done soonest.
 */
final class Passes {

    /** Orders tried for the first answer; more of them help little (docs/benchmarks.md). */
    private static final int TRIES = 60;

    /** What the pencil takes for the order, until the drawing is measured. */
    private static final Duration PENCIL = Duration.ofMinutes(4);

    /** One coat on one region. */
    record Member(int region, int coat, Geometry place) {}

    /**
     * One pass; without members it is the pencil on what was painted before.
     *
     * @param key stable name, by which the painter's own order knows it
     * @param wet whether its members are worked wet into each other
     * @param after passes it waits for, by their place in the order
     */
    record Pass(String key, List<Member> members, boolean wet, List<Link> after) {
        boolean isPencil() {
            return members.isEmpty();
        }
    }

    /** A pass waits for an earlier one. */
    record Link(int pass, Step.Waits waits) {}

    /** Why two passes do not come right after each other; the later ones are stricter. */
    private enum Tie {
        /** Either may come first, the other when it is touch-dry. */
        BESIDE(Step.Waits.WOULD_BLEED), SEAM(Step.Waits.WOULD_BLEED), PENCIL(Step.Waits.BEFORE_PAINT), STACK(Step.Waits.LIES_BELOW),
        OWN(Step.Waits.OWN_COAT), GROUND(Step.Waits.DRY_GROUND);

        private final Step.Waits waits;

        Tie(Step.Waits waits) {
            this.waits = waits;
        }

        boolean touchIsEnough() {
            return this == BESIDE || this == SEAM;
        }
    }

    /** What the painter's own order goes against: it puts one region before another that should come first. */
    record Broken(int first, int then, PaintOrder.Arrow arrow) {}

    private final List<Region> regions;
    private final List<CoatCount.Coats> coats;
    private final PaintOrder order;
    private final BuildUp built;
    private final List<List<Member>> jobs = new ArrayList<>();
    private final List<int[]> jobsOf = new ArrayList<>();
    private final List<BitSet> after = new ArrayList<>();
    /** Passes of jobs; the last may be the pencil. */
    private final List<List<Integer>> passes = new ArrayList<>();
    private final List<String> keys = new ArrayList<>();
    private int[] passOf = new int[0];
    private int pencil = -1;
    private List<Integer> sequence = List.of();
    private List<Broken> broken = List.of();
    private Duration bound = Duration.ZERO;

    private Passes(List<Region> regions, List<CoatCount.Coats> coats, PaintOrder order, BuildUp built) {
        this.regions = regions;
        this.coats = coats;
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
        Passes passes = new Passes(regions, coats, order, built);
        passes.split();
        passes.gather();
        if (pencilledAgain) {
            passes.pencil = passes.passes.size();
            passes.passes.add(List.of());
            passes.keys.add("PENCIL_AGAIN");
        }
        passes.arrange(hand);
        if (!own.isEmpty()) {
            passes.follow(own);
        }
        return passes;
    }

    // --- jobs

    private void split() {
        Map<Integer, List<Integer>> wet = new HashMap<>();
        for (int i = 0; i < regions.size(); i++) {
            if (regions.get(i).wetGroup() >= 0) {
                wet.computeIfAbsent(regions.get(i).wetGroup(), g -> new ArrayList<>()).add(i);
            }
        }
        int[] groupOf = IntStream.range(0, regions.size()).map(i -> regions.get(i).wetGroup()).toArray();
        for (PaintOrder.Arrow arrow : order.arrows()) {
            Region base = regions.get(arrow.before());
            Region join = regions.get(arrow.then());
            if (join.wetGroup() >= 0 && base.wetGroup() < 0 && base.hides() && base.kind() == join.kind() && base.part() == join.part()
                    && groupOf[arrow.before()] < 0) {
                groupOf[arrow.before()] = join.wetGroup();
                wet.get(join.wetGroup()).add(arrow.before());
            }
        }
        Map<Integer, Integer> jobOf = new HashMap<>();
        for (int i = 0; i < regions.size(); i++) {
            int n = coats.get(i).number();
            int[] own = new int[n];
            for (int k = 0; k < n; k++) {
                boolean together = k == n - 1 && groupOf[i] >= 0;
                if (together && jobOf.containsKey(groupOf[i])) {
                    own[k] = jobOf.get(groupOf[i]);
                    continue;
                }
                own[k] = jobs.size();
                jobs.add(together
                        ? wet.get(groupOf[i]).stream()
                                .sorted((a, b) -> regions.get(a).wetGroup() != regions.get(b).wetGroup()
                                        ? Integer.compare(regions.get(a).wetGroup(), regions.get(b).wetGroup())
                                        : Integer.compare(regions.get(a).depth(), regions.get(b).depth()))
                                .map(r -> new Member(r, coats.get(r).number(), last(r))).toList()
                        : List.of(new Member(i, k + 1, coats.get(i).places().get(k))));
                if (together) {
                    jobOf.put(groupOf[i], own[k]);
                }
            }
            jobsOf.add(own);
        }
        jobs.forEach(j -> after.add(new BitSet()));
        for (int[] own : jobsOf) {
            for (int k = 1; k < own.length; k++) {
                after.get(own[k]).set(own[k - 1]);
            }
        }
        for (PaintOrder.Arrow arrow : order.arrows()) {
            int first = lastJob(arrow.before());
            int then = jobsOf.get(arrow.then())[0];
            if (lastJob(arrow.before()) != lastJob(arrow.then())) {
                after.get(then).set(first);
            }
        }
    }

    private Geometry last(int region) {
        return coats.get(region).places().get(coats.get(region).number() - 1);
    }

    private int lastJob(int region) {
        int[] own = jobsOf.get(region);
        return own[own.length - 1];
    }

    // --- one load, one pass

    private void gather() {
        passOf = new int[jobs.size()];
        List<BitSet> before = new ArrayList<>(); // passes that each pass waits for, by whatever way
        Map<String, Integer> names = new HashMap<>();
        for (int job : sorted()) {
            BitSet needs = new BitSet();
            for (int b = after.get(job).nextSetBit(0); b >= 0; b = after.get(job).nextSetBit(b + 1)) {
                needs.set(passOf[b]);
                needs.or(before.get(passOf[b]));
            }
            int into = -1;
            for (int p = passes.size() - 1; p >= 0 && into < 0; p--) {
                if (sameLoad(jobs.get(passes.get(p).get(0)), jobs.get(job)) && !needs.get(p)) {
                    into = p;
                }
            }
            if (into < 0) {
                into = passes.size();
                passes.add(new ArrayList<>());
                before.add(new BitSet());
                keys.add(key(jobs.get(job), names));
            }
            passes.get(into).add(job);
            passOf[job] = into;
            before.get(into).or(needs);
            for (BitSet other : before) {
                if (other.get(into)) {
                    other.or(needs);
                }
            }
        }
    }

    /** The jobs as they wait for each other. */
    private List<Integer> sorted() {
        List<Integer> sorted = new ArrayList<>();
        BitSet done = new BitSet();
        List<Integer> open = new ArrayList<>(IntStream.range(0, jobs.size()).boxed().toList());
        open.sort((a, b) -> {
            Region one = regions.get(jobs.get(a).get(0).region());
            Region other = regions.get(jobs.get(b).get(0).region());
            int kinds = one.kind().compareTo(other.kind());
            return kinds != 0 ? kinds : one.depth() != other.depth() ? Integer.compare(one.depth(), other.depth()) : Integer.compare(a, b);
        });
        while (!open.isEmpty()) {
            int before = open.size();
            for (int i = 0; i < open.size(); i++) {
                BitSet missing = (BitSet) after.get(open.get(i)).clone();
                missing.andNot(done);
                if (missing.isEmpty()) {
                    done.set(open.get(i));
                    sorted.add(open.remove(i--));
                }
            }
            if (open.size() == before) {
                throw new IllegalStateException("coats wait for each other in a circle");
            }
        }
        return sorted;
    }

    private boolean sameLoad(List<Member> some, List<Member> others) {
        return some.size() == 1 && others.size() == 1 && some.get(0).coat() == others.get(0).coat()
                && regions.get(some.get(0).region()).sameStep(regions.get(others.get(0).region()));
    }

    private String key(List<Member> job, Map<String, Integer> names) {
        Region first = regions.get(job.get(0).region());
        String key = first.kind() + " " + first.what().id() + " " + first.colour().mix().parts().get(0).paint()
                + (job.get(0).coat() > 1 ? " coat " + job.get(0).coat() : "");
        int number = names.merge(key, 1, Integer::sum);
        return number == 1 ? key : key + " " + number;
    }

    // --- the order

    private HandOrder.Problem problem(Habits.Hand hand) {
        List<HandOrder.Job> work = new ArrayList<>();
        Map<Mix, Integer> loads = new HashMap<>();
        Map<Tool, Integer> tools = new HashMap<>();
        List<Drying> drying = new ArrayList<>();
        for (int p = 0; p < passes.size(); p++) {
            if (p == pencil) {
                work.add(new HandOrder.Job(PENCIL, Duration.ZERO, -1, -1, -1e9));
                drying.add(new Drying(Duration.ZERO, Duration.ZERO, Duration.ZERO));
                continue;
            }
            List<Member> members = members(p);
            Mix mix = regions.get(members.get(0).region()).colour().mix();
            Integer before = loads.putIfAbsent(mix, loads.size());
            BuildUp.Effort effort = built.effort(members, regions, before == null);
            drying.add(built.drying(members, regions, members.stream().anyMatch(m -> m.coat() == 1 && coats.get(m.region()).onBare())));
            double near = members.stream().mapToDouble(m -> alongTheHand(regions.get(m.region()), hand)).min().orElse(0);
            work.add(new HandOrder.Job(effort.hand(), drying.get(p).recoat(), loads.get(mix),
                    tools.computeIfAbsent(effort.tool(), t -> tools.size()), near));
        }
        List<HandOrder.Arc> arcs = new ArrayList<>();
        List<HandOrder.Pair> pairs = new ArrayList<>();
        ties().forEach((pair, tie) -> {
            Drying first = drying.get(pair.one);
            Drying then = drying.get(pair.other);
            if (tie == Tie.BESIDE) {
                pairs.add(new HandOrder.Pair(pair.one, pair.other, first.touchDry(), then.touchDry()));
            } else {
                arcs.add(new HandOrder.Arc(pair.one, pair.other, tie.touchIsEnough() ? first.touchDry() : first.recoat()));
            }
        });
        return new HandOrder.Problem(work, arcs, pairs);
    }

    private record Two(int one, int other) {}

    /** What holds passes apart, by pairs, the first first unless either may come first; the strictest counts. */
    private Map<Two, Tie> ties() {
        Map<Two, Tie> found = new LinkedHashMap<>();
        for (int[] own : jobsOf) {
            for (int k = 1; k < own.length; k++) {
                tie(found, passOf[own[k - 1]], passOf[own[k]], Tie.OWN);
            }
        }
        for (PaintOrder.Arrow arrow : order.arrows()) {
            if (lastJob(arrow.before()) != lastJob(arrow.then())) {
                tie(found, passOf[lastJob(arrow.before())], passOf[jobsOf.get(arrow.then())[0]], arrow.seam() ? Tie.SEAM : Tie.STACK);
            }
        }
        if (pencil >= 0) {
            for (int p = 0; p < pencil; p++) {
                boolean under = isUnder(p);
                tie(found, under ? p : pencil, under ? pencil : p, under ? Tie.GROUND : Tie.PENCIL);
            }
        }
        for (PaintOrder.Beside pair : order.beside()) {
            beside(found, pair.one(), pair.other());
        }
        for (PaintOrder.Arrow arrow : order.arrows()) {
            if (lastJob(arrow.before()) == lastJob(arrow.then())) {
                beside(found, arrow.before(), arrow.then());
            }
        }
        return found;
    }

    /** No coat of one lies wet beside a coat of the other. */
    private void beside(Map<Two, Tie> found, int one, int other) {
        for (int a : jobsOf.get(one)) {
            for (int b : jobsOf.get(other)) {
                if (!found.containsKey(new Two(passOf[b], passOf[a]))) {
                    tie(found, passOf[a], passOf[b], Tie.BESIDE);
                }
            }
        }
    }

    private static void tie(Map<Two, Tie> found, int one, int other, Tie tie) {
        if (one != other) {
            found.merge(new Two(one, other), tie, (a, b) -> a.compareTo(b) >= 0 ? a : b);
        }
    }

    private boolean isUnder(int pass) {
        Step.Kind kind = regions.get(members(pass).get(0).region()).kind();
        return kind == Step.Kind.PRIME || kind == Step.Kind.GROUND;
    }

    private void arrange(Habits.Hand hand) {
        HandOrder found = built.remembered().recall("order", problem(hand), TRIES, (problem, tries, m) -> HandOrder.of(problem, tries));
        sequence = found.order();
        bound = found.bound();
    }

    /** Where a region lies on the way of the hand: from the upper left for the right hand, from the upper right for the left. */
    private static double alongTheHand(Region region, Habits.Hand hand) {
        Envelope box = region.place().getEnvelopeInternal();
        double x = (box.getMinX() + box.getMaxX()) / 2;
        double y = (box.getMinY() + box.getMaxY()) / 2;
        return 0.7 * y + (hand == Habits.Hand.RIGHT ? x : -x);
    }

    /** The painter's own order: passes it names in its order, each other one right after the one it followed. */
    private void follow(List<String> own) {
        Map<String, Integer> byKey = new HashMap<>();
        sequence.forEach(p -> byKey.put(keys.get(p), p));
        List<Integer> result = new ArrayList<>(own.stream().distinct().map(byKey::get).filter(p -> p != null).toList());
        for (int i = 0; i < sequence.size(); i++) {
            if (!result.contains(sequence.get(i))) {
                result.add(i == 0 ? 0 : result.indexOf(sequence.get(i - 1)) + 1, sequence.get(i));
            }
        }
        sequence = result;
        int[] place = new int[passes.size()];
        for (int i = 0; i < result.size(); i++) {
            place[result.get(i)] = i;
        }
        List<Broken> found = new ArrayList<>();
        Set<Two> seen = new HashSet<>();
        for (PaintOrder.Arrow arrow : order.arrows()) {
            int first = passOf[lastJob(arrow.before())];
            int then = passOf[jobsOf.get(arrow.then())[0]];
            if (place[first] > place[then] && seen.add(new Two(first, then))) {
                found.add(new Broken(arrow.before(), arrow.then(), arrow));
            }
        }
        broken = found;
    }

    private List<Member> members(int pass) {
        return passes.get(pass).stream().flatMap(j -> jobs.get(j).stream()).toList();
    }

    // --- answers

    /** The passes in order. */
    List<Pass> list() {
        int[] place = new int[passes.size()];
        for (int i = 0; i < sequence.size(); i++) {
            place[sequence.get(i)] = i;
        }
        List<List<Link>> waits = new ArrayList<>();
        passes.forEach(p -> waits.add(new ArrayList<>()));
        ties().forEach((pair, tie) -> {
            int first = Math.min(place[pair.one], place[pair.other]);
            int then = Math.max(place[pair.one], place[pair.other]);
            waits.get(then).add(new Link(first, tie.waits));
        });
        List<Pass> list = new ArrayList<>();
        for (int i = 0; i < sequence.size(); i++) {
            int p = sequence.get(i);
            List<Member> members = members(p);
            list.add(new Pass(keys.get(p), members, members.size() > 1 && passes.get(p).size() == 1,
                    waits.get(i).stream().sorted((a, b) -> Integer.compare(a.pass, b.pass)).toList()));
        }
        return list;
    }

    /** What the painter's own order goes against: the regions of both. */
    List<Broken> broken() {
        return broken;
    }

    /** The regions one by one as the passes run. */
    List<Integer> oneByOne() {
        return sequence.stream().flatMap(p -> members(p).stream()).map(Member::region).distinct().toList();
    }

    /** No order ends sooner. */
    Duration bound() {
        return bound;
    }
}
