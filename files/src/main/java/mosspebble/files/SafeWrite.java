package mosspebble.files;

import java.io.BufferedOutputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.AccessDeniedException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.ReadOnlyFileSystemException;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Locale;

/** Writes a whole file or none: into a neighbour first, flushed to the disk, then moved into place. */
final class SafeWrite {

    /** What is written. */
    interface Content {
        void to(OutputStream out) throws IOException;
    }

    /** Some writers close what they write to; the file must still be flushed to the disk afterwards. */
    private static final class Unclosed extends FilterOutputStream {
        Unclosed(OutputStream out) {
            super(out);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            out.write(bytes, from, length);
        }

        @Override
        public void close() throws IOException {
            out.flush();
        }
    }

    private SafeWrite() {}

    /** @throws FileTrouble if it could not be written; then nothing has changed and no half file is left */
    static void write(Path file, Content content) throws FileTrouble {
        Path target = file.toAbsolutePath();
        Path part = part(target);
        try {
            if (Files.isDirectory(target)) {
                throw new FileTrouble(file.toString(), "A folder of that name stands there.", "Choose another name.");
            }
            Files.createDirectories(target.getParent());
            try (FileChannel channel = FileChannel.open(part, StandardOpenOption.CREATE, StandardOpenOption.TRUNCATE_EXISTING,
                    StandardOpenOption.WRITE)) {
                try (OutputStream out = new Unclosed(new BufferedOutputStream(Channels.newOutputStream(channel)))) {
                    content.to(out);
                }
                channel.force(true);
            }
            moveInto(part, target);
        } catch (RuntimeException | Error e) {
            takeAway(part, e);
            throw e;
        } catch (IOException e) {
            takeAway(part, e);
            throw new FileTrouble(file.toString(), "The file could not be written: " + reason(e) + "; nothing is left half done.",
                    "Choose another folder or make room on the disk.", e);
        }
    }

    private static void takeAway(Path part, Throwable because) {
        try {
            Files.deleteIfExists(part);
        } catch (IOException left) {
            because.addSuppressed(left);
        }
    }

    /** Where a file is built before it takes its place. */
    static Path part(Path target) {
        return target.resolveSibling("." + target.getFileName() + ".part");
    }

    /** Puts a finished neighbour into place, which the disk does wholly or not at all, and has the folder remember it. */
    static void moveInto(Path part, Path target) throws IOException {
        try {
            Files.move(part, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
        }
        flushFolder(target.toAbsolutePath().getParent());
    }

    /** Flushes a file to the disk. */
    static void flush(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    private static void flushFolder(Path folder) {
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException e) {
            // some systems do not open folders; there the move itself is all that can be had
        }
    }

    /** Why, in words a painter knows. */
    static String reason(IOException e) {
        String said = (e.getMessage() == null ? "" : e.getMessage()).toLowerCase(Locale.ROOT);
        if (said.contains("no space left") || said.contains("not enough space") || said.contains("disk quota")
                || said.contains("file too large")) {
            return "the disk is full";
        }
        if (e instanceof AccessDeniedException || said.contains("permission denied")) {
            return "no permission";
        }
        if (e instanceof NoSuchFileException) {
            return "no such folder";
        }
        if (e instanceof FileAlreadyExistsException || said.contains("not a directory")) {
            return "a file stands where a folder is needed";
        }
        if (said.contains("read-only") || e.getCause() instanceof ReadOnlyFileSystemException) {
            return "the disk may only be read";
        }
        if (said.contains("file name too long")) {
            return "the name is too long";
        }
        if (e instanceof FileSystemException file && file.getReason() != null) {
            return file.getReason().toLowerCase(Locale.ROOT);
        }
        return "the disk does not answer as it should";
    }
}
