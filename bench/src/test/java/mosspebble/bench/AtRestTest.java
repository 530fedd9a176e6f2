package mosspebble.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;

class AtRestTest {

    @Test
    @EnabledOnOs(OS.LINUX)
    void oneThatWorksAndOneThatSleepsAreToldApart() throws Exception {
        Process works = new ProcessBuilder("sh", "-c", "while :; do :; done").start();
        Process sleeps = new ProcessBuilder("sleep", "30").start();
        try {
            AtRest.Taken busy = AtRest.taken(works, Duration.ofSeconds(2));
            AtRest.Taken still = AtRest.taken(sleeps, Duration.ofSeconds(1));
            assertThat(busy.cores()).as("a share of one core, on a machine that has other work as well").isBetween(0.05, 1.1);
            assertThat(still.cores()).isCloseTo(0, within(0.005));
            assertThat(still.resident().orElseThrow()).as("MB of a process that does nothing").isBetween(0.1, 20.0);
        } finally {
            works.destroyForcibly();
            sleeps.destroyForcibly();
        }
    }

    @Test
    void aProcessThatIsNotThereHasNoMemory() {
        assertThat(AtRest.resident(Long.MAX_VALUE)).isEmpty();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Figures figures = new Figures(new PrintStream(out, true, StandardCharsets.UTF_8), List.of());
        AtRest.add(figures, "gone", new AtRest.Taken(AtRest.resident(Long.MAX_VALUE), 0.25), Figures.Goal.median(350),
                Figures.Goal.median(1));
        assertThat(out.toString(StandardCharsets.UTF_8).strip()).isEqualTo("| gone, of a core | 25 % |  | 1 % | over |  |  |");
    }

    @Test
    @EnabledOnOs(OS.LINUX)
    void thisProcessHoldsAtLeastItsHeap() {
        byte[] held = new byte[40_000_000];
        for (int i = 0; i < held.length; i += 1000) {
            held[i] = 1;
        }
        assertThat(AtRest.resident(ProcessHandle.current().pid()).orElseThrow()).isGreaterThan(held.length / 1e6);
    }
}
