package mosspebble.core.proof;

/**
 * How far the stone in the photo is.
 *
 * @param pencil whether its lines are drawn and no paint covers them yet; else it is painted
 * @param steps how many steps of the plan are done
 */
public record Moment(boolean pencil, int steps) {

    public Moment {
        if (steps < 0) {
            throw new IllegalArgumentException("so many steps cannot be done: " + steps);
        }
    }

    public static Moment pencilled() {
        return new Moment(true, 0);
    }

    public static Moment painted(int steps) {
        return new Moment(false, steps);
    }
}
