package mosspebble.mutants;

import java.util.Properties;
import org.pitest.classpath.CodeSource;
import org.pitest.mutationtest.build.MutationGrouper;
import org.pitest.mutationtest.build.MutationGrouperFactory;

/** Tells the mutation tester to take a sample. */
public final class SampleFactory implements MutationGrouperFactory {

    private static final String EACH = "200";
    private static final String SEED = "moss pebble";

    @Override
    public MutationGrouper makeFactory(Properties wanted, CodeSource code, int threads, int unitSize) {
        return new Sample(Integer.parseInt(wanted.getProperty("each", EACH)), wanted.getProperty("seed", SEED));
    }

    @Override
    public String description() {
        return "So many mutants of each package, the same ones each time";
    }
}
