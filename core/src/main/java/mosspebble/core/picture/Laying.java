package mosspebble.core.picture;

import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Sheen;
import mosspebble.core.plan.Step;
import mosspebble.core.rock.RowNoise;

/** So many coats of a layer as they are laid, square by square: colour, body and sheen of every pixel and the film it has then. */
final class Laying {

    /** A lip is so many times as high as the coat. */
    private static final float LIP = 0.8f;

    /** Hairs take and give so much of a coat's thickness. */
    private static final float FURROW = 0.52f;

    /** What hides less of what is below in one coat lets its own thickness be seen (contrast ratio). */
    private static final double GLAZE = 0.4;

    /** A glaze is uneven by so much of itself for the hairs of the brush, on each mm of depth, and at its edge (by eye). */
    private static final float STREAK = 0.26f;
    private static final float POOLS_IN = 4;
    private static final float TIDE = 0.16f;

    private final StoneTerrain terrain;
    private final Grid grid;
    private final Step.Layer layer;
    private final Coat coat;
    private final boolean clear;
    private final boolean shade;
    private final boolean patchy;
    private final boolean thin;
    private final Painting.Looks looks;
    private final Painting.Sheet sheet;
    private final Materials material;

    /**
     * @param more whether another coat of it follows at once
     * @param looks of it on all films below
     */
    Laying(StoneTerrain terrain, Step.Layer layer, boolean more, Painting.Looks looks, Painting.Sheet sheet) {
        this.terrain = terrain;
        this.grid = terrain.grid;
        this.layer = layer;
        this.coat = layer.load().coat();
        this.clear = coat.optics().isClear();
        this.shade = layer.soft().isShade();
        this.patchy = more && !clear && !shade;
        this.material = new Materials(coat.sheen(), layer.place());
        this.thin = !clear && !shade && material.isPlain() && coat.sheen() != Sheen.GLITTER
                && coat.optics().contrastRatio(coat.dryUm()) < GLAZE;
        this.looks = looks;
        this.sheet = sheet;
    }

    /** May be done for different squares at the same time. */
    void lay(Painting.Body body) {
        new OnSquare(body).lay();
    }

    /** The coats on one square. */
    private final class OnSquare {
        private final Painting.Body body;
        private final ReadyLayer.Square square;
        private final float[] share;
        /** Where another coat follows later; null for nowhere. */
        private final Mask again;
        private final boolean sponged;
        private final Hand.Row hand;
        private final float[] hairs = new float[RowNoise.MOST];

        OnSquare(Painting.Body body) {
            this.body = body;
            this.square = body.square();
            this.share = square.share();
            this.again = layer.again().isEmpty() || clear || shade ? null
                    : Mask.of(layer.again(), grid.part(square.column(), square.row(), square.columns(), square.rows()));
            this.sponged = body.tool() == Hand.Tool.SPONGE;
            this.hand = clear || shade || !body.hand().isUneven() ? null : body.hand().row();
        }

        void lay() {
            for (int r = 0; r < square.rows(); r++) {
                for (int first = 0; first < square.columns(); first += hairs.length) {
                    lay(r, first, Math.min(square.columns(), first + hairs.length));
                }
            }
        }

        private void lay(int r, int first, int end) {
            int from = first;
            while (from < end && share[r * square.columns() + from] <= 0) {
                from++;
            }
            int to = end;
            while (to > from && share[r * square.columns() + to - 1] <= 0) {
                to--;
            }
            if (hand != null && from < to) {
                for (int c = from; c < to; c++) {
                    hand.x[c - from] = grid.x(square.column() + c);
                    hand.y[c - from] = grid.y(square.row() + r);
                }
                hand.uneven(to - from, hairs);
            }
            for (int c = from; c < to; c++) {
                if (share[r * square.columns() + c] > 0) {
                    lay(c, r, hairs[c - from]);
                }
            }
        }

