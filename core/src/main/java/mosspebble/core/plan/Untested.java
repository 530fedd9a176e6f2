package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.care.Compatibility;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Shelf;

/**
 * Pens, inks and washes of a plan that lie under its sealer and that the painter has never tried under it (common practice, no source: test
 * each pen under each sealer once and write it down).
 */
public final class Untested {

    /**
     * One product under another.
     *
     * @param below what is drawn or laid
     * @param above the sealer
     */
    public record Pair(Paint below, Paint above) {}

    private Untested() {}

    /** The pairs of a plan, in the order in which they are laid; none without a seal. */
    public static List<Pair> of(PaintPlan plan, Shelf shelf, Compatibility.Known known) {
        Optional<Paint> sealer = plan.noticed().sealer();
        if (sealer.isEmpty()) {
            return List.of();
        }
        Set<Paint> drawn = new LinkedHashSet<>();
        for (Step step : plan.steps()) {
            for (Step.Layer layer : step.layers()) {
                for (Mix.Part part : layer.load().mix().parts()) {
                    shelf.find(part.paint()).filter(Untested::mayRun).ifPresent(drawn::add);
                }
            }
        }
        List<Pair> pairs = new ArrayList<>();
        for (Paint below : drawn) {
            if (known.test(below, sealer.get()).isEmpty()) {
                pairs.add(new Pair(below, sealer.get()));
            }
        }
        return pairs;
    }

    /** Whether it is one of those of which nobody knows before it is tried. */
    private static boolean mayRun(Paint paint) {
        return paint.hasNib() || paint.kind().does(PaintKind.Use.INK) || paint.kind().does(PaintKind.Use.DISSOLVES)
                || paint.binder() == Binder.ALCOHOL || paint.binder() == Binder.DYE_INK;
    }
}
