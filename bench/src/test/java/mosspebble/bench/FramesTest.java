package mosspebble.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

/** What is told of frames, by a clock that the test turns. */
class FramesTest {

    private static final long MS = 1_000_000;

    @Test
    void howFarApartTheyBeginAndHowLongEachTakesIsTold() {
        Frames frames = new Frames(100);
        long clock = 5 * MS;
        int begun = 0;
        while (frames.begins(clock)) {
            int number = begun++ - Frames.WARM;
            frames.isLaidOut(clock + (number < 0 ? 90 : number < 90 ? 4 : 12) * MS); // the first are slow and do not count
            clock += (number < 0 ? 200 : number < 94 ? 16 : 30) * MS;
        }
        assertThat(begun).isEqualTo(100 + Frames.WARM);
        assertThat(frames.summary()).as("6 of 100 begin late, 10 take 12 ms").isEqualTo("16.00 30.00 4.00 12.00");
    }

    @Test
    void whatIsLaidOutBetweenFramesDoesNotCount() {
        Frames frames = new Frames(10);
        long clock = 0;
        while (frames.begins(clock)) {
            frames.isLaidOut(clock + 2 * MS);
            frames.isLaidOut(clock + 11 * MS);
            clock += 20 * MS;
        }
        assertThat(frames.summary()).isEqualTo("20.00 20.00 2.00 2.00");
    }

    @Test
    void noFrameAtAllIsRefused() {
        assertThatThrownBy(() -> new Frames(0)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("was 0");
    }
}
