package mosspebble.core.care;

import java.time.Duration;
import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mosspebble.core.drying.Psychrometrics;
import mosspebble.core.units.Celsius;

/**
 * The usual day of a month out of doors, where nothing better is known: temperate lowland, about 50 degrees north. Mean daily extremes from
 * memory; the damp follows from the rule that the air is about saturated at its coldest (R. Allen et al., FAO Irrigation and Drainage Paper
 * 56, chapter 3: the dew point is near the daily minimum). A typed forecast goes before it.
 */
public final class Season {

    /** Mean daily minimum and maximum of the twelve months, C. */
    private static final double[][] EXTREMES = {{-2, 3}, {-2, 5}, {1, 9}, {4, 14}, {8, 19}, {11, 22}, {13, 24}, {13, 24}, {10, 19},
        {6, 14}, {2, 8}, {0, 4}};

    /** Hours by daylight in which one works out of doors. */
    private static final int FROM = 9;
    private static final int TO = 18;

    /** The warmest hour of the day. */
    private static final int WARMEST = 15;

    private Season() {}

    /** The working hours of a usual dry day of a month. */
    public static List<SealHours.Hour> day(Month month) {
        double low = EXTREMES[month.ordinal()][0];
        double high = EXTREMES[month.ordinal()][1];
        double vapour = Psychrometrics.saturationPressure(new Celsius(low));
        return IntStream.rangeClosed(FROM, TO).mapToObj(hour -> {
            double celsius = (low + high) / 2 + (high - low) / 2 * Math.cos(2 * Math.PI * (hour - WARMEST) / Duration.ofDays(1).toHours());
            return new SealHours.Hour(hour, celsius, Math.min(1, vapour / Psychrometrics.saturationPressure(new Celsius(celsius))), false);
        }).toList();
    }

    /** What speaks against laying a seal on a usual day of a month, for one that must be laid in the open; empty if the day suits. */
    public static Optional<SealHours.Against> against(SealAdvice advice, Month month) {
        List<SealHours.Hour> day = day(month);
        if (!advice.kind().isLaidInTheOpen() || !SealHours.of(day, advice, true).isEmpty()) {
            return Optional.empty();
        }
        return SealHours.mostlyAgainst(day, advice.kind(), true);
    }
}
