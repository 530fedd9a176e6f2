package mosspebble.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.SmearTest;
import mosspebble.core.care.Who;
import mosspebble.core.book.Page;
import mosspebble.core.colour.Shelf;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Project;
import mosspebble.core.project.Room;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.stone.FoundStone;
import org.sqlite.SQLiteConfig;

/**
 * The file of a studio: how it is laid out, made, looked at, brought up to date, read and written. Tables: {@code project(id, position,
 * document)}, {@code found(id, position, document)}, {@code own(id, position, document)}, {@code setting(key, document)},
 * {@code edit(number, at, title)}, and the book's {@link BookRows}; documents are JSON. A file from elsewhere is looked at through a
 * connection that cannot write, and refused if it holds anything else: triggers and views would run with every edit.
 */
final class StudioFile {

    /** Version of the tables this program writes; kept in the file's user_version. */
    static final int VERSION = Migration.STEPS;

    /** Marks the file as a studio of ours: "MPeb". */
    static final int APPLICATION = 0x4D506562;

    /** Largest file that is opened, bytes: sixty faces of one's own with room to spare. */
    private static final long LARGEST = 600_000_000;

    /** Longest document, characters. */
    static final int LONGEST = OwnFile.LONGEST + 10_000;

    private static final String TABLE = "(id TEXT PRIMARY KEY, position INTEGER NOT NULL, document TEXT NOT NULL)";

    /** What may stand in a file, as it was made. */
    private static final Map<String, String> TABLES = Map.of("project", "CREATE TABLE project" + TABLE, "found",
            "CREATE TABLE found" + TABLE, "own", "CREATE TABLE own" + TABLE, "page", BookRows.PAGE, "photo", BookRows.PHOTO,
            "setting", "CREATE TABLE setting(key TEXT PRIMARY KEY, document TEXT NOT NULL)",
            "edit", "CREATE TABLE edit(number INTEGER PRIMARY KEY AUTOINCREMENT, at TEXT NOT NULL, title TEXT NOT NULL)", "sqlite_sequence",
            "CREATE TABLE sqlite_sequence(name,seq)");

    /** Tests, and rules of one's own with what they name as text. */
    private record Tests(List<SmearTest> tests, List<Rule> quarrels) {

        private record Rule(String below, String above, boolean anywhere, Compatibility.Severity severity, Quarrel.Way way, long minutes,
                String reason) {}

        static Tests of(Compatibility.Known known) {
            return new Tests(known.tests(), known.quarrels().stream().map(q -> new Rule(q.below().toString(), q.above().toString(),
                    q.anywhere(), q.severity(), q.way(), q.rest().toMinutes(), q.reason())).toList());
        }

        Compatibility.Known known() {
            return new Compatibility.Known(tests, quarrels.stream().map(r -> new Quarrel(Who.parse(r.below), Who.parse(r.above), r.anywhere,
                    r.severity, r.way, Duration.ofMinutes(r.minutes), r.reason)).toList());
        }
    }

    /**
     * What a look at a file found.
     *
     * @param empty whether nothing is in it
     * @param version of the tables
     * @param studio what is in it; empty where the tables must be brought up to date first
     */
    record Look(boolean empty, int version, Optional<Studio> studio) {
        /** No file, or one without content. */
        static final Look NOTHING = new Look(true, 0, Optional.empty());
    }

    private StudioFile() {}

    // --- connections

    /** For reading and writing: every edit in the log file and flushed, and the file locked against everybody else until it is closed. */
    static Connection connect(Path file) throws SQLException {
        Connection connection = plain(file, Way.WRITE);
        try (Statement sql = connection.createStatement()) {
            sql.execute("PRAGMA locking_mode = EXCLUSIVE");
            sql.execute("PRAGMA journal_mode = WAL");
            sql.execute("PRAGMA synchronous = FULL");
            sql.execute("BEGIN IMMEDIATE");
            sql.execute("COMMIT");
            return connection;
        } catch (SQLException e) {
            closeQuietly(connection);
            throw e;
        }
    }

    /** How a file is opened: for writing, for reading, or for reading where nobody writes and there is no log. */
    private enum Way {
        WRITE(""), READ("?mode=ro"), STILL("?mode=ro&immutable=1");

        private final String query;

        Way(String query) {
            this.query = query;
        }
    }

