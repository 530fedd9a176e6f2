package mosspebble.core.colour;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Locale;
import java.util.Objects;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;

/**
 * A paint, pen, medium or sealer on the shelf.
 *
 * @param id stable name within the shelf
 * @param swatch colour of the thick dry film
 * @param tip width of a pen's nib, diameter of a gem, 0 for what is brushed; up to 15 mm
 */
@RecordBuilder
public record Paint(String id, String name, PaintKind kind, Srgb swatch, Hiding cover, Film film, Millimetres tip, Pot pot)
        implements
        PaintBuilder.With {

    /**
     * How well it covers.
     *
     * @param hiding contrast ratio of one normal coat over black and over white (0.80), 0.02 to 0.999; 0.98 counts as hiding (ISO 6504-3,
     * ASTM D2805)
     * @param hidingSpread how far the hiding may be off, plus and minus, 0 to 0.5; {@link Opacity#SPREAD} for the word on a label, smaller
     * once a drawdown was read
     */
    public record Hiding(double hiding, double hidingSpread) {}

    /**
     * What a coat of it is, wet and dry.
     *
     * @param wetCoat wet thickness of one normal coat, 3 to 500 µm
     * @param solids solids by volume, 0.05 to 1: dry = wet x solids
     * @param dryingShift lightness L* of the wet film minus that of the dry one, -15 to 15; acrylics dry darker, so mostly above 0
     */
    @RecordBuilder
    public record Film(Binder binder, Finish finish, Micrometres wetCoat, double solids, double dryingShift)
            implements
            PaintFilmBuilder.With {
        public Film {
            Objects.requireNonNull(binder);
            Objects.requireNonNull(finish);
        }
    }

    /** A usual gem, mm. */
    private static final double GEM_MM = 4;

    /** Longest id or name. */
    public static final int LONGEST = 60;

    public Paint {
        Objects.requireNonNull(kind);
        Objects.requireNonNull(swatch);
        Objects.requireNonNull(cover);
        Objects.requireNonNull(film);
        Objects.requireNonNull(pot);
        if (id.isBlank() || id.length() > LONGEST || name.isBlank() || name.length() > LONGEST) {
            throw new IllegalArgumentException(
                    "a paint needs an id and a name of 1 to " + LONGEST + " letters, had \"" + id + "\" and \"" + name + "\"");
        }
        check(name, "hiding as contrast ratio", cover.hiding(), 0.02, 0.999);
        check(name, "uncertainty of the hiding", cover.hidingSpread(), 0, 0.5);
        check(name, "tip in mm", tip.value(), 0, 15);
        check(name, "wet coat in µm", film.wetCoat().value(), 3, 500);
        check(name, "solids by volume", film.solids(), 0.05, 1);
        check(name, "drying shift in L*", film.dryingShift(), -15, 15);
    }

    private static void check(String name, String what, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(name + ": " + what + " must be " + low + " to " + high + ", was " + value);
        }
    }

    /** A paint as its kind usually is; nothing is known of the pot but what is left. */
    public static Paint usual(String id, String name, PaintKind kind, Srgb swatch, Millilitres left) {
        Binder binder = switch (kind) {
            case INK -> Binder.PIGMENT_INK;
            case GEL -> Binder.UV_GEL;
            case WASH -> Binder.GUM;
            case ISOLATING -> Binder.SOLVENT_LACQUER;
            case POWDER, FLAKES, LEAF, GEM -> Binder.NONE;
            default -> Binder.ACRYLIC;
        };
        return new Paint(id, name, kind, swatch, new Paint.Hiding(kind.hiding, Opacity.SPREAD),
                new Paint.Film(binder, kind.finish, new Micrometres(kind.wetUm), kind.solids, kind.shift),
                new Millimetres(kind.pen() ? 0.7 : kind.does(PaintKind.Use.GLUED_ON) ? GEM_MM : 0), new Pot(left, new Millilitres(0), 0));
    }

    /** A name as an id: small letters, digits and hyphens. */
    public static String idOf(String name) {
        String plain = java.text.Normalizer.normalize(name, java.text.Normalizer.Form.NFD).toLowerCase(Locale.ROOT).replaceAll("\\p{M}", "")
                .replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
        return plain.isEmpty() ? "paint" : plain.substring(0, Math.min(plain.length(), LONGEST - 4));
    }

    /** Whether it comes with a nib of its own and draws lines. */
    public boolean hasNib() {
        return tip.value() > 0 && !kind.does(PaintKind.Use.GLUED_ON);
    }

    public Millilitres left() {
        return pot.left();
    }

    /** Dry thickness of one normal coat. */
    public Micrometres dryCoat() {
        return new Micrometres(wetCoat().value() * solids());
    }

    public double hiding() {
        return cover.hiding();
    }

    public double hidingSpread() {
        return cover.hidingSpread();
    }

    public Binder binder() {
        return film.binder();
    }

    public Finish finish() {
        return film.finish();
    }

    public Micrometres wetCoat() {
        return film.wetCoat();
    }

    public double solids() {
        return film.solids();
    }

    public double dryingShift() {
        return film.dryingShift();
    }

    public Paint withHiding(double ratio, double spread) {
        return withCover(new Hiding(ratio, spread));
    }

    /** As another film from another nib: what it does not say of the film stays. */
    public Paint made(Binder binder, Finish finish, Millimetres newTip, Micrometres wetCoat) {
        return withTip(newTip).withFilm(film.withBinder(binder).withFinish(finish).withWetCoat(wetCoat));
    }

    public Paint withFinish(Finish finish) {
        return withFilm(film.withFinish(finish));
    }

    public Paint withDryingShift(double shift) {
        return withFilm(film.withDryingShift(shift));
    }
}
