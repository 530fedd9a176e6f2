package mosspebble.core.picture;

import java.util.Arrays;
import java.util.List;
import java.util.TreeMap;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Side;
import mosspebble.core.rock.Fabric;
import mosspebble.core.rock.Place;
import mosspebble.core.stone.EdgeStrip;

/** The unrolled edge as it looks after so many steps: its films as they lie, without light, since the strip is seen from everywhere. */
public final class EdgePicture {

    /** Tones by which the stone's grain varies. */
    private static final double GRAIN = 40;

    private final EdgeStrip strip;
    private final Grid grid;
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
        FilmTable table = new FilmTable(PaintPlan.bare(plan.survey().stone(), look), SoakIn.share(plan.survey().stone()));
        FilmMap films = new FilmMap(grid, table);
        Fabric fabric = Fabric.of(plan.survey().stone());
        moments.put(0, drawn(films, table, fabric));
        for (int i = 0; i < plan.steps().size(); i++) {
            List<Step.Layer> layers = plan.steps().get(i).layers().stream().filter(l -> l.side() == Side.EDGE).toList();
            if (!layers.isEmpty()) {
                layers.forEach(l -> films.lay(Mask.of(l.place(), grid), l.load().coat(), l.coats()));
                moments.put(i + 1, drawn(films, table, fabric));
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

    private int[] drawn(FilmMap films, FilmTable table, Fabric fabric) {
        int[] colours = new int[table.size()];
        Arrays.setAll(colours, i -> table.film(i).look().toSrgb().rgb());
        int[] pixels = new int[grid.cells()];
        Place place = new Place();
        for (int i = 0; i < pixels.length; i++) {
            double x = grid.x(i % grid.columns());
            double y = grid.y(i / grid.columns());
            int ray = (int) Math.min(strip.along().length - 1, x / strip.lengthMm() * strip.along().length);
            if (-y <= strip.front()[ray] && y <= strip.back()[ray]) {
                int film = films.at(i);
                double lift = 0;
                if (table.film(film).isBare()) {
                    fabric.at(x, y, grid.cellMm(), place);
                    lift = GRAIN * (place.green - 1);
                }
                pixels[i] = 0xFF000000 | lifted(colours[film], lift);
            }
        }
        return pixels;
    }

    private static int lifted(int rgb, double by) {
        int r = clamp((rgb >> 16 & 0xFF) + by);
        int g = clamp((rgb >> 8 & 0xFF) + by);
        int b = clamp((rgb & 0xFF) + by);
        return r << 16 | g << 8 | b;
    }

    private static int clamp(double value) {
        return (int) Math.max(0, Math.min(255, Math.round(value)));
    }
}
