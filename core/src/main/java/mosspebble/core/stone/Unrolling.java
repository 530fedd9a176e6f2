package mosspebble.core.stone;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.densify.Densifier;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.CoordinateSequence;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.GeometryTransformer;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * A paper guide laid on the dome: the azimuthal-equidistant map about a centre. From the centre geodesics are followed in every direction;
 * a place that lies s mm along the one that
 * sets out at an angle is drawn s mm from the middle at that angle (on a sphere this is J. P. Snyder's map, USGS Professional Paper 1395,
 * 1987, p. 191; from memory). Paper cannot shrink across: where
 * neighbouring geodesics lie closer than on flat paper by more than a limit, it needs a relief cut.
 */
public final class Unrolling {

    private static final int DIRECTIONS = 120;
    private static final double STEP_MM = 0.5;
    private static final int MOST_STEPS = 1200;

    /** Geodesics end where the surface is steeper than this. */
    private static final double STEEPEST = Math.cos(Math.toRadians(84));

    private final double centreX;
    private final double centreY;
    private final double[][] x = new double[DIRECTIONS][];
    private final double[][] y = new double[DIRECTIONS][];
    private final double[][] z = new double[DIRECTIONS][];

    private Unrolling(double centreX, double centreY) {
        this.centreX = centreX;
        this.centreY = centreY;
    }

    /** Follows the geodesics from a place on the smooth dome. */
    public static Unrolling about(Dome dome, double centreX, double centreY) {
        Unrolling unrolling = new Unrolling(centreX, centreY);
        Dome smooth = dome.smooth();
        for (int k = 0; k < DIRECTIONS; k++) {
            unrolling.follow(smooth, k);
        }
        return unrolling;
    }

    /** The second-order step: the direction is carried into the tangent plane half way, then at the end. */
    private void follow(Dome dome, int k) {
        double[] px = new double[MOST_STEPS + 1];
        double[] py = new double[MOST_STEPS + 1];
        double[] pz = new double[MOST_STEPS + 1];
        double[] at = {centreX, centreY, dome.heightAt(centreX, centreY)};
        double angle = 2 * Math.PI * k / DIRECTIONS;
        double[] normal = new double[3];
        dome.normalAt(at[0], at[1], normal);
        double[] way = tangent(new double[] {Math.cos(angle), Math.sin(angle), 0}, normal);
        // set out at the angle as seen in the tangent plane, whose axes lean with the surface
        double[] alongX = tangent(new double[] {1, 0, 0}, normal);
        double[] alongY = {normal[1] * alongX[2] - normal[2] * alongX[1], normal[2] * alongX[0] - normal[0] * alongX[2],
            normal[0] * alongX[1] - normal[1] * alongX[0]};
        for (int i = 0; i < 3; i++) {
            way[i] = Math.cos(angle) * alongX[i] + Math.sin(angle) * alongY[i];
        }
        px[0] = centreX;
        py[0] = centreY;
        pz[0] = at[2];
        int count = 1;
        while (count <= MOST_STEPS) {
            double hx = at[0] + STEP_MM / 2 * way[0];
            double hy = at[1] + STEP_MM / 2 * way[1];
            dome.normalAt(hx, hy, normal);
            double[] middle = tangent(way, normal);
            double nx = at[0] + STEP_MM * middle[0];
            double ny = at[1] + STEP_MM * middle[1];
            if (normal[2] < STEEPEST || dome.levelAt(nx, ny) <= 0.002) {
                break;
            }
            double nz = dome.heightAt(nx, ny);
            double length = Math.sqrt((nx - at[0]) * (nx - at[0]) + (ny - at[1]) * (ny - at[1]) + (nz - at[2]) * (nz - at[2]));
            double share = STEP_MM / length; // the chord on the surface is not quite the step: shorten or lengthen in plan
            nx = at[0] + share * (nx - at[0]);
            ny = at[1] + share * (ny - at[1]);
            nz = dome.heightAt(nx, ny);
            dome.normalAt(nx, ny, normal);
            way = tangent(middle, normal);
            at = new double[] {nx, ny, nz};
            px[count] = nx;
            py[count] = ny;
            pz[count] = nz;
            count++;
        }
        x[k] = Arrays.copyOf(px, count);
        y[k] = Arrays.copyOf(py, count);
        z[k] = Arrays.copyOf(pz, count);
    }

