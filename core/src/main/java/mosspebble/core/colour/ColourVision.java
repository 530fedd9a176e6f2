package mosspebble.core.colour;

import mosspebble.core.units.Srgb;

/**
 * How people see colours who lack one kind of cone: a matrix on linear sRGB for the full deficiency (G. M. Machado, M. M. Oliveira, L. A.
 * F. Fernandes, IEEE Trans. Visualization and Computer Graphics 15, 1291, 2009, table for severity 1.0; each row adds up to 1, so greys
 * stay).
 */
public enum ColourVision {
    USUAL("usual", new double[][] {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}}),
    PROTAN("without red cones",
            new double[][] {{0.152286, 1.052583, -0.204868}, {0.114503, 0.786281, 0.099216}, {-0.003882, -0.048116, 1.051998}}),
    DEUTAN("without green cones",
            new double[][] {{0.367322, 0.860646, -0.227968}, {0.280085, 0.672501, 0.047413}, {-0.011820, 0.042940, 0.968881}}),
    TRITAN("without blue cones",
            new double[][] {{1.255528, -0.076749, -0.178779}, {-0.078411, 0.930809, 0.147602}, {0.004733, 0.691367, 0.303900}});

    private final String label;
    private final double[][] matrix;

    ColourVision(String label, double[][] matrix) {
        this.label = label;
        this.matrix = matrix;
    }

    public String label() {
        return label;
    }

    /** What a colour looks like to such eyes, as a colour code for usual ones; clipped to what a screen shows. */
    public Srgb seen(Srgb colour) {
        double[] in = {Xyz.linear(colour.red()), Xyz.linear(colour.green()), Xyz.linear(colour.blue())};
        int[] out = new int[3];
        for (int i = 0; i < 3; i++) {
            double linear = matrix[i][0] * in[0] + matrix[i][1] * in[1] + matrix[i][2] * in[2];
            out[i] = (int) Math.round(255 * Xyz.encoded(Math.min(1, Math.max(0, linear))));
        }
        return new Srgb(out[0], out[1], out[2]);
    }

    /** Difference of two colours to such eyes, CIEDE2000. */
    public double difference(Srgb first, Srgb second) {
        return Lab.of(seen(first)).differenceTo(Lab.of(seen(second)));
    }

    /** Smallest difference of two colours among all kinds of eyes, CIEDE2000. */
    public static double leastDifference(Srgb first, Srgb second) {
        double least = Double.POSITIVE_INFINITY;
        for (ColourVision eyes : values()) {
            least = Math.min(least, eyes.difference(first, second));
        }
        return least;
    }

    /**
     * Contrast ratio of two colours, 1 to 21: {@code (L1 + 0.05) / (L2 + 0.05)} of their relative luminances, the brighter first (WCAG 2.1,
     * W3C Recommendation 2018).
     */
    public static double contrast(Srgb first, Srgb second) {
        double a = Xyz.of(first).y();
        double b = Xyz.of(second).y();
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }
}
