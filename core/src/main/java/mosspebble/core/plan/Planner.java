package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mosspebble.core.care.Preparation;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.PaintOptics;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
import mosspebble.core.sketch.Bed;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Grid;
import mosspebble.core.sketch.Mask;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Shapes;
import mosspebble.core.stone.Survey;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.timetable.Sitting;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Geometry;

/**
 * Computes the plan of one stone: regions of the design, primer where it saves coats, an order, coats over every ground that each region crosses, times, supplies and findings.
 * Pure: the same input gives the same plan. One instance is one computation.
 */
public final class Planner {

    private static final int MOST_COATS = PrimerChoice.MOST_COATS;

    /** A ground counts for the whole region from this share of its cells on; a smaller one gets its own extra coats. */
    private static final double MAIN_GROUND = 0.12;

    /** A ground below this share is lost in the seam. */
    private static final double LEAST_GROUND = 0.015;

    /** Wet paint bleeds into wet paint up to this distance, mm (common practice, no source). */
    static final double BLEED_MM = 1.0;

    private final Project project;
    private final Survey survey;
    private final Palette palette;
    private final Climate climate;
    private final Habits habits;
    private final Grid grid;
    private final List<FilmTable> bareTables;
    private final List<Operation> operations = new ArrayList<>();
    private final List<BitSet> touched = new ArrayList<>();
    private final FilmMap films;
    private final double[] secant;
    private final List<Finding> findings = new ArrayList<>();
    private final Set<String> hard = new LinkedHashSet<>();

    private Planner(Project project, Survey survey, Palette palette, Climate climate) {
        this.project = project;
        this.survey = survey;
        this.palette = palette;
        this.climate = climate;
        this.habits = project.habits();
        double halfWidth = survey.dome().outline().halfWidth();
        double halfHeight = survey.dome().outline().halfHeight();
        this.grid = Grid.around(halfWidth, halfHeight, Math.max(0.5, Math.max(halfWidth, halfHeight) / 200));
        double soak = SoakIn.share(survey.stone());
        this.bareTables = List.of(new FilmTable(PaintPlan.bare(survey.stone(), Look.DRY), soak), new FilmTable(PaintPlan.bare(survey.stone(), Look.SEALED), soak));
        this.films = new FilmMap(grid, new FilmTable(PaintPlan.bare(survey.stone(), Look.DRY), soak));
        this.secant = secants();
    }

    /**
     * @param survey of the project's stone
     */
    public static PaintPlan plan(Project project, Survey survey, Palette palette, Repertoire repertoire, Climate climate) {
        return new Planner(project, survey, palette, climate).plan(repertoire);
    }

    private PaintPlan plan(Repertoire repertoire) {
        Optional<PlacedDesign> design = project.sketch().flatMap(sketch -> Designs.place(sketch, repertoire, new Bed(survey, project.viewpoint())));
        FindingRules rules = new FindingRules(project, survey, palette, climate, findings);
        rules.stone();
        SketchRules sketchRules = new SketchRules(project, survey, palette, repertoire, findings);
        sketchRules.sketch(design);
        design.ifPresent(d -> build(d, rules, sketchRules));
        List<PaintUse> supplies = supplies();
        rules.supplies(supplies);
        double thickest = films.thickestUm();
        rules.film(thickest);
        rules.sealing(!operations.isEmpty());
        findings.sort((a, b) -> a.weight().compareTo(b.weight()));
        List<Sitting.Task> tasks = operations.stream()
                .map(o -> new Sitting.Task(o.hand(), o.between(), o.dries(), o.after().stream().map(Operation.After::step).toList())).toList();
        return new PaintPlan(project, survey, design, operations, findings, Sitting.oneAfterTheOther(tasks), supplies, hard, thickest);
    }

