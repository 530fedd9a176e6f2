package mosspebble.core.stone;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;

/**
 * What the surface is like.
 *
 * @param porosity open pores by volume, 0 to 0.5
 * @param colour of the dry, bare stone
 * @param before what is on it already
 * @param loose whether grains rub off
 */
@RecordBuilder
public record Skin(RockKind rock, Texture texture, double porosity, Srgb colour, Before before, boolean loose)
        implements SkinBuilder.With {

    /** What a stone brings along, and what is done about it. */
    public enum Before {
        /** It is bare. */
        NOTHING,
        /** It is still to be cast, of plaster or cement. */
        TO_BE_CAST,
        /** It was sealed or varnished: the sealer is dulled. */
        SEALER,
        /** Old paint stays as the ground, dulled so that the new grips. */
        PAINT_KEPT,
        /** Old paint is sanded smooth, so that its edges do not show. */
        PAINT_SANDED,
        /** Old paint is taken off down to the stone. */
        PAINT_STRIPPED
    }

    public Skin {
        Objects.requireNonNull(before);
        Objects.requireNonNull(rock);
        Objects.requireNonNull(texture);
        Objects.requireNonNull(colour);
        if (!(porosity >= 0 && porosity <= 0.5)) {
            throw new IllegalArgumentException(
                    "The porosity of a stone must be 0 to 0.5 by volume, was " + Numbers.shortText(porosity) + ".");
        }
    }

    /** A bare skin as usual for its rock. */
    public static Skin of(RockKind rock, Texture texture, Srgb colour) {
        return new Skin(rock, texture, rock.porosity(), colour, Before.NOTHING, false);
    }

    public Skin withRock(RockKind newRock) {
        return new Skin(newRock, texture, newRock.porosity(), colour, before, loose);
    }

    public Skin withState(Before newBefore, boolean newLoose) {
        return new Skin(rock, texture, porosity, colour, newBefore, newLoose);
    }

    /** Whether a film closes its pores, of a sealer or of old paint that stays. */
    public boolean sealed() {
        return before == Before.SEALER || before == Before.PAINT_KEPT || before == Before.PAINT_SANDED;
    }
}