    private static Connection plain(Path file, Way way) throws SQLException {
        SQLiteConfig config = new SQLiteConfig();
        config.setReadOnly(way != Way.WRITE);
        config.setBusyTimeout(300);
        // as a URI: a question mark in a path would else begin a list of settings
        Connection connection = config.createConnection("jdbc:sqlite:" + file.toAbsolutePath().toUri() + way.query);
        try (Statement sql = connection.createStatement()) {
            sql.execute("PRAGMA trusted_schema = OFF");
            sql.execute("PRAGMA cell_size_check = ON");
        } catch (SQLException e) {
            closeQuietly(connection);
            throw e;
        }
        return connection;
    }

    static void closeQuietly(Connection connection) {
        try {
            if (connection != null) {
                connection.close();
            }
        } catch (SQLException e) {
            Journal.trouble("closing the studio's file", e); // every edit is committed already; there is nothing left to lose
        }
    }

    // --- looking at a file from elsewhere

    /**
     * Looks at a file without changing it.
     *
     * @throws FileTrouble if it is no studio, newer than this program, or damaged
     */
    static Look look(Path file) throws FileTrouble {
        NativeLibrary.ready();
        try {
            if (Files.size(file) > LARGEST) {
                throw new FileTrouble(file.toString(),
                        "The file has " + Files.size(file) / 1_000_000 + " MB; a studio has " + LARGEST / 1_000_000 + " at most.",
                        "It is left untouched. Restore a copy, or start a new studio.");
            }
            if (Files.size(file) == 0 && !hasLog(file)) {
                return Look.NOTHING;
            }
            header(file);
        } catch (IOException e) {
            throw unreadable(file, e);
        }
        try {
            return hasLog(file) ? lookWithLog(file) : look(file, Way.STILL);
        } catch (IOException e) {
            throw unreadable(file, e);
        } catch (SQLException e) {
            throw trouble(file, e);
        }
    }

    private static Look look(Path file, Way way) throws SQLException, FileTrouble {
        try (Connection connection = plain(file, way)) {
            return look(connection, file);
        }
    }

    /**
     * After a kill the last edits are in the log file; reading it needs a little room for an index beside it, or else the file itself must
     * be opened as for work.
     */
    private static Look lookWithLog(Path file) throws SQLException, IOException, FileTrouble {
        Path shared = Path.of(file + "-shm");
        boolean sharedBefore = Files.exists(shared);
        try {
            return look(file, Way.READ);
        } catch (SQLException e) {
            if (Fault.of(e) == Fault.IN_USE) {
                throw e;
            }
            Journal.trouble("looking at a studio beside its log", e);
            try (Connection connection = connect(file)) {
                return look(connection, file);
            }
        } finally {
            if (!sharedBefore) {
                Files.deleteIfExists(shared); // made by looking only
            }
        }
    }

    private static boolean hasLog(Path file) throws IOException {
        Path log = Path.of(file + "-wal");
        return Files.exists(log) && Files.size(log) > 0;
    }

    /** The file's own first bytes (SQLite file format, offset 0) before anything else opens it. */
    private static void header(Path file) throws IOException, FileTrouble {
        ByteBuffer header = ByteBuffer.allocate(16);
        try (FileChannel in = FileChannel.open(file, StandardOpenOption.READ)) {
            while (header.hasRemaining() && in.read(header) >= 0) {
                continue;
            }
        }
        byte[] magic = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
        if (header.position() > 0 && !Arrays.equals(magic, header.array())) {
            throw noStudio(file);
        }
    }

    private static FileTrouble noStudio(Path file) {
        return new FileTrouble(file.toString(), "This file is not a studio of Moss Pebble, or it is damaged.",
                "It is left untouched. Start a new studio, or restore a copy.");
    }

    private static FileTrouble unreadable(Path file, IOException e) {
        return new FileTrouble(file.toString(), "The studio cannot be read: " + SafeWrite.reason(e) + ".",
                "Check the disk and who may read the file.", e);
    }

