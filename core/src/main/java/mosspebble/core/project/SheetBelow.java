package mosspebble.core.project;

import java.util.Locale;
import java.util.Objects;

/**
 * A drawing or photo of the painter's own that lies faint on a stone, to go by with the pencil; it is never painted.
 *
 * @param stone id of the stone it lies on
 * @param backUp whether it lies on the back
 * @param x of its middle, mm, to the right of the stone's
 * @param y of its middle, mm, down from the stone's
 * @param turn degrees clockwise
 * @param wideMm above 0, to 5 m
 * @param shown whether it is seen
 * @param jpeg the picture, a JPEG in Base64
 */
public record SheetBelow(String stone, boolean backUp, double x, double y, double turn, double wideMm, boolean shown, String jpeg) {

    private static final double FARTHEST_MM = 3000;
    private static final double LEAST_MM = 2;
    private static final double WIDEST_MM = 5000;

    public SheetBelow {
        Objects.requireNonNull(stone);
        if (!(Math.abs(x) <= FARTHEST_MM && Math.abs(y) <= FARTHEST_MM)) {
            throw new IllegalArgumentException("A picture to go by lies within 3 m of the stone.");
        }
        if (!(wideMm >= LEAST_MM && wideMm <= WIDEST_MM)) {
            throw new IllegalArgumentException("A picture to go by is 2 mm to 5 m wide.");
        }
        if (!Double.isFinite(turn) || jpeg.isEmpty()) {
            throw new IllegalArgumentException("A picture to go by has a turn and something to see.");
        }
    }

    /** The id under which the picture of a stone's face is kept. */
    public static String id(String stone, boolean backUp) {
        return String.format(Locale.ROOT, "own-sheet-%08x%s", stone.hashCode(), backUp ? "-back" : "");
    }

    public SheetBelow movedBy(double dx, double dy) {
        return new SheetBelow(stone, backUp, within(x + dx, FARTHEST_MM), within(y + dy, FARTHEST_MM), turn, wideMm, shown, jpeg);
    }

    /** @param degrees clockwise */
    public SheetBelow turnedBy(double degrees) {
        return new SheetBelow(stone, backUp, x, y, Math.IEEEremainder(turn + degrees, 360), wideMm, shown, jpeg);
    }

    /** @param times above 0 */
    public SheetBelow sizedBy(double times) {
        return withWide(wideMm * times);
    }

    public SheetBelow withWide(double mm) {
        return new SheetBelow(stone, backUp, x, y, turn, Math.max(LEAST_MM, Math.min(WIDEST_MM, mm)), shown, jpeg);
    }

    public SheetBelow withShown(boolean seen) {
        return new SheetBelow(stone, backUp, x, y, turn, wideMm, seen, jpeg);
    }

    private static double within(double value, double most) {
        return Math.max(-most, Math.min(most, value));
    }
}
