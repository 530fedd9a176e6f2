package mosspebble.app.colour;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Measure;
import mosspebble.app.control.OneStop;
import mosspebble.app.control.Swatch;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.blend.Mud;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Numbers;
import mosspebble.core.words.BlendWords;

/** How the slot in hand takes its colour: the kind of ground or blend with its further colours, direction, amount and join. */
final class BlendPage extends PageView {

    private final Panel panel;
    private final ColourModel colours;
    private final FlowPane kinds = new FlowPane(4, 4);
    private final ToggleButton kind = new ToggleButton();
    private final VBox layers = new VBox(4);
    private int layer;
    private Object layersOf;
    private String handled = "";
    private final Label sentence = Panel.quiet("");
    private final VBox more = new VBox(4);
    private final Measure angle;
    private final Measure amount;
    private final Measure join;
    private final Choice<Blend.Method> method;
    private final Label mud = new Label();
    private int adding = -1;
    private Object shown;

    BlendPage(Panel panel, ColourModel colours) {
        this.panel = panel;
        this.colours = colours;
        kind.setId("blend-kind");
        kind.getStyleClass().add("pebble");
        Hint.on(kind, "Another way to lay the colour");
        kind.setMaxWidth(Double.MAX_VALUE);
        kind.setAlignment(Pos.CENTER_LEFT);
        kind.setOnAction(e -> refresh());
        for (BlendKind each : BlendKind.values()) {
            ToggleButton button = new ToggleButton(each.label());
            button.setId("blend-" + each.name().toLowerCase(Locale.ROOT));
            button.getStyleClass().addAll("pebble", "tight");
            Hint.on(button, BlendWords.sentence(each));
            button.setUserData(each);
            button.setOnAction(e -> take(each));
            kinds.getChildren().add(button);
        }
        angle = new Measure("blend-angle", "Direction", "In which direction the colours follow each other", 0, 345, 15,
                () -> blend().angle(), BlendPage::clock, v -> draft(b -> b.withShape(v, b.amount(), b.join())),
                v -> set(b -> b.withShape(v, b.amount(), b.join())));
        amount = new Measure("blend-amount", "Amount", "How much", 0, 1, 0.05, () -> blend().amount(),
                v -> blend().kind().amount() + " " + Math.round(100 * v) + " %", v -> draft(b -> b.withShape(b.angle(), v, b.join())),
                v -> set(b -> b.withShape(b.angle(), v, b.join())));
        join = new Measure("blend-join", "First colour ends at", "Share of the area along the direction", 0.05, 0.95, 0.05,
                () -> blend().join(), v -> Math.round(100 * v) + " %", v -> draft(b -> b.withShape(b.angle(), b.amount(), v)),
                v -> set(b -> b.withShape(b.angle(), b.amount(), v)));
        method = new Choice<>("Joins", m -> set(b -> b.withMethod(m)));
        method.option("join-wet", "both wet", Blend.Method.WET, "Worked into each other while both are wet").option("join-glazes",
                "glazes on dry", Blend.Method.GLAZES, "Three thin glazes, each dry");
        mud.setId("mud");
        mud.setWrapText(true);
        mud.getStyleClass().add("problem");
        layers.setId("blend-layers");
        OneStop.in(kinds);
        getChildren().addAll(layers, kind, kinds, sentence, more, angle, amount, join, method, mud);
    }

    private static String clock(double degrees) {
        return degrees == 0 ? "up" : degrees == 90 ? "right" : degrees == 180 ? "down" : degrees == 270 ? "left"
                : Numbers.text(degrees, 0) + "°";
    }

    /** What lies in hand: the way itself or a layer upon it. */
    private Blend blend() {
        return colours.inHand().map(this::layer).orElse(Blend.flat());
    }

    private Blend layer(Slot slot) {
        Blend whole = colours.blend(slot);
        return whole.layer(Math.min(layer, whole.over().size()));
    }

    private interface Change {
        Blend of(Blend blend);
    }

