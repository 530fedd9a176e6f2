package mosspebble.app.shell;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
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

/** Plain sentences with the number and the reason, and the remedy as a button. */
final class FindingsBox extends VBox {

    private List<Finding> shown = List.of();

    FindingsBox(Workbench workbench, Results show) {
        setId("findings");
        getStyleClass().add("findings");
        show.planProperty().addListener((o, before, now) -> fill(workbench, show));
        show.troubleProperty().addListener((o, before, now) -> fill(workbench, show));
    }

    private void fill(Workbench workbench, Results show) {
        List<Finding> findings = show.plan() == null ? List.of() : show.plan().findings();
        shown = findings;
        getChildren().clear();
        if (findings.isEmpty()) {
            Label fine = Panel.quiet(show.plan() != null ? "Nothing stands in the way." : show.troubleProperty().get().isEmpty() ? ""
                    : "What stands in the way is not known before it can be worked out.");
            fine.setId("no-findings");
            getChildren().add(fine);
        }
        int number = 0;
        for (Finding finding : findings) {
            Label weight = new Label(switch (finding.weight()) {
                case STOP -> "stop";
                case MIND -> "mind";
                case TIP -> "tip";
            });
            weight.getStyleClass().addAll("weight", weight.getText());
            weight.setMinWidth(Region.USE_PREF_SIZE);
            Label sentence = new Label(FindingWords.sentence(finding));
            sentence.setWrapText(true);
            sentence.setMinHeight(Region.USE_PREF_SIZE);
            VBox words = new VBox(4, sentence);
            String figures = FindingWords.figures(finding);
            if (!figures.isEmpty()) {
                sentence.setTooltip(new Tooltip(figures));
            }
            HBox.setHgrow(words, Priority.ALWAYS);
            int own = number++;
            FlowPane remedies = new FlowPane(4, 4);
            for (int k = 0; k < finding.remedies().size(); k++) {
                Finding.Remedy remedy = finding.remedies().get(k);
                remedies.getChildren().add(Panel.button("remedy-" + own + (k == 0 ? "" : "-" + k), FindingWords.label(remedy),
                        "Does it; undo with Ctrl Z", () -> workbench.edit(FindingWords.label(remedy), remedy.change())));
            }
            if (!finding.remedies().isEmpty()) {
                remedies.setPrefWrapLength(200);
                words.getChildren().add(remedies);
            }
            HBox row = new HBox(8, weight, words);
            row.setAccessibleText(weight.getText() + ": " + FindingWords.sentence(finding) + " " + figures);
            getChildren().add(row);
        }
    }

    List<Finding> shown() {
        return shown;
    }
}
