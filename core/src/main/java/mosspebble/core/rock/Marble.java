package mosspebble.core.rock;

/** Sugary and pale, with veins: a thin dark core in a wide soft halo, branching as folded layers do. */
final class Marble extends Fabric {

    Marble(long seed, double relief) {
        super(seed, relief);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double wu = u + 5 * near.octaves(u, v, 17, 5, pixel);
        double wv = v + 5 * near.octaves(u + 50, v - 30, 17, 5, pixel);
        double fold = Math.abs(near.octaves(wu + 0.6 * wv, wv - 0.2 * wu, 46, 2, 0));
        double second = Math.abs(near.octaves(wu - 0.3 * wv, wv + 0.5 * wu + 90, 25, 2, 0));
        double strength = step(-0.5, 0.3, near.octaves(u - 70, v, 21, 2, 0));
        double halo = (1 - step(0, 0.17, fold)) * strength;
        double core = (1 - step(0, 0.018, fold)) * strength;
        double thin = (1 - step(0, 0.012, second)) * step(0, 0.5, near.octaves(u, v + 60, 18, 2, 0));
        double tone = 1.05 + 0.05 * near.octaves(u, v, 20, 4, pixel) + 0.03 * near.octaves(u, v, 0.5, 2, pixel);
        double dark = 0.22 * halo + 0.34 * core + 0.24 * thin;
        place.tint(tone * (1 - dark), tone * (1 - 0.96 * dark), tone * (1 - 0.90 * dark));
        place.height = 0.014 * near.octaves(u, v, 2.4, 4, pixel) - 0.012 * core;
        place.gloss = 0.30;
        place.glint = 0;
    }
}
