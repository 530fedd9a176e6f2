package mosspebble.core.colour;

/** Warm and cool: how far a colour lies toward orange, the hue angle of 50 degrees in CIELAB (common practice, no source). */
final class Warmth {

    static final double ANGLE = Math.toRadians(50);

    private Warmth() {}

    static double of(Lab lab) {
        return lab.a() * Math.cos(ANGLE) + lab.b() * Math.sin(ANGLE);
    }
}
