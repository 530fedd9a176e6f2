package mosspebble.core.area;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import mosspebble.core.area.Remembered;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

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
}
