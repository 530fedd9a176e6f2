package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mosspebble.core.area.Mask;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Share;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.sketch.PartName;
import org.locationtech.jts.geom.Geometry;

/**
 * How many coats each region needs over every ground it crosses, when all is laid as the arrows run. A region set on several grounds takes
 * its last coats only where it still shows what is below.
 */
final class CoatCount {

    /** A ground counts for the whole region from this share of its cells on; a smaller one gets its own extra coats. */
    private static final double MAIN_GROUND = 0.12;

    /** A ground below this share is lost in the seam. */
    private static final double LEAST_GROUND = 0.015;

    /** Extra coats only where the place is wider than this, mm; what is narrower is a seam. */
    private static final double LEAST_WIDE_MM = 1.6;

    /** Without its seams an area must still be so large a share of itself, else it is counted whole. */
    private static final double CORE = 0.35;

    /** A dark line on something lighter is done when no more than this share of the difference is left (common practice, no source). */
    private static final double DARK_LINE = 0.25;

    /** So many times the area that needs a further coat may get it too, so that a row looks even (common practice, no source). */
    private static final double WORTH_EVENING = 4;

    /** Or where it is not more than that, mm2 (common practice, no source: one dip of a small brush). */
    private static final double SMALL_MM2 = 300;

    /** Glitter takes one coat or two, by eye (common practice, no source). */
    private static final int GLOW_COATS = 2;
    private static final int MOST_GLITTER = 2;

    /** What is no larger than a dot so wide is set with one touch of a small brush, mm (common practice, no source). */
    private static final double TOUCH_MM = 2.5;

    /** A light is set with one stroke of a full brush or pen, so many coats thick, and not gone over (common practice, no source). */
    private static final int FULL_STROKE = 2;

    /** A line is dark on what is so much lighter, L*. */
    private static final double LIGHTER = 25;

    /**
     * The coats of one region.
     *
     * @param places where each coat is laid, mm; the later ones may be smaller
     * @param wanted coats that would hide it all; more than are laid if none ever do
     * @param over what the later coats of a part are laid over: the region below; -1 where they cover all
     * @param onBare whether some of it lies on the bare stone
     * @param thick how many coats thick each is: 1, or more for dots, which are set with one touch
     * @param hiding how sure the number is
     */
    record Coats(List<Geometry> places, int wanted, int over, boolean onBare, int thick, Step.Hiding hiding) {
        int number() {
            return places.size();
        }

        /** Coats over all of the region. */
        private int laid(Region region) {
            return (int) places.stream().filter(p -> p == region.place()).count();
        }
    }

    private final BuildUp built;
    private final Remembered remembered;
    private final FilmMap films;
    private final FilmTable sealedBare;
    private final List<Region> regions;

    private CoatCount(BuildUp built, Remembered remembered, List<Region> regions) {
        this.built = built;
        this.remembered = remembered;
        this.films = built.before(regions.size());
        this.sealedBare = built.sealedBare();
        this.regions = regions;
    }

    /**
     * @param order the regions one by one
     * @param fixed coats that are settled already, such as those of primer, by region
     * @return by region
     */
    static List<Coats> of(List<Region> regions, List<Integer> order, Map<Integer, Integer> fixed, BuildUp built, Remembered remembered) {
        List<Coats> each = of(regions, order, fixed, AsRow.NONE, built, remembered);
        AsRow even = likeTheirRow(regions, each);
        return even.isNone() ? each : of(regions, order, fixed, even, built, remembered);
    }

    /**
     * What regions do as the rest of their row does.
     *
     * @param least coats over all of a region at least
     * @param touched regions set with one thick touch
     * @param brushed small ones that are not, since as many coats of their load are brushed on others anyway
     */
    private record AsRow(Map<Integer, Integer> least, Set<Integer> touched, Set<Integer> brushed) {
        static final AsRow NONE = new AsRow(Map.of(), Set.of(), Set.of());

        boolean isNone() {
            return least.isEmpty() && touched.isEmpty() && brushed.isEmpty();
        }
    }

