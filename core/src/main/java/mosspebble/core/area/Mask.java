package mosspebble.core.area;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.LinearComponentExtracter;

/**
 * How much of each cell of a grid an area covers, 0 to 1, exact for polygons: the signed areas between each edge and the right border are
 * accumulated per row. Holds only the
 * cells of the area's bounding box. Polygons of the area must not overlap one another.
 */
public final class Mask {

    /** Shares are told apart so finely: a half is a half on whatever grid. */
    private static final double STEPS = 1 << 20;

    private final int column;
    private final int row;
    private final int columns;
    private final int rows;
    private final float[] share;

    private Mask(int column, int row, int columns, int rows) {
        this.column = column;
        this.row = row;
        this.columns = columns;
        this.rows = rows;
        this.share = new float[columns * rows];
    }

    public static Mask of(Geometry area, Grid grid) {
        Envelope box = area.getEnvelopeInternal();
        int c0 = clamp((box.getMinX() - grid.left()) / grid.cellMm(), grid.columns());
        int r0 = clamp((box.getMinY() - grid.top()) / grid.cellMm(), grid.rows());
        int c1 = clamp((box.getMaxX() - grid.left()) / grid.cellMm() + 1, grid.columns());
        int r1 = clamp((box.getMaxY() - grid.top()) / grid.cellMm() + 1, grid.rows());
        if (area.isEmpty() || c1 <= c0 || r1 <= r0) {
            return new Mask(0, 0, 0, 0);
        }
        Mask mask = new Mask(c0, r0, c1 - c0, r1 - r0);
        mask.fill(area, grid);
        return mask;
    }

    private static int clamp(double cell, int size) {
        return (int) Math.max(0, Math.min(size, Math.floor(cell)));
    }

    /** So many rows are summed up at once. */
    private static final int BAND = 64;

    /** An area's rings in cells, x and y in turn; those of shells run the one way and those of holes the other. */
    private List<double[]> rings(Geometry area, Grid grid) {
        Envelope held = new Envelope(grid.left() + column * grid.cellMm(), grid.left() + (column + columns) * grid.cellMm(),
                grid.top() + row * grid.cellMm(), grid.top() + (row + rows) * grid.cellMm());
        List<double[]> rings = new ArrayList<>();
        for (int i = 0; i < area.getNumGeometries(); i++) {
            if (area.getGeometryN(i) instanceof Polygon polygon && held.intersects(polygon.getEnvelopeInternal())) {
                rings.add(ring(polygon.getExteriorRing(), true, grid));
                for (int hole = 0; hole < polygon.getNumInteriorRing(); hole++) {
                    rings.add(ring(polygon.getInteriorRingN(hole), false, grid));
                }
            }
        }
        return rings;
    }

    private double[] ring(LinearRing ring, boolean shell, Grid grid) {
        Coordinate[] points = ring.getCoordinates();
        boolean turn = Orientation.isCCW(points) != shell;
        double left = grid.left() + column * grid.cellMm();
        double top = grid.top() + row * grid.cellMm();
        double[] cells = new double[2 * points.length];
        for (int i = 0; i < points.length; i++) {
            Coordinate point = points[turn ? points.length - 1 - i : i];
            cells[2 * i] = (point.x - left) / grid.cellMm();
            cells[2 * i + 1] = (point.y - top) / grid.cellMm();
        }
        return cells;
    }

    private void fill(Geometry area, Grid grid) {
        List<double[]> rings = rings(area, grid);
        double[] sum = new double[(columns + 2) * Math.min(BAND, rows)]; // double, so that the same cell of another grid comes out the same
        for (int first = 0; first < rows; first += BAND) {
            int end = Math.min(rows, first + BAND);
            for (double[] ring : rings) {
                add(ring, first, end, sum);
            }
            for (int r = first; r < end; r++) {
                fill(r, sum, (r - first) * (columns + 2));
            }
            Arrays.fill(sum, 0);
        }
    }

    private void fill(int r, double[] sum, int base) {
        double running = 0;
        float here = 0;
        for (int c = 0; c < columns; c++) {
            double more = sum[base + c];
            if (more != 0) { // where no edge is, the cell is as the one before
                running += more;
                here = (float) (Math.rint(Math.min(1, Math.abs(running)) * STEPS) / STEPS);
            }
            share[r * columns + c] = here;
        }
    }

    /** Adds the edges of a ring as far as they touch some rows. */
    private void add(double[] ring, int first, int end, double[] sum) {
        for (int i = 2; i < ring.length; i += 2) {
            double y0 = ring[i - 1];
            double y1 = ring[i + 1];
            if (y0 < y1 && y1 > first && y0 < end) {
                edge(ring[i - 2], y0, ring[i], y1, 1, first, end, sum);
            } else if (y1 < y0 && y0 > first && y1 < end) {
                edge(ring[i], y1, ring[i - 2], y0, -1, first, end, sum);
            }
        }
    }

    /** Adds one edge that goes down: per row its height, split over the cells it crosses by the area to its right. */
    private void edge(double x0, double y0, double x1, double y1, double sign, int first, int end, double[] sum) {
        double slope = (x1 - x0) / (y1 - y0);
        int last = (int) Math.min(end - 1, Math.ceil(y1) - 1);
        for (int r = (int) Math.max(first, Math.floor(y0)); r <= last; r++) {
            double ya = Math.max(y0, r);
            double yb = Math.min(y1, r + 1);
            if (yb <= ya) {
                continue;
            }
            double xa = x0 + (ya - y0) * slope;
            double xb = x0 + (yb - y0) * slope;
            clipped((r - first) * (columns + 2), Math.min(xa, xb), Math.max(xa, xb), sign * (yb - ya), sum);
        }
    }

