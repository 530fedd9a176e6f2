package mosspebble.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.area.Shapes;
import mosspebble.core.coats.Sheen;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.rock.Noise;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.linearref.LengthIndexedLine;

/**
 * What lies on the stone for a while and is no paint: crumbs of the eraser where guides and slips of the pencil were rubbed out, dust of
 * chalk, both until the next pass clears them away, and the dam of tape round a pour until that has cured. Fixed to the stone in mm.
 */
final class Loose {

    /** Stands for a sheen where it lies: it is matt and no film covers it. */
    static final byte MATT = (byte) (Sheen.values().length + 1);

    /** A crumb comes off every so many mm of a guide and of another line, and dust of so many mm of chalk, on average (by eye). */
    private static final double ON_GUIDE = 6;
    private static final double ON_LINE = 26;
    private static final double ON_CHALK = 1.6;

    /** More than so many are brushed off as they come. */
    private static final int MOST = 220;

    /** A crumb is rolled: half its width and half its length, mm, from and to; a grain of chalk dust is so small (by eye). */
    private static final double[] THICK = {0.09, 0.17};
    private static final double[] LONG = {0.2, 0.62};
    private static final double[] DUST = {0.015, 0.075};

    /** They lie so far from the line they come from, mm. */
    private static final double ASIDE = 2.4;

    /** Tape stands so wide on the rim, mm, and so high above it, µm; its crepe is so coarse, mm (by eye). */
    private static final double TAPE = 0.55;
    private static final float TAPE_UM = 1_000;
    private static final double CREPE = 0.34;

    /** A crumb is thinner at its ends, and flatter than round (by eye). */
    private static final double POINTED = 0.65;
    private static final double UM_THICK = 620;
    private static final double UM_DUST = 120;

    private static final int RUBBER = 0x86827C;
    private static final int CHALK = 0xE9E7E0;
    private static final int BUFF = 0xD9C79C;

    /** Nothing lies about. */
    static final Loose NOTHING = new Loose(new int[0], new float[0], new float[0], new int[0]);

    private final int[] at;
    private final float[] share;
    private final float[] um;
    private final int[] rgb;

    private Loose(int[] at, float[] share, float[] um, int[] rgb) {
        this.at = at;
        this.share = share;
        this.um = um;
        this.rgb = rgb;
    }

    /**
     * What lies about after each number of steps.
     *
     * @return one for each number of steps from 0 to all
     */
    static List<Loose> after(PaintPlan plan, StoneTerrain terrain, StoneState look) {
        int steps = plan.steps().size();
        if (look != StoneState.DRY) {
            return Collections.nCopies(steps + 1, after(plan, steps, terrain, look));
        }
        List<Loose> after = new ArrayList<>(List.of(NOTHING));
        for (int k = 1; k <= steps; k++) {
            after.add(isThere(plan, k) ? after(plan, k, terrain, look) : after.get(k - 1));
        }
        return List.copyOf(after);
    }

    /** The same after one number of steps. */
    static Loose after(PaintPlan plan, int steps, StoneTerrain terrain, StoneState look) {
        if (look == StoneState.CURING) {
            return StonePicture.isPoured(plan) ? tape(plan, terrain) : NOTHING;
        }
        int last = steps;
        while (last > 0 && !isThere(plan, last)) {
            last--;
        }
        boolean drawn = look == StoneState.DRY && last > 0 && plan.steps().get(last - 1) instanceof Step.Pencil
                && plan.design().isPresent();
        return drawn
                ? crumbs(plan.design().orElseThrow().parts(), ((Step.Pencil) plan.steps().get(last - 1)).drawing().chalk(), terrain)
                : NOTHING;
    }

    /** Whether the last of so many steps is done on the face that is seen. */
    private static boolean isThere(PaintPlan plan, int steps) {
        return plan.steps().get(steps - 1).side() == plan.up().side();
    }

    /** Puts it on what is seen. */
    void lieOn(Pixels pixels) {
        for (int k = 0; k < at.length; k++) {
            int i = at[k];
            pixels.colour()[i] = Laying.blend(pixels.colour()[i], rgb[k], share[k]);
            pixels.body()[i] = Pixels.raised(pixels.body()[i], um[k]);
            if (share[k] >= 0.5f) {
                pixels.sheen()[i] = MATT;
            }
        }
    }

    private static Loose crumbs(List<PlacedPart> parts, boolean chalk, StoneTerrain terrain) {
        Found found = new Found(terrain);
        for (int k = 0; k < parts.size(); k++) {
            PlacedPart part = parts.get(k);
            boolean guide = part.part().role() == Role.GUIDE;
            if (chalk && guide) {
                continue; // wiped off with a damp finger
            }
            double every = chalk ? ON_CHALK : guide ? ON_GUIDE : ON_LINE;
            Geometry line = part.part().isArea() ? part.drawn().getBoundary() : part.drawn();
            if (!line.isEmpty()) {
                shed(line, Math.max(every, line.getLength() / MOST), new SplittableRandom(41 + k), chalk, found);
            }
        }
        return found.all();
    }

