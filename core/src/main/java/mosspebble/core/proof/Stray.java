package mosspebble.core.proof;

import java.util.Optional;
import mosspebble.core.sketch.Placement;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/**
 * How one planned thing, or one part of it, lies in the photo against the plan.
 *
 * @param item id of the thing in the sketch
 * @param part id of the part in the whole sketch; empty for the thing itself
 * @param planned its outline as planned, mm
 * @param lies the same as it lies
 * @param by how far it strayed; of a part, against its thing
 * @param off one standard deviation of each
 * @param likeness correlation of what is seen with what was planned, -1 to 1
 */
public record Stray(String item, Optional<String> part, Geometry planned, Geometry lies, Amount by, Amount off, double likeness) {

    /**
     * @param dx to the right, mm
     * @param dy down, mm
     * @param turn degrees clockwise
     * @param mm longer, of its longest extent
     */
    public record Amount(double dx, double dy, double turn, double mm) {

        public double distance() {
            return Math.hypot(dx, dy);
        }
    }

    /**
     * Where a thing must be placed so that the plan has it as it lies.
     *
     * @param planned where it is placed
     */
    public Placement placed(Placement planned) {
        Coordinate middle = this.planned.getCentroid().getCoordinate();
        double size = 1 + by.mm() / Laid.longest(this.planned);
        Fit fit = new Fit(middle.x, middle.y, by.dx(), by.dy(), Math.toRadians(by.turn()), size, likeness, new double[4]);
        return new Placement(fit.toX(planned.x(), planned.y()), fit.toY(planned.x(), planned.y()), planned.turn() + by.turn(),
                planned.scale() * size);
    }

    /** Correlation below which it cannot be told where a thing is (common practice, no source). */
    public static final double LEAST_LIKENESS = 0.18;

    /** Whether it was found at all. */
    public boolean isFound() {
        return likeness >= LEAST_LIKENESS;
    }
}
