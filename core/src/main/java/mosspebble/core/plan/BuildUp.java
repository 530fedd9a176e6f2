package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import mosspebble.core.area.Cells;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.area.Remembered;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Film;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.Sheen;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintOptics;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Side;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/**
 * Lays region after region on the stone: counts the coats over every ground each crosses, chooses the tool, and writes down the steps with
 * their times and what they wait for.
 */
public final class BuildUp {

    private static final int MOST_COATS = PrimerChoice.MOST_COATS;

    /** A ground counts for the whole region from this share of its cells on; a smaller one gets its own extra coats. */
    private static final double MAIN_GROUND = 0.12;

    /** A ground below this share is lost in the seam. */
    private static final double LEAST_GROUND = 0.015;

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
    private final FilmMap films;
    private final Set<Laid> laid = new LinkedHashSet<>();
    private final List<What> showing = new ArrayList<>();
    private int lastWetGroup = -1;

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
        double soak = SoakIn.share(surface.stone());
        this.sealedBare = new FilmTable(PaintPlan.bare(surface.stone(), StoneState.SEALED), soak);
        this.films = new FilmMap(grid, new FilmTable(PaintPlan.bare(surface.stone(), StoneState.DRY), soak));
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
    List<What> showing() {
        return showing;
    }

    // --- steps with paint

    Mask mask(Geometry place) {
        return mask(place, grid, remembered);
    }

    Cells cells(Geometry place) {
        return cells(place, grid, remembered);
    }

    private static Mask mask(Geometry place, Grid grid, Remembered memory) {
        return memory.recall("mask", place, grid, (p, g, m) -> Mask.of(p, g));
    }

    private static Cells cells(Geometry place, Grid grid, Remembered memory) {
        return memory.recall("cells", place, grid, (p, g, m) -> Cells.of(mask(p, g, m)));
    }

    void lay(String key, List<Region> together) {
        Region first = together.get(0);
        Geometry place = remembered.union(together.stream().map(Region::place).toList());
        if (!first.hides()) {
            layCoats(key, together, place, 1, 1);
            return;
        }
        Coat coat = coat(first, course.size());
        double tolerance = first.isLine() ? 2 * habits.tolerance() : habits.tolerance();
        Map<Integer, Integer> grounds = films.cellsUnder(mask(place));
        int cells = Math.max(1, grounds.values().stream().mapToInt(Integer::intValue).sum());
        int main = 1;
        Map<Integer, Integer> more = new TreeMap<>();
        for (Map.Entry<Integer, Integer> ground : grounds.entrySet()) {
            double share = (double) ground.getValue() / cells;
            if (share < LEAST_GROUND) {
                continue;
            }
            int coats = coatsOver(ground.getKey(), coat, tolerance);
            if (share >= MAIN_GROUND || first.isLine()) {
                main = Math.max(main, coats);
            } else {
                more.put(ground.getKey(), coats);
            }
        }
        int laidCoats = Math.min(main, MOST_COATS);
        if (main > MOST_COATS) {
            showing.add(first.what());
        }
        Map<Integer, Integer> stepsBelow = new TreeMap<>();
        for (Map.Entry<Integer, Integer> ground : more.entrySet()) {
            if (ground.getValue() > laidCoats) {
                int step = films.table().film(ground.getKey()).coat().map(Coat::step).orElse(-1);
                stepsBelow.merge(step, Math.min(ground.getValue(), MOST_COATS), Math::max);
            }
        }
        layCoats(key, together, place, laidCoats, main);
        stepsBelow.forEach((step, coats) -> again(key, first, place, step, coats - laidCoats, laidCoats));
    }

    /** More coats where a region lies on something that still shows. */
    private void again(String key, Region first, Geometry place, int below, int coats, int laidCoats) {
        if (below < 0) {
            return;
        }
        Step ground = course.get(below);
        Geometry part = remembered.common(place, ground.place());
        if (Tools.widerThan(part, 1.6)) {
            List<What> on = ground instanceof Step.Lay lay ? lay.doing().what() : List.of();
            Facts facts = ground.coat().map(c -> Facts.of("below", c.name())).orElse(Facts.none()).and("coats", laidCoats);
            Region extra = new Region(Step.Kind.MORE, first.what().on(on), part, first.colour(),
                    new Region.Spread(first.thin(), true, Soft.CRISP, -1), first.depth(), new Region.Line(first.line().nibMm(), 0),
                    Why.of(Why.Reason.SHOWS_THROUGH, facts));
            layCoats(key + " again", List.of(extra), part, coats, coats);
        }
    }

