package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Blend;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Palette;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/** Gems and small shells: each in the middle of its seat, a dot of paint somewhat larger than it. */
public final class Gems {

    /** A seat stands out by so much all round, mm (common practice, no source). */
    static final double SEAT_MM = 0.5;

    /** Glue keeps so far inside the gem, mm: pressed, it comes out to its edge (common practice, no source). */
    static final double GLUE_INSIDE_MM = 0.6;

    private static final double PRECISION_MM = 0.1;
    private static final int ROUND = 16;
    private static final GeometryFactory FACTORY = new GeometryFactory();

    private Gems() {}

    /** What a blend sets: the gem chosen for it, else the first of the shelf. */
    public static Optional<Paint> of(Blend blend, Palette palette) {
        return Regions.material(blend, palette);
    }

    /** The discs of gems of a diameter on an area, one to a piece that is wide enough. */
    static Geometry set(Geometry seats, double gemMm) {
        List<Geometry> all = new ArrayList<>();
        for (int i = 0; gemMm > 0 && i < seats.getNumGeometries(); i++) {
            if (seats.getGeometryN(i) instanceof Polygon seat && seatMm(seat) >= gemMm) {
                Coordinate middle = circle(seat).getCenter().getCoordinate();
                all.add(FACTORY.createPoint(middle).buffer(gemMm / 2, ROUND));
            }
        }
        return Shapes.union(all);
    }

    /** The largest gem that the widest piece of an area holds with its seat standing out, mm; 0 for none. */
    public static double largestMm(Geometry seats) {
        double most = 0;
        for (int i = 0; i < seats.getNumGeometries(); i++) {
            if (seats.getGeometryN(i) instanceof Polygon seat) {
                most = Math.max(most, seatMm(seat));
            }
        }
        return Math.max(0, most);
    }

    private static double seatMm(Polygon seat) {
        return seat.isEmpty() ? 0 : 2 * (circle(seat).getRadiusLine().getLength() - SEAT_MM);
    }

    private static MaximumInscribedCircle circle(Polygon seat) {
        return new MaximumInscribedCircle(seat, PRECISION_MM);
    }
}
