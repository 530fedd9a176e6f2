package mosspebble.files;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;

/**
 * Remembers, in a small file beside a studio that stays closed, which one was begun in its place: that one is opened next time, and the
 * other is named.
 */
public final class Instead {

    private static final int LONGEST = 300;

    private Instead() {}

    private static Path note(Path studio) {
        return studio.resolveSibling(studio.getFileName() + ".instead");
    }

    /** The studio to open where this one is asked for; itself where none was begun in its place. */
    public static Path of(Path studio) {
        Set<Path> seen = new HashSet<>();
        Path at = studio;
        while (seen.add(at)) {
            Path next = next(at);
            if (next == null) {
                return at;
            }
            at = next;
        }
        return studio;
    }

    private static Path next(Path studio) {
        try {
            if (studio.getFileName() == null || !Files.isRegularFile(note(studio)) || Files.size(note(studio)) > LONGEST) {
                return null;
            }
            String name = Files.readString(note(studio), StandardCharsets.UTF_8).strip();
            Path other = InFile.path(name);
            boolean beside = other.getNameCount() == 1 && !other.isAbsolute() && !name.equals("..") && !name.equals(".") && !name.isEmpty();
            Path file = studio.resolveSibling(other);
            return beside && Files.isRegularFile(file) ? file : null;
        } catch (IOException | FileTrouble e) {
            return null; // not a note of ours
        }
    }

    /** @throws FileTrouble if it cannot be written down */
    public static void remember(Path studio, Path begun) throws FileTrouble {
        SafeWrite.write(note(studio), out -> out.write(begun.getFileName().toString().getBytes(StandardCharsets.UTF_8)));
    }

    /** Opens the studio itself again next time. */
    public static void forget(Path studio) throws FileTrouble {
        try {
            Files.deleteIfExists(note(studio));
        } catch (IOException e) {
            throw new FileTrouble(note(studio).toString(), "The note cannot be taken away: " + SafeWrite.reason(e) + ".",
                    "Take the file away by hand.", e);
        }
    }
}
