package mosspebble.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Shapes;
import mosspebble.core.rock.Noise;
import mosspebble.core.rock.RowNoise;
import org.locationtech.jts.algorithm.MinimumDiameter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.PolygonExtracter;

/**
 * The body that a hand gives to a coat: hairs of the brush along the stroke, a lip of paint at its edge, caps of dots. Heights in µm,
 * places in mm; fixed to the stone.
 */
final class Hand {

    /** A brush hair leaves a furrow so wide and so long, mm; a finer set lies between (by eye). */
    private static final double HAIR = 0.52;
    private static final double HAIR_LONG = 9;
    private static final double FINE = 0.21;
    private static final double FINE_LONG = 5;

    /** The hairs of a stroke bend together, over so many mm. */
    private static final double BEND = 1 / 0.06;

    /** A disc counts as one touch up to this radius, mm. */
    private static final double TOUCH = 2.2;

    /** Height of the middle of a touch over its radius: thick paint shrinks to about half in drying (common practice, no source). */
    private static final double CAP = 0.30;

    private static final double ROUND = 0.9;

    /** A drop is steeper at its foot than a ball, and rounder on top than a coin (by eye). */
    private static final double DOME = 0.8;

    /** A sponge leaves pores so wide, mm, and finer ones between them. */
    private static final double PORE = 0.55;
    private static final double FINER = 2.6;

    /** Where a pen is set down and taken off the ink pools: so much higher than the line, µm. */
    private static final double POOL_UM = 16;

    /** What the paint is laid with: it leaves hairs, pores, or nothing. */
    enum Tool {
        BRUSH, SPONGE, PEN
    }

    /** An end of a drawn line: its middle and half the width there, mm. */
    record End(double x, double y, double radius) {}

    private final Noise noise;
    private final double cos;
    private final double sin;
    private final double pixel;
    /** How much of the wider and of the finer hairs or pores can be seen, 0 to 1. */
    private final double wide;
    private final double fine;
    private final Geometry touches;
    private final Tool tool;

    /**
     * @param place of what is laid
     * @param coat number of the coat: each has hairs of its own
     * @param tool a pen stands for a liner as well, which leaves no hairs
     */
    Hand(Geometry place, int coat, Tool tool, Grid grid) {
        this.tool = tool;
        this.noise = new Noise(31 + coat);
        this.pixel = grid.cellMm();
        this.wide = Noise.visible(tool == Tool.SPONGE ? PORE : HAIR, pixel);
        this.fine = Noise.visible(tool == Tool.SPONGE ? PORE / FINER : FINE, pixel);
        double turn = tool == Tool.BRUSH ? along(place) : 0;
        this.cos = Math.cos(turn);
        this.sin = Math.sin(turn);
        this.touches = place;
    }

    /** The stroke runs along what is longest, a little askew, as no hand follows a ruler. */
    private static double along(Geometry place) {
        Geometry largest = Shapes.largest(place).map(p -> (Geometry) p).orElse(place);
        if (largest.isEmpty() || largest.getNumPoints() < 4) {
            return 0;
        }
        Coordinate[] width = new MinimumDiameter(largest).getDiameter().getCoordinates();
        return width.length < 2 ? 0 : Math.atan2(width[1].y - width[0].y, width[1].x - width[0].x) + Math.PI / 2;
    }

    /** Places along a row, one after the other. For one thread. */
    final class Row {
        private final RowNoise all = new RowNoise(noise);
        final double[] x = new double[RowNoise.MOST];
        final double[] y = new double[RowNoise.MOST];
        private final double[] along = new double[RowNoise.MOST];
        private final double[] across = new double[RowNoise.MOST];
        private final float[] found = new float[RowNoise.MOST];

        /** How much more or less paint the tool leaves at so many places, about -1 to 1. */
        void uneven(int places, float[] into) {
            Arrays.fill(into, 0, places, 0);
            if (tool == Tool.BRUSH && wide > 0) {
                hair(places, into);
            } else if (tool == Tool.SPONGE && wide > 0) {
                pore(places, into);
            }
        }

        private void hair(int places, float[] into) {
            all.gradient(x, y, BEND, places, found);
            for (int i = 0; i < places; i++) {
                along[i] = (x[i] * cos + y[i] * sin) / HAIR_LONG;
                across[i] = (y[i] * cos - x[i] * sin + 0.5 * found[i]) / HAIR;
            }
            add(1.2 * wide, places, into);
            for (int i = 0; i < places && fine > 0; i++) {
                along[i] = along[i] * (HAIR_LONG / FINE_LONG) + 40;
                across[i] *= HAIR / FINE;
            }
            add(0.7 * fine, places, into);
        }