    /** A piece of an edge within a row: what of it lies left of the cells counts whole, what lies right of them not at all. */
    private void clipped(int base, double from, double to, double height, double[] sum) {
        if (to <= 0 || from >= columns) {
            sum[base + (to <= 0 ? 0 : columns)] += height;
            return;
        }
        if (from >= 0 && to <= columns) {
            spread(base, from, to, height, sum);
            return;
        }
        double perCell = height / (to - from);
        if (from < 0) {
            sum[base] -= from * perCell;
        }
        double right = Math.min(columns, to);
        spread(base, Math.max(0, from), right, perCell * (right - Math.max(0, from)), sum);
    }

    private void spread(int base, double from, double to, double height, double[] sum) {
        int first = (int) from;
        int last = (int) Math.max(first, Math.ceil(to) - 1);
        if (first == last) {
            double middle = (from + to) / 2 - first;
            sum[base + first] += height * (1 - middle);
            sum[base + first + 1] += height * middle;
            return;
        }
        double perCell = height / (to - from);
        double before = 0;
        for (int c = first; c <= last; c++) {
            double a = Math.max(from, c) - c;
            double b = Math.min(to, c + 1) - c;
            double inside = perCell * (b - a);
            double middle = (a + b) / 2;
            sum[base + c] += before + inside * (1 - middle);
            before = inside * middle;
        }
        sum[base + last + 1] += before;
    }

    /** The cells at least half covered whose middle lies at least so far from the edge of the area that this is the mask of, mm. */
    public Mask within(Geometry area, Grid grid, double mm) {
        Mask core = new Mask(column, row, columns, rows);
        System.arraycopy(share, 0, core.share, 0, share.length);
        double reach = mm / grid.cellMm();
        for (Object component : LinearComponentExtracter.getLines(area)) {
            Coordinate[] points = ((LineString) component).getCoordinates();
            for (int i = 1; i < points.length; i++) {
                core.clear(inCells(points[i - 1], grid), inCells(points[i], grid), reach);
            }
        }
        return core;
    }

    private Coordinate inCells(Coordinate at, Grid grid) {
        return new Coordinate((at.x - grid.left()) / grid.cellMm() - column, (at.y - grid.top()) / grid.cellMm() - row);
    }

    /** Clears the cells whose middle is nearer than so many cells to one side of the edge. */
    private void clear(Coordinate a, Coordinate b, double reach) {
        int toRow = (int) Math.min(rows, Math.ceil(Math.max(a.y, b.y) + reach));
        int toColumn = (int) Math.min(columns, Math.ceil(Math.max(a.x, b.x) + reach));
        for (int r = (int) Math.max(0, Math.floor(Math.min(a.y, b.y) - reach)); r < toRow; r++) {
            for (int c = (int) Math.max(0, Math.floor(Math.min(a.x, b.x) - reach)); c < toColumn; c++) {
                if (Distance.pointToSegment(new Coordinate(c + 0.5, r + 0.5), a, b) < reach) {
                    share[r * columns + c] = 0;
                }
            }
        }
    }

    /** How many cells are at least half covered. */
    public int cells() {
        int cells = 0;
        for (float each : share) {
            cells += each >= 0.5f ? 1 : 0;
        }
        return cells;
    }

    /**
     * Diameter, in cells, of the largest disc that fits into the cells at least half covered: chamfer distance transform with weights 3 and
     * 4 (G. Borgefors, Computer Vision, Graphics and
     * Image Processing 34, 344, 1986), within two cells and 8 %.
     */
    public double widest() {
        int width = columns + 2;
        int[] far = new int[width * (rows + 2)];
        int most = 0;
        for (int pass = 0; pass < 2; pass++) {
            for (int k = 0; k < rows * columns; k++) {
                int r = pass == 0 ? k / columns : rows - 1 - k / columns;
                int c = pass == 0 ? k % columns : columns - 1 - k % columns;
                int i = (r + 1) * width + c + 1;
                if (share[r * columns + c] < 0.5f) {
                    continue;
                }
                int side = pass == 0 ? -1 : 1;
                int near = Math.min(Math.min(far[i + side], far[i + side * width]) + 3,
                        Math.min(far[i + side * width - 1], far[i + side * width + 1]) + 4);
                far[i] = pass == 0 ? near : Math.min(far[i], near);
                most = pass == 0 ? most : Math.max(most, far[i]);
            }
        }
        return most == 0 ? 0 : 2 * most / 3.0 - 1;
    }

    public boolean isEmpty() {
        return share.length == 0;
    }

    /** First column of the grid that is held. */
    public int column() {
        return column;
    }

    public int row() {
        return row;
    }

    public int columns() {
        return columns;
    }

    public int rows() {
        return rows;
    }

    /** Shares covered of all cells held, rows first; not a copy, so what is changed in it is changed in the mask. */
    public float[] shares() {
        return share;
    }

    /** Share covered of the cell so many columns and rows from the first held one. */
    public float at(int dColumn, int dRow) {
        return share[dRow * columns + dColumn];
    }
}
