package mosspebble.core.supplies;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.units.Millilitres;

/**
 * One paint's jar before and after some stones.
 *
 * @param paint id on the shelf
 * @param left in it now
 * @param needed for all of them
 * @param runsOutAt the stone, by id, for which it does not reach any more, in the order in which they are painted; empty where it does
 */
public record Jar(String paint, Millilitres left, Millilitres needed, Optional<String> runsOutAt) {

    /** What is left after it, 0 where it does not reach. */
    public Millilitres after() {
        return new Millilitres(Math.max(0, left.value() - needed.value()));
    }

    /** What is missing, 0 where it reaches. */
    public Millilitres missing() {
        return new Millilitres(Math.max(0, needed.value() - left.value()));
    }

    /** How many full jars must be bought; 0 where it reaches, or where it is not known what one holds. */
    public int toBuy(double fullMl) {
        return fullMl > 0 ? (int) Math.ceil(missing().value() / fullMl - 1e-9) : 0;
    }

    /**
     * The jars of all paints that are used.
     *
     * @param stones what each stone takes, by its id, in the order in which they are painted
     * @return those that run out first, then those of which the largest share goes
     */
    public static List<Jar> of(Map<String, List<PaintUse>> stones) {
        Map<String, Jar> jars = new LinkedHashMap<>();
        stones.forEach((stone, uses) -> uses.forEach(use -> {
            Jar before = jars.getOrDefault(use.paint(), new Jar(use.paint(), use.left(), new Millilitres(0), Optional.empty()));
            Millilitres needed = new Millilitres(before.needed.value() + use.needed().value());
            jars.put(use.paint(), new Jar(use.paint(), before.left, needed,
                    before.runsOutAt.or(() -> needed.compareTo(before.left) > 0 ? Optional.of(stone) : Optional.empty())));
        }));
        List<Jar> all = new ArrayList<>(jars.values());
        all.sort(Comparator.comparing((Jar j) -> j.runsOutAt.isEmpty())
                .thenComparing(j -> -j.needed.value() / Math.max(1e-9, j.left.value())).thenComparing(Jar::paint));
        return all;
    }
}
