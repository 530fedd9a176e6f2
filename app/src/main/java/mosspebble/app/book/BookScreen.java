package mosspebble.app.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import mosspebble.app.book.BookModel.Matter;
import mosspebble.app.model.Action;
import mosspebble.app.model.Navigator;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.words.BookWords.Question;

/** The painter's book. */
public final class BookScreen extends Screen {

    private static final double COLUMN = 320;

    private final BookModel model;

    public BookScreen(Surroundings with, BookModel model) {
        super(with, Navigator.BOOK, "The book", Stage.FINISH);
        this.model = model;
    }

    @Override
    public boolean isAside() {
        return true;
    }

    @Override
    public double columnWidth() {
        return COLUMN;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new BookPanel(with, model));
    }

    @Override
    protected Optional<Node> makeMiddle() {
        return Optional.of(new BookView(with, model));
    }

    @Override
    public void opened() {
        model.read();
    }

    @Override
    public List<Action> actions() {
        List<Action> all = new ArrayList<>();
        all.add(Action.of("Open the book", this::go).key("U").also("record", "log", "diary", "history", "finished stones"));
        all.add(Action.of("Write this stone into the book", here(model::write)).also("record", "log", "finished"));
        all.add(Action.of("The book: all stones", here(() -> model.matterProperty().set(Matter.SHELF))).also("years"));
        all.add(Action.of("The book: a page", here(() -> model.matterProperty().set(Matter.PAGE))).also("leaf", "how it lasted"));
        for (Question question : Question.values()) {
            all.add(Action.of("Ask the book: " + question.label(), here(() -> {
                model.questionProperty().set(question);
                model.matterProperty().set(Matter.ANSWERS);
            })).also(question.means().toLowerCase(Locale.ROOT).split("[ ,]+")));
        }
        return all;
    }
}
