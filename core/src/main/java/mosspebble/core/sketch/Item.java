package mosspebble.core.sketch;

import java.util.Objects;
import mosspebble.core.units.Numbers;

/**
 * One thing placed on the stone.
 *
 * @param id unique in the sketch; it stands before the ids of its parts and colour slots, the first thing's is empty
 * @param wearing whether its silhouette becomes the stone's outline; the placement then only counts for coming back
 * @param marginMm kept clear inside the face when fitting, 0 to 50
 */
public record Item(String id, Subject subject, boolean wearing, Placement placement, double marginMm) {

    public Item {
        Objects.requireNonNull(id);
        Objects.requireNonNull(subject);
        Objects.requireNonNull(placement);
        if (!id.matches("[a-z0-9]{0,12}")) {
            throw new IllegalArgumentException("the id of a thing on the stone must be small letters and digits, was " + id);
        }
        if (!(marginMm >= 0 && marginMm <= 50)) {
            throw new IllegalArgumentException("The margin must be 0 to 50 mm, was " + Numbers.shortText(marginMm) + ".");
        }
    }

    /** A part or colour slot of this thing as it is called in the whole sketch. */
    public String named(String own) {
        return id.isEmpty() ? own : id + "/" + own;
    }

    public Item at(Placement newPlacement) {
        return new Item(id, subject, wearing, newPlacement, marginMm);
    }

    public Item wearing(boolean newWearing) {
        return new Item(id, subject, newWearing, placement, marginMm);
    }

    public Item margin(double newMarginMm) {
        return new Item(id, subject, wearing, placement, newMarginMm);
    }

    /** Another subject in the same place. */
    public Item showing(Subject newSubject) {
        return new Item(id, newSubject, wearing, placement, marginMm);
    }

    Item called(String newId) {
        return new Item(newId, subject, wearing, placement, marginMm);
    }
}
