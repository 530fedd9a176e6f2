package mosspebble.core.supplies;

import mosspebble.core.units.Millilitres;

/**
 * What one paint is needed for a stone.
 *
 * @param paint id on the shelf
 * @param needed with the usual loss in brush and palette
 * @param left in the pot
 */
public record PaintUse(String paint, Millilitres needed, Millilitres left) {

    /** Brushing loss over the theoretical spreading rate, 10 to 30 % (coatings handbooks, from memory). */
    public static final double LOSS = 0.20;

    /** Paint for an area at a wet thickness: {@code area x thickness}, with loss; 1 mL over 100 cm2 is 100 µm. */
    public static Millilitres spread(double areaMm2, double wetUm, int coats) {
        return new Millilitres(areaMm2 * wetUm / 1e6 * coats * (1 + LOSS));
    }

    /**
     * How far a pen writes with so much, in metres: the line is as wide as the nib and as thick as its coat is wet,
     * {@code length = volume / (width x thickness)}, less what is lost.
     *
     * @param nibMm width of the line, above 0
     * @param wetUm wet thickness of the line, above 0
     */
    public static double penMetres(Millilitres volume, double nibMm, double wetUm) {
        if (!(nibMm > 0) || !(wetUm > 0)) {
            throw new IllegalArgumentException("a pen's line has a width and a thickness, had " + nibMm + " mm, " + wetUm + " µm");
        }
        return volume.value() * 1e6 / (1 + LOSS) / (nibMm * wetUm) / 1000;
    }

    public boolean runsOut() {
        return needed.compareTo(left) > 0;
    }
}
