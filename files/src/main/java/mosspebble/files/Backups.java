package mosspebble.files;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosspebble.core.project.Studio;

/**
 * Copies of a studio, kept by themselves in a folder beside it: one for each day of use, the last ten days whole, before that one a month,
 * bounded in size. Each is checked when it is made: the database's own
 * integrity check, and read back and compared.
 */
public final class Backups {

    /** Days of use of which each copy is kept. */
    static final int DAYS = 10;

    /** Months of which the last copy is kept. */
    static final int MONTHS = 24;

    /** All copies together, bytes; the oldest go first. */
    static final long MOST_BYTES = 400_000_000;

    private static final Pattern NAME = Pattern.compile("([0-9]{4}-[0-9]{2}-[0-9]{2})(-before-format-[0-9]{1,3})?\\.pebble");

    /** A copy: its day, where it lies, how large it is. */
    public record Copy(LocalDate day, Path file, long bytes) {}

    /** Writes a studio into a new file and says what it wrote. */
    interface Source {
        Studio into(Path part) throws SQLException, IOException, FileTrouble;
    }

    private final Path studio;
    private final Clock clock;

    private Backups(Path studio, Clock clock) {
        this.studio = studio;
        this.clock = clock;
    }

    /** @param studio the studio's own file */
    public static Backups of(Path studio) {
        return new Backups(studio.toAbsolutePath(), Clock.systemDefaultZone());
    }

    static Backups of(Path studio, Clock clock) {
        return new Backups(studio.toAbsolutePath(), clock);
    }

    /** Where the copies lie. */
    public Path folder() {
        return studio.resolveSibling(studio.getFileName().toString().replaceFirst("\\.pebble$", "") + " copies");
    }

    /** All copies, the newest first. */
    public List<Copy> list() {
        List<Copy> copies = new ArrayList<>();
        if (Files.isDirectory(folder())) {
            try (DirectoryStream<Path> files = Files.newDirectoryStream(folder(), "*.pebble")) {
                for (Path file : files) {
                    Matcher name = NAME.matcher(file.getFileName().toString());
                    if (name.matches() && Files.isRegularFile(file)) {
                        copies.add(new Copy(LocalDate.parse(name.group(1)), file, Files.size(file)));
                    }
                }
            } catch (IOException | DateTimeException e) {
                Journal.trouble("looking through the copies", e);
            }
        }
        copies.sort(Comparator.comparing(Copy::day).thenComparing(c -> c.file().getFileName().toString()).reversed());
        return copies;
    }

    /** What is in a copy; @throws FileTrouble if it is damaged. */
    public static Studio look(Copy copy) throws FileTrouble {
        return StudioFile.read(copy.file());
    }

    /**
     * Keeps the day's copy and thins out the older ones.
     *
     * @param anew whether one that is there already is replaced
     * @return the copy if one was made
     */
    Optional<Path> keep(Source source, boolean anew) throws FileTrouble {
        Path file = folder().resolve(LocalDate.now(clock) + ".pebble");
        if (!anew && Files.exists(file)) {
            return Optional.empty();
        }
        write(file, source);
        thin();
        return Optional.of(file);
    }

    /** Keeps the studio as it is before its tables are changed. */
    void beforeMigration() throws FileTrouble {
        Path file = folder().resolve(LocalDate.now(clock) + "-before-format-" + StudioFile.VERSION + ".pebble");
        if (!Files.exists(file)) {
            place(file, part -> {
                StudioFile.copy(studio, part);
                return null;
            });
        }
    }

    /** Writes a copy, checks it, and puts it into place. */
    void write(Path target, Source source) throws FileTrouble {
        place(target, source);
    }

