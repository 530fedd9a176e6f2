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
public record What(Of of, String part, Share share, List<What> on) implements Facts.Named {

    /** The things there are. */
    public enum Of {
        PART, GROUND, HALO, SHADE_SIDE, LIGHT_SIDE, OUTLINES, INNER_LINES, WHOLE_PICTURE, BRIGHT_AREAS, EDGE, EDGE_BAND
    }

    public What {
        on = List.copyOf(on);
    }

    static What of(Of of) {
        return new What(of, "", Share.WHOLE, List.of());
    }

    static What of(Of of, String part) {
        return new What(of, part, Share.WHOLE, List.of());
    }

    static What part(String part) {
        return of(Of.PART, part);
    }

    What share(Share which) {
        return new What(of, part, which, on);
    }

    What on(List<What> below) {
        return new What(of, part, share, below);
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
