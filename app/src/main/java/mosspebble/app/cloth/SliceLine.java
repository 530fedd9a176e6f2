package mosspebble.app.cloth;

import javafx.beans.value.ObservableValueBase;

/** Where the slice is cut, from A to B in mm, and the place on the stone under the pointer. */
public final class SliceLine extends ObservableValueBase<double[]> {

    private double[] line = {-30, 0, 30, 0};
    private double[] pointed;

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
