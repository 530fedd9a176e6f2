package mosspebble.app.view;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.model.PlanDesk;
import mosspebble.app.model.Show;
import mosspebble.app.model.Workbench;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.plan.Habits;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Project;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;

/** The colours of the design: each slot takes a paint or a mix by parts; the nearest mix from the shelf is proposed. */
final class ColourPanel extends Panel {

    /** The slot that stands for the background. */
    private static final Slot GROUND = new Slot("", "Ground", Srgb.ofHex("#f3efe4"));

    private static final int MOST_PARTS = 8;

    private final PlanDesk desk;
    private final PlanDesk.Line searching = new PlanDesk.Line();
    private final VBox slots = new VBox(3);
    private final VBox editor = new VBox(8);
    private final Label proposal = quiet("");
    private String selected = "";
    private boolean groundSelected;
    private Object shown;

    ColourPanel(Workbench workbench, Show show, PlanDesk desk) {
        super(workbench, show);
        this.desk = desk;
        slots.setId("slots");
        editor.getStyleClass().add("inset");
        proposal.setId("proposal");
        getChildren().addAll(slots);
        onRefresh(this::rebuild);
    }

    private List<Slot> all() {
        List<Slot> found = new ArrayList<>();
        Optional.ofNullable(show.plan()).flatMap(PaintPlan::design).ifPresent(d -> found.addAll(d.slots()));
        if (project().isPresent() && project().get().habits().ground() != Habits.Ground.BARE) {
            found.add(GROUND);
        }
        return found;
    }

    private Optional<Mix> mix(Slot slot) {
        return slot == GROUND ? project().flatMap(Project::ground) : project().map(p -> p.colours().get(slot.id()));
    }

    private boolean isSelected(Slot slot) {
        return slot == GROUND ? groundSelected : !groundSelected && slot.id().equals(selected);
    }

    private void rebuild() {
        List<Slot> all = all();
        if (all.stream().noneMatch(this::isSelected) && !all.isEmpty()) {
            select(all.get(0));
        }
        Object now = List.of(all, project().map(Project::colours).toString(), project().map(p -> p.ground().toString()).toString(), workbench.studio().shelf(), selected, groundSelected);
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        slots.getChildren().clear();
        if (all.isEmpty()) {
            slots.getChildren().add(quiet("Choose a subject in Sketch; its colours then stand here."));
            return;
        }
        Palette palette = new Palette(workbench.studio().shelf());
        for (Slot slot : all) {
            slots.getChildren().add(row(slot, palette));
            if (isSelected(slot)) {
                fillEditor(slot, palette);
                slots.getChildren().add(editor);
            }
        }
    }

    private void select(Slot slot) {
        groundSelected = slot == GROUND;
        selected = slot.id();
        proposal.setText("");
    }

