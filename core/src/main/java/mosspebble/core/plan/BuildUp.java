package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mosspebble.core.area.Cells;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Share;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Film;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.FlakeCover;
import mosspebble.core.coats.Sheen;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintOptics;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
import mosspebble.core.drying.Setting;
import mosspebble.core.project.Habits;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/**
 * Lays region after region on the stone: counts the coats over every ground each crosses, chooses the tool, and writes down the steps with
 * their times and what they wait for.
 */
public final class BuildUp {

    private static final int MOST_COATS = PrimerChoice.MOST_COATS;

    /** Mixing a puddle, minutes (common practice, no source: 1 to 3). */
    private static final double MIX_MIN = 2.5;

    /** Taking up a paint as it is, the first time, minutes (common practice, no source). */
    private static final double TAKE_UP_MIN = 1;

    /** Rinsing and loading again, minutes (common practice, no source: 20 to 40 s). */
    private static final double RELOAD_MIN = 0.5;

    /** Going on with the next load of a wet pass, minutes: it is mixed before (common practice, no source). */
    private static final double NEXT_LOAD_MIN = 0.3;

    /** Two paints that meet on less do not count as one upon the other, mm2. */
    private static final double LEAST_MET_MM2 = 1;

    /** A hand rests about so far from the point it paints, mm (common practice, no source). */
    private static final double REST_MM = 45;

    private final Surface surface;
    private final Course course;
    private final Palette palette;
    private final Climate climate;
    private final Habits habits;
    private final Remembered remembered;
    private final Grid grid;
    private final FilmTable sealedBare;
    private final Drying.Below bareStone;
    private final FilmMap films;
    private final List<Step.Layer> earlier = new ArrayList<>();
    private final Set<Laid> laid = new LinkedHashSet<>();
    private final List<Region> showing = new ArrayList<>();
    private List<Pencilling.Edge> edges = List.of();
    private Map<Region, Duration> rests = Map.of();

    /** One step's paint directly on another's; below is -1 on bare stone. */
    public record Laid(int below, int above) {}

    /** @param course to which the steps are added */
    BuildUp(Surface surface, Course course, Habits habits, Palette palette, Climate climate, Remembered remembered) {
        this.surface = surface;
        this.course = course;
        this.palette = palette;
        this.climate = climate;
        this.habits = habits;
        this.remembered = remembered;
        this.grid = surface.grid();
        this.sealedBare = new FilmTable(bare(StoneState.SEALED), SoakIn.share(surface.stone()));
        this.bareStone = Drying.Below.stone(SoakIn.share(surface.stone()));
        this.films = bareFilms();
        for (Step step : course.steps()) {
            if (step instanceof Step.Earlier && step.side() == surface.side()) {
                earlier.addAll(step.layers());
                step.layers().forEach(l -> films.lay(mask(l.place()), l.load().coat(), l.coats()));
            }
        }
    }

    /** What lies there from earlier, the first laid first. */
    List<Step.Layer> earlier() {
        return earlier;
    }

    Grid grid() {
        return grid;
    }

    int bleedCells() {
        return (int) Math.round(Step.BLEED_MM / grid.cellMm());
    }

    FilmMap films() {
        return films;
    }

    /** Which paint lies directly on which, by steps. */
    Set<Laid> laid() {
        return laid;
    }

    /** What no number of coats hides. */
    /** How the flakes of a clear load cover; empty where it holds none that are seen singly. */
    Optional<FlakeCover> flakes(Region region) {
        return region.isClear() ? single(region.colour().mix())
                .filter(p -> p.kind().does(PaintKind.Use.FLAKES)).map(p -> new FlakeCover(FlakeCover.GLITTER_MM, p.hiding()))
                : Optional.empty();
    }

    /** Whether it glows, and so is laid in two coats at least: what glows is in the thickness (common practice, no source). */
    boolean glows(Region region) {
        return region.isClear() && single(region.colour().mix()).filter(p -> p.kind().does(PaintKind.Use.GLOWS)).isPresent();
    }

    /** What rests for so long at least before anything is laid on it; regions by identity. */
    void rest(Map<Region, Duration> longer) {
        rests = longer;
    }

    List<Region> showing() {
        return showing;
    }

