package mosspebble.app.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.model.Action;
import mosspebble.app.model.Navigator;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;

/** The colours of the design. */
public final class ColourScreen extends Screen {

    /** So wide that a mix stands on one line, px. */
    private static final double COLUMN = 412;

    private final ColourModel model;

    public ColourScreen(Surroundings with) {
        super(with, "colour", "Colour", Stage.COLOUR);
        this.model = new ColourModel(with.workbench(), with.results(), with.worker());
    }

    public ColourModel model() {
        return model;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional
                .of(new ColourPanel(with.workbench(), with.results(), model, () -> with.navigator().go(Stage.COLOUR, Navigator.SHELF)));
    }

    @Override
    public double columnWidth() {
        return COLUMN;
    }

    @Override
    public Optional<ClothTool> tool() {
        return Optional.of(new ColourTool(model));
    }

    @Override
    public List<Action> actions() {
        List<Action> all = new ArrayList<>();
        for (ColourPanel.Page page : ColourPanel.Page.values()) {
            all.add(Action.of("Colour: " + page.label().toLowerCase(Locale.ROOT),
                    here(() -> ((ColourPanel) column().orElseThrow()).pageProperty().set(page))));
        }
        all.add(Action
                .of("Colour: best mixes for the slot in hand", here(() -> {
                    ((ColourPanel) column().orElseThrow()).pageProperty().set(ColourPanel.Page.WISH);
                    model.inHand().ifPresent(slot -> model.search(slot, false));
                }))
                .also("recipe"));
        return all;
    }
}
