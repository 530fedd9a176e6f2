package mosspebble.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import org.junit.jupiter.api.Test;

class CoversTest {

    private final StackPane window = new StackPane(new Region());
    private final Covers covers = new Covers(window);

    private Covers.Cover<Region> leaf(String id) {
        return covers.with(() -> {
            Region made = new Region();
            made.setId(id);
            return made;
        }, node -> node.setVisible(false));
    }

    private static void open(Covers.Cover<Region> leaf) {
        leaf.onTop().setVisible(true);
    }

    @Test
    void eachIsMadeWhenItIsFirstWantedAndOnlyOnce() {
        Covers.Cover<Region> help = leaf("help");
        assertThat(window.getChildren()).hasSize(1);
        assertThat(covers.any()).isFalse();
        Region first = help.onTop();
        assertThat(help.onTop()).isSameAs(first);
        assertThat(window.getChildren()).hasSize(2).endsWith(first);
        assertThat(covers.any()).isTrue();
    }

    @Test
    void whatWasOpenedLastLiesOnTopAndIsClosedFirst() {
        Covers.Cover<Region> log = leaf("log");
        Covers.Cover<Region> about = leaf("about");
        open(log);
        covers.uncover();
        open(about);
        open(log); // from the leaf that lies there, over which it was laid before
        assertThat(window.getChildren()).extracting(n -> n.getId()).endsWith("about", "log");
        assertThat(covers.uncover()).isTrue();
        assertThat(about.onTop().isVisible()).isTrue();
        assertThat(log.onTop().isVisible()).isFalse();
        assertThat(covers.uncover()).isTrue();
        assertThat(covers.uncover()).as("nothing lies over the window any more").isFalse();
    }
}
