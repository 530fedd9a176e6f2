package mosspebble.app.colour;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.OneStop;
import mosspebble.app.control.Swatch;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.Ladder;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Nudge;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.sketch.Slot;
import mosspebble.core.supplies.Amounts;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;

/**
 * The recipe of the slot in hand: parts, amounts, what to aim for wet, small moves, tints and shades.
 */
final class MixPage extends PageView {

    private final Panel panel;
    private final ColourModel colours;
    private final VBox recipe = new VBox(5);
    private final Label amounts = Panel.quiet("");
    /** Reflectances of a black and a white ground, as on a drawdown card. */
    private static final double DARK = 0.02;
    private static final double LIGHT = 0.80;

    private final HBox wet = new HBox(8);
    private final HBox seen = new HBox(8);
    private final FlowPane nudges = new FlowPane(4, 4);
    private final Button paint;
    private final VBox ladders = new VBox(4);
    private Object shown;

    /** @param choose leads to the paints */
    MixPage(Panel panel, ColourModel colours, Runnable choose) {
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
        OneStop.in(nudges);
        paint = Panel.button("mix-paint", "Choose a paint …", "From the shelf", choose);
        getChildren().addAll(recipe, paint, amounts, wet, seen, nudges, Panel.quiet("Tints and shades"), ladders);
    }

    @Override
    public void refresh() {
        Slot slot = colours.inHand().orElse(null);
        if (slot == null) {
            return;
        }
        Optional<Mix> mix = colours.mix(slot);
        double[] use = colours.use(slot);
        Object now = Arrays.asList(slot, mix, panel.workbench.studio().shelf(), Math.round(use[0]));
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        Palette palette = colours.palette();
        recipe.getChildren().clear();
        mix.ifPresentOrElse(m -> m.parts().forEach(part -> recipe.getChildren().add(row(slot, part))),
                () -> recipe.getChildren().add(Panel.quiet("Nothing is chosen yet.")));
        Panel.present(paint, mix.isEmpty());
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
        ladders(slot, mix, mixes, palette);
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
}
