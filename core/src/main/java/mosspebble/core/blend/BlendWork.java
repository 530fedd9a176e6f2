package mosspebble.core.blend;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Share.Kind;
import mosspebble.core.colour.Ladder;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Takes a blend apart into pieces that are painted one after the other. Sizes of tools and reach are common practice, no source. */
public final class BlendWork {

    /** Neighbouring mixed steps of a gradient may differ by so much, CIEDE2000 (common practice, no source). */
    public static final double STEP = 6;

    /** Most mixed steps of one join: nobody mixes more. */
    private static final int MOST_STEPS = 4;

    /** What is narrower than twice this counts as a sliver. */
    private static final double SLIVER_MM = 1.5;

    private static final double SPONGE_MM = 2.2;
    private static final double LANE_MM = 1.1;
    /** Width of a short stroke, and how small the patches of colours that run together may be. */
    private static final double STROKE_MM = 1.6;
    private static final double LEAST_RUN_MM = 4;
    private static final double RUNS_ACROSS = 5;
    private static final double GLAZE_THIN = 0.35;

    /** A thin coat of medium gives small flakes, a thick one large ones; cracks are so wide a share of them. */
    private static final double LEAST_FLAKE_MM = 3;
    private static final double MOST_FLAKE_MM = 12;
    private static final double CRACK = 0.1;

    /** Gel that holds powder is laid thinner than gel that seals. */
    private static final double GEL_THIN = 0.5;

    /** A mixed step reaches over its neighbours by this share of its width. */
    private static final double OVER = 0.5;

    /** Passes of glaze that take the place of one wet join. */
    private static final int GLAZES = 3;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private final Blend blend;
    private final Geometry area;
    private final List<Palette.Colour> colours;
    private final Geometry seen;
    private final Optional<Palette.Colour> white;
    private final Geometry subject;
    private final long seed;
    private boolean upon;
    private final List<Piece> pieces = new ArrayList<>();

    private BlendWork(Blend blend, Geometry area, Geometry seen, List<Palette.Colour> colours, Optional<Palette.Colour> white,
            Geometry subject, long seed) {
        this.white = white;
        this.blend = blend;
        this.area = area;
        this.seen = seen;
        this.colours = colours;
        this.subject = subject;
        this.seed = seed;
    }

    /**
     * @param area mm
     * @param seen what of it stays seen, mm: directions and sizes are counted there; empty for all
     * @param colours the area's own first, then those of the blend that can be mixed from the shelf
     * @param white the white of the shelf, which the first load of a loaded brush takes along; empty for none
     * @param subject what stands before it, for {@link BlendKind#HALO}; may be empty
     * @param seed of the scattered marks
     * @return at least one piece; what has not the colours it needs is flat
     */
    public static List<Piece> pieces(Blend blend, Geometry area, Geometry seen, List<Palette.Colour> colours,
            Optional<Palette.Colour> white, Geometry subject, long seed) {
        BlendWork work = new BlendWork(blend, area, body(seen.isEmpty() ? area : seen), colours, white, subject, seed);
        work.lay(colours.size() - 1 < blend.kind().leastColours() ? BlendKind.FLAT : blend.kind());
        return work.pieces;
    }

    /**
     * A further layer upon a dry one, without a coat below.
     *
     * @param layer of a kind that {@linkplain BlendKind#laysOver() lies over} another
     * @param colours of the area itself first, then those of the layer that can be mixed from the shelf
     * @return nothing if it has not the colours it needs; the other parameters as for {@link #pieces}
     */
    public static List<Piece> upon(Blend layer, Geometry area, Geometry seen, List<Palette.Colour> colours, Geometry subject, long seed) {
        BlendWork work = new BlendWork(layer, area, body(seen.isEmpty() ? area : seen), colours, Optional.empty(), subject, seed);
        work.upon = true;
        if (colours.size() - 1 >= layer.kind().leastColours()) {
            work.lay(layer.kind());
        }
        return work.pieces;
    }

