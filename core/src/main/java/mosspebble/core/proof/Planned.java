package mosspebble.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.area.Shapes;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.colour.Lab;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.sketch.Overlap;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import org.locationtech.jts.geom.Geometry;

/** What the face should look like at one moment of its plan, on a grid, and which cells belong to which thing. */
final class Planned {

    /** Width of a pencil line, and how much darker or lighter it is than what it is drawn on, L* (common practice, no source). */
    private static final double LINE_MM = 0.5;
    private static final double LINE_L = 25;

    /** What is wider than this is ground and not a line, mm. */
    private static final double LINES_ONLY_MM = 2.5;

    /** So far round a thing is looked at, mm. */
    private static final double ROUND_MM = 1.6;

    private static final double BESIDE_MM = 0.5;

    final PaintPlan plan;
    final Moment moment;
    final Grid grid;
    final float[] judged;
    final List<PlacedItem> items;
    final List<PlacedPart> parts;
    final FilmMap films;
    private final List<Geometry> painted;
    private final Overlap overlap;
    private final LineOperator operator;
    private final Map<String, Integer> itemOf = new HashMap<>();
    /** What was worked out of things, by their numbers. */
    private final Map<Integer, int[]> about = new ConcurrentHashMap<>();
    private final Map<Integer, Geometry> lines = new ConcurrentHashMap<>();

    Planned(PaintPlan plan, Moment moment, Grid grid) {
        this.plan = plan;
        this.moment = moment;
        this.grid = grid;
        this.operator = new LineOperator(grid);
        this.judged = Flattened.judged(plan.survey(), grid);
        Optional<PlacedDesign> design = plan.design();
        this.items = design.map(PlacedDesign::items).orElse(List.of());
        this.parts = design.map(d -> d.parts().stream().filter(p -> p.part().role() != Role.GUIDE).toList()).orElse(List.of());
        this.painted = parts.stream().map(PlacedPart::painted).toList();
        this.overlap = new Overlap(painted);
        for (int i = 0; i < items.size(); i++) {
            for (PlacedPart part : items.get(i).parts()) {
                itemOf.put(part.part().id(), i);
            }
        }
        boolean sealed = !moment.pencil() && plan.steps().subList(0, moment.steps()).stream().anyMatch(s -> s instanceof Step.Seal);
        this.films = plan.filmsAfter(moment.pencil() ? 0 : moment.steps(), grid, sealed ? StoneState.SEALED : StoneState.DRY);
    }

    int itemOf(int part) {
        return itemOf.getOrDefault(parts.get(part).part().id(), -1);
    }

    /** Lightness of lines alone when pencilled, CIE L* a* b* when painted. */
    Field field() {
        if (moment.pencil()) {
            float[] lines = new float[grid.cells()];
            float sign = chalk() ? 1 : -1;
            for (int i = 0; i < parts.size(); i++) {
                Mask mask = Mask.of(Shapes.stroke(line(i), LINE_MM), grid);
                for (int r = 0; r < mask.rows(); r++) {
                    for (int c = 0; c < mask.columns(); c++) {
                        int cell = (mask.row() + r) * grid.columns() + mask.column() + c;
                        lines[cell] = sign * Math.max(sign * lines[cell], (float) LINE_L * mask.at(c, r));
                    }
                }
            }
            return lines(new Field(grid, new float[][] {lines}, judged));
        }
        float[][] lab = new float[3][grid.cells()];
        for (int cell = 0; cell < grid.cells(); cell++) {
            Lab colour = films.table().film(films.at(cell)).lab();
            lab[0][cell] = (float) colour.l();
            lab[1][cell] = (float) colour.a();
            lab[2][cell] = (float) colour.b();
        }
        return new Field(grid, lab, judged);
    }

    /** The channels of a flattened photo that are compared at this moment. */
    Field compared(Field photo) {
        return moment.pencil() ? operator.lines(lines(new Field(grid, new float[][] {photo.value[0]}, photo.known)), chalk()) : photo;
    }

    private static Field lines(Field all) {
        return all.fine(LINES_ONLY_MM);
    }

    private boolean chalk() {
        return plan.steps().stream().filter(s -> s instanceof Step.Pencil && s.side() == plan.up().side())
                .map(s -> ((Step.Pencil) s).drawing()).findFirst().map(Step.Drawing::chalk)
                .orElse(Lab.of(plan.survey().stone().colour()).l() < 48);
    }

