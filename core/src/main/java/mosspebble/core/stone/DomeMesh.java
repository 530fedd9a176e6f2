package mosspebble.core.stone;

/**
 * A dome as flat triangles between rings and rays about the pole. Rings stand at r = R sin(phi), which makes the steep rim of an inflated
 * surface smooth in phi, so that
 * what is summed over the triangles converges quadratically with the number of rings.
 *
 * @param x mm, of corner {@code ring * rays + ray}; ring 0 is the pole, the last ring the outline
 * @param y mm, likewise
 * @param z height over the girdle, mm, likewise; 0 on the last ring
 */
public record DomeMesh(int rings, int rays, double[] x, double[] y, double[] z) {

    /** Takes the three corners of one triangle. */
    public interface Triangle {
        void take(int a, int b, int c);
    }

    /** The mesh of a dome; at least one ring and three rays. */
    public static DomeMesh of(Dome dome, int rings, int rays) {
        if (rings < 1 || rays < 3) {
            throw new IllegalArgumentException("A mesh has at least 1 ring and 3 rays, was " + rings + " and " + rays + ".");
        }
        double[] x = new double[(rings + 1) * rays];
        double[] y = new double[x.length];
        double[] z = new double[x.length];
        StoneOutline outline = dome.outline();
        for (int ray = 0; ray < rays; ray++) {
            double angle = 2 * Math.PI * ray / rays;
            double radius = outline.radius(angle);
            for (int ring = 0; ring <= rings; ring++) {
                double r = radius * Math.sin(Math.PI / 2 * ring / rings);
                int i = ring * rays + ray;
                x[i] = outline.poleX() + r * Math.cos(angle);
                y[i] = outline.poleY() + r * Math.sin(angle);
                z[i] = ring == rings ? 0 : dome.heightAt(x[i], y[i]);
            }
        }
        return new DomeMesh(rings, rays, x, y, z);
    }

    /** Every triangle, from the pole outwards. */
    public void eachTriangle(Triangle triangle) {
        for (int ring = 0; ring < rings; ring++) {
            for (int ray = 0; ray < rays; ray++) {
                int a = ring * rays + ray;
                int b = ring * rays + (ray + 1) % rays;
                triangle.take(a, a + rays, b + rays);
                triangle.take(a, b + rays, b);
            }
        }
    }
}
