package mosspebble.core.rock;

/** What was poured into a mould: plaster, smooth with pinholes of air; cement, greyer, with sand and larger bubbles. */
final class Cast extends Fabric {

    private final boolean cement;
    private final Pits holes;
    private final Pits small;

    Cast(long seed, double relief, boolean cement) {
        super(seed, relief);
        this.cement = cement;
        this.holes = new Pits(noise, 0, 4.2, cement ? 0.42 : 0.24, 0.14, cement ? 0.75 : 0.5);
        this.small = new Pits(noise, 5000, 1.6, cement ? 0.25 : 0.10, 0.05, 0.18);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double cloud = near.octaves(u, v, 26, 4, pixel);
        double sand = cement ? near.octaves(u, v, 0.5, 3, pixel) : 0;
        double tone = 1 + (cement ? 0.13 : 0.03) * cloud + 0.16 * sand + 0.012 * near.octaves(u, v, 0.9, 3, pixel);
        place.tone(tone);
        double hole = holes.depth(u, v, pixel);
        double tiny = small.depth(u, v, pixel);
        place.shade((1 - 0.5 * hole) * (1 - 0.4 * tiny));
        place.height = (cement ? 0.05 : 0.018) * near.octaves(u, v, 4, 5, pixel) + 0.02 * sand - 0.34 * hole - 0.12 * tiny;
        place.gloss = 0.02;
        place.glint = 0;
    }
}
