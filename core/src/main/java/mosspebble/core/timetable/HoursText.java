package mosspebble.core.timetable;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Sittings of a week as one types them: "Mon-Fri 19:00-21:00, Sat 14-18". */
public final class HoursText {

    private static final int MOST_LETTERS = 2_000;
    private static final Pattern PART = Pattern
            .compile("([a-z]{2,9})\\.?(?:\\s*(?:-|–|to)\\s*([a-z]{2,9})\\.?)?\\s+(\\d{1,2})(?:[:.](\\d{2}))?\\s*(?:-|–|to)\\s*"
                    + "(\\d{1,2})(?:[:.](\\d{2}))?");

    private HoursText() {}

    /**
     * The sittings of the week that begins on a day.
     *
     * @param from the first day
     * @return in order; a day on which clocks are changed has the hours its clock shows
     * @throws IllegalArgumentException with a sentence that names what cannot be read
     */
    public static List<Workload.Hours> parse(String text, LocalDate from, ZoneId zone) {
        Map<DayOfWeek, List<Span>> week = week(text);
        List<Workload.Hours> hours = new ArrayList<>();
        for (int day = 0; day < 7; day++) {
            hours.addAll(on(from.plusDays(day), week.getOrDefault(from.plusDays(day).getDayOfWeek(), List.of()), zone));
        }
        hours.sort(Comparator.comparing(Workload.Hours::from));
        return hours;
    }

    /** Spans of a day as sittings; one that the change of clocks leaves nothing of is left out. */
    public static List<Workload.Hours> on(LocalDate date, List<Span> spans, ZoneId zone) {
        List<Workload.Hours> hours = new ArrayList<>();
        for (Span each : spans) {
            ZonedDateTime end = each.to().equals(LocalTime.MIDNIGHT) ? date.plusDays(1).atStartOfDay(zone)
                    : date.atTime(each.to()).atZone(zone);
            ZonedDateTime begin = date.atTime(each.from()).atZone(zone);
            if (begin.isBefore(end)) {
                hours.add(new Workload.Hours(begin.toInstant(), end.toInstant()));
            }
        }
        return hours;
    }

    /**
     * The sittings of each day of a week, in their order.
     *
     * @throws IllegalArgumentException with a sentence that names what cannot be read, or which overlap
     */
    public static Map<DayOfWeek, List<Span>> week(String text) {
        if (text.length() > MOST_LETTERS) {
            throw new IllegalArgumentException("The hours of a week take at most " + MOST_LETTERS + " letters.");
        }
        Map<DayOfWeek, List<Span>> week = new TreeMap<>();
        for (String part : text.split("[,;\\n]")) {
            if (!part.isBlank()) {
                read(part.strip().toLowerCase(Locale.ROOT), week);
            }
        }
        week.values().forEach(day -> day.sort(Comparator.comparing(Span::from)));
        return week;
    }

    private static void read(String part, Map<DayOfWeek, List<Span>> week) {
        Matcher found = PART.matcher(part);
        if (!found.matches()) {
            throw new IllegalArgumentException("\"" + part + "\" is no time of a week. Write something like Mon-Fri 19:00-21:00.");
        }
        DayOfWeek first = day(found.group(1));
        DayOfWeek last = found.group(2) == null ? first : day(found.group(2));
        LocalTime begins = time(found.group(3), found.group(4), part);
        LocalTime ends = time(found.group(5), found.group(6), part);
        if (!begins.isBefore(ends) && !ends.equals(LocalTime.MIDNIGHT)) {
            throw new IllegalArgumentException("\"" + part + "\" ends before it begins. Write a sitting over midnight as two.");
        }
        Span span = new Span(begins, ends);
        for (DayOfWeek day = first;; day = day.plus(1)) {
            List<Span> spans = week.computeIfAbsent(day, d -> new ArrayList<>());
            spans.stream().filter(span::overlaps).findFirst().ifPresent(other -> {
                throw new IllegalArgumentException("\"" + part + "\" overlaps the sitting from " + other.from() + " to " + other.to()
                        + " on the same day.");
            });
            spans.add(span);
            if (day == last) {
                break;
            }
        }
    }

    private static DayOfWeek day(String name) {
        return Arrays.stream(DayOfWeek.values()).filter(d -> d.name().toLowerCase(Locale.ROOT).startsWith(name)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("\"" + name + "\" is no day. Write Mon, Tue, Wed, Thu, Fri, Sat or Sun."));
    }

    private static LocalTime time(String hour, String minute, String part) {
        try {
            int h = Integer.parseInt(hour);
            int m = minute == null ? 0 : Integer.parseInt(minute);
            return h == 24 && m == 0 ? LocalTime.MIDNIGHT : LocalTime.of(h, m);
        } catch (DateTimeException e) {
            throw new IllegalArgumentException("\"" + part + "\" has no time of day. Hours go from 0 to 24, minutes to 59.", e);
        }
    }
}