    /** The pencil line of a part where it is seen. */
    private Geometry line(int part) {
        PlacedPart placed = parts.get(part);
        Geometry line = placed.part().isArea() ? placed.drawn().getBoundary() : placed.drawn();
        return placed.part().role() == Role.HIGHLIGHT ? line
                : Shapes.outside(line, overlap.above(part, placed.drawn().getEnvelopeInternal(), 0));
    }

    /** What is seen of a part when all in front of it is there. */
    Geometry seen(int part) {
        return overlap.seen(part);
    }

    /** Cells about a whole thing, where what lies in front of it does not disturb. */
    int[] about(int item) {
        return about.computeIfAbsent(item, this::cellsAbout);
    }

    private int[] cellsAbout(int item) {
        List<Integer> own = IntStream.range(0, parts.size()).filter(p -> itemOf(p) == item).boxed().toList();
        if (own.isEmpty()) {
            return new int[0];
        }
        List<Geometry> front = IntStream.range(own.get(own.size() - 1) + 1, parts.size()).filter(p -> itemOf(p) != item)
                .mapToObj(painted::get).toList();
        return about(own, front);
    }

    /** Cells about one part, without what lies in front of it. */
    IntStream aboutPart(int part) {
        return Arrays.stream(about(List.of(part), overlap.over(part, painted.get(part).getEnvelopeInternal(), ROUND_MM)));
    }

    /** Cells in and close beside an area. */
    BitSet covered(Geometry area) {
        BitSet covered = new BitSet(grid.cells());
        Mask mask = Mask.of(area.isEmpty() ? area : Shapes.grown(area, BESIDE_MM), grid);
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                if (mask.at(c, r) > 0) {
                    covered.set((mask.row() + r) * grid.columns() + mask.column() + c);
                }
            }
        }
        return covered;
    }

    /** Whether a planned cell, moved as its thing is, comes to lie on one of those. */
    boolean isCovered(int cell, Fit fit, BitSet covered) {
        double x = grid.x(cell % grid.columns());
        double y = grid.y(cell / grid.columns());
        int column = (int) Math.floor((fit.toX(x, y) - grid.left()) / grid.cellMm());
        int row = (int) Math.floor((fit.toY(x, y) - grid.top()) / grid.cellMm());
        return column >= 0 && row >= 0 && column < grid.columns() && row < grid.rows() && covered.get(row * grid.columns() + column);
    }

    private int[] about(List<Integer> own, List<Geometry> front) {
        Geometry whole = moment.pencil() ? strokes(own)
                : Shapes.union(own.stream().map(painted::get).toList());
        Geometry round = Shapes.grown(whole, ROUND_MM);
        if (moment.pencil()) {
            BitSet others = covered(Shapes.union(IntStream.range(0, parts.size()).filter(p -> !own.contains(p))
                    .mapToObj(p -> line(p)).filter(l -> l.getEnvelopeInternal().intersects(round.getEnvelopeInternal()))
                    .map(l -> Shapes.stroke(l, LINE_MM)).toList()));
            return Arrays.stream(cells(round)).filter(c -> !others.get(c)).toArray();
        }
        return cells(front.isEmpty() ? round : Shapes.minus(round, Shapes.grown(Shapes.union(front), BESIDE_MM)));
    }

    /** Cells that lie in an area by half and can be judged. */
    int[] cells(Geometry area) {
        List<Integer> cells = new ArrayList<>();
        Mask mask = Mask.of(area, grid);
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                int cell = (mask.row() + r) * grid.columns() + mask.column() + c;
                if (mask.at(c, r) >= 0.5f && judged[cell] > 0) {
                    cells.add(cell);
                }
            }
        }
        return cells.stream().mapToInt(Integer::intValue).toArray();
    }

    /** What is pencilled of a thing where it is seen, as planned, at the width of its lines, mm. */
    Geometry lines(int item) {
        return lines.computeIfAbsent(item, i -> strokes(IntStream.range(0, parts.size()).filter(p -> itemOf(p) == i).boxed().toList()));
    }

    private Geometry strokes(List<Integer> some) {
        return Shapes.union(some.stream().map(p -> Shapes.stroke(line(p), LINE_MM)).toList());
    }

    /** All that is drawn or painted of a thing, as planned, mm. */
    Geometry silhouette(int item) {
        return Shapes.union(IntStream.range(0, parts.size()).filter(p -> itemOf(p) == item).mapToObj(painted::get).toList());
    }
}
