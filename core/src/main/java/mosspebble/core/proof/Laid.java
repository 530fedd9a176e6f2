package mosspebble.core.proof;

import java.util.Optional;
import mosspebble.core.sketch.Subject;
import org.locationtech.jts.algorithm.MinimumDiameter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/**
 * A thing, or one part of it, as it was found in the photo.
 *
 * @param item number of the thing
 * @param part number of the part; -1 for the thing itself
 * @param fit how it lies against the plan
 * @param off how far it is left open where all lies that it is told against
 * @param whole how its thing lies, against which a part is told; nowhere else for the thing itself
 */
record Laid(int item, int part, Fit fit, Off off, Fit whole) {

    /** Standard deviations, mm and radians. */
    record Off(double mm, double turn) {}

    /** What card and typed height leave uncertain everywhere, degrees, and mm within a thing. */
    private static final double TURN_OFF = 0.12;
    static final double PART_RANGE_MM = 1.8;
    private static final double NEAR_MM = 0.8;
    private static final double NEAR_TURN = 1.5;
    private static final double NEAR_SHARE = 0.03;
    private static final double LEAST_PAINTED = 0.8;
    private static final double LEAST_PART = 0.85;
    private static final double LEAST_PART_LINES = 0.6;
    private static final double MOST_PART_SHARE = 0.25;
    /** Round a letter stand the lines of its neighbours, which did not move with it; its size hardly changes. */
    private static final double LEAST_LETTER_LINES = 0.33;
    private static final double MOST_LETTER_SHARE = 0.1;
    private static final double PART_OFF = 0.05;
    static final Off PART = new Off(PART_OFF, 0);

    /**
     * Whether it is seen so well that something may be said about it, and not so far from its place or size that something else, such as
     * the next leaf of a row, was taken for it.
     */
    boolean isTelling(Planned planned) {
        boolean pencil = planned.moment.pencil();
        Stray stray = stray(planned);
        double longest = longest(stray.planned());
        if (part < 0) {
            // in other colours it is less alike; where it lies about as planned, that is believed all the same
            boolean near = stray.by().distance() < NEAR_MM && Math.abs(stray.by().turn()) < NEAR_TURN
                    && Math.abs(stray.by().mm()) < NEAR_SHARE * longest;
            return isFound() && (pencil || fit.likeness() >= LEAST_PAINTED || near);
        }
        boolean letter = planned.items.get(item).item().subject() instanceof Subject.Word;
        double least = !pencil ? LEAST_PART : letter ? LEAST_LETTER_LINES : LEAST_PART_LINES;
        return fit.likeness() >= least && stray.by().distance() <= 1.2 * PART_RANGE_MM
                && Math.abs(stray.by().mm()) <= (letter ? MOST_LETTER_SHARE : MOST_PART_SHARE) * longest;
    }

    boolean isFound() {
        return fit.likeness() >= Stray.LEAST_LIKENESS;
    }

    /** The same seen from a stone that is turned by so much more, radians. */
    Laid from(double turn) {
        Fit back = new Fit(0, 0, 0, 0, -turn, 1, 1, fit.off());
        double x = fit.toX(fit.x(), fit.y());
        double y = fit.toY(fit.x(), fit.y());
        return new Laid(item, part, new Fit(fit.x(), fit.y(), back.toX(x, y) - fit.x(), back.toY(x, y) - fit.y(), fit.turn() - turn,
                fit.size(), fit.likeness(), fit.off()), off, whole);
    }

    /** The same on a stone of which it is so well known how it lies. */
    Laid known(Off better) {
        return new Laid(item, part, fit, better, whole);
    }

    Stray stray(Planned planned) {
        Geometry shape = part < 0 ? planned.silhouette(item) : planned.parts.get(part).painted();
        double length = longest(shape);
        Coordinate middle = shape.getCentroid().getCoordinate();
        Fit here = fit.about(middle.x, middle.y);
        Fit base = whole.about(middle.x, middle.y);
        double[] own = fit.off();
        Stray.Amount by = new Stray.Amount(here.dx() - base.dx(), here.dy() - base.dy(), Math.toDegrees(here.turn() - base.turn()),
                (here.size() / base.size() - 1) * length);
        Stray.Amount sure = new Stray.Amount(Math.hypot(own[0], off.mm), Math.hypot(own[1], off.mm),
                Math.hypot(Math.toDegrees(Math.hypot(own[2], off.turn)), part < 0 ? TURN_OFF : 0), Math.hypot(own[3] * length, PART_OFF));
        return new Stray(planned.items.get(item).item().id(),
                part < 0 ? Optional.empty() : Optional.of(planned.parts.get(part).part().id()), shape,
                here.transformation().transform(shape),
                by, sure, fit.likeness());
    }

    /** Longest extent, mm. */
    static double longest(Geometry shape) {
        Geometry box = new MinimumDiameter(shape).getMinimumRectangle();
        Coordinate[] corners = box.getCoordinates();
        return corners.length < 4 ? box.getLength() : Math.max(corners[0].distance(corners[1]), corners[1].distance(corners[2]));
    }
}
