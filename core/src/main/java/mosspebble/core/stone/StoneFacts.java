package mosspebble.core.stone;

import mosspebble.core.units.Grams;

/**
 * What follows from the measures.
 *
 * @param faceMm2 surface of the face zone, along the stone, mm2
 * @param shoulderMm2 surface of the shoulder, mm2
 * @param rimMm2 surface of the rim above the girdle, mm2
 * @param volumeMm3 volume with the back, mm3
 * @param weight volume times the rock's bulk density
 */
public record StoneFacts(double faceMm2, double shoulderMm2, double rimMm2, double volumeMm3, Grams weight) {

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

    /**
     * Measures the dome on a mesh of rings and rays. Rings stand at r = R sin(phi), which makes the steep rim of an inflated
     * surface smooth in phi, so that flat triangles converge quadratically.
     */
    public static StoneFacts of(Stone stone, Dome dome) {
        Dome back = dome.reshaped(Math.max(stone.backDepthMm(), 1e-9), 1);
        double[] x = new double[(RINGS + 1) * RAYS];
        double[] y = new double[x.length];
        double[] z = new double[x.length];
        double[] depth = new double[x.length];
        for (int ray = 0; ray < RAYS; ray++) {
            double angle = 2 * Math.PI * ray / RAYS;
            double radius = dome.outline().radius(angle);
            for (int ring = 0; ring <= RINGS; ring++) {
                double r = radius * Math.sin(Math.PI / 2 * ring / RINGS);
                int i = ring * RAYS + ray;
                x[i] = r * Math.cos(angle);
                y[i] = r * Math.sin(angle);
                z[i] = ring == RINGS ? 0 : dome.heightAt(x[i], y[i]);
                depth[i] = ring == RINGS ? 0 : back.heightAt(x[i], y[i]);
            }
        }
        double[] zones = new double[3];
        double volume = 0;
        for (int ring = 0; ring < RINGS; ring++) {
            for (int ray = 0; ray < RAYS; ray++) {
                int a = ring * RAYS + ray;
                int b = ring * RAYS + (ray + 1) % RAYS;
                int c = a + RAYS;
                int d = b + RAYS;
                for (int[] t : new int[][] {{a, c, d}, {a, d, b}}) {
                    double ux = x[t[1]] - x[t[0]];
                    double uy = y[t[1]] - y[t[0]];
                    double uz = z[t[1]] - z[t[0]];
                    double vx = x[t[2]] - x[t[0]];
                    double vy = y[t[2]] - y[t[0]];
                    double vz = z[t[2]] - z[t[0]];
                    double nx = uy * vz - uz * vy;
                    double ny = uz * vx - ux * vz;
                    double nz = ux * vy - uy * vx;
                    double twice = Math.sqrt(nx * nx + ny * ny + nz * nz);
                    if (twice > 0) {
                        double tilt = Math.toDegrees(Math.acos(Math.min(1, Math.abs(nz) / twice)));
                        zones[tilt <= Zones.FACE_TILT ? 0 : tilt <= Zones.RIM_TILT ? 1 : 2] += twice / 2;
                        double thick = z[t[0]] + z[t[1]] + z[t[2]];
                        thick += stone.flatBack() ? 0 : depth[t[0]] + depth[t[1]] + depth[t[2]];
                        volume += Math.abs(nz) / 2 * thick / 3;
                    }
                }
            }
        }
        return new StoneFacts(zones[0], zones[1], zones[2], volume, new Grams(volume / 1000 * stone.rock().density()));
    }
}
