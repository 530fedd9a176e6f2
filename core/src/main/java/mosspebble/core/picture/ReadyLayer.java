package mosspebble.core.picture;

import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.blend.Share;
import mosspebble.core.plan.Step;
import mosspebble.core.rock.Noise;
import mosspebble.core.units.Parallel;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * What can be known of a layer before what lies below it is painted.
 *
 * @param squares where it covers anything, rising by row and column
 * @param hand that lays it; null for a shade and for what lies beside the grid
 */
record ReadyLayer(Step.Layer layer, List<Square> squares, Hand hand) {

    /**
     * A square of the grid, or as much of it as a layer may cover: small enough that all that is known of it stays close to the processor.
     *
     * @param share how much of each pixel is covered
     * @param own from a half up, where what lies there afterwards is the film of this layer
     * @param lip 0 to 1 where the edge stands up; empty where none does
     * @param pools what ink stands higher at the ends of lines, µm; empty but for a pen
     */
    record Square(int column, int row, int columns, int rows, float[] share, float[] own, float[] lip, float[] pools) {}

    /** A glaze at an edge fades over about twice so far, mm. */
    static final double FADES_MM = 0.9;

    /** Side of a square, pixels; it is larger where lips reach far. */
    private static final int SIDE = 192;
    private static final int LIPS = 20;

    /** @param painted cells that are painted at all */
    static ReadyLayer of(Step.Layer layer, Step step, Window painted) {
        Geometry area = layer.soft().within().orElse(layer.place()); // what is soft spreads beyond its own place
        Cover cover = new Cover(layer, area, Spread.of(layer, area), tool(step, layer), isDrawn(step.kind()), painted);
        List<Square> squares = cover.squares();
        boolean shade = layer.soft().isShade();
        return new ReadyLayer(layer, squares,
                squares.isEmpty() || shade ? null : new Hand(layer.place(), layer.load().coat().step(), cover.tool, painted.grid()));
    }

    boolean isEmpty() {
        return squares.isEmpty();
    }

    /** What it may change; only of one that is not empty. */
    Window bounds(Grid grid) {
        int column = squares.stream().mapToInt(Square::column).min().orElseThrow();
        int row = squares.stream().mapToInt(Square::row).min().orElseThrow();
        return new Window(grid, column, row, squares.stream().mapToInt(s -> s.column + s.columns).max().orElseThrow() - column,
                squares.stream().mapToInt(s -> s.row + s.rows).max().orElseThrow() - row);
    }

    /** Whether small round places are set by one touch each. */
    static boolean hasTouches(Step.Kind kind) {
        return kind == Step.Kind.FILL || kind == Step.Kind.HIGHLIGHT;
    }

    /** What the paint of a layer is laid with, as far as it shows. */
    static Hand.Tool tool(Step step, Step.Layer layer) {
        if (isDrawn(step.kind()) || step.kind() == Step.Kind.HIGHLIGHT) {
            return Hand.Tool.PEN;
        }
        Share.Kind share = step instanceof Step.Lay lay ? lay.share(layer).kind() : Share.Kind.WHOLE;
        return share == Share.Kind.DABS || share == Share.Kind.FOAM ? Hand.Tool.SPONGE : Hand.Tool.BRUSH;
    }

    private static boolean isDrawn(Step.Kind kind) {
        return kind == Step.Kind.OUTLINE || kind == Step.Kind.DETAIL || kind == Step.Kind.LINE_FIRST;
    }

    /**
     * How paint that is softened spreads: it runs out within its area, or fades inward from its edge.
     *
     * @param field of what runs out the share of it in the area; of a shade its dark edge and all beyond what is shaded, softened
     * @param reach beyond this there is none of it
     */
    private record Spread(SoftField field, boolean shade, Envelope reach) {

