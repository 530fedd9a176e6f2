package mosspebble.files;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;

/**
 * The newest version of the program that was open here, kept beside the studio: what changed is told once, and where two versions are
 * installed the older one says which it is.
 */
public final class SeenVersion {

    /**
     * Another version was open here.
     *
     * @param version the newest that was
     * @param older whether the program that is open now is older than that
     */
    public record Other(String version, boolean older) {}

    private static final String FILE = "version-seen.txt";

    /** Longer is no version. */
    private static final int LONGEST = 40;

    private SeenVersion() {}

    /**
     * Notes down that a version is open now, unless a newer one was.
     *
     * @return what was open here before; empty for the same, for none, and where none can be read
     */
    public static Optional<Other> change(Path folder, String now) {
        Path file = folder.resolve(FILE);
        Optional<String> before = read(file);
        boolean older = before.filter(b -> compare(now, b) < 0).isPresent();
        if (!older && before.filter(now::equals).isEmpty()) {
            try {
                Files.createDirectories(folder);
                Files.writeString(file, now + System.lineSeparator(), StandardCharsets.UTF_8);
            } catch (IOException e) {
                Journal.trouble("noting down the version", e);
                return Optional.empty(); // or it would be told at every start
            }
        }
        return before.filter(b -> !b.equals(now)).map(b -> new Other(b, older));
    }

    /** Versions by their numbers, 0.10 after 0.9; one without numbers comes before all. */
    private static int compare(String one, String other) {
        return Arrays.compare(numbers(one), numbers(other));
    }

    private static long[] numbers(String version) {
        return Arrays.stream(version.split("[^0-9]+")).filter(n -> !n.isEmpty() && n.length() < 10).mapToLong(Long::parseLong).toArray();
    }

    private static Optional<String> read(Path file) {
        try {
            if (!Files.isRegularFile(file) || Files.size(file) > LONGEST + 2) {
                return Optional.empty();
            }
            String text = Files.readString(file, StandardCharsets.UTF_8).strip();
            return text.isEmpty() ? Optional.empty() : Optional.of(text);
        } catch (IOException e) {
            return Optional.empty();
        }
    }
}