    private void set(Change change) {
        colours.inHand().ifPresent(slot -> colours.set(slot, colours.blend(slot).withLayer(layer, change.of(layer(slot)))));
    }

    private void draft(Change change) {
        colours.inHand().ifPresent(
                slot -> panel.workbench.draft(p -> {
                    Blend whole = p.blends().getOrDefault(slot.id(), Blend.flat());
                    return p.withBlend(slot.id(), whole.withLayer(layer, change.of(whole.layer(layer))));
                }));
    }

    /** Takes a kind; the further colours it needs are proposed, a lighter and a darker neighbour first. */
    private void take(BlendKind kind) {
        Slot slot = colours.inHand().orElseThrow();
        if (colours.mix(slot).isEmpty()) {
            panel.workbench.tell("Give " + slot.title().toLowerCase(Locale.ROOT) + " a colour first.");
            refresh();
            return;
        }
        Blend before = layer(slot);
        List<Mix> kept = new ArrayList<>(before.more().subList(0, Math.min(before.more().size(), kind.mostColours())));
        for (Mix proposal : proposed(slot, kind)) {
            if (kept.size() < Math.max(kind.leastColours(), Math.min(kind.mostColours(), kept.size())) && !kept.contains(proposal)) {
                kept.add(proposal);
            }
        }
        Blend usual = Blend.of(kind);
        adding = -1;
        this.kind.setSelected(false);
        colours.set(slot, colours.blend(slot).withLayer(layer,
                new Blend(kind, kept, before.kind() == BlendKind.FLAT ? usual.angle() : before.angle(), usual.amount(), usual.join(),
                        before.method(), List.of())));
    }

    /** One more layer on top, of a kind that is not there yet, with a colour proposed for it. */
    private void layOver() {
        Slot slot = colours.inHand().orElseThrow();
        if (colours.mix(slot).isEmpty()) {
            panel.workbench.tell("Give " + slot.title().toLowerCase(Locale.ROOT) + " a colour first.");
            return;
        }
        Blend whole = colours.blend(slot);
        BlendKind first = Arrays.stream(new BlendKind[] {BlendKind.DRY_BRUSH, BlendKind.STROKES, BlendKind.STIPPLE, BlendKind.FOAM})
                .filter(k -> k != whole.kind() && whole.over().stream().noneMatch(o -> o.kind() == k)).findFirst()
                .orElse(BlendKind.STIPPLE);
        colours.set(slot, whole.plusOver(Blend.of(first).withColours(proposed(slot, first).stream().limit(1).toList())));
        layer = whole.over().size() + 1;
        refresh();
    }

    /** The way the colour is laid and what lies upon it, the lowest first, where there is something upon it; and the button for more. */
    private void layers(Slot slot, Blend whole) {
        layers.getChildren().clear();
        for (int i = 0; i <= whole.over().size() && !whole.over().isEmpty(); i++) {
            int number = i;
            ToggleButton chip = new ToggleButton((i + 1) + "  " + whole.layer(i).kind().label());
            chip.setId("blend-layer-" + i);
            chip.getStyleClass().addAll("pebble");
            Hint.on(chip, i == 0 ? "What is laid first" : "Laid upon the dry paint below it");
            chip.setMaxWidth(Double.MAX_VALUE);
            chip.setAlignment(Pos.CENTER_LEFT);
            chip.setSelected(i == layer);
            chip.setOnAction(e -> {
                layer = number;
                adding = -1;
                kind.setSelected(false);
                refresh();
            });
            HBox row = new HBox(4, chip);
            HBox.setHgrow(chip, Priority.ALWAYS);
            if (i > 0) {
                Button away = Panel.button("blend-layer-away-" + i, "−", "Without this layer", () -> {
                    layer = Math.min(layer, number - 1);
                    colours.set(slot, colours.blend(slot).withoutOver(number));
                });
                away.getStyleClass().add("round");
                row.getChildren().add(away);
            }
            row.setAlignment(Pos.CENTER_LEFT);
            layers.getChildren().add(row);
        }
        if (whole.over().size() < Blend.MOST_OVER) {
            layers.getChildren()
                    .add(Panel.button("blend-over", "Lay more over it", "Streaks, dabs, foam, strokes or a glaze upon it once it is dry",
                            this::layOver));
        }
    }

