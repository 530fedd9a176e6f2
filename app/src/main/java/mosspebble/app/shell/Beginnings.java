package mosspebble.app.shell;

import java.util.List;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Late;
import mosspebble.app.model.Navigator;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.finding.Finding.Stage;

/** What lies on the cloth while there is no stone yet, and where colours are wanted while there is no paint yet: the ways to begin. */
final class Beginnings extends StackPane {

    /** What is painted from the shelf as soon as it is opened. */
    private static final Set<Stage> PAINTED = Set.of(Stage.SKETCH, Stage.COLOUR, Stage.BUILD_UP);

    /**
     * What the ways lead to.
     *
     * @param measure a new stone
     * @param sample a made-up shelf
     * @param type a first paint of one's own
     * @param bring paints from a table
     */
    record Ways(Runnable measure, Runnable lookRound, Runnable sample, Runnable type, Runnable bring) {}

    private final Workbench workbench;
    private final Navigator navigator;
    private final VBox noStone;
    private final VBox noPaint;
    private boolean later;

    Beginnings(Workbench workbench, Navigator navigator, Ways ways) {
        this.workbench = workbench;
        this.navigator = navigator;
        noStone = box("The cloth is bare", "Wash a stone that lies well in the hand, let it dry, and begin.",
                way("first-stone", "Measure one", "Length, width and height by a ruler", ways.measure, true),
                way("first-photo", "Photograph it", "One picture of all your stones; a printed card tells their size",
                        () -> navigator.go(Stage.STONE, Navigator.PHOTO), false),
                way("first-look", "Look round in the Lantern Walk", "Nine stones that are planned, in a window of their own",
                        ways.lookRound, false));
        Button later = Panel.button("first-paints-later", "Later", "Sketch in pencil first", this::later);
        later.getStyleClass().add("flat");
        noPaint = box("Which paints are yours?", "Colours, coats and drying are worked out from what stands on your shelf.",
                way("first-paints-sample", "Lay out a sample shelf", "Common paints and pens, made up; change or take away any of them",
                        ways.sample, true),
                way("first-paints-type", "Type mine", "One after the other: name, colour, how well it hides", ways.type, false),
                way("first-paints-bring", "Bring a table", "A CSV file with a row for each paint", ways.bring, false));
        noPaint.getChildren().add(later);
        noPaint.getStyleClass().add("plan-trouble");
        noPaint.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        setPickOnBounds(false);
        refresh();
        Late.in(this, noStone, noPaint);
    }

    private void later() {
        later = true;
        refresh();
    }

    /** Shows what is asked for now, if anything is. */
    void refresh() {
        boolean any = workbench.shown().isPresent();
        Panel.present(noStone, !any && navigator.onCloth());
        Panel.present(noPaint, any && !later && navigator.onCloth() && PAINTED.contains(workbench.stageProperty().get())
                && workbench.studio().shelf().paints().isEmpty());
    }

    /** Whether anything is asked. */
    boolean asks() {
        return noStone.isVisible() || noPaint.isVisible();
    }

    private static VBox box(String title, String hint, VBox... ways) {
        Label words = new Label(title);
        words.getStyleClass().add("empty-title");
        Label more = Panel.quiet(hint);
        more.getStyleClass().add("empty-hint");
        VBox box = new VBox(18, words, more);
        box.getChildren().addAll(List.of(ways));
        box.setAlignment(Pos.CENTER);
        box.setPickOnBounds(false);
        return box;
    }

    /** A way to begin, with what it means. */
    private static VBox way(String id, String name, String means, Runnable run, boolean first) {
        Button button = Panel.button(id, name, means, run);
        button.getStyleClass().addAll("widest");
        if (first) {
            button.getStyleClass().add("main");
        }
        button.setPrefWidth(360);
        VBox way = new VBox(4, button, Panel.quiet(means));
        way.setAlignment(Pos.CENTER);
        way.setPickOnBounds(false);
        return way;
    }
}