        /** A sponge sets paint down in peaks round its pores. */
        private void pore(int places, float[] into) {
            for (int i = 0; i < places; i++) {
                along[i] = x[i] / PORE;
                across[i] = y[i] / PORE;
            }
            add(1.5 * wide, places, into);
            for (int i = 0; i < places && fine > 0; i++) {
                along[i] = along[i] * FINER + 9;
                across[i] *= FINER;
            }
            add(0.7 * fine, places, into);
        }

        private void add(double much, int places, float[] into) {
            if (much > 0) {
                all.gradient(along, across, 1, places, found);
                for (int i = 0; i < places; i++) {
                    into[i] += (float) much * found[i];
                }
            }
        }
    }

    Row row() {
        return new Row();
    }

    /** Whether the tool leaves anything that can be seen in what it lays. */
    boolean isUneven() {
        return tool != Tool.PEN && wide > 0;
    }

    /** The ends of drawn lines: where an edge turns about half round within little more than the line is wide. */
    static List<End> ends(Geometry lines) {
        List<End> ends = new ArrayList<>();
        for (Object each : PolygonExtracter.getPolygons(lines)) {
            Polygon line = (Polygon) each;
            double half = line.isEmpty() ? 0 : line.getArea() / line.getLength();
            Coordinate[] ring = line.getExteriorRing().getCoordinates();
            for (int i = 0; half > 0 && i < ring.length - 1; i++) {
                end(ring, i, half).filter(e -> ends.stream().noneMatch(o -> Math.hypot(o.x - e.x, o.y - e.y) < e.radius))
                        .ifPresent(ends::add);
            }
        }
        return ends;
    }

    /** The end that begins at a corner of the ring, where there is one. */
    private static Optional<End> end(Coordinate[] ring, int from, double half) {
        int n = ring.length - 1;
        double way = 0;
        Coordinate first = ring[from];
        for (int k = 1; k < n && way < 4 * half; k++) {
            Coordinate a = ring[(from + k - 1) % n];
            Coordinate b = ring[(from + k) % n];
            way += a.distance(b);
            double across = first.distance(b);
            if (way > 2.2 * half && across < 2.4 * half && way > 1.35 * across) { // a half circle is pi / 2 times as long as wide
                return Optional.of(new End((first.x + b.x) / 2, (first.y + b.y) / 2, Math.max(across / 2, 0.6 * half)));
            }
        }
        return Optional.empty();
    }

    /** The pools at the ends of lines over a rectangle. */
    static void pools(List<End> ends, float[] um, int column, int row, int columns, int rows, Grid grid) {
        for (End end : ends) {
            double reach = 1.4 * end.radius;
            int c0 = (int) Math.max(0, Math.floor((end.x - reach - grid.left()) / grid.cellMm()) - column);
            int c1 = (int) Math.min(columns, Math.ceil((end.x + reach - grid.left()) / grid.cellMm()) - column);
            int r0 = (int) Math.max(0, Math.floor((end.y - reach - grid.top()) / grid.cellMm()) - row);
            int r1 = (int) Math.min(rows, Math.ceil((end.y + reach - grid.top()) / grid.cellMm()) - row);
            for (int r = r0; r < r1; r++) {
                for (int c = c0; c < c1; c++) {
                    double t = Math.hypot(grid.x(column + c) - end.x, grid.y(row + r) - end.y) / reach;
                    um[r * columns + c] = Math.max(um[r * columns + c], (float) (t >= 1 ? 0 : POOL_UM * (1 - t * t) * (1 - t * t)));
                }
            }
        }
    }

    /** Radius of what is set by one touch, mm; 0 for what is not. */
    private static double touch(Geometry dot) {
        double radius = dot instanceof Polygon ? Math.sqrt(dot.getArea() / Math.PI) : 0;
        return radius > TOUCH || 4 * Math.PI * dot.getArea() < ROUND * dot.getLength() * dot.getLength() ? 0 : radius;
    }

    /** Where the touches of a layer lie. */
    static List<Envelope> touches(Geometry place) {
        List<Envelope> touches = new ArrayList<>();
        for (int k = 0; k < place.getNumGeometries(); k++) {
            if (touch(place.getGeometryN(k)) > 0) {
                touches.add(place.getGeometryN(k).getEnvelopeInternal());
            }
        }
        return touches;
    }

    /**
     * A drop set down by one touch, mm.
     *
     * @param high the highest that lies below it, as in {@link Pixels}
     */
    record Drop(double x, double y, double radius, Envelope box, char high) {}

