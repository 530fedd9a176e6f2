package mosspebble.files;

import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import mosspebble.core.project.Studio;

/**
 * One studio in one SQLite file. Write-ahead log, every edit one committed and flushed transaction, so that a kill at any instant loses no
 * accepted edit. After a statement that failed the file is opened anew and
 * compared with what was acknowledged, so that a refused edit is never there all the same; once the disk takes it again, work goes on. A
 * file that is taken away while it is open is written anew.
 */
public final class StudioStore implements Closeable {

    /** Names tried for what must be moved out of the way. */
    private static final int MOST_NAMES = 1000;

    private final Path file;
    private final StudioLock lock;
    private final Backups backups;
    private Connection connection;
    private Studio saved;
    private boolean changed;
    private boolean closed;
    private String note = "";

    private StudioStore(Path file, StudioLock lock, Connection connection, Studio saved) {
        this.file = file;
        this.lock = lock;
        this.connection = connection;
        this.saved = saved;
        this.backups = Backups.of(file);
    }

    /**
     * Opens the studio, or makes a new one where there is none.
     *
     * @param fresh gives the first content of a new studio
     * @throws FileTrouble if it is in use, newer than this program, or damaged; the file is left untouched
     */
    public static StudioStore open(Path file, Supplier<Studio> fresh) throws FileTrouble {
        return open(file, fresh, List::of);
    }

    /** The same with pages for the book of a new studio. */
    public static StudioStore open(Path file, Supplier<Studio> fresh, Supplier<List<BookKeeping.Kept>> pages) throws FileTrouble {
        Path real = real(file);
        StudioLock lock = StudioLock.take(real);
        Connection connection = null;
        try {
            mayBeWritten(real);
            StudioFile.Look look = Files.exists(real) ? StudioFile.look(real) : StudioFile.Look.NOTHING;
            Optional<Studio> held = look.studio();
            if (look.empty()) {
                Studio begun = fresh.get();
                StudioFile.make(real, begun, part -> StudioFile.inOne(part, book -> {
                    for (BookKeeping.Kept kept : pages.get()) {
                        BookRows.add(book, kept.page(), kept.planned());
                    }
                    return book;
                }));
                held = Optional.of(begun);
            } else if (held.isEmpty()) {
                Backups.of(real).beforeMigration();
            }
            connection = StudioFile.connect(real);
            Studio studio = held.isPresent() ? held.get() : StudioFile.migrate(connection, look.version(), real);
            lock.holds(real);
            return new StudioStore(real, lock, connection, studio);
        } catch (IOException e) {
            giveUp(connection, lock);
            throw new FileTrouble(real.toString(), "The studio cannot be opened: " + SafeWrite.reason(e) + ".",
                    "Check the disk and that the folder may be written.", e);
        } catch (SQLException e) {
            giveUp(connection, lock);
            throw StudioFile.trouble(real, e);
        } catch (FileTrouble | RuntimeException | Error e) {
            giveUp(connection, lock);
            throw e;
        }
    }

    private static void giveUp(Connection connection, StudioLock lock) {
        StudioFile.closeQuietly(connection);
        lock.release();
    }

    /** The file itself, whatever link leads to it. */
    private static Path real(Path file) throws FileTrouble {
        try {
            Path plain = file.toAbsolutePath().normalize();
            if (plain.getFileName() == null || Files.isDirectory(plain)) {
                throw new FileTrouble(file.toString(), "A studio is a file; this is a folder.",
                        "Name a file in it, such as " + plain.resolve("studio.pebble") + ".");
            }
            if (Files.isSymbolicLink(plain) && !Files.exists(plain)) {
                throw new FileTrouble(file.toString(), "This is a link to a file that is not there.",
                        "Bring the file back, or take the link away.");
            }
            if (Files.exists(plain) && !Files.isRegularFile(plain)) {
                throw new FileTrouble(file.toString(), "A studio is a file; this is a device or a pipe.", "Name another file.");
            }
            Path folder = plain.getParent();
            return Files.exists(plain) ? plain.toRealPath() : Files.exists(folder) ? folder.toRealPath().resolve(plain.getFileName())
                    : plain;
        } catch (IOException e) {
            throw new FileTrouble(file.toString(), "The studio cannot be opened: " + SafeWrite.reason(e) + ".",
                    "Check the disk and who may read the folder.", e);
        }
    }