    private static void place(Path target, Source source) throws FileTrouble {
        Path part = SafeWrite.part(target);
        try {
            if (Files.isDirectory(target)) {
                throw new FileTrouble(target.toString(), "A folder of that name stands there.", "Choose another name for the copy.");
            }
            Files.createDirectories(target.getParent());
            Files.deleteIfExists(part);
            Studio meant = source.into(part);
            SafeWrite.flush(part);
            Studio found = StudioFile.read(part);
            if (meant != null && !meant.equals(found)) {
                throw new FileTrouble(target.toString(), "The copy is not like the studio.", "Check the disk; nothing was kept there.");
            }
            SafeWrite.moveInto(part, target);
        } catch (IOException e) {
            throw new FileTrouble(target.toString(), "The copy cannot be written: " + SafeWrite.reason(e) + ".",
                    "Make room on the disk, or choose another folder.", e);
        } catch (SQLException e) {
            throw new FileTrouble(target.toString(), "The copy cannot be written: " + Fault.of(e).reason() + ".",
                    "Make room on the disk, or choose another folder.", e);
        } finally {
            try {
                StudioFile.clearLogs(part);
                Files.deleteIfExists(part);
            } catch (IOException e) {
                Journal.trouble("taking away a copy half made", e);
            }
        }
    }

    /** Takes away what need not be kept. */
    private void thin() {
        List<Copy> copies = list();
        Set<Path> kept = new HashSet<>();
        Set<YearMonth> months = new HashSet<>();
        Set<LocalDate> days = new HashSet<>();
        long bytes = 0;
        for (Copy copy : copies) {
            boolean recent = days.contains(copy.day()) || days.size() < DAYS;
            boolean keep = recent || months.size() < MONTHS && !months.contains(YearMonth.from(copy.day()));
            if (keep && (bytes + copy.bytes() <= MOST_BYTES || kept.isEmpty())) {
                kept.add(copy.file());
                bytes += copy.bytes();
                days.add(copy.day());
                if (!recent) {
                    months.add(YearMonth.from(copy.day()));
                }
            }
        }
        for (Copy copy : copies) {
            if (!kept.contains(copy.file())) {
                try {
                    Files.deleteIfExists(copy.file());
                } catch (IOException e) {
                    Journal.trouble("thinning out the copies", e);
                }
            }
        }
    }

    /**
     * Puts a copy in the studio's place; what stood there is kept under another name.
     *
     * @return where the studio that stood there is now
     * @throws FileTrouble if it is in use, or the copy is damaged, or cannot be written; then nothing has changed
     */
    public Optional<Path> restore(Copy copy) throws FileTrouble {
        look(copy);
        StudioLock lock = StudioLock.take(studio);
        Path part = SafeWrite.part(studio);
        try {
            Files.copy(copy.file(), part, StandardCopyOption.REPLACE_EXISTING);
            SafeWrite.flush(part);
            Optional<Path> aside = Optional.empty();
            if (Files.exists(studio)) {
                aside = Optional.of(free(studio, "troubled", 1000));
                StudioFile.moveAway(studio, aside.get());
            }
            StudioFile.clearLogs(studio);
            SafeWrite.moveInto(part, studio);
            return aside;
        } catch (IOException e) {
            throw new FileTrouble(studio.toString(), "The copy cannot be put back: " + SafeWrite.reason(e) + ".",
                    "Make room on the disk, or check that the folder may be written.", e);
        } finally {
            try {
                Files.deleteIfExists(part);
            } catch (IOException e) {
                Journal.trouble("taking away a copy half put back", e);
            }
            lock.release();
        }
    }

    /** A free name beside a studio, such as {@code studio-troubled-2.pebble}. */
    static Path free(Path studio, String word, int most) throws IOException {
        String stem = studio.getFileName().toString().replaceFirst("\\.pebble$", "");
        for (int i = 1; i <= most; i++) {
            Path next = studio.resolveSibling(stem + "-" + word + (i == 1 ? "" : "-" + i) + ".pebble");
            if (!Files.exists(next)) {
                return next;
            }
        }
        throw new IOException("too many files beside the studio");
    }
}
