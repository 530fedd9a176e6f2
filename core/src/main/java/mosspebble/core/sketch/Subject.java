package mosspebble.core.sketch;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.Function;
import mosspebble.core.units.Numbers;

/** What is painted on the stone, or drawn on it with the pencil. */
public sealed interface Subject {

    /** A motif of the repertoire, by id. */
    record Figure(String motif) implements Subject {}

    /**
     * One to four lines of letters.
     *
     * @param typeface id of a face in the repertoire
     */
    record Word(List<String> lines, String typeface, LetterSetting setting) implements Subject {

        /** Most letters in all lines together. */
        public static final int MOST_LETTERS = 80;

        public Word {
            lines = List.copyOf(lines);
            Objects.requireNonNull(setting);
            if (lines.isEmpty() || lines.size() > 4 || lines.stream().allMatch(String::isBlank)) {
                throw new IllegalArgumentException("Write one to four lines of letters.");
            }
            int letters = lines.stream().mapToInt(l -> l.codePointCount(0, l.length())).sum();
            if (letters > MOST_LETTERS) {
                throw new IllegalArgumentException("That is " + letters + " letters; a stone carries " + MOST_LETTERS + " at most.");
            }
        }

        /** Letters set plainly. */
        public Word(List<String> lines, String typeface) {
            this(lines, typeface, LetterSetting.plain());
        }

        public Word with(LetterSetting newSetting) {
            return new Word(lines, typeface, newSetting);
        }

        /** All letters in their order, a blank between lines. */
        public String text() {
            return String.join(" ", lines);
        }
    }

    /** How the dots of a border follow one another. */
    enum Series {
        /** All alike. */
        EQUAL,
        /** Large and small in turn. */
        ALTERNATING,
        /** Largest on top, smaller down both sides. */
        SHRINKING,
        /** Small ones up and over each large one. */
        WALKING,
        /** Pulled inward to a point. */
        DRAGGED
    }

    /**
     * A border of dots: on a circle, whose radius is the placement's scale in mm, or along the edge of what is painted when it wears the
     * stone.
     */
    @RecordBuilder
    record Dots(Ring ring, Count counted, Shrink shrink, Frame frame) implements Subject, SubjectDotsBuilder.With {

        /**
         * The ring itself.
         *
         * @param diameterMm of a dot, of the largest one in a series; 0.3 to 60
         * @param gapMm wanted least gap, 0 to 60
         * @param insetMm how far inside the edge it runs when it wears the stone, 0 to 100
         */
        public record Ring(double diameterMm, double gapMm, double insetMm) {
            public Ring {
                range("A dot is", diameterMm, 0.3, 60, " mm");
                range("A gap is", gapMm, 0, 60, " mm");
                range("The ring runs", insetMm, 0, 100, " mm");
            }
        }

        /**
         * How they are counted.
         *
         * @param count just so many, 3 to 400; 0 for as many as go
         * @param dotOnTop whether a dot sits at the top, else a gap
         * @param twoColours whether every other dot has a second colour; the number is then even
         */
        public record Count(int count, boolean dotOnTop, boolean twoColours) {
            public Count {
                if (count != 0) {
                    range("A ring has", count, 3, DotRing.MOST, " dots");
                }
            }
        }

        /**
         * How they change size along the ring.
         *
         * @param ratio width of the small ones (alternating, walking) or of the last one (shrinking) as a share of the large, 0.1 to 1
         */
        public record Shrink(Series series, double ratio) {
            public Shrink {
                Objects.requireNonNull(series);
                range("A small dot is", ratio, 0.1, 1, " of a large one");
            }
        }

        /**
         * What goes with the ring.
         *
         * @param bandMm distance of two lines between which the dots run, 0 (no lines) to 60
         * @param innerMm width of the dots of a second ring locked in step with the first, 0 (none) to 60
         */
        public record Frame(double bandMm, double innerMm) {
            public Frame {
                range("The lines are", bandMm, 0, 60, " mm apart");
                range("A dot of the second ring is", innerMm, 0, 60, " mm");
            }
        }

        public Dots {
            Objects.requireNonNull(ring);
            Objects.requireNonNull(counted);
            Objects.requireNonNull(shrink);
            Objects.requireNonNull(frame);
        }

        private static void range(String what, double value, double low, double high, String unit) {
            if (!(value >= low && value <= high)) {
                throw new IllegalArgumentException(what + " " + Numbers.shortText(low) + " to " + Numbers.shortText(high) + unit + ", was "
                        + Numbers.shortText(value) + ".");
            }
        }

