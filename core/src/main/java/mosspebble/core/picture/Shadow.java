package mosspebble.core.picture;

import mosspebble.core.area.Grid;
import mosspebble.core.stone.Dome;

/**
 * The shadow of a stone on the cloth: slices of the dome slid along the light, the higher the softer, and the dark where stone and cloth
 * touch. Black with alpha on a coarse grid that reaches beyond the stone; it is soft enough to be drawn larger.
 */
public record Shadow(Grid grid, int[] pixels) {

    private static final double CELL = 0.8;
    private static final int SLICES = 12;

    /** Height of the light above the cloth, degrees: somewhat higher than on the stone, or the shadow would run off the cloth. */
    private static final double UP = 46;

    private static final double DARK = 0.50;
    private static final double TOUCH = 0.34;
    private static final double NEAR = 0.26;

    /** @param lightFrom degrees clockwise from straight up */
    public static Shadow of(Dome dome, double lightFrom) {
        double high = dome.heightMm();
        double reach = high / Math.tan(Math.toRadians(UP)) + 12;
        Grid grid = Grid.around(dome.outline().halfWidth() + reach, dome.outline().halfHeight() + reach, cell(dome));
        float[] heights = new float[grid.cells()];
        float[] inside = new float[grid.cells()];
        for (int r = 0; r < grid.rows(); r++) {
            for (int c = 0; c < grid.columns(); c++) {
                int i = r * grid.columns() + c;
                heights[i] = (float) dome.smoothHeightAt(grid.x(c), grid.y(r));
                inside[i] = heights[i] > 0 ? 1 : 0;
            }
        }
        float[] key = new float[grid.cells()];
        for (int k = 0; k < SLICES; k++) {
            slice(heights, high * (k + 0.5) / SLICES, Math.toRadians(lightFrom), grid, key);
        }
        float[] touch = soft(inside, 1.6, grid);
        float[] near = soft(inside, 6, grid);
        int[] pixels = new int[grid.cells()];
        for (int i = 0; i < pixels.length; i++) {
            double light = (1 - DARK * key[i]) * (1 - TOUCH * touch[i] - NEAR * near[i]);
            pixels[i] = (int) Math.round(255 * (1 - light)) << 24;
        }
        return new Shadow(grid, pixels);
    }

    /** How much of the light is kept off a place on the cloth, mm: 0 to 1, read between the cells; 0 far from the stone. */
    public double at(double x, double y) {
        double c = (x - grid.left()) / grid.cellMm() - 0.5;
        double r = (y - grid.top()) / grid.cellMm() - 0.5;
        int c0 = (int) Math.floor(c);
        int r0 = (int) Math.floor(r);
        if (c0 < 0 || r0 < 0 || c0 >= grid.columns() - 1 || r0 >= grid.rows() - 1) {
            return 0;
        }
        int i = r0 * grid.columns() + c0;
        double above = dark(i) + (c - c0) * (dark(i + 1) - dark(i));
        double below = dark(i + grid.columns()) + (c - c0) * (dark(i + grid.columns() + 1) - dark(i + grid.columns()));
        return above + (r - r0) * (below - above);
    }

    private double dark(int i) {
        return (pixels[i] >>> 24) / 255.0;
    }

    private static double cell(Dome dome) {
        return Math.max(CELL, Math.max(dome.outline().halfWidth(), dome.outline().halfHeight()) / 120);
    }

    /** What one height of the stone keeps off, slid away from the light and softened, where that is more than was kept off before. */
    private static void slice(float[] heights, double z, double from, Grid grid, float[] key) {
        double far = z / Math.tan(Math.toRadians(UP)) / grid.cellMm();
        int dc = (int) Math.round(-Math.sin(from) * far);
        int dr = (int) Math.round(Math.cos(from) * far);
        float[] slid = new float[heights.length];
        for (int r = Math.max(0, dr); r < Math.min(grid.rows(), grid.rows() + dr); r++) {
            for (int c = Math.max(0, dc); c < Math.min(grid.columns(), grid.columns() + dc); c++) {
                slid[r * grid.columns() + c] = heights[(r - dr) * grid.columns() + c - dc] >= z ? 1 : 0;
            }
        }
        float[] softened = soft(slid, 0.9 + 0.45 * z, grid);
        for (int i = 0; i < key.length; i++) {
            key[i] = Math.max(key[i], softened[i]);
        }
    }

    private static float[] soft(float[] values, double mm, Grid grid) {
        int reach = Math.max(1, (int) Math.round(mm / 2 / grid.cellMm()));
        return Blur.box(Blur.box(values, grid.columns(), grid.rows(), reach), grid.columns(), grid.rows(), reach);
    }
}
