package mosspebble.app.stone;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.stone.Patch;
import mosspebble.core.units.Millimetres;

/** Marks on the relief: placed with a click on the stone, listed, sized, taken away. */
final class MarksPage extends PageView {

    private final StonePanel panel;
    private final StoneModel bench;
    private final Choice<Patch.Kind> kinds;
    private final VBox list = new VBox(4);
    private final VBox sizes;
    private final Entry radius;
    private final Entry depth;
    private final Button remove;

    MarksPage(StonePanel panel, StoneModel bench) {
        this.panel = panel;
        this.bench = bench;
        kinds = new Choice<>("Mark a", k -> bench.placingProperty().set(k));
        for (Patch.Kind kind : Patch.Kind.values()) {
            kinds.option("mark-" + kind.label(), kind.label(), kind,
                    kind == Patch.Kind.CRACK ? "Then drag along the crack on the stone" : "Then click where the " + kind.label() + " is");
        }
        radius = panel.lengthEntry("mark-radius", "Reach", "From its middle to where it ends; half the width of a crack",
                () -> new Millimetres(mark().map(Patch::radiusMm).orElse(0.0)),
                v -> change("Size of the mark", p -> p.sized(v.value(), p.depthMm())));
        depth = panel.lengthEntry("mark-depth", "Depth", "How deep it goes, or how high a bump stands",
                () -> new Millimetres(mark().map(Patch::depthMm).orElse(0.0)),
                v -> change("Depth of the mark", p -> p.sized(p.radiusMm(), v.value())));
        remove = Panel.button("mark-remove", "Take away", "Takes the mark away (Delete)", this::remove);
        sizes = Entry.row(radius, depth);
        HBox.setHgrow(radius, Priority.ALWAYS);
        HBox.setHgrow(depth, Priority.ALWAYS);
        bench.markProperty().addListener((o, a, b) -> refresh());
        bench.placingProperty().addListener((o, a, b) -> kinds.show(b));
        getChildren().addAll(kinds, list, sizes, remove);
    }

    private Optional<Patch> mark() {
        int number = bench.markProperty().get();
        List<Patch> patches = panel.stone().patches();
        return number >= 0 && number < patches.size() ? Optional.of(patches.get(number)) : Optional.empty();
    }

    private interface Change {
        Patch to(Patch patch);
    }

    private Optional<String> change(String title, Change change) {
        int number = bench.markProperty().get();
        return panel.tryEdit(title, p -> {
            List<Patch> patches = new ArrayList<>(p.stone().patches());
            patches.set(number, change.to(patches.get(number)));
            return p.withStone(p.stone().withPatches(patches));
        });
    }

    private void remove() {
        int number = bench.markProperty().get();
        bench.markProperty().set(-1);
        panel.edit("Take the mark away", p -> {
            List<Patch> patches = new ArrayList<>(p.stone().patches());
            patches.remove(number);
            return p.withStone(p.stone().withPatches(patches));
        });
    }

    @Override
    public void refresh() {
        kinds.show(bench.placingProperty().get());
        List<Patch> patches = panel.stone().patches();
        list.getChildren().clear();
        for (int i = 0; i < patches.size(); i++) {
            Patch patch = patches.get(i);
            int number = i;
            ToggleButton row = new ToggleButton(patch.kind().label() + ", " + panel.words(new Millimetres(patch.depthMm()))
                    + (patch.kind() == Patch.Kind.BUMP ? " high" : " deep") + (patch.onBack() ? ", on the back" : ""));
            row.setId("mark-row-" + i);
            row.getStyleClass().add("pebble");
            row.setMaxWidth(Double.MAX_VALUE);
            Hint.on(row, "Take this " + patch.kind().label().toLowerCase(Locale.ROOT) + " in hand; arrow keys on the cloth move it");
            row.setSelected(bench.markProperty().get() == i);
            row.setOnAction(e -> bench.markProperty().set(row.isSelected() ? number : -1));
            list.getChildren().add(row);
        }
        if (patches.isEmpty()) {
            list.getChildren().add(Panel.quiet(
                    "Nothing marked. A dent can become an eye, a bump a nose; faces and letters keep off cracks; deep holes are filled."));
        }
        boolean chosen = mark().isPresent();
        Panel.present(sizes, chosen);
        Panel.present(remove, chosen);
        radius.refresh();
        depth.refresh();
    }
}
