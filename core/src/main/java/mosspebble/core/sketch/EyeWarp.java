package mosspebble.core.sketch;

import java.util.Optional;
import mosspebble.core.stone.Eye;
import org.locationtech.jts.densify.Densifier;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.CoordinateSequence;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.GeometryTransformer;

/**
 * What was laid out flat, moved over the dome until it looks from the viewpoint as it would on a flat plate at the height of its middle:
 * each point of the plate is seen through, and the line of sight
 * followed to the dome. Straight lines on the plate look straight. Worked out on a grid over the layout and interpolated between its knots.
 */
final class EyeWarp {

    private static final int KNOTS = 28;

    private final Envelope box;
    private final Coordinate[] moved = new Coordinate[(KNOTS + 1) * (KNOTS + 1)];

    private EyeWarp(Envelope box, Support bed) {
        this.box = box;
        Eye eye = bed.viewpoint().eye();
        double plate = bed.dome().heightAt(box.centre().x, box.centre().y);
        double[] seen = new double[3];
        for (int row = 0; row <= KNOTS; row++) {
            for (int column = 0; column <= KNOTS; column++) {
                double x = box.getMinX() + box.getWidth() * column / KNOTS;
                double y = box.getMinY() + box.getHeight() * row / KNOTS;
                eye.project(x, y, plate, seen);
                moved[row * (KNOTS + 1) + column] = eye.cast(bed.dome(), seen[0], seen[1]).orElse(new Coordinate(x, y));
            }
        }
    }

    /** @param flat mm; what lies off the stone stays as it was */
    static Geometry straightened(Geometry flat, Support bed) {
        return straightened(flat, flat.getEnvelopeInternal(), bed);
    }

    /** @param box of the whole layout that the shape belongs to */
    static Geometry straightened(Geometry flat, Envelope box, Support bed) {
        return of(box, bed).map(warp -> warp.apply(flat)).orElse(flat);
    }

    static Optional<EyeWarp> of(Envelope box, Support bed) {
        return box.getWidth() > 1e-6 && box.getHeight() >= 0 ? Optional.of(new EyeWarp(grown(box), bed)) : Optional.empty();
    }

    private static Envelope grown(Envelope box) {
        Envelope larger = new Envelope(box);
        larger.expandBy(0.5);
        return larger;
    }

    Geometry apply(Geometry flat) {
        return new GeometryTransformer() {
            @Override
            protected CoordinateSequence transformCoordinates(CoordinateSequence points, Geometry parent) {
                Coordinate[] bent = new Coordinate[points.size()];
                for (int i = 0; i < bent.length; i++) {
                    bent[i] = at(points.getX(i), points.getY(i));
                }
                return createCoordinateSequence(bent);
            }
        }.transform(Densifier.densify(flat, Math.max(0.4, box.getWidth() / 60)));
    }

    private Coordinate at(double x, double y) {
        double u = Math.max(0, Math.min(KNOTS - 1e-9, (x - box.getMinX()) / box.getWidth() * KNOTS));
        double v = Math.max(0, Math.min(KNOTS - 1e-9, (y - box.getMinY()) / box.getHeight() * KNOTS));
        int column = (int) u;
        int row = (int) v;
        double fu = u - column;
        double fv = v - row;
        int i = row * (KNOTS + 1) + column;
        Coordinate a = moved[i];
        Coordinate b = moved[i + 1];
        Coordinate c = moved[i + KNOTS + 1];
        Coordinate d = moved[i + KNOTS + 2];
        return new Coordinate((1 - fv) * ((1 - fu) * a.x + fu * b.x) + fv * ((1 - fu) * c.x + fu * d.x),
                (1 - fv) * ((1 - fu) * a.y + fu * b.y) + fv * ((1 - fu) * c.y + fu * d.y));
    }
}