    /** Coats over a ground, dry; over bare stone also as it will look sealed. */
    private int coatsOver(int ground, Coat coat, double tolerance) {
        int coats = films.table().coatsToHide(ground, coat, tolerance, MOST_COATS);
        return ground == 0 ? Math.max(coats, sealedBare.coatsToHide(0, coat, tolerance, MOST_COATS)) : coats;
    }

    private Coat coat(Region region, int step) {
        return new Coat(palette.shelf().words(region.colour().mix()), region.colour().optics().full().toSrgb(), region.colour().optics(),
                region.colour().dryUm() * region.thin(), region.colour().dryingShift(),
                sheen(region.colour().mix()), step);
    }

    private Sheen sheen(Mix mix) {
        return mix.isSingle() ? palette.shelf().find(mix.parts().get(0).paint()).map(Sheen::of).orElse(Sheen.SATIN) : Sheen.SATIN;
    }

    void layCoats(String key, List<Region> together, Geometry place, int coats, int wanted) {
        if (place.isEmpty()) {
            return; // nothing of it is left to paint
        }
        Region first = together.get(0);
        Mask mask = mask(place);
        int step = course.size();
        Coat coat = coat(first, step);
        Map<Integer, Integer> grounds = films.cellsUnder(mask);
        grounds.forEach((film, count) -> laid.add(new Laid(films.table().film(film).coat().map(Coat::step).orElse(-1), step)));
        boolean onBare = grounds.getOrDefault(0, 0) > 0;
        Tools tool = remembered.recall("tool", first.place(), place, first.colour().mix(), first.isLine(), grid, palette.shelf(),
                (one, all, mix, line, g, shelf, m) -> Tools.of(one, mix, line, mask(all, g, m).widest() * g.cellMm(), shelf));
        double area = area(place);
        double length = together.stream().mapToDouble(r -> r.line().lengthMm()).sum();
        boolean widened = tool.isLarge() && first.kind() == Step.Kind.FILL;
        double edge = widened ? place.getLength() / Tools.LINE_MM_PER_MINUTE / 2 : 0;
        double minutesPerCoat = edge + (first.isLine() && length > 0 ? length / Tools.LINE_MM_PER_MINUTE : area / tool.mm2PerMinute());
        double setup = first.wetGroup() >= 0 ? 0.3 : first.colour().mix().isSingle() ? 1 : 2.5; // what goes in wet is mixed before
        Duration hand = Duration.ofSeconds(Math.max(30, Math.round(60 * (setup + coats * minutesPerCoat))));
        Drying firstCoat = Drying.of(first.colour().wetUm() * first.thin(), first.colour().solids(), onBare, habits.dryer(), climate);
        Drying later = Drying.of(first.colour().wetUm() * first.thin(), first.colour().solids(), false, habits.dryer(), climate);
        Duration between = coats > 1 ? firstCoat.recoat().plus(later.recoat().multipliedBy(coats - 2L)) : Duration.ZERO;
        Optional<Step.Wet> wet = wet(first, hand, later);
        Step.Doing doing = new Step.Doing(together.stream().map(Region::what).toList(), first.hides(), first.why(), wanted,
                habits.tolerance(), widened, turn(place, first));
        Step.Work work = new Step.Work(area, hand, between, coats > 1 ? later.recoat() : firstCoat.recoat());
        Step.Layer layer = new Step.Layer(surface.side(), place, soft(together), new Step.Load(first.colour().mix(), coat, first.thin()),
                coats);
        course.add(new Step.Lay(key, first.kind(), doing, layer, tool.tool(), work, wet, after(place, wet)), cells(place));
        films.lay(mask, coat, coats);
    }

    private Soft soft(List<Region> together) {
        Soft first = together.get(0).soft();
        return first.within().isEmpty() ? first : new Soft(first.mm(),
                Optional.of(remembered.union(together.stream().flatMap(r -> r.soft().within().stream()).distinct().toList())));
    }

