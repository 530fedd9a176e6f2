package mosspebble.core.colour;

import java.util.Objects;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;

/**
 * A paint, pen, primer or varnish on the shelf.
 *
 * @param id stable name within the shelf
 * @param swatch colour of the thick dry film
 * @param hiding contrast ratio of one normal coat over black and over white (0.80), 0.02 to 0.999; 0.98 counts as hiding (ISO 6504-3, ASTM D2805)
 * @param tip width of a pen's nib, 0 for what is brushed; up to 15 mm
 * @param wetCoat wet thickness of one normal coat, 3 to 500 µm
 * @param solids solids by volume, 0.05 to 1: dry = wet x solids
 * @param dryingShift lightness L* of the wet film minus that of the dry one, -15 to 15; acrylics dry darker, so mostly above 0
 * @param left what is in the pot
 */
public record Paint(String id, String name, PaintKind kind, Srgb swatch, double hiding, Finish finish, Millimetres tip, Micrometres wetCoat,
        double solids, double dryingShift, Millilitres left) {

    public Paint {
        Objects.requireNonNull(kind);
        Objects.requireNonNull(swatch);
        Objects.requireNonNull(finish);
        Objects.requireNonNull(left);
        if (id.isBlank() || id.length() > 60 || name.isBlank() || name.length() > 60) {
            throw new IllegalArgumentException("a paint needs an id and a name of 1 to 60 letters, had \"" + id + "\" and \"" + name + "\"");
        }
        check(name, "hiding as contrast ratio", hiding, 0.02, 0.999);
        check(name, "tip in mm", tip.value(), 0, 15);
        check(name, "wet coat in µm", wetCoat.value(), 3, 500);
        check(name, "solids by volume", solids, 0.05, 1);
        check(name, "drying shift in L*", dryingShift, -15, 15);
    }

    private static void check(String name, String what, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(name + ": " + what + " must be " + low + " to " + high + ", was " + value);
        }
    }

    /** Dry thickness of one normal coat. */
    public Micrometres dryCoat() {
        return new Micrometres(wetCoat.value() * solids);
    }
}
