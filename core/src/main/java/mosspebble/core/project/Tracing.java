package mosspebble.core.project;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.blend.Blend;
import mosspebble.core.colour.Mix;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Refit;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Support;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Viewpoint;

/**
 * What was taken from a stone on tracing paper, to be laid on another one: some of its things or all of them, with their colours.
 *
 * @param name of the stone it was taken from
 * @param stone it was taken from, as it lay
 * @param face the things taken, with what is decided for them; its ground only where all of it was taken
 */
public record Tracing(String name, Stone stone, Viewpoint viewpoint, Face face) {

    /** @throws IllegalArgumentException if nothing is on it */
    public Tracing {
        if (face.sketch().isEmpty()) {
            throw new IllegalArgumentException("nothing was taken on the tracing paper");
        }
    }

    /**
     * What came of laying it on a stone.
     *
     * @param size times as large as on the first stone
     * @param added ids of its things as they are called there
     */
    public record Laid(Project project, double size, List<String> added) {}

    /** The whole face that is up; empty where nothing is on it. */
    public static Optional<Tracing> of(Project project) {
        return project.sketch().map(s -> new Tracing(project.name(), project.stone(), project.viewpoint(), project.sides().up()));
    }

    /** One thing and its group; empty where nothing is on the stone. */
    public static Optional<Tracing> of(Project project, String id) {
        return project.sketch().map(sketch -> {
            List<Item> together = sketch.together(id);
            List<Item> taken = together.stream()
                    .map(item -> item.withWithin(item.within().filter(part -> together.stream().anyMatch(i -> i.owns(part))))).toList();
            Face up = project.sides().up();
            Face face = Face.BARE.withSketch(Optional.of(new Sketch(taken))).withColours(kept(up.colours(), taken))
                    .withBlends(kept(up.blends(), taken));
            return new Tracing(project.name(), project.stone(), project.viewpoint(), face);
        });
    }

    private static <T> Map<String, T> kept(Map<String, T> by, List<Item> taken) {
        Map<String, T> kept = new LinkedHashMap<>(by);
        kept.keySet().removeIf(slot -> slot.equals(Project.GROUND) || taken.stream().noneMatch(item -> item.owns(slot)));
        return kept;
    }

    /** How many things are on it. */
    public int things() {
        return face.sketch().orElseThrow().items().size();
    }

    /**
     * Lays it on the face of a stone that is up, fitted as it was fitted to its own; before what is there already, which stays. What wore
     * the first stone lies on a stone that carries other things without wearing it, or it would cover them all.
     *
     * @throws IllegalArgumentException if that would be more things than a stone carries
     */
    public Laid laidOn(Project target, Repertoire repertoire) {
        Support from = new Support(Survey.of(stone), viewpoint);
        Support to = new Support(Survey.of(target.stone()), target.viewpoint());
        Sketch own = face.sketch().orElseThrow();
        boolean bare = target.sketch().isEmpty();
        Sketch lying = bare ? own : new Sketch(own.items().stream().map(Tracing::unworn).toList());
        Refit.Refitted refitted = Refit.onto(lying, repertoire, from, to);
        Map<String, String> names = new LinkedHashMap<>();
        Sketch sketch = bare ? refitted.sketch() : target.sketch().orElseThrow();
        for (Item item : refitted.sketch().items()) {
            sketch = bare ? sketch : sketch.plus(item);
            names.put(item.id(), bare ? item.id() : sketch.items().get(sketch.items().size() - 1).id());
        }
        Project laid = target.withSketch(Optional.of(bare ? sketch : renamed(sketch, own, names)));
        for (Map.Entry<String, Mix> colour : face.colours().entrySet()) {
            laid = laid.withColour(renamed(colour.getKey(), own, names), colour.getValue());
        }
        for (Map.Entry<String, Blend> blend : face.blends().entrySet()) {
            boolean ground = blend.getKey().equals(Project.GROUND);
            laid = ground && !bare ? laid : laid.withBlend(ground ? Project.GROUND : renamed(blend.getKey(), own, names), blend.getValue());
        }
        boolean grounded = bare && target.ground().isEmpty() && face.ground().isPresent();
        return new Laid(grounded ? laid.withGround(face.ground()) : laid, refitted.size(), List.copyOf(names.values()));
    }

    /** With the parts they are kept within, and their groups, called anew; a group of that name may be there already. */
    private static Sketch renamed(Sketch all, Sketch own, Map<String, String> names) {
        String first = names.values().iterator().next();
        Sketch renamed = all;
        for (String added : names.values()) {
            renamed = renamed.with(added, item -> item.withWithin(item.within().map(part -> renamed(part, own, names)))
                    .withGroup(item.group().map(group -> group + first)));
        }
        return renamed;
    }

    private static Item unworn(Item item) {
        return item.wearing() && !(item.subject() instanceof Subject.Dots) ? item.withManner(ItemMode.ON_STONE) : item;
    }

    /** A part or slot of one of these things under the new name of the thing. */
    private static String renamed(String slot, Sketch own, Map<String, String> names) {
        return own.items().stream().filter(item -> item.owns(slot)).findFirst()
                .map(item -> item.withId(names.get(item.id())).named(slot.substring(item.named("").length()))).orElse(slot);
    }
}
