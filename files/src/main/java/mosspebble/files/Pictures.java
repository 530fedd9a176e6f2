package mosspebble.files;

import java.awt.image.BufferedImage;
import mosspebble.core.area.Grid;
import mosspebble.core.picture.EdgePicture;
import mosspebble.core.picture.StonePicture;

/** The core's pixels as images for files. */
final class Pictures {

    private Pictures() {}

    /** The stone after so many steps, on transparent ground. */
    static BufferedImage of(StonePicture picture, int steps, double lightFrom) {
        Grid grid = picture.terrain().grid();
        int[] pixels = new int[grid.cells()];
        picture.draw(steps, lightFrom, pixels);
        BufferedImage image = new BufferedImage(grid.columns(), grid.rows(), BufferedImage.TYPE_INT_ARGB_PRE);
        image.setRGB(0, 0, grid.columns(), grid.rows(), straight(pixels), 0, grid.columns());
        return image;
    }

    /** The unrolled edge after so many steps. */
    static BufferedImage of(EdgePicture picture, int steps) {
        BufferedImage image = new BufferedImage(picture.columns(), picture.rows(), BufferedImage.TYPE_INT_ARGB);
        image.setRGB(0, 0, picture.columns(), picture.rows(), picture.pixels(steps), 0, picture.columns());
        return image;
    }

    private static int[] straight(int[] premultiplied) {
        int[] pixels = premultiplied.clone();
        for (int i = 0; i < pixels.length; i++) {
            pixels[i] = straight(pixels[i]);
        }
        return pixels;
    }

    /** A colour that is not multiplied by its alpha. */
    static int straight(int premultiplied) {
        int a = premultiplied >>> 24;
        if (a == 0 || a == 255) {
            return premultiplied;
        }
        int r = Math.min(255, (premultiplied >> 16 & 255) * 255 / a);
        int g = Math.min(255, (premultiplied >> 8 & 255) * 255 / a);
        int b = Math.min(255, (premultiplied & 255) * 255 / a);
        return a << 24 | r << 16 | g << 8 | b;
    }
}
