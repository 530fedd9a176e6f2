package mosspebble.core.sketch;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import mosspebble.core.units.Numbers;

/**
 * How the line round a thing or one of its parts is wanted; what is left open follows the thing, and what that leaves open the habits of
 * the stone.
 *
 * @param paint id of the paint, for {@link Colour#PAINT}; else empty
 * @param widthMm 0.2 to 3; 0 where it is left open
 */
@RecordBuilder
public record LineWish(Colour colour, String paint, Style style, double widthMm) implements LineWishBuilder.With {

    /** The colour of a line. */
    public enum Colour {
        /** As the thing or the stone has it. */
        OPEN,
        /** No line. */
        NONE,
        /** What stands out on both sides: black unless it would vanish, white then, else grey. */
        CONTRAST, BLACK, WHITE, GREY,
        /** One chosen paint or pen. */
        PAINT
    }

    /** How a line is built. */
    public enum Style {
        /** As the thing or the stone has it. */
        OPEN,
        /** The nib's width all the way. */
        EVEN,
        /** Thicker on the side away from the light. */
        SHADED,
        /** A second line just inside the first. */
        DOUBLE,
        /** A second line of metal just inside the first. */
        METALLIC
    }

    /** Nothing is wanted in particular. */
    public static final LineWish OPEN = new LineWish(Colour.OPEN, "", Style.OPEN, 0);

    public LineWish {
        Objects.requireNonNull(colour);
        Objects.requireNonNull(style);
        if (paint.isEmpty() == (colour == Colour.PAINT)) {
            throw new IllegalArgumentException("A line in a chosen paint names the paint, and no other line does.");
        }
        if (widthMm != 0 && !(widthMm >= 0.2 && widthMm <= 3)) {
            throw new IllegalArgumentException("A line is 0.2 to 3 mm wide, was " + Numbers.shortText(widthMm) + ".");
        }
    }

    /** The same in another colour; {@link Colour#PAINT} has {@link #in}. */
    public LineWish coloured(Colour newColour) {
        return new LineWish(newColour, "", style, widthMm);
    }

    /** The same in a chosen paint. */
    public LineWish in(String newPaint) {
        return new LineWish(Colour.PAINT, newPaint, style, widthMm);
    }

    /** This wish, and where it leaves something open, another. */
    public LineWish or(LineWish other) {
        boolean own = colour != Colour.OPEN;
        return new LineWish(own ? colour : other.colour, own ? paint : other.paint, style == Style.OPEN ? other.style : style,
                widthMm == 0 ? other.widthMm : widthMm);
    }
}
