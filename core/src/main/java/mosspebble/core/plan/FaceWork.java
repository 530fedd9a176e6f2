package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Cells;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.care.Compatibility;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Side;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Support;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import org.locationtech.jts.geom.Geometry;

/** The work on one face: regions of its design, primer where it saves coats, an order, coats over every ground that each region crosses. */
final class FaceWork {

    /** To lay out the guide, minutes (common practice, no source). */
    private static final double PENCIL_LAY_OUT_MIN = 2;

    private final Project project;
    private final Survey survey;
    private final Palette palette;
    private final Habits habits;
    private final Remembered remembered;
    private final Side side;
    private final Course course;
    private final BuildUp built;
    private final Optional<PlacedDesign> design;
    private final Compatibility.Known known;
    private final Optional<Paint> sealer;
    private final Optional<Areas> areas;

    /**
     * What there is to paint, before an order is sought.
     *
     * @param regions those of the design, and what keeps coats apart that quarrel
     * @param cells what each touches
     * @param ground below all of it, where it has one
     * @param stays where old paint is seen that is not part of the design
     */
    private record Areas(PlacedDesign placed, Regions cut, List<Region> regions, List<Cells> cells, Optional<Palette.Colour> ground,
            Optional<PrimerChoice> primer, Geometry stays) {}

    /**
     * @param project as it lies with this face up
     * @param sealer what it will be sealed with, if at all
     */
    FaceWork(Project project, Survey survey, Workshop workshop, Optional<Paint> sealer, Course course, Remembered remembered) {
        this.known = workshop.known();
        this.sealer = sealer;
        this.project = project;
        this.survey = survey;
        this.palette = workshop.palette();
        this.habits = project.habits();
        this.remembered = remembered;
        this.course = course;
        this.side = project.sides().backUp() ? Side.BACK : Side.FRONT;
        this.built = new BuildUp(Surface.face(side, survey, remembered), course, habits, palette, workshop.climate(), remembered);
        this.design = project.sketch()
                .flatMap(sketch -> Designs.place(sketch, workshop.repertoire(), new Support(survey, project.viewpoint()), remembered));
        this.areas = design.map(this::areas);
    }

    Optional<PlacedDesign> design() {
        return design;
    }

    Side side() {
        return side;
    }

    Survey survey() {
        return survey;
    }

    BuildUp built() {
        return built;
    }

    FacePlan plan(Noticed noticed) {
        return new FacePlan(project, survey, design, new PaintPlan.Thickness(built.films().thickestUm(), built.weakest()), noticed,
                areas.map(Areas::stays).orElseGet(() -> Shapes.union(built.earlier().stream().map(Step.Layer::place).toList())));
    }

    private Areas areas(PlacedDesign placed) {
        Map<String, Palette.Colour> colours = palette.colours(project.colours());
        Optional<Palette.Colour> ground = project.ground().flatMap(palette::colour);
        Lab bareLab = remembered.recall("bare lab", survey.stone(), habits.outdoors() ? StoneState.SEALED : StoneState.DRY,
                (stone, state, m) -> Lab.of(PaintPlan.bare(stone, state)));
        Regions cut = Regions.of(placed, survey, colours, project.blends(), ground, bareLab, palette, habits, remembered);
        Standing.Found found = Standing.of(cut.list(), built, remembered);
        List<Region> regions = new ArrayList<>(found.lacking());
        Apart.Kept apart = Apart.of(regions, palette, known, sealer, remembered);
        regions.addAll(apart.coats());
        built.rest(apart.rests());
        List<Cells> cells = regions.stream().map(r -> built.cells(r.place())).toList();
        double[] areas = regions.stream().mapToDouble(r -> built.area(r.place())).toArray();
        return new Areas(placed, cut, regions, cells, ground, primer(regions, areas, cells), found.stays());
    }

    /** Whether anything of it is primed. */
    boolean isPrimed() {
        return areas.flatMap(Areas::primer).isPresent();
    }

    /**
     * Paints the face.
     *
     * @param left things that were left out of the sketch
     */
    Noticed paint(List<Item> left) {
        return areas.map(a -> paint(a, left)).orElse(Noticed.NOTHING.leaving(left));
    }

    private Noticed paint(Areas areas, List<Item> left) {
        Optional<PrimerChoice> primer = areas.primer();
        boolean groundUnder = habits.ground() == Habits.Ground.UNDER && areas.ground().isPresent();
        boolean primedWhole = primer.filter(p -> primesAll(p, areas.regions(), areas.cells())).isPresent();
        Map<Integer, Integer> fixed = new HashMap<>();
        List<Region> all = new ArrayList<>(areas.regions());
        List<Cells> touched = new ArrayList<>(areas.cells());
        primer.ifPresent(p -> {
            fixed.put(all.size(), p.coats());
            all.add(prime(p, areas.regions(), primedWhole));
            touched.add(built.cells(all.get(all.size() - 1).place()));
        });
        boolean hidden = groundUnder || primedWhole; // whatever were pencilled now would lie under paint
        if (all.isEmpty() && !built.earlier().isEmpty()) { // everything is painted
            return Noticed.NOTHING.leaving(left);
        }
        List<Pencilling.Edge> edges = Pencilling.of(all, remembered);
        double open = Pencilling.openMm(edges) + guides(areas.placed());
        double again = hidden || primer.isEmpty() ? open : Pencilling.openMm(edges, all.get(all.size() - 1).place(), remembered);
        if (!hidden) {
            List<Step.After> handled = course.others(side, Step.Waits.HANDLED);
            pencil(open, false, false, Lab.of(survey.stone().colour()).l(),
                    handled.isEmpty() ? course.last(Step.Waits.DRY_GROUND) : handled);
        }
        Optional<Palette.Colour> below = groundUnder ? areas.ground() : primer.map(PrimerChoice::primer);
        List<Passes.Broken> against = built.paint(all, touched, fixed,
                below.filter(c -> again >= Pencilling.LEAST_MM).map(c -> after -> pencil(again, !hidden, true, c.lab().l(), after)),
                project.order());
        List<Noticed.Broken> broken = against.stream()
                .map(b -> new Noticed.Broken(all.get(b.first()).what(), all.get(b.then()).what(), b.arrow().because(),
                        all.get(b.arrow().before()).what()))
                .toList();
        Paintability paintability = new Paintability(areas.placed(), areas.cut().seen(), palette.colours(project.colours()), palette,
                survey.stone().texture().pitMm(), remembered);
        return new Noticed(left, new Noticed.Fit(paintability.narrow(), paintability.tight()), areas.cut().faintest(), areas.cut().muddy(),
                showing(all, touched),
                broken, List.of(), Optional.empty());
    }