        /** null for what is not soft. */
        static Spread of(Step.Layer layer, Geometry within) {
            if (layer.soft().isShade()) {
                Envelope near = new Envelope(layer.place().getEnvelopeInternal());
                near.expandBy(3 * FADES_MM);
                return new Spread(edge(layer.place(), within), true, near);
            }
            if (layer.soft().mm() <= 0) {
                return null;
            }
            double reach = layer.soft().mm() / 3;
            Grid coarse = SoftField.grid(within, reach);
            SoftField own = SoftField.of(coarse, SoftField.covered(layer.place(), coarse), reach);
            SoftField all = SoftField.of(coarse, SoftField.covered(within, coarse), reach);
            return new Spread(own.shareOf(all), false, SoftField.reached(layer.place(), coarse, reach));
        }

        /** 1 on the dark edge and beyond what is shaded, softened inward. */
        private static SoftField edge(Geometry place, Geometry within) {
            Grid coarse = SoftField.grid(within, FADES_MM);
            float[] field = SoftField.covered(place, coarse);
            float[] inside = SoftField.covered(within, coarse);
            for (int i = 0; i < field.length; i++) {
                field[i] = Math.max(field[i], 1 - inside[i]);
            }
            return SoftField.of(coarse, field, FADES_MM);
        }

        /**
         * What is left at a place of what covers it.
         *
         * @param soft the field there
         * @param covered how much of the pixel is covered
         * @param dark of a shade how much of it lies on the edge that is darkest
         */
        float left(double x, double y, float soft, float covered, float dark) {
            return shade ? shade(x, y, soft, covered, dark) : covered * (soft * soft * (3 - 2 * soft));
        }

        /**
         * How strong a shade is at a place.
         *
         * @param inside how much of the pixel lies in what is shaded
         * @param dark how much of it lies on the edge that is darkest
         */
        private float shade(double x, double y, float soft, float inside, float dark) {
            float t = Math.min(1, Math.max(0, (soft - 0.15f) / 0.75f));
            float share = t * t * (3 - 2 * t) * inside * Math.min(1, 0.35f + dark);
            return share > 0.01f && (dark > 0 || inside > 0.5f) && reach.contains(x, y) ? share : 0;
        }
    }

    /**
     * A layer as its squares are made.
     *
     * @param drawn whether it is drawn with a pen, whose line is a little uneven
     */
    private record Cover(Step.Layer layer, Geometry area, Spread spread, Hand.Tool tool, boolean drawn, Window painted) {

        List<Square> squares() {
            Grid grid = painted.grid();
            Envelope box = area.getEnvelopeInternal().intersection(painted.box());
            box = spread == null ? box : box.intersection(spread.reach);
            if (box.isNull()) {
                return List.of();
            }
            int side = Math.max(SIDE, LIPS * Hand.lipReach(grid.cellMm()));
            int left = (int) ((box.getMinX() - grid.left()) / grid.cellMm() / side);
            int top = (int) ((box.getMinY() - grid.top()) / grid.cellMm() / side);
            int across = (int) ((box.getMaxX() - grid.left()) / grid.cellMm() / side) + 1 - left;
            int down = (int) ((box.getMaxY() - grid.top()) / grid.cellMm() / side) + 1 - top;
            List<Hand.End> ends = tool == Hand.Tool.PEN ? Hand.ends(layer.place()) : List.of();
            return Parallel.range(0, across * down)
                    .mapToObj(k -> square((left + k % across) * side, (top + k / across) * side, side, ends)).flatMap(Optional::stream)
                    .toList();
        }

