package mosspebble.app.photo;

import java.io.File;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Swatch;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Navigator;
import mosspebble.app.photo.PhotoModel.Marking;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.photo.PhotoFinding;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.UnitTextException;
import mosspebble.core.words.PhotoWords;
import mosspebble.files.Paper;
import mosspebble.files.ScaleCardSheet;

/** Beside the photo: take or open one, what is odd about it, the stones with their sizes, and where they go. */
public final class PhotoPanel extends Panel {

    private final PhotoModel photos;
    private final FileWork files;
    private final Navigator navigator;
    private final VBox findings = new VBox(8);
    private final VBox stones = new VBox(8);
    private final Button basket;
    private final HBox working;
    private final Label trouble = new Label();
    private PhotoModel.Sight shown;

    public PhotoPanel(Surroundings with, PhotoModel photos) {
        super(with.workbench(), with.results());
        this.files = with.files();
        this.photos = photos;
        this.navigator = with.navigator();
        Button take = button("photo-take", photos.camera().button("Take a photo"), "Takes a photo with the " + photos.camera().label(),
                photos::take);
        take.getStyleClass().add("main");
        Button open = button("photo-open", "Open …", "A photo from a PNG or JPEG file", this::open);
        Button back = button("photo-back", "Back to the cloth", "Back to the stone (Escape)", () -> navigator.back());
        HBox first = new HBox(6, take, open);
        first.setAlignment(Pos.CENTER_LEFT);
        ProgressBar progress = new ProgressBar(-1);
        progress.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(progress, Priority.ALWAYS);
        working = new HBox(8, progress, button("photo-cancel", "Cancel", "Stop reading", photos::cancel));
        trouble.setId("photo-trouble");
        trouble.getStyleClass().add("problem");
        trouble.setWrapText(true);
        trouble.textProperty().bind(photos.troubleProperty());
        Button cut = button("photo-cut", "Cut apart", "Then draw a line between two stones that touch",
                () -> photos.markingProperty().set(Marking.CUT));
        Button distance = button("photo-distance", "Mark", "Then draw a line of that length on the photo; it serves in place of the card",
                () -> photos.markingProperty().set(Marking.DISTANCE));
        Entry known = new Entry("photo-mm", "Known distance", "How far apart the two points are",
                () -> LengthText.number(new Millimetres(photos.distanceMmProperty().get()), workbench.studio().unit()), text -> {
                    try {
                        double mm = LengthText.parse(text, workbench.studio().unit()).value();
                        if (!(mm >= 5 && mm <= 2000)) {
                            return Optional.of("The known distance must be 5 to 2000 mm, was " + Numbers.shortText(mm) + " mm.");
                        }
                        photos.distanceMmProperty().set(mm);
                        return Optional.empty();
                    } catch (UnitTextException e) {
                        return Optional.of(e.getMessage());
                    }
                });
        HBox.setHgrow(known, Priority.ALWAYS);
        distance.setMinWidth(Region.USE_PREF_SIZE);
        HBox help = new HBox(6, known, distance);
        help.setAlignment(Pos.BOTTOM_LEFT);
        HBox cuts = new HBox(6, cut, button("photo-forget", "Read anew", "Forget what was marked by hand", photos::forgetMarks));
        basket = button("photo-basket", "Into the basket", "All stones of the photo, with their pictures", this::toBasket);
        basket.getStyleClass().add("main");
        Button card = button("scale-card", "Scale card (PDF)", "The card to print and lay beside the stones", this::card);
        HBox last = new HBox(6, card, back);
        findings.setId("photo-findings");
        getChildren().addAll(first, working, trouble, findings, stones, basket, heading("If it went wrong"), cuts, help, last);
        photos.sightProperty().addListener((o, a, b) -> refresh());
        photos.busyProperty().addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            present(working, photos.busyProperty().get());
            present(trouble, !photos.troubleProperty().get().isEmpty());
            known.refresh();
            if (photos.sightProperty().get() != shown) {
                shown = photos.sightProperty().get();
                list();
            }
        });
    }

    private void list() {
        findings.getChildren().clear();
        stones.getChildren().clear();
        int count = shown == null ? 0 : shown.reading().stones().size();
        present(basket, count > 0);
        basket.setText(count == 1 ? "One stone into the basket" : count + " stones into the basket");
        if (shown == null) {
            return;
        }
        for (PhotoFinding finding : shown.reading().findings()) {
            Label weight = new Label(finding.kind().stops() ? "stop" : "mind");
            weight.getStyleClass().addAll("weight", finding.kind().stops() ? "stop" : "mind");
            Label words = new Label((finding.stone() >= 0 ? "Stone " + (finding.stone() + 1) + ": " : "") + PhotoWords.sentence(finding));
            words.getStyleClass().add("small");
            words.setWrapText(true);
            HBox.setHgrow(words, Priority.ALWAYS);
            findings.getChildren().add(new HBox(6, weight, words));
        }
        findings.getStyleClass().setAll("findings-plain");
        for (int i = 0; i < count; i++) {
            stones.getChildren().add(row(i));
        }
    }

    private VBox row(int number) {
        Stone stone = PhotoModel.stone(shown, number);
        Label size = new Label((number + 1) + "   " + LengthText.number(stone.length(), workbench.studio().unit()) + " × "
                + LengthText.format(stone.width(), workbench.studio().unit()));
        size.setId("photo-size-" + number);
        Label off = quiet(
                "± " + LengthText.format(new Millimetres(Math.max(0.1, PhotoModel.lengthOff(shown, number))), workbench.studio().unit()));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(8, new Swatch(stone.colour(), 16), size, gap, off);
        head.setAlignment(Pos.CENTER_LEFT);
        Entry height = new Entry("photo-height-" + number, shown.heights().get(number).isPresent() ? "Height" : "Height, guessed",
                "Height of this stone with callipers; it corrects the outline for perspective",
                () -> LengthText.number(shown.height(number), workbench.studio().unit()), text -> {
                    try {
                        return photos.height(number, LengthText.parse(text, workbench.studio().unit()));
                    } catch (UnitTextException e) {
                        return Optional.of(e.getMessage());
                    }
                });
        HBox.setHgrow(height, Priority.ALWAYS);
        Button use = button("photo-use-" + number, "For this stone", "Takes this outline and colour for the stone on the cloth", () -> {
            if (photos.toCloth(number)) {
                navigator.back();
            }
        });
        use.setMinWidth(Region.USE_PREF_SIZE);
        use.setDisable(project().isEmpty());
        HBox below = new HBox(6, height, use);
        below.setAlignment(Pos.BOTTOM_LEFT);
        return new VBox(4, head, below);
    }

    private void open() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Photo of stones");
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter("Photo (PNG, JPEG)", "*.png", "*.jpg", "*.jpeg", "*.PNG", "*.JPG", "*.JPEG"));
        File chosen = chooser.showOpenDialog(getScene().getWindow());
        if (chosen != null) {
            photos.open(chosen.toPath());
        }
    }

    private void toBasket() {
        if (photos.toBasket()) {
            navigator.go(Stage.STONE, Navigator.BASKET);
        }
    }

    private void card() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Where to write the scale card");
        chooser.setInitialFileName("scale-card.pdf");
        File chosen = chooser.showSaveDialog(getScene().getWindow());
        if (chosen != null) {
            files.run("Writing " + chosen.getName(), () -> {
                ScaleCardSheet.write(Paper.usualIn(Locale.getDefault()), chosen.toPath());
                return chosen;
            }, written -> workbench.tell("Written: " + written + ". Print it at 100 %; the ruler on the card must be 50 mm."));
        }
    }
}
