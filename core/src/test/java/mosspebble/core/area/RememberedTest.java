package mosspebble.core.area;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.union.UnaryUnionOp;

class RememberedTest {

    private static final AtomicInteger DONE = new AtomicInteger();

    private static Geometry disc(double x, double radius) {
        return new GeometryFactory().createPoint(new Coordinate(x, 0)).buffer(radius);
    }

    /** Work that counts how often it is done. */
    private static int counted(Object... from) {
        assertThat(from).isNotEmpty();
        return DONE.incrementAndGet();
    }

    private static int work(Remembered remembered, String name, Geometry area, double mm, List<Object> more) {
        return remembered.recall(name, area, mm, more, (a, by, others, m) -> counted(a, by, others));
    }

    @Test
    void workIsDoneOnceForTheSameThingsAndAgainForOthers() {
        DONE.set(0);
        Remembered remembered = new Remembered();
        Geometry area = disc(0, 5);
        Geometry twin = disc(0, 5);
        for (int plan = 0; plan < 3; plan++) {
            remembered.next();
            assertThat(work(remembered, "work", area, 2.0, List.of("a", area))).isEqualTo(1);
        }
        assertThat(work(remembered, "work", twin, 2.0, List.of("a", area))).as("areas are the same only if they are one").isEqualTo(2);
        assertThat(work(remembered, "work", area, 2.5, List.of("a", area))).isEqualTo(3);
        assertThat(work(remembered, "work", area, 2.0, List.of("a", twin))).as("also within lists").isEqualTo(4);
        assertThat(work(remembered, "other work", area, 2.0, List.of("a", area))).isEqualTo(5);
        assertThat(work(remembered, "work", area, 2.0, List.of(new String("a"), area))).as("everything else by equality").isEqualTo(1);
    }