        /** Dots to begin with. */
        public static Dots usual() {
            return new Dots(new Ring(3, 1, 3), new Count(0, true, false), new Shrink(Series.EQUAL, 0.5), new Frame(0, 0));
        }

        public double diameterMm() {
            return ring.diameterMm();
        }

        public double gapMm() {
            return ring.gapMm();
        }

        public double insetMm() {
            return ring.insetMm();
        }

        public int count() {
            return counted.count();
        }

        public boolean dotOnTop() {
            return counted.dotOnTop();
        }

        public boolean twoColours() {
            return counted.twoColours();
        }

        public Series series() {
            return shrink.series();
        }

        public double ratio() {
            return shrink.ratio();
        }

        public double bandMm() {
            return frame.bandMm();
        }

        public double innerMm() {
            return frame.innerMm();
        }
    }

    /**
     * A pattern made to measure by a {@link Family} of the repertoire.
     *
     * @param values by the family's dials; a dial without a value stands at its usual place
     */
    record Pattern(String family, Map<String, Double> values) implements Subject {
        public Pattern {
            Objects.requireNonNull(family);
            values = Collections.unmodifiableMap(new TreeMap<>(values));
        }

        public Pattern with(String dial, double value) {
            Map<String, Double> changed = new TreeMap<>(values);
            changed.put(dial, value);
            return new Pattern(family, changed);
        }
    }

    /** What a stroke of the pencil becomes. */
    enum Becomes { AREA, LINE, DOTS, GUIDE }

    /**
     * Drawn by hand, smoothed, and told what it is.
     *
     * @param points x and y in turn, units of the placement (mm at size 1) about the stroke's middle; 2 to {@link #MOST_POINTS} points
     * @param closed whether the end joins the start; an area always does
     * @param penMm width of the line, or of a dot; 0.2 to 15
     */
    record Stroke(List<Double> points, boolean closed, Becomes becomes, double penMm) implements Subject {

        public static final int MOST_POINTS = 200;

        public Stroke {
            points = List.copyOf(points);
            Objects.requireNonNull(becomes);
            closed |= becomes == Becomes.AREA;
            int least = becomes == Becomes.AREA ? 3 : 2;
            if (points.size() % 2 != 0 || points.size() < 2 * least || points.size() > 2 * MOST_POINTS) {
                throw new IllegalArgumentException(
                        "A stroke has " + least + " to " + MOST_POINTS + " points, had " + points.size() / 2 + ".");
            }
            for (double value : points) {
                if (!(Math.abs(value) <= 1000)) {
                    throw new IllegalArgumentException("A stroke must stay within 1000 mm, was at " + value + ".");
                }
            }
            if (!(penMm >= 0.2 && penMm <= 15)) {
                throw new IllegalArgumentException("A stroke is 0.2 to 15 mm wide, was " + Numbers.shortText(penMm) + " mm.");
            }
        }

        public Stroke becoming(Becomes what) {
            return new Stroke(points, closed, what, penMm);
        }

        public Stroke pen(double mm) {
            return new Stroke(points, closed, becomes, mm);
        }
    }

    /**
     * Pencil lines that help to place other things.
     *
     * @param count rings, spokes, corners, boxes or turns, 1 to 60
     * @param mm distance of lines, or how far inside the edge, 0.5 to 100; its meaning is told by the kind
     * @param toEye whether level lines are lifted over the dome until they look straight
     */
    record Guide(GuideKind kind, int count, double mm, boolean toEye) implements Subject {
        public Guide {
            Objects.requireNonNull(kind);
            if (count < 1 || count > 60) {
                throw new IllegalArgumentException(kind.counted() + ": 1 to 60, was " + count + ".");
            }
            if (!(mm >= 0.5 && mm <= 100)) {
                throw new IllegalArgumentException("Guide lines are 0.5 to 100 mm apart, was " + Numbers.shortText(mm) + " mm.");
            }
        }

        public Guide with(int newCount, double newMm, boolean newToEye) {
            return new Guide(kind, newCount, newMm, newToEye);
        }
    }

    default <T> T match(Function<Figure, T> figure, Function<Word, T> word, Function<Dots, T> dots, Function<Pattern, T> pattern,
            Function<Stroke, T> stroke, Function<Guide, T> guide) {
        if (this instanceof Figure f) {
            return figure.apply(f);
        }
        if (this instanceof Word w) {
            return word.apply(w);
        }
        if (this instanceof Dots d) {
            return dots.apply(d);
        }
        if (this instanceof Pattern p) {
            return pattern.apply(p);
        }
        return this instanceof Stroke s ? stroke.apply(s) : guide.apply((Guide) this);
    }
}
