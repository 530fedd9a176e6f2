package mosspebble.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Film;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Lamp;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.rock.NearNoise;
import mosspebble.core.rock.Noise;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.units.Parallel;

/** Lays a plan coat by coat on the pixels of a terrain and notes what each step changed. Used once. */
final class Painting {

    /**
     * What a step changed.
     *
     * @param at numbers of the pixels, rising
     * @param after what is seen there afterwards
     * @param within the same after each of its coats before the last
     */
    record Change(int[] at, Pixels after, List<Pixels> within) {
        static Change nothing() {
            return new Change(new int[0], Pixels.of(0), List.of());
        }
    }

    /** A lead catches on what stands up: so much more of it on each mm. */
    private static final double TOOTH = 9;

    /** Layers are made ready ahead, side by side, while they take no more cells than this together. */
    private static final int AHEAD = 6_000_000;

    /** So many rows are painted one after the other. */
    private static final int BAND = 16;

    private final StoneTerrain terrain;
    private final Grid grid;
    private final Window painted;
    private final StoneState look;
    private final Lamp lamp;
    private final FilmTable table;
    private final Through through;
    private final int[] film;
    private final Pixels now;
    /** Whether it is noted what each step changes, or only the end matters. */
    private final boolean noting;
    private final int bare;
    private final Map<Step.Layer, ReadyLayer> ahead = new IdentityHashMap<>();
    /** The lines of the design in lead and in chalk, where they are wanted. */
    private final Map<Boolean, float[]> drawings = new HashMap<>();
    /** Where pencil was drawn, and on which film. */
    private final float[] pencilled;
    private final int[] filmBelow;

    Painting(PaintPlan plan, StoneTerrain terrain, StoneState look, Lamp lamp) {
        this(plan, terrain, look, lamp, Window.whole(terrain.grid), true, new Spare());
    }

    private Painting(PaintPlan plan, StoneTerrain terrain, StoneState look, Lamp lamp, Window painted, boolean noting, Spare spare) {
        this.painted = painted;
        this.noting = noting;
        this.terrain = terrain;
        this.grid = terrain.grid;
        this.look = look;
        this.lamp = lamp;
        this.table = new FilmTable(PaintPlan.bare(plan.survey().stone(), look), SoakIn.share(plan.survey().stone()));
        this.through = new Through(table);
        this.film = spare.ints(grid.cells());
        this.pencilled = spare.floats(grid.cells());
        this.filmBelow = spare.ints(grid.cells());
        this.now = Pixels.of(grid.cells(), spare);
        this.bare = Pixels.BARE | lamp.seen(table.film(0).look()).rgb();
        Arrays.fill(now.colour(), 0, grid.cells(), bare);
    }

    /** Colour of the bare stone, packed as in {@link Pixels}. */
    int bare() {
        return bare;
    }

    List<Change> of(PaintPlan plan) {
        List<Change> changes = new ArrayList<>();
        List<Step> steps = plan.steps();
        for (int from = 0; from < steps.size();) {
            int to = from + 1;
            long held = cells(plan, steps.get(from));
            while (to < steps.size() && held + cells(plan, steps.get(to)) <= AHEAD) {
                held += cells(plan, steps.get(to++));
            }
            List<Step> some = steps.subList(from, to);
            List<Task> tasks = some.stream().filter(s -> s.side() == plan.up().side() && !(s instanceof Step.Seal))
                    .flatMap(s -> s.layers().stream().map(l -> new Task(l, s))).toList();
            Parallel.of(tasks).map(t -> Map.entry(t.layer, ready(t.layer, t.step))).toList()
                    .forEach(e -> ahead.put(e.getKey(), e.getValue()));
            some.forEach(step -> changes.add(done(plan, step, Integer.MAX_VALUE)));
            ahead.clear();
            from = to;
        }
        return changes;
    }

    private record Task(Step.Layer layer, Step step) {}

    /** Cells that its layers may take while they are made ready. */
    private long cells(PaintPlan plan, Step step) {
        return step.side() == plan.up().side() ? (long) step.layers().size() * grid.cells() : 0;
    }

