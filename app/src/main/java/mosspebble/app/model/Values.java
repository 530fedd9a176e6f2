package mosspebble.app.model;

import java.lang.reflect.RecordComponent;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.units.Numbers;

/** Tells in a few words which value a change changed, for what undo is called: "320 to 45", "where needed to never". */
final class Values {

    private Values() {}

    /**
     * The one value in which two records differ, before and after; empty if they differ in none, or in several that did not change alike.
     */
    static Optional<String> changed(Record before, Record after) {
        Set<String> found = new LinkedHashSet<>();
        return differ(before, after, found) && found.size() == 1 ? found.stream().findFirst() : Optional.empty();
    }

    /** Collects what differs; answers whether all of it are single values. */
    private static boolean differ(Object before, Object after, Set<String> found) {
        if (Objects.equals(before, after)) {
            return true;
        }
        if (before instanceof Optional<?> one && after instanceof Optional<?> other) {
            return one.isPresent() && other.isPresent() && differ(one.get(), other.get(), found);
        }
        if (before instanceof Number one && after instanceof Number other) {
            return found.add(Numbers.shortText(one.doubleValue()) + " to " + Numbers.shortText(other.doubleValue())) || !found.isEmpty();
        }
        if (before instanceof Enum<?> one && after instanceof Enum<?> other) {
            return found.add(word(one) + " to " + word(other)) || !found.isEmpty();
        }
        if (before instanceof Record one && after instanceof Record other && one.getClass() == other.getClass()) {
            for (RecordComponent component : one.getClass().getRecordComponents()) {
                if (!differ(value(component, one), value(component, other), found)) {
                    return false;
                }
            }
            return true;
        }
        return false;
    }

    private static Object value(RecordComponent component, Record of) {
        try {
            return component.getAccessor().invoke(of);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("a value cannot be read: " + component, e);
        }
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
