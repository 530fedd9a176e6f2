package mosspebble.core.sketch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import mosspebble.core.Surveys;
import mosspebble.core.Boards;
import mosspebble.core.area.Shapes;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** A design laid on another stone. */
class RefitTest {

    private static final Repertoire BOARD = Boards.repertoire();

    private static Stone stone(double length, double width, double wayUp) {
        return Stone.cobble().withSize(new Millimetres(length), new Millimetres(width), new Millimetres(30))
                .withShape(new Shape.Grown(Form.OVAL, 0.9, 0.2)).withWayUp(wayUp);
    }

    private static Support bed(Stone stone) {
        return Support.of(Surveys.of(stone));
    }

    private static Item board(Placement at) {
        return Item.of(new Subject.Figure("board"), ItemMode.ON_STONE, at, 0);
    }

    private static double largest(Support bed) {
        return Designs.fit(Designs.motif(new Subject.Figure("board"), BOARD).orElseThrow(), bed.zones(), 0, 0).orElseThrow().placement()
                .scale();
    }

    private static Geometry silhouette(Sketch sketch, Support bed) {
        return Shapes.union(Designs.place(sketch, BOARD, bed).orElseThrow().items().stream().map(PlacedItem::silhouette).toList());
    }

    @Test
    void onTheSameStoneNothingMoves() {
        Support bed = bed(stone(110, 80, 0));
        Sketch sketch = new Sketch(List.of(board(new Placement(-7, 4, 12, 22)),
                board(new Placement(14, -6, 0, 9)).withId("i2"), dots(ItemMode.WEARING, 2.35).withId("i3")));
        Refit.Refitted there = Refit.onto(sketch, BOARD, bed, bed(stone(110, 80, 0)));
        assertThat(there.size()).isEqualTo(1);
        for (int i = 0; i < 2; i++) {
            Placement before = sketch.items().get(i).placement();
            Placement after = there.sketch().items().get(i).placement();
            assertThat(after.x()).isCloseTo(before.x(), within(1e-6));
            assertThat(after.y()).isCloseTo(before.y(), within(1e-6));
            assertThat(after.scale()).isEqualTo(before.scale());
        }
        assertThat(there.sketch().items().get(2).subject()).isEqualTo(sketch.items().get(2).subject());
    }

    @Test
    void oneThingIsToTheLargestThatGoesAsItWas() {
        Support small = bed(stone(70, 62, 0));
        Support large = bed(stone(140, 90, 0));
        for (double share : new double[] {0.5, 1, 1.3}) {
            Sketch sketch = new Sketch(List.of(board(new Placement(0, 0, 0, share * largest(small)))));
            Refit.Refitted there = Refit.onto(sketch, BOARD, small, large);
            assertThat(there.sketch().items().get(0).placement().scale()).as("share %s", share)
                    .isCloseTo(share * largest(large), Percentage.withPercentage(2));
        }
    }

    @Test
    void whatLayWithinTheFaceLiesWithinTheOtherAndKeepsItsArrangement() {
        SplittableRandom random = new SplittableRandom(11);
        int shrunk = 0;
        for (int trial = 0; trial < 25; trial++) {
            Support from = bed(stone(90 + 40 * random.nextDouble(), 60 + 25 * random.nextDouble(), 0));
            Support to = bed(stone(50 + 80 * random.nextDouble(), 40 + 10 * random.nextDouble(), 90 * random.nextInt(2)));
            Item one = board(new Placement(-22 + 8 * random.nextDouble(), 4 * random.nextDouble(), 20 * random.nextDouble(), 12));
            Item two = board(new Placement(12 + 8 * random.nextDouble(), -4, 0, 9)).withId("i2");
            Sketch sketch = new Sketch(List.of(one, two));
            assertThat(Shapes.minus(silhouette(sketch, from), from.zones().face()).getArea()).as("lay within").isLessThan(0.01);

            Refit.Refitted there = Refit.onto(sketch, BOARD, from, to);

            Geometry lies = silhouette(there.sketch(), to);
            assertThat(Shapes.minus(lies, to.zones().face()).getArea()).as("trial %d", trial).isLessThan(0.003 * lies.getArea());
            Placement a = there.sketch().items().get(0).placement();
            Placement b = there.sketch().items().get(1).placement();
            assertThat(a.scale() / one.placement().scale()).isCloseTo(there.size(), within(1e-9));
            assertThat(a.turn()).isCloseTo(one.placement().turn(), within(1e-9));
            assertThat(b.x() - a.x()).isCloseTo(there.size() * (two.placement().x() - one.placement().x()), within(1e-9));
            assertThat(b.y() - a.y()).isCloseTo(there.size() * (two.placement().y() - one.placement().y()), within(1e-9));
            shrunk += there.size() < 0.7 ? 1 : 0;
        }
        assertThat(shrunk).as("upright stones leave a wide pair little room").isGreaterThan(3);
    }