    /**
     * What is seen at a moment, without a note of what led there; unfinished once it is unwanted.
     *
     * @param painted cells that are painted; the others are left bare
     * @param spare what it is kept in
     */
    static Pixels after(PaintPlan plan, StoneTerrain terrain, StoneState look, Lamp lamp, StonePicture.Shown shown, Window painted,
            BooleanSupplier unwanted, Spare spare) {
        Painting painting = new Painting(plan, terrain, look, lamp, painted, false, spare);
        for (int step = 0; step < shown.steps() && !unwanted.getAsBoolean(); step++) {
            boolean part = step == shown.steps() - 1 && shown.coats() > 0;
            painting.done(plan, plan.steps().get(step), part ? shown.coats() : Integer.MAX_VALUE);
        }
        if (shown.care().showsLoose()) {
            Loose.after(plan, shown.steps(), terrain, look).lieOn(painting.now);
        }
        spare.takeBack(painting.film);
        spare.takeBack(painting.filmBelow);
        spare.takeBack(painting.pencilled);
        return painting.now;
    }

    private Change done(PaintPlan plan, Step step, int mostCoats) {
        if (step.side() != plan.up().side()) {
            return Change.nothing();
        }
        if (step instanceof Step.Seal seal) {
            Change cleaned = takeOffPencil();
            return new Change(cleaned.at, cleaned.after, Collections.nCopies(seal.varnish().coats() - 1, cleaned.after));
        }
        if (step.layers().size() == 1) {
            Step.Layer layer = step.layers().get(0);
            return laid(ready(layer, step), step, mostCoats, noting);
        }
        if (!step.layers().isEmpty()) {
            List<ReadyLayer> layers = step.layers().stream().map(layer -> ready(layer, step)).toList();
            Before before = before(layers);
            layers.forEach(layer -> laid(layer, step, Integer.MAX_VALUE, false));
            return between(before);
        }
        return step instanceof Step.Pencil pencil ? pencil(plan, pencil) : Change.nothing();
    }

    /** What was seen in a rectangle. */
    private record Before(Pixels pixels, Window box) {}

    /** What is seen now, where it is noted what changes. */
    private Before before() {
        return noting ? new Before(now.copy(), Window.whole(grid)) : null;
    }

    /** The same, round some layers. */
    private Before before(List<ReadyLayer> layers) {
        return noting
                ? layers.stream().filter(l -> !l.isEmpty()).map(l -> l.bounds(grid)).reduce(Window::with).map(b -> new Before(cut(b), b))
                        .orElse(null)
                : null;
    }

    private Pixels cut(Window box) {
        return now.cut(box.column(), box.row(), box.columns(), box.rows(), grid.columns());
    }

    /** What differs from a state before, as one change. */
    private Change between(Before before) {
        if (before == null) {
            return Change.nothing();
        }
        Window box = before.box;
        int[] at = IntStream.range(0, box.rows()).flatMap(r -> {
            int from = box.first() + r * grid.columns();
            return IntStream.range(0, box.columns()).filter(c -> now.differs(from + c, before.pixels, r * box.columns() + c))
                    .map(c -> from + c);
        }).toArray();
        return new Change(at, now.only(at), List.of());
    }

    private ReadyLayer ready(Step.Layer layer, Step step) {
        ReadyLayer known = ahead.get(layer);
        return known != null ? known : ReadyLayer.of(layer, step, painted);
    }

    private Change laid(ReadyLayer ready, Step step, int mostCoats, boolean noted) {
        Step.Layer layer = ready.layer();
        int coats = Math.min(layer.coats(), mostCoats);
        if (ready.isEmpty()) { // it lies beside what is drawn
            return new Change(new int[0], Pixels.of(0), Collections.nCopies(layer.soft().isShade() ? 0 : coats - 1, Pixels.of(0)));
        }
        return cover(ready, step, layer.soft().isShade() ? layer.coats() : coats, noted);
    }