    // --- steps with paint

    Mask mask(Geometry place) {
        return mask(place, grid, remembered);
    }

    Cells cells(Geometry place) {
        return cells(place, grid, remembered);
    }

    /** The mask of what lies at least so far from the edge, mm. */
    Mask core(Geometry place, double mm) {
        return remembered.recall("inner mask", place, grid, mm, (p, g, far, m) -> mask(p, g, m).within(p, g, far));
    }

    private static Mask mask(Geometry place, Grid grid, Remembered memory) {
        return memory.recall("mask", place, grid, (p, g, m) -> Mask.of(p, g));
    }

    private static Cells cells(Geometry place, Grid grid, Remembered memory) {
        return memory.recall("cells", place, grid, (p, g, m) -> Cells.of(mask(p, g, m)));
    }

    /**
     * Paints all regions.
     *
     * @param cells what each touches
     * @param fixed coats that are settled already, by region
     * @param pencil draws again on what the first grounds cover, after the steps given; empty if nothing needs it
     * @param own keys of passes in the painter's own order; empty for none
     * @return what that order goes against
     */
    List<Passes.Broken> paint(List<Region> regions, List<Cells> cells, Map<Integer, Integer> fixed,
            Optional<Consumer<List<Step.After>>> pencil, List<String> own) {
        edges = Pencilling.of(regions, remembered);
        PaintOrder order = PaintOrder.of(regions, cells, bleedCells(), grid, remembered);
        List<CoatCount.Coats> coats = CoatCount.of(regions, order.oneByOne(), fixed, this, remembered);
        Passes passes = Passes.of(regions, coats, order, this, habits.hand(), pencil.isPresent(), own);
        List<Passes.Broken> broken = passes.broken();
        if (!broken.isEmpty()) { // the grounds are others then
            PaintOrder turned = order.following(passes.oneByOne());
            coats = CoatCount.of(regions, turned.oneByOne(), fixed, this, remembered);
            passes = Passes.of(regions, coats, turned, this, habits.hand(), pencil.isPresent(), own);
        }
        course.atLeast(passes.bound());
        List<Integer> numbers = new ArrayList<>();
        for (Passes.Pass pass : passes.list()) {
            numbers.add(course.size());
            if (pass.isPencil()) {
                pencil.orElseThrow().accept(pass.after().stream().map(l -> new Step.After(numbers.get(l.pass()), l.waits())).toList());
            } else {
                lay(pass, regions, coats, numbers);
            }
        }
        return broken;
    }

    /** What a coat of a mix may be worth. */
    Palette.Worth worth(Mix mix) {
        return palette.worth(mix);
    }

    Remembered remembered() {
        return remembered;
    }

    /**
     * The stone as it is before its first pass, to count coats on.
     *
     * @param regions how many there are: what lies there from earlier is numbered after them
     */
    FilmMap before(int regions) {
        FilmMap map = bareFilms();
        for (int k = 0; k < earlier.size(); k++) {
            Coat coat = earlier.get(k).load().coat();
            map.lay(mask(earlier.get(k).place()), new Coat(coat.name(), coat.swatch(), coat.optics(), coat.dryUm(), coat.dryingShift(),
                    coat.sheen(), regions + k), earlier.get(k).coats());
        }
        return map;
    }

    private FilmMap bareFilms() {
        return new FilmMap(grid, new FilmTable(bare(StoneState.DRY), SoakIn.share(surface.stone())));
    }

    private Spectrum bare(StoneState state) {
        return remembered.recall("bare", surface.stone(), state, (stone, look, m) -> PaintPlan.bare(stone, look));
    }

    FilmTable sealedBare() {
        return sealedBare;
    }

    /** What still counts as hidden, CIEDE2000. */
    double tolerance(Region region) {
        return region.isLine() ? 2 * habits.tolerance() : habits.tolerance();
    }

    /** @param thick how many coats thick it is */
    Coat coat(Region region, int step, int thick) {
        return coat(region.colour(), region.thin() * thick, step, palette);
    }

    /** @param times as thick as a usual coat */
    static Coat coat(Palette.Colour colour, double times, int step, Palette palette) {
        return new Coat(palette.shelf().words(colour.mix()), colour.optics().full().toSrgb(), colour.optics(), colour.dryUm() * times,
                colour.dryingShift(), single(colour.mix(), palette).map(Sheen::of).orElse(Sheen.SATIN), step);
    }

