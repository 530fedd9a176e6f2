package mosspebble.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * The one light of a stone. Its direction gives the place of shade, contact shadow, highlight and halo; the painter tunes only how much.
 *
 * @param from degrees clockwise from straight up
 * @param shade on the side away from the light, 0 to 1
 * @param contact below what overlaps, 0 to 1
 * @param highlight on the side toward the light, 0 to 1
 * @param halo darker ground close round the subject, 0 to 1
 */
@RecordBuilder
public record Light(double from, double shade, double contact, double highlight, double halo) implements LightBuilder.With {

    /** From the upper left, half strength, no highlight and no halo of its own. */
    public static final Light USUAL = new Light(320, 0.5, 0.5, 0, 0);

    /** Flat painting: nothing is derived from the light. */
    public static final Light NONE = new Light(320, 0, 0, 0, 0);

    public Light {
        if (!Double.isFinite(from)) {
            throw new IllegalArgumentException("the light must come from a number of degrees");
        }
        from = (from % 360 + 360) % 360;
        check("shade", shade);
        check("contact shadow", contact);
        check("highlight", highlight);
        check("halo", halo);
    }

    private static void check(String what, double value) {
        if (!(value >= 0 && value <= 1)) {
            throw new IllegalArgumentException("the " + what + " must be 0 to 1, was " + value);
        }
    }

    public Light with(double newShade, double newContact, double newHighlight, double newHalo) {
        return new Light(from, newShade, newContact, newHighlight, newHalo);
    }

    /** Toward the light, x. */
    public double towardX() {
        return Math.sin(Math.toRadians(from));
    }

    /** Toward the light, y down. */
    public double towardY() {
        return -Math.cos(Math.toRadians(from));
    }

    /** As the hours of a clock face. */
    public String clock() {
        int hour = (int) Math.round(from / 30) % 12;
        return (hour == 0 ? 12 : hour) + " o'clock";
    }
}