    @Test
    void workThatReachesForWhatItIsNotFoundByIsRefused() {
        Remembered remembered = new Remembered();
        double forgotten = Math.random();
        assertThatThrownBy(() -> remembered.recall("careless", "a", (a, m) -> a + forgotten)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("careless");
        AtomicInteger held = new AtomicInteger();
        assertThatThrownBy(() -> remembered.<Integer, Integer>recall("bound", 1, (a, m) -> held.addAndGet(a)))
                .hasMessageContaining("bound");
        assertThat(held).as("and is not done").hasValue(0);
    }

    private static int once(Remembered remembered) {
        return remembered.recall("once", 1, (a, m) -> counted(a));
    }

    @Test
    void whatIsNotAskedForIsForgottenInTheEnd() {
        DONE.set(0);
        Remembered remembered = new Remembered();
        remembered.next();
        once(remembered);
        for (int plan = 0; plan < 5; plan++) {
            remembered.next();
        }
        assertThat(once(remembered)).as("some plans later it is still known").isEqualTo(1);
        for (int plan = 0; plan < 20; plan++) {
            remembered.next();
        }
        assertThat(once(remembered)).as("many plans later it is not").isEqualTo(2);
    }

    @Test
    void areasComeOutAsFromTheWorkItself() {
        Remembered remembered = new Remembered();
        Geometry one = disc(0, 6);
        Geometry other = disc(5, 6);
        assertThat(remembered.minus(one, other).equalsTopo(one.difference(other))).isTrue();
        assertThat(remembered.common(one, other).equalsTopo(one.intersection(other))).isTrue();
        assertThat(remembered.union(List.of(one, other)).equalsTopo(one.union(other))).isTrue();
        assertThat(remembered.grown(one, -1).getArea()).isLessThan(one.getArea());
        assertThat(remembered.grown(one, -1)).isSameAs(remembered.grown(one, -1));
        assertThat(remembered.without(one, List.of())).isSameAs(one);
        assertThat(remembered.without(one, List.of(other, disc(-5, 6))).equalsTopo(one.difference(other).difference(disc(-5, 6)))).isTrue();
        assertThat(remembered.common(one, disc(100, 3)).isEmpty()).isTrue();
    }

    private static int asked;

    private static Geometry counting(Geometry area, List<Geometry> others) {
        asked++;
        return Shapes.minus(area, others);
    }

    private static Geometry cut(Remembered remembered, Geometry area, Geometry... others) {
        return remembered.anywhere("cut", area, List.of(others), "", (a, all, none, m) -> counting(a, all));
    }

    @Test
    void whatWasMovedAlikeIsWorkedOutOnceWhereverItLies() {
        asked = 0;
        Remembered remembered = new Remembered();
        Geometry one = disc(0, 6);
        Geometry other = disc(5, 6).union(disc(30, 2));
        SplittableRandom random = new SplittableRandom(5);
        for (int i = 0; i < 40; i++) {
            double dx = random.nextDouble(-80, 80);
            double dy = random.nextDouble(-80, 80);
            Geometry left = cut(remembered, remembered.moved(one, dx, dy), remembered.moved(other, dx, dy));
            AffineTransformation there = AffineTransformation.translationInstance(dx, dy);
            assertThat(left.symDifference(there.transform(one.difference(other))).getArea()).isLessThan(1e-9);
            assertThat(asked).as("once for all places").isEqualTo(1);
            assertThat(remembered.grown(left, 1).symDifference(Shapes.grown(left, 1)).getArea())
                    .as("and so on from there, but for how the library rounds corners").isLessThan(0.1);
        }
        Geometry here = remembered.moved(one, 3, 4);
        assertThat(remembered.moved(here, -3, -4).equalsExact(one, 1e-12)).as("moved back it is at home").isTrue();
        assertThat(remembered.home(remembered.moved(here, 1, 1))).isSameAs(one);
        assertThat(cut(remembered, here, remembered.moved(other, 3, 5)).symDifference(
                here.difference(AffineTransformation.translationInstance(3, 5).transform(other))).getArea()).as("not alike: done anew")
                .isLessThan(1e-9);
        assertThat(asked).isEqualTo(2);
    }

    @Test
    void whatIsApartIsJoinedOnceEachWhateverTheOthersDo() {
        Remembered remembered = new Remembered();
        Geometry left = disc(0, 6);
        Geometry leftToo = disc(7, 6);
        Geometry first = remembered.union(List.of(left, disc(60, 3), leftToo));
        for (double x = 40; x < 80; x += 4) {
            Geometry all = remembered.union(List.of(left, disc(x, 3), leftToo, disc(x + 4, 3)));
            assertThat(all.symDifference(left.union(leftToo).union(disc(x, 3)).union(disc(x + 4, 3))).getArea()).isLessThan(1e-9);
            assertThat(all.getNumGeometries()).isEqualTo(2);
            assertThat(all.getGeometryN(0)).as("two on the left, which nobody moved").isSameAs(first.getGeometryN(0));
        }
        assertThat(remembered.union(List.of(Shapes.nothing(), Shapes.nothing())).isEmpty()).isTrue();
    }

    @Test
    void whatIsCutOutComesOutAsFromTheLibraryHoweverItWasMoved() {
        SplittableRandom random = new SplittableRandom(8);
        Geometry wall = disc(0, 40);
        List<Geometry> leaves = random.ints(9, -30, 30).mapToObj(x -> disc(x, 1 + Math.abs(x) / 8.0)).toList();
        for (int i = 0; i < 30; i++) {
            Remembered remembered = new Remembered();
            List<Geometry> over = new ArrayList<>(leaves.subList(6, 9)); // lie where they were drawn
            for (int thing = 0; thing < 2; thing++) {
                double dx = random.nextDouble(-40, 40);
                double dy = random.nextDouble(-40, 40);
                leaves.subList(3 * thing, 3 * thing + 3)
                        .forEach(leaf -> over.add(random.nextInt(over.size()), remembered.moved(leaf, dx, dy)));
            }
            Geometry left = remembered.without(wall, over);
            Geometry right = wall.difference(UnaryUnionOp.union(over));
            assertThat(left.symDifference(right).getArea()).isLessThan(1e-9);
            assertThat(left.isValid()).isTrue();
        }
    }

    @Test
    void aCopyOfWhatWasMovedDoesNotKnowIt() {
        asked = 0;
        Remembered remembered = new Remembered();
        Geometry here = remembered.moved(disc(0, 6), 20, 0);
        Geometry copy = AffineTransformation.translationInstance(2, 0).transform(here);
        assertThat(remembered.home(copy)).isSameAs(copy);
        assertThat(cut(remembered, copy).equalsTopo(copy)).isTrue();
        Geometry dots = remembered.moved(Shapes.union(List.of(disc(0, 2), disc(10, 2))), 7, 7);
        for (int i = 0; i < 2; i++) {
            assertThat(remembered.home(dots.getGeometryN(i)).getEnvelopeInternal().centre().y).as("each piece knows it").isCloseTo(0,
                    within(1e-9));
        }
        assertThat(remembered.moved(Shapes.nothing(), 1, 1).isEmpty()).isTrue();
    }

    @Test
    void onlyWhatWasMovedAlongIsCutWhereItComesFrom() {
        Remembered remembered = new Remembered();
        Geometry home = disc(0, 6);
        Geometry area = remembered.moved(home, 2, 1);
        Geometry along = remembered.moved(disc(5, 3), 2, 1);
        Geometry fixed = disc(-3, 4);
        assertThat(remembered.without(area, List.of(along, fixed, disc(90, 1))).symDifference(area.difference(along).difference(fixed))
                .getArea())
                .isLessThan(1e-9);
        assertThat(remembered.within(area, disc(0, 40))).as("all of it").isSameAs(area);
        assertThat(remembered.within(area, fixed).symDifference(area.intersection(fixed)).getArea()).isLessThan(1e-9);
        assertThat(remembered.covers(disc(0, 40), area)).isTrue();
        assertThat(remembered.covers(fixed, area)).isFalse();
    }

    @Test
    void whatIsKeptFreeOfAreasIsCutOutOfThemLast() {
        asked = 0;
        Remembered remembered = new Remembered();
        Geometry low = disc(0, 9);
        Geometry front = disc(6, 8);
        SplittableRandom random = new SplittableRandom(11);
        for (int i = 0; i < 30; i++) {
            Geometry kept = disc(random.nextDouble(-8, 12), random.nextDouble(0.5, 6));
            Geometry over = remembered.moved(disc(random.nextDouble(-8, 8), 2), 1, 0);
            Geometry lowFree = remembered.keptFree(low, kept);
            Geometry frontFree = remembered.keptFree(front, kept);
            assertThat(lowFree.symDifference(low.difference(kept)).getArea()).isLessThan(1e-9);
            Geometry left = remembered.without(lowFree, List.of(frontFree, over));
            assertThat(left.symDifference(Shapes.minus(lowFree, List.of(frontFree, over))).getArea()).isLessThan(1e-9);
            assertThat(remembered.whole(frontFree, lowFree)).isSameAs(lowFree == low ? frontFree : front);
        }
        Geometry free = remembered.keptFree(low, disc(0, 1));
        Geometry room = disc(3, 9);
        assertThat(remembered.within(free, room).symDifference(free.intersection(room)).getArea()).isLessThan(1e-9);
        assertThat(remembered.whole(remembered.within(free, room), free)).as("what is cut short still knows it")
                .isSameAs(remembered.within(low, room));
        Geometry byAnother = remembered.keptFree(front, disc(1, 1));
        assertThat(remembered.whole(free, byAnother)).as("not cut by the same").isSameAs(free);
        assertThat(remembered.without(free, List.of(byAnother)).symDifference(free.difference(byAnother)).getArea()).isLessThan(1e-9);
        assertThat(remembered.whole(AffineTransformation.translationInstance(1, 0).transform(free), free))
                .as("a copy knows nothing").isNotSameAs(low);
    }

    @Test
    void nothingIsDoneAnewInTheWholeWhenWhatIsKeptFreeHasMoved() {
        asked = 0;
        Remembered remembered = new Remembered();
        Geometry low = disc(0, 9);
        Geometry front = disc(6, 8);
        for (int i = 0; i < 10; i++) {
            Geometry kept = disc(i, 3);
            cut(remembered, remembered.whole(remembered.keptFree(low, kept), remembered.keptFree(front, kept)),
                    remembered.whole(remembered.keptFree(front, kept), remembered.keptFree(low, kept)));
        }
        assertThat(asked).isEqualTo(1);
    }
}
