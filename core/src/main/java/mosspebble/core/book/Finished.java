package mosspebble.core.book;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Shelf;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.PlanFigures;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.TakenOut;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.stone.FoundStone;

/** Writes the page of a stone that is finished, from its plan and from what was done at the table. */
public final class Finished {

    /** Deeds farther apart are of another day's work, not of one pass. */
    private static final Duration LONGEST_DEED = Duration.ofHours(6);

    private Finished() {}

    /**
     * The page of a stone.
     *
     * @param id of the page, unique in the book
     * @param shows what is painted on it, in words
     * @param today the day it is written where nothing was ticked off
     */
    public static Page page(String id, PaintPlan plan, Studio studio, List<String> shows, LocalDate today, ZoneId zone) {
        Project project = plan.project();
        PlanFigures figures = PlanFigures.of(plan, studio.shelf());
        List<Diary.Deed> deeds = studio.diary().deeds().stream().filter(d -> d.stone().equals(project.id())).toList();
        Duration measured = deeds.stream().map(d -> Duration.between(d.from(), d.to())).filter(d -> d.compareTo(LONGEST_DEED) < 0)
                .reduce(Duration.ZERO, Duration::plus);
        // what was only ticked off has no time of its own
        boolean timed = measured.compareTo(figures.hand().dividedBy(4)) > 0;
        LocalDate begun = deeds.stream().map(d -> d.from().atZone(zone).toLocalDate()).min(LocalDate::compareTo).orElse(today);
        LocalDate finished = deeds.stream().map(d -> d.to().atZone(zone).toLocalDate()).max(LocalDate::compareTo).orElse(today);
        Optional<Paint> sealer = plan.steps().stream().filter(s -> s instanceof Step.Seal).flatMap(s -> s.mix().stream())
                .reduce((a, b) -> b).flatMap(m -> studio.shelf().find(m.parts().get(0).paint()));
        double area = figures.coats() > 0 ? plan.survey().facts().paintableMm2() : 0;
        Page.Body body = new Page.Body(project.name(), project.purpose(), shows, project.origin().where(), project.stone().rock(),
                project.stone().length().value(), project.stone().width().value(), area);
        Page.Made made = new Page.Made(begun, finished, minutes(timed ? measured : figures.hand()), timed, minutes(figures.hand()),
                figures.cost(), sealer.map(Paint::id).orElse(""), sealer.map(Paint::name).orElse(""));
        List<Page.Used> used = plan.supplies().stream().map(u -> new Page.Used(u.paint(),
                studio.shelf().find(u.paint()).map(Paint::name).orElse(u.paint()), u.needed().value())).toList();
        List<Page.Event> spoiled = deeds.stream().filter(Diary.Deed::spoiled)
                .map(d -> new Page.Event(d.to().atZone(zone).toLocalDate(), Page.Event.Kind.WRONG, "", "")).toList();
        return new Page(id, body, made, used, spoiled, new Page.Gone(Page.Gone.Place.HERE, false, "", 0, finished), List.of(),
                List.of());
    }

    /**
     * The shelf once a stone is painted: what it took is out of the pots, none below empty. What passes took that were ticked off at the
     * table is out of them by {@link TakenOut} as long as the stone stands in the tray, and not taken a second time.
     */
    public static Shelf used(Shelf shelf, PaintPlan plan, Diary diary) {
        Map<String, Double> rest = new TreeMap<>();
        new TakenOut(plan, diary).stillNeeded().forEach(use -> rest.put(use.paint(), use.needed().value()));
        return TakenOut.from(shelf, rest);
    }

    private static double minutes(Duration time) {
        return time.toSeconds() / 60.0;
    }

    /** An id for the next page of a stone: its own, or with a number where the book has that already. */
    public static String id(String stone, Book book) {
        String id = stone;
        for (int i = 2; book.page(id).isPresent(); i++) {
            String end = "-" + i;
            id = stone.substring(0, Math.min(stone.length(), 80 - end.length())) + end;
        }
        FoundStone.checkId(id);
        return id;
    }
}
