package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Cells;
import mosspebble.core.area.Grid;
import mosspebble.core.project.Habits;
import org.locationtech.jts.geom.Envelope;

/**
 * The order of painting: a directed graph of what must come before what, walked by Kahn's method. Among what is free goes first the earlier
 * kind of work, what is wet together, what
 * lies not beside wet paint of another colour (so that crisp stripes alternate), the colour in hand, and then what lies where the hand
 * comes from. All that is free and takes the same
 * load goes into one step.
 */
public final class PaintOrder {

    /** One region before another, as indices of the regions given, and why. */
    record Arrow(int before, int after, Because because) {}

    /** Regions painted in one step. */
    record Group(String key, List<Integer> regions) {}

    /** Why one comes before another. */
    public enum Because {
        STANDS_ON_GROUND, LIES_ON, OVER_FIRST, SHADES_FILLED, DRAWN_ON, HIDES_SEAMS, LIGHT_LAST, COMES_AFTER
    }

    /** An arrow that the painter's own order goes against. */
    record Broken(Group first, Group then, Arrow arrow) {}

    /** How many steps back paint counts as wet for the order. */
    private static final int WET_STEPS = 2;

    private final List<Region> regions;
    private final List<Cells> cells;
    private final List<Cells> wide;
    private final Habits.Hand hand;
    private final List<Arrow> arrows = new ArrayList<>();
    private final List<List<Integer>> before = new ArrayList<>();
    private final List<BitSet> beside = new ArrayList<>();
    private final double[] reach;
    private List<Group> groups = new ArrayList<>();
    private List<Broken> broken = List.of();

    private PaintOrder(List<Region> regions, List<Cells> cells, int bleedCells, Grid grid, Habits.Hand hand) {
        this.regions = regions;
        this.cells = cells;
        this.hand = hand;
        this.wide = cells.stream().map(c -> c.spread(bleedCells, grid)).toList();
        this.reach = regions.stream().mapToDouble(this::alongTheHand).toArray();
    }

    /**
     * @param cells what each region touches, in the same order
     * @param bleedCells cells over which wet paint bleeds
     * @param own keys of steps in the painter's own order; empty for none
     */
    static PaintOrder of(List<Region> regions, List<Cells> cells, int bleedCells, Grid grid, Habits.Hand hand, List<String> own) {
        PaintOrder order = new PaintOrder(regions, cells, bleedCells, grid, hand);
        order.draw();
        order.walk();
        if (!own.isEmpty()) {
            order.follow(own);
        }
        return order;
    }

    /** Steps in order. */
    List<Group> groups() {
        return groups;
    }

    List<Arrow> arrows() {
        return arrows;
    }

    /** Arrows that the painter's own order breaks. */
    List<Broken> broken() {
        return broken;
    }

    /** Where a region lies on the way of the hand: from the upper left for the right hand, from the upper right for the left. */
    private double alongTheHand(Region region) {
        Envelope box = region.place().getEnvelopeInternal();
        double x = (box.getMinX() + box.getMaxX()) / 2;
        double y = (box.getMinY() + box.getMaxY()) / 2;
        return 0.7 * y + (hand == Habits.Hand.RIGHT ? x : -x);
    }

    private void draw() {
        int n = regions.size();
        for (int j = 0; j < n; j++) {
            before.add(new ArrayList<>());
            beside.add(new BitSet(n));
        }
        for (int j = 0; j < n; j++) {
            for (int i = 0; i < j; i++) {
                if (cells.get(i).intersects(cells.get(j))) {
                    if (comesFirst(regions.get(i), regions.get(j))) {
                        arrow(i, j);
                    } else if (comesFirst(regions.get(j), regions.get(i))) {
                        arrow(j, i);
                    }
                    mark(i, j);
                } else {
                    if (blockedInFirst(regions.get(i), regions.get(j))) {
                        arrow(i, j);
                    } else if (blockedInFirst(regions.get(j), regions.get(i))) {
                        arrow(j, i);
                    }
                    if (wide.get(i).intersects(cells.get(j))) {
                        mark(i, j);
                    }
                }
            }
        }
    }

    private void mark(int i, int j) {
        beside.get(i).set(j);
        beside.get(j).set(i);
    }

    private void arrow(int first, int then) {
        arrows.add(new Arrow(first, then, because(regions.get(first), regions.get(then))));
        before.get(then).add(first);
    }

