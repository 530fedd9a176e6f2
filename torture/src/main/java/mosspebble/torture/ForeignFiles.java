package mosspebble.torture;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import mosspebble.files.FileTrouble;
import mosspebble.files.StudioStore;

/**
 * Studio files from elsewhere: each is opened, or refused in clear words and left as it was; nothing in it runs, nothing is written outside
 * its folder, no lock stays.
 */
final class ForeignFiles {

    private static final Map<String, String> HOSTILE = new LinkedHashMap<>();

    static {
        HOSTILE.put("a trigger", "CREATE TRIGGER t AFTER UPDATE ON project BEGIN DELETE FROM found; END");
        HOSTILE.put("a view for a table", "ALTER TABLE project RENAME TO p; CREATE VIEW project AS SELECT * FROM p");
        HOSTILE.put("another table", "CREATE TABLE extra(a)");
        HOSTILE.put("a column that computes", "ALTER TABLE setting ADD COLUMN x AS (length(document))");
        HOSTILE.put("an index", "CREATE INDEX i ON project(length(document))");
        HOSTILE.put("a negative version", "PRAGMA user_version = -4");
        HOSTILE.put("no version", "PRAGMA user_version = 0");
        HOSTILE.put("a newer version", "PRAGMA user_version = 99");
        HOSTILE.put("no shelf", "DELETE FROM setting WHERE key = 'shelf'");
        HOSTILE.put("no settings", "DELETE FROM setting");
        HOSTILE.put("an empty document", "UPDATE project SET document = '' WHERE position = 0");
        HOSTILE.put("null for a document", "UPDATE project SET document = 'null' WHERE position = 0");
        HOSTILE.put("an id that climbs",
                "UPDATE project SET document = replace(document, '\"id\":\"owl\"', '\"id\":\"../../../owl\"'), id = '../../../owl' WHERE "
                        + "id = 'owl'");
        HOSTILE.put("two stones of one id", "INSERT INTO found SELECT 'x', 0, json_set(document, '$.name', 'Twin') FROM found LIMIT 1");
        HOSTILE.put("a blob", "UPDATE setting SET document = x'00ff00ff' WHERE key = 'view'");
        HOSTILE.put("a very deep document", "UPDATE setting SET document = replace(hex(zeroblob(4000)), '00', '[') WHERE key = 'shelf'");
        HOSTILE.put("a very long document", "UPDATE setting SET document = hex(zeroblob(4000000)) WHERE key = 'shelf'");
        HOSTILE.put("another application's mark", "PRAGMA application_id = 7");
    }

    private final Tally tally;
    private final SplittableRandom random;
    private final Path folder;

    ForeignFiles(Tally tally, long seed, Path folder) {
        this.tally = tally;
        this.random = new SplittableRandom(seed);
        this.folder = folder;
    }

    void run(int most, long until) throws Exception {
        Path good = folder.resolve("good.pebble");
        StudioStore.open(good, Child.fresh()).close();
        for (int i = 0; i < Math.min(most, 200) && System.currentTimeMillis() < until; i++) {
            for (Map.Entry<String, String> each : HOSTILE.entrySet()) {
                hostile(good, each.getKey(), each.getValue(), i % 2 == 1);
            }
            places(good);
        }
    }

