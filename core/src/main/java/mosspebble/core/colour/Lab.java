package mosspebble.core.colour;

import mosspebble.core.units.Srgb;

/** CIE 1976 L*a*b* under D65 (ISO/CIE 11664-4). */
public record Lab(double l, double a, double b) {

    private static final double EPSILON = 216.0 / 24389;
    private static final double KAPPA = 24389.0 / 27;

    public static Lab of(Xyz colour) {
        double fx = f(colour.x() / Xyz.WHITE.x());
        double fy = f(colour.y());
        double fz = f(colour.z() / Xyz.WHITE.z());
        return new Lab(116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz));
    }

    public static Lab of(Srgb colour) {
        return of(Xyz.of(colour));
    }

    public static Lab of(Spectrum reflectance) {
        return of(reflectance.toXyz());
    }

    private static double f(double t) {
        return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
    }

    public Xyz toXyz() {
        double fy = (l + 16) / 116;
        double fx = fy + a / 500;
        double fz = fy - b / 200;
        return new Xyz(Xyz.WHITE.x() * inverse(fx), inverse(fy), Xyz.WHITE.z() * inverse(fz));
    }

    private static double inverse(double f) {
        return f * f * f > EPSILON ? f * f * f : (116 * f - 16) / KAPPA;
    }

    public double chroma() {
        return Math.hypot(a, b);
    }

    /** Difference as seen, CIEDE2000 with unit weights; see {@link Ciede2000}. */
    public double differenceTo(Lab other) {
        return Ciede2000.between(this, other);
    }
}
