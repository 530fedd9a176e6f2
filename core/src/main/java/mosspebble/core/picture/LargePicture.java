package mosspebble.core.picture;

import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import mosspebble.core.area.Grid;
import mosspebble.core.colour.Lamp;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.stone.Survey;

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

    /** Held for each pixel of a tile while it is drawn, bytes, counted generously: skin, paint, films, heights, light. */
    private static final int BYTES = 135;

    /** Pixels of a tile with what it sees round itself, at most. */
    private static final int MOST = 3_600_000;

    /** A tile narrower than so many pixels is nearly all margin. */
    private static final int LEAST = 64;

    /** Light looks so far for what stands in its way, mm, and a lip or a dent is so wide. */
    private static final double LIGHT_MM = Shading.FARTHEST_MM + 0.4;

    private final PaintPlan plan;
    private final Survey survey;
    private final Wish wish;
    private final double cell;
    private final double left;
    private final double top;
    private final int columns;
    private final int rows;
    private final int margin;
    /** The outer part of the margin, where only paint is laid. */
    private final int outer;
    private final int side;

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
        this.outer = (int) Math.ceil(touches(plan) / cell);
        this.margin = 2 + (int) Math.ceil(LIGHT_MM / cell) + outer;
        this.side = side(free);
    }

    /** A touch stands on the highest below it, wherever that is. */
    private static double touches(PaintPlan plan) {
        return 2 * plan.steps().stream().filter(s -> Painting.hasTouches(s.kind())).flatMap(s -> s.layers().stream())
                .mapToDouble(l -> Hand.largestTouch(l.place())).max().orElse(0);
    }

    private static long free() {
        Runtime machine = Runtime.getRuntime();
        return machine.maxMemory() - machine.totalMemory() + machine.freeMemory();
    }

    /** Side of a tile without its margin, for so much free memory, bytes. */
    private int side(long free) {
        long cells = Math.min(MOST, (long) (0.7 * free) / BYTES);
        int whole = (int) Math.sqrt(cells);
        if (whole - 2 * margin < LEAST) {
            throw new IllegalStateException("There is not the memory for a picture of " + columns + " x " + rows + " pixels.");
        }
        return whole - 2 * margin;
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
        return Math.min(side, rows);
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
        int across = (columns + side - 1) / side;
        for (int tile = 0; tile < across; tile++) {
            int from = (int) ((long) columns * tile / across);
            int to = (int) ((long) columns * (tile + 1) / across);
            if (unwanted.getAsBoolean()) {
                throw new CancellationException();
            }
            draw(from, first, to - from, count, unwanted, strip);
        }
        return strip;
    }

    /** One tile: what lies round it is drawn as well, and left away. */
    private void draw(int column, int row, int wide, int high, BooleanSupplier unwanted, int[] strip) {
        int c0 = column - margin;
        int r0 = row - margin;
        Grid grid = new Grid(left + c0 * cell, top + r0 * cell, cell, wide + 2 * margin, high + 2 * margin);
        StoneTerrain terrain = StoneTerrain.of(survey, grid, outer, unwanted);
        int[] pixels = new int[grid.cells()];
        StonePicture.draw(plan, terrain, wish.look, wish.lamp, wish.shown, unwanted, pixels);
        if (unwanted.getAsBoolean()) {
            throw new CancellationException();
        }
        for (int r = 0; r < high; r++) {
            System.arraycopy(pixels, (r + margin) * grid.columns() + margin, strip, r * columns + column, wide);
        }
    }
}
