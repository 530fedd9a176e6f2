package mosspebble.core.picture;

import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.blend.Share;
import mosspebble.core.plan.Step;
import mosspebble.core.rock.Noise;
import org.locationtech.jts.geom.Geometry;

/**
 * What can be known of a layer before what lies below it is painted.
 *
 * @param mask of its own place
 * @param place of all that it may change
 * @param share how much of each pixel of the place is covered; empty for a shade
 * @param lip 0 to 1 where the edge stands up
 * @param pools what ink stands higher at the ends of lines, µm; empty but for a pen
 * @param shade of one that fades inward from an edge
 */
record ReadyLayer(Step.Layer layer, Mask mask, Mask place, float[] share, float[] lip, float[] pools, Hand hand, SoftField shade) {

    /** A glaze at an edge fades over about twice so far, mm. */
    static final double FADES_MM = 0.9;

    static ReadyLayer of(Step.Layer layer, Step step, Grid grid) {
        float[] none = new float[0];
        Mask mask = Mask.of(layer.place(), grid);
        Mask place = layer.soft().within().map(w -> Mask.of(w, grid)).orElse(mask); // what is soft spreads beyond its own place
        if (place.isEmpty() || layer.soft().isShade()) {
            return new ReadyLayer(layer, mask, place, none, none, none, null, place.isEmpty() ? null : edge(layer));
        }
        Hand.Tool tool = tool(step, layer);
        Hand hand = new Hand(layer.place(), layer.load().coat().step(), tool, grid);
        float[] share = shares(place, mask, layer, step.kind(), grid);
        float[] lip = layer.soft().mm() > 0 ? new float[share.length] : Hand.lip(share, place.columns(), place.rows(), grid.cellMm());
        float[] pools = tool == Hand.Tool.PEN ? new float[share.length] : none;
        if (tool == Hand.Tool.PEN) {
            Hand.pools(layer.place(), pools, place.column(), place.row(), place.columns(), place.rows(), grid);
        }
        return new ReadyLayer(layer, mask, place, share, lip, pools, hand, null);
    }

    /** Whether small round places are set by one touch each. */
    static boolean hasTouches(Step.Kind kind) {
        return kind == Step.Kind.FILL || kind == Step.Kind.HIGHLIGHT;
    }

    /** What the paint of a layer is laid with, as far as it shows. */
    static Hand.Tool tool(Step step, Step.Layer layer) {
        if (isDrawn(step.kind()) || step.kind() == Step.Kind.HIGHLIGHT) {
            return Hand.Tool.PEN;
        }
        Share.Kind share = step instanceof Step.Lay lay ? lay.share(layer).kind() : Share.Kind.WHOLE;
        return share == Share.Kind.DABS || share == Share.Kind.FOAM ? Hand.Tool.SPONGE : Hand.Tool.BRUSH;
    }

    private static boolean isDrawn(Step.Kind kind) {
        return kind == Step.Kind.OUTLINE || kind == Step.Kind.DETAIL || kind == Step.Kind.LINE_FIRST;
    }

    /** How much of each cell the hand covers: crisp, run out softly within its area, or a pen's slightly uneven line. */
    private static float[] shares(Mask place, Mask mask, Step.Layer step, Step.Kind kind, Grid grid) {
        int columns = place.columns();
        float[] share = place == mask ? mask.shares() : new float[columns * place.rows()]; // what is soft has shares of its own below
        if (step.soft().mm() > 0) {
            Geometry within = step.soft().within().orElse(step.place());
            double reach = step.soft().mm() / 3;
            Grid coarse = SoftField.grid(within, reach);
            SoftField own = SoftField.of(coarse, SoftField.covered(step.place(), coarse), reach);
            SoftField all = SoftField.of(coarse, SoftField.covered(within, coarse), reach);
            for (int i = 0; i < share.length; i++) {
                float inside = place.at(i % columns, i / columns);
                if (inside > 0) {
                    double x = grid.x(place.column() + i % columns);
                    double y = grid.y(place.row() + i / columns);
                    float whole = all.at(x, y);
                    float t = whole <= 1e-3f ? 0 : Math.min(1, own.at(x, y) / whole);
                    share[i] = inside * t * t * (3 - 2 * t);
                } else {
                    share[i] = 0;
                }
            }
        } else if (isDrawn(kind)) {
            Noise hand = new Noise(17);
            for (int r = 0; r < place.rows(); r++) {
                for (int c = 0; c < columns; c++) {
                    int i = r * columns + c;
                    if (share[i] > 0) {
                        double wobble = 0.7 * hand.gradient(grid.x(place.column() + c) * 1.7, grid.y(place.row() + r) * 1.7);
                        share[i] = (float) Math.max(0, Math.min(1, share[i] + 2.4 * wobble * share[i] * (1 - share[i])));
                    }
                }
            }
        }
        return share;
    }

    /** 1 on the dark edge and beyond what is shaded, softened inward. */
    private static SoftField edge(Step.Layer step) {
        Grid coarse = SoftField.grid(step.soft().within().orElseThrow(), FADES_MM);
        float[] field = SoftField.covered(step.place(), coarse);
        float[] inside = SoftField.covered(step.soft().within().orElseThrow(), coarse);
        for (int i = 0; i < field.length; i++) {
            field[i] = Math.max(field[i], 1 - inside[i]);
        }
        return SoftField.of(coarse, field, FADES_MM);
    }
}
