package mosspebble.core.words;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import mosspebble.core.blend.Share;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
import mosspebble.core.plan.InTime;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.SittingPage;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Room;
import mosspebble.core.project.Side;
import mosspebble.core.supplies.Amounts;
import mosspebble.core.supplies.Puddle;
import mosspebble.core.timetable.Durations;
import mosspebble.core.timetable.Learned;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;

/** What is said of a timetable. */
public final class TimetableWords {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
    private static final DateTimeFormatter DAY_SHORT = DateTimeFormatter.ofPattern("EEE d MMMM", Locale.ENGLISH);
    private static final DateTimeFormatter DUE = DateTimeFormatter.ofPattern("EEE d MMM yyyy, H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter SOON = DateTimeFormatter.ofPattern("EEE H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter LATER = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter WEEKDAY = DateTimeFormatter.ofPattern("EEE d", Locale.ENGLISH);
    private static final DateTimeFormatter SHORTEST = DateTimeFormatter.ofPattern("EEE d, H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter NEAR = DateTimeFormatter.ofPattern("EEEE H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter FAR = DateTimeFormatter.ofPattern("EEEE d MMMM, H:mm", Locale.ENGLISH);

    private static final int MOST_BROKEN = 3;
    private static final Map<String, String> WORK = Map.of("PREPARE", "Preparing", "PENCIL", "Pencilling", "PRIME", "Priming", "GROUND",
            "The ground", "FILL", "Filling", "SHADE", "Shading", "DETAIL", "Details", "OUTLINE", "Outlines", "HIGHLIGHT", "Highlights",
            "SEAL", "Sealing");

    /** Where the solver cannot be loaded. */
    public static final String WITHOUT_SOLVER = "The solver that proves more does not run on this machine; the plan is the best of the "
            + "program's own search.";

    private TimetableWords() {}

    /** "Sunday 11:20" within a week of the beginning, else with the date. */
    public static String moment(Instant at, Instant from, ZoneId zone) {
        return (Duration.between(from, at).compareTo(Duration.ofDays(6)) < 0 ? NEAR : FAR).format(at.atZone(zone));
    }

    /** What cannot be helped, and how near this comes to it. */
    public static String bound(Timetable table, ZoneId zone) {
        String here = moment(table.end(), table.of().from(), zone);
        return table.proven() ? "All are ready on " + here + "; sooner is not possible."
                : "All cannot be ready before " + moment(table.bound(), table.of().from(), zone) + "; this plan: " + here + ".";
    }

    /** How many sittings are used, and whether fewer could do. */
    public static String sittings(Timetable table) {
        String these = Words.upper(Words.number(table.sittings())) + (table.sittings() == 1 ? " sitting" : " sittings");
        return these + (table.sittings() <= table.fewest() ? ", the fewest there can be."
                : "; it takes " + Words.number(table.fewest()) + " at least.");
    }

    /** Headline of the room of one day. */
    public static String roomOn(LocalDate date) {
        return "The room on " + day(date);
    }

    /** "12 °C" */
    public static String degrees(Climate air) {
        return Numbers.text(air.temperature().value(), 0) + " °C";
    }

    /** What the room is like on a day, and what that makes of drying. */
    public static String room(Room room, LocalDate date) {
        boolean apart = room.days().containsKey(date);
        return apart ? apart(room.on(date), room.slower(date.atStartOfDay())) : "As usual: " + air(room.on(date)) + ".";
    }

    /** What it is like in one sitting of a day. */
    public static String room(Room room, LocalDateTime sitting) {
        boolean apart = room.isToldApart(sitting);
        return apart ? apart(room.in(sitting), room.slower(sitting)) : "As usual: " + air(room.in(sitting)) + ".";
    }

    private static String apart(Climate air, double slower) {
        String times = Numbers.text(slower, slower < 10 ? 1 : 0);
        return Words.upper(air(air)) + ": what is laid dries in "
                + (times.equals("1") ? "the usual time." : times + " times the usual time.")
                + (air.temperature().value() < Drying.COLDEST ? " Acrylics form no film below " + Numbers.text(Drying.COLDEST, 0) + " °C."
                        : "");
    }

    private static String air(Climate air) {
        return degrees(air) + " and " + Numbers.text(100 * air.humidity(), 0) + " % humidity";
    }

    /**
     * Sittings in which paint is laid where it is too cold for it; empty for none.
     *
     * @param plans by stone
     */
    public static Optional<String> tooCold(Timetable table, Map<String, PaintPlan> plans, Diary diary, Room room, ZoneId zone) {
        List<String> cold = table.placed().stream().filter(p -> {
            Workload.Piece piece = table.of().pieces().get(p.piece());
            PaintPlan plan = plans.get(piece.stone());
            return plan != null && ManyStones.formsFilm(plan.steps().get(piece.step()));
        }).map(p -> p.start().atZone(zone).toLocalDateTime()).map(m -> diary.sitting(m).orElse(m)).distinct()
                .filter(s -> ManyStones.isTooCold(room, s)).sorted().map(s -> sitting(room, s)).distinct().limit(MOST_BROKEN).toList();
        return cold.isEmpty() ? Optional.empty()
                : Optional.of("Too cold to paint on " + Words.list(cold) + ": below "
                        + Numbers.text(Drying.COLDEST, 0)
                        + " °C acrylics form no film. Warm the room, or take the sitting out; the label decides.");
    }

    private static String sitting(Room room, LocalDateTime begins) {
        return room.sittings().containsKey(begins) ? SHORTEST.format(begins) : WEEKDAY.format(begins);
    }

    /** Sittings before all is done in which nothing is painted since it is too cold there; empty for none. */
    public static Optional<String> leftForCold(Timetable table, Room room, ZoneId zone) {
        Optional<Instant> last = table.placed().stream().map(Timetable.Placed::start).max(Instant::compareTo);
        List<String> cold = table.of().shared().cold().sittings().stream().filter(s -> last.filter(s::isBefore).isPresent()).sorted()
                .map(s -> sitting(room, s.atZone(zone).toLocalDateTime())).distinct().limit(MOST_BROKEN).toList();
        return cold.isEmpty() ? Optional.empty()
                : Optional.of("Nothing is painted on " + Words.list(cold) + ": below " + Numbers.text(Drying.COLDEST, 0)
                        + " °C acrylics form no film. Warm the room and tell what it is then; the label decides.");
    }

    /** When a stone is ready, and what that means for the day it is due. */
    public static String ready(Timetable table, Timetable.Ready ready, String name, ZoneId zone) {
        String when = Words.upper(name) + ": ready on " + moment(ready.at(), table.of().from(), zone);
        Optional<Instant> due = ready.due();
        if (due.isEmpty()) {
            return when + ".";
        }
        if (ready.late().isZero()) {
            return when + ", in time.";
        }
        return when + ", " + Durations.words(ready.late()) + " late"
                + (ready.hopeless() ? "; alone it could not be ready before " + moment(ready.soonest(), table.of().from(), zone) + "."
                        : ".");
    }

    /** What a sitting is called in a calendar. */
    public static String sitting(List<String> stones) {
        return "Paint: " + Words.list(stones);
    }

    /** The sealing of a stone in a calendar. */
    public static String seal(String stone) {
        return "Seal: " + stone;
    }

    /** The moment from which a stone may be given away, in a calendar. */
    public static String isReady(String stone) {
        return "Ready: " + stone;
    }

    /** When a stone is ready: by the timetable where it is known, or else by its own plan, as if one sat at it without getting up. */
    public static String ready(Optional<Instant> at, Duration after, ZoneId zone) {
        return readyShortly(at, after, zone) + (at.isPresent() ? "" : " at best");
    }

    /** The same where there is little room. */
    public static String readyShortly(Optional<Instant> at, Duration after, ZoneId zone) {
        return at.map(moment -> "ready " + SHORTEST.format(moment.atZone(zone))).orElse("in " + Durations.words(after));
    }

    /** What becomes of it if everything takes a quarter longer, and which sittings do not hold what is planned for them then. */
    public static String stretched(Timetable table, ZoneId zone) {
        Timetable longer = table.stretched(1.25);
        int more = longer.sittings() - table.sittings();
        long late = longer.ready().values().stream().filter(r -> !r.late().isZero()).count();
        long before = table.ready().values().stream().filter(r -> !r.late().isZero()).count();
        List<String> breaks = broken(table, longer, zone);
        return "If all takes a quarter longer: ready " + Durations.words(Duration.between(table.end(), longer.end()))
                + " later" + (more > 0 ? ", in " + Words.number(more) + " more " + (more == 1 ? "sitting" : "sittings") : "")
                + (late > before ? "; " + Words.number((int) (late - before)) + " more would be late" : "")
                + (breaks.isEmpty() ? "" : "; too short then: " + Words.list(breaks)) + ".";
    }

    /** Days whose sittings do not hold all that was planned for them, the next ones. */
    private static List<String> broken(Timetable table, Timetable longer, ZoneId zone) {
        Map<Integer, LocalDate> planned = new HashMap<>();
        table.placed().forEach(p -> planned.put(p.piece(), p.start().atZone(zone).toLocalDate()));
        return longer.placed().stream().filter(p -> p.start().atZone(zone).toLocalDate().isAfter(planned.get(p.piece())))
                .map(p -> planned.get(p.piece())).distinct().sorted().limit(MOST_BROKEN).map(WEEKDAY::format).toList();
    }

    /** What would help, as a button that does it. */
    public static String way(InTime.Means means, Function<String, String> name) {
        if (means instanceof InTime.Means.Longer longer) {
            return DAY_SHORT.format(longer.date()) + " until " + TIME.format(longer.becomes().to());
        }
        if (means instanceof InTime.Means.Extra extra) {
            return "Sit down also on " + DAY_SHORT.format(extra.date()) + ", " + span(extra.span());
        }
        if (means instanceof InTime.Means.Later later) {
            return name.apply(later.stone()) + " only by " + SHORTEST.format(later.due());
        }
        if (means instanceof InTime.Means.AtOnce once) {
            return "Begin " + name.apply(once.stone()) + " without waiting";
        }
        return means instanceof InTime.Means.Dryer dryer ? "Use the dryer on " + name.apply(dryer.stone())
                : "Leave out " + name.apply(((InTime.Means.LeftOut) means).stone());
    }

    /** "19:00 to 21:00" */
    public static String span(Span span) {
        return TIME.format(span.from()) + " to " + (span.to().equals(LocalTime.MIDNIGHT) ? "24:00" : TIME.format(span.to()));
    }

    /** "Fri 27 November" */
    public static String day(LocalDate date) {
        return DAY_SHORT.format(date);
    }

    /** "Fri 27 Nov" */
    public static String shortDay(LocalDate date) {
        return LATER.format(date);
    }

    /** What a step takes this painter: tool, hand, what it waits. */
    public static String pace(Step step, Diary diary) {
        Learned hand = diary.hand(ManyStones.work(step));
        Learned dries = diary.dries(ManyStones.load(step));
        List<String> facts = new ArrayList<>(List.of(StepWords.tool(step), (hand.factor() == 1 ? "hand " : "takes you ")
                + Durations.words(hand.of(step.work().hand()))));
        facts.removeIf(String::isBlank);
        if (!step.work().dries().isZero()) {
            facts.add("then dries " + Durations.words(dries.of(step.work().dries())) + (dries.factor() == 1 ? "" : ", as yours does"));
        }
        if (step instanceof Step.Lay lay && lay.layers().stream().anyMatch(l -> lay.share(l).kind().holds().isPresent())) {
            facts.add("holds what is laid on it for " + Durations.words(Share.HOLDS));
        }
        return String.join(" · ", facts);
    }

    /**
     * At the table, of a piece of the timetable: which of its mixes are damp still, for whichever stone they were mixed, and how the others
     * are counted out; empty where nothing is mixed.
     *
     * @param place in the order of the timetable, from 0
     */
    public static String puddles(Timetable table, int place, PaintPlan plan, ZoneId zone) {
        Timetable.Placed placed = table.placed().get(place);
        int number = table.of().pieces().get(placed.piece()).step();
        List<Map<String, Instant>> mixed = table.mixed();
        List<String> words = new ArrayList<>();
        for (Mix mix : plan.steps().get(number) instanceof Step.Lay lay ? lay.mixes() : List.<Mix>of()) {
            String id = ManyStones.name(mix);
            Instant at = mixed.get(place).get(id);
            String name = StepWords.mixName(plan.steps().get(number), mix);
            if (at.isBefore(placed.start())) {
                words.add("Take " + name + " from the puddle of " + time(at, zone) + ", kept damp.");
            } else {
                long more = mixed.stream().skip(place + 1L).filter(m -> at.equals(m.get(id))).count();
                words.add(counted(table, place, plan, mix, name) + StepWords.kept((int) more));
            }
        }
        return String.join(" ", words);
    }

    /** A mix is begun from another only while that is damp. */
    private static String counted(Timetable table, int place, PaintPlan plan, Mix mix, String name) {
        Timetable.Placed placed = table.placed().get(place);
        int number = table.of().pieces().get(placed.piece()).step();
        Optional<Puddle> puddle = plan.puddles().stream().filter(p -> p.mix().equals(mix) && p.steps().contains(number)).findFirst();
        return puddle.filter(p -> p.from().isEmpty() || isDamp(table, place, ManyStones.name(p.from().get())))
                .map(p -> StepWords.counted(plan, p, name))
                .orElseGet(() -> StepWords.counted(Amounts.of(mix, puddle.map(p -> p.amounts().needed().value()).orElse(0.0)), name));
    }

    private static boolean isDamp(Timetable table, int place, String mix) {
        Workload.Mixing mixing = table.of().shared().mixing();
        Instant now = table.placed().get(place).start();
        return Stream.concat(Optional.ofNullable(mixing.damp().get(mix)).stream(),
                table.mixed().stream().limit(place + 1L).map(m -> m.get(mix)).filter(Objects::nonNull).map(m -> m.plus(mixing.kept())))
                .anyMatch(until -> !until.isBefore(now));
    }

    /** What was learnt of a kind of work of the hand. */
    public static String hand(String work, Learned learned) {
        return WORK.getOrDefault(work.split(" ")[0], "This work") + tool(work) + ": " + times(learned);
    }

    /** What was learnt of how a load dries. */
    public static String load(String load, Learned learned) {
        return Words.upper(load) + " dries in " + times(learned);
    }

    private static String times(Learned learned) {
        return Numbers.text(learned.factor(), 2) + " of the usual time (" + Numbers.text(learned.low(), 2) + " to "
                + Numbers.text(learned.high(), 2) + "), from " + learned.count() + " times";
    }

    private static String tool(String work) {
        String[] parts = work.split(" ");
        return parts.length < 2 || parts[0].equals("PREPARE") ? "" : ", " + parts[1].toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** Whose turn it is: stone, step, coat, and where it lies. */
    public static String place(PaintPlan plan, int step, int part, int parts) {
        Side side = plan.steps().get(step).side();
        return Words.upper(plan.project().name()) + " · step " + (step + 1) + " of " + plan.steps().size()
                + (parts > 1 ? " · coat " + (part + 1) + " of " + parts : "")
                + (side == Side.EDGE ? " · the edge" : side == plan.up().side() ? "" : " · turned over");
    }

    /** The true width of a brush beside a stroke of it. */
    public static String brush(double mm) {
        return "this wide: " + Numbers.shortText(mm) + " mm";
    }

    /** What is asked about a time that is too long for painting. */
    public static String odd(Duration took) {
        return "That was " + Durations.words(took) + ". Was all of it painting?";
    }

    /** What comes when one sits down again. */
    public static String later(String title, String stone, Instant at, Instant now, ZoneId zone) {
        return "Next, on " + moment(at, now, zone) + ": " + Words.upper(stone) + ", " + title + ".";
    }

    /** "dry at 19:40" */
    public static String dry(Instant until, Instant now, ZoneId zone) {
        return "touch from " + (until.atZone(zone).toLocalDate().equals(now.atZone(zone).toLocalDate()) ? TIME.format(until.atZone(zone))
                : SOON.format(until.atZone(zone)));
    }

    /** From when something can be touched, and how long it may take. */
    public static String dry(Instant until, Instant latest, Instant now, ZoneId zone) {
        return dry(until, now, zone) + ", at the latest " + (latest.atZone(zone).toLocalDate().equals(until.atZone(zone).toLocalDate())
                ? TIME.format(latest.atZone(zone)) : SOON.format(latest.atZone(zone)));
    }

    /** What is asked when the clock goes behind what was done. */
    public static String clockBehind(Instant now, Instant done, ZoneId zone) {
        return "The clock shows " + moment(now, now, zone) + ", but the last pass was done at " + moment(done, now, zone)
                + ". Set the clock right, or take that pass back with Undo.";
    }

    /** What comes of putting a stitch into a sitting. */
    public static String pinned(String stone, LocalDateTime sitting, Timetable before, Timetable after, Function<String, String> name,
            ZoneId zone) {
        String where = Words.upper(stone) + " is pinned to " + DAY_SHORT.format(sitting) + ", " + TIME.format(sitting);
        if (!after.missed().isEmpty()) {
            return where + ", but it cannot be done then: what comes before it is not dry, or the sitting is too short.";
        }
        Map<String, Timetable.Ready> was = before.ready();
        List<String> late = after.ready().values().stream()
                .filter(r -> !r.late().isZero() && was.containsKey(r.stone()) && was.get(r.stone()).late().isZero())
                .map(r -> name.apply(r.stone())).toList();
        if (!late.isEmpty()) {
            return where + "; now " + Words.list(late) + (late.size() == 1 ? " is" : " are") + " late.";
        }
        Duration later = Duration.between(before.end(), after.end());
        return where + (later.toMinutes() > 1 ? "; all are ready " + Durations.words(later) + " later." : "; nothing else breaks.");
    }

    /** A due day as it can be typed again. */
    public static String due(LocalDateTime when) {
        return DUE.format(when);
    }

    /** What a stone waits for before pencil and paint begin; empty for nothing. */
    public static Optional<String> waits(Diary.Terms terms, Function<String, String> name) {
        return terms.after().map(other -> "It waits until " + name.apply(other) + " is painted and dry.")
                .or(() -> terms.from().map(day -> "It waits until " + DAY.format(day) + "."));
    }

    /** The same in few words. */
    public static String waitsFor(Diary.Terms terms, Function<String, String> name) {
        return (terms.after().isEmpty() && terms.from().isPresent() ? "waits until " : "waits for ")
                + terms.after().map(name).or(() -> terms.from().map(day -> day(day.toLocalDate()))).orElse("nothing");
    }

    /** Why a stone is not planned: it rests, or waits for one that does. */
    public static String leftOut(String stone, Diary diary, Function<String, String> name) {
        Diary.Terms terms = diary.terms(stone);
        return name.apply(stone) + (terms.rests() ? " rests" : terms.after().map(o -> " waits for " + name.apply(o)).orElse(" waits"));
    }

    /** "Sun 29, 11:20": short, for a list. */
    public static String soon(Instant at, Instant from, ZoneId zone) {
        return (Duration.between(from, at).compareTo(Duration.ofDays(6)) < 0 ? SOON : LATER).format(at.atZone(zone));
    }

    /** Why a day cannot be a due day. */
    public static String past(LocalDateTime when) {
        return DAY_SHORT.format(when) + ", " + TIME.format(when) + " is over. Give a day that is still to come, or none.";
    }

    /** Who is late. */
    public static String late(List<Timetable.Ready> late, Function<String, String> name) {
        List<String> each = late.stream().map(r -> name.apply(r.stone()) + " " + Durations.words(r.late())).toList();
        return "Too late: " + Words.list(each) + ".";
    }

    /** What a calendar took. */
    public static String taken(int count) {
        return count == 0 ? "Nothing in this calendar takes time in the coming weeks."
                : Words.upper(Words.number(count)) + (count == 1 ? " time is taken" : " times are taken")
                        + " by your calendar now; undo frees them.";
    }

    /** What lies on a stone by its name that its plan knows no more. */
    public static String strangers(String name, int count) {
        String words = strangers(count);
        return name + ": " + words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
    }

    /** What lies on a stone that its plan knows no more. */
    public static String strangers(int count) {
        return Words.upper(Words.number(count)) + (count == 1 ? " pass that is done is" : " passes that are done are")
                + " no longer in the plan, which was changed since.";
    }

    /** "Sun 29" */
    public static String weekday(LocalDate date) {
        return WEEKDAY.format(date);
    }

    /** "19:05" */
    public static String time(Instant at, ZoneId zone) {
        return TIME.format(at.atZone(zone));
    }

    /** How many are late by a way, after its button. */
    public static String left(InTime.Way way) {
        return way.late() == 0 ? "then all are in time" : "then " + Words.number(way.late()) + (way.late() == 1 ? " is" : " are") + " late";
    }

    // --- a sitting on paper

    /** "Friday 27 November, 19:00 to 20:54" */
    public static String heading(SittingPage page, ZoneId zone) {
        return DAY.format(page.from().atZone(zone)) + ", " + time(page.from(), zone) + " to " + time(page.to(), zone);
    }

    /** The heading of a further page. */
    public static String headingAgain(SittingPage page, ZoneId zone) {
        return DAY.format(page.from().atZone(zone)) + ", further";
    }

    /** What to lay out, stones, paints and tools, a line each. */
    public static List<String> layOut(SittingPage page, Shelf shelf) {
        List<String> stones = page.rows().stream().map(r -> r.plan().project().name()).distinct().toList();
        List<String> paints = page.paints().stream().map(id -> shelf.find(id).map(Paint::name).orElse(id)).toList();
        List<String> tools = page.tools().stream().map(StepWords::tool).map(t -> t.replaceAll(",.*", "")).distinct().toList();
        List<String> lines = new ArrayList<>(List.of("Lay out " + counted(stones, "stone") + "."));
        if (!paints.isEmpty()) {
            lines.add("Paint: " + counted(paints, "") + ".");
        }
        lines.add("Tools: " + Words.list(tools) + ".");
        return lines;
    }

    private static String counted(List<String> things, String one) {
        return (one.isEmpty() ? "" : Words.number(things.size()) + " " + (things.size() == 1 ? one : Words.plural(one)) + ": ")
                + Words.list(things);
    }

    /** A wait before something. */
    public static String waited(SittingPage.Row row) {
        return "wait " + Durations.words(row.waited());
    }

    /** What is done on which stone. */
    public static String row(SittingPage.Row row) {
        return Words.upper(row.plan().project().name()) + ": " + StepWords.title(row.done());
    }

    /** With what, and how long. */
    public static String rowWith(SittingPage.Row row, ZoneId zone) {
        List<String> with = new ArrayList<>(row.done().layers().stream().map(l -> l.load().coat().name()).distinct().limit(3).toList());
        row.damp().ifPresent(at -> with.add("mixed at " + time(at, zone)));
        with.add(StepWords.coatOf(row.done()));
        with.add(StepWords.tool(row.done()));
        with.add(Durations.words(row.hand()));
        with.removeIf(String::isBlank);
        return String.join(", ", with);
    }

    /** When it is dry. */
    public static String rowDry(SittingPage.Row row, ZoneId zone) {
        return row.dry().equals(row.start().plus(row.hand())) ? ""
                : "dry " + (row.dry().atZone(zone).toLocalDate().equals(row.start().atZone(zone).toLocalDate()) ? time(row.dry(), zone)
                        : SOON.format(row.dry().atZone(zone)));
    }

    /** The timetable to read, sitting by sitting: what, on which stone, how long. */
    public static List<String> lines(Timetable table, Map<String, PaintPlan> plans, ZoneId zone) {
        List<String> lines = new ArrayList<>();
        LocalDate day = null;
        Instant free = null;
        for (Timetable.Placed each : table.placed()) {
            Workload.Piece piece = table.of().pieces().get(each.piece());
            LocalDate on = each.start().atZone(zone).toLocalDate();
            if (!on.equals(day)) {
                lines.add(DAY.format(on));
                day = on;
                free = null;
            }
            if (free != null && Duration.between(free, each.start()).toMinutes() >= 3) {
                lines.add("  " + TIME.format(free.atZone(zone)) + "  wait " + Durations.words(Duration.between(free, each.start())));
            }
            PaintPlan plan = plans.get(piece.stone());
            lines.add("  " + TIME.format(each.start().atZone(zone)) + "  " + plan.project().name() + ": "
                    + StepWords.title(plan.steps().get(piece.step())) + ", " + Durations.words(each.takes()));
            free = each.end();
        }
        return lines;
    }
}