        /** The square from a column and row on, where it covers anything; drawn with what round it its lips are made of. */
        private Optional<Square> square(int column, int row, int side, List<Hand.End> ends) {
            Grid grid = painted.grid();
            int round = Hand.lipReach(grid.cellMm());
            int c = column - round; // beyond the grid as well, whose border is no edge
            int r = row - round;
            int columns = Math.min(grid.columns(), column + side) + round - c;
            int rows = Math.min(grid.rows(), row + side) + round - r;
            if (columns <= 2 * round || rows <= 2 * round) {
                return Optional.empty();
            }
            Mask mask = Mask.of(area, grid.part(c, r, columns, rows));
            int left = Math.max(Math.max(column, painted.column()), c + mask.column());
            int top = Math.max(Math.max(row, painted.row()), r + mask.row());
            int wide = Math.min(Math.min(column + side, painted.column() + painted.columns()), c + mask.column() + mask.columns()) - left;
            int high = Math.min(Math.min(row + side, painted.row() + painted.rows()), r + mask.row() + mask.rows()) - top;
            if (wide < 1 || high < 1) {
                return Optional.empty();
            }
            boolean shade = layer.soft().isShade();
            float[] dark = shade ? own(grid.part(left, top, wide, high)) : null;
            float[] all = shade ? mask.shares() : shares(mask, c + mask.column(), r + mask.row());
            int first = (top - r - mask.row()) * mask.columns() + left - c - mask.column();
            float[] share = cut(all, first, mask.columns(), wide, high);
            if (shade) {
                thin(share, dark, left, top, wide, high);
            }
            if (!covers(share)) {
                return Optional.empty();
            }
            boolean level = spread != null || mask.columns() == columns && mask.rows() == rows && isWhole(all); // no edge is near
            float[] lip = level ? new float[0]
                    : cut(Hand.lip(all, mask.columns(), mask.rows(), grid.cellMm()), first, mask.columns(), wide, high);
            float[] pools = new float[tool == Hand.Tool.PEN && !shade ? share.length : 0];
            if (pools.length > 0) {
                Hand.pools(ends, pools, left, top, wide, high, grid);
            }
            return Optional.of(new Square(left, top, wide, high, share, shade ? dark : share, lip, pools));
        }

        /** How much of each cell of a part of the grid is the layer's own place. */
        private float[] own(Grid part) {
            Mask mask = Mask.of(layer.place(), part);
            float[] own = new float[part.cells()];
            for (int r = 0; r < mask.rows(); r++) {
                for (int k = 0; k < mask.columns(); k++) {
                    own[(mask.row() + r) * part.columns() + mask.column() + k] = mask.at(k, r);
                }
            }
            return own;
        }

        private static boolean isWhole(float[] share) {
            for (float each : share) {
                if (each < 1) {
                    return false;
                }
            }
            return true;
        }

        private static boolean covers(float[] share) {
            for (float each : share) {
                if (each > 0) {
                    return true;
                }
            }
            return false;
        }

        private static float[] cut(float[] from, int first, int across, int wide, int high) {
            float[] part = new float[wide * high];
            for (int r = 0; r < high; r++) {
                System.arraycopy(from, first + r * across, part, r * wide, wide);
            }
            return part;
        }

        /** How much of each cell the hand covers: crisp, run out softly within its area, or a pen's slightly uneven line. */
        private float[] shares(Mask mask, int column, int row) {
            Grid grid = painted.grid();
            float[] share = mask.shares();
            if (spread != null) {
                thin(share, null, column, row, mask.columns(), mask.rows());
                return share;
            }
            Noise hand = new Noise(17);
            for (int i = 0; i < share.length && drawn; i++) {
                if (share[i] > 0) {
                    double x = grid.x(column + i % mask.columns());
                    double y = grid.y(row + i / mask.columns());
                    share[i] = (float) Math.max(0,
                            Math.min(1, share[i] + 2.4 * 0.7 * hand.gradient(x * 1.7, y * 1.7) * share[i] * (1 - share[i])));
                }
            }
            return share;
        }

        /** Thins what is soft over a rectangle of the grid. */
        private void thin(float[] share, float[] dark, int column, int row, int columns, int rows) {
            Grid grid = painted.grid();
            SoftField.Row reader = spread.field.new Row();
            for (int r = 0; r < rows; r++) {
                double y = grid.y(row + r);
                reader.go(y, grid.x(column), grid.x(column + columns - 1));
                for (int i = r * columns; i < (r + 1) * columns; i++) {
                    if (share[i] > 0) {
                        double x = grid.x(column + i - r * columns);
                        share[i] = spread.left(x, y, reader.at(x), share[i], dark == null ? 0 : dark[i]);
                    }
                }
            }
        }
    }
}
