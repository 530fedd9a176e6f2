package mosspebble.core.colour;

/**
 * The CIEDE2000 colour difference (ISO/CIE 11664-6), written after G. Sharma, W. Wu, E. N. Dalal, Color Research and Application 30, 21
 * (2005), equations 2 to 22, with
 * kL = kC = kH = 1.
 */
final class Ciede2000 {

    private static final double POW_25_7 = Math.pow(25, 7);

    private Ciede2000() {}

    static double between(Lab first, Lab second) {
        double meanC = (first.chroma() + second.chroma()) / 2;
        double c7 = Math.pow(meanC, 7);
        double g = 0.5 * (1 - Math.sqrt(c7 / (c7 + POW_25_7)));
        double a1 = (1 + g) * first.a();
        double a2 = (1 + g) * second.a();
        double c1 = Math.hypot(a1, first.b());
        double c2 = Math.hypot(a2, second.b());
        double h1 = hue(a1, first.b());
        double h2 = hue(a2, second.b());

        double dl = second.l() - first.l();
        double dc = c2 - c1;
        double dh = 0;
        double meanH = h1 + h2;
        if (c1 * c2 != 0) {
            dh = h2 - h1;
            if (dh > 180) {
                dh -= 360;
            } else if (dh < -180) {
                dh += 360;
            }
            meanH = Math.abs(h1 - h2) <= 180 ? (h1 + h2) / 2 : h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2;
        }
        double dH = 2 * Math.sqrt(c1 * c2) * Math.sin(Math.toRadians(dh) / 2);

        double meanL = (first.l() + second.l()) / 2;
        double meanCp = (c1 + c2) / 2;
        double t = 1 - 0.17 * cos(meanH - 30) + 0.24 * cos(2 * meanH) + 0.32 * cos(3 * meanH + 6) - 0.20 * cos(4 * meanH - 63);
        double turn = 30 * Math.exp(-Math.pow((meanH - 275) / 25, 2));
        double cp7 = Math.pow(meanCp, 7);
        double rc = 2 * Math.sqrt(cp7 / (cp7 + POW_25_7));
        double l50 = (meanL - 50) * (meanL - 50);
        double sl = 1 + 0.015 * l50 / Math.sqrt(20 + l50);
        double sc = 1 + 0.045 * meanCp;
        double sh = 1 + 0.015 * meanCp * t;
        double rt = -Math.sin(Math.toRadians(2 * turn)) * rc;
        double l = dl / sl;
        double c = dc / sc;
        double h = dH / sh;
        return Math.sqrt(Math.max(0, l * l + c * c + h * h + rt * c * h));
    }

    private static double hue(double a, double b) {
        if (a == 0 && b == 0) {
            return 0;
        }
        double degrees = Math.toDegrees(Math.atan2(b, a));
        return degrees < 0 ? degrees + 360 : degrees;
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }
}
