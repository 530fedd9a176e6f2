package mosspebble.core.proof;

import mosspebble.core.area.Grid;

/** Points in one turn and size, moved to many places; what is seen there is taken from the nearest cell, as blurred as it is. */
final class Lattice {

    private final Points points;
    private final Field seen;
    private final double[] column;
    private final double[] row;
    private final int[] cell;

    Lattice(Points points, Field seen) {
        this.points = points;
        this.seen = seen;
        column = new double[points.px.length];
        row = new double[points.px.length];
        cell = new int[points.px.length];
    }

    /** Turns and sizes the points as a fit says; that is where they lie before they are moved. */
    void lay(Fit fit) {
        double[] right = new double[3];
        double[] down = new double[3];
        fit.into(right, down);
        Grid grid = seen.grid;
        for (int i = 0; i < cell.length; i++) {
            double px = points.px[i];
            double py = points.py[i];
            column[i] = (right[0] * px + right[1] * py + right[2] - grid.left()) / grid.cellMm();
            row[i] = (down[0] * px + down[1] * py + down[2] - grid.top()) / grid.cellMm();
        }
    }

    /** How alike it is to what is seen so many mm further to the right and down. */
    double likeness(double right, double down) {
        double columns = right / seen.grid.cellMm();
        double rows = down / seen.grid.cellMm();
        int count = 0;
        for (int i = 0; i < cell.length; i++) {
            cell[i] = seen.cell(column[i] + columns, row[i] + rows);
            count += cell[i] < 0 ? 0 : 1;
        }
        if (!points.areEnough(count)) {
            return -1;
        }
        Correlation all = new Correlation();
        for (int k = 0; k < points.value.length; k++) {
            float[] value = seen.value[k];
            double[] planned = points.value[k];
            double e = 0;
            double o = 0;
            double ee = 0;
            double oo = 0;
            double eo = 0;
            for (int i = 0; i < cell.length; i++) {
                if (cell[i] >= 0) {
                    double there = value[cell[i]];
                    double wanted = planned[i];
                    e += wanted;
                    o += there;
                    ee += wanted * wanted;
                    oo += there * there;
                    eo += wanted * there;
                }
            }
            all.add(count, e, o, ee, oo, eo);
        }
        return all.value();
    }
}
