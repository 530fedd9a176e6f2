package mosspebble.app.shell;

import java.util.List;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.finding.Finding;
import mosspebble.core.words.FindingWords;

/**
 * What there is to know at this stage, one thing at a time: a plain sentence, what mends it as a button, the numbers behind
 * <em>why</em>. In a low window other ways to mend it than the first wait in a menu. Takes no room where there is nothing; how much
 * there is at other stages stands on the path.
 */
final class FindingsBox extends VBox {

    private final Workbench workbench;
    private final Results show;
    private final Consumer<String> perform;
    private final ReadOnlyObjectWrapper<Finding> shown = new ReadOnlyObjectWrapper<>();
    private final Label weight = new Label();
    private final Label count = Panel.quiet("");
    private final Button before;
    private final Button after;
    private final ToggleButton why = new ToggleButton("why");
    private final Label sentence = new Label();
    private final Label figures = Panel.quiet("");
    private final FlowPane remedies = new FlowPane(4, 4);
    private final HBox turns;
    private List<Finding> all = List.of();
    private List<Finding> here = List.of();
    private int number;
    private boolean room = true;

    /** @param perform does something by its name in the drawer */
    FindingsBox(Workbench workbench, Results show, Consumer<String> perform) {
        this.workbench = workbench;
        this.show = show;
        this.perform = perform;
        setId("findings");
        getStyleClass().add("findings");
        weight.getStyleClass().add("weight");
        weight.setMinWidth(Region.USE_PREF_SIZE);
        before = turn("finding-before", "‹", "What was said before", -1);
        after = turn("finding-after", "›", "What is said next", 1);
        count.setId("finding-count");
        why.setId("finding-why");
        why.setMinWidth(Region.USE_PREF_SIZE);
        why.getStyleClass().addAll("pebble", "flat");
        why.setOnAction(e -> Panel.present(figures, why.isSelected()));
        turns = new HBox(4, before, count, after);
        turns.setAlignment(Pos.CENTER_RIGHT);
        sentence.setId("finding");
        sentence.setWrapText(true);
        sentence.setMinHeight(Region.USE_PREF_SIZE);
        figures.setId("finding-figures");
        figures.setMinHeight(Region.USE_PREF_SIZE);
        remedies.setRowValignment(VPos.CENTER);
        VBox words = new VBox(5, sentence, figures);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(8, weight, words, why);
        row.setAlignment(Pos.TOP_LEFT);
        row.setFillHeight(false);
        getChildren().addAll(row, remedies);
        show.planProperty().addListener((o, a, b) -> fill());
        show.troubleProperty().addListener((o, a, b) -> fill());
        workbench.stageProperty().addListener((o, a, b) -> fill());
        workbench.studioProperty().addListener((o, a, b) -> {
            if (a.view().comfort().textPercent() != b.view().comfort().textPercent()) {
                fill();
            }
        });
        sceneProperty().flatMap(Scene::heightProperty).addListener((o, a, b) -> {
            if (a != null && b != null && isLow(a.doubleValue()) != isLow(b.doubleValue())) {
                fill();
            }
        });
        fill();
    }

    /** What is told at the moment; null for nothing. */
    ReadOnlyObjectProperty<Finding> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** @param room whether there is a place for it beside what is in the middle */
    void setRoom(boolean room) {
        this.room = room;
        fill();
    }

    private Button turn(String id, String words, String tooltip, int by) {
        Button button = Panel.button(id, words, tooltip, () -> {
            number = Math.floorMod(number + by, here.size());
            tell();
        });
        button.getStyleClass().add("round");
        button.setAccessibleText(tooltip);
        return button;
    }

    private boolean isLow(double height) {
        return Panel.isLow(height, workbench.studio());
    }

    private void fill() {
        all = show.plan() == null ? List.of() : show.plan().findings();
        List<Finding> now = all.stream().filter(f -> f.stage() == workbench.stageProperty().get()).toList();
        Finding known = shown.get();
        number = known == null ? 0 : Math.max(0, now.stream().map(Finding::code).toList().indexOf(known.code()));
        here = now;
        tell();
    }

    private void tell() {
        boolean trouble = show.plan() == null && !show.troubleProperty().get().isEmpty();
        Panel.present(this, room && (trouble || !here.isEmpty()));
        Panel.present(weight, !here.isEmpty());
        Panel.present(why, false);
        remedies.getChildren().clear();
        if (here.isEmpty()) {
            shown.set(null);
            sentence.setText(trouble ? "What stands in the way is not known before it can be worked out." : "");
            Panel.present(figures, false);
            Panel.present(remedies, false);
            return;
        }
        Finding finding = here.get(number);
        weight.setText(switch (finding.weight()) {
            case STOP -> "stop";
            case MIND -> "mind";
            case TIP -> "tip";
        });
        weight.getStyleClass().setAll("label", "weight", weight.getText());
        sentence.setText(FindingWords.sentence(finding));
        String numbers = FindingWords.figures(finding);
        figures.setText(numbers);
        Panel.present(why, !numbers.isEmpty());
        Panel.present(figures, !numbers.isEmpty() && why.isSelected());
        count.setText((number + 1) + " of " + here.size());
        int own = all.indexOf(finding);
        boolean high = getScene() == null || !isLow(getScene().getHeight());
        Panel.present(before, high); // the next of the last is the first
        boolean menu = !high && finding.remedies().size() > 1;
        MenuButton others = new MenuButton("or …");
        others.setId("remedies-" + own);
        others.getStyleClass().addAll("pebble", "tight");
        others.setAccessibleText("Other ways to mend it");
        for (int k = 0; k < finding.remedies().size(); k++) {
            Finding.Remedy remedy = finding.remedies().get(k);
            String id = "remedy-" + own + (k == 0 ? "" : "-" + k);
            Runnable mend = () -> workbench.edit(FindingWords.label(remedy), remedy.change());
            if (menu && k > 0) {
                MenuItem other = new MenuItem(FindingWords.label(remedy));
                other.setId(id);
                other.setOnAction(e -> mend.run());
                others.getItems().add(other);
            } else {
                remedies.getChildren().add(Panel.button(id, FindingWords.label(remedy), "Does it; undo with Ctrl Z", mend));
            }
        }
        if (menu) {
            remedies.getChildren().add(others);
        }
        Elsewhere.of(finding.code()).ifPresent(place -> remedies.getChildren()
                .add(Panel.button("elsewhere-" + own, place.words(), place.action(), () -> perform.accept(place.action()))));
        if (here.size() > 1) {
            remedies.getChildren().add(turns);
        }
        Panel.present(remedies, !remedies.getChildren().isEmpty());
        setAccessibleText(weight.getText() + ": " + sentence.getText() + " " + numbers);
        shown.set(finding);
    }
}
