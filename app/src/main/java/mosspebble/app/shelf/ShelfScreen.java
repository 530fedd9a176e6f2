package mosspebble.app.shelf;

import java.util.List;
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
        return Optional.of(new ShelfPanel(with.workbench(), with.results(), model, with::back));
    }

    @Override
    protected Optional<Node> makeMiddle() {
        return Optional.of(new ShelfView(with.workbench(), model, with::back));
    }

    @Override
    public List<Action> actions() {
        return List.of(Action.of("Look at the shelf", this::go).key("S").also("paints", "pots", "pens"));
    }
}