    private void lay(BlendKind kind) {
        switch (kind) {
            case FLAT, GRADED_CELLS -> base();
            case SPLIT -> split();
            case WASHED -> washed();
            case HALO -> halo();
            case BANDS -> bands(new Strips(area, seen, blend.angle()), false);
            case GRADIENT -> bands(new Strips(area, seen, blend.angle()), true);
            case FROM_MIDDLE -> bands(Rings.fromTheMiddle(area, seen), true);
            case ALONG_OUTLINE -> bands(Rings.alongTheOutline(area, seen), true);
            case RUN -> run();
            case STROKES -> strokes();
            case DRY_BRUSH -> dryBrush();
            case FOAM -> foam();
            case STIPPLE -> stipple();
            case CRYSTAL -> crystal();
            case SPIRAL -> spiral();
            case LOADED -> loaded();
            case GLAZE -> glaze();
            case DROPPED_WASH -> droppedWash();
            case CRACKLED -> crackled();
            case POWDERED -> powdered();
            case LEAFED -> leafed();
            case GEMS -> base(); // the gems are set by their size, which only the shelf knows
            case RAISED -> raised();
        }
    }

    /** The area without its slivers, by which a direction is measured. */
    private static Geometry body(Geometry seen) {
        Geometry inner = Shapes.grown(seen, -SLIVER_MM);
        return inner.getArea() > 0.4 * seen.getArea() ? Shapes.grown(inner, SLIVER_MM) : seen;
    }

    private void add(Share share, Geometry place, Palette.Colour colour, double thin, boolean hides, double softMm, boolean wet) {
        if (place.getArea() > 0.2) {
            pieces.add(new Piece(share, place, colour, thin, hides, softMm, wet && !upon));
        }
    }

    private void base() {
        if (!upon) {
            add(Share.WHOLE, area, colours.get(0), 1, true, 0, false);
        }
    }

    private double size() {
        return Math.sqrt(seen.getArea());
    }

    private void split() {
        Strips strips = new Strips(area, seen, blend.angle());
        double bow = -blend.amount() * 0.35 * strips.length();
        add(Share.of(Kind.FIRST_PART), strips.between(0, blend.join(), bow), colours.get(0), 1, true, 0, false);
        add(Share.of(Kind.SECOND_PART), strips.between(blend.join(), 1, bow), colours.get(1), 1, true, 0, false);
    }

    private void washed() {
        add(Share.of(Kind.THIN_WASH), area, colours.get(0), 0.6 - 0.4 * blend.amount(), false, 0, false);
    }

    private void halo() {
        base();
        double reach = 3 + 14 * blend.amount();
        Geometry near = Shapes.common(Shapes.grown(subject, reach), area);
        add(Share.of(Kind.DARK_BEHIND), near, colours.get(1), 0.6, false, reach * 0.7, true);
    }

    private void bands(Field field, boolean smooth) {
        int n = colours.size();
        double[] cuts = cuts(n);
        double widest = 1;
        for (int i = 0; i < n; i++) {
            widest = Math.min(widest, cuts[i + 1] - cuts[i]);
        }
        double half = Math.min(0.5 * widest, (smooth ? 0.12 + 0.38 * blend.amount() : 0.04 + 0.16 * blend.amount()) * (smooth ? 1 : 0.7));
        for (int i = 0; i < n; i++) {
            add(Share.of(Kind.BAND, i + 1), field.between(cuts[i], cuts[i + 1]), colours.get(i), 1, true, 0, false);
        }
        for (int i = 0; i + 1 < n; i++) {
            join(field, colours.get(i), colours.get(i + 1), cuts[i + 1] - half, cuts[i + 1] + half, smooth ? MOST_STEPS : 1);
        }
    }

    /** The first join lies where it is set; the others share the rest evenly. */
    private double[] cuts(int n) {
        double[] cuts = new double[n + 1];
        cuts[n] = 1;
        double first = n == 2 ? blend.join() : blend.join() * 2 / n;
        for (int i = 1; i < n; i++) {
            cuts[i] = first + (1 - first) * (i - 1) / (n - 1);
        }
        return cuts;
    }

    /** Mixed steps from one colour to the next, one after the other along the join. */
    private void join(Field field, Palette.Colour from, Palette.Colour to, double low, double high, int most) {
        int steps = Math.min(most, Ladder.rungsFor(from, to, STEP, most + 2) - 2);
        boolean wet = blend.method() == Blend.Method.WET;
        int passes = wet ? 1 : GLAZES;
        steps = Math.max(1, steps);
        double each = (high - low) / steps;
        double soft = each * field.length() * 1.5;
        for (int pass = 0; pass < passes; pass++) {
            for (int k = 0; k < steps; k++) {
                double share = (k + 0.5) / steps;
                Palette.Colour mixed = mixed(from, to, share);
                add(wet ? Share.of(Kind.MIXED_STEP) : new Share(Kind.MIXED_STEP, pass + 1, passes),
                        field.between(low + (k - OVER) * each, low + (k + 1 + OVER) * each), mixed, wet ? 1 : GLAZE_THIN, false, soft,
                        wet);
            }
        }
    }

