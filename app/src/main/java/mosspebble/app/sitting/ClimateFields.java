package mosspebble.app.sitting;

import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Entry;
import mosspebble.core.drying.Climate;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Numbers;

/** Temperature and humidity of a room, typed. */
final class ClimateFields {

    private final Supplier<Climate> current;
    private final Consumer<Climate> changed;
    private final Entry temperature;
    private final Entry humidity;

    /** @param ids stands before the names by which the fields are found */
    ClimateFields(String ids, Supplier<Climate> current, Consumer<Climate> changed) {
        this.current = current;
        this.changed = changed;
        temperature = new Entry(ids + "temperature", "Room °C", "Temperature at the bench, 1 to 60 °C",
                () -> Numbers.text(current.get().temperature().value(), 1),
                text -> read(text, v -> new Climate(new Celsius(v), current.get().humidity(), current.get().airSpeed())));
        humidity = new Entry(ids + "humidity", "Humidity %", "Relative humidity, 5 to 99 %",
                () -> Numbers.text(100 * current.get().humidity(), 0), text -> read(text.replace("%", ""),
                        v -> new Climate(current.get().temperature(), v / 100, current.get().airSpeed())));
    }

    /** Both beside one another, and what else belongs to them. */
    VBox row(Region... more) {
        Region[] all = new Region[more.length + 2];
        all[0] = temperature;
        all[1] = humidity;
        System.arraycopy(more, 0, all, 2, more.length);
        return Entry.row(all);
    }

    void refresh() {
        temperature.refresh();
        humidity.refresh();
    }

    private interface Change {
        Climate to(double value);
    }

    private Optional<String> read(String text, Change change) {
        try {
            changed.accept(change.to(Numbers.parse(text)));
            return Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.of("\"" + text + "\" is not a number. Write something like 20.");
        } catch (IllegalArgumentException e) {
            return Optional.of(e.getMessage());
        }
    }
}
