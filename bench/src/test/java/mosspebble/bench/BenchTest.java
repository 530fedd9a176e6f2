package mosspebble.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;

/** What is asked of the bench by words: a slip of the pen must not measure for a quarter of an hour. */
class BenchTest {

    private final StringWriter said = new StringWriter();

    private int asked(String... words) {
        return new CommandLine(new Bench()).setOut(new PrintWriter(said)).setErr(new PrintWriter(said)).execute(words);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"--onyl start|--onyl", "start|start", "--only|--only", "--only strat|no area \"strat\"",
        "--only start,strat|no area \"strat\"", "--only start --to|--to", "--jmh --only strat|no area \"strat\""})
    void whatIsNotKnownIsToldAndNothingIsMeasured(String words, String told) {
        assertThat(asked(words.split(" "))).isEqualTo(CommandLine.ExitCode.USAGE);
        assertThat(said.toString()).contains(told);
    }

    @Test
    void aDrawingOfWhatIsNotMeasuredIsRefusedAndNoFileIsMade(@TempDir Path folder) {
        Path drawing = folder.resolve("growth.svg");

        assertThat(asked("--only", "start,rest", "--to", drawing.toString())).isEqualTo(CommandLine.ExitCode.USAGE);
        assertThat(said.toString()).startsWith("--to draws growth, which --only leaves out");
        assertThat(drawing).doesNotExist();
    }

    @Test
    void helpNamesEveryAreaInTheOrderInWhichTheyAreMeasured() {
        assertThat(asked("--help")).isZero();
        assertThat(said.toString().replaceAll("\\s+", " "))
                .contains("start, rest, window, plan, stone, sketch, timetable, book, photo, proof, growth").contains("--keep");
    }
}
