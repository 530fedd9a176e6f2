package mosspebble.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Keeps a second program out of a studio and says who is in. The lock file lies beside the real file, so that a link and its target are
 * one; if somebody takes the lock file away, the database's own lock on the
 * studio still holds. Within one program a list of what is open keeps it out before it touches the file: by the rules of POSIX, closing any
 * handle of a file gives up all locks on it.
 */
final class StudioLock {

    private static final int LONGEST = 200;
    private static final Set<Object> OPEN = ConcurrentHashMap.newKeySet();

    private final Path file;
    private final FileChannel channel;
    private final FileLock lock;
    private Object key;

    private StudioLock(Path file, FileChannel channel, FileLock lock) {
        this.file = file;
        this.channel = channel;
        this.lock = lock;
    }

    /**
     * @param studio the real file, which need not exist yet
     * @throws FileTrouble if another has it, saying who
     */
    static StudioLock take(Path studio) throws FileTrouble {
        Path file = studio.resolveSibling(studio.getFileName() + ".lock");
        FileChannel channel = null;
        try {
            if (OPEN.contains(key(studio))) {
                throw inUse(studio, "this program");
            }
            Files.createDirectories(studio.toAbsolutePath().getParent());
            channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE);
            FileLock lock = tryLock(channel);
            if (lock == null) {
                String who = who(channel);
                channel.close();
                throw inUse(studio, who);
            }
            sayWho(channel);
            return new StudioLock(file, channel, lock);
        } catch (IOException e) {
            closeQuietly(channel);
            throw new FileTrouble(studio.toString(), "The studio cannot be opened: " + SafeWrite.reason(e) + ".",
                    "Check the disk and that the folder may be written.", e);
        }
    }

    private static void sayWho(FileChannel channel) {
        try {
            channel.truncate(0);
            channel.write(ByteBuffer
                    .wrap(("process " + ProcessHandle.current().pid() + ", since " + LocalTime.now().truncatedTo(ChronoUnit.MINUTES))
                            .getBytes(StandardCharsets.UTF_8)),
                    0);
        } catch (IOException e) {
            Journal.trouble("writing into the lock file", e); // a full disk keeps nobody from looking at the studio
        }
    }

    private static FileLock tryLock(FileChannel channel) throws IOException {
        try {
            return channel.tryLock();
        } catch (OverlappingFileLockException e) {
            return null;
        }
    }

    private static String who(FileChannel channel) throws IOException {
        ByteBuffer words = ByteBuffer.allocate(LONGEST);
        channel.read(words, 0);
        String said = new String(words.array(), 0, words.position(), StandardCharsets.UTF_8).strip();
        return said.matches("process [0-9]{1,10}, since [0-9:]{5}") ? said : "another program";
    }

    private static FileTrouble inUse(Path studio, String who) {
        return new FileTrouble(studio.toString(), "This studio is already open in another window of Moss Pebble (" + who + ").",
                "Go on there, or close it first.").thatPasses();
    }

    /** Notes the studio's file as open, once it exists; told again when it has been written anew. */
    void holds(Path studio) throws IOException {
        if (key != null) {
            OPEN.remove(key);
        }
        key = key(studio);
        OPEN.add(key);
    }

    /** What a file is known by however it is named: its number on the disk, or its real path where there are no numbers. */
    static Object key(Path studio) throws IOException {
        if (!Files.exists(studio)) {
            return studio.toAbsolutePath().normalize();
        }
        Object number = Files.readAttributes(studio, BasicFileAttributes.class).fileKey();
        return number == null ? studio.toRealPath() : number;
    }

    /** Whether the file that was noted still stands where it stood. */
    boolean stands(Path studio) {
        try {
            return Files.exists(studio) && key(studio).equals(key);
        } catch (IOException e) {
            return false;
        }
    }

    void release() {
        if (key != null) {
            OPEN.remove(key);
        }
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            Journal.trouble("taking the lock file away", e);
        }
        closeQuietly(channel);
        if (lock.isValid()) {
            throw new IllegalStateException("the studio's lock was not given back");
        }
    }

    private static void closeQuietly(FileChannel channel) {
        try {
            if (channel != null) {
                channel.close();
            }
        } catch (IOException e) {
            Journal.trouble("closing the lock file", e); // the lock ends with the process at the latest
        }
    }
}
