package mosspebble.files;

import java.awt.image.BufferedImage;
import java.awt.image.RenderedImage;
import java.io.IOException;
import java.nio.file.Path;
import javax.imageio.ImageIO;

/** Pixels as a PNG file. */
public final class PngFile {

    private PngFile() {}

    /**
     * @param argb straight alpha, rows first
     * @throws FileTrouble if it cannot be written; no half file remains
     */
    public static void write(Path file, int width, int height, int[] argb) throws FileTrouble {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        image.setRGB(0, 0, width, height, argb, 0, width);
        write(file, image);
    }

    /** The same of an image, which is asked for its rows in their order. */
    static void write(Path file, RenderedImage image) throws FileTrouble {
        SafeWrite.write(file, out -> {
            if (!ImageIO.write(image, "png", out)) {
                throw new IOException("no PNG writer");
            }
        });
    }
}
