package mosspebble.core.photo;

import java.util.OptionalDouble;

/** A picture as plain pixels. Owns them. */
public final class Photo {

    /** Most pixels kept; larger files are halved until they fit. */
    public static final int MOST_PIXELS = 26_000_000;

    private final int width;
    private final int height;
    private final int[] rgb;
    private final OptionalDouble focalPx;

    /**
     * @param rgb 0xRRGGBB, rows first; not copied, so hand over and forget
     * @param focalPx focal length in pixels where the camera tells it
     */
    public Photo(int width, int height, int[] rgb, OptionalDouble focalPx) {
        if (width < 16 || height < 16 || (long) width * height > MOST_PIXELS || rgb.length != width * height) {
            throw new IllegalArgumentException("a photo must have 16 x 16 to " + MOST_PIXELS + " pixels, had " + width + " x " + height);
        }
        if (focalPx.isPresent()
                && !(focalPx.getAsDouble() > 0.2 * Math.max(width, height) && focalPx.getAsDouble() < 20.0 * Math.max(width, height))) {
            throw new IllegalArgumentException(
                    "a focal length must be 0.2 to 20 times the picture's longer side, was " + focalPx.getAsDouble() + " pixels");
        }
        this.width = width;
        this.height = height;
        this.rgb = rgb;
        this.focalPx = focalPx;
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    public OptionalDouble focalPx() {
        return focalPx;
    }

    /** 0xRRGGBB. */
    public int at(int x, int y) {
        return rgb[y * width + x] & 0xFFFFFF;
    }

    /**
     * A smaller copy, its longer side at most so many pixels, by averaging whole squares of pixels; the same photo if it is small enough.
     */
    public Photo reduced(int mostSide) {
        int factor = (int) Math.ceil((double) Math.max(width, height) / mostSide);
        if (factor <= 1) {
            return this;
        }
        int w = width / factor;
        int h = height / factor;
        int[] small = new int[w * h];
        int count = factor * factor;
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int red = 0;
                int green = 0;
                int blue = 0;
                for (int dy = 0; dy < factor; dy++) {
                    int row = (y * factor + dy) * width + x * factor;
                    for (int dx = 0; dx < factor; dx++) {
                        int pixel = rgb[row + dx];
                        red += pixel >> 16 & 255;
                        green += pixel >> 8 & 255;
                        blue += pixel & 255;
                    }
                }
                small[y * w + x] = (red + count / 2) / count << 16 | (green + count / 2) / count << 8 | (blue + count / 2) / count;
            }
        }
        return new Photo(w, h, small, focalPx.isPresent() ? OptionalDouble.of(focalPx.getAsDouble() / factor) : focalPx);
    }
}
