package mosspebble.app.basket;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import mosspebble.app.model.Action;
import mosspebble.app.model.Navigator;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.files.BuiltIn;

/** Stones that wait. */
public final class BasketScreen extends Screen {

    private final BasketShelf shelf;

    public BasketScreen(Surroundings with) {
        super(with, Navigator.BASKET, "Basket", Stage.STONE);
        this.shelf = new BasketShelf(with.workbench(), with.worker());
    }

    @Override
    public boolean isAside() {
        return true;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new BasketPanel(with, shelf, BuiltIn.titles()));
    }

    @Override
    protected Optional<Node> makeMiddle() {
        return Optional.of(new BasketView(with.workbench(), with.worker(), shelf));
    }

    @Override
    public List<Action> actions() {
        return List.of(Action.of("Look into the basket", this::go).key("B").also("found stones"),
                Action.of("Lay this stone back into the basket", this::layBack));
    }

    private void layBack() {
        with.workbench().shown()
                .ifPresent(project -> with.workbench().editStudio("Lay " + project.name() + " back", s -> s.laidBack(project.id())));
    }
}
