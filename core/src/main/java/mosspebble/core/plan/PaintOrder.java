package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.IntStream;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Cells;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Share;
import org.locationtech.jts.algorithm.Area;
import org.locationtech.jts.algorithm.PointLocation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;

/**
 * What must be painted before what, and what only not beside its wet neighbour. Where one area is set on another, all its coats come after
 * all of the other's; where two areas share but a seam, either may come first and the other follows once it is touch-dry. What has the same
 * colour never waits beside itself.
 */
public final class PaintOrder {

    /** An overlap no wider than this is a seam, mm (common practice, no source: about twice what paint runs under its neighbour). */
    private static final double SEAM_MM = 2;

    /** An area of no more than this mean width, mm, that meets so many others of other colours is a net (common practice, no source). */
    private static final double NET_MM = 4;
    private static final int LEAST_MET = 3;

    /** It runs on for at least so many times its mean width; what is shorter is a small thing (common practice, no source). */
    private static final double RUNS = 12;

    /**
     * What is nowhere wider than so many times its mean width is evenly narrow (common practice, no source: leads and gills, with their
     * crossings and corners, have up to 1.9; what is left of hills and bodies behind other things 2.1 to 5).
     */
    private static final double EVENLY = 2;

    /**
     * What lies behind others and is not evenly narrow is a net if it runs on so many times its mean width in one piece (common practice,
     * no source: broken edges run on 70 to 110 times, leads 150 and more; what is left of hills and bodies behind other things 10 to 40).
     */
    private static final double RUNS_ROUND = 55;

    /** What lies on a net with more of itself is set on it, and does not end at it. */
    private static final double ALONGSIDE = 0.9;

    /** Rank of what is drawn when all areas are done. */
    private static final int LINES = 4;

    /** What stands in a gap of another is small up to this size, mm2 (common practice, no source). */
    private static final double SMALL_MM2 = 200;

    /** What has so much of its border against one other is set into it (common practice, no source). */
    private static final double SURROUNDED = 0.8;

    private static final int PAIR = 2;

    /** A plain seam is not longer than so many times the way across it (common practice, no source). */
    private static final double PLAIN = 1.8;

    /** What lies on another with so much of itself is set on it, however small it is. */
    private static final double INSIDE = 0.6;

    /** A line covers a seam from this share of its cells on. */
    private static final double COVERED = 0.6;

    /**
     * One region before another, as indices of the regions given.
     *
     * @param seam whether they share but a seam, so that touch-dry is enough
     */
    record Arrow(int before, int then, Because because, boolean seam) {}

    /** Two regions that may come in either order, the second once the first is touch-dry. */
    record Beside(int one, int other) {}

    /** One not before another though they need not touch: small and light things come last, so that the hand stays off them. */
    record Later(int before, int then) {}

    /**
     * The front one's edge is what is seen, whether or not a line follows it, since that hides but half of what runs under: the back one,
     * laid later, stops at it.
     */
    record Edge(int back, int front) {}

    /** Why one comes before another. */
    public enum Because {
        STANDS_ON_GROUND, LIES_ON, OVER_FIRST, SHADES_FILLED, DRAWN_ON, HIDES_SEAMS, LIGHT_LAST, COMES_AFTER
    }

    private final List<Region> regions;
    private final List<Cells> cells;
    private final Alike alike;
    private final int seamSteps;
    private final double cellMm;
    private final Remembered remembered;
    private final Map<Integer, Net> networks = new HashMap<>();
    private final List<Arrow> overNet = new ArrayList<>();
    private final List<Arrow> wished = new ArrayList<>();
    private final List<Arrow> arrows = new ArrayList<>();
    private final List<Beside> beside = new ArrayList<>();
    private final List<Edge> edges = new ArrayList<>();
    private final List<Later> later = new ArrayList<>();

    private PaintOrder(List<Region> regions, List<Cells> cells, int seamSteps, double cellMm, Remembered remembered) {
        this.regions = regions;
        this.cells = cells;
        this.alike = new Alike(regions);
        this.seamSteps = seamSteps;
        this.cellMm = cellMm;
        this.remembered = remembered;
    }

