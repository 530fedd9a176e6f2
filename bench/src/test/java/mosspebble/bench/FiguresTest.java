package mosspebble.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Figures beside what is wanted of them and what they were. */
class FiguresTest {

    @TempDir
    private Path folder;

    private final ByteArrayOutputStream printed = new ByteArrayOutputStream();

    private Figures figures(List<Figures.Figure> kept) {
        return new Figures(new PrintStream(printed, true, StandardCharsets.UTF_8), kept);
    }

    private String printed() {
        return printed.toString(StandardCharsets.UTF_8);
    }

    private static Figures.Figure kept(String area, String what, double median, double high) {
        return new Figures.Figure(area, what, "ms", median, high, Figures.Goal.NONE, "");
    }

    /** Nearest rank; numbers from the worked example of the nearest-rank method in an encyclopedia (from memory). */
    @Test
    void percentilesAreTheNearestRank() {
        List<Double> five = List.of(50.0, 15.0, 40.0, 20.0, 35.0);
        assertThat(Figures.percentile(five, 30)).isEqualTo(20);
        assertThat(Figures.percentile(five, 40)).isEqualTo(20);
        assertThat(Figures.median(five)).isEqualTo(35);
        assertThat(Figures.percentile(five, 100)).isEqualTo(50);
        assertThat(Figures.percentile(List.of(7.0), 95)).isEqualTo(7);
        assertThat(Figures.percentile(IntStream.rangeClosed(1, 100).mapToObj(i -> (double) i).toList(), 95)).isEqualTo(95);
    }

    @Test
    void everyFigureStandsBesideItsGoalAndWhatItWas() {
        Figures figures = figures(List.of(kept("plan", "replan", 40, 80), kept("stone", "dome", 1, 1)));
        figures.begin("plan");
        figures.millis("replan", List.of(0.020, 0.030, 0.060), Figures.Goal.median(50));
        figures.millis("drag", List.of(0.010, 0.010, 0.020), Figures.Goal.ninetyFifth(16.7));
        figures.millis("dome", List.of(0.25), Figures.Goal.NONE);
        figures.end();
        assertThat(printed()).contains("| replan | 30 ms | 60 ms | 50 ms | met | 40 ms, now 0.75 x |  |")
                .contains("| drag | 10 ms | 20 ms | 16.7 ms at the 95th | over |  |  |")
                .as("nothing is wanted of it, and the dome kept is one of another area").contains("| dome | 250 ms |  |  |  |  |  |")
                .contains("\nplan: 1 of 2 as wanted; over: drag 20 ms for 16.7 ms.");
    }

    @Test
    void aLineTellsOfEachAreaAndTheLastOfAll() {
        Figures figures = figures(List.of());
        figures.begin("start");
        figures.one("against the empty window", "x", 2.04, Figures.Goal.median(1.6), "");
        figures.end();
        figures.begin("stone");
        figures.one("tape", "ms", 0.5, Figures.Goal.NONE, "");
        figures.end();
        figures.begin("proof");
        figures.one("false alarms, of 100", "", 5, Figures.Goal.median(5), "");
        figures.end();
        figures.endAll();
        assertThat(printed()).contains("\nstart: 0 of 1 as wanted; over: against the empty window 2.04 x for 1.60 x.")
                .contains("\nstone: nothing wanted, 1 measured.").as("as much as is allowed is allowed")
                .contains("\nproof: 1 of 1 as wanted.")
                .contains("\nAll areas: 1 of 2 figures as wanted, 3 measured.");
    }

    /** Every press is to be answered in time, not ninety-five of a hundred. */
    @Test
    void pressesThatTakeTooLongAreCounted() {
        assertThat(Bench.named("none")).isZero();
        assertThat(Bench.named("Words larger 153 ms")).isEqualTo(1);
        assertThat(Bench.named("Look: dry, wet, curing, sealed 289 ms, Go to Stone 216 ms, skin 108 ms")).isEqualTo(3);
    }

    @Test
    void whatIsKeptIsReadAgainAndAreasNotMeasuredStay() throws Exception {
        Path file = folder.resolve("figures.csv");
        assertThat(Figures.read(file)).as("no file, no figures").isEmpty();
        Figures first = figures(List.of());
        first.begin("start");
        first.one("ratio, \"warm\"", "x", 2.0439, Figures.Goal.NONE, "");
        first.begin("plan");
        first.add("owl", "ms", 15_043.7, 20_000, Figures.Goal.NONE, "");
        first.keep(file, List.of("start", "plan", "stone"));
        Figures second = figures(Figures.read(file));
        second.begin("plan");
        second.add("heron", "ms", 0.00012, 0.5, Figures.Goal.NONE, "");
        second.keep(file, List.of("start", "plan", "stone"));
        List<Figures.Figure> read = Figures.read(file);
        assertThat(read).extracting(Figures.Figure::area).containsExactly("start", "plan");
        assertThat(read).extracting(Figures.Figure::what).as("an area is kept as it was measured last")
                .containsExactly("ratio, \"warm\"", "heron");
        assertThat(read.get(0).median()).isCloseTo(2.044, within(1e-9));
        assertThat(read.get(1).median()).isCloseTo(0.00012, within(1e-12));
        assertThat(Files.readString(file)).as("no powers of ten").doesNotContain("E").startsWith("area,what,unit,median,95th percentile\n");
    }

    @Test
    void aFileThatIsSpoiltIsSaidWhereAndHowToMendIt() throws Exception {
        Path file = folder.resolve("figures.csv");
        Files.writeString(file, "area,what,unit,median,95th percentile\nplan,owl,ms,12,14\nplan,fox,ms,quick,14\n");
        assertThatThrownBy(() -> Figures.read(file)).isInstanceOf(IOException.class).hasMessageContaining("line 3").hasMessageContaining(
                "\"quick\"");
        Files.writeString(file, "area,what,unit,median,95th percentile\nplan,owl\n");
        assertThatThrownBy(() -> Figures.read(file)).isInstanceOf(IOException.class).hasMessageContaining("line 2");
    }
}
