package mosspebble.core.colour;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The shelf with every paint's optics worked out once; immutable. */
public final class Palette {

    private final Shelf shelf;
    private final Map<String, PaintOptics> optics = new LinkedHashMap<>();

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
