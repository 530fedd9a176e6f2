package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import mosspebble.core.care.Preparation;
import mosspebble.core.area.Cells;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.Bed;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.area.Remembered;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.stone.Survey;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.timetable.Sitting;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Numbers;
import org.locationtech.jts.geom.Geometry;

/**
 * Computes the plan of one stone: regions of the design, primer where it saves coats, an order, coats over every ground that each region crosses, times, supplies and findings.
 * Pure: the same input gives the same plan. One instance is one computation.
 */
public final class Planner {

    private final Project project;
    private final Survey survey;
    private final Workshop workshop;
    private final Palette palette;
    private final Habits habits;
    private final Remembered remembered;
    private final List<Finding> findings = new ArrayList<>();
    private final Set<String> hard = new LinkedHashSet<>();
    private final BuildUp built;

    private Planner(Project project, Survey survey, Workshop workshop, Remembered remembered) {
        this.project = project;
        this.survey = survey;
        this.workshop = workshop;
        this.palette = workshop.palette();
        this.habits = project.habits();
        this.remembered = remembered;
        this.built = new BuildUp(project, survey, palette, workshop.climate(), remembered, findings);
    }

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
        return plan(project, survey, workshop, remembered, trouble -> { });
    }

    /**
     * The same, for whoever keeps a log: a thing of the sketch that the planner stumbles over is left out and named in a finding, and the rest is planned.
     *
     * @param troubled told of what the planner stumbled over
     */
    public static PaintPlan plan(Project project, Survey survey, Workshop workshop, Remembered remembered, Consumer<Throwable> troubled) {
        remembered.next();
        try {
            return new Planner(project, survey, workshop, remembered).plan(List.of());
        } catch (RuntimeException | StackOverflowError e) {
            troubled.accept(e);
            return withoutTheTroubled(project, survey, workshop, e);
        }
    }

    /** Leaves out what cannot even be laid on the stone alone; if that is not it, lays the things one by one, the deepest first, and keeps those that can be planned with the ones before. */
    private static PaintPlan withoutTheTroubled(Project project, Survey survey, Workshop workshop, Throwable trouble) {
        List<Item> sound = new ArrayList<>();
        List<Item> left = new ArrayList<>();
        for (Item item : project.sketch().map(Sketch::items).orElse(List.of())) {
            (lies(item, project, survey, workshop) ? sound : left).add(item);
        }
        Optional<PaintPlan> rest = left.isEmpty() ? Optional.empty() : plannable(project, survey, workshop, sound, left);
        if (rest.isPresent()) {
            return rest.get();
        }
        List<Item> kept = new ArrayList<>();
        for (Item item : sound) {
            kept.add(item);
            if (plannable(project, survey, workshop, kept, left).isEmpty()) {
                kept.remove(kept.size() - 1);
                left.add(item);
            }
        }
        return plannable(project, survey, workshop, kept, left).orElseThrow(() -> new IllegalStateException("the stone itself cannot be planned", trouble));
    }

    private static boolean lies(Item item, Project project, Survey survey, Workshop workshop) {
        try {
            Designs.place(new Sketch(List.of(item)), workshop.repertoire(), new Bed(survey, project.viewpoint()));
            return true;
        } catch (RuntimeException | StackOverflowError e) {
            return false;
        }
    }

    private static Optional<PaintPlan> plannable(Project project, Survey survey, Workshop workshop, List<Item> items, List<Item> left) {
        try {
            Project with = project.withSketch(items.isEmpty() ? Optional.empty() : Optional.of(new Sketch(items)));
            return Optional.of(new Planner(with, survey, workshop, new Remembered()).plan(left).of(project));
        } catch (RuntimeException | StackOverflowError e) {
            return Optional.empty();
        }
    }

    private PaintPlan plan(List<Item> left) {
        for (Item item : left) {
            String name = item.subject().match(figure -> "The figure " + figure.motif(), word -> "\"" + word.text() + "\"", dots -> "The border of dots", pattern -> "The pattern " + pattern.family(),
                    stroke -> "What was drawn by hand", guide -> guide.kind().title());
            findings.add(Finding.of(Finding.Weight.STOP, Finding.Stage.SKETCH, name + " cannot be worked out as it lies here, and this plan leaves it out. Move it a little, change its size, or take it away.",
                    "Take it away", p -> p.withSketch(p.sketch().flatMap(s -> s.without(item.id())))));
        }
        Optional<PlacedDesign> design = project.sketch().flatMap(sketch -> Designs.place(sketch, workshop.repertoire(), new Bed(survey, project.viewpoint()), remembered));
        FindingRules rules = new FindingRules(project, survey, workshop, findings);
        rules.stone();
        SketchRules sketchRules = new SketchRules(project, survey, palette, workshop.repertoire(), remembered, findings);
        sketchRules.sketch(design);
        design.ifPresent(d -> build(d, rules, sketchRules));
        List<Operation> operations = built.operations();
        List<PaintUse> supplies = supplies(operations);
        rules.supplies(supplies);
        Optional<PaintPlan.Weakest> weakest = built.weakest();
        rules.film(weakest, operations);
        rules.compatible(operations, built.laid());
        rules.wet(operations);
        rules.sealing(!operations.isEmpty(), sealer());
        findings.sort((a, b) -> a.weight().compareTo(b.weight()));
        List<Sitting.Task> tasks = operations.stream()
                .map(o -> new Sitting.Task(o.hand(), o.between(), o.dries(), o.after().stream().map(Operation.After::step).toList())).toList();
        return new PaintPlan(project, survey, design, operations, findings, Sitting.oneAfterTheOther(tasks), supplies, hard, built.films().thickestUm(), weakest);
    }

    private void build(PlacedDesign design, FindingRules rules, SketchRules sketchRules) {
        Map<String, Palette.Colour> colours = palette.colours(project.colours());
        Optional<Palette.Colour> ground = project.ground().flatMap(palette::colour);
        rules.colours(design, colours, ground);
        Lab bareLab = Lab.of(PaintPlan.bare(survey.stone(), habits.outdoors() ? Look.SEALED : Look.DRY));
        Regions cut = Regions.of(design, survey, colours, project.blends(), ground, bareLab, palette, habits, remembered);
        List<Region> regions = cut.list();
        hard.addAll(sketchRules.tools(design, cut, colours));
        rules.contrast(design, cut, colours);
        rules.mud(cut);
        prepare();
        pencil(design);
        List<Cells> cells = regions.stream().map(r -> built.cells(r.place())).toList();
        double[] areas = regions.stream().mapToDouble(r -> built.area(r.place(), built.mask(r.place()))).toArray();
        Optional<PrimerChoice> primer = primer(regions, areas, cells);
        primer.ifPresent(p -> prime(p, regions, cells));
        boolean again = primer.isPresent() || habits.ground() == Habits.Ground.UNDER && project.ground().isPresent();
        PaintOrder order = PaintOrder.of(regions, cells, built.bleedCells(), built.grid(), habits.hand(), project.order());
        rules.order(order, regions);
        boolean pencilled = !again;
        for (PaintOrder.Group group : order.groups()) {
            List<Region> together = group.regions().stream().map(regions::get).toList();
            if (!pencilled && together.get(0).kind() != Operation.Kind.GROUND) {
                pencilStep(design, Operation.Kind.PENCIL_AGAIN, "graphite pencil, lightly", "The first lines lie below the paint. Clear crumbs away before painting.");
                pencilled = true;
            }
            built.lay(group.key(), together);
        }
        built.finish(sealer());
    }

    // --- steps without paint

    private void prepare() {
        for (Preparation.Step step : Preparation.of(survey, workshop.climate())) {
            built.plain(Operation.Kind.PREPARE, step.title(), step.sentence(), step.reason(), step.tool(), survey.facts().upperMm2(), step.hand(), step.waits(), built.last("the step before is done"));
        }
    }

    private void pencil(PlacedDesign design) {
        boolean pale = Lab.of(survey.stone().colour()).l() > 48;
        pencilStep(design, Operation.Kind.PENCIL, pale ? "graphite pencil" : "white chalk pencil",
                pale ? "Graphite shows on this pale stone and does not bleed into it as a pen would." : "The stone is dark (L* " + Numbers.text(Lab.of(survey.stone().colour()).l(), 0) + "): chalk shows, graphite would not.");
    }

    private void pencilStep(PlacedDesign design, Operation.Kind kind, String tool, String reason) {
        double length = design.parts().stream().mapToDouble(p -> p.drawn().getLength()).sum();
        long minutes = Math.max(3, Math.round(2 + length / 260));
        String what = kind == Operation.Kind.PENCIL ? "Pencil the design" : "Pencil the inner lines again";
        built.plain(kind, what, "Transfer the guide and draw lightly.", reason, tool, 0, Duration.ofMinutes(minutes), Duration.ZERO, built.last("the ground below must be dry"));
    }

    // --- primer

    private Optional<PrimerChoice> primer(List<Region> regions, double[] areas, List<Cells> cells) {
        List<Integer> big = new ArrayList<>();
        for (int i = 0; i < regions.size(); i++) {
            Operation.Kind kind = regions.get(i).kind();
            if ((kind == Operation.Kind.FILL || kind == Operation.Kind.GROUND) && regions.get(i).hides() && !onAnother(i, regions, cells)) {
                big.add(i);
            }
        }
        List<Palette.Colour> primers = palette.shelf().ofKind(PaintKind.PRIMER).stream().map(p -> palette.colour(Mix.of(p.id())).orElseThrow()).toList();
        List<Region> bases = big.stream().map(regions::get).toList();
        double[] sizes = big.stream().mapToDouble(i -> areas[i]).toArray();
        double soak = SoakIn.share(survey.stone());
        return remembered.recall(() -> PrimerChoice.of(bases, sizes, List.of(new FilmTable(PaintPlan.bare(survey.stone(), Look.DRY), soak), new FilmTable(PaintPlan.bare(survey.stone(), Look.SEALED), soak)), primers, habits),
                "primer", bases.stream().map(Region::colour).toList(), bases.stream().map(Region::title).toList(), bases.stream().map(Region::thin).toList(), bases.stream().map(Region::place).toList(), palette.shelf(), survey.stone(),
                habits.primer(), habits.tolerance())
                .map(p -> new PrimerChoice(p.primer(), p.coats(), p.regions().stream().map(big::get).toList(), p.reason()));
    }

    /** Whether most of a region lies on a deeper region and so never sees the stone. */
    private static boolean onAnother(int index, List<Region> regions, List<Cells> cells) {
        for (int i = 0; i < regions.size(); i++) {
            Region other = regions.get(i);
            if (other.depth() < regions.get(index).depth() && (other.kind() == Operation.Kind.FILL || other.kind() == Operation.Kind.GROUND) && other.hides()
                    && cells.get(index).common(cells.get(i)) > 0.7 * cells.get(index).count()) {
                return true;
            }
        }
        return false;
    }

    private void prime(PrimerChoice choice, List<Region> regions, List<Cells> cells) {
        double needed = choice.regions().stream().mapToDouble(i -> cells.get(i).count()).sum();
        List<Region> bases = regions.stream().filter(r -> r.kind() == Operation.Kind.FILL || r.kind() == Operation.Kind.GROUND).toList();
        double all = bases.stream().mapToDouble(r -> built.cells(r.place()).count()).sum();
        boolean whole = habits.primer() == Habits.Primer.WHOLE || needed > 0.6 * all;
        Geometry place = whole ? remembered.union(bases.stream().map(Region::place).toList()) : remembered.union(choice.regions().stream().map(i -> regions.get(i).place()).toList());
        Region region = new Region(Operation.Kind.PRIME, whole ? "the whole picture" : "the bright areas", place, choice.primer(), 1, true, -2 * Region.LEVELS, 0, 0, choice.reason());
        built.layCoats("PRIME", List.of(region), place, choice.coats(), choice.coats());
    }

    /** The sealer that the painter's habit asks for, else any; empty where nothing is to be sealed. */
    private Optional<Paint> sealer() {
        if (habits.seal() == Habits.Seal.NONE) {
            return Optional.empty();
        }
        List<Paint> all = palette.shelf().ofKind(PaintKind.VARNISH);
        return all.stream().filter(p -> switch (habits.seal()) {
            case RESIN -> p.binder() == Binder.RESIN;
            case MATT -> p.binder() != Binder.RESIN && p.finish() == Finish.MATT;
            default -> p.binder() != Binder.RESIN && p.finish() == Finish.GLOSS;
        }).findFirst().or(() -> all.stream().filter(p -> p.binder() != Binder.RESIN).findFirst()).or(() -> all.stream().findFirst());
    }

    private List<PaintUse> supplies(List<Operation> operations) {
        Map<String, Double> needed = new TreeMap<>();
        for (Operation operation : operations) {
            if (operation.mix().isPresent() && operation.coat().isPresent()) {
                Mix mix = operation.mix().get();
                for (Mix.Part part : mix.parts()) {
                    palette.shelf().find(part.paint()).ifPresent(p -> needed.merge(p.id(), (double) part.parts() / mix.totalParts()
                            * PaintUse.spread(operation.areaMm2(), operation.thin() * p.wetCoat().value(), operation.coats()).value(), Double::sum));
                }
            }
        }
        return palette.shelf().paints().stream().filter(p -> needed.containsKey(p.id()))
                .map(p -> new PaintUse(p.id(), new Millilitres(needed.get(p.id())), p.left())).toList();
    }
}
