package mosspebble.core.rock;

/** Cleavage: thin sheets that end in low steps, long streaks along them, now and then a vein of quartz that breaks off and goes on. */
final class Slate extends Fabric {

    /** Streaks are so many times as long as wide. */
    private static final double LONG = 10;

    /** Height of one sheet, mm. */
    private static final double SHEET = 0.06;

    /** An edge that broke off ends within so much of what a sheet takes. */
    private static final double BROKEN = 0.04;

    /** Flakes of mica so wide glint here and there, mm. */
    private static final double MICA = 0.12;

    private final Waves streaks = new Waves(noise, 2.4, 5);
    private final Waves bands = new Waves(noise, 16, 3);
    private final Waves grains = new Waves(noise, 0.3, 3);
    private final Waves rusts = new Waves(noise, 13, 5);
    private final Waves cleavage = new Waves(noise, 21, 4);
    private final Waves breaks = new Waves(noise, 3.4, 3);
    private final Waves ridges = new Waves(noise, 1.3, 5);
    private final Waves rough = new Waves(noise, 0.6, 3);
    private final Waves veinWay = new Waves(noise, 14, 4);
    private final Waves veinWidth = new Waves(noise, 17, 3);

    private final double veinAt;
    private final double veinTurn;

    Slate(long seed, double relief) {
        super(seed, relief);
        veinAt = 26 * (noise.quick(3, 5) - 0.5);
        veinTurn = 0.6 + 0.7 * noise.quick(9, 1);
    }

    @Override
    void fill(double u, double v, double pixel, NearNoise near, Place place) {
        double streak = streaks.at(u / LONG, v, pixel, near);
        double broad = bands.at(u / 3, v, pixel, near);
        double grain = grains.at(u / LONG, v, pixel, near);
        double tone = 1 + 0.34 * streak + 0.2 * broad + 0.12 * grain;
        place.tint(tone * 0.99, tone, tone * 1.02);
        double rust = step(0.12, 0.42, rusts.at(u / 4 + 40, v + 9, pixel, near) + 0.25 * streak);
        place.toward(0.4 * rust, tone * 1.75, tone * 1.12, tone * 0.65);
        double sheets = (cleavage.at(u / 4, v * 1.2, pixel, near) + 0.02 * streak) * 6;
        double whole = Math.floor(sheets);
        double rest = 0.65 * (1 - step(-0.2, 0.25, breaks.at(u / 2, v, pixel, near))); // of an edge that broke off steeply
        double edge = (1 - rest) * step(0.93, 1, sheets - whole) - rest * (1 - step(0, BROKEN, sheets - whole));
        double height = SHEET * (whole + edge) + 0.03 * ridges.at(u / LONG, v, pixel, near)
                + 0.01 * rough.at(u, v, pixel, near)
                + 0.006 * grain;
        double along = u * Math.cos(veinTurn) + v * Math.sin(veinTurn);
        double off = -u * Math.sin(veinTurn) + v * Math.cos(veinTurn) - veinAt - 2.2 * veinWay.at(along, 3, 0, near);
        double wide = 0.5 * (0.35 + veinWidth.at(along, 50, 0, near));
        double vein = wide <= 0 ? 0 : 1 - step(wide, wide + Math.max(0.12, pixel), Math.abs(off));
        own(place, 0.75 * vein, 0.62, 0.61, 0.58);
        place.height = height + 0.03 * vein;
        place.gloss = 0.12 + 0.2 * vein;
        int c = (int) Math.floor(u / MICA);
        int r = (int) Math.floor(v / MICA);
        double across = u / MICA - c - 0.5;
        double down = v / MICA - r - 0.5;
        boolean flake = noise.quick(c + 77, r) > 0.9965 && across * across + down * down < 0.16;
        place.glint = pixel < MICA && flake ? c * 7919 + r | 1 : 0;
    }
}
