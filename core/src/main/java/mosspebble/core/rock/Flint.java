package mosspebble.core.rock;

/** Glassy, in shallow bowls that meet in ridges where it broke, with fine ripples round a blow, and here and there a chalky rind. */
final class Flint extends Fabric {

    private static final double BOWL = 19;

    private final double blowU;
    private final double blowV;
    private final double rindTurn;

    Flint(long seed, double relief) {
        super(seed, relief);
        blowU = 24 * (noise.quick(1, 1) - 0.5);
        blowV = 18 * (noise.quick(2, 1) - 0.5);
        rindTurn = 2 * Math.PI * noise.quick(5, 8);
    }

    @Override
    void fill(double u, double v, double pixel, Place place) {
        double cloud = noise.octaves(u, v, 15, 5, pixel);
        double tone = 1 + 0.34 * cloud + 0.05 * noise.octaves(u, v, 0.9, 3, pixel);
        double warm = noise.octaves(u + 60, v + 20, 11, 4, pixel);
        place.tint(tone * (1 + 0.10 * warm), tone, tone * (1 - 0.10 * warm));
        double pale = step(0.36, 0.6, noise.octaves(u - 40, v + 10, 8, 4, pixel));
        place.toward(0.4 * pale, 1.9, 1.85, 1.75);
        double bowl = bowl(u + 3 * noise.octaves(u, v, 14, 3, pixel), v + 3 * noise.octaves(u + 30, v - 8, 14, 3, pixel));
        double d = Math.hypot(u - blowU, v - blowV);
        double ripple = step(4, 9, d) * (1 - step(13, 20, d)) * Math.sin(2 * Math.PI * Math.sqrt(d) * 2.4) * Noise.visible(1.6, pixel);
        place.height = 0.55 * bowl + 0.012 * ripple + 0.004 * noise.octaves(u, v, 1.2, 3, pixel);
        double side = u * Math.cos(rindTurn) + v * Math.sin(rindTurn) - 24 - 2.6 * noise.octaves(u, v, 9, 5, pixel);
        double rind = step(0, Math.max(0.4, pixel), side);
        place.apart = rind > 0.5;
        double chalk = 0.66 + 0.12 * noise.octaves(u, v, 2.2, 5, pixel);
        own(place, rind, chalk, chalk * 0.97, chalk * 0.89);
        place.height += 0.30 * rind * (1 + 0.25 * noise.octaves(u, v, 1.4, 4, pixel));
        place.gloss = 0.75 * (1 - rind);
        place.glint = 0;
    }

    /** Height within the nearest bowl, 0 at its middle and rising to the ridge. */
    private double bowl(double u, double v) {
        int c0 = (int) Math.floor(u / BOWL);
        int r0 = (int) Math.floor(v / BOWL);
        double near = Double.POSITIVE_INFINITY;
        for (int r = r0 - 1; r <= r0 + 1; r++) {
            for (int c = c0 - 1; c <= c0 + 1; c++) {
                double dx = u / BOWL - c - noise.quick(c + 12, r);
                double dy = v / BOWL - r - noise.quick(c, r + 12);
                near = Math.min(near, dx * dx + dy * dy);
            }
        }
        return Math.min(1, near);
    }
}
