package mosspebble.core.sketch;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.Collections;
import mosspebble.core.units.Numbers;

/**
 * One thing placed on the stone.
 *
 * @param id unique in the sketch; it stands before the ids of its parts and colour slots, the first thing's is empty
 * @param leftOut ids, as in the motif, of parts that are left out
 * @param group things of one group are moved together
 */
@RecordBuilder
public record Item(String id, Subject subject, Placement placement, Lie lie, Room room, Set<String> leftOut, Optional<String> group,
        Lines lines)
        implements
        ItemBuilder.With {

    private static final int LONGEST_PART = 120;

    /**
     * How it lies.
     *
     * @param mirrored whether left and right are exchanged
     * @param matched whether mirror partners are made equal where the stone's shape pulls them apart
     * @param fringeMm length of the fringe along a silhouette left free, 0 (a clean edge) to 12
     * @param within id, as in the whole sketch, of the part of a thing behind that it is kept within; empty for free
     */
    @RecordBuilder
    public record Lie(ItemMode manner, boolean mirrored, boolean matched, double fringeMm, Optional<String> within)
            implements
            ItemLieBuilder.With {
        public Lie {
            Objects.requireNonNull(manner);
            if (within.filter(part -> part.isEmpty() || part.length() > LONGEST_PART).isPresent()) {
                throw new IllegalArgumentException("the part to be kept within must be named in 1 to " + LONGEST_PART + " characters");
            }
            range("The fringe must be", fringeMm, 12, "mm");
        }
    }

    /**
     * Room for fitting it.
     *
     * @param marginMm kept clear inside the face, 0 to 50
     * @param mostTurn allowed turn to either side, degrees, 0 to 180
     * @param runOffMm how far it may run off the face, as a decision, 0 to 100
     */
    @RecordBuilder
    public record Room(double marginMm, double mostTurn, double runOffMm) implements ItemRoomBuilder.With {
        public Room {
            range("The margin must be", marginMm, 50, "mm");
            range("The allowed turn must be", mostTurn, 180, "degrees");
            range("The allowed run-off must be", runOffMm, 100, "mm");
        }
    }

    /**
     * The lines round it.
     *
     * @param parts wishes for single parts, by their ids in the motif
     */
    @RecordBuilder
    public record Lines(LineWish whole, Map<String, LineWish> parts) implements ItemLinesBuilder.With {

        /** No wishes. */
        public static final Lines OPEN = new Lines(LineWish.OPEN, Map.of());

        public Lines {
            Objects.requireNonNull(whole);
            parts = Collections.unmodifiableMap(new TreeMap<>(parts));
        }

        /** What is wanted for a part, by its id in the motif. */
        public LineWish of(String part) {
            return parts.getOrDefault(part, LineWish.OPEN).or(whole);
        }

        /** The same with another wish for one part; one that wants nothing is forgotten. */
        public Lines with(String part, LineWish wish) {
            Map<String, LineWish> changed = new TreeMap<>(parts);
            if (wish.equals(LineWish.OPEN)) {
                changed.remove(part);
            } else {
                changed.put(part, wish);
            }
            return new Lines(whole, changed);
        }
    }

    public Item {
        Objects.requireNonNull(lines);
        Objects.requireNonNull(id);
        Objects.requireNonNull(subject);
        Objects.requireNonNull(placement);
        Objects.requireNonNull(lie);
        Objects.requireNonNull(room);
        Objects.requireNonNull(group);
        if (!id.matches("[a-z0-9]{0,12}")) {
            throw new IllegalArgumentException("the id of a thing on the stone must be small letters and digits, was " + id);
        }
        leftOut = Collections.unmodifiableSet(new TreeSet<>(leftOut));
    }

    private static void range(String what, double value, double most, String unit) {
        if (!(value >= 0 && value <= most)) {
            throw new IllegalArgumentException(
                    what + " 0 to " + Numbers.shortText(most) + " " + unit + ", was " + Numbers.shortText(value) + ".");
        }
    }

    /** A thing as it is taken up first. */
    public static Item of(Subject subject, ItemMode manner, Placement placement, double marginMm) {
        return new Item("", subject, placement, new Item.Lie(manner, false, false, 0, Optional.empty()), new Item.Room(marginMm, 0, 0),
                Set.of(),
                Optional.empty(), Lines.OPEN);
    }

    /** A part or colour slot of this thing as it is called in the whole sketch. */
    public String named(String own) {
        return id.isEmpty() ? own : id + "/" + own;
    }

    public ItemMode manner() {
        return lie.manner();
    }

    public boolean mirrored() {
        return lie.mirrored();
    }

    public boolean matched() {
        return lie.matched();
    }

    public double fringeMm() {
        return lie.fringeMm();
    }

    public Optional<String> within() {
        return lie.within();
    }

    public double marginMm() {
        return room.marginMm();
    }

    public double mostTurn() {
        return room.mostTurn();
    }

    public double runOffMm() {
        return room.runOffMm();
    }

    public Item withManner(ItemMode newManner) {
        return withLie(lie.withManner(newManner));
    }

    public Item withMirrored(boolean newMirrored) {
        return withLie(lie.withMirrored(newMirrored));
    }

    public Item withMatched(boolean newMatched) {
        return withLie(lie.withMatched(newMatched));
    }

    public Item withFringeMm(double newFringeMm) {
        return withLie(lie.withFringeMm(newFringeMm));
    }

    public Item withMarginMm(double newMarginMm) {
        return withRoom(room.withMarginMm(newMarginMm));
    }

    public Item withWithin(Optional<String> part) {
        return withLie(lie.withWithin(part));
    }

    /** Whether a part of the whole sketch is one of this thing's. */
    public boolean owns(String part) {
        return id.isEmpty() ? part.indexOf('/') < 0 : part.startsWith(id + "/");
    }

    public boolean wearing() {
        return manner() == ItemMode.WEARING;
    }

    /** Another subject in the same place; parts left out of the old one come back. */
    public Item showing(Subject newSubject) {
        Item shown = withSubject(newSubject);
        return newSubject.getClass() == subject.getClass() ? shown : shown.withLeftOut(Set.of());
    }
}