    private static double[] tangent(double[] v, double[] normal) {
        double dot = v[0] * normal[0] + v[1] * normal[1] + v[2] * normal[2];
        double tx = v[0] - dot * normal[0];
        double ty = v[1] - dot * normal[1];
        double tz = v[2] - dot * normal[2];
        double size = Math.sqrt(tx * tx + ty * ty + tz * tz);
        return new double[] {tx / size, ty / size, tz / size};
    }

    /** Where the paper point (s at an angle) lies on the stone; beyond the last step of a geodesic it goes straight on. */
    private double[] onStone(double angle, double s) {
        double turn = angle / (2 * Math.PI);
        double k = (turn - Math.floor(turn)) * DIRECTIONS;
        int k0 = (int) k % DIRECTIONS;
        int k1 = (k0 + 1) % DIRECTIONS;
        double f = k - Math.floor(k);
        double[] a = along(k0, s);
        double[] b = along(k1, s);
        return new double[] {a[0] * (1 - f) + b[0] * f, a[1] * (1 - f) + b[1] * f};
    }

    private double[] along(int k, double s) {
        int last = x[k].length - 1;
        if (last == 0) {
            double angle = 2 * Math.PI * k / DIRECTIONS;
            return new double[] {centreX + s * Math.cos(angle), centreY + s * Math.sin(angle), z[k][0]};
        }
        double at = s / STEP_MM;
        int i = (int) Math.min(last - 1, Math.floor(at));
        double f = at - i;
        return new double[] {x[k][i] + f * (x[k][i + 1] - x[k][i]), y[k][i] + f * (y[k][i + 1] - y[k][i]),
            z[k][i] + f * (z[k][i + 1] - z[k][i])};
    }

    /**
     * The paper place of a place on the stone: Newton's method on the table of geodesics.
     *
     * @return u to the right and v down, mm from the middle of the paper
     */
    public Coordinate paper(double px, double py) {
        double dx = px - centreX;
        double dy = py - centreY;
        double angle = Math.atan2(dy, dx);
        double s = Math.hypot(dx, dy);
        if (s < 1e-9) {
            return new Coordinate(0, 0);
        }
        double u = dx;
        double v = dy;
        for (int i = 0; i < 30; i++) {
            double[] at = onStone(angle, s);
            double ex = px - at[0];
            double ey = py - at[1];
            if (Math.hypot(ex, ey) < 1e-7) {
                break;
            }
            double h = 0.05;
            double[] right = onStone(Math.atan2(v, u + h), Math.hypot(u + h, v));
            double[] down = onStone(Math.atan2(v + h, u), Math.hypot(u, v + h));
            double a = (right[0] - at[0]) / h;
            double b = (down[0] - at[0]) / h;
            double c = (right[1] - at[1]) / h;
            double d = (down[1] - at[1]) / h;
            double det = a * d - b * c;
            if (Math.abs(det) < 1e-6) {
                break;
            }
            double stepU = (d * ex - b * ey) / det;
            double stepV = (a * ey - c * ex) / det;
            double limit = Math.max(1, s / 4);
            double size = Math.hypot(stepU, stepV);
            double share = size > limit ? limit / size : 1;
            u += share * stepU;
            v += share * stepV;
            angle = Math.atan2(v, u);
            s = Math.hypot(u, v);
        }
        return new Coordinate(u, v);
    }

    /** A shape on the stone as it lies on the paper. */
    public Geometry paper(Geometry onStone) {
        return new GeometryTransformer() {
            @Override
            protected CoordinateSequence transformCoordinates(CoordinateSequence points, Geometry parent) {
                Coordinate[] flat = new Coordinate[points.size()];
                for (int i = 0; i < flat.length; i++) {
                    flat[i] = paper(points.getX(i), points.getY(i));
                }
                return factory.getCoordinateSequenceFactory().create(flat);
            }
        }.transform(onStone);
    }

