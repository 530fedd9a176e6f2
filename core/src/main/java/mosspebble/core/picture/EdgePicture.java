package mosspebble.core.picture;

import java.util.Arrays;
import java.util.List;
import java.util.TreeMap;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Xyz;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Side;
import mosspebble.core.rock.Fabric;
import mosspebble.core.rock.SkinRow;
import mosspebble.core.stone.EdgeStrip;
import mosspebble.core.units.Parallel;

/**
 * The unrolled edge as it looks after so many steps. It is seen from everywhere, so light comes from all round and from above: the strip is
 * lighter toward the front and darker toward the back, the relief of rock and paint throws its shade downward, and what is wet or sealed
 * shines in a line along its upper half. At the girdle, on a level place, a colour is itself.
 */
public final class EdgePicture {

    /** The edge leans from up to down by so much to each side of the girdle, degrees, and light comes from so far above. */
    private static final double LEANS = 58;
    private static final double LIGHT_UP = 40;

    /** Share of the light that comes from all round, whatever way a place leans. */
    private static final double ROUND_ABOUT = 0.6;

    /** The shining line: how far up the strip, of 1, how wide, and how bright against white at full gloss. */
    private static final double LINE_UP = 0.42;
    private static final double LINE_WIDE = 0.11;
    private static final double LINE_BRIGHT = 0.28;

    private final EdgeStrip strip;
    private final Grid grid;
    private final double gloss;
    /** Of each pixel of the strip: reflectance of the rock against its mean, and its height, mm. */
    private final float[] red;
    private final float[] green;
    private final float[] blue;
    private final float[] height;
    /** The pixels after so many steps, for every number of steps after which they change. */
    private final TreeMap<Integer, int[]> moments = new TreeMap<>();

    /**
     * Works all moments out, so that showing one costs nothing.
     *
     * @param columns pixels along the girdle, 2 to 4000
     * @throws java.util.NoSuchElementException if the plan has no painted edge
     */
    public EdgePicture(PaintPlan plan, int columns, StoneState look) {
        this.strip = plan.edge().orElseThrow();
        double cell = strip.lengthMm() / columns;
        this.grid = new Grid(0, -strip.mostFrontMm(), cell, columns,
                Math.max(1, (int) Math.ceil((strip.mostFrontMm() + strip.mostBackMm()) / cell)));
        this.gloss = look == StoneState.DRY ? 0 : 1;
        this.red = new float[grid.cells()];
        this.green = new float[grid.cells()];
        this.blue = new float[grid.cells()];
        this.height = new float[grid.cells()];
        rock(Fabric.of(plan.survey().stone()));
        FilmTable table = new FilmTable(PaintPlan.bare(plan.survey().stone(), look), SoakIn.share(plan.survey().stone()));
        FilmMap films = new FilmMap(grid, table);
        moments.put(0, drawn(films, table));
        for (int i = 0; i < plan.steps().size(); i++) {
            List<Step.Layer> layers = plan.steps().get(i).layers().stream().filter(l -> l.side() == Side.EDGE).toList();
            if (!layers.isEmpty()) {
                layers.forEach(l -> films.lay(Mask.of(l.place(), grid), l.load().coat(), l.coats()));
                moments.put(i + 1, drawn(films, table));
            }
        }
    }

    public int columns() {
        return grid.columns();
    }

    public int rows() {
        return grid.rows();
    }

    /** The pixels, 0xAARRGGBB row by row, the front up; clear where the strip ends. */
    public int[] pixels(int steps) {
        return moments.floorEntry(steps).getValue().clone();
    }

    private void rock(Fabric fabric) {
        Parallel.range(0, grid.rows()).forEach(r -> {
            SkinRow skin = new SkinRow();
            skin.cell = grid.cellMm();
            for (int first = 0; first < grid.columns(); first += SkinRow.MOST) {
                skin.count = Math.min(SkinRow.MOST, grid.columns() - first);
                for (int k = 0; k < skin.count; k++) {
                    skin.u[k] = grid.x(first + k);
                    skin.v[k] = grid.y(r);
                    skin.pixel[k] = grid.cellMm();
                }
                fabric.at(skin);
                int at = r * grid.columns() + first;
                System.arraycopy(skin.red, 0, red, at, skin.count);
                System.arraycopy(skin.green, 0, green, at, skin.count);
                System.arraycopy(skin.blue, 0, blue, at, skin.count);
                System.arraycopy(skin.height, 0, height, at, skin.count);
            }
        });
    }

