package mosspebble.app.colour;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Entry;
import mosspebble.app.control.OneStop;
import mosspebble.app.control.Swatch;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.ColourWords;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Ladder;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Nudge;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.supplies.Amounts;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;

/**
 * The recipe of the slot in hand: parts, amounts, what to aim for wet, the best recipes for a wished colour, small moves, tints and shades.
 */
final class MixPage extends PageView {

    private final Panel panel;
    private final ColourModel colours;
    private final VBox recipe = new VBox(5);
    private final Label amounts = Panel.quiet("");
    /** Reflectances of a black and a white ground, as on a drawdown card. */
    private static final double DARK = 0.02;
    private static final double LIGHT = 0.80;

    /** What three proposals take, px. */
    private static final double ROOM = 150;

    /** How wide the words of a proposal may be, px. */
    private static final double WORDS = 300;

    private final HBox wet = new HBox(8);
    private final HBox seen = new HBox(8);
    private final FlowPane nudges = new FlowPane(4, 4);
    private final Entry wish;
    private final Swatch wishSwatch = new Swatch(Srgb.ofHex("#ffffff"), 24);
    private final VBox proposals = new VBox(4);
    private final Button buy;
    private final Label purchase = Panel.quiet("");
    private final VBox ladders = new VBox(4);
    private final FlowPane shelf = new FlowPane(5, 5);
    private final Button bare;
    private Object shown;

    MixPage(Panel panel, ColourModel colours, Runnable openShelf) {
        this.panel = panel;
        this.colours = colours;
        amounts.setId("amounts");
        wet.setAlignment(Pos.CENTER_LEFT);
        seen.setAlignment(Pos.CENTER_LEFT);
        for (Nudge.Toward toward : Nudge.Toward.values()) {
            String word = toward.name().toLowerCase(Locale.ROOT);
            Button nudge = Panel.button("nudge-" + word, word, "One small change of the parts that makes it " + word,
                    () -> colours.inHand().ifPresent(s -> colours.nudge(s, toward)));
            nudge.getStyleClass().add("tight");
            nudges.getChildren().add(nudge);
        }
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
        Button plank = Panel.button("open-shelf", "Shelf …", "All paints, pens and media (S)", openShelf);
        bare = Panel.button("ground-none", "Leave bare", "No ground colour: the stone shows", colours::leaveBare);
        HBox last = new HBox(6, plank, bare);
        proposals.setId("proposals");
        OneStop.in(proposals);
        OneStop.in(nudges);
        OneStop.in(shelf);
        getChildren().addAll(recipe, amounts, wet, seen, nudges, want, proposals, buy, purchase, Panel.heading("Tints and shades"), ladders,
                Panel.heading("From the shelf"),
                Panel.quiet("Click takes a paint alone, Shift-click adds a part."), shelf, last);
        colours.foundProperty().addListener((o, a, b) -> refresh());
        colours.wishProperty().addListener((o, a, b) -> refresh());
    }

    /** What the dabs of the shelf were made for. */
    private Object shelved;

    @Override
    public void refresh() {
        Slot slot = colours.inHand().orElse(null);
        if (slot == null) {
            return;
        }
        Optional<Mix> mix = colours.mix(slot);
        double[] use = colours.use(slot);
        Object now = Arrays.asList(slot, mix, panel.workbench.studio().shelf(), colours.foundProperty().get(), colours.wishProperty().get(),
                Math.round(use[0]));
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        Palette palette = colours.palette();
        recipe.getChildren().clear();
        mix.ifPresent(m -> m.parts().forEach(part -> recipe.getChildren().add(row(slot, part))));
        Optional<Palette.Colour> colour = mix.flatMap(palette::colour);
        amounts(mix, colour, use);
        wet.getChildren().clear();
        colour.filter(c -> Math.abs(c.dryingShift()) >= 0.5).ifPresent(c -> {
            Label words = Panel.quiet("Aim for this while it is wet: it dries " + (c.dryingShift() > 0 ? "darker" : "lighter") + " by "
                    + Numbers.text(Math.abs(c.dryingShift()), 1) + " L*.");
            HBox.setHgrow(words, Priority.ALWAYS);
            wet.getChildren().addAll(new Swatch(c.wetLab().toXyz().toSrgb(), 24), words);
        });
        Panel.present(wet, !wet.getChildren().isEmpty());
        seen.getChildren().clear();
        colour.filter(c -> letsThrough(c, palette)).ifPresent(c -> {
            Label words = Panel.quiet("Two coats of it over dark and over light: what lies below decides.");
            HBox.setHgrow(words, Priority.ALWAYS);
            seen.getChildren().addAll(over(c, DARK), over(c, LIGHT), words);
        });
        Panel.present(seen, !seen.getChildren().isEmpty());
        boolean mixes = mix.isPresent()
                && mix.get().parts().stream().allMatch(p -> palette.shelf().find(p.paint()).filter(q -> q.kind().mixable()).isPresent());
        Panel.present(nudges, mixes);
        wishSwatch.set(colours.wished(slot));
        wish.refresh();
        proposals(slot);
        ladders(slot, mix, mixes, palette);
        shelf(slot, palette);
        Panel.present(bare, slot.equals(ColourModel.GROUND));
    }

