package mosspebble.app.control;

import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.WeakHashMap;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;

/**
 * A group of buttons that is one stop of the Tab key: arrows, Home and End go from one to the next within it, Space presses, as the usual
 * patterns for accessible groups have it (W3C, ARIA Authoring Practices, "roving tabindex").
 */
public final class OneStop {

    private final Pane group;
    private final boolean upward;
    private final Set<Node> watched = Collections.newSetFromMap(new WeakHashMap<>());
    private Node stop;

    private OneStop(Pane group, boolean upward) {
        this.group = group;
        this.upward = upward;
        group.getChildren().addListener((ListChangeListener<Node>) change -> {
            while (change.next()) {
                change.getAddedSubList().forEach(this::watch);
            }
            refresh();
        });
        group.getChildren().forEach(this::watch);
        group.addEventFilter(KeyEvent.KEY_PRESSED, this::move);
        refresh();
    }

    public static OneStop in(Pane group) {
        return new OneStop(group, false);
    }

    /** In a group whose first is the lowest. */
    public static OneStop upward(Pane group) {
        return new OneStop(group, true);
    }

    /** From now on Tab comes to this one, such as the one that is chosen. */
    public void at(Node node) {
        stop = node;
        refresh();
    }

    private void watch(Node node) {
        if (!watched.add(node)) {
            return; // taken out and put back
        }
        node.focusedProperty().addListener((o, was, is) -> {
            if (is) {
                at(node);
            }
        });
        node.visibleProperty().addListener(o -> refresh());
        node.disabledProperty().addListener(o -> refresh());
    }

    private List<Node> reachable() {
        return group.getChildren().stream().filter(n -> n instanceof ButtonBase && n.isVisible() && n.isManaged() && !n.isDisabled())
                .toList();
    }

    private void refresh() {
        List<Node> all = reachable();
        Node now = all.contains(stop) ? stop : all.isEmpty() ? null : all.get(0);
        for (Node node : group.getChildren()) {
            if (node instanceof ButtonBase) {
                node.setFocusTraversable(node == now);
            }
        }
    }

    private void move(KeyEvent e) {
        List<Node> all = reachable();
        int at = all.indexOf(e.getTarget());
        if (at < 0 || e.isShiftDown() || e.isControlDown() || e.isAltDown()) {
            return;
        }
        int to = switch (e.getCode()) {
            case RIGHT -> (at + 1) % all.size();
            case LEFT -> (at - 1 + all.size()) % all.size();
            case UP, DOWN -> (at + (e.getCode() == KeyCode.UP == upward ? 1 : all.size() - 1)) % all.size();
            case HOME -> 0;
            case END -> all.size() - 1;
            default -> -1;
        };
        if (to >= 0) {
            all.get(to).requestFocus();
            e.consume();
        }
    }
}
