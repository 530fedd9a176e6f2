package mosspebble.app.cloth;

import java.nio.IntBuffer;
import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import mosspebble.app.model.Results;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.area.Grid;

/** The core's pixels as an image that is repainted in place. */
public final class StoneImage {

    private final Grid grid;
    private final int[] pixels;
    private final PixelBuffer<IntBuffer> buffer;
    private final WritableImage image;

    public StoneImage(Grid grid) {
        this.grid = grid;
        this.pixels = new int[grid.cells()];
        this.buffer = new PixelBuffer<>(grid.columns(), grid.rows(), IntBuffer.wrap(pixels), PixelFormat.getIntArgbPreInstance());
        this.image = new WritableImage(buffer);
    }

    public boolean fits(Grid other) {
        return grid.equals(other);
    }

    public Image image() {
        return image;
    }

    public Grid grid() {
        return grid;
    }

    public void draw(StonePicture picture, int steps, double lightFrom) {
        picture.draw(steps, lightFrom, pixels);
        buffer.updateBuffer(b -> null);
    }

    public void draw(int[] values) {
        System.arraycopy(values, 0, pixels, 0, pixels.length);
        buffer.updateBuffer(b -> null);
    }

    /** What was drawn, to be looked at. */
    public static Image still(Results.Lit drawn) {
        StoneImage still = new StoneImage(drawn.moment().of().terrain().grid());
        still.draw(drawn.pixels());
        return still.image();
    }
}
