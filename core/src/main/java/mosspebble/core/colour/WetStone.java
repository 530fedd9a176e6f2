package mosspebble.core.colour;

import mosspebble.core.stone.Stone;

/**
 * Why bare stone goes darker when wet or sealed: light scattered inside is thrown back by the liquid's surface and gets further chances to
 * be absorbed.
 * With absorption a = 1 - R of the dry stone, {@code wet R = (1 - a)(1 - p) / (1 - p (1 - a))}, p = 1 - 1/n^2 (A. Angstrom, Geografiska
 * Annaler 7, 323, 1925; J. Lekner, M. C. Dorf, Applied Optics 27, 1278,
 * 1988; formulas from memory, the small correction of the particles' own index left out). How much of the surface takes part grows with
 * porosity: half of it on glassy stone,
 * all from 12 % pores up (common practice, no source).
 */
public final class WetStone {

    /** Refractive index of water. */
    public static final double WATER = 1.33;

    /** Refractive index of dry acrylic varnish. */
    public static final double VARNISH = 1.49;

    private WetStone() {}

    /** Wet reflectance of one band for full wetting. */
    public static double darkened(double dry, double refractiveIndex) {
        double p = 1 - 1 / (refractiveIndex * refractiveIndex);
        return dry * (1 - p) / (1 - p * dry);
    }

    public static Spectrum wet(Stone stone) {
        return look(stone, WATER);
    }

    public static Spectrum sealed(Stone stone) {
        return look(stone, VARNISH);
    }

    private static Spectrum look(Stone stone, double index) {
        Spectrum dry = Spectrum.of(stone.colour());
        double share = Math.min(1, 0.5 + stone.porosity() / 0.24);
        return Spectrum.of(i -> dry.at(i) + share * (darkened(dry.at(i), index) - dry.at(i)));
    }
}