    private static Look look(Connection connection, Path file) throws SQLException, FileTrouble {
        int application = number(connection, "PRAGMA application_id");
        int version = number(connection, "PRAGMA user_version");
        boolean bare = number(connection, "SELECT count(*) FROM sqlite_master") == 0;
        if (application != APPLICATION && !(bare && application == 0 && version == 0 && number(connection, "PRAGMA page_count") <= 1)) {
            throw noStudio(file);
        }
        if (version > VERSION) {
            throw new FileTrouble(file.toString(),
                    "This studio was written by a newer Moss Pebble (format " + version + ", this program knows " + VERSION + ").",
                    "It is left untouched. Update the program, or start a new studio.");
        }
        if (version < 0 || version == 0 && !bare) {
            throw new FileTrouble(file.toString(), "The studio says that it has format " + version + ", which never was.",
                    "It is left untouched. Restore a copy, or start a new studio.");
        }
        tables(connection, file);
        try (Statement sql = connection.createStatement(); ResultSet check = sql.executeQuery("PRAGMA quick_check(1)")) {
            if (!check.next() || !"ok".equals(check.getString(1))) {
                throw damaged(file, null);
            }
        }
        boolean empty = bare || number(connection,
                "SELECT (SELECT count(*) FROM project) + (SELECT count(*) FROM setting) + (SELECT count(*) FROM edit)") == 0;
        return new Look(empty, version, empty || version < VERSION ? Optional.empty() : Optional.of(load(connection, file)));
    }

    /** Nothing but our own tables, as we made them. */
    private static void tables(Connection connection, Path file) throws SQLException, FileTrouble {
        try (Statement sql = connection.createStatement();
                ResultSet found = sql.executeQuery("SELECT type, name, sql FROM sqlite_master")) {
            while (found.next()) {
                String type = found.getString(1);
                String name = found.getString(2);
                String made = found.getString(3);
                boolean ours = "table".equals(type) && TABLES.getOrDefault(name, "").equals(made)
                        || "index".equals(type) && name != null && name.startsWith("sqlite_autoindex_") && made == null;
                if (!ours) {
                    throw new FileTrouble(file.toString(),
                            "The file holds a " + Said.shortly(String.valueOf(type), 20) + " \"" + Said.shortly(String.valueOf(name), 40)
                                    + "\" that no studio has; it could change things behind your back.",
                            "It is left untouched. Restore a copy, or start a new studio.");
                }
            }
        }
    }

    private static int number(Connection connection, String query) throws SQLException {
        try (Statement sql = connection.createStatement(); ResultSet row = sql.executeQuery(query)) {
            return row.next() ? row.getInt(1) : 0;
        }
    }

    private static FileTrouble damaged(Path file, Throwable cause) {
        return new FileTrouble(file.toString(), "The studio is damaged inside.",
                "It is left untouched. Restore a copy, or start a new studio.", cause);
    }

    /** What a failed statement means, in words. */
    static FileTrouble trouble(Path file, SQLException e) {
        return switch (Fault.of(e)) {
            case IN_USE -> new FileTrouble(file.toString(), "This studio is already open in another window of Moss Pebble.",
                    "Go on there, or close it first.", e).thatPasses();
            case DAMAGED -> damaged(file, e);
            case NO_PERMISSION -> new FileTrouble(file.toString(), "The studio may be read but not written.",
                    "Check who may write the file and its folder, or choose another place.", e);
            case FULL -> new FileTrouble(file.toString(), "The disk is full.", "Make room on it, then start again.", e);
            case OTHER -> new FileTrouble(file.toString(), "The studio cannot be opened: the disk does not answer as it should.",
                    "Check the disk and that the folder may be written.", e);
        };
    }

    // --- making and bringing up to date

    /**
     * Makes the file of a new studio, whole or not at all: built beside it, flushed, then moved into place. What stood there must be of no
     * worth.
     *
     * @throws FileTrouble if it could not be made; then nothing stands there that did not before
     */
    static void make(Path file, Studio studio) throws FileTrouble {
        make(file, studio, part -> {});
    }

    /** What is put into a new studio besides what it is, such as its book. */
    interface Filling {
        void fill(Connection connection) throws SQLException, FileTrouble;
    }

    static void make(Path file, Studio studio, Filling filling) throws FileTrouble {
        built(file, (connection, sql) -> {
            migrate(connection, sql, 0, file);
            put(connection, null, studio, "New studio");
            sql.execute("COMMIT");
            filling.fill(connection);
            return studio;
        });
    }

