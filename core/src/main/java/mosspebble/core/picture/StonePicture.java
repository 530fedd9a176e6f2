package mosspebble.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.area.Shapes;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Film;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.Sheen;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Xyz;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;

/**
 * The picture of a plan after any of its steps. Every distinct film is coloured once from its spectrum; each step keeps only the rectangle
 * it changed, so stepping is
 * copying. Shading is a second pass: dome and relief of the film under one light. Immutable once made; {@link #draw} may be called from any
 * thread.
 */
public final class StonePicture {

    /** Film over which the grain no longer shows through, 1/e in µm of dry paint (common practice, no source). */
    private static final double SMOOTHING_UM = 16;

    private static final float[] LINEAR = linear();
    private static final byte[] ENCODED = encoded();

    /**
     * What a step changed: the values of its rectangle afterwards, and for steps of several coats what shows after each of the coats before
     * the last.
     */
    private record Change(int column, int row, int columns, int rows, int[] values, List<int[]> within) {}

    private static final float DRY_GLOSS = 0.035f;
    private static final float WET_GLOSS = 0.20f;
    private static final float CURING_GLOSS = 0.34f;

    /** A wet emulsion of clear drops. */
    private static final int MILK = 0xF4F4F0;

    private final StoneTerrain terrain;
    private final StoneState look;
    private final int[] bare;
    private final List<Change> changes = new ArrayList<>();
    private float sealedGloss = 0.30f;
    private float milk;

    private StonePicture(StoneTerrain terrain, StoneState look, int[] bare) {
        this.terrain = terrain;
        this.look = look;
        this.bare = bare;
    }

    public static StonePicture of(PaintPlan plan, StoneTerrain terrain, StoneState look) {
        FilmTable table = new FilmTable(PaintPlan.bare(plan.survey().stone(), look), SoakIn.share(plan.survey().stone()));
        int ground = table.film(0).look().toSrgb().rgb();
        int[] bare = new int[terrain.grid.cells()];
        Arrays.fill(bare, ground);
        StonePicture picture = new StonePicture(terrain, look, bare);
        boolean matt = plan.steps().stream().filter(s -> s instanceof Step.Seal && s.side() == plan.up().side())
                .anyMatch(s -> s.coat().filter(c -> c.sheen() == Sheen.MATT).isPresent());
        boolean poured = plan.steps().stream().anyMatch(s -> s instanceof Step.Seal seal && seal.side() == plan.up().side()
                && seal.advice().why().poured());
        picture.sealedGloss = matt ? 0.08f : poured ? 0.42f : 0.30f;
        if (look == StoneState.CURING) {
            picture.milk = (float) plan.steps().stream().filter(s -> s instanceof Step.Seal && s.side() == plan.up().side())
                    .mapToDouble(s -> ((Step.Seal) s).advice().kind().milk()).max().orElse(0);
        }
        picture.lay(plan, table);
        return picture;
    }

    private void lay(PaintPlan plan, FilmTable table) {
        Grid grid = terrain.grid;
        int[] film = new int[grid.cells()];
        int[] colour = bare.clone();
        for (Step step : plan.steps()) {
            if (step.side() != plan.up().side()) {
                changes.add(nothing());
            } else if (step.layers().size() == 1) {
                changes.add(laid(step.layers().get(0), step.kind(), table, film, colour));
            } else if (!step.layers().isEmpty()) {
                int[] before = colour.clone();
                step.layers().forEach(layer -> laid(layer, step.kind(), table, film, colour));
                changes.add(between(before, colour));
            } else if (step instanceof Step.Pencil pencil) {
                changes.add(pencil(plan, pencil, colour));
            } else {
                changes.add(nothing());
            }
        }
    }

    private Change laid(Step.Layer layer, Step.Kind kind, FilmTable table, int[] film, int[] colour) {
        Mask mask = Mask.of(layer.place(), terrain.grid);
        if (layer.soft().isShade()) {
            return fade(mask, Mask.of(layer.soft().within().orElseThrow(), terrain.grid), layer, table, film, colour);
        }
        Mask place = layer.soft().within().map(w -> Mask.of(w, terrain.grid)).orElse(mask); // what is soft spreads beyond its own place
        return cover(place, shares(place, mask, layer, kind), layer, table, film, colour);
    }

