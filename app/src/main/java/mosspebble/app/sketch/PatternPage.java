package mosspebble.app.sketch;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.sketch.Family;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.family.Families;
import mosspebble.core.units.Numbers;

/** A pattern made to measure: one field for each of its dials. */
final class PatternPage extends PageView {

    private final SketchPanel panel;
    private final SketchModel sketch;
    private final Label title = Panel.heading("");
    private final VBox dials = new VBox(8);
    private final List<Entry> entries = new ArrayList<>();
    private final Map<Family.Dial, Choice<Integer>> choices = new LinkedHashMap<>();
    private String shown = "";

    PatternPage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        this.sketch = sketch;
        setSpacing(8);
        title.setId("pattern-title");
        Button fit = Panel.button("fit", "Fit to the face", "As large as the face allows (F)", sketch::fit);
        fit.getStyleClass().add("main");
        fit.setMaxWidth(Double.MAX_VALUE);
        getChildren().addAll(title, fit, dials,
                Panel.button("thing-exchange", "Exchange it …", "Another from the library in its place (X)", panel::exchange));
    }

    private Optional<Subject.Pattern> pattern() {
        return panel.workbench.itemInHand().map(i -> i.subject() instanceof Subject.Pattern p ? p : null);
    }

    private void build(Family family) {
        shown = family.id();
        title.setText(family.title());
        dials.getChildren().clear();
        entries.clear();
        choices.clear();
        for (Family.Dial dial : family.dials()) {
            if (!dial.names().isEmpty()) {
                choice(family, dial);
                continue;
            }
            Entry entry = new Entry("dial-" + dial.id(), dial.title(),
                    Numbers.shortText(dial.low()) + " to " + Numbers.shortText(dial.high()) + "; arrow keys and wheel step",
                    () -> Numbers.shortText(value(dial)),
                    text -> Panel.number(text, Numbers.shortText(dial.usual()), v -> take(family, dial, v)))
                    .stepping(steps -> take(family, dial, Math.max(dial.low(), Math.min(dial.high(), value(dial) + steps * dial.step()))));
            entries.add(entry);
            dials.getChildren().add(entry);
        }
    }

    private void choice(Family family, Family.Dial dial) {
        Choice<Integer> choice = new Choice<>(dial.title(), v -> take(family, dial, v));
        for (int i = 0; i < dial.names().size(); i++) {
            choice.option("dial-" + dial.id() + "-" + i, dial.names().get(i), i, dial.title() + ": " + dial.names().get(i));
        }
        choices.put(dial, choice);
        dials.getChildren().add(choice);
    }

    private double value(Family.Dial dial) {
        return Family.value(dial, pattern().map(Subject.Pattern::values).orElse(Map.of()));
    }

    private Optional<String> take(Family family, Family.Dial dial, double value) {
        double held = dial.whole() ? Math.round(value) : value;
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
        String wanted = pattern().map(Subject.Pattern::family).orElse("");
        if (!wanted.equals(shown)) {
            Families.list().stream().filter(f -> f.id().equals(wanted)).findFirst().ifPresent(this::build);
        }
        entries.forEach(Entry::refresh);
        choices.forEach((dial, choice) -> choice.show((int) Math.round(value(dial))));
    }
}