    /** What comes off one line. */
    private static void shed(Geometry line, double every, SplittableRandom dice, boolean chalk, Found found) {
        LengthIndexedLine along = new LengthIndexedLine(line);
        double from = every * -Math.log(1 - dice.nextDouble());
        while (from < along.getEndIndex()) {
            double aside = ASIDE * (2 * dice.nextDouble() - 1) * (chalk ? 0.4 : 1);
            Coordinate middle = along.extractPoint(from, aside);
            double turn = Math.PI * dice.nextDouble();
            double thick = between(chalk ? DUST : THICK, dice.nextDouble());
            double length = chalk ? 0 : between(LONG, dice.nextDouble());
            double bend = 0.9 * (2 * dice.nextDouble() - 1);
            int tone = lighter(chalk ? CHALK : RUBBER, chalk ? 0 : (int) (46 * (dice.nextDouble() - 0.5)));
            found.roll(new Roll(middle, turn, length, bend, thick), tone);
            from += every * -Math.log(1 - dice.nextDouble());
        }
    }

    private static double between(double[] ends, double share) {
        return ends[0] + share * (ends[1] - ends[0]);
    }

    private static Loose tape(PaintPlan plan, StoneTerrain terrain) {
        Grid grid = terrain.grid;
        Found found = new Found(terrain);
        Geometry rim = plan.survey().dome().outline().polygon(new GeometryFactory()).getExteriorRing();
        Mask mask = Mask.of(Shapes.stroke(rim, 2 * TAPE), grid);
        Noise crepe = new Noise(7);
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                if (mask.at(c, r) > 0) {
                    int column = mask.column() + c;
                    int row = mask.row() + r;
                    double fold = crepe.octaves(grid.x(column), grid.y(row), CREPE, 2, grid.cellMm());
                    found.add(row * grid.columns() + column, mask.at(c, r), mask.at(c, r) * (TAPE_UM + 40 * (float) fold),
                            lighter(BUFF, (int) (14 * fold)));
                }
            }
        }
        return found.all();
    }

    /** A colour lighter or darker all over by so many of 255. */
    private static int lighter(int rgb, int more) {
        int result = 0;
        for (int shift = 0; shift < 24; shift += 8) {
            result |= Math.max(0, Math.min(255, (rgb >> shift & 255) + more)) << shift;
        }
        return result;
    }

    /**
     * A rolled crumb.
     *
     * @param turn of its length, radians
     * @param length half of it, mm; 0 for a grain
     * @param bend how far its ends are off straight, as a share of half its length
     * @param thick half its width, mm
     */
    private record Roll(Coordinate middle, double turn, double length, double bend, double thick) {

        /** How far a place is from its middle line, as a share of half its width there. */
        double away(double x, double y) {
            double dx = x - middle.x;
            double dy = y - middle.y;
            double along = dx * Math.cos(turn) + dy * Math.sin(turn);
            double across = dy * Math.cos(turn) - dx * Math.sin(turn);
            if (length == 0) {
                return Math.hypot(along, across) / thick;
            }
            double t = Math.max(-1, Math.min(1, along / length));
            double wide = thick * (1 - POINTED * t * t);
            return Math.hypot(along - t * length, across - bend * length * (t * t - 0.5)) / wide;
        }
    }

    /** Cells that something lies on, as they are found. */
    private static final class Found {
        private final StoneTerrain terrain;
        private final Grid grid;
        private int[] at = new int[64];
        private float[] share = new float[64];
        private float[] um = new float[64];
        private int[] rgb = new int[64];
        private int count;

        Found(StoneTerrain terrain) {
            this.terrain = terrain;
            this.grid = terrain.grid;
        }

        void roll(Roll roll, int tone) {
            double cell = grid.cellMm();
            Envelope box = new Envelope(roll.middle);
            box.expandBy(roll.length * 1.6 + roll.thick + cell);
            int c0 = Math.max(0, (int) Math.floor((box.getMinX() - grid.left()) / cell));
            int c1 = Math.min(grid.columns() - 1, (int) Math.floor((box.getMaxX() - grid.left()) / cell));
            int r0 = Math.max(0, (int) Math.floor((box.getMinY() - grid.top()) / cell));
            int r1 = Math.min(grid.rows() - 1, (int) Math.floor((box.getMaxY() - grid.top()) / cell));
            double most = Math.min(1, 2 * roll.thick / cell); // narrower than a pixel it covers part of it
            for (int r = r0; r <= r1; r++) {
                for (int c = c0; c <= c1; c++) {
                    double away = roll.away(grid.x(c), grid.y(r));
                    double covered = most * Math.max(0, Math.min(1, (1 - away) * roll.thick / cell + 0.5));
                    if (covered > 0) {
                        double round = Math.max(0, 1 - away * away);
                        add(r * grid.columns() + c, (float) covered, (float) ((roll.length > 0 ? UM_THICK : UM_DUST) * roll.thick * round),
                                tone);
                    }
                }
            }
        }

        void add(int cell, float covered, float high, int tone) {
            if (terrain.inside[cell] <= 0) {
                return;
            }
            if (count == at.length) {
                at = Arrays.copyOf(at, 2 * count);
                share = Arrays.copyOf(share, 2 * count);
                um = Arrays.copyOf(um, 2 * count);
                rgb = Arrays.copyOf(rgb, 2 * count);
            }
            at[count] = cell;
            share[count] = covered;
            um[count] = high;
            rgb[count++] = tone;
        }

        Loose all() {
            return count == 0 ? NOTHING
                    : new Loose(Arrays.copyOf(at, count), Arrays.copyOf(share, count), Arrays.copyOf(um, count), Arrays.copyOf(rgb, count));
        }
    }
}
