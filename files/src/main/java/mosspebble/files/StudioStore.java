package mosspebble.files;

import java.io.Closeable;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.Supplier;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.Project;
import mosspebble.core.plan.Studio;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.units.LengthUnit;
import org.sqlite.SQLiteConfig;

/**
 * One studio in one SQLite file. Write-ahead log, every edit one committed transaction, so that a kill at any instant loses no accepted edit. A lock file beside it keeps a
 * second instance out. Tables: {@code project(id, position, document)}, {@code found(id, position, document)}, {@code own(id, position, document)}, {@code setting(key, document)}, {@code edit(number, at, title)}; documents are JSON.
 */
public final class StudioStore implements Closeable {

    /** Version of the tables this program writes; kept in the file's user_version. */
    static final int VERSION = 3;

    /** Marks the file as a studio of ours: "MPeb". */
    static final int APPLICATION = 0x4D506562;

    private static final List<String> MIGRATIONS = List.of("""
            CREATE TABLE project(id TEXT PRIMARY KEY, position INTEGER NOT NULL, document TEXT NOT NULL);
            CREATE TABLE setting(key TEXT PRIMARY KEY, document TEXT NOT NULL);
            CREATE TABLE edit(number INTEGER PRIMARY KEY AUTOINCREMENT, at TEXT NOT NULL, title TEXT NOT NULL);
            CREATE TABLE found(id TEXT PRIMARY KEY, position INTEGER NOT NULL, document TEXT NOT NULL);
            """, """
            CREATE TABLE own(id TEXT PRIMARY KEY, position INTEGER NOT NULL, document TEXT NOT NULL);
            UPDATE project SET document = replace(replace(document,
                '"wearing":true', '"manner":"WEARING","mostTurn":0.0,"runOffMm":0.0,"fringeMm":0.0,"mirrored":false,"matched":false,"leftOut":[],"group":null'),
                '"wearing":false', '"manner":"ON_STONE","mostTurn":0.0,"runOffMm":0.0,"fringeMm":0.0,"mirrored":false,"matched":false,"leftOut":[],"group":null');
            UPDATE project SET document = replace(replace(document,
                '"kind":"word",', '"kind":"word","setting":{"path":"STRAIGHT","bend":0.0,"style":"SOLID","optical":0.5,"space":0.0,"lineStep":1.38,"boxes":false,"swell":0.0,"toEye":false,"penMm":0.8,"kerns":{}},'),
                '"kind":"dots",', '"kind":"dots","series":"EQUAL","count":0,"ratio":0.5,"bandMm":0.0,"innerMm":0.0,');
            """, """
            UPDATE project SET document = json_set(document, '$.blends', json('{}'), '$.order', json('[]'));
            UPDATE project SET document = json_set(document, '$.below.blends', json('{}'), '$.below.order', json('[]')) WHERE json_type(document, '$.below') = 'object';
            UPDATE project SET document = json_remove(json_set(document,
                '$.habits.light', json_object('from', json_extract(document, '$.habits.lightFrom'), 'shade', json_extract(document, '$.habits.shade'),
                    'contact', json_extract(document, '$.habits.shade'), 'highlight', 0.0, 'halo', 0.0),
                '$.habits.lineStyle', 'EVEN', '$.habits.medium', 'BY_AREA', '$.habits.hand', 'RIGHT', '$.habits.seal', 'GLOSS'), '$.habits.lightFrom', '$.habits.shade');
            UPDATE setting SET document = json_object('paints', (SELECT json_group_array(json_remove(json_set(value,
                '$.binder', 'ACRYLIC', '$.hidingSpread', 0.08, '$.pot', json_object('left', json_extract(value, '$.left'), 'full', 0.0, 'price', 0.0)), '$.left'))
                FROM json_each(setting.document, '$.paints'))) WHERE key = 'shelf';
            INSERT INTO setting(key, document) VALUES('tests', '{"tests":[]}');
            """);

    private record Tests(List<SmearTest> tests) {}

    private record View(LengthUnit unit, boolean evening) {}

    private final Path file;
    private final FileChannel lockChannel;
    private final FileLock lock;
    private final Connection connection;
    private Studio saved;

    private StudioStore(Path file, FileChannel lockChannel, FileLock lock, Connection connection, Studio saved) {
        this.file = file;
        this.lockChannel = lockChannel;
        this.lock = lock;
        this.connection = connection;
        this.saved = saved;
    }

