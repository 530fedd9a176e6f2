package mosspebble.app.cloth;

import java.util.Optional;
import mosspebble.core.area.Grid;
import mosspebble.core.stone.StoneOutline;

/** How near the stone on the cloth is looked at, and at which place of it. */
final class CloseLook {

    /** So many times as near as where the whole stone is seen. */
    static final double CLOSEST = 8;

    /** How far light and shade reach, mm. */
    private static final double SURROUNDINGS = 2.5;

    /** As good as whole. */
    private static final double HARDLY = 1.05;

    /** A stone larger than the cloth may be shown smaller than that, to be as large as it is. */
    private static final double FARTHEST = 0.1;

    private double times = 1;
    private boolean trueSize;
    private double x;
    private double y;

    /** 1 where the whole stone is seen, to {@link #CLOSEST}; below 1 only where it would be larger than it is. */
    double times() {
        return times;
    }

    boolean isWhole() {
        return times <= 1;
    }

    /** Whether it is shown as large as it is, until one goes nearer or farther. */
    boolean isTrueSize() {
        return trueSize;
    }

    /** Shows it so many times as large as where the whole of it is seen, so that it is as large as it is. */
    void trueSize(double wanted) {
        trueSize = true;
        times = Math.max(FARTHEST, Math.min(CLOSEST, wanted));
        if (isWhole()) {
            x = 0;
            y = 0;
        }
    }

    /** Place in the middle of the cloth, mm. */
    double x() {
        return x;
    }

    double y() {
        return y;
    }

    void whole() {
        trueSize = false;
        times = 1;
        x = 0;
        y = 0;
    }

    /** Goes nearer or farther; answers whether that changed anything. */
    boolean by(double factor) {
        double next = Math.max(1, Math.min(CLOSEST, times * factor));
        next = factor < 1 && next < HARDLY ? 1 : next; // only on the way out, or small steps would never begin
        boolean changed = next != times;
        trueSize = trueSize && !changed;
        times = next;
        return changed;
    }

    /** Puts a place into the middle of the cloth, as far as there is stone. */
    void at(double toX, double toY, StoneOutline outline) {
        x = isWhole() ? 0 : Math.max(-outline.halfWidth(), Math.min(outline.halfWidth(), toX));
        y = isWhole() ? 0 : Math.max(-outline.halfHeight(), Math.min(outline.halfHeight(), toY));
    }

    /**
     * The pixels of the part that a cloth of so many pixels shows, with as much round it as light and shade reach; empty where the
     * whole stone is seen, or none of it.
     *
     * @param cell side of a pixel of the screen, mm
     */
    Optional<Grid> part(ClothFrame frame, double width, double height, StoneOutline outline, double cell) {
        double left = Math.max(-outline.halfWidth() - 2, frame.toX(0) - SURROUNDINGS);
        double top = Math.max(-outline.halfHeight() - 2, frame.toY(0) - SURROUNDINGS);
        double right = Math.min(outline.halfWidth() + 2, frame.toX(width) + SURROUNDINGS);
        double bottom = Math.min(outline.halfHeight() + 2, frame.toY(height) + SURROUNDINGS);
        long c0 = (long) Math.floor(left / cell);
        long r0 = (long) Math.floor(top / cell);
        long columns = (long) Math.ceil(right / cell) - c0;
        long rows = (long) Math.ceil(bottom / cell) - r0;
        return isWhole() || columns < 1 || rows < 1 || columns * rows > Grid.MOST_CELLS ? Optional.empty()
                : Optional.of(new Grid(c0 * cell, r0 * cell, cell, (int) columns, (int) rows));
    }
}
