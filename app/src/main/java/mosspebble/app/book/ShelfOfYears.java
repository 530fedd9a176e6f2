package mosspebble.app.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import mosspebble.app.control.Hint;
import mosspebble.core.book.Book;
import mosspebble.core.book.Page;
import mosspebble.core.words.BookWords;

/** All stones that are found, year by year, each as a small picture; only the rows that are seen are made. */
final class ShelfOfYears extends StackPane {

    private static final double CARD = 118;
    private static final double SIDE = 92;
    private static final double EDGES = 64;
    private static final double MOST_GAP = 26;

    /** A year's heading, or stones side by side. */
    private record Row(String year, List<Page> stones) {}

    private final BookModel model;
    private final ListView<Row> rows = new ListView<>();
    private final Label none = new Label("No stone of the book is called so");
    private int across;

    ShelfOfYears(BookModel model) {
        this.model = model;
        rows.setId("book-years");
        rows.getStyleClass().add("book-years");
        rows.setFocusTraversable(false);
        rows.setCellFactory(list -> new RowCell());
        none.getStyleClass().add("empty-hint");
        none.setMouseTransparent(true);
        getChildren().addAll(rows, none);
        widthProperty().addListener((o, a, b) -> {
            if (fits() != across) {
                refresh();
            }
        });
    }

    private int fits() {
        return Math.max(1, (int) ((getWidth() - EDGES) / (CARD + 4)));
    }

    void refresh() {
        across = fits();
        List<Row> all = new ArrayList<>();
        for (Map.Entry<Integer, List<Page>> year : Book.byYear(model.found()).entrySet()) {
            int count = year.getValue().size();
            all.add(new Row(year.getKey() + "  ·  " + count + (count == 1 ? " stone" : " stones"), List.of()));
            for (int i = 0; i < count; i += across) {
                all.add(new Row("", year.getValue().subList(i, Math.min(count, i + across))));
            }
        }
        rows.getItems().setAll(all);
        none.setVisible(all.isEmpty());
    }

    private final class RowCell extends ListCell<Row> {

        private final Label year = new Label();
        private final HBox stones = new HBox(8);
        private final List<Card> cards = new ArrayList<>();

        RowCell() {
            year.getStyleClass().add("book-year");
            stones.setAlignment(Pos.TOP_LEFT);
        }

        @Override
        protected void updateItem(Row row, boolean none) {
            super.updateItem(row, none);
            setText(null);
            if (none || row == null) {
                setGraphic(null);
                return;
            }
            if (row.stones().isEmpty()) {
                year.setText(row.year());
                setGraphic(year);
                return;
            }
            while (cards.size() < row.stones().size()) {
                cards.add(new Card());
            }
            stones.getChildren().setAll(cards.subList(0, row.stones().size()).stream().map(c -> c.button).toList());
            for (int i = 0; i < row.stones().size(); i++) {
                cards.get(i).show(row.stones().get(i));
            }
            double free = ShelfOfYears.this.getWidth() - EDGES - across * CARD;
            stones.setSpacing(Math.max(4, Math.min(MOST_GAP, free / across)));
            setGraphic(stones);
        }
    }

    /** One stone, with a mark where it has worn or is gone. */
    private final class Card {

        private final StonePrint print = new StonePrint(model, SIDE);
        private final Label name = new Label();
        private final Label when = new Label();
        private final Label mark = new Label();
        private final Button button = new Button();

        Card() {
            name.getStyleClass().addAll("small", "book-name");
            name.setWrapText(true);
            name.setTextAlignment(TextAlignment.CENTER);
            when.getStyleClass().add("quiet");
            mark.getStyleClass().add("slip");
            StackPane top = new StackPane(print, mark);
            StackPane.setAlignment(mark, Pos.TOP_RIGHT);
            VBox content = new VBox(1, top, name, when);
            content.setAlignment(Pos.TOP_CENTER);
            button.setGraphic(content);
            button.getStyleClass().addAll("found", "book-card");
        }

        void show(Page page) {
            print.show(page);
            name.setText(page.stone().name());
            when.setText(BookWords.shortDay(page.made().finished()));
            String state = page.lastLook().map(l -> l.state() == Page.Look.State.LIKE_NEW ? "" : l.state().label()).orElse("");
            mark.setText(state);
            mark.setVisible(!state.isEmpty());
            button.setId("book-" + page.id());
            String words = page.stone().name() + ", " + BookWords.day(page.made().finished()) + ", " + page.gone().place().label()
                    + (state.isEmpty() ? "" : ", " + state);
            button.setAccessibleText(words);
            Hint.on(button, words);
            button.setOnAction(e -> model.turnTo(page.id()));
        }
    }
}
