package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import java.util.Optional;
import mosspebble.core.finding.Finding;
import org.junit.jupiter.api.Test;
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
}
