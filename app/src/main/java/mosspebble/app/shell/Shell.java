package mosspebble.app.shell;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import javafx.stage.FileChooser;
import mosspebble.app.basket.BasketPanel;
import mosspebble.app.basket.BasketShelf;
import mosspebble.app.basket.BasketView;
import mosspebble.app.buildup.BuildUpPanel;
import mosspebble.app.buildup.PaintTool;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.cloth.ClothView;
import mosspebble.app.cloth.SliceLine;
import mosspebble.app.cloth.SliceView;
import mosspebble.app.cloth.StepBar;
import mosspebble.app.colour.ColourPanel;
import mosspebble.app.compare.CompareView;
import mosspebble.app.finish.FinishPanel;
import mosspebble.app.library.LibraryView;
import mosspebble.app.model.Action;
import mosspebble.app.library.Catalogue;
import mosspebble.app.colour.ColourModel;
import mosspebble.app.model.FileWork;
import mosspebble.app.buildup.MendModel;
import mosspebble.app.photo.PhotoModel;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.shelf.ShelfModel;
import mosspebble.app.photo.PhotoPanel;
import mosspebble.app.photo.PhotoView;
import mosspebble.app.shelf.ShelfPanel;
import mosspebble.app.shelf.ShelfView;
import mosspebble.app.sitting.SittingPanel;
import mosspebble.app.sketch.SketchModel;
import mosspebble.app.sketch.SketchPanel;
import mosspebble.app.sketch.SketchTool;
import mosspebble.app.stone.StoneModel.Middle;
import mosspebble.app.stone.StoneModel.Page;
import mosspebble.app.stone.StoneModel;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.app.stone.StonePanel;
import mosspebble.app.stone.StoneTool;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.timetable.Durations;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.instruments.BenchCamera;
import mosspebble.instruments.ClimateProbe;
import mosspebble.instruments.KitchenScale;

/** The whole window: path, cloth, stage, tray, name, command field. */
public final class Shell extends StackPane {

    private final Workbench workbench;
    private final Results show;
    private final List<Action> deeds = new ArrayList<>();
    private final PlanWorker desk;
    private final ClimateProbe probe;
    private final StoneModel bench = new StoneModel();
    private final KitchenScale scale;
    private final House house;
    private final FileWork files;
    private final Notices notices;
    private LogView logView;
    private final VBox failed;
    private final PhotoModel photos;
    private final SketchModel sketch;
    private final ColourModel colours;
    private final ShelfModel shelfDesk;
    private final MendModel mend;
    private LibraryView library;
    private ShelfView shelfView;
    private ShelfPanel shelfPanel;
    private CompareView compare;
    private final BasketShelf basketShelf;
    private PhotoView photoView;
    private PhotoPanel photoPanel;
    private BasketView basketView;
    private BasketPanel basketPanel;
    private final StackPane middle;
    private final Map<Stage, Panel> panels = new EnumMap<>(Stage.class);
    private final ClothView cloth;
    private CommandField command;
    private final ScrollPane stagePane = new ScrollPane();
    private final ScrollPane findingsPane = new ScrollPane();
    private final Label stageName = new Label();
    private final SliceView sliceView;
    private final StepBar stepBar;
    private final VBox empty;

    /** What the window asks of the program around it: the studio's file, its copies and its log. */
    public interface House {
        /** The folder in which the studio lies. */
        Path folder();

        /** Saves a copy of the studio as it is shown, whether or not the disk has taken all of it. */
        void saveCopy(Path to) throws FileTrouble;

        void saveReport(Path to) throws FileTrouble;

        String log();

        void close();
    }