    /**
     * The two stirred together in whole parts, if they hold not too many paints; else the second carries the share without a recipe of its
     * own.
     */
    private static Palette.Colour mixed(Palette.Colour from, Palette.Colour to, double share) {
        int second = (int) Math.max(1, Math.min(5, Math.round(share * 6)));
        Palette.Colour together = from.into(to, second / 6.0);
        long paints = java.util.stream.Stream.concat(from.mix().parts().stream(), to.mix().parts().stream()).map(p -> p.paint()).distinct()
                .count();
        boolean countable = paints <= Mix.MOST_PAINTS
                && 6 * from.mix().totalParts() * to.mix().totalParts() <= Mix.MOST_PARTS;
        return countable ? together.as(from.mix().with(6 - second, to.mix(), second).inAtMost(Mix.MEASURED_PARTS))
                : together.as(share < 0.5 ? from.mix() : to.mix());
    }

    /** Patches of all colours side by side, wet at once, whose edges run into each other. */
    private void run() {
        List<Geometry> patches = new Dabs(area, seed).patches(Math.max(LEAST_RUN_MM, size() / RUNS_ACROSS), colours.size());
        double soft = LEAST_RUN_MM * (0.3 + 1.2 * blend.amount());
        for (int i = 0; i < colours.size(); i++) { // the first floods all between the others, whose corners the water rounds
            Geometry round = Shapes.grown(Shapes.grown(patches.get(i), -LEAST_RUN_MM / 3), LEAST_RUN_MM / 3 + soft / 3);
            add(Share.of(Kind.RUN, i + 1), i == 0 ? area : Shapes.common(round, area), colours.get(i), 1, i == 0, i == 0 ? 0 : soft, true);
        }
    }

    private void strokes() {
        base();
        List<Geometry> strokes = new Dabs(loose(), seed).strokes(blend.angle(), STROKE_MM, colours.size() - 1, 0.2 + 0.75 * blend.amount());
        for (int i = 1; i < colours.size(); i++) {
            add(Share.of(Kind.STROKES), strokes.get(i - 1), colours.get(i), 0.8, false, 0.2, false);
        }
    }

    /** Where the hand drags and dabs without an edge: only what stays seen, for it may come when what lies before it is done. */
    private Geometry loose() {
        return Shapes.common(area, seen);
    }

    private void dryBrush() {
        base();
        for (int i = 1; i < colours.size(); i++) {
            Geometry streaks = new Dabs(loose(), seed + i).streaks(blend.angle(), LANE_MM, 0.25 + 0.6 * blend.amount());
            add(Share.of(Kind.STREAKS), streaks, colours.get(i), 0.5, false, 0.25, false);
        }
    }

    private void foam() {
        base();
        Strips strips = new Strips(area, seen, blend.angle());
        double reach = 0.25 + 0.6 * blend.amount();
        double high = strips.length();
        double start = strips.start();
        List<Geometry> foam = new Dabs(loose(), seed).sponge(SPONGE_MM * 0.8, 1, c -> {
            double from = (strips.along(c) - start) / high;
            double thick = 1 - (1 - from) / reach;
            return thick <= 0 ? 0 : Math.min(0.95, thick * 1.3);
        });
        add(Share.of(Kind.FOAM), foam.get(0), colours.get(1), 0.8, false, 0.3, false);
    }

    private void stipple() {
        base();
        List<Geometry> dabs = new Dabs(loose(), seed).sponge(SPONGE_MM, colours.size() - 1, c -> 0.2 + 0.75 * blend.amount());
        for (int i = 1; i < colours.size(); i++) {
            add(new Share(Kind.DABS, i, colours.size() - 1), dabs.get(i - 1), colours.get(i), 0.7, false, 0.25, false);
        }
    }

    private void crystal() {
        base();
        List<Geometry> facets = new Dabs(loose(), seed).facets(SPONGE_MM, colours.size() - 1, 0.3 + 0.65 * blend.amount());
        for (int i = 1; i < colours.size(); i++) {
            add(Share.of(Kind.FACETS), facets.get(i - 1), colours.get(i), 0.8, false, 0, false);
        }
    }

