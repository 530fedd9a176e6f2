package mosspebble.app.colour;

import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.advice.Schemes;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.AdviceWords;

/** Palettes from the shelf for all slots at once. */
final class PalettesPage extends PageView {

    private static final double WIDE = 320;

    private final Panel panel;
    private final ColourModel colours;
    private final VBox cards = new VBox(0);

    PalettesPage(Panel panel, ColourModel colours) {
        this.panel = panel;
        this.colours = colours;
        cards.setId("palettes");
        getChildren().add(cards);
        colours.schemesProperty().addListener((o, a, b) -> fill(b));
    }

    @Override
    public void refresh() {
        colours.askSchemes();
        if (cards.getChildren().isEmpty()) {
            fill(colours.schemesProperty().get());
        }
    }

    private void fill(List<Schemes.Scheme> schemes) {
        cards.getChildren().clear();
        if (schemes.isEmpty()) {
            cards.getChildren()
                    .add(Panel.quiet(panel.workbench.studio().shelf().paints().isEmpty() ? "The shelf is empty." : "Trying out colours …"));
        }
        for (Schemes.Scheme scheme : schemes) {
            cards.getChildren().add(card(scheme));
        }
    }

    private Node card(Schemes.Scheme scheme) {
        Label title = new Label(AdviceWords.title(scheme.mood()));
        title.getStyleClass().add("heading");
        HBox row = new HBox(0);
        row.getStyleClass().add("palette");
        for (Srgb look : scheme.looks().values()) {
            Region dab = new Region();
            dab.setMinHeight(20);
            dab.setStyle("-fx-background-color: " + look.hex() + ";");
            HBox.setHgrow(dab, Priority.ALWAYS);
            row.getChildren().add(dab);
        }
        Label least = Panel
                .quiet(Double.isFinite(scheme.least()) ? "apart by at least " + Numbers.text(scheme.least(), 0) : "");
        least.setWrapText(false);
        title.setMinWidth(Region.USE_PREF_SIZE);
        least.setMinWidth(Region.USE_PREF_SIZE);
        HBox head = new HBox(8, title, least);
        head.setAlignment(Pos.BASELINE_LEFT);
        Label words = panel.lines(AdviceWords.sentence(scheme.mood()), WIDE);
        words.getStyleClass().add("quiet");
        VBox content = new VBox(2, head, row, words);
        Button take = Panel.button("palette-" + scheme.mood().name().toLowerCase(Locale.ROOT), "", "Takes these colours for all slots",
                () -> colours.take(scheme));
        take.getStyleClass().setAll("button", "slot");
        take.setMaxWidth(Double.MAX_VALUE);
        take.setAlignment(Pos.CENTER_LEFT);
        take.setGraphic(content);
        take.setAccessibleText(AdviceWords.title(scheme.mood()) + ". " + words.getText() + " " + least.getText());
        return take;
    }
}
