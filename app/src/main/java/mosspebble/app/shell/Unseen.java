package mosspebble.app.shell;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;

/** What can be gone to and is not seen now: made before it is wanted, and out of the window while that is dressed anew. */
final class Unseen {

    private final List<Screen> screens;
    private final StackPane middle;
    private final Covers covers;
    private final List<Runnable> leaves;
    /** Columns and their pages that were made and are not gone to yet; never seen, but styled. */
    private final StackPane waiting = new StackPane();
    /** The screens that were laid out as the window is dressed. */
    private final Set<Screen> atHand = new HashSet<>();

    /**
     * @param window in which columns wait
     * @param middle what screens have for it lies there
     * @param leaves make those of what lies over the window that are often opened
     */
    Unseen(StackPane window, List<Screen> screens, StackPane middle, Covers covers, List<Runnable> leaves) {
        this.screens = screens;
        this.middle = middle;
        this.covers = covers;
        this.leaves = leaves;
        Panel.present(waiting, false);
        window.getChildren().add(0, waiting);
    }

    /**
     * What can be made before it is gone to: what takes the middle, its column and the pages of that, what lies over the window.
     *
     * @param more takes what is found while a piece is made
     */
    List<Runnable> pieces(Consumer<Runnable> more) {
        List<Runnable> pieces = new ArrayList<>();
        for (Screen each : screens) {
            pieces.add(() -> each.middle().filter(node -> !middle.getChildren().contains(node)).ifPresent(node -> {
                Panel.present(node, false);
                middle.getChildren().add(1, node);
                each.getReady();
            }));
            pieces.add(() -> each.column().ifPresent(panel -> {
                letWait(panel);
                panel.pages().forEach(page -> more.accept(() -> letWait(page.get())));
            }));
        }
        pieces.addAll(leaves);
        return pieces;
    }

    /** A screen was laid out. */
    void seen(Screen screen) {
        atHand.add(screen);
    }

    /** Whether a screen can be shown at once: it was laid out before, as the window is dressed. */
    boolean isAtHand(Screen screen) {
        return atHand.contains(screen);
    }

    private void letWait(Node node) {
        if (node.getScene() == null) {
            waiting.getChildren().add(node);
        }
    }

    /** Leaves the window, so that it need not be styled anew before what is seen; it comes back when it is gone to. */
    void putAway() {
        covers.putAway();
        atHand.clear();
        waiting.getChildren().clear();
        for (Screen each : screens) {
            if (each.isMade()) {
                each.middle().filter(node -> !node.isVisible()).ifPresent(middle.getChildren()::remove);
            }
        }
    }
}
