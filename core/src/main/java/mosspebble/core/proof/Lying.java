package mosspebble.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mosspebble.core.photo.PhotoStone;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.units.LinearSystem;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;

/**
 * How a stone lies in a photo, by its outline: its girdle as planned laid over the girdle as seen. A round stone fits in many turns; all
 * that fit about as well are kept.
 *
 * @param pose best by the outline
 * @param apartMm root mean square distance of the two outlines
 * @param turnOff standard deviation of the turn as the outline tells it, radians
 */
record Lying(Pose pose, double apartMm, double turnOff) {

    private static final int SPOKES = 180;
    private static final int PLACES = 240;
    private static final int TURNS = 25;

    /** Outlines further apart than this, as a share of the stone's mean radius, are of two stones (common practice, no source). */
    static final double OTHER_STONE = 0.035;

    /** Independent places along an outline; what is off at one is off beside it. */
    private static final double INDEPENDENT = 40;

    /** How far an outline may be off where nothing is wrong. */
    private static final double EDGE_OFF_MM = 0.15;

    /** How far the outline leaves open where the stone lies, mm: it is mostly off to one side where it is off. */
    double placeOff() {
        return Math.hypot(EDGE_OFF_MM, 0.6 * apartMm);
    }

    /** Logarithm, up to a constant, of how likely the outline is to be seen so. */
    double likelihood() {
        return -INDEPENDENT / 2 * Math.log(apartMm * apartMm + EDGE_OFF_MM * EDGE_OFF_MM);
    }

    /** All turns in which the outline fits nearly as well as in the best one, the best first; empty if it is another stone's. */
    static List<Lying> of(Stone stone, PhotoStone seen) {
        double face = stone.height().value() - stone.backDepthMm();
        Coordinate[] ring = seen.outline(face, stone.backDepthMm(), stone.fullness()).getExteriorRing().getCoordinates();
        Coordinate[] own = StoneOutline.of(stone).polygon(new GeometryFactory()).getExteriorRing().getCoordinates();
        Coordinate middleSeen = middle(ring);
        Coordinate middleOwn = middle(own);
        double[] spokesSeen = spokes(ring, middleSeen);
        double[] spokesOwn = spokes(own, middleOwn);
        double radius = Arrays.stream(spokesOwn).average().orElseThrow();
        double[] apart = new double[SPOKES];
        for (int turn = 0; turn < SPOKES; turn++) {
            for (int i = 0; i < SPOKES; i++) {
                apart[turn] += Math.pow(spokesOwn[i] - spokesSeen[(i + turn) % SPOKES], 2) / SPOKES;
            }
            apart[turn] = Math.sqrt(apart[turn]);
        }
        double least = Arrays.stream(apart).min().orElseThrow();
        double[][] places = even(own);
        Ring outline = new Ring(ring);
        List<Lying> found = new ArrayList<>();
        for (int turn = 0; turn < SPOKES; turn++) {
            boolean lowest = apart[turn] <= apart[(turn + 1) % SPOKES] && apart[turn] <= apart[(turn + SPOKES - 1) % SPOKES];
            boolean near = apart[turn] < least + Math.max(0.4, 0.012 * radius);
            if (near && (lowest || turn % 2 == 0)) {
                double angle = 2 * Math.PI * turn / SPOKES;
                Pose rough = new Pose(middleSeen.x - Math.cos(angle) * middleOwn.x + Math.sin(angle) * middleOwn.y,
                        middleSeen.y - Math.sin(angle) * middleOwn.x - Math.cos(angle) * middleOwn.y, angle);
                refined(places, outline, rough).filter(l -> l.apartMm() < OTHER_STONE * radius).ifPresent(found::add);
            }
        }
        found.sort((a, b) -> Double.compare(a.apartMm(), b.apartMm()));
        List<Lying> apartFrom = new ArrayList<>();
        for (Lying lying : found) {
            if (apartFrom.stream().noneMatch(l -> Math.abs(Math.IEEEremainder(l.pose().turn() - lying.pose().turn(), 2 * Math.PI)) < 0.05)
                    && lying.apartMm() < found.get(0).apartMm() + Math.max(0.3, 0.01 * radius)) {
                apartFrom.add(lying);
            }
        }
        return apartFrom;
    }

