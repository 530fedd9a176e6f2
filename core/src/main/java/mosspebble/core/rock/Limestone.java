package mosspebble.core.rock;

/** Dense and even, with small bent pits, stains of yellow and traces of shell: bent slivers and ringed discs of another tone. */
final class Limestone extends Fabric {

    private final Waves clouds = new Waves(noise, 12, 5);
    private final Waves speckle = new Waves(noise, 0.8, 4);
    private final Waves stains = new Waves(noise, 26, 6);
    private final Waves grains = new Waves(noise, 0.34, 3);
    private final Waves roughness = new Waves(noise, 5, 5);

    private final Waves bending = new Waves(noise, 2.1, 3);

    private static final double CELL = 5.5;

    private final Pits pits;
    private final Pits small;

    Limestone(long seed, double relief) {
        super(seed, relief);
        pits = new Pits(noise, 0, 2.9, 0.42, 0.12, 0.6);
        small = new Pits(noise, 4000, 0.95, 0.3, 0.05, 0.2);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double grain = grains.at(u, v, pixel, near);
        double tone = 1 + 0.11 * clouds.at(u, v, pixel, near) + 0.10 * speckle.at(u, v, pixel, near) + 0.07 * grain;
        double stain = step(-0.35, 0.55, stains.at(u + 80, v, pixel, near)); // iron from the water: it only ever yellows
        place.tint(tone * (1 - 0.03 * stain), tone * (1 - 0.09 * stain), tone * (1 - 0.22 * stain));
        double bentU = u + 0.35 * bending.at(u, v, pixel, near);
        double bentV = v + 0.35 * bending.at(u - 20, v + 31, pixel, near);
        double shell = shell(bentU, bentV, pixel);
        place.toward(0.75 * Math.abs(shell), shell > 0 ? tone * 1.25 : tone * 0.72, shell > 0 ? tone * 1.23 : tone * 0.69,
                shell > 0 ? tone * 1.18 : tone * 0.64);
        double hole = pits.depth(bentU, bentV, pixel);
        double tiny = small.depth(u, v, pixel);
        place.shade(1 - 0.55 * hole - 0.3 * tiny);
        place.height = 0.05 * roughness.at(u, v, pixel, near) - 0.32 * hole - 0.09 * tiny + 0.02 * shell + 0.012 * grain;
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
                if (kind > 0.6) {
                    continue;
                }
                double dx = u - (c + noise.quick(c + 60, r)) * CELL;
                double dy = v - (r + noise.quick(c, r + 60)) * CELL;
                double radius = 0.7 + 2.6 * Math.pow(noise.quick(c + 9, r + 2), 2);
                double d = Math.hypot(dx, dy);
                if (d > radius + 0.5) {
                    continue;
                }
                if (kind < 0.5) { // a sliver of shell, a sixth to two fifths of its ring: thick in the middle, running out to nothing
                    double from = 2 * Math.PI * noise.quick(c + 1, r + 90);
                    double on = Math.floorMod((long) Math.round(1000 * (Math.atan2(dy, dx) - from)), Math.round(2000 * Math.PI)) / 1000.0;
                    double length = 1 + 1.5 * noise.quick(c + 4, r + 8);
                    double thick = on >= length ? 0 : Math.sin(Math.PI * on / length) * (0.06 + 0.16 * noise.quick(c + 14, r));
                    double line = Math.max(thick, thick > 0 ? 0.4 * pixel : 0);
                    found = Math.max(found,
                            line <= 0 ? 0 : (1 - step(0.6 * line, line + 0.04, Math.abs(d - radius))) * Math.min(1, thick / 0.05));
                } else { // a stem of a sea lily cut across: a ring round a hole
                    double small = Math.min(0.9, radius * 0.5);
                    double ring = d > small ? 0 : 0.75 * step(small, 0.8 * small, d) - 0.5 * step(0.65 * small, 0.35 * small, d)
                            + 0.6 * step(0.25 * small, 0, d);
                    found = d < small && Math.abs(found) < ring ? -ring : found;
                }
            }
        }
        return found;
    }
}
