package mosspebble.app.colour;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.OneStop;
import mosspebble.app.control.Swatch;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.PagePlace;
import mosspebble.app.screen.Panel;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.sketch.Slot;

/**
 * The colours of the design: the slots as dabs, and below them what is decided for the slot in hand, how the colours stand beside each
 * other, and whole palettes.
 */
public final class ColourPanel extends Panel {

    /** What lies below the dabs. */
    public enum Page {
        MIX("Mix", "The recipe of the slot in hand", true),
        PAINTS("Paints", "The paints of the shelf, for the slot in hand", true),
        WISH("Wish", "A colour you want, and the mixes nearest to it", true),
        BLEND("Blend", "How the slot takes its colour: flat, blended, stippled …", true),
        BESIDE("Beside", "How well neighbours are told apart on this stone", false),
        PALETTES("Palettes", "Colours for all slots at once, from your shelf, with neighbours kept apart for all kinds of eyes", false),
        EDGE("Edge", "What runs all round the edge", false);

        private final String label;
        private final String tooltip;
        private final boolean ofOneSlot;

        Page(String label, String tooltip, boolean ofOneSlot) {
            this.label = label;
            this.tooltip = tooltip;
            this.ofOneSlot = ofOneSlot;
        }

        public String label() {
            return label;
        }
    }

    private final ColourModel colours;
    private final ObjectProperty<Page> page = new SimpleObjectProperty<>(Page.MIX);
    private final FlowPane dabs = new FlowPane(5, 5);
    private final VBox head = new VBox(1);
    private final PagePlace<Page> place;
    private Object shown;

    /** @param shelf opens the shelf */
    public ColourPanel(Workbench workbench, Results show, ColourModel colours, Runnable shelf) {
        super(workbench, show);
        this.colours = colours;
        place = placeFor(List.of(Page.values()), p -> switch (p) {
            case MIX -> new MixPage(this, colours, () -> page.set(Page.PAINTS));
            case PAINTS -> new PaintsPage(colours, shelf);
            case WISH -> new WishPage(this, colours);
            case BLEND -> new BlendPage(this, colours);
            case BESIDE -> new BesidePage(colours);
            case PALETTES -> new PalettesPage(this, colours);
            case EDGE -> new EdgePage(this, colours);
        });
        dabs.setId("slots");
        OneStop.in(dabs);
        Choice<Page> pages = Choice.pages(page::set);
        for (Page p : Page.values()) {
            pages.option("colour-" + p.name().toLowerCase(Locale.ROOT), p.label, p, p.tooltip);
        }
        getChildren().addAll(dabs, pages, head, place);
        page.addListener((o, a, b) -> refresh());
        colours.slotProperty().addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            pages.show(page.get());
            present(pages, colours.inHand().isPresent());
            present(head, page.get().ofOneSlot);
            dabs();
            if (colours.inHand().isEmpty()) {
                place.clear();
            } else {
                place.show(page.get());
            }
        });
    }

    public ObjectProperty<Page> pageProperty() {
        return page;
    }

    private void dabs() {
        List<Slot> all = colours.slots();
        Optional<Slot> inHand = colours.inHand();
        Object now = List.of(all, all.stream().map(s -> String.valueOf(colours.mix(s))).toList(), all.stream().map(colours::blend).toList(),
                workbench.studio().shelf(), inHand);
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        dabs.getChildren().clear();
        head.getChildren().clear();
        if (all.isEmpty()) {
            dabs.getChildren().add(quiet("Choose a subject in Sketch; its colours then stand here."));
            return;
        }
        for (Slot slot : all) {
            dabs.getChildren().add(dab(slot, slot.equals(inHand.orElse(null))));
        }
        inHand.ifPresent(slot -> {
            Label name = new Label(slot.title());
            name.setId("slot-title");
            name.getStyleClass().add("step-title");
            Label words = quiet(colours.mix(slot).map(workbench.studio().shelf()::words)
                    .orElse(slot.equals(ColourModel.GROUND) ? "bare stone" : "no colour yet")
                    + (colours.blend(slot).kind() == BlendKind.FLAT ? "" : ", " + colours.blend(slot).kind().label()));
            words.setId("slot-words");
            head.getChildren().addAll(name, words);
        });
    }

    private Node dab(Slot slot, boolean chosen) {
        Optional<Mix> recipe = colours.mix(slot);
        String words = recipe.map(workbench.studio().shelf()::words).orElse("no colour yet");
        Button dab = button("slot-" + (slot.equals(ColourModel.GROUND) ? "ground" : slot.id()), "", slot.title() + ": " + words,
                () -> colours.slotProperty().set(slot.id()));
        dab.getStyleClass().setAll("button", "slot-dab");
        if (chosen) {
            dab.getStyleClass().add("chosen");
        }
        Region colour = new Swatch(colours.look(slot), 26);
        colour.setOpacity(recipe.isPresent() ? 1 : 0.35);
        HBox content = new HBox(colour);
        content.setAlignment(Pos.CENTER);
        dab.setGraphic(content);
        dab.setAccessibleText(slot.title() + ": " + words);
        return dab;
    }
}
