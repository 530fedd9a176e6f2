package mosspebble.files;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import mosspebble.core.area.Grid;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.EdgePicture;
import mosspebble.core.picture.StonePicture;

/** The core's pixels as images for files. */
final class Pictures {

    private Pictures() {}

    /** The stone after so many steps, on transparent ground. */
    static BufferedImage of(StonePicture picture, int steps, double lightFrom) {
        return of(picture, new StonePicture.Shown(steps, 0, lightFrom, Care.FULL));
    }

    /** The same, lit with so much care. */
    static BufferedImage of(StonePicture picture, StonePicture.Shown shown) {
        Grid grid = picture.terrain().grid();
        BufferedImage image = new BufferedImage(grid.columns(), grid.rows(), BufferedImage.TYPE_INT_ARGB_PRE);
        picture.draw(shown, () -> false, pixels(image));
        return image;
    }

    /** The pixels of an image of integers, as they lie in it. */
    static int[] pixels(BufferedImage image) {
        return ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    }

    /** The unrolled edge after so many steps. */
    static BufferedImage of(EdgePicture picture, int steps) {
        BufferedImage image = new BufferedImage(picture.columns(), picture.rows(), BufferedImage.TYPE_INT_ARGB);
        image.setRGB(0, 0, picture.columns(), picture.rows(), picture.pixels(steps), 0, picture.columns());
        return image;
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
