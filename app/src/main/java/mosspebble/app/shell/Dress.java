package mosspebble.app.shell;

import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.layout.BorderPane;
import mosspebble.app.control.Pulses;
import mosspebble.app.control.TextSize;
import mosspebble.core.project.Studio;

/** Light, ink, size of words and the side of the column, as the painter likes them. */
final class Dress {

    private final Parent window;
    private final Sides sides;
    private final Supplier<Studio.View> wanted;
    private final Runnable before;
    private final Runnable after;
    private Studio.View worn;
    private boolean coming;

    /** What stands on either side of the window's frame. */
    record Sides(BorderPane frame, Node column, Node path) {
        private void turn(boolean leftHand) {
            frame.setLeft(null);
            frame.setRight(null);
            frame.setLeft(leftHand ? column : path);
            frame.setRight(leftHand ? path : column);
        }
    }

    /**
     * @param wanted how it should be now
     * @param before done before anything is styled anew
     * @param after done when it is
     */
    Dress(Parent window, Sides sides, Supplier<Studio.View> wanted, Runnable before, Runnable after) {
        this.window = window;
        this.sides = sides;
        this.wanted = wanted;
        this.before = before;
        this.after = after;
    }

    /** Dresses the window as is wanted; with other words, which are the most work, when what asked for them has answered. */
    void follow() {
        if (worn == null || worn.comfort().textPercent() == wanted.get().comfort().textPercent()) {
            change();
        } else if (!coming) {
            coming = true;
            Pulses.afterAnswer(() -> {
                coming = false;
                change();
            });
        }
    }

    private void change() {
        Studio.View view = wanted.get();
        if (view == worn || worn != null && view.equals(worn)) {
            return;
        }
        before.run();
        if (worn == null || worn.comfort().textPercent() != view.comfort().textPercent()) {
            window.getStylesheets().removeIf(sheet -> sheet.startsWith("data:"));
            if (view.comfort().textPercent() != 100) {
                window.getStylesheets().add(TextSize.sheet(view.comfort().textPercent()));
            }
        }
        wear("evening", view.evening());
        wear("contrast", view.comfort().contrast());
        wear("left-hand", view.comfort().leftHand());
        if (worn == null || worn.comfort().leftHand() != view.comfort().leftHand()) {
            sides.turn(view.comfort().leftHand());
        }
        worn = view;
        after.run();
    }

    private void wear(String style, boolean on) {
        if (!on) {
            window.getStyleClass().remove(style);
        } else if (!window.getStyleClass().contains(style)) {
            window.getStyleClass().add(style);
        }
    }
}