    private int[] drawn(FilmMap films, FilmTable table) {
        int[] colours = new int[table.size()];
        double[] um = new double[table.size()];
        Arrays.setAll(colours, i -> table.film(i).look().toSrgb().rgb());
        Arrays.setAll(um, i -> table.film(i).totalUm());
        int[] pixels = new int[grid.cells()];
        Parallel.range(0, grid.rows()).forEach(r -> {
            for (int c = 0; c < grid.columns(); c++) {
                int i = r * grid.columns() + c;
                double front = at(strip.front(), grid.x(c));
                double back = at(strip.back(), grid.x(c));
                double y = grid.y(r);
                double covered = covered((front + y) / grid.cellMm()) * covered((back - y) / grid.cellMm());
                if (covered > 0) {
                    double across = Math.max(-1, Math.min(1, y < 0 ? y / front : y / back));
                    int film = films.at(i);
                    int above = r == 0 ? i : i - grid.columns();
                    double rise = (lifted(i, um[film]) - lifted(above, um[films.at(above)])) / grid.cellMm();
                    pixels[i] = (int) Math.round(255 * covered) << 24
                            | lit(colours[film], table.film(film).isBare() ? i : -1, light(across, rise),
                                    shine(across, film, table));
                }
            }
        });
        return pixels;
    }

    /** How far the strip reaches at a place along it, between the rays at which that is known, mm. */
    private double at(double[] reach, double x) {
        double[] along = strip.along();
        int found = Arrays.binarySearch(along, x);
        int before = Math.max(0, Math.min(along.length - 2, found >= 0 ? found : -found - 2));
        double share = (x - along[before]) / (along[before + 1] - along[before]);
        return reach[before] + Math.max(0, Math.min(1, share)) * (reach[before + 1] - reach[before]);
    }

    /** How much of a pixel whose middle is so many pixels within the end of the strip belongs to it. */
    private static double covered(double within) {
        return Math.max(0, Math.min(1, within + 0.5));
    }

    /** Height of rock and paint, mm: paint fills half of what lies below it. */
    private double lifted(int i, double um) {
        return um > 0 ? 0.5 * height[i] + 0.001 * um : height[i];
    }

    /**
     * How much light falls on a place, 1 at the girdle where it is level.
     *
     * @param across -1 at the front end of the strip to 1 at its back end
     * @param rise of what lies there against what lies above it, mm a mm
     */
    private static double light(double across, double rise) {
        double faces = Math.toRadians(-LEANS * across) + Math.atan(rise);
        double key = Math.max(0, Math.cos(faces - Math.toRadians(LIGHT_UP))) / Math.cos(Math.toRadians(LIGHT_UP));
        return ROUND_ABOUT + (1 - ROUND_ABOUT) * key;
    }

    private double shine(double across, int film, FilmTable table) {
        double bare = table.film(film).isBare() ? 0.6 : 1;
        double t = (across + LINE_UP) / LINE_WIDE;
        return gloss * bare * LINE_BRIGHT * Math.exp(-t * t);
    }

    /** @param rock number of the pixel whose grain shows; -1 below paint */
    private int lit(int rgb, int rock, double light, double shine) {
        int r = code(Xyz.linear(rgb >> 16 & 0xFF) * (rock < 0 ? 1 : red[rock]) * light + shine);
        int g = code(Xyz.linear(rgb >> 8 & 0xFF) * (rock < 0 ? 1 : green[rock]) * light + shine);
        int b = code(Xyz.linear(rgb & 0xFF) * (rock < 0 ? 1 : blue[rock]) * light + shine);
        return r << 16 | g << 8 | b;
    }

    private static int code(double linear) {
        return (int) Math.round(255 * Xyz.encoded(Math.max(0, Math.min(1, linear))));
    }
}
