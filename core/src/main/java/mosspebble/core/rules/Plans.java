package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Planner;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Support;
import mosspebble.core.stone.Survey;

/** Plans a stone and has every rule look it over. */
public final class Plans {

    /** All rules, in the order in which a painter would speak of what matters equally. */
    private static final List<Rule> RULES = List.of(new LeftOut(),
            new IsMeasured(), new TakingAllowed(), new CracksMarked(), new OldSealer(), new OldPaintHidden(), new LooseGrains(),
            new StillDamp(),
            new PaleNeedsPrimer(),
            new DarkensSealed(),
            new HasSubject(), new CanBeLaid(), new StaysOnFace(), new EqualPairs(), new OffCracks(), new FacesStayFree(),
            new EdgeCarriesBands(),
            new ShelfHasPaint(), new EverySlotHasColour(), new HasWhite(), new BlendHasColours(), new LaidInItsWay(), new FitsTools(),
            new StrokesApart(),
            new OutlineStandsOut(), new LinesHavePens(), new SubjectStandsOut(), new NoMud(),
            new OwnOrderHolds(), new PaintHides(), new PaintLasts(), new FilmHolds(), new ProductsAgree(),
            new WetInTime(),
            new FilmForms(), new DryAirToSeal(), new SealSuits(), new SealedOutdoors(), new WantedSealer(), new TestedUnderSealer());

    private Plans() {}

    /**
     * A plan from nothing.
     *
     * @param survey of the project's stone
     */
    public static PaintPlan plan(Project project, Survey survey, Palette palette, Repertoire repertoire, Climate climate) {
        return plan(project, survey, new Workshop(palette, repertoire, climate, List.of()), new Remembered());
    }

    /**
     * A plan that uses what was worked out for the one before; the answer is the same as from nothing.
     *
     * @param survey of the project's stone; the same object as long as the stone is the same
     * @param remembered kept from plan to plan of one stone
     */
    public static PaintPlan plan(Project project, Survey survey, Workshop workshop, Remembered remembered) {
        return plan(project, survey, workshop, remembered, trouble -> {});
    }

    /**
     * The same, for whoever keeps a log: a thing of the sketch that the planner stumbles over is left out and named in a finding, and the
     * rest is planned.
     *
     * @param troubled told of what the planner stumbled over
     */
    public static PaintPlan plan(Project project, Survey survey, Workshop workshop, Remembered remembered, Consumer<Throwable> troubled) {
        remembered.next();
        try {
            return looked(project, survey, workshop, remembered, Planner.Left.NOTHING);
        } catch (RuntimeException | StackOverflowError e) {
            troubled.accept(e);
            return withoutTheTroubled(project, survey, workshop, e);
        }
    }

    private static PaintPlan looked(Project project, Survey survey, Workshop workshop, Remembered remembered, Planner.Left left) {
        PaintPlan plan = Planner.plan(project, survey, workshop, remembered, left);
        Bench up = new Bench(plan, workshop, remembered);
        Optional<Bench> below = plan.below().map(face -> new Bench(plan.turnedOver(), workshop, remembered));
        List<Finding> found = new ArrayList<>();
        for (Rule rule : RULES) {
            found.addAll(rule.look(up));
            below.filter(bench -> rule.atEachFace())
                    .ifPresent(bench -> rule.look(bench).forEach(finding -> found.add(finding.fromBelow())));
        }
        found.sort(Comparator.comparing(Finding::weight));
        return plan.with(found);
    }

    /**
     * Leaves out what cannot even be laid on the stone alone; if that is not it, lays the things one by one, the deepest first, and keeps
     * those that can be planned with the ones before. Each face by
     * itself.
     */
    private static PaintPlan withoutTheTroubled(Project project, Survey survey, Workshop workshop, Throwable trouble) {
        List<Item> up = sound(project.withoutBelow(), survey, workshop, trouble);
        Project kept = with(project, up);
        List<Item> upLeft = rest(project, up);
        List<Item> belowLeft = List.of();
        if (project.paintedBelow()) {
            Project turned = project.turnedOver();
            List<Item> below = sound(turned.withoutBelow(), Survey.of(turned.stone()), workshop, trouble);
            kept = with(kept.turnedOver(), below).turnedOver();
            belowLeft = rest(turned, below);
        }
        return looked(kept, survey, workshop, new Remembered(), new Planner.Left(upLeft, belowLeft)).of(project);
    }

    private static List<Item> items(Project project) {
        return project.sketch().map(Sketch::items).orElse(List.of());
    }

    private static List<Item> rest(Project project, List<Item> kept) {
        return items(project).stream().filter(item -> !kept.contains(item)).toList();
    }

    private static Project with(Project project, List<Item> items) {
        return project.withSketch(items.isEmpty() ? Optional.empty() : Optional.of(new Sketch(items)));
    }

    /** The things of a face that can be planned. */
    private static List<Item> sound(Project project, Survey survey, Workshop workshop, Throwable trouble) {
        List<Item> lie = items(project).stream().filter(item -> lies(item, project, survey, workshop)).toList();
        if (lie.size() < items(project).size() && plannable(with(project, lie), survey, workshop)) {
            return lie;
        }
        List<Item> kept = new ArrayList<>();
        for (Item item : lie) {
            kept.add(item);
            if (!plannable(with(project, kept), survey, workshop)) {
                kept.remove(kept.size() - 1);
            }
        }
        if (kept.isEmpty() && !plannable(with(project, kept), survey, workshop)) {
            throw new IllegalStateException("the stone itself cannot be planned", trouble);
        }
        return kept;
    }

    private static boolean lies(Item item, Project project, Survey survey, Workshop workshop) {
        try {
            Designs.place(new Sketch(List.of(item)), workshop.repertoire(), new Support(survey, project.viewpoint()));
            return true;
        } catch (RuntimeException | StackOverflowError e) {
            return false;
        }
    }

    private static boolean plannable(Project project, Survey survey, Workshop workshop) {
        try {
            looked(project, survey, workshop, new Remembered(), Planner.Left.NOTHING);
            return true;
        } catch (RuntimeException | StackOverflowError e) {
            return false;
        }
    }
}
