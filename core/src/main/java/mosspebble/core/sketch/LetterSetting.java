package mosspebble.core.sketch;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Collections;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import mosspebble.core.units.Numbers;

/** How letters are set. */
@RecordBuilder
public record LetterSetting(Baseline baseline, Spacing spacing, Strokes strokes) implements LetterSettingBuilder.With {

    /**
     * Where the lines run.
     *
     * @param path what the lines follow
     * @param bend of an arc: the angle it spans, degrees, -340 to 340, positive when its middle is highest; of a wave: its height as a
     * share of the letters', -340 to 340 per cent; of the rim: how far inside the edge, mm, 0 to 100
     * @param toEye whether lines are lifted over the dome until they look straight from the viewpoint
     */
    @RecordBuilder
    public record Baseline(Path path, double bend, boolean toEye) implements LetterSettingBaselineBuilder.With {
        public Baseline {
            Objects.requireNonNull(path);
            range("The bend is", bend, -340, 340);
        }
    }

    /**
     * How far letters and lines stand apart.
     *
     * @param optical 0 spaces letters by the face's own widths, 1 makes the nearest distances of neighbours equal
     * @param space added between letters, em, -0.3 (they share strokes or tuck over one another) to 1
     * @param lineStep from baseline to baseline, cap heights, 0.8 to 3
     * @param boxes whether each letter stands in a box of equal width, the middle line between boxes (even count) or through the middle
     * letter (odd count)
     * @param kerns moved by hand: by the number of the letter in the whole text (the first is 0), em
     */
    @RecordBuilder
    public record Spacing(double optical, double space, double lineStep, boolean boxes, Map<Integer, Double> kerns)
            implements
            LetterSettingSpacingBuilder.With {
        public Spacing {
            range("Optical spacing is", optical, 0, 1);
            range("Space between letters is", space, -0.3, 1);
            range("Lines follow one another by", lineStep, 0.8, 3);
            kerns.forEach((at, em) -> range("A letter is moved by", em, -1, 1));
            kerns = Collections.unmodifiableMap(new TreeMap<>(kerns));
        }
    }

    /**
     * How a letter's strokes are made.
     *
     * @param style how the letters are filled
     * @param swell how much the down-strokes are thickened, em, 0 to 0.12
     * @param penMm width of the pen for outlines and single-stroke letters, mm, 0.3 to 5
     */
    @RecordBuilder
    public record Strokes(Style style, double swell, double penMm) implements LetterSettingStrokesBuilder.With {
        public Strokes {
            Objects.requireNonNull(style);
            range("Down-strokes are thickened by", swell, 0, 0.12);
            range("The pen is", penMm, 0.3, 5);
        }
    }

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
        Objects.requireNonNull(baseline);
        Objects.requireNonNull(spacing);
        Objects.requireNonNull(strokes);
    }

    private static void range(String what, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(
                    what + " " + Numbers.shortText(low) + " to " + Numbers.shortText(high) + ", was " + Numbers.shortText(value) + ".");
        }
    }

    /** Straight, solid, half optically spaced. */
    public static LetterSetting plain() {
        return new LetterSetting(new Baseline(Path.STRAIGHT, 0, false), new Spacing(0.5, 0, 1.38, false, Map.of()),
                new Strokes(Style.SOLID, 0, 0.8));
    }

    public LetterSetting along(Path newPath, double newBend) {
        return withBaseline(new Baseline(newPath, newBend, toEye()));
    }

    public LetterSetting spaced(double newOptical, double newSpace, double newLineStep) {
        return withSpacing(new Spacing(newOptical, newSpace, newLineStep, boxes(), kerns()));
    }

    public LetterSetting withStyle(Style newStyle) {
        return withStrokes(strokes.withStyle(newStyle));
    }

    public LetterSetting withSwell(double newSwell) {
        return withStrokes(strokes.withSwell(newSwell));
    }

    public LetterSetting withPenMm(double newPenMm) {
        return withStrokes(strokes.withPenMm(newPenMm));
    }

    public LetterSetting withToEye(boolean newToEye) {
        return withBaseline(baseline.withToEye(newToEye));
    }

    public LetterSetting withBoxes(boolean newBoxes) {
        return withSpacing(spacing.withBoxes(newBoxes));
    }

    /** With one letter moved by hand. */
    public LetterSetting kerned(int letter, double em) {
        Map<Integer, Double> changed = new TreeMap<>(kerns());
        if (em == 0) {
            changed.remove(letter);
        } else {
            changed.put(letter, em);
        }
        return withSpacing(spacing.withKerns(changed));
    }

    public Path path() {
        return baseline.path();
    }

    public double bend() {
        return baseline.bend();
    }

    public boolean toEye() {
        return baseline.toEye();
    }

    public double optical() {
        return spacing.optical();
    }

    public double space() {
        return spacing.space();
    }

    public double lineStep() {
        return spacing.lineStep();
    }

    public boolean boxes() {
        return spacing.boxes();
    }

    public Map<Integer, Double> kerns() {
        return spacing.kerns();
    }

    public Style style() {
        return strokes.style();
    }

    public double swell() {
        return strokes.swell();
    }

    public double penMm() {
        return strokes.penMm();
    }
}
