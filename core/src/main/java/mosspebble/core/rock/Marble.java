package mosspebble.core.rock;

/** Sugary and pale, with veins: a thin dark core in a wide soft halo, branching as folded layers do. */
final class Marble extends Fabric {

    private final Waves folding = new Waves(noise, 17, 5);
    private final Waves veins = new Waves(noise, 46, 2);
    private final Waves hairs = new Waves(noise, 25, 2);
    private final Waves strengths = new Waves(noise, 21, 2);
    private final Waves breaks = new Waves(noise, 18, 2);
    private final Waves clouds = new Waves(noise, 20, 4);
    private final Waves speckle = new Waves(noise, 0.5, 2);
    private final Waves roughness = new Waves(noise, 2.4, 4);

    Marble(long seed, double relief) {
        super(seed, relief);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double wu = u + 5 * folding.at(u, v, pixel, near);
        double wv = v + 5 * folding.at(u + 50, v - 30, pixel, near);
        double fold = Math.abs(veins.at(wu + 0.6 * wv, wv - 0.2 * wu, 0, near));
        double second = Math.abs(hairs.at(wu - 0.3 * wv, wv + 0.5 * wu + 90, 0, near));
        double strength = step(-0.5, 0.3, strengths.at(u - 70, v, 0, near));
        double halo = (1 - step(0, 0.17, fold)) * strength;
        double core = (1 - step(0, 0.018, fold)) * strength;
        double thin = (1 - step(0, 0.012, second)) * step(0, 0.5, breaks.at(u, v + 60, 0, near));
        double cloud = clouds.at(u, v, pixel, near);
        double smoke = step(0, 0.75, -clouds.at(0.7 * wu - 40, 0.7 * wv + 25, pixel, near) + 0.35 * (strength - 0.5));
        double tone = 1.07 + 0.05 * cloud + 0.03 * speckle.at(u, v, pixel, near);
        double dark = 0.22 * halo + 0.34 * core + 0.24 * thin + 0.21 * smoke;
        place.tint(tone * (1 - dark), tone * (1 - 0.96 * dark), tone * (1 - 0.90 * dark));
        place.height = 0.014 * roughness.at(u, v, pixel, near) - 0.012 * core;
        place.gloss = 0.30;
        place.glint = 0;
    }
}
