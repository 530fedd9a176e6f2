package mosspebble.app.shelf;

import java.io.File;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import javafx.beans.binding.Bindings;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
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
import javafx.stage.FileChooser;
import mosspebble.app.control.OneStop;
import mosspebble.app.colour.ColourModel;
import mosspebble.app.control.Swatch;
import mosspebble.app.control.Token;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.Drawdown;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Pot;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.PaintOptics;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;
import mosspebble.files.ShelfCsv;

/** All paints as stripes drawn over a black-and-white card, by kind: what each hides is seen at a glance. */
public final class ShelfView extends BorderPane {

    private static final double WIDE = 104;
    private static final double HIGH = 46;
    private static final double BESIDE = 8;
    /** Room that the search keeps, sizes of its letters. */
    private static final double LEAST_LETTERS = 11;
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");

    private final Workbench workbench;
    private final ShelfModel desk;
    private final TextField search = new TextField();
    private final VBox planks = new VBox(6);
    private final Map<Paint, Canvas> stripes = new HashMap<>();

    public ShelfView(Workbench workbench, ShelfModel desk, Runnable close) {
        this.workbench = workbench;
        this.desk = desk;
        setId("shelf");
        getStyleClass().addAll("basket", "planks");
        search.setId("shelf-search");
        search.setPromptText("a few letters of a name or kind; a file's path and Enter brings the file");
        search.setAccessibleText("Search the shelf");
        search.textProperty().addListener((o, a, b) -> fill());
        search.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER && (search.getText().contains("/") || search.getText().contains("\\"))) {
                Path file = Path.of(search.getText().strip());
                search.clear();
                desk.bring(file);
                e.consume();
            } else if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
        HBox.setHgrow(search, Priority.ALWAYS);
        Button add = Panel.button("paint-add", "Add a paint", "A new one of the same kind as the one in hand", desk::add);
        Button bring = Panel.button("shelf-bring", "Bring CSV …", "A table of paints; also by dropping the file here", this::bring);
        Button write = Panel.button("shelf-write", "Write CSV …", "The whole shelf as a table", this::write);
        FlowPane deeds = new FlowPane(BESIDE, 6, add, bring, write) { // in one row where there is room for it, and no wider
            @Override
            protected double computePrefWidth(double height) {
                return getManagedChildren().stream().mapToDouble(deed -> BESIDE + Math.ceil(deed.prefWidth(-1))).sum();
            }
        };
        for (Button deed : new Button[] {add, bring, write}) {
            deed.setMinWidth(USE_PREF_SIZE);
        }
        search.minWidthProperty()
                .bind(Bindings.createDoubleBinding(() -> LEAST_LETTERS * search.getFont().getSize(), search.fontProperty()));
        search.prefWidthProperty().bind(search.minWidthProperty()); // what is left beside the deeds is its own
        HBox row = new HBox(BESIDE, search, deeds);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("planks-top");
        setTop(row);
        ScrollPane scroll = new ScrollPane(planks);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("stage-scroll");
        planks.getStyleClass().add("basket-stones");
        setCenter(scroll);
        setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
        });
        setOnDragDropped(e -> e.getDragboard().getFiles().stream().findFirst().ifPresent(f -> desk.bring(f.toPath())));
        workbench.studioProperty().addListener((o, a, b) -> {
            if (!a.shelf().equals(b.shelf())) {
                fill();
            }
        });
        desk.paintProperty().addListener((o, a, b) -> fill());
        desk.broughtProperty().addListener((o, a, b) -> fill());
        fill();
    }

    private void fill() {
        planks.getChildren().clear();
        ShelfCsv.Read brought = desk.broughtProperty().get();
        if (brought != null) {
            planks.getChildren().add(brought(brought));
        }
        Map<PaintKind, FlowPane> rows = new EnumMap<>(PaintKind.class);
        String wanted = search.getText().strip().toLowerCase(Locale.ROOT);
        for (Paint paint : desk.shelf().paints()) {
            if (wanted.isEmpty() || wanted.contains("/") || paint.name().toLowerCase(Locale.ROOT).contains(wanted)
                    || paint.kind().label().contains(wanted)) {
                rows.computeIfAbsent(paint.kind(), kind -> new FlowPane(8, 6)).getChildren().add(card(paint));
            }
        }
        rows.values().forEach(OneStop::in);
        rows.forEach((kind, row) -> planks.getChildren().addAll(Panel.heading(upper(kind.label())), row));
        if (rows.isEmpty()) {
            Label none = Panel.quiet(desk.shelf().paints().isEmpty() ? "The shelf is empty. Add a paint, or bring a table of those you own."
                    : "No paint is called that.");
            none.setId("shelf-none");
            planks.getChildren().add(none);
            if (desk.shelf().paints().isEmpty()) {
                planks.getChildren().add(Panel.button("shelf-sample", "Lay out a sample shelf",
                        "Common paints and pens, made up; change or take away any of them", desk::layOutSample));
            }
        }
    }

    private static String upper(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1) + (text.endsWith("s") ? "" : "s");
    }

    /** What a file holds, before anything of it is taken over. */
    private Node brought(ShelfCsv.Read read) {
        VBox box = new VBox(5);
        box.getStyleClass().add("brought");
        box.setId("brought");
        Label title = new Label(read.paints().size() + (read.paints().size() == 1 ? " paint is in order" : " paints are in order")
                + (read.troubles().isEmpty() ? "." : ", " + read.troubles().size()
                        + (read.troubles().size() == 1 ? " row is not." : " rows are not.")));
        title.getStyleClass().add("step-title");
        box.getChildren().add(title);
        if (!read.note().isEmpty()) {
            box.getChildren().add(Panel.quiet(read.note()));
        }
        for (ShelfCsv.Trouble trouble : read.troubles().subList(0, Math.min(6, read.troubles().size()))) {
            Label words = new Label(trouble.toString());
            words.setWrapText(true);
            words.getStyleClass().add("problem");
            box.getChildren().add(words);
        }
        if (read.troubles().size() > 6) {
            box.getChildren().add(Panel.quiet("and " + (read.troubles().size() - 6) + " more."));
        }
        Button take = Panel.button("brought-take", "Take over what is in order", "A paint of the same name is replaced", desk::takeOver);
        take.getStyleClass().add("main");
        take.setDisable(read.paints().isEmpty());
        box.getChildren().add(new HBox(8, take, Panel.button("brought-leave", "Leave it", "Nothing changes", desk::leaveIt)));
        return box;
    }

    private Button card(Paint paint) {
        Label name = new Label(paint.name());
        name.getStyleClass().add("small");
        name.setMaxWidth(WIDE);
        name.setWrapText(true);
        String ml = Numbers.text(desk.left(paint).value(), 0) + (paint.kind().counted() ? " pieces" : " ml");
        Label left = new Label(paint.kind().clear() ? ml : Math.round(100 * paint.hiding()) + " %, " + ml);
        left.getStyleClass().addAll("quiet");
        VBox content = new VBox(1, stripes.computeIfAbsent(paint, ShelfView::stripe), name, left) {
            @Override
            protected double computePrefHeight(double width) {
                return super.computePrefHeight(WIDE); // a name that may wrap asks for all the height there is otherwise
            }
        };
        Button card = new Button();
        card.setGraphic(content);
        card.setId("shelf-" + paint.id());
        card.getStyleClass().addAll("found", "planks-card", "shelf-card");
        card.pseudoClassStateChanged(CURRENT, desk.inHand().filter(p -> p.id().equals(paint.id())).isPresent());
        card.setAccessibleText(ColourModel.about(paint.withPot(new Pot(desk.left(paint), paint.pot().full(), paint.pot().price()))));
        card.setOnAction(e -> desk.paintProperty().set(paint.id()));
        return card;
    }

    /** One coat drawn across a card, black on its left and white on its right, as it would look; the thick film at the stripe's start. */
    static Canvas stripe(Paint paint) {
        Canvas canvas = new Canvas(WIDE, HIGH);
        GraphicsContext pen = canvas.getGraphicsContext2D();
        pen.setFill(Token.CARD_WHITE.colour());
        pen.fillRoundRect(0, 0, WIDE, HIGH, 12, 12);
        pen.setFill(Token.CARD_BLACK.colour());
        pen.fillRoundRect(0, 0, 12, HIGH, 12, 12);
        pen.fillRect(6, 0, WIDE / 2 - 6, HIGH);
        if (paint.kind().clear()) {
            pen.setFill(Token.SHINE.colour(0.16));
            pen.fillRect(10, 12, WIDE - 20, HIGH - 24);
            pen.setStroke(Token.CARD_CLEAR.colour());
            pen.strokeRect(10.5, 12.5, WIDE - 21, HIGH - 25);
            return canvas;
        }
        PaintOptics optics = PaintOptics.of(paint);
        double um = paint.dryCoat().value();
        Srgb black = optics.over(Spectrum.flat(Drawdown.Card.PRINTED.black()), um).toSrgb();
        Srgb white = optics.over(Spectrum.flat(Drawdown.Card.PRINTED.white()), um).toSrgb();
        pen.setFill(Swatch.colour(black));
        pen.fillRect(18, 9, WIDE / 2 - 18, HIGH - 18);
        pen.setFill(Swatch.colour(white));
        pen.fillRoundRect(WIDE / 2 - 8, 9, WIDE / 2 - 2, HIGH - 18, 10, 10);
        pen.setFill(Swatch.colour(black));
        pen.fillRect(WIDE / 2 - 8, 9, 8, HIGH - 18);
        pen.setFill(Swatch.colour(optics.full().toSrgb()));
        pen.fillOval(7, 7, HIGH - 14, HIGH - 14);
        return canvas;
    }

    /** Asks for a table of paints. */
    void bring() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("A table of paints");
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("CSV", "*.csv", "*.txt"));
        File file = chooser.showOpenDialog(getScene().getWindow());
        if (file != null) {
            desk.bring(file.toPath());
        }
    }

    private void write() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Write the shelf");
        chooser.setInitialFileName("shelf.csv");
        File file = chooser.showSaveDialog(getScene().getWindow());
        if (file != null) {
            desk.write(file.toPath());
        }
    }
}
