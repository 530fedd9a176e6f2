package mosspebble.core.plan;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mosspebble.core.blend.Mud;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.sketch.Item;

/**
 * What the planner came upon at work, for whoever looks the plan over.
 *
 * @param leftOut things of the sketch that cannot be worked out
 * @param fit what is too narrow or too tight for its tools
 * @param lines the outline that stands out least; empty without outlines
 * @param muddy joins at which colours go to mud
 * @param showing what no number of coats hides
 * @param broken what the painter's own order goes against
 * @param laid which step's paint lies directly on which
 * @param sealer what seals it, if it is sealed
 */
public record Noticed(List<Item> leftOut, Fit fit, Optional<FaintestLine> lines, List<Muddy> muddy, List<Showing> showing,
        List<Broken> broken,
        List<BuildUp.Laid> laid, Optional<Paint> sealer) {

    /** Nothing was painted, so nothing was noticed. */
    static final Noticed NOTHING = new Noticed(List.of(), new Fit(List.of(), List.of()), Optional.empty(), List.of(), List.of(), List.of(),
            List.of(), Optional.empty());

    /**
     * @param narrow the worst first
     * @param tight the tightest first
     */
    public record Fit(List<Paintability.Narrow> narrow, List<Paintability.Tight> tight) {}

    /**
     * The outline that stands out least.
     *
     * @param part name of its part
     * @param contrast smaller of the differences to both sides, CIEDE2000
     */
    public record FaintestLine(String part, double contrast) {}

    /** Colours that make mud where they run together. */
    public record Muddy(What what, Mud mud) {}

    /**
     * Something that no number of coats hides where it is to lie.
     *
     * @param mix its load
     * @param primed whether white primer below it would mend that
     */
    public record Showing(What what, Mix mix, boolean primed) {}

    /** One thing that the painter's order puts after what must come later. */
    public record Broken(What first, What then, PaintOrder.Because because, What under) {}

    public Noticed {
        leftOut = List.copyOf(leftOut);
        muddy = List.copyOf(muddy);
        showing = List.copyOf(showing);
        broken = List.copyOf(broken);
        laid = List.copyOf(laid);
    }

    /** With what the building of the film brought to light. */
    Noticed with(Collection<BuildUp.Laid> pairs, Optional<Paint> seals) {
        return new Noticed(leftOut, fit, lines, muddy, showing, broken, List.copyOf(pairs), seals);
    }

    Noticed leaving(List<Item> items) {
        return new Noticed(items, fit, lines, muddy, showing, broken, laid, sealer);
    }
}
