package mosspebble.core.sketch;

import java.util.Objects;

/**
 * The sketch as decided: what, how it sits, and where.
 *
 * @param wearing whether the silhouette becomes the stone's outline; the placement then only counts for coming back
 * @param marginMm kept clear inside the face when fitting, 0 to 50
 */
public record Sketch(Subject subject, boolean wearing, Placement placement, double marginMm) {

    public Sketch {
        Objects.requireNonNull(subject);
        Objects.requireNonNull(placement);
        if (!(marginMm >= 0 && marginMm <= 50)) {
            throw new IllegalArgumentException("the margin must be 0 to 50 mm, was " + marginMm);
        }
    }

    public Sketch at(Placement newPlacement) {
        return new Sketch(subject, wearing, newPlacement, marginMm);
    }

    public Sketch wearing(boolean newWearing) {
        return new Sketch(subject, newWearing, placement, marginMm);
    }
}
