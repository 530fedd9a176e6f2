package mosspebble.core.picture;

import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;
import mosspebble.core.area.Grid;
import mosspebble.core.coats.Sheen;
import mosspebble.core.colour.Xyz;
import mosspebble.core.rock.Noise;
import mosspebble.core.units.Parallel;

/**
 * Light on a terrain and what lies on it: a soft warm key, a cool sky, what the cloth throws back, dents that darken, and a window that
 * shines in what is glossy. On a level, matt place all light together is 1 in each of red, green and blue, so that a colour there is the
 * colour itself.
 */
final class Shading {

    /**
     * A film of water or sealer over all.
     *
     * @param gloss 0 for none to 1 for glass
     * @param milk share of white in it, 0 to 1
     * @param follows how far it follows the relief below, 0 to 1
     */
    record Film(float gloss, float milk, float follows) {
        static final Film NONE = new Film(0, 0, 0);
    }

    private static final float[] LINEAR = new float[256];
    private static final int CODES = 1 << 14;
    private static final byte[] ENCODED = new byte[CODES];
    static {
        for (int i = 0; i < 256; i++) {
            LINEAR[i] = (float) Xyz.linear(i);
        }
        for (int i = 0; i < CODES; i++) {
            ENCODED[i] = (byte) Math.round(255 * Xyz.encoded(i / (CODES - 1.0)));
        }
    }

    /** Height of key light and window above the cloth, degrees. */
    private static final double KEY_UP = 37;
    private static final double WINDOW_UP = 57;

    /** Half the height and width of the window, as tangents. */
    private static final float WINDOW_HIGH = 0.32f;
    private static final float WINDOW_WIDE = 0.25f;

    /** How bright the window is against a white cloth. */
    private static final float WINDOW = 9;

    /** Reflectance of a film of index 1.5 looked at straight: Fresnel's ((n - 1) / (n + 1))^2. */
    private static final float STRAIGHT = 0.04f;

    /** Share of the light on a level place that comes from the sky: cool, and the key makes up for it. */
    private static final float[] SKY = {0.20f, 0.225f, 0.265f};

    /** What the linen throws back onto what leans toward it. */
    private static final float[] BOUNCE = {0.25f, 0.23f, 0.19f};

    /** Half width of the shadow's edge on a round form, as a cosine. */
    private static final float WRAP = 0.22f;

    /** The eye is so far above the middle of the stone, mm: a level place mirrors a little more than one spot of the sky. */
    private static final float EYE = 230;

    /** Paint levels the relief below it: half is left at so many µm. */
    private static final float LEVELLED = 70;

    /** What is brighter is pressed together below white, as film does. */
    private static final float SHOULDER = 0.9f;

    /** Even the whitest keeps so much below white for light to rise into. */
    private static final float LEAST_ROOM = 0.02f;

    /** How far from a place something may stand in its light, mm. */
    static final double FARTHEST_MM = 2.2;

    /** How far round a place it is seen whether it lies in a dent, mm. */
    static final double WIDE_MM = 1;

    private static final float[] REACHES = {0.18f, 0.36f, 0.7f, 1.3f, (float) FARTHEST_MM};

    private static final int SHEENS = Sheen.values().length + 2;
    private static final float[] GLOSS = new float[SHEENS];
    static {
        for (Sheen sheen : Sheen.values()) {
            GLOSS[sheen.ordinal() + 1] = switch (sheen) {
                case MATT, RAISED -> 0.05f;
                case SATIN, CRACKLE -> 0.22f;
                case GLOSS -> 0.6f;
                case METAL, SHIFT -> 0.5f;
                case GLITTER -> 0.35f;
                case LEAF -> 0.7f;
                case CHROME -> 0.9f;
                case GEM -> 0.96f;
            };
        }
        GLOSS[Loose.MATT] = GLOSS[Sheen.MATT.ordinal() + 1];
    }

    /** The scales of metal lean so many times as far as the paint they lie in (by eye). */
    private static final float SCALES_LEAN = 1.5f;