    private List<Mix> proposed(Slot slot, BlendKind kind) {
        Palette palette = colours.palette();
        Lab own = palette.colour(colours.mix(slot).orElseThrow()).map(Palette.Colour::lab).orElse(new Lab(50, 0, 0));
        boolean metal = kind == BlendKind.CRYSTAL;
        boolean dark = kind == BlendKind.HALO;
        if (kind.material().isPresent()) {
            return palette.shelf().that(kind.material().get()).stream().map(p -> Mix.of(p.id())).toList();
        }
        List<Paint> paints = palette.shelf().paints().stream().filter(p -> metal ? p.kind().does(PaintKind.Use.METAL) && !p.hasNib()
                : kind == BlendKind.GLAZE ? p.kind().does(PaintKind.Use.GLAZES) : p.kind().does(PaintKind.Use.FILLS)).toList();
        return paints.stream().filter(p -> Lab.of(p.swatch()).differenceTo(own) > 12)
                .sorted((a, b) -> Double.compare(rank(a, own, dark), rank(b, own, dark))).map(p -> Mix.of(p.id())).toList();
    }

    private static double rank(Paint paint, Lab own, boolean dark) {
        Lab lab = Lab.of(paint.swatch());
        return dark ? lab.l() : Math.abs(lab.differenceTo(own) - 26);
    }

    @Override
    public void refresh() {
        Slot slot = colours.inHand().orElse(null);
        if (slot == null) {
            return;
        }
        Blend whole = colours.blend(slot);
        layer = slot.id().equals(handled) ? Math.min(layer, whole.over().size()) : 0;
        handled = slot.id();
        Blend blend = whole.layer(layer);
        Object layered = Arrays.asList(slot, whole, layer);
        if (!layered.equals(layersOf)) {
            layersOf = layered;
            layers(slot, whole);
        }
        for (Node node : kinds.getChildren()) {
            BlendKind kind = (BlendKind) node.getUserData();
            ((ToggleButton) node).setSelected(kind == blend.kind());
            Panel.present(node, (!kind.groundOnly() || slot.equals(ColourModel.GROUND)) && (layer == 0 || kind.laysOver()));
        }
        kind.setText((layer == 0 ? "Laid: " : "Over it: ") + blend.kind().label() + (kind.isSelected() ? "  ▴" : "  ▾"));
        Panel.present(kinds, kind.isSelected());
        sentence.setText(BlendWords.sentence(blend.kind()));
        Object now = Arrays.asList(slot, blend, colours.mix(slot), panel.workbench.studio().shelf(), adding);
        if (!now.equals(shown)) {
            shown = now;
            more(slot, blend);
        }
        Panel.present(angle, blend.kind().directed());
        Panel.present(amount, !blend.kind().amount().isEmpty());
        boolean joined = blend.kind() == BlendKind.SPLIT || blend.kind().isGraded();
        Panel.present(join, joined);
        Panel.present(method, blend.kind().isGraded());
        method.show(blend.method());
        angle.refresh();
        amount.refresh();
        join.refresh();
        Optional<Mud> bad = muddy(slot, blend);
        Panel.present(mud, bad.isPresent());
        bad.ifPresent(m -> mud
                .setText("Wet into wet these go to mud (" + m.words() + "). Put a pale or neighbouring colour between, or take glazes."));
    }

