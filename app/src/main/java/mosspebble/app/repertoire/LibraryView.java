package mosspebble.app.repertoire;

import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import javafx.stage.FileChooser;
import javafx.stage.Screen;
import javafx.util.Duration;
import mosspebble.app.control.Hint;
import mosspebble.app.control.OneStop;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Workbench;
import mosspebble.app.repertoire.Catalogue.Offer;
import mosspebble.app.screen.Panel;
import mosspebble.app.sketch.SheetModel;
import mosspebble.app.sketch.SketchModel;
import mosspebble.app.sketch.TracingModel;
import mosspebble.core.colour.Shelf;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.OwnFile;
import mosspebble.files.FileTrouble;
import mosspebble.files.InFile;
import mosspebble.files.OwnFiles;

/** Everything that can be put on a stone, each as a small painted pebble; a few letters find it, Enter takes the first. */
public final class LibraryView extends BorderPane {

    /** What happens to what is chosen. */
    record Models(SketchModel sketch, TracingModel tracing, SheetModel sheets) {}

    private final Workbench workbench;
    private final SketchModel sketch;
    private final TracingModel tracing;
    private final SheetModel sheets;
    private final PlanWorker desk;
    private final FileWork files;
    private final Runnable close;
    private final TextField search = new TextField();
    private final VBox shelves = new VBox(6);
    private final ScrollPane scroll = new ScrollPane(shelves);
    private static final String TRACINGS = "Your tracings";

    private final Map<String, FlowPane> rows = new HashMap<>();
    private final Map<Offer, Button> cards = new HashMap<>();
    private final Map<Catalogue.Kept, Button> traced = new HashMap<>();
    private final AtomicBoolean open = new AtomicBoolean(true);
    private Shelf paintedWith;
    private List<Object> laid = List.of();
    private final Label purpose = new Label();
    /** So long after the last letter the shelves follow. */
    private final PauseTransition pause = new PauseTransition(Duration.millis(130));

