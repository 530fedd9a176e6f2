package mosspebble.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mosspebble.core.timetable.HoursText;
import mosspebble.core.timetable.Learned;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Workload;

/**
 * When the painter sits at the table, what should be ready when, and what is done already.
 *
 * @param week the usual sittings, as {@link HoursText} reads them
 * @param days days whose sittings are others, none twice
 * @param terms what is wanted of single stones, by their ids; those of which nothing is wanted are not in it
 * @param pins what is to be done in a certain sitting, whatever else
 * @param deeds what was done, in its order
 * @param dryings how long paint took to dry where the painter told
 * @param taken times in which the painter is elsewhere, in order, none over another
 * @param laid where the paint of what was done lies, while it may still be asked for
 */
@RecordBuilder
public record Diary(String week, List<Day> days, Map<String, Terms> terms, List<Pin> pins, List<Deed> deeds, List<Drying> dryings,
        List<Workload.Hours> taken, List<Laid> laid) implements DiaryBuilder.With {

    /** Most deeds kept: some 600 stones. */
    public static final int MOST_DEEDS = 20_000;

    /** Most times that are taken. */
    public static final int MOST_TAKEN = 2_000;

    /** A rest of a sitting shorter than that is none. */
    private static final Duration LEAST_SITTING = Duration.ofMinutes(15);

    /** What is done quicker was ticked off, not timed. */
    private static final long LEAST_SECONDS = 10;

    /** Most films of which it is kept where they lie: those of some 25 stones in hand. */
    private static final int MOST_LAID = 800;

    /** Begins the name of a step of earlier, which is in no plan any more. */
    public static final String EARLIER = "EARLIER ";

    /** Within the name of a step that makes the stone ready. */
    private static final String PREPARING = " PREPARE ";

    private static final int MOST_DAYS = 400;
    private static final int MOST_PINS = 500;
    private static final int WEEKS = 4;

    /** Evenings and afternoons at the end of the week, nothing done. */
    public static final Diary USUAL = new Diary("Mon-Fri 19:00-21:00, Sat-Sun 14:00-18:00", List.of(), Map.of(), List.of(),
            List.of(), List.of(), List.of(), List.of());

    /** The sittings of one day. */
    public record Day(LocalDate date, List<Span> spans) {
        public Day {
            spans = spans.stream().sorted(Comparator.comparing(Span::from)).toList();
            for (int i = 1; i < spans.size(); i++) {
                if (spans.get(i).overlaps(spans.get(i - 1))) {
                    throw new IllegalArgumentException("Two sittings of one day overlap: one lasts to " + spans.get(i - 1).to()
                            + ", the next begins at " + spans.get(i).from() + ".");
                }
            }
        }
    }

    /**
     * What is wanted of a stone.
     *
     * @param due when it should be ready
     * @param from it is not pencilled or painted before
     * @param after id of the stone that must be painted and dry before this one is pencilled or painted, such as one to practise on
     * @param rests whether it is left out for now
     */
    public record Terms(Optional<LocalDateTime> due, Optional<LocalDateTime> from, Optional<String> after, boolean rests) {
        public static final Terms NONE = new Terms(Optional.empty(), Optional.empty(), Optional.empty(), false);
    }

    /**
     * A step of a stone that is to be done in a certain sitting.
     *
     * @param step its name, as the plan names it
     * @param sitting when that sitting begins
     */
    public record Pin(String stone, String step, LocalDateTime sitting) {}

    /**
     * Something done, or found to be spoiled after it was done.
     *
     * @param step its name, as the plan names it
     * @param part which coat of the step, from 0
     * @param spoiled whether it is to be done again
     * @param work what kind of work it was, by which times are compared
     * @param usualSeconds what it takes as a rule; 0 where its time tells nothing
     */
    public record Deed(String stone, String step, int part, Instant from, Instant to, boolean spoiled, String work, long usualSeconds) {

        /** Without a time to learn from. */
        public Deed(String stone, String step, int part, Instant from, Instant to, boolean spoiled) {
            this(stone, step, part, from, to, spoiled, "", 0);
        }

        public Deed {
            if (to.isBefore(from) || part < 0) {
                throw new IllegalArgumentException("Something done ends after it began, not at " + to + " where it began at " + from + ".");
            }
        }

        private Duration took() {
            return Duration.between(from, to);
        }

        private boolean of(String otherStone, String otherStep, int otherPart) {
            return stone.equals(otherStone) && step.equals(otherStep) && part == otherPart;
        }
    }

    /**
     * Paint that a pass has laid.
     *
     * @param step its name, as the plan names it
     */
    public record Laid(String stone, String step, OldPaint paint) {}

    /**
     * How long a load took to dry.
     *
     * @param load its paint or mix
     * @param usualSeconds as a rule, above 0
     * @param seconds until the painter went on
     */
    public record Drying(String load, long usualSeconds, long seconds) {
        public Drying {
            if (usualSeconds <= 0 || seconds < 0) {
                throw new IllegalArgumentException("times must not be negative");
            }
        }
    }

    public Diary {
        HoursText.week(week);
        days = days.stream().sorted(Comparator.comparing(Day::date)).toList();
        Map<String, Terms> wanted = new TreeMap<>(terms);
        wanted.values().removeIf(Terms.NONE::equals);
        terms = Collections.unmodifiableMap(wanted);
        for (String stone : terms.keySet()) {
            if (ring(terms, stone)) {
                throw new IllegalArgumentException("Stones wait for each other in a ring: " + stone + " waits for itself in the end.");
            }
        }
        pins = List.copyOf(pins);
        deeds = List.copyOf(deeds);
        dryings = List.copyOf(dryings);
        laid = List.copyOf(laid);
        taken = taken.stream().sorted(Comparator.comparing(Workload.Hours::from)).toList();
        for (int i = 1; i < taken.size(); i++) {
            if (taken.get(i).from().isBefore(taken.get(i - 1).to())) {
                throw new IllegalArgumentException("Times that are taken must not overlap.");
            }
        }
        if (days.stream().map(Day::date).distinct().count() < days.size()) {
            throw new IllegalArgumentException("A day has its sittings once.");
        }
        if (days.size() > MOST_DAYS || pins.size() > MOST_PINS || deeds.size() > MOST_DEEDS
                || dryings.size() > MOST_DEEDS || taken.size() > MOST_TAKEN
                || laid.size() > MOST_LAID) {
            throw new IllegalArgumentException("A diary keeps " + MOST_DAYS + " days of their own, " + MOST_PINS + " pins and " + MOST_DEEDS
                    + " deeds at most.");
        }
    }

    // --- hours

    /** The sittings of a day in their order. */
    public List<Span> on(LocalDate date) {
        return days.stream().filter(d -> d.date.equals(date)).findFirst().map(Day::spans).orElseGet(() -> usual(date));
    }

    /** When the sitting of a moment begins: the last of its day that has begun by then; empty before the first. */
    public Optional<LocalDateTime> sitting(LocalDateTime moment) {
        return on(moment.toLocalDate()).stream().map(s -> moment.toLocalDate().atTime(s.from())).filter(b -> !b.isAfter(moment))
                .reduce((earlier, later) -> later);
    }

    private List<Span> usual(LocalDate date) {
        Map<DayOfWeek, List<Span>> usual = HoursText.week(week);
        return usual.getOrDefault(date.getDayOfWeek(), List.of());
    }

    /**
     * All sittings of four weeks from a day on, and of days beyond that have their own, less what is taken; those of a day the clock skips
     * are left out.
     */
    public List<Workload.Hours> hours(LocalDate from, ZoneId zone) {
        LocalDate end = days.isEmpty() ? from : days.get(days.size() - 1).date;
        long last = Math.max(7L * WEEKS, Math.min(MOST_DAYS, end.toEpochDay() - from.toEpochDay() + 1));
        List<Workload.Hours> hours = new ArrayList<>();
        for (int day = 0; day < last; day++) {
            HoursText.on(from.plusDays(day), on(from.plusDays(day)), zone).forEach(h -> free(h, hours));
        }
        return hours;
    }

    /** What is left of a sitting beside what is taken. */
    private void free(Workload.Hours sitting, List<Workload.Hours> into) {
        if (taken.stream().noneMatch(b -> b.to().isAfter(sitting.from()) && b.from().isBefore(sitting.to()))) {
            into.add(sitting);
            return;
        }
        Instant from = sitting.from();
        for (Workload.Hours busy : taken) {
            if (busy.to().isAfter(from) && busy.from().isBefore(sitting.to())) {
                left(from, busy.from(), into);
                from = busy.to();
            }
        }
        left(from, sitting.to(), into);
    }

    private static void left(Instant from, Instant to, List<Workload.Hours> into) {
        if (Duration.between(from, to).compareTo(LEAST_SITTING) >= 0) {
            into.add(new Workload.Hours(from, to));
        }
    }

    /** With other sittings on one day; those of the week again where they are the same. */
    public Diary withDay(LocalDate date, List<Span> spans) {
        List<Day> changed = new ArrayList<>(days.stream().filter(d -> !d.date.equals(date)).toList());
        Day day = new Day(date, spans);
        if (!day.spans.equals(usual(date))) {
            changed.add(day);
        }
        return withDays(changed);
    }

    // --- stones

    public Terms terms(String stone) {
        return terms.getOrDefault(stone, Terms.NONE);
    }

    /** When stones should be ready, by id. */
    public Map<String, LocalDateTime> due() {
        Map<String, LocalDateTime> due = new TreeMap<>();
        terms.forEach((stone, t) -> t.due.ifPresent(at -> due.put(stone, at)));
        return due;
    }

    /** Ids of stones that are left out for now. */
    public Set<String> resting() {
        return terms.entrySet().stream().filter(e -> e.getValue().rests).map(Map.Entry::getKey)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private Diary withTerms(String stone, Terms now) {
        Map<String, Terms> changed = new TreeMap<>(terms);
        changed.put(stone, now);
        return withTerms(changed);
    }

    public Diary withDue(String stone, Optional<LocalDateTime> when) {
        Terms t = terms(stone);
        return withTerms(stone, new Terms(when, t.from, t.after, t.rests));
    }

    /** With a stone left out, or taken in again. */
    public Diary withResting(String stone, boolean rests) {
        Terms t = terms(stone);
        return withTerms(stone, new Terms(t.due, t.from, t.after, rests));
    }

    /** With a stone that is not pencilled or painted before a moment; empty for at any time, for another stone too. */
    public Diary withFrom(String stone, Optional<LocalDateTime> from) {
        Terms t = terms(stone);
        return withTerms(stone, new Terms(t.due, from, Optional.empty(), t.rests));
    }

    /**
     * With a stone that waits until another is painted and dry, whatever day that is.
     *
     * @throws IllegalArgumentException if that one waits for this one
     */
    public Diary withAfter(String stone, String other) {
        Terms t = terms(stone);
        return withTerms(stone, new Terms(t.due, Optional.empty(), Optional.of(other), t.rests));
    }

    /** Whether a stone may wait for another: not for itself, nor for one that waits for it. */
    public boolean mayWait(String stone, String other) {
        Map<String, Terms> tried = new TreeMap<>(terms);
        tried.put(stone, new Terms(Optional.empty(), Optional.empty(), Optional.of(other), false));
        return !ring(tried, stone);
    }

    private static boolean ring(Map<String, Terms> terms, String stone) {
        String at = stone;
        for (int k = 0; k <= terms.size(); k++) {
            Optional<String> next = Optional.ofNullable(terms.get(at)).flatMap(Terms::after);
            if (next.isEmpty()) {
                return false;
            }
            at = next.get();
            if (at.equals(stone)) {
                return true;
            }
        }
        return false;
    }

    /** With other hours for one sitting of a day; what is pinned to it stays in it. */
    public Diary withHours(LocalDate date, Span was, Span now) {
        LocalDateTime begins = date.atTime(was.from());
        return withDay(date, on(date).stream().map(s -> s.equals(was) ? now : s).toList())
                .withPins(
                        pins.stream().map(p -> p.sitting.equals(begins) ? new Pin(p.stone, p.step, date.atTime(now.from())) : p).toList());
    }

    /** With a step in a certain sitting, or free again. */
    public Diary withPin(String stone, String step, Optional<LocalDateTime> sitting) {
        List<Pin> changed = new ArrayList<>(pins.stream().filter(p -> !p.stone.equals(stone) || !p.step.equals(step)).toList());
        sitting.ifPresent(at -> changed.add(new Pin(stone, step, at)));
        return withPins(changed);
    }

    public Optional<Pin> pin(String stone, String step) {
        return pins.stream().filter(p -> p.stone.equals(stone) && p.step.equals(step)).findFirst();
    }

    // --- what is done

    public Diary plus(Deed deed) {
        List<Deed> changed = new ArrayList<>(deeds);
        changed.add(deed);
        return withDeeds(changed);
    }

    /**
     * What passes that are done have laid on a stone, what was laid first before what lies over it.
     *
     * @param otherwise what a step lays of which it was not kept
     */
    public List<OldPaint> lying(String stone, Function<String, List<OldPaint>> otherwise) {
        Map<String, Deed> done = new LinkedHashMap<>();
        for (Deed deed : deeds) {
            if (deed.stone.equals(stone)) {
                done.remove(deed.step);
                if (!deed.spoiled) {
                    done.put(deed.step, deed);
                }
            }
        }
        Map<String, List<OldPaint>> known = laid.stream().filter(l -> l.stone.equals(stone))
                .collect(Collectors.groupingBy(Laid::step, Collectors.mapping(Laid::paint, Collectors.toList())));
        return done.keySet().stream().flatMap(s -> Optional.ofNullable(known.get(s)).orElseGet(() -> otherwise.apply(s)).stream()).toList();
    }

    /**
     * A stone is planned anew on what lies there: what was done to it is of earlier, but for how it was made ready. Its times still teach.
     */
    public Diary begunAnew(String stone) {
        return withDeeds(deeds.stream().map(d -> d.stone.equals(stone) && !d.step.contains(PREPARING) && !d.step.startsWith(EARLIER)
                ? new Deed(stone, EARLIER + d.step, d.part, d.from, d.to, d.spoiled, d.work, d.usualSeconds) : d).toList())
                .withoutLaid(stone)
                .withPins(pins.stream().filter(p -> !p.stone.equals(stone)).toList());
    }

    /** Without where the paint of a stone lies: it is sealed, and nobody paints on it. */
    public Diary withoutLaid(String stone) {
        return withLaid(laid.stream().filter(l -> !l.stone.equals(stone)).toList());
    }

    /** Whether something was done before a stone was planned anew. */
    public static boolean isOfEarlier(Deed deed) {
        return deed.step.startsWith(EARLIER);
    }

    /** With where the paint of a step lies now that it is done, in place of where it lay before; of too many the oldest are let go of. */
    public Diary withLaid(String stone, String step, List<OldPaint> paint) {
        List<Laid> changed = new ArrayList<>(laid.stream().filter(l -> !l.stone.equals(stone) || !l.step.equals(step)).toList());
        paint.forEach(p -> changed.add(new Laid(stone, step, p)));
        return withLaid(changed.subList(Math.max(0, changed.size() - MOST_LAID), changed.size()));
    }

    /** How a coat of a step was done last; empty if it is still to be done, or to be done again. */
    public Optional<Deed> done(String stone, String step, int part) {
        return last(d -> d.of(stone, step, part)).filter(d -> !d.spoiled);
    }

    /** What was done last on any stone, or found spoiled. */
    public Optional<Deed> last() {
        return last(d -> true);
    }

    private Optional<Deed> last(Predicate<Deed> which) {
        for (int i = deeds.size() - 1; i >= 0; i--) {
            if (which.test(deeds.get(i))) {
                return Optional.of(deeds.get(i));
            }
        }
        return Optional.empty();
    }

    /** Without what was done last, as if it had not been. */
    public Diary withoutLast() {
        return deeds.isEmpty() ? this : withDeeds(deeds.subList(0, deeds.size() - 1));
    }

    // --- what it teaches

    /** How long this painter takes for a kind of work. */
    public Learned hand(String work) {
        return Learned.of(deeds.stream().filter(d -> d.work.equals(work) && teaches(d))
                .map(d -> (double) d.took().toSeconds() / d.usualSeconds).toList());
    }

    private static boolean teaches(Deed deed) {
        return !deed.spoiled && deed.usualSeconds > 0 && deed.took().toSeconds() >= LEAST_SECONDS;
    }

    /** How long a load takes to dry for this painter. */
    public Learned dries(String load) {
        return Learned.of(dryings.stream().filter(d -> d.load.equals(load)).map(d -> Math.max(0.1, (double) d.seconds / d.usualSeconds))
                .toList());
    }

    /** Kinds of work of which enough is known. */
    public Map<String, Learned> hands() {
        Map<String, Learned> all = new TreeMap<>();
        deeds.stream().filter(Diary::teaches).map(Deed::work).distinct().forEach(w -> all.put(w, hand(w)));
        all.values().removeIf(l -> l.count() < Learned.LEAST);
        return all;
    }

    /** Loads of whose drying enough is known. */
    public Map<String, Learned> loads() {
        Map<String, Learned> all = new TreeMap<>();
        dryings.stream().map(Drying::load).distinct().forEach(l -> all.put(l, dries(l)));
        all.values().removeIf(l -> l.count() < Learned.LEAST);
        return all;
    }

    /** What its times teach of a kind of work or a load is forgotten; what was done stays done. */
    public Diary forgotten(String workOrLoad) {
        return withDeeds(deeds.stream().map(d -> d.work.equals(workOrLoad)
                ? new Deed(d.stone, d.step, d.part, d.from, d.to, d.spoiled, d.work, 0) : d).toList())
                .withDryings(dryings.stream().filter(d -> !d.load.equals(workOrLoad)).toList());
    }
}
