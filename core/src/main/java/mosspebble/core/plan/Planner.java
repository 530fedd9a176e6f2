package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.area.Cells;
import mosspebble.core.area.Remembered;
import mosspebble.core.care.Preparation;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Bed;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.stone.Survey;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.timetable.Sitting;
import mosspebble.core.units.Millilitres;
import org.locationtech.jts.geom.Geometry;

/**
 * Computes the plan of one stone: regions of the design, primer where it saves coats, an order, coats over every ground that each region crosses, times, supplies and findings.
 * Pure: the same input gives the same plan. One instance is one computation.
 */
public final class Planner {

    /** Most coats of one paint that anyone lays. */
    public static final int MOST_COATS = PrimerChoice.MOST_COATS;

    /** L* above which graphite shows on the stone; below, chalk is taken (common practice, no source). */
    private static final double SHOWS_GRAPHITE = 48;

    private final Project project;
    private final Survey survey;
    private final Workshop workshop;
    private final Palette palette;
    private final Habits habits;
    private final Remembered remembered;
    private final BuildUp built;

    private Planner(Project project, Survey survey, Workshop workshop, Remembered remembered) {
        this.project = project;
        this.survey = survey;
        this.workshop = workshop;
        this.palette = workshop.palette();
        this.habits = project.habits();
        this.remembered = remembered;
        this.built = new BuildUp(project, survey, palette, workshop.climate(), remembered);
    }

    /**
     * Plans. The answer is the same whatever is remembered; what cannot be worked out ends in an exception.
     *
     * @param survey of the project's stone; the same object as long as the stone is the same
     * @param remembered kept from plan to plan of one stone
     * @param left things that the project had and that were left out of it
     * @return a plan that nobody has looked over yet
     */
    public static PaintPlan plan(Project project, Survey survey, Workshop workshop, Remembered remembered, List<Item> left) {
        return new Planner(project, survey, workshop, remembered).plan(left);
    }

    private PaintPlan plan(List<Item> left) {
        Optional<PlacedDesign> design = project.sketch().flatMap(sketch -> Designs.place(sketch, workshop.repertoire(), new Bed(survey, project.viewpoint()), remembered));
        Noticed noticed = design.map(d -> build(d, left)).orElse(Noticed.NOTHING.leaving(left));
        List<Step> steps = built.steps();
        List<Sitting.Task> tasks = steps.stream().map(s -> new Sitting.Task(s.work().hand(), s.work().between(), s.work().dries(), s.after().stream().map(Step.After::step).toList())).toList();
        return new PaintPlan(project, survey, design, new PaintPlan.Schedule(steps, Sitting.oneAfterTheOther(tasks)), supplies(steps), new PaintPlan.Thickness(built.films().thickestUm(), built.weakest()), noticed, List.of());
    }

    private Noticed build(PlacedDesign design, List<Item> left) {
        Map<String, Palette.Colour> colours = palette.colours(project.colours());
        Optional<Palette.Colour> ground = project.ground().flatMap(palette::colour);
        Lab bareLab = Lab.of(PaintPlan.bare(survey.stone(), habits.outdoors() ? Look.SEALED : Look.DRY));
        Regions cut = Regions.of(design, survey, colours, project.blends(), ground, bareLab, palette, habits, remembered);
        List<Region> regions = cut.list();
        Paintability paintability = new Paintability(design, cut.seen(), colours, palette, survey.stone().texture().pitMm(), remembered);
        prepare();
        pencil(design);
        List<Cells> cells = regions.stream().map(r -> built.cells(r.place())).toList();
        double[] areas = regions.stream().mapToDouble(r -> built.area(r.place(), built.mask(r.place()))).toArray();
        Optional<PrimerChoice> primer = primer(regions, areas, cells);
        primer.ifPresent(p -> prime(p, regions, cells));
        boolean again = primer.isPresent() || habits.ground() == Habits.Ground.UNDER && project.ground().isPresent();
        PaintOrder order = PaintOrder.of(regions, cells, built.bleedCells(), built.grid(), habits.hand(), project.order());
        boolean pencilled = !again;
        for (PaintOrder.Group group : order.groups()) {
            List<Region> together = group.regions().stream().map(regions::get).toList();
            if (!pencilled && together.get(0).kind() != Step.Kind.GROUND) {
                pencilStep(design, true, false);
                pencilled = true;
            }
            built.lay(group.key(), together);
        }
        Optional<Paint> sealer = sealer();
        built.finish(sealer);
        List<Noticed.Broken> broken = order.broken().stream().map(b -> new Noticed.Broken(regions.get(b.first().regions().get(0)).what(), regions.get(b.then().regions().get(0)).what(), b.arrow().because(),
                regions.get(b.arrow().before()).what())).toList();
        return new Noticed(left, new Noticed.Fit(paintability.narrow(), paintability.tight()), cut.faintest(), cut.muddy(), built.showing(), broken, List.copyOf(built.laid()), sealer);
    }

