package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import mosspebble.core.colour.Lab;
import mosspebble.core.photo.PhotoReading;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import org.junit.jupiter.api.Test;

/** How a stone lies, by its outline alone. */
class LyingTest {

    private static final Lab PALE = new Lab(72, 0, 6);

    private static List<Lying> lying(Stone there, Stone wanted, double turn) {
        PhotoReading reading = Table.read(Table.photo(Survey.of(there), (x, y) -> PALE, turn));
        assertThat(reading.stones()).hasSize(1);
        return Lying.of(wanted, reading.stones().get(0));
    }

    @Test
    void anOvalIsFoundInItsTurnAndInTheOppositeOne() {
        for (double turn : new double[] {-150, 5, 88}) {
            List<Lying> found = lying(Table.oval(), Table.oval(), turn);

            assertThat(found).anySatisfy(l -> {
                assertThat(Math.IEEEremainder(Math.toDegrees(l.pose().turn()) - turn, 360)).isCloseTo(0, within(0.5));
                assertThat(l.apartMm()).isLessThan(0.3);
                assertThat(l.pose().x()).as("its middle is the middle of the photo").isCloseTo(Table.WIDE / 2.0 / Table.PIXELS_PER_MM,
                        within(0.3));
                assertThat(Math.toDegrees(l.turnOff())).as("an oval tells its turn").isLessThan(1);
            });
            assertThat(found.size()).as("and little else").isLessThanOrEqualTo(3);
        }
    }

    @Test
    void aDiscTellsNoTurnAndAllAreKept() {
        Stone disc = Table.stone(Form.OVAL, 70, 70);
        List<Lying> found = lying(disc, disc, 0);

        assertThat(found.size()).isGreaterThan(30);
        assertThat(Math.toDegrees(found.get(0).turnOff())).isGreaterThan(3);
        assertThat(found).allMatch(l -> l.likelihood() > found.get(0).likelihood() - 30);
    }

    @Test
    void anotherOutlineIsAnotherStone() {
        assertThat(lying(Table.oval(), Table.stone(Form.OVAL, 88, 52), 0)).isEmpty();
        assertThat(lying(Table.oval(), Table.stone(Form.OVAL, 80, 58), 0)).as("smaller throughout").isEmpty();
    }

    @Test
    void aPoseGoesToTheSheetAndBack() {
        Pose pose = new Pose(120, 80, 0.7);
        double x = pose.sheetX(12, -5);
        double y = pose.sheetY(12, -5);

        assertThat(Math.hypot(x - 120, y - 80)).isCloseTo(13, within(1e-9));
        assertThat(pose.ownX(x, y)).isCloseTo(12, within(1e-9));
        assertThat(pose.ownY(x, y)).isCloseTo(-5, within(1e-9));
        assertThat(new Pose(0, 0, Math.PI / 2).sheetY(1, 0)).as("clockwise, y down").isCloseTo(1, within(1e-9));
    }
}