        private void lay(int c, int r, float uneven) {
            int i = r * square.columns() + c;
            int at = sheet.at(square.column() + c, square.row() + r);
            int before = sheet.film()[at];
            float drop = body.caps().length > 0 ? body.caps()[i] : 0;
            float hair = drop > 0 ? 0 : uneven;
            float part = share[i];
            if (sponged) { // where its pores are the sponge leaves nothing
                part *= Math.max(0.12f, Math.min(1, 0.8f + 1.6f * hair));
            }
            if (patchy || again != null && covered(c, r)) {
                // a thin coat: thinner between the hairs, and the brush passes over the pits
                float pits = terrain.relief[(square.row() + r) * grid.columns() + square.column() + c] * 5;
                part *= Math.max(0.25f, Math.min(1, 0.78f + 0.5f * hair + Math.max(-0.5f, Math.min(0.2f, pits))));
            }
            int[] colour = sheet.pixels().colour();
            if (shade) { // it lies on what is there as a breath of colour
                colour[at] = blend(colour[at], looks.shown()[before], part);
            } else if (clear) { // a clear coat changes what is seen, edges and all, rather than covering it
                colour[at] = shifted(colour[at], looks.under()[before], looks.shown()[before], part);
            } else {
                char[] heights = sheet.pixels().body();
                float um = drop > 0 ? drop // one drop, whatever it lies on
                        : looks.um()[before] * ((1 + FURROW * hair) * part + (square.lip().length > 0 ? LIP * square.lip()[i] : 0))
                                + (square.pools().length > 0 ? part * square.pools()[i] : 0);
                if (thin) {
                    colour[at] = shifted(colour[at], looks.under()[before], looks.shown()[before], part * flowed(c, r, i, hair));
                } else if (material.isPlain()) {
                    colour[at] = blend(colour[at], looks.shown()[before], part);
                } else {
                    um = special(c, r, at, looks.shown()[before], part, um);
                }
                heights[at] = Pixels.raised(heights[at], um);
            }
            if (square.own()[i] >= 0.5f) {
                sheet.film()[at] = looks.next()[before];
                sheet.pixels().sheen()[at] = shade ? sheet.pixels().sheen()[at] : (byte) (coat.sheen().ordinal() + 1);
            }
        }

        /**
         * How thick a glaze lies for its mean: it runs into pits and off what stands up, keeps the furrows of the brush, and dries darker
         * at its edge.
         */
        private float flowed(int c, int r, int i, float hair) {
            float low = -terrain.relief[(square.row() + r) * grid.columns() + square.column() + c] * POOLS_IN;
            float edge = square.lip().length > 0 ? TIDE * square.lip()[i] : 0;
            return Math.max(0.5f, Math.min(1.6f, 1 + STREAK * hair + Math.max(-0.3f, Math.min(0.5f, low)) + edge));
        }

        /** What is not the same all over; gives the height of what is laid, µm. */
        private float special(int c, int r, int at, int shown, float part, float um) {
            double x = grid.x(square.column() + c);
            double y = grid.y(square.row() + r);
            int seen = material.at(shown & 0xFFFFFF, x, y);
            int[] colour = sheet.pixels().colour();
            colour[at] = blend(colour[at], seen & 0xFFFFFF | shown & 0xFF000000, part);
            return coat.sheen() == Sheen.GEM ? part * 4 * (seen >>> 24) : coat.sheen() == Sheen.RAISED ? part * Materials.body(x, y) : um;
        }

        private boolean covered(int c, int r) {
            int column = c - again.column();
            int row = r - again.row();
            return column >= 0 && row >= 0 && column < again.columns() && row < again.rows() && again.at(column, row) > 0.5f;
        }
    }

    /** A colour moved as far as a coat moves the film below it. */
    private static int shifted(int colour, int before, int after, float share) {
        int part = part(share);
        int result = 0;
        for (int shift = 0; shift < 32; shift += 8) {
            int moved = (colour >>> shift & 255) + (((after >>> shift & 255) - (before >>> shift & 255)) * part + HALF >> BITS);
            result |= (moved < 0 ? 0 : Math.min(255, moved)) << shift;
        }
        return result;
    }

    /** Shares are whole parts of 2 to so much while colours are mixed. */
    private static final int BITS = 16;
    private static final int HALF = 1 << BITS - 1;

    private static int part(float share) {
        return (int) (share * (1 << BITS) + 0.5f);
    }

    /** A colour with its top byte, part of the way to another. */
    static int blend(int from, int to, float share) {
        if (share >= 0.999f) {
            return to;
        }
        int part = part(share);
        int a = from >>> 24;
        int r = from >>> 16 & 255;
        int g = from >>> 8 & 255;
        int b = from & 255;
        a += ((to >>> 24) - a) * part + HALF >> BITS;
        r += ((to >>> 16 & 255) - r) * part + HALF >> BITS;
        g += ((to >>> 8 & 255) - g) * part + HALF >> BITS;
        b += ((to & 255) - b) * part + HALF >> BITS;
        return a << 24 | r << 16 | g << 8 | b;
    }
}
