package mosspebble.app.sketch;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PlacedItem;

/** A motif of the library: what it is, and another one for it. */
final class FigurePage extends PageView {

    private final SketchPanel panel;
    private final SketchModel sketch;
    private final Label title = Panel.heading("");
    private final Label words = Panel.quiet("");

    FigurePage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        this.sketch = sketch;
        title.setId("figure-title");
        Button exchange = Panel.button("thing-exchange", "Exchange it …", "Another from the library in its place (X)", panel::exchange);
        Button fit = Panel.button("fit", "Fit to the face", "As large as the face allows, near its middle (F)", sketch::fit);
        fit.getStyleClass().add("main");
        fit.setMaxWidth(Double.MAX_VALUE);
        getChildren().addAll(title, words, fit, exchange,
                Panel.quiet("Drag it, or on the cloth: arrows move 0.5 mm (Shift 5 mm), [ ] turn, + − size."));
    }

    @Override
    public void refresh() {
        Item item = panel.workbench.itemInHand().orElseThrow();
        title.setText(sketch.title(item));
        PlacedItem placed = sketch.placedInHand().orElse(null);
        long pairs = placed == null ? 0 : placed.motif().parts().stream().filter(p -> p.mirror().isPresent()).count() / 2;
        words.setText(placed == null ? "" : placed.parts().size() + " parts in " + placed.motif().slots().size() + " colours"
                + (pairs > 0 ? ", " + pairs + (pairs == 1 ? " pair" : " pairs") : "") + ".");
    }
}
