package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mosspebble.core.colour.Mix;
import mosspebble.core.drying.Drying;
import mosspebble.core.project.Habits;
import mosspebble.core.sketch.PartName;
import mosspebble.core.timetable.HandOrder;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * Every coat of every region on one surface, as work for the hand: what is worked wet together is one job. What holds jobs apart, which may
 * be one pass, and the problem of the order that passes of them make.
 */
final class Jobs {

    /** Begins the row of the letters of a word. */
    static final String WORD = "word ";

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

    /** Why two passes do not come right after each other; the later ones are stricter. */
    enum Tie {
        /** Only not before it. */
        LAST(Step.Waits.ALL_PAINTED),
        /** Either may come first, the other when it is touch-dry. */
        BESIDE(Step.Waits.WOULD_BLEED), SEAM(Step.Waits.WOULD_BLEED), PENCIL(Step.Waits.BEFORE_PAINT), STACK(Step.Waits.LIES_BELOW),
        OWN(Step.Waits.OWN_COAT), GROUND(Step.Waits.DRY_GROUND);

        final Step.Waits waits;

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

    /** One job held back by another. */
    record Held(int first, int then, Tie tie) {}

    /** What a job is for the hand. */
    record Own(double minutes, Drying drying, Mix mix, Tool tool, double near, double depth) {}

    private final List<Region> regions;
    private final List<CoatCount.Coats> coats;
    private final PaintOrder order;
    private final BuildUp built;
    final List<List<Member>> all = new ArrayList<>();
    /** The jobs of each region, coat by coat. */
    final List<int[]> byRegion = new ArrayList<>();
    /** The jobs that each waits for. */
    final List<BitSet> after = new ArrayList<>();
    /** What holds jobs apart. */
    private final List<Held> held = new ArrayList<>();
    final List<Own> own = new ArrayList<>();
    /** The row of which each is one, or nothing. */
    final List<String> rowOf = new ArrayList<>();
    /** Regions that lie on a ground or primer. */
    private final BitSet onUnder = new BitSet();

