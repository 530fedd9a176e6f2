package mosspebble.core.rock;

/** Fine-grained and dark, with gas bubbles of three sizes, some tenth of its face, and rare pale crystals. */
final class Basalt extends Fabric {

    private final Waves wander = new Waves(noise, 0.9, 3);
    private final Waves speckle = new Waves(noise, 0.7, 4);
    private final Waves clouds = new Waves(noise, 17, 4);
    private final Waves browns = new Waves(noise, 24, 3);
    private final Waves roughness = new Waves(noise, 1.6, 5);

    private final Pits large;
    private final Pits middle;
    private final Pits small;
    private final Pits crystals;

    Basalt(long seed, double relief) {
        super(seed, relief);
        large = new Pits(noise, 0, 5.2, 0.5, 0.4, 1.8);
        middle = new Pits(noise, 3000, 2.1, 0.5, 0.18, 0.85);
        small = new Pits(noise, 6000, 0.7, 0.5, 0.05, 0.28);
        crystals = new Pits(noise, 9000, 12, 0.3, 0.3, 0.8);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double ru = u + 0.22 * wander.at(u, v, pixel, near);
        double rv = v + 0.22 * wander.at(u + 9, v - 5, pixel, near);
        double tone = 1 + 0.14 * speckle.at(u, v, pixel, near) + 0.16 * clouds.at(u, v, pixel, near);
        double brown = step(0.1, 0.6, browns.at(u + 33, v, pixel, near));
        place.tint(tone * (1 + 0.14 * brown), tone * (1 + 0.02 * brown), tone * (1 - 0.06 * brown));
        double crystal = crystals.depth(ru, rv, pixel) > 0.2 ? 1 : 0;
        own(place, 0.8 * crystal, 0.34, 0.34, 0.31);
        double one = large.depth(ru, rv, pixel);
        double two = middle.depth(ru, rv, pixel);
        double three = small.depth(u, v, pixel);
        place.shade((1 - 0.35 * one) * (1 - 0.35 * two) * (1 - 0.3 * three));
        place.height = 0.05 * roughness.at(u, v, pixel, near) - large.deep() * one - middle.deep() * two - 0.5 * small.deep() * three;
        place.gloss = 0.05 + 0.3 * crystal;
        place.glint = 0;
    }
}
