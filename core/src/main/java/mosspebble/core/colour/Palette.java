package mosspebble.core.colour;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import mosspebble.core.units.Bisection;

/** The shelf with every paint's optics worked out once; immutable. */
public final class Palette {

    /** Contrast ratios between which a paint may hide after all. */
    private static final double LEAST_HIDING = 0.02;
    private static final double MOST_HIDING = 0.999;
    /** A coat is worth no less and no more than so many, whatever the label. */
    private static final double LEAST_WORTH = 0.2;
    private static final double MOST_WORTH = 5;
    private static final int WORTH_HALVINGS = 24;

    private final Shelf shelf;
    private final Map<String, PaintOptics> optics = new LinkedHashMap<>();
    private final Map<Mix, Optional<Colour>> known = new ConcurrentHashMap<>();
    private final Map<Mix, Worth> worths = new ConcurrentHashMap<>();

    public Palette(Shelf shelf) {
        this.shelf = shelf;
        for (Paint paint : shelf.paints()) {
            optics.put(paint.id(), PaintOptics.of(paint));
        }
    }

    public Shelf shelf() {
        return shelf;
    }

    /** Optics of a paint on the shelf. */
    public Optional<PaintOptics> optics(String paint) {
        return Optional.ofNullable(optics.get(paint));
    }

    /**
     * A mix as one paint: optics by volume of solids, coat, solids, hiding by parts. Empty if a paint is no longer on the shelf.
     */
    public Optional<Colour> colour(Mix mix) {
        return known.computeIfAbsent(mix, this::mixed);
    }

    /** The colours of the slots that have a mix whose paints are all on the shelf, in the order of the slots. */
    public Map<String, Colour> colours(Map<String, Mix> mixes) {
        Map<String, Colour> colours = new LinkedHashMap<>();
        mixes.forEach((slot, mix) -> colour(mix).ifPresent(colour -> colours.put(slot, colour)));
        return colours;
    }

    /**
     * What a coat of a mix may be worth, by how sure the hiding of its paints is.
     *
     * @throws IllegalArgumentException if a paint of it is not on the shelf
     */
    public Worth worth(Mix mix) {
        return worths.computeIfAbsent(mix, this::worthOf);
    }

    private Worth worthOf(Mix mix) {
        Colour colour = colour(mix).orElseThrow(() -> new IllegalArgumentException(shelf.words(mix)));
        double spread = 0;
        for (Mix.Part part : mix.parts()) {
            spread += shelf.find(part.paint()).orElseThrow().hidingSpread() * part.parts() / mix.totalParts();
        }
        if (spread == 0) {
            return Worth.SURE;
        }
        double usual = colour.optics().contrastRatio(colour.dryUm());
        return new Worth(thickness(colour, Math.max(LEAST_HIDING, usual - spread), LEAST_WORTH, 1),
                thickness(colour, Math.min(MOST_HIDING, usual + spread), 1, MOST_WORTH));
    }

    /** How many times a coat's thickness has the contrast ratio, between two bounds. */
    private static double thickness(Colour colour, double hiding, double low, double high) {
        return Bisection.logarithmic(low, high, WORTH_HALVINGS, k -> colour.optics().contrastRatio(k * colour.dryUm()) < hiding).high();
    }

    private Optional<Colour> mixed(Mix mix) {
        List<PaintOptics> parts = new ArrayList<>();
        double[] volumes = new double[mix.parts().size()];
        double wet = 0;
        double solids = 0;
        double shift = 0;
        int total = mix.totalParts();
        for (int i = 0; i < volumes.length; i++) {
            Mix.Part part = mix.parts().get(i);
            Optional<Paint> paint = shelf.find(part.paint());
            if (paint.isEmpty()) {
                return Optional.empty();
            }
            double share = (double) part.parts() / total;
            parts.add(optics.get(part.paint()));
            volumes[i] = part.parts() * paint.get().solids();
            wet += share * paint.get().wetCoat().value();
            solids += share * paint.get().solids();
            shift += share * paint.get().dryingShift();
        }
        return Optional.of(new Colour(mix, PaintOptics.mix(parts, volumes), wet, solids, shift));
    }

    /**
     * What one coat of a mix may be worth, as so many times the thickness of a normal coat of what its label says.
     *
     * @param low where it hides less than its label says by its spread, up to 1
     * @param high where it hides more, 1 or more
     */
    public record Worth(double low, double high) {
        /** Nothing is left open. */
        public static final Worth SURE = new Worth(1, 1);
    }

    /**
     * A mix ready to be laid on.
     *
     * @param wetUm wet thickness of a normal coat, µm
     * @param solids by volume, 0 to 1
     * @param dryingShift L* wet minus dry
     */
    public record Colour(Mix mix, PaintOptics optics, double wetUm, double solids, double dryingShift) {

        /**
         * The two stirred together; the mix named is still this one's.
         *
         * @param share of the other in the wet volume, 0 to 1
         */
        public Colour into(Colour other, double share) {
            double[] volumes = {(1 - share) * solids, share * other.solids};
            return new Colour(mix, PaintOptics.mix(List.of(optics, other.optics), volumes), (1 - share) * wetUm + share * other.wetUm,
                    (1 - share) * solids + share * other.solids,
                    (1 - share) * dryingShift + share * other.dryingShift);
        }

        /** Look of the thick film while wet: what to aim for in the pan so that it dries right. */
        public Lab wetLab() {
            Lab dry = lab();
            return new Lab(Math.min(100, Math.max(0, dry.l() + dryingShift)), dry.a(), dry.b());
        }

        /** The same paint under another recipe. */
        public Colour as(Mix recipe) {
            return new Colour(recipe, optics, wetUm, solids, dryingShift);
        }

        /** Dry thickness of a normal coat, µm. */
        public double dryUm() {
            return wetUm * solids;
        }

        /** Look of the thick dry film. */
        public Lab lab() {
            return Lab.of(optics.full());
        }
    }
}
