package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Preparation;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.Resin;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.care.SealKind;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Drying;
import mosspebble.core.project.Edge;
import mosspebble.core.project.Habits;
import mosspebble.core.project.OldPaint;
import mosspebble.core.project.Project;
import mosspebble.core.project.Sides;
import mosspebble.core.project.Side;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.Item;
import mosspebble.core.stone.EdgeStrip;
import mosspebble.core.stone.Survey;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.supplies.Puddle;
import mosspebble.core.timetable.Sitting;
import mosspebble.core.units.Millilitres;

/**
 * Computes the plan of one stone: both faces and the edge as one job, each face begun when the other can be handled, one washing, one
 * signature, one sealing; times and supplies. Pure: the same input gives
 * the same plan.
 */
public final class Planner {

    /** Most coats of one paint that anyone lays. */
    public static final int MOST_COATS = PrimerChoice.MOST_COATS;

    /** A band no wider than this is drawn as a line, mm (common practice, no source). */
    private static final double LINE_MM = 1.2;

    private final Project project;
    private final Workshop workshop;
    private final Palette palette;
    private final Remembered remembered;
    private final Course course = new Course();

    /**
     * What had to be left out.
     *
     * @param up of the sketch that is up
     * @param below of the sketch that lies below
     */
    public record Left(List<Item> up, List<Item> below) {
        public static final Left NOTHING = new Left(List.of(), List.of());
    }

    private Planner(Project project, Workshop workshop, Remembered remembered) {
        this.project = project;
        this.workshop = workshop;
        this.palette = workshop.palette();
        this.remembered = remembered;
    }

    /**
     * Plans. The answer is the same whatever is remembered; what cannot be worked out ends in an exception.
     *
     * @param survey of the project's stone; the same object as long as the stone is the same
     * @param remembered kept from plan to plan of one stone
     * @param left things that the project had and that were left out of it
     * @return a plan that nobody has looked over yet
     */
    public static PaintPlan plan(Project project, Survey survey, Workshop workshop, Remembered remembered, Left left) {
        return new Planner(project, workshop, remembered).plan(survey, left);
    }

    private PaintPlan plan(Survey survey, Left left) {
        earlier();
        FaceWork up = new FaceWork(project, survey, workshop, sealer(), course, remembered);
        Optional<FaceWork> below = project.paintedBelow() ? Optional.of(below()) : Optional.empty();
        boolean backUp = project.sides().backUp();
        Survey front = backUp
                ? below.map(FaceWork::survey).orElseGet(
                        () -> remembered.recall("survey", turnedOver().stone(), (stone, m) -> Survey.of(stone)))
                : survey;
        boolean designed = up.design().isPresent() || below.filter(b -> b.design().isPresent()).isPresent();
        Optional<EdgeStrip> strip = project.edge().isPainted()
                ? Optional.of(remembered.recall("edge", front, (f, m) -> EdgeStrip.of(f))) : Optional.empty();
        if (!designed && strip.isEmpty()) {
            return plan(List.of(up.plan(Noticed.NOTHING.leaving(left.up()))), Optional.empty());
        }
        boolean primed = up.isPrimed() || below.filter(FaceWork::isPrimed).isPresent();
        prepare(front, backUp ? up.design().map(d -> survey) : below.map(FaceWork::survey), primed);
        Noticed first = backUp && below.isPresent() ? below.get().paint(left.below()) : up.paint(left.up());
        Optional<Noticed> second = below.map(b -> backUp ? up.paint(left.up()) : b.paint(left.below()));
        strip.ifPresent(s -> paintEdge(front, s));
        List<FaceWork> faces = new ArrayList<>(List.of(up));
        below.ifPresent(faces::add);
        faces.removeIf(f -> f.design().isEmpty());
        Optional<Paint> sealer = sealer();
        sign(faces, sealer);
        sealer.ifPresent(s -> seal(s, faces.isEmpty() ? List.of(up) : faces));
        Noticed ofUp = backUp && below.isPresent() ? second.orElseThrow() : first;
        List<FacePlan> plans = new ArrayList<>(List.of(up.plan(ofUp.with(up.built().laid(), sealer))));
        below.ifPresent(b -> plans.add(b.plan((backUp ? first : second.orElseThrow()).with(b.built().laid(), sealer))));
        return plan(plans, strip);
    }

    /** What lies on each surface from earlier comes before all else. */
    private void earlier() {
        for (Side side : Side.values()) {
            List<Step.Layer> layers = new ArrayList<>();
            for (OldPaint old : project.oldPaint()) {
                if (old.side() == side) {
                    palette.colour(old.mix()).ifPresent(colour -> layers.add(new Step.Layer(side,
                            remembered.recall("old paint", old, (paint, m) -> paint.area()), Soft.CRISP,
                            new Step.Load(old.mix(), BuildUp.coat(colour, old.thin(), course.size(), palette), old.thin()), old.coats(),
                            Shapes.nothing())));
                }
            }
            if (!layers.isEmpty()) {
                course.add(new Step.Earlier(layers));
            }
        }
    }

