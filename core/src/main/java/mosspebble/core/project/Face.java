package mosspebble.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.sketch.Sketch;

/**
 * What is decided for one face of a stone.
 *
 * @param colours the mix of each colour slot that has one
 * @param ground colour of the background, if one is wanted
 * @param blends how a slot, or the ground under {@link Project#GROUND}, takes its colour; flat where nothing is said
 * @param order keys of steps in the painter's own order; empty for the planner's
 * @param own the habits of this face alone; empty where it is painted as the stone is
 */
@RecordBuilder
public record Face(Optional<Sketch> sketch, Map<String, Mix> colours, Optional<Mix> ground, Map<String, Blend> blends, List<String> order,
        Optional<Habits> own) implements FaceBuilder.With {

    /** Most steps in the painter's own order. */
    private static final int MOST_ORDERED = 2000;

    /** Nothing decided yet. */
    public static final Face BARE = new Face(Optional.empty(), Map.of(), Optional.empty(), Map.of(), List.of(), Optional.empty());

    public Face {
        Objects.requireNonNull(sketch);
        Objects.requireNonNull(ground);
        Objects.requireNonNull(own);
        colours = Collections.unmodifiableMap(new TreeMap<>(colours));
        blends = Collections.unmodifiableMap(new TreeMap<>(blends));
        order = List.copyOf(order);
        if (order.size() > MOST_ORDERED) {
            throw new IllegalArgumentException("A plan has at most " + MOST_ORDERED + " steps in an order of one's own.");
        }
    }

    /** Whether there is anything to paint. */
    public boolean isPainted() {
        return sketch.isPresent();
    }

    Face withBlend(String slot, Blend blend) {
        Map<String, Blend> changed = new TreeMap<>(blends);
        if (blend.kind() == BlendKind.FLAT && blend.over().isEmpty()) {
            changed.remove(slot);
        } else {
            changed.put(slot, blend);
        }
        return new Face(sketch, colours, ground, changed, order, own);
    }

}
