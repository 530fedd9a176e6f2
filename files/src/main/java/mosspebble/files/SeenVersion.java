package mosspebble.files;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Which version of the program was open here last, kept beside the studio, so that what changed is told once. */
public final class SeenVersion {

    private static final String FILE = "version-seen.txt";

    /** Longer is no version. */
    private static final int LONGEST = 40;

    private SeenVersion() {}

    /**
     * Notes down that a version is open now.
     *
     * @return the other version that was open here before; empty for the same, for none, and where none can be read
     */
    public static Optional<String> change(Path folder, String now) {
        Path file = folder.resolve(FILE);
        Optional<String> before = read(file);
        if (before.filter(now::equals).isEmpty()) {
            try {
                Files.createDirectories(folder);
                Files.writeString(file, now + System.lineSeparator(), StandardCharsets.UTF_8);
            } catch (IOException e) {
                Journal.trouble("noting down the version", e);
                return Optional.empty(); // or it would be told at every start
            }
        }
        return before.filter(b -> !b.equals(now));
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