    private FaceWork below() {
        Project turned = turnedOver();
        return new FaceWork(turned, remembered.recall("survey", turned.stone(), (stone, m) -> Survey.of(stone)), workshop, sealer(), course,
                remembered);
    }

    private Project turnedOver() {
        return project.turnedOver(remembered.recall("turned over", project.stone(), project.sides().lay(),
                (stone, lay, m) -> Sides.turnedOver(stone, lay)));
    }

    private PaintPlan plan(List<FacePlan> faces, Optional<EdgeStrip> strip) {
        List<Sitting.Task> tasks = course.steps().stream().map(s -> new Sitting.Task(s.work().hand(), s.work().between(), s.work().dries(),
                s.after().stream().map(a -> new Sitting.Wait(a.step(), a.lag(course.get(a.step())))).toList())).toList();
        Sitting sitting = Sitting.oneAfterTheOther(tasks);
        List<Puddle> puddles = Puddle.of(loads(sitting));
        return new PaintPlan(faces, strip, new PaintPlan.Schedule(course.steps(), sitting, course.bound()), supplies(puddles), puddles,
                List.of());
    }

    private void prepare(Survey front, Optional<Survey> back, boolean primed) {
        for (Preparation.Task task : Preparation.of(front, back, primed, workshop.climate())) {
            course.add(
                    new Step.Prepare(task, new Step.Work(front.facts().upperMm2(), task.hand(), Duration.ZERO, Duration.ZERO, task.waits()),
                            course.last(Step.Waits.STEP_BEFORE)));
        }
    }

    /** The edge comes when both faces are done: it hides where their grounds end. */
    private void paintEdge(Survey front, EdgeStrip strip) {
        BuildUp built = new BuildUp(Surface.edge(front, strip), course, project.wholeHabits(), palette, workshop.climate(), remembered);
        List<Region> regions = new ArrayList<>();
        project.edge().ground().flatMap(palette::colour).ifPresent(c -> regions.add(new Region(Step.Kind.GROUND, What.of(What.Of.EDGE),
                strip.polygon(), c, Region.Spread.EVEN, 0, Region.Line.NONE, Why.of(Why.Reason.RUNS_ROUND))));
        for (Edge.Band band : project.edge().bands()) {
            Optional<Palette.Colour> colour = palette.colour(band.mix());
            if (colour.isPresent()) {
                regions.add(new Region(band.wideMm() <= LINE_MM ? Step.Kind.DETAIL : Step.Kind.FILL, What.of(What.Of.EDGE_BAND),
                        strip.between(band.offMm() - band.wideMm() / 2, band.offMm() + band.wideMm() / 2), colour.get(), Region.Spread.EVEN,
                        regions.size(),
                        band.wideMm() <= LINE_MM ? new Region.Line(band.wideMm(), strip.lengthMm()) : Region.Line.NONE,
                        Why.of(Why.Reason.RUNS_ROUND)));
            }
        }
        List<Region> left = Standing.of(regions, built, remembered).lacking();
        if (!left.isEmpty()) {
            paintEdge(built, left);
        }
    }

    private static void paintEdge(BuildUp built, List<Region> regions) {
        built.paint(regions, regions.stream().map(r -> built.cells(r.place())).toList(), Map.of(), Optional.empty(), List.of());
    }

    /** How long what is painted must have dried before a sealer may come over it, by what goes over what. */
    private Duration waits(Paint sealer) {
        return course.steps().stream().flatMap(s -> s.layers().stream()).flatMap(l -> l.load().mix().parts().stream()).distinct()
                .flatMap(part -> palette.shelf().find(part.paint()).stream())
                .flatMap(paint -> workshop.known().of(paint, sealer, true).filter(v -> v.way() == Quarrel.Way.WAIT).stream())
                .map(Compatibility.Verdict::rest).reduce(Duration.ZERO, Planner::max);
    }

    private static Duration max(Duration one, Duration other) {
        return one.compareTo(other) >= 0 ? one : other;
    }

    private void sign(List<FaceWork> faces, Optional<Paint> sealer) {
        double thickest = faces.stream().mapToDouble(f -> f.built().films().thickestUm()).max().orElse(0);
        course.add(
                new Step.Sign(
                        new Step.Work(0, Duration.ofMinutes(2), Duration.ZERO, Duration.ZERO,
                                max(Drying.beforeSealing(thickest, workshop.climate()),
                                        sealer.map(s -> max(SealKind.of(s).before(), waits(s))).orElse(Duration.ZERO))),
                        course.all(Step.Waits.ALL_PAINTED), sealer.isPresent()));
    }

