package mosspebble.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoHints;
import mosspebble.core.photo.PhotoReader;
import mosspebble.core.photo.PhotoReading;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;

/** The stand-in camera over one stone with something on its face, and the made-up hand. */
class WorkPhotoTest {

    private static final Stone STONE = Stone.cobble().withShape(new Shape.Grown(Form.OVAL, 1, 0)).withSize(new Millimetres(90),
            new Millimetres(60), new Millimetres(24));

    /** Left half pale, right half dark. */
    private static final BenchScene.Cover HALVES = (x, y, linear) -> Arrays.fill(linear, x < 0 ? 0.7 : 0.1);

    private static Photo photo(double turn) {
        BenchScene straight = BenchScene.work(new BenchScene.Lying(STONE, 200, 118, turn, Optional.of(HALVES)), 4);
        return SimulatedBenchCamera.photograph(straight.withLamp(new BenchScene.Lamp(0, 0, 80, 0.1)));
    }

    private static int greenAt(Photo photo, PhotoReading reading, double dx, double dy) {
        // the face stands above the sheet, so what is over a place of it is seen a little outward
        double[] camera = reading.map().orElseThrow().camera();
        double lift = camera[2] / (camera[2] - 20);
        Coordinate at = reading.map().get().toImage(camera[0] + (200 + dx - camera[0]) * lift, camera[1] + (118 + dy - camera[1]) * lift);
        return photo.at((int) at.x, (int) at.y) >> 8 & 255;
    }

    @Test
    void whatIsOnTheFaceTurnsWithTheStone() {
        Photo along = photo(0);
        Photo across = photo(90);
        PhotoReading first = new PhotoReader().read(along, PhotoHints.none(), () -> false);
        PhotoReading second = new PhotoReader().read(across, PhotoHints.none(), () -> false);

        assertThat(greenAt(along, first, -15, 0)).isGreaterThan(60 + greenAt(along, first, 15, 0));
        assertThat(greenAt(across, second, 0, -15)).as("a quarter turn clockwise: left is up")
                .isGreaterThan(60 + greenAt(across, second, 0, 15));
        assertThat(greenAt(across, second, -8, -15)).isCloseTo(greenAt(across, second, 8, -15), within(20));
        // the outline turns as well: the longer side lies down the photo
        double wide = second.stones().get(0).sheet().getEnvelopeInternal().getWidth();
        double high = second.stones().get(0).sheet().getEnvelopeInternal().getHeight();
        assertThat(high / wide).isCloseTo(90.0 / 60, within(0.06));
    }

    @Test
    void aRealCameraIsAskedForWhatLiesThereAndAStandInIsTold() {
        Photo bare = new Photo(16, 16, new int[256], OptionalDouble.empty());
        BenchCamera real = new BenchCamera() {
            @Override
            public Photo take() {
                return bare;
            }

            @Override
            public boolean simulated() {
                return false;
            }

            @Override
            public String label() {
                return "camera";
            }
        };
        assertThat(real.takeOf(() -> {
            throw new AssertionError("nobody need tell it");
        })).isSameAs(bare);
        SimulatedBenchCamera made = new SimulatedBenchCamera(n -> BenchScene.varied(n, 320, 240));
        assertThat(made.takeOf(() -> new BenchScene.Lying(STONE, 200, 118)).width()).isEqualTo(1632);
    }

    private static Sketch sketch() {
        Item free = Item.of(new Subject.Figure("fern"), ItemMode.ON_STONE, new Placement(3, 4, 10, 20), 2);
        return new Sketch(List.of(free, Item.of(new Subject.Figure("fox"), ItemMode.WEARING, new Placement(0, 0, 0, 1), 2).withId("i2")));
    }

    @Test
    void theUnsteadyHandGoesWrongAtOneThingInOneWayAndTheSameEachTime() {
        Placement wanted = sketch().items().get(0).placement();
        for (long seed = 0; seed < 9; seed++) {
            Placement faithful = UnsteadyHand.faithful(sketch(), seed).items().get(0).placement();
            assertThat(Math.abs(faithful.x() - wanted.x())).isLessThan(0.21);
            assertThat(Math.abs(faithful.turn() - wanted.turn())).isLessThan(0.26);
            Sketch drawn = UnsteadyHand.oneWrong(sketch(), seed);
            Placement lies = drawn.items().get(0).placement();
            int wrong = (Math.hypot(lies.x() - wanted.x(), lies.y() - wanted.y()) > 1.2 ? 1 : 0)
                    + (Math.abs(lies.turn() - wanted.turn()) > 2.5 ? 1 : 0) + (Math.abs(lies.scale() / wanted.scale() - 1) > 0.05 ? 1 : 0);
            assertThat(wrong).as("seed %d", seed).isEqualTo(1);
            assertThat(drawn.items().get(1).placement()).as("what wears the stone stays").isEqualTo(sketch().items().get(1).placement());
            assertThat(UnsteadyHand.oneWrong(sketch(), seed)).isEqualTo(drawn);
        }
        assertThat(Set.of(UnsteadyHand.oneWrong(sketch(), 1), UnsteadyHand.oneWrong(sketch(), 4))).as("another seed, another hand")
                .hasSize(2);
    }
}
