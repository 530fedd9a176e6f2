package mosspebble.core.photo;

import java.util.List;
import java.util.Optional;

/**
 * What the painter marks by hand on a photo.
 *
 * @param distance two points a known distance apart, in place of the card
 * @param cuts lines that cut touching stones apart
 */
public record PhotoHints(Optional<Distance> distance, List<Line> cuts) {

    /** Two places in the photo, pixels, and how far apart they are. */
    public record Distance(Line line, double mm) {
        public Distance {
            if (!(mm >= 5 && mm <= 2000)) {
                throw new IllegalArgumentException("The known distance must be 5 to 2000 mm, was " + mm + " mm.");
            }
            if (!(Math.hypot(line.toX() - line.x(), line.toY() - line.y()) >= 20)) {
                throw new IllegalArgumentException("The two points must be 20 pixels or more apart.");
            }
        }
    }

    /** A line in the photo, pixels. */
    public record Line(double x, double y, double toX, double toY) {}

    public PhotoHints {
        cuts = List.copyOf(cuts);
    }

    public static PhotoHints none() {
        return new PhotoHints(Optional.empty(), List.of());
    }
}
