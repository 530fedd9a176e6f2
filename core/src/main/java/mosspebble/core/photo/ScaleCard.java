package mosspebble.core.photo;

import java.util.List;

/**
 * The printed card that lies beside the stones: four square marks of known size, number and place, a white field and a ruler. The marks
 * carry a number of 12 bits in 4 by 4 cells within a black
 * border half as wide as the cells' square, in the layout of BoofCV's binary squares.
 */
public final class ScaleCard {

    public static final double WIDTH_MM = 100;
    public static final double HEIGHT_MM = 64;

    /** Side of a mark. */
    public static final double MARK_MM = 18;

    /** Cells along the side of a mark, border included. */
    public static final int CELLS = 8;

    /** Left, top, right, bottom of the white field, mm. */
    public static final List<Double> WHITE = List.of(30.0, 8.0, 70.0, 22.0);

    /**
     * One mark.
     *
     * @param x left edge, mm from the card's left
     * @param y top edge, mm from the card's top
     * @param rows the 4 by 4 cells, {@code #} black
     */
    public record Mark(long number, double x, double y, List<String> rows) {

        /** Whether a cell of the 8 by 8 is black. */
        public boolean black(int column, int row) {
            boolean border = column < 2 || row < 2 || column > 5 || row > 5;
            return border || rows.get(row - 2).charAt(column - 2) == '#';
        }
    }

    public static final List<Mark> MARKS = List.of(
            new Mark(731, 5, 5, List.of("....", "##.#", ".##.", "###.")),
            new Mark(2219, 77, 5, List.of("..#.", ".#..", ".#.#", "###.")),
            new Mark(3478, 5, 41, List.of(".##.", ".##.", "#.#.", "#.#.")),
            new Mark(1106, 77, 41, List.of(".#..", "#...", "..#.", "#.#.")));

    private static final Mark[] LAID = MARKS.toArray(Mark[]::new); // gone through for every pixel of a simulated photo

    private ScaleCard() {}

    /** How bright the card is at a place, 0 black to 1 white paper. */
    public static boolean black(double x, double y) {
        for (Mark mark : LAID) {
            double cx = (x - mark.x()) / MARK_MM * CELLS;
            double cy = (y - mark.y()) / MARK_MM * CELLS;
            if (cx >= 0 && cy >= 0 && cx < CELLS && cy < CELLS) {
                return mark.black((int) cx, (int) cy);
            }
        }
        boolean ruler = y >= 44 && y <= 44.5 && x >= 25 && x <= 75;
        double tick = (x - 25) / 5;
        boolean ticks = x >= 24.8 && x <= 75.2 && Math.abs(tick - Math.round(tick)) * 5 < 0.2
                && y >= 44 - (Math.round(tick) % 2 == 0 ? 4 : 2.5) && y <= 44.5;
        return ruler || ticks;
    }
}
