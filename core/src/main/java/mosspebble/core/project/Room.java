package mosspebble.core.project;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
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
 * @param sittings the air in sittings in which it is another than on the rest of their day, by when they begin: a morning in the garden
 * @param sprayed how many sprayed stones there is room for side by side until they can be touched, 1 to {@link #MOST_SPRAYED}
 */
public record Room(Climate usual, Map<LocalDate, Climate> days, Map<LocalDateTime, Climate> sittings, int sprayed) {

    public static final int MOST_SPRAYED = 50;

    /** Most days and sittings of their own, of each. */
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
        days = Map.copyOf(days);
        sittings = Map.copyOf(sittings);
        if (sprayed < 1 || sprayed > MOST_SPRAYED) {
            throw new IllegalArgumentException("There is room for 1 to " + MOST_SPRAYED + " sprayed stones side by side, not for " + sprayed
                    + ".");
        }
        if (days.size() > MOST_DAYS || sittings.size() > MOST_DAYS) {
            throw new IllegalArgumentException("A room is told apart on " + MOST_DAYS + " days and in as many sittings at most.");
        }
    }

    /** A room of some air, the same every day. */
    public Room(Climate usual) {
        this(usual, Map.of(), Map.of(), USUALLY_SPRAYED);
    }

    /** The air on a day. */
    public Climate on(LocalDate date) {
        return days.getOrDefault(date, usual);
    }

    /** The air in a sitting: its own, or that of its day. */
    public Climate in(LocalDateTime sitting) {
        return sittings.getOrDefault(sitting, on(sitting.toLocalDate()));
    }

    /** Whether the air in a sitting is told apart from the usual one, by itself or with its day. */
    public boolean isToldApart(LocalDateTime sitting) {
        return sittings.containsKey(sitting) || days.containsKey(sitting.toLocalDate());
    }

    public Room withUsual(Climate climate) {
        return new Room(climate, days, sittings, sprayed);
    }

    public Room withSprayed(int stones) {
        return new Room(usual, days, sittings, stones);
    }

    /** With another air on one day; as usual for none, or where it is the same. Days before today are forgotten. */
    public Room with(LocalDate date, Optional<Climate> climate, LocalDate today) {
        Map<LocalDate, Climate> changed = new TreeMap<>(days);
        changed.remove(date);
        climate.filter(c -> !c.equals(usual)).ifPresent(c -> changed.put(date, c));
        return new Room(usual, changed, sittings, sprayed).from(today);
    }

    /** With another air in one sitting; as on its day for none, or where it is the same. Days before today are forgotten. */
    public Room with(LocalDateTime sitting, Optional<Climate> climate, LocalDate today) {
        Map<LocalDateTime, Climate> changed = new TreeMap<>(sittings);
        changed.remove(sitting);
        climate.filter(c -> !c.equals(on(sitting.toLocalDate()))).ifPresent(c -> changed.put(sitting, c));
        return new Room(usual, days, changed, sprayed).from(today);
    }

    /** With the air of a sitting that begins at another time. */
    public Room withMoved(LocalDateTime was, LocalDateTime now) {
        if (was.equals(now) || !sittings.containsKey(was)) {
            return this;
        }
        Map<LocalDateTime, Climate> changed = new TreeMap<>(sittings);
        changed.put(now, changed.remove(was));
        return new Room(usual, days, changed, sprayed);
    }

    /** Without days before today, and without sittings that are as their day. */
    private Room from(LocalDate today) {
        Map<LocalDate, Climate> left = new TreeMap<>(days);
        left.keySet().removeIf(d -> d.isBefore(today));
        Map<LocalDateTime, Climate> sat = new TreeMap<>(sittings);
        sat.entrySet().removeIf(s -> s.getKey().toLocalDate().isBefore(today) || s.getValue().equals(on(s.getKey().toLocalDate())));
        return new Room(usual, left, sat, sprayed);
    }

    /** How many times as long as usual a coat laid in a sitting takes to dry, 0.1 to 20: what {@link Drying} says of both. */
    public double slower(LocalDateTime sitting) {
        if (!isToldApart(sitting)) {
            return 1;
        }
        double then = dries(in(sitting));
        return Math.min(SLOWEST, Math.max(QUICKEST, then / dries(usual)));
    }

    /** A wait of the usual room, as long as it takes in that of the sitting in which it begins. */
    public Duration wait(Duration usual, LocalDateTime sitting) {
        double slower = slower(sitting);
        return slower == 1 ? usual : Duration.ofSeconds(Math.round(slower * usual.toSeconds()));
    }

    private static double dries(Climate air) {
        return Drying.of(COAT_UM, SOLIDS, Drying.Below.PAINT, false, air).recoat().toSeconds();
    }
}
