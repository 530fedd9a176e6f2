package mosspebble.core.proof;

import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * How something lies against where it was planned: turned and sized about a middle, then moved.
 *
 * @param x middle, mm
 * @param dx moved to the right, mm
 * @param dy moved down, mm
 * @param turn radians clockwise
 * @param size times its planned size
 * @param likeness correlation of what is seen with what was planned, -1 to 1
 * @param off standard deviations of dx, dy (mm), turn (radians) and size
 */
record Fit(double x, double y, double dx, double dy, double turn, double size, double likeness, double[] off) {

    static Fit none(double x, double y) {
        return new Fit(x, y, 0, 0, 0, 1, 0, new double[] {0, 0, 0, 0});
    }

    double toX(double px, double py) {
        return x + dx + size * (Math.cos(turn) * (px - x) - Math.sin(turn) * (py - y));
    }

    double toY(double px, double py) {
        return y + dy + size * (Math.sin(turn) * (px - x) + Math.cos(turn) * (py - y));
    }

    /**
     * Where planned places lie, for many of them: x is right[0] px + right[1] py + right[2], and y likewise of down.
     *
     * @param right receives three numbers
     * @param down receives three numbers
     */
    void into(double[] right, double[] down) {
        double c = size * Math.cos(turn);
        double s = size * Math.sin(turn);
        right[0] = c;
        right[1] = -s;
        right[2] = x + dx - c * x + s * y;
        down[0] = s;
        down[1] = c;
        down[2] = y + dy - s * x - c * y;
    }

    /** The same move, told about another middle. */
    Fit about(double otherX, double otherY) {
        return new Fit(otherX, otherY, toX(otherX, otherY) - otherX, toY(otherX, otherY) - otherY, turn, size, likeness, off);
    }

    AffineTransformation transformation() {
        double c = size * Math.cos(turn);
        double s = size * Math.sin(turn);
        return new AffineTransformation(c, -s, x + dx - c * x + s * y, s, c, y + dy - s * x - c * y);
    }
}
