package mosspebble.app.cloth;

import java.nio.IntBuffer;
import java.util.SplittableRandom;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.paint.ImagePattern;

/** Woven linen as a pattern to fill with: threads of uneven strength over and under one another, the same again after a few inches. */
final class Linen {

    private static final int SIDE = 384;
    private static final int THREAD = 3;

    private Linen() {}

    /** A pattern of threads that were woven. */
    static ImagePattern of(int[] pixels) {
        PixelBuffer<IntBuffer> tile = new PixelBuffer<>(SIDE, SIDE, IntBuffer.wrap(pixels), PixelFormat.getIntArgbPreInstance());
        return new ImagePattern(new WritableImage(tile), 0, 0, SIDE, SIDE, false);
    }

    /**
     * Weaves; on any thread.
     *
     * @param tone of the cloth; threads are a little lighter and darker
     */
    static int[] woven(Color tone) {
        int threads = SIDE / THREAD;
        double[] across = strengths(threads, 3);
        double[] along = strengths(threads, 4);
        int[] pixels = new int[SIDE * SIDE]; // a colour object for each would take longer than all the rest of the first picture
        SplittableRandom fibre = new SplittableRandom(5);
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < SIDE; x++) {
                int warp = x / THREAD;
                int weft = y / THREAD;
                boolean over = (warp + weft) % 2 == 0;
                double round = over ? 1 - Math.abs(x % THREAD - 1) * 0.5 : 1 - Math.abs(y % THREAD - 1) * 0.5;
                double light = 1 + (over ? across[warp] : along[weft]) + 0.035 * (round - 0.65) + 0.012 * (fibre.nextDouble() - 0.5);
                pixels[y * SIDE + x] = 0xFF000000 | level(tone.getRed() * light) << 16 | level(tone.getGreen() * light) << 8
                        | level(tone.getBlue() * light);
            }
        }
        return pixels;
    }

    private static int level(double share) {
        return (int) (Math.min(1, share) * 255 + 0.5);
    }

    private static double[] strengths(int count, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        return random.doubles(count).map(v -> 0.018 * (v - 0.5) + (v > 0.95 ? 0.007 : 0)).toArray();
    }
}
