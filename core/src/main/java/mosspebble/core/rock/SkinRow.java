package mosspebble.core.rock;

/** The skin at places one after the other along a row of pixels; filled in by {@link Fabric#at(SkinRow)}. For one thread. */
public final class SkinRow {

    /** Most places at once: few enough that all that is known of them stays close to the processor. */
    public static final int MOST = 256;

    /** Along the stone's own length and across, mm along the skin, and the size of the pixel, mm, of each place. */
    public final double[] u = new double[MOST];
    public final double[] v = new double[MOST];
    public final double[] pixel = new double[MOST];

    /** Size of the pixel where the skin lies level, mm. */
    public double cell;

    /** Whether only the heights are asked for. */
    public boolean bare;

    /** So many places are asked for, 0 to {@link #MOST}. */
    public int count;

    /** What is found, as in {@link Place}. */
    public final float[] red = new float[MOST];
    public final float[] green = new float[MOST];
    public final float[] blue = new float[MOST];
    public final float[] height = new float[MOST];
    public final float[] gloss = new float[MOST];
    public final int[] glint = new int[MOST];
    public final boolean[] apart = new boolean[MOST];

    final Place place = new Place();
    private RowNoise noise;
    /** What a fabric found and may want again for the next row. */
    Object known;

    /** Writes down what was found of a place. */
    void put(int i) {
        red[i] = (float) place.red;
        green[i] = (float) place.green;
        blue[i] = (float) place.blue;
        height[i] = (float) place.height;
        gloss[i] = (float) place.gloss;
        glint[i] = place.glint;
        apart[i] = place.apart;
    }

    /** The noise to ask along the row. */
    RowNoise noise(Noise of) {
        if (noise == null || !noise.isOf(of)) {
            noise = new RowNoise(of);
        }
        return noise;
    }
}
