package mosspebble.core.proof;

import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.units.Parallel;

/**
 * Tells drawn lines from the grain of a stone: at each place the best of short strokes in some directions, by how much it stands out from
 * what lies along both its sides. The border of a grain stands out from one side only, a speck of mica not as far along. The line operator
 * of R. N. Dixon and C. J. Taylor, Automated Asbestos Fibre Counting, 1979 (from memory), with the nearer of both sides for their mean.
 */
final class LineOperator {

    private static final int DIRECTIONS = 8;

    /** Half the length of a stroke, and from its middle to that of what lies beside it, mm. */
    private static final double HALF_MM = 1.4;
    private static final double BESIDE_MM = 0.55;

    /** No pencil stands out more than this, L*; what is lighter than its ground where it should be darker is none. */
    private static final float MOST_L = 20;
    private static final float LEAST_L = -4;

    /** How much the operator counts beside the plain picture, in which strokes that lie side by side are told apart. */
    private static final float LINES = 0.6f;

    private final Grid grid;
    private final int rim;
    private final int columns;
    private final int count;
    /** By direction: how many cells on the places of the stroke lie, and those along its sides. */
    private final int[][] middle = new int[DIRECTIONS][];
    private final int[][] left = new int[DIRECTIONS][];
    private final int[][] right = new int[DIRECTIONS][];

    LineOperator(Grid grid) {
        this.grid = grid;
        int reach = (int) Math.max(1, Math.round(HALF_MM / grid.cellMm()));
        double beside = Math.max(1, BESIDE_MM / grid.cellMm());
        this.count = 2 * reach + 1;
        this.rim = (int) Math.ceil(Math.hypot(reach, beside)) + 1;
        this.columns = grid.columns() + 2 * rim;
        for (int k = 0; k < DIRECTIONS; k++) {
            double turn = Math.PI * k / DIRECTIONS;
            middle[k] = strip(turn, reach, 0);
            left[k] = strip(turn, reach, beside);
            right[k] = strip(turn, reach, -beside);
        }
    }

    private int[] strip(double turn, int reach, double aside) {
        return IntStream.rangeClosed(-reach, reach)
                .map(i -> (int) Math.round(i * Math.sin(turn) + aside * Math.cos(turn)) * columns
                        + (int) Math.round(i * Math.cos(turn) - aside * Math.sin(turn)))
                .toArray();
    }

    /**
     * @param fine lightness against what lies round about, L*, one channel
     * @param paler whether lines are lighter than their ground, as chalk is
     * @return how much each place looks like a line, with the sign of the lines, L*
     */
    Field lines(Field fine, boolean paler) {
        float sign = paler ? 1 : -1;
        float[] value = new float[columns * (grid.rows() + 2 * rim)];
        for (int r = 0; r < grid.rows(); r++) {
            for (int c = 0; c < grid.columns(); c++) {
                value[(r + rim) * columns + c + rim] = Math.max(LEAST_L,
                        Math.min(MOST_L, sign * fine.value[0][r * grid.columns() + c]));
            }
        }
        float[] lines = new float[grid.cells()];
        Parallel.range(0, grid.rows()).forEach(r -> {
            for (int c = 0; c < grid.columns(); c++) {
                int i = r * grid.columns() + c;
                if (fine.known[i] > 0) {
                    int at = (r + rim) * columns + c + rim;
                    lines[i] = sign * ((1 - LINES) * value[at] + LINES * best(value, at) / count);
                }
            }
        });
        return new Field(grid, new float[][] {lines}, fine.known);
    }

    private float best(float[] value, int at) {
        float best = 0;
        for (int k = 0; k < DIRECTIONS; k++) {
            best = Math.max(best, sum(value, at, middle[k]) - Math.max(sum(value, at, left[k]), sum(value, at, right[k])));
        }
        return best;
    }

    private static float sum(float[] value, int at, int[] strip) {
        float sum = 0;
        for (int by : strip) {
            sum += value[at + by];
        }
        return sum;
    }
}
