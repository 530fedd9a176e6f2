package mosspebble.core.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mosspebble.core.colour.Mix;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Room;
import mosspebble.core.timetable.Learned;
import mosspebble.core.supplies.Puddle;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Numbers;

/** The plans of several stones as one workload: each keeps its own order, the hand goes from one to the other while paint dries. */
public final class ManyStones {

    /**
     * All the work on all of them.
     *
     * @param due by id of the project
     * @throws IllegalArgumentException if it cannot be planned, a sentence: no sitting, one over another, none long enough
     */
    public static Workload workload(List<PaintPlan> plans, List<Workload.Hours> hours, Instant from, Map<String, Instant> due) {
        return new ManyStones(Diary.USUAL, new Room(Climate.room()), from, ZoneOffset.UTC).workload(plans, hours, due);
    }

    /**
     * What is left to do by the diary: without what is done, within its hours, what is pinned in its sitting, what waits for another stone
     * or a day behind that. A stone that rests is left out, and so is one that waits for it, and what was done on a stone but is in its
     * plan no more.
     *
     * @throws IllegalArgumentException if it cannot be planned, a sentence
     */
    public static Workload workload(List<PaintPlan> plans, Diary diary, Instant from, ZoneId zone) {
        return workload(plans, diary, new Room(Climate.room()), from, zone);
    }

    /** The same in a room that is not every day as usual. */
    public static Workload workload(List<PaintPlan> plans, Diary diary, Room room, Instant from, ZoneId zone) {
        Map<String, Instant> due = new TreeMap<>();
        diary.due().forEach((stone, at) -> due.put(stone, at.atZone(zone).toInstant()));
        Set<String> out = leftOut(plans, diary);
        return new ManyStones(diary, room, from, zone).workload(plans.stream().filter(p -> !out.contains(p.project().id()))
                .toList(), diary.hours(from.atZone(zone).toLocalDate(), zone), due);
    }

    /** Ids of the stones that are not planned: those that rest, and those that wait for one that rests before it is painted. */
    public static Set<String> leftOut(List<PaintPlan> plans, Diary diary) {
        Set<String> out = new TreeSet<>(diary.resting());
        Map<String, PaintPlan> known = new TreeMap<>();
        plans.forEach(p -> known.put(p.project().id(), p));
        for (boolean more = true; more;) {
            more = false;
            for (String stone : known.keySet()) {
                Optional<PaintPlan> behind = out.contains(stone) ? Optional.empty()
                        : diary.terms(stone).after().filter(out::contains).map(known::get);
                more |= behind.filter(other -> isUnpainted(other, diary)).isPresent() && out.add(stone);
            }
        }
        return out;
    }

    private static boolean isUnpainted(PaintPlan plan, Diary diary) {
        DoneSteps done = new DoneSteps(plan, diary);
        return IntStream.range(0, plan.steps().size()).filter(i -> !(plan.steps().get(i) instanceof Step.Seal))
                .anyMatch(i -> !done.done(i));
    }

    /** Where sprayed stones stand until they can be touched. A lamp is held over the stone by the hand, and so in nobody's way. */
    static final String SPRAY = "spray";

    /** Whether it depends on the room how long a step takes until another may follow: what dries by itself. */
    public static boolean driesInAir(PaintPlan plan, Step step) {
        return formsFilm(step) && !plan.project().habits().dryer();
    }

    /** Whether it lays what turns into a film by losing its water, for which it must be warm enough, dryer or not. */
    public static boolean formsFilm(Step step) {
        return step instanceof Step.Lay lay && lay.layers().stream().noneMatch(l -> lay.share(l).setsByItself());
    }

    /** Whether it is told of a sitting that it is so cold there that paint forms no film. */
    public static boolean isTooCold(Room room, LocalDateTime sitting) {
        return room.isToldApart(sitting) && room.in(sitting).temperature().value() < Drying.COLDEST;
    }

    private static Optional<Workload.Stay> stay(Step step) {
        return step instanceof Step.Seal seal && seal.advice().kind().isLaidInTheOpen()
                ? Optional.of(new Workload.Stay(SPRAY, step.work().touch())) : Optional.empty();
    }

    /** In how many parts with waits between them a step is done. */
    public static int parts(Step step) {
        return step.work().between().isZero() ? 1 : Math.max(2, step.coats());
    }

    private final Diary diary;
    private final Room room;
    private final Instant from;
    private final ZoneId zone;
    private final Map<Integer, Workload.Stay> stays = new TreeMap<>();
    /** What needs warmth and is not pinned: who pins it to a cold sitting warms the room. */
    private final Set<Integer> warm = new TreeSet<>();
    private final Map<Integer, Map<String, Duration>> mixing = new TreeMap<>();
    private final List<Used> used = new ArrayList<>();
    private final List<Workload.Piece> pieces = new ArrayList<>();
    private final List<Workload.Wait> waits = new ArrayList<>();
    private final Map<String, Instant> drying = new TreeMap<>();
    private final Map<String, Learned> hands = new TreeMap<>();
    private final Map<String, Learned> loads = new TreeMap<>();
    private final Map<String, List<Painted>> painted = new TreeMap<>();
    private final Map<String, List<Integer>> begins = new TreeMap<>();

