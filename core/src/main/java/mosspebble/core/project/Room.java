package mosspebble.core.project;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;

/**
 * Where the painter works.
 *
 * @param usual the air at the table, by which stones are planned
 * @param days the air on days on which it is another
 * @param sprayed how many sprayed stones there is room for side by side until they can be touched, 1 to {@link #MOST_SPRAYED}
 */
public record Room(Climate usual, Map<LocalDate, Climate> days, int sprayed) {

    public static final int MOST_SPRAYED = 50;

    /** Most days of their own. */
    public static final int MOST_DAYS = 400;

    /** A box of cardboard to spray in takes about so many pebbles (common practice, no source). */
    public static final int USUALLY_SPRAYED = 4;

    /** A coat of paint of usual thickness, by which rooms are compared, µm and share of solids. */
    private static final double COAT_UM = 100;
    private static final double SOLIDS = 0.4;

    /** Bounds of what a room makes of a wait. */
    private static final double QUICKEST = 0.1;
    private static final double SLOWEST = 20;

    public Room {
        Objects.requireNonNull(usual);
        days = Map.copyOf(new TreeMap<>(days));
        if (sprayed < 1 || sprayed > MOST_SPRAYED) {
            throw new IllegalArgumentException("There is room for 1 to " + MOST_SPRAYED + " sprayed stones side by side, not for " + sprayed
                    + ".");
        }
        if (days.size() > MOST_DAYS) {
            throw new IllegalArgumentException("A room is told apart on " + MOST_DAYS + " days at most.");
        }
    }

    /** A room of some air, the same every day. */
    public Room(Climate usual) {
        this(usual, Map.of(), USUALLY_SPRAYED);
    }

    /** The air on a day. */
    public Climate on(LocalDate date) {
        return days.getOrDefault(date, usual);
    }

    public Room withUsual(Climate climate) {
        return new Room(climate, days, sprayed);
    }

    public Room withSprayed(int stones) {
        return new Room(usual, days, stones);
    }

    /** With another air on one day; as usual for none, or where it is the same. Days before it are forgotten. */
    public Room with(LocalDate date, Optional<Climate> climate, LocalDate today) {
        Map<LocalDate, Climate> changed = new TreeMap<>(days);
        changed.keySet().removeIf(d -> d.isBefore(today));
        changed.remove(date);
        climate.filter(c -> !c.equals(usual)).ifPresent(c -> changed.put(date, c));
        return new Room(usual, changed, sprayed);
    }

    /** How many times as long as usual a coat takes to dry in the air of a day, 0.1 to 20: what {@link Drying} says of both. */
    public double slower(LocalDate date) {
        if (!days.containsKey(date)) {
            return 1;
        }
        double then = dries(days.get(date));
        return Math.min(SLOWEST, Math.max(QUICKEST, then / dries(usual)));
    }

    /** A wait of the usual room, as long as it takes in that of the day on which it begins. */
    public Duration wait(Duration usual, Instant begins, ZoneId zone) {
        double slower = slower(begins.atZone(zone).toLocalDate());
        return slower == 1 ? usual : Duration.ofSeconds(Math.round(slower * usual.toSeconds()));
    }

    private static double dries(Climate air) {
        return Drying.of(COAT_UM, SOLIDS, Drying.Below.PAINT, false, air).recoat().toSeconds();
    }
}
