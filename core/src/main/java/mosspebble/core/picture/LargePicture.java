package mosspebble.core.picture;

import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.function.BooleanSupplier;
import mosspebble.core.area.Grid;
import mosspebble.core.colour.Lamp;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Parallel;
import org.locationtech.jts.geom.Envelope;

/**
 * A picture larger than what can be held at once: any rows of it on demand, drawn in tiles that each see as far round themselves as paint
 * and light reach, so that no seam shows.
 */
public final class LargePicture {

    /** Longest side, pixels. */
    public static final int LONGEST = 8_000;
    public static final int SHORTEST = 200;

    /**
     * What is wanted.
     *
     * @param longest side of the picture, pixels, {@link #SHORTEST} to {@link #LONGEST}
     * @param roundMm of cloth round the stone, mm
     */
    public record Wish(int longest, double roundMm, StoneState look, Lamp lamp, StonePicture.Shown shown) {
        public Wish {
            if (longest < SHORTEST || longest > LONGEST) {
                throw new IllegalArgumentException("A picture is " + SHORTEST + " to " + LONGEST + " pixels long, was " + longest + ".");
            }
            if (!(roundMm >= 0 && roundMm <= 1000)) {
                throw new IllegalArgumentException("Round the stone there are 0 to 1,000 mm, was " + roundMm + ".");
            }
        }
    }

    /** Held for each pixel of a tile while it is drawn, bytes, counted generously: skin and its net, paint, films, heights, light. */
    private static final int BYTES = 143;

    /** So many tiles are drawn at once: much of laying paint is done one thing after the other. */
    private static final int TILES = 2;

    /** Pixels of a tile with what it sees round itself, at most. */
    private static final int MOST = 1_300_000;

    /** A tile narrower than so many pixels is nearly all margin. */
    private static final int LEAST = 64;

    /** A touch may stand on a touch. */
    private static final int UPON = 2;

    private final PaintPlan plan;
    private final Survey survey;
    private final Wish wish;
    private final double cell;
    private final double left;
    private final double top;
    private final int columns;
    private final int rows;
    /** What lies so many cells round a tile may stand in its light. */
    private final Margin margin;
    /** So many tiles stand side by side, and so many rows are drawn at once. */
    private final int across;
    private final int strip;
    /** What of each tile drawn last is wanted for the next one below. */
    private final AtomicReferenceArray<Below> below;
    private final Queue<Spare> spares = new ConcurrentLinkedQueue<>();
    /** Where paint is set down by one touch: it stands on the highest below it, wherever that is. */
    private final List<Envelope> touches;

    /** @throws IllegalStateException if there is not the memory for even a small tile; its message says so */
    public LargePicture(PaintPlan plan, Wish wish) {
        this(plan, wish, free());
    }

    /** @param free memory, bytes */
    LargePicture(PaintPlan plan, Wish wish, long free) {
        this.plan = plan;
        this.survey = plan.survey();
        this.wish = wish;
        double wide = 2 * (survey.dome().outline().halfWidth() + wish.roundMm);
        double high = 2 * (survey.dome().outline().halfHeight() + wish.roundMm);
        this.cell = Math.max(wide, high) / wish.longest;
        this.columns = Math.min(wish.longest, Math.max(1, (int) Math.round(wide / cell)));
        this.rows = Math.min(wish.longest, Math.max(1, (int) Math.round(high / cell)));
        this.left = -columns * cell / 2;
        this.top = -rows * cell / 2;
        this.touches = plan.steps().stream().filter(s -> ReadyLayer.hasTouches(s.kind())).flatMap(s -> s.layers().stream())
                .flatMap(l -> Hand.touches(l.place()).stream()).toList();
        double from = Math.toRadians(wish.shown.lightFrom());
        this.margin = new Margin(margin(-Math.sin(from)), margin(Math.sin(from)), margin(Math.cos(from)), margin(-Math.cos(from)));
        int[] shape = shape(free / TILES);
        this.across = shape[0];
        this.strip = shape[1];
        this.below = new AtomicReferenceArray<>(across);
    }

    /** Cells beyond the sides of a tile. */
    private record Margin(int left, int right, int above, int below) {}

    /** Some cells of the picture or beside it. */
    private record Part(int column, int row, int columns, int rows) {
        int end() {
            return row + rows;
        }
    }

