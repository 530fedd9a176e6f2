package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import mosspebble.core.blend.Share;
import mosspebble.core.colour.Mix;
import mosspebble.core.drying.Drying;
import mosspebble.core.project.Habits;
import mosspebble.core.sketch.PartName;
import mosspebble.core.timetable.HandOrder;
import org.locationtech.jts.geom.Envelope;
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

    /** What the pencil takes for the order, until the drawing is measured. */
    private static final Duration PENCIL = Duration.ofMinutes(4);

    /**
     * One coat on one region.
     *
     * @param stopsAt what lies in front and is painted already
     */
    record Member(int region, int coat, Geometry place, List<Geometry> stopsAt) {
        Member(int region, int coat, Geometry place) {
            this(region, coat, place, List.of());
        }
    }

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
        /** Only not before it. */
        LAST(Step.Waits.ALL_PAINTED),
        /** Either may come first, the other when it is touch-dry. */
        BESIDE(Step.Waits.WOULD_BLEED), SEAM(Step.Waits.WOULD_BLEED), PENCIL(Step.Waits.BEFORE_PAINT), STACK(Step.Waits.LIES_BELOW),
        OWN(Step.Waits.OWN_COAT), GROUND(Step.Waits.DRY_GROUND);

        private final Step.Waits waits;

        Tie(Step.Waits waits) {
            this.waits = waits;
        }

        /** What holds two passes apart that are held by both. */
        Tie both(Tie other) {
            Tie strict = compareTo(other) >= 0 ? this : other;
            return strict == BESIDE && (this == LAST || other == LAST) ? SEAM : strict; // not beside it while wet, and not before it
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
    /** What holds jobs apart. */
    private final List<Held> held = new ArrayList<>();
    private final List<Own> own = new ArrayList<>();
    private final List<String> rowOf = new ArrayList<>();
    private static final String WORD = "word ";

    /** Regions that lie on a ground or primer. */
    private final BitSet onUnder = new BitSet();
    /** The pass of each job, numbered as they are found. */
    private int[] passOf = new int[0];
    private int passes;
    private int pencil = -1;
    private final List<String> keys = new ArrayList<>();
    private List<Integer> sequence = List.of();
    private List<Broken> broken = List.of();
    private Duration bound = Duration.ZERO;

    /** One job held back by another. */
    private record Held(int first, int then, Tie tie) {}

    /** What a job is for the hand. */
    private record Own(double minutes, Drying drying, Mix mix, Tool tool, double near) {}

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
        passes.tie();
        passes.measure(hand);
        passes.gather();
        passes.improve(pencilledAgain);
        passes.arrange(pencilledAgain);
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
            if (join.wetGroup() >= 0 && !join.what().share().isSet() && base.wetGroup() < 0 && base.hides() && base.kind() == join.kind()
                    && base.part() == join.part()
                    && groupOf[arrow.before()] < 0) {
                groupOf[arrow.before()] = join.wetGroup();
                wet.get(join.wetGroup()).add(arrow.before());
            }
        }
        Map<Integer, Integer> worked = new HashMap<>();
        Map<List<Integer>, Integer> blockedIn = new HashMap<>();
        for (int i = 0; i < regions.size(); i++) {
            int region = i;
            int group = groupOf[i];
            int n = coats.get(i).number();
            int[] own = new int[n];
            for (int k = 0; k < n; k++) {
                int coat = k + 1;
                own[k] = group < 0 ? job(List.of(member(i, coat)))
                        : coat == n ? worked.computeIfAbsent(group, g -> job(wet.get(g).stream()
                                .sorted((a, b) -> regions.get(a).wetGroup() != regions.get(b).wetGroup()
                                        ? Integer.compare(regions.get(a).wetGroup(), regions.get(b).wetGroup())
                                        : Integer.compare(regions.get(a).depth(), regions.get(b).depth()))
                                .map(r -> new Member(r, coats.get(r).number(), last(r))).toList()))
                        : blockedIn.computeIfAbsent(List.of(group, regions.get(region).part(), coat), g -> job(wet.get(group).stream()
                                .filter(r -> regions.get(r).part() == regions.get(region).part() && coats.get(r).number() > coat)
                                .map(r -> member(r, coat)).toList()));
            }
            jobsOf.add(own);
        }
    }

    private int job(List<Member> members) {
        jobs.add(members);
        return jobs.size() - 1;
    }

    private Member member(int region, int coat) {
        return new Member(region, coat, coats.get(region).places().get(coat - 1));
    }

    /** Whether its colours are worked wet into each other; several that are only blocked in lie side by side. */
    private boolean isWet(List<Member> job) {
        return job.size() > 1 && job.stream().anyMatch(m -> regions.get(m.region()).wetGroup() >= 0);
    }

    /** Works out what holds jobs apart. */
    private void tie() {
        jobs.forEach(j -> after.add(new BitSet()));
        for (int[] one : jobsOf) {
            for (int k = 1; k < one.length; k++) {
                held.add(new Held(one[k - 1], one[k], Tie.OWN));
            }
        }
        for (PaintOrder.Arrow arrow : order.arrows()) {
            int first = lastJob(arrow.before());
            if (first == lastJob(arrow.then())) {
                beside(arrow.before(), arrow.then());
            } else {
                held.add(new Held(first, jobsOf.get(arrow.then())[0], arrow.seam() ? Tie.SEAM : Tie.STACK));
            }
        }
        order.beside().forEach(b -> beside(b.one(), b.other()));
        order.later().forEach(l -> held.add(new Held(lastJob(l.before()), jobsOf.get(l.then())[0], Tie.LAST)));
        for (PaintOrder.Arrow arrow : order.arrows()) {
            Step.Kind below = regions.get(arrow.before()).kind();
            if (below == Step.Kind.PRIME || below == Step.Kind.GROUND) {
                onUnder.set(arrow.then());
            }
        }
        held.stream().filter(h -> h.tie != Tie.BESIDE).forEach(h -> after.get(h.then).set(h.first));
    }

    /** No coat of one lies wet beside a coat of the other. */
    private void beside(int one, int other) {
        for (int a : jobsOf.get(one)) {
            for (int b : jobsOf.get(other)) {
                held.add(new Held(a, b, Tie.BESIDE));
            }
        }
    }

    private void measure(Habits.Hand hand) {
        for (List<Member> job : jobs) {
            BuildUp.Effort effort = built.effort(job, regions);
            rowOf.add(row(job));
            own.add(new Own(effort.painting().toSeconds() / 60.0,
                    built.drying(job, regions, coats, job.stream().anyMatch(m -> m.coat() == 1 && coats.get(m.region()).onBare())),
                    regions.get(job.get(0).region()).colour().mix(), effort.tool(),
                    job.stream().mapToDouble(m -> alongTheHand(regions.get(m.region()), hand)).min().orElse(0)));
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

    /** To begin with, everything of one load that does not wait for itself. */
    private void gather() {
        passOf = new int[jobs.size()];
        List<BitSet> before = new ArrayList<>(); // passes that each pass waits for, by whatever way
        List<Integer> first = new ArrayList<>();
        for (int job : sorted()) {
            BitSet needs = new BitSet();
            for (int b = after.get(job).nextSetBit(0); b >= 0; b = after.get(job).nextSetBit(b + 1)) {
                needs.set(passOf[b]);
                needs.or(before.get(passOf[b]));
            }
            int into = -1;
            for (int p = first.size() - 1; p >= 0 && into < 0; p--) {
                if (sameLoad(first.get(p), job) && !needs.get(p)) {
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
        int looks = Math.min(MOST_LOOKS, WORK / Math.max(1, jobs.size() * jobs.size()));
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
        for (int job : sorted()) {
            if (number[passOf[job]] < 0) {
                number[passOf[job]] = count++;
            }
        }
        for (int job = 0; job < jobs.size(); job++) {
            passOf[job] = number[passOf[job]];
        }
        passes = count;
    }

    /** Each job alone, each job in another pass of its load, each two passes of one load together. */
    private List<int[]> moves() {
        List<int[]> moves = new ArrayList<>();
        int[] size = new int[passes];
        Arrays.stream(passOf).forEach(p -> size[p]++);
        for (int job = 0; job < jobs.size(); job++) {
            if (size[passOf[job]] > 1) {
                moves.add(moved(job, passes));
            }
            BitSet seen = new BitSet();
            for (int other = 0; other < jobs.size(); other++) {
                int place = passOf[other];
                if (place != passOf[job] && !seen.get(place) && sameLoad(job, other)) {
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
        return HandOrder.ifPossible(problem(compact, pencilledAgain, true), FEW_TRIES)
                .map(o -> o.end().toSeconds() / 60.0 + PASS_COST * Arrays.stream(compact).distinct().count() + apart(compact))
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** What it costs that rows are taken apart. */
    private double apart(int[] assigned) {
        double cost = 0;
        Map<String, BitSet> passesOf = new HashMap<>();
        for (int job = 0; job < jobs.size(); job++) {
            if (!rowOf.get(job).isEmpty()) {
                passesOf.computeIfAbsent(rowOf.get(job), r -> new BitSet()).set(assigned[job]);
            }
        }
        for (Map.Entry<String, BitSet> row : passesOf.entrySet()) {
            cost += (row.getValue().cardinality() - 1) * (row.getKey().startsWith(WORD) ? WORD_COST : ROW_COST);
        }
        return cost;
    }

    /** What a job is one of: parts of one row, letters of one word, in one coat of one load; empty for what is alone. */
    private String row(List<Member> job) {
        if (isWet(job)) {
            return "";
        }
        Region region = regions.get(job.get(0).region());
        What what = region.what();
        String same = " " + region.kind() + " " + region.colour().mix() + " " + what.share() + " " + job.get(0).coat();
        PartName name = PartName.of(what.part());
        return name.letterOf().isPresent() ? WORD + what.row().thing() + same
                : what.row().size() > 1 ? what.row().title() + name.stem() + same : "";
    }

    private static int[] compact(int[] assigned) {
        Map<Integer, Integer> number = new HashMap<>();
        int[] compact = new int[assigned.length];
        for (int i = 0; i < assigned.length; i++) {
            compact[i] = number.computeIfAbsent(assigned[i], k -> number.size());
        }
        return compact;
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

    private boolean sameLoad(int job, int other) {
        List<Member> some = jobs.get(job);
        List<Member> others = jobs.get(other);
        Region one = regions.get(some.get(0).region());
        Region two = regions.get(others.get(0).region());
        if (isWet(some) || isWet(others)) {
            return some.size() == others.size() && IntStream.range(0, some.size())
                    .allMatch(k -> regions.get(some.get(k).region()).sameShare(regions.get(others.get(k).region())));
        }
        if (some.get(0).coat() != others.get(0).coat()) {
            return false;
        }
        if (some.size() > 1 || others.size() > 1) { // what is blocked in goes on with what takes one of its colours
            return some.size() > 1 && others.size() > 1 && one.kind() == two.kind()
                    && some.stream().anyMatch(a -> others.stream().anyMatch(b -> sameColour(a, b)));
        }
        boolean light = one.kind() == Step.Kind.HIGHLIGHT && two.kind() == Step.Kind.HIGHLIGHT; // touches and strokes of one pen
        return (light || coats.get(some.get(0).region()).thick() == coats.get(others.get(0).region()).thick()) && one.sameLoad(two);
    }

    private boolean sameColour(Member one, Member other) {
        return regions.get(one.region()).colour().mix().equals(regions.get(other.region()).colour().mix());
    }

    private String name(Member member) {
        Region region = regions.get(member.region());
        return region.kind() + " " + region.what().id() + " " + region.colour().mix().parts().get(0).paint()
                + (member.coat() > 1 ? " coat " + member.coat() : "");
    }

    private String key(List<Member> job, Map<String, Integer> names) {
        String key = name(job.get(0));
        int number = names.merge(key, 1, Integer::sum);
        return number == 1 ? key : key + " " + number;
    }

    // --- the order

    /**
     * @param assigned the pass of each job, numbered without gaps
     * @param mixing whether the first pass of a load mixes it; which one that is, the order decides, so a bound leaves it out
     */
    private HandOrder.Problem problem(int[] assigned, boolean pencilledAgain, boolean mixing) {
        int n = Arrays.stream(assigned).max().orElse(-1) + 1;
        double[] minutes = new double[n];
        double[] near = new double[n];
        Arrays.fill(near, Double.POSITIVE_INFINITY);
        Drying[] drying = new Drying[n];
        Mix[] mix = new Mix[n];
        Tool[] tool = new Tool[n];
        for (int job = 0; job < jobs.size(); job++) {
            int p = assigned[job];
            Own one = own.get(job);
            minutes[p] += one.minutes;
            near[p] = Math.min(near[p], one.near);
            drying[p] = drying[p] == null || one.drying.recoat().compareTo(drying[p].recoat()) > 0 ? one.drying : drying[p];
            mix[p] = one.mix;
            tool[p] = one.tool;
        }
        Map<Mix, Integer> loads = new HashMap<>();
        Map<Tool, Integer> tools = new HashMap<>();
        List<HandOrder.Job> work = new ArrayList<>();
        for (int p = 0; p < n; p++) {
            boolean first = mixing && !loads.containsKey(mix[p]);
            work.add(new HandOrder.Job(Duration.ofSeconds(Math.round(60 * (minutes[p] + BuildUp.setUp(mix[p], first)))),
                    drying[p].recoat(), loads.computeIfAbsent(mix[p], m -> loads.size()),
                    tools.computeIfAbsent(tool[p], t -> tools.size()), near[p]));
        }
        List<HandOrder.Arc> arcs = new ArrayList<>();
        List<HandOrder.Pair> pairs = new ArrayList<>();
        ties(assigned).forEach((pair, tie) -> {
            Drying before = drying[pair.one];
            if (tie == Tie.BESIDE) {
                pairs.add(new HandOrder.Pair(pair.one, pair.other, before.touchDry(), drying[pair.other].touchDry()));
            } else {
                arcs.add(new HandOrder.Arc(pair.one, pair.other,
                        tie == Tie.LAST ? Duration.ZERO : tie.touchIsEnough() ? before.touchDry() : before.recoat()));
            }
        });
        if (pencilledAgain) {
            work.add(new HandOrder.Job(PENCIL, Duration.ZERO, -1, -1, Double.NEGATIVE_INFINITY));
            for (int p = 0; p < n; p++) {
                if (isUnder(assigned, p)) {
                    arcs.add(new HandOrder.Arc(p, n, drying[p].recoat()));
                } else if (isPencilledOn(assigned, p)) {
                    arcs.add(new HandOrder.Arc(n, p, Duration.ZERO));
                }
            }
        }
        return new HandOrder.Problem(work, arcs, pairs);
    }

    private record Two(int one, int other) {}

    /** What holds passes apart, by pairs, the first first unless either may come first; the strictest counts. */
    private Map<Two, Tie> ties(int[] assigned) {
        Map<Two, Tie> found = new LinkedHashMap<>();
        for (Held each : held) {
            int one = assigned[each.first];
            int other = assigned[each.then];
            if (one != other) {
                found.merge(new Two(one, other), each.tie, Tie::both);
            } else if (each.tie != Tie.BESIDE) {
                found.put(new Two(one, one), each.tie); // it would wait for itself
            }
        }
        return found;
    }

    private boolean isUnder(int[] assigned, int pass) {
        int job = anyJob(assigned, pass);
        Step.Kind kind = regions.get(jobs.get(job).get(0).region()).kind();
        return kind == Step.Kind.PRIME || kind == Step.Kind.GROUND;
    }

    /** Whether something of it is drawn on what the first grounds cover. */
    private boolean isPencilledOn(int[] assigned, int pass) {
        return IntStream.range(0, jobs.size()).filter(j -> assigned[j] == pass)
                .anyMatch(j -> jobs.get(j).stream().anyMatch(m -> onUnder.get(m.region())));
    }

    private void arrange(boolean pencilledAgain) {
        HandOrder.Problem problem = problem(passOf, pencilledAgain, true);
        HandOrder answer = HandOrder.of(problem, TRIES);
        while (drawnTogether(answer, pencilledAgain)) {
            problem = problem(passOf, pencilledAgain, true);
            answer = HandOrder.of(problem, TRIES);
        }
        sequence = countedUp(problem, answer.order());
        bound = HandOrder.bound(problem(passOf, pencilledAgain, false));
        Map<String, Integer> names = new HashMap<>();
        for (int p = 0; p < passes; p++) {
            keys.add(key(members(p), names));
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
            if (one < passes && next < passes && sameLoad(anyJob(passOf, one), anyJob(passOf, next))) {
                int[] together = compact(Arrays.stream(passOf).map(p -> p == next ? one : p).toArray());
                if (HandOrder.ifPossible(problem(together, pencilledAgain, true), TRIES)
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

    private int anyJob(int[] assigned, int pass) {
        return IntStream.range(0, jobs.size()).filter(j -> assigned[j] == pass).findFirst().orElseThrow();
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
        for (int p : sequence) { // whoever led a pass of its own before is known by its own name
            if (p != pencil) {
                members(p).forEach(m -> byKey.putIfAbsent(name(m), p));
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
        Set<Two> seen = new HashSet<>();
        for (PaintOrder.Arrow arrow : order.arrows()) {
            int first = passOf[lastJob(arrow.before())];
            int then = passOf[jobsOf.get(arrow.then())[0]];
            boolean workedTogether = lastJob(arrow.before()) == lastJob(arrow.then());
            if (!workedTogether && place[first] > place[then] && seen.add(new Two(first, then))) {
                found.add(new Broken(arrow.before(), arrow.then(), arrow));
            }
        }
        broken = found;
    }

    private List<Member> members(int pass) {
        return IntStream.range(0, jobs.size()).filter(j -> passOf[j] == pass).boxed().flatMap(j -> jobs.get(j).stream())
                .sorted((a, b) -> Double.compare(own.get(jobsOf.get(a.region())[0]).near, own.get(jobsOf.get(b.region())[0]).near))
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
        ties(passOf).forEach((pair, tie) -> {
            if (tie == Tie.LAST) {
                return;
            }
            int first = Math.min(place[pair.one], place[pair.other]);
            int then = Math.max(place[pair.one], place[pair.other]);
            waits.get(then).add(new Link(first, tie.waits));
        });
        for (int p = 0; pencil >= 0 && p < pencil; p++) {
            boolean under = isUnder(passOf, p);
            if (under || isPencilledOn(passOf, p)) {
                waits.get(Math.max(place[p], place[pencil]))
                        .add(new Link(Math.min(place[p], place[pencil]), (under ? Tie.GROUND : Tie.PENCIL).waits));
            }
        }
        List<Pass> list = new ArrayList<>();
        for (int i = 0; i < sequence.size(); i++) {
            int p = sequence.get(i);
            List<Member> members = p == pencil ? List.of() : members(p);
            boolean wet = IntStream.range(0, jobs.size()).anyMatch(j -> passOf[j] == p && isWet(jobs.get(j)));
            list.add(new Pass(keys.get(p), (wet ? inTurn(p) : members).stream().map(m -> trimmed(m, place)).toList(), wet,
                    waits.get(i).stream().sorted((a, b) -> Integer.compare(a.pass, b.pass)).toList()));
        }
        return list;
    }

    /** Stops at the edges of what lies in front and is painted already. */
    private Member trimmed(Member member, int[] place) {
        int own = place[passOf[jobsOf.get(member.region())[member.coat() - 1]]];
        List<Geometry> front = order.edges().stream()
                .filter(e -> e.back() == member.region() && place[passOf[jobsOf.get(e.front())[0]]] < own)
                .map(e -> regions.get(e.front()).place()).toList();
        return front.isEmpty() ? member
                : new Member(member.region(), member.coat(), built.remembered().without(member.place(), front), front);
    }

    /** The members of what is worked wet, load by load. */
    private List<Member> inTurn(int pass) {
        List<List<Member>> wet = IntStream.range(0, jobs.size()).filter(j -> passOf[j] == pass).mapToObj(jobs::get)
                .sorted((a, b) -> Double.compare(own.get(jobsOf.get(a.get(0).region())[0]).near,
                        own.get(jobsOf.get(b.get(0).region())[0]).near))
                .toList();
        return IntStream.range(0, wet.get(0).size()).boxed().flatMap(k -> wet.stream().map(job -> job.get(k))).toList();
    }

    /** What the painter's own order goes against: the regions of both. */
    List<Broken> broken() {
        return broken;
    }

    /** The regions one by one as the passes run. */
    List<Integer> oneByOne() {
        return sequence.stream().filter(p -> p != pencil).flatMap(p -> members(p).stream()).map(Member::region).distinct().toList();
    }

    /** No order ends sooner. */
    Duration bound() {
        return bound;
    }
}
