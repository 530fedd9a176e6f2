package mosspebble.core.picture;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import mosspebble.core.area.Grid;

/** Where two pictures of one stone are not alike, whatever light is on them. */
public final class Differences {

    /** A round place, in the grid's pixels from its upper left corner; its area counts the pixels that differ. */
    public record Place(double x, double y, double radius, int area) {}

    /** Channels further apart than so many of 255 are seen side by side. */
    private static final int SEEN = 22;
    private static final int BLOCK = 8;
    /** A block is not alike where so much of it is not. */
    private static final double SHARE = 0.2;
    /** What covers more of the stone than that needs no circle. */
    private static final double WHOLE = 0.4;

    private Differences() {}

    /**
     * The places that differ, the largest first.
     *
     * @param most at most so many
     * @throws IllegalArgumentException if the pictures are not of one size
     */
    public static List<Place> of(StonePicture one, StonePicture other, int most) {
        Grid grid = one.terrain().grid();
        if (!grid.equals(other.terrain().grid())) {
            throw new IllegalArgumentException("the pictures are not of one size");
        }
        return of(flat(one), flat(other), grid.columns(), most);
    }

    private static int[] flat(StonePicture picture) {
        int[] pixels = new int[picture.terrain().grid().cells()];
        picture.draw(new StonePicture.Shown(picture.steps(), 0, 0, Care.FLAT), () -> false, pixels);
        return pixels;
    }

    /** The same of premultiplied ARGB, so many columns wide. */
    static List<Place> of(int[] one, int[] other, int columns, int most) {
        int rows = one.length / columns;
        int wide = (columns + BLOCK - 1) / BLOCK;
        int high = (rows + BLOCK - 1) / BLOCK;
        int[] differing = new int[wide * high];
        int stone = 0;
        for (int i = 0; i < one.length; i++) {
            stone += one[i] >>> 24 > 0 ? 1 : 0;
            if (apart(one[i], other[i]) > SEEN) {
                differing[i / columns / BLOCK * wide + i % columns / BLOCK]++;
            }
        }
        List<Place> places = new ArrayList<>();
        boolean[] taken = new boolean[differing.length];
        for (int at = 0; at < differing.length; at++) {
            if (!taken[at] && differs(differing[at])) {
                Place place = gathered(at, differing, taken, wide, high);
                if (place.area < WHOLE * stone) {
                    places.add(place);
                }
            }
        }
        places.sort(Comparator.comparingInt(p -> -p.area));
        return List.copyOf(places.subList(0, Math.min(most, places.size())));
    }

    private static boolean differs(int pixels) {
        return pixels > SHARE * BLOCK * BLOCK;
    }

    /** Everything that hangs together with a block, as one round place. */
    private static Place gathered(int from, int[] differing, boolean[] taken, int wide, int high) {
        Deque<Integer> open = new ArrayDeque<>(List.of(from));
        List<Integer> all = new ArrayList<>();
        taken[from] = true;
        int area = 0;
        while (!open.isEmpty()) {
            int at = open.pop();
            all.add(at);
            area += differing[at];
            for (int r = Math.max(0, at / wide - 1); r <= Math.min(high - 1, at / wide + 1); r++) {
                for (int c = Math.max(0, at % wide - 1); c <= Math.min(wide - 1, at % wide + 1); c++) {
                    int next = r * wide + c;
                    if (!taken[next] && differs(differing[next])) {
                        taken[next] = true;
                        open.push(next);
                    }
                }
            }
        }
        double x = all.stream().mapToDouble(a -> (a % wide + 0.5) * BLOCK).average().orElseThrow();
        double y = all.stream().mapToDouble(a -> (a / wide + 0.5) * BLOCK).average().orElseThrow();
        double radius = all.stream().mapToDouble(a -> Math.hypot((a % wide + 0.5) * BLOCK - x, (a / wide + 0.5) * BLOCK - y)).max()
                .orElseThrow() + BLOCK;
        return new Place(x, y, radius, area);
    }

    private static int apart(int a, int b) {
        int most = 0;
        for (int shift = 0; shift < 24; shift += 8) {
            most = Math.max(most, Math.abs((a >>> shift & 255) - (b >>> shift & 255)));
        }
        return most;
    }
}