    /**
     * Parts of one row are done alike, unless that asks for much more paint: nobody gives two spots of six a coat of their own, or strokes
     * two and touches on four.
     */
    private static AsRow likeTheirRow(List<Region> regions, List<Coats> coats) {
        Map<List<Object>, List<Integer>> rows = new LinkedHashMap<>();
        for (int i = 0; i < regions.size(); i++) {
            Region region = regions.get(i);
            if (region.kind() == Step.Kind.FILL && region.hides() && region.wetGroup() < 0 && !region.isLine()
                    && region.what().row().size() > 1) {
                rows.computeIfAbsent(List.of(row(region), region.what().share(), region.colour().mix()), k -> new ArrayList<>()).add(i);
            }
        }
        Map<Integer, Integer> raised = new HashMap<>();
        Set<Integer> touched = new HashSet<>();
        for (List<Integer> each : rows.values()) {
            double dot = each.stream().filter(i -> coats.get(i).thick() > 1).mapToDouble(i -> regions.get(i).place().getArea()).max()
                    .orElse(0);
            each.stream().filter(i -> coats.get(i).thick() == 1 && regions.get(i).place().getArea() <= dot).forEach(touched::add);
            List<Integer> row = each.stream().filter(i -> coats.get(i).thick() == 1 && !touched.contains(i)).toList();
            even(row, regions, coats, raised);
        }
        blends(regions, coats, raised);
        return new AsRow(raised, touched, goingAlong(regions, coats));
    }

    /** What is touched for its smallness alone, and whose load is brushed on something else in as many coats: it goes along with that. */
    private static Set<Integer> goingAlong(List<Region> regions, List<Coats> coats) {
        Map<Mix, Integer> brushed = new HashMap<>();
        for (int i = 0; i < regions.size(); i++) {
            if (regions.get(i).kind() == Step.Kind.FILL && coats.get(i).thick() == 1) {
                brushed.merge(regions.get(i).colour().mix(), coats.get(i).number(), Math::max);
            }
        }
        return IntStream.range(0, regions.size()).filter(i -> regions.get(i).kind() == Step.Kind.FILL && coats.get(i).thick() > 1)
                .filter(i -> Tools.dotMm(regions.get(i).place()) == 0)
                .filter(i -> brushed.getOrDefault(regions.get(i).colour().mix(), 0) >= coats.get(i).wanted()).boxed()
                .collect(Collectors.toSet());
    }

    /** Raises those that take one coat less than the most, unless that asks for much more paint. */
    private static void even(List<Integer> row, List<Region> regions, List<Coats> coats, Map<Integer, Integer> raised) {
        int most = row.stream().mapToInt(i -> coats.get(i).laid(regions.get(i))).max().orElse(0);
        List<Integer> fewer = row.stream().filter(i -> coats.get(i).laid(regions.get(i)) == most - 1).toList();
        double more = fewer.stream().mapToDouble(i -> regions.get(i).place().getArea()).sum();
        double need = row.stream().filter(i -> coats.get(i).laid(regions.get(i)) == most)
                .mapToDouble(i -> regions.get(i).place().getArea()).sum();
        if (more > 0 && (more <= WORTH_EVENING * need || more <= SMALL_MM2)) {
            fewer.forEach(i -> raised.put(i, most));
        }
    }

    /** The colours of a blend are blocked in together, and so are those of all its letters and its like. */
    private static void blends(List<Region> regions, List<Coats> coats, Map<Integer, Integer> raised) {
        Map<Integer, Set<Mix>> mixes = new HashMap<>();
        Set<Integer> joined = new HashSet<>();
        for (Region region : regions) {
            if (isBand(region)) {
                mixes.computeIfAbsent(region.part(), p -> new LinkedHashSet<>()).add(region.colour().mix());
            } else if (region.wetGroup() >= 0 && region.what().share().kind() == Share.Kind.MIXED_STEP) {
                joined.add(region.part());
            }
        }
        Map<List<Object>, List<Integer>> alike = new LinkedHashMap<>();
        for (int i = 0; i < regions.size(); i++) {
            Region region = regions.get(i);
            if (isBand(region) && joined.contains(region.part())) {
                PartName name = PartName.of(region.what().part());
                Object like = name.letterOf().isPresent() ? "letters " + name.with()
                        : region.what().row().size() > 1 ? row(region) : region.part();
                alike.computeIfAbsent(List.of(region.kind(), mixes.get(region.part()), like), k -> new ArrayList<>()).add(i);
            }
        }
        alike.values().forEach(each -> even(each, regions, coats, raised));
    }