    /**
     * What a pass asks of the hand.
     *
     * @param painting from the first stroke to the last
     * @param tool of the largest of its places
     * @param widened whether a small brush widens an edge first
     */
    record Effort(Duration painting, Tool tool, boolean widened, double areaMm2) {}

    Effort effort(List<Jobs.Member> members, List<Region> regions) {
        double minutes = 0;
        double area = 0;
        double largest = -1;
        Tool tool = null;
        boolean widened = false;
        Set<Mix> loads = new LinkedHashSet<>();
        for (Jobs.Member member : members) {
            Region region = regions.get(member.region());
            Geometry place = member.place();
            Tools own = remembered.recall("tool", region.place(), region.colour().mix(), region.isLine(), region.what().share().kind(),
                    grid,
                    palette.shelf(),
                    (all, mix, line, share, g, shelf, m) -> Tools.of(all, mix, line, share, mask(all, g, m).widest() * g.cellMm(), shelf));
            double mm2 = area(place);
            boolean wide = own.isLarge() && region.kind() == Step.Kind.FILL;
            double length = region.line().lengthMm() * (place == region.place() ? 1 : place.getArea() / region.place().getArea());
            minutes += region.isLine() && length > 0 ? length / Tools.LINE_MM_PER_MINUTE
                    : mm2 / own.mm2PerMinute() + (own.tool().followsEdges() ? place.getLength() / Tools.edgeMmPerMinute(member.coat()) : 0);
            if (member.coat() == 1 && edges.get(member.region()).isDrawnOnPaint()) {
                minutes += edges.get(member.region()).coveredMm() / Pencilling.MM_PER_MINUTE;
            }
            area += mm2;
            widened |= wide;
            loads.add(region.colour().mix());
            boolean dots = own.tool().kind() == Tool.Kind.DOT_END;
            boolean onlyDots = tool == null || tool.kind() == Tool.Kind.DOT_END;
            if (dots == onlyDots ? mm2 > largest : onlyDots) { // a rod is for dots alone: what else is there wants a brush for all
                largest = mm2;
                tool = own.tool();
            }
        }
        minutes += (loads.size() - 1) * NEXT_LOAD_MIN;
        if (members.stream().anyMatch(m -> regions.get(m.region()).what().share().kind() == Share.Kind.GEL)) {
            minutes += Setting.LAMP.toSeconds() / 60.0;
        }
        return new Effort(minutes(minutes), tool, widened, area);
    }

    private static Duration minutes(double minutes) {
        return Duration.ofSeconds(Math.max(1, Math.round(60 * minutes)));
    }

    /** How much longer it takes to mix anew than to take up what is damp. */
    static final Duration SAVED = minutes(MIX_MIN - RELOAD_MIN);

    /** Minutes to have a load ready: mixed or taken up the first time, else loaded again. */
    static double setUp(Mix mix, boolean first) {
        return !first ? RELOAD_MIN : mix.isSingle() ? TAKE_UP_MIN : MIX_MIN;
    }

    /** Mean thickness in coats: a dot is a cap, whose mean height is half of its height in the middle (a flat spherical cap). */
    private static double mean(CoatCount.Coats coats) {
        return coats.thick() > 1 ? Math.max(1, coats.thick() / 2.0) : 1;
    }

    /** How a coat dries, or sets in its own time. */
    private Drying drying(Region region, double coats, Drying.Below below, boolean dryer) {
        Palette.Colour colour = region.colour();
        return single(colour.mix()).flatMap(Setting::of)
                .orElseGet(() -> Drying.of(colour.wetUm() * region.thin() * coats, colour.solids(), below, dryer, climate));
    }

    private Optional<Paint> single(Mix mix) {
        return single(mix, palette);
    }

    private static Optional<Paint> single(Mix mix, Palette palette) {
        return mix.isSingle() ? palette.shelf().find(mix.parts().get(0).paint()) : Optional.empty();
    }

