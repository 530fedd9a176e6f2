package mosspebble.files;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/**
 * The door for everything read from outside: a plain file, never larger than told, and whatever goes wrong inside a reader becomes a
 * sentence.
 */
public final class InFile {

    /** How much is taken at once; between two pieces a reader may be told to stop. */
    private static final int PIECE = 1 << 16;

    /** What a reader makes of the bytes. */
    interface Reader<T> {
        T of(byte[] bytes, String place) throws FileTrouble, IOException;
    }

    private InFile() {}

    /**
     * A path as typed or dropped.
     *
     * @throws FileTrouble if no file can have that name
     */
    public static Path path(String text) throws FileTrouble {
        try {
            return Path.of(text);
        } catch (InvalidPathException e) {
            throw new FileTrouble("\"" + Said.shortly(text, 60) + "\"", "That cannot be the name of a file.",
                    "Choose the file, or type its path again.", e);
        }
    }

    /**
     * Reads a file at once.
     *
     * @param mostBytes more are refused before they are read
     * @param remedy what to do where it is larger
     */
    static <T> T read(Path file, long mostBytes, String remedy, Reader<T> reader) throws FileTrouble {
        String place = file.getFileName() == null ? file.toString() : Said.shortly(file.getFileName().toString(), 80);
        byte[] bytes;
        try {
            if (!Files.exists(file)) {
                throw new NoSuchFileException(file.toString());
            }
            if (!Files.isRegularFile(file)) {
                throw new FileTrouble(place,
                        Files.isDirectory(file) ? "That is a folder, not a file." : "That is a device or a pipe, not a file.",
                        "Choose a file.");
            }
            try (InputStream in = Files.newInputStream(file)) {
                bytes = bytes(in, mostBytes, place, remedy);
            }
        } catch (NoSuchFileException e) {
            throw new FileTrouble(place, "There is no such file.", "Check its name and folder.", e);
        } catch (AccessDeniedException e) {
            throw new FileTrouble(place, "The file may not be read.", "Check who may read it.", e);
        } catch (IOException e) {
            throw new FileTrouble(place, "The file cannot be read.", "Check that it exists and may be read.", e);
        }
        return read(bytes, place, reader);
    }

    /** Reads a stream at once, never more than told. */
    static <T> T read(InputStream in, long mostBytes, String place, String remedy, Reader<T> reader) throws FileTrouble {
        try {
            return read(bytes(in, mostBytes, place, remedy), place, reader);
        } catch (IOException e) {
            throw new FileTrouble(place, "The file cannot be read.", "Check that it exists and may be read.", e);
        }
    }

    /** Runs a reader; whatever it stumbles over is the file's trouble and told as such. */
    static <T> T read(byte[] bytes, String place, Reader<T> reader) throws FileTrouble {
        try {
            return reader.of(bytes, place);
            // a file must not be able to bring the program down, whatever it holds
        } catch (IOException | RuntimeException | StackOverflowError e) {
            stopIfAsked(place);
            throw new FileTrouble(place, "The file cannot be understood.", "It may be damaged; export or copy it again.", e);
        } catch (OutOfMemoryError e) {
            throw new FileTrouble(place, "The file needs more memory than there is.", "Simplify it, or save it smaller.", e);
        }
    }

    private static byte[] bytes(InputStream in, long mostBytes, String place, String remedy) throws IOException, FileTrouble {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        byte[] piece = new byte[PIECE];
        for (int n = in.read(piece); n >= 0; n = in.read(piece)) {
            stopIfAsked(place);
            all.write(piece, 0, n);
            if (all.size() > mostBytes) {
                throw new FileTrouble(place,
                        "The file is larger than " + (mostBytes >= 1_000_000 ? mostBytes / 1_000_000 + " MB." : mostBytes / 1000 + " kB."),
                        remedy);
            }
        }
        return all.toByteArray();
    }

    /** @throws FileTrouble if the thread that reads was told to stop */
    static void stopIfAsked(String place) throws FileTrouble {
        if (Thread.currentThread().isInterrupted()) {
            throw new FileTrouble(place, "Reading was stopped.", "Nothing was taken over.");
        }
    }
}
