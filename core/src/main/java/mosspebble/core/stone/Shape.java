package mosspebble.core.stone;

import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import mosspebble.core.units.Numbers;

/** How the outline of a stone is known. Whatever the way, it is stretched to the stone's length and width. */
public sealed interface Shape {

    /**
     * Grown from the measures.
     *
     * @param roundness between cornered (0) and smooth (1)
     * @param irregularity how far nature departs from the form, 0 to 1
     */
    record Grown(Form form, double roundness, double irregularity) implements Shape {
        public Grown {
            Objects.requireNonNull(form);
            share("roundness", roundness);
            share("irregularity", irregularity);
        }
    }

    /**
     * Distances from a middle point in measured directions, joined to a smooth closed curve: taken with callipers, from a photo, from a
     * file, or dragged by hand.
     *
     * @param spokes 4 to 400, by growing angle
     */
    record Measured(Source source, List<Spoke> spokes) implements Shape {

        public static final int FEWEST = 4;
        public static final int MOST = 400;

        public Measured {
            Objects.requireNonNull(source);
            spokes = List.copyOf(spokes);
            if (spokes.size() < FEWEST || spokes.size() > MOST) {
                throw new IllegalArgumentException(
                        "An outline needs " + FEWEST + " to " + MOST + " measured directions, had " + spokes.size() + ".");
            }
            for (int i = 1; i < spokes.size(); i++) {
                if (spokes.get(i).degrees() - spokes.get(i - 1).degrees() < 0.05) {
                    throw new IllegalArgumentException("Directions of an outline must grow by at least 0.05°, but "
                            + Numbers.shortText(spokes.get(i).degrees()) + "° follows "
                            + Numbers.shortText(spokes.get(i - 1).degrees()) + "°.");
                }
            }
            if (spokes.get(0).degrees() + 360 - spokes.get(spokes.size() - 1).degrees() < 0.05) {
                throw new IllegalArgumentException("The last direction of an outline repeats the first.");
            }
        }
    }

    /**
     * One measured direction.
     *
     * @param degrees clockwise from the right, 0 to under 360
     * @param mm from the middle to the edge, 2 to 600
     */
    record Spoke(double degrees, double mm) {
        public Spoke {
            if (!(degrees >= 0 && degrees < 360)) {
                throw new IllegalArgumentException("A direction must be 0 to under 360°, was " + Numbers.shortText(degrees) + "°.");
            }
            if (!(mm >= 2 && mm <= 600)) {
                throw new IllegalArgumentException("A radius must be 2 to 600 mm, was " + Numbers.shortText(mm) + " mm.");
            }
        }
    }

    /** Where a measured outline came from. */
    enum Source { CALLIPERS, PHOTO, FILE, HAND }

    default <T> T match(Function<Grown, T> grown, Function<Measured, T> measured) {
        return this instanceof Grown g ? grown.apply(g) : measured.apply((Measured) this);
    }

    private static void share(String what, double value) {
        if (!(value >= 0 && value <= 1)) {
            throw new IllegalArgumentException("The " + what + " of a stone must be 0 to 1, was " + Numbers.shortText(value) + ".");
        }
    }
}
