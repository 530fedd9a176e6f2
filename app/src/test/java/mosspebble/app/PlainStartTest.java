package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.finding.Finding;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** The usual ways to start, which are read by hand. */
class PlainStartTest {

    private static Optional<MossPebbleApp.Wish> of(String... args) {
        return Main.plain(args);
    }

    @Test
    void oneSOwnStudioAndTheDemoOpenAtOnce() {
        MossPebbleApp.Wish own = of().orElseThrow();
        assertThat(own.demo()).isFalse();
        assertThat(own.studio().getFileName()).hasToString("studio.pebble");
        assertThat(own.stage()).isEqualTo(Finding.Stage.STONE);
        assertThat(own.shot()).isNull();
        MossPebbleApp.Wish demo = of("demo").orElseThrow();
        assertThat(demo.demo()).isTrue();
        assertThat(demo.studio().getFileName()).hasToString("demo.pebble");
        for (MossPebbleApp.Wish named : new MossPebbleApp.Wish[] {of("demo", "--studio", "x/y.pebble").orElseThrow(),
            of("--studio=x/y.pebble").orElseThrow(), of("x/y.pebble").orElseThrow()}) {
            assertThat(named.studio()).isEqualTo(Path.of("x/y.pebble"));
        }
    }

    @Test
    void whateverElseIsAskedIsReadWithCare() {
        assertThat(of("--help")).isEmpty();
        assertThat(of("export", "--demo")).isEmpty();
        assertThat(of("demo", "--once")).isEmpty();
        assertThat(of("demo", "--studio")).isEmpty();
        assertThat(of("demo", "--studio", "--once")).isEmpty();
        assertThat(of("--studio", "a.pebble", "--shot=b.png")).isEmpty();
        assertThat(of("--studio", "a\0b")).as("no path: said with all others").isEmpty();
        assertThat(of("a.png")).isEmpty();
        assertThat(of("demo", "a.pebble")).isEmpty();
        assertThat(of("-a.pebble")).isEmpty();
    }

    @Test
    void aMistypedWordIsNoStudio() {
        CommandLine line = Main.commandLine();
        StringWriter said = new StringWriter();
        line.setErr(new PrintWriter(said));
        assertThat(line.execute("exprot")).isEqualTo(2);
        assertThat(said.toString()).contains("\"exprot\" is no studio").contains("demo, export, check, sittings");
    }

    /** What a start says that opens no window. */
    private static String started(Path folder, Map<String, String> environment) throws Exception {
        ProcessBuilder start = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-cp",
                System.getProperty("java.class.path"), "mosspebble.app.Main", "demo", "--studio", folder.resolve("s.pebble").toString());
        start.environment().keySet().removeAll(List.of("DISPLAY", "WAYLAND_DISPLAY"));
        start.environment().putAll(environment);
        Process process = start.redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
        String said = new String(process.getErrorStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).isEqualTo(1);
        assertThat(said).contains("export, check and sittings work without").doesNotContain("Exception").doesNotContain("\tat ");
        return said;
    }

    @Test
    void withoutADisplayASentenceSaysSo(@TempDir Path folder) throws Exception {
        assertThat(started(folder, Map.of())).contains("There is no display to open a window on");
        assertThat(started(folder, Map.of("DISPLAY", ":4711"))).contains("\":4711\" does not answer");
        assertThat(Main.noWindow(":9", null)).contains("\":9\" does not answer").contains("GTK 3");
        assertThat(Main.noWindow("", "wayland-0")).contains("\"wayland-0\"");
    }

    /** Needs a display that answers: the toolkit looks for that first. An empty file stands in the way of the real library. */
    @Test
    @EnabledIfEnvironmentVariable(named = "DISPLAY", matches = ":.*")
    void withoutItsToolkitASentenceSaysSo(@TempDir Path folder) throws Exception {
        Path none = Files.createDirectories(folder.resolve("none"));
        Files.createFile(none.resolve("libgtk-3.so.0"));
        assertThat(started(folder, Map.of("DISPLAY", System.getenv("DISPLAY"), "LD_LIBRARY_PATH", none.toString())))
                .contains("or GTK 3 (libgtk-3) is not installed");
    }

    @Test
    void aStudioThatIsNotThereIsNotMadeByLookingForIt(@TempDir Path folder) throws Exception {
        Path wrong = folder.resolve("deep/mistyped.pebble");
        for (String[] args : new String[][] {{"check", "--studio", wrong.toString()}, {"export", "--studio", wrong.toString()},
            {"sittings", "--studio", wrong.toString()}}) {
            PrintStream usual = System.err;
            ByteArrayOutputStream said = new ByteArrayOutputStream();
            System.setErr(new PrintStream(said, true, StandardCharsets.UTF_8));
            try {
                assertThat(Main.commandLine().execute(args)).as(args[0]).isEqualTo(1);
            } finally {
                System.setErr(usual);
            }
            assertThat(said.toString(StandardCharsets.UTF_8)).contains("There is no studio at " + wrong).contains("Name a file");
        }
        assertThat(wrong.getParent()).doesNotExist();
    }

    @Test
    void aStudioIsArchivedAndTakenInByTheCommandLine(@TempDir Path folder) throws Exception {
        Path studio = folder.resolve("mine.pebble");
        StudioStore.open(studio, LanternWalk::newcomer).close();
        PrintStream usual = System.out;
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        System.setOut(new PrintStream(said, true, StandardCharsets.UTF_8));
        try {
            assertThat(Main.commandLine().execute("archive", "--studio", studio.toString(), "--to", folder.resolve("all.zip").toString()))
                    .isZero();
            assertThat(Main.commandLine().execute("archive", "--take-in", folder.resolve("all.zip").toString(), "--studio",
                    folder.resolve("other.pebble").toString())).isZero();
        } finally {
            System.setOut(usual);
        }
        assertThat(said.toString(StandardCharsets.UTF_8)).contains("Written: ").contains("0 stones, 0 pages");
        try (StudioStore store = StudioStore.open(folder.resolve("other.pebble"), () -> null)) {
            assertThat(store.studio()).isEqualTo(LanternWalk.newcomer());
        }
        PrintStream errors = System.err;
        ByteArrayOutputStream wrong = new ByteArrayOutputStream();
        System.setErr(new PrintStream(wrong, true, StandardCharsets.UTF_8));
        try {
            assertThat(Main.commandLine().execute("archive")).isEqualTo(2);
            assertThat(Main.commandLine().execute("archive", "--take-in", folder.resolve("all.zip").toString(), "--studio",
                    studio.toString())).as("it stands there already").isEqualTo(1);
        } finally {
            System.setErr(errors);
        }
        assertThat(wrong.toString(StandardCharsets.UTF_8)).contains("--to").contains("Choose a name that is free");
    }
}
