package mosspebble.app.colour;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.OneStop;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Numbers;

/** The paints of the shelf, one of which the slot in hand is to have. */
final class PaintsPage extends PageView {

    private final ColourModel colours;
    private final FlowPane shelf = new FlowPane(5, 5);
    private final Button bare;
    /** What the dabs of the shelf were made for. */
    private Object shelved;

    PaintsPage(ColourModel colours, Runnable openShelf) {
        this.colours = colours;
        Button plank = Panel.button("open-shelf", "Shelf …", "All paints, pens and media (S)", openShelf);
        bare = Panel.button("ground-none", "Leave bare", "No ground colour: the stone shows", colours::leaveBare);
        HBox last = new HBox(6, plank, bare);
        OneStop.in(shelf);
        getChildren().addAll(Panel.quiet("Click takes a paint alone, Shift-click adds a part."), shelf, last);
    }

    @Override
    public void refresh() {
        colours.inHand().ifPresent(slot -> {
            shelf(slot, colours.palette());
            Panel.present(bare, slot.equals(ColourModel.GROUND));
        });
    }

    private void shelf(Slot slot, Palette palette) {
        Object now = List.of(slot, palette.shelf());
        if (now.equals(shelved)) {
            return; // a dab stays under the pointer while the plan is worked out anew
        }
        shelved = now;
        shelf.getChildren().clear();
        for (Paint paint : palette.shelf().paints()) {
            if (paint.kind().does(PaintKind.Use.PRIMES) || paint.kind().clear()) {
                continue;
            }
            Button dab = new Button(paint.hasNib() ? Numbers.text(paint.tip().value(), 1) : "");
            dab.setId("paint-" + paint.id());
            dab.getStyleClass().addAll("dab", "paint");
            boolean dark = Lab.of(paint.swatch()).l() < 55;
            dab.setStyle(
                    "-fx-background-color: " + paint.swatch().hex() + "; -fx-text-fill: " + (dark ? "-mp-on-dark" : "-mp-on-pale") + ";");
            String about = ColourModel.about(paint);
            Hint.on(dab, about);
            dab.setAccessibleText(about);
            dab.setOnAction(e -> colours.set(slot, Mix.of(paint.id())));
            dab.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> {
                if (e.isShiftDown()) {
                    colours.change(slot, paint.id(), 1);
                    e.consume();
                }
            });
            shelf.getChildren().add(dab);
        }
    }
}
