package mosspebble.core.colour;

import java.util.EnumSet;
import java.util.Set;

/** What a paint is handled as, with what is usual for its kind (common practice, no source). */
public enum PaintKind {
    BRUSH("brush paint", 60, 0.40, 2, 0.92, Finish.SATIN, Use.FILLS, Use.MIXES),
    PEN("paint pen", 18, 0.40, 1, 0.95, Finish.MATT, Use.DRAWS, Use.HAS_NIB),
    INK("ink pen", 6, 0.15, 0, 0.60, Finish.MATT, Use.HAS_NIB, Use.INK),
    PRIMER("gesso", 80, 0.45, 1, 0.90, Finish.MATT, Use.PRIMES),
    GLAZE("glaze paint", 50, 0.25, 0, 0.25, Finish.GLOSS, Use.MIXES, Use.GLAZES),
    METALLIC("metallic paint", 60, 0.35, 0, 0.85, Finish.SATIN, Use.SPARKLES, Use.METAL),
    GLITTER("glitter paint", 90, 0.30, 0, 0.35, Finish.GLOSS, Use.SPARKLES, Use.FLAKES),
    COLOUR_SHIFT("colour-shift glaze", 50, 0.30, 0, 0.30, Finish.GLOSS, Use.SPARKLES, Use.GLAZES),
    CRACKLE("crackle medium", 120, 0.35, 0, 0.05, Finish.SATIN, Use.MEDIUM, Use.CRACKS),
    GEL("gel coat", 150, 0.95, 0, 0.05, Finish.GLOSS, Use.MEDIUM),
    VARNISH("sealer", 60, 0.33, 0, 0.05, Finish.GLOSS, Use.MEDIUM, Use.SEALS);

    /** What can be done with a kind of paint. */
    public enum Use {
        /** Areas are filled with it until nothing shows through. */
        FILLS,
        /** Lines are drawn with it. */
        DRAWS,
        /** It comes with a nib of its own. */
        HAS_NIB,
        /** It is ink, and thinner than paint. */
        INK,
        /** It goes into mixes. */
        MIXES,
        /** It lies under bright colours so that they need fewer coats. */
        PRIMES,
        /** It is laid thin over another colour, which shows through. */
        GLAZES,
        /** It shines as metal does. */
        METAL,
        /** It has a sparkle that a matt sealer takes away. */
        SPARKLES,
        /** It holds flakes that are seen one by one and leave bald patches. */
        FLAKES,
        /** It is laid for something else than its colour. */
        MEDIUM,
        /** It cracks, and what is painted on it with it. */
        CRACKS,
        /** It closes the picture. */
        SEALS
    }

    private final String label;
    private final Set<Use> uses;
    final double wetUm;
    final double solids;
    final double shift;
    final double hiding;
    final Finish finish;

    /** A new kind is one entry here: what it can do decides where it is taken. */
    PaintKind(String label, double wetUm, double solids, double shift, double hiding, Finish finish, Use use, Use... more) {
        this.label = label;
        this.uses = EnumSet.of(use, more);
        this.wetUm = wetUm;
        this.solids = solids;
        this.shift = shift;
        this.hiding = hiding;
        this.finish = finish;
    }

    public String label() {
        return label;
    }

    public boolean does(Use use) {
        return uses.contains(use);
    }

    /** Whether it goes into mixes. */
    public boolean mixable() {
        return does(Use.MIXES);
    }

    /** Whether it is laid for something else than its colour: a medium or a sealer. */
    public boolean clear() {
        return does(Use.MEDIUM);
    }

    /** Whether it comes with a nib of its own. */
    public boolean pen() {
        return does(Use.HAS_NIB);
    }
}
