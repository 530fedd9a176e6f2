package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Share;
import mosspebble.core.colour.Lab;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;

/**
 * Which lines the pencil draws when: only what will still be seen when paint comes to it. The edge of an area is drawn before any paint,
 * unless a deeper area covers it by then: that part is drawn on the dry coat, just before the area is painted. Fine lines and lights are
 * drawn with the pen at once.
 */
final class Pencilling {

    /** L* above which graphite shows; below, chalk is taken (common practice, no source). */
    static final double SHOWS_GRAPHITE = 48;

    /** The pencil, mm a minute (common practice, no source). */
    static final double MM_PER_MINUTE = 300;

    /** Shorter lines are painted freely, mm (common practice, no source). */
    static final double LEAST_MM = 8;

    /** A neighbour's seam hides no pencil line, mm. */
    private static final double SEAM_MM = 1.2;

    private static final double EVERY_MM = 1;

    /**
     * The edge of one region.
     *
     * @param open drawn before any paint: places on it, about a millimetre apart
     * @param coveredMm how much of it a deeper area covers
     * @param belowL lightness of that area, CIE L*
     */
    record Edge(List<Coordinate> open, double coveredMm, double belowL) {

        static final Edge NONE = new Edge(List.of(), 0, 0);

        /** Whether it is drawn on paint, just before it is painted. */
        boolean isDrawnOnPaint() {
            return coveredMm >= LEAST_MM;
        }

        Optional<Step.Drawing> drawing() {
            return isDrawnOnPaint() ? Optional.of(new Step.Drawing(false, true, belowL <= SHOWS_GRAPHITE, belowL)) : Optional.empty();
        }
    }

    private Pencilling() {}

    /**
     * The edges of all regions; of the pieces of a blend only the largest has one. A base has its own: those of all letters of a word lie
     * at one level.
     */
    static List<Edge> of(List<Region> regions, Remembered remembered) {
        Map<Integer, Integer> whole = new HashMap<>();
        for (int i = 0; i < regions.size(); i++) {
            if (isArea(regions.get(i)) && !isBase(regions.get(i))) {
                whole.merge(regions.get(i).part(), i,
                        (a, b) -> regions.get(b).place().getArea() > regions.get(a).place().getArea() ? b : a);
            }
        }
        List<Edge> edges = new ArrayList<>();
        for (int i = 0; i < regions.size(); i++) {
            Region region = regions.get(i);
            if (!isArea(region) || !isBase(region) && whole.get(region.part()) != i || isOnItsBase(region, regions)) {
                edges.add(Edge.NONE);
                continue;
            }
            List<Region> deeper = regions.stream().filter(r -> r.part() < region.part() && isArea(r) && r.hides()
                    && r.place().getEnvelopeInternal().intersects(region.place().getEnvelopeInternal())).toList();
            edges.add(remembered.recall("pencilled", region.place(), deeper.stream().map(Region::place).toList(),
                    deeper.stream().map(r -> Lab.of(r.colour().optics().full()).l()).toList(), Pencilling::edge));
        }
        return edges;
    }

    /** Whether it is laid exactly on a base of its own, whose edge is seen. */
    private static boolean isOnItsBase(Region region, List<Region> regions) {
        return region.isClear()
                && regions.stream().anyMatch(r -> isBase(r) && r.place() == region.place());
    }

    /** Whether it is what glitter, colour shift or glow is laid on. */
    private static boolean isBase(Region region) {
        return region.what().share().kind() == Share.Kind.BASE;
    }

    private static boolean isArea(Region region) {
        return region.kind() == Step.Kind.FILL && !region.isLine();
    }

    private static Edge edge(Geometry place, List<Geometry> deeper, List<Double> lightness, Remembered memory) {
        List<Core> cores = deeper.stream().map(d -> memory.recall("core", d, SEAM_MM, (area, seam, m) -> new Core(area, seam))).toList();
        List<Coordinate> open = new ArrayList<>();
        double covered = 0;
        double sum = 0;
        for (Coordinate at : along(place.getBoundary())) {
            int on = -1;
            for (int i = 0; i < cores.size(); i++) {
                on = cores.get(i).has(at) ? i : on;
            }
            if (on < 0) {
                open.add(at);
            } else {
                covered += EVERY_MM;
                sum += lightness.get(on) * EVERY_MM;
            }
        }
        return new Edge(List.copyOf(open), covered, covered == 0 ? 0 : sum / covered);
    }

    /** An area without the seam along its edge; looked up by place, which is quicker than cutting it. */
    private static final class Core {
        private final IndexedPointInAreaLocator area;
        private final IndexedFacetDistance edge;
        private final Geometry whole;
        private final double seamMm;

        Core(Geometry area, double seamMm) {
            this.area = new IndexedPointInAreaLocator(area);
            this.edge = new IndexedFacetDistance(area.getBoundary());
            this.whole = area;
            this.seamMm = seamMm;
        }

        boolean has(Coordinate at) {
            return whole.getEnvelopeInternal().contains(at) && area.locate(at) != Location.EXTERIOR
                    && !edge.isWithinDistance(whole.getFactory().createPoint(at), seamMm);
        }
    }

    private static List<Coordinate> along(Geometry line) {
        List<Coordinate> places = new ArrayList<>();
        double next = EVERY_MM / 2;
        for (int k = 0; k < line.getNumGeometries(); k++) {
            Coordinate[] c = line.getGeometryN(k).getCoordinates();
            for (int i = 1; i < c.length; i++) {
                double length = c[i - 1].distance(c[i]);
                for (; next <= length; next += EVERY_MM) {
                    places.add(new LineSegment(c[i - 1], c[i]).pointAlong(next / length));
                }
                next -= length;
            }
        }
        return places;
    }

    /** How much is drawn before any paint, mm. */
    static double openMm(List<Edge> edges) {
        return edges.stream().mapToDouble(e -> e.open().size() * EVERY_MM).sum();
    }

    /** How much of that paint covers which is laid first, mm; along the edge of that paint nothing is lost. */
    static double openMm(List<Edge> edges, Geometry first, Remembered remembered) {
        Core core = remembered.recall("core", first, SEAM_MM / 2, (area, seam, m) -> new Core(area, seam));
        return edges.stream().flatMap(e -> e.open().stream()).filter(core::has).count() * EVERY_MM;
    }
}
