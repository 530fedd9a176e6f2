package mosspebble.core.area;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.locationtech.jts.geom.Geometry;

/**
 * What was worked out for the plan before, so that the next plan works out only what changed. A result is found again by the name of the
 * work and what it was made from: areas by
 * identity, everything else by equality. What half a dozen plans in a row did not ask for is forgotten. Belongs to one thread at a time.
 */
public final class Remembered {

    private record Key(Object[] from, int hash) {

        static Key of(Object[] from) {
            int hash = 1;
            for (Object each : from) {
                hash = 31 * hash + hash(each);
            }
            return new Key(from, hash);
        }

        private static int hash(Object each) {
            if (each instanceof List<?> list) {
                int hash = 7;
                for (Object one : list) {
                    hash = 31 * hash + hash(one);
                }
                return hash;
            }
            return each instanceof Geometry ? System.identityHashCode(each) : each.hashCode();
        }

        private static boolean same(Object a, Object b) {
            if (a == b) {
                return true;
            }
            if (a instanceof List<?> one && b instanceof List<?> other) {
                if (one.size() != other.size()) {
                    return false;
                }
                for (int i = 0; i < one.size(); i++) {
                    if (!same(one.get(i), other.get(i))) {
                        return false;
                    }
                }
                return true;
            }
            return !(a instanceof Geometry) && a.equals(b);
        }

        @Override
        public boolean equals(Object other) {
            if (!(other instanceof Key key) || key.hash != hash || key.from.length != from.length) {
                return false;
            }
            for (int i = 0; i < from.length; i++) {
                if (!same(from[i], key.from[i])) {
                    return false;
                }
            }
            return true;
        }

        @Override
        public int hashCode() {
            return hash;
        }

        @Override
        public String toString() {
            return Arrays.toString(from);
        }
    }

    /** Plans for which a result is kept without being asked for. */
    private static final int KEPT = 6;

    private static final class Result {
        private final Object value;
        private int asked;

        Result(Object value) {
            this.value = value;
        }
    }

    private final Map<Key, Result> results = new HashMap<>();
    private int plan;

    /** Called where a plan begins. */
    public void next() {
        plan++;
        results.values().removeIf(result -> result.asked < plan - KEPT);
    }

    /**
     * The result of some work, from memory if it was made from the same things.
     *
     * @param work how to make it; its result must not be changed afterwards
     * @param from the name of the work and all that goes into it
     */
    @SuppressWarnings("unchecked")
    public <T> T recall(Supplier<T> work, Object... from) {
        Key key = Key.of(from);
        Result known = results.get(key);
        if (known == null) {
            known = new Result(work.get());
            results.put(key, known);
        }
        known.asked = plan;
        return (T) known.value;
    }

    /** An area grown, remembered. */
    public Geometry grown(Geometry area, double mm) {
        return area.isEmpty() ? area : recall(() -> Shapes.grown(area, mm), "grown", area, mm);
    }

    /** An area less another, remembered. */
    public Geometry minus(Geometry area, Geometry cut) {
        return area.isEmpty() || cut.isEmpty() || !area.getEnvelopeInternal().intersects(cut.getEnvelopeInternal()) ? area
                : recall(() -> Shapes.minus(area, cut), "minus", area, cut);
    }

    /** What two areas have in common, remembered. */
    public Geometry common(Geometry area, Geometry other) {
        return area.isEmpty() || other.isEmpty() || !area.getEnvelopeInternal().intersects(other.getEnvelopeInternal()) ? Shapes.nothing()
                : recall(() -> Shapes.common(area, other), "common", area, other);
    }

    /** Areas together, remembered. */
    public Geometry union(List<Geometry> areas) {
        return areas.size() == 1 ? areas.get(0) : recall(() -> Shapes.union(areas), "union", areas);
    }

    /** A line as broad as a nib, remembered. */
    public Geometry stroke(Geometry line, double nibMm) {
        return recall(() -> Shapes.stroke(line, nibMm), "stroke", line, nibMm);
    }

    /** An area less several others, remembered. */
    public Geometry without(Geometry area, List<Geometry> others) {
        return others.isEmpty() ? area : recall(() -> Shapes.minus(area, others), "without", area, others);
    }
}
