package mosspebble.core.rock;

/** Glassy, in shallow bowls that meet in ridges where it broke, with fine ripples round a blow, and here and there a chalky rind. */
final class Flint extends Fabric {

    private final Waves clouds = new Waves(noise, 15, 5);
    private final Waves speckle = new Waves(noise, 0.9, 3);
    private final Waves warmth = new Waves(noise, 11, 4);
    private final Waves flecks = new Waves(noise, 2.6, 2);
    private final Waves pales = new Waves(noise, 8, 4);
    private final Waves smokes = new Waves(noise, 12, 5);
    private final Waves bending = new Waves(noise, 14, 3);
    private final Waves roughness = new Waves(noise, 1.2, 3);
    private final Waves border = new Waves(noise, 9, 5);
    private final Waves chalky = new Waves(noise, 2.2, 5);
    private final Waves holes = new Waves(noise, 0.9, 2);
    private final Waves crust = new Waves(noise, 1.4, 4);

    private static final double BOWL = 15;

    /** How far from a ridge light shines through it, mm, and how unlike the tones of two bowls are. */
    private static final double RIDGE = 0.45;
    private static final double OWN_TONE = 0.20;

    /** Reflectance of the rind (weathered chalk; from memory). */
    private static final double CHALK = 0.72;

    /** From one ripple of a blow to the next, mm; they widen away from it. */
    private static final double RIPPLE = 0.95;

    private final double rindTurn;

    Flint(long seed, double relief) {
        super(seed, relief);
        rindTurn = 2 * Math.PI * noise.quick(5, 8);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double cloud = clouds.at(u, v, pixel, near);
        double bu = u + 3 * bending.at(u, v, pixel, near);
        double bv = v + 3 * bending.at(u + 30, v - 8, pixel, near);
        Bowl bowl = bowlAt(bu, bv);
        double ripple = ripples(bu, bv, bowl, near) * Noise.visible(RIPPLE, pixel);
        double thin = 1 - step(0, Math.max(RIDGE, pixel), bowl.toEdge); // an edge of glass lets light through
        double tone = 1 + 0.34 * cloud + 0.05 * speckle.at(u, v, pixel, near) + OWN_TONE * (noise.quick(bowl.column + 77, bowl.row) - 0.5)
                + 0.055 * ripple;
        double warm = warmth.at(u + 60, v + 20, pixel, near);
        place.tint(tone * (1 + 0.10 * warm), tone, tone * (1 - 0.10 * warm));
        double pale = step(0.36, 0.6, pales.at(u - 40, v + 10, pixel, near));
        place.toward(0.4 * pale, 1.9, 1.85, 1.75);
        double smoke = step(-0.1, 0.6, smokes.at(u + 25, v + 70, pixel, near)); // light comes back from deep within
        place.toward(0.5 * smoke, 2.2 + 0.4 * warm, 2.0, 1.75 - 0.4 * warm);
        place.toward(0.10 * thin, 2.6, 2.4, 2.0);
        place.toward(0.35 * step(0.50, 0.62, flecks.at(u + 17, v + 3, pixel, near)), 3.4, 3.1, 2.7); // what lived in the chalk
        place.height = 0.75 * Math.min(1, bowl.far) + 0.030 * ripple + 0.004 * roughness.at(u, v, pixel, near);
        double side = u * Math.cos(rindTurn) + v * Math.sin(rindTurn) - 24 - 2.6 * border.at(u, v, pixel, near);
        double rind = step(0, Math.max(0.4, pixel), side);
        place.apart = rind > 0.5;
        double hole = rind * step(0.40, 0.52, holes.at(u + 9, v - 4, pixel, near));
        double chalk = (CHALK + 0.10 * chalky.at(u, v, pixel, near)) * (1 - 0.45 * hole);
        double stain = Math.max(0, Math.min(1, 0.15 + 0.9 * warm)); // iron from the soil
        own(place, rind, chalk, chalk * (0.95 - 0.06 * stain), chalk * (0.84 - 0.18 * stain));
        place.height += 0.30 * rind * (1 + 0.25 * crust.at(u, v, pixel, near)) - 0.14 * hole;
        place.gloss = 0.75 * (1 - rind);
        place.glint = 0;
    }

    /**
     * The bowl that a place lies in.
     *
     * @param far squared distance from its middle, in bowls
     * @param toEdge to the ridge where it meets the next, mm
     */
    private record Bowl(int column, int row, double far, double toEdge) {}

    /** Ripples that run out from the blow that struck a bowl, which lies off it; not every blow left them, nor all the way round. */
    private double ripples(double u, double v, Bowl bowl, NearNoise near) {
        double much = step(0.1, 0.35, noise.quick(bowl.column + 31, bowl.row + 5));
        double turn = 2 * Math.PI * noise.quick(bowl.column + 3, bowl.row + 41);
        double du = u - BOWL * middleU(bowl.column, bowl.row) - 13 * Math.cos(turn);
        double dv = v - BOWL * middleV(bowl.column, bowl.row) - 13 * Math.sin(turn);
        double d = Math.hypot(du, dv) + 1.2 * near.gradient(u / 7, v / 7) + 0.07 * near.gradient(u / 2.2, v / 2.2);
        double fades = step(2, 6, d) * (1 - step(20, 27, d)) * (0.25 + 0.75 * step(-0.35, 0.15, near.gradient(u / 9 + 7, v / 9)));
        double waves = Math.pow(d, 0.86) / RIPPLE;
        int whole = (int) Math.floor(waves);
        double high = noise.quick(whole + 4001, bowl.column + 57 * bowl.row);
        double next = noise.quick(whole + 4002, bowl.column + 57 * bowl.row);
        double own = 0.25 + 1.1 * (high + (next - high) * (waves - whole)); // no two alike
        double wave = Math.sin(2 * Math.PI * waves);
        return much * fades * own * wave * (0.5 + 0.5 * wave * wave);
    }

    private double middleU(int column, int row) {
        return column + noise.quick(column + 12, row);
    }

    private double middleV(int column, int row) {
        return row + noise.quick(column, row + 12);
    }

    private Bowl bowlAt(double u, double v) {
        int c0 = (int) Math.floor(u / BOWL);
        int r0 = (int) Math.floor(v / BOWL);
        double first = Double.POSITIVE_INFINITY;
        double second = Double.POSITIVE_INFINITY;
        int column = 0;
        int row = 0;
        double apart = 1; // of the middles of both, in bowls
        for (int r = r0 - 1; r <= r0 + 1; r++) {
            for (int c = c0 - 1; c <= c0 + 1; c++) {
                double far = far(u, v, c, r);
                if (far < first) {
                    second = first;
                    apart = Math.hypot(middleU(c, r) - middleU(column, row), middleV(c, r) - middleV(column, row));
                    first = far;
                    column = c;
                    row = r;
                } else if (far < second) {
                    second = far;
                    apart = Math.hypot(middleU(c, r) - middleU(column, row), middleV(c, r) - middleV(column, row));
                }
            }
        }
        return new Bowl(column, row, first, BOWL * (second - first) / (2 * Math.max(0.05, apart)));
    }

    /** Squared distance from the middle of a bowl, in bowls. */
    private double far(double u, double v, int column, int row) {
        double du = u / BOWL - middleU(column, row);
        double dv = v / BOWL - middleV(column, row);
        return du * du + dv * dv;
    }
}
