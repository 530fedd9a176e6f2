package mosspebble.app.finish;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.finish.FinishModel.Matter;
import mosspebble.app.model.Opener;
import mosspebble.app.screen.PagePlace;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Surroundings;
import mosspebble.files.FileTrouble;
import mosspebble.files.InFile;

/** One matter of finishing at a time, and below it what is written, how far it is and how it ended. */
public final class FinishPanel extends Panel {

    private final Surroundings with;
    private final FinishModel model;
    private final FinishView middle;
    private final Opener opener;
    private final PagePlace<Matter> place = placeFor(List.of(Matter.values()), this::page);

    FinishPanel(Surroundings with, FinishModel model, FinishView middle, Opener opener, Runnable intoTheBook) {
        super(with.workbench(), with.results());
        this.with = with;
        this.model = model;
        this.middle = middle;
        this.opener = opener;
        Choice<Matter> choice = Choice.pages(m -> model.matterProperty().set(m));
        for (Matter matter : Matter.values()) {
            choice.option("finish-" + matter.name().toLowerCase(Locale.ROOT), matter.label(), matter, matter.tooltip());
        }
        Foot foot = new Foot();
        Button book = button("into-book", "Write it into the book", "A page for this stone, once it is done (U opens the book)",
                intoTheBook);
        book.setMaxWidth(Double.MAX_VALUE);
        getChildren().addAll(choice, place, foot, book);
        model.matterProperty().addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            Matter matter = model.matterProperty().get();
            choice.show(matter);
            present(foot, matter == Matter.SHEETS || matter == Matter.PICTURE);
            place.show(matter);
            middle.refresh();
        });
    }

    private PageView page(Matter matter) {
        return switch (matter) {
            case SHEETS -> new SheetsPage(this, model);
            case SEAL -> new SealPage(this, model, with.clock());
            case JARS -> new JarsPage(this, middle.jars(), with.worker());
            case PICTURE -> new PicturePage(this, model);
        };
    }

    /** Where it is written, how far it is, how it ended. */
    private final class Foot extends VBox {

        Foot() {
            super(8);
            Exports exports = model.exports;
            Entry where = new Entry("folder", "Folder", "Where sheets, pictures and plans are written", () -> exports.folder().toString(),
                    text -> {
                        if (text.isBlank()) {
                            return Optional.of("Write a folder.");
                        }
                        try {
                            exports.setFolder(InFile.path(text.strip()));
                            return Optional.empty();
                        } catch (FileTrouble e) {
                            return Optional.of("That cannot be the name of a folder.");
                        }
                    });
            HBox.setHgrow(where, Priority.ALWAYS);
            Button browse = button("browse", "…", "Choose a folder", () -> {
                DirectoryChooser chooser = new DirectoryChooser();
                Optional.ofNullable(chooser.showDialog(getScene().getWindow())).ifPresent(file -> {
                    exports.setFolder(file.toPath());
                    where.reset();
                });
            });
            HBox target = new HBox(6, where, browse);
            target.setAlignment(Pos.BOTTOM_LEFT);
            ProgressBar progress = new ProgressBar();
            progress.setMaxWidth(Double.MAX_VALUE);
            progress.setMinHeight(44);
            progress.progressProperty().bind(exports.progressProperty());
            Button cancel = button("export-cancel", "Cancel", "Stop writing", exports::cancel);
            cancel.setMinHeight(34);
            StackPane working = new StackPane(progress, cancel);
            Label done = quiet("");
            done.setId("export-done");
            done.textProperty().bind(exports.saidProperty());
            done.visibleProperty().bind(done.textProperty().isNotEmpty());
            done.managedProperty().bind(done.visibleProperty());
            Button open = button("export-open", "Open", "Open what was written", () -> open(true));
            Button inFolder = button("export-folder", "Show folder", "Open the folder it lies in", () -> open(false));
            HBox after = new HBox(6, open, inFolder);
            after.setId("export-after");
            present(working, false);
            present(after, false);
            exports.workingProperty().addListener((o, a, b) -> present(working, b));
            exports.writtenProperty().addListener((o, a, b) -> present(after, b != null));
            getChildren().addAll(target, working, done, after);
        }

        private void open(boolean itself) {
            Optional.ofNullable(model.exports.writtenProperty().get())
                    .ifPresent(file -> opener.open(itself ? file : file.getParent(), model.exports::say));
        }
    }
}