    /** What the row of a part is called. */
    private static String row(Region region) {
        String title = region.what().row().title();
        return title.isEmpty() ? PartName.of(region.what().part()).stem() : title;
    }

    private static boolean isBand(Region region) {
        return region.what().share().kind() == Share.Kind.BAND && region.wetGroup() < 0 && region.hides();
    }

    private static List<Coats> of(List<Region> regions, List<Integer> order, Map<Integer, Integer> fixed, AsRow even, BuildUp built,
            Remembered remembered) {
        CoatCount count = new CoatCount(built, remembered, regions);
        Coats[] found = new Coats[regions.size()];
        for (int i : order) {
            found[i] = fixed.containsKey(i) ? new Coats(times(regions.get(i).place(), fixed.get(i)), fixed.get(i), -1, true, 1,
                    Step.Hiding.sure(fixed.get(i)))
                    : count.count(i, even.least.getOrDefault(i, 1), even.touched.contains(i), even.brushed.contains(i));
            Coat coat = built.coat(regions.get(i), i, found[i].thick());
            for (int from = 0; from < found[i].number();) {
                Geometry place = found[i].places().get(from);
                int same = from;
                while (same < found[i].number() && found[i].places().get(same) == place) {
                    same++;
                }
                count.films.lay(built.mask(place), coat, same - from);
                from = same;
            }
        }
        return List.of(found);
    }

    private static List<Geometry> times(Geometry place, int coats) {
        return IntStream.range(0, coats).mapToObj(k -> place).toList();
    }

    private Coats count(int index, int least, boolean touched, boolean brushed) {
        Region region = regions.get(index);
        Coat coat = built.coat(region, index, 1);
        double tolerance = built.tolerance(region);
        boolean onBare = films.cellsUnder(built.mask(region.place())).getOrDefault(0, 0) > 0;
        if (!region.hides()) {
            int flakes = built.flakes(region).map(cover -> cover.coats(region.place().getArea(), MOST_GLITTER))
                    .orElse(built.glows(region) ? GLOW_COATS : 1);
            return new Coats(times(region.place(), flakes), flakes, -1, onBare, 1, Step.Hiding.sure(flakes));
        }
        Map<Integer, Integer> grounds = films.cellsUnder(withoutSeams(region));
        int cells = Math.max(1, grounds.values().stream().mapToInt(Integer::intValue).sum());
        int main = 1;
        List<Over> under = new ArrayList<>();
        Map<Integer, Integer> more = new TreeMap<>();
        for (Map.Entry<Integer, Integer> ground : grounds.entrySet()) {
            double share = (double) ground.getValue() / cells;
            if (share < LEAST_GROUND) {
                continue;
            }
            double allowed = region.isLine() ? lineTolerance(ground.getKey(), region, tolerance) : tolerance;
            int coats = coatsOver(ground.getKey(), coat, allowed);
            if (share >= MAIN_GROUND || region.isLine()) {
                main = Math.max(main, coats);
                under.add(new Over(ground.getKey(), allowed));
            } else {
                int below = films.table().film(ground.getKey()).coat().map(Coat::step).orElse(-1);
                more.merge(below, coats, Math::max);
            }
        }
        int laid = Math.max(least, Math.min(main, Planner.MOST_COATS));
        if (laid > 1 && !region.isLine() && !brushed && (touched || isTouched(region))) {
            return new Coats(List.of(region.place()), main, -1, onBare, laid, Step.Hiding.sure(1));
        }
        if (laid > 1 && region.kind() == Step.Kind.HIGHLIGHT) {
            return new Coats(List.of(region.place()), main, -1, onBare, FULL_STROKE, Step.Hiding.sure(1));
        }
        List<Geometry> places = new ArrayList<>(times(region.place(), laid));
        int over = extra(region, more, laid, places);
        return new Coats(places, Math.max(main, laid), over, onBare, 1, hiding(region, coat, under, laid));
    }

