package mosspebble.mutants;

import org.pitest.mutationtest.build.InterceptorParameters;
import org.pitest.mutationtest.build.MutationInterceptor;
import org.pitest.mutationtest.build.MutationInterceptorFactory;
import org.pitest.plugin.Feature;

/** Tells the mutation tester to take a sample: {@code -Dmutants.share=20} of a hundred. */
public final class SampleFactory implements MutationInterceptorFactory {

    @Override
    public MutationInterceptor createInterceptor(InterceptorParameters wanted) {
        return new Sample(Integer.getInteger("mutants.share", 20));
    }

    @Override
    public Feature provides() {
        return Feature.named("SAMPLE").withOnByDefault(true).withDescription(description());
    }

    @Override
    public String description() {
        return "So many mutants of a hundred, the same ones each time";
    }
}
