package mosspebble.app.view;

import javafx.beans.value.ObservableValueBase;

/** Where the slice is cut, from A to B in mm, and the place on the stone under the pointer. */
final class SliceLine extends ObservableValueBase<double[]> {

    private double[] line = {-30, 0, 30, 0};
    private double[] pointed;

    @Override
    public double[] getValue() {
        return line;
    }

    double[] get() {
        return line;
    }

    void set(double ax, double ay, double bx, double by) {
        line = new double[] {ax, ay, bx, by};
        fireValueChangedEvent();
    }

    /** The place under the pointer, x and y in mm; null while it is elsewhere. */
    double[] pointed() {
        return pointed;
    }

    void point(double x, double y) {
        pointed = new double[] {x, y};
        fireValueChangedEvent();
    }

    void pointAway() {
        if (pointed != null) {
            pointed = null;
            fireValueChangedEvent();
        }
    }
}
