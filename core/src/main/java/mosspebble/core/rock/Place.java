package mosspebble.core.rock;

/** What a place of the skin is like; filled in anew for each place. */
public final class Place {

    /** Reflectance in linear light against the mean of the stone, about 0.1 to 2. */
    public double red;
    public double green;
    public double blue;

    /** Relief above the mean skin, mm; pits are below 0. */
    public double height;

    /** How glossy it is, 0 matt to 1 glass. */
    public double gloss;

    /** Number of a facet that glints as light or stone move, 0 for none. */
    public int glint;

    /** Whether it is no part of what gives the stone its mean colour, such as a rind. */
    public boolean apart;

    /** The noise of the fabric that was asked last, so that the next place close by is quickly known. */
    private NearNoise near;

    /** The noise to ask at this place. */
    NearNoise near(Noise noise) {
        if (near == null || !near.isOf(noise)) {
            near = new NearNoise(noise);
        }
        near.begin();
        return near;
    }

    /** One tone for all three. */
    void tone(double tone) {
        tint(tone, tone, tone);
    }

    void tint(double r, double g, double b) {
        red = r;
        green = g;
        blue = b;
    }

    /** Becomes a mixture with another colour. */
    void toward(double share, double r, double g, double b) {
        red += share * (r - red);
        green += share * (g - green);
        blue += share * (b - blue);
    }

    void shade(double by) {
        red *= by;
        green *= by;
        blue *= by;
    }
}
