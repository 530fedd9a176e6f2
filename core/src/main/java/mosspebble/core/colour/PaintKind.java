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
    GEL("gel coat", 150, 0.95, 0, 0.05, Finish.GLOSS, Use.MEDIUM, Use.GELS),
    POWDER("metallic powder", 5, 1, 0, 0.95, Finish.GLOSS, Use.SPARKLES, Use.RUBBED_ON),
    FLAKES("colour-shift flakes", 10, 1, 0, 0.35, Finish.GLOSS, Use.SPARKLES, Use.RUBBED_ON),
    MICA("mica powder in medium", 60, 0.35, 0, 0.5, Finish.SATIN, Use.SPARKLES, Use.FLAKES),
    SIZE("leaf size", 40, 0.45, 0, 0.05, Finish.SATIN, Use.MEDIUM, Use.HOLDS_LEAF),
    LEAF("metal leaf or foil", 3, 1, 0, 0.98, Finish.GLOSS, Use.SPARKLES, Use.IS_LEAF),
    GLOW("glow paint", 100, 0.45, 0, 0.25, Finish.SATIN, Use.GLAZES, Use.GLOWS),
    WASH("wash or bottle ink", 30, 0.08, 0, 0.15, Finish.MATT, Use.GLAZES, Use.DISSOLVES),
    PASTE("texture paste", 500, 0.7, 0, 0.9, Finish.MATT, Use.RAISES),
    GLUE("gem glue", 200, 0.6, 0, 0.05, Finish.GLOSS, Use.MEDIUM, Use.GLUES),
    GEM("gem or small shell", 3, 1, 0, 0.9, Finish.GLOSS, Use.GLUED_ON),
    ISOLATING("isolating coat", 20, 0.3, 0, 0.05, Finish.SATIN, Use.MEDIUM, Use.ISOLATES),
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
        SEALS,
        /** It hardens under a lamp and holds powder while it is fresh from it. */
        GELS,
        /** It is rubbed on dry and sticks only to gel. */
        RUBBED_ON,
        /** It turns tacky and holds leaf. */
        HOLDS_LEAF,
        /** It comes in sheets that stick only to size. */
        IS_LEAF,
        /** It shines in the dark, best over white. */
        GLOWS,
        /** What is dry of it runs again under water. */
        DISSOLVES,
        /** It stands up from the stone and is painted when dry. */
        RAISES,
        /** It holds gems. */
        GLUES,
        /** It is a thing that is glued on; its tip is its diameter. */
        GLUED_ON,
        /** It keeps apart what quarrels. */
        ISOLATES
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

    /** Whether it is laid as paint is, not rubbed on, laid in sheets or glued on. */
    public boolean laidAsPaint() {
        return !does(Use.RUBBED_ON) && !does(Use.IS_LEAF) && !does(Use.GLUED_ON);
    }

    /** Whether what lies below is meant to be seen through it: glaze, glitter, colour shift, crackle, gel, varnish. */
    public boolean letsThrough() {
        return does(Use.GLAZES) || does(Use.MEDIUM) || does(Use.SPARKLES) && !does(Use.METAL) && laidAsPaint();
    }

    /** Whether it goes into mixes. */
    public boolean mixable() {
        return does(Use.MIXES);
    }

    /** Whether it is laid for something else than its colour: a medium or a sealer. */
    public boolean clear() {
        return does(Use.MEDIUM);
    }

    /** Whether it comes by the piece: what is said in millilitres of others is a number of it. */
    public boolean counted() {
        return this == GEM;
    }

    /** Whether it comes with a nib of its own. */
    public boolean pen() {
        return does(Use.HAS_NIB);
    }
}
