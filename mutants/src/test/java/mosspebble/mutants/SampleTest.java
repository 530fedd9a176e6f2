package mosspebble.mutants;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Properties;
import java.util.Random;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.pitest.classinfo.ClassName;
import org.pitest.mutationtest.engine.Location;
import org.pitest.mutationtest.engine.MutationDetails;
import org.pitest.mutationtest.engine.MutationIdentifier;
import org.pitest.plugin.ToolClasspathPlugin;

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

    private static Set<String> names(List<List<MutationDetails>> groups) {
        return groups.stream().flatMap(List::stream).map(m -> m.getId().toString()).collect(Collectors.toSet());
    }

    @Test
    void soManyOfEachPackageAndTheSameOnesInAnyOrder() {
        List<MutationDetails> all = mutants("a.One", 300);
        all.addAll(mutants("a.Two", 50));
        all.addAll(mutants("b.Three", 12));
        List<List<MutationDetails>> groups = new Sample(20, "s").groupMutations(List.of(), all);
        Set<String> names = names(groups);
        assertThat(names).hasSize(32);
        assertThat(names.stream().filter(n -> n.contains("b.Three"))).as("all of a small package").hasSize(12);
        assertThat(groups).allSatisfy(g -> assertThat(g.stream().map(MutationDetails::getClassName).distinct()).hasSize(1));
        Collections.shuffle(all, new Random(3));
        assertThat(names(new Sample(20, "s").groupMutations(List.of(), all))).isEqualTo(names);
        assertThat(names(new Sample(20, "other").groupMutations(List.of(), all))).isNotEqualTo(names);
        assertThat(names(new Sample(60, "s").groupMutations(List.of(), all))).as("a larger sample holds a smaller one").containsAll(names);
    }

    @Test
    void theMutationTesterFindsItAndTellsHowMany() {
        assertThat(ServiceLoader.load(ToolClasspathPlugin.class)).anyMatch(p -> p instanceof SampleFactory);
        Properties wanted = new Properties();
        wanted.setProperty("each", "7");
        assertThat(names(new SampleFactory().makeFactory(wanted, null, 1, 0).groupMutations(List.of(), mutants("a.One", 300)))).hasSize(7);
        assertThat(names(new SampleFactory().makeFactory(new Properties(), null, 1, 0).groupMutations(List.of(), mutants("a.One", 300))))
                .as("as the profile says").hasSize(200);
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
