package mosspebble.core.rock;

/** Cleavage: thin sheets that end in low steps, long streaks along them, now and then a vein of quartz that breaks off and goes on. */
final class Slate extends Fabric {

    /** Streaks are so many times as long as wide. */
    private static final double LONG = 10;

    /** Height of one sheet, mm. */
    private static final double SHEET = 0.06;

    /** Flakes of mica so wide glint here and there, mm. */
    private static final double MICA = 0.12;

    private final double veinAt;
    private final double veinTurn;

    Slate(long seed, double relief) {
        super(seed, relief);
        veinAt = 26 * (noise.quick(3, 5) - 0.5);
        veinTurn = 0.6 + 0.7 * noise.quick(9, 1);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double streak = near.octaves(u / LONG, v, 2.4, 5, pixel);
        double broad = near.octaves(u / 3, v, 16, 3, pixel);
        double grain = near.octaves(u / 2, v, 0.3, 3, pixel);
        double tone = 1 + 0.34 * streak + 0.2 * broad + 0.12 * grain;
        place.tint(tone * 0.99, tone, tone * 1.02);
        double rust = step(0.18, 0.55, near.octaves(u / 3 + 40, v + 9, 19, 4, pixel));
        place.toward(0.5 * rust, tone * 1.28, tone * 1.02, tone * 0.80);
        double sheets = (near.octaves(u / 4, v * 1.2, 21, 4, pixel) + 0.02 * streak) * 6;
        double whole = Math.floor(sheets);
        double edge = step(0.84, 1, sheets - whole) * (0.35 + 0.65 * step(-0.2, 0.25, near.octaves(u / 2, v, 3.4, 3, pixel)));
        double height = SHEET * (whole + edge) + 0.03 * near.octaves(u / LONG, v, 1.3, 5, pixel)
                + 0.01 * near.octaves(u, v, 0.6, 3, pixel)
                + 0.006 * grain;
        double along = u * Math.cos(veinTurn) + v * Math.sin(veinTurn);
        double off = -u * Math.sin(veinTurn) + v * Math.cos(veinTurn) - veinAt - 2.2 * near.octaves(along, 3, 14, 4, 0);
        double wide = 0.5 * (0.35 + near.octaves(along, 50, 17, 3, 0));
        double vein = wide <= 0 ? 0 : 1 - step(wide, wide + Math.max(0.12, pixel), Math.abs(off));
        own(place, 0.75 * vein, 0.62, 0.61, 0.58);
        place.height = height + 0.03 * vein;
        place.gloss = 0.12 + 0.2 * vein;
        int c = (int) Math.floor(u / MICA);
        int r = (int) Math.floor(v / MICA);
        double across = u / MICA - c - 0.5;
        double down = v / MICA - r - 0.5;
        boolean flake = noise.quick(c + 77, r) > 0.985 && across * across + down * down < 0.16;
        place.glint = pixel < MICA && flake ? c * 7919 + r | 1 : 0;
    }
}