    /** The back first, so that the front is never laid on fresh varnish. */
    private void seal(Paint sealer, List<FaceWork> faces) {
        List<FaceWork> order = new ArrayList<>(faces);
        order.sort(Comparator.comparing((FaceWork f) -> f.side()).reversed());
        int sign = course.size() - 1;
        for (int i = 0; i < order.size(); i++) {
            boolean turned = i + 1 < order.size();
            SealAdvice advice = SealAdvice.of(order.get(i).survey().stone(), project.wholeHabits().outdoors(), sealer);
            Optional<Duration> rests = !turned ? Optional.empty()
                    : Optional.of(advice.kind().handled());
            List<Step.After> after = new ArrayList<>(List.of(new Step.After(sign, Step.Waits.DRY_THROUGH)));
            if (i > 0) {
                after.add(new Step.After(course.size() - 1, Step.Waits.LIES_ON_SEALED));
            }
            order.get(i).built().seal(sealer, advice, rests, after);
        }
    }

    /** The sealer that the painter's habit asks for, else any; empty where nothing is to be sealed. */
    private Optional<Paint> sealer() {
        if (project.wholeHabits().seal() == Habits.Seal.NONE) {
            return Optional.empty();
        }
        List<Paint> all = palette.shelf().that(PaintKind.Use.SEALS);
        Optional<Paint> chosen = all.stream().filter(p -> p.id().equals(project.wholeHabits().sealer())).findFirst();
        if (chosen.isPresent()) {
            return chosen;
        }
        return all.stream().filter(p -> switch (project.wholeHabits().seal()) {
            case RESIN -> p.binder() == Binder.RESIN;
            case MATT -> p.binder() != Binder.RESIN && p.finish() == Finish.MATT;
            default -> p.binder() != Binder.RESIN && p.finish() == Finish.GLOSS;
        }).findFirst().or(() -> all.stream().filter(p -> p.binder() != Binder.RESIN).findFirst()).or(() -> all.stream().findFirst());
    }

    /** What each step takes of what is mixed in a dish or poured from a pot; pens carry their own. */
    private List<Puddle.Load> loads(Sitting sitting) {
        List<Puddle.Load> loads = new ArrayList<>();
        for (int i = 0; i < course.size(); i++) {
            Step step = course.get(i);
            for (Step.Layer layer : step.laidNow()) {
                if (!isFromPen(layer) && !isCounted(layer) && !(step instanceof Step.Lay lay && lay.isMixedOnTheStone(layer))) {
                    loads.add(new Puddle.Load(i, layer.load().mix(), laid(step, layer), sitting.steps().get(i).start()));
                }
            }
        }
        return loads;
    }

    private boolean isFromPen(Step.Layer layer) {
        return layer.load().mix().parts().stream()
                .anyMatch(part -> palette.shelf().find(part.paint()).filter(p -> p.kind().pen()).isPresent());
    }

    /** Whether it is set piece by piece, so that one is one of what the pot holds. */
    private boolean isCounted(Step.Layer layer) {
        return layer.load().mix().parts().stream()
                .anyMatch(part -> palette.shelf().find(part.paint()).filter(p -> p.kind().counted()).isPresent());
    }

    /** Millilitres of a layer, with the loss in brush and palette. */
    private double laid(Step step, Step.Layer layer) {
        double flat = step.layers().stream().mapToDouble(l -> l.place().getArea()).sum();
        double area = flat > 0 ? step.work().areaMm2() * layer.place().getArea() / flat : 0;
        if (step instanceof Step.Seal seal && seal.advice().why().poured()) {
            return Resin.USUAL.amount(area, Resin.LEVEL_MM).millilitres();
        }
        double wetUm = palette.colour(layer.load().mix()).map(Palette.Colour::wetUm).orElse(0.0);
        return PaintUse.spread(area, layer.load().thin() * wetUm, layer.coats()).value();
    }

    /** All paints in all puddles, what is mixed on the stone, what pens lay, and gems by their number. */
    private List<PaintUse> supplies(List<Puddle> puddles) {
        Map<String, Double> needed = new TreeMap<>();
        for (Puddle puddle : puddles) {
            puddle.amounts().shares().forEach(s -> needed.merge(s.paint(), s.volume().value(), Double::sum));
        }
        for (Step step : course.steps()) {
            for (Step.Layer layer : step.laidNow()) {
                if (isCounted(layer)) {
                    needed.merge(layer.load().mix().parts().get(0).paint(), (double) layer.place().getNumGeometries(), Double::sum);
                } else if (isFromPen(layer) || step instanceof Step.Lay lay && lay.isMixedOnTheStone(layer)) {
                    Mix mix = layer.load().mix();
                    mix.parts().forEach(p -> needed.merge(p.paint(), laid(step, layer) * p.parts() / mix.totalParts(), Double::sum));
                }
            }
        }
        return palette.shelf().paints().stream().filter(p -> needed.containsKey(p.id()))
                .map(p -> new PaintUse(p.id(), new Millilitres(needed.get(p.id())), p.left())).toList();
    }
}
