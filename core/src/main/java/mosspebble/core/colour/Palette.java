package mosspebble.core.colour;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** The shelf with every paint's optics worked out once; immutable. */
public final class Palette {

    private final Shelf shelf;
    private final Map<String, PaintOptics> optics = new LinkedHashMap<>();
    private final Map<Mix, Optional<Colour>> known = new ConcurrentHashMap<>();

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
