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
 * @param sealed whether it has been sealed or varnished before
 * @param loose whether grains rub off
 */
@RecordBuilder
public record Skin(RockKind rock, Texture texture, double porosity, Srgb colour, boolean sealed, boolean loose)
        implements SkinBuilder.With {

    public Skin {
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
        return new Skin(rock, texture, rock.porosity(), colour, false, false);
    }

    public Skin withRock(RockKind newRock) {
        return new Skin(newRock, texture, newRock.porosity(), colour, sealed, loose);
    }

    public Skin withState(boolean newSealed, boolean newLoose) {
        return new Skin(rock, texture, porosity, colour, newSealed, newLoose);
    }
}
