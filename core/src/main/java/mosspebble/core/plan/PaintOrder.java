package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * The order of painting: a directed graph of what must come before what, walked so that a colour once mixed is used up (Kahn's method with a choice among the
 * free regions: earlier kind of work, then the colour in hand, then the deeper).
 */
final class PaintOrder {

    /** A place in the order and what had to come before it, as indices of the regions given. */
    record Ordered(int region, List<Integer> before) {}

    private PaintOrder() {}

    /**
     * @param cells the cells each region touches, in the same order
     * @return all regions; a region is preceded by every deeper one of its kind that it overlaps and by every earlier kind
     */
    static List<Ordered> of(List<Region> regions, List<BitSet> cells) {
        int n = regions.size();
        List<List<Integer>> before = new ArrayList<>();
        for (int j = 0; j < n; j++) {
            List<Integer> found = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                if (i != j && cells.get(i).intersects(cells.get(j)) && comesFirst(regions.get(i), regions.get(j))) {
                    found.add(i);
                }
            }
            before.add(found);
        }
        List<Ordered> order = new ArrayList<>();
        boolean[] done = new boolean[n];
        Region last = null;
        for (int placed = 0; placed < n; placed++) {
            int best = -1;
            for (int i = 0; i < n; i++) {
                if (!done[i] && before.get(i).stream().allMatch(b -> done[b]) && (best < 0 || better(regions.get(i), regions.get(best), last))) {
                    best = i;
                }
            }
            done[best] = true;
            last = regions.get(best);
            order.add(new Ordered(best, List.copyOf(before.get(best))));
        }
        return order;
    }

    private static boolean comesFirst(Region a, Region b) {
        return a.kind() != b.kind() ? a.kind().compareTo(b.kind()) < 0 : a.depth() < b.depth();
    }

    private static boolean better(Region a, Region b, Region last) {
        if (a.kind() != b.kind()) {
            return a.kind().compareTo(b.kind()) < 0;
        }
        boolean aInHand = last != null && a.colour().mix().equals(last.colour().mix());
        boolean bInHand = last != null && b.colour().mix().equals(last.colour().mix());
        return aInHand != bInHand ? aInHand : a.depth() < b.depth();
    }
}