    private Node row(Slot slot, Palette palette) {
        Optional<Mix> mix = mix(slot);
        Srgb look = mix.flatMap(palette::colour).map(c -> c.optics().full().toSrgb()).orElse(slot.wish());
        Label name = new Label(slot.title());
        name.getStyleClass().add("slot-name");
        name.setMinWidth(Region.USE_PREF_SIZE);
        Label words = new Label(mix.map(workbench.studio().shelf()::words).orElse(slot == GROUND ? "bare stone" : "no colour yet"));
        words.getStyleClass().add("quiet");
        HBox content = new HBox(8, new Swatch(look, 22), name, words);
        content.setAlignment(Pos.CENTER_LEFT);
        Button row = new Button();
        row.setId("slot-" + (slot == GROUND ? "ground" : slot.id()));
        row.setGraphic(content);
        row.getStyleClass().add("slot");
        if (isSelected(slot)) {
            row.getStyleClass().add("chosen");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setAccessibleText(slot.title() + ": " + words.getText());
        row.setOnAction(e -> {
            select(slot);
            rebuild();
        });
        return row;
    }

    private void fillEditor(Slot slot, Palette palette) {
        editor.getChildren().clear();
        Optional<Mix> mix = mix(slot);
        if (mix.isPresent()) {
            for (Mix.Part part : mix.get().parts()) {
                editor.getChildren().add(partRow(slot, mix.get(), part));
            }
        }
        Button nearest = button("nearest", "Nearest mix to its wish", "Tries every mix of up to three paints and " + MOST_PARTS + " parts", () -> search(slot));
        HBox search = new HBox(8, nearest, new Swatch(slot.wish(), 22));
        search.setAlignment(Pos.CENTER_LEFT);
        if (slot == GROUND) {
            Button none = button("ground-none", "Leave bare", "No ground colour: the stone shows", () -> edit("Leave the ground bare", p -> p.withGround(Optional.empty())));
            search.getChildren().setAll(none);
        }
        editor.getChildren().addAll(search, proposal, quiet(mix.isPresent() ? "Click a paint to take it alone, Shift-click to add a part." : "Click a paint to take it."), shelf(slot, palette));
        present(proposal, !proposal.getText().isEmpty());
    }

    private Node partRow(Slot slot, Mix mix, Mix.Part part) {
        Paint paint = workbench.studio().shelf().find(part.paint()).orElse(null);
        Label name = new Label(paint == null ? part.paint() + " (not on the shelf)" : paint.name());
        HBox.setHgrow(name, Priority.ALWAYS);
        name.setMaxWidth(Double.MAX_VALUE);
        Label count = new Label(part.parts() + (part.parts() == 1 ? " part" : " parts"));
        count.getStyleClass().add("value");
        Button less = button("less-" + part.paint(), "−", "One part less", () -> set(slot, changed(mix, part.paint(), -1)));
        Button more = button("more-" + part.paint(), "+", "One part more", () -> set(slot, changed(mix, part.paint(), 1)));
        for (Button b : new Button[] {less, more}) {
            b.getStyleClass().add("round");
        }
        HBox row = new HBox(6, new Swatch(paint == null ? Srgb.ofHex("#999999") : paint.swatch(), 16), name, less, count, more);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private Node shelf(Slot slot, Palette palette) {
        FlowPane shelf = new FlowPane(5, 5);
        for (Paint paint : palette.shelf().paints()) {
            if (paint.kind() == PaintKind.PRIMER || paint.kind().clear()) {
                continue;
            }
            Button dab = new Button(paint.hasNib() ? Numbers.text(paint.tip().value(), 1) : "");
            dab.setId("paint-" + paint.id());
            dab.getStyleClass().addAll("dab", "paint");
            boolean dark = Lab.of(paint.swatch()).l() < 55;
            dab.setStyle("-fx-background-color: " + paint.swatch().hex() + "; -fx-text-fill: " + (dark ? "#ffffff" : "#22271F") + ";");
            String about = paint.name() + ", " + paint.kind().label() + (paint.tip().value() > 0 ? " " + Numbers.text(paint.tip().value(), 1) + " mm" : "") + ", hides "
                    + Math.round(100 * paint.hiding()) + " % in one coat, " + Numbers.text(paint.left().value(), 0) + " ml left";
            dab.setTooltip(new Tooltip(about));
            dab.setAccessibleText(about);
            dab.setOnAction(e -> set(slot, Mix.of(paint.id())));
            dab.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> {
                if (e.isShiftDown()) {
                    mix(slot).ifPresent(m -> set(slot, changed(m, paint.id(), 1)));
                    e.consume();
                }
            });
            shelf.getChildren().add(dab);
        }
        return shelf;
    }

    /** The mix with some parts more or less of a paint; the same mix where that cannot be. */
    private Mix changed(Mix mix, String paint, int by) {
        List<Mix.Part> parts = new ArrayList<>();
        boolean there = false;
        for (Mix.Part part : mix.parts()) {
            boolean same = part.paint().equals(paint);
            there |= same;
            int count = part.parts() + (same ? by : 0);
            if (count > 0) {
                parts.add(new Mix.Part(part.paint(), Math.min(24, count)));
            }
        }
        if (!there && by > 0) {
            Optional<Paint> added = workbench.studio().shelf().find(paint);
            boolean mixes = added.isPresent() && added.get().kind().mixable()
                    && mix.parts().stream().allMatch(p -> workbench.studio().shelf().find(p.paint()).filter(q -> q.kind().mixable()).isPresent());
            if (!mixes) {
                workbench.tell("Pens do not mix. Take it alone.");
                return mix;
            }
            if (parts.size() == 3) {
                workbench.tell("A mix holds three paints. Take one out first.");
                return mix;
            }
            parts.add(new Mix.Part(paint, by));
        }
        return parts.isEmpty() ? mix : new Mix(parts);
    }

    private void set(Slot slot, Mix mix) {
        if (slot == GROUND) {
            edit("Colour of the ground", p -> p.withGround(Optional.of(mix)));
        } else {
            edit("Colour of " + slot.title().toLowerCase(Locale.ROOT), p -> p.withColour(slot.id(), mix));
        }
    }

    private void search(Slot slot) {
        desk.ask(searching, d -> RecipeSearch.nearest(Lab.of(slot.wish()), d.palette(workbench.studio().shelf()), MOST_PARTS, 3), found -> {
            if (found.isEmpty()) {
                workbench.tell("The shelf has no paint that mixes.");
                return;
            }
            double off = found.get().difference();
            proposal.setText(workbench.studio().shelf().words(found.get().mix()) + ": dry it is " + words(off) + " (" + Numbers.text(off, 1) + " CIEDE2000 off).");
            set(slot, found.get().mix());
            present(proposal, true);
        });
    }

    private static String words(double difference) {
        return difference < 1 ? "the same to the eye" : difference < 3 ? "very near" : difference < 6 ? "near" : difference < 12 ? "clearly different" : "far off; buy a paint nearer to it";
    }
}