    private Optional<Mud> muddy(Slot slot, Blend blend) {
        if (!blend.kind().joins() || blend.method() == Blend.Method.GLAZES || colours.mix(slot).isEmpty()) {
            return Optional.empty();
        }
        List<Mix> all = new ArrayList<>(List.of(colours.mix(slot).get()));
        all.addAll(blend.more());
        for (int i = 0; i + 1 < all.size(); i++) {
            Optional<Palette.Colour> one = colours.palette().colour(all.get(i));
            Optional<Palette.Colour> other = colours.palette().colour(all.get(i + 1));
            Optional<Mud> mud = one.isPresent() && other.isPresent() ? Mud.between(one.get(), other.get()) : Optional.empty();
            if (mud.isPresent()) {
                return mud;
            }
        }
        return Optional.empty();
    }

    private void more(Slot slot, Blend blend) {
        more.getChildren().clear();
        for (int i = 0; i < blend.more().size(); i++) {
            int index = i;
            Mix mix = blend.more().get(i);
            Label name = new Label(panel.workbench.studio().shelf().words(mix));
            HBox.setHgrow(name, Priority.ALWAYS);
            name.setMaxWidth(Double.MAX_VALUE);
            Button change = Panel.button("blend-change-" + i, "change", "Another colour here", () -> open(index));
            Button less = Panel.button("blend-less-" + i, "−", "Without this colour", () -> {
                List<Mix> fewer = new ArrayList<>(blend.more());
                fewer.remove(index);
                set(b -> b.withColours(fewer));
            });
            change.setMinWidth(Region.USE_PREF_SIZE);
            less.setMinWidth(Region.USE_PREF_SIZE);
            change.getStyleClass().add("tight");
            less.getStyleClass().add("round");
            less.setDisable(blend.more().size() <= blend.kind().leastColours());
            HBox row = new HBox(6, new Swatch(colours.palette().colour(mix).map(c -> c.optics().full().toSrgb()).orElse(slot.wish()), 18),
                    name, change, less);
            row.setAlignment(Pos.CENTER_LEFT);
            more.getChildren().add(row);
            if (adding == i) {
                more.getChildren().add(paints(slot, blend, i));
            }
        }
        if (blend.more().size() < blend.kind().mostColours()) {
            more.getChildren().add(Panel.button("blend-more", "One more colour", "After the others", () -> open(blend.more().size())));
            if (adding == blend.more().size()) {
                more.getChildren().add(paints(slot, blend, adding));
            }
        }
    }

    private void open(int index) {
        adding = adding == index ? -1 : index;
        refresh();
    }

    /** Paints, and the mixes other slots use. */
    private Node paints(Slot slot, Blend blend, int index) {
        FlowPane row = new FlowPane(4, 4);
        List<Mix> choices = new ArrayList<>();
        Optional<PaintKind.Use> material = blend.kind().material();
        if (material.isEmpty()) {
            colours.slots().forEach(s -> colours.mix(s).filter(m -> !choices.contains(m) && !s.equals(slot)).ifPresent(choices::add));
        }
        panel.workbench.studio().shelf().paints().stream()
                .filter(p -> material.map(p.kind()::does)
                        .orElse(!p.kind().does(PaintKind.Use.PRIMES) && !p.kind().clear() && !p.hasNib() && p.kind().laidAsPaint()))
                .map(p -> Mix.of(p.id()))
                .filter(m -> !choices.contains(m)).forEach(choices::add);
        for (Mix mix : choices) {
            colours.palette().colour(mix).ifPresent(colour -> {
                String words = panel.workbench.studio().shelf().words(mix);
                Button dab = Panel.button("blend-paint-" + mix.parts().get(0).paint() + (mix.isSingle() ? "" : "-mix"), "", words, () -> {
                    List<Mix> changed = new ArrayList<>(blend.more());
                    if (index < changed.size()) {
                        changed.set(index, mix);
                    } else {
                        changed.add(mix);
                    }
                    adding = -1;
                    set(b -> b.withColours(changed));
                });
                dab.getStyleClass().setAll("button", "dab");
                dab.setStyle("-fx-background-color: " + colour.optics().full().toSrgb().hex() + ";");
                dab.setAccessibleText(words);
                row.getChildren().add(dab);
            });
        }
        OneStop.in(row);
        return row;
    }
}