    /**
     * How much closer neighbouring geodesics lie at a distance than on flat paper, 0 where they do not; on a sphere of radius R it is
     * {@code 1 - sin(s/R) / (s/R)}.
     *
     * @param direction number of the direction, 0 to 119
     */
    double crowding(int direction, double s) {
        double[] a = along(Math.floorMod(direction - 1, DIRECTIONS), s);
        double[] b = along(Math.floorMod(direction + 1, DIRECTIONS), s);
        // neighbours that have come equally far lie across the way (Gauss's lemma), so their distance is the gap along the surface
        double gap = distance(a, b);
        return Math.max(0, 1 - gap / (s * 4 * Math.PI / DIRECTIONS));
    }

    private static double distance(double[] a, double[] b) {
        return Math.sqrt((a[0] - b[0]) * (a[0] - b[0]) + (a[1] - b[1]) * (a[1] - b[1]) + (a[2] - b[2]) * (a[2] - b[2]));
    }

    /**
     * A relief cut: a narrow triangle of paper to take out.
     *
     * @param fromMm where it begins, from the middle
     * @param widthMm how much of the rim it takes out
     */
    public record Cut(double degrees, double fromMm, double widthMm, Polygon triangle) {

        /** The cut before it opens: a slit of no width to speak of. */
        private Geometry slit() {
            double angle = Math.toRadians(degrees);
            double out = triangle.getExteriorRing().getCoordinateN(1).distance(new Coordinate(0, 0)) + 1;
            double sin = Math.sin(angle);
            double cos = Math.cos(angle);
            return triangle.getFactory()
                    .createPolygon(new Coordinate[] {new Coordinate(fromMm * cos, fromMm * sin),
                        new Coordinate(out * cos - SLIT_MM * sin, out * sin + SLIT_MM * cos),
                        new Coordinate(out * cos + SLIT_MM * sin, out * sin - SLIT_MM * cos), new Coordinate(fromMm * cos, fromMm * sin)});
        }

        /** Half the angle that it takes at a distance from the middle. */
        double halfAngle(double s) {
            Coordinate corner = triangle.getExteriorRing().getCoordinateN(2);
            double out = Math.hypot(corner.x, corner.y);
            double half = Math.abs(Math.atan2(Math.sin(Math.atan2(corner.y, corner.x) - Math.toRadians(degrees)),
                    Math.cos(Math.atan2(corner.y, corner.x) - Math.toRadians(degrees))));
            if (s <= fromMm) {
                return 0;
            }
            double across = out * Math.sin(half);
            double along = out * Math.cos(half);
            double share = (Math.min(s, out) - fromMm) / (along - fromMm);
            return Math.atan2(Math.max(0, share) * across, fromMm + share * (along - fromMm));
        }
    }

    /**
     * Relief cuts, evenly round the middle, each only from where the paper would crowd by more than the limit. Each takes out as much of
     * the rim as the paper has more of it than the stone, halfway to its
     * neighbours.
     *
     * @param paper the guide's outline on the paper
     * @param count how many at most, 2 or more
     * @param limit share of the length across that the paper may crowd, above 0
     */
    public List<Cut> cuts(Geometry paper, int count, double limit) {
        List<Cut> cuts = new ArrayList<>();
        GeometryFactory factory = new GeometryFactory();
        Polygon guide = (Polygon) paper.getGeometryN(0);
        Coordinate[] ring = guide.getExteriorRing().getCoordinates();
        double[] excess = excess(ring);
        for (int n = 0; n < count; n++) {
            int k = (int) Math.round((double) n * DIRECTIONS / count + DIRECTIONS / (2.0 * count)) % DIRECTIONS;
            double angle = 2 * Math.PI * k / DIRECTIONS;
            double edge = reach(ring, angle);
            double from = -1;
            for (double s = 2; s < edge; s += 0.5) {
                if (crowding(k, s) > limit) {
                    from = s;
                    break;
                }
            }
            double width = 0;
            int half = DIRECTIONS / (2 * count);
            for (int i = -half; i < half; i++) {
                width += excess[Math.floorMod(k + i, DIRECTIONS)];
            }
            if (from > 0 && edge - from > 1 && width > LEAST_CUT_MM) {
                double beside = width / 2 / edge;
                double out = edge + 2;
                Coordinate apex = new Coordinate(from * Math.cos(angle), from * Math.sin(angle));
                double wide = beside * (out - from) / (edge - from); // straight edges that are so far apart where the guide ends
                cuts.add(new Cut(360.0 * k / DIRECTIONS, from, width, factory.createPolygon(new Coordinate[] {apex,
                    new Coordinate(out * Math.cos(angle - wide), out * Math.sin(angle - wide)),
                    new Coordinate(out * Math.cos(angle + wide), out * Math.sin(angle + wide)), apex})));
            }
        }
        return cuts;
    }

