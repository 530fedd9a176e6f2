package mosspebble.core.care;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Psychrometrics;
import mosspebble.core.units.Celsius;

/** When a seal may be laid: the hours of a forecast in which the air suits it, long enough for all its coats. */
public final class SealHours {

    /** Most hours of one forecast. */
    public static final int MOST = 72;

    /** A surface stays at least so far above the dew point, K (ISO 8502-4 guidance, from memory). */
    private static final double ABOVE_DEW = 3;

    private static final Pattern HOUR = Pattern.compile(
            "(\\d{1,2})(?::00|h)?\\s+(-?\\d+(?:[.,]\\d+)?)\\s*(?:°?\\s*c)?\\s+(\\d+(?:[.,]\\d+)?)\\s*%?(\\s+rain)?",
            Pattern.CASE_INSENSITIVE);

    /**
     * The air at one hour of a forecast.
     *
     * @param hour 0 to 23; an hour not above the one before is of the next day
     * @param celsius -30 to 60
     * @param humidity 0 to 1
     * @param rain whether it rains then
     */
    public record Hour(int hour, double celsius, double humidity, boolean rain) {
        public Hour {
            if (hour < 0 || hour > 23 || !(celsius >= -30 && celsius <= 60) || !(humidity >= 0.01 && humidity <= 1)) {
                throw new IllegalArgumentException("an hour is 0 to 23, a temperature -30 to 60, a humidity 1 to 100");
            }
        }
    }

    /** What keeps a seal from being laid at an hour. */
    public enum Against { TOO_COLD, TOO_WARM, TOO_DAMP, NEAR_DEW, RAIN }

    /**
     * Hours one after the other that suit.
     *
     * @param fromHour clock hour at which it may begin
     * @param latestHour by which the first coat must be laid, so that the last is dry to the touch within the hours that suit
     * @param day 0 for the first day of the forecast
     */
    public record Window(int day, int fromHour, int latestHour) {}

    private SealHours() {}

    /**
     * Reads a typed forecast: an hour, a temperature and a humidity, and "rain" where it rains; one after the other with commas, semicolons
     * or lines between, such as {@code 9 14 80, 12 19 60, 15 21 50 rain}. Hours between are filled in evenly.
     *
     * @throws IllegalArgumentException saying what is not understood
     */
    public static List<Hour> parse(String text) {
        List<Hour> given = new ArrayList<>();
        for (String part : text.strip().split("\\s*(?:[;\\n]|,(?!\\d))\\s*")) {
            Matcher m = HOUR.matcher(part.strip());
            if (!m.matches()) {
                throw new IllegalArgumentException("\"" + (part.length() > 30 ? part.substring(0, 30) : part)
                        + "\" is no hour of a forecast; write such as 9 14 80: hour, degrees, humidity, and rain where it rains");
            }
            given.add(new Hour(Integer.parseInt(m.group(1)), number(m.group(2)), number(m.group(3)) / 100, m.group(4) != null));
        }
        return filled(given);
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    private static List<Hour> filled(List<Hour> given) {
        List<Hour> hours = new ArrayList<>(List.of(given.get(0)));
        for (int i = 1; i < given.size(); i++) {
            Hour a = given.get(i - 1);
            Hour b = given.get(i);
            int apart = Math.floorMod(b.hour - a.hour - 1, 24) + 1;
            for (int k = 1; k <= apart; k++) {
                double share = (double) k / apart;
                hours.add(new Hour((a.hour + k) % 24, a.celsius + share * (b.celsius - a.celsius),
                        a.humidity + share * (b.humidity - a.humidity), k == apart ? b.rain : a.rain));
            }
            if (hours.size() > MOST) {
                throw new IllegalArgumentException("a forecast has at most " + MOST + " hours");
            }
        }
        return hours;
    }

    /** What speaks against a seal at one hour; rain only outdoors. */
    public static Optional<Against> against(Hour hour, SealKind kind, boolean inTheOpen) {
        SealKind.Window air = kind.window();
        if (inTheOpen && hour.rain) {
            return Optional.of(Against.RAIN);
        }
        if (hour.celsius < air.low()) {
            return Optional.of(Against.TOO_COLD);
        }
        if (hour.celsius > air.high()) {
            return Optional.of(Against.TOO_WARM);
        }
        if (aboveDew(hour) < ABOVE_DEW) {
            return Optional.of(Against.NEAR_DEW);
        }
        return hour.humidity > air.damp() ? Optional.of(Against.TOO_DAMP) : Optional.empty();
    }

    /** What speaks against a seal in most of the hours; empty if every hour suits. */
    public static Optional<Against> mostlyAgainst(List<Hour> forecast, SealKind kind, boolean inTheOpen) {
        return forecast.stream().flatMap(hour -> against(hour, kind, inTheOpen).stream())
                .collect(Collectors.groupingBy(against -> against, TreeMap::new, Collectors.counting())).entrySet().stream()
                .max(Map.Entry.comparingByValue()).map(Map.Entry::getKey);
    }

    /** How far the air is above its dew point, K. */
    static double aboveDew(Hour hour) {
        Climate air = new Climate(new Celsius(Math.max(1, hour.celsius)), Math.min(0.99, Math.max(0.05, hour.humidity)), 0);
        return air.temperature().value() - Psychrometrics.dewPoint(air).value();
    }

    /** How long all coats take, from the first stroke until the last is dry to the touch: half of the wait between two coats. */
    public static Duration takes(SealAdvice advice) {
        Duration between = advice.between();
        return between.multipliedBy(advice.coats() - 1L)
                .plus(between.isZero() ? advice.kind().handled().dividedBy(6) : between.dividedBy(2));
    }

    /** The stretches of hours in which all coats of a seal can be laid, the first first. */
    public static List<Window> of(List<Hour> forecast, SealAdvice advice, boolean inTheOpen) {
        long need = Math.max(1, (takes(advice).toMinutes() + 59) / 60);
        List<Window> windows = new ArrayList<>();
        int day = 0;
        int dayOfStart = 0;
        int start = -1;
        for (int i = 0; i <= forecast.size(); i++) {
            boolean suits = i < forecast.size() && against(forecast.get(i), advice.kind(), inTheOpen).isEmpty();
            day += i > 0 && i < forecast.size() && forecast.get(i).hour <= forecast.get(i - 1).hour ? 1 : 0;
            if (suits && start < 0) {
                start = i;
                dayOfStart = day;
            } else if (!suits && start >= 0) {
                long hours = i - 1L - start; // from the first hour that suits to the last
                if (hours >= need) {
                    windows.add(new Window(dayOfStart, forecast.get(start).hour, forecast.get((int) (i - 1 - need)).hour));
                }
                start = -1;
            }
        }
        return windows;
    }
}
