package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import mosspebble.core.area.Grid;
import mosspebble.core.colour.Lab;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoReading;
import mosspebble.core.stone.Survey;
import org.junit.jupiter.api.Test;

/** A face laid flat: what stands at a place of the dome is found at that place, whatever the stone's turn and the camera's perspective. */
class FlattenedTest {

    private static final Survey SURVEY = Survey.of(Table.oval());
    private static final Lab PALE = new Lab(75, 0, 8);
    private static final Lab DARK = new Lab(30, 0, 4);

    private static Field flat(Table.Face face, double turn, Grid grid) {
        Photo photo = Table.photo(SURVEY, face, turn);
        PhotoReading reading = Table.read(photo);
        Pose pose = new Pose(Table.WIDE / 2.0 / Table.PIXELS_PER_MM, Table.HIGH / 2.0 / Table.PIXELS_PER_MM, Math.toRadians(turn));
        return new Flattened(photo, reading.map().orElseThrow(), reading.light().orElseThrow(), SURVEY).on(grid,
                Flattened.judged(SURVEY, grid), pose, 2);
    }

    /** Where the lightness falls half way along a row; NaN if nowhere. */
    private static double border(Field field, double y) {
        double[] at = new double[3];
        double[] left = new double[3];
        double[] right = new double[3];
        assertThat(field.sample(-4, y, left)).isTrue();
        assertThat(field.sample(24, y, right)).isTrue();
        double half = (left[0] + right[0]) / 2;
        for (double x = -4; x < 24; x += 0.02) {
            assertThat(field.sample(x, y, at)).isTrue();
            if (at[0] < half) {
                return x;
            }
        }
        return Double.NaN;
    }

    @Test
    void aBorderOnTheDomeIsFoundWhereItWasDrawnHighAndLow() {
        Grid grid = Table.grid(SURVEY, 0.25);
        for (double turn : new double[] {0, 65}) {
            Field field = flat((x, y) -> x < 12 ? PALE : DARK, turn, grid);
            for (double y : new double[] {-16, -8, 0, 9, 15}) {
                assertThat(border(field, y)).as("at y = %s, turned by %s", y, turn).isCloseTo(12, within(0.15));
            }
        }
    }

    @Test
    void withoutTheDomeItWouldBeMillimetresOff() {
        // at 12 mm from below the camera, 20 mm high, 225 mm below it: 12 / (1 - 20 / 225) - 12 = 1.2 mm
        double high = SURVEY.dome().heightAt(12, 0);
        double seenAt = 12 / (1 - high / (Table.FOCAL / Table.PIXELS_PER_MM));

        assertThat(seenAt - 12).isGreaterThan(0.8);
    }

    @Test
    void steepPlacesAndTheRimAreNotJudged() {
        Grid grid = Table.grid(SURVEY, 0.5);
        float[] judged = Flattened.judged(SURVEY, grid);
        int steep = 0;
        int flat = 0;
        for (int i = 0; i < judged.length; i++) {
            double x = grid.x(i % grid.columns());
            double y = grid.y(i / grid.columns());
            boolean inside = SURVEY.dome().levelAt(x, y) > 0;
            if (inside && SURVEY.dome().tiltAt(x, y) > 65) {
                steep += judged[i] > 0 ? 1 : 0;
            }
            flat += inside && SURVEY.dome().tiltAt(x, y) < 40 && judged[i] > 0 ? 1 : 0;
            if (!inside) {
                assertThat(judged[i]).as("beside the stone").isZero();
            }
        }
        assertThat(steep).isZero();
        assertThat(flat * 0.25).as("most of the top, mm²").isGreaterThan(1_500);
    }

    @Test
    void aDarkFaceIsDarkerByAsMuchAsItIs() {
        Grid grid = Table.grid(SURVEY, 0.5);
        Field field = flat((x, y) -> x < 12 ? PALE : DARK, 0, grid);
        double[] left = new double[3];
        double[] right = new double[3];
        field.sample(-6, 2, left);
        field.sample(22, 2, right);

        // how white the light is is not known without a card, so the ratio of luminances is what can be checked
        double seen = new Lab(left[0], left[1], left[2]).toXyz().y() / new Lab(right[0], right[1], right[2]).toXyz().y();
        assertThat(seen).isCloseTo(PALE.toXyz().y() / DARK.toXyz().y(), within(0.6));
    }
}