    /** @param inLog whether the change is still in the log file, as after a kill */
    private void hostile(Path good, String what, String sql, boolean inLog) throws Exception {
        Tally.Row row = tally.row(what);
        Path at = folder.resolve("one");
        Processes.clear(at);
        Files.createDirectories(at);
        Path file = at.resolve("studio.pebble");
        Path work = at.resolve("work.pebble");
        Files.copy(good, work);
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + work);
                Statement statement = connection.createStatement()) {
            if (inLog) {
                statement.execute("PRAGMA journal_mode = WAL");
                statement.execute("PRAGMA wal_autocheckpoint = 0");
            }
            for (String each : sql.contains("TRIGGER") ? new String[] {sql} : sql.split(";")) {
                statement.execute(each);
            }
            Files.copy(work, file); // as it stands, with the log not played in
            Path log = at.resolve("work.pebble-wal");
            if (Files.exists(log)) {
                Files.copy(log, at.resolve("studio.pebble-wal"));
            }
        }
        for (String name : Disk.names(at)) {
            if (name.startsWith("work")) {
                Files.delete(at.resolve(name));
            }
        }
        opened(row, file, what);
    }

    /** Tries to open what ought to be refused. */
    private void opened(Tally.Row row, Path file, String what) throws Exception {
        byte[] before = Files.readAllBytes(file);
        row.runs++;
        long from = System.nanoTime();
        try (StudioStore store = StudioStore.open(file, Child.fresh())) {
            row.unclear++;
            tally.fault(what + ": opened with " + store.studio().projects().size() + " stones");
        } catch (FileTrouble e) {
            told(row, e, what);
            if (!Arrays.equals(before, Files.readAllBytes(file))) {
                row.half++;
                tally.fault(what + ": refused and yet changed");
            }
        }
        row.took((System.nanoTime() - from) / 1_000_000);
        List<String> left = new ArrayList<>(Disk.names(file.getParent()));
        left.removeIf(n -> n.equals("studio.pebble") || n.equals("studio.pebble-wal"));
        if (!left.isEmpty()) {
            row.half++;
            tally.fault(what + ": left behind " + left);
        }
    }

    private void told(Tally.Row row, FileTrouble e, String what) {
        List<String> wrong = Clear.wrong(e);
        if (!wrong.isEmpty()) {
            row.unclear++;
            tally.fault(what + ": " + wrong + " in: " + e.getMessage());
        }
    }

    /** Odd places: folders, links, names that mean something to the database. */
    private void places(Path good) throws Exception {
        Tally.Row row = tally.row("odd places");
        Path at = folder.resolve("places");
        Processes.clear(at);
        Files.createDirectories(at.resolve("folder.pebble"));
        for (Path each : List.of(at.resolve("folder.pebble"), Path.of("/"), Path.of("/dev/null"), Path.of("/dev/zero"))) {
            row.runs++;
            try {
                StudioStore.open(each, Child.fresh()).close();
                row.unclear++;
                tally.fault("opened " + each);
            } catch (FileTrouble e) {
                told(row, e, each.toString());
            }
        }
        for (String name : List.of("a?b=c.pebble", "100%.pebble", "Lampe ☂.pebble", "mode=ro", "#1.pebble", "a b'c\".pebble")) {
            row.runs++;
            Path file = at.resolve(name);
            Files.copy(good, file);
            try (StudioStore store = StudioStore.open(file, Child.fresh())) {
                store.commit(new Edits(random.nextLong()).next(store.studio()).after(), "edit");
            }
        }
        Path target = Files.copy(good, at.resolve("target.pebble"));
        Path link = Files.createSymbolicLink(at.resolve("link.pebble"), target);
        row.runs++;
        try (StudioStore store = StudioStore.open(link, Child.fresh())) {
            try {
                StudioStore.open(target, Child.fresh()).close();
                row.lost++;
                tally.fault("a studio and a link to it were open at once");
            } catch (FileTrouble e) {
                told(row, e, "link");
            }
            Files.deleteIfExists(at.resolve("target.pebble.lock"));
            try {
                StudioStore.open(target, Child.fresh()).close();
                row.lost++;
                tally.fault("without its lock file a studio was open twice");
            } catch (FileTrouble e) {
                told(row, e, "lock file taken away");
            }
            row.acknowledged += store.studio().projects().size();
        }
        Path loose = Files.createSymbolicLink(at.resolve("loose.pebble"), at.resolve("nowhere.pebble"));
        try {
            StudioStore.open(loose, Child.fresh()).close();
            row.unclear++;
        } catch (FileTrouble e) {
            told(row, e, "loose link");
        }
    }
}
