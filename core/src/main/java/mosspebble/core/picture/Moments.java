package mosspebble.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import mosspebble.core.area.Grid;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.stone.StoneOutline;

/**
 * Moments of a painting that tell it in a few pictures: from the bare stone to the finished one, about as much new on each as on the
 * next.
 */
public final class Moments {

    private static final double CELL_MM = 0.8;

    /** Channels further apart than so many of 255 are seen. */
    private static final int SEEN = 12;

    private Moments() {}

    /**
     * Steps after which the stone is shown.
     *
     * @param most pictures, 2 or more; fewer come where the plan has fewer steps that change the look
     * @return rising from 0, the bare stone, to all steps; of passes between them that change the look by as much, the first is taken
     */
    public static List<Integer> of(PaintPlan plan, int most) {
        if (most < 2) {
            throw new IllegalArgumentException("a painting is told in two pictures or more, not " + most);
        }
        long[] upTo = upTo(plan);
        int steps = upTo.length - 1;
        List<Integer> moments = new ArrayList<>(List.of(0));
        for (int picture = 1; picture < most - 1; picture++) {
            double wanted = (double) upTo[steps] * picture / (most - 1);
            int step = moments.get(moments.size() - 1) + 1;
            while (step < steps && upTo[step] < wanted) {
                step++;
            }
            if (step < steps && upTo[step] > upTo[moments.get(moments.size() - 1)]) {
                moments.add(step);
            }
        }
        if (steps > 0) {
            moments.add(steps);
        }
        return moments;
    }

    /** Pixels changed by all steps up to each. */
    private static long[] upTo(PaintPlan plan) {
        StoneOutline outline = plan.survey().dome().outline();
        Grid grid = Grid.around(outline.halfWidth(), outline.halfHeight(), CELL_MM);
        StonePicture picture = StonePicture.of(plan, StoneTerrain.of(plan.survey(), grid), StoneState.DRY);
        long[] upTo = new long[picture.steps() + 1];
        int[] before = new int[grid.cells()];
        draw(picture, 0, before);
        for (int step = 1; step < upTo.length; step++) {
            int[] after = new int[grid.cells()];
            draw(picture, step, after);
            upTo[step] = upTo[step - 1] + changed(before, after);
            before = after;
        }
        return upTo;
    }

    private static void draw(StonePicture picture, int steps, int[] pixels) {
        Arrays.fill(pixels, 0);
        picture.draw(new StonePicture.Shown(steps, 0, 320, Care.FLAT), () -> false, pixels);
    }

    private static long changed(int[] before, int[] after) {
        long changed = 0;
        for (int i = 0; i < before.length; i++) {
            boolean seen = false;
            for (int shift = 0; shift < 24; shift += 8) {
                seen |= Math.abs((before[i] >> shift & 255) - (after[i] >> shift & 255)) > SEEN;
            }
            changed += seen ? 1 : 0;
        }
        return changed;
    }
}
