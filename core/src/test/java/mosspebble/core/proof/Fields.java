package mosspebble.core.proof;

import mosspebble.core.area.Grid;

/** Made-up fields of one channel, known all over. */
final class Fields {

    /** What there is at a place, mm. */
    interface At {
        double value(double x, double y);
    }

    private Fields() {}

    static Field of(Grid grid, At at) {
        float[] value = new float[grid.cells()];
        float[] known = new float[grid.cells()];
        for (int i = 0; i < value.length; i++) {
            value[i] = (float) at.value(grid.x(i % grid.columns()), grid.y(i / grid.columns()));
            known[i] = 1;
        }
        return new Field(grid, new float[][] {value}, known);
    }
}