    /** What differs between two states, as one change. */
    private Change between(int[] before, int[] after) {
        Grid grid = terrain.grid;
        int left = grid.columns();
        int top = grid.rows();
        int right = 0;
        int bottom = 0;
        for (int i = 0; i < after.length; i++) {
            if (before[i] != after[i]) {
                left = Math.min(left, i % grid.columns());
                right = Math.max(right, i % grid.columns() + 1);
                top = Math.min(top, i / grid.columns());
                bottom = Math.max(bottom, i / grid.columns() + 1);
            }
        }
        return right <= left ? nothing() : kept(left, top, right - left, bottom - top, after);
    }

    private static Change nothing() {
        return new Change(0, 0, 0, 0, new int[0], List.of());
    }

    private Change cover(Mask mask, float[] share, Step.Layer step, FilmTable table, int[] film, int[] colour) {
        List<int[]> within = new ArrayList<>();
        int[] filmBefore = step.coats() > 1 ? cut(mask, film) : null;
        int[] colourBefore = step.coats() > 1 ? cut(mask, colour) : null;
        if (filmBefore != null) {
            for (int coats = 1; coats < step.coats(); coats++) {
                within.add(laid(mask, share, step, coats, table, filmBefore.clone(), colourBefore.clone()));
            }
        }
        int[] filmHere = cut(mask, film);
        int[] values = laid(mask, share, step, step.coats(), table, filmHere, cut(mask, colour));
        paste(mask, filmHere, film);
        paste(mask, values, colour);
        return new Change(mask.column(), mask.row(), mask.columns(), mask.rows(), values, within);
    }

    private int[] cut(Mask mask, int[] from) {
        int[] values = new int[mask.columns() * mask.rows()];
        for (int r = 0; r < mask.rows(); r++) {
            System.arraycopy(from, (mask.row() + r) * terrain.grid.columns() + mask.column(), values, r * mask.columns(), mask.columns());
        }
        return values;
    }

    private void paste(Mask mask, int[] values, int[] into) {
        for (int r = 0; r < mask.rows(); r++) {
            System.arraycopy(values, r * mask.columns(), into, (mask.row() + r) * terrain.grid.columns() + mask.column(), mask.columns());
        }
    }

    /** How much of each cell the hand covers: crisp, run out softly within its area, or a pen's slightly uneven line. */
    private float[] shares(Mask place, Mask mask, Step.Layer step, Step.Kind kind) {
        int columns = place.columns();
        float[] share = new float[columns * place.rows()];
        for (int r = 0; r < place.rows(); r++) {
            for (int c = 0; c < columns; c++) {
                int mc = place.column() + c - mask.column();
                int mr = place.row() + r - mask.row();
                share[r * columns + c] = mc >= 0 && mr >= 0 && mc < mask.columns() && mr < mask.rows() ? mask.at(mc, mr) : 0;
            }
        }
        double mm = terrain.grid.cellMm();
        if (step.soft().mm() > 0) {
            float[] inside = new float[share.length];
            for (int i = 0; i < inside.length; i++) {
                inside[i] = place.at(i % columns, i / columns);
            }
            int reach = Math.max(1, (int) Math.round(step.soft().mm() / 3 / mm));
            float[] own = Blur.box(Blur.box(share, columns, place.rows(), reach), columns, place.rows(), reach);
            float[] all = Blur.box(Blur.box(inside, columns, place.rows(), reach), columns, place.rows(), reach);
            for (int i = 0; i < share.length; i++) {
                float t = all[i] <= 1e-3f ? 0 : Math.min(1, own[i] / all[i]);
                share[i] = inside[i] * t * t * (3 - 2 * t);
            }
        } else if (kind == Step.Kind.OUTLINE || kind == Step.Kind.DETAIL || kind == Step.Kind.LINE_FIRST) {
            Noise hand = new Noise(17);
            for (int r = 0; r < place.rows(); r++) {
                for (int c = 0; c < columns; c++) {
                    int i = r * columns + c;
                    if (share[i] > 0) {
                        double wobble = hand.smooth((place.column() + c) * mm * 1.7, (place.row() + r) * mm * 1.7) - 0.5;
                        share[i] = (float) Math.max(0,
                                Math.min(1, share[i] + 2.4 * wobble * share[i] * (1 - share[i]) - 0.12 * share[i] * Math.max(0, wobble)));
                    }
                }
            }
        }
        return share;
    }