    /**
     * The drops of a layer that are not smaller than a pixel.
     *
     * @param below body of what lies on each cell of the grid, as in {@link Pixels}
     */
    List<Drop> drops(char[] below, Grid grid) {
        List<Drop> drops = new ArrayList<>();
        for (int k = 0; k < touches.getNumGeometries(); k++) {
            Geometry dot = touches.getGeometryN(k);
            double radius = touch(dot);
            if (radius >= pixel) {
                Envelope box = dot.getEnvelopeInternal();
                Coordinate middle = dot.getCentroid().getCoordinate();
                char[] high = {0};
                each(box, 0, 0, grid.columns(), grid.rows(), grid,
                        (c, r) -> high[0] = (char) Math.max(high[0], below[r * grid.columns() + c]));
                drops.add(new Drop(middle.x, middle.y, radius, box, high[0]));
            }
        }
        return drops;
    }

    /** What is done with a cell. */
    private interface Cell {
        void at(int column, int row);
    }

    /** The cells of a rectangle of a grid that lie in a box, counted from the rectangle's first. */
    private static void each(Envelope box, int column, int row, int columns, int rows, Grid grid, Cell cell) {
        int c0 = (int) Math.max(0, (box.getMinX() - grid.left()) / grid.cellMm() - column);
        int c1 = (int) Math.min(columns, Math.ceil((box.getMaxX() - grid.left()) / grid.cellMm()) - column);
        int r0 = (int) Math.max(0, (box.getMinY() - grid.top()) / grid.cellMm() - row);
        int r1 = (int) Math.min(rows, Math.ceil((box.getMaxY() - grid.top()) / grid.cellMm()) - row);
        for (int r = r0; r < r1; r++) {
            for (int c = c0; c < c1; c++) {
                cell.at(c, r);
            }
        }
    }

    /**
     * The caps of touches over a rectangle: a drop fills what is low below it and stands up from the highest.
     *
     * @param below as for {@link #drops}
     * @param um receives what each place of the rectangle is raised by, µm; 0 where there is no touch
     */
    static void caps(List<Drop> drops, char[] below, float[] um, int column, int row, int columns, int rows, Grid grid) {
        for (Drop drop : drops) {
            each(drop.box, column, row, columns, rows, grid, (c, r) -> {
                double t = Math.hypot(grid.x(column + c) - drop.x, grid.y(row + r) - drop.y) / drop.radius;
                um[r * columns + c] += (float) (t >= 1 ? 0
                        : Pixels.um(drop.high) - Pixels.um(below[(row + r) * grid.columns() + column + c])
                                + 1000 * CAP * drop.radius * Math.pow(1 - t * t, DOME));
            });
        }
    }

    /** A lip is softened twice, each time over so much, mm. */
    private static final double LIP_MM = 0.16;

    /** How far from the edge of a coat its lip reaches, in pixels of so many mm. */
    static int lipReach(double pixel) {
        return 2 * Math.max(1, (int) Math.round(LIP_MM / pixel));
    }

    /**
     * The lip at the edge of a coat: paint is pushed there and dries higher. 0 away from the edge to 1 just inside it.
     *
     * @param share how much of each pixel is covered
     */
    static float[] lip(float[] share, int columns, int rows, double pixel) {
        int reach = lipReach(pixel) / 2;
        int wide = columns + 2 * reach;
        int high = rows + 2 * reach;
        float[] field = new float[wide * high]; // what is blurred once reaches beyond the rectangle and comes back
        for (int r = 0; r < rows; r++) {
            System.arraycopy(share, r * columns, field, (r + reach) * wide + reach, columns);
        }
        Blocks edges = Blocks.nearEdges(field, wide, high, blockSide(reach));
        Spare spare = new Spare();
        float[] near = Blur.box(Blur.box(field, wide, high, reach, edges.wider(1, 1), spare), wide, high, reach, edges, spare);
        float[] lip = new float[share.length];
        for (int r = 0; r < rows; r++) {
            for (int c = 0; c < columns; c++) {
                float b = near[(r + reach) * wide + c + reach];
                lip[r * columns + c] = share[r * columns + c] * lip(b);
            }
        }
        return lip;
    }

    /** How far up paint is pushed where so much lies on average near by: nothing where all or none of it is covered. */
    static float lip(float near) {
        return near < EVEN || near > 1 - EVEN ? 0 : Math.min(1, 4.6f * near * (1 - near));
    }

    /** Less than this is not told from nothing in a mean. */
    private static final float EVEN = 1e-5f;

    /** What is blurred twice is even beyond one block. */
    private static int blockSide(int reach) {
        int side = 16;
        while (side < 2 * reach) {
            side *= 2;
        }
        return side;
    }
}
