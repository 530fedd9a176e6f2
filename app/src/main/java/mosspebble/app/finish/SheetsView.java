package mosspebble.app.finish;

import java.nio.IntBuffer;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.screen.Panel;
import mosspebble.files.FileTrouble;
import mosspebble.files.Journal;
import mosspebble.files.SheetBook;

/** The sheets on the table: the page in hand large, the pile behind it, all of them small below; beside it the finished stone. */
final class SheetsView extends BorderPane {

    private static final String MAKING = "The sheets are being made …";
    private static final double STRIP = 122;
    private static final double THUMB = 62;
    private static final double LEAST_THUMB = 30;
    private static final double ROUND_THUMB = 20;
    private static final double BEHIND = 9;

    private final FinishModel model;
    private final PlanWorker desk;
    private final PlanWorker.Line large = new PlanWorker.Line();
    private final PlanWorker.Line small = new PlanWorker.Line();
    private final ImageView page = new ImageView();
    private final Label making = new Label(MAKING);
    private final StackPane pile = new StackPane();
    private final HBox strip = new HBox(6);
    private final Label title = new Label();
    private final Button before;
    private final Button after;
    private final StackPane middle;
    private List<int[]> thumbs = List.of();
    private SheetBook known;
    private int number;

    SheetsView(FinishModel model, PlanWorker desk, FinishedStone stone) {
        this.model = model;
        this.desk = desk;
        setId("sheets");
        getStyleClass().add("sheet-table");
        title.setId("sheet-title");
        title.getStyleClass().add("sheet-title");
        page.setId("sheet");
        page.setPreserveRatio(true);
        making.setId("sheets-making");
        making.getStyleClass().add("quiet");
        before = turn("sheet-before", "‹", "The page before (left arrow)", -1);
        after = turn("sheet-after", "›", "The next page (right arrow)", 1);
        middle = new StackPane(pile, making);
        middle.setMinSize(0, 0);
        HBox.setHgrow(middle, Priority.ALWAYS);
        HBox table = new HBox(14, before, middle, after, stone);
        table.setAlignment(Pos.CENTER);
        BorderPane.setAlignment(title, Pos.CENTER_LEFT);
        setTop(title);
        setCenter(table);
        strip.setAlignment(Pos.CENTER_LEFT);
        strip.setMinWidth(0);
        strip.setMinHeight(STRIP);
        strip.setPrefHeight(STRIP);
        setBottom(strip);
        model.bookProperty().addListener((o, a, b) -> book());
        model.withoutProperty().addListener((o, a, b) -> making.setText(b.isEmpty() ? MAKING : b));
        middle.widthProperty().addListener((o, a, b) -> show());
        middle.heightProperty().addListener((o, a, b) -> show());
        strip.widthProperty().addListener((o, a, b) -> strip());
        widthProperty().addListener((o, a, b) -> stone.fit(b.doubleValue()));
        addEventFilter(KeyEvent.KEY_PRESSED, e -> { // before a button takes them to move on
            if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
                turn(e.getCode() == KeyCode.LEFT ? -1 : 1);
                e.consume();
            }
        });
        book();
    }

    private Button turn(String id, String words, String tooltip, int by) {
        Button button = Panel.button(id, words, tooltip, () -> turn(by));
        button.getStyleClass().add("sheet-turn");
        button.setAccessibleText(tooltip);
        button.setMinSize(44, 44);
        return button;
    }

    private void turn(int by) {
        if (known != null) {
            go(Math.max(0, Math.min(known.titles().size() - 1, number + by)));
        }
    }

    private void go(int to) {
        number = to;
        show();
        strip();
    }

    private void book() {
        known = model.bookProperty().get();
        thumbs = List.of();
        number = known == null ? number : Math.min(number, known.titles().size() - 1);
        page.setImage(null);
        Panel.present(making, known == null);
        show();
        strip();
        SheetBook now = known;
        if (now != null) {
            int wide = (int) Math.round(THUMB * output());
            desk.askBeside(small, unwanted -> {
                List<int[]> all = new ArrayList<>();
                for (int i = 0; i < now.titles().size() && !unwanted.getAsBoolean(); i++) {
                    all.add(drawn(now, i, wide));
                }
                return all;
            }, all -> {
                thumbs = all;
                strip();
            }, error -> {});
        }
    }

    private static int[] drawn(SheetBook book, int page, int wide) {
        try {
            return book.picture(page, wide);
        } catch (FileTrouble e) {
            Journal.trouble("a page to look at", e);
            return new int[wide * book.high(wide)];
        }
    }

    private double output() {
        return getScene() == null || getScene().getWindow() == null ? 1 : getScene().getWindow().getRenderScaleX();
    }

    /** The page in hand as large as there is room. */
    private void show() {
        SheetBook now = known;
        pile.getChildren().clear();
        if (now == null || middle.getWidth() < 80 || middle.getHeight() < 80) {
            title.setText("");
            return;
        }
        double ratio = now.paper().widthMm() / now.paper().heightMm();
        int behind = Math.min(3, now.titles().size() - 1 - number);
        double wide = Math.floor(Math.min(middle.getWidth() - 3 * BEHIND - 12, (middle.getHeight() - 24) * ratio));
        double high = wide / ratio;
        for (int k = behind; k > 0; k--) {
            Region under = sheet(wide, high);
            under.setTranslateX(k * BEHIND);
            under.setTranslateY(k * 3);
            under.setRotate(0.5 * k);
            pile.getChildren().add(under);
        }
        page.setFitWidth(wide);
        page.setFitHeight(high);
        StackPane top = new StackPane(sheet(wide, high), page);
        top.setMaxSize(wide, high);
        pile.getChildren().add(top);
        title.setText(now.titles().get(number) + "  ·  " + (number + 1) + " of " + now.titles().size());
        before.setDisable(number == 0);
        after.setDisable(number == now.titles().size() - 1);
        page.setAccessibleText(title.getText());
        int pixels = (int) Math.round(wide * output());
        int shown = number;
        desk.askBeside(large, unwanted -> drawn(now, shown, pixels), drawn -> page.setImage(image(drawn, pixels)), error -> {});
    }

    private static Region sheet(double wide, double high) {
        Region sheet = new Region();
        sheet.getStyleClass().add("paper-sheet");
        sheet.setMinSize(wide, high);
        sheet.setMaxSize(wide, high);
        return sheet;
    }

    private static Image image(int[] pixels, int wide) {
        return new WritableImage(
                new PixelBuffer<>(wide, pixels.length / wide, IntBuffer.wrap(pixels), PixelFormat.getIntArgbPreInstance()));
    }

    /** All pages, small; they move together where there are many. */
    private void strip() {
        strip.getChildren().clear();
        if (known == null) {
            return;
        }
        int most = (int) Math.max(1, strip.getWidth() / (LEAST_THUMB + ROUND_THUMB));
        int count = Math.min(known.titles().size(), most); // of many, those about the one in hand
        int first = Math.max(0, Math.min(known.titles().size() - count, number - count / 2));
        double room = strip.getWidth() / count - ROUND_THUMB;
        double wide = Math.max(LEAST_THUMB, Math.min(THUMB, room));
        ToggleGroup group = new ToggleGroup();
        for (int i = first; i < first + count; i++) {
            int to = i;
            double high = wide * known.paper().heightMm() / known.paper().widthMm();
            StackPane picture = new StackPane(sheet(wide, high));
            if (i < thumbs.size()) {
                ImageView view = new ImageView(image(thumbs.get(i), (int) Math.round(THUMB * output())));
                view.setFitWidth(wide);
                view.setFitHeight(high);
                view.setSmooth(true);
                picture.getChildren().add(view);
            }
            ToggleButton button = new ToggleButton("", picture);
            button.setId("sheet-" + i);
            button.setToggleGroup(group);
            button.setSelected(i == number);
            button.getStyleClass().add("sheet-thumb");
            button.setAccessibleText(known.titles().get(i));
            Hint.on(button, known.titles().get(i));
            button.setFocusTraversable(i == number);
            button.setOnAction(e -> go(to));
            strip.getChildren().add(button);
        }
    }
}
