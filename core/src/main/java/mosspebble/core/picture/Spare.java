package mosspebble.core.picture;

import java.lang.reflect.Array;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.function.IntFunction;
import java.util.function.ObjIntConsumer;

/**
 * Large arrays for pictures that are drawn one after the other: what one picture is done with serves the next, so that memory need not be
 * swept for each of them. What is lent is empty as far as was asked for and may be longer, but not the first time. For one thread.
 */
final class Spare {

    private final Kind<float[]> floats = new Kind<>(float[]::new, (a, count) -> Arrays.fill(a, 0, count, 0));
    private final Kind<int[]> ints = new Kind<>(int[]::new, (a, count) -> Arrays.fill(a, 0, count, 0));
    private final Kind<char[]> chars = new Kind<>(char[]::new, (a, count) -> Arrays.fill(a, 0, count, (char) 0));
    private final Kind<byte[]> bytes = new Kind<>(byte[]::new, (a, count) -> Arrays.fill(a, 0, count, (byte) 0));

    /** Arrays of one kind; they are asked for in about the same order for each picture. */
    private static final class Kind<A> {
        private final IntFunction<A> make;
        private final ObjIntConsumer<A> empty;
        private final Deque<A> free = new ArrayDeque<>();
        private final Deque<A> lent = new ArrayDeque<>();

        Kind(IntFunction<A> make, ObjIntConsumer<A> empty) {
            this.make = make;
            this.empty = empty;
        }

        A lend(int count) {
            A array = free.poll();
            if (array == null) {
                array = make.apply(count);
            } else if (Array.getLength(array) < count) {
                array = make.apply(count + count / 32); // the next picture may want a little more
            } else {
                empty.accept(array, count);
            }
            lent.add(array);
            return array;
        }

        void takeBack() {
            free.addAll(lent);
            lent.clear();
        }

        void takeBack(A array) {
            if (lent.removeIf(a -> a == array)) {
                free.addFirst(array);
            }
        }
    }

    float[] floats(int count) {
        return floats.lend(count);
    }

    int[] ints(int count) {
        return ints.lend(count);
    }

    char[] chars(int count) {
        return chars.lend(count);
    }

    byte[] bytes(int count) {
        return bytes.lend(count);
    }

    /** One that was lent is wanted no more. */
    void takeBack(float[] array) {
        floats.takeBack(array);
    }

    void takeBack(int[] array) {
        ints.takeBack(array);
    }

    /** All that was lent is wanted no more. */
    void takeBack() {
        floats.takeBack();
        ints.takeBack();
        chars.takeBack();
        bytes.takeBack();
    }
}
