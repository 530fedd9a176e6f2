package mosspebble.bench;

import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;
import javafx.stage.Stage;

/**
 * The baseline: an empty window of the same size that ends at its third pulse, or stays, or keeps a small square moving and tells of its
 * frames.
 */
public final class EmptyWindow extends Application {

    private static final int MOVES = 220;

    /** Starts it; apart from the class itself so that the toolkit may come from the module path. */
    public static void main(String[] args) {
        launch(EmptyWindow.class);
    }

    @Override
    public void start(Stage stage) {
        Pane pane = new Pane();
        Scene scene = new Scene(pane, 1280, 800);
        stage.setScene(scene);
        stage.show();
        if (Boolean.getBoolean("mosspebble.beat")) {
            beat(pane, scene);
            return;
        }
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                if (++pulses == 3 && Boolean.getBoolean("mosspebble.stay")) {
                    stop();
                } else if (pulses == 3) {
                    stop();
                    System.out.println("usable");
                    Platform.exit();
                }
            }
        }.start();
    }

    private static void beat(Pane pane, Scene scene) {
        Rectangle square = new Rectangle(10, 10);
        pane.getChildren().add(square);
        Frames frames = new Frames(MOVES);
        scene.addPostLayoutPulseListener(() -> frames.isLaidOut(System.nanoTime()));
        new AnimationTimer() {
            @Override
            public void handle(long now) {
                if (frames.begins(System.nanoTime())) {
                    square.setX((square.getX() + 3) % 900);
                } else {
                    stop();
                    System.out.println("beat " + frames.summary());
                    Platform.exit();
                }
            }
        }.start();
    }
}
