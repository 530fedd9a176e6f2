package mosspebble.app.cloth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import mosspebble.core.area.Grid;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import org.junit.jupiter.api.Test;

/** Which part of a stone is drawn when it is looked at closely. */
class CloseLookPartTest {

    private static final StoneOutline OUTLINE = StoneOutline.of(Stone.cobble());

    private static ClothFrame frame(CloseLook near, double fit) {
        double scale = fit * near.times();
        return new ClothFrame(scale, 400 - near.x() * scale, 300 - near.y() * scale);
    }

    @Test
    void theWholeStoneHasNoPartOfItsOwn() {
        CloseLook near = new CloseLook();
        assertThat(near.part(frame(near, 5), 800, 600, OUTLINE, 0.2)).isEmpty();
        assertThat(near.by(0.5)).as("farther than whole is not gone").isFalse();
        near.at(20, 10, OUTLINE);
        assertThat(near.x()).as("the whole stone stays in the middle").isZero();
    }

    @Test
    void smallStepsOfAFingerAddUpAndTheLastWayOutSnapsToTheWhole() {
        CloseLook near = new CloseLook();
        for (int i = 0; i < 100; i++) {
            assertThat(near.by(1.01)).as("step %d", i).isTrue();
        }
        assertThat(near.times()).isCloseTo(Math.pow(1.01, 100), within(1e-9));
        near.by(1.04 / near.times());
        assertThat(near.isWhole()).as("as good as whole is whole").isTrue();
    }

    @Test
    void aPartCoversWhatTheClothShowsOnALatticeThatStays() {
        SplittableRandom random = new SplittableRandom(6);
        for (int i = 0; i < 300; i++) {
            CloseLook near = new CloseLook();
            near.by(random.nextDouble(1.1, 40));
            assertThat(near.times()).isBetween(1.0, CloseLook.CLOSEST);
            near.at(random.nextDouble(-90, 90), random.nextDouble(-90, 90), OUTLINE);
            assertThat(Math.abs(near.x())).isLessThanOrEqualTo(OUTLINE.halfWidth());
            double fit = random.nextDouble(1, 9);
            double cell = 1 / (fit * near.times());
            ClothFrame frame = frame(near, fit);
            Grid part = near.part(frame, 800, 600, OUTLINE, cell).orElseThrow();
            assertThat(part.left()).isLessThanOrEqualTo(Math.max(-OUTLINE.halfWidth(), frame.toX(0)));
            assertThat(part.left() + part.columns() * cell).isGreaterThanOrEqualTo(Math.min(OUTLINE.halfWidth(), frame.toX(800)));
            assertThat(part.top()).isLessThanOrEqualTo(Math.max(-OUTLINE.halfHeight(), frame.toY(0)));
            assertThat(part.columns()).as("no more than is seen, and a little round it").isLessThanOrEqualTo((int) (802 + 5 / cell));
            double steps = part.left() / cell;
            assertThat(steps - Math.rint(steps)).as("on whole pixels from the middle of the stone").isCloseTo(0, within(1e-6));
        }
    }

    @Test
    void aPartTooLargeToDrawIsLeftToTheDraft() {
        CloseLook near = new CloseLook();
        near.by(8);
        assertThat(near.part(frame(near, 5), 40_000, 30_000, OUTLINE, 0.001)).isEmpty();
    }

    @Test
    void aStoneLargerThanTheClothIsShownSmallerToBeAsLargeAsItIs() {
        CloseLook near = new CloseLook();
        near.by(3);
        near.at(20, 10, OUTLINE);
        near.trueSize(0.8);
        assertThat(near.times()).isEqualTo(0.8);
        assertThat(near.isTrueSize()).isTrue();
        assertThat(near.isWhole()).as("all of it is seen, in the middle").isTrue();
        assertThat(near.x()).isZero();
        assertThat(near.part(frame(near, 5), 800, 600, OUTLINE, 0.2)).isEmpty();
        assertThat(near.by(1.25)).isTrue();
        assertThat(near.isTrueSize()).as("nearer is another size").isFalse();
        assertThat(near.times()).isEqualTo(1);
        near.trueSize(1.6);
        near.at(20, 10, OUTLINE);
        assertThat(near.isWhole()).isFalse();
        assertThat(near.x()).isEqualTo(20);
        near.whole();
        assertThat(near.isTrueSize()).isFalse();
        near.trueSize(50);
        assertThat(near.times()).isEqualTo(CloseLook.CLOSEST);
    }
}
