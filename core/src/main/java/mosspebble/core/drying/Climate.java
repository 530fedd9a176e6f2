package mosspebble.core.drying;

import java.util.Objects;
import mosspebble.core.units.Celsius;

/**
 * The air at the bench.
 *
 * @param humidity relative humidity, 0.05 to 0.99
 * @param airSpeed over the stone, m/s, 0 to 20
 */
public record Climate(Celsius temperature, double humidity, double airSpeed) {

    public Climate {
        Objects.requireNonNull(temperature);
        if (!(temperature.value() >= 1 && temperature.value() <= 60)) {
            throw new IllegalArgumentException("The room must be 1 to 60 °C for water paints, was " + temperature + ".");
        }
        if (!(humidity >= 0.05 && humidity <= 0.99)) {
            throw new IllegalArgumentException("Relative humidity must be 5 to 99 %, was " + Math.round(humidity * 1000) / 10.0 + " %.");
        }
        if (!(airSpeed >= 0 && airSpeed <= 20)) {
            throw new IllegalArgumentException("Air speed must be 0 to 20 m/s, was " + airSpeed + ".");
        }
    }

    /** A quiet room: 20 °C, 50 %, air hardly moving. */
    public static Climate room() {
        return new Climate(new Celsius(20), 0.5, 0.1);
    }

    /** Partial pressure of water vapour, hPa. */
    public double vapourPressure() {
        return humidity * Psychrometrics.saturationPressure(temperature);
    }
}
