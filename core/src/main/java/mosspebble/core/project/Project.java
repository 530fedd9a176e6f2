package mosspebble.core.project;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.Origin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Viewpoint;

/**
 * One stone in hand with all that is decided for it.
 *
 * @param id unique in the studio
 * @param purpose what it will be for, may be empty
 * @param origin where the stone came from
 * @param viewpoint how it will be seen
 * @param colours the mix of each colour slot that has one
 * @param ground colour of the background, if one is wanted
 * @param blends how a slot, or the ground under {@link #GROUND}, takes its colour; flat where nothing is said
 * @param order keys of steps in the painter's own order; empty for the planner's
 * @param below what is decided for the side that lies below
 * @param weighings of a stone that dries on the scale, the earliest first
 */
public record Project(String id, String name, String purpose, Stone stone, Origin origin, Viewpoint viewpoint, Optional<Sketch> sketch, Map<String, Mix> colours, Optional<Mix> ground, Map<String, Blend> blends,
        List<String> order, Habits habits, Optional<Side> below, List<SteadyMass.Weighing> weighings) {

    /** The key of the ground among the blends. */
    public static final String GROUND = "*ground";

    /** Most steps in the painter's own order. */
    private static final int MOST_ORDERED = 2000;

    /** Longest name or purpose. */
    public static final int LONGEST = 80;

    /** Most weighings kept. */
    public static final int MOST_WEIGHINGS = 60;

    /** The picture of the side that lies below. */
    public record Side(Optional<Sketch> sketch, Map<String, Mix> colours, Optional<Mix> ground, Map<String, Blend> blends, List<String> order) {
        public Side {
            Objects.requireNonNull(sketch);
            Objects.requireNonNull(ground);
            colours = Collections.unmodifiableMap(new TreeMap<>(colours));
            blends = Collections.unmodifiableMap(new TreeMap<>(blends));
            order = List.copyOf(order);
        }
    }

    public Project {
        FoundStone.checkId(id);
        Objects.requireNonNull(stone);
        Objects.requireNonNull(origin);
        Objects.requireNonNull(viewpoint);
        Objects.requireNonNull(sketch);
        Objects.requireNonNull(ground);
        Objects.requireNonNull(habits);
        Objects.requireNonNull(below);
        if (name.isBlank() || name.length() > LONGEST || purpose.length() > LONGEST) {
            throw new IllegalArgumentException("A stone needs a name of 1 to " + LONGEST + " letters and a purpose of at most as many.");
        }
        colours = Collections.unmodifiableMap(new TreeMap<>(colours));
        blends = Collections.unmodifiableMap(new TreeMap<>(blends));
        order = List.copyOf(order);
        if (order.size() > MOST_ORDERED) {
            throw new IllegalArgumentException("A plan has at most " + MOST_ORDERED + " steps in an order of one's own.");
        }
        weighings = List.copyOf(weighings);
        if (weighings.size() > MOST_WEIGHINGS) {
            throw new IllegalArgumentException("A stone keeps " + MOST_WEIGHINGS + " weighings at most.");
        }
    }

    /** A stone in hand for which nothing is decided yet. */
    public static Project begin(String id, String name, Stone stone) {
        return new Project(id, name, "", stone, Origin.unknown(), Viewpoint.above(), Optional.empty(), Map.of(), Optional.empty(), Map.of(), List.of(), Habits.usual(), Optional.empty(), List.of());
    }

    /** A stone taken from the basket. */
    public static Project begin(FoundStone found) {
        return begin(found.id(), found.name(), found.stone()).withOrigin(found.origin());
    }

    /** The stone as it goes into the basket; the picture planned for it is left behind. */
    public FoundStone found() {
        return new FoundStone(id, name, stone, origin);
    }

    public Project withName(String newName, String newPurpose) {
        return new Project(id, newName, newPurpose, stone, origin, viewpoint, sketch, colours, ground, blends, order, habits, below, weighings);
    }

    public Project withStone(Stone newStone) {
        return new Project(id, name, purpose, newStone, origin, viewpoint, sketch, colours, ground, blends, order, habits, below, weighings);
    }

    public Project withOrigin(Origin newOrigin) {
        return new Project(id, name, purpose, stone, newOrigin, viewpoint, sketch, colours, ground, blends, order, habits, below, weighings);
    }

    public Project withViewpoint(Viewpoint newViewpoint) {
        return new Project(id, name, purpose, stone, origin, newViewpoint, sketch, colours, ground, blends, order, habits, below, weighings);
    }

    public Project withSketch(Optional<Sketch> newSketch) {
        return new Project(id, name, purpose, stone, origin, viewpoint, newSketch, colours, ground, blends, order, habits, below, weighings);
    }

    public Project withColours(Map<String, Mix> newColours) {
        return new Project(id, name, purpose, stone, origin, viewpoint, sketch, newColours, ground, blends, order, habits, below, weighings);
    }

    public Project withColour(String slot, Mix mix) {
        Map<String, Mix> changed = new TreeMap<>(colours);
        changed.put(slot, mix);
        return withColours(changed);
    }

    public Project withGround(Optional<Mix> newGround) {
        return new Project(id, name, purpose, stone, origin, viewpoint, sketch, colours, newGround, blends, order, habits, below, weighings);
    }

    /** With a slot, or {@link #GROUND}, laid in a certain way; a flat one without further settings is forgotten. */
    public Project withBlend(String slot, Blend blend) {
        Map<String, Blend> changed = new TreeMap<>(blends);
        if (blend.kind() == BlendKind.FLAT) {
            changed.remove(slot);
        } else {
            changed.put(slot, blend);
        }
        return new Project(id, name, purpose, stone, origin, viewpoint, sketch, colours, ground, changed, order, habits, below, weighings);
    }

    public Project withOrder(List<String> newOrder) {
        return new Project(id, name, purpose, stone, origin, viewpoint, sketch, colours, ground, blends, newOrder, habits, below, weighings);
    }

    public Project withHabits(Habits newHabits) {
        return new Project(id, name, purpose, stone, origin, viewpoint, sketch, colours, ground, blends, order, newHabits, below, weighings);
    }

    public Project withWeighings(List<SteadyMass.Weighing> newWeighings) {
        return new Project(id, name, purpose, stone, origin, viewpoint, sketch, colours, ground, blends, order, habits, below, newWeighings);
    }

    /** The stone turned over: the other face is up with what was decided for it, and this one is kept below. */
    public Project turnedOver() {
        Side up = below.orElse(new Side(Optional.empty(), Map.of(), Optional.empty(), Map.of(), List.of()));
        return new Project(id, name, purpose, stone.turnedOver(), origin, viewpoint, up.sketch(), up.colours(), up.ground(), up.blends(), up.order(), habits, Optional.of(new Side(sketch, colours, ground, blends, order)), weighings);
    }
}
