package mosspebble.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import mosspebble.core.blend.Blend;
import mosspebble.core.colour.Mix;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.Origin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Viewpoint;

/**
 * One stone in hand with all that is decided for it. What is asked of it without further words is asked of the face that is up.
 *
 * @param id unique in the studio
 * @param purpose what it will be for, may be empty
 * @param stone as it lies
 * @param history where it came from and how it dried
 * @param viewpoint how it will be seen
 * @param sides its two faces and its edge
 * @param wholeHabits how it is painted where a face has no habits of its own; what it is sealed with, whether it goes outdoors and how its
 * edge is painted, whichever face is up
 */
@RecordBuilder
public record Project(String id, String name, String purpose, Stone stone, History history, Viewpoint viewpoint, Sides sides,
        Habits wholeHabits) implements ProjectBuilder.With {

    /** The key of the ground among the blends. */
    public static final String GROUND = "*ground";

    /** Longest name or purpose. */
    public static final int LONGEST = 80;

    /** Most weighings kept. */
    public static final int MOST_WEIGHINGS = 60;

    /** Most films of old paint kept. */
    public static final int MOST_OLD_PAINT = 400;

    /**
     * What lies behind a stone.
     *
     * @param origin where it came from
     * @param weighings of a stone that dries on the scale, the earliest first
     * @param unmeasured what nobody has measured yet: there it is as large as a stand-in
     * @param oldPaint what lies on it and is no longer planned, what was laid first before what lies over it
     */
    @RecordBuilder
    public record History(Origin origin, List<SteadyMass.Weighing> weighings, Set<Stone.Measure> unmeasured, List<OldPaint> oldPaint)
            implements ProjectHistoryBuilder.With {

        /** Of a stone that was measured and of which nothing else is known. */
        public static final History NONE = new History(Origin.unknown(), List.of(), Set.of(), List.of());

        public History {
            Objects.requireNonNull(origin);
            weighings = List.copyOf(weighings);
            Set<Stone.Measure> inOrder = EnumSet.noneOf(Stone.Measure.class);
            inOrder.addAll(unmeasured);
            unmeasured = Collections.unmodifiableSet(inOrder);
            oldPaint = List.copyOf(oldPaint);
            if (oldPaint.size() > MOST_OLD_PAINT) {
                throw new IllegalArgumentException("A stone keeps " + MOST_OLD_PAINT + " films of old paint at most.");
            }
            if (weighings.size() > MOST_WEIGHINGS) {
                throw new IllegalArgumentException("A stone keeps " + MOST_WEIGHINGS + " weighings at most.");
            }
        }
    }

    public Project {
        FoundStone.checkId(id);
        Objects.requireNonNull(stone);
        Objects.requireNonNull(history);
        Objects.requireNonNull(viewpoint);
        Objects.requireNonNull(sides);
        Objects.requireNonNull(wholeHabits);
        if (name.isBlank() || name.length() > LONGEST || purpose.length() > LONGEST) {
            throw new IllegalArgumentException("A stone needs a name of 1 to " + LONGEST + " letters and a purpose of at most as many.");
        }
    }

    /** A stone in hand for which nothing is decided yet. */
    public static Project begin(String id, String name, Stone stone) {
        return new Project(id, name, "", stone, History.NONE, Viewpoint.above(), Sides.BARE, Habits.usual());
    }

    /** A stone that lies on the cloth in the size of a stand-in until it is measured. */
    public static Project standIn(String id, String name) {
        Project begun = begin(id, name, Stone.cobble());
        return begun.withHistory(begun.history().withUnmeasured(EnumSet.allOf(Stone.Measure.class)));
    }

    /** A stone taken from the basket. */
    public static Project begin(FoundStone found) {
        return begin(found.id(), found.name(), found.stone()).withOrigin(found.origin());
    }

    /** The stone as it goes into the basket; the picture planned for it is left behind. */
    public FoundStone found() {
        return new FoundStone(id, name, stone, origin());
    }

    // --- what is decided

    public Origin origin() {
        return history.origin();
    }

    public List<SteadyMass.Weighing> weighings() {
        return history.weighings();
    }

    /** What nobody has measured yet, in the order in which it is asked for. */
    public Set<Stone.Measure> unmeasured() {
        return history.unmeasured();
    }

    public Optional<Sketch> sketch() {
        return sides.up().sketch();
    }

    public Map<String, Mix> colours() {
        return sides.up().colours();
    }

    public Optional<Mix> ground() {
        return sides.up().ground();
    }

    public Map<String, Blend> blends() {
        return sides.up().blends();
    }

    public List<String> order() {
        return sides.up().order();
    }

    /** How the face that is up is painted. */
    public Habits habits() {
        return sides.up().own().map(own -> own.withKeeping(wholeHabits.keeping())).orElse(wholeHabits);
    }

    /** What is decided for the face that lies below; empty if nobody has looked at it yet. */
    public Optional<Face> below() {
        return sides.below();
    }

    public Edge edge() {
        return sides.edge();
    }

    /** Whether there is anything to paint on the face that lies below. */
    public boolean paintedBelow() {
        return below().filter(Face::isPainted).isPresent();
    }

    // --- changes

    public Project withName(String newName, String newPurpose) {
        return withName(newName).withPurpose(newPurpose);
    }

    /** With another stone; what is of another size now was measured. */
    @Override
    public Project withStone(Stone newStone) {
        Set<Stone.Measure> left = EnumSet.noneOf(Stone.Measure.class);
        unmeasured().stream().filter(m -> newStone.size().of(m).equals(stone.size().of(m))).forEach(left::add);
        return new Project(id, name, purpose, newStone, history.withUnmeasured(left), viewpoint, sides, wholeHabits);
    }

    /** Known to be as large as it lies. */
    public Project measured(Stone.Measure measure) {
        Set<Stone.Measure> left = EnumSet.noneOf(Stone.Measure.class);
        unmeasured().stream().filter(m -> m != measure).forEach(left::add);
        return withHistory(history.withUnmeasured(left));
    }

    public Project withOrigin(Origin newOrigin) {
        return withHistory(history.withOrigin(newOrigin));
    }

    public Project withWeighings(List<SteadyMass.Weighing> newWeighings) {
        return withHistory(history.withWeighings(newWeighings));
    }

    /** What lies on it and is no longer planned. */
    public List<OldPaint> oldPaint() {
        return history.oldPaint();
    }

    public Project withOldPaint(List<OldPaint> newOldPaint) {
        return withHistory(history.withOldPaint(newOldPaint));
    }

    public Project withSketch(Optional<Sketch> newSketch) {
        return withSides(sides.up(face -> face.withSketch(newSketch)));
    }

    public Project withColours(Map<String, Mix> newColours) {
        return withSides(sides.up(face -> face.withColours(newColours)));
    }

    public Project withColour(String slot, Mix mix) {
        Map<String, Mix> changed = new TreeMap<>(colours());
        changed.put(slot, mix);
        return withColours(changed);
    }

    public Project withGround(Optional<Mix> newGround) {
        return withSides(sides.up(face -> face.withGround(newGround)));
    }

    /** With a slot, or {@link #GROUND}, laid in a certain way; a flat one without further settings is forgotten. */
    public Project withBlend(String slot, Blend blend) {
        return withSides(sides.up(face -> face.withBlend(slot, blend)));
    }

    public Project withOrder(List<String> newOrder) {
        return withSides(sides.up(face -> face.withOrder(newOrder)));
    }

    /**
     * Changes the habits of the face that is up where it has its own, else those of the whole stone. What it is sealed with and whether it
     * goes outdoors is always the whole stone's.
     */
    public Project withHabits(Habits newHabits) {
        return sides.up().own().isEmpty() ? withWholeHabits(newHabits)
                : withSides(sides.up(face -> face.withOwn(Optional.of(newHabits))))
                        .withWholeHabits(wholeHabits.withKeeping(newHabits.keeping()));
    }

    /** Gives the face that is up habits of its own, like those it had, or takes them away. */
    public Project withOwnHabits(boolean own) {
        return withSides(sides.up(face -> face.withOwn(own ? Optional.of(habits()) : Optional.empty())));
    }

    public Project withEdge(Edge newEdge) {
        return withSides(sides.withEdge(newEdge));
    }

    /** Less what is decided for the face that lies below. */
    public Project withoutBelow() {
        return withSides(sides.alone());
    }

    /**
     * The stone turned over like a page: the other face is up with what was decided for it, and this one is kept below. Turned twice it is
     * as it was, unless its measures were changed in between.
     */
    public Project turnedOver() {
        return turnedOver(Sides.turnedOver(stone, sides.lay()));
    }

    /**
     * The same where it is known already how the stone lies then.
     *
     * @param over what {@link Sides#turnedOver(Stone, Optional)} says
     */
    public Project turnedOver(Stone over) {
        return withStone(over).withSides(sides.turnedOver(stone));
    }
}
