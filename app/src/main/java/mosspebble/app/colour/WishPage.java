package mosspebble.app.colour;

import java.util.Arrays;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Entry;
import mosspebble.app.control.OneStop;
import mosspebble.app.control.Swatch;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.ColourWords;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;

/** The colour that is wished for the slot in hand, the best recipes for it, and what would come closer. */
final class WishPage extends PageView {

    /** What three proposals take, px. */
    private static final double ROOM = 150;

    /** How wide the words of a proposal may be, px. */
    private static final double WORDS = 300;

    private final Panel panel;
    private final ColourModel colours;
    private final Entry wish;
    private final Swatch wishSwatch = new Swatch(Srgb.ofHex("#ffffff"), 24);
    private final VBox proposals = new VBox(4);
    private final Button buy;
    private final Label purchase = Panel.quiet("");
    private Object shown;

    WishPage(Panel panel, ColourModel colours) {
        this.panel = panel;
        this.colours = colours;
        wish = new Entry("wish", "Wished colour", "The dry colour you want, as # and six digits; empty brings the slot's own wish back",
                () -> colours.inHand().map(s -> colours.wished(s).hex()).orElse(""), text -> {
                    try {
                        colours.wishProperty().set(text.isBlank() ? null : Srgb.ofHex(text.strip()));
                        colours.inHand().ifPresent(s -> colours.search(s, false));
                        return Optional.empty();
                    } catch (IllegalArgumentException e) {
                        return Optional.of("Write # and six digits such as #8a7f6c.");
                    }
                });
        wish.setPrefWidth(112);
        Button nearest = Panel.button("nearest", "Best mixes",
                "Every mix of up to three paints and " + RecipeSearch.MOST_PARTS + " parts is tried; the best is taken",
                () -> colours.inHand().ifPresent(s -> colours.search(s, true)));
        HBox want = new HBox(8, wishSwatch, wish, nearest);
        want.setAlignment(Pos.BOTTOM_LEFT);
        buy = Panel.button("closer", "How to get closer", "Which paint to buy", colours::buy);
        purchase.setId("purchase");
        proposals.setId("proposals");
        OneStop.in(proposals);
        getChildren().addAll(want, proposals, buy, purchase);
        colours.foundProperty().addListener((o, a, b) -> seen());
        colours.wishProperty().addListener((o, a, b) -> seen());
    }

    /** What is found while another page is looked at waits until this one is. */
    private void seen() {
        if (getParent() != null) {
            refresh();
        }
    }

    @Override
    public void refresh() {
        Slot slot = colours.inHand().orElse(null);
        if (slot == null) {
            return;
        }
        Object now = Arrays.asList(slot, colours.mix(slot), panel.workbench.studio().shelf(), colours.foundProperty().get(),
                colours.wishProperty().get());
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        wishSwatch.set(colours.wished(slot));
        wish.refresh();
        proposals(slot);
    }

    private void proposals(Slot slot) {
        proposals.getChildren().clear();
        ColourModel.Found found = colours.foundProperty().get();
        boolean current = colours.isFound(slot);
        if (!current) {
            colours.propose(slot);
        }
        buy.setDisable(!current);
        if (current) {
            Panel.present(buy,
                    found.purchase().isEmpty() && !found.recipes().isEmpty() && found.recipes().get(0).difference() > 1.5);
        }
        Panel.present(purchase, current && found.purchase().isPresent());
        proposals.setMinHeight(current ? Region.USE_COMPUTED_SIZE : Math.max(ROOM, proposals.getHeight())); // below it nothing moves
        if (!current) {
            proposals.getChildren().add(Panel.quiet("Looking for the nearest mixes ..."));
            return;
        }
        found.purchase()
                .ifPresent(p -> purchase.setText("Buy " + p.paint().name() + ": with it " + p.words() + " comes to "
                        + Numbers.text(p.recipe().difference(), 1) + " ("
                        + ColourWords.near(p.recipe().difference()) + ")."));
        if (!found.recipes().isEmpty() && found.recipes().get(0).difference() > 12) {
            proposals.getChildren().add(Panel.quiet("No mix of this shelf reaches that colour; the best is "
                    + ColourWords.near(found.recipes().get(0).difference()) + "."));
        }
        int number = 0;
        for (RecipeSearch.Recipe each : found.recipes()) {
            Label words = panel.lines(panel.workbench.studio().shelf().words(each.mix()), WORDS);
            Label near = panel.lines(ColourModel.nearness(each, found.wanted()), WORDS);
            near.getStyleClass().add("quiet");
            VBox text = new VBox(0, words, near);
            HBox.setHgrow(text, Priority.ALWAYS);
            HBox pair = new HBox(new Swatch(found.wanted(), 20), new Swatch(each.dry().toXyz().toSrgb(), 20));
            pair.setMinWidth(40);
            Button take = Panel.button("proposal-" + number++, "", "Take this recipe", () -> colours.set(slot, each.mix()));
            take.getStyleClass().setAll("button", "slot");
            take.setMaxWidth(Double.MAX_VALUE);
            take.setAlignment(Pos.CENTER_LEFT);
            HBox content = new HBox(8, pair, text);
            content.setAlignment(Pos.CENTER_LEFT);
            take.setGraphic(content);
            take.setAccessibleText(words.getText() + ", " + near.getText());
            proposals.getChildren().add(take);
        }
    }
}
