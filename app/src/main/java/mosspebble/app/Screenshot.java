package mosspebble.app;

import java.nio.IntBuffer;
import java.nio.file.Path;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import mosspebble.app.model.Results;
import mosspebble.files.FileTrouble;
import mosspebble.files.PngFile;

/** Saves a picture of the window once plan and picture are there. */
final class Screenshot {

    private static final int QUIET_FRAMES = 20;
    private static final int MOST_FRAMES = 3600;

    private final Scene scene;
    private final Path file;
    private final boolean thenExit;

    Screenshot(Scene scene, Path file, boolean thenExit) {
        this.scene = scene;
        this.file = file;
        this.thenExit = thenExit;
    }

    void whenSettled() {
        Results show = (Results) scene.getRoot().getProperties().get(Results.class);
        new AnimationTimer() {
            private int quiet;
            private int frames;

            @Override
            public void handle(long now) {
                frames++;
                boolean drawn = show.pictureProperty().get() != null || show.pixelsPerMmProperty().get() == 0; // no cloth, no picture of it
                boolean settled = drawn && show.plan() != null && !show.busyProperty().get() && show.thumbs().size() > 0
                        && show.idle();
                quiet = settled ? quiet + 1 : 0;
                if (quiet >= QUIET_FRAMES || frames >= MOST_FRAMES) {
                    stop();
                    save();
                }
            }
        }.start();
    }

    /** Once a few frames are drawn, for a window without a stone. */
    void whenShown() {
        new AnimationTimer() {
            private int frames;

            @Override
            public void handle(long now) {
                if (++frames >= 2 * QUIET_FRAMES) {
                    stop();
                    save();
                }
            }
        }.start();
    }

    private void save() {
        try {
            write(scene, file);
            System.out.println("Screenshot saved: " + file.toAbsolutePath());
        } catch (FileTrouble e) {
            System.err.println(e.getMessage());
        }
        if (thenExit) {
            Platform.exit();
        }
    }

    static void write(Scene scene, Path file) throws FileTrouble {
        WritableImage image = scene.snapshot(null);
        int w = (int) image.getWidth();
        int h = (int) image.getHeight();
        int[] pixels = new int[w * h];
        image.getPixelReader().getPixels(0, 0, w, h, PixelFormat.getIntArgbInstance(), IntBuffer.wrap(pixels), w);
        PngFile.write(file, w, h, pixels);
    }
}