    private void build(PlacedDesign design, FindingRules rules, SketchRules sketchRules) {
        Map<String, Palette.Colour> colours = Regions.colours(project.colours(), palette);
        Optional<Palette.Colour> ground = project.ground().flatMap(palette::colour);
        rules.colours(design, colours, ground);
        Lab bareLab = Lab.of(PaintPlan.bare(survey.stone(), habits.outdoors() ? Look.SEALED : Look.DRY));
        Regions cut = Regions.of(design, survey, colours, ground, bareLab, palette, habits);
        List<Region> regions = cut.list();
        hard.addAll(sketchRules.tools(design, cut, colours));
        rules.contrast(design, cut, colours);
        prepare();
        pencil(design);
        List<BitSet> cells = regions.stream().map(r -> cells(Mask.of(r.place(), grid))).toList();
        double[] areas = regions.stream().mapToDouble(r -> area(Mask.of(r.place(), grid))).toArray();
        Optional<PrimerChoice> primer = primer(regions, areas, cells);
        primer.ifPresent(p -> prime(p, regions, cells));
        boolean again = primer.isPresent() || habits.ground() == Habits.Ground.UNDER && project.ground().isPresent();
        List<PaintOrder.Ordered> order = PaintOrder.of(regions, cells);
        boolean pencilled = !again;
        for (int i = 0; i < order.size();) {
            Region first = regions.get(order.get(i).region());
            if (!pencilled && first.kind() != Operation.Kind.GROUND) {
                pencilAgain(design);
                pencilled = true;
            }
            List<Region> together = new ArrayList<>();
            Set<Integer> taken = new LinkedHashSet<>();
            while (i < order.size() && sameStep(first, regions.get(order.get(i).region())) && order.get(i).before().stream().noneMatch(taken::contains)) {
                taken.add(order.get(i).region());
                together.add(regions.get(order.get(i).region()));
                i++;
            }
            lay(together);
        }
        finish();
    }

    private static boolean sameStep(Region a, Region b) {
        return a.kind() == b.kind() && a.colour().mix().equals(b.colour().mix()) && a.lineMm() == b.lineMm() && a.thin() == b.thin();
    }

    // --- steps without paint

    private void prepare() {
        for (Preparation.Step step : Preparation.of(survey, climate)) {
            add(new Operation(Operation.Kind.PREPARE, step.title(), step.sentence(), step.reason(), Shapes.nothing(), Optional.empty(), Optional.empty(), Optional.empty(), 0, step.tool(),
                    survey.facts().upperMm2(), step.hand(), Duration.ZERO, step.waits(), last("the step before is done")), null);
        }
    }

    private void pencil(PlacedDesign design) {
        boolean pale = Lab.of(survey.stone().colour()).l() > 48;
        pencilStep(design, Operation.Kind.PENCIL, pale ? "graphite pencil" : "white chalk pencil",
                pale ? "Graphite shows on this pale stone and does not bleed into it as a pen would." : "The stone is dark (L* " + Numbers.text(Lab.of(survey.stone().colour()).l(), 0) + "): chalk shows, graphite would not.");
    }

    private void pencilAgain(PlacedDesign design) {
        pencilStep(design, Operation.Kind.PENCIL_AGAIN, "graphite pencil, lightly", "The first lines lie below the paint. Clear crumbs away before painting.");
    }

    private void pencilStep(PlacedDesign design, Operation.Kind kind, String tool, String reason) {
        double length = design.parts().stream().mapToDouble(p -> p.drawn().getLength()).sum();
        long minutes = Math.max(3, Math.round(2 + length / 260));
        String what = kind == Operation.Kind.PENCIL ? "Pencil the design" : "Pencil the inner lines again";
        add(new Operation(kind, what, "Transfer the guide and draw lightly.", reason, Shapes.nothing(), Optional.empty(), Optional.empty(), Optional.empty(), 0, tool, 0,
                Duration.ofMinutes(minutes), Duration.ZERO, Duration.ZERO, last("the ground below must be dry")), null);
    }

    private List<Operation.After> last(String reason) {
        return operations.isEmpty() ? List.of() : List.of(new Operation.After(operations.size() - 1, reason));
    }