    /** They lie in clouds so wide, mm, each leaning by so much (by eye). */
    private static final float[] SCALE_MM = {0.42f, 0.09f};
    private static final float[] LEAN = {0.09f, 0.22f};
    private static final Noise SCALES = new Noise(61);

    private final StoneTerrain terrain;
    private final Grid grid;
    private final Film film;
    private final Window drawn;

    Shading(StoneTerrain terrain, Film film) {
        this(terrain, film, terrain.window);
    }

    /** @param drawn part of what is known of the terrain */
    Shading(StoneTerrain terrain, Film film, Window drawn) {
        this.drawn = drawn;
        this.terrain = terrain;
        this.grid = terrain.grid;
        this.film = film;
    }

    /** A direction on the stone's side of the cloth. */
    private record Direction(float x, float y, float z) {
        static Direction of(double from, double up) {
            double turn = Math.toRadians(from);
            double high = Math.toRadians(up);
            return new Direction((float) (Math.sin(turn) * Math.cos(high)), (float) (-Math.cos(turn) * Math.cos(high)),
                    (float) Math.sin(high));
        }
    }

    /** Heights of skin and paint together, mm. */
    private float[] heights(Pixels pixels, Spare spare) {
        float[] heights = spare.floats(grid.cells());
        rows(r -> {
            for (int i = r * grid.columns(); i < (r + 1) * grid.columns(); i++) {
                float um = (float) Pixels.um(pixels.body()[i]);
                heights[i] = terrain.inside[i] <= 0 ? 0 : terrain.relief[i] * LEVELLED / (LEVELLED + um) + 0.001f * um;
            }
        });
        return heights;
    }

    private void rows(IntConsumer row) {
        Parallel.range(0, grid.rows()).forEach(row);
    }

    private float[] mean(float[] heights, double mm, Spare spare) {
        int reach = (int) Math.round(mm / grid.cellMm());
        return reach < 1 ? heights : Blur.box(heights, grid.columns(), grid.rows(), reach, spare);
    }

    void draw(Pixels pixels, StonePicture.Shown shown, BooleanSupplier unwanted, Spare spare, int[] out) {
        Care care = shown.care();
        double lightFrom = shown.lightFrom();
        float[] heights = care == Care.FLAT ? null : heights(pixels, spare);
        boolean whole = care == Care.FULL || care == Care.MATT;
        float[] wide = whole ? mean(heights, WIDE_MM, spare) : null;
        float[] near = whole || film.gloss > 0 && care != Care.FLAT ? mean(heights, 0.28, spare) : null;
        Frame frame = new Frame(pixels, heights, wide, near, care, Direction.of(lightFrom, KEY_UP), Direction.of(lightFrom, WINDOW_UP));
        rows(r -> {
            if (drawn.hasRow(r) && !unwanted.getAsBoolean()) {
                frame.row(r, out);
            }
        });
    }

    /** One picture as it is being drawn. */
    private final class Frame {
        private final Pixels pixels;
        private final float[] heights;
        private final float[] wide;
        private final float[] near;
        private final Care care;
        private final Direction key;
        private final Direction window;
        private final float slope = (float) (1 / (2 * grid.cellMm()));
        private final float flakes = Flakes.seen(grid.cellMm());
        private final float level;
        private final float high;
        /** How far the clouds of scales lean, as far as they can be seen. */
        private final float[] scales = new float[SCALE_MM.length];
        /** Places that may stand in the light, in cells from the one looked at, and 1 over how far each is. */
        private final int[] towardColumns;
        private final int[] towardRows;
        private final float[] perMm;

        Frame(Pixels pixels, float[] heights, float[] wide, float[] near, Care care, Direction key, Direction window) {
            this.pixels = pixels;
            this.heights = heights;
            this.wide = wide;
            this.near = near;
            this.care = care;
            this.key = key;
            this.window = window;
            this.level = key.z;
            this.high = (float) terrain.survey.dome().heightMm();
            for (int k = 0; k < scales.length; k++) {
                scales[k] = LEAN[k] * (float) Noise.visible(SCALE_MM[k], grid.cellMm());
            }
            float cell = (float) grid.cellMm();
            int shortest = 0;
            while (shortest < REACHES.length && REACHES[shortest] < cell) {
                shortest++;
            }
            int reaches = REACHES.length - shortest;
            this.towardColumns = new int[reaches];
            this.towardRows = new int[reaches];
            this.perMm = new float[reaches];
            for (int k = 0; k < reaches; k++) {
                float reach = REACHES[shortest + k];
                towardColumns[k] = Math.round(key.x / 0.799f * reach / cell);
                towardRows[k] = Math.round(key.y / 0.799f * reach / cell);
                perMm[k] = 1 / reach;
            }
        }