    /** How a pass dries: as the slowest of its loads. */
    Drying drying(List<Jobs.Member> members, List<Region> regions, List<CoatCount.Coats> coats, boolean onBare) {
        Drying slowest = members.stream()
                .map(m -> drying(regions.get(m.region()), mean(coats.get(m.region())), onBare ? bareStone : Drying.Below.PAINT,
                        habits.dryer()))
                .max((a, b) -> a.recoat().compareTo(b.recoat())).orElseThrow();
        Duration rest = members.stream().map(m -> rests.getOrDefault(regions.get(m.region()), Duration.ZERO)).max(Duration::compareTo)
                .orElse(Duration.ZERO);
        return rest.compareTo(slowest.recoat()) > 0 ? new Drying(slowest.open(), slowest.touchDry(), rest) : slowest;
    }

    /**
     * Lays a pass.
     *
     * @param coats of each region
     * @param numbers of the steps that the passes before it became
     */
    void lay(Passes.Pass pass, List<Region> regions, List<CoatCount.Coats> coats, List<Integer> numbers) {
        int step = course.size();
        Region first = regions.get(pass.members().get(0).region());
        boolean onBare = false;
        List<Step.Layer> layers = new ArrayList<>();
        List<List<Jobs.Member>> loads = pass.wet() ? loads(pass.members(), regions) : sideBySide(pass.members(), regions, coats);
        for (List<Jobs.Member> load : loads) {
            Region region = regions.get(load.get(0).region());
            Geometry place = remembered.union(load.stream().map(Jobs.Member::place).toList());
            int thick = coats.get(load.get(0).region()).thick();
            Coat coat = coat(region, step, thick);
            Mask mask = mask(place);
            Map<Integer, Integer> grounds = films.cellsUnder(mask);
            double least = Math.min(LEAST_MET_MM2, place.getArea() / 2) / (grid.cellMm() * grid.cellMm());
            grounds.forEach((film, count) -> {
                int below = films.table().film(film).coat().map(Coat::step).orElse(-1);
                if (below != step && count >= least) {
                    laid.add(new Laid(below, step));
                }
            });
            onBare |= grounds.getOrDefault(0, 0) > 0;
            layers.add(new Step.Layer(surface.side(), place, soft(load, regions),
                    new Step.Load(region.colour().mix(), coat, region.thin() * thick), 1, again(load, coats, place)));
            films.lay(mask, coat, 1);
        }
        double setUp = pass.members().stream().map(m -> regions.get(m.region()))
                .filter(r -> !pass.wet() || r.what().share().kind() != Share.Kind.MIXED_STEP) // that is mixed on the stone
                .map(r -> r.colour().mix()).distinct()
                .mapToDouble(m -> setUp(m, course.mix(m))).sum();
        Effort effort = effort(pass.members(), regions);
        Drying drying = drying(pass.members(), regions, coats, onBare);
        List<What> what = pass.members().stream().map(m -> what(m, regions, coats)).toList();
        int of = pass.members().stream().mapToInt(m -> coats.get(m.region()).number()).max().orElse(1);
        int wanted = pass.members().stream().mapToInt(m -> coats.get(m.region()).wanted()).max().orElse(1);
        Jobs.Member lead = pass.members().get(0);
        Step.Doing doing = new Step.Doing(what, first.hides(), why(lead, regions, coats),
                new Step.Count(pass.wet() ? 1 : lead.coat(), pass.wet() ? 1 : of, wanted, hiding(pass, of, coats),
                        pass.wet() ? List.of() : enough(pass, of, regions, coats)),
                habits.tolerance(),
                effort.widened(),
                turn(layers.stream().map(Step.Layer::place).toList(), first), pencil(pass));
        Step.Work work = new Step.Work(effort.areaMm2(), effort.painting().plus(minutes(setUp)), Duration.ZERO, drying.touchDry(),
                drying.recoat());
        long apart = pass.members().size() / loads.size(); // places worked one after the other
        Optional<Step.Wet> wet = pass.wet()
                ? Optional.of(new Step.Wet(open(pass, regions), effort.painting().dividedBy(apart)))
                : Optional.empty();
        course.add(new Step.Lay(pass.key(), first.kind(), doing, layers, effort.tool(), work, wet, after(pass, numbers)));
        pass.members().stream().filter(m -> m.coat() == 1 && coats.get(m.region()).wanted() > Planner.MOST_COATS)
                .forEach(m -> showing.add(regions.get(m.region())));
    }

