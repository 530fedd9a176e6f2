package mosspebble.core.plan;

import java.util.List;
import java.util.Locale;
import mosspebble.core.blend.Share;
import mosspebble.core.units.Facts;

/**
 * What a step is done to.
 *
 * @param part name of the part, as its motif calls it; empty where there is none
 * @param share which share of its blend
 * @param on what it lies on, for further coats on a place that shows through; else empty
 */
public record What(Of of, String part, Share share, List<What> on, Row row) implements Facts.Named {

    /**
     * The row a part belongs to: the parts of one sort on this face.
     *
     * @param title of all of them together where their motif has one, such as "dark blades"; else empty
     * @param thing which thing on the stone the part belongs to, from 0
     * @param size how many there are
     */
    public record Row(String title, int thing, int size) {
        /** Something that is alone of its sort. */
        public static final Row ALONE = new Row("", 0, 1);
    }

    /** The things there are. */
    public enum Of {
        PART, GROUND, HALO, SHADE_SIDE, SHADE_INSIDE, LIGHT_SIDE, OUTLINES, INNER_LINES, WHOLE_PICTURE, BRIGHT_AREAS, EDGE, EDGE_BAND,
        OLD_PAINT
    }

    public What {
        on = List.copyOf(on);
    }

    /** Something alone of its sort. */
    public What(Of of, String part, Share share, List<What> on) {
        this(of, part, share, on, Row.ALONE);
    }

    static What of(Of of) {
        return new What(of, "", Share.WHOLE, List.of());
    }

    What share(Share which) {
        return new What(of, part, which, on, row);
    }

    What on(List<What> below) {
        return new What(of, part, share, below, row);
    }

    /** All of it, whatever the share. */
    public What whole() {
        return new What(of, part, Share.WHOLE, List.of(), row);
    }

    /** Whether the hand does the same for both. */
    boolean doneAs(What other) {
        return (of == Of.HALO) == (other.of == Of.HALO) && share.laidAs(other.share);
    }

    /** A name that stays the same from plan to plan: what it is, its part, its share. */
    String id() {
        String what = of.name().toLowerCase(Locale.ROOT) + (part.isEmpty() ? "" : ":" + part);
        return share.kind() == Share.Kind.WHOLE ? what : what + ":" + share.kind().name().toLowerCase(Locale.ROOT)
                + (share.number() == 0 || share.of() > 0 ? "" : "-" + share.number());
    }
}
