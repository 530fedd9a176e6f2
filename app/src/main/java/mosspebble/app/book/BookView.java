package mosspebble.app.book;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mosspebble.app.book.BookModel.Matter;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.book.Book;

/** What lies in the middle: the shelf of years, an open page, or an answer. */
final class BookView extends StackPane {

    private final BookModel model;
    private final ShelfOfYears shelf;
    private final PageSpread spread;
    private final AnswerView answers;
    private final VBox empty;

    BookView(Surroundings with, BookModel model) {
        this.model = model;
        this.shelf = new ShelfOfYears(model);
        this.spread = new PageSpread(with, model);
        this.answers = new AnswerView(with, model);
        setId("book");
        setMinSize(0, 0);
        getStyleClass().add("book");
        Label title = new Label("The book is empty");
        title.getStyleClass().add("empty-title");
        Label hint = Panel.quiet("A stone that is finished gets a page here: how it was made, where it went and how it lasted. "
                + "After a year of them the book answers questions.");
        hint.getStyleClass().add("empty-hint");
        hint.setMaxWidth(460);
        empty = new VBox(14, title, hint);
        empty.setAlignment(Pos.CENTER);
        empty.setId("book-empty");
        getChildren().addAll(shelf, spread, answers, empty);
        model.bookProperty().addListener((o, a, b) -> refresh());
        model.matterProperty().addListener((o, a, b) -> refresh());
        model.openProperty().addListener((o, a, b) -> refresh());
        model.searchProperty().addListener((o, a, b) -> refresh());
        model.questionProperty().addListener((o, a, b) -> refresh());
        model.outdoorsProperty().addListener((o, a, b) -> refresh());
        model.rockProperty().addListener((o, a, b) -> refresh());
        with.workbench().studioProperty().addListener((o, a, b) -> {
            if (!a.view().equals(b.view()) && isVisible()) {
                refresh();
            }
        });
        refresh();
    }

    private void refresh() {
        Book book = model.bookProperty().get();
        Matter matter = model.matterProperty().get();
        boolean any = book != null && !book.pages().isEmpty();
        Panel.present(empty, book != null && !any);
        Panel.present(shelf, any && matter == Matter.SHELF);
        Panel.present(spread, any && matter == Matter.PAGE);
        Panel.present(answers, any && matter == Matter.ANSWERS);
        if (any && matter == Matter.SHELF) {
            shelf.refresh();
        } else if (any && matter == Matter.PAGE) {
            spread.refresh();
        } else if (any) {
            answers.refresh();
        }
    }
}