    /** For a step laid wet: with what, how long that stays open, and how long the hand has been at it. */
    private Optional<Step.Wet> wet(Region region, Duration hand, Drying drying) {
        if (region.wetGroup() < 0) {
            lastWetGroup = -1;
            return Optional.empty();
        }
        Step before = course.get(course.size() - 1);
        boolean goesOn = before.wet().isPresent() && region.wetGroup() == lastWetGroup;
        Duration open = goesOn ? before.wet().get().open() : drying.open();
        Duration work = goesOn ? before.wet().get().work().plus(hand) : hand;
        lastWetGroup = region.wetGroup();
        return Optional.of(new Step.Wet(goesOn ? before.wet().get().first() : course.size(), open, work));
    }

    /** How to keep the hand off wet paint. */
    private Step.Turn turn(Geometry place, Region region) {
        boolean right = habits.hand() == Habits.Hand.RIGHT;
        if (course.size() > 0 && course.get(course.size() - 1).side() == surface.side()
                && !course.get(course.size() - 1).place().isEmpty()) {
            Coordinate here = place.getEnvelopeInternal().centre();
            Coordinate last = course.get(course.size() - 1).place().getEnvelopeInternal().centre();
            double far = here.distance(last);
            double toward = far == 0 ? 0 : ((last.x - here.x) * (right ? 0.8 : -0.8) + (last.y - here.y) * 0.6) / far;
            if (far > 10 && far < REST_MM && toward > 0.75) {
                return Step.Turn.HALF_ROUND;
            }
        }
        boolean spreads = place.getEnvelopeInternal().getWidth() > REST_MM && (region.isLine() || place.getNumGeometries() > 2);
        return !spreads ? Step.Turn.AS_IT_LIES : right ? Step.Turn.LEFT_TO_RIGHT : Step.Turn.RIGHT_TO_LEFT;
    }

    /** Earlier steps within bleeding distance must be dry; the reason tells whether they lie below or beside. */
    private List<Step.After> after(Geometry place, Optional<Step.Wet> wet) {
        Cells own = cells(place);
        Cells near = remembered.recall("near", place, grid, bleedCells(), (p, g, by, m) -> cells(p, g, m).spread(by, g));
        List<Step.After> after = new ArrayList<>();
        for (int i = 0; i < course.size(); i++) {
            Cells other = course.touched(i);
            if (course.get(i).side() != surface.side() && !(course.get(i) instanceof Step.Prepare)) {
                if (surface.side() == Side.EDGE && course.get(i) instanceof Step.Lay) {
                    after.add(new Step.After(i, Step.Waits.HANDLED)); // the stone is held by its faces
                }
                continue; // on another surface
            }
            if (wet.isPresent() && i >= wet.get().first()) {
                continue; // meant to run into each other
            }
            if (other == null) {
                after.add(new Step.After(i, Step.Waits.BEFORE_PAINT));
            } else if (other.intersects(own)) {
                after.add(new Step.After(i, Step.Waits.LIES_BELOW));
            } else if (other.intersects(near)) {
                after.add(new Step.After(i, Step.Waits.WOULD_BLEED));
            }
        }
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
        Step.Work work = new Step.Work(area, Duration.ofSeconds(Math.round(60 * (2 + advice.coats() * area / 1500))),
                advice.between().multipliedBy(advice.coats() - 1L), rests.orElse(advice.cure()));
        Step.Layer layer = new Step.Layer(surface.side(), whole, Soft.CRISP, new Step.Load(Mix.of(sealer.id()), coat, 1), advice.coats());
        course.add(new Step.Seal(advice, layer, rests.isPresent(), work, after), cells(whole));
        films.lay(mask, coat, advice.coats());
    }

    /** The place where the film of paint is thickest, sealer left out; empty on bare stone. */
    Optional<PaintPlan.Weakest> weakest() {
        double most = 0;
        int at = -1;
        double[] um = new double[films.table().size()];
        for (int i = 0; i < um.length; i++) {
            Film film = films.table().film(i);
            um[i] = film.isBare() ? 0 : um[film.below()] + (film.coat().orElseThrow().optics().isClear() ? 0 : film.layerUm());
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
        List<Film> stack = films.table().stack(films.at(at)).stream().filter(f -> !f.coat().orElseThrow().optics().isClear()).toList();
        int top = stack.get(stack.size() - 1).coat().orElseThrow().step();
        return Optional.of(new PaintPlan.Weakest(grid.x(column), grid.y(row), most, stack.size(), top, surface.stretch()[at] > RIM_SECANT));
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