    /** One rectangle with so many coats of a step on it; the films are carried forward. */
    private int[] laid(Mask mask, float[] share, Step.Layer step, int coats, FilmTable table, int[] film, int[] colour) {
        Coat coat = step.load().coat();
        int[] next = new int[table.size()];
        int[] shown = new int[table.size()];
        int[] under = new int[table.size()];
        boolean clear = coat.optics().isClear();
        boolean patchy = coats < step.coats() && !clear;
        Mask again = step.again().isEmpty() || clear ? null : Mask.of(step.again(), terrain.grid);
        boolean[] raised = new boolean[table.size()];
        Materials material = new Materials(coat.sheen(), step.place());
        Noise brush = new Noise(31 + step.coats());
        double mm = terrain.grid.cellMm();
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                int i = r * mask.columns() + c;
                float part = share[i];
                if (part <= 0) {
                    continue;
                }
                int before = film[i];
                if (next[before] == 0) {
                    next[before] = table.over(before, coat, coats);
                    shown[before] = packed(table.film(next[before]), coat, table);
                    raised[before] = onPaste(table.film(next[before]), table);
                }
                double x = (mask.column() + c) * mm;
                double y = (mask.row() + r) * mm;
                boolean streaky = patchy || again != null && inside(again, mask.column() + c, mask.row() + r);
                if (streaky) { // brush marks of a thin coat: thinner between the hairs
                    part *= (float) Math.min(1, 0.55 + 0.75 * brush.smooth(x * 0.9, y * 3.1));
                }
                if (clear) { // a clear coat changes what is seen, edges and all, rather than covering it
                    if (under[before] == 0) {
                        Film below = table.film(before);
                        under[before] = packed(below, below.coat().orElse(coat), table) | 1 << 24;
                    }
                    colour[i] = shifted(colour[i], under[before], shown[before], part);
                } else {
                    int looks = material.at(shown[before], terrain.grid.left() + x, terrain.grid.top() + y);
                    colour[i] = blend(colour[i], raised[before] ? looks & 0xFFFFFF | Materials.body(x, y) << 24 : looks, part);
                }
                if (share[i] >= 0.5f) {
                    film[i] = next[before];
                }
            }
        }
        return colour;
    }

    private static boolean inside(Mask mask, int column, int row) {
        int c = column - mask.column();
        int r = row - mask.row();
        return c >= 0 && r >= 0 && c < mask.columns() && r < mask.rows() && mask.at(c, r) > 0.5f;
    }

    /** Whether paste lies somewhere below the top. */
    private static boolean onPaste(Film film, FilmTable table) {
        for (Film layer = film; !layer.isBare(); layer = table.film(layer.below())) {
            if (layer.coat().orElseThrow().sheen() == Sheen.RAISED) {
                return true;
            }
        }
        return false;
    }

    /** A glaze that is strongest at the edge of what it shades and fades to nothing inside. */
    private Change fade(Mask mask, Mask within, Step.Layer step, FilmTable table, int[] film, int[] colour) {
        Coat coat = step.load().coat();
        Grid grid = terrain.grid;
        int w = within.columns();
        int h = within.rows();
        float[] field = new float[w * h];
        for (int r = 0; r < h; r++) {
            for (int c = 0; c < w; c++) {
                int mc = within.column() + c - mask.column();
                int mr = within.row() + r - mask.row();
                float dark = mc >= 0 && mr >= 0 && mc < mask.columns() && mr < mask.rows() ? mask.at(mc, mr) : 0;
                field[r * w + c] = Math.max(dark, 1 - within.at(c, r));
            }
        }
        int reach = Math.max(1, (int) Math.round(0.9 / grid.cellMm()));
        float[] soft = Blur.box(Blur.box(field, w, h, reach), w, h, reach);
        for (int r = 0; r < h; r++) {
            for (int c = 0; c < w; c++) {
                float t = Math.min(1, Math.max(0, (soft[r * w + c] - 0.15f) / 0.75f));
                int mc = within.column() + c - mask.column();
                int mr = within.row() + r - mask.row();
                boolean near = mc >= -3 * reach && mr >= -3 * reach && mc < mask.columns() + 3 * reach && mr < mask.rows() + 3 * reach;
                float dark = mc >= 0 && mr >= 0 && mc < mask.columns() && mr < mask.rows() ? mask.at(mc, mr) : 0;
                float share = near ? t * t * (3 - 2 * t) * within.at(c, r) * Math.min(1, 0.35f + dark) : 0;
                if (share > 0.01f && (dark > 0 || field[r * w + c] < 0.5f)) {
                    int i = (within.row() + r) * grid.columns() + within.column() + c;
                    int next = table.over(film[i], coat, step.coats());
                    colour[i] = blend(colour[i], packed(table.film(next), coat, table), share);
                    if (dark >= 0.5f) {
                        film[i] = next;
                    }
                }
            }
        }
        return kept(within.column(), within.row(), w, h, colour);
    }

    private Change pencil(PaintPlan plan, Step.Pencil pencil, int[] colour) {
        Optional<List<PlacedPart>> parts = plan.design().map(d -> d.parts());
        if (parts.isEmpty()) {
            return nothing();
        }
        int tone = pencil.drawing().chalk() ? 0xE9E7E0 : 0x55565A;
        Noise noise = new Noise(99);
        float[] drawn = new float[colour.length];
        for (PlacedPart part : parts.get()) {
            if (part.part().role() == Role.GUIDE) {
                continue; // rubbed out when the picture is pencilled; the screen and the sheets show it
            }
            if (part.part().role() == Role.FILL) {
                rubOut(Mask.of(part.drawn(), terrain.grid), drawn); // lines behind it are not drawn
            }
            Mask mask = Mask.of(Shapes.stroke(part.part().isArea() ? part.drawn().getBoundary() : part.drawn(), 0.45), terrain.grid);
            for (int r = 0; r < mask.rows(); r++) {
                for (int c = 0; c < mask.columns(); c++) {
                    int i = (mask.row() + r) * terrain.grid.columns() + mask.column() + c;
                    drawn[i] = Math.max(drawn[i], mask.at(c, r));
                }
            }
        }
        for (int i = 0; i < drawn.length; i++) {
            if (drawn[i] > 0 && terrain.inside[i] > 0) {
                double crumb = noise.smooth(i % terrain.grid.columns() * 0.9, i / terrain.grid.columns() * 0.9);
                colour[i] = blend(colour[i], colour[i] & 0xFF000000 | tone, (float) (drawn[i] * (0.35 + 0.5 * crumb)));
            }
        }
        return kept(0, 0, terrain.grid.columns(), terrain.grid.rows(), colour);
    }

    private void rubOut(Mask mask, float[] drawn) {
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                if (mask.at(c, r) >= 0.5f) {
                    drawn[(mask.row() + r) * terrain.grid.columns() + mask.column() + c] = 0;
                }
            }
        }
    }

    private Change kept(int column, int row, int columns, int rows, int[] colour) {
        int[] values = new int[columns * rows];
        for (int r = 0; r < rows; r++) {
            System.arraycopy(colour, (row + r) * terrain.grid.columns() + column, values, r * columns, columns);
        }
        return new Change(column, row, columns, rows, values, List.of());
    }

    /** Colour with the µm of all but clear coats, at most 255, in the top byte. */
    private int packed(Film film, Coat coat, FilmTable table) {
        double um = film.totalUm();
        for (Film layer = film; !layer.isBare(); layer = table.film(layer.below())) {
            um -= layer.coat().orElseThrow().optics().isClear() ? layer.layerUm() : 0;
        }
        Lab lab = film.lab();
        int rgb = look == StoneState.WET && coat.dryingShift() != 0
                ? new Lab(Math.min(100, Math.max(0, lab.l() + coat.dryingShift())), lab.a(), lab.b()).toXyz().toSrgb().rgb()
                : film.look().toSrgb().rgb();
        return (int) Math.min(255, Math.round(um)) << 24 | rgb;
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

    /** Number of steps. */
    public int steps() {
        return changes.size();
    }

    public StoneTerrain terrain() {
        return terrain;
    }

    /** Unlit colour of a pixel after so many steps, 0xRRGGBB: for tests and for the colour under the pointer. */
    public int colourAt(int steps, int column, int row) {
        return flat(steps)[row * terrain.grid.columns() + column] & 0xFFFFFF;
    }

    /** Coats of a step of which the picture can show each, 1 for steps of one coat or none. */
    public int coats(int step) {
        return changes.get(step).within.size() + 1;
    }

    private int[] flat(int steps) {
        return flat(steps, 0);
    }

    /** Colours after so many steps, of the last one only so many coats; 0 for all. */
    private int[] flat(int steps, int coats) {
        int[] colour = bare.clone();
        for (int step = 0; step < steps; step++) {
            Change change = changes.get(step);
            int[] values = step == steps - 1 && coats > 0 && coats <= change.within.size() ? change.within.get(coats - 1) : change.values;
            for (int r = 0; r < change.rows; r++) {
                System.arraycopy(values, r * change.columns, colour, (change.row + r) * terrain.grid.columns() + change.column,
                        change.columns);
            }
        }
        return colour;
    }

    /**
     * The lit picture after so many steps.
     *
     * @param steps 0 to {@link #steps()}
     * @param lightFrom degrees clockwise from straight up
     * @param pixels receives one premultiplied ARGB value per cell of the grid, rows first
     */
    public void draw(int steps, double lightFrom, int[] pixels) {
        draw(steps, 0, lightFrom, pixels);
    }

    /**
     * The lit picture within a step.
     *
     * @param coats of the last of the steps; 0 for all of them
     */
    public void draw(int steps, int coats, double lightFrom, int[] pixels) {
        int[] colour = flat(steps, coats);
        Grid grid = terrain.grid;
        int columns = grid.columns();
        double azimuth = Math.toRadians(lightFrom);
        double elevation = Math.toRadians(44);
        float lx = (float) (Math.sin(azimuth) * Math.cos(elevation));
        float ly = (float) (-Math.cos(azimuth) * Math.cos(elevation));
        float lz = (float) Math.sin(elevation);
        float hx = lx;
        float hy = ly;
        float hz = lz + 1;
        float hs = (float) Math.sqrt(hx * hx + hy * hy + hz * hz);
        hx /= hs;
        hy /= hs;
        hz /= hs;
        float relief = (float) (0.001 / (2 * grid.cellMm()));
        float gloss = switch (look) {
            case SEALED -> sealedGloss;
            case CURING -> CURING_GLOSS;
            case WET -> WET_GLOSS;
            case DRY -> DRY_GLOSS;
        };
        int power = look == StoneState.DRY ? 3 : 5;
        float[] show = new float[256];
        for (int um = 0; um < 256; um++) {
            show[um] = (float) (0.06 + 0.94 * Math.exp(-um / SMOOTHING_UM));
        }
        for (int i = 0; i < pixels.length; i++) {
            float inside = terrain.inside[i];
            if (inside <= 0) {
                pixels[i] = 0;
                continue;
            }
            int here = colour[i];
            int um = here >>> 24;
            here = milk == 0 ? here : blend(here, here & 0xFF000000 | MILK, milk);
            float nx = terrain.nx[i];
            float ny = terrain.ny[i];
            float nz = terrain.nz[i];
            if (i >= columns && i < pixels.length - columns) {
                nx -= relief * ((colour[i + 1] >>> 24) - (colour[i - 1] >>> 24)) * 0.9f;
                ny -= relief * ((colour[i + columns] >>> 24) - (colour[i - columns] >>> 24)) * 0.9f;
            }
            float key = nx * lx + ny * ly + nz * lz;
            float light = Math.min(1.30f, 0.26f + 0.74f * Math.max(0, key) / lz) * (0.55f + 0.45f * nz);
            light *= 1 + terrain.grain[i] * show[um];
            float half = Math.max(0, nx * hx + ny * hy + nz * hz);
            float shine = half;
            for (int p = 0; p < power; p++) {
                shine *= shine;
            }
            shine *= gloss;
            int red = lit(here >> 16 & 255, light, shine, inside);
            int green = lit(here >> 8 & 255, light, shine, inside);
            int blue = lit(here & 255, light, shine, inside);
            pixels[i] = (int) (inside * 255 + 0.5f) << 24 | red << 16 | green << 8 | blue;
        }
    }

    private static int lit(int code, float light, float shine, float inside) {
        int linear = (int) ((LINEAR[code] * light + shine) * 4095);
        return (int) ((ENCODED[linear < 0 ? 0 : Math.min(linear, 4095)] & 255) * inside + 0.5f);
    }

    private static float[] linear() {
        float[] table = new float[256];
        for (int i = 0; i < 256; i++) {
            table[i] = (float) Xyz.linear(i);
        }
        return table;
    }

    private static byte[] encoded() {
        byte[] table = new byte[4096];
        for (int i = 0; i < 4096; i++) {
            table[i] = (byte) Math.round(255 * Xyz.encoded(i / 4095.0));
        }
        return table;
    }
}
