package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.LongFunction;
import javax.imageio.ImageIO;
import mosspebble.app.photo.PhotoModel;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Workbench;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoFinding;
import mosspebble.core.photo.PhotoHints;
import mosspebble.core.stone.Origin;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.SimulatedBenchCamera;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The photo desk without a window: what goes wrong is said, helped by hand, and nothing is half taken. */
class PhotoModelTest {

    @TempDir
    private Path folder;

    private final Workbench workbench = new Workbench(LanternWalk.newcomer(), (studio, title) -> {});

    private interface Use {
        void of(PhotoModel photos) throws Exception;
    }

    private void with(LongFunction<BenchScene> scenes, Use use) throws Exception {
        try (PlanWorker desk = new PlanWorker(BuiltIn::repertoire, Runnable::run, error -> {
            throw new AssertionError(error);
        })) {
            desk.begin();
            use.of(new PhotoModel(workbench, desk, new SimulatedBenchCamera(scenes)));
        }
    }

    private static void until(Callable<Boolean> condition) throws Exception {
        for (int i = 0; i < 3000 && !condition.call(); i++) {
            Thread.onSpinWait();
            LockSupport.parkNanos(10_000_000);
        }
        assertThat(condition.call()).isTrue();
    }

    @Test
    void aFileThatIsNoPhotoIsSaidAndThePhotoOnTheTableStays() throws Exception {
        Path list = folder.resolve("list.jpg");
        Files.writeString(list, "bread, chalk, lamp oil");
        with(shot -> BenchScene.varied(309, 1200, 900), photos -> {
            photos.take();
            until(() -> photos.sightProperty().get() != null);
            PhotoModel.Sight before = photos.sightProperty().get();
            photos.open(list);
            until(() -> !photos.troubleProperty().get().isEmpty());
            assertThat(photos.troubleProperty().get()).contains("list.jpg").contains("neither PNG nor JPEG");
            assertThat(photos.sightProperty().get()).isSameAs(before);
            assertThat(photos.busyProperty().get()).isFalse();
        });
    }

    @Test
    void aPhotoIsSeenSmallWhileItIsRead() throws Exception {
        Photo taken = SimulatedBenchCamera.photograph(BenchScene.varied(309, 2400, 1800));
        BufferedImage image = new BufferedImage(taken.width(), taken.height(), BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < taken.height(); y++) {
            for (int x = 0; x < taken.width(); x++) {
                image.setRGB(x, y, taken.at(x, y));
            }
        }
        Path file = folder.resolve("stones.png");
        ImageIO.write(image, "png", file.toFile());
        CountDownLatch busy = new CountDownLatch(1);
        try (PlanWorker desk = new PlanWorker(BuiltIn::repertoire, Runnable::run, error -> {
            throw new AssertionError(error);
        })) {
            desk.begin();
            desk.ask(new PlanWorker.Line(), d -> waited(busy), nothing -> {}, error -> {});
            PhotoModel photos = new PhotoModel(workbench, desk, new SimulatedBenchCamera(shot -> BenchScene.varied(309, 1200, 900)));
            photos.open(file);
            until(() -> photos.glanceProperty().get() != null);
            Photo small = photos.glanceProperty().get();
            assertThat(photos.sightProperty().get()).as("the desk has other work first").isNull();
            assertThat(small.width()).isEqualTo(800);
            assertThat(small.height()).isEqualTo(600);
            assertThat(small.at(400, 300)).isEqualTo(taken.at(1200, 900));
            busy.countDown();
            until(() -> photos.sightProperty().get() != null && !photos.busyProperty().get());
            assertThat(photos.glanceProperty().get()).as("what was read takes its place").isNull();
            assertThat(photos.sightProperty().get().photo().width()).isEqualTo(2400);
            photos.open(file);
            photos.cancel();
            until(() -> photos.glanceProperty().get() == null && !photos.busyProperty().get());
        }
    }

    private static boolean waited(CountDownLatch until) {
        try {
            return until.await(60, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            return false;
        }
    }

    @Test
    void withoutACardADistanceMarkedByHandServes() throws Exception {
        with(shot -> BenchScene.varied(309, 1200, 900).withCard(false, 0), photos -> {
            photos.take();
            until(() -> photos.sightProperty().get() != null);
            assertThat(photos.sightProperty().get().reading().findings()).extracting(PhotoFinding::kind)
                    .containsExactly(PhotoFinding.Kind.NO_CARD);
            assertThat(photos.toBasket()).as("nothing to take").isFalse();

            photos.markingProperty().set(PhotoModel.Marking.DISTANCE);
            photos.drawn(new PhotoHints.Line(100, 100, 110, 100));
            assertThat(photos.troubleProperty().get()).contains("20 pixels or more apart");
            photos.markingProperty().set(PhotoModel.Marking.DISTANCE);
            photos.drawn(new PhotoHints.Line(100, 100, 330, 100));
            until(() -> photos.sightProperty().get().reading().stones().size() == 3);
            assertThat(photos.markingProperty().get()).isEqualTo(PhotoModel.Marking.NONE);

            photos.forgetMarks();
            until(() -> photos.sightProperty().get().reading().stones().isEmpty());
        });
    }

    @Test
    void stonesGoIntoTheBasketWithTheirPicturesInOneEdit() throws Exception {
        with(shot -> BenchScene.varied(309, 1200, 900), photos -> {
            photos.take();
            until(() -> photos.sightProperty().get() != null);
            assertThat(photos.toBasket()).isTrue();
            assertThat(workbench.studio().basket()).hasSize(3).allSatisfy(found -> {
                assertThat(found.origin().picture()).isPresent();
                assertThat(found.origin().taking()).isEqualTo(Origin.Taking.UNKNOWN);
            });
            workbench.undo();
            assertThat(workbench.studio().basket()).isEqualTo(List.of());
        });
    }
}