    /**
     * Opens the studio, or makes a new one where there is none.
     *
     * @param fresh gives the first content of a new studio
     * @throws FileTrouble if it is in use, newer than this program, or damaged; the file is left untouched
     */
    public static StudioStore open(Path file, Supplier<Studio> fresh) throws FileTrouble {
        FileChannel channel = null;
        Connection connection = null;
        try {
            Files.createDirectories(file.toAbsolutePath().getParent());
            channel = FileChannel.open(file.resolveSibling(file.getFileName() + ".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock lock = lock(channel, file);
            boolean exists = Files.exists(file) && Files.size(file) > 0;
            if (exists) {
                checkHeader(file);
            }
            connection = connect(file);
            migrate(connection, exists, file);
            Studio studio;
            if (exists) {
                studio = load(connection, file);
            } else {
                studio = fresh.get();
                write(connection, null, studio, "New studio");
            }
            return new StudioStore(file, channel, lock, connection, studio);
        } catch (IOException | SQLException e) {
            closeQuietly(connection, channel);
            throw new FileTrouble(file.toString(), "The studio cannot be opened: " + e.getMessage() + ".", "Check the disk and that the folder may be written.", e);
        } catch (FileTrouble e) {
            closeQuietly(connection, channel);
            throw e;
        }
    }

    private static FileLock lock(FileChannel channel, Path file) throws IOException, FileTrouble {
        FileLock lock;
        try {
            lock = channel.tryLock();
        } catch (OverlappingFileLockException e) {
            lock = null;
        }
        if (lock == null) {
            throw new FileTrouble(file.toString(), "This studio is already open in another window of Moss Pebble.", "Go on there, or close it first.");
        }
        return lock;
    }

    /** Looks at the file's own header (SQLite file format, offsets 0, 60 and 68) before anything opens it for writing. */
    private static void checkHeader(Path file) throws IOException, FileTrouble {
        ByteBuffer header = ByteBuffer.allocate(100);
        try (FileChannel in = FileChannel.open(file, StandardOpenOption.READ)) {
            in.read(header);
        }
        byte[] magic = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
        if (header.position() < 100 || !Arrays.equals(magic, 0, 16, header.array(), 0, 16) || header.getInt(68) != APPLICATION) {
            throw new FileTrouble(file.toString(), "This file is not a studio of Moss Pebble, or it is damaged.", "It is left untouched. Start a new studio, or restore a copy.");
        }
        int version = header.getInt(60);
        if (version > VERSION) {
            throw new FileTrouble(file.toString(), "This studio was written by a newer Moss Pebble (format " + version + ", this program knows " + VERSION + ").",
                    "It is left untouched. Update the program, or start a new studio.");
        }
    }

    private static Connection connect(Path file) throws SQLException {
        SQLiteConfig config = new SQLiteConfig();
        config.setJournalMode(SQLiteConfig.JournalMode.WAL);
        config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
        config.setBusyTimeout(3000);
        config.enforceForeignKeys(true);
        return config.createConnection("jdbc:sqlite:" + file.toAbsolutePath());
    }

    private static void migrate(Connection connection, boolean exists, Path file) throws SQLException, FileTrouble {
        try (Statement sql = connection.createStatement()) {
            if (exists) {
                try (ResultSet check = sql.executeQuery("PRAGMA quick_check(1)")) {
                    if (!check.next() || !"ok".equals(check.getString(1))) {
                        throw new FileTrouble(file.toString(), "The studio is damaged inside.", "It is left untouched. Restore a copy, or start a new studio.");
                    }
                }
            } else {
                sql.execute("PRAGMA application_id = " + APPLICATION);
            }
            int version;
            try (ResultSet found = sql.executeQuery("PRAGMA user_version")) {
                version = found.next() ? found.getInt(1) : 0;
            }
            connection.setAutoCommit(false);
            for (int next = version; next < VERSION; next++) {
                for (String statement : MIGRATIONS.get(next).split(";")) {
                    if (!statement.isBlank()) {
                        sql.execute(statement);
                    }
                }
                sql.execute("PRAGMA user_version = " + (next + 1));
            }
            connection.commit();
            if (version < VERSION) {
                connection.setAutoCommit(true);
                sql.execute("PRAGMA wal_checkpoint(TRUNCATE)");
                connection.setAutoCommit(false);
            }
        }
    }

    private static Studio load(Connection connection, Path file) throws SQLException, FileTrouble {
        List<Project> projects = rows(connection, file, "project", Project.class);
        List<FoundStone> basket = rows(connection, file, "found", FoundStone.class);
        List<OwnFile> own = rows(connection, file, "own", OwnFile.class);
        View view = setting(connection, file, "view", View.class);
        Shelf shelf = setting(connection, file, "shelf", Shelf.class);
        Climate climate = setting(connection, file, "climate", Climate.class);
        Tests tests = setting(connection, file, "tests", Tests.class);
        connection.commit();
        try {
            return new Studio(projects, basket, own, shelf, tests.tests(), climate, view.unit(), view.evening());
        } catch (IllegalArgumentException | NullPointerException e) {
            throw new FileTrouble(file.toString(), "The studio contradicts itself: " + e.getMessage() + ".", "It is left untouched. Restore a copy.", e);
        }
    }

    private static <T> List<T> rows(Connection connection, Path file, String table, Class<T> type) throws SQLException, FileTrouble {
        List<T> values = new ArrayList<>();
        try (Statement sql = connection.createStatement(); ResultSet rows = sql.executeQuery("SELECT id, document FROM " + table + " ORDER BY position")) {
            while (rows.next()) {
                values.add(StudioJson.read(rows.getString(2), type, file + ", stone " + rows.getString(1)));
            }
        }
        return values;
    }

    private static <T> T setting(Connection connection, Path file, String key, Class<T> type) throws SQLException, FileTrouble {
        try (PreparedStatement sql = connection.prepareStatement("SELECT document FROM setting WHERE key = ?")) {
            sql.setString(1, key);
            try (ResultSet row = sql.executeQuery()) {
                if (!row.next()) {
                    throw new FileTrouble(file + ", " + key, "The entry is missing.", "It is left untouched. Restore a copy, or start a new studio.");
                }
                return StudioJson.read(row.getString(1), type, file + ", " + key);
            }
        }
    }

    /** The studio as last committed. */
    public Studio studio() {
        return saved;
    }

    public Path file() {
        return file;
    }

    /**
     * Commits an edit: what differs from the last commit, in one transaction.
     *
     * @throws FileTrouble if it cannot be written; the stored studio is then the one before
     */
    public synchronized void commit(Studio studio, String title) throws FileTrouble {
        try {
            write(connection, saved, studio, title);
            saved = studio;
        } catch (SQLException e) {
            throw new FileTrouble(file.toString(), "The edit \"" + title + "\" could not be saved: " + e.getMessage() + ".", "Make room on the disk or check that the file may be written, then go on.", e);
        }
    }

    private static void write(Connection connection, Studio before, Studio after, String title) throws SQLException {
        connection.setAutoCommit(false);
        try {
            putRows(connection, "project", before == null ? List.of() : before.projects(), after.projects(), Project::id);
            putRows(connection, "found", before == null ? List.of() : before.basket(), after.basket(), FoundStone::id);
            putRows(connection, "own", before == null ? List.of() : before.own(), after.own(), OwnFile::id);
            putIfChanged(connection, "shelf", before == null ? null : before.shelf(), after.shelf());
            putIfChanged(connection, "tests", before == null ? null : new Tests(before.tests()), new Tests(after.tests()));
            putIfChanged(connection, "climate", before == null ? null : before.climate(), after.climate());
            putIfChanged(connection, "view", before == null ? null : new View(before.unit(), before.evening()), new View(after.unit(), after.evening()));
            run(connection, "INSERT INTO edit(at, title) VALUES(strftime('%Y-%m-%dT%H:%M:%SZ', 'now'), ?)", title);
            connection.commit();
        } catch (SQLException e) {
            connection.rollback();
            throw e;
        }
    }

    private static <T> void putRows(Connection connection, String table, List<T> before, List<T> after, Function<T, String> id) throws SQLException {
        for (T gone : before) {
            if (after.stream().noneMatch(kept -> id.apply(kept).equals(id.apply(gone)))) {
                run(connection, "DELETE FROM " + table + " WHERE id = ?", id.apply(gone));
            }
        }
        for (int i = 0; i < after.size(); i++) {
            T value = after.get(i);
            boolean same = i < before.size() && before.get(i) == value;
            if (!same) {
                run(connection, "INSERT INTO " + table + "(id, position, document) VALUES(?, ?, ?) ON CONFLICT(id) DO UPDATE SET position = excluded.position, document = excluded.document",
                        id.apply(value), i, StudioJson.write(value));
            }
        }
    }

    private static void putIfChanged(Connection connection, String key, Object before, Object after) throws SQLException {
        if (!Objects.equals(before, after)) {
            run(connection, "INSERT INTO setting(key, document) VALUES(?, ?) ON CONFLICT(key) DO UPDATE SET document = excluded.document", key, StudioJson.write(after));
        }
    }

    private static void run(Connection connection, String statement, Object... values) throws SQLException {
        try (PreparedStatement sql = connection.prepareStatement(statement)) {
            for (int i = 0; i < values.length; i++) {
                sql.setObject(i + 1, values[i]);
            }
            sql.executeUpdate();
        }
    }

    @Override
    public synchronized void close() {
        closeQuietly(connection, lockChannel);
        if (lock.isValid()) {
            throw new IllegalStateException("the studio's lock was not given back");
        }
    }

    private static void closeQuietly(Connection connection, FileChannel channel) {
        try {
            if (connection != null) {
                connection.close();
            }
        } catch (SQLException e) {
            // every edit is committed already; there is nothing left to lose
        }
        try {
            if (channel != null) {
                channel.close();
            }
        } catch (IOException e) {
            // the lock ends with the process at the latest
        }
    }
}
