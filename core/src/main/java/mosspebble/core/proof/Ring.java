package mosspebble.core.proof;

import org.locationtech.jts.geom.Coordinate;

/** A closed outline asked for its nearest place again and again, mostly from near the place before. Belongs to one thread. */
final class Ring {

    /** More than sums are off by rounding. */
    private static final double ROUNDING_MM = 1e-6;

    private final Coordinate[] corners;
    /** Way along the outline up to each corner, mm. */
    private final double[] upTo;
    private final double[] way = new double[2];
    /** The piece that was nearest last, by its second corner. */
    private int last = 1;

    /** @param corners the first once more at the end, in mm */
    Ring(Coordinate[] corners) {
        this.corners = corners;
        this.upTo = new double[corners.length];
        for (int i = 1; i < corners.length; i++) {
            upTo[i] = upTo[i - 1] + corners[i].distance(corners[i - 1]);
        }
    }

    /**
     * Way from a place to the nearest of the outline, as far as it goes along a direction, mm. Looks at no piece that cannot be the
     * nearest: whoever goes along the outline comes nearer by no more than the way that is gone.
     *
     * @param acrossX with {@code acrossY} a direction, of length 1
     */
    double across(double x, double y, double acrossX, double acrossY) {
        double within = distance(last, x, y) + ROUNDING_MM;
        double nearest = Double.MAX_VALUE;
        double along = 0;
        for (int i = 1; i < corners.length;) {
            double distance = distance(i, x, y);
            if (distance < nearest) {
                nearest = distance;
                along = way[0] * acrossX + way[1] * acrossY;
                last = i;
                within = Math.min(within, nearest + ROUNDING_MM);
            }
            double farther = upTo[i] + distance - within;
            do {
                i++;
            } while (i < corners.length && upTo[i] < farther);
        }
        return along;
    }

    /** How far the nearest place of one piece is, the way there left in {@code way}. */
    private double distance(int piece, double x, double y) {
        Coordinate from = corners[piece - 1];
        double dx = corners[piece].x - from.x;
        double dy = corners[piece].y - from.y;
        double square = dx * dx + dy * dy;
        double share = square == 0 ? 0 : Math.max(0, Math.min(1, ((x - from.x) * dx + (y - from.y) * dy) / square));
        way[0] = from.x + share * dx - x;
        way[1] = from.y + share * dy - y;
        return Math.sqrt(way[0] * way[0] + way[1] * way[1]);
    }
}
