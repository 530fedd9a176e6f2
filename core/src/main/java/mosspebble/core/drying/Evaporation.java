package mosspebble.core.drying;

import mosspebble.core.units.Celsius;

/**
 * Evaporation from a free water surface, {@code (pw - pa)(0.089 + 0.0782 V) / Y} in kg/(s m2), pressures in kPa, V the air speed in m/s, Y
 * the latent heat in
 * kJ/kg (W. H. Carrier, 1918, in the SI form of the ASHRAE handbook; from memory).
 */
public final class Evaporation {

    private Evaporation() {}

    /**
     * @param water temperature of the wet surface
     * @return g/(m2 s); 0 where the air would rather give water off
     */
    public static double rate(Climate air, Celsius water) {
        double deficit = (Psychrometrics.saturationPressure(water) - air.vapourPressure()) / 10;
        return Math.max(0, 1000 * deficit * (0.089 + 0.0782 * air.airSpeed()) / Psychrometrics.latentHeat(water));
    }
}