    /** What is drawn just before the pass, on the paint below; on the darkest of it, where there are several. */
    private Optional<Step.Drawing> pencil(Passes.Pass pass) {
        return pass.members().stream().filter(m -> m.coat() == 1).flatMap(m -> edges.get(m.region()).drawing().stream())
                .min((a, b) -> Double.compare(a.belowL(), b.belowL()));
    }

    /** How sure the number of coats is, of the places that take most of them. */
    private static Step.Hiding hiding(Passes.Pass pass, int of, List<CoatCount.Coats> coats) {
        if (pass.wet()) {
            return Step.Hiding.sure(1);
        }
        List<Step.Hiding> all = pass.members().stream().map(m -> coats.get(m.region())).filter(c -> c.number() == of)
                .map(CoatCount.Coats::hiding).toList();
        return new Step.Hiding(all.stream().mapToInt(Step.Hiding::least).max().orElse(of),
                all.stream().mapToInt(Step.Hiding::most).max().orElse(of),
                all.stream().mapToDouble(Step.Hiding::left).max().orElse(0));
    }

    /** Members laid with one load, in their order. */
    private static List<List<Jobs.Member>> loads(List<Jobs.Member> members, List<Region> regions) {
        List<List<Jobs.Member>> loads = new ArrayList<>();
        for (Jobs.Member member : members) {
            Region region = regions.get(member.region());
            Region before = loads.isEmpty() ? null : regions.get(loads.get(loads.size() - 1).get(0).region());
            if (before == null || before == region || !before.sameShare(region) || before.what().part().equals(region.what().part())
                    && before.what().row().thing() == region.what().row().thing()) {
                loads.add(new ArrayList<>());
            }
            loads.get(loads.size() - 1).add(member);
        }
        return loads;
    }

    /** Members of one colour, laid as thick, whatever lies between them. */
    private static List<List<Jobs.Member>> sideBySide(List<Jobs.Member> members, List<Region> regions, List<CoatCount.Coats> coats) {
        return List.copyOf(members.stream().collect(Collectors.groupingBy(
                m -> List.of(regions.get(m.region()).colour().mix(), coats.get(m.region()).thick()), LinkedHashMap::new,
                Collectors.toList())).values());
    }

    /** Where another coat follows. */
    private Geometry again(List<Jobs.Member> load, List<CoatCount.Coats> coats, Geometry all) {
        List<Geometry> again = load.stream().filter(m -> m.coat() < coats.get(m.region()).number())
                .map(m -> coats.get(m.region()).places().get(m.coat())).toList();
        return again.isEmpty() ? Shapes.nothing() : again.size() == load.size() && again.stream().allMatch(g -> load.stream()
                .anyMatch(m -> m.place() == g)) ? all : remembered.union(again);
    }

    /** The shortest time that any of the loads stays open; nobody holds a dryer to what is still worked. */
    private Duration open(Passes.Pass pass, List<Region> regions) {
        return pass.members().stream().map(m -> regions.get(m.region()))
                .map(r -> drying(r, 1, Drying.Below.PAINT, false).open())
                .min(Duration::compareTo).orElseThrow();
    }

    /** What is done with this coat while others take more. */
    private static List<What> enough(Passes.Pass pass, int of, List<Region> regions, List<CoatCount.Coats> coats) {
        return pass.members().stream().filter(m -> m.coat() == coats.get(m.region()).number() && m.coat() < of)
                .map(m -> what(m, regions, coats)).toList();
    }

    private static What what(Jobs.Member member, List<Region> regions, List<CoatCount.Coats> coats) {
        What whole = regions.get(member.region()).what();
        int over = coats.get(member.region()).over();
        return over < 0 || isMain(member, regions, coats) ? whole
                : whole.on(List.of(over < regions.size() ? regions.get(over).what() : What.of(What.Of.OLD_PAINT)));
    }

    /** Whether the coat goes on all of its region. */
    private static boolean isMain(Jobs.Member member, List<Region> regions, List<CoatCount.Coats> coats) {
        return coats.get(member.region()).places().get(member.coat() - 1) == regions.get(member.region()).place();
    }

