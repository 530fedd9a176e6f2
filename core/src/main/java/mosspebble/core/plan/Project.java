package mosspebble.core.plan;

import java.util.Collections;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.colour.Mix;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.stone.Stone;

/**
 * One stone in hand with all that is decided for it.
 *
 * @param id unique in the studio
 * @param purpose what it will be for, may be empty
 * @param colours the mix of each colour slot that has one
 * @param ground colour of the background, if one is wanted
 */
public record Project(String id, String name, String purpose, Stone stone, Optional<Sketch> sketch, Map<String, Mix> colours, Optional<Mix> ground, Habits habits) {

    /** Longest name or purpose. */
    public static final int LONGEST = 80;

    public Project {
        Objects.requireNonNull(id);
        Objects.requireNonNull(stone);
        Objects.requireNonNull(sketch);
        Objects.requireNonNull(ground);
        Objects.requireNonNull(habits);
        if (name.isBlank() || name.length() > LONGEST || purpose.length() > LONGEST) {
            throw new IllegalArgumentException("A stone needs a name of 1 to " + LONGEST + " letters and a purpose of at most as many.");
        }
        colours = Collections.unmodifiableMap(new TreeMap<>(colours));
    }

    public Project withName(String newName, String newPurpose) {
        return new Project(id, newName, newPurpose, stone, sketch, colours, ground, habits);
    }

    public Project withStone(Stone newStone) {
        return new Project(id, name, purpose, newStone, sketch, colours, ground, habits);
    }

    public Project withSketch(Optional<Sketch> newSketch) {
        return new Project(id, name, purpose, stone, newSketch, colours, ground, habits);
    }

    public Project withColour(String slot, Mix mix) {
        Map<String, Mix> changed = new TreeMap<>(colours);
        changed.put(slot, mix);
        return new Project(id, name, purpose, stone, sketch, changed, ground, habits);
    }

    public Project withGround(Optional<Mix> newGround) {
        return new Project(id, name, purpose, stone, sketch, colours, newGround, habits);
    }

    public Project withHabits(Habits newHabits) {
        return new Project(id, name, purpose, stone, sketch, colours, ground, newHabits);
    }
}
