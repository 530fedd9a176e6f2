package mosspebble.core.stone;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.units.Bisection;
import org.locationtech.jts.geom.Coordinate;

/**
 * An eye over the stone, in the stone's frame, mm, looking at its middle. What it sees is measured in the plane through the middle across
 * the line of sight, u to the right and v
 * down, in mm at the middle's distance.
 */
public record Eye(double x, double y, double z) {

    /** What lies nearer than the middle looks so much larger at most. */
    private static final double NEARER = 1.5;

    /** Unit vectors in the stone's frame: from the middle to the eye, right, down. */
    public double[][] frame() {
        double size = Math.sqrt(x * x + y * y + z * z);
        double[] toEye = {x / size, y / size, z / size};
        double flat = Math.hypot(toEye[1], toEye[2]); // right stays level: the eye is in front of the middle
        double[] right = {flat, -toEye[0] * toEye[1] / Math.max(flat, 1e-12), -toEye[0] * toEye[2] / Math.max(flat, 1e-12)};
        double[] down = {right[2] * toEye[1] - right[1] * toEye[2], right[0] * toEye[2] - right[2] * toEye[0],
            right[1] * toEye[0] - right[0] * toEye[1]};
        return new double[][] {toEye, right, down};
    }

    /** @param seen receives u, v and the distance toward the eye, mm */
    public void project(double px, double py, double pz, double[] seen) {
        double[][] f = frame();
        double far = Math.sqrt(x * x + y * y + z * z);
        double toward = px * f[0][0] + py * f[0][1] + pz * f[0][2];
        double scale = far / Math.max(1e-6, far - toward);
        seen[0] = scale * (px * f[1][0] + py * f[1][1] + pz * f[1][2]);
        seen[1] = scale * (px * f[2][0] + py * f[2][1] + pz * f[2][2]);
        seen[2] = toward;
    }

    /** Where the line of sight through (u, v) first meets the dome; empty if it misses. */
    public Optional<Coordinate> cast(Dome dome, double u, double v) {
        double[][] f = frame();
        double[] through = {u * f[1][0] + v * f[2][0], u * f[1][1] + v * f[2][1], u * f[1][2] + v * f[2][2]};
        double dx = through[0] - x;
        double dy = through[1] - y;
        double dz = through[2] - z;
        if (dz >= 0) {
            return Optional.empty();
        }
        double from = Math.max(0, (dome.heightMm() * 1.3 + 1 - z) / dz);
        double to = -z / dz;
        double last = from;
        for (int i = 1; i <= 200; i++) {
            double t = from + (to - from) * i / 200;
            if (z + t * dz <= dome.heightAt(x + t * dx, y + t * dy) && dome.levelAt(x + t * dx, y + t * dy) > 0) {
                double met = Bisection.of(last, t, 30, on -> z + on * dz > dome.heightAt(x + on * dx, y + on * dy)).high();
                return Optional.of(new Coordinate(x + met * dx, y + met * dy));
            }
            last = t;
        }
        return Optional.empty();
    }

    /**
     * A level line that looks straight, and a ring that looks round.
     *
     * @param points on the stone, mm
     * @param liftedMm for every point, how far it lies toward the upper edge (positive) from the ruled line, or outside (positive) the ring
     * drawn with compasses
     */
    public record Corrected(List<Coordinate> points, List<Double> liftedMm) {

        public Corrected {
            points = List.copyOf(points);
            liftedMm = List.copyOf(liftedMm);
        }

        /** The largest correction by size, with its sign; 0 when there are no points. */
        public double most() {
            return liftedMm.stream().max((a, b) -> Double.compare(Math.abs(a), Math.abs(b))).orElse(0.0);
        }
    }

    /**
     * The line over the dome that looks straight and level from here: the cut of the surface with the plane through the eye and a level
     * line through the place.
     *
     * @param reachMm how far it goes to either side of the place
     */
    public Corrected straight(Dome dome, double atX, double atY, double reachMm) {
        double[] seen = new double[3];
        project(atX, atY, dome.heightAt(atX, atY), seen);
        double u = seen[0];
        double v = seen[1];
        List<Coordinate> points = new ArrayList<>();
        List<Double> lifted = new ArrayList<>();
        double step = Math.max(0.5, reachMm / 40);
        int steps = (int) Math.ceil(NEARER * reachMm / step);
        for (int i = -steps; i <= steps; i++) { // a line of sight that misses the stone has no place on it
            cast(dome, u + i * step, v).filter(at -> Math.abs(at.x - atX) <= reachMm + 1e-9).ifPresent(at -> {
                points.add(at);
                lifted.add(atY - at.y);
            });
        }
        return new Corrected(points, lifted);
    }

    /** The ring over the dome that looks round from here, as large across as one drawn with compasses on flat paper. */
    public Corrected round(Dome dome, double atX, double atY, double radiusMm) {
        double[] seen = new double[3];
        project(atX, atY, dome.heightAt(atX, atY), seen);
        double u = seen[0];
        double v = seen[1];
        List<Coordinate> points = new ArrayList<>();
        List<Double> lifted = new ArrayList<>();
        for (int i = 0; i <= 72; i++) {
            double angle = 2 * Math.PI * i / 72;
            cast(dome, u + radiusMm * Math.cos(angle), v + radiusMm * Math.sin(angle)).ifPresent(at -> {
                points.add(at);
                lifted.add(Math.hypot(at.x - atX, at.y - atY) - radiusMm);
            });
        }
        return new Corrected(points, lifted);
    }
}
