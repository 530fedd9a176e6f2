package mosspebble.core.stone;

import mosspebble.core.units.Numbers;

/**
 * How the finished stone will be seen. It lies or leans with its lower edge toward the viewer; the eye is in front of its middle.
 *
 * @param lean angle of the stone's base against the table, degrees, 0 (lies flat) to 90 (stands upright, face to the viewer)
 * @param eyeHeight of the eye over the stone's middle, mm, -2000 to 5000
 * @param eyeDistance level distance of the eye from the stone's middle, mm, 0 to 10000
 */
public record Viewpoint(double lean, double eyeHeight, double eyeDistance) {

    public Viewpoint {
        check("The stone leans", lean, 0, 90, "°");
        check("The eye is", eyeHeight, -2000, 5000, " mm high");
        check("The eye is", eyeDistance, 0, 10000, " mm away");
        Eye eye = new Eye(0, eyeDistance * Math.cos(Math.toRadians(lean)) - eyeHeight * Math.sin(Math.toRadians(lean)),
                eyeDistance * Math.sin(Math.toRadians(lean)) + eyeHeight * Math.cos(Math.toRadians(lean)));
        if (!(eye.z() > 0.15 * Math.hypot(eye.y(), eye.z())) || Math.hypot(eye.y(), eye.z()) < 150) {
            throw new IllegalArgumentException(
                    "From there the face cannot be seen. Lean the stone more, raise the eye, or step back to 150 mm or more.");
        }
    }

    private static void check(String what, double value, double low, double high, String unit) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(what + " " + Numbers.shortText(low) + " to " + Numbers.shortText(high) + unit + ", was "
                    + Numbers.shortText(value) + ".");
        }
    }

    /** Straight down on a stone on the table. */
    public static Viewpoint above() {
        return new Viewpoint(0, 600, 0);
    }

    /** A stone on the table, seen by someone who sits at it. */
    public static Viewpoint table() {
        return new Viewpoint(0, 420, 420);
    }

    /** A stone standing on a shelf at eye level. */
    public static Viewpoint shelf() {
        return new Viewpoint(80, 150, 900);
    }

    /** A stone leaning against a wall at the foot of a path. */
    public static Viewpoint leaning() {
        return new Viewpoint(60, 1200, 1300);
    }

    public boolean straightDown() {
        return lean == 0 && eyeDistance == 0;
    }

    /** The eye in the stone's frame. */
    public Eye eye() {
        double a = Math.toRadians(lean);
        return new Eye(0, eyeDistance * Math.cos(a) - eyeHeight * Math.sin(a), eyeDistance * Math.sin(a) + eyeHeight * Math.cos(a));
    }
}
