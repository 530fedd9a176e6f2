package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

class BlocksTest {

    private static final int COLUMNS = 211;
    private static final int ROWS = 173;

    /** A disc, a ring with a soft edge and a bar that runs out of the rectangle. */
    private static float[] shapes() {
        float[] share = new float[COLUMNS * ROWS];
        for (int i = 0; i < share.length; i++) {
            int c = i % COLUMNS;
            int r = i / COLUMNS;
            double disc = Math.hypot(c - 60, r - 70);
            double ring = Math.abs(Math.hypot(c - 150, r - 60) - 20);
            share[i] = (float) (disc < 48 ? 1 : ring < 4 ? 1 - ring / 4 : r > 140 ? 1 : 0);
        }
        return share;
    }

    @Test
    void aBlurOfSomeBlocksIsTheBlurThere() {
        float[] share = shapes();
        Blocks edges = Blocks.nearEdges(share, COLUMNS, ROWS, 16);
        float[] whole = Blur.box(share, COLUMNS, ROWS, 7);
        float[] some = Blur.box(share, COLUMNS, ROWS, 7, edges, new Spare());
        int left = 0;
        for (int i = 0; i < share.length; i++) {
            boolean in = edges.has(i % COLUMNS / 16, i / COLUMNS / 16);
            assertThat(some[i]).as("cell %s", i).isEqualTo(in ? whole[i] : 0);
            left += in ? 0 : 1;
        }
        assertThat(left).as("cells that need no blur").isGreaterThan(COLUMNS * ROWS / 10);
    }

    /** As it is without any blocks. */
    @Test
    void aLipIsTheSameAsIfAllHadBeenBlurred() {
        float[] share = shapes();
        for (double pixel : new double[] {0.4, 0.05, 0.0215, 0.008}) {
            int reach = Hand.lipReach(pixel) / 2;
            int wide = COLUMNS + 2 * reach;
            int high = ROWS + 2 * reach;
            float[] field = new float[wide * high];
            for (int r = 0; r < ROWS; r++) {
                System.arraycopy(share, r * COLUMNS, field, (r + reach) * wide + reach, COLUMNS);
            }
            float[] blurred = Blur.box(Blur.box(field, wide, high, reach), wide, high, reach);
            float[] lip = Hand.lip(share, COLUMNS, ROWS, pixel);
            float most = 0;
            for (int i = 0; i < share.length; i++) {
                float b = blurred[(i / COLUMNS + reach) * wide + i % COLUMNS + reach];
                assertThat(lip[i]).as("cell %s at %s mm", i, pixel).isEqualTo(share[i] * Hand.lip(b));
                most = Math.max(most, lip[i]);
            }
            assertThat(most).as("there is a lip at %s mm", pixel).isGreaterThan(0.9f);
        }
    }

    @Test
    void whatIsEvenlyCoveredToTheBorderStillHasAnEdgeThere() {
        float[] all = new float[64 * 64];
        Arrays.fill(all, 1);
        Blocks edges = Blocks.nearEdges(all, 64, 64, 16);
        assertThat(edges.has(0, 0)).isTrue();
        assertThat(edges.has(3, 1)).isTrue();
        assertThat(edges.has(1, 1)).as("a block inside").isFalse();
        assertThat(edges.wider(1, 0).has(1, 1)).isTrue();
        assertThat(Blocks.nearEdges(new float[64 * 64], 64, 64, 16).has(0, 2)).as("nothing is covered").isFalse();
    }
}
