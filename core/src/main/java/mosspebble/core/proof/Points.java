package mosspebble.core.proof;

/** Some cells with what was planned there, and their middle. */
final class Points {

    /** So much of a thing must lie where something is seen. */
    private static final double LEAST_SEEN = 0.6;

    /** Places, mm, every so many-th of the cells; what was planned there by channel, then place. */
    final double[] px;
    final double[] py;
    final double[][] value;
    final double x;
    final double y;
    final double reach;
    final int every;

    Points(Field planned, int[] cells, int most) {
        every = Math.max(1, cells.length / most);
        int count = (cells.length + every - 1) / every;
        px = new double[count];
        py = new double[count];
        value = new double[planned.channels()][count];
        double sumX = 0;
        double sumY = 0;
        for (int i = 0; i < count; i++) {
            int cell = cells[i * every];
            px[i] = planned.grid.x(cell % planned.grid.columns());
            py[i] = planned.grid.y(cell / planned.grid.columns());
            sumX += px[i];
            sumY += py[i];
            for (int k = 0; k < value.length; k++) {
                value[k][i] = planned.value[k][cell];
            }
        }
        x = sumX / count;
        y = sumY / count;
        double far = 0;
        for (int i = 0; i < count; i++) {
            far = Math.max(far, Math.hypot(px[i] - x, py[i] - y));
        }
        reach = Math.max(0.5, far);
    }

    /** Whether so many are enough to tell how alike they are. */
    boolean areEnough(int count) {
        return count >= Math.max(1, LEAST_SEEN * px.length);
    }

    /** How alike what is seen is to what was planned, where a fit puts it; -1 where too little of it is seen. */
    double likeness(Field seen, Fit fit) {
        int channels = value.length;
        double[] at = new double[channels];
        double[] sumE = new double[channels];
        double[] sumO = new double[channels];
        double[] ee = new double[channels];
        double[] oo = new double[channels];
        double[] eo = new double[channels];
        int count = 0;
        double[] right = new double[3];
        double[] down = new double[3];
        fit.into(right, down);
        for (int i = 0; i < px.length; i++) {
            if (!seen.sample(right[0] * px[i] + right[1] * py[i] + right[2], down[0] * px[i] + down[1] * py[i] + down[2], at)) {
                continue;
            }
            count++;
            for (int k = 0; k < channels; k++) {
                double e = value[k][i];
                sumE[k] += e;
                sumO[k] += at[k];
                ee[k] += e * e;
                oo[k] += at[k] * at[k];
                eo[k] += e * at[k];
            }
        }
        if (!areEnough(count)) {
            return -1;
        }
        Correlation all = new Correlation();
        for (int k = 0; k < channels; k++) {
            all.add(count, sumE[k], sumO[k], ee[k], oo[k], eo[k]);
        }
        return all.value();
    }
}