    // --- primer

    private Optional<PrimerChoice> primer(List<Region> regions, double[] areas, List<BitSet> cells) {
        List<Integer> big = new ArrayList<>();
        for (int i = 0; i < regions.size(); i++) {
            if ((regions.get(i).kind() == Operation.Kind.FILL || regions.get(i).kind() == Operation.Kind.GROUND) && !onAnother(i, regions, cells)) {
                big.add(i);
            }
        }
        List<Palette.Colour> primers = palette.shelf().ofKind(PaintKind.PRIMER).stream().map(p -> palette.colour(Mix.of(p.id())).orElseThrow()).toList();
        return PrimerChoice.of(big.stream().map(regions::get).toList(), big.stream().mapToDouble(i -> areas[i]).toArray(), bareTables, primers, habits)
                .map(p -> new PrimerChoice(p.primer(), p.coats(), p.regions().stream().map(big::get).toList(), p.reason()));
    }

    /** Whether most of a region lies on a deeper region and so never sees the stone. */
    private static boolean onAnother(int index, List<Region> regions, List<BitSet> cells) {
        for (int i = 0; i < regions.size(); i++) {
            Region other = regions.get(i);
            if (other.depth() < regions.get(index).depth() && (other.kind() == Operation.Kind.FILL || other.kind() == Operation.Kind.GROUND)) {
                BitSet common = (BitSet) cells.get(index).clone();
                common.and(cells.get(i));
                if (common.cardinality() > 0.7 * cells.get(index).cardinality()) {
                    return true;
                }
            }
        }
        return false;
    }

    private void prime(PrimerChoice choice, List<Region> regions, List<BitSet> cells) {
        BitSet needed = new BitSet();
        choice.regions().forEach(i -> needed.or(cells.get(i)));
        BitSet all = new BitSet();
        cells.forEach(all::or);
        boolean whole = habits.primer() == Habits.Primer.WHOLE || needed.cardinality() > 0.6 * all.cardinality();
        List<Geometry> places = whole
                ? regions.stream().filter(r -> r.kind() == Operation.Kind.FILL || r.kind() == Operation.Kind.GROUND).map(Region::place).toList()
                : choice.regions().stream().map(i -> regions.get(i).place()).toList();
        Geometry place = Shapes.union(places);
        Region region = new Region(Operation.Kind.PRIME, whole ? "the whole picture" : "the bright areas", place, choice.primer(), 1, true, -2, 0, 0, choice.reason());
        layCoats(List.of(region), place, choice.coats(), choice.coats());
    }

    // --- steps with paint

    private void lay(List<Region> together) {
        Region first = together.get(0);
        Geometry place = together.size() == 1 ? first.place() : Shapes.union(together.stream().map(Region::place).toList());
        if (!first.hides()) {
            layCoats(together, place, 1, 1);
            return;
        }
        Mask mask = Mask.of(place, grid);
        Coat coat = coat(first, operations.size());
        double tolerance = first.isLine() ? 2 * habits.tolerance() : habits.tolerance();
        Map<Integer, Integer> grounds = films.cellsUnder(mask);
        int cells = Math.max(1, grounds.values().stream().mapToInt(Integer::intValue).sum());
        int main = 1;
        Map<Integer, Integer> more = new TreeMap<>();
        for (Map.Entry<Integer, Integer> ground : grounds.entrySet()) {
            int coats = coatsOver(ground.getKey(), coat, tolerance);
            double share = (double) ground.getValue() / cells;
            if (share >= MAIN_GROUND || first.isLine() && share >= LEAST_GROUND) {
                main = Math.max(main, coats);
            } else if (share >= LEAST_GROUND) {
                more.put(ground.getKey(), coats);
            }
        }
        int laid = Math.min(main, MOST_COATS);
        FindingRules.hiding(findings, project, first, main, MOST_COATS);
        Map<Integer, Integer> stepsBelow = new TreeMap<>();
        for (Map.Entry<Integer, Integer> ground : more.entrySet()) {
            if (ground.getValue() > laid) {
                int step = films.table().film(ground.getKey()).coat().map(Coat::step).orElse(-1);
                stepsBelow.merge(step, Math.min(ground.getValue(), MOST_COATS), Math::max);
            }
        }
        layCoats(together, place, laid, main);
        for (Map.Entry<Integer, Integer> below : stepsBelow.entrySet()) {
            if (below.getKey() >= 0) {
                Operation ground = operations.get(below.getKey());
                Geometry part = Shapes.common(place, ground.place());
                if (Tools.widerThan(part, 1.6)) {
                    Region extra = new Region(Operation.Kind.MORE, first.title() + " where it lies on " + name(ground), part, first.colour(), first.thin(), true, first.depth(),
                            first.lineMm(), 0, ground.coat().map(Coat::name).orElse("what is below") + " still shows through " + count(laid) + " there.");
                    layCoats(List.of(extra), part, below.getValue() - laid, below.getValue() - laid);
                }
            }
        }
    }

