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
public record StoneFacts(double faceMm2, double shoulderMm2, double rimMm2, double backMm2, double backRimMm2, double volumeMm3,
        Grams weight) {

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
        double[] back = stone.flatBack() ? new double[] {dome.outline().polygon(new GeometryFactory()).getArea(), 0, 0, 0}
                : side(dome.back(stone), stone.limits());
        double volume = front[3] + back[3];
        return new StoneFacts(front[0], front[1], front[2], back[0] + back[1], back[2], volume,
                new Grams(volume / 1000 * stone.rock().density()));
    }

    /** Volume of the stone with another fullness of both domes, mm3: for weighing. */
    static double volumeMm3(Stone stone, Dome dome, double fullness) {
        double volume = side(dome.reshaped(stone.faceHeightMm(), fullness), stone.limits())[3];
        return stone.flatBack() ? volume : volume + side(dome.reshaped(stone.backDepthMm(), fullness), stone.limits())[3];
    }

    /** Face, shoulder and rim in mm2 and the volume below in mm3. */
    private static double[] side(Dome dome, ZoneLimits limits) {
        DomeMesh mesh = DomeMesh.of(dome, RINGS, RAYS);
        double face = Math.cos(Math.toRadians(limits.faceTilt()));
        double rim = Math.cos(Math.toRadians(limits.rimTilt()));
        double[] sums = new double[4];
        mesh.eachTriangle((i, j, k) -> triangle(mesh.x(), mesh.y(), mesh.z(), i, j, k, face, rim, sums));
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
