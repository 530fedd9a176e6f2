package mosspebble.core.rock;

/** What was poured into a mould: plaster, smooth with pinholes of air; cement, greyer, with sand and larger bubbles. */
final class Cast extends Fabric {

    private final Waves clouds = new Waves(noise, 26, 4);
    private final Waves grit = new Waves(noise, 0.5, 3);
    private final Waves speckle = new Waves(noise, 0.9, 3);
    private final Waves roughness = new Waves(noise, 4, 5);

    private final boolean cement;
    private final Pits holes;
    private final Pits small;

    Cast(long seed, double relief, boolean cement) {
        super(seed, relief);
        this.cement = cement;
        this.holes = new Pits(noise, 0, cement ? 4.2 : 3.3, cement ? 0.42 : 0.30, 0.14, cement ? 0.75 : 0.5);
        this.small = new Pits(noise, 5000, cement ? 1.6 : 1.3, cement ? 0.25 : 0.16, 0.05, 0.2);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double cloud = clouds.at(u, v, pixel, near);
        double sand = cement ? grit.at(u, v, pixel, near) : 0;
        double tone = 1 + (cement ? 0.13 : 0.03) * cloud + 0.16 * sand + 0.012 * speckle.at(u, v, pixel, near);
        place.tone(tone);
        double hole = holes.depth(u, v, pixel);
        double tiny = small.depth(u, v, pixel);
        place.shade((1 - 0.5 * hole) * (1 - 0.4 * tiny));
        place.height = (cement ? 0.05 : 0.018) * roughness.at(u, v, pixel, near) + 0.02 * sand - 0.34 * hole - 0.12 * tiny;
        place.gloss = 0.02;
        place.glint = 0;
    }
}
