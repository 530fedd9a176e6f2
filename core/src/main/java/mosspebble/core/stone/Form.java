package mosspebble.core.stone;

/**
 * Forms in which stones are found, as seen from above with the length across. Each is a closed curve in a box of -1 to 1 before it is
 * stretched to length and width.
 */
public enum Form {
    ROUND("round") {
        @Override
        void trace(double angle, double roundness, double[] at) {
            superellipse(angle, 2 + 3 * (1 - roundness), at);
        }
    },
    OVAL("oval") {
        @Override
        void trace(double angle, double roundness, double[] at) {
            superellipse(angle, 2 + 3 * (1 - roundness), at);
        }
    },
    /** Narrower to the right. */
    EGG("egg") {
        @Override
        void trace(double angle, double roundness, double[] at) {
            superellipse(angle, 2 + 1.5 * (1 - roundness), at);
            at[1] *= 1 - 0.26 * at[0];
        }
    },
    /** A neck to the right. */
    PEAR("pear") {
        @Override
        void trace(double angle, double roundness, double[] at) {
            superellipse(angle, 2 + 1.5 * (1 - roundness), at);
            at[1] *= 0.98 - 0.44 * at[0] - 0.12 * at[0] * at[0];
        }
    },
    /** Hollow below. */
    KIDNEY("kidney") {
        @Override
        void trace(double angle, double roundness, double[] at) {
            superellipse(angle, 2.2, at);
            at[1] = 0.74 * at[1] + (0.62 - 0.34 * roundness) * at[0] * at[0];
        }
    },
    SLAB("slab") {
        @Override
        void trace(double angle, double roundness, double[] at) {
            superellipse(angle, 4 + 8 * (1 - roundness), at);
        }
    },
    /** The notch on top, the tip below. */
    HEART("heart-like") {
        @Override
        void trace(double angle, double roundness, double[] at) {
            double fromTop = Math.IEEEremainder(angle + Math.PI / 2, 2 * Math.PI);
            double fromTip = Math.IEEEremainder(angle - Math.PI / 2, 2 * Math.PI);
            double radius = 1 + (0.20 - 0.08 * roundness) * Math.exp(-fromTip * fromTip / 0.5)
                    - (0.46 - 0.26 * roundness) * Math.exp(-fromTop * fromTop / 0.16)
                    + 0.06 * Math.cos(2 * fromTop - Math.PI);
            at[0] = radius * Math.cos(angle);
            at[1] = radius * Math.sin(angle);
        }
    },
    /** One corner on top. */
    TRIANGLE("triangle") {
        @Override
        void trace(double angle, double roundness, double[] at) {
            double radius = 1 + (0.19 - 0.10 * roundness) * Math.cos(3 * (angle + Math.PI / 2))
                    + 0.028 * (1 - roundness) * Math.cos(6 * (angle + Math.PI / 2));
            at[0] = radius * Math.cos(angle);
            at[1] = radius * Math.sin(angle);
        }
    };

    private final String label;

    Form(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /**
     * The form with a box as long as 2 and as wide as 2 round the origin, as points to be joined; for small drawings of it.
     *
     * @param roundness 0 (cornered) to 1 (smooth)
     * @param points 3 or more
     * @return x and y of every point, two arrays
     */
    public double[][] curve(double roundness, int points) {
        double[][] curve = new double[2][points];
        double[] at = new double[2];
        double[] low = {Double.MAX_VALUE, Double.MAX_VALUE};
        double[] high = {-Double.MAX_VALUE, -Double.MAX_VALUE};
        for (int i = 0; i < points; i++) {
            trace(2 * Math.PI * i / points, roundness, at);
            for (int axis = 0; axis < 2; axis++) {
                curve[axis][i] = at[axis];
                low[axis] = Math.min(low[axis], at[axis]);
                high[axis] = Math.max(high[axis], at[axis]);
            }
        }
        for (int axis = 0; axis < 2; axis++) {
            for (int i = 0; i < points; i++) {
                curve[axis][i] = 2 * (curve[axis][i] - low[axis]) / (high[axis] - low[axis]) - 1;
            }
        }
        return curve;
    }

    /**
     * @param angle parameter of the curve, radians clockwise from the right
     * @param roundness 0 (cornered) to 1 (smooth)
     * @param at receives x and y
     */
    abstract void trace(double angle, double roundness, double[] at);

    private static void superellipse(double angle, double exponent, double[] at) {
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        double radius = Math.pow(Math.pow(Math.abs(cos), exponent) + Math.pow(Math.abs(sin), exponent), -1 / exponent);
        at[0] = radius * cos;
        at[1] = radius * sin;
    }
}