    /** Puts into a file that is new, within a transaction, what a studio is made of, and commits it. */
    private interface Building {
        Studio build(Connection connection, Statement sql) throws SQLException, FileTrouble;
    }

    private static Studio built(Path file, Building building) throws FileTrouble {
        NativeLibrary.ready();
        Path part = SafeWrite.part(file);
        try {
            Files.createDirectories(file.toAbsolutePath().getParent());
            clear(part);
            Studio studio;
            try (Connection connection = plain(part, Way.WRITE); Statement sql = connection.createStatement()) {
                sql.execute("PRAGMA application_id = " + APPLICATION);
                sql.execute("BEGIN IMMEDIATE");
                studio = building.build(connection, sql);
                sql.execute("PRAGMA journal_mode = WAL"); // kept in the file, so that opening it later changes nothing
            }
            SafeWrite.flush(part);
            clearLogs(file);
            SafeWrite.moveInto(part, file);
            return studio;
        } catch (IOException e) {
            throw new FileTrouble(file.toString(), "The studio cannot be made: " + SafeWrite.reason(e) + ".",
                    "Check the disk and that the folder may be written.", e);
        } catch (SQLException e) {
            throw trouble(file, e);
        } finally {
            try {
                clear(part);
            } catch (IOException e) {
                Journal.trouble("taking away a studio half made", e);
            }
        }
    }

    private static void clear(Path file) throws IOException {
        clearLogs(file);
        Files.deleteIfExists(file);
    }

    /** A log file of a studio that stood here once would be played into the new one. */
    static void clearLogs(Path file) throws IOException {
        for (String ending : List.of("-wal", "-shm", "-journal")) {
            Files.deleteIfExists(Path.of(file + ending));
        }
    }

    /** Moves a studio and its log out of the way, under another name. */
    static void moveAway(Path file, Path to) throws IOException {
        Files.move(file, to, StandardCopyOption.ATOMIC_MOVE);
        for (String ending : List.of("-wal", "-journal")) {
            Path log = Path.of(file + ending);
            if (Files.exists(log)) {
                Files.move(log, Path.of(to + ending), StandardCopyOption.ATOMIC_MOVE);
            }
        }
        Files.deleteIfExists(Path.of(file + "-shm"));
    }

    /**
     * Brings the tables up to date, in one transaction.
     *
     * @return what is in them then
     * @throws FileTrouble if that makes no studio; the tables are then as before
     */
    static Studio migrate(Connection connection, int version, Path file) throws SQLException, FileTrouble {
        try (Statement sql = connection.createStatement()) {
            sql.execute("BEGIN IMMEDIATE");
            Studio studio;
            try {
                migrate(connection, sql, version, file);
                studio = load(connection, file);
                sql.execute("COMMIT");
            } catch (SQLException | FileTrouble e) {
                rollBack(connection);
                throw e;
            }
            sql.execute("PRAGMA wal_checkpoint(TRUNCATE)");
            return studio;
        }
    }

    private static void migrate(Connection connection, Statement sql, int version, Path file) throws SQLException, FileTrouble {
        for (int next = version; next < VERSION; next++) {
            Migration.step(connection, next, file);
            sql.execute("PRAGMA user_version = " + (next + 1));
        }
    }

    /** The database may have rolled back by itself, after a full disk for one; then there is nothing to roll back and that is well. */
    private static void rollBack(Connection connection) {
        try (Statement sql = connection.createStatement()) {
            sql.execute("ROLLBACK");
        } catch (SQLException e) {
            Journal.note("nothing to roll back");
        }
    }

    /**
     * Makes the file of a studio from documents of some format, brought up to date and looked through before it takes its place.
     *
     * @param version format of the documents, 9 or later, so that there is a book
     * @param rows puts the documents into the tables of that format
     * @return what is in it
     * @throws FileTrouble if they make no studio; then nothing stands there that did not before
     */
    static Studio make(Path file, int version, Filling rows) throws FileTrouble {
        return built(file, (connection, sql) -> {
            for (int step = 0; step < version; step++) {
                Migration.step(connection, step, file);
            }
            run(connection, "DELETE FROM setting"); // the steps' own beginnings
            sql.execute("PRAGMA user_version = " + version);
            rows.fill(connection);
            migrate(connection, sql, version, file);
            Studio studio = load(connection, file);
            for (Page page : BookRows.load(connection, file).pages()) {
                BookRows.planned(connection, file, page.id());
            }
            run(connection, "INSERT INTO edit(at, title) VALUES(strftime('%Y-%m-%dT%H:%M:%SZ', 'now'), ?)", "Taken in");
            sql.execute("COMMIT");
            return studio;
        });
    }