        void row(int r, int[] out) {
            int columns = grid.columns();
            float[] rgb = new float[3];
            int end = drawn.column() + drawn.columns();
            for (int c = drawn.column(); c < end; c++) {
                int i = r * columns + c;
                float inside = terrain.inside[i];
                if (inside <= 0) {
                    out[i] = 0;
                    continue;
                }
                albedo(i, rgb);
                if (care != Care.FLAT) {
                    light(i, r, c, rgb);
                }
                out[i] = (int) (inside * 255 + 0.5f) << 24 | code(rgb[0], inside) << 16 | code(rgb[1], inside) << 8 | code(rgb[2], inside);
            }
        }

        private int code(float light, float inside) {
            float linear = light <= SHOULDER ? light : SHOULDER + (1 - SHOULDER) * (1 - 1 / (1 + (light - SHOULDER) / (1 - SHOULDER)));
            int at = (int) (linear * (CODES - 1) + 0.5f);
            return (int) ((ENCODED[at < 0 ? 0 : Math.min(at, CODES - 1)] & 255) * inside + 0.5f);
        }

        /** What the place throws back of each colour: paint, and the grain of the rock as far as it shows. */
        private void albedo(int i, float[] rgb) {
            int colour = pixels.colour()[i];
            float through = (colour >>> 24) * (1 / 255f);
            rgb[0] = LINEAR[colour >> 16 & 255] * (1 + through * (terrain.red[i] - 1));
            rgb[1] = LINEAR[colour >> 8 & 255] * (1 + through * (terrain.green[i] - 1));
            rgb[2] = LINEAR[colour & 255] * (1 + through * (terrain.blue[i] - 1));
            if (film.milk > 0) {
                for (int k = 0; k < 3; k++) {
                    rgb[k] += film.milk * (0.9f - rgb[k]);
                }
            }
        }

        private void light(int i, int r, int c, float[] rgb) {
            int columns = grid.columns();
            boolean inner = c > 0 && c < columns - 1 && r > 0 && r < grid.rows() - 1;
            float gx = inner ? (heights[i + 1] - heights[i - 1]) * slope : 0;
            float gy = inner ? (heights[i + columns] - heights[i - columns]) * slope : 0;
            float ax = terrain.nx[i] - gx;
            float ay = terrain.ny[i] - gy;
            float az = terrain.nz[i];
            float size = 1 / (float) Math.sqrt(ax * ax + ay * ay + az * az);
            ax *= size;
            ay *= size;
            az *= size;
            float lit = soft(ax * key.x + ay * key.y + az * key.z) / level;
            float open = 1;
            if (wide != null) {
                lit *= 1 - shadow(i, r, c);
                float sunk = Math.max(0, wide[i] - heights[i]) * 3.2f + Math.max(0, near[i] - heights[i]) * 5f;
                open = 1 / (1 + sunk);
            }
            float rim = Math.min(1, terrain.z[i] / (0.4f * high));
            float contact = 0.58f + 0.42f * rim * (2 - rim);
            float up = 0.5f + 0.5f * terrain.nz[i];
            float turned = 0.5f + 0.5f * az;
            int sheen = pixels.sheen()[i];
            boolean metal = sheen == Sheen.METAL.ordinal() + 1 || sheen == Sheen.LEAF.ordinal() + 1;
            for (int k = 0; k < 3; k++) {
                rgb[k] = lit(rgb[k], (1 - SKY[k]) * lit + (SKY[k] * turned + BOUNCE[k] * (1 - up)) * open * contact);
            }
            if (care != Care.MATT) {
                shine(i, r, c, rgb, ax, ay, az, sheen, open, metal);
            }
        }