    private static void mayBeWritten(Path file) throws FileTrouble {
        boolean there = Files.exists(file);
        if (there && !Files.isReadable(file)) {
            throw new FileTrouble(file.toString(), "The studio may not be read.", "Check who may read the file.");
        }
        if (there && !Files.isWritable(file) || Files.exists(file.getParent()) && !Files.isWritable(file.getParent())) {
            throw new FileTrouble(file.toString(), "The studio may be read but not written.",
                    "Check who may write the file and its folder, or choose another place.");
        }
    }

    /** The studio as last committed. */
    public synchronized Studio studio() {
        return saved;
    }

    public Path file() {
        return file;
    }

    /** What was mended without being asked, to be told once; empty for nothing. */
    public synchronized String takeNote() {
        String told = note;
        note = "";
        return told;
    }

    /**
     * Commits an edit: what differs from the last commit, in one transaction.
     *
     * @throws FileTrouble if it cannot be written; the stored studio is then the one before
     */
    public synchronized void commit(Studio studio, String title) throws FileTrouble {
        if (closed) {
            throw new IllegalStateException("the studio is closed");
        }
        try {
            stand();
            if (connection == null) {
                connection = StudioFile.connect(file);
                saved = StudioFile.load(connection, file);
            }
            StudioFile.write(connection, saved, studio, title);
            saved = studio;
            changed = true;
        } catch (SQLException e) {
            Journal.trouble("keeping an edit", e);
            if (connection != null && keptAllTheSame(studio)) {
                return;
            }
            throw new FileTrouble(file.toString(), "The edit \"" + title + "\" is not kept: " + Fault.of(e).reason() + ".",
                    "Make room on the disk, or check that the file may be written.", e);
        } catch (IOException e) {
            throw new FileTrouble(file.toString(), "The edit \"" + title + "\" is not kept: " + SafeWrite.reason(e) + ".",
                    "Make room on the disk, or check that the folder may be written.", e);
        }
    }

    /** After a failed statement: opens the file anew and looks which studio is in it. */
    private boolean keptAllTheSame(Studio wanted) {
        StudioFile.closeQuietly(connection);
        connection = null;
        try {
            connection = StudioFile.connect(file);
            Studio found = StudioFile.load(connection, file);
            boolean kept = found.equals(wanted);
            changed |= kept;
            // the values in hand stay the ones in hand, so that what did not change is known by identity
            saved = kept ? wanted : found.equals(saved) ? saved : found;
            return kept;
        } catch (SQLException | FileTrouble e) {
            Journal.trouble("opening the studio's file anew", e);
            StudioFile.closeQuietly(connection);
            connection = null;
            return false;
        }
    }

    /**
     * Looks whether the file still stands where it stood, and writes it anew if somebody took it away.
     *
     * @return whether it had to
     * @throws FileTrouble if it cannot be written
     */
    public synchronized boolean watch() throws FileTrouble {
        try {
            return !closed && stand();
        } catch (IOException | SQLException e) {
            Journal.trouble("writing the studio anew", e);
            throw new FileTrouble(file.toString(),
                    "The studio's file was taken away, and it cannot be written anew: "
                            + (e instanceof SQLException sql ? Fault.of(sql).reason() : SafeWrite.reason((IOException) e)) + ".",
                    "All is still in hand: save a copy elsewhere.", e);
        }
    }

    private boolean stand() throws IOException, SQLException, FileTrouble {
        if (lock.stands(file)) {
            return false;
        }
        Connection gone = connection; // what it has open can still be read, though no name leads to it
        connection = null;
        String stranger = "";
        if (Files.exists(file)) {
            Path aside = free("found");
            StudioFile.moveAway(file, aside);
            stranger = " Another file stood in its place; it is now called " + aside.getFileName() + ".";
        }
        boolean whole = written(gone);
        StudioFile.closeQuietly(gone);
        connection = StudioFile.connect(file);
        lock.holds(file);
        Journal.note("the studio's file was gone and has been written anew");
        note = "The studio's file had been taken away; it is written anew and "
                + (whole ? "nothing is lost." : "only the pages of the book are not in it: they are in the last copy.") + stranger;
        return true;
    }