    // --- reading

    static Studio load(Connection connection, Path file) throws SQLException, FileTrouble {
        List<Project> projects = rows(connection, file, "project", Project.class, Project::id);
        List<FoundStone> basket = rows(connection, file, "found", FoundStone.class, FoundStone::id);
        List<OwnFile> own = rows(connection, file, "own", OwnFile.class, OwnFile::id);
        Studio.View view = setting(connection, file, "view", Studio.View.class);
        Diary diary = setting(connection, file, "diary", Diary.class);
        Shelf shelf = setting(connection, file, "shelf", Shelf.class);
        Room room = setting(connection, file, "room", Room.class);
        Tests tests = setting(connection, file, "tests", Tests.class);
        try {
            return new Studio(projects, basket, own, shelf, tests.known(), room, diary, view);
        } catch (IllegalArgumentException | NullPointerException e) {
            throw new FileTrouble(file.toString(),
                    "The studio contradicts itself" + (e instanceof IllegalArgumentException ? ": " + e.getMessage() : "") + ".",
                    "It is left untouched. Restore a copy, or start a new studio.", e);
        }
    }

    private static <T> List<T> rows(Connection connection, Path file, String table, Class<T> type, Function<T, String> id)
            throws SQLException, FileTrouble {
        List<T> values = new ArrayList<>();
        try (Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery("SELECT id, length(document), document FROM " + table + " ORDER BY position")) {
            while (rows.next()) {
                String place = file + ", entry " + Said.shortly(String.valueOf(rows.getString(1)), 60);
                if (rows.getLong(2) > LONGEST) {
                    throw new FileTrouble(place, "The entry has more than " + LONGEST / 1_000_000 + " million letters.",
                            "It is left untouched. Restore a copy, or start a new studio.");
                }
                T value = StudioJson.read(rows.getString(3), type, place);
                if (!id.apply(value).equals(rows.getString(1))) { // the next edit would write it a second time
                    throw new FileTrouble(place, "The entry calls itself \"" + Said.shortly(id.apply(value), 60) + "\".",
                            "It is left untouched. Restore a copy, or start a new studio.");
                }
                values.add(value);
            }
        }
        return values;
    }

    private static <T> T setting(Connection connection, Path file, String key, Class<T> type) throws SQLException, FileTrouble {
        try (PreparedStatement sql = connection.prepareStatement("SELECT document FROM setting WHERE key = ? AND length(document) <= ?")) {
            sql.setString(1, key);
            sql.setInt(2, LONGEST);
            try (ResultSet row = sql.executeQuery()) {
                if (!row.next()) {
                    throw new FileTrouble(file + ", " + key, "The entry is missing.",
                            "It is left untouched. Restore a copy, or start a new studio.");
                }
                return StudioJson.read(row.getString(1), type, file + ", " + key);
            }
        }
    }

    /**
     * What is in a file that is not in use, such as a copy; the whole of it is checked.
     *
     * @throws FileTrouble if it is damaged
     */
    static Studio read(Path file) throws FileTrouble {
        Look look = look(file);
        if (look.empty()) {
            throw damaged(file, null);
        }
        Path place = file;
        Path scratch = null;
        try {
            if (look.version() < VERSION) { // brought up to date beside, so that the copy stays as it is
                scratch = Files.createTempDirectory("moss-pebble");
                place = scratch.resolve("look.pebble");
                Files.copy(file, place);
            }
            try (Connection connection = plain(place, look.version() < VERSION ? Way.WRITE : hasLog(file) ? Way.READ : Way.STILL)) {
                Studio studio = look.version() < VERSION ? migrate(connection, look.version(), file) : look.studio().orElseThrow();
                try (Statement sql = connection.createStatement(); ResultSet check = sql.executeQuery("PRAGMA integrity_check(1)")) {
                    if (!check.next() || !"ok".equals(check.getString(1))) {
                        throw damaged(file, null);
                    }
                }
                return studio;
            }
        } catch (IOException e) {
            throw unreadable(file, e);
        } catch (SQLException e) {
            throw trouble(file, e);
        } finally {
            if (scratch != null) {
                try {
                    clear(place);
                    Files.delete(scratch);
                } catch (IOException e) {
                    Journal.trouble("taking away what looking left behind", e);
                }
            }
        }
    }

