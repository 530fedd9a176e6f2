package mosspebble.core.colour;

import mosspebble.core.units.Srgb;

/** CIE XYZ tristimulus values, 2-degree observer, D65, Y of the perfect white = 1. */
public record Xyz(double x, double y, double z) {

    /** D65 white from the chromaticity x 0.3127, y 0.3290 (IEC 61966-2-1). */
    public static final Xyz WHITE = new Xyz(0.3127 / 0.3290, 1, (1 - 0.3127 - 0.3290) / 0.3290);

    /** Linear sRGB to XYZ, derived exactly from the primaries of IEC 61966-2-1 (CSS Color 4 prints the same). */
    private static final double[][] FROM_RGB = {
        {506752.0 / 1228815, 87881.0 / 245763, 12673.0 / 70218},
        {87098.0 / 409605, 175762.0 / 245763, 12673.0 / 175545},
        {7918.0 / 409605, 87881.0 / 737289, 1001167.0 / 1053270}};

    static final double[][] TO_RGB = {
        {12831.0 / 3959, -329.0 / 214, -1974.0 / 3959},
        {-851781.0 / 878810, 1648619.0 / 878810, 36519.0 / 878810},
        {705.0 / 12673, -2585.0 / 12673, 705.0 / 667}};

    public static Xyz of(Srgb colour) {
        return ofLinear(linear(colour.red()), linear(colour.green()), linear(colour.blue()));
    }

    static Xyz ofLinear(double r, double g, double b) {
        double[] v = new double[3];
        for (int i = 0; i < 3; i++) {
            v[i] = FROM_RGB[i][0] * r + FROM_RGB[i][1] * g + FROM_RGB[i][2] * b;
        }
        return new Xyz(v[0], v[1], v[2]);
    }

    /** Nearest displayable code: each linear channel clipped to 0 to 1, encoded and rounded. */
    public Srgb toSrgb() {
        int[] code = new int[3];
        for (int i = 0; i < 3; i++) {
            double linear = TO_RGB[i][0] * x + TO_RGB[i][1] * y + TO_RGB[i][2] * z;
            code[i] = (int) Math.round(255 * encoded(Math.min(1, Math.max(0, linear))));
        }
        return new Srgb(code[0], code[1], code[2]);
    }

    /** sRGB decoding, IEC 61966-2-1, of an 8-bit code to linear light 0 to 1. */
    public static double linear(int code) {
        double v = code / 255.0;
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    /** sRGB encoding, IEC 61966-2-1, of linear light 0 to 1. */
    public static double encoded(double linear) {
        return linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
    }
}
