package mosspebble.core.sketch;

import java.util.Collections;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import mosspebble.core.units.Numbers;

/**
 * How letters are set.
 *
 * @param path what the lines follow
 * @param bend of an arc: the angle it spans, degrees, -340 to 340, positive when its middle is highest; of a wave: its height as a share of
 * the letters', -340 to 340 per cent; of the rim: how far inside the edge, mm, 0 to 100
 * @param style how the letters are filled
 * @param optical 0 spaces letters by the face's own widths, 1 makes the nearest distances of neighbours equal
 * @param space added between letters, em, -0.3 (they share strokes or tuck over one another) to 1
 * @param lineStep from baseline to baseline, cap heights, 0.8 to 3
 * @param boxes whether each letter stands in a box of equal width, the middle line between boxes (even count) or through the middle letter
 * (odd count)
 * @param swell how much the down-strokes are thickened, em, 0 to 0.12
 * @param toEye whether lines are lifted over the dome until they look straight from the viewpoint
 * @param penMm width of the pen for outlines and single-stroke letters, mm, 0.3 to 5
 * @param kerns moved by hand: by the number of the letter in the whole text (the first is 0), em
 */
public record LetterSetting(Path path, double bend, Style style, double optical, double space, double lineStep, boolean boxes, double swell,
        boolean toEye, double penMm, Map<Integer, Double> kerns) {

    /** What the lines follow. */
    public enum Path { STRAIGHT, ARC, WAVE, RIM }

    /** How the letters are filled. */
    public enum Style {
        SOLID,
        /** Only the edge of each letter, as a line. */
        OUTLINE,
        /** Filled, with a line of light along the middle of the strokes. */
        INLINE,
        /** Filled, with the shade of each letter beside it, away from the light. */
        SHADOW
    }

    public LetterSetting {
        Objects.requireNonNull(path);
        Objects.requireNonNull(style);
        range("The bend is", bend, -340, 340);
        range("Optical spacing is", optical, 0, 1);
        range("Space between letters is", space, -0.3, 1);
        range("Lines follow one another by", lineStep, 0.8, 3);
        range("Down-strokes are thickened by", swell, 0, 0.12);
        range("The pen is", penMm, 0.3, 5);
        kerns.forEach((at, em) -> range("A letter is moved by", em, -1, 1));
        kerns = Collections.unmodifiableMap(new TreeMap<>(kerns));
    }

    private static void range(String what, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(
                    what + " " + Numbers.shortText(low) + " to " + Numbers.shortText(high) + ", was " + Numbers.shortText(value) + ".");
        }
    }

    /** Straight, solid, half optically spaced. */
    public static LetterSetting plain() {
        return new LetterSetting(Path.STRAIGHT, 0, Style.SOLID, 0.5, 0, 1.38, false, 0, false, 0.8, Map.of());
    }

    public LetterSetting along(Path newPath, double newBend) {
        return new LetterSetting(newPath, newBend, style, optical, space, lineStep, boxes, swell, toEye, penMm, kerns);
    }

    public LetterSetting styled(Style newStyle) {
        return new LetterSetting(path, bend, newStyle, optical, space, lineStep, boxes, swell, toEye, penMm, kerns);
    }

    public LetterSetting spaced(double newOptical, double newSpace, double newLineStep) {
        return new LetterSetting(path, bend, style, newOptical, newSpace, newLineStep, boxes, swell, toEye, penMm, kerns);
    }

    public LetterSetting boxed(boolean newBoxes) {
        return new LetterSetting(path, bend, style, optical, space, lineStep, newBoxes, swell, toEye, penMm, kerns);
    }

    public LetterSetting swelled(double newSwell) {
        return new LetterSetting(path, bend, style, optical, space, lineStep, boxes, newSwell, toEye, penMm, kerns);
    }

    public LetterSetting toEye(boolean newToEye) {
        return new LetterSetting(path, bend, style, optical, space, lineStep, boxes, swell, newToEye, penMm, kerns);
    }

    public LetterSetting pen(double newPenMm) {
        return new LetterSetting(path, bend, style, optical, space, lineStep, boxes, swell, toEye, newPenMm, kerns);
    }

    /** With one letter moved by hand. */
    public LetterSetting kerned(int letter, double em) {
        Map<Integer, Double> changed = new TreeMap<>(kerns);
        if (em == 0) {
            changed.remove(letter);
        } else {
            changed.put(letter, em);
        }
        return new LetterSetting(path, bend, style, optical, space, lineStep, boxes, swell, toEye, penMm, changed);
    }
}
