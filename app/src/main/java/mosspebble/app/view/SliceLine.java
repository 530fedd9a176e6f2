package mosspebble.app.view;

import javafx.beans.value.ObservableValueBase;

/** Where the slice is cut: from A to B in mm on the stone. */
final class SliceLine extends ObservableValueBase<double[]> {

    private double[] line = {-30, 0, 30, 0};

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
}
