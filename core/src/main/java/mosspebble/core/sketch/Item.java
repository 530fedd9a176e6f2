package mosspebble.core.sketch;

import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.Collections;
import mosspebble.core.units.Numbers;

/**
 * One thing placed on the stone.
 *
 * @param id unique in the sketch; it stands before the ids of its parts and colour slots, the first thing's is empty
 * @param marginMm kept clear inside the face when fitting, 0 to 50
 * @param mostTurn allowed turn to either side when fitting, degrees, 0 to 180
 * @param runOffMm how far it may run off the face, as a decision, 0 to 100
 * @param fringeMm length of the fringe along a silhouette left free, 0 (a clean edge) to 12
 * @param mirrored whether left and right are exchanged
 * @param matched whether mirror partners are made equal where the stone's shape pulls them apart
 * @param leftOut ids, as in the motif, of parts that are left out
 * @param group things of one group are moved together
 */
public record Item(String id, Subject subject, ItemMode manner, Placement placement, double marginMm, double mostTurn, double runOffMm,
        double fringeMm, boolean mirrored, boolean matched,
        Set<String> leftOut, Optional<String> group) {

    public Item {
        Objects.requireNonNull(id);
        Objects.requireNonNull(subject);
        Objects.requireNonNull(manner);
        Objects.requireNonNull(placement);
        Objects.requireNonNull(group);
        if (!id.matches("[a-z0-9]{0,12}")) {
            throw new IllegalArgumentException("the id of a thing on the stone must be small letters and digits, was " + id);
        }
        range("The margin must be", marginMm, 50, "mm");
        range("The allowed turn must be", mostTurn, 180, "degrees");
        range("The allowed run-off must be", runOffMm, 100, "mm");
        range("The fringe must be", fringeMm, 12, "mm");
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
        return new Item("", subject, manner, placement, marginMm, 0, 0, 0, false, false, Set.of(), Optional.empty());
    }

    public boolean wearing() {
        return manner == ItemMode.WEARING;
    }

    /** A part or colour slot of this thing as it is called in the whole sketch. */
    public String named(String own) {
        return id.isEmpty() ? own : id + "/" + own;
    }

    public Item at(Placement newPlacement) {
        return new Item(id, subject, manner, newPlacement, marginMm, mostTurn, runOffMm, fringeMm, mirrored, matched, leftOut, group);
    }

    public Item lying(ItemMode newManner) {
        return new Item(id, subject, newManner, placement, marginMm, mostTurn, runOffMm, fringeMm, mirrored, matched, leftOut, group);
    }

    public Item margin(double newMarginMm) {
        return room(newMarginMm, mostTurn, runOffMm);
    }

    /** With other room for fitting. */
    public Item room(double newMarginMm, double newMostTurn, double newRunOffMm) {
        return new Item(id, subject, manner, placement, newMarginMm, newMostTurn, newRunOffMm, fringeMm, mirrored, matched, leftOut, group);
    }

    public Item fringed(double newFringeMm) {
        return new Item(id, subject, manner, placement, marginMm, mostTurn, runOffMm, newFringeMm, mirrored, matched, leftOut, group);
    }

    public Item mirrored(boolean newMirrored) {
        return new Item(id, subject, manner, placement, marginMm, mostTurn, runOffMm, fringeMm, newMirrored, matched, leftOut, group);
    }

    public Item matched(boolean newMatched) {
        return new Item(id, subject, manner, placement, marginMm, mostTurn, runOffMm, fringeMm, mirrored, newMatched, leftOut, group);
    }

    public Item without(Set<String> newLeftOut) {
        return new Item(id, subject, manner, placement, marginMm, mostTurn, runOffMm, fringeMm, mirrored, matched, newLeftOut, group);
    }

    public Item inGroup(Optional<String> newGroup) {
        return new Item(id, subject, manner, placement, marginMm, mostTurn, runOffMm, fringeMm, mirrored, matched, leftOut, newGroup);
    }

    /** Another subject in the same place; parts left out of the old one come back. */
    public Item showing(Subject newSubject) {
        return new Item(id, newSubject, manner, placement, marginMm, mostTurn, runOffMm, fringeMm, mirrored, matched,
                newSubject.getClass() == subject.getClass() ? leftOut : Set.of(), group);
    }

    /** The same thing under another id. */
    public Item called(String newId) {
        return new Item(newId, subject, manner, placement, marginMm, mostTurn, runOffMm, fringeMm, mirrored, matched, leftOut, group);
    }
}
