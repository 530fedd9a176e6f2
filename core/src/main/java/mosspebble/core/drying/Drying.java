package mosspebble.core.drying;

import java.time.Duration;
import mosspebble.core.units.Celsius;

/**
 * Times of one coat from the water it has to lose.
 *
 * @param open while wet edges still run together
 * @param touchDry can be touched lightly
 * @param recoat takes the next coat or a neighbouring colour
 */
public record Drying(Duration open, Duration touchDry, Duration recoat) {

    /** Share of the water gone when wet edges no longer join (common practice, no source). */
    private static final double OPEN_SHARE = 0.35;

    /** The skin slows the last water: touch-dry after so many times the constant-rate time (common practice, no source). */
    private static final double SKIN = 1.15;

    /** Recoat after so many times the touch-dry time (common practice, no source). */
    private static final double RECOAT = 1.3;

    /** First coat on bare, tight stone dries slowest (common practice, no source). */
    private static final double ON_BARE_STONE = 1.4;

    /** A hair dryer's air at the stone, °C, and how far it warms the film from the stone's warmth on (common practice, no source). */
    private static final double DRYER_CELSIUS = 60;
    private static final double DRYER_WARMS = 0.45;

    /** Speed of a hair dryer's air, m/s (common practice, no source). */
    private static final double DRYER_AIR = 2.5;

    /** Below about so many degrees Celsius acrylics form no film (common practice, no source; the label decides). */
    public static final double COLDEST = 10;

    /** Longest time given: in saturated air nothing dries. */
    public static final Duration NEVER = Duration.ofDays(3);

    /**
     * What a coat is laid on.
     *
     * @param slows how much longer than on dry paint it takes
     */
    public record Below(double slows) {

        /** Dry paint takes no water. */
        public static final Below PAINT = new Below(1);

        /** @param soaksIn share of the coat, and so of its water, that the stone drinks, 0 to 1 */
        public static Below stone(double soaksIn) {
            return new Below(ON_BARE_STONE * (1 - soaksIn));
        }
    }

    /**
     * @param wetUm wet thickness, µm
     * @param solids by volume, 0 to 1
     * @param dryer whether a hair dryer is used; the stone is as warm as the room
     */
    public static Drying of(double wetUm, double solids, Below below, boolean dryer, Climate climate) {
        double waterGrams = wetUm * (1 - solids); // 1 µm of water on 1 m2 weighs 1 g
        Climate air = dryer ? new Climate(climate.temperature(), climate.humidity(), Math.max(DRYER_AIR, climate.airSpeed())) : climate;
        double stone = climate.temperature().value();
        double film = dryer ? stone + DRYER_WARMS * Math.max(0, DRYER_CELSIUS - stone) : stone;
        double rate = Evaporation.rate(air, new Celsius(film));
        double seconds = rate > 0 ? waterGrams / rate * below.slows() : Double.POSITIVE_INFINITY;
        return new Drying(bounded(OPEN_SHARE * seconds), bounded(SKIN * seconds), bounded(SKIN * RECOAT * seconds));
    }

    private static Duration bounded(double seconds) {
        return seconds < NEVER.toSeconds() ? Duration.ofSeconds(Math.max(1, Math.round(seconds))) : NEVER;
    }

    /**
     * Wait before sealing: 24 h for 100 µm at 20 °C and 50 % (usual advice for acrylics is 24 to 72 h; from memory), in proportion to the
     * thickest film and to the air's dryness, 4 h to 72 h.
     */
    public static Duration beforeSealing(double thickestUm, Climate climate) {
        double normal = Evaporation.rate(Climate.room(), Climate.room().temperature());
        double rate = Math.max(normal / 20,
                Evaporation.rate(new Climate(climate.temperature(), climate.humidity(), Climate.room().airSpeed()), climate.temperature()));
        double hours = 24 * thickestUm / 100 * normal / rate;
        return Duration.ofMinutes(Math.round(60 * Math.min(72, Math.max(4, hours))));
    }

    /** Whether a surface at room temperature is at least 3 K above the dew point (ISO 8502-4 guidance, from memory). */
    public static boolean safeToSeal(Climate climate) {
        return climate.temperature().value() - Psychrometrics.dewPoint(climate).value() >= 3;
    }
}
