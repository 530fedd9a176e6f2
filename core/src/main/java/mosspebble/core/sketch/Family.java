package mosspebble.core.sketch;

import java.util.List;
import java.util.Map;
import mosspebble.core.units.Numbers;
import org.locationtech.jts.geom.LineString;

/** Patterns that are made to measure: what its dials say becomes a motif. The same values give the same motif. */
public interface Family {

    /** What the number of a dial says: shares are of half the width of the motif, or of what its title names. */
    enum Scale {
        COUNT, CHOICE, ANOTHER, SHARE, DEGREES, TURNS
    }

    /**
     * One thing that can be set.
     *
     * @param id short, unique in the family
     * @param usual where it stands at first
     * @param names what the numbers from 0 on stand for, where it is a choice; else empty
     */
    record Dial(String id, String title, double low, double high, double usual, Scale scale, List<String> names) {

        public Dial {
            names = List.copyOf(names);
            if (!(low < high && usual >= low && usual <= high)) {
                throw new IllegalArgumentException("a dial goes from low to high with its usual place between, " + id + " did not");
            }
        }

        /** Whether only whole numbers make sense. */
        public boolean whole() {
            return scale == Scale.COUNT || scale == Scale.CHOICE || scale == Scale.ANOTHER;
        }

        /** A step of the arrow keys. */
        public double step() {
            return whole() ? 1 : (high - low) / 20;
        }

        /** A value as a painter reads it: "6 %", "-18°", "12". */
        public String said(double value) {
            return switch (scale) {
                case SHARE -> Numbers.text(100 * value, 0) + " %";
                case DEGREES -> Numbers.text(value, 0) + "°";
                case TURNS -> Numbers.text(value, 1);
                case COUNT, CHOICE, ANOTHER -> Numbers.text(value, 0);
            };
        }
    }

    /**
     * Where the motif will lie, in motif units.
     *
     * @param cracks of the stone, each from its mouth to its end
     */
    record Site(List<LineString> cracks) {
        public Site {
            cracks = List.copyOf(cracks);
        }

        public static Site plain() {
            return new Site(List.of());
        }
    }

    String id();

    String title();

    List<Dial> dials();

    /** Makes the motif; a dial without a value stands at its usual place. */
    Motif motif(Map<String, Double> values, Site site);

    /** Value of a dial, held within its range. */
    static double value(Dial dial, Map<String, Double> values) {
        double value = values.getOrDefault(dial.id(), dial.usual());
        double held = Math.max(dial.low(), Math.min(dial.high(), Double.isFinite(value) ? value : dial.usual()));
        return dial.whole() ? Math.round(held) : held;
    }

    /** Refuses values that are not the family's. */
    default void check(Map<String, Double> values) {
        for (Map.Entry<String, Double> entry : values.entrySet()) {
            Dial dial = dials().stream().filter(d -> d.id().equals(entry.getKey())).findFirst()
                    .orElseThrow(() -> new IllegalArgumentException(title() + " has nothing called " + entry.getKey() + "."));
            if (!(entry.getValue() >= dial.low() && entry.getValue() <= dial.high())) {
                throw new IllegalArgumentException(dial.title() + ": " + dial.said(dial.low()) + " to " + dial.said(dial.high()) + ", was "
                        + dial.said(entry.getValue()) + ".");
            }
        }
    }
}