    // --- writing

    /** Writes what differs, in one transaction. */
    static void write(Connection connection, Studio before, Studio after, String title) throws SQLException {
        try (Statement sql = connection.createStatement()) {
            sql.execute("BEGIN IMMEDIATE");
            try {
                put(connection, before, after, title);
                sql.execute("COMMIT");
            } catch (SQLException | RuntimeException e) {
                rollBack(connection);
                throw e;
            }
        }
    }

    /** Does something in one transaction. */
    static <T> T inOne(Connection connection, StudioStore.BookWork<T> work) throws SQLException, FileTrouble {
        try (Statement sql = connection.createStatement()) {
            sql.execute("BEGIN IMMEDIATE");
            try {
                T result = work.run(connection);
                sql.execute("COMMIT");
                return result;
            } catch (SQLException | FileTrouble | RuntimeException e) {
                rollBack(connection);
                throw e;
            }
        }
    }

    private static void put(Connection connection, Studio before, Studio after, String title) throws SQLException {
        putRows(connection, "project", before == null ? List.of() : before.projects(), after.projects(), Project::id);
        putRows(connection, "found", before == null ? List.of() : before.basket(), after.basket(), FoundStone::id);
        putRows(connection, "own", before == null ? List.of() : before.own(), after.own(), OwnFile::id);
        Map<String, Object> was = before == null ? Map.of() : settings(before);
        for (Map.Entry<String, Object> each : settings(after).entrySet()) {
            putIfChanged(connection, each.getKey(), was.get(each.getKey()), each.getValue());
        }
        run(connection, "INSERT INTO edit(at, title) VALUES(strftime('%Y-%m-%dT%H:%M:%SZ', 'now'), ?)", title);
    }

    /** What is neither a stone nor a file of one's own, by the key under which it is kept. */
    static Map<String, Object> settings(Studio studio) {
        return Map.of("shelf", studio.shelf(), "tests", Tests.of(studio.known()), "room", studio.room(), "diary", studio.diary(), "view",
                studio.view());
    }

    private static <T> void putRows(Connection connection, String table, List<T> before, List<T> after, Function<T, String> id)
            throws SQLException {
        for (T gone : before) {
            if (after.stream().noneMatch(kept -> id.apply(kept).equals(id.apply(gone)))) {
                run(connection, "DELETE FROM " + table + " WHERE id = ?", id.apply(gone));
            }
        }
        for (int i = 0; i < after.size(); i++) {
            T value = after.get(i);
            boolean same = i < before.size() && before.get(i) == value;
            if (!same) {
                run(connection, "INSERT INTO " + table
                        + "(id, position, document) VALUES(?, ?, ?) ON CONFLICT(id) DO UPDATE SET position = excluded.position, document "
                        + "= excluded.document",
                        id.apply(value), i, StudioJson.write(value));
            }
        }
    }

    private static void putIfChanged(Connection connection, String key, Object before, Object after) throws SQLException {
        if (!Objects.equals(before, after)) {
            run(connection, "INSERT INTO setting(key, document) VALUES(?, ?) ON CONFLICT(key) DO UPDATE SET document = excluded.document",
                    key, StudioJson.write(after));
        }
    }

    static void run(Connection connection, String statement, Object... values) throws SQLException {
        try (PreparedStatement sql = connection.prepareStatement(statement)) {
            for (int i = 0; i < values.length; i++) {
                sql.setObject(i + 1, values[i]);
            }
            sql.executeUpdate();
        }
    }

    // --- copies

    /** Writes all that is committed into a file of its own. */
    static void copy(Connection connection, Path to) throws SQLException {
        run(connection, "VACUUM INTO ?", to.toAbsolutePath().toString());
    }

    /** The same from a file that is not open, which is not changed. */
    static void copy(Path file, Path to) throws SQLException, IOException {
        try (Connection connection = plain(file, hasLog(file) ? Way.READ : Way.STILL)) {
            copy(connection, to);
        }
    }
}
