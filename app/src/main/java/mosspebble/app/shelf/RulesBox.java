package mosspebble.app.shelf;

import java.io.File;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import mosspebble.app.screen.Panel;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Quarrel;
import mosspebble.core.units.Words;
import mosspebble.core.words.CareWords;

/** What goes over what: the painter's own rules first, then the table; out and in as CSV. */
final class RulesBox extends VBox {

    private final ShelfModel desk;
    private List<Quarrel> shown;

    RulesBox(ShelfModel desk) {
        super(6);
        this.desk = desk;
        setId("rules");
        refresh();
    }

    void refresh() {
        List<Quarrel> own = desk.quarrels();
        if (own.equals(shown)) {
            return;
        }
        shown = own;
        FlowPane files = new FlowPane(8, 6,
                Panel.button("rules-write", "Write CSV …", "The whole table with your own rows below, to be read and added to",
                        this::write),
                Panel.button("rules-bring", "Bring CSV …", "Rows that are not those of the table become your own rules", this::bring));
        getChildren().setAll(files);
        for (int i = 0; i < own.size(); i++) {
            getChildren().add(own(own.get(i), i));
        }
        for (Compatibility.Rule rule : Compatibility.Rule.values()) {
            getChildren().add(row(rule.severity(), Words.upper(CareWords.title(rule)) + ": " + CareWords.sentence(rule)));
        }
    }

    private HBox own(Quarrel rule, int index) {
        Button less = Panel.button("rule-less-" + index, "−", "Take this rule of yours out", () -> desk.withoutQuarrel(index));
        less.getStyleClass().add("round");
        less.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = row(rule.severity(), CareWords.ownRow(rule));
        row.getChildren().add(less);
        return row;
    }

    private static HBox row(Compatibility.Severity severity, String sentence) {
        Label weight = new Label(switch (severity) {
            case NEVER -> "never";
            case CARE -> "care";
            case NOTE -> "note";
        });
        weight.getStyleClass().addAll("weight", severity == Compatibility.Severity.NEVER ? "problem" : "quiet");
        Label words = Panel.quiet(sentence);
        HBox row = new HBox(6, weight, words);
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        return row;
    }

    private void bring() {
        Optional.ofNullable(chooser("Bring rules").showOpenDialog(getScene().getWindow())).map(File::toPath).ifPresent(desk::bringRules);
    }

    private void write() {
        FileChooser chooser = chooser("Write rules");
        chooser.setInitialFileName("what-goes-over-what.csv");
        Optional.ofNullable(chooser.showSaveDialog(getScene().getWindow())).map(File::toPath).ifPresent(desk::writeRules);
    }

    private static FileChooser chooser(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.getExtensionFilters().addAll(new ArrayList<>(List.of(new FileChooser.ExtensionFilter("CSV", "*.csv", "*.txt"))));
        return chooser;
    }
}