    private List<Noticed.Showing> showing(List<Region> regions, List<Cells> cells) {
        List<Noticed.Showing> found = new ArrayList<>();
        for (Region region : built.showing()) {
            boolean mends = !onAnother(regions.indexOf(region), regions, cells)
                    && PrimerChoice.mends(region, bare(survey.stone()), primers(), habits.tolerance());
            found.add(new Noticed.Showing(region.what(), region.colour().mix(), mends));
        }
        return found;
    }

    private List<Palette.Colour> primers() {
        return palette.shelf().that(PaintKind.Use.PRIMES).stream().map(p -> palette.colour(Mix.of(p.id())).orElseThrow()).toList();
    }

    /** The looks of the bare stone that count. */
    private static List<FilmTable> bare(Stone stone) {
        double soak = SoakIn.share(stone);
        return List.of(new FilmTable(PaintPlan.bare(stone, StoneState.DRY), soak),
                new FilmTable(PaintPlan.bare(stone, StoneState.SEALED), soak));
    }

    private static double guides(PlacedDesign placed) {
        return placed.parts().stream().filter(p -> p.part().role() == Role.GUIDE).mapToDouble(p -> p.drawn().getLength()).sum();
    }

    /**
     * @param mm of line
     * @param again whether it was pencilled before and lies under paint by now
     * @param below lightness of what it is drawn on, CIE L*
     */
    private void pencil(double mm, boolean again, boolean onPaint, double below, List<Step.After> after) {
        long minutes = Math.max(again ? 1 : 3, Math.round((again ? 0 : PENCIL_LAY_OUT_MIN) + mm / Pencilling.MM_PER_MINUTE));
        course.add(new Step.Pencil(side, new Step.Drawing(again, onPaint, below <= Pencilling.SHOWS_GRAPHITE, below),
                new Step.Work(0, Duration.ofMinutes(minutes), Duration.ZERO, Duration.ZERO, Duration.ZERO), after));
    }

    // --- primer

    private Optional<PrimerChoice> primer(List<Region> regions, double[] areas, List<Cells> cells) {
        List<Integer> big = new ArrayList<>();
        for (int i = 0; i < regions.size(); i++) {
            Step.Kind kind = regions.get(i).kind();
            if ((kind == Step.Kind.FILL || kind == Step.Kind.GROUND) && regions.get(i).hides() && !onAnother(i, regions, cells)
                    && !Standing.isOnPaint(regions.get(i), built)) {
                big.add(i);
            }
        }
        List<Region> bases = big.stream().map(regions::get).toList();
        double[] sizes = big.stream().mapToDouble(i -> areas[i]).toArray();
        return remembered
                .recall("primer", bases, Arrays.stream(sizes).boxed().toList(), survey.stone(), primers(), habits,
                        (all, squares, stone, offered, how, m) -> PrimerChoice.of(all,
                                squares.stream().mapToDouble(Double::doubleValue).toArray(), bare(stone), offered, how))
                .map(p -> new PrimerChoice(p.primer(), p.coats(), p.regions().stream().map(big::get).toList(), p.why()));
    }

    /** Whether most of a region lies on a deeper region and so never sees the stone. */
    private static boolean onAnother(int index, List<Region> regions, List<Cells> cells) {
        for (int i = 0; i < regions.size(); i++) {
            Region other = regions.get(i);
            if (other.depth() < regions.get(index).depth() && (other.kind() == Step.Kind.FILL || other.kind() == Step.Kind.GROUND)
                    && other.hides()
                    && cells.get(index).common(cells.get(i)) > 0.7 * cells.get(index).count()) {
                return true;
            }
        }
        return false;
    }

    /** Whether the primer goes under everything. */
    private boolean primesAll(PrimerChoice choice, List<Region> regions, List<Cells> cells) {
        double needed = choice.regions().stream().mapToDouble(i -> cells.get(i).count()).sum();
        double all = bases(regions).stream().mapToDouble(r -> built.cells(r.place()).count()).sum();
        return habits.primer() == Habits.Primer.WHOLE || needed > 0.6 * all;
    }

    private static List<Region> bases(List<Region> regions) {
        return regions.stream().filter(r -> r.kind() == Step.Kind.FILL || r.kind() == Step.Kind.GROUND).toList();
    }

    private Region prime(PrimerChoice choice, List<Region> regions, boolean whole) {
        Geometry place = remembered
                .union((whole ? bases(regions) : choice.regions().stream().map(regions::get).toList()).stream().map(Region::place)
                        .toList());
        return new Region(Step.Kind.PRIME, What.of(whole ? What.Of.WHOLE_PICTURE : What.Of.BRIGHT_AREAS), place, choice.primer(),
                Region.Spread.EVEN, -2 * Region.LEVELS, Region.Line.NONE, choice.why());
    }
}
