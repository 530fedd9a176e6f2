package mosspebble.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
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
import org.locationtech.jts.geom.Envelope;

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

    /** A lip is so many times as high as the coat. */
    private static final double LIP = 0.8;

    /** A lead catches on what stands up: so much more of it on each mm. */
    private static final double TOOTH = 9;

    /** Layers are made ready ahead, side by side, while they take no more cells than this together. */
    private static final int AHEAD = 6_000_000;

    /** So many rows are painted one after the other. */
    private static final int BAND = 16;

    /** Hairs take and give so much of a coat's thickness. */
    private static final double FURROW = 0.45;

    private final StoneTerrain terrain;
    private final Grid grid;
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
    /** Where pencil was drawn, and on which film. */
    private final float[] pencilled;
    private final int[] filmBelow;

    Painting(PaintPlan plan, StoneTerrain terrain, StoneState look, Lamp lamp) {
        this(plan, terrain, look, lamp, true);
    }

    private Painting(PaintPlan plan, StoneTerrain terrain, StoneState look, Lamp lamp, boolean noting) {
        this.noting = noting;
        this.terrain = terrain;
        this.grid = terrain.grid;
        this.look = look;
        this.lamp = lamp;
        this.table = new FilmTable(PaintPlan.bare(plan.survey().stone(), look), SoakIn.share(plan.survey().stone()));
        this.through = new Through(table);
        this.film = new int[grid.cells()];
        this.pencilled = new float[grid.cells()];
        this.filmBelow = new int[grid.cells()];
        this.now = Pixels.of(grid.cells());
        this.bare = Pixels.BARE | lamp.seen(table.film(0).look()).rgb();
        Arrays.fill(now.colour(), bare);
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
            List<Task> tasks = some.stream().filter(s -> s.side() == plan.up().side())
                    .flatMap(s -> s.layers().stream().map(l -> new Task(l, s))).toList();
            tasks.parallelStream().map(t -> Map.entry(t.layer, ready(t.layer, t.step))).toList()
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

    /** What is seen at a moment, without a note of what led there; unfinished once it is unwanted. */
    static Pixels after(PaintPlan plan, StoneTerrain terrain, StoneState look, Lamp lamp, StonePicture.Shown shown,
            BooleanSupplier unwanted) {
        Painting painting = new Painting(plan, terrain, look, lamp, false);
        for (int step = 0; step < shown.steps() && !unwanted.getAsBoolean(); step++) {
            boolean part = step == shown.steps() - 1 && shown.coats() > 0;
            painting.done(plan, plan.steps().get(step), part ? shown.coats() : Integer.MAX_VALUE);
        }
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
            Before before = before(layers.stream().map(ReadyLayer::place).toList());
            layers.forEach(layer -> laid(layer, step, Integer.MAX_VALUE, false));
            return between(before);
        }
        return step instanceof Step.Pencil pencil ? pencil(plan, pencil) : Change.nothing();
    }

    /** What was seen in a rectangle, by its first column and row. */
    private record Before(Pixels pixels, int column, int row, int columns, int rows) {}

    /** What is seen now, where it is noted what changes. */
    private Before before() {
        return noting ? new Before(now.copy(), 0, 0, grid.columns(), grid.rows()) : null;
    }

    /** The same, round some masks. */
    private Before before(List<Mask> masks) {
        List<Mask> some = masks.stream().filter(m -> !m.isEmpty()).toList();
        if (!noting || some.isEmpty()) {
            return null;
        }
        int column = some.stream().mapToInt(Mask::column).min().getAsInt();
        int row = some.stream().mapToInt(Mask::row).min().getAsInt();
        int columns = some.stream().mapToInt(m -> m.column() + m.columns()).max().getAsInt() - column;
        int rows = some.stream().mapToInt(m -> m.row() + m.rows()).max().getAsInt() - row;
        return new Before(now.cut(column, row, columns, rows, grid.columns()), column, row, columns, rows);
    }

    /** What differs from a state before, as one change. */
    private Change between(Before before) {
        if (before == null) {
            return Change.nothing();
        }
        int[] at = IntStream.range(0, before.rows).flatMap(r -> {
            int from = (before.row + r) * grid.columns() + before.column;
            return IntStream.range(0, before.columns).filter(c -> now.differs(from + c, before.pixels, r * before.columns + c))
                    .map(c -> from + c);
        }).toArray();
        return new Change(at, now.only(at), List.of());
    }

    private ReadyLayer ready(Step.Layer layer, Step step) {
        ReadyLayer known = ahead.get(layer);
        return known != null ? known : ReadyLayer.of(layer, step, grid);
    }

    private Change laid(ReadyLayer ready, Step step, int mostCoats, boolean noted) {
        Step.Layer layer = ready.layer();
        int coats = Math.min(layer.coats(), mostCoats);
        if (ready.place().isEmpty()) { // it lies beside what is drawn
            return new Change(new int[0], Pixels.of(0), Collections.nCopies(layer.soft().isShade() ? 0 : coats - 1, Pixels.of(0)));
        }
        return layer.soft().isShade() ? fade(ready, noted) : cover(ready, step, coats, noted);
    }

    private Change cover(ReadyLayer ready, Step step, int most, boolean noted) {
        Step.Layer layer = ready.layer();
        Mask mask = ready.place();
        float[] share = ready.share();
        int c = mask.column();
        int r = mask.row();
        Hand.Tool tool = ReadyLayer.tool(step, layer);
        boolean touched = ReadyLayer.hasTouches(step.kind()) && tool != Hand.Tool.SPONGE && !Hand.touches(layer.place()).isEmpty();
        float[] caps = new float[touched ? share.length : 0];
        if (touched) {
            ready.hand().caps(now.cut(c, r, mask.columns(), mask.rows(), grid.columns()).body(), caps, c, r, mask.columns(), mask.rows(),
                    grid);
        }
        for (int i = 0; i < caps.length; i++) {
            ready.lip()[i] = caps[i] > 0 ? 0 : ready.lip()[i]; // a touch has no edge pushed up, it is one drop
        }
        Body body = new Body(share, ready.lip(), caps, ready.pools(), ready.hand(), tool);
        List<Pixels> within = new ArrayList<>();
        for (int coats = 1; noted && coats < most; coats++) {
            Pixels part = now.cut(c, r, mask.columns(), mask.rows(), grid.columns());
            coats(mask, body, layer, coats, new Sheet(cutFilm(mask), part, 0, mask.columns()));
            within.add(part);
        }
        coats(mask, body, layer, most, new Sheet(film, now, r * grid.columns() + c, grid.columns()));
        if (!noted) {
            return Change.nothing();
        }
        int[] here = IntStream.range(0, share.length).filter(i -> share[i] > 0).toArray();
        int[] at = Arrays.stream(here).map(i -> (r + i / mask.columns()) * grid.columns() + c + i % mask.columns()).toArray();
        return new Change(at, now.only(at), within.stream().map(w -> w.only(here)).toList());
    }

    /**
     * What is painted on: all of the grid, or a rectangle cut out of it.
     *
     * @param first place of the upper left pixel of what is laid
     * @param wide pixels of a row
     */
    private record Sheet(int[] film, Pixels pixels, int first, int wide) {}

    private int[] cutFilm(Mask mask) {
        int[] values = new int[mask.columns() * mask.rows()];
        for (int r = 0; r < mask.rows(); r++) {
            System.arraycopy(film, (mask.row() + r) * grid.columns() + mask.column(), values, r * mask.columns(), mask.columns());
        }
        return values;
    }

    /**
     * The body of a coat over a rectangle.
     *
     * @param share how much of each pixel is covered
     * @param lip 0 to 1 where the edge stands up
     * @param caps heights of touches, µm; empty where there are none
     * @param pools what ink stands higher at the ends of lines, µm; empty but for a pen
     */
    private record Body(float[] share, float[] lip, float[] caps, float[] pools, Hand hand, Hand.Tool tool) {}

    /**
     * What so many coats of a paint make of each film below, by its number.
     *
     * @param next number of the film with the coats
     * @param shown its colour, packed
     * @param under colour of the film below, packed, for what is clear
     * @param um what the coats add, µm
     */
    private record Looks(int[] next, int[] shown, int[] under, double[] um) {}

    private Looks looks(Mask mask, float[] share, Sheet sheet, Coat coat, int coats) {
        Looks looks = new Looks(new int[table.size()], new int[table.size()], new int[table.size()], new double[table.size()]);
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                int before = sheet.film[sheet.first + r * sheet.wide + c];
                if (share[r * mask.columns() + c] > 0 && looks.next[before] == 0) {
                    looks.next[before] = table.over(before, coat, coats);
                    looks.shown[before] = packed(looks.next[before], coat);
                    looks.under[before] = packed(before, table.film(before).coat().orElse(coat));
                    looks.um[before] = table.film(looks.next[before]).totalUm() - table.film(before).totalUm();
                }
            }
        }
        return looks;
    }

    /** One rectangle with so many coats of a layer on it; the films are carried forward. */
    private void coats(Mask mask, Body body, Step.Layer step, int coats, Sheet sheet) {
        Coat coat = step.load().coat();
        boolean clear = coat.optics().isClear();
        Laying laying = new Laying(mask, body, looks(mask, body.share, sheet, coat, coats), coat, new Materials(coat.sheen(), step.place()),
                coats < step.coats() && !clear, step.again().isEmpty() || clear ? null : Mask.of(step.again(), grid));
        IntStream.range(0, (mask.rows() + BAND - 1) / BAND).parallel().forEach(band -> {
            NearNoise near = body.hand.row();
            for (int r = band * BAND; r < Math.min(mask.rows(), (band + 1) * BAND); r++) {
                for (int c = 0; c < mask.columns(); c++) {
                    if (body.share[r * mask.columns() + c] > 0) {
                        lay(laying, c, r, near, sheet);
                    }
                }
            }
        });
    }

    /**
     * One coat being laid.
     *
     * @param patchy whether another coat of it follows at once
     * @param again where another coat of it follows later; null for nowhere
     */
    private record Laying(Mask mask, Body body, Looks looks, Coat coat, Materials material, boolean patchy, Mask again) {}

    private void lay(Laying laying, int c, int r, NearNoise near, Sheet sheet) {
        int i = r * laying.mask.columns() + c;
        int at = sheet.first + r * sheet.wide + c;
        Pixels pixels = sheet.pixels;
        Coat coat = laying.coat;
        Body body = laying.body;
        boolean clear = coat.optics().isClear();
        int column = laying.mask.column() + c;
        int row = laying.mask.row() + r;
        double x = grid.x(column);
        double y = grid.y(row);
        int before = sheet.film[at];
        int shown = laying.looks.shown[before];
        boolean drop = body.caps.length > 0 && body.caps[i] > 0;
        double hair = clear || drop ? 0 : body.hand.uneven(x, y, near);
        float part = body.share[i];
        if (body.tool == Hand.Tool.SPONGE) { // where its pores are the sponge leaves nothing
            part *= (float) Math.max(0.12, Math.min(1, 0.8 + 1.6 * hair));
        }
        if (laying.patchy || laying.again != null && share(laying.again, column, row) > 0.5f) {
            // a thin coat: thinner between the hairs, and the brush passes over the pits
            double pits = terrain.relief[row * grid.columns() + column] * 5;
            part *= (float) Math.max(0.25, Math.min(1, 0.78 + 0.5 * hair + Math.max(-0.5, Math.min(0.2, pits))));
        }
        int[] colour = pixels.colour();
        if (clear) { // a clear coat changes what is seen, edges and all, rather than covering it
            colour[at] = shifted(colour[at], laying.looks.under[before], shown, part);
        } else {
            int looks = laying.material.at(shown & 0xFFFFFF, x, y);
            colour[at] = blend(colour[at], looks & 0xFFFFFF | shown & 0xFF000000, part);
            double height = switch (coat.sheen()) {
                case GEM -> part * 4 * (looks >>> 24);
                case RAISED -> part * Materials.body(x, y);
                default -> drop ? body.caps[i] // one drop, whatever it lies on
                        : laying.looks.um[before] * ((1 + FURROW * hair) * part + LIP * body.lip[i])
                                + (body.pools.length > 0 ? part * body.pools[i] : 0);
            };
            pixels.body()[at] = Pixels.steps(Pixels.um(pixels.body()[at]) + height);
        }
        if (body.share[i] >= 0.5f) {
            sheet.film[at] = laying.looks.next[before];
            pixels.sheen()[at] = (byte) (coat.sheen().ordinal() + 1);
        }
    }

    /** A glaze that is strongest at the edge of what it shades and fades to nothing inside. */
    private Change fade(ReadyLayer ready, boolean noted) {
        Step.Layer step = ready.layer();
        Mask within = ready.place();
        Coat coat = step.load().coat();
        Before before = noted ? before(List.of(within)) : null;
        Envelope near = step.place().getEnvelopeInternal();
        near.expandBy(3 * ReadyLayer.FADES_MM);
        int[] next = new int[table.size()];
        int[] shown = new int[table.size()];
        for (int r = 0; r < within.rows(); r++) {
            for (int c = 0; c < within.columns(); c++) {
                float inside = within.at(c, r);
                double x = grid.x(within.column() + c);
                double y = grid.y(within.row() + r);
                if (inside <= 0 || !near.contains(x, y)) {
                    continue;
                }
                float dark = share(ready.mask(), within.column() + c, within.row() + r);
                float t = Math.min(1, Math.max(0, (ready.shade().at(x, y) - 0.15f) / 0.75f));
                float share = t * t * (3 - 2 * t) * inside * Math.min(1, 0.35f + dark);
                if (share > 0.01f && (dark > 0 || inside > 0.5f)) {
                    int i = (within.row() + r) * grid.columns() + within.column() + c;
                    int below = film[i];
                    if (next[below] == 0) {
                        next[below] = table.over(below, coat, step.coats());
                        shown[below] = packed(next[below], coat);
                    }
                    now.colour()[i] = blend(now.colour()[i], shown[below], share);
                    if (dark >= 0.5f) {
                        film[i] = next[below];
                    }
                }
            }
        }
        return between(before);
    }

    /** Before a seal what is left of the drawing is taken off. */
    private Change takeOffPencil() {
        Before before = before();
        int[] clean = new int[table.size()];
        clean[0] = bare;
        for (int i = 0; i < pencilled.length; i++) {
            if (pencilled[i] > 0 && filmBelow[i] == film[i]) {
                int here = film[i];
                clean[here] = clean[here] != 0 ? clean[here] : packed(here, table.film(here).coat().orElseThrow());
                now.colour()[i] = clean[here];
            }
        }
        return between(before);
    }

    private static float share(Mask mask, int column, int row) {
        int c = column - mask.column();
        int r = row - mask.row();
        return c >= 0 && r >= 0 && c < mask.columns() && r < mask.rows() ? mask.at(c, r) : 0;
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
        float[] drawn = PencilLines.drawn(parts.get(), chalk, grid);
        IntStream.range(0, grid.rows()).parallel().forEach(r -> {
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
        colour[i] = blend(colour[i], colour[i] & 0xFF000000 | tone, (float) (share * (chalk ? crumb : 0.28 + 0.55 * crumb)));
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

    /** A colour moved as far as a coat moves the film below it. */
    private static int shifted(int colour, int before, int after, float share) {
        int result = colour & 0xFF000000;
        for (int shift = 0; shift < 24; shift += 8) {
            float moved = (colour >>> shift & 255) + share * ((after >>> shift & 255) - (before >>> shift & 255));
            result |= (int) (Math.max(0, Math.min(255, moved)) + 0.5f) << shift;
        }
        return result;
    }

    private static int blend(int from, int to, float share) {
        if (share >= 0.999f) {
            return to;
        }
        int result = 0;
        for (int shift = 0; shift < 32; shift += 8) {
            int a = from >>> shift & 255;
            int b = to >>> shift & 255;
            result |= (int) (a + (b - a) * share + 0.5f) << shift;
        }
        return result;
    }
}
