package mosspebble.core.project;

import java.util.Objects;

/**
 * How this painter works: the schools of practice and the light.
 *
 * @param tolerance largest difference (CIEDE2000) to the full colour that counts as covered, 0.5 to 6: fussy 1, usual 2, easy 3
 * @param dryer whether a hair dryer is used between coats
 * @param outdoors whether the stone will live outdoors
 */
public record Habits(Ground ground, Lines lines, LineColour lineColour, LineStyle lineStyle, Primer primer, Medium medium, Hand hand,
        Seal seal, double tolerance, Light light, boolean dryer, boolean outdoors) {

    /** Where the ground colour goes. */
    public enum Ground { AROUND, UNDER, BARE }

    /** When lines are drawn. */
    public enum Lines { LAST, FIRST }

    /** How the outline's colour is chosen. */
    public enum LineColour { CONTRAST, DARK }

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

    public Habits {
        Objects.requireNonNull(ground);
        Objects.requireNonNull(lines);
        Objects.requireNonNull(lineColour);
        Objects.requireNonNull(lineStyle);
        Objects.requireNonNull(primer);
        Objects.requireNonNull(medium);
        Objects.requireNonNull(hand);
        Objects.requireNonNull(seal);
        Objects.requireNonNull(light);
        if (!(tolerance >= 0.5 && tolerance <= 6)) {
            throw new IllegalArgumentException("the tolerance must be 0.5 to 6, was " + tolerance);
        }
    }

    public static Habits usual() {
        return new Habits(Ground.AROUND, Lines.LAST, LineColour.CONTRAST, LineStyle.EVEN, Primer.WHERE_NEEDED, Medium.BY_AREA, Hand.RIGHT,
                Seal.GLOSS, 2, Light.USUAL, false, true);
    }

    public Habits with(Ground newGround) {
        return new Habits(newGround, lines, lineColour, lineStyle, primer, medium, hand, seal, tolerance, light, dryer, outdoors);
    }

    public Habits with(Lines newLines) {
        return new Habits(ground, newLines, lineColour, lineStyle, primer, medium, hand, seal, tolerance, light, dryer, outdoors);
    }

    public Habits with(LineColour newLineColour) {
        return new Habits(ground, lines, newLineColour, lineStyle, primer, medium, hand, seal, tolerance, light, dryer, outdoors);
    }

    public Habits with(LineStyle newLineStyle) {
        return new Habits(ground, lines, lineColour, newLineStyle, primer, medium, hand, seal, tolerance, light, dryer, outdoors);
    }

    public Habits with(Primer newPrimer) {
        return new Habits(ground, lines, lineColour, lineStyle, newPrimer, medium, hand, seal, tolerance, light, dryer, outdoors);
    }

    public Habits with(Medium newMedium) {
        return new Habits(ground, lines, lineColour, lineStyle, primer, newMedium, hand, seal, tolerance, light, dryer, outdoors);
    }

    public Habits with(Hand newHand) {
        return new Habits(ground, lines, lineColour, lineStyle, primer, medium, newHand, seal, tolerance, light, dryer, outdoors);
    }

    public Habits with(Seal newSeal) {
        return new Habits(ground, lines, lineColour, lineStyle, primer, medium, hand, newSeal, tolerance, light, dryer, outdoors);
    }

    public Habits with(Light newLight) {
        return new Habits(ground, lines, lineColour, lineStyle, primer, medium, hand, seal, tolerance, newLight, dryer, outdoors);
    }

    public Habits withTolerance(double newTolerance) {
        return new Habits(ground, lines, lineColour, lineStyle, primer, medium, hand, seal, newTolerance, light, dryer, outdoors);
    }

    public Habits withDryer(boolean newDryer) {
        return new Habits(ground, lines, lineColour, lineStyle, primer, medium, hand, seal, tolerance, light, newDryer, outdoors);
    }

    public Habits withOutdoors(boolean newOutdoors) {
        return new Habits(ground, lines, lineColour, lineStyle, primer, medium, hand, seal, tolerance, light, dryer, newOutdoors);
    }
}
