package mosspebble.core.photo;

import java.util.List;
import java.util.Optional;

/**
 * What was read from a photo.
 *
 * @param map between the photo, at the size it was worked on, and the sheet; empty if there was no scale
 * @param light how bright white is in it; empty if nothing was read
 */
public record PhotoReading(Optional<SheetMap> map, Optional<PhotoLight> light, List<PhotoStone> stones, List<PhotoFinding> findings) {

    public PhotoReading {
        stones = List.copyOf(stones);
        findings = List.copyOf(findings);
    }

    /** Whether something about a stone, or about the whole photo, is odd. */
    public boolean doubtful(int stone) {
        return findings.stream().anyMatch(f -> f.stone() == stone || f.stone() < 0);
    }
}
