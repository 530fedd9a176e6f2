package mosspebble.core.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Room;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;

/** What would make stones ready in time that are late by a timetable: of each kind of way the least that helps most. */
public final class InTime {

    /** A way, and how many stones are late then. */
    public record Way(Means means, int late) {}

    /** What is done about it. */
    public sealed interface Means {
        /** A sitting lasts longer. */
        record Longer(LocalDate date, Span was, Span becomes) implements Means {}

        /** A stone is dried with the dryer. */
        record Dryer(String stone) implements Means {}

        /** A stone waits for nothing. */
        record AtOnce(String stone) implements Means {}

        /** One more sitting. */
        record Extra(LocalDate date, Span span) implements Means {}

        /** A stone may be ready later. */
        record Later(String stone, LocalDateTime due) implements Means {}

        /** A stone is left out. */
        record LeftOut(String stone) implements Means {}
    }

    private static final List<Duration> LONGER = List.of(Duration.ofMinutes(30), Duration.ofMinutes(60));
    private static final Span EVENING = new Span(LocalTime.of(19, 0), LocalTime.of(21, 0));
    private static final int MOST_DAYS = 21;

    private final List<PaintPlan> plans;
    private final Map<String, PaintPlan> dried;
    private final Diary diary;
    private final Room room;
    private final Timetable now;
    private final ZoneId zone;
    private final BooleanSupplier unwanted;

    /**
     * @param dried the plans of stones as they would be with the dryer, by id
     * @param now the timetable by which some are late
     * @param unwanted asked on the way; nothing more is tried once it is true
     */
    public InTime(List<PaintPlan> plans, Map<String, PaintPlan> dried, Diary diary, Room room, Timetable now, ZoneId zone,
            BooleanSupplier unwanted) {
        this.plans = plans;
        this.dried = dried;
        this.diary = diary;
        this.room = room;
        this.now = now;
        this.zone = zone;
        this.unwanted = unwanted;
    }

    /** In the order of what it costs the painter; empty where none is late or nothing helps. */
    public List<Way> ways() {
        List<String> late = now.ready().values().stream().filter(r -> !r.late().isZero()).map(Timetable.Ready::stone).toList();
        if (late.isEmpty()) {
            return List.of();
        }
        LocalDate from = now.of().from().atZone(zone).toLocalDate();
        Instant last = late.stream().map(s -> now.of().due().get(s)).max(Comparator.naturalOrder()).orElseThrow();
        List<LocalDate> days = Stream.iterate(from, d -> d.plusDays(1)).limit(MOST_DAYS)
                .takeWhile(d -> !d.isAfter(last.atZone(zone).toLocalDate())).toList();
        List<Way> ways = new ArrayList<>();
        Set<String> out = ManyStones.leftOut(plans, diary);
        for (Duration more : LONGER) {
            if (ways.isEmpty()) {
                best(days.stream().flatMap(d -> longer(d, more)), late.size()).ifPresent(ways::add);
            }
        }
        best(late.stream().filter(dried::containsKey).map(Means.Dryer::new), late.size()).ifPresent(ways::add);
        best(plans.stream().map(p -> p.project().id()).filter(id -> !diary.withFrom(id, Optional.empty()).equals(diary))
                .map(Means.AtOnce::new), late.size()).ifPresent(ways::add);
        best(days.stream().filter(d -> diary.on(d).isEmpty()).map(d -> new Means.Extra(d, EVENING)), late.size()).ifPresent(ways::add);
        best(late.stream().map(s -> new Means.Later(s, whole(now.ready().get(s).at()))), late.size()).ifPresent(ways::add);
        best(plans.stream().map(p -> p.project().id()).filter(id -> !out.contains(id)).sorted(
                Comparator.comparing(diary.due()::containsKey)).map(Means.LeftOut::new), late.size()).ifPresent(ways::add);
        return ways;
    }

    /** The next full hour by the clock on the wall. */
    private LocalDateTime whole(Instant at) {
        LocalDateTime hour = at.atZone(zone).toLocalDateTime().truncatedTo(ChronoUnit.HOURS);
        return hour.atZone(zone).toInstant().equals(at) ? hour : hour.plusHours(1);
    }

    private Stream<Means> longer(LocalDate date, Duration more) {
        List<Span> spans = diary.on(date);
        return spans.stream().filter(s -> !s.to().equals(LocalTime.MIDNIGHT) && s.to().plus(more).isAfter(s.to()))
                .map(s -> new Span(s.from(), s.to().plus(more))).filter(s -> spans.stream().filter(s::overlaps).count() == 1)
                .map(s -> new Means.Longer(date, spans.stream().filter(s::overlaps).findFirst().orElseThrow(), s));
    }

    /** The first of those after which the fewest are late. */
    private Optional<Way> best(Stream<? extends Means> means, int lateNow) {
        return means.takeWhile(m -> !unwanted.getAsBoolean()).map(m -> new Way(m, late(m))).filter(w -> w.late < lateNow)
                .min(Comparator.comparingInt(Way::late));
    }

    private int late(Means means) {
        try {
            List<PaintPlan> with = means instanceof Means.Dryer dryer
                    ? plans.stream().map(p -> p.project().id().equals(dryer.stone) ? dried.get(dryer.stone) : p).toList() : plans;
            Workload workload = ManyStones.workload(with, changed(diary, means), room, now.of().from(), zone);
            return Stream.concat(Stream.of(Timetable.quick(workload)), now.goingOnAsItIs(workload).stream())
                    .mapToInt(t -> (int) t.ready().values().stream().filter(r -> !r.late().isZero()).count()).min().orElseThrow();
        } catch (IllegalArgumentException e) {
            return Integer.MAX_VALUE; // no timetable at all
        }
    }

    /** A diary after that, which may have changed since it was found. */
    public static Diary changed(Diary diary, Means means) {
        if (means instanceof Means.Longer longer) {
            return diary.withDay(longer.date,
                    diary.on(longer.date).stream().map(s -> s.equals(longer.was) ? longer.becomes : s).toList());
        }
        if (means instanceof Means.Extra extra) {
            return diary.withDay(extra.date, List.of(extra.span));
        }
        if (means instanceof Means.Later later) {
            return diary.withDue(later.stone, Optional.of(later.due));
        }
        if (means instanceof Means.AtOnce once) {
            return diary.withFrom(once.stone, Optional.empty());
        }
        return means instanceof Means.LeftOut out ? diary.withResting(out.stone, true) : diary;
    }
}