    public Shell(Workbench workbench, Results show, PlanWorker desk, House house, ClimateProbe probe, BenchCamera camera, KitchenScale scale) {
        this.workbench = workbench;
        this.show = show;
        this.desk = desk;
        this.probe = probe;
        getStyleClass().add("shell");
        SliceLine line = new SliceLine();
        this.scale = scale;
        this.photos = new PhotoModel(workbench, desk, camera);
        this.basketShelf = new BasketShelf(workbench, desk);
        this.sketch = new SketchModel(workbench, desk, show);
        this.colours = new ColourModel(workbench, show, desk);
        this.house = house;
        this.files = new FileWork(workbench, FileWork.aside(), Platform::runLater);
        this.shelfDesk = new ShelfModel(workbench, files);
        this.mend = new MendModel(workbench, show, desk);
        PaintTool painting = new PaintTool(workbench, line, mend, colours);
        Map<Stage, ClothTool> tools = new EnumMap<>(Stage.class);
        for (Stage stage : Stage.values()) {
            tools.put(stage, stage == Stage.STONE ? new StoneTool(workbench, show, bench, line) : stage == Stage.SKETCH ? new SketchTool(workbench, show, sketch) : painting);
        }
        cloth = new ClothView(workbench, show, line, tools);
        sliceView = new SliceView(workbench, show, line);
        FindingsBox findings = new FindingsBox(workbench, show);
        stagePane.setFitToWidth(true);
        stagePane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        stagePane.getStyleClass().add("stage-scroll");
        VBox.setVgrow(stagePane, Priority.ALWAYS);
        stageName.getStyleClass().add("stage-name");
        findingsPane.setContent(findings);
        findingsPane.setFitToWidth(true);
        findingsPane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        findingsPane.getStyleClass().add("findings-scroll");
        findingsPane.setMinHeight(112);
        findingsPane.setPrefHeight(112);
        findingsPane.setMaxHeight(112);
        VBox right = new VBox(stageName, stagePane, sliceView, findingsPane);
        right.getStyleClass().add("stage");
        right.setMinWidth(304);
        right.setPrefWidth(304);
        right.setMaxWidth(304);

        stepBar = new StepBar(workbench, show);
        empty = empty();
        failed = failed();
        notices = new Notices(workbench, files, this::saveCopy, this::showLog, house::close);
        StackPane.setAlignment(notices, Pos.TOP_CENTER);
        middle = new StackPane(cloth, empty, failed, notices);
        BorderPane centre = new BorderPane(middle);
        centre.setBottom(stepBar);

        BorderPane frame = new BorderPane(centre);
        frame.setTop(top());
        frame.setLeft(new PathRail(workbench, show));
        frame.setRight(right);
        frame.setBottom(new TrayView(workbench, show, this::newStone));
        getChildren().add(frame);
        makeDeeds();
        mend.pointingProperty().addListener((o, a, b) -> slice());
        bench.middleProperty().addListener((o, a, b) -> stage());
        bench.pageProperty().addListener((o, a, b) -> stage());
        workbench.stageProperty().addListener((o, a, b) -> {
            bench.middleProperty().set(Middle.CLOTH);
            stage();
        });
        workbench.shownProperty().addListener((o, a, b) -> {
            boolean underHand = workbench.isDrafting() && a != null && b != null && a.stone().equals(b.stone());
            if (!underHand) { // the column follows when the hand lets go
                refresh();
            }
        });
        workbench.studioProperty().addListener((o, a, b) -> refresh());
        show.planProperty().addListener((o, a, b) -> refresh());
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        stage();
        refresh();
    }

    // --- parts

    private Node top() {
        Label name = new Label();
        name.setId("name");
        name.getStyleClass().add("title");
        Label purpose = new Label();
        purpose.getStyleClass().add("quiet");
        Label ready = new Label();
        ready.setId("ready");
        ready.getStyleClass().add("ready");
        ready.setMinWidth(Region.USE_PREF_SIZE);
        name.setMaxWidth(480); // a long name ends in an ellipsis; it is whole in its tooltip and in the tray
        name.setMinWidth(120);
        purpose.setMinWidth(0);
        Runnable fill = () -> {
            Optional<Project> project = workbench.shown();
            name.setText(project.map(Project::name).orElse("Moss Pebble"));
            name.setTooltip(project.map(p -> new Tooltip(p.name())).orElse(null));
            purpose.setText(project.map(Project::purpose).orElse(""));
            PaintPlan plan = show.plan();
            ready.setText(plan == null || plan.steps().isEmpty() ? "" : "ready after " + Durations.words(plan.readyAfter()) + ", " + Durations.words(plan.handTime()) + " by hand");
        };
        workbench.shownProperty().addListener((o, a, b) -> {
            if (!workbench.isDrafting()) {
                fill.run();
            }
        });
        show.planProperty().addListener((o, a, b) -> fill.run());
        fill.run();
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Button undo = Panel.button("undo", "", "Undo (Ctrl Z)", workbench::undo);
        undo.getStyleClass().add("flat");
        workbench.undoTitleProperty().addListener((o, a, b) -> undoText(undo, b));
        undoText(undo, workbench.undoTitleProperty().get());
        Button find = Panel.button("find", "Do …", "Everything by name (/ or Ctrl K)", this::openCommand);
        find.getStyleClass().add("flat");
        find.setMinWidth(Region.USE_PREF_SIZE);
        undo.setMaxWidth(280);
        undo.setMinWidth(90);
        HBox top = new HBox(14, name, purpose, gap, ready, undo, find);
        top.setAlignment(Pos.CENTER_LEFT);
        top.getStyleClass().add("top");
        return top;
    }