    private Why why(Jobs.Member member, List<Region> regions, List<CoatCount.Coats> coats) {
        Region region = regions.get(member.region());
        int over = coats.get(member.region()).over();
        if (over < 0 || isMain(member, regions, coats)) {
            return region.why();
        }
        Mix below = over < regions.size() ? regions.get(over).colour().mix() : earlier.get(over - regions.size()).load().mix();
        return Why.of(Why.Reason.SHOWS_THROUGH, Facts.of("below", palette.shelf().words(below)).and("coats", member.coat() - 1));
    }

    /** What runs out softly stops as well at what is painted in front of it. */
    private Soft soft(List<Jobs.Member> load, List<Region> regions) {
        Soft first = regions.get(load.get(0).region()).soft();
        if (first.within().isEmpty()) {
            return first;
        }
        double mm = load.stream().mapToDouble(m -> regions.get(m.region()).soft().mm()).average().orElse(0);
        return new Soft(mm, Optional.of(remembered.union(load.stream().flatMap(m -> regions.get(m.region()).soft().within().stream()
                .map(w -> m.stopsAt().isEmpty() ? w : remembered.without(w, m.stopsAt()))).distinct().toList())));
    }

    /** How to keep the hand off wet paint. */
    private Step.Turn turn(List<Geometry> places, Region region) {
        boolean right = habits.hand() == Habits.Hand.RIGHT;
        Envelope all = new Envelope();
        places.forEach(place -> all.expandToInclude(place.getEnvelopeInternal()));
        Envelope before = new Envelope();
        if (course.size() > 0 && course.get(course.size() - 1).side() == surface.side()) {
            course.get(course.size() - 1).layers().forEach(l -> before.expandToInclude(l.place().getEnvelopeInternal()));
        }
        if (!before.isNull()) {
            Coordinate here = all.centre();
            Coordinate last = before.centre();
            double far = here.distance(last);
            double toward = far == 0 ? 0 : ((last.x - here.x) * (right ? 0.8 : -0.8) + (last.y - here.y) * 0.6) / far;
            if (far > 10 && far < REST_MM && toward > 0.75) {
                return Step.Turn.HALF_ROUND;
            }
        }
        boolean spreads = all.getWidth() > REST_MM && (region.isLine() || pieces(remembered.union(places)) > 2);
        return !spreads ? Step.Turn.AS_IT_LIES : right ? Step.Turn.LEFT_TO_RIGHT : Step.Turn.RIGHT_TO_LEFT;
    }

    /** In how many places an area lies; slivers that are left where others end on it are none. */
    private static long pieces(Geometry place) {
        return IntStream.range(0, place.getNumGeometries()).filter(i -> place.getGeometryN(i).getArea() > Regions.LEAST_AREA).count();
    }

    /** The passes it waits for, and what was done to the stone before. */
    private List<Step.After> after(Passes.Pass pass, List<Integer> numbers) {
        List<Step.After> after = new ArrayList<>();
        boolean pencilled = course.steps().stream().anyMatch(s -> s instanceof Step.Pencil p && p.side() == surface.side());
        for (int i = 0; i < course.size(); i++) {
            Step other = course.get(i);
            if (other instanceof Step.Prepare
                    || other instanceof Step.Pencil pencil && pencil.side() == surface.side() && !pencil.drawing().onPaint()) {
                after.add(new Step.After(i, Step.Waits.BEFORE_PAINT));
            } else if (other.side() != surface.side() && other instanceof Step.Lay && !pencilled) {
                after.add(new Step.After(i, Step.Waits.HANDLED)); // the stone is held by its other faces, or lies on them
            }
        }
        pass.after().forEach(link -> after.add(new Step.After(numbers.get(link.pass()), link.waits())));
        after.sort((a, b) -> Integer.compare(a.step(), b.step()));
        return after;
    }

