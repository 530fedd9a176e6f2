package mosspebble.core.stone;

import mosspebble.core.units.Grams;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Numbers;

/**
 * A mix for a mould by weight. A gram of powder of density d with W grams of water makes {@code 1/d + W} ml of slurry (no air, no
 * expansion); on setting the powder binds a part of the water,
 * 0.1862 g per gram of hemihydrate (stoichiometry), the rest must dry out.
 *
 * @param slurry what is mixed, with the spare
 * @param leftover what stays in the bowl when the mould is full
 * @param wet weight of the stone when it leaves the mould
 * @param dry weight of the stone when it is dry
 */
public record Casting(Powder kind, Grams powder, Grams water, Millilitres slurry, Millilitres leftover, Grams wet, Grams dry) {

    /** Powders with density in g/cm3, mixing water per gram and water bound per gram (handbook values from memory). */
    public enum Powder {
        CASTING_PLASTER("casting plaster", 2.63, 0.70, 0.1862, 10, 30, RockKind.CAST_PLASTER),
        MODEL_PLASTER("model plaster", 2.63, 0.50, 0.1862, 8, 25, RockKind.CAST_PLASTER),
        HARD_PLASTER("hard plaster (alpha)", 2.76, 0.30, 0.1862, 10, 45, RockKind.CAST_PLASTER),
        CEMENT("cement casting mix", 2.65, 0.18, 0.07, 60, 24 * 60, RockKind.CAST_CEMENT);

        private final String label;
        private final double density;
        private final double waterRatio;
        private final double bound;
        private final int workMinutes;
        private final int demouldMinutes;
        private final RockKind rock;

        Powder(String label, double density, double waterRatio, double bound, int workMinutes, int demouldMinutes, RockKind rock) {
            this.label = label;
            this.density = density;
            this.waterRatio = waterRatio;
            this.bound = bound;
            this.workMinutes = workMinutes;
            this.demouldMinutes = demouldMinutes;
            this.rock = rock;
        }

        public String label() {
            return label;
        }

        /** Usual mixing water, g per g. */
        public double waterRatio() {
            return waterRatio;
        }

        /** Minutes until it no longer pours (common practice, no source). */
        public int workMinutes() {
            return workMinutes;
        }

        /** Minutes until it may leave the mould (common practice, no source). */
        public int demouldMinutes() {
            return demouldMinutes;
        }

        public RockKind rock() {
            return rock;
        }
    }

    /**
     * @param mould volume of the mould, 1 to 20000 ml
     * @param waterRatio mixing water per gram of powder, 0.1 to 1.2
     * @param spare share mixed beyond the mould's volume, 0 to 1
     */
    public static Casting of(Powder kind, Millilitres mould, double waterRatio, double spare) {
        check("The mould", mould.value(), 1, 20000, " ml");
        check("Water per gram of powder", waterRatio, 0.1, 1.2, "");
        check("The spare share", spare, 0, 1, "");
        double slurry = mould.value() * (1 + spare);
        double powder = slurry / (1 / kind.density + waterRatio);
        double poured = mould.value() / (1 / kind.density + waterRatio);
        return new Casting(kind, new Grams(powder), new Grams(powder * waterRatio), new Millilitres(slurry),
                new Millilitres(slurry - mould.value()),
                new Grams(poured * (1 + waterRatio)), new Grams(poured * (1 + kind.bound)));
    }

    private static void check(String what, double value, double low, double high, String unit) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(what + " must be " + Numbers.shortText(low) + " to " + Numbers.shortText(high) + unit
                    + ", was " + Numbers.shortText(value) + unit + ".");
        }
    }

    /** Bulk density of the dry stone, g/cm3. */
    public double dryDensity() {
        return dry.value() / (slurry.value() - leftover.value());
    }

    /** Height in mm of a thin half that the leftover makes over an area in mm2. */
    public double thinHalfMm(double areaMm2) {
        return 1000 * leftover.value() / areaMm2;
    }
}
