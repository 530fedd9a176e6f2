package mosspebble.core.picture;

import mosspebble.core.coats.Sheen;

/**
 * What is seen of a rectangle of the stone, before any light.
 *
 * @param colour 0xRRGGBB, and in the top byte how much of the ground's own grain still shows, 0 to 255
 * @param body height of all paint, in steps of 0.02 µm, so that the top of a drop is round even close to
 * @param sheen ordinal of the top coat's {@link Sheen} and 1 more; 0 on the bare stone
 */
record Pixels(int[] colour, char[] body, byte[] sheen) {

    static final int BARE = 0xFF000000;

    private static final double STEPS_PER_UM = 50;

    static Pixels of(int cells) {
        return new Pixels(new int[cells], new char[cells], new byte[cells]);
    }

    static Pixels of(int cells, Spare spare) {
        return new Pixels(spare.ints(cells), spare.chars(cells), spare.bytes(cells));
    }

    Pixels copy() {
        return new Pixels(colour.clone(), body.clone(), sheen.clone());
    }

    /** A rectangle of a grid so many columns wide. */
    Pixels cut(int column, int row, int columns, int rows, int wide) {
        Pixels part = of(columns * rows);
        for (int r = 0; r < rows; r++) {
            part.row(this, (row + r) * wide + column, r * columns, columns);
        }
        return part;
    }

    /** Some of the pixels, by their numbers. */
    Pixels only(int[] at) {
        Pixels some = of(at.length);
        for (int k = 0; k < at.length; k++) {
            some.colour[k] = colour[at[k]];
            some.body[k] = body[at[k]];
            some.sheen[k] = sheen[at[k]];
        }
        return some;
    }

    /** Puts pixels back where they were taken from. */
    void put(Pixels some, int[] at) {
        for (int k = 0; k < at.length; k++) {
            colour[at[k]] = some.colour[k];
            body[at[k]] = some.body[k];
            sheen[at[k]] = some.sheen[k];
        }
    }

    /** Puts a rectangle into a grid so many columns wide. */
    void paste(Pixels part, int column, int row, int columns, int rows, int wide) {
        for (int r = 0; r < rows; r++) {
            row(part, r * columns, (row + r) * wide + column, columns);
        }
    }

    private void row(Pixels from, int at, int to, int count) {
        System.arraycopy(from.colour, at, colour, to, count);
        System.arraycopy(from.body, at, body, to, count);
        System.arraycopy(from.sheen, at, sheen, to, count);
    }

    boolean differs(int i, Pixels other, int k) {
        return colour[i] != other.colour[k] || body[i] != other.body[k] || sheen[i] != other.sheen[k];
    }

    /** A height as it is held, to 1,310 µm. */
    static char steps(double um) {
        return (char) Math.max(0, Math.min(Character.MAX_VALUE, STEPS_PER_UM * um + 0.5));
    }

    /** A held height raised by so many µm. */
    static char raised(char steps, float um) {
        float raised = steps + (float) STEPS_PER_UM * um + 0.5f;
        return raised <= 0 ? 0 : raised >= Character.MAX_VALUE ? Character.MAX_VALUE : (char) (int) raised;
    }

    /** A held height, µm. */
    static double um(char steps) {
        return steps / STEPS_PER_UM;
    }
}
