package mosspebble.mutants;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.pitest.classinfo.ClassName;
import org.pitest.mutationtest.build.MutationInterceptorFactory;
import org.pitest.mutationtest.engine.Location;
import org.pitest.mutationtest.engine.MutationDetails;
import org.pitest.mutationtest.engine.MutationIdentifier;

/** Which mutants are tried, and how they are counted. */
class SampleTest {

    private static List<MutationDetails> mutants(String type, int count) {
        List<MutationDetails> all = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            all.add(new MutationDetails(new MutationIdentifier(Location.location(ClassName.fromString(type), "m", "()V"), i, "math"),
                    "A.java",
                    "", 10 + i, 0));
        }
        return all;
    }

    private static Set<String> names(int share, List<MutationDetails> of) {
        return new Sample(share).intercept(of, null).stream().map(m -> m.getId().toString()).collect(Collectors.toSet());
    }

    @Test
    void soManyOfAHundredAndTheSameOnesInAnyOrder() {
        List<MutationDetails> all = mutants("a.One", 3000);
        Set<String> names = names(20, all);
        assertThat(names.size()).isBetween(500, 700);
        Collections.shuffle(all, new Random(3));
        assertThat(names(20, all)).isEqualTo(names);
        assertThat(names(60, all)).as("a larger sample holds a smaller one").containsAll(names);
        assertThat(names(100, all)).hasSize(3000);
        assertThatThrownBy(() -> new Sample(0)).hasMessageContaining("was 0");
    }

    @Test
    void theMutationTesterFindsIt() {
        assertThat(ServiceLoader.load(MutationInterceptorFactory.class)).anyMatch(p -> p instanceof SampleFactory);
        assertThat(new SampleFactory().provides().isOnByDefault()).isTrue();
    }

    @Test
    void whatRunsForEverIsNoticedAndWhatNoTestReachesIsNot() {
        List<String> rows = List.of("Mix.java,mosspebble.core.colour.Mix,x.MathMutator,of,12,KILLED,t",
                "Mix.java,mosspebble.core.colour.Mix,x.MathMutator,of,13,SURVIVED,none",
                "Mix.java,mosspebble.core.colour.Mix,x.MathMutator,of,14,TIMED_OUT,t",
                "Lab.java,mosspebble.core.stone.Dome,x.Y,at,3,NO_COVERAGE,none");
        assertThat(ByPackage.table(rows)).containsExactly("| package | mutants | noticed | share |", "|---|---|---|---|",
                "| colour | 3 | 2 | 67 % |", "| stone | 1 | 0 | 0 % |");
        assertThat(ByPackage.survivors(rows)).containsExactly("mosspebble.core.colour.Mix.of:13 MathMutator SURVIVED",
                "mosspebble.core.stone.Dome.at:3 Y NO_COVERAGE");
    }
}
