package mosspebble.core.rock;

/** Glassy, in shallow bowls that meet in ridges where it broke, with fine ripples round a blow, and here and there a chalky rind. */
final class Flint extends Fabric {

    private final Waves clouds = new Waves(noise, 15, 5);
    private final Waves speckle = new Waves(noise, 0.9, 3);
    private final Waves warmth = new Waves(noise, 11, 4);
    private final Waves pales = new Waves(noise, 8, 4);
    private final Waves bending = new Waves(noise, 14, 3);
    private final Waves roughness = new Waves(noise, 1.2, 3);
    private final Waves border = new Waves(noise, 9, 5);
    private final Waves chalky = new Waves(noise, 2.2, 5);
    private final Waves holes = new Waves(noise, 0.9, 2);
    private final Waves crust = new Waves(noise, 1.4, 4);

    private static final double BOWL = 15;

    /** From one ripple of a blow to the next, mm; they widen away from it. */
    private static final double RIPPLE = 1.3;

    private final double rindTurn;

    Flint(long seed, double relief) {
        super(seed, relief);
        rindTurn = 2 * Math.PI * noise.quick(5, 8);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double cloud = clouds.at(u, v, pixel, near);
        double tone = 1 + 0.34 * cloud + 0.05 * speckle.at(u, v, pixel, near);
        double warm = warmth.at(u + 60, v + 20, pixel, near);
        place.tint(tone * (1 + 0.10 * warm), tone, tone * (1 - 0.10 * warm));
        double pale = step(0.36, 0.6, pales.at(u - 40, v + 10, pixel, near));
        place.toward(0.4 * pale, 1.9, 1.85, 1.75);
        double bu = u + 3 * bending.at(u, v, pixel, near);
        double bv = v + 3 * bending.at(u + 30, v - 8, pixel, near);
        long bowl = bowlAt(bu, bv);
        double ripple = ripples(bu, bv, bowl, near) * Noise.visible(RIPPLE, pixel);
        place.height = 0.75 * Math.min(1, far(bu, bv, (int) (bowl >> 32), (int) bowl)) + 0.017 * ripple
                + 0.004 * roughness.at(u, v, pixel, near);
        double side = u * Math.cos(rindTurn) + v * Math.sin(rindTurn) - 24 - 2.6 * border.at(u, v, pixel, near);
        double rind = step(0, Math.max(0.4, pixel), side);
        place.apart = rind > 0.5;
        double chalk = 0.52 + 0.12 * chalky.at(u, v, pixel, near);
        own(place, rind, chalk, chalk * 0.97, chalk * 0.89);
        double hole = rind * step(0.30, 0.42, holes.at(u + 9, v - 4, pixel, near));
        place.height += 0.30 * rind * (1 + 0.25 * crust.at(u, v, pixel, near)) - 0.09 * hole;
        place.gloss = 0.75 * (1 - rind);
        place.glint = 0;
    }

    /** Ripples that run out from the blow that struck a bowl, which lies off it; not every blow left them, nor all the way round. */
    private double ripples(double u, double v, long bowl, NearNoise near) {
        int column = (int) (bowl >> 32);
        int row = (int) bowl;
        double much = step(0.2, 0.5, noise.quick(column + 31, row + 5));
        double turn = 2 * Math.PI * noise.quick(column + 3, row + 41);
        double du = u - BOWL * middleU(column, row) - 15 * Math.cos(turn);
        double dv = v - BOWL * middleV(column, row) - 15 * Math.sin(turn);
        double d = Math.hypot(du, dv) + 0.5 * near.gradient(u / 6, v / 6);
        double fades = step(3, 8, d) * (1 - step(19, 27, d)) * step(-0.25, 0.2, near.gradient(u / 9 + 7, v / 9));
        return much * fades * Math.sin(2 * Math.PI * Math.pow(d, 0.9) / RIPPLE);
    }

    private double middleU(int column, int row) {
        return column + noise.quick(column + 12, row);
    }

    private double middleV(int column, int row) {
        return row + noise.quick(column, row + 12);
    }

    /** The bowl that a place lies in: its column and row. */
    private long bowlAt(double u, double v) {
        int c0 = (int) Math.floor(u / BOWL);
        int r0 = (int) Math.floor(v / BOWL);
        double near = Double.POSITIVE_INFINITY;
        long found = 0;
        for (int r = r0 - 1; r <= r0 + 1; r++) {
            for (int c = c0 - 1; c <= c0 + 1; c++) {
                double far = far(u, v, c, r);
                if (far < near) {
                    near = far;
                    found = (long) c << 32 | r & 0xFFFFFFFFL;
                }
            }
        }
        return found;
    }

    /** Squared distance from the middle of a bowl, in bowls. */
    private double far(double u, double v, int column, int row) {
        double du = u / BOWL - middleU(column, row);
        double dv = v / BOWL - middleV(column, row);
        return du * du + dv * dv;
    }
}
