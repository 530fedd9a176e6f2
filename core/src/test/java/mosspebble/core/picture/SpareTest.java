package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

class SpareTest {

    @Test
    void whatComesBackIsLentAgainAndEmpty() {
        Spare spare = new Spare();
        float[] first = spare.floats(100);
        float[] second = spare.floats(100);
        assertThat(second).as("lent at the same time").isNotSameAs(first);
        Arrays.fill(first, 3);
        Arrays.fill(second, 4);
        spare.takeBack();
        float[] third = spare.floats(80);
        float[] fourth = spare.floats(100);
        assertThat(third).isSameAs(first);
        assertThat(fourth).isSameAs(second).containsOnly(0);
        assertThat(Arrays.copyOf(third, 80)).containsOnly(0);
        assertThat(spare.floats(100)).as("a third one at once is new").isNotSameAs(first).isNotSameAs(second).hasSize(100);
    }

    @Test
    void eachKindIsKeptByItself() {
        Spare spare = new Spare();
        int[] ints = spare.ints(10);
        char[] chars = spare.chars(10);
        byte[] bytes = spare.bytes(10);
        Arrays.fill(ints, -1);
        Arrays.fill(chars, 'x');
        Arrays.fill(bytes, (byte) 9);
        spare.takeBack();
        assertThat(spare.floats(10)).containsOnly(0);
        assertThat(spare.ints(10)).isSameAs(ints).containsOnly(0);
        assertThat(spare.chars(10)).isSameAs(chars).containsOnly((char) 0);
        assertThat(spare.bytes(10)).isSameAs(bytes).containsOnly((byte) 0);
    }

    @Test
    void whatIsTooSmallIsGivenUpForALittleMoreThanIsAskedFor() {
        Spare spare = new Spare();
        float[] small = spare.floats(10);
        spare.takeBack();
        float[] larger = spare.floats(320);
        assertThat(larger).isNotSameAs(small).hasSizeBetween(320, 340);
        spare.takeBack();
        assertThat(spare.floats(325)).as("the next one is a little larger").isSameAs(larger);
    }

    @Test
    void oneThatIsDoneWithEarlyServesWhatIsAskedForNext() {
        Spare spare = new Spare();
        int[] film = spare.ints(50);
        int[] other = spare.ints(50);
        film[7] = 8;
        spare.takeBack(film);
        assertThat(spare.ints(50)).isSameAs(film).containsOnly(0);
        spare.takeBack(new int[50]); // never lent
        assertThat(spare.ints(50)).isNotSameAs(film).isNotSameAs(other);
        float[] heights = spare.floats(5);
        spare.takeBack(heights);
        assertThat(spare.floats(5)).isSameAs(heights);
    }
}
