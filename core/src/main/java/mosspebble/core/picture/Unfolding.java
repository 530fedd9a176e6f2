package mosspebble.core.picture;

import mosspebble.core.stone.Dome;

/**
 * How much longer the way from the pole to a place is along the skin than as seen from above: grain crowds at the rim as on any round
 * thing. A table over rays from the pole.
 */
final class Unfolding {

    private static final int RAYS = 96;
    private static final int RINGS = 64;

    private final double poleX;
    private final double poleY;
    private final double ring;
    private final float[] longer = new float[RAYS * (RINGS + 1)];

    Unfolding(Dome dome) {
        this.poleX = dome.outline().poleX();
        this.poleY = dome.outline().poleY();
        double reach = 1.05 * (Math.max(dome.outline().halfWidth(), dome.outline().halfHeight()) + Math.hypot(poleX, poleY));
        this.ring = reach / RINGS;
        for (int ray = 0; ray < RAYS; ray++) {
            double dx = Math.cos(2 * Math.PI * ray / RAYS);
            double dy = Math.sin(2 * Math.PI * ray / RAYS);
            double way = 0;
            double before = dome.smoothHeightAt(poleX, poleY);
            longer[ray * (RINGS + 1)] = 1;
            for (int k = 1; k <= RINGS; k++) {
                double height = dome.smoothHeightAt(poleX + dx * k * ring, poleY + dy * k * ring);
                way += Math.hypot(ring, height - before);
                before = height;
                longer[ray * (RINGS + 1) + k] = (float) (way / (k * ring));
            }
        }
    }

    /** The way along the skin over the way seen from above, at least 1. */
    double longerAt(double x, double y) {
        double dx = x - poleX;
        double dy = y - poleY;
        double at = Math.min(RINGS - 1e-6, Math.sqrt(dx * dx + dy * dy) / ring);
        double turn = Math.atan2(dy, dx) / (2 * Math.PI);
        double on = (turn - Math.floor(turn)) * RAYS;
        int ray = (int) on % RAYS;
        int next = (ray + 1) % RAYS;
        int k = (int) at;
        double between = on - Math.floor(on);
        return mixed(ray, k, at - k) * (1 - between) + mixed(next, k, at - k) * between;
    }

    private double mixed(int ray, int k, double share) {
        int i = ray * (RINGS + 1) + k;
        return longer[i] * (1 - share) + longer[i + 1] * share;
    }
}
