package mosspebble.app.shell;

import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Button;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Hint;
import mosspebble.app.control.TrueSize;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.project.Studio.Comfort;
import mosspebble.core.units.Numbers;

/** What suits the painter's eyes and hands; every choice is taken at once, so that it is seen. */
final class ComfortView extends VBox {

    private boolean showing;
    private final Workbench workbench;
    private final Runnable closed;
    private final Button close;
    private final Choice<Integer> size = new Choice<>("Words", percent -> change(c -> c.withTextPercent(percent)));
    private final Choice<Boolean> evening = new Choice<>("Light of the screen", this::light);
    private final Choice<Boolean> contrast = new Choice<>("Ink", on -> change(c -> c.withContrast(on)));
    private final Choice<Boolean> still = new Choice<>("Movement", on -> change(c -> c.withStill(on)));
    private final Choice<Boolean> hand = new Choice<>("The column stands", on -> change(c -> c.withLeftHand(on)));

    private final Slider card = new Slider(Comfort.LEAST_CARD_PX, Comfort.MOST_CARD_PX, Comfort.LEAST_CARD_PX);
    private final Label cardSays = Panel.quiet("");
    private final Button asScreen = Panel.button("card-none", "As the screen says", "Forgets the card", () -> change(c -> c.withCardPx(0)));

    ComfortView(Workbench workbench, Runnable closed) {
        this.workbench = workbench;
        this.closed = closed;
        setId("comfort");
        getStyleClass().add("log");
        setSpacing(14);
        setMaxSize(620, Region.USE_PREF_SIZE);
        Label title = new Label("Eyes and hands");
        title.getStyleClass().add("empty-title");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        close = Panel.button("comfort-close", "Close", "Back to the stone (Escape)", this::close);
        HBox head = new HBox(12, title, gap, close);
        head.setAlignment(Pos.CENTER_LEFT);
        for (int percent : Comfort.SIZES) {
            size.option("text-" + percent, percent + " %", percent, "Words at " + percent + " % of their usual size (Ctrl + and Ctrl -)");
        }
        evening.option("light-day", "Day", false, "Pale cloth (E)").option("light-evening", "Evening", true, "Dark cloth (E)");
        contrast.option("contrast-soft", "Soft", false, "Dark green on linen").option("contrast-strong", "Strong", true,
                "Black on white, in the evening white on black, with a firm rim round what can be pressed");
        still.option("still-off", "As it comes", false, "A flash when something is dry")
                .option("still-on", "Nothing flashes", true, "What is dry is told by words and by sound alone");
        hand.option("hand-right", "At the right", false, "For a right hand on the mouse").option("hand-left", "At the left", true,
                "For a left hand on the mouse; the path stands at the right");
        getChildren().addAll(head, size, evening, contrast, still, hand, card(),
                Panel.quiet("Colours of paints and stones are never changed by any of this."));
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            }
        });
        workbench.studioProperty().addListener((o, a, b) -> {
            if (isVisible()) {
                refresh();
            }
        });
        Panel.present(this, false);
    }

    /** A card is laid on the screen and the drawn one pulled as wide: true size is true then. */
    private VBox card() {
        Label name = new Label("True size");
        name.getStyleClass().add("quiet");
        Region drawn = new Region();
        drawn.setId("card");
        drawn.getStyleClass().add("bank-card");
        drawn.minWidthProperty().bind(card.valueProperty());
        drawn.maxWidthProperty().bind(card.valueProperty());
        card.setId("card-width");
        card.setBlockIncrement(1);
        card.setMaxWidth(Double.MAX_VALUE);
        card.setAccessibleText("Width of a bank card on this screen");
        Hint.on(card, "Lay a bank card on the drawn one and pull until both are as wide; arrows move it by a pixel");
        card.valueProperty().addListener((o, a, b) -> {
            if (!showing && !card.isValueChanging()) {
                take();
            }
        });
        card.valueChangingProperty().addListener((o, a, b) -> {
            if (!b) {
                take();
            }
        });
        HBox says = new HBox(10, cardSays, asScreen);
        says.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(cardSays, Priority.ALWAYS);
        cardSays.setMaxWidth(Double.MAX_VALUE);
        asScreen.setMinWidth(Region.USE_PREF_SIZE);
        return new VBox(6, name, drawn, card, says);
    }

    private void take() {
        change(c -> c.withCardPx(Math.round(card.getValue() * 4) / 4.0));
    }

    private void light(boolean dark) {
        workbench.look(s -> s.withView(s.unit(), dark));
    }

    private void change(UnaryOperator<Comfort> how) {
        workbench.look(s -> s.withComfort(how.apply(s.view().comfort())));
    }

    private void refresh() {
        Comfort comfort = workbench.studio().view().comfort();
        size.show(comfort.textPercent());
        evening.show(workbench.studio().evening());
        contrast.show(comfort.contrast());
        still.show(comfort.still());
        hand.show(comfort.leftHand());
        showing = true;
        card.setValue(TrueSize.pixelsPerMm(comfort) * Comfort.CARD_MM);
        showing = false;
        cardSays.setText(
                comfort.cardPx() > 0 ? "Measured with a card: " + Numbers.text(TrueSize.pixelsPerMm(comfort), 2) + " pixels are 1 mm."
                        : "As the screen says of itself. Lay a bank card on the drawn one and pull until both are as wide.");
        Panel.present(asScreen, comfort.cardPx() > 0);
    }

    void open() {
        refresh();
        Panel.present(this, true);
        close.requestFocus();
    }

    void close() {
        Panel.present(this, false);
        closed.run();
    }
}
