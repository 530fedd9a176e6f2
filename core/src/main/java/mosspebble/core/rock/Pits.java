package mosspebble.core.rock;

import java.util.ArrayList;
import java.util.List;

/**
 * Round holes of several sizes strewn over the skin, one at most to a cell of a lattice: bubbles, pores, pinholes. They keep company: of
 * four by four cells some have up to twice as many as the mean, some none.
 */
final class Pits {

    private final Noise noise;
    private final double cell;
    private final double chance;
    private final double least;
    private final double most;
    private final int salt;

    /**
     * @param cell of the lattice, mm; a hole is no wider
     * @param chance that a cell has one, in the mean over all, 0 to 0.5
     * @param least radius, mm
     * @param most radius, mm, at most half a cell
     */
    Pits(Noise noise, int salt, double cell, double chance, double least, double most) {
        if (!(chance >= 0 && chance <= 0.5)) {
            throw new IllegalArgumentException("In the mean half the cells have a hole at most, was " + chance + ".");
        }
        this.noise = noise;
        this.salt = salt;
        this.cell = cell;
        this.chance = chance;
        this.least = least;
        this.most = most;
    }

    /** So many cells in a row, as a power of two, have one chance. */
    private static final int TOGETHER = 2;

    /** So many cells are remembered. */
    private static final int CELLS = 1 << 12;

    /**
     * A hole.
     *
     * @param u its middle, mm
     * @param cos of the turn of its length
     * @param squeezed so many times as long as wide
     */
    private record Hole(double u, double v, double radius, double cos, double sin, double squeezed) {}

    /** The holes that may reach into a cell; never changed once made, so that threads may find one another's without a lock. */
    private record Cell(int column, int row, Hole[] holes) {}

    private final Cell[] known = new Cell[CELLS];

    /** How deep a place lies in a hole, 0 outside to 1 at its middle; the profile is round at the bottom with steep walls. */
    double depth(double u, double v, double pixel) {
        if (2 * most < pixel) {
            return 0;
        }
        double deepest = 0;
        for (Hole hole : holes((int) Math.floor(u / cell), (int) Math.floor(v / cell))) {
            double dx = u - hole.u;
            double dy = v - hole.v;
            if (dx * dx + dy * dy >= hole.radius * hole.radius) {
                continue;
            }
            double a = dx * hole.cos + dy * hole.sin;
            double b = (-dx * hole.sin + dy * hole.cos) * hole.squeezed;
            double t = Math.sqrt(a * a + b * b) / hole.radius;
            if (t < 1) {
                deepest = Math.max(deepest, Math.sqrt(1 - t * t * t) * Math.min(1, 2 * hole.radius / pixel - 1));
            }
        }
        return deepest;
    }

    private Hole[] holes(int column, int row) {
        int at = (column * 0x9E3779B1 + row * 0x85EBCA6B) >>> 20;
        Cell found = known[at];
        if (found == null || found.column != column || found.row != row) {
            found = new Cell(column, row, around(column, row));
            known[at] = found;
        }
        return found.holes;
    }

    private Hole[] around(int column, int row) {
        List<Hole> holes = new ArrayList<>();
        for (int r = row - 1; r <= row + 1; r++) {
            for (int c = column - 1; c <= column + 1; c++) {
                double company = noise.quick((c >> TOGETHER) + salt + 900, r >> TOGETHER);
                if (noise.quick(c + salt, r) < chance * 2 * company) {
                    holes.add(hole(c, r));
                }
            }
        }
        return holes.toArray(new Hole[0]);
    }

    private Hole hole(int c, int r) {
        double size = noise.quick(c + salt, r + 7331);
        double turn = Math.PI * noise.quick(c + salt + 5, r + 3);
        return new Hole((c + noise.quick(c + salt + 101, r)) * cell, (r + noise.quick(c + salt, r + 211)) * cell,
                least + (most - least) * size * size, Math.cos(turn), Math.sin(turn), 1 + 0.5 * noise.quick(c + salt + 17, r + 29));
    }

    /** Depth of the middle, mm, for a hole of the usual size. */
    double deep() {
        return 0.75 * (least + (most - least) / 3);
    }
}
