package mosspebble.mutants;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.CRC32;
import java.nio.charset.StandardCharsets;
import org.pitest.classinfo.ClassName;
import org.pitest.mutationtest.build.MutationGrouper;
import org.pitest.mutationtest.engine.MutationDetails;

/**
 * So many mutants of each package, the same ones each time: those with the least checksum of seed and name. Adding code elsewhere changes
 * few of them.
 */
final class Sample implements MutationGrouper {

    private final int each;
    private final String seed;

    /** @param each mutants of a package, 1 or more */
    Sample(int each, String seed) {
        this.each = each;
        this.seed = seed;
    }

    @Override
    public List<List<MutationDetails>> groupMutations(Collection<ClassName> classes, Collection<MutationDetails> mutations) {
        Map<String, List<MutationDetails>> packages = new TreeMap<>();
        mutations.forEach(m -> packages.computeIfAbsent(m.getClassName().getPackage().asJavaName(), p -> new ArrayList<>()).add(m));
        Map<String, List<MutationDetails>> byClass = new TreeMap<>();
        packages.values().stream().flatMap(all -> chosen(all).stream())
                .forEach(m -> byClass.computeIfAbsent(m.getClassName().asJavaName(), c -> new ArrayList<>()).add(m));
        return List.copyOf(byClass.values());
    }

    private List<MutationDetails> chosen(List<MutationDetails> all) {
        return all.stream().sorted(Comparator.comparingLong((MutationDetails m) -> checksum(m.getId().toString()))
                .thenComparing(m -> m.getId().toString())).limit(each).toList();
    }

    private long checksum(String name) {
        CRC32 sum = new CRC32();
        sum.update((seed + name).getBytes(StandardCharsets.UTF_8));
        return sum.getValue();
    }
}
