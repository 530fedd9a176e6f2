package mosspebble.app.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Measure;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.sketch.Family;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.family.Families;

/**
 * A pattern made to measure: counts are typed, lengths and slopes are slid and seen on the stone meanwhile, and what chance has a part in
 * can be thrown again.
 */
final class PatternPage extends PageView {

    private static final int COUNTS_IN_A_ROW = 3;
    private static final int SLIDERS_IN_A_ROW = 2;

    private final SketchPanel panel;
    private final SketchModel sketch;
    private final VBox dials = new VBox(7);
    private final Button another = Panel.button("dial-seed", "another ↻", "Another of the same kind", this::another);
    private final List<Runnable> refreshed = new ArrayList<>();
    private String shown = "";

    PatternPage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        this.sketch = sketch;
        Button fit = Panel.button("fit", "Fit to the face", "As large as the face allows (F)", sketch::fit);
        fit.getStyleClass().add("main");
        fit.setMaxWidth(Double.MAX_VALUE);
        another.managedProperty().bind(another.visibleProperty());
        getChildren().addAll(fit, dials, new HBox(5, another,
                Panel.button("thing-exchange", "Exchange it …", "Another from the library in its place (X)", panel::exchange)));
    }

    private Optional<Subject.Pattern> pattern() {
        return panel.workbench.itemInHand().map(i -> i.subject() instanceof Subject.Pattern p ? p : null);
    }

    private void build(Family family) {
        shown = family.id();
        refreshed.clear();
        List<Node> choices = new ArrayList<>();
        List<Region> counts = new ArrayList<>();
        List<Region> sliders = new ArrayList<>();
        another.setVisible(false);
        for (Family.Dial dial : family.dials()) {
            switch (dial.scale()) {
                case CHOICE -> choices.add(choice(family, dial));
                case COUNT -> counts.add(count(family, dial));
                case ANOTHER -> another.setVisible(true);
                case SHARE, DEGREES, TURNS -> sliders.add(slider(family, dial));
            }
        }
        dials.getChildren().setAll(rows(counts, COUNTS_IN_A_ROW));
        dials.getChildren().addAll(rows(sliders, SLIDERS_IN_A_ROW));
        dials.getChildren().addAll(choices);
    }

    /** Beside one another, each as wide as its neighbours. */
    private static List<VBox> rows(List<Region> fields, int most) {
        List<VBox> rows = new ArrayList<>();
        for (int i = 0; i < fields.size(); i += most) {
            List<Region> row = fields.subList(i, Math.min(fields.size(), i + most));
            row.forEach(f -> f.setPrefWidth(1));
            rows.add(Entry.row(row.toArray(Region[]::new)));
        }
        return rows;
    }

    private Entry count(Family family, Family.Dial dial) {
        Entry entry = new Entry("dial-" + dial.id(), dial.title(),
                dial.said(dial.low()) + " to " + dial.said(dial.high()) + "; arrow keys and wheel step", () -> dial.said(value(dial)),
                text -> Panel.number(text, dial.said(dial.usual()), v -> take(family, dial, v)))
                .stepping(steps -> take(family, dial, Math.max(dial.low(), Math.min(dial.high(), value(dial) + steps))));
        refreshed.add(entry::refresh);
        return entry;
    }

    private Measure slider(Family family, Family.Dial dial) {
        Measure measure = new Measure("dial-" + dial.id(), dial.title(), dial.said(dial.low()) + " to " + dial.said(dial.high()),
                dial.low(),
                dial.high(), dial.step(), () -> value(dial), dial::said,
                v -> panel.workbench.draftItem(i -> i.subject() instanceof Subject.Pattern p ? i.showing(p.with(dial.id(), v)) : i),
                v -> take(family, dial, v));
        refreshed.add(measure::refresh);
        return measure;
    }

    private Choice<Integer> choice(Family family, Family.Dial dial) {
        Choice<Integer> choice = new Choice<>(dial.title(), v -> take(family, dial, v));
        for (int i = 0; i < dial.names().size(); i++) {
            choice.option("dial-" + dial.id() + "-" + i, dial.names().get(i), i, dial.title() + ": " + dial.names().get(i));
        }
        refreshed.add(() -> choice.show((int) Math.round(value(dial))));
        return choice;
    }

    /** Throws again what chance has a part in: the next of all there are, and after the last the first. */
    private void another() {
        family().ifPresent(family -> family.dials().stream().filter(d -> d.scale() == Family.Scale.ANOTHER).findFirst()
                .ifPresent(d -> take(family, d, value(d) < d.high() ? value(d) + 1 : d.low())));
    }

    private Optional<Family> family() {
        String wanted = pattern().map(Subject.Pattern::family).orElse("");
        return Families.list().stream().filter(f -> f.id().equals(wanted)).findFirst();
    }

    private double value(Family.Dial dial) {
        return Family.value(dial, pattern().map(Subject.Pattern::values).orElse(Map.of()));
    }

    private Optional<String> take(Family family, Family.Dial dial, double value) {
        double held = dial.whole() ? Math.round(value) : Math.max(dial.low(), Math.min(dial.high(), value));
        try {
            family.check(Map.of(dial.id(), held));
        } catch (IllegalArgumentException e) {
            return Optional.of(e.getMessage());
        }
        sketch.change(dial.title(), s -> s instanceof Subject.Pattern p ? p.with(dial.id(), held) : s);
        return Optional.empty();
    }

    @Override
    public void refresh() {
        family().filter(f -> !f.id().equals(shown)).ifPresent(this::build);
        refreshed.forEach(Runnable::run);
    }
}