    // --- steps without paint

    private void prepare() {
        for (Preparation.Task task : Preparation.of(survey, workshop.climate())) {
            built.plain(new Step.Prepare(task, new Step.Work(survey.facts().upperMm2(), task.hand(), Duration.ZERO, task.waits()), built.last(Step.Waits.STEP_BEFORE)));
        }
    }

    private void pencil(PlacedDesign design) {
        pencilStep(design, false, Lab.of(survey.stone().colour()).l() <= SHOWS_GRAPHITE);
    }

    private void pencilStep(PlacedDesign design, boolean again, boolean chalk) {
        double length = design.parts().stream().mapToDouble(p -> p.drawn().getLength()).sum();
        long minutes = Math.max(3, Math.round(2 + length / 260));
        built.plain(new Step.Pencil(again, chalk, Lab.of(survey.stone().colour()).l(), new Step.Work(0, Duration.ofMinutes(minutes), Duration.ZERO, Duration.ZERO), built.last(Step.Waits.DRY_GROUND)));
    }

    // --- primer

    private Optional<PrimerChoice> primer(List<Region> regions, double[] areas, List<Cells> cells) {
        List<Integer> big = new ArrayList<>();
        for (int i = 0; i < regions.size(); i++) {
            Step.Kind kind = regions.get(i).kind();
            if ((kind == Step.Kind.FILL || kind == Step.Kind.GROUND) && regions.get(i).hides() && !onAnother(i, regions, cells)) {
                big.add(i);
            }
        }
        List<Palette.Colour> primers = palette.shelf().ofKind(PaintKind.PRIMER).stream().map(p -> palette.colour(Mix.of(p.id())).orElseThrow()).toList();
        List<Region> bases = big.stream().map(regions::get).toList();
        double[] sizes = big.stream().mapToDouble(i -> areas[i]).toArray();
        double soak = SoakIn.share(survey.stone());
        return remembered.recall(() -> PrimerChoice.of(bases, sizes, List.of(new FilmTable(PaintPlan.bare(survey.stone(), Look.DRY), soak), new FilmTable(PaintPlan.bare(survey.stone(), Look.SEALED), soak)), primers, habits),
                "primer", bases.stream().map(Region::colour).toList(), bases.stream().map(Region::what).toList(), bases.stream().map(Region::thin).toList(), bases.stream().map(Region::place).toList(), palette.shelf(), survey.stone(),
                habits.primer(), habits.tolerance())
                .map(p -> new PrimerChoice(p.primer(), p.coats(), p.regions().stream().map(big::get).toList(), p.why()));
    }

    /** Whether most of a region lies on a deeper region and so never sees the stone. */
    private static boolean onAnother(int index, List<Region> regions, List<Cells> cells) {
        for (int i = 0; i < regions.size(); i++) {
            Region other = regions.get(i);
            if (other.depth() < regions.get(index).depth() && (other.kind() == Step.Kind.FILL || other.kind() == Step.Kind.GROUND) && other.hides()
                    && cells.get(index).common(cells.get(i)) > 0.7 * cells.get(index).count()) {
                return true;
            }
        }
        return false;
    }

    private void prime(PrimerChoice choice, List<Region> regions, List<Cells> cells) {
        double needed = choice.regions().stream().mapToDouble(i -> cells.get(i).count()).sum();
        List<Region> bases = regions.stream().filter(r -> r.kind() == Step.Kind.FILL || r.kind() == Step.Kind.GROUND).toList();
        double all = bases.stream().mapToDouble(r -> built.cells(r.place()).count()).sum();
        boolean whole = habits.primer() == Habits.Primer.WHOLE || needed > 0.6 * all;
        Geometry place = whole ? remembered.union(bases.stream().map(Region::place).toList()) : remembered.union(choice.regions().stream().map(i -> regions.get(i).place()).toList());
        Region region = new Region(Step.Kind.PRIME, What.of(whole ? What.Of.WHOLE_PICTURE : What.Of.BRIGHT_AREAS), place, choice.primer(), Region.Spread.EVEN, -2 * Region.LEVELS, Region.Line.NONE, choice.why());
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

    private List<PaintUse> supplies(List<Step> steps) {
        Map<String, Double> needed = new TreeMap<>();
        for (Step step : steps) {
            if (step.layer().isPresent()) {
                Step.Layer layer = step.layer().get();
                Mix mix = layer.load().mix();
                for (Mix.Part part : mix.parts()) {
                    palette.shelf().find(part.paint()).ifPresent(p -> needed.merge(p.id(), (double) part.parts() / mix.totalParts()
                            * PaintUse.spread(step.work().areaMm2(), layer.load().thin() * p.wetCoat().value(), layer.coats()).value(), Double::sum));
                }
            }
        }
        return palette.shelf().paints().stream().filter(p -> needed.containsKey(p.id()))
                .map(p -> new PaintUse(p.id(), new Millilitres(needed.get(p.id())), p.left())).toList();
    }
}
