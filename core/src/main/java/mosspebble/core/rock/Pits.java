package mosspebble.core.rock;

/** Round holes of several sizes strewn over the skin, one at most to a cell of a lattice: bubbles, pores, pinholes. */
final class Pits {

    private final Noise noise;
    private final double cell;
    private final double chance;
    private final double least;
    private final double most;
    private final int salt;

    /**
     * @param cell of the lattice, mm; a hole is no wider
     * @param chance that a cell has one, 0 to 1
     * @param least radius, mm
     * @param most radius, mm, at most half a cell
     */
    Pits(Noise noise, int salt, double cell, double chance, double least, double most) {
        this.noise = noise;
        this.salt = salt;
        this.cell = cell;
        this.chance = chance;
        this.least = least;
        this.most = most;
    }

    /** How deep a place lies in a hole, 0 outside to 1 at its middle; the profile is round at the bottom with steep walls. */
    double depth(double u, double v, double pixel) {
        if (2 * most < pixel) {
            return 0;
        }
        int c0 = (int) Math.floor(u / cell);
        int r0 = (int) Math.floor(v / cell);
        double deepest = 0;
        for (int r = r0 - 1; r <= r0 + 1; r++) {
            for (int c = c0 - 1; c <= c0 + 1; c++) {
                if (noise.quick(c + salt, r) >= chance) {
                    continue;
                }
                double size = noise.quick(c + salt, r + 7331);
                double radius = least + (most - least) * size * size;
                double dx = u - (c + noise.quick(c + salt + 101, r)) * cell;
                double dy = v - (r + noise.quick(c + salt, r + 211)) * cell;
                double squeezed = 1 + 0.5 * noise.quick(c + salt + 17, r + 29);
                double turn = Math.PI * noise.quick(c + salt + 5, r + 3);
                double a = dx * Math.cos(turn) + dy * Math.sin(turn);
                double b = (-dx * Math.sin(turn) + dy * Math.cos(turn)) * squeezed;
                double t = Math.sqrt(a * a + b * b) / radius;
                if (t < 1) {
                    deepest = Math.max(deepest, Math.sqrt(1 - t * t * t) * Math.min(1, 2 * radius / pixel - 1));
                }
            }
        }
        return Math.max(0, deepest);
    }

    /** Depth of the middle, mm, for a hole of the usual size. */
    double deep() {
        return 0.75 * (least + (most - least) / 3);
    }
}
