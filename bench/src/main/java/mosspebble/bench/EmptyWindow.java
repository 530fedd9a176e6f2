package mosspebble.bench;

import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;

/** The baseline: an empty window of the same size that ends at its third pulse, or stays. */
public final class EmptyWindow extends Application {

    /** Starts it; apart from the class itself so that the toolkit may come from the module path. */
    public static void main(String[] args) {
        launch(EmptyWindow.class);
    }

    @Override
    public void start(Stage stage) {
        stage.setScene(new Scene(new Pane(), 1280, 800));
        stage.show();
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
}
