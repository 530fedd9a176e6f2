package mosspebble.files;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** A folder as a zip, and out of it again, within bounds and never anywhere else. */
final class ZipFolder {

    /** What is taken out of a zip at most. */
    record Bounds(long bytes, int files) {}

    /** Room for a book of some hundred photos as they came from a camera. */
    static final Bounds USUAL = new Bounds(4_000_000_000L, 100_000);

    private static final int PIECE = 1 << 16;
    private static final String AGAIN = "Nothing was changed. Take it from where it came once more.";

    private ZipFolder() {}

    /** Writes all that lies in a folder, in the order of names. */
    static void zip(Path folder, OutputStream to) throws IOException {
        try (ZipOutputStream out = new ZipOutputStream(to); var walk = Files.walk(folder)) {
            List<Path> files = walk.filter(Files::isRegularFile).sorted().toList();
            for (Path file : files) {
                out.putNextEntry(new ZipEntry(folder.relativize(file).toString().replace('\\', '/')));
                Files.copy(file, out);
                out.closeEntry();
            }
        }
    }

    /**
     * Lays the files of a zip into a folder.
     *
     * @throws FileTrouble if it is no zip, holds more than the bounds, or names a file outside of the folder
     * @throws IOException if the folder cannot be written
     */
    static void unzip(Path zip, Path folder, Bounds bounds) throws FileTrouble, IOException {
        String place = Said.shortly(String.valueOf(zip.getFileName()), 80);
        if (!Files.isRegularFile(zip)) {
            throw new FileTrouble(place, "There is no such file.", "Check its name and folder.");
        }
        long left = bounds.bytes;
        int files = 0;
        try (InputStream raw = Files.newInputStream(zip); ZipInputStream in = new ZipInputStream(raw)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                InFile.stopIfAsked(place);
                Path file = inside(folder, entry.getName(), place);
                if (++files > bounds.files) {
                    throw new FileTrouble(place, "It holds more than " + bounds.files + " files.", AGAIN);
                }
                if (entry.isDirectory()) {
                    continue;
                }
                Files.createDirectories(file.getParent());
                left = lay(in, file, left, place, bounds);
            }
        } catch (ZipException | java.io.EOFException | IllegalArgumentException e) {
            throw new FileTrouble(place, "The zip is damaged.", AGAIN, e);
        }
        if (files == 0) {
            throw new FileTrouble(place, "This is no zip, or nothing is in it.", "Choose a zip that was saved as open files.");
        }
    }

    private static long lay(InputStream in, Path file, long room, String place, Bounds bounds) throws IOException, FileTrouble {
        long left = room;
        byte[] piece = new byte[PIECE];
        try (OutputStream out = Files.newOutputStream(file)) {
            for (int n = in.read(piece); n >= 0; n = in.read(piece)) {
                InFile.stopIfAsked(place);
                left -= n;
                if (left < 0) {
                    throw new FileTrouble(place, "Unpacked it is larger than " + bounds.bytes / 1_000_000 + " MB.",
                            "No studio is that large. Ask who sent it.");
                }
                out.write(piece, 0, n);
            }
        }
        return left;
    }

    private static Path inside(Path folder, String name, String place) throws FileTrouble {
        try {
            Path file = folder.resolve(name).normalize();
            if (file.startsWith(folder) && !name.contains("\\") && !name.contains("..")) {
                return file;
            }
        } catch (InvalidPathException e) {
            // told below: a name that no file can have leads nowhere good
        }
        throw new FileTrouble(place, "It holds a file \"" + Said.shortly(name, 60) + "\", which would lie elsewhere.",
                "Nothing of it was taken in. Ask who sent it.");
    }

    /** Takes away a file or a folder with all that is in it; null for nothing. */
    static void remove(Path folder) {
        if (folder == null || !Files.exists(folder)) {
            return;
        }
        try {
            Files.walkFileTree(folder, new SimpleFileVisitor<>() {
                @Override
                public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) throws IOException {
                    Files.delete(file);
                    return FileVisitResult.CONTINUE;
                }

                @Override
                public FileVisitResult postVisitDirectory(Path each, IOException trouble) throws IOException {
                    Files.delete(each);
                    return FileVisitResult.CONTINUE;
                }
            });
        } catch (IOException e) {
            Journal.trouble("taking away a folder half made", e);
        }
    }
}