    @Test
    void whatLayFarAsideIsDrawnInWhereTheOtherStoneIsNarrow() {
        Support from = bed(stone(120, 70, 0));
        Support to = bed(stone(110, 52, 90));
        Sketch sketch = new Sketch(List.of(board(new Placement(-33, 0, 0, 12))));
        assertThat(Shapes.minus(silhouette(sketch, from), from.zones().face()).getArea()).as("lay within").isLessThan(0.01);
        Refit.Refitted there = Refit.onto(sketch, BOARD, from, to);
        Geometry lies = silhouette(there.sketch(), to);
        assertThat(Shapes.minus(lies, to.zones().face()).getArea()).isLessThan(0.003 * lies.getArea());
        assertThat(lies.getCentroid().getX()).as("still aside").isLessThan(-4);
        assertThat(there.size()).as("as large as the other face allows").isBetween(0.6, 0.95);
    }

    @Test
    void whatLayWithinIsKeptOffACrackOfTheOther() {
        Support from = bed(stone(110, 80, 0));
        Patch crack = new Patch(Patch.Kind.CRACK, 26, -45, 26, 45, 2, 1, false);
        Support to = bed(stone(110, 80, 0).withPatches(List.of(crack)));
        Sketch sketch = new Sketch(List.of(board(new Placement(0, 0, 0, largest(from)))));
        Geometry gap = new GeometryFactory().createLineString(new Coordinate[] {new Coordinate(26, -45), new Coordinate(26, 45)}).buffer(2);
        assertThat(silhouette(sketch, to).intersects(gap)).as("it would lie over it").isTrue();
        Refit.Refitted there = Refit.onto(sketch, BOARD, from, to);
        assertThat(Shapes.common(silhouette(there.sketch(), to), gap).getArea()).isLessThan(0.3);
        assertThat(there.size()).isBetween(0.5, 1.0);
    }

    private static Item dots(ItemMode manner, double diameter) {
        Subject.Dots dots = Subject.Dots.usual().withRing(new Subject.Dots.Ring(diameter, 1, 3));
        return Item.of(dots, manner, new Placement(0, 0, 0, 20), 0);
    }

    @Test
    void dotsAreSizedWithTheRestToATenthAndThoseThatWearTheStoneGoOnWearingIt() {
        Support from = bed(stone(110, 80, 0));
        Support to = bed(stone(55, 40, 0).withSize(new Millimetres(55), new Millimetres(40), new Millimetres(15)));
        Sketch sketch = new Sketch(List.of(board(new Placement(0, 0, 0, 20)), dots(ItemMode.WEARING, 4.3).withId("i2")));
        Refit.Refitted there = Refit.onto(sketch, BOARD, from, to);
        assertThat(there.size()).as("a stone of half the size").isCloseTo(0.5, within(0.08));
        Item border = there.sketch().items().get(1);
        assertThat(border.wearing()).isTrue();
        Subject.Dots dots = (Subject.Dots) border.subject();
        assertThat(dots.diameterMm()).isEqualTo(Math.round(43 * there.size()) / 10.0);
        assertThat(dots.innerMm()).as("no second ring comes of nothing").isZero();
    }

    @Test
    void aDesignThatOnlyWearsTheStoneWearsTheOther() {
        Support from = bed(stone(110, 80, 0));
        Support to = bed(stone(70, 60, 0));
        Sketch sketch = new Sketch(List.of(dots(ItemMode.WEARING, 3)));
        Refit.Refitted there = Refit.onto(sketch, BOARD, from, to);
        double byArea = Math.sqrt(to.zones().face().getArea() / from.zones().face().getArea());
        assertThat(there.size()).isCloseTo(byArea, within(1e-9));
        assertThat(Optional.of(there.sketch().items().get(0)).filter(Item::wearing)).isPresent();
    }
}
