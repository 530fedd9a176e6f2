package mosspebble.core.stone;

import java.util.Objects;
import mosspebble.core.units.Numbers;

/**
 * A mark on the relief of one side: where the surface departs from the smooth dome. Places are in the stone's own frame (its length across,
 * not turned the way up), mm from the
 * middle of the outline's box.
 *
 * @param x middle, or one end of a crack
 * @param toX other end of a crack; as x for the other kinds
 * @param radiusMm reach from the middle, half the width of a crack, 0.3 to 150
 * @param depthMm how deep it goes, or how high a bump stands, 0.05 to 60
 * @param onBack whether it is on the side that lies below
 */
public record Patch(Kind kind, double x, double y, double toX, double toY, double radiusMm, double depthMm, boolean onBack) {

    /** What it is. */
    public enum Kind {
        DENT("dent"), HOLE("hole"), BUMP("bump"), FLAT("flat"), CRACK("crack");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Most marks on one stone. */
    public static final int MOST = 40;

    public Patch {
        Objects.requireNonNull(kind);
        for (double place : new double[] {x, y, toX, toY}) {
            if (!(Math.abs(place) <= 400)) {
                throw new IllegalArgumentException(
                        "A mark must be within 400 mm of the stone's middle, was at " + Numbers.shortText(place) + " mm.");
            }
        }
        if (!(radiusMm >= 0.3 && radiusMm <= 150)) {
            throw new IllegalArgumentException(
                    "A " + kind.label() + " must reach 0.3 to 150 mm, was " + Numbers.shortText(radiusMm) + " mm.");
        }
        if (!(depthMm >= 0.05 && depthMm <= 60)) {
            throw new IllegalArgumentException(
                    "A " + kind.label() + " must be 0.05 to 60 mm deep or high, was " + Numbers.shortText(depthMm) + " mm.");
        }
    }

    /** A round mark. */
    public static Patch at(Kind kind, double x, double y, double radiusMm, double depthMm) {
        return new Patch(kind, x, y, x, y, radiusMm, depthMm, false);
    }

    public static Patch crack(double x, double y, double toX, double toY, double halfWidthMm, double depthMm) {
        return new Patch(Kind.CRACK, x, y, toX, toY, halfWidthMm, depthMm, false);
    }

    public Patch movedBy(double dx, double dy) {
        return new Patch(kind, x + dx, y + dy, toX + dx, toY + dy, radiusMm, depthMm, onBack);
    }

    public Patch sized(double newRadiusMm, double newDepthMm) {
        return new Patch(kind, x, y, toX, toY, newRadiusMm, newDepthMm, onBack);
    }

    Patch turnedOver() {
        return new Patch(kind, -x, y, -toX, toY, radiusMm, depthMm, !onBack);
    }

    /** Distance from the middle, or from the line of a crack, mm. */
    public double distance(double px, double py) {
        double vx = toX - x;
        double vy = toY - y;
        double square = vx * vx + vy * vy;
        double t = square == 0 ? 0 : Math.max(0, Math.min(1, ((px - x) * vx + (py - y) * vy) / square));
        return Math.hypot(px - x - t * vx, py - y - t * vy);
    }

    /** What it adds to the height at a place, mm: a soft bowl or mound; a hole and a flat have an even floor. */
    double lift(double px, double py) {
        if (px < Math.min(x, toX) - radiusMm || px > Math.max(x, toX) + radiusMm || py < Math.min(y, toY) - radiusMm
                || py > Math.max(y, toY) + radiusMm) {
            return 0;
        }
        double share = distance(px, py) / radiusMm;
        if (share >= 1) {
            return 0;
        }
        double soft = (1 - share * share) * (1 - share * share);
        return switch (kind) {
            case DENT, CRACK -> -depthMm * soft;
            case BUMP -> depthMm * soft;
            case HOLE -> -depthMm * floor(share, 0.7);
            case FLAT -> -depthMm * floor(share, 0.5);
        };
    }

    private static double floor(double share, double from) {
        double t = Math.min(1, (1 - share) / (1 - from));
        return t * t * (3 - 2 * t);
    }
}
