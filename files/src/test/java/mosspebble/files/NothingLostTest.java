package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.lang.reflect.Field;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.OwnFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What must not hurt a studio: a full disk, a start cut short, a file taken away, a file from elsewhere, a second program. */
class NothingLostTest {

    private static final Studio DEMO = LanternWalk.studio(BuiltIn.repertoire());

    @TempDir
    private Path folder;

    private Path file() {
        return folder.resolve("studio.pebble");
    }

    private StudioStore demo() throws FileTrouble {
        return StudioStore.open(file(), () -> DEMO);
    }

    /** As if the disk were full: the database may not grow by a single page. */
    private static void fill(StudioStore store) throws Exception {
        try (Statement sql = connection(store).createStatement()) {
            sql.execute("PRAGMA max_page_count = 1"); // held at the pages there are
        }
    }

    private static Connection connection(StudioStore store) throws ReflectiveOperationException {
        Field field = StudioStore.class.getDeclaredField("connection");
        field.setAccessible(true);
        return (Connection) field.get(store);
    }

    private static Studio larger(Studio studio, int number) {
        return studio.plus(new OwnFile(OwnFile.Kind.MOTIF, "own-" + number, "Own " + number, "<svg>" + "x".repeat(30_000) + "</svg>"));
    }

    private Studio reopened() throws FileTrouble {
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            return store.studio();
        }
    }

    // --- a full disk

    @Test
    void anEditRefusedByAFullDiskIsNotThereAndLaterOnesAre() throws Exception {
        Studio kept = DEMO.withView(DEMO.unit(), true);
        try (StudioStore store = demo()) {
            store.commit(kept, "Evening");
            fill(store);
            assertThatThrownBy(() -> store.commit(larger(kept, 1).without("owl"), "Take off")).isInstanceOf(FileTrouble.class)
                    .hasMessageContaining("\"Take off\" is not kept: the disk is full.").hasMessageContaining("Make room");
            assertThat(store.studio()).isEqualTo(kept);

            store.commit(kept.without("snail"), "Take off the snail"); // there is room again
            assertThat(store.studio().project("snail")).isEmpty();
        }
        assertThat(reopened()).isEqualTo(kept.without("snail"));
        assertThat(reopened().project("owl")).isPresent();
    }

    @Test
    void whatIsKeptInHandIsStoredWholeOnceThereIsRoom() throws Exception {
        Studio hand = larger(larger(DEMO.without("owl"), 1), 2).withView(DEMO.unit(), true);
        try (StudioStore store = demo()) {
            fill(store);
            assertThatThrownBy(() -> store.commit(larger(DEMO.without("owl"), 1), "one")).isInstanceOf(FileTrouble.class);
            store.commit(hand, "two");
        }
        assertThat(reopened()).isEqualTo(hand);
    }

    @Test
    void theDatabasesOwnIntegrityCheckPassesAfterRefusals() throws Exception {
        try (StudioStore store = demo()) {
            for (int i = 1; i < 4; i++) {
                int number = i;
                fill(store);
                assertThatThrownBy(() -> store.commit(larger(store.studio(), number), "grow")).isInstanceOf(FileTrouble.class);
                store.commit(store.studio().withView(DEMO.unit(), i % 2 == 0), "view");
            }
        }
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + file()); Statement statement = sql.createStatement();
                ResultSet check = statement.executeQuery("PRAGMA integrity_check")) {
            assertThat(check.getString(1)).isEqualTo("ok");
        }
    }

    // --- a start cut short

    @ParameterizedTest
    @ValueSource(strings = {"", "PRAGMA application_id = 1297114466",
        "PRAGMA application_id = 1297114466; CREATE TABLE project(id TEXT PRIMARY KEY, position INTEGER NOT NULL, document TEXT NOT NULL); "
                + "CREATE TABLE found(id TEXT PRIMARY KEY, position INTEGER NOT NULL, document TEXT NOT NULL); CREATE TABLE own(id TEXT "
                + "PRIMARY KEY, position INTEGER NOT NULL, document TEXT NOT NULL); "
                + "CREATE TABLE setting(key TEXT PRIMARY KEY, document TEXT NOT NULL); CREATE TABLE edit(number INTEGER PRIMARY KEY "
                + "AUTOINCREMENT, at TEXT NOT NULL, title TEXT NOT NULL); PRAGMA user_version = 3"})
    void aFirstStartCutShortCountsAsNew(String reached) throws Exception {
        Files.createFile(file());
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + file()); Statement statement = sql.createStatement()) {
            for (String each : reached.split(";")) {
                statement.execute(each.isBlank() ? "SELECT 1" : each);
            }
        }
        Files.writeString(SafeWrite.part(file()), "half a studio");

        try (StudioStore store = demo()) {
            assertThat(store.studio()).isEqualTo(DEMO);
        }
        assertThat(reopened()).isEqualTo(DEMO);
    }

    @Test
    void theLogOfAStudioThatStoodHereOnceIsNotPlayedIntoANewOne() throws Exception {
        try (StudioStore store = demo()) {
            store.commit(DEMO.without("owl"), "Take off");
            Files.copy(Path.of(file() + "-wal"), folder.resolve("old-wal"));
        }
        Files.delete(file());
        Files.copy(folder.resolve("old-wal"), Path.of(file() + "-wal"));

        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio()).isEqualTo(LanternWalk.newcomer());
        }
        assertThat(reopened()).isEqualTo(LanternWalk.newcomer());
    }

    @Test
    void anOldStudioThatCannotBeBroughtUpToDateStaysAsItWas() throws Exception {
        Files.copy(NothingLostTest.class.getResourceAsStream("studio-format-2.pebble"), file());
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + file()); Statement statement = sql.createStatement()) {
            statement.execute("UPDATE setting SET document = '{\"paints\":[{\"id\":3}]}' WHERE key = 'shelf'");
        }
        byte[] before = Files.readAllBytes(file());
        assertThatThrownBy(this::demo).isInstanceOf(FileTrouble.class);
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + file()); Statement statement = sql.createStatement();
                ResultSet version = statement.executeQuery("PRAGMA user_version")) {
            assertThat(version.getInt(1)).isEqualTo(2);
        }
        assertThat(Files.size(file())).isEqualTo(before.length);
    }

    @Test
    void aStudioIsCopiedBeforeItIsBroughtUpToDate() throws Exception {
        Files.copy(NothingLostTest.class.getResourceAsStream("studio-format-1.pebble"), file());
        Studio today = reopened();
        List<Backups.Copy> copies = Backups.of(file()).list();
        assertThat(copies).anyMatch(c -> c.file().getFileName().toString().endsWith("-before-format-" + StudioFile.VERSION + ".pebble"));
        assertThat(Backups.look(copies.get(0))).isEqualTo(today);
    }

    // --- taken away while open

    @Test
    void aStudioDeletedWhileItIsOpenIsWrittenAnew() throws Exception {
        try (StudioStore store = demo()) {
            Files.delete(file());
            Files.deleteIfExists(Path.of(file() + "-wal"));
            assertThat(store.watch()).isTrue();
            assertThat(store.takeNote()).contains("nothing is lost");
            assertThat(store.takeNote()).isEmpty();
            Files.delete(file());
            store.commit(DEMO.without("owl"), "Take off");
        }
        assertThat(reopened()).isEqualTo(DEMO.without("owl"));
    }

    @Test
    void aStrangerInTheStudiosPlaceIsKeptUnderAnotherName() throws Exception {
        try (StudioStore store = demo()) {
            Files.delete(file());
            Files.writeString(file(), "somebody's letter");
            store.commit(DEMO.without("owl"), "Take off");
            assertThat(store.takeNote()).contains("studio-found.pebble");
        }
        assertThat(Files.readString(folder.resolve("studio-found.pebble"))).isEqualTo("somebody's letter");
        assertThat(reopened()).isEqualTo(DEMO.without("owl"));
    }

    // --- from elsewhere

    @ParameterizedTest
    @ValueSource(strings = {"CREATE TRIGGER t AFTER UPDATE ON project BEGIN DELETE FROM found", "CREATE VIEW extra AS SELECT 1",
        "CREATE TABLE extra(a)", "CREATE INDEX i ON project(position)", "PRAGMA user_version = -4",
        "PRAGMA user_version = 0", "PRAGMA user_version = 99", "DELETE FROM setting WHERE key = 'shelf'",
        "UPDATE project SET document = 'null'", "UPDATE project SET document = '{}'",
        "UPDATE project SET document = replace(document, '\"id\":\"owl\"', '\"id\":\"../owl\"')",
        "UPDATE project SET id = 'wren' WHERE id = 'owl'",
        "UPDATE setting SET document = replace(hex(zeroblob(3000)), '00', '[') WHERE key = 'shelf'", "PRAGMA application_id = 7"})
    void whatNoStudioHasIsRefusedAndLeftAsItWas(String change) throws Exception {
        demo().close();
        Path good = folder.resolve("changed.pebble");
        Files.move(file(), good);
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + good); Statement statement = sql.createStatement()) {
            statement.execute("PRAGMA journal_mode = WAL");
            statement.execute("PRAGMA wal_autocheckpoint = 0");
            statement.execute(change + (change.contains("BEGIN") ? "; END" : ""));
            Files.copy(good, file()); // as after a kill: the change is in the log file only
            Files.copy(Path.of(good + "-wal"), Path.of(file() + "-wal"));
        }
        byte[] before = Files.readAllBytes(file());

        FileTrouble trouble = org.assertj.core.api.Assertions.catchThrowableOfType(FileTrouble.class, this::demo);

        assertThat(trouble).isNotNull();
        assertThat(trouble.getMessage()).matches("(?s).*[.]").doesNotContain("Exception").doesNotContain("mosspebble.")
                .doesNotContain("SQLITE");
        assertThat(Files.readAllBytes(file())).isEqualTo(before);
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left.map(p -> p.getFileName().toString())).doesNotContain("studio.pebble.lock", "studio.pebble-shm");
        }
    }

    @Test
    void aFolderADeviceAndALooseLinkAreToldAsWhatTheyAre() throws IOException {
        Path dir = Files.createDirectory(folder.resolve("dir.pebble"));
        Path loose = Files.createSymbolicLink(folder.resolve("loose.pebble"), folder.resolve("nowhere.pebble"));
        assertThatThrownBy(() -> StudioStore.open(dir, () -> DEMO)).hasMessageContaining("this is a folder");
        assertThatThrownBy(() -> StudioStore.open(Path.of("/"), () -> DEMO)).hasMessageContaining("this is a folder");
        assertThatThrownBy(() -> StudioStore.open(Path.of("/dev/zero"), () -> DEMO)).hasMessageContaining("device");
        assertThatThrownBy(() -> StudioStore.open(loose, () -> DEMO)).hasMessageContaining("link");
    }

    @ParameterizedTest
    @ValueSource(strings = {"what?cache=shared.pebble", "100%20.pebble", "ümläut ☂ #1.pebble", "mode=memory"})
    void namesThatMeanSomethingToTheDatabaseAreJustNames(String name) throws FileTrouble {
        Path odd = folder.resolve(name);
        try (StudioStore store = StudioStore.open(odd, LanternWalk::newcomer)) {
            store.commit(DEMO, "all");
        }
        assertThat(odd).isRegularFile();
        try (StudioStore store = StudioStore.open(odd, LanternWalk::newcomer)) {
            assertThat(store.studio()).isEqualTo(DEMO);
        }
    }

    // --- a second program

    @Test
    void aLinkAndItsTargetAreOneStudioAndTheHolderIsNamed() throws Exception {
        try (StudioStore store = demo()) {
            Path link = Files.createSymbolicLink(folder.resolve("link.pebble"), file());
            assertThatThrownBy(() -> StudioStore.open(link, LanternWalk::newcomer)).hasMessageContaining("already open")
                    .matches(e -> ((FileTrouble) e).passes());
            assertThat(store.studio()).isEqualTo(DEMO);
        }
        assertThat(folder.resolve("studio.pebble.lock")).doesNotExist();
    }

    @Test
    void withoutItsLockFileTheStudioIsStillKeptFromAnotherProcess() throws Exception {
        try (StudioStore store = demo()) {
            assertThat(other()).contains("in use").contains("process " + ProcessHandle.current().pid());
            Files.delete(folder.resolve("studio.pebble.lock"));
            assertThat(other()).contains("in use");
            store.commit(DEMO.without("owl"), "Take off");
        }
        assertThat(reopened()).isEqualTo(DEMO.without("owl"));
    }

    @Test
    void whereTheDatabaseCannotBeUnpackedAnywhereThatIsSaid() throws Exception {
        String nowhere = Files.writeString(folder.resolve("file"), "").resolve("below").toString();
        assertThat(other("-Duser.home=" + nowhere, "-Djava.io.tmpdir=" + nowhere)).contains("trouble").contains("can neither be unpacked")
                .contains("Make room").doesNotContain("Exception");
        assertThat(other("-Duser.home=" + nowhere)).as("the temp folder will do").startsWith("open 0");
    }

    private String other(String... options) throws Exception {
        List<String> command = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-Xshare:auto"));
        command.addAll(List.of(options));
        command.addAll(List.of("-cp", System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                Opener.class.getName(), file().toString()));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().remove("XDG_CACHE_HOME");
        Process process = builder.start();
        String said = new String(process.getInputStream().readAllBytes());
        process.waitFor();
        return said;
    }

    /** A second program that tries to open the studio. */
    static final class Opener {
        public static void main(String[] args) {
            try (StudioStore store = StudioStore.open(Path.of(args[0]), LanternWalk::newcomer)) {
                System.out.println("open " + store.studio().projects().size());
            } catch (FileTrouble e) {
                System.out.println((e.passes() ? "in use " : "trouble ") + e.getMessage());
            }
        }
    }

    // --- while work goes on

    @Test
    void aCopySavedWhileWorkingIsTheStudioInHandAndASecondReaderAgrees() throws Exception {
        Path copy = folder.resolve("elsewhere").resolve("copy.pebble");
        try (StudioStore store = demo()) {
            store.copyTo(copy, DEMO.without("owl"));
            assertThatThrownBy(() -> store.copyTo(file(), DEMO)).hasMessageContaining("the studio itself");
            assertThat(store.studio()).isEqualTo(DEMO);
        }
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + copy); Statement statement = sql.createStatement();
                ResultSet rows = statement.executeQuery("SELECT count(*) FROM project")) {
            assertThat(rows.getInt(1)).isEqualTo(8);
        }
        assertThat(reopened()).isEqualTo(DEMO);
    }

    @Test
    void noNativeLibraryIsLeftInTheTempFolder() throws Exception {
        demo().close();
        try (Stream<Path> temp = Files.list(Path.of(System.getProperty("java.io.tmpdir")))) {
            assertThat(temp.map(p -> p.getFileName().toString())
                    .filter(n -> n.startsWith("sqlite-") && n.contains(String.valueOf(ProcessHandle.current().pid())))).isEmpty();
        }
        assertThat(System.getProperty("org.sqlite.lib.path")).isNotNull();
    }

    @Test
    void faultsOfTheDatabaseAreToldByWhatTheyMean() throws SQLException {
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:"); Statement statement = sql.createStatement()) {
            statement.execute("CREATE TABLE t(a)");
            statement.execute("PRAGMA max_page_count = 2");
            assertThatThrownBy(() -> statement.execute("INSERT INTO t VALUES(zeroblob(100000))")).isInstanceOfSatisfying(SQLException.class,
                    e -> assertThat(Fault.of(e)).isEqualTo(Fault.FULL));
            statement.execute("PRAGMA query_only = ON");
            assertThatThrownBy(() -> statement.execute("INSERT INTO t VALUES(1)")).isInstanceOfSatisfying(SQLException.class,
                    e -> assertThat(Fault.of(e)).isEqualTo(Fault.NO_PERMISSION));
        }
        assertThat(Arrays.stream(Fault.values()).map(Fault::reason)).doesNotHaveDuplicates().allMatch(r -> !r.isBlank());
    }
}
