package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.coats.Film;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import org.locationtech.jts.geom.Geometry;

/**
 * What of a design is to be seen on the stone already. An area that lies there in its own colour and hides what is below is left as it is;
 * one that lacks in places, since a thing that stood there was taken out of the sketch or something else was painted over it, is painted
 * there only.
 */
final class Standing {

    /** What lacks nowhere wider than this is a seam, mm. */
    private static final double SEAM_MM = 1.2;

    /** What is narrower than this nobody sees, mm. */
    private static final double HAIR_MM = 0.2;

    /** What lacks so much of itself is painted as a whole, as a share of its area: a patch of that size is seen (no source). */
    private static final double WHOLE = 0.6;

    /** So much of what lies there in the right colour must hide what is below, else it takes further coats. */
    private static final double HIDDEN = 0.9;

    /** As good as all of it, as a share. */
    private static final double ALL = 0.999;

    private static final double LEAST_MM2 = 0.05;

    /** What is left of the difference may be so many times what still counts as hidden when coats are counted (no source). */
    private static final double SEEN = 1.25;

    /** No more of it on the bare stone, as a share, and it lies on paint. */
    private static final double ON_PAINT = 0.3;

    /** A patch goes so far over its edge, mm (common practice, no source). */
    private static final double OVER_MM = 0.5;

    private final List<Region> regions;
    private final List<Step.Layer> films;
    private final BuildUp built;
    private final Geometries where;

    /**
     * What was found of a design.
     *
     * @param lacking what is still to be painted, in the order of the design
     * @param stays where old paint is seen that is not of the design and that nothing will be painted over, mm
     */
    record Found(List<Region> lacking, Geometry stays) {}

    /**
     * @param regions all of the design, in its order
     * @param built on which lies what lies there from earlier
     */
    static Found of(List<Region> regions, BuildUp built, Remembered remembered) {
        if (built.earlier().isEmpty()) {
            return new Found(regions, Shapes.nothing());
        }
        Standing standing = new Standing(regions, built, remembered.recall("standing", regions, built.earlier(), Geometries::of));
        List<Region> lacking = standing.lacking();
        return new Found(lacking, standing.stays(lacking));
    }

    /** Whether most of a region lies on paint that is there already, and so never sees the stone. */
    static boolean isOnPaint(Region region, BuildUp built) {
        if (built.earlier().isEmpty()) {
            return false;
        }
        Map<Integer, Integer> grounds = built.films().cellsUnder(built.mask(region.place()));
        int all = grounds.values().stream().mapToInt(Integer::intValue).sum();
        return grounds.getOrDefault(0, 0) < ON_PAINT * all;
    }

    private Standing(List<Region> regions, BuildUp built, Geometries where) {
        this.regions = regions;
        this.films = built.earlier();
        this.built = built;
        this.where = where;
    }

    private List<Region> lacking() {
        List<Geometry> open = IntStream.range(0, regions.size()).mapToObj(this::open).toList();
        Map<Integer, Geometry> wet = new HashMap<>();
        for (int i = 0; i < regions.size(); i++) {
            if (regions.get(i).wetGroup() >= 0) { // what is worked wet together is done together
                wet.merge(regions.get(i).wetGroup(), open.get(i), Shapes::union);
            }
        }
        List<Region> found = new ArrayList<>();
        for (int i = 0; i < regions.size(); i++) {
            Region region = regions.get(i);
            Geometry left = region.wetGroup() < 0 ? open.get(i) : Shapes.common(wet.get(region.wetGroup()), region.place());
            Geometry place = left.isEmpty() ? left : Shapes.polygons(Shapes.minus(left, where.inFront(region, regions)));
            if (place.getArea() > ALL * region.place().getArea()) {
                found.add(region);
            } else if (place.getArea() > LEAST_MM2) {
                found.add(patch(region, place));
            }
        }
        return found;
    }

    /** What of a region is still to be painted; empty for nothing. */
    private Geometry open(int number) {
        Region region = regions.get(number);
        Geometry there = where.standing.get(number);
        if (there.isEmpty() || region.hides() && !isHidden(region, there)) {
            return region.place();
        }
        Geometry open = where.gaps.get(number);
        return open.getArea() > WHOLE * region.place().getArea() ? region.place() : open;
    }

    private Region patch(Region region, Geometry place) {
        boolean over = films.stream().mapToDouble(f -> Shapes.common(f.place(), place).getArea()).max().orElse(0) > place.getArea() / 2;
        What what = over ? region.what().on(List.of(What.of(What.Of.OLD_PAINT))) : region.what();
        Region.Line line = new Region.Line(region.line().nibMm(), region.line().lengthMm() * place.getArea() / region.place().getArea());
        return new Region(region.kind(), what, place, region.colour(), region.spread(), region.depth(), line, region.why());
    }

