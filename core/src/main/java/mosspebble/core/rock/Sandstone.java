package mosspebble.core.rock;

/** Grains of sand, 0.06 to 2 mm by definition, medium 0.25 to 0.5 (Wentworth's scale), in beds of changing tone, with pores. */
final class Sandstone extends Fabric {

    private final Waves warp = new Waves(noise, 20, 3);
    private final Waves bedding = new Waves(noise, 9, 5);
    private final Waves laminae = new Waves(noise, 1.4, 3);
    private final Waves wander = new Waves(noise, 0.5, 2);
    private final Waves roughness = new Waves(noise, 5, 4);

    private static final double GRAIN = 0.38;

    /** Thickness of a lamina, mm; the warp varies it. */
    private static final double LAMINA = 2.6;

    /** Share of the laminae that are dark all over. */
    private static final double DARK = 0.1;

    private final Pits pores;

    Sandstone(long seed, double relief) {
        super(seed, relief);
        pores = new Pits(noise, 0, 1.3, 0.32, 0.06, 0.44);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double warped = v + 3.2 * warp.at(u / 4, v / 4, 0, near) + 0.12 * u;
        double beds = bedding.at(u / 33, warped, pixel, near);
        double fine = laminae.at(u / 14, warped, pixel, near);
        double along = (warped + 1.6 * fine) / LAMINA;
        double sand = Noise.visible(2 * GRAIN, pixel);
        Grain grain = sand == 0 ? Grain.NONE : grain(u + 0.1 * wander.at(u, v, pixel, near), v);
        double bed = beds / (0.10 + Math.abs(beds)); // layers of one tone, and short changes between them
        double tone = 1 + 0.20 * beds + 0.17 * bed + 0.12 * fine + 0.16 * graded(along, pixel)
                + sand * (0.34 * (grain.tone - 0.5) + 0.22 * (grain.height - 0.4));
        double iron = step(-0.2, 0.7, bed);
        place.tint(tone * (1 - 0.02 * iron), tone * (1 - 0.08 * iron), tone * (1 - 0.16 * iron));
        double dark = dark(along, pixel);
        place.toward(0.6 * dark, tone * 0.54, tone * 0.50, tone * 0.56);
        double pore = pores.depth(u, v, pixel);
        place.shade(1 - 0.6 * pore);
        place.height = 0.05 * grain.height * sand + 0.09 * roughness.at(u / 9, warped, pixel, near) - 0.25 * pore;
        place.gloss = 0.02;
        place.glint = 0;
    }

    /**
     * Each lamina begins coarse and pale on a sharp edge and fades to fine and dark.
     *
     * @param along in laminae
     * @return about 0 on average
     */
    private double graded(double along, double pixel) {
        double edge = edge(pixel);
        double in = along - Math.floor(along);
        double fades = in < 1 - edge ? 1 - in / (1 - edge) : (in - 1 + edge) / edge;
        return (fades - 0.5) * Noise.visible(2 * LAMINA, pixel) * (0.3 + 0.7 * noise.quick((int) Math.floor(along), 77));
    }

    /** One lamina of many is dark all over: on a sharp edge as well, and it fades at its end. 0 to 1. */
    private double dark(double along, double pixel) {
        double edge = edge(pixel);
        double in = along + edge - Math.floor(along + edge); // the edge of the others lies at their end
        boolean is = noise.quick((int) Math.floor(along + edge), 31) > 1 - DARK;
        return is ? step(0, edge, in) * (1 - step(0.6, 1, in)) : 0;
    }

    private static double edge(double pixel) {
        return Math.min(0.5, 0.06 + pixel / LAMINA);
    }

    /**
     * A grain of sand.
     *
     * @param height 0 between grains to 1
     * @param tone 0 to 1, its own
     */
    private record Grain(double height, double tone) {
        static final Grain NONE = new Grain(0.4, 0.5);
    }

    private Grain grain(double u, double v) {
        int c0 = (int) Math.floor(u / GRAIN);
        int r0 = (int) Math.floor(v / GRAIN);
        double near = Double.POSITIVE_INFINITY;
        double tone = 0;
        for (int r = r0 - 1; r <= r0 + 1; r++) {
            for (int c = c0 - 1; c <= c0 + 1; c++) {
                double dx = u / GRAIN - c - noise.quick(c, r);
                double dy = v / GRAIN - r - noise.quick(c + 991, r);
                double d = dx * dx + dy * dy;
                if (d < near) {
                    near = d;
                    tone = noise.quick(c + 3, r + 5);
                }
            }
        }
        return new Grain(Math.max(0, 1 - near) * (0.55 + 0.45 * tone), tone);
    }
}