    /**
     * @param cells what each region touches, in the same order
     * @param bleedCells cells over which wet paint bleeds
     */
    static PaintOrder of(List<Region> regions, List<Cells> cells, int bleedCells, Grid grid, Remembered remembered) {
        PaintOrder order = new PaintOrder(regions, cells, Math.max(1, (int) Math.round(SEAM_MM / 2 / grid.cellMm())), grid.cellMm(),
                remembered);
        order.draw(cells.stream().map(c -> c.spread(bleedCells, grid)).toList());
        return order;
    }

    List<Arrow> arrows() {
        return arrows;
    }

    List<Beside> beside() {
        return beside;
    }

    List<Edge> edges() {
        return edges;
    }

    List<Later> later() {
        return later;
    }

    /** The regions one by one as the arrows run: the earlier kind of work first, then the deeper. */
    List<Integer> oneByOne() {
        int n = regions.size();
        int[] needs = new int[n];
        List<List<Integer>> then = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            then.add(new ArrayList<>());
        }
        for (Arrow arrow : arrows) {
            needs[arrow.then]++;
            then.get(arrow.before).add(arrow.then);
        }
        PriorityQueue<Integer> free = new PriorityQueue<>(Comparator.comparing((Integer i) -> rank(regions.get(i)))
                .thenComparing(i -> regions.get(i).depth()).thenComparing(i -> i));
        for (int i = 0; i < n; i++) {
            if (needs[i] == 0) {
                free.add(i);
            }
        }
        List<Integer> order = new ArrayList<>();
        while (!free.isEmpty()) {
            int i = free.poll();
            order.add(i);
            for (int j : then.get(i)) {
                if (--needs[j] == 0) {
                    free.add(j);
                }
            }
        }
        return order;
    }

    private boolean runsInACircle() {
        return oneByOne().size() < regions.size();
    }

    /** The same with arrows turned where a painter's own order goes against them. */
    PaintOrder following(List<Integer> order) {
        PaintOrder turned = new PaintOrder(regions, cells, seamSteps, cellMm, remembered);
        for (Arrow arrow : arrows) {
            boolean against = order.indexOf(arrow.before) > order.indexOf(arrow.then);
            turned.arrows.add(against ? new Arrow(arrow.then, arrow.before, arrow.because, arrow.seam) : arrow);
        }
        turned.beside.addAll(beside);
        turned.edges.addAll(edges);
        return turned;
    }

    private void draw(List<Cells> wide) {
        List<Cells> lines = new ArrayList<>();
        for (int i = 0; i < regions.size(); i++) {
            if (regions.get(i).kind() == Step.Kind.OUTLINE) {
                lines.add(cells.get(i));
            }
        }
        networks();
        for (int j = 0; j < regions.size(); j++) {
            for (int i = 0; i < j; i++) {
                if (cells.get(i).intersects(cells.get(j))) {
                    overlapping(i, j, lines);
                } else if (blockedInFirst(regions.get(i), regions.get(j))) {
                    arrows.add(new Arrow(i, j, because(regions.get(i), regions.get(j)), true));
                } else if (blockedInFirst(regions.get(j), regions.get(i))) {
                    arrows.add(new Arrow(j, i, because(regions.get(j), regions.get(i)), true));
                } else if (!sameColour(i, j) && wide.get(i).intersects(cells.get(j))) {
                    beside.add(new Beside(i, j));
                }
                lightLast(i, j);
            }
        }
        linesOnNothing();
        if (runsInACircle()) { // a net that something else must lie on
            arrows.removeAll(overNet);
            overNet.forEach(a -> {
                beside.add(new Beside(a.before, a.then));
                if (comesFirst(regions.get(a.before), regions.get(a.then))) {
                    edges.add(new Edge(a.before, a.then));
                }
            });
        }
        if (runsInACircle()) { // materials that lie on each other by turns
            arrows.removeAll(wished);
            wished.forEach(this::wishedIfItCanBe);
        }
    }

    /** Of wishes that run in a circle the last is given up. */
    private void wishedIfItCanBe(Arrow arrow) {
        arrows.add(arrow);
        if (runsInACircle()) {
            arrows.remove(arrows.size() - 1);
            beside.add(new Beside(arrow.before, arrow.then));
        }
    }

    /** An order that is wished at a seam, and given up where it cannot be had. */
    private void wished(Arrow arrow) {
        wished.add(arrow);
        arrows.add(arrow);
    }

    /** Lines on the bare stone, such as those of a shape left free, come when the areas round them are done. */
    private void linesOnNothing() {
        for (int line = 0; line < regions.size(); line++) {
            int own = line;
            if (regions.get(line).kind() == Step.Kind.DETAIL && regions.get(line).isLine()
                    && arrows.stream().noneMatch(a -> a.then == own)
                    && arrows.stream().noneMatch(a -> a.before == own && rank(regions.get(a.then)) < LINES)) {
                for (int i = 0; i < regions.size(); i++) {
                    if (regions.get(i).kind() == Step.Kind.FILL) {
                        later.add(new Later(i, line));
                    }
                }
            }
        }
    }

    /** Whether a material comes exactly where it lies in the stack, seams too: what keeps others apart, and what no paint holds on. */
    private static boolean keepsItsPlace(Region region) {
        return switch (region.what().share().kind()) {
            case ISOLATED, GEL, POWDER, SIZE, LEAF, GLUE, GEM, CRACKLE, CRACKED -> true;
            default -> false;
        };
    }

    /** Lines when the areas are done, lights when the lines are. */
    private void lightLast(int i, int j) {
        boolean first = rank(regions.get(i)) < rank(regions.get(j));
        Region early = regions.get(first ? i : j);
        Region late = regions.get(first ? j : i);
        if (rank(late) >= LINES && rank(early) < rank(late) && early.kind() != Step.Kind.LINE_FIRST) {
            later.add(first ? new Later(i, j) : new Later(j, i));
        }
    }

    /**
     * Narrow areas that run between many others, such as leads and broken edges: they cover the seams, so they come after them. What stands
     * before an area of which little is left, such as trees before a hill, is laid on it.
     */
    private void networks() {
        for (int i = 0; i < regions.size(); i++) {
            Region net = regions.get(i);
            if (net.kind() == Step.Kind.FILL && isArea(net) && net.hides() && net.what().share().kind() == Share.Kind.WHOLE
                    && runsBetween(net.place())) {
                boolean round = remembered.recall("runs round", net.place(), (place, m) -> runsRound(place));
                boolean frame = round
                        || remembered.recall("even", net.place(), (place, m) -> !Tools.widerThan(place, EVENLY * meanMm(place)));
                Set<Integer> met = new HashSet<>(); // pieces of a blend are one
                for (int j = 0; j < regions.size() && met.size() < LEAST_MET; j++) {
                    Region other = regions.get(j);
                    if (j != i && other.kind() == Step.Kind.FILL && isArea(other) && !sameColour(i, j)
                            && cells.get(i).intersects(cells.get(j)) && (frame || comesFirst(other, net))) {
                        met.add(other.part());
                    }
                }
                if (met.size() >= LEAST_MET) {
                    networks.put(i, new Net(frame, round));
                }
            }
        }
    }

    /**
     * What covers the edges of others.
     *
     * @param frame whether also of those that stand before it
     * @param round whether it runs on and on round them
     */
    private record Net(boolean frame, boolean round) {}

    /** Whether a net covers the edge of another area, which only ends at it and is not set on it. */
    private boolean parts(int net, int other, boolean seam, Cells both) {
        boolean covers = networks.get(net).frame || comesFirst(regions.get(other), regions.get(net));
        boolean sliver = both != null && networks.get(net).round && both.count() < ALONGSIDE * cells.get(other).count();
        return covers && (seam || sliver); // a sliver has little but seams
    }

    private static boolean runsRound(Geometry place) {
        double walls = 1.1 * Regions.UNDERLAP; // paint that only runs under what stands side by side in it
        Geometry bare = Shapes.grown(Shapes.grown(place, -walls), walls);
        return !bare.isEmpty() && longestMm(bare) > RUNS_ROUND * meanMm(bare);
    }

    /** Whether an area is narrow and goes on for long in one piece: half its border is its run, its area by that its mean width. */
    private static boolean runsBetween(Geometry place) {
        double wideMm = meanMm(place);
        return wideMm < NET_MM && longestMm(place) > RUNS * wideMm;
    }

    /** How far the longest piece runs. */
    private static double longestMm(Geometry place) {
        return IntStream.range(0, place.getNumGeometries()).mapToDouble(i -> place.getGeometryN(i).getLength() / 2).max().orElse(0);
    }

    private static double meanMm(Geometry place) {
        return place.getArea() / (place.getLength() / 2);
    }

    private void overlapping(int i, int j, List<Cells> lines) {
        boolean areas = isArea(regions.get(i)) && isArea(regions.get(j));
        Cells both = areas ? cells.get(i).and(cells.get(j)) : null;
        boolean seam = areas && !both.widerThan(seamSteps) && both.count() < INSIDE * Math.min(cells.get(i).count(), cells.get(j).count());
        if (sameColour(i, j) && (seam || regions.get(i).sameLoad(regions.get(j)))) {
            return; // the same paint beside itself, or on itself
        }
        boolean first = comesFirst(regions.get(i), regions.get(j));
        if (alike.together(regions.get(i), regions.get(j))) {
            return;
        }
        if (alike.comesFirst(regions.get(i), regions.get(j)) || alike.comesFirst(regions.get(j), regions.get(i))) {
            boolean earlier = alike.comesFirst(regions.get(i), regions.get(j));
            wished(new Arrow(earlier ? i : j, earlier ? j : i, Because.LIES_ON, false));
            return;
        }
        if (keepsItsPlace(regions.get(i)) || keepsItsPlace(regions.get(j))) { // nor does paint beside powder run over it
            Arrow arrow = new Arrow(first ? i : j, first ? j : i, Because.LIES_ON, false);
            if (seam) {
                wished(arrow);
            } else {
                arrows.add(arrow);
            }
            return;
        }
        if (stopsShort(regions.get(first ? i : j), regions.get(first ? j : i))) {
            if (!sameColour(i, j)) {
                beside.add(new Beside(i, j));
            }
            return;
        }
        int net = networks.containsKey(i) ? i : j;
        int met = net == i ? j : i;
        if (networks.containsKey(i) != networks.containsKey(j) && regions.get(i).kind() == Step.Kind.FILL
                && regions.get(j).kind() == Step.Kind.FILL && parts(net, met, seam, both)) {
            Arrow arrow = new Arrow(met, net, Because.HIDES_SEAMS, true);
            overNet.add(arrow);
            arrows.add(arrow);
            if (comesFirst(regions.get(net), regions.get(met))) {
                edges.add(new Edge(net, met));
            }
            return;
        }
        boolean ground = regions.get(i).kind() == Step.Kind.GROUND || regions.get(j).kind() == Step.Kind.GROUND;
        boolean free = seam && !ground && regions.get(i).part() != regions.get(j).part() // nobody paints a ground round what is done
                && !isSetInto(regions.get(first ? j : i), regions.get(first ? i : j), both)
                && (covered(both, lines) || isPlain(both, regions.get(i).place(), regions.get(j).place()));
        if (free && !regions.get(first ? j : i).isClear()) {
            edges.add(first ? new Edge(i, j) : new Edge(j, i));
        }
        if (free || !first && !comesFirst(regions.get(j), regions.get(i))) {
            if (!sameColour(i, j)) {
                beside.add(new Beside(i, j));
            }
            return;
        }
        int before = first ? i : j;
        int then = first ? j : i;
        arrows.add(new Arrow(before, then, because(regions.get(before), regions.get(then)), seam));
    }

    /** A line of what is behind ends at what lies in front: they only touch. */
    private static boolean stopsShort(Region line, Region front) {
        return line.kind() == Step.Kind.DETAIL && line.isLine() && front.kind() == Step.Kind.FILL && !front.isClear()
                && front.part() > line.part();
    }

    /** Whether a small area stands in a gap of another, like a pupil in an eye: it comes when that is finished. */
    private boolean isSetInto(Region small, Region around, Cells seam) {
        if (small.place().getArea() > SMALL_MM2) {
            return false;
        }
        boolean alone = small.wetGroup() < 0 && around.wetGroup() < 0 && small.what().row().size() <= PAIR; // rows stay together
        if (alone && seamMm(seam) >= SURROUNDED * small.place().getLength()) {
            return true;
        }
        Coordinate middle = small.place().getEnvelopeInternal().centre();
        for (int i = 0; i < around.place().getNumGeometries(); i++) {
            Polygon one = (Polygon) around.place().getGeometryN(i);
            for (int k = 0; k < one.getNumInteriorRing(); k++) {
                LinearRing gap = one.getInteriorRingN(k);
                if (gap.getEnvelopeInternal().contains(middle)
                        && PointLocation.isInRing(middle, gap.getCoordinates())
                        && Area.ofRing(gap.getCoordinates()) < 2 * small.place().getArea()) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether a seam runs plainly, so that a hand follows it as well from either side: not round and round nor in and out. */
    private boolean isPlain(Cells seam, Geometry one, Geometry other) {
        Envelope both = one.getEnvelopeInternal().intersection(other.getEnvelopeInternal());
        return seamMm(seam) <= PLAIN * Math.hypot(both.getWidth(), both.getHeight());
    }

    private double seamMm(Cells seam) {
        return seam.count() * cellMm * cellMm / Regions.UNDERLAP;
    }

    private boolean sameColour(int i, int j) {
        return regions.get(i).colour().mix().equals(regions.get(j).colour().mix());
    }

    private static boolean isArea(Region region) {
        return !region.isLine()
                && (region.kind() == Step.Kind.FILL || region.kind() == Step.Kind.GROUND || region.kind() == Step.Kind.SHADE);
    }

    private static boolean covered(Cells seam, List<Cells> lines) {
        int under = 0;
        for (Cells line : lines) {
            under += seam.common(line);
        }
        return under >= COVERED * seam.count();
    }

    private static Because because(Region first, Region then) {
        return switch (then.kind()) {
            case FILL -> first.kind() == Step.Kind.GROUND ? Because.STANDS_ON_GROUND : Because.LIES_ON;
            case GROUND -> Because.OVER_FIRST;
            case SHADE -> Because.SHADES_FILLED;
            case DETAIL, LINE_FIRST -> Because.DRAWN_ON;
            case OUTLINE -> Because.HIDES_SEAMS;
            case HIGHLIGHT -> Because.LIGHT_LAST;
            default -> Because.COMES_AFTER;
        };
    }

    /** Whether both belong to the same blend and only one is worked in wet: that one comes after all that is blocked in. */
    private static boolean blockedInFirst(Region a, Region b) {
        return a.kind() == b.kind() && a.wetGroup() < 0 && b.wetGroup() >= 0 && a.hides() && a.part() == b.part();
    }

    private static boolean comesFirst(Region a, Region b) {
        return rank(a) != rank(b) ? rank(a) < rank(b) : a.depth() < b.depth();
    }

    /** Grounds, first lines, then part by part with its shades and lines, then outlines and light. */
    private static int rank(Region region) {
        return switch (region.kind()) {
            case PRIME -> 0;
            case GROUND -> 1;
            case LINE_FIRST -> 2;
            case OUTLINE -> LINES;
            case HIGHLIGHT -> LINES + 1;
            default -> 3;
        };
    }
}
