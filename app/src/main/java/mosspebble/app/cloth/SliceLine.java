package mosspebble.app.cloth;

import javafx.beans.value.ObservableValueBase;

/** Where the slice is cut, from A to B in mm, and the place on the stone under the pointer. */
public final class SliceLine extends ObservableValueBase<double[]> {

    private double[] line = {-30, 0, 30, 0};
    private double[] pointed;
    private double fromPx;
    private double toPx;

    @Override
    public double[] getValue() {
        return line;
    }

    public double[] get() {
        return line;
    }

    public void set(double ax, double ay, double bx, double by) {
        line = new double[] {ax, ay, bx, by};
        fireValueChangedEvent();
    }

    /** Where the line begins and ends on the cloth, px from its left; one that runs upright is laid down about its middle. */
    public void seen(double from, double to) {
        if (Math.abs(from - fromPx) > 0.5 || Math.abs(to - toPx) > 0.5) {
            fromPx = from;
            toPx = to;
            fireValueChangedEvent();
        }
    }

    /** Left end on the cloth, px; at or beyond the right one while nothing is seen. */
    public double fromPx() {
        return fromPx;
    }

    public double toPx() {
        return toPx;
    }

    /** The place under the pointer, x and y in mm; null while it is elsewhere. */
    public double[] pointed() {
        return pointed;
    }

    public void point(double x, double y) {
        pointed = new double[] {x, y};
        fireValueChangedEvent();
    }

    public void pointAway() {
        if (pointed != null) {
            pointed = null;
            fireValueChangedEvent();
        }
    }
}