    private ManyStones(Diary diary, Room room, Instant from, ZoneId zone) {
        this.diary = diary;
        this.room = room;
        this.from = from;
        this.zone = zone;
    }

    private Workload workload(List<PaintPlan> plans, List<Workload.Hours> hours, Map<String, Instant> due) {
        plans.forEach(this::add);
        plans.forEach(this::waiting);
        Map<Instant, Double> slower = new TreeMap<>();
        hours.forEach(h -> slower.put(h.from(), room.slower(sitting(h.from()))));
        slower.values().removeIf(times -> times == 1);
        Set<Instant> cold = hours.stream().filter(h -> isTooCold(room, sitting(h.from()))).map(Workload.Hours::from)
                .collect(Collectors.toSet());
        return new Workload(pieces, waits, hours, from, due, drying,
                new Workload.Shared(Map.of(SPRAY, room.sprayed()), stays, slower, new Workload.Cold(warm, cold),
                        new Workload.Mixing(Puddle.KEPT, mixing, damp())));
    }

    /** When something was done for which mixes were on the palette. */
    private record Used(Instant from, List<Mix> mixes) {}

    /** What is damp on the palette by what was done, and until when. */
    private Map<String, Instant> damp() {
        Map<String, Instant> damp = new TreeMap<>();
        used.stream().sorted(Comparator.comparing(Used::from)).forEach(u -> u.mixes.forEach(
                m -> damp.merge(name(m), u.from.plus(Puddle.KEPT), (known, now) -> known.isBefore(u.from) ? now : known)));
        damp.values().removeIf(until -> until.isBefore(from));
        return damp;
    }

    /** A mix as it is named in a workload: the same recipe is the same mix, on whichever stone. */
    public static String name(Mix mix) {
        return mix.parts().stream().map(p -> p.parts() + " " + p.paint()).sorted().collect(Collectors.joining(", "));
    }

    /** The end of a part of a step: as a piece still to be done, or a moment. */
    private record End(int piece, Instant done) {}

    /**
     * What is done last on a stone before it is sealed.
     *
     * @param dries how long that takes then
     */
    private record Painted(End end, Duration dries, boolean inAir) {}

    /** Puts a stone behind what it waits for; what is in hand already waits for nothing. */
    private void waiting(PaintPlan plan) {
        String id = plan.project().id();
        Diary.Terms terms = diary.terms(id);
        for (int piece : begins.getOrDefault(id, List.of())) {
            terms.after().ifPresent(other -> painted.getOrDefault(other, List.of())
                    .forEach(p -> follow(p.end, piece, p.dries, Optional.empty(), p.inAir)));
            terms.from().ifPresent(day -> {
                Workload.Piece known = pieces.get(piece);
                pieces.set(piece, known.within(known.when().after(day.atZone(zone).toInstant())));
            });
        }
    }

    private void add(PaintPlan plan) {
        String id = plan.project().id();
        List<String> names = plan.names();
        DoneSteps done = new DoneSteps(plan, diary);
        End[] last = new End[names.size()];
        End before = null;
        int[] first = new int[last.length];
        Arrays.fill(first, -1);
        Set<Mix> known = new HashSet<>();
        for (int number = 0; number < last.length; number++) {
            Step step = plan.steps().get(number);
            if (step instanceof Step.Earlier) {
                continue; // it is done, and nothing waits for it
            }
            List<Mix> mixes = step instanceof Step.Lay lay ? lay.mixes() : List.of();
            Duration anew = BuildUp.SAVED.multipliedBy(mixes.stream().filter(m -> !known.add(m)).count());
            int parts = parts(step);
            Workload.Window pinned = diary.pin(id, names.get(number)).flatMap(this::window).orElse(Workload.Window.ANY);
            for (int part = 0; part < parts; part++) {
                boolean end = part == parts - 1;
                Duration dries = end ? dries(step).of(step.work().dries()) : Duration.ZERO;
                Optional<Diary.Deed> deed = done.done(number, part);
                if (deed.isPresent()) {
                    before = new End(-1, deed.get().to());
                    used.add(new Used(deed.get().from(), mixes));
                    drying.merge(id, deed.get().to().plus(dries), (a, b) -> a.isAfter(b) ? a : b);
                    continue;
                }
                int piece = pieces.size();
                first[number] = part == 0 ? piece : first[number];
                Duration hand = hand(step).of(step.work().hand().dividedBy(parts).plus(anew));
                pieces.add(new Workload.Piece(id, number, part, hand, dries, load(step), tool(step), pinned));
                if (!mixes.isEmpty()) {
                    Duration saved = hand(step).of(BuildUp.SAVED);
                    mixing.put(piece, mixes.stream().collect(Collectors.toMap(ManyStones::name, m -> saved, (one, same) -> one)));
                }
                stay(step).ifPresent(stay -> stays.put(piece, stay));
                if (pinned == Workload.Window.ANY && (formsFilm(step) || step instanceof Step.Seal)) {
                    warm.add(piece);
                }
                if (before != null) {
                    follow(before, piece, part > 0 ? dries(step).of(step.work().between().dividedBy(parts - 1)) : Duration.ZERO,
                            Optional.empty(), driesInAir(plan, step));
                }
                if (part == 0) {
                    for (Step.After after : step.after()) {
                        Step waitedFor = plan.steps().get(after.step());
                        follow(last[after.step()], piece, dries(waitedFor).of(after.lag(waitedFor)), waitedFor.lapses(step),
                                driesInAir(plan, waitedFor));
                    }
                }
                before = new End(piece, null);
            }
            last[number] = before;
        }
        begins.put(id, begins(plan, first));
        painted.put(id, painted(plan, last));
    }

