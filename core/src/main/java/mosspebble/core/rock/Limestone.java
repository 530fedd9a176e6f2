package mosspebble.core.rock;

/** Dense and even, with small pits, a cloud of yellow and traces of shell: thin arcs and ringed discs of another tone. */
final class Limestone extends Fabric {

    private final Waves clouds = new Waves(noise, 12, 5);
    private final Waves speckle = new Waves(noise, 0.8, 4);
    private final Waves warmth = new Waves(noise, 30, 3);
    private final Waves roughness = new Waves(noise, 5, 5);

    private static final double CELL = 9;

    private final Pits pits;
    private final Pits small;

    Limestone(long seed, double relief) {
        super(seed, relief);
        pits = new Pits(noise, 0, 3.4, 0.34, 0.12, 0.55);
        small = new Pits(noise, 4000, 1.1, 0.22, 0.05, 0.2);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double tone = 1 + 0.10 * clouds.at(u, v, pixel, near) + 0.05 * speckle.at(u, v, pixel, near);
        double warm = warmth.at(u + 80, v, pixel, near);
        place.tint(tone * (1 + 0.05 * warm), tone, tone * (1 - 0.09 * warm));
        double shell = shell(u, v, pixel);
        place.toward(0.75 * Math.abs(shell), shell > 0 ? tone * 1.25 : tone * 0.72, shell > 0 ? tone * 1.23 : tone * 0.69,
                shell > 0 ? tone * 1.18 : tone * 0.64);
        double hole = pits.depth(u, v, pixel);
        double tiny = small.depth(u, v, pixel);
        place.shade(1 - 0.55 * hole - 0.3 * tiny);
        place.height = 0.05 * roughness.at(u, v, pixel, near) - 0.24 * hole - 0.07 * tiny + 0.02 * shell;
        place.gloss = 0.06;
        place.glint = 0;
    }

    /** A trace of shell, lighter above 0 and darker below. */
    private double shell(double u, double v, double pixel) {
        int c0 = (int) Math.floor(u / CELL);
        int r0 = (int) Math.floor(v / CELL);
        double found = 0;
        for (int r = r0 - 1; r <= r0 + 1; r++) {
            for (int c = c0 - 1; c <= c0 + 1; c++) {
                double kind = noise.quick(c, r + 600);
                if (kind > 0.62) {
                    continue;
                }
                double dx = u - (c + noise.quick(c + 60, r)) * CELL;
                double dy = v - (r + noise.quick(c, r + 60)) * CELL;
                double radius = 1.2 + 2.6 * noise.quick(c + 9, r + 2);
                double d = Math.hypot(dx, dy);
                if (d > radius + 0.5) {
                    continue;
                }
                double line = Math.max(0.11, 0.8 * pixel);
                if (kind < 0.42) { // an arc of shell, a third to a half of its ring
                    double from = 2 * Math.PI * noise.quick(c + 1, r + 90);
                    double on = Math.floorMod((long) Math.round(1000 * (Math.atan2(dy, dx) - from)), Math.round(2000 * Math.PI)) / 1000.0;
                    double length = 1.6 + 1.5 * noise.quick(c + 4, r + 8);
                    double ends = step(0, 0.3, on) * (1 - step(length - 0.3, length, on));
                    found = Math.max(found, ends * (1 - step(0.3 * line, line, Math.abs(d - radius))));
                } else { // a stem of a sea lily cut across: rings round a hole
                    double small = radius * 0.38;
                    double rings = d > small ? 0 : 0.5 + 0.5 * Math.cos(2 * Math.PI * d / (small / 2.2));
                    found = d < small && Math.abs(found) < rings ? -rings : found;
                }
            }
        }
        return found;
    }
}
