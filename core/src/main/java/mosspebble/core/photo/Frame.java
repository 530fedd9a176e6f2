package mosspebble.core.photo;

import boofcv.struct.image.GrayU8;
import mosspebble.core.colour.Xyz;

/** The photo in linear light, at a size that is worked on. */
final class Frame {

    private static final float[] LINEAR = linear();

    final int width;
    final int height;
    final float[] red;
    final float[] green;
    final float[] blue;

    Frame(Photo photo) {
        width = photo.width();
        height = photo.height();
        red = new float[width * height];
        green = new float[red.length];
        blue = new float[red.length];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int pixel = photo.at(x, y);
                int i = y * width + x;
                red[i] = LINEAR[pixel >> 16 & 255];
                green[i] = LINEAR[pixel >> 8 & 255];
                blue[i] = LINEAR[pixel & 255];
            }
        }
    }

    private static float[] linear() {
        float[] table = new float[256];
        for (int i = 0; i < 256; i++) {
            table[i] = (float) Xyz.linear(i);
        }
        return table;
    }

    /** Brightness in linear light, so that an edge blurred by the lens stays where it is. */
    GrayU8 grey() {
        GrayU8 grey = new GrayU8(width, height);
        for (int i = 0; i < red.length; i++) {
            grey.data[i] = (byte) Math.min(255, Math.round(255 * (0.25f * red[i] + 0.6f * green[i] + 0.15f * blue[i])));
        }
        return grey;
    }

    /** Linear colour between pixels; a place x, y with pixel centres at halves. */
    void sample(double x, double y, double[] colour) {
        double gx = Math.max(0, Math.min(width - 1.001, x - 0.5));
        double gy = Math.max(0, Math.min(height - 1.001, y - 0.5));
        int c = (int) gx;
        int r = (int) gy;
        double fx = gx - c;
        double fy = gy - r;
        int i = r * width + c;
        colour[0] = mix(red, i, fx, fy);
        colour[1] = mix(green, i, fx, fy);
        colour[2] = mix(blue, i, fx, fy);
    }

    private double mix(float[] band, int i, double fx, double fy) {
        return (band[i] * (1 - fx) + band[i + 1] * fx) * (1 - fy) + (band[i + width] * (1 - fx) + band[i + width + 1] * fx) * fy;
    }
}