    /**
     * The pieces with which pencil and paint begin; none once they have begun.
     *
     * @param first the first piece of each step, -1 if that is done
     */
    private static List<Integer> begins(PaintPlan plan, int[] first) {
        List<Integer> begins = new ArrayList<>();
        for (int number = 0; number < first.length; number++) {
            Step step = plan.steps().get(number);
            if (!(step instanceof Step.Prepare || step instanceof Step.Earlier)) {
                if (first[number] < 0) {
                    return List.of();
                }
                if (step.after().stream().allMatch(a -> plan.steps().get(a.step()) instanceof Step.Prepare)) {
                    begins.add(first[number]);
                }
            }
        }
        return begins;
    }

    /** What nothing follows but the seal. */
    private List<Painted> painted(PaintPlan plan, End[] last) {
        Set<Integer> followed = new HashSet<>();
        List<Painted> painted = new ArrayList<>();
        for (int number = last.length - 1; number >= 0; number--) {
            Step step = plan.steps().get(number);
            if (!(step instanceof Step.Seal || step instanceof Step.Earlier)) {
                if (!followed.contains(number)) {
                    painted.add(new Painted(last[number], dries(step).of(step.work().dries()), driesInAir(plan, step)));
                }
                step.after().forEach(a -> followed.add(a.step()));
            }
        }
        return painted;
    }

    /** @param most what lies below lapses after so long */
    private void follow(End before, int piece, Duration lag, Optional<Duration> most, boolean inAir) {
        Optional<Duration> longest = most.map(m -> m.compareTo(lag) < 0 ? lag : m);
        if (before.piece >= 0) {
            waits.add(new Workload.Wait(before.piece, piece, lag, longest, inAir));
        } else {
            Workload.Piece known = pieces.get(piece);
            Workload.Window when = known.when().after(before.done.plus(inAir ? room.wait(lag, sitting(before.done)) : lag));
            pieces.set(piece, known.within(longest.map(m -> when.by(before.done.plus(m).plus(known.hand()))).orElse(when)));
        }
    }

    /** The sitting of a moment; the moment itself outside of any. */
    private LocalDateTime sitting(Instant at) {
        LocalDateTime moment = at.atZone(zone).toLocalDateTime();
        return diary.sitting(moment).orElse(moment);
    }

    /** The time of a pin's sitting; none where it is over, or there is no such sitting any more. */
    private Optional<Workload.Window> window(Diary.Pin pin) {
        Instant begins = pin.sitting().atZone(zone).toInstant();
        return diary.on(pin.sitting().toLocalDate()).stream().filter(s -> s.from().equals(pin.sitting().toLocalTime())).findFirst()
                .map(s -> begins.plus(s.length())).filter(end -> end.isAfter(from))
                .map(end -> new Workload.Window(Optional.of(begins), Optional.of(end)));
    }

    private Learned hand(Step step) {
        return hands.computeIfAbsent(work(step), diary::hand);
    }

    private Learned dries(Step step) {
        return loads.computeIfAbsent(load(step), diary::dries);
    }

    /** What kind of work a step is, by which times of the hand are compared: what is done with which tool. */
    public static String work(Step step) {
        return step.kind() + " "
                + (step instanceof Step.Lay lay ? lay.tool().kind().name() : step instanceof Step.Prepare ? step.key() : "");
    }

    /** What is laid, by which drying times are compared: paint or mix, or else the kind of step. */
    public static String load(Step step) {
        return step.layer().map(l -> l.load().coat().name()).orElse(step.kind().name());
    }

    private static String tool(Step step) {
        return step instanceof Step.Lay lay ? lay.tool().kind() + " " + Numbers.shortText(lay.tool().mm()) : step.kind().name();
    }
}