    private static String name(Operation operation) {
        return operation.title().replaceFirst("^\\S+ ", "");
    }

    /** Coats over a ground, dry; over bare stone also as it will look sealed. */
    private int coatsOver(int ground, Coat coat, double tolerance) {
        int coats = films.table().coatsToHide(ground, coat, tolerance, MOST_COATS);
        return ground == 0 ? Math.max(coats, bareTables.get(1).coatsToHide(0, coat, tolerance, MOST_COATS)) : coats;
    }

    private Coat coat(Region region, int step) {
        Srgb swatch = region.colour().optics().full().toSrgb();
        return new Coat(palette.shelf().words(region.colour().mix()), swatch, region.colour().optics(), region.colour().dryUm() * region.thin(), region.colour().dryingShift(), step);
    }

    private void layCoats(List<Region> together, Geometry place, int coats, int wanted) {
        Region first = together.get(0);
        Mask mask = Mask.of(place, grid);
        Coat coat = coat(first, operations.size());
        boolean onBare = films.cellsUnder(mask).getOrDefault(0, 0) > 0;
        Tools tool = Tools.of(first, mask.widest() * grid.cellMm(), palette.shelf());
        double area = area(mask);
        double length = together.stream().mapToDouble(Region::lineLengthMm).sum();
        double minutesPerCoat = first.isLine() && length > 0 ? length / Tools.LINE_MM_PER_MINUTE : area / tool.mm2PerMinute();
        double setup = first.colour().mix().isSingle() ? 1 : 2.5;
        Duration hand = Duration.ofSeconds(Math.max(30, Math.round(60 * (setup + coats * minutesPerCoat))));
        Drying firstCoat = Drying.of(first.colour().wetUm() * first.thin(), first.colour().solids(), onBare, habits.dryer(), climate);
        Drying later = Drying.of(first.colour().wetUm() * first.thin(), first.colour().solids(), false, habits.dryer(), climate);
        Duration between = coats > 1 ? firstCoat.recoat().plus(later.recoat().multipliedBy(coats - 2L)) : Duration.ZERO;
        Duration dries = coats > 1 ? later.recoat() : firstCoat.recoat();
        String what = shortened(together.stream().map(Region::title).distinct().collect(Collectors.joining(", ")));
        boolean outline = first.kind() == Operation.Kind.OUTLINE || first.kind() == Operation.Kind.LINE_FIRST;
        add(new Operation(first.kind(), outline ? "Outline with the " + coat.name() : verb(first.kind()) + " " + what, sentence(first, coat, coats, tool), reason(first, coats, wanted), place,
                fade(together), Optional.of(first.colour().mix()), Optional.of(coat), coats, tool.name(), area, hand, between, dries, after(mask, first)), mask);
        films.lay(mask, coat, coats);
    }