    private void spiral() {
        int n = colours.size();
        double turns = 0.5 + 2.5 * blend.amount();
        Coordinate middle = area.getCentroid().getCoordinate();
        double reach = 0;
        for (Coordinate c : area.getCoordinates()) {
            reach = Math.max(reach, c.distance(middle));
        }
        for (int arm = 0; arm < n; arm++) {
            add(Share.of(Kind.ARM, arm + 1), Shapes.common(area, arm(middle, reach * 1.01, turns, 2 * Math.PI * arm / n, 2 * Math.PI / n)),
                    colours.get(arm), 1, true, 0, false);
        }
    }

    private static Geometry arm(Coordinate middle, double reach, double turns, double from, double wide) {
        int steps = (int) Math.ceil(60 * turns) + 8;
        int bend = 6;
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i <= steps; i++) {
            ring.add(polar(middle, reach * i / steps, from + 2 * Math.PI * turns * i / steps));
        }
        for (int i = 1; i < bend; i++) {
            ring.add(polar(middle, reach * 1.15, from + 2 * Math.PI * turns + wide * i / bend));
        }
        for (int i = steps; i >= 0; i--) {
            ring.add(polar(middle, reach * i / steps, from + wide + 2 * Math.PI * turns * i / steps));
        }
        ring.set(ring.size() - 1, ring.get(0).copy());
        return Shapes.grown(FACTORY.createPolygon(ring.toArray(new Coordinate[0])), 0);
    }

    private static Coordinate polar(Coordinate middle, double r, double angle) {
        return new Coordinate(middle.x + r * Math.sin(angle), middle.y - r * Math.cos(angle));
    }

    private void loaded() {
        int n = colours.size();
        white.filter(w -> w.lab().l() > colours.get(0).lab().l() + 10)
                .ifPresent(w -> add(Share.of(Kind.WHITE_IN_LOAD), area, mixed(colours.get(0), w, 0.34), 1, false, 0, false));
        double inward = 0.28 * size() / n * (0.5 + blend.amount());
        for (int i = 0; i < n; i++) {
            Geometry place = Shapes.grown(area, -i * inward);
            add(i == 0 ? Share.of(Kind.TIP_COLOUR) : Share.of(Kind.INNER_COLOUR, i), i == 0 ? area : place, colours.get(i), 1, i == 0,
                    i == 0 ? 0 : inward * 0.9, i > 0);
        }
    }

    private void glaze() {
        base();
        int passes = 1 + (int) Math.round(2 * blend.amount());
        for (int i = 0; i < passes; i++) {
            add(new Share(Kind.GLAZE, i + 1, passes), area, colours.get(1), GLAZE_THIN, false, 0, false);
        }
    }

    /** Base, medium, and a coat that tears into flakes; without the medium, which comes as the third colour, only the base. */
    private void crackled() {
        base();
        if (colours.size() > 2) {
            double flake = LEAST_FLAKE_MM + (MOST_FLAKE_MM - LEAST_FLAKE_MM) * blend.amount();
            add(Share.of(Kind.CRACKLE), area, colours.get(2), 1, false, 0, false);
            add(Share.of(Kind.CRACKED), new Dabs(area, seed).flakes(flake, flake * CRACK), colours.get(1), 1, false, 0, false);
        }
    }

    /** A thin coat of gel, and powder rubbed on while it is fresh from the lamp: one work. Without gel only the base. */
    private void powdered() {
        base();
        if (colours.size() > 2) {
            pieces.add(new Piece(Share.of(Kind.GEL), area, colours.get(2), GEL_THIN, false, 0, true));
            pieces.add(new Piece(Share.of(Kind.POWDER), area, colours.get(1), 1, false, 0, true));
        }
    }

    /** Size, and leaf when that is tacky. Without size only the base. */
    private void leafed() {
        base();
        if (colours.size() > 2) {
            add(Share.of(Kind.SIZE), area, colours.get(2), 1, false, 0, false);
            add(Share.of(Kind.LEAF), area, colours.get(1), 1, false, 0, false);
        }
    }

    /** Paste first, which the colour then covers. */
    private void raised() {
        if (colours.size() > 1) {
            add(Share.of(Kind.PASTE), area, colours.get(1), 1, false, 0, false);
        }
        base();
    }

    private void droppedWash() {
        base();
        double inward = (0.38 - 0.3 * blend.amount()) * size();
        Geometry place = Shapes.grown(area, -inward);
        add(Share.of(Kind.DROPPED_WASH), place, colours.get(1), 0.3, false, Math.max(0.6, inward * 0.9), false);
    }
}
