package mosspebble.app.control;

import java.util.List;
import javafx.beans.InvalidationListener;
import javafx.beans.Observable;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/** Guests of a pane that come when they are first seen: what nobody looks at yet need not be styled and laid out with the first window. */
public final class Late {

    private Late() {}

    /** Puts nodes into a pane in their order; those that are hidden take their places when they are first shown. */
    public static void in(Pane pane, Node... nodes) {
        List<Node> all = List.of(nodes);
        for (Node node : all) {
            if (node.isVisible()) {
                pane.getChildren().add(node);
            } else {
                node.visibleProperty().addListener(new InvalidationListener() {
                    @Override
                    public void invalidated(Observable visible) {
                        if (node.isVisible()) {
                            visible.removeListener(this);
                            int behind = all.subList(0, all.indexOf(node)).stream().mapToInt(pane.getChildren()::indexOf).max().orElse(-1);
                            pane.getChildren().add(behind + 1, node);
                        }
                    }
                });
            }
        }
    }
}