    private static void undoText(Button undo, String title) {
        undo.setText(title.isEmpty() ? "Nothing to undo" : "Undo: " + title.toLowerCase(Locale.ROOT));
        undo.setDisable(title.isEmpty());
        undo.setTooltip(new Tooltip(title.isEmpty() ? "Nothing to undo" : "Undo " + title + " (Ctrl Z)"));
    }

    private VBox empty() {
        Label words = new Label("No stone on the cloth yet");
        words.getStyleClass().add("empty-title");
        Label hint = Panel.quiet("Wash one, dry it, lay it down and measure it: length, width, height.");
        Button start = Panel.button("first-stone", "Put a stone on the cloth", "Begin (N)", this::newStone);
        start.getStyleClass().add("main");
        Button photo = Panel.button("first-photo", "Photograph stones", "Stones from a photo (P)", () -> middle(Middle.PHOTO));
        VBox box = new VBox(12, words, hint, start, photo);
        box.setAlignment(Pos.CENTER);
        box.setPickOnBounds(false);
        return box;
    }

    /** In place of a picture where the stone could not be worked out: that, and the ways on. */
    private VBox failed() {
        Label words = new Label();
        words.setId("plan-trouble");
        words.getStyleClass().add("empty-title");
        words.setWrapText(true);
        words.setMaxWidth(520);
        words.setTextAlignment(TextAlignment.CENTER);
        words.textProperty().bind(show.troubleProperty());
        Label hint = Panel.quiet("Nothing is lost: what you decided is kept. There is no picture, no plan and no sheet of it until this is mended.");
        hint.setMaxWidth(520);
        hint.setTextAlignment(TextAlignment.CENTER);
        Button undo = Panel.button("plan-undo", "Undo", "Take the last change back (Ctrl Z)", workbench::undo);
        undo.getStyleClass().add("main");
        undo.managedProperty().bind(undo.visibleProperty());
        undo.visibleProperty().bind(workbench.undoTitleProperty().isNotEmpty());
        undo.textProperty().bind(Bindings.createStringBinding(() -> "Undo: " + workbench.undoTitleProperty().get().toLowerCase(Locale.ROOT), workbench.undoTitleProperty()));
        Button off = Panel.button("plan-off", "Take the front thing off", "Take away what lies in front of all others", () -> workbench.shown().flatMap(Project::sketch).ifPresent(sketch ->
                workbench.edit("Take the front thing off", p -> p.withSketch(sketch.without(sketch.items().get(sketch.items().size() - 1).id())))));
        off.managedProperty().bind(off.visibleProperty());
        Runnable any = () -> off.setVisible(workbench.shown().flatMap(Project::sketch).isPresent());
        workbench.shownProperty().addListener((o, a, b) -> any.run());
        any.run();
        HBox buttons = new HBox(10, undo, off, Panel.button("plan-log", "Show the log", "What the program wrote down about it", this::showLog));
        buttons.setAlignment(Pos.CENTER);
        VBox box = new VBox(14, words, hint, buttons);
        box.getStyleClass().add("plan-trouble");
        box.setAlignment(Pos.CENTER);
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        Panel.present(box, false);
        show.troubleProperty().addListener((o, a, b) -> Panel.present(box, !b.isEmpty()));
        return box;
    }

