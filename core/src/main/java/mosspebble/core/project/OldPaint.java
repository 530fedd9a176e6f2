package mosspebble.core.project;

import java.util.Objects;
import mosspebble.core.area.Shapes;
import mosspebble.core.colour.Mix;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.io.ParseException;
import org.locationtech.jts.io.WKTReader;
import org.locationtech.jts.io.WKTWriter;
import org.locationtech.jts.precision.GeometryPrecisionReducer;
import org.locationtech.jts.simplify.TopologyPreservingSimplifier;

/**
 * Paint as it lies on a stone, whatever is planned on it now.
 *
 * @param side the surface on which it lies
 * @param place mm on that surface as it is laid flat for its plan: polygons as well-known text (OGC 06-103r4)
 * @param thin thickness of a coat against a normal one, above 0, 12 at most
 * @param coats 1 to 12
 */
public record OldPaint(Side side, String place, Mix mix, double thin, int coats) {

    /** Most letters of a place: some 15,000 corners. */
    private static final int LONGEST = 200_000;
    private static final int LETTERS_A_CORNER = 14;
    private static final double MOST = 12;
    private static final double WITHIN_MM = 2_000;
    /** So exactly a place is kept, mm; no brush is so exact. */
    private static final double EXACT_MM = 0.02;

    public OldPaint {
        Objects.requireNonNull(side);
        Objects.requireNonNull(mix);
        if (!(thin > 0 && thin <= MOST) || coats < 1 || coats > MOST) {
            throw new IllegalArgumentException("Paint lies in 1 to 12 coats, each up to 12 times as thick as a usual one.");
        }
        read(place);
    }

    /**
     * Paint on a place.
     *
     * @param place mm; what is too ragged to be kept as it is, is kept as its hull
     */
    public static OldPaint on(Side side, Geometry place, Mix mix, double thin, int coats) {
        Geometry smooth = TopologyPreservingSimplifier.simplify(place.isValid() ? place : place.buffer(0), EXACT_MM);
        Geometry few = smooth.getNumPoints() > LONGEST / LETTERS_A_CORNER ? smooth.convexHull() : smooth;
        Geometry exact = GeometryPrecisionReducer.reduce(few, new PrecisionModel(1 / EXACT_MM));
        return new OldPaint(side, new WKTWriter().write(Shapes.polygons(exact)), mix, thin, coats);
    }

    /** Where it lies, mm. */
    public Geometry area() {
        return read(place);
    }

    private static Geometry read(String place) {
        if (place.length() > LONGEST) {
            throw new IllegalArgumentException("The place of paint on a stone has too many corners.");
        }
        try {
            Geometry read = new WKTReader().read(place);
            if (!read.isEmpty() && (read.getDimension() != 2
                    || !new Envelope(-WITHIN_MM, WITHIN_MM, -WITHIN_MM, WITHIN_MM).contains(read.getEnvelopeInternal())
                    || !read.isValid())) {
                throw new IllegalArgumentException("The place of paint on a stone must be polygons on that stone.");
            }
            return Shapes.polygons(read);
        } catch (ParseException e) {
            throw new IllegalArgumentException("The place of paint on a stone cannot be read: " + e.getMessage());
        }
    }
}