    /**
     * What is known of a tile drawn before.
     *
     * @param terrain from a column and row of the picture on
     * @param seen what is painted on a part of the picture
     */
    private record Below(StoneTerrain terrain, int column, int row, Pixels seen, Part painted) {
        /** Whether paint is known from just a row on. */
        boolean isPainted(int first) {
            return painted.row == first && painted.rows > 0;
        }
    }

    /** Cells to a side: what lies in the way of that much of the light, or round a dent, with the lips it may be on. */
    private int margin(double light) {
        return 2 + (int) Math.ceil(Math.max(Shading.WIDE_MM, Shading.FARTHEST_MM * light) / cell) + Hand.lipReach(cell);
    }

    private static long free() {
        Runtime machine = Runtime.getRuntime();
        long free = machine.maxMemory() - machine.totalMemory() + machine.freeMemory();
        if (0.7 * free >= (double) TILES * MOST * BYTES) {
            return free;
        }
        System.gc(); // what nobody holds any more counts as taken until it is collected, and small tiles take longer than that
        return machine.maxMemory() - machine.totalMemory() + machine.freeMemory();
    }

    /**
     * Tiles across and rows of each for which the least is drawn twice, for so much free memory, bytes. Tiles are drawn in pairs, so an odd
     * one has a processor to itself.
     */
    private int[] shape(long free) {
        long cells = Math.min(MOST, (long) (0.7 * free) / BYTES);
        long acrossMargins = margin.left + margin.right;
        long downMargins = margin.above + margin.below;
        int[] best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int k = 1; k <= Math.max(1, columns / LEAST); k++) {
            long high = cells / ((columns + k - 1) / k + acrossMargins) - downMargins;
            if (high < Math.min(LEAST, rows)) {
                continue;
            }
            long strips = (rows + high - 1) / high;
            double drawn = (columns + acrossMargins * (k - 1.0)) * (rows + downMargins * (strips - 1.0));
            double alone = k * strips > 1 && k % TILES != 0 ? (k + 1.0) / k : 1;
            if (drawn * alone < least) {
                least = drawn * alone;
                best = new int[] {k, (int) ((rows + strips - 1) / strips)};
            }
        }
        if (best == null) {
            throw new IllegalStateException("There is not the memory for a picture of " + columns + " x " + rows + " pixels.");
        }
        return best;
    }

    public int columns() {
        return columns;
    }

    public int rows() {
        return rows;
    }

    /** Side of a pixel, mm. */
    public double pixelMm() {
        return cell;
    }

    /** x of the middle of a column, mm. */
    public double x(int column) {
        return left + (column + 0.5) * cell;
    }

    public double y(int row) {
        return top + (row + 0.5) * cell;
    }

    /** As many rows as are best drawn at once. */
    public int strip() {
        return strip;
    }

    /**
     * Some rows of the picture.
     *
     * @param unwanted asked now and then
     * @return premultiplied ARGB, rows first; transparent where there is no stone
     * @throws CancellationException once it is no longer wanted
     */
    public int[] rows(int first, int count, BooleanSupplier unwanted) {
        int[] strip = new int[columns * count];
        Parallel.range(0, across).forEach(tile -> {
            int from = (int) ((long) columns * tile / across);
            int to = (int) ((long) columns * (tile + 1) / across);
            if (unwanted.getAsBoolean()) {
                throw new CancellationException();
            }
            Spare spare = Optional.ofNullable(spares.poll()).orElseGet(Spare::new);
            draw(tile, new Part(from, first, to - from, count), unwanted, spare, strip);
            spare.takeBack();
            spares.add(spare);
        });
        return strip;
    }

    /** What must be drawn for a tile, mm: as far round it as light reaches, and whole what of touches lies in that. */
    Envelope sight(int column, int row, int wide, int high) {
        Envelope box = new Envelope(x(column - margin.left) - cell / 2, x(column + wide + margin.right) - cell / 2,
                y(row - margin.above) - cell / 2, y(row + high + margin.below) - cell / 2);
        for (int on = 0; on < UPON; on++) {
            Envelope seen = new Envelope(box);
            touches.stream().filter(seen::intersects).forEach(touch -> box.expandToInclude(round(touch)));
        }
        return box;
    }

    /** A touch with the edges that it may stand on. */
    private Envelope round(Envelope touch) {
        Envelope round = new Envelope(touch);
        round.expandBy((2 + Hand.lipReach(cell)) * cell);
        return round;
    }

    /** One tile: what lies round it is drawn as well, and left away. */
    private void draw(int tile, Part part, BooleanSupplier unwanted, Spare spare, int[] strip) {
        Envelope box = sight(part.column, part.row, part.columns, part.rows);
        int c0 = (int) Math.floor((box.getMinX() - left) / cell);
        int r0 = (int) Math.floor((box.getMinY() - top) / cell);
        Grid grid = new Grid(left + c0 * cell, top + r0 * cell, cell, 1 + (int) Math.ceil((box.getMaxX() - left) / cell) - c0,
                1 + (int) Math.ceil((box.getMaxY() - top) / cell) - r0);
        Window window = new Window(grid, part.column - c0, part.row - r0, part.columns, part.rows);
        Window known = new Window(grid, window.column(), window.row(), part.columns, grid.rows() - window.row()); // the next tile wants it
        Optional<Below> before = Optional.ofNullable(below.get(tile));
        StoneTerrain terrain = StoneTerrain.of(survey, known, unwanted,
                before.map(b -> new StoneTerrain.Before(b.terrain, b.column - c0, b.row - r0)), spare);
        Pixels seen = painted(terrain, before.filter(b -> b.isPainted(part.row - margin.above)), c0, r0, unwanted, spare);
        int[] pixels = spare.ints(grid.cells());
        StonePicture.light(plan, terrain, wish.look, wish.shown, window, seen, unwanted, spare, pixels);
        if (unwanted.getAsBoolean()) {
            throw new CancellationException();
        }
        below.set(tile, below(terrain, seen, window, c0, r0));
        for (int r = 0; r < part.rows; r++) {
            System.arraycopy(pixels, (r + window.row()) * grid.columns() + window.column(), strip, r * columns + part.column, part.columns);
        }
    }

    /** All the paint on a tile; what is known of it is not laid once more, but where a touch needs it. */
    private Pixels painted(StoneTerrain terrain, Optional<Below> before, int c0, int r0, BooleanSupplier unwanted, Spare spare) {
        Grid grid = terrain.grid;
        Window whole = Window.whole(grid);
        if (before.isEmpty()) {
            return Painting.after(plan, terrain, wish.look, wish.lamp, wish.shown, whole, unwanted, spare);
        }
        Part known = before.get().painted;
        int first = Math.max(0, (int) Math.floor((aboveTouches(y(known.end()) - cell / 2, whole.box()) - top) / cell) - r0);
        Window painted = new Window(grid, 0, first, grid.columns(), grid.rows() - first);
        Pixels seen = Painting.after(plan, terrain, wish.look, wish.lamp, wish.shown, painted, unwanted, spare);
        seen.paste(before.get().seen, known.column - c0, known.row - r0, known.columns, known.rows, grid.columns());
        return seen;
    }

    /** From where on, mm, paint must be laid so that all is right from some y on: no touch on the way is cut, nor any that it stands on. */
    private double aboveTouches(double from, Envelope within) {
        double first = from;
        for (double before = Double.NaN; first != before;) {
            before = first;
            Envelope line = new Envelope(within.getMinX(), within.getMaxX(), before, before);
            first = touches.stream().map(this::round).filter(line::intersects).mapToDouble(Envelope::getMinY).reduce(before, Math::min);
        }
        return first;
    }

    /** What the tile below wants of this one: its rock, and its paint as far as nothing is missing that lies beyond what was drawn. */
    private Below below(StoneTerrain terrain, Pixels seen, Window window, int c0, int r0) {
        int end = window.row() + window.rows();
        int first = Math.max(window.row(), end - margin.above);
        int rows = end + margin.below - 2 - Hand.lipReach(cell) - first;
        int columns = window.columns() + margin.left + margin.right;
        Pixels part = seen.cut(window.column() - margin.left, first, columns, rows, terrain.grid.columns());
        int rock = Math.max(window.row(), end - margin.above - margin.below);
        return new Below(terrain.below(rock), c0 + window.column(), r0 + rock, part,
                new Part(c0 + window.column() - margin.left, r0 + first, columns, rows));
    }
}
