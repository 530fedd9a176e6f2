package mosspebble.core.area;

import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;

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

    /** Work from 1 thing. */
    public interface Work1<A, T> {
        T from(A a, Remembered memory);
    }

    /** Work from 2 things. */
    public interface Work2<A, B, T> {
        T from(A a, B b, Remembered memory);
    }

    /** Work from 3 things. */
    public interface Work3<A, B, C, T> {
        T from(A a, B b, C c, Remembered memory);
    }

    /** Work from 4 things. */
    public interface Work4<A, B, C, D, T> {
        T from(A a, B b, C c, D d, Remembered memory);
    }

    /** Work from 5 things. */
    public interface Work5<A, B, C, D, E, T> {
        T from(A a, B b, C c, D d, E e, Remembered memory);
    }

    /** Work from 6 things. */
    public interface Work6<A, B, C, D, E, F, T> {
        T from(A a, B b, C c, D d, E e, F f, Remembered memory);
    }

    /** Work from 7 things. */
    public interface Work7<A, B, C, D, E, F, G, T> {
        T from(A a, B b, C c, D d, E e, F f, G g, Remembered memory);
    }

    /**
     * The result of some work, from memory if it was made from the same things; so for the others. The work must reach for nothing but what
     * it is handed: one that captures anything is refused, so that no
     * ingredient can be forgotten.
     *
     * @param name of the work
     * @param work how to make it; its result must not be changed afterwards
     * @throws IllegalArgumentException if the work captures something
     */
    public <A, T> T recall(String name, A a, Work1<A, T> work) {
        return result(work, () -> work.from(a, this), name, a);
    }

    public <A, B, T> T recall(String name, A a, B b, Work2<A, B, T> work) {
        return result(work, () -> work.from(a, b, this), name, a, b);
    }

    public <A, B, C, T> T recall(String name, A a, B b, C c, Work3<A, B, C, T> work) {
        return result(work, () -> work.from(a, b, c, this), name, a, b, c);
    }

    public <A, B, C, D, T> T recall(String name, A a, B b, C c, D d, Work4<A, B, C, D, T> work) {
        return result(work, () -> work.from(a, b, c, d, this), name, a, b, c, d);
    }

    public <A, B, C, D, E, T> T recall(String name, A a, B b, C c, D d, E e, Work5<A, B, C, D, E, T> work) {
        return result(work, () -> work.from(a, b, c, d, e, this), name, a, b, c, d, e);
    }

    public <A, B, C, D, E, F, T> T recall(String name, A a, B b, C c, D d, E e, F f, Work6<A, B, C, D, E, F, T> work) {
        return result(work, () -> work.from(a, b, c, d, e, f, this), name, a, b, c, d, e, f);
    }

    public <A, B, C, D, E, F, G, T> T recall(String name, A a, B b, C c, D d, E e, F f, G g, Work7<A, B, C, D, E, F, G, T> work) {
        return result(work, () -> work.from(a, b, c, d, e, f, g, this), name, a, b, c, d, e, f, g);
    }

    /** Whether the work of a class carries something along that it is not found by. */
    private static final ClassValue<Boolean> CAPTURES = new ClassValue<>() {
        @Override
        protected Boolean computeValue(Class<?> type) {
            return Arrays.stream(type.getDeclaredFields()).anyMatch(field -> !Modifier.isStatic(field.getModifiers()));
        }
    };

    @SuppressWarnings("unchecked")
    private <T> T result(Object work, Supplier<T> run, Object... from) {
        if (CAPTURES.get(work.getClass())) {
            throw new IllegalArgumentException("the work " + from[0] + " reaches for something that it is not found by");
        }
        Key key = Key.of(from);
        Result known = results.get(key);
        if (known == null) {
            known = new Result(run.get());
            results.put(key, known);
        }
        known.asked = plan;
        return (T) known.value;
    }

    /** Work on areas that comes out alike wherever they lie. */
    public interface Anywhere<A> {
        Geometry from(Geometry area, List<Geometry> others, A how, Remembered memory);
    }

    /**
     * The result of work on areas that comes out alike wherever they lie: if all were moved alike, it is done where they come from, and
     * its result is moved. It is so done whether it is remembered or not, so that a plan does not depend on the plan before.
     *
     * @param name of the work
     * @param how what else it is made from
     */
    public <A> Geometry anywhere(String name, Geometry area, List<Geometry> others, A how, Anywhere<A> work) {
        List<Geometry> all = new ArrayList<>(others);
        all.add(area);
        Optional<Moved> moved = Moved.alike(all);
        Geometry home = moved.isPresent() ? Moved.home(area) : area;
        List<Geometry> rest = moved.isPresent() ? others.stream().map(Moved::home).toList() : others;
        Geometry result = result(work, () -> work.from(home, rest, how, this), name, home, rest, how);
        return moved.map(by -> moved(result, by.dx(), by.dy())).orElse(result);
    }

    /** An area moved straight, mm; what was worked out for it before it moved is found again. */
    public Geometry moved(Geometry area, double dx, double dy) {
        return recall("moved", area, dx, dy, (home, x, y, memory) -> Moved.by(home, x, y));
    }

    /** The area that this one was before it was moved: for measures that do not change with the place. */
    public Geometry home(Geometry area) {
        return Moved.home(area);
    }

    /** An area grown, remembered. */
    public Geometry grown(Geometry area, double mm) {
        return area.isEmpty() ? area : anywhere("grown", area, List.of(), mm, (a, none, by, memory) -> Shapes.grown(a, by));
    }

    /** An area less another, remembered. */
    public Geometry minus(Geometry area, Geometry cut) {
        return area.isEmpty() || cut.isEmpty() || !area.getEnvelopeInternal().intersects(cut.getEnvelopeInternal()) ? area
                : anywhere("minus", area, List.of(cut), "", (a, c, none, memory) -> Shapes.minus(a, c.get(0)));
    }

    /** What two areas have in common, remembered. */
    public Geometry common(Geometry area, Geometry other) {
        return area.isEmpty() || other.isEmpty() || !area.getEnvelopeInternal().intersects(other.getEnvelopeInternal()) ? Shapes.nothing()
                : anywhere("common", area, List.of(other), "", (a, o, none, memory) -> Shapes.common(a, o.get(0)));
    }

    /** What of an area lies within another: the area itself, if all of it does. */
    public Geometry within(Geometry area, Geometry room) {
        if (area.isEmpty() || covers(room, area)) {
            return area;
        }
        return Cut.of(area).map(cut -> keptFree(within(cut.whole(), room), cut.by())).orElseGet(() -> common(area, room));
    }

    /** Whether an area covers all of another, or of a line. */
    public boolean covers(Geometry room, Geometry other) {
        return recall("covers", room, other, (all, o, memory) -> memory.prepared(all).covers(o));
    }

    private PreparedGeometry prepared(Geometry area) {
        return recall("prepared", area, (a, memory) -> PreparedGeometryFactory.prepare(a));
    }

    /** Areas together, remembered; so is each group of them that is apart from the others. */
    public Geometry union(List<Geometry> areas) {
        if (areas.isEmpty()) {
            return Shapes.nothing();
        }
        return areas.size() == 1 ? areas.get(0)
                : anywhere("union", areas.get(0), areas.subList(1, areas.size()), "",
                        (first, others, none, memory) -> memory.union(first, others));
    }

    private Geometry union(Geometry first, List<Geometry> others) {
        List<Geometry> all = new ArrayList<>(List.of(first));
        all.addAll(others);
        List<List<Geometry>> near = Shapes.near(all);
        return near.size() == 1 ? Shapes.union(all) : Shapes.apart(near.stream().map(this::joined).toList());
    }

    private Geometry joined(List<Geometry> near) {
        return near.size() == 1 ? near.get(0) : recall("joined", near, (group, memory) -> Shapes.union(group));
    }

    /** A line as broad as a nib, remembered. */
    public Geometry stroke(Geometry line, double nibMm) {
        return anywhere("stroke", line, List.of(), nibMm, (l, none, nib, memory) -> Shapes.stroke(l, nib));
    }

    /**
     * An area less what is kept free of it. Further cuts are made in the whole area first, where they need not be made anew when what is
     * kept free has moved.
     */
    public Geometry keptFree(Geometry area, Geometry kept) {
        Geometry left = minus(area, kept);
        if (left != area && !left.isEmpty() && Moved.of(left).isEmpty()) {
            left.setUserData(new Cut(area, kept, left));
        }
        return left;
    }

    /** What an area was before something was kept free of it, if another one is cut by the same; else itself. */
    public Geometry whole(Geometry area, Geometry likeThis) {
        return Cut.of(area).filter(cut -> Cut.of(likeThis).filter(other -> other.by() == cut.by()).isPresent()).map(Cut::whole)
                .orElse(area);
    }

    /** An area less several others, remembered: first those that were moved as it was. */
    public Geometry without(Geometry area, List<Geometry> others) {
        Optional<Cut> free = Cut.of(area);
        if (free.isEmpty()) {
            return cut(area, others);
        }
        Map<Boolean, List<Geometry>> stay = others.stream().collect(Collectors.partitioningBy(other -> Moved.of(other).isEmpty()));
        Geometry whole = free.get().whole();
        Geometry left = without(whole, stay.get(true).stream().map(other -> whole(other, area)).toList());
        return cut(left == whole ? area : keptFree(left, free.get().by()), stay.get(false));
    }

    private Geometry cut(Geometry area, List<Geometry> others) {
        Optional<Moved> moved = Moved.of(area);
        List<Geometry> alike = new ArrayList<>();
        List<Geometry> rest = new ArrayList<>();
        for (Geometry other : others) {
            if (other.getEnvelopeInternal().intersects(area.getEnvelopeInternal())) {
                boolean too = moved.flatMap(m -> Moved.of(other).filter(m::isLike)).isPresent();
                (too ? alike : rest).add(other);
            }
        }
        return cutAll(cutAll(area, alike), rest);
    }

    private Geometry cutAll(Geometry area, List<Geometry> others) {
        return area.isEmpty() || others.isEmpty() ? area
                : anywhere("without", area, together(others), "", (a, all, none, memory) -> Shapes.minus(a, all));
    }

    /** Areas put together as far as they were moved alike: their union is then known wherever they go. */
    private List<Geometry> together(List<Geometry> areas) {
        Map<List<Double>, List<Geometry>> alike = new LinkedHashMap<>();
        for (Geometry area : areas) {
            alike.computeIfAbsent(Moved.of(area).map(moved -> List.of(moved.dx(), moved.dy())).orElse(List.of()), by -> new ArrayList<>())
                    .add(area);
        }
        return alike.values().stream().map(this::union).toList();
    }
}