    /** @param coats of each region */
    Jobs(List<Region> regions, List<CoatCount.Coats> coats, PaintOrder order, BuildUp built, Habits.Hand hand) {
        this.regions = regions;
        this.coats = coats;
        this.order = order;
        this.built = built;
        split();
        tie();
        measure(hand);
    }

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
            byRegion.add(own);
        }
    }

    private int job(List<Member> members) {
        all.add(members);
        return all.size() - 1;
    }

    private Member member(int region, int coat) {
        return new Member(region, coat, coats.get(region).places().get(coat - 1));
    }

    /** Whether its colours are worked wet into each other; several that are only blocked in lie side by side. */
    boolean isWet(List<Member> job) {
        return job.size() > 1 && job.stream().anyMatch(m -> regions.get(m.region()).wetGroup() >= 0);
    }

    /** Works out what holds jobs apart. */
    private void tie() {
        all.forEach(j -> after.add(new BitSet()));
        for (int[] one : byRegion) {
            for (int k = 1; k < one.length; k++) {
                held.add(new Held(one[k - 1], one[k], Tie.OWN));
            }
        }
        for (PaintOrder.Arrow arrow : order.arrows()) {
            int first = lastJob(arrow.before());
            if (first == lastJob(arrow.then())) {
                beside(arrow.before(), arrow.then());
            } else {
                held.add(new Held(first, byRegion.get(arrow.then())[0], arrow.seam() ? Tie.SEAM : Tie.STACK));
            }
        }
        order.beside().forEach(b -> beside(b.one(), b.other()));
        order.later().forEach(l -> held.add(new Held(lastJob(l.before()), byRegion.get(l.then())[0], Tie.LAST)));
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
        for (int a : byRegion.get(one)) {
            for (int b : byRegion.get(other)) {
                held.add(new Held(a, b, Tie.BESIDE));
            }
        }
    }

    private void measure(Habits.Hand hand) {
        double parts = 1 + Math.max(0, regions.stream().mapToInt(Region::part).max().orElse(0));
        Map<List<Object>, Double> deep = regions.stream()
                .collect(Collectors.groupingBy(Jobs::siblings, Collectors.averagingDouble(r -> r.part() / parts)));
        for (List<Member> job : all) {
            BuildUp.Effort effort = built.effort(job, regions);
            rowOf.add(row(job));
            own.add(new Own(effort.painting().toSeconds() / 60.0,
                    built.drying(job, regions, coats, job.stream().anyMatch(m -> m.coat() == 1 && coats.get(m.region()).onBare())),
                    regions.get(job.get(0).region()).colour().mix(), effort.tool(),
                    job.stream().mapToDouble(m -> alongTheHand(regions.get(m.region()), hand)).min().orElse(0),
                    job.stream().map(m -> regions.get(m.region())).mapToDouble(r -> lying(r, Math.max(0, deep.get(siblings(r))))).average()
                            .orElse(0)));
        }
    }

    /** How deep a pass lies: lights on everything, lines half way from their part to that, for they come when its areas are shaded. */
    private static double lying(Region region, double part) {
        return switch (region.kind()) {
            case HIGHLIGHT -> 1;
            case DETAIL -> (1 + part) / 2;
            default -> part;
        };
    }

    /** What tells a row of parts of one thing from all others: none of them lies deeper than another. */
    private static List<Object> siblings(Region region) {
        What what = region.what();
        return what.part().isEmpty() ? List.of(region.part())
                : List.of(what.row().thing(), what.row().title(), PartName.of(what.part()).stem().replaceAll("\\d+$", ""));
    }

    private Geometry last(int region) {
        return coats.get(region).places().get(coats.get(region).number() - 1);
    }

    int lastJob(int region) {
        int[] own = byRegion.get(region);
        return own[own.length - 1];
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

    /** The jobs as they wait for each other. */
    List<Integer> sorted() {
        List<Integer> sorted = new ArrayList<>();
        BitSet done = new BitSet();
        List<Integer> open = new ArrayList<>(IntStream.range(0, all.size()).boxed().toList());
        open.sort((a, b) -> {
            Region one = regions.get(all.get(a).get(0).region());
            Region other = regions.get(all.get(b).get(0).region());
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

    boolean sameLoad(int job, int other) {
        List<Member> some = all.get(job);
        List<Member> others = all.get(other);
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

    String name(Member member) {
        Region region = regions.get(member.region());
        return region.kind() + " " + region.what().id() + " " + region.colour().mix().parts().get(0).paint()
                + (member.coat() > 1 ? " coat " + member.coat() : "");
    }

    String key(List<Member> job, Map<String, Integer> names) {
        String key = name(job.get(0));
        int number = names.merge(key, 1, Integer::sum);
        return number == 1 ? key : key + " " + number;
    }

    // --- the order

    /**
     * @param assigned the pass of each job, numbered without gaps
     * @param mixing whether the first pass of a load mixes it; which one that is, the order decides, so a bound leaves it out
     */
    HandOrder.Problem problem(int[] assigned, boolean pencilledAgain, boolean mixing) {
        int n = Arrays.stream(assigned).max().orElse(-1) + 1;
        double[] minutes = new double[n];
        double[] near = new double[n];
        double[] depth = new double[n];
        int[] members = new int[n];
        Arrays.fill(near, Double.POSITIVE_INFINITY);
        Drying[] drying = new Drying[n];
        Mix[] mix = new Mix[n];
        Tool[] tool = new Tool[n];
        for (int job = 0; job < all.size(); job++) {
            int p = assigned[job];
            Own one = own.get(job);
            minutes[p] += one.minutes;
            near[p] = Math.min(near[p], one.near);
            depth[p] += one.depth;
            members[p]++;
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
                    tools.computeIfAbsent(tool[p], t -> tools.size()), near[p], depth[p] / members[p]));
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
            work.add(new HandOrder.Job(PENCIL, Duration.ZERO, -1, -1, Double.NEGATIVE_INFINITY, -1));
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

    /** Two passes. */
    record Two(int one, int other) {}

    /** What holds passes apart, by pairs, the first first unless either may come first; the strictest counts. */
    Map<Two, Tie> ties(int[] assigned) {
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

    boolean isUnder(int[] assigned, int pass) {
        int job = anyJob(assigned, pass);
        Step.Kind kind = regions.get(all.get(job).get(0).region()).kind();
        return kind == Step.Kind.PRIME || kind == Step.Kind.GROUND;
    }

    /** Whether something of it is drawn on what the first grounds cover. */
    boolean isPencilledOn(int[] assigned, int pass) {
        return IntStream.range(0, all.size()).filter(j -> assigned[j] == pass)
                .anyMatch(j -> all.get(j).stream().anyMatch(m -> onUnder.get(m.region())));
    }

    int anyJob(int[] assigned, int pass) {
        return IntStream.range(0, all.size()).filter(j -> assigned[j] == pass).findFirst().orElseThrow();
    }

    /** Where a region lies on the way of the hand: from the upper left for the right hand, from the upper right for the left. */
    private static double alongTheHand(Region region, Habits.Hand hand) {
        Envelope box = region.place().getEnvelopeInternal();
        double x = (box.getMinX() + box.getMaxX()) / 2;
        double y = (box.getMinY() + box.getMaxY()) / 2;
        return 0.7 * y + (hand == Habits.Hand.RIGHT ? x : -x);
    }
}
