package mosspebble.core.area;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import mosspebble.core.area.Remembered;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class RememberedTest {

    private static Geometry disc(double x, double radius) {
        return new GeometryFactory().createPoint(new Coordinate(x, 0)).buffer(radius);
    }

    @Test
    void workIsDoneOnceForTheSameThingsAndAgainForOthers() {
        Remembered remembered = new Remembered();
        AtomicInteger done = new AtomicInteger();
        Geometry area = disc(0, 5);
        Geometry twin = disc(0, 5);
        for (int plan = 0; plan < 3; plan++) {
            remembered.next();
            assertThat(remembered.<Integer>recall(done::incrementAndGet, "work", area, 2.0, List.of("a", area))).isEqualTo(1);
        }
        assertThat(remembered.<Integer>recall(done::incrementAndGet, "work", twin, 2.0, List.of("a", area)))
                .as("areas are the same only if they are one").isEqualTo(2);
        assertThat(remembered.<Integer>recall(done::incrementAndGet, "work", area, 2.5, List.of("a", area))).isEqualTo(3);
        assertThat(remembered.<Integer>recall(done::incrementAndGet, "work", area, 2.0, List.of("a", twin))).as("also within lists")
                .isEqualTo(4);
        assertThat(remembered.<Integer>recall(done::incrementAndGet, "other work", area, 2.0, List.of("a", area))).isEqualTo(5);
        assertThat(remembered.<Integer>recall(done::incrementAndGet, "work", area, 2.0, List.of(new String("a"), area)))
                .as("everything else by equality").isEqualTo(1);
    }

    @Test
    void whatIsNotAskedForIsForgottenInTheEnd() {
        Remembered remembered = new Remembered();
        AtomicInteger done = new AtomicInteger();
        remembered.next();
        remembered.recall(done::incrementAndGet, "once");
        for (int plan = 0; plan < 5; plan++) {
            remembered.next();
        }
        assertThat(remembered.<Integer>recall(done::incrementAndGet, "once")).as("some plans later it is still known").isEqualTo(1);
        for (int plan = 0; plan < 20; plan++) {
            remembered.next();
        }
        assertThat(remembered.<Integer>recall(done::incrementAndGet, "once")).as("many plans later it is not").isEqualTo(2);
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