    private static Because because(Region first, Region then) {
        return switch (then.kind()) {
            case FILL, MORE -> first.kind() == Step.Kind.GROUND ? Because.STANDS_ON_GROUND : Because.LIES_ON;
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
        return a.kind() == b.kind() && a.wetGroup() < 0 && b.wetGroup() >= 0 && a.hides()
                && Math.floorDiv(a.depth(), Region.LEVELS) == Math.floorDiv(b.depth(), Region.LEVELS);
    }

    private static boolean comesFirst(Region a, Region b) {
        return a.kind() != b.kind() ? a.kind().compareTo(b.kind()) < 0 : a.depth() < b.depth();
    }

    private void walk() {
        int n = regions.size();
        boolean[] done = new boolean[n];
        List<Group> found = new ArrayList<>();
        List<BitSet> wet = new ArrayList<>();
        Map<String, Integer> keys = new HashMap<>();
        int placed = 0;
        while (placed < n) {
            int best = -1;
            double[] bestRank = null;
            for (int i = 0; i < n; i++) {
                if (!done[i] && free(i, done)) {
                    double[] rank = rank(i, found, wet);
                    if (bestRank == null || less(rank, bestRank)) {
                        best = i;
                        bestRank = rank;
                    }
                }
            }
            List<Integer> together = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                if (!done[i] && free(i, done) && regions.get(best).sameStep(regions.get(i))) {
                    together.add(i);
                }
            }
            together.forEach(i -> done[i] = true);
            placed += together.size();
            together.sort((a, b) -> Double.compare(reach[a], reach[b]));
            BitSet touched = new BitSet(n);
            together.forEach(i -> touched.or(beside.get(i)));
            wet.add(touched);
            found.add(new Group(key(together, keys), List.copyOf(together)));
        }
        groups = found;
    }

    private String key(List<Integer> together, Map<String, Integer> keys) {
        Region first = regions.get(Collections.min(together));
        String key = first.kind() + " " + first.what().id() + " " + first.colour().mix().parts().get(0).paint();
        int number = keys.merge(key, 1, Integer::sum);
        return number == 1 ? key : key + " " + number;
    }

    private boolean free(int i, boolean[] done) {
        for (int b : before.get(i)) {
            if (!done[b]) {
                return false;
            }
        }
        return true;
    }

    private double[] rank(int i, List<Group> found, List<BitSet> wet) {
        Region region = regions.get(i);
        Region last = found.isEmpty() ? null : regions.get(found.get(found.size() - 1).regions().get(0));
        boolean goesOn = last != null && region.wetGroup() >= 0 && region.wetGroup() == last.wetGroup();
        boolean inHand = last != null && region.colour().mix().equals(last.colour().mix());
        double besideWet = 0;
        for (int back = 1; back <= Math.min(WET_STEPS, wet.size()); back++) {
            boolean other = !regions.get(found.get(found.size() - back).regions().get(0)).colour().mix().equals(region.colour().mix());
            besideWet += other && wet.get(wet.size() - back).get(i) ? WET_STEPS + 1.0 - back : 0;
        }
        return new double[] {region.kind().ordinal(), goesOn ? 0 : 1, besideWet, inHand ? 0 : 1,
            region.wetGroup() >= 0 ? region.depth() : 0, reach[i], i};
    }

    private static boolean less(double[] a, double[] b) {
        for (int i = 0; i < a.length; i++) {
            if (a[i] != b[i]) {
                return a[i] < b[i];
            }
        }
        return false;
    }

    /** The painter's own order: steps it names in its order, each other one right after the one it followed. */
    private void follow(List<String> own) {
        Map<String, Group> byKey = new HashMap<>();
        groups.forEach(g -> byKey.put(g.key(), g));
        List<Group> result = new ArrayList<>(own.stream().distinct().map(byKey::get).filter(g -> g != null).toList());
        for (int i = 0; i < groups.size(); i++) {
            if (!result.contains(groups.get(i))) {
                result.add(i == 0 ? 0 : result.indexOf(groups.get(i - 1)) + 1, groups.get(i));
            }
        }
        groups = result;
        int[] place = new int[regions.size()];
        for (int g = 0; g < result.size(); g++) {
            for (int region : result.get(g).regions()) {
                place[region] = g;
            }
        }
        List<Broken> found = new ArrayList<>();
        for (Arrow arrow : arrows) {
            if (place[arrow.before] > place[arrow.after]) {
                Broken one = new Broken(result.get(place[arrow.before]), result.get(place[arrow.after]), arrow);
                Optional<Broken> same = found.stream().filter(b -> b.first.equals(one.first) && b.then.equals(one.then)).findFirst();
                if (same.isEmpty()) {
                    found.add(one);
                }
            }
        }
        broken = found;
    }
}
