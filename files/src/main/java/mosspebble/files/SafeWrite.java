package mosspebble.files;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Writes a whole file or none: into a neighbour first, then moved into place. */
final class SafeWrite {

    /** What is written. */
    interface Content {
        void to(OutputStream out) throws IOException;
    }

    private SafeWrite() {}

    /** @throws FileTrouble if it could not be written; then nothing has changed and no half file is left */
    static void write(Path file, Content content) throws FileTrouble {
        Path target = file.toAbsolutePath();
        Path part = target.resolveSibling("." + target.getFileName() + ".part");
        try {
            Files.createDirectories(target.getParent());
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part))) {
                content.to(out);
            }
            try {
                Files.move(part, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            } catch (AtomicMoveNotSupportedException e) {
                Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
            }
        } catch (IOException e) {
            try {
                Files.deleteIfExists(part);
            } catch (IOException left) {
                e.addSuppressed(left);
            }
            throw new FileTrouble(file.toString(), "The file could not be written (" + reason(e) + "); nothing is left half done.",
                    "Choose another folder or make room on the disk.", e);
        }
    }

    private static String reason(IOException e) {
        return switch (e.getClass().getSimpleName()) {
            case "AccessDeniedException" -> "no permission";
            case "NoSuchFileException" -> "no such folder";
            case "FileAlreadyExistsException" -> "a file stands where a folder is needed";
            default -> e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
        };
    }
}