    /** Writes the studio anew with the book out of the file that is gone; answers whether the book could still be read. */
    private boolean written(Connection gone) throws FileTrouble {
        try {
            StudioFile.make(file, saved, part -> {
                if (gone == null) {
                    throw new FileTrouble(file.toString(), "The book cannot be read.", "It is in the last copy.");
                }
                BookRows.copy(gone, part);
            });
            return true;
        } catch (FileTrouble e) {
            Journal.trouble("writing the book anew", e);
            StudioFile.make(file, saved);
            return false;
        }
    }

    // --- the book

    /** Something done with the rows of the book. */
    interface BookWork<T> {
        T run(Connection connection) throws SQLException, FileTrouble;
    }

    /** The book that is kept with this studio. */
    public BookKeeping book() {
        return new StudioBook(this);
    }

    /**
     * Does something with the rows of the book, all of it or nothing.
     *
     * @param what for the log and the painter, such as "The page"
     */
    synchronized <T> T withBook(String what, boolean writes, BookWork<T> work) throws FileTrouble {
        if (closed) {
            throw new IllegalStateException("the studio is closed");
        }
        try {
            stand();
            if (connection == null) {
                connection = StudioFile.connect(file);
            }
            T result = writes ? StudioFile.inOne(connection, work) : work.run(connection);
            changed |= writes;
            return result;
        } catch (SQLException e) {
            Journal.trouble("the book", e);
            throw new FileTrouble(file.toString(), what + (writes ? " is not kept: " : " cannot be read: ") + Fault.of(e).reason() + ".",
                    "Make room on the disk, or check that the file may be read and written.", e);
        } catch (IOException e) {
            throw new FileTrouble(file.toString(), what + (writes ? " is not kept: " : " cannot be read: ") + SafeWrite.reason(e) + ".",
                    "Make room on the disk, or check that the folder may be written.", e);
        }
    }

    /** A name beside the studio that is free. */
    private Path free(String word) throws IOException {
        return Backups.free(file, word, MOST_NAMES);
    }

    /**
     * Saves a copy while work goes on, checked before it takes its place.
     *
     * @param now the studio as it is in hand, which may hold what the disk has not taken yet
     * @throws FileTrouble if it cannot be written; then nothing stands there that did not before
     */
    public void copyTo(Path to, Studio now) throws FileTrouble {
        Path target = to.toAbsolutePath();
        try {
            if (StudioLock.key(target).equals(StudioLock.key(file))) {
                throw new FileTrouble(to.toString(), "That is the studio itself.", "Choose another name for the copy.");
            }
        } catch (IOException e) {
            throw new FileTrouble(to.toString(), "The copy cannot be written: " + SafeWrite.reason(e) + ".", "Choose another folder.", e);
        }
        backups.write(target, part -> {
            synchronized (this) {
                StudioFile.make(part, now, copy -> {
                    if (connection != null) {
                        BookRows.copy(connection, copy);
                    }
                });
            }
            return now;
        });
    }

    private synchronized Studio copyInto(Path part) throws SQLException, FileTrouble {
        if (connection == null) {
            StudioFile.make(part, saved); // the file cannot be read just now; what was acknowledged is in hand
        } else {
            StudioFile.copy(connection, part);
        }
        return saved;
    }

    /** Keeps the day's copy, if there is none yet. */
    public Optional<Path> keepDailyCopy() throws FileTrouble {
        return backups.keep(this::copyInto, false);
    }

    /** Copies of this studio. */
    public Backups backups() {
        return backups;
    }

    @Override
    public void close() {
        synchronized (this) {
            if (closed) {
                return;
            }
        }
        try {
            watch();
            if (changed) {
                backups.keep(this::copyInto, true);
            }
        } catch (FileTrouble e) {
            Journal.trouble("keeping the day's copy", e);
        }
        synchronized (this) {
            closed = true;
            StudioFile.closeQuietly(connection);
            lock.release();
        }
    }
}
