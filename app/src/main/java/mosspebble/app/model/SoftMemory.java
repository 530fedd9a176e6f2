package mosspebble.app.model;

import java.lang.ref.SoftReference;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.ToLongFunction;

/**
 * What was worked out before, found again by everything it was made from. Given up when the room is wanted, the longest unused first. For
 * values that nobody changes; may be asked from any thread.
 *
 * @param <K> all the ingredients, by equality
 */
final class SoftMemory<K, V> {

    /** Both are given up together: an ingredient may be as large as what was made of it. */
    private record Entry<K, V>(K key, V value) {}

    private record Held<K, V>(SoftReference<Entry<K, V>> soft, long size) {}

    private final long most;
    private final ToLongFunction<K> size;
    private final Map<Integer, Held<K, V>> kept = new LinkedHashMap<>(16, 0.75f, true);

    /** @param most values kept at most, at least 1 */
    SoftMemory(int most) {
        this(most, key -> 1);
    }

    /**
     * Of values that differ much in size.
     *
     * @param most of all sizes together; the last value is kept however large it is
     * @param size of the value of a key
     */
    SoftMemory(long most, ToLongFunction<K> size) {
        this.most = most;
        this.size = size;
    }

    /** How a value is made. */
    interface Work<V, E extends Exception> {
        V make() throws E;
    }

    /** The value of these ingredients, made if it is not known. */
    <E extends Exception> V of(K key, Work<V, E> work) throws E {
        return of(key, work, made -> true);
    }

    /** The same where what was made may be of no use, such as a picture that was given up half way: that is handed back, not kept. */
    <E extends Exception> V of(K key, Work<V, E> work, Predicate<V> whole) throws E {
        V known = known(key);
        if (known != null) {
            return known;
        }
        V made = work.make();
        if (whole.test(made)) {
            keep(key, made);
        }
        return made;
    }

    private synchronized V known(K key) {
        Held<K, V> found = kept.get(key.hashCode());
        Entry<K, V> entry = found == null ? null : found.soft.get();
        return entry != null && entry.key.equals(key) ? entry.value : null;
    }

    /** What has the same hash by chance makes way. */
    private synchronized void keep(K key, V value) {
        kept.values().removeIf(one -> one.soft.get() == null);
        kept.put(key.hashCode(), new Held<>(new SoftReference<>(new Entry<>(key, value)), size.applyAsLong(key)));
        long all = kept.values().stream().mapToLong(Held::size).sum();
        Iterator<Held<K, V>> eldest = kept.values().iterator();
        while (all > most && kept.size() > 1) {
            all -= eldest.next().size();
            eldest.remove();
        }
    }
}
