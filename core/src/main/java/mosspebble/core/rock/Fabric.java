package mosspebble.core.rock;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import mosspebble.core.colour.Xyz;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Srgb;

/**
 * The fabric of a rock: how its minerals, layers, pores and veins lie. A function of the place alone, seeded by the stone, so that it
 * belongs to the stone however it is turned, lit or zoomed.
 */
public abstract class Fabric {

    /** Side of the square over which the mean is taken, and how far apart it is looked at, mm. */
    private static final double SAMPLE = 60;
    private static final double EVERY = 0.9;

    final Noise noise;
    final double relief;
    private final double[] base = {1, 1, 1};
    private double red = 1;
    private double green = 1;
    private double blue = 1;
    private double level;

    /** @param relief of the skin against what is usual for the rock, 1 as usual */
    Fabric(long seed, double relief) {
        this.noise = new Noise(seed);
        this.relief = relief;
    }

    /** What a fabric is made from. */
    private record Key(RockKind rock, long seed, Texture texture, Srgb colour) {}

    /** Those asked for last: a picture drawn in parts, or again at another scale, need not have its rock made anew. */
    private static final Map<Key, Fabric> KNOWN = Collections.synchronizedMap(new LinkedHashMap<>(8, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Fabric> eldest) {
            return size() > 4;
        }
    });

    /** The fabric of a stone: its mean colour is 1, its mean height 0. */
    public static Fabric of(Stone stone) {
        return KNOWN.computeIfAbsent(new Key(stone.rock(), stone.seed(), stone.texture(), stone.colour()), key -> made(stone));
    }

    private static Fabric made(Stone stone) {
        long seed = stone.seed() * 31 + stone.rock().ordinal();
        double relief = relief(stone.texture());
        Fabric fabric = switch (stone.rock()) {
            case GRANITE -> new Granite(seed, relief);
            case SLATE -> new Slate(seed, relief);
            case LIMESTONE -> new Limestone(seed, relief);
            case SANDSTONE -> new Sandstone(seed, relief);
            case BASALT -> new Basalt(seed, relief);
            case FLINT -> new Flint(seed, relief);
            case MARBLE -> new Marble(seed, relief);
            case CAST_PLASTER -> new Cast(seed, relief, false);
            case CAST_CEMENT -> new Cast(seed, relief, true);
        };
        fabric.base[0] = Xyz.linear(stone.colour().red());
        fabric.base[1] = Xyz.linear(stone.colour().green());
        fabric.base[2] = Xyz.linear(stone.colour().blue());
        fabric.level();
        return fabric;
    }

    /** Whether a rock has facets that glint: flakes of mica. */
    public static boolean glints(RockKind rock) {
        return rock == RockKind.GRANITE || rock == RockKind.SLATE;
    }

    private static double relief(Texture texture) {
        return switch (texture) {
            case SMOOTH -> 0.6;
            case GRAINY -> 1.2;
            case ROUGH -> 2;
        };
    }

    /** Takes the mean over a square of the skin, so that what the painter measured stays the mean. */
    private void level() {
        SkinRow row = new SkinRow();
        row.cell = EVERY / 6;
        double[] sum = new double[4];
        int count = 0;
        for (double v = -SAMPLE / 2; v < SAMPLE / 2; v += EVERY) {
            row.count = 0;
            for (double u = -SAMPLE / 2; u < SAMPLE / 2; u += EVERY) {
                row.u[row.count] = u;
                row.v[row.count] = v;
                row.pixel[row.count++] = EVERY / 6;
            }
            fill(row);
            for (int i = 0; i < row.count; i++) {
                if (row.apart[i]) {
                    continue;
                }
                sum[0] += row.red[i];
                sum[1] += row.green[i];
                sum[2] += row.blue[i];
                sum[3] += row.height[i];
                count++;
            }
        }
        red = count / sum[0];
        green = count / sum[1];
        blue = count / sum[2];
        level = sum[3] / count;
    }

    /**
     * The skin at a place.
     *
     * @param u along the stone's own length from its middle, mm along the skin
     * @param v across, mm
     * @param pixel size of what it is drawn with, mm: what is finer is left out
     */
    public final void at(double u, double v, double pixel, Place place) {
        fill(u, v, pixel, place.near(noise), place);
        place.red *= red;
        place.green *= green;
        place.blue *= blue;
        place.height = (place.height - level) * relief;
    }

    /** The same at all places of a row. */
    public final void at(SkinRow row) {
        fill(row);
        for (int i = 0; i < row.count; i++) {
            row.red[i] *= red;
            row.green[i] *= green;
            row.blue[i] *= blue;
            row.height[i] = (float) ((row.height[i] - level) * relief);
        }
    }

    /** A row place by place; a fabric that asks much of its noise asks it for all places at once. */
    void fill(SkinRow row) {
        for (int i = 0; i < row.count; i++) {
            fill(row.u[i], row.v[i], row.pixel[i], row.place.near(noise), row.place);
            row.put(i);
        }
    }

    /** Mixes in what has a colour of its own whatever the stone's is: reflectances in linear light, 0 to 1. */
    final void own(Place place, double share, double r, double g, double b) {
        place.toward(share, r / Math.max(0.01, base[0]), g / Math.max(0.01, base[1]), b / Math.max(0.01, base[2]));
    }

    /** @param near the noise of this fabric */
    abstract void fill(double u, double v, double pixel, NearNoise near, Place place);

    static double step(double from, double to, double value) {
        double t = Math.max(0, Math.min(1, (value - from) / (to - from)));
        return t * t * (3 - 2 * t);
    }
}
