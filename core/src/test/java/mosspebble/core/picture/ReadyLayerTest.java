package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Soft;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.rock.Noise;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** What is known of a layer square by square is what is known of it as a whole. */
class ReadyLayerTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    /** A graded board with a shaded bar and a line drawn on it. */
    private static final PaintPlan PLAN = plan();

    /** Fine enough for several squares to each side. */
    private static final Grid GRID = Grid.around(26, 22, 0.07);

    private static PaintPlan plan() {
        Project board = Boards.project(46, Map.of("board", Mix.of("blue"), "bar", Mix.of("umber"), "line", Mix.of("black")))
                .withBlend("board", Blend.of(BlendKind.GRADIENT).withColours(List.of(Mix.of("white"))).withShape(90, 1, 0.5));
        return Boards.plan(board.withHabits(board.habits().withLight(Light.USUAL)), Paints.shelf());
    }

    private record Laid(Step step, Step.Layer layer) {}

    /** A short sickle on the side of a disc that is turned from the light. */
    private static Laid shade() {
        Geometry disc = FACTORY.createPoint(new Coordinate(0.4, -0.7)).buffer(11, 64);
        Geometry sickle = disc.difference(FACTORY.createPoint(new Coordinate(-0.6, -1.7)).buffer(11, 64))
                .intersection(FACTORY.toGeometry(new Envelope(3, 20, -4, 20)));
        Laid crisp = drawn();
        return new Laid(crisp.step,
                new Step.Layer(crisp.layer.side(), sickle, new Soft(0, Optional.of(disc)), crisp.layer.load(), 1, Shapes.nothing()));
    }

    private static Laid drawn() {
        return PLAN.steps().stream().filter(s -> s.kind() == Step.Kind.OUTLINE || s.kind() == Step.Kind.DETAIL)
                .flatMap(s -> s.layers().stream().map(l -> new Laid(s, l))).findFirst().orElseThrow();
    }

    private static List<Laid> layers() {
        return PLAN.steps().stream().filter(s -> !(s instanceof Step.Seal)).flatMap(s -> s.layers().stream().map(l -> new Laid(s, l)))
                .toList();
    }

    /** What squares know, put together over the grid; -1 where no square is. */
    private static float[] together(List<ReadyLayer.Square> squares, Function<ReadyLayer.Square, float[]> what,
            Grid grid) {
        float[] all = new float[grid.cells()];
        Arrays.fill(all, -1);
        for (ReadyLayer.Square square : squares) {
            float[] known = what.apply(square);
            for (int i = 0; i < square.share().length; i++) {
                int at = (square.row() + i / square.columns()) * grid.columns() + square.column() + i % square.columns();
                assertThat(all[at]).as("no two squares have a cell in common").isEqualTo(-1);
                all[at] = known[i];
            }
        }
        return all;
    }

    private static float share(Mask mask, int column, int row) {
        int c = column - mask.column();
        int r = row - mask.row();
        return c >= 0 && r >= 0 && c < mask.columns() && r < mask.rows() ? mask.at(c, r) : 0;
    }

    @Test
    void aCrispLayerCoversWhatItsPlaceCoversAndHasTheLipOfTheWhole() {
        int crisp = 0;
        for (Laid laid : layers()) {
            ReadyLayer ready = ReadyLayer.of(laid.layer, laid.step, Window.whole(GRID));
            if (laid.layer.soft().within().isPresent() || ready.isEmpty() || ReadyLayer.tool(laid.step, laid.layer) == Hand.Tool.PEN) {
                continue;
            }
            crisp++;
            int round = Hand.lipReach(GRID.cellMm());
            Mask mask = Mask.of(laid.layer.place(), GRID.part(-round, -round, GRID.columns() + 2 * round, GRID.rows() + 2 * round));
            float[] lips = Hand.lip(mask.shares(), mask.columns(), mask.rows(), GRID.cellMm());
            float[] shares = together(ready.squares(), ReadyLayer.Square::share, GRID);
            float[] lip = together(ready.squares(), s -> s.lip().length > 0 ? s.lip() : new float[s.share().length], GRID);
            for (int i = 0; i < shares.length; i++) {
                int c = i % GRID.columns() + round;
                int r = i / GRID.columns() + round;
                float covered = share(mask, c, r);
                assertThat(Math.max(0, shares[i])).as("share at %s, %s", c, r).isCloseTo(covered, within(2e-6f));
                if (covered > 0) {
                    assertThat(lip[i]).as("lip at %s, %s", c, r)
                            .isCloseTo(lips[(r - mask.row()) * mask.columns() + c - mask.column()], within(1e-4f));
                }
            }
        }
        assertThat(crisp).isGreaterThan(0);
    }

    @Test
    void aPartThatIsPaintedAloneIsAsInTheWhole() {
        Window part = new Window(GRID, 131, 207, 402, 260);
        for (Laid laid : Stream.concat(layers().stream(), Stream.of(shade())).toList()) {
            ReadyLayer whole = ReadyLayer.of(laid.layer, laid.step, Window.whole(GRID));
            ReadyLayer alone = ReadyLayer.of(laid.layer, laid.step, part);
            float[] all = together(whole.squares(), ReadyLayer.Square::share, GRID);
            float[] some = together(alone.squares(), ReadyLayer.Square::share, GRID);
            float[] own = together(whole.squares(), ReadyLayer.Square::own, GRID);
            float[] ownSome = together(alone.squares(), ReadyLayer.Square::own, GRID);
            for (int i = 0; i < all.length; i++) {
                boolean in = part.has(i % GRID.columns(), i / GRID.columns());
                assertThat(Math.max(0, some[i])).as("%s, cell %s", laid.step.kind(), i).isEqualTo(in ? Math.max(0, all[i]) : 0);
                if (in && all[i] > 0) {
                    assertThat(ownSome[i]).isEqualTo(own[i]);
                }
            }
        }
    }

    @Test
    void aShadeIsStrongestAtItsEdgeAndNowhereBeyondItsReach() {
        Laid shade = shade();
        ReadyLayer ready = ReadyLayer.of(shade.layer, shade.step, Window.whole(GRID));
        assertThat(ready.hand()).as("no hairs, it is a breath of colour").isNull();
        Envelope reach = new Envelope(shade.layer.place().getEnvelopeInternal());
        reach.expandBy(3 * ReadyLayer.FADES_MM);
        Geometry within = shade.layer.soft().within().orElseThrow();
        double onEdge = 0;
        int edge = 0;
        double inner = 0;
        int inside = 0;
        float[] shares = together(ready.squares(), ReadyLayer.Square::share, GRID);
        for (int i = 0; i < shares.length; i++) {
            double x = GRID.x(i % GRID.columns());
            double y = GRID.y(i / GRID.columns());
            if (shares[i] <= 0) {
                continue;
            }
            assertThat(reach.contains(x, y)).as("at %.2f, %.2f", x, y).isTrue();
            double far = within.getBoundary().distance(FACTORY.createPoint(new Coordinate(x, y)));
            onEdge += far < 0.3 ? shares[i] : 0;
            edge += far < 0.3 ? 1 : 0;
            inner += far > 1.2 ? shares[i] : 0;
            inside += far > 1.2 ? 1 : 0;
        }
        assertThat(edge).isGreaterThan(200);
        assertThat(onEdge / edge).isGreaterThan(2 * (inside == 0 ? 0 : inner / inside)).isGreaterThan(0.25);
    }

    @Test
    void whatIsStrewnOverTheStoneIsKnownOnlyWhereItIs() {
        SplittableRandom random = new SplittableRandom(4);
        Grid grid = new Grid(-60, -60, 0.05, 2400, 2400);
        Geometry stars = FACTORY.buildGeometry(IntStream.range(0, 9)
                .mapToObj(k -> FACTORY.createPoint(new Coordinate(-48 + 12 * k + random.nextDouble(), random.nextDouble(-50, 50)))
                        .buffer(1.1))
                .toList());
        Laid some = drawn();
        Step.Layer layer = new Step.Layer(some.layer.side(), stars, some.layer.soft(), some.layer.load(), some.layer.coats(),
                some.layer.again());
        ReadyLayer ready = ReadyLayer.of(layer, some.step, Window.whole(grid));
        long held = ready.squares().stream().mapToLong(s -> s.share().length).sum();
        Mask box = Mask.of(stars, grid);
        assertThat(held).as("of %s cells round them all", (long) box.columns() * box.rows())
                .isLessThan((long) box.columns() * box.rows() / 4);
        double covered = ready.squares().stream()
                .mapToDouble(s -> IntStream.range(0, s.share().length).mapToDouble(i -> s.share()[i]).sum())
                .sum() * 0.05 * 0.05;
        assertThat(covered).as("mm2").isCloseTo(stars.getArea(), withinPercentage(2)); // a pen's edge wanders
        assertThat(ready.squares()).as("row by row").isSortedAccordingTo((a, b) -> a.row() / 192 != b.row() / 192
                ? Integer.compare(a.row() / 192, b.row() / 192) : Integer.compare(a.column(), b.column()));
        Window bounds = ready.bounds(grid);
        assertThat(bounds.columns()).isEqualTo(box.columns());
        assertThat(ReadyLayer.of(layer, some.step, new Window(grid, 0, 0, 8, 8)).isEmpty()).as("beside them").isTrue();
    }

    @Test
    void aDropCutByABorderIsTheSameDrop() {
        Grid grid = new Grid(-10, -10, 0.05, 400, 400);
        Geometry dots = FACTORY.buildGeometry(List.of(FACTORY.createPoint(new Coordinate(0.3, 0.2)).buffer(1.4, 32),
                FACTORY.createPoint(new Coordinate(-4, 3)).buffer(0.9, 32)));
        char[] below = new char[grid.cells()];
        SplittableRandom random = new SplittableRandom(2);
        for (int i = 0; i < below.length; i++) {
            below[i] = Pixels.steps(random.nextDouble(60));
        }
        List<Hand.Drop> drops = new Hand(dots, 1, Hand.Tool.BRUSH, grid).drops(below, grid);
        assertThat(drops).hasSize(2);
        float[] whole = new float[grid.cells()];
        Hand.caps(drops, below, whole, 0, 0, 400, 400, grid);
        for (int[] part : new int[][] {{0, 0, 203, 197}, {203, 0, 197, 400}, {90, 197, 113, 203}}) {
            float[] some = new float[part[2] * part[3]];
            Hand.caps(drops, below, some, part[0], part[1], part[2], part[3], grid);
            for (int i = 0; i < some.length; i++) {
                assertThat(some[i]).isEqualTo(whole[(part[1] + i / part[2]) * 400 + part[0] + i % part[2]]);
            }
        }
        double highest = 0;
        for (int i = 0; i < whole.length; i++) {
            highest = Math.max(highest, whole[i] + Pixels.um(below[i]));
        }
        assertThat(highest).as("0.3 of the radius above the highest that it lies on").isBetween(420 + 50.0, 420 + 60.1);
    }

    /** Worked out place by place with the noise itself. */
    @Test
    void hairsAlongARowAreWhatTheNoiseSaysOfEachPlace() {
        Grid grid = new Grid(-20, -20, 0.05, 800, 800);
        Hand.Row row = new Hand(FACTORY.toGeometry(new Envelope(-15, 15, -3, 3)), 2, Hand.Tool.BRUSH, grid).row();
        float[] found = new float[200];
        for (int i = 0; i < found.length; i++) {
            row.x[i] = -5 + 0.05 * i;
            row.y[i] = 1.3;
        }
        row.uneven(found.length, found);
        Noise noise = new Noise(31 + 2);
        for (int i = 0; i < found.length; i++) {
            double x = -5 + 0.05 * i;
            double bent = 1.3 + 0.5 * noise.gradient(x * 0.06, 1.3 * 0.06);
            // a stroke along a level strip: its own turn is level or half round
            double level = 1.2 * noise.gradient(x / 9, bent / 0.52)
                    + 0.7 * Noise.visible(0.21, 0.05) * noise.gradient(x / 5 + 40, bent / 0.21);
            double round = 1.3 - 0.5 * noise.gradient(x * 0.06, 1.3 * 0.06);
            double turned = 1.2 * noise.gradient(-x / 9, -round / 0.52)
                    + 0.7 * Noise.visible(0.21, 0.05) * noise.gradient(-x / 5 + 40, -round / 0.21);
            assertThat(Math.min(Math.abs(found[i] - level), Math.abs(found[i] - turned))).as("at %.2f mm", x).isLessThan(1e-4);
        }
    }

    @Test
    void windowsAreJoinedAndKnowWhatTheyCover() {
        Grid grid = new Grid(-10, -5, 0.5, 40, 20);
        Window one = new Window(grid, 3, 4, 5, 6);
        assertThat(one.first()).isEqualTo(4 * 40 + 3);
        assertThat(one.box()).isEqualTo(new Envelope(-8.5, -6, -3, 0));
        assertThat(one.with(new Window(grid, 20, 1, 2, 2))).isEqualTo(new Window(grid, 3, 1, 19, 9));
        assertThat(grid.part(3, 4, 5, 6)).isEqualTo(new Grid(-8.5, -3, 0.5, 5, 6));
        assertThat(Pixels.raised(Pixels.steps(12), 3)).isEqualTo(Pixels.steps(15));
        assertThat((int) Pixels.raised(Pixels.steps(5), -9)).isZero();
        assertThat((int) Pixels.raised(Pixels.steps(1300), 900)).as("no higher than can be held").isEqualTo(Character.MAX_VALUE);
    }
}