    /** A film that a region lies on, and what still counts as hidden there. */
    private record Over(int ground, double tolerance) {}

    /** How sure the number of coats is, over all grounds that count. */
    private Step.Hiding hiding(Region region, Coat coat, List<Over> under, int laid) {
        Palette.Worth worth = built.worth(region.colour().mix());
        Coat weaker = coat.times(worth.low());
        Coat stronger = coat.times(worth.high());
        Lab full = Lab.of(coat.optics().full());
        int least = 1;
        int most = 1;
        double left = 0;
        for (Over each : under) {
            least = Math.max(least, coatsOver(each.ground(), stronger, each.tolerance()));
            most = Math.max(most, coatsOver(each.ground(), weaker, each.tolerance()));
            left = Math.max(left, films.table().film(films.table().over(each.ground(), coat, laid)).lab().differenceTo(full));
        }
        return new Step.Hiding(Math.min(least, laid), Math.max(laid, Math.min(most, Planner.MOST_COATS)), left);
    }

    /** Whether it is set with one touch a piece: equal dots, the small lights of a picture, and what is no larger than one touch. */
    private boolean isTouched(Region region) {
        return remembered.recall("touched", remembered.home(region.place()), region.kind() == Step.Kind.HIGHLIGHT,
                (place, light, m) -> Tools.dotMm(place) > 0 || Tools.eachIsAtMost(place, light ? Tools.LARGEST_DOT_MM : TOUCH_MM));
    }

    /** Where its coats are counted: what it shares with a neighbour as a seam does not ask for more of them. */
    private Mask withoutSeams(Region region) {
        Mask whole = built.mask(region.place());
        if (region.isLine()) {
            return whole;
        }
        Mask core = built.core(region.place(), LEAST_WIDE_MM / 2);
        return core.cells() >= CORE * whole.cells() ? core : whole;
    }

    private double lineTolerance(int ground, Region line, double tolerance) {
        Lab below = films.table().film(ground).lab();
        Lab drawn = Lab.of(line.colour().optics().full());
        return below.l() - drawn.l() < LIGHTER ? tolerance : Math.max(tolerance, DARK_LINE * below.differenceTo(drawn));
    }

    /** Further coats over what still shows in a part of the region; answers the region below that takes the most of them. */
    private int extra(Region region, Map<Integer, Integer> more, int laid, List<Geometry> places) {
        int over = -1;
        for (int k = laid + 1; k <= Planner.MOST_COATS; k++) {
            int coat = k;
            List<Integer> below = more.entrySet().stream().filter(e -> e.getKey() >= 0 && e.getValue() >= coat).map(Map.Entry::getKey)
                    .toList();
            List<Geometry> parts = below.stream().map(b -> remembered.common(region.place(), place(b)))
                    .filter(g -> remembered.recall("wider", remembered.home(g), LEAST_WIDE_MM, (a, mm, m) -> Tools.widerThan(a, mm)))
                    .toList();
            if (parts.isEmpty()) {
                break;
            }
            places.add(remembered.union(parts));
            over = below.get(0);
        }
        return over;
    }

    /** Where a region lies, or what lies there from earlier. */
    private Geometry place(int number) {
        return number < regions.size() ? regions.get(number).place() : built.earlier().get(number - regions.size()).place();
    }

    /** Coats over a ground, dry; over bare stone also as it will look sealed. */
    private int coatsOver(int ground, Coat coat, double tolerance) {
        int coats = films.table().coatsToHide(ground, coat, tolerance, Planner.MOST_COATS);
        return ground == 0 ? Math.max(coats, sealedBare.coatsToHide(0, coat, tolerance, Planner.MOST_COATS)) : coats;
    }
}
