package mosspebble.app.sitting;

import java.time.Duration;
import java.time.LocalTime;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.cloth.NumberLine;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.timetable.Durations;
import mosspebble.core.timetable.Sitting;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Numbers;
import mosspebble.core.words.StepWords;
import mosspebble.instruments.ClimateProbe;

/** When it is done: the room, the times one after the other, ready-when. */
public final class SittingPanel extends Panel {

    private final VBox rows = new VBox(5);
    private Sitting shown;

    public SittingPanel(Workbench workbench, Results show, ClimateProbe probe) {
        super(workbench, show);
        NumberLine hand = new NumberLine("total-hand", "hand time");
        NumberLine wait = new NumberLine("total-wait", "waiting");
        NumberLine ready = new NumberLine("total-ready", "ready after");
        HBox totals = new HBox(14, hand, wait, ready);
        Entry temperature = new Entry("temperature", "Room °C", "Temperature at the bench, 1 to 60 °C",
                () -> Numbers.text(climate().temperature().value(), 1),
                text -> climate("Temperature", text, v -> new Climate(new Celsius(v), climate().humidity(), climate().airSpeed())));
        Entry humidity = new Entry("humidity", "Humidity %", "Relative humidity, 5 to 99 %",
                () -> Numbers.text(100 * climate().humidity(), 0),
                text -> climate("Humidity", text.replace("%", ""),
                        v -> new Climate(climate().temperature(), v / 100, climate().airSpeed())));
        VBox air = Entry.row(temperature, humidity);
        Choice<Boolean> dryer = new Choice<>("Between coats",
                d -> edit(d ? "Use the dryer" : "Dry in the air", p -> p.withHabits(p.habits().withDryer(d))));
        dryer.option("dry-air", "air", false, "Let each coat dry in the room").option("dry-dryer", "hair dryer", true,
                "Warm moving air; never on solvent products");
        rows.setId("sitting-rows");
        getChildren().addAll(totals, air,
                button("read-probe", probe.button("Read the room"), "Takes temperature and humidity now",
                        () -> workbench.editStudio("Read the probe", s -> s.withClimate(probe.read(LocalTime.now())))),
                dryer, heading("One after the other"), rows);
        onRefresh(() -> {
            temperature.refresh();
            humidity.refresh();
            dryer.show(project().map(p -> p.habits().dryer()).orElse(false));
            PaintPlan plan = show.plan();
            if (plan != null) {
                total(hand, plan.handTime());
                total(wait, plan.waiting());
                total(ready, plan.readyAfter());
                if (!plan.sitting().equals(shown)) {
                    shown = plan.sitting();
                    list(plan);
                }
            }
        });
    }

    private static void total(NumberLine line, Duration time) {
        String[] words = Durations.words(time).split(" ", 2);
        line.show(words[0], words.length > 1 ? words[1] : "");
    }

    private Climate climate() {
        return workbench.studio().climate();
    }

    private interface Change {
        Climate to(double value);
    }

    private Optional<String> climate(String what, String text, Change change) {
        try {
            double value = Numbers.parse(text);
            Climate changed = change.to(value);
            workbench.editStudio(what, s -> s.withClimate(changed));
            return Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.of("\"" + text + "\" is not a number. Write something like 20.");
        } catch (IllegalArgumentException e) {
            return Optional.of(e.getMessage());
        }
    }

    private void list(PaintPlan plan) {
        rows.getChildren().clear();
        if (plan.steps().isEmpty()) {
            rows.getChildren().add(quiet("No plan yet: choose a subject in Sketch."));
            return;
        }
        for (int i = 0; i < plan.steps().size(); i++) {
            Step step = plan.steps().get(i);
            Sitting.Step time = plan.sitting().steps().get(i);
            if (time.waited().toSeconds() >= 60) {
                Label wait = quiet("wait " + Durations.words(time.waited()) + " until dry");
                wait.getStyleClass().add("wait");
                rows.getChildren().add(wait);
            }
            Label start = new Label(clock(time.start()));
            start.getStyleClass().add("clock");
            Label words = new Label(StepWords.title(step));
            words.setTooltip(new Tooltip(StepWords.sentence(step)));
            HBox.setHgrow(words, Priority.ALWAYS);
            words.setMaxWidth(Double.MAX_VALUE);
            Label took = quiet(Durations.words(time.end().minus(time.start())));
            took.setMinWidth(Region.USE_PREF_SIZE);
            HBox row = new HBox(8, start, words, took);
            row.setAlignment(Pos.CENTER_LEFT);
            rows.getChildren().add(row);
        }
    }

    private static String clock(Duration start) {
        long minutes = start.toMinutes();
        return minutes < 48 * 60 ? String.format("%d:%02d", minutes / 60, minutes % 60) : "day " + (minutes / (24 * 60) + 1);
    }
}
