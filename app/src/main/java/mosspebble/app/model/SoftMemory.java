package mosspebble.app.model;

import java.lang.ref.SoftReference;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.Supplier;

/**
 * What was worked out before, found again by everything it was made from. Given up when the room is wanted, the longest unused first. For
 * values that nobody changes; may be asked from any thread.
 *
 * @param <K> all the ingredients, by equality
 */
final class SoftMemory<K, V> {

    /** Both are given up together: an ingredient may be as large as what was made of it. */
    private record Entry<K, V>(K key, V value) {}

    private final int most;
    private final Map<Integer, SoftReference<Entry<K, V>>> kept = new LinkedHashMap<>(16, 0.75f, true);

    /** @param most values kept at most, at least 1 */
    SoftMemory(int most) {
        this.most = most;
    }

    /** The value of these ingredients, made if it is not known. */
    V of(K key, Supplier<V> work) {
        return of(key, work, made -> true);
    }

    /** The same where what was made may be of no use, such as a picture that was given up half way: that is handed back, not kept. */
    V of(K key, Supplier<V> work, Predicate<V> whole) {
        V known = known(key);
        if (known != null) {
            return known;
        }
        V made = work.get();
        if (whole.test(made)) {
            keep(key, made);
        }
        return made;
    }

    private synchronized V known(K key) {
        SoftReference<Entry<K, V>> found = kept.get(key.hashCode());
        Entry<K, V> entry = found == null ? null : found.get();
        return entry != null && entry.key.equals(key) ? entry.value : null;
    }

    /** What has the same hash by chance makes way. */
    private synchronized void keep(K key, V value) {
        kept.values().removeIf(one -> one.get() == null);
        kept.put(key.hashCode(), new SoftReference<>(new Entry<>(key, value)));
        if (kept.size() > most) {
            kept.remove(kept.keySet().iterator().next());
        }
    }
}