    private Change cover(ReadyLayer ready, Step step, int most, boolean noted) {
        Step.Layer layer = ready.layer();
        Hand.Tool tool = ReadyLayer.tool(step, layer);
        boolean touched = ReadyLayer.hasTouches(step.kind()) && tool != Hand.Tool.SPONGE && !layer.soft().isShade();
        List<Hand.Drop> drops = touched ? ready.hand().drops(now.body(), grid) : List.of();
        List<Body> bodies = Parallel.of(ready.squares()).map(s -> body(s, drops, ready.hand(), tool)).toList();
        if (!noted) {
            coats(bodies, layer, most, new Sheet(film, now, 0, grid.columns()));
            return Change.nothing();
        }
        Window box = ready.bounds(grid);
        int[] here = covered(ready.squares(), box);
        int[] at = Arrays.stream(here).map(i -> box.first() + i / box.columns() * grid.columns() + i % box.columns()).toArray();
        List<Pixels> within = new ArrayList<>();
        for (int coats = 1; coats < most && !layer.soft().isShade(); coats++) {
            Pixels part = cut(box);
            coats(bodies, layer, coats, new Sheet(cutFilm(box), part, -box.row() * box.columns() - box.column(), box.columns()));
            within.add(part.only(here));
        }
        coats(bodies, layer, most, new Sheet(film, now, 0, grid.columns()));
        return new Change(at, now.only(at), within);
    }

    private Body body(ReadyLayer.Square square, List<Hand.Drop> drops, Hand hand, Hand.Tool tool) {
        float[] caps = new float[drops.isEmpty() ? 0 : square.share().length];
        Hand.caps(drops, now.body(), caps, square.column(), square.row(), square.columns(), square.rows(), grid);
        for (int i = 0; i < caps.length && square.lip().length > 0; i++) {
            square.lip()[i] = caps[i] > 0 ? 0 : square.lip()[i]; // a touch has no edge pushed up, it is one drop
        }
        return new Body(square, caps, hand, tool);
    }

    /** Numbers of the pixels of a rectangle that some squares cover, rising. */
    private static int[] covered(List<ReadyLayer.Square> squares, Window box) {
        boolean[] in = new boolean[box.columns() * box.rows()];
        int count = 0;
        for (ReadyLayer.Square square : squares) {
            for (int r = 0; r < square.rows(); r++) {
                int first = (square.row() + r - box.row()) * box.columns() + square.column() - box.column();
                for (int c = 0; c < square.columns(); c++) {
                    boolean covered = square.share()[r * square.columns() + c] > 0;
                    in[first + c] = covered;
                    count += covered ? 1 : 0;
                }
            }
        }
        int[] here = new int[count];
        for (int i = 0, k = 0; k < count; i++) {
            here[k] = i;
            k += in[i] ? 1 : 0;
        }
        return here;
    }

    /**
     * What is painted on: all of the grid, or a rectangle cut out of it.
     *
     * @param first place of the pixel that is the grid's first
     * @param wide pixels of a row
     */
    record Sheet(int[] film, Pixels pixels, int first, int wide) {
        int at(int column, int row) {
            return first + row * wide + column;
        }
    }

    private int[] cutFilm(Window box) {
        int[] values = new int[box.columns() * box.rows()];
        for (int r = 0; r < box.rows(); r++) {
            System.arraycopy(film, box.first() + r * grid.columns(), values, r * box.columns(), box.columns());
        }
        return values;
    }

    /**
     * The body of a coat over a square.
     *
     * @param caps heights of touches, µm; empty where there are none
     */
    record Body(ReadyLayer.Square square, float[] caps, Hand hand, Hand.Tool tool) {}

    /**
     * What so many coats of a paint make of each film below, by its number.
     *
     * @param next number of the film with the coats
     * @param shown its colour, packed
     * @param under colour of the film below, packed, for what is clear
     * @param um what the coats add, µm
     */
    record Looks(int[] next, int[] shown, int[] under, float[] um) {}

    private Looks looks(List<Body> bodies, Sheet sheet, Coat coat, int coats) {
        int films = table.size();
        Looks looks = new Looks(new int[films], new int[films], new int[films], new float[films]);
        Parallel.of(bodies).map(b -> below(b.square, sheet, films)).toList().forEach(found -> found.stream().forEach(before -> {
            if (looks.next[before] == 0) {
                looks.next[before] = table.over(before, coat, coats);
                looks.shown[before] = packed(looks.next[before], coat);
                looks.under[before] = packed(before, table.film(before).coat().orElse(coat));
                looks.um[before] = (float) (table.film(looks.next[before]).totalUm() - table.film(before).totalUm());
            }
        }));
        return looks;
    }

