package mosspebble.core.proof;

import boofcv.alg.filter.blur.BlurImageOps;
import boofcv.struct.image.GrayF32;
import mosspebble.core.area.Grid;

/**
 * Values over a grid, a few to a cell, where they are known. Blurring takes no account of cells that are not: there, nothing is seen.
 */
final class Field {

    final Grid grid;
    /** By channel, then cell. */
    final float[][] value;
    /** 1 where it is known, 0 where not. */
    final float[] known;
    private float[][] slopeX;
    private float[][] slopeY;

    /** Whether a cell, the next one, and the two below them are known. */
    private final boolean[] whole;

    Field(Grid grid, float[][] value, float[] known) {
        this(grid, value, known, whole(grid, known));
    }

    private Field(Grid grid, float[][] value, float[] known, boolean[] whole) {
        this.grid = grid;
        this.value = value;
        this.known = known;
        this.whole = whole;
    }

    private static boolean[] whole(Grid grid, float[] known) {
        int columns = grid.columns();
        boolean[] whole = new boolean[known.length];
        for (int r = 0; r < grid.rows() - 1; r++) {
            for (int i = r * columns; i < (r + 1) * columns - 1; i++) {
                whole[i] = known[i] > 0 && known[i + 1] > 0 && known[i + columns] > 0 && known[i + columns + 1] > 0;
            }
        }
        return whole;
    }

    int channels() {
        return value.length;
    }

    /** Weighed with a bell curve of so many mm. */
    Field blurred(double sigmaMm) {
        float[] weight = blur(known, grid, sigmaMm);
        float[][] result = new float[value.length][];
        for (int k = 0; k < value.length; k++) {
            float[] weighed = new float[known.length];
            for (int i = 0; i < known.length; i++) {
                weighed[i] = value[k][i] * known[i];
            }
            result[k] = blur(weighed, grid, sigmaMm);
            for (int i = 0; i < known.length; i++) {
                result[k][i] = known[i] > 0 ? result[k][i] / Math.max(1e-4f, weight[i]) : 0;
            }
        }
        return new Field(grid, result, known, whole);
    }

    /** What is left when everything wider than a bell curve of so many mm is taken off. */
    Field fine(double sigmaMm) {
        Field wide = blurred(sigmaMm);
        float[][] result = new float[value.length][known.length];
        for (int k = 0; k < value.length; k++) {
            for (int i = 0; i < known.length; i++) {
                result[k][i] = known[i] > 0 ? value[k][i] - wide.value[k][i] : 0;
            }
        }
        return new Field(grid, result, known, whole);
    }

    private static float[] blur(float[] values, Grid grid, double sigmaMm) {
        double sigma = sigmaMm / grid.cellMm();
        GrayF32 from = new GrayF32(grid.columns(), grid.rows());
        System.arraycopy(values, 0, from.data, 0, values.length);
        GrayF32 to = new GrayF32(grid.columns(), grid.rows());
        BlurImageOps.gaussian(from, to, sigma, Math.max(1, (int) Math.ceil(2.8 * sigma)), null);
        return to.data;
    }

    /**
     * Values between cells.
     *
     * @param at receives one for each channel
     * @return whether all four cells about the place are known
     */
    boolean sample(double x, double y, double[] at) {
        double gx = (x - grid.left()) / grid.cellMm() - 0.5;
        double gy = (y - grid.top()) / grid.cellMm() - 0.5;
        int i = corner(gx, gy);
        if (i < 0) {
            return false;
        }
        double fx = gx - (int) gx;
        double fy = gy - (int) gy;
        int below = i + grid.columns();
        double a = (1 - fx) * (1 - fy);
        double b = fx * (1 - fy);
        double c = (1 - fx) * fy;
        double d = fx * fy;
        for (int k = 0; k < value.length; k++) {
            float[] v = value[k];
            at[k] = a * v[i] + b * v[i + 1] + c * v[below] + d * v[below + 1];
        }
        return true;
    }

    /** The same with the slopes, per mm; only once {@link #slopes} was asked. */
    boolean sample(double x, double y, double[] at, double[] alongX, double[] alongY) {
        double gx = (x - grid.left()) / grid.cellMm() - 0.5;
        double gy = (y - grid.top()) / grid.cellMm() - 0.5;
        int i = corner(gx, gy);
        if (i < 0) {
            return false;
        }
        double fx = gx - (int) gx;
        double fy = gy - (int) gy;
        int below = i + grid.columns();
        double a = (1 - fx) * (1 - fy);
        double b = fx * (1 - fy);
        double c = (1 - fx) * fy;
        double d = fx * fy;
        for (int k = 0; k < value.length; k++) {
            float[] v = value[k];
            float[] sx = slopeX[k];
            float[] sy = slopeY[k];
            at[k] = a * v[i] + b * v[i + 1] + c * v[below] + d * v[below + 1];
            alongX[k] = a * sx[i] + b * sx[i + 1] + c * sx[below] + d * sx[below + 1];
            alongY[k] = a * sy[i] + b * sy[i + 1] + c * sy[below] + d * sy[below + 1];
        }
        return true;
    }

    /** The cell in which a place told in cells lies; below 0 where it is not known. */
    int cell(double column, double row) {
        if (!(column >= 0 && row >= 0 && column < grid.columns() && row < grid.rows())) {
            return -1;
        }
        int i = (int) row * grid.columns() + (int) column;
        return known[i] > 0 ? i : -1;
    }

    /** The upper left of the four cells about a place told in cells; below 0 where not all are known. */
    private int corner(double gx, double gy) {
        if (!(gx >= 0 && gy >= 0 && gx < grid.columns() - 1 && gy < grid.rows() - 1)) {
            return -1;
        }
        int i = (int) gy * grid.columns() + (int) gx;
        return whole[i] ? i : -1;
    }

    /** Works out the slopes: central differences; 0 beside what is not known. */
    Field slopes() {
        int columns = grid.columns();
        slopeX = new float[value.length][known.length];
        slopeY = new float[value.length][known.length];
        float per = (float) (0.5 / grid.cellMm());
        for (int k = 0; k < value.length; k++) {
            float[] v = value[k];
            for (int r = 1; r < grid.rows() - 1; r++) {
                for (int i = r * columns + 1; i < (r + 1) * columns - 1; i++) {
                    slopeX[k][i] = known[i - 1] > 0 && known[i + 1] > 0 ? (v[i + 1] - v[i - 1]) * per : 0;
                    slopeY[k][i] = known[i - columns] > 0 && known[i + columns] > 0 ? (v[i + columns] - v[i - columns]) * per : 0;
                }
            }
        }
        return this;
    }
}