    private static Optional<Geometry> fade(List<Region> together) {
        List<Geometry> within = together.stream().flatMap(r -> r.fadesWithin().stream()).toList();
        return within.isEmpty() ? Optional.empty() : Optional.of(Shapes.union(within));
    }

    private static String shortened(String what) {
        String[] names = what.split(", ");
        return names.length <= 3 ? what : names[0] + ", " + names[1] + " and " + (names.length - 2) + " more";
    }

    private static String verb(Operation.Kind kind) {
        return switch (kind) {
            case PRIME -> "Prime";
            case GROUND -> "Paint";
            case FILL, PREPARE, PENCIL, PENCIL_AGAIN, SIGN -> "Fill";
            case MORE -> "Coat again:";
            case SHADE -> "Glaze";
            case LINE_FIRST, DETAIL, OUTLINE -> "Draw";
            case HIGHLIGHT -> "Set";
            case SEAL -> "Seal";
        };
    }

    private String sentence(Region region, Coat coat, int coats, Tools tool) {
        String how = switch (region.kind()) {
            case SHADE -> "Lay a thin line of " + coat.name() + " along the dark edge and draw it out with a damp, clean brush.";
            case OUTLINE, LINE_FIRST, DETAIL -> "Draw with " + coat.name() + ", lightly, turning the stone so that the hand pulls toward you.";
            case HIGHLIGHT -> "Touch on " + coat.name() + "; reload for every dot of equal size.";
            default -> count(coats) + " of " + coat.name() + (coats > 1 ? ", thin, each dry before the next." : ", thin and even.");
        };
        String first = how.substring(0, 1).toUpperCase(Locale.ROOT) + how.substring(1);
        return coats > 1 && !first.contains("coats") ? first + " " + count(coats) + "." : first;
    }

    private String reason(Region region, int coats, int wanted) {
        if (!region.reason().isEmpty()) {
            return region.reason() + (region.hides() && coats > 1 && region.kind() != Operation.Kind.MORE && region.kind() != Operation.Kind.PRIME
                    ? " " + count(coats) + " until nothing shows through." : "");
        }
        return wanted > coats ? "Even " + count(coats) + " let the ground show; see the findings."
                : coats == 1 ? "One coat hides what is below to within " + Numbers.text(habits.tolerance(), 1) + " (CIEDE2000)."
                : "What is below shows through " + count(coats - 1) + "; after " + coats + " it differs by less than " + Numbers.text(habits.tolerance(), 1) + " (CIEDE2000).";
    }

    private static String count(int coats) {
        return coats == 1 ? "1 coat" : coats + " coats";
    }

    /** Earlier steps within bleeding distance must be dry; the reason tells whether they lie below or beside. */
    private List<Operation.After> after(Mask mask, Region region) {
        BitSet own = cells(mask);
        BitSet near = spread(own);
        List<Operation.After> after = new ArrayList<>();
        for (int i = 0; i < operations.size(); i++) {
            BitSet other = touched.get(i);
            if (other == null) {
                after.add(new Operation.After(i, "comes before paint"));
            } else if (other.intersects(own)) {
                after.add(new Operation.After(i, "lies below"));
            } else if (other.intersects(near)) {
                after.add(new Operation.After(i, "lies within " + Numbers.text(BLEED_MM, 0) + " mm and would bleed"));
            }
        }
        return after;
    }

    private void add(Operation operation, Mask mask) {
        operations.add(operation);
        touched.add(mask == null ? null : cells(mask));
    }

