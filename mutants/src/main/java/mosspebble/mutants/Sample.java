package mosspebble.mutants;

import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.zip.CRC32;
import org.pitest.bytecode.analysis.ClassTree;
import org.pitest.mutationtest.build.InterceptorType;
import org.pitest.mutationtest.build.MutationInterceptor;
import org.pitest.mutationtest.engine.Mutater;
import org.pitest.mutationtest.engine.MutationDetails;

/**
 * So many mutants of a hundred, the same ones each time: those whose name has a low checksum. A larger sample holds a smaller one, and code
 * elsewhere changes nothing.
 */
final class Sample implements MutationInterceptor {

    private static final String SEED = "moss pebble";
    private static final int PARTS = 100;

    private final int share;

    /** @param share of a hundred, 1 to 100 */
    Sample(int share) {
        if (share < 1 || share > PARTS) {
            throw new IllegalArgumentException("A sample is 1 to 100 of a hundred mutants, was " + share + ".");
        }
        this.share = share;
    }

    @Override
    public InterceptorType type() {
        return InterceptorType.FILTER;
    }

    @Override
    public void begin(ClassTree type) {}

    @Override
    public Collection<MutationDetails> intercept(Collection<MutationDetails> mutations, Mutater mutater) {
        return mutations.stream().filter(m -> checksum(m.getId().toString()) % PARTS < share).toList();
    }

    @Override
    public void end() {}

    private static long checksum(String name) {
        CRC32 sum = new CRC32();
        sum.update((SEED + name).getBytes(StandardCharsets.UTF_8));
        return sum.getValue();
    }
}
