package mosspebble.core.drying;

import mosspebble.core.units.Celsius;

/** Moist air: saturation pressure and dew point. */
public final class Psychrometrics {

    private Psychrometrics() {}

    /**
     * Saturation vapour pressure over water, hPa: {@code 6.1094 exp(17.625 t / (243.04 + t))} (O. A. Alduchov, R. E. Eskridge, J. Appl.
     * Meteor. 35, 601, 1996); within 0.4 % from 0 to 50 °C.
     */
    public static double saturationPressure(Celsius t) {
        return 6.1094 * Math.exp(17.625 * t.value() / (243.04 + t.value()));
    }

    /** Temperature at which the air's vapour begins to condense: the same formula turned round. */
    public static Celsius dewPoint(Climate air) {
        double log = Math.log(air.vapourPressure() / 6.1094);
        return new Celsius(243.04 * log / (17.625 - log));
    }

    /** Heat to evaporate water, kJ/kg: {@code 2500.8 - 2.36 t} (linear fit, from memory). */
    public static double latentHeat(Celsius t) {
        return 2500.8 - 2.36 * t.value();
    }
}
