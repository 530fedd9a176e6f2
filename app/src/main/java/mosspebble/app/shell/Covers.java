package mosspebble.app.shell;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** What may lie over the whole window, each made when it is first wanted; what was opened last lies on top. */
final class Covers {

    /** One of them. */
    final class Cover<N extends Node> {
        private final Supplier<N> making;
        private final Consumer<N> closing;
        private N node;

        private Cover(Supplier<N> making, Consumer<N> closing) {
            this.making = making;
            this.closing = closing;
        }

        /** Itself, on top of the others; to be opened now. */
        N onTop() {
            made();
            if (window.getChildren().contains(node)) {
                node.toFront();
            } else {
                window.getChildren().add(node);
            }
            return node;
        }

        /** Makes it, to lie there unseen until it is opened. */
        void ready() {
            made();
            if (!window.getChildren().contains(node)) {
                window.getChildren().add(node);
            }
        }

        private void made() {
            node = node == null ? making.get() : node;
        }

        private boolean lies() {
            return node != null && node.isVisible();
        }

        private int depth() {
            return window.getChildren().indexOf(node);
        }

        private void close() {
            closing.accept(node);
        }
    }

    private final StackPane window;
    private final List<Cover<?>> covers = new ArrayList<>();

    Covers(StackPane window) {
        this.window = window;
    }

    /** Something more that may lie there. */
    <N extends Node> Cover<N> with(Supplier<N> making, Consumer<N> closing) {
        Cover<N> cover = new Cover<>(making, closing);
        covers.add(cover);
        return cover;
    }

    /** Takes out of the window what does not lie over it now; it comes back when it is opened. */
    void putAway() {
        window.getChildren().removeIf(node -> covers.stream().anyMatch(c -> c.node == node && !c.lies()));
    }

    /** Whether anything lies over the window. */
    boolean any() {
        return covers.stream().anyMatch(Cover::lies);
    }

    /** Closes what lies on top; answers whether anything did. */
    boolean uncover() {
        Optional<Cover<?>> top = covers.stream().filter(Cover::lies).max(Comparator.comparingInt(Cover::depth));
        top.ifPresent(Cover::close);
        return top.isPresent();
    }
}