    /**
     * Seals the surface.
     *
     * @param advice how
     * @param rests how long it dries until it may be laid on the sealed side; empty if nothing is laid on it
     * @param after what it waits for
     */
    void seal(Paint sealer, SealAdvice advice, Optional<Duration> rests, List<Step.After> after) {
        Geometry whole = remembered.grown(surface.whole(), -0.2);
        int step = course.size();
        Coat coat = new Coat(sealer.name(), sealer.swatch(), PaintOptics.clear(), sealer.dryCoat().value(), 0, Sheen.of(sealer), step);
        Mask mask = mask(whole);
        films.cellsUnder(mask).keySet()
                .forEach(film -> laid.add(new Laid(films.table().film(film).coat().map(Coat::step).orElse(-1), step)));
        double area = area(whole);
        Step.Work work = new Step.Work(area,
                Duration.ofSeconds(Math.round(60 * (Tools.SEAL_LAY_OUT_MIN + advice.coats() * area / Tools.SEAL_MM2_PER_MINUTE))),
                advice.between().multipliedBy(advice.coats() - 1L), advice.between(), rests.orElse(advice.cure()));
        Step.Layer layer = new Step.Layer(surface.side(), whole, Soft.CRISP, new Step.Load(Mix.of(sealer.id()), coat, 1), advice.coats(),
                Shapes.nothing());
        boolean gems = course.steps().stream().anyMatch(s -> s.side() == surface.side() && s instanceof Step.Lay lay
                && lay.doing().what().stream().anyMatch(w -> w.share().kind() == Share.Kind.GEM));
        course.add(new Step.Seal(advice, layer, new Step.Lying(rests.isPresent(), gems, drawn()), work, after));
        films.lay(mask, coat, advice.coats());
    }

    /** With what the face was drawn on. */
    private Step.Lines drawn() {
        boolean chalk = false;
        boolean graphite = false;
        for (Step step : course.steps()) {
            Optional<Step.Drawing> drawing = step.side() != surface.side() ? Optional.empty()
                    : step instanceof Step.Pencil pencil ? Optional.of(pencil.drawing())
                    : step instanceof Step.Lay lay ? lay.doing().pencil() : Optional.empty();
            chalk |= drawing.filter(Step.Drawing::chalk).isPresent();
            graphite |= drawing.filter(d -> !d.chalk()).isPresent();
        }
        return chalk && graphite ? Step.Lines.BOTH : chalk ? Step.Lines.CHALK : graphite ? Step.Lines.GRAPHITE : Step.Lines.NONE;
    }

    /** The place where the film of paint is thickest, sealer left out; empty on bare stone. */
    Optional<PaintPlan.Weakest> weakest() {
        double most = 0;
        int at = -1;
        double[] um = new double[films.table().size()];
        for (int i = 0; i < um.length; i++) {
            Film film = films.table().film(i);
            um[i] = film.isBare() ? 0 : um[film.below()] + (peels(film) ? film.layerUm() : 0);
        }
        for (int i = 0; i < grid.cells(); i++) {
            double here = um[films.at(i)];
            if (here > most + 1e-9) {
                most = here;
                at = i;
            }
        }
        if (at < 0) {
            return Optional.empty();
        }
        int column = at % grid.columns();
        int row = at / grid.columns();
        List<Film> stack = films.table().stack(films.at(at)).stream().filter(BuildUp::peels).toList();
        int top = stack.get(stack.size() - 1).coat().orElseThrow().step();
        return Optional.of(new PaintPlan.Weakest(grid.x(column), grid.y(row), most, stack.size(), top, surface.stretch()[at] > RIM_SECANT));
    }

    /** Whether a coat counts to the film that may peel: sealer and media do not, and paste is a body of its own. */
    private static boolean peels(Film film) {
        Coat coat = film.coat().orElseThrow();
        return !coat.optics().isClear() && coat.sheen() != Sheen.RAISED;
    }

    /** Steeper than about 50 degrees counts as rim. */
    private static final double RIM_SECANT = 1.55;

    // --- measures on the grid

    /** Area along the stone under a mask, mm2. */
    double area(Geometry place) {
        return remembered.recall("area", place, grid, surface.stretch(), (p, g, stretch, m) -> area(mask(p, g, m), g, stretch));
    }

    private static double area(Mask mask, Grid grid, float[] stretch) {
        double sum = 0;
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                sum += mask.at(c, r) * stretch[(mask.row() + r) * grid.columns() + mask.column() + c];
            }
        }
        return sum * grid.cellMm() * grid.cellMm();
    }
}