    private static boolean letsThrough(Palette.Colour colour, Palette palette) {
        return colour.mix().isSingle() && palette.shelf().find(colour.mix().parts().get(0).paint())
                .filter(p -> p.kind().letsThrough() && !p.kind().clear()).isPresent();
    }

    /** Two coats over a ground of a reflectance. */
    private static Swatch over(Palette.Colour colour, double ground) {
        Swatch swatch = new Swatch(colour.optics().over(Spectrum.flat(ground), 2 * colour.dryUm()).toSrgb(), 24);
        swatch.setId(ground == DARK ? "over-dark" : "over-light");
        return swatch;
    }

    private void amounts(Optional<Mix> mix, Optional<Palette.Colour> colour, double[] use) {
        boolean known = colour.isPresent() && use[0] > 0;
        Panel.present(amounts, known);
        if (known) {
            Amounts made = Amounts.of(mix.get(), use[0], colour.get().wetUm(), 1);
            String coats = use[1] > 1 ? " for up to " + (int) use[1] + " coats" : "";
            String drops = mix.get().isSingle() ? ""
                    : ": " + String.join(", ", made.shares().stream().map(s -> s.drops() + (s.drops() == 1 ? " drop " : " drops ")
                            + colours.palette().shelf().find(s.paint()).map(Paint::name).orElse(s.paint())).toList());
            amounts.setText("This stone takes " + Numbers.millilitres(made.needed().value()) + coats + drops
                    + (mix.get().isSingle() ? "." : " = " + Numbers.text(made.made().value(), 2) + " ml."));
        }
    }

    private Node row(Slot slot, Mix.Part part) {
        Paint paint = panel.workbench.studio().shelf().find(part.paint()).orElse(null);
        Label name = new Label(paint == null ? part.paint() + " (not on the shelf)" : paint.name());
        HBox.setHgrow(name, Priority.ALWAYS);
        name.setMaxWidth(Double.MAX_VALUE);
        Label count = new Label(part.parts() + (part.parts() == 1 ? " part" : " parts"));
        count.getStyleClass().addAll("value", "parts");
        Button less = Panel.button("less-" + part.paint(), "−", "One part less", () -> colours.change(slot, part.paint(), -1));
        Button more = Panel.button("more-" + part.paint(), "+", "One part more", () -> colours.change(slot, part.paint(), 1));
        for (Button b : new Button[] {less, more}) {
            b.getStyleClass().add("round");
        }
        HBox row = new HBox(6, new Swatch(paint == null ? Srgb.ofHex("#999999") : paint.swatch(), 16), name, less, count, more);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
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
            Label words = new Label(panel.workbench.studio().shelf().words(each.mix()));
            Label near = Panel.quiet(ColourModel.nearness(each, found.wanted()));
            Panel.lines(words, WORDS);
            Panel.lines(near, WORDS);
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
            text.setMaxWidth(WORDS);
            take.setGraphic(content);
            take.setAccessibleText(words.getText() + ", " + near.getText());
            proposals.getChildren().add(take);
        }
    }

    /** The mix toward white above, toward the darkest below. */
    private void ladders(Slot slot, Optional<Mix> mix, boolean mixes, Palette palette) {
        ladders.getChildren().clear();
        if (!mixes) {
            ladders.getChildren().add(Panel.quiet("Only paints that mix have tints and shades."));
            return;
        }
        for (boolean white : new boolean[] {true, false}) {
            Optional<Paint> end = Ladder.end(palette, white)
                    .filter(p -> mix.get().parts().size() < 3 || mix.get().parts().stream().anyMatch(q -> q.paint().equals(p.id())))
                    .filter(p -> !(mix.get().isSingle() && mix.get().parts().get(0).paint().equals(p.id())));
            if (end.isEmpty()) {
                continue;
            }
            HBox row = new HBox(0);
            int number = 0;
            for (Ladder.Rung rung : Ladder.between(mix.get(), Mix.of(end.get().id()), 8, palette)) {
                Button step = Panel.button((white ? "tint-" : "shade-") + number++, "",
                        rung.second() == 0 ? "as it is" : rung.first() == 0 ? end.get().name()
                                : rung.first() + " : " + rung.second() + " " + end.get().name(),
                        () -> take(slot, rung.colour().mix()));
                step.getStyleClass().setAll("button", "rung");
                step.setStyle("-fx-background-color: " + rung.colour().optics().full().toSrgb().hex() + ";");
                step.setAccessibleText((white ? "Tint " : "Shade ") + Hint.of(step));
                HBox.setHgrow(step, Priority.ALWAYS);
                step.setMaxWidth(Double.MAX_VALUE);
                row.getChildren().add(step);
            }
            ladders.getChildren().add(row);
        }
    }

    private void take(Slot slot, Mix mix) {
        if (mix.totalParts() > 60) {
            panel.workbench.tell("That step asks for " + mix.totalParts() + " parts; mix the next one and let it down.");
            return;
        }
        colours.set(slot, mix);
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
