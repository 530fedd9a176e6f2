package mosspebble.core.colour;

/**
 * Two-flux theory of a paint film (P. Kubelka, F. Munk, Z. tech. Phys. 12, 593, 1931; P. Kubelka, J. Opt. Soc. Am. 38, 448, 1948). K
 * absorption, S scatter, X thickness, with K X
 * and S X free of units; reflectances 0 to 1, in optical contact, no surface correction.
 */
public final class KubelkaMunk {

    private KubelkaMunk() {}

    /** Reflectance of an infinitely thick film: {@code 1 + q - sqrt(q^2 + 2 q)}, q = K/S. */
    public static double infinite(double kOverS) {
        return 1 / (1 + kOverS + Math.sqrt(kOverS * kOverS + 2 * kOverS));
    }

    /** {@code K/S = (1 - R)^2 / (2 R)} of an infinitely thick film; R above 0. */
    public static double kOverS(double infinite) {
        return (1 - infinite) * (1 - infinite) / (2 * infinite);
    }

    /**
     * Reflectance of a film over a background: {@code R = (1 - Rg (a - b coth(b S X))) / (a - Rg + b coth(b S X))}, a = 1 + K/S, b =
     * sqrt(a^2 - 1); the
     * limits K = 0, S = 0 and X = 0 are taken exactly.
     *
     * @param kx absorption times thickness, 0 or more
     * @param sx scatter times thickness, 0 or more
     * @param background reflectance of the ground, 0 to 1
     */
    public static double over(double kx, double sx, double background) {
        if (sx < 1e-12) {
            return background * Math.exp(-2 * kx);
        }
        double q = kx / sx;
        if (q < 1e-9) {
            return (background + (1 - background) * sx) / (1 + (1 - background) * sx);
        }
        double a = 1 + q;
        double b = Math.sqrt(q * (q + 2));
        double bsx = b * sx;
        double bcoth = bsx > 20 ? b : bsx < 1e-7 ? 1 / sx : b / Math.tanh(bsx);
        return (1 - background * (a - bcoth)) / (a - background + bcoth);
    }
}
