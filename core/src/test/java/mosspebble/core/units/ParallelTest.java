package mosspebble.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** One level deep: who is a worker already lays nothing out on others, and so waits for nobody. */
class ParallelTest {

    @Test
    void whoIsNoWorkerHasAllCores() {
        assertThat(Parallel.range(0, 9).isParallel()).isTrue();
        assertThat(Parallel.of(List.of(1, 2)).isParallel()).isTrue();
    }

    @Test
    void aWorkerDoesAlone() throws Exception {
        assertThat(ForkJoinPool.commonPool().submit(() -> Parallel.range(0, 9).isParallel()).get(20, TimeUnit.SECONDS)).isFalse();
        assertThat(ForkJoinPool.commonPool().submit(() -> Parallel.of(List.of(1, 2)).isParallel()).get(20, TimeUnit.SECONDS)).isFalse();
    }

    @Test
    void whatIsWithinWhatIsWithinComesOutAsInARow() {
        int[][] found = Parallel.range(3, 40)
                .mapToObj(a -> Parallel.of(IntStream.range(0, 30).boxed().toList())
                        .mapToInt(b -> Parallel.range(0, b).map(c -> a * c).sum()).toArray())
                .toArray(int[][]::new);
        for (int a = 3; a < 40; a++) {
            for (int b = 0; b < 30; b++) {
                assertThat(found[a - 3][b]).isEqualTo(a * b * (b - 1) / 2);
            }
        }
    }
}
