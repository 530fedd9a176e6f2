package mosspebble.core.photo;

import java.util.List;
import java.util.Optional;

/**
 * What was read from a photo.
 *
 * @param map between photo and sheet; empty if there was no scale
 */
public record PhotoReading(Optional<SheetMap> map, List<PhotoStone> stones, List<PhotoFinding> findings) {

    public PhotoReading {
        stones = List.copyOf(stones);
        findings = List.copyOf(findings);
    }

    /** Whether something about a stone, or about the whole photo, is odd. */
    public boolean doubtful(int stone) {
        return findings.stream().anyMatch(f -> f.stone() == stone || f.stone() < 0);
    }
}
