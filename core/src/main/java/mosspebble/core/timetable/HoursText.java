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
        if (text.length() > MOST_LETTERS) {
            throw new IllegalArgumentException("The hours of a week take fewer than " + MOST_LETTERS + " letters.");
        }
        Map<DayOfWeek, List<LocalTime[]>> week = new TreeMap<>();
        for (String part : text.split("[,;\\n]")) {
            if (!part.isBlank()) {
                read(part.strip().toLowerCase(Locale.ROOT), week);
            }
        }
        List<Workload.Hours> hours = new ArrayList<>();
        for (int day = 0; day < 7; day++) {
            LocalDate date = from.plusDays(day);
            for (LocalTime[] each : week.getOrDefault(date.getDayOfWeek(), List.of())) {
                ZonedDateTime end = each[1].equals(LocalTime.MIDNIGHT) ? date.plusDays(1).atStartOfDay(zone)
                        : date.atTime(each[1]).atZone(zone);
                hours.add(new Workload.Hours(date.atTime(each[0]).atZone(zone).toInstant(), end.toInstant()));
            }
        }
        hours.sort(Comparator.comparing(Workload.Hours::from));
        return hours;
    }

    private static void read(String part, Map<DayOfWeek, List<LocalTime[]>> week) {
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
        for (DayOfWeek day = first;; day = day.plus(1)) {
            week.computeIfAbsent(day, d -> new ArrayList<>()).add(new LocalTime[] {begins, ends});
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
