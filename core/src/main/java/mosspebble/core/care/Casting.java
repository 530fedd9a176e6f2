package mosspebble.core.care;

import mosspebble.core.stone.RockKind;

/**
 * What is stirred to cast a stone of a volume. Plaster: powder of 2.63 g/cm3 in water, no air (the cast fills 1/2.63 + w cm3 for each gram
 * of powder, w the water by mass, 0.70 for casting plaster; handbook, from memory). Cement: 1 part, 3 of sand, half a part of water by
 * mass, 2.1 g/cm3 fresh (common practice, no source). The bag's own measure goes before both.
 *
 * @param powder grams of plaster or cement
 * @param sand grams, 0 for plaster
 * @param water grams
 */
public record Casting(double powder, double sand, double water) {

    private static final double PLASTER_DENSITY = 2.63;
    private static final double PLASTER_WATER = 0.70;
    private static final double MORTAR_DENSITY = 2.1;
    private static final double MORTAR_SAND = 3;
    private static final double MORTAR_WATER = 0.5;

    /** Stays in the bowl, share; what is over makes a thin half to practise on (common practice, no source). */
    public static final double OVER = 0.15;

    /**
     * @param kind a {@linkplain RockKind#isCast() cast} one
     * @param volumeMm3 of the stone
     */
    public static Casting of(RockKind kind, double volumeMm3) {
        double cm3 = volumeMm3 / 1000 * (1 + OVER);
        if (kind == RockKind.CAST_PLASTER) {
            double powder = cm3 / (1 / PLASTER_DENSITY + PLASTER_WATER);
            return new Casting(powder, 0, PLASTER_WATER * powder);
        }
        double powder = cm3 * MORTAR_DENSITY / (1 + MORTAR_SAND + MORTAR_WATER);
        return new Casting(powder, MORTAR_SAND * powder, MORTAR_WATER * powder);
    }
}
