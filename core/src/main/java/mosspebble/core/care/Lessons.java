package mosspebble.core.care;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What the painter's own book teaches for stones to come. Counts are counts: three stones are three stones.
 *
 * @param worn sealers that did not last
 * @param failed products that smeared, bled or lifted
 * @param slower times as long as planned that stones took, in the middle; empty where too few were timed or it came out as planned
 * @param timed from how many stones that is known
 */
public record Lessons(List<Worn> worn, List<Failed> failed, OptionalDouble slower, int timed) {

    /** As long as there is no book. */
    public static final Lessons NOTHING = new Lessons(List.of(), List.of(), OptionalDouble.empty(), 0);

    /**
     * A sealer that did not last.
     *
     * @param sealer its name
     * @param outdoors whether the stones were out of doors
     * @param worn how many of them were found worn
     * @param stones how many were looked at
     * @param months after which no more than half were like new
     */
    public record Worn(String sealer, boolean outdoors, int worn, int stones, double months) {}

    /** A product that failed. @param product its id @param failed on so many of the stones it was used on */
    public record Failed(String product, String name, int failed, int stones) {}

    public Lessons {
        worn = List.copyOf(worn);
        failed = List.copyOf(failed);
    }
}