    private void finish() {
        Geometry stone = Shapes.grown(survey.zones().outline(), -0.2);
        List<Operation.After> all = new ArrayList<>();
        for (int i = 0; i < operations.size(); i++) {
            all.add(new Operation.After(i, "everything is painted first"));
        }
        add(new Operation(Operation.Kind.SIGN, "Sign it", "Small, on the back or low on the front, with a pen that does not smear under varnish.",
                "Try each pen once under each sealer and write it down.", Shapes.nothing(), Optional.empty(), Optional.empty(), Optional.empty(), 0, "fine pen", 0, Duration.ofMinutes(2), Duration.ZERO,
                Drying.beforeSealing(films.thickestUm(), climate), List.copyOf(all)), null);
        Optional<Paint> varnish = palette.shelf().ofKind(PaintKind.VARNISH).stream().findFirst();
        SealAdvice advice = SealAdvice.of(survey.stone(), habits.outdoors());
        if (varnish.isPresent()) {
            Coat coat = new Coat(varnish.get().name(), varnish.get().swatch(), PaintOptics.clear(), varnish.get().dryCoat().value(), 0, operations.size());
            Mask mask = Mask.of(stone, grid);
            double area = area(mask);
            add(new Operation(Operation.Kind.SEAL, "Seal", count(advice.coats()) + " of " + varnish.get().name() + ", thin, each fully dry before the next.", advice.reason(), stone,
                    Optional.empty(), Optional.of(Mix.of(varnish.get().id())), Optional.of(coat), advice.coats(), "wide soft brush", area,
                    Duration.ofSeconds(Math.round(60 * (2 + advice.coats() * area / 1500))), advice.between().multipliedBy(advice.coats() - 1L), advice.cure(),
                    List.of(new Operation.After(operations.size() - 1, "all paint must be dry through, or the seal clouds and wrinkles"))), mask);
            films.lay(mask, coat, advice.coats());
        }
    }

    // --- measures on the grid

    private double[] secants() {
        double[] values = new double[grid.cells()];
        double[] normal = new double[3];
        for (int row = 0; row < grid.rows(); row++) {
            for (int column = 0; column < grid.columns(); column++) {
                survey.dome().normalAt(grid.x(column), grid.y(row), normal);
                values[row * grid.columns() + column] = 1 / Math.max(0.15, normal[2]);
            }
        }
        return values;
    }

    /** Area along the stone under a mask, mm2. */
    private double area(Mask mask) {
        double sum = 0;
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                sum += mask.at(c, r) * secant[(mask.row() + r) * grid.columns() + mask.column() + c];
            }
        }
        return sum * grid.cellMm() * grid.cellMm();
    }

    private BitSet cells(Mask mask) {
        BitSet cells = new BitSet(grid.cells());
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                if (mask.at(c, r) > 0.1f) {
                    cells.set((mask.row() + r) * grid.columns() + mask.column() + c);
                }
            }
        }
        return cells;
    }

    /** The cells within bleeding distance. */
    private BitSet spread(BitSet cells) {
        BitSet wide = (BitSet) cells.clone();
        int reach = (int) Math.round(BLEED_MM / grid.cellMm());
        for (int step = 0; step < reach; step++) {
            BitSet before = (BitSet) wide.clone();
            for (int i = before.nextSetBit(0); i >= 0; i = before.nextSetBit(i + 1)) {
                for (int next : new int[] {i - 1, i + 1, i - grid.columns(), i + grid.columns()}) {
                    if (next >= 0 && next < grid.cells()) {
                        wide.set(next);
                    }
                }
            }
        }
        return wide;
    }

    private List<PaintUse> supplies() {
        Map<String, Double> needed = new TreeMap<>();
        for (Operation operation : operations) {
            if (operation.mix().isPresent() && operation.coat().isPresent()) {
                Mix mix = operation.mix().get();
                for (Mix.Part part : mix.parts()) {
                    Optional<Paint> paint = palette.shelf().find(part.paint());
                    double thin = operation.kind() == Operation.Kind.SHADE ? 0.4 : 1;
                    paint.ifPresent(p -> needed.merge(p.id(), (double) part.parts() / mix.totalParts()
                            * PaintUse.spread(operation.areaMm2(), thin * p.wetCoat().value(), operation.coats()).value(), Double::sum));
                }
            }
        }
        return palette.shelf().paints().stream().filter(p -> needed.containsKey(p.id()))
                .map(p -> new PaintUse(p.id(), new Millilitres(needed.get(p.id())), p.left())).toList();
    }
}
