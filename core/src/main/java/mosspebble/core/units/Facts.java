package mosspebble.core.units;

import java.time.Duration;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The named values that a sentence is made of: text that someone else wrote (names of parts, paints, places), numbers, times, yes or no. No
 * sentence itself.
 *
 * @param values by name, in the order they were given
 */
public record Facts(Map<String, Object> values) {

    /** Something else that has a name in words. */
    public interface Named {}

    private static final Facts NONE = new Facts(Map.of());

    public Facts {
        values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
        values.forEach((name, value) -> {
            if (!(value instanceof String || value instanceof Number || value instanceof Boolean || value instanceof Duration
                    || value instanceof Enum || value instanceof Named)) {
                throw new IllegalArgumentException(
                        "the fact " + name + " must be text, a number, a time, a choice, a named thing, or yes or no");
            }
        });
    }

    public static Facts none() {
        return NONE;
    }

    public static Facts of(String name, Object value) {
        return NONE.and(name, value);
    }

    /** One more. */
    public Facts and(String name, Object value) {
        Map<String, Object> more = new LinkedHashMap<>(values);
        more.put(name, value);
        return new Facts(more);
    }

    public boolean has(String name) {
        return values.containsKey(name);
    }

    /** @throws IllegalArgumentException if there is no such text; so for the others */
    public String text(String name) {
        return get(name, String.class);
    }

    public double number(String name) {
        return get(name, Number.class).doubleValue();
    }

    public int count(String name) {
        return get(name, Number.class).intValue();
    }

    public boolean is(String name) {
        return get(name, Boolean.class);
    }

    public Duration time(String name) {
        return get(name, Duration.class);
    }

    /** @param <E> the choices */
    public <E extends Enum<E>> E choice(String name, Class<E> choices) {
        return get(name, choices);
    }

    /** A thing that has a name in words. */
    public <T extends Named> T thing(String name, Class<T> type) {
        return get(name, type);
    }

    private <T> T get(String name, Class<T> type) {
        Object value = values.get(name);
        if (!type.isInstance(value)) {
            throw new IllegalArgumentException(
                    "there is no fact " + name + " of the kind " + type.getSimpleName() + " among " + values.keySet());
        }
        return type.cast(value);
    }
}
