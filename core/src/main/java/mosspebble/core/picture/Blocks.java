package mosspebble.core.picture;

import java.util.Arrays;

/** Some of the square blocks that a rectangle of cells is parted into: where there is something to be worked out. */
final class Blocks {

    final int side;
    final int across;
    final int down;
    private final boolean[] in;

    private Blocks(int side, int across, int down) {
        this.side = side;
        this.across = across;
        this.down = down;
        this.in = new boolean[across * down];
    }

    private static Blocks none(int columns, int rows, int side) {
        return new Blocks(side, (columns + side - 1) / side, (rows + side - 1) / side);
    }

    static Blocks all(int columns, int rows, int side) {
        Blocks all = none(columns, rows, side);
        Arrays.fill(all.in, true);
        return all;
    }

    /** Those with an edge of what is covered in them or in a block beside them; beyond the rectangle nothing is covered. */
    static Blocks nearEdges(float[] share, int columns, int rows, int side) {
        Blocks near = none(columns, rows, side);
        float[] even = new float[near.in.length];
        for (int b = 0; b < even.length; b++) {
            even[b] = even(share, columns, rows, b % near.across * side, b / near.across * side, side);
        }
        for (int b = 0; b < even.length; b++) {
            near.in[b] = even[b] == UNEVEN || !near.alike(even, b);
        }
        return near;
    }

    private static final float UNEVEN = -1;

    /** The share that all cells of a block have, 0 or 1. */
    private static float even(float[] share, int columns, int rows, int column, int row, int side) {
        float first = share[row * columns + column];
        if (first != 0 && first != 1) {
            return UNEVEN;
        }
        for (int r = row; r < Math.min(rows, row + side); r++) {
            for (int i = r * columns + column; i < r * columns + Math.min(columns, column + side); i++) {
                if (share[i] != first) {
                    return UNEVEN;
                }
            }
        }
        return first;
    }

    /** Whether all blocks round one are as it is. */
    private boolean alike(float[] even, int block) {
        for (int k = 0; k < 9; k++) {
            int c = block % across + k % 3 - 1;
            int r = block / across + k / 3 - 1;
            boolean beyond = c < 0 || r < 0 || c >= across || r >= down;
            if ((beyond ? 0 : even[r * across + c]) != even[block]) {
                return false;
            }
        }
        return true;
    }

    /** These and those round them, so many blocks to each side. */
    Blocks wider(int acrossBy, int downBy) {
        Blocks wider = new Blocks(side, across, down);
        for (int b = 0; b < in.length; b++) {
            if (in[b]) {
                int c = b % across;
                int r = b / across;
                for (int rr = Math.max(0, r - downBy); rr <= Math.min(down - 1, r + downBy); rr++) {
                    Arrays.fill(wider.in, rr * across + Math.max(0, c - acrossBy), rr * across + Math.min(across, c + acrossBy + 1), true);
                }
            }
        }
        return wider;
    }

    boolean has(int blockColumn, int blockRow) {
        return in[blockRow * across + blockColumn];
    }
}