        /**
         * A colour in so much light. What is lit more than a level place keeps below white, the paler the sooner, so that a white stone
         * keeps its form: dark colours follow the light. With colour c and light l the rise e = c (l - 1) becomes e (1 - c) / (1 - c + e).
         */
        private float lit(float colour, float light) {
            if (light <= 1) {
                return colour * light;
            }
            float rise = colour * (light - 1);
            float room = Math.max(LEAST_ROOM, 1 - colour);
            return colour + rise * room / (room + rise);
        }

        /** The key is as wide as a window: where the form turns away from it the light ends softly. */
        private float soft(float d) {
            return d <= -WRAP ? 0 : d >= WRAP ? d : (d + WRAP) * (d + WRAP) / (4 * WRAP);
        }

        /** How much of the key is kept off by what stands up toward it. */
        private float shadow(int i, int r, int c) {
            float most = 0;
            for (int k = 0; k < towardColumns.length; k++) {
                int cc = c + towardColumns[k];
                int rr = r + towardRows[k];
                if (cc < 0 || rr < 0 || cc >= grid.columns() || rr >= grid.rows()) {
                    break;
                }
                most = Math.max(most, (heights[rr * grid.columns() + cc] - heights[i]) * perMm[k]);
            }
            return most <= 0.12f ? 0 : Math.min(0.7f, (most - 0.12f) * 1.3f);
        }

        private void shine(int i, int r, int c, float[] rgb, float ax, float ay, float az, int sheen, float open, boolean metal) {
            float x = (float) (grid.left() + (c + 0.5) * grid.cellMm());
            float y = (float) (grid.top() + (r + 0.5) * grid.cellMm());
            float gloss = sheen == 0 ? terrain.gloss(i) : GLOSS[sheen];
            float rough = 1 - gloss;
            float seen = mirrored(ax, ay, az, x, y, rough);
            float edge = 1 - az;
            float fresnel = STRAIGHT + (1 - STRAIGHT) * edge * edge * edge * edge * edge * gloss;
            float cover = film.gloss > 0 ? 0.35f : 1; // below a film there is less of a step in index
            if (metal) {
                float mirrors = metal(i, r, c, x, y);
                for (int k = 0; k < 3; k++) {
                    rgb[k] *= mirrors;
                }
            } else {
                float add = open * cover * fresnel * (seen * WINDOW / (1 + 9 * rough * rough) + 0.22f * gloss);
                for (int k = 0; k < 3; k++) {
                    rgb[k] += add;
                }
            }
            int facet = sheen == 0 ? terrain.glint(i) : sheen == Sheen.GLITTER.ordinal() + 1 || sheen == Sheen.SHIFT.ordinal() + 1
                    ? Flakes.at(x, y) : 0;
            if (facet != 0) {
                glint(facet, sheen, rgb, ax, ay, az, x, y);
            }
            if (film.gloss > 0 && sheen != Loose.MATT) {
                over(i, r, c, rgb, x, y);
            }
        }

        /**
         * What metal makes of its own colour: its scales lie along the paint and mirror a sky that is bright where the window is and dark
         * away from it, the more so on the sides of every hair of the brush. 1 on a level place below the eye.
         */
        private float metal(int i, int r, int c, float x, float y) {
            int columns = grid.columns();
            boolean inner = c > 0 && c < columns - 1 && r > 0 && r < grid.rows() - 1;
            float gx = inner ? (heights[i + 1] - heights[i - 1]) * slope : 0;
            float gy = inner ? (heights[i + columns] - heights[i - columns]) * slope : 0;
            float mx = terrain.nx[i] - SCALES_LEAN * gx;
            float my = terrain.ny[i] - SCALES_LEAN * gy;
            for (int k = 0; k < SCALE_MM.length; k++) {
                if (scales[k] > 0) {
                    mx += scales[k] * (float) SCALES.gradient(x / SCALE_MM[k], y / SCALE_MM[k]);
                    my += scales[k] * (float) SCALES.gradient(y / SCALE_MM[k] + 31, x / SCALE_MM[k] + 17);
                }
            }
            float size = 1 / (float) Math.sqrt(mx * mx + my * my + terrain.nz[i] * terrain.nz[i]);
            mx *= size;
            my *= size;
            float mz = terrain.nz[i] * size;
            float toward = (2 * mz * mx + x / EYE) * window.x + (2 * mz * my + y / EYE) * window.y + (2 * mz * mz - 1) * window.z;
            float more = 2.6f * (toward - window.z);
            float sky = 1 + (more > 0 ? more / (1 + 0.5f * more) : more / (1 - 1.2f * more));
            return sky + 0.5f * mirrored(mx, my, mz, x, y, 1 - GLOSS[Sheen.METAL.ordinal() + 1]);
        }

