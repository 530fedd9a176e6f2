package mosspebble.app.proof;

import java.io.File;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Hint;
import mosspebble.app.proof.ProofModel.Far;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.photo.PhotoFinding;
import mosspebble.core.proof.ProofFinding;
import mosspebble.core.proof.Stray;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.words.PhotoWords;
import mosspebble.core.words.ProofWords;

/** Beside the photo: take or open one, say how far the stone is, and where it strays with the way to mend it. */
final class ProofPanel extends Panel {

    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final int MOST_SHOWN = 12;

    private final ProofModel model;
    private final Label summary = new Label();
    private final VBox list = new VBox(8);
    private final VBox rest = new VBox(3);

    ProofPanel(Surroundings with, ProofModel model) {
        super(with.workbench(), with.results());
        this.model = model;
        Button take = button("proof-take", model.camera().button("Photograph the stone"),
                "Takes a photo of the stone on the cloth with the " + model.camera().label(), model::take);
        take.getStyleClass().add("main");
        Button open = button("proof-open", "Open …", "A photo from a PNG or JPEG file", this::open);
        HBox first = new HBox(6, take, open);
        first.setAlignment(Pos.CENTER_LEFT);
        Choice<Far> far = new Choice<>("In the photo the stone is", model.farProperty()::set);
        far.option("proof-pencilled", Far.PENCILLED.label(), Far.PENCILLED, "Its lines are drawn and no paint covers them yet")
                .option("proof-so-far", Far.SO_FAR.label(), Far.SO_FAR, "As far as its steps are marked as done in Sitting")
                .option("proof-painted", Far.PAINTED.label(), Far.PAINTED, "All its paint is on; not sealed yet");
        ProgressBar progress = new ProgressBar(-1);
        progress.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(progress, Priority.ALWAYS);
        HBox working = new HBox(8, progress, button("proof-cancel", "Cancel", "Stop comparing", model::cancel));
        Label trouble = new Label();
        trouble.setId("proof-trouble");
        trouble.getStyleClass().add("problem");
        trouble.setWrapText(true);
        trouble.textProperty().bind(model.troubleProperty());
        summary.setId("proof-summary");
        summary.getStyleClass().add("answer");
        summary.setWrapText(true);
        list.setId("proof-findings");
        rest.setId("proof-things");
        ToggleButton over = new ToggleButton("Plan over the photo");
        over.setId("proof-over");
        over.getStyleClass().add("pebble");
        Hint.on(over, "Draws the planned lines over the photo, or leaves it bare");
        over.selectedProperty().bindBidirectional(model.planShownProperty());
        HBox last = new HBox(6, over, button("proof-back", "Back to the cloth", "Back to the stone (Escape)", with::back));
        getChildren().addAll(first, far, working, trouble, summary, list, rest, last);
        model.sightProperty().addListener((o, a, b) -> fill());
        model.busyProperty().addListener((o, a, b) -> refresh());
        model.troubleProperty().addListener((o, a, b) -> refresh());
        model.pointedProperty().addListener((o, a, b) -> point());
        model.farProperty().addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            far.show(model.farProperty().get());
            boolean planned = show.plan() != null && show.plan().design().isPresent();
            far.allow(Far.SO_FAR, planned && model.steps(show.plan(), Far.SO_FAR) > 0);
            present(working, model.busyProperty().get());
            present(trouble, !model.troubleProperty().get().isEmpty());
            present(over, model.sightProperty().get() != null);
            list.setDisable(model.busyProperty().get());
        });
        fill();
    }

    private void fill() {
        list.getChildren().clear();
        rest.getChildren().clear();
        ProofModel.Sight sight = model.sightProperty().get();
        present(summary, sight != null);
        refresh();
        if (sight == null || sight.plan().design().isEmpty()) {
            return;
        }
        PlacedDesign design = sight.plan().design().get();
        summary.setText(ProofModel.summary(sight));
        for (PhotoFinding finding : sight.reading().findings()) {
            list.getChildren().add(quiet(PhotoWords.sentence(finding)));
        }
        List<ProofFinding> findings = sight.proof().findings();
        for (int i = 0; i < Math.min(MOST_SHOWN, findings.size()); i++) {
            list.getChildren().add(card(i, findings.get(i), design));
        }
        if (findings.size() > MOST_SHOWN) {
            list.getChildren().add(quiet("And " + (findings.size() - MOST_SHOWN) + " more, pinned on the photo."));
        }
        for (Stray stray : sight.proof().strays()) {
            if (stray.part().isEmpty()) {
                rest.getChildren().add(quiet(ProofWords.lies(stray, design)));
            }
        }
    }

    private VBox card(int number, ProofFinding finding, PlacedDesign design) {
        Label pin = new Label(finding.at().isPresent() ? String.valueOf(number + 1) : "·");
        pin.getStyleClass().add("proof-pin");
        Label words = new Label(ProofWords.sentence(finding, design));
        words.setWrapText(true);
        words.setId("proof-finding-" + number);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox head = new HBox(9, pin, words);
        head.setAlignment(Pos.TOP_LEFT);
        Label mend = quiet(ProofWords.mend(finding, model.sightProperty().get().proof().moment().pencil()));
        VBox card = new VBox(4, head, mend);
        card.getStyleClass().add("proof-card");
        if (model.canFollow(finding)) {
            card.getChildren().add(button("proof-follow-" + number, "Plan on as it lies",
                    "Moves the thing in the plan to where it lies on the stone", () -> model.follow(finding)));
        }
        card.setOnMousePressed(e -> model.pointedProperty().set(number));
        return card;
    }

    private void point() {
        for (int i = 0; i < list.getChildren().size(); i++) {
            boolean here = list.getChildren().get(i).lookup("#proof-finding-" + model.pointedProperty().get()) != null;
            list.getChildren().get(i).pseudoClassStateChanged(CURRENT, here);
        }
    }

    private void open() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Photo of the stone");
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter("Photo (PNG, JPEG)", "*.png", "*.jpg", "*.jpeg", "*.PNG", "*.JPG", "*.JPEG"));
        File chosen = chooser.showOpenDialog(getScene().getWindow());
        if (chosen != null) {
            model.open(chosen.toPath());
        }
    }
}