    LibraryView(Workbench workbench, Models models, PlanWorker desk, FileWork files, Runnable close) {
        this.workbench = workbench;
        this.files = files;
        this.sketch = models.sketch;
        this.tracing = models.tracing;
        this.sheets = models.sheets;
        this.desk = desk;
        this.close = close;
        setId("library");
        getStyleClass().addAll("basket", "planks");
        search.setId("library-search");
        search.setPromptText("a few letters: owl, petals, ring of 24 dots, word Quillbeck");
        search.setAccessibleText("Search the library");
        Hint.on(search, "Enter takes the first, or brings the file whose path was typed; Escape goes back to the stone");
        pause.setOnFinished(e -> fill());
        search.textProperty().addListener((o, a, b) -> pause.playFromStart());
        search.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER) {
                enter();
                e.consume();
            } else if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
        HBox.setHgrow(search, Priority.ALWAYS);
        Button own = Panel.button("library-own", "Bring your own …", "A motif as SVG, or a font; also by dropping the file here",
                this::bring);
        purpose.setId("library-purpose");
        purpose.getStyleClass().add("quiet");
        HBox row = new HBox(10, search, own);
        row.setAlignment(Pos.CENTER_LEFT);
        VBox top = new VBox(4, row, purpose);
        top.getStyleClass().add("planks-top");
        setTop(top);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("stage-scroll");
        shelves.getStyleClass().add("basket-stones");
        scroll.vvalueProperty().addListener((o, a, b) -> paintSeen());
        scroll.viewportBoundsProperty().addListener((o, a, b) -> paintSeen());
        shelves.heightProperty().addListener((o, a, b) -> paintSeen());
        visibleProperty().addListener((o, a, b) -> open.set(b)); // what nobody looks at any more need not be painted
        setCenter(scroll);
        setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
        });
        setOnDragDropped(e -> e.getDragboard().getFiles().forEach(f -> bring(f.toPath())));
        workbench.studioProperty().addListener((o, a, b) -> {
            if (!a.own().equals(b.own())) {
                fill();
            }
        });
    }

    /** Lays the cards out before anybody looks at them. */
    void ready() {
        fill();
    }

    /** Shown anew: the search is empty and has the focus. */
    public void open() {
        purpose.setText(sketch.choosingProperty().get() == SketchModel.Choosing.ADD
                ? "What you choose comes in front of what is on the stone." : "What you choose takes the place of the thing in hand.");
        search.clear();
        pause.stop();
        fill();
        Platform.runLater(search::requestFocus); // after the key that opened the library, which must not be typed into it
    }

    /** The cards of a shelf, one stop of the Tab key. */
    private FlowPane row(String shelf, List<Button> own) {
        FlowPane row = rows.computeIfAbsent(shelf, s -> {
            FlowPane made = new FlowPane(6, 6);
            OneStop.in(made);
            return made;
        });
        row.getChildren().setAll(own);
        return row;
    }

    private void fill() {
        if (isPath(search.getText())) {
            return;
        }
        Studio studio = workbench.studio();
        if (!studio.shelf().equals(paintedWith)) {
            paintedWith = studio.shelf();
            cards.clear();
            traced.clear();
        }
        List<Offer> found = Catalogue.foundOrWritten(studio, search.getText());
        List<Catalogue.Kept> kept = Catalogue.tracings(studio, search.getText());
        List<Object> now = List.of(found, kept, search.getText().isBlank(), studio.shelf());
        if (!now.equals(laid)) { // or all that lies there would be styled anew
            laid = now;
            lay(found, kept, studio);
        }
        paintSeen();
    }

    private void lay(List<Offer> found, List<Catalogue.Kept> kept, Studio studio) {
        shelves.getChildren().clear();
        Map<String, List<Button>> all = new LinkedHashMap<>();
        for (Offer offer : found) {
            all.computeIfAbsent(offer.shelf(), shelf -> new ArrayList<>())
                    .add(Catalogue.isWritten(offer) ? card(offer, studio) : cards.computeIfAbsent(offer, o -> card(o, studio)));
        }
        rows.values().forEach(row -> row.getChildren().clear()); // a card stands in one row at a time
        all.forEach((shelf, own) -> shelves.getChildren().addAll(Panel.heading(shelf), row(shelf, own)));
        if (!kept.isEmpty()) {
            FlowPane row = row(TRACINGS, kept.stream().map(k -> traced.computeIfAbsent(k, each -> card(each, studio))).toList());
            boolean first = search.getText().isBlank() || found.isEmpty();
            shelves.getChildren().addAll(first ? 0 : shelves.getChildren().size(), List.of(Panel.heading(TRACINGS), row));
        }
        if (found.isEmpty() && kept.isEmpty()) {
            Label none = Panel.quiet("Nothing is called that. Try another word, bring your own SVG, or draw it with the pencil.");
            none.setId("library-none");
            shelves.getChildren().add(none);
        }
    }

    /** Has those painted that are on the screen, once all have their places. */
    private void paintSeen() {
        Platform.runLater(() -> {
            if (!isVisible()) {
                return;
            }
            Bounds window = scroll.localToScene(scroll.getLayoutBounds());
            for (Node row : shelves.getChildren()) {
                if (row instanceof FlowPane cardRow && row.localToScene(row.getLayoutBounds()).intersects(window)) {
                    cardRow.getChildren().stream().filter(c -> c.localToScene(c.getLayoutBounds()).intersects(window))
                            .forEach(c -> ((Sample) c.getUserData()).seen());
                }
            }
        });
    }

    private Button card(Offer offer, Studio studio) {
        Sample sample = new Sample(offer.subject(), studio, desk, Screen.getPrimary().getOutputScaleX(), open::get);
        Button card = card(offer.id(), offer.title(), sample);
        Hint.on(card, offer.title() + ", fitted to the face");
        card.setOnAction(e -> take(offer));
        if (offer.id().startsWith("subject-own-")) {
            Hint.on(card, offer.title() + ", your own, fitted to the face; Delete takes it out of the studio");
            canGo(card, offer.id(), offer.title());
        }
        return card;
    }

    /** A tracing on its own stone. */
    private Button card(Catalogue.Kept kept, Studio studio) {
        Sample sample = new Sample(kept.file(), studio, desk, Screen.getPrimary().getOutputScaleX(), open::get);
        Button card = card(kept.id(), kept.title(), sample);
        Hint.on(card, kept.title() + ", fitted to this stone as it was to its own; Delete takes it out of the studio");
        card.setOnAction(e -> {
            close.run();
            tracing.layOn(kept.file());
        });
        canGo(card, kept.id(), kept.title());
        return card;
    }

    private static Button card(String id, String words, Sample sample) {
        Label title = new Label(words);
        title.getStyleClass().add("small");
        title.setWrapText(true);
        title.setTextAlignment(TextAlignment.CENTER);
        title.setAlignment(Pos.TOP_CENTER);
        title.getStyleClass().add("planks-title"); // sized there, as a button asks for its content's height before it knows its own width
        VBox content = new VBox(2, sample, title);
        content.setAlignment(Pos.TOP_CENTER);
        Button card = new Button();
        card.setGraphic(content);
        card.setUserData(sample);
        card.setId(id);
        card.getStyleClass().addAll("found", "planks-card");
        card.setAccessibleText(words);
        return card;
    }

    private void canGo(Button card, String id, String title) {
        card.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.DELETE) {
                takeOut(id, title);
                e.consume();
            }
        });
        MenuItem out = new MenuItem("Take " + title + " out of the studio");
        out.setOnAction(e -> takeOut(id, title));
        card.setContextMenu(new ContextMenu(out));
    }

    /** Takes a file of one's own out of the studio; things that use it are told by a finding, and undo brings it back. */
    private void takeOut(String card, String title) {
        String id = card.substring("subject-".length());
        if (workbench.editStudio("Take out " + title, s -> s.withoutOwn(id))) {
            workbench.tell(title + " is out of the studio; undo brings it back.");
        }
    }

    private static boolean isPath(String text) {
        return text.contains("/") || text.contains("\\");
    }

    /** Takes the first that was found; a file's path brings the file. */
    private void enter() {
        String text = search.getText().strip();
        if (isPath(text)) {
            search.clear();
            try {
                bring(InFile.path(text));
            } catch (FileTrouble e) {
                workbench.tell(e.getMessage());
            }
        } else {
            Catalogue.foundOrWritten(workbench.studio(), text).stream().findFirst().ifPresent(this::take);
        }
    }

    private void take(Offer offer) {
        close.run();
        sketch.choose(offer.subject());
    }

    // --- one's own

    private void bring() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("A motif (SVG) or a font (TTF, OTF)");
        File file = chooser.showOpenDialog(getScene().getWindow());
        if (file != null) {
            bring(file.toPath());
        }
    }

    /** Reads a file of one's own and keeps it; says what is wrong if it cannot. */
    void bring(Path file) {
        if (file.toString().toLowerCase(Locale.ROOT).matches(".*\\.(png|jpe?g)")) { // no motif: a picture to go by
            close.run();
            sheets.bring(file);
            return;
        }
        files.run("Reading " + file.getFileName(), () -> OwnFiles.read(file), (OwnFile own) -> {
            if (workbench.editStudio("Bring " + own.title(), s -> s.plus(own))) {
                workbench.tell(own.title() + " is on the shelf \"Your own\".");
            }
        });
    }
}
