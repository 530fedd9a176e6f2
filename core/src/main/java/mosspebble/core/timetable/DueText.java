package mosspebble.core.timetable;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A day, and perhaps a time, as one types it: "Sunday", "Sun 12:00", "6 Dec", "Sun 6 Dec 2026, 12:00", "2026-12-06 12:00". */
public final class DueText {

    private static final int MOST_LETTERS = 60;
    private static final LocalTime NOON = LocalTime.of(12, 0);
    private static final Pattern TIME = Pattern.compile("[,\\s]*(?:at\\s+)?\\b(\\d{1,2})[:.](\\d{2})$");
    private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})t?");
    private static final Pattern DAY_MONTH = Pattern
            .compile("(?:([a-z]{2,9})\\.?,?\\s+)?(\\d{1,2})\\.?\\s*([a-z]{3,9})\\.?(?:\\s+(\\d{4}))?");
    private static final String[] MONTHS = {"january", "february", "march", "april", "may", "june", "july", "august", "september",
        "october", "november", "december"};

    private DueText() {}

    /**
     * What is meant, noon where no time is given; a weekday is the next one, a day without a year the next one.
     *
     * @return empty for an empty text
     * @throws IllegalArgumentException with a sentence if it cannot be read
     */
    public static Optional<LocalDateTime> parse(String text, LocalDateTime now) {
        String rest = text.strip().toLowerCase(Locale.ROOT);
        if (rest.isEmpty()) {
            return Optional.empty();
        }
        if (rest.length() > MOST_LETTERS) {
            throw unread(text);
        }
        try {
            LocalTime at = NOON;
            Matcher time = TIME.matcher(rest.replace("t", "t "));
            String day = rest;
            if (time.find()) {
                at = LocalTime.of(Integer.parseInt(time.group(1)), Integer.parseInt(time.group(2)));
                day = rest.replace("t", "t ").substring(0, time.start()).replace("t ", "t").strip();
            }
            return Optional.of(day(day.replaceAll("[,\\s]+$", ""), at, now).atTime(at));
        } catch (DateTimeException e) {
            throw unread(text);
        }
    }

    private static LocalDate day(String text, LocalTime at, LocalDateTime now) {
        LocalDate today = now.toLocalDate();
        if (text.isEmpty() || text.equals("today")) {
            return today;
        }
        if (text.equals("tomorrow")) {
            return today.plusDays(1);
        }
        Matcher iso = ISO.matcher(text);
        if (iso.matches()) {
            return LocalDate.of(Integer.parseInt(iso.group(1)), Integer.parseInt(iso.group(2)), Integer.parseInt(iso.group(3)));
        }
        Matcher named = DAY_MONTH.matcher(text);
        if (named.matches()) {
            int month = 1 + month(named.group(3));
            int dayOfMonth = Integer.parseInt(named.group(2));
            LocalDate date = LocalDate.of(named.group(4) == null ? today.getYear() : Integer.parseInt(named.group(4)), month, dayOfMonth);
            return named.group(4) == null && date.isBefore(today) ? date.plusYears(1) : date;
        }
        DayOfWeek wanted = Arrays.stream(DayOfWeek.values())
                .filter(d -> text.length() >= 2 && d.name().toLowerCase(Locale.ROOT).startsWith(text)).findFirst()
                .orElseThrow(() -> new DateTimeException(text));
        LocalDate date = today;
        while (date.getDayOfWeek() != wanted || !date.atTime(at).isAfter(now)) {
            date = date.plusDays(1);
        }
        return date;
    }

    private static int month(String name) {
        for (int i = 0; i < MONTHS.length; i++) {
            if (MONTHS[i].startsWith(name)) {
                return i;
            }
        }
        throw new DateTimeException(name);
    }

    private static IllegalArgumentException unread(String text) {
        return new IllegalArgumentException("\"" + text.strip() + "\" is no day. Write something like Sunday, 6 Dec 12:00, or 2026-12-06.");
    }
}
