package mosspebble.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;

/**
 * How this painter works: the schools of practice and the light.
 *
 * @param tolerance largest difference (CIEDE2000) to the full colour that counts as covered, 0.5 to 6: fussy 1, usual 2, easy 3
 */
@RecordBuilder
public record Habits(Ground ground, Primer primer, Outline outline, Handling handling, double tolerance, Light light, Keeping keeping)
        implements
        HabitsBuilder.With {

    /** Where the ground colour goes. */
    public enum Ground { AROUND, UNDER, BARE }

    /** When lines are drawn. */
    public enum Lines { LAST, FIRST }

    /** How the outline's colour is chosen. */
    public enum LineColour { CONTRAST, DARK, NONE, BLACK, WHITE, GREY }

    /** How outlines are built. */
    public enum LineStyle {
        /** The nib's width all the way. */
        EVEN,
        /** Thicker on the side away from the light. */
        SHADED,
        /** A second line just inside the first. */
        DOUBLE,
        /** A second line of metal just inside the first. */
        METALLIC
    }

    /** When primer is used. */
    public enum Primer { WHERE_NEEDED, WHOLE, NEVER }

    /** What is painted with. */
    public enum Medium {
        /** Pens for lines, brushes for areas. */
        BY_AREA,
        /** Pens also for areas whose colour a pen has. */
        PENS,
        /** A liner brush also for lines. */
        BRUSHES
    }

    /** The hand that holds the brush. */
    public enum Hand { RIGHT, LEFT }

    /** What it is sealed with. */
    public enum Seal { GLOSS, MATT, RESIN, NONE }

    /**
     * The lines round what is painted.
     *
     * @param lines when they are drawn
     * @param lineColour how their colour is chosen
     * @param lineStyle how they are built
     */
    @RecordBuilder
    public record Outline(Lines lines, LineColour lineColour, LineStyle lineStyle) implements HabitsOutlineBuilder.With {
        public Outline {
            Objects.requireNonNull(lines);
            Objects.requireNonNull(lineColour);
            Objects.requireNonNull(lineStyle);
        }
    }

    /**
     * What the hand works with.
     *
     * @param hand that holds the brush
     * @param dryer whether a hair dryer is used between coats
     * @param sparkleBase whether glitter and colour shift get a base of their own colour
     * @param lamp whether there is a lamp that hardens gel
     */
    @RecordBuilder
    public record Handling(Medium medium, Hand hand, boolean dryer, boolean sparkleBase, boolean lamp)
            implements HabitsHandlingBuilder.With {
        public Handling {
            Objects.requireNonNull(medium);
            Objects.requireNonNull(hand);
        }
    }

    /**
     * How the painted stone is kept.
     *
     * @param sealer id of the sealer chosen from the shelf; empty to take one by its finish
     * @param outdoors whether the stone will live outdoors
     */
    @RecordBuilder
    public record Keeping(Seal seal, String sealer, boolean outdoors) implements HabitsKeepingBuilder.With {
        public Keeping {
            Objects.requireNonNull(seal);
            Objects.requireNonNull(sealer);
        }
    }

    public Habits {
        Objects.requireNonNull(ground);
        Objects.requireNonNull(primer);
        Objects.requireNonNull(outline);
        Objects.requireNonNull(handling);
        Objects.requireNonNull(light);
        Objects.requireNonNull(keeping);
        if (!(tolerance >= 0.5 && tolerance <= 6)) {
            throw new IllegalArgumentException("the tolerance must be 0.5 to 6, was " + tolerance);
        }
    }

    public static Habits usual() {
        return new Habits(Ground.AROUND, Primer.WHERE_NEEDED, new Outline(Lines.LAST, LineColour.CONTRAST, LineStyle.EVEN),
                new Handling(Medium.BY_AREA, Hand.RIGHT, false, true, true), 2, Light.USUAL, new Keeping(Seal.GLOSS, "", true));
    }

    public Lines lines() {
        return outline.lines();
    }

    public Habits withLines(Lines newLines) {
        return withOutline(outline.withLines(newLines));
    }

    public LineColour lineColour() {
        return outline.lineColour();
    }

    public Habits withLineColour(LineColour newLineColour) {
        return withOutline(outline.withLineColour(newLineColour));
    }

    public LineStyle lineStyle() {
        return outline.lineStyle();
    }

    public Habits withLineStyle(LineStyle newLineStyle) {
        return withOutline(outline.withLineStyle(newLineStyle));
    }

    public Medium medium() {
        return handling.medium();
    }

    public Habits withMedium(Medium newMedium) {
        return withHandling(handling.withMedium(newMedium));
    }

    public Hand hand() {
        return handling.hand();
    }

    public Habits withHand(Hand newHand) {
        return withHandling(handling.withHand(newHand));
    }

    public boolean dryer() {
        return handling.dryer();
    }

    public Habits withDryer(boolean newDryer) {
        return withHandling(handling.withDryer(newDryer));
    }

    public boolean sparkleBase() {
        return handling.sparkleBase();
    }

    public boolean lamp() {
        return handling.lamp();
    }

    public Habits withLamp(boolean newLamp) {
        return withHandling(handling.withLamp(newLamp));
    }

    public Habits withSparkleBase(boolean newSparkleBase) {
        return withHandling(handling.withSparkleBase(newSparkleBase));
    }

    public Seal seal() {
        return keeping.seal();
    }

    /** Sealed with whatever has this finish. */
    public Habits withSeal(Seal newSeal) {
        return withKeeping(keeping.withSeal(newSeal).withSealer(""));
    }

    /** Id of the sealer chosen from the shelf; empty to take one by its finish. */
    public String sealer() {
        return keeping.sealer();
    }

    /** Sealed with one certain sealer. */
    public Habits withSealer(Paint chosen) {
        Seal by = chosen.binder() == Binder.RESIN ? Seal.RESIN : chosen.finish() == Finish.MATT ? Seal.MATT : Seal.GLOSS;
        return withKeeping(keeping.withSeal(by).withSealer(chosen.id()));
    }

    public boolean outdoors() {
        return keeping.outdoors();
    }

    public Habits withOutdoors(boolean newOutdoors) {
        return withKeeping(keeping.withOutdoors(newOutdoors));
    }
}
