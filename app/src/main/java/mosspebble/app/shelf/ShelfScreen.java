package mosspebble.app.shelf;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import mosspebble.app.model.Action;
import mosspebble.app.model.Navigator;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.instruments.StripeReader;

/** The paints. */
public final class ShelfScreen extends Screen {

    /** Names of what may be done with a shelf that is empty yet. */
    public static final String SAMPLE = "Shelf: lay out a sample";
    public static final String ADD = "Shelf: add a paint";
    public static final String BRING = "Take in a table of paints";

    private final ShelfModel model;

    public ShelfScreen(Surroundings with, StripeReader reader) {
        super(with, Navigator.SHELF, "Shelf", Stage.COLOUR);
        this.model = new ShelfModel(with.workbench(), with.files(), reader);
        model.takenOutBy(with.results()::takenOut);
    }

    @Override
    public boolean isAside() {
        return true;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new ShelfPanel(with.workbench(), with.results(), model));
    }

    @Override
    protected Optional<Node> makeMiddle() {
        return Optional.of(new ShelfView(with.workbench(), model, with::back));
    }

    @Override
    public List<Action> actions() {
        List<Action> all = new ArrayList<>(List.of(Action.of("Look at the shelf", this::go).key("S").also("paints", "pots", "pens"),
                Action.of(SAMPLE, model::layOutSample).also("paints", "begin"),
                Action.of(ADD, here(model::add)).also("new paint", "type"),
                Action.of(BRING, here(() -> ((ShelfView) middle().orElseThrow()).bring())).also("csv", "paints")));
        for (ShelfPanel.Page page : ShelfPanel.Page.values()) {
            all.add(Action.of("Shelf: " + page.label().toLowerCase(Locale.ROOT),
                    here(() -> ((ShelfPanel) column().orElseThrow()).show(page))));
        }
        return all;
    }
}
