package mosspebble.files;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.TimezoneAssignment;
import biweekly.util.com.google.ical.compat.javautil.DateIterator;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import java.util.TimeZone;
import mosspebble.core.project.Diary;
import mosspebble.core.timetable.Workload;

/**
 * The times that are taken by a calendar of one's own (iCalendar, RFC 5545): events with hours that are not cancelled and not marked as
 * free, repeated ones as often as they come within the weeks that are planned. Days without hours, such as birthdays, take no time.
 */
public final class TakenTimes {

    private static final int LARGEST = 5_000_000;
    private static final int MOST_EVENTS = 20_000;
    private static final Duration LONGEST = Duration.ofDays(14);
    private static final String SMALLER = "Save only the coming weeks of it, then read that.";

    private TakenTimes() {}

    /**
     * Reads a calendar.
     *
     * @param from nothing that is over by then counts
     * @param to nothing that begins later counts
     * @param zone for times without one
     * @return in order, joined where they touch or overlap; at most {@link Diary#MOST_TAKEN}
     * @throws FileTrouble if it is no calendar, too large, or repeats too often
     */
    public static List<Workload.Hours> read(Path file, Instant from, Instant to, ZoneId zone) throws FileTrouble {
        return InFile.read(file, LARGEST, SMALLER, (bytes, place) -> {
            String text = new String(bytes, StandardCharsets.UTF_8);
            if (!text.stripLeading().regionMatches(true, 0, "BEGIN:VCALENDAR", 0, 15)) {
                throw new FileTrouble(place, "This is no calendar: it does not begin with BEGIN:VCALENDAR.",
                        "Save your calendar as an .ics file, then read that.");
            }
            List<Workload.Hours> taken = new ArrayList<>();
            for (ICalendar calendar : Biweekly.parse(text).all()) {
                if (calendar.getEvents().size() > MOST_EVENTS) {
                    throw new FileTrouble(place, "The calendar has more than " + MOST_EVENTS + " events.", SMALLER);
                }
                for (VEvent event : calendar.getEvents()) {
                    add(calendar, event, new Workload.Hours(from, to), TimeZone.getTimeZone(zone), taken);
                    if (taken.size() > Diary.MOST_TAKEN) {
                        throw new FileTrouble(place, "The calendar takes more than " + Diary.MOST_TAKEN + " times in the coming weeks.",
                                SMALLER);
                    }
                }
            }
            return joined(taken);
        });
    }

    private static void add(ICalendar calendar, VEvent event, Workload.Hours within, TimeZone zone, List<Workload.Hours> taken) {
        boolean timed = event.getDateStart() != null && event.getDateStart().getValue() != null
                && event.getDateStart().getValue().hasTime();
        boolean free = event.getTransparency() != null && event.getTransparency().isTransparent();
        boolean off = event.getStatus() != null && event.getStatus().isCancelled();
        Optional<Duration> lasts = timed ? lasts(event) : Optional.empty();
        if (free || off || lasts.isEmpty()) {
            return;
        }
        TimezoneAssignment own = calendar.getTimezoneInfo().getTimezone(event.getDateStart());
        DateIterator each = event.getDateIterator(own == null ? zone : own.getTimeZone());
        each.advanceTo(Date.from(within.from().minus(lasts.get())));
        while (each.hasNext() && taken.size() <= Diary.MOST_TAKEN) {
            Instant begins = each.next().toInstant();
            Instant ends = begins.plus(lasts.get());
            if (!begins.isBefore(within.to())) {
                return;
            }
            if (ends.isAfter(within.from())) {
                taken.add(new Workload.Hours(begins, ends));
            }
        }
    }

    /** How long an event takes; empty where it takes no time, or is away for weeks. */
    private static Optional<Duration> lasts(VEvent event) {
        Instant begins = event.getDateStart().getValue().toInstant();
        Duration lasts = event.getDateEnd() != null && event.getDateEnd().getValue() != null
                ? Duration.between(begins, event.getDateEnd().getValue().toInstant())
                : event.getDuration() != null && event.getDuration().getValue() != null
                        ? Duration.ofMillis(event.getDuration().getValue().toMillis())
                : Duration.ZERO;
        return Optional.of(lasts).filter(d -> !d.isNegative() && !d.isZero() && d.compareTo(LONGEST) <= 0);
    }

    private static List<Workload.Hours> joined(List<Workload.Hours> taken) {
        taken.sort(Comparator.comparing(Workload.Hours::from));
        List<Workload.Hours> joined = new ArrayList<>();
        for (Workload.Hours each : taken) {
            Workload.Hours last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
            if (last != null && !each.from().isAfter(last.to())) {
                joined.set(joined.size() - 1, new Workload.Hours(last.from(), each.to().isAfter(last.to()) ? each.to() : last.to()));
            } else {
                joined.add(each);
            }
        }
        return joined;
    }
}
