package mosspebble.core.units;

import java.util.Collection;
import java.util.concurrent.ForkJoinTask;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Work laid out on all cores, one level deep: what is begun by one of the workers is done by that worker alone.
 *
 * <p>A worker that waits for parts of a stream of its own helps with nothing else: in Java 17 it turns round and round while a part of
 * another stream lies uppermost in its queue ({@code ForkJoinPool.WorkQueue.helpComplete}), and where that part is waited for by another
 * worker both wait for ever. Workers that never wait cannot come to that.
 */
public final class Parallel {

    private Parallel() {}

    /** Numbers from one to before another, on all cores unless a worker asks. */
    public static IntStream range(int from, int to) {
        IntStream all = IntStream.range(from, to);
        return ForkJoinTask.inForkJoinPool() ? all : all.parallel();
    }

    /** What a collection holds, on all cores unless a worker asks. */
    public static <T> Stream<T> of(Collection<T> all) {
        return ForkJoinTask.inForkJoinPool() ? all.stream() : all.parallelStream();
    }
}