        /** A flake or mica facet leans its own way and flashes when it mirrors the window. */
        private void glint(int facet, int sheen, float[] rgb, float ax, float ay, float az, float x, float y) {
            int h = facet * 0x9E3779B1;
            h ^= h >>> 15;
            float tx = ax + ((h & 1023) / 511.5f - 1) * 0.5f;
            float ty = ay + ((h >>> 10 & 1023) / 511.5f - 1) * 0.5f;
            float size = 1 / (float) Math.sqrt(tx * tx + ty * ty + az * az);
            float flash = mirrored(tx * size, ty * size, az * size, x, y, 0.12f);
            float tone = sheen == 0 ? 1 : 1 + flakes * 0.36f * ((h >>> 20 & 255) / 255f - 0.5f);
            for (int k = 0; k < 3; k++) {
                rgb[k] = rgb[k] * tone + flash * (sheen == 0 ? 0.45f : flakes * (0.25f + 1.5f * rgb[k]));
            }
        }

        /** The film's own reflection: it keeps the form of the stone and follows the relief only a little. */
        private void over(int i, int r, int c, float[] rgb, float x, float y) {
            int columns = grid.columns();
            boolean inner = c > 0 && c < columns - 1 && r > 0 && r < grid.rows() - 1;
            float gx = inner ? (near[i + 1] - near[i - 1]) * slope * film.follows : 0;
            float gy = inner ? (near[i + columns] - near[i - columns]) * slope * film.follows : 0;
            float ax = terrain.nx[i] - gx;
            float ay = terrain.ny[i] - gy;
            float size = 1 / (float) Math.sqrt(ax * ax + ay * ay + terrain.nz[i] * terrain.nz[i]);
            float az = terrain.nz[i] * size;
            float edge = 1 - az;
            float rough = 1 - film.gloss;
            float fresnel = STRAIGHT + (1 - STRAIGHT) * edge * edge * edge * edge * edge * 0.6f;
            float add = fresnel * (mirrored(ax * size, ay * size, az, x, y, rough) * WINDOW / (1 + 9 * rough * rough)
                    + 0.25f * (0.4f + 0.6f * edge));
            for (int k = 0; k < 3; k++) {
                rgb[k] = rgb[k] * (1 - fresnel) + add;
            }
        }

        /** How much of the window is mirrored, 0 to 1; the rougher, the softer its edge. */
        private float mirrored(float nx, float ny, float nz, float x, float y, float rough) {
            float rx = 2 * nz * nx + x / EYE;
            float ry = 2 * nz * ny + y / EYE;
            float rz = 2 * nz * nz - 1;
            float toward = rx * window.x + ry * window.y + rz * window.z;
            if (toward <= 0.05f) {
                return 0;
            }
            float flat = (float) Math.sqrt(window.x * window.x + window.y * window.y);
            float tx = -window.y / flat;
            float ty = window.x / flat;
            float across = (rx * tx + ry * ty) / toward / WINDOW_WIDE;
            float bx = -window.z * window.x / flat;
            float by = -window.z * window.y / flat;
            float along = (rx * bx + ry * by + rz * flat) / toward / WINDOW_HIGH;
            float blur = 0.10f + 2.2f * rough;
            return fall(Math.abs(across), blur) * fall(Math.abs(along), blur);
        }

        private float fall(float t, float blur) {
            float s = (1 + blur - t) / (2 * blur);
            return s <= 0 ? 0 : s >= 1 ? 1 : s * s * (3 - 2 * s);
        }
    }
}
