package mosspebble.core.picture;

import java.util.Arrays;
import java.util.List;
import java.util.function.BooleanSupplier;
import mosspebble.core.coats.Sheen;
import mosspebble.core.colour.Lamp;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;

/**
 * The picture of a plan after any of its steps. Every distinct film is coloured once from its spectrum; each step keeps only the pixels
 * it changed, so stepping is copying. Light is a second pass over dome, skin and paint. Immutable once made; {@link #draw} may be called
 * from any thread.
 */
public final class StonePicture {

    private final StoneTerrain terrain;
    private final int bare;
    private final List<Painting.Change> changes;
    /** What lies about after each number of steps. */
    private final List<Loose> loose;
    private final Shading shading;

    private StonePicture(Painting painting, PaintPlan plan, StoneTerrain terrain, StoneState look) {
        this.terrain = terrain;
        this.bare = painting.bare();
        this.changes = painting.of(plan);
        this.loose = Loose.after(plan, terrain, look);
        this.shading = new Shading(terrain, film(plan, look));
    }

    /** By daylight. */
    public static StonePicture of(PaintPlan plan, StoneTerrain terrain, StoneState look) {
        return of(plan, terrain, look, Lamp.DAYLIGHT);
    }

    public static StonePicture of(PaintPlan plan, StoneTerrain terrain, StoneState look, Lamp lamp) {
        return new StonePicture(new Painting(plan, terrain, look, lamp), plan, terrain, look);
    }

    /**
     * The stone of a plan before anything is done, by daylight: without a thought of what is painted on it.
     *
     * @param lightFrom degrees clockwise from straight up
     * @return premultiplied ARGB, a value per cell of the terrain's grid, rows first
     */
    public static int[] bare(PaintPlan plan, StoneTerrain terrain, StoneState look, double lightFrom) {
        int[] pixels = new int[terrain.grid.cells()];
        draw(plan, terrain, look, Lamp.DAYLIGHT, new Shown(0, 0, lightFrom, Care.FULL), () -> false, pixels);
        return pixels;
    }

    /** Draws one moment without a note of how it came about: for pictures that are drawn once. */
    static void draw(PaintPlan plan, StoneTerrain terrain, StoneState look, Lamp lamp, Shown shown, BooleanSupplier unwanted,
            int[] pixels) {
        Pixels seen = Painting.after(plan, terrain, look, lamp, shown, Window.whole(terrain.grid), unwanted, new Spare());
        light(plan, terrain, look, shown, terrain.window, seen, unwanted, new Spare(), pixels);
    }

    /**
     * Light on what is seen.
     *
     * @param drawn part of what is known of the terrain; the rest is left as it is
     */
    static void light(PaintPlan plan, StoneTerrain terrain, StoneState look, Shown shown, Window drawn, Pixels seen,
            BooleanSupplier unwanted, Spare spare, int[] pixels) {
        new Shading(terrain, film(plan, look), drawn).draw(seen, shown, unwanted, spare, pixels);
    }

    /** The film of water or sealer over all. */
    private static Shading.Film film(PaintPlan plan, StoneState look) {
        List<Step.Seal> seals = seals(plan);
        boolean matt = seals.stream().anyMatch(s -> s.coat().filter(c -> c.sheen() == Sheen.MATT).isPresent());
        boolean satin = seals.stream().anyMatch(s -> s.coat().filter(c -> c.sheen() == Sheen.SATIN).isPresent());
        boolean poured = isPoured(plan);
        double milk = seals.stream().mapToDouble(s -> s.advice().kind().milk()).max().orElse(0);
        return switch (look) {
            case DRY -> Shading.Film.NONE;
            case WET -> new Shading.Film(0.86f, 0, 0.5f);
            case CURING -> new Shading.Film(poured ? 1 : 0.9f, (float) milk, poured ? 0 : 0.4f);
            case SEALED -> new Shading.Film(poured ? 1 : matt ? 0.12f : satin ? 0.45f : 0.88f, 0, poured ? 0 : 0.4f);
        };
    }

    private static List<Step.Seal> seals(PaintPlan plan) {
        return plan.steps().stream().filter(s -> s instanceof Step.Seal && s.side() == plan.up().side()).map(s -> (Step.Seal) s).toList();
    }

    /** Whether the face that is seen gets a pour. */
    static boolean isPoured(PaintPlan plan) {
        return seals(plan).stream().anyMatch(s -> s.advice().why().poured());
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
        int at = bare;
        for (Painting.Change change : changes.subList(0, steps)) {
            int found = Arrays.binarySearch(change.at(), row * terrain.grid.columns() + column);
            at = found < 0 ? at : change.after().colour()[found];
        }
        return at & 0xFFFFFF;
    }

    /** Coats of a step of which the picture can show each, 1 for steps of one coat or none. */
    public int coats(int step) {
        return changes.get(step).within().size() + 1;
    }

    /** What is seen after so many steps, of the last one only so many coats; 0 for all. */
    private Pixels after(int steps, int coats) {
        Pixels pixels = Pixels.of(terrain.grid.cells());
        Arrays.fill(pixels.colour(), bare);
        for (int step = 0; step < steps; step++) {
            Painting.Change change = changes.get(step);
            Pixels part = step == steps - 1 && coats > 0 && coats <= change.within().size() ? change.within().get(coats - 1)
                    : change.after();
            pixels.put(part, change.at());
        }
        return pixels;
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
        draw(new Shown(steps, coats, lightFrom, Care.FULL), () -> false, pixels);
    }

    /**
     * What is shown of a picture.
     *
     * @param steps 0 to {@link #steps()}
     * @param coats of the last of them; 0 for all
     * @param lightFrom degrees clockwise from straight up
     */
    public record Shown(int steps, int coats, double lightFrom, Care care) {}

    /**
     * The same with more or less care.
     *
     * @param unwanted asked now and then; once it says so, the rest is left undrawn
     */
    public void draw(Shown shown, BooleanSupplier unwanted, int[] pixels) {
        Pixels seen = after(shown.steps, shown.coats);
        if (shown.care.showsLoose()) {
            loose.get(shown.steps).lieOn(seen);
        }
        shading.draw(seen, shown, unwanted, new Spare(), pixels);
    }
}