    /** Least squares of the distances from each place of the one outline across the other. */
    private static Optional<Lying> refined(double[][] places, Ring ring, Pose rough) {
        Pose pose = rough;
        double apart = 0;
        double turnOff = 0;
        for (int turn = 0; turn < TURNS; turn++) {
            double[][] normal = new double[3][4];
            double squares = 0;
            double cosine = Math.cos(pose.turn());
            double sine = Math.sin(pose.turn());
            for (double[] place : places) {
                double x = pose.sheetX(place[0], place[1]);
                double y = pose.sheetY(place[0], place[1]);
                double acrossX = cosine * place[2] - sine * place[3];
                double acrossY = sine * place[2] + cosine * place[3];
                double off = ring.across(x, y, acrossX, acrossY);
                double[] row = {acrossX, acrossY, -acrossX * (y - pose.y()) + acrossY * (x - pose.x())};
                for (int a = 0; a < 3; a++) {
                    for (int b = 0; b < 3; b++) {
                        normal[a][b] += row[a] * row[b];
                    }
                    normal[a][3] += row[a] * off;
                }
                squares += off * off;
            }
            apart = Math.sqrt(squares / places.length);
            normal[2][2] += 1e-6; // a disc has no turn: leave it
            double[][] inverse = {normal[0].clone(), normal[1].clone(), normal[2].clone()};
            inverse[0][3] = 0;
            inverse[1][3] = 0;
            inverse[2][3] = 1;
            double[] by = LinearSystem.solve(normal).orElse(null);
            double[] spread = LinearSystem.solve(inverse).orElse(null);
            if (by == null || spread == null) {
                return Optional.empty();
            }
            turnOff = Math.max(0.12, apart) * Math.sqrt(Math.max(0, spread[2]) * PLACES / INDEPENDENT);
            double limited = Math.max(-0.05, Math.min(0.05, by[2]));
            pose = new Pose(pose.x() + by[0], pose.y() + by[1], pose.turn() + limited);
            if (Math.hypot(by[0], by[1]) < 1e-4 && Math.abs(by[2]) < 1e-6) {
                break;
            }
        }
        return Optional.of(new Lying(pose, apart, turnOff));
    }

    /** Places evenly along a ring, each with the direction across the ring there: x, y, across. */
    private static double[][] even(Coordinate[] ring) {
        double length = 0;
        for (int i = 1; i < ring.length; i++) {
            length += ring[i].distance(ring[i - 1]);
        }
        double[][] places = new double[PLACES][];
        double before = 0;
        int at = 1;
        for (int k = 0; k < PLACES; k++) {
            double wanted = length * k / PLACES;
            while (at < ring.length - 1 && before + ring[at].distance(ring[at - 1]) < wanted) {
                before += ring[at].distance(ring[at - 1]);
                at++;
            }
            double share = (wanted - before) / Math.max(1e-9, ring[at].distance(ring[at - 1]));
            places[k] = new double[] {ring[at - 1].x + share * (ring[at].x - ring[at - 1].x),
                ring[at - 1].y + share * (ring[at].y - ring[at - 1].y), 0, 0};
        }
        for (int k = 0; k < PLACES; k++) {
            double[] a = places[(k + PLACES - 2) % PLACES];
            double[] b = places[(k + 2) % PLACES];
            double size = Math.max(1e-9, Math.hypot(b[0] - a[0], b[1] - a[1]));
            places[k][2] = (b[1] - a[1]) / size;
            places[k][3] = -(b[0] - a[0]) / size;
        }
        return places;
    }

    /** Middle of the area. */
    private static Coordinate middle(Coordinate[] ring) {
        return new GeometryFactory().createPolygon(ring).getCentroid().getCoordinate();
    }

    /** Distances from a middle to the ring in even directions. */
    private static double[] spokes(Coordinate[] ring, Coordinate middle) {
        double[] spokes = new double[SPOKES];
        for (int i = 0; i < SPOKES; i++) {
            double ux = Math.cos(2 * Math.PI * i / SPOKES);
            double uy = Math.sin(2 * Math.PI * i / SPOKES);
            for (int k = 1; k < ring.length; k++) {
                double ax = ring[k - 1].x - middle.x;
                double ay = ring[k - 1].y - middle.y;
                double dx = ring[k].x - ring[k - 1].x;
                double dy = ring[k].y - ring[k - 1].y;
                double cross = ux * dy - uy * dx;
                if (cross == 0) {
                    continue;
                }
                double along = (ax * dy - ay * dx) / cross;
                double share = (ax * uy - ay * ux) / cross;
                if (along > spokes[i] && share >= 0 && share <= 1) {
                    spokes[i] = along;
                }
            }
        }
        return spokes;
    }
}
