package mosspebble.core.stone;

import mosspebble.core.units.Grams;
import org.locationtech.jts.geom.GeometryFactory;

/**
 * What follows from the measures. The two faces and the edge are separate places to paint.
 *
 * @param faceMm2 surface of the face zone, along the stone, mm2
 * @param shoulderMm2 surface of the shoulder, mm2
 * @param rimMm2 surface of the rim above the girdle, mm2
 * @param backMm2 face and shoulder of the back together, mm2; of a flat back its plane
 * @param backRimMm2 surface of the rim below the girdle, mm2
 * @param volumeMm3 volume with the back, mm3
 * @param weight volume times the rock's bulk density
 */
public record StoneFacts(double faceMm2, double shoulderMm2, double rimMm2, double backMm2, double backRimMm2, double volumeMm3, Grams weight) {

    private static final int RAYS = 240;
    private static final int RINGS = 60;

    /** Face and shoulder: where paint is planned. */
    public double paintableMm2() {
        return faceMm2 + shoulderMm2;
    }

    /** The whole upper side, girdle to top. */
    public double upperMm2() {
        return faceMm2 + shoulderMm2 + rimMm2;
    }

    /** The edge all round: both rims. */
    public double edgeMm2() {
        return rimMm2 + backRimMm2;
    }

    /** All of the stone. */
    public double wholeMm2() {
        return upperMm2() + backMm2 + backRimMm2;
    }

    public static StoneFacts of(Stone stone, Dome dome) {
        double[] front = side(dome, stone.limits());
        double[] back = stone.flatBack() ? new double[] {dome.outline().polygon(new GeometryFactory()).getArea(), 0, 0, 0} : side(dome.back(stone), stone.limits());
        double volume = front[3] + back[3];
        return new StoneFacts(front[0], front[1], front[2], back[0] + back[1], back[2], volume, new Grams(volume / 1000 * stone.rock().density()));
    }

    /** Volume of the stone with another fullness of both domes, mm3: for weighing. */
    static double volumeMm3(Stone stone, Dome dome, double fullness) {
        double volume = side(dome.reshaped(stone.faceHeightMm(), fullness), stone.limits())[3];
        return stone.flatBack() ? volume : volume + side(dome.reshaped(stone.backDepthMm(), fullness), stone.limits())[3];
    }

    /**
     * Face, shoulder and rim in mm2 and the volume below in mm3, on a mesh of rings and rays. Rings stand at r = R sin(phi), which makes the steep rim of an inflated
     * surface smooth in phi, so that flat triangles converge quadratically.
     */
    private static double[] side(Dome dome, ZoneLimits limits) {
        double[] x = new double[(RINGS + 1) * RAYS];
        double[] y = new double[x.length];
        double[] z = new double[x.length];
        for (int ray = 0; ray < RAYS; ray++) {
            double angle = 2 * Math.PI * ray / RAYS;
            double radius = dome.outline().radius(angle);
            for (int ring = 0; ring <= RINGS; ring++) {
                double r = radius * Math.sin(Math.PI / 2 * ring / RINGS);
                int i = ring * RAYS + ray;
                x[i] = dome.outline().poleX() + r * Math.cos(angle);
                y[i] = dome.outline().poleY() + r * Math.sin(angle);
                z[i] = ring == RINGS ? 0 : dome.heightAt(x[i], y[i]);
            }
        }
        double face = Math.cos(Math.toRadians(limits.faceTilt()));
        double rim = Math.cos(Math.toRadians(limits.rimTilt()));
        double[] sums = new double[4];
        for (int ring = 0; ring < RINGS; ring++) {
            for (int ray = 0; ray < RAYS; ray++) {
                int a = ring * RAYS + ray;
                int b = ring * RAYS + (ray + 1) % RAYS;
                triangle(x, y, z, a, a + RAYS, b + RAYS, face, rim, sums);
                triangle(x, y, z, a, b + RAYS, b, face, rim, sums);
            }
        }
        return sums;
    }

    private static void triangle(double[] x, double[] y, double[] z, int a, int b, int c, double face, double rim, double[] sums) {
        double ux = x[b] - x[a];
        double uy = y[b] - y[a];
        double uz = z[b] - z[a];
        double vx = x[c] - x[a];
        double vy = y[c] - y[a];
        double vz = z[c] - z[a];
        double nx = uy * vz - uz * vy;
        double ny = uz * vx - ux * vz;
        double nz = Math.abs(ux * vy - uy * vx);
        double twice = Math.sqrt(nx * nx + ny * ny + nz * nz);
        if (twice > 0) {
            double flat = nz / twice;
            sums[flat >= face ? 0 : flat >= rim ? 1 : 2] += twice / 2;
            sums[3] += nz / 2 * (z[a] + z[b] + z[c]) / 3;
        }
    }
}