    /** Half the width of a slit, mm. */
    private static final double SLIT_MM = 0.01;

    /** Narrower cuts are not worth the scissors, mm (common practice, no source). */
    private static final double LEAST_CUT_MM = 0.3;

    /** How much longer the paper's rim is than the stone's from each direction to the next, mm. */
    private double[] excess(Coordinate[] ring) {
        double[] excess = new double[DIRECTIONS];
        double[] edge = new double[DIRECTIONS];
        Arrays.setAll(edge, k -> reach(ring, 2 * Math.PI * k / DIRECTIONS));
        for (int k = 0; k < DIRECTIONS; k++) {
            int next = (k + 1) % DIRECTIONS;
            double turn = 2 * Math.PI / DIRECTIONS;
            double onPaper = Math.sqrt(edge[k] * edge[k] + edge[next] * edge[next] - 2 * edge[k] * edge[next] * Math.cos(turn));
            excess[k] = Math.max(0, onPaper - distance(along(k, edge[k]), along(next, edge[next])));
        }
        return excess;
    }

    /**
     * What is drawn on the guide, squeezed between the cuts, so that nothing of it is cut away and it lies where it belongs when they are
     * closed.
     *
     * @param drawn on the paper
     */
    public static Geometry squeezed(Geometry drawn, List<Cut> cuts) {
        if (cuts.isEmpty() || drawn.isEmpty()) {
            return drawn;
        }
        Geometry parted = drawn; // a line that crosses a cut ends on one side of it and goes on on the other
        for (Cut cut : cuts) {
            parted = OverlayNGRobust.overlay(parted, cut.slit(), OverlayNG.DIFFERENCE);
        }
        Geometry fine = Densifier.densify(parted, 1);
        return new GeometryTransformer() {
            @Override
            protected CoordinateSequence transformCoordinates(CoordinateSequence points, Geometry parent) {
                Coordinate[] moved = new Coordinate[points.size()];
                for (int i = 0; i < moved.length; i++) {
                    moved[i] = squeezed(points.getX(i), points.getY(i), cuts);
                }
                return factory.getCoordinateSequenceFactory().create(moved);
            }
        }.transform(fine);
    }

    private static Coordinate squeezed(double u, double v, List<Cut> cuts) {
        double s = Math.hypot(u, v);
        double angle = Math.atan2(v, u);
        angle = angle < 0 ? angle + 2 * Math.PI : angle;
        int after = 0;
        while (after < cuts.size() && Math.toRadians(cuts.get(after).degrees()) <= angle) {
            after++;
        }
        Cut low = cuts.get(Math.floorMod(after - 1, cuts.size()));
        Cut high = cuts.get(after % cuts.size());
        double from = Math.toRadians(low.degrees()) - (after == 0 ? 2 * Math.PI : 0);
        double to = Math.toRadians(high.degrees()) + (after == cuts.size() ? 2 * Math.PI : 0);
        double begin = from + low.halfAngle(s);
        double end = to - high.halfAngle(s);
        double at = begin + (angle - from) / (to - from) * (end - begin);
        return new Coordinate(s * Math.cos(at), s * Math.sin(at));
    }

    private static double reach(Coordinate[] ring, double angle) {
        double dx = Math.cos(angle);
        double dy = Math.sin(angle);
        double farthest = 0;
        for (int i = 1; i < ring.length; i++) {
            double a = dx * ring[i - 1].y - dy * ring[i - 1].x;
            double b = dx * ring[i].y - dy * ring[i].x;
            if (a >= 0 != b >= 0) {
                double t = a / (a - b);
                farthest = Math.max(farthest,
                        dx * (ring[i - 1].x + t * (ring[i].x - ring[i - 1].x)) + dy * (ring[i - 1].y + t * (ring[i].y - ring[i - 1].y)));
            }
        }
        return farthest;
    }
}