    // --- the studio's file

    private void saveCopy() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Where to save a copy of the studio");
        chooser.setInitialFileName("studio-copy.pebble");
        Optional.ofNullable(chooser.showSaveDialog(getScene().getWindow())).ifPresent(file -> saveCopy(file.toPath()));
    }

    /** Saves a copy of the studio as it is shown now. */
    public void saveCopy(Path to) {
        files.run("Saving a copy", () -> {
            house.saveCopy(to);
            return to;
        }, file -> workbench.tell("A copy is saved: " + file));
    }

    private void saveReport() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Where to save the report");
        chooser.setInitialFileName("moss-pebble-report.txt");
        Optional.ofNullable(chooser.showSaveDialog(getScene().getWindow())).ifPresent(file -> files.run("Saving the report", () -> {
            house.saveReport(file.toPath());
            return file;
        }, saved -> workbench.tell("The report is saved: " + saved)));
    }

    private void showLog() {
        if (logView == null) {
            logView = new LogView(this::saveReport, cloth::requestFocus);
            Panel.present(logView, false);
            getChildren().add(logView);
        }
        files.run("Reading the log", house::log, logView::open);
    }

    /** Asks before the window closes over what is not kept. */
    public void askBeforeClosing() {
        notices.askBeforeClosing();
    }

    // --- deeds

    private void makeDeeds() {
        String[] names = {"Stone", "Sketch", "Colour", "Build-up", "Sitting", "Finish"};
        for (Stage stage : Stage.values()) {
            deeds.add(new Action("Go to " + names[stage.ordinal()], String.valueOf(stage.ordinal() + 1), () -> workbench.stageProperty().set(stage)));
        }
        deeds.add(new Action("New stone", "N", this::newStone));
        deeds.add(new Action("Fit the design to the face", "F", sketch::fit));
        deeds.add(new Action("Sketch: fit beside the others", "Shift F", sketch::fitBeside));
        deeds.add(new Action("Turn the stone a quarter", "R", () -> ((StonePanel) panel(Stage.STONE)).turn()));
        deeds.add(new Action("Sketch: add something from the library", "A", () -> sketchPanel().add()));
        deeds.add(new Action("Sketch: exchange the thing in hand", "X", () -> sketchPanel().exchange()));
        deeds.add(new Action("Sketch: take up the pencil", "Q", this::pencil));
        deeds.add(new Action("Sketch: twin of the thing in hand", "D", atSketch(sketch::twin)));
        deeds.add(new Action("Sketch: mirror", "M", atSketch(sketch::mirror)));
        deeds.add(new Action("Sketch: group with the next, or take the group apart", "G", atSketch(sketch::group)));
        deeds.add(new Action("Sketch: nearer the front", "K", atSketch(() -> sketch.order(1))));
        deeds.add(new Action("Sketch: farther back", "J", atSketch(() -> sketch.order(-1))));
        deeds.add(new Action("Sketch: take it away", "Delete", atSketch(sketch::takeAway)));
        deeds.add(new Action("Sketch: onto the upright middle line", "", atSketch(() -> sketch.align(true, false, false))));
        deeds.add(new Action("Sketch: onto the level middle line", "", atSketch(() -> sketch.align(false, true, false))));
        deeds.add(new Action("Sketch: along the stone's long axis", "", atSketch(() -> sketch.align(true, true, true))));
        deeds.add(new Action("Sketch: eye or centre onto a bump or dent", "", atSketch(sketch::onMark)));
        deeds.add(new Action("Sketch: hide a bad spot", "", atSketch(sketch::coverMark)));
        deeds.add(new Action("Sketch: five of it, scattered", "", atSketch(() -> sketch.several(5, false))));
        deeds.add(new Action("Sketch: seven of it in a ring", "", atSketch(() -> sketch.several(7, true))));
        for (SketchPanel.Page page : SketchPanel.Page.values()) {
            deeds.add(new Action("Sketch: " + page.label().toLowerCase(Locale.ROOT), "", () -> sketchPanel().pageProperty().set(page)));
        }
        deeds.add(new Action("Sketch: best line breaks", "", atSketch(sketch::bestBreak)));
        deeds.add(new Action("Turn the stone over", "V", () -> workbench.edit("Turn the stone over", Project::turnedOver)));
        deeds.add(new Action("Photograph stones", "P", () -> middle(Middle.PHOTO)));
        deeds.add(new Action("Take a photo", "", () -> {
            middle(Middle.PHOTO);
            photos.take();
        }));
        deeds.add(new Action("Look into the basket", "B", () -> middle(Middle.BASKET)));
        deeds.add(new Action("Lay this stone back into the basket", "", this::layBack));
        for (Page page : Page.values()) {
            deeds.add(new Action("Stone: " + page.label().toLowerCase(Locale.ROOT), "", () -> {
                middle(Middle.CLOTH);
                bench.pageProperty().set(page);
            }));
        }
        for (Form form : Form.values()) {
            deeds.add(new Action("Stone form: " + form.label(), "", () -> workbench.edit("Form", p -> p.withStone(p.stone().withShape(new Shape.Grown(form, 0.85, 0.2))))));
        }
        for (ColourPanel.Page page : ColourPanel.Page.values()) {
            deeds.add(new Action("Colour: " + page.label().toLowerCase(Locale.ROOT), "", () -> {
                workbench.stageProperty().set(Stage.COLOUR);
                ((ColourPanel) panel(Stage.COLOUR)).pageProperty().set(page);
            }));
        }
        deeds.add(new Action("Colour: best mixes for the slot in hand", "", () -> {
            workbench.stageProperty().set(Stage.COLOUR);
            colours.inHand().ifPresent(slot -> colours.search(slot, false));
        }));
        for (BuildUpPanel.Page page : BuildUpPanel.Page.values()) {
            deeds.add(new Action("Build-up: " + page.label().toLowerCase(Locale.ROOT), "", () -> {
                workbench.stageProperty().set(Stage.BUILD_UP);
                ((BuildUpPanel) panel(Stage.BUILD_UP)).pageProperty().set(page);
            }));
        }
        deeds.add(new Action("Put right a slip of the pen in the middle", "", () -> {
            workbench.stageProperty().set(Stage.BUILD_UP);
            ((BuildUpPanel) panel(Stage.BUILD_UP)).pageProperty().set(BuildUpPanel.Page.MEND);
            mend.slipOfThePen();
        }));
        deeds.add(new Action("Look at the shelf", "S", this::openShelf));
        deeds.add(new Action("Compare two habits", "C", this::openCompare));
        deeds.add(new Action("Play the painting", "Y", stepBar::toggle));
        deeds.add(new Action("Hold this moment to compare", "H", stepBar::hold));
        deeds.add(new Action("Next step", ".", () -> stepBar.by(1)));
        deeds.add(new Action("Step before", ",", () -> stepBar.by(-1)));
        deeds.add(new Action("Look: dry, wet, sealed", "L", stepBar::nextLook));
        deeds.add(new Action("Evening or day light on the screen", "E", () -> workbench.look(s -> s.withView(s.unit(), !s.evening()))));
        deeds.add(new Action("Write guide and step cards (PDF)", "", () -> finish().sheets()));
        deeds.add(new Action("Write the plan (JSON)", "", () -> finish().json()));
        deeds.add(new Action("Save a copy of the studio", "", this::saveCopy));
        deeds.add(new Action("Show the log", "", this::showLog));
        deeds.add(new Action("Save a report for whoever helps", "", this::saveReport));
        deeds.add(new Action("Take this stone off the cloth", "", this::remove));
        deeds.add(new Action("Undo", "Ctrl Z", workbench::undo));
        deeds.add(new Action("Redo", "Ctrl Shift Z", workbench::redo));
    }

    /** Everything that can be done by name now: what always can, and taking up each stone there is. */
    private List<Action> deeds() {
        List<Action> all = new ArrayList<>(deeds);
        workbench.studio().projects().forEach(p -> all.add(new Action("Take up " + p.name(), "", () -> workbench.choose(p.id()))));
        return all;
    }

    /** Adds something that can be done here and now. */
    public void offer(String name, Runnable run) {
        deeds.add(new Action(name, "", run));
    }

    private FinishPanel finish() {
        workbench.stageProperty().set(Stage.FINISH);
        return (FinishPanel) panel(Stage.FINISH);
    }

    private SketchPanel sketchPanel() {
        workbench.stageProperty().set(Stage.SKETCH);
        return (SketchPanel) panel(Stage.SKETCH);
    }

    private Runnable atSketch(Runnable run) {
        return () -> {
            workbench.stageProperty().set(Stage.SKETCH);
            run.run();
        };
    }

    private void pencil() {
        workbench.stageProperty().set(Stage.SKETCH);
        sketch.pencilProperty().set(!sketch.pencilProperty().get());
        cloth.requestFocus();
    }

    /** The library lies open until something is chosen. */
    private void openLibrary() {
        if (workbench.shown().isEmpty()) {
            workbench.tell("Put a stone on the cloth first.");
            return;
        }
        workbench.stageProperty().set(Stage.SKETCH);
        bench.middleProperty().set(Middle.OFFERS);
        library.open();
    }

    private void openShelf() {
        workbench.stageProperty().set(Stage.COLOUR);
        bench.middleProperty().set(Middle.SHELF);
    }

    /** Two habits of the stone on the cloth, side by side. */
    private void openCompare() {
        if (workbench.shown().isEmpty()) {
            workbench.tell("Put a stone on the cloth first.");
            return;
        }
        workbench.stageProperty().set(Stage.BUILD_UP);
        bench.middleProperty().set(Middle.COMPARE);
        compare.open();
    }

    private void closeLibrary() {
        bench.middleProperty().set(Middle.CLOTH);
        cloth.requestFocus();
    }

    /** What was asked for in so many words, and everything of the library that has them in its title. */
    private List<Action> spoken(String text) {
        return text.strip().length() < 3 ? List.of() : Catalogue.found(workbench.studio(), text).stream().limit(12).map(offer -> new Action("Put on the stone: " + offer.title(), "", atSketch(() -> sketch.take(offer.subject(), true)))).toList();
    }

    private void remove() {
        workbench.shown().ifPresent(project -> workbench.editStudio("Take " + project.name() + " off the cloth", s -> s.without(project.id())));
    }

    private void newStone() {
        int number = workbench.studio().projects().size() + workbench.studio().basket().size() + 1;
        workbench.add(Project.begin("stone-" + UUID.randomUUID(), "Stone " + number, Stone.cobble()));
        workbench.stageProperty().set(Stage.STONE);
        bench.middleProperty().set(Middle.CLOTH);
    }

    private void middle(Middle wanted) {
        workbench.stageProperty().set(Stage.STONE);
        bench.middleProperty().set(wanted);
    }

    private void layBack() {
        workbench.shown().ifPresent(project -> workbench.editStudio("Lay " + project.name() + " back", s -> s.laidBack(project.id())));
    }

    /** Does what has this name in the command field, or puts on the stone what is asked for in so many words. */
    public void perform(String name) {
        deeds().stream().filter(d -> d.name().equalsIgnoreCase(name)).findFirst().or(() -> spoken(name).stream().findFirst()).ifPresentOrElse(d -> d.run().run(), () -> workbench.tell("There is nothing called \"" + name + "\"."));
    }

    private void openCommand() {
        if (command == null) {
            command = new CommandField(this::deeds, this::spoken, cloth::requestFocus);
            StackPane.setAlignment(command, Pos.TOP_CENTER);
            getChildren().add(command);
        }
        command.open();
    }

    private void key(KeyEvent e) {
        if (e.isControlDown() && e.getCode() == KeyCode.K) {
            openCommand();
        } else if (e.isControlDown() && (e.getCode() == KeyCode.Y || e.getCode() == KeyCode.Z && e.isShiftDown()) && !typing(e)) {
            workbench.redo();
        } else if (e.isControlDown() && e.getCode() == KeyCode.Z && !typing(e)) {
            workbench.undo();
        } else if (e.isControlDown() || e.isAltDown() || command != null && command.isVisible() || logView != null && logView.isVisible() || e.getTarget() instanceof TextInputControl) {
            return;
        } else {
            switch (e.getCode()) {
                case SLASH -> openCommand();
                case DIGIT1, DIGIT2, DIGIT3, DIGIT4, DIGIT5, DIGIT6 -> workbench.stageProperty().set(Stage.values()[e.getCode().ordinal() - KeyCode.DIGIT1.ordinal()]);
                case N -> newStone();
                case F -> {
                    if (e.isShiftDown()) {
                        sketch.fitBeside();
                    } else {
                        sketch.fit();
                    }
                }
                case R -> ((StonePanel) panel(Stage.STONE)).turn();
                case A, D, G, J, K, M, Q, X, DELETE -> {
                    if (workbench.stageProperty().get() != Stage.SKETCH || bench.middleProperty().get() != Middle.CLOTH) {
                        return; // in the library they are the library's
                    }
                    switch (e.getCode()) {
                        case A -> sketchPanel().add();
                        case D -> sketch.twin();
                        case G -> sketch.group();
                        case J -> sketch.order(-1);
                        case K -> sketch.order(1);
                        case M -> sketch.mirror();
                        case Q -> pencil();
                        case X -> sketchPanel().exchange();
                        default -> {
                            if (!cloth.pointAway()) {
                                sketch.takeAway();
                            }
                        }
                    }
                }
                case V -> workbench.edit("Turn the stone over", Project::turnedOver);
                case S -> openShelf();
                case C -> openCompare();
                case Y -> {
                    if (workbench.stageProperty().get().compareTo(Stage.COLOUR) < 0) {
                        return;
                    }
                    stepBar.toggle();
                }
                case H -> {
                    if (workbench.stageProperty().get().compareTo(Stage.COLOUR) < 0) {
                        return;
                    }
                    stepBar.hold();
                }
                case P -> middle(Middle.PHOTO);
                case B -> middle(Middle.BASKET);
                case L -> stepBar.nextLook();
                case E -> workbench.look(s -> s.withView(s.unit(), !s.evening()));
                case PERIOD -> stepBar.by(1);
                case COMMA -> stepBar.by(-1);
                case ESCAPE -> {
                    files.stop();
                    workbench.tell("");
                    sketch.pencilProperty().set(false);
                    if (bench.middleProperty().get() == Middle.CLOTH) {
                        return;
                    }
                    bench.middleProperty().set(Middle.CLOTH);
                    cloth.requestFocus();
                }
                default -> {
                    return;
                }
            }
        }
        e.consume();
    }

    /** In a field that has text of its own to undo, Ctrl Z is the field's. */
    private static boolean typing(KeyEvent e) {
        return e.getTarget() instanceof TextInputControl field && field.isUndoable();
    }

    // --- refresh

    /** A stage's column, made when it is first wanted. */
    private Panel panel(Stage stage) {
        return panels.computeIfAbsent(stage, s -> switch (s) {
            case STONE -> new StonePanel(workbench, show, bench, desk, files, scale);
            case SKETCH -> new SketchPanel(workbench, show, sketch, this::openLibrary);
            case COLOUR -> new ColourPanel(workbench, show, colours, this::openShelf);
            case BUILD_UP -> new BuildUpPanel(workbench, show, mend, this::openCompare);
            case SITTING -> new SittingPanel(workbench, show, probe);
            case FINISH -> new FinishPanel(workbench, show, desk);
        });
    }

    /** Puts cloth, photo or basket into the middle; made when first wanted. */
    private void middleView(Middle shown) {
        if (shown == Middle.PHOTO && photoView == null) {
            photoView = new PhotoView(photos);
            photoPanel = new PhotoPanel(workbench, show, bench, photos, files);
            middle.getChildren().add(1, photoView);
        }
        if (shown == Middle.BASKET && basketView == null) {
            basketView = new BasketView(workbench, desk, basketShelf);
            basketPanel = new BasketPanel(workbench, show, bench, basketShelf, BuiltIn.titles());
            middle.getChildren().add(1, basketView);
        }
        if (shown == Middle.OFFERS && library == null) {
            library = new LibraryView(workbench, sketch, desk, files, this::closeLibrary);
            middle.getChildren().add(1, library);
        }
        if (shown == Middle.SHELF && shelfView == null) {
            shelfView = new ShelfView(workbench, shelfDesk, this::closeLibrary);
            shelfPanel = new ShelfPanel(workbench, show, shelfDesk, this::closeLibrary);
            middle.getChildren().add(1, shelfView);
        }
        if (shown == Middle.COMPARE && compare == null) {
            compare = new CompareView(workbench, desk, this::closeLibrary);
            middle.getChildren().add(1, compare);
        }
        for (Node made : new Node[] {library, shelfView, compare}) {
            if (made != null) {
                Panel.present(made, made == library ? shown == Middle.OFFERS : made == shelfView ? shown == Middle.SHELF : shown == Middle.COMPARE);
            }
        }
        Panel.present(cloth, shown == Middle.CLOTH);
        Panel.present(findingsPane, shown == Middle.CLOTH);
        if (photoView != null) {
            Panel.present(photoView, shown == Middle.PHOTO);
        }
        if (basketView != null) {
            Panel.present(basketView, shown == Middle.BASKET);
        }
        Panel.present(empty, workbench.shown().isEmpty() && shown == Middle.CLOTH);
        stagePane.setVisible(workbench.shown().isPresent() || shown != Middle.CLOTH);
    }

    private void stage() {
        Stage stage = workbench.stageProperty().get();
        Middle shown = bench.middleProperty().get();
        middleView(shown);
        Panel panel = shown == Middle.PHOTO ? photoPanel : shown == Middle.BASKET ? basketPanel : shown == Middle.SHELF ? shelfPanel : panel(stage);
        stageName.setText(shown == Middle.PHOTO ? "Photo" : shown == Middle.BASKET ? "Basket" : shown == Middle.SHELF ? "Shelf" : switch (stage) {
            case STONE -> "Stone";
            case SKETCH -> "Sketch";
            case COLOUR -> "Colour";
            case BUILD_UP -> "Build-up";
            case SITTING -> "Sitting";
            case FINISH -> "Finish";
        });
        if (stagePane.getContent() != panel) {
            stagePane.setContent(panel);
            stagePane.setVvalue(0);
        }
        boolean painted = stage.compareTo(Stage.COLOUR) >= 0;
        boolean onCloth = shown == Middle.CLOTH;
        slice();
        Panel.present(stepBar, painted && onCloth);
        if (!painted) {
            stepBar.stop();
            workbench.heldProperty().set(-1);
            workbench.stepProperty().set(stage == Stage.STONE ? 0 : Integer.MAX_VALUE);
        } else if (workbench.stepProperty().get() == 0) {
            workbench.stepProperty().set(Integer.MAX_VALUE);
        }
        if (stage != Stage.BUILD_UP) {
            mend.pointingProperty().set(false);
        }
        panel.refresh();
    }

    /** The slice stands below a painted stone, and below the dome; what mends a mistake needs its room. */
    private void slice() {
        Stage stage = workbench.stageProperty().get();
        boolean cuts = stage.compareTo(Stage.BUILD_UP) >= 0 && !mend.pointingProperty().get() || stage == Stage.STONE && bench.pageProperty().get() == Page.DOME;
        Panel.present(sliceView, bench.middleProperty().get() == Middle.CLOTH && cuts);
    }

    private void refresh() {
        boolean any = workbench.shown().isPresent();
        Panel.present(empty, !any);
        stagePane.setVisible(any || bench.middleProperty().get() != Middle.CLOTH);
        Panel.present(empty, !any && bench.middleProperty().get() == Middle.CLOTH);
        getStyleClass().remove("evening");
        if (workbench.studio().evening()) {
            getStyleClass().add("evening");
        }
        switch (bench.middleProperty().get()) {
            case CLOTH, OFFERS, COMPARE -> panel(workbench.stageProperty().get()).refresh();
            case PHOTO -> photoPanel.refresh();
            case BASKET -> basketPanel.refresh();
            case SHELF -> shelfPanel.refresh();
        }
        stepBar.refresh();
    }

    /** The cloth, for bench and tests. */
    public Node cloth() {
        return cloth;
    }

}