    /** The numbers of the films that a square covers. */
    private static BitSet below(ReadyLayer.Square square, Sheet sheet, int films) {
        boolean[] found = new boolean[films];
        for (int r = 0; r < square.rows(); r++) {
            int at = sheet.at(square.column(), square.row() + r);
            for (int c = 0; c < square.columns(); c++) {
                if (square.share()[r * square.columns() + c] > 0) {
                    found[sheet.film[at + c]] = true;
                }
            }
        }
        BitSet set = new BitSet(films);
        for (int i = 0; i < films; i++) {
            set.set(i, found[i]);
        }
        return set;
    }

    /** So many coats of a layer; the films are carried forward. */
    private void coats(List<Body> bodies, Step.Layer step, int coats, Sheet sheet) {
        Coat coat = step.load().coat();
        Looks looks = looks(bodies, sheet, coat, coats);
        Laying laying = new Laying(terrain, step, coats < step.coats(), looks, sheet);
        Parallel.of(bodies).forEach(laying::lay);
    }

    /** Before a seal what is left of the drawing is taken off. */
    private Change takeOffPencil() {
        Before before = before();
        int[] clean = new int[table.size()];
        clean[0] = bare;
        for (int i = 0; i < grid.cells(); i++) {
            if (pencilled[i] > 0 && filmBelow[i] == film[i]) {
                int here = film[i];
                clean[here] = clean[here] != 0 ? clean[here] : packed(here, table.film(here).coat().orElseThrow());
                now.colour()[i] = clean[here];
            }
        }
        return between(before);
    }

    private Change pencil(PaintPlan plan, Step.Pencil pencil) {
        Optional<List<PlacedPart>> parts = plan.design().map(d -> d.parts());
        if (parts.isEmpty()) {
            return Change.nothing();
        }
        Before before = before();
        boolean chalk = pencil.drawing().chalk();
        int tone = chalk ? 0xE9E7E0 : 0x4C4D52;
        Noise noise = new Noise(99);
        float[] drawn = drawings.computeIfAbsent(chalk, c -> PencilLines.drawn(parts.get(), c, grid));
        Parallel.range(painted.row(), painted.row() + painted.rows()).forEach(r -> {
            NearNoise near = null;
            for (int c = 0; c < grid.columns(); c++) {
                int i = r * grid.columns() + c;
                if (drawn[i] > 0 && terrain.inside[i] > 0) {
                    near = near == null ? new NearNoise(noise) : near;
                    near.begin();
                    mark(i, drawn[i], near.octaves(grid.x(c), grid.y(r), 0.22, 2, grid.cellMm()), chalk, tone);
                }
            }
        });
        return between(before);
    }

    /** A mark of the lead or of chalk on one pixel: it catches on what stands up. */
    private void mark(int i, float share, double noise, boolean chalk, int tone) {
        pencilled[i] = share;
        filmBelow[i] = film[i];
        double tooth = noise + TOOTH * terrain.relief[i];
        double crumb = Math.max(0, Math.min(1, 0.55 + (chalk ? 1.5 : 0.9) * tooth));
        int[] colour = now.colour();
        colour[i] = Laying.blend(colour[i], colour[i] & 0xFF000000 | tone, (float) (share * (chalk ? crumb : 0.28 + 0.55 * crumb)));
    }

    /** Lighter or darker by so much L*, of the same hue. */
    private static Spectrum wet(Film film, double shift) {
        Lab lab = film.lab();
        double y = new Lab(Math.min(100, Math.max(0, lab.l() + shift)), lab.a(), lab.b()).toXyz().y();
        double times = y / Math.max(1e-6, film.look().luminance());
        return Spectrum.of(i -> Math.min(1, film.look().at(i) * times));
    }

    /** Colour with how much of the ground still shows, 0 to 255, in the top byte. */
    private int packed(int number, Coat coat) {
        Film top = table.film(number);
        Spectrum seen = look == StoneState.WET && coat.dryingShift() != 0 ? wet(top, coat.dryingShift()) : top.look();
        return (int) Math.round(255 * through.of(number)) << 24 | lamp.seen(seen).rgb();
    }
}