    /** Whether what lies there on top in the colour of a region hides what is below it. */
    private boolean isHidden(Region region, Geometry there) {
        FilmMap map = built.films();
        Lab full = Lab.of(region.colour().optics().full());
        double tolerance = region.isLine() ? Double.MAX_VALUE : SEEN * built.tolerance(region);
        String own = built.coat(region, 0, 1).name();
        int all = 0;
        int hidden = 0;
        for (Map.Entry<Integer, Integer> each : map.cellsUnder(built.mask(there)).entrySet()) {
            Film film = map.table().film(each.getKey());
            if (film.coat().filter(c -> c.name().equals(own)).isPresent()) {
                all += each.getValue();
                hidden += film.lab().differenceTo(full) <= tolerance ? each.getValue() : 0;
            }
        }
        return hidden >= HIDDEN * all;
    }

    /** @param planned what will be painted */
    private Geometry stays(List<Region> planned) {
        List<Geometry> hidden = new ArrayList<>(planned.stream().filter(Region::hides).map(Region::place).toList());
        List<Geometry> seen = new ArrayList<>();
        for (int i = films.size() - 1; i >= 0; i--) {
            seen.add(Shapes.minus(where.strange.get(i), hidden));
            if (hides(films.get(i))) {
                hidden.add(films.get(i).place());
            }
        }
        return opened(Shapes.union(seen), HAIR_MM, 0);
    }

    private static boolean hides(Step.Layer film) {
        return !film.load().coat().optics().isClear();
    }

    /** What is left of an area without what is narrower than a width, and with a rim round that, mm. */
    private static Geometry opened(Geometry area, double wide, double more) {
        return Shapes.grown(Shapes.grown(area, -wide / 2), wide / 2 + more);
    }

    /**
     * Where things stand, whatever hides what.
     *
     * @param strange what of each film no area of the design asks for
     * @param standing where the own paint of each region lies, and nothing strange has been laid on that
     * @param gaps what each region lacks, with a rim, within it
     */
    private record Geometries(List<Geometry> strange, List<Geometry> standing, List<Geometry> gaps) {

        static Geometries of(List<Region> regions, List<Step.Layer> films, Remembered remembered) {
            List<Geometry> strange = films.stream().map(f -> strange(f, regions, remembered)).toList();
            List<Geometry> standing = regions.stream().map(r -> standing(r, films, strange, remembered)).toList();
            Geometries where = new Geometries(strange, standing, List.of());
            return new Geometries(strange, standing, IntStream.range(0, regions.size())
                    .mapToObj(i -> where.gap(i, regions, films, remembered)).toList());
        }

        private static Geometry strange(Step.Layer film, List<Region> regions, Remembered remembered) {
            Mix mix = film.load().mix();
            return Shapes.minus(film.place(), regions.stream().filter(r -> r.colour().mix().equals(mix))
                    .map(r -> remembered.grown(r.place(), SEAM_MM / 2)).toList());
        }

        private static boolean isOwn(Step.Layer film, Region region) {
            return film.load().mix().equals(region.colour().mix()) && film.load().thin() > region.thin() - 0.01;
        }

        private static Geometry standing(Region region, List<Step.Layer> films, List<Geometry> strange, Remembered remembered) {
            Geometry there = Shapes.nothing();
            for (int i = 0; i < films.size(); i++) {
                if (isOwn(films.get(i), region)) {
                    there = Shapes.union(there, remembered.common(films.get(i).place(), region.place()));
                } else if (!there.isEmpty() && hides(films.get(i))) {
                    there = Shapes.minus(there, strange.get(i));
                }
            }
            return there;
        }

        private Geometry gap(int number, List<Region> regions, List<Step.Layer> films, Remembered remembered) {
            Region region = regions.get(number);
            if (standing.get(number).isEmpty()) {
                return region.place();
            }
            Geometry ever = Shapes.union(films.stream().filter(f -> isOwn(f, region)).map(f -> remembered.common(f.place(), region.place()))
                    .toList());
            Geometry bare = Shapes.minus(Shapes.minus(region.place(), ever), inFront(region, regions));
            return Shapes.common(Shapes.union(opened(bare, SEAM_MM, OVER_MM), opened(Shapes.minus(ever, standing.get(number)), HAIR_MM,
                    OVER_MM)), region.place());
        }

        /** What stands in front of a region, where it stands. */
        List<Geometry> inFront(Region region, List<Region> regions) {
            return IntStream.range(0, regions.size()).filter(i -> regions.get(i).depth() > region.depth() && regions.get(i).hides()
                    && (region.wetGroup() < 0 || regions.get(i).wetGroup() != region.wetGroup())).mapToObj(standing::get).toList();
        }
    }
}
