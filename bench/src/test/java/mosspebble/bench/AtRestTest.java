package mosspebble.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CountDownLatch;
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
            List<AtRest.Taken> both = AtRest.taken(List.of(works, sleeps), Duration.ofSeconds(2));
            AtRest.Taken busy = both.get(0);
            AtRest.Taken still = both.get(1);
            assertThat(busy.cores()).as("a share of one core, on a machine that has other work as well").isBetween(0.05, 1.1);
            assertThat(still.cores()).isCloseTo(0, within(0.005));
            assertThat(still.resident().orElseThrow()).as("MB of a process that does nothing").isBetween(0.1, 20.0);
        } finally {
            works.destroyForcibly();
            sleeps.destroyForcibly();
        }
    }

    @Test
    @EnabledOnOs(OS.LINUX)
    void whatWasDoneBeforeDoesNotCount() throws Exception {
        Process rests = new ProcessBuilder("sh", "-c", "i=0; while [ $i -lt 300000 ]; do i=$((i+1)); done; echo; exec sleep 30").start();
        try {
            rests.getInputStream().read();
            assertThat(AtRest.taken(List.of(rests), Duration.ofMillis(500)).get(0).cores()).isCloseTo(0, within(0.02));
        } finally {
            rests.destroyForcibly();
        }
    }

    /** Held against the thread's own clock. */
    @Test
    void whatAnotherThreadDoesCounts() throws Exception {
        long tenth = 100_000_000;
        CountDownLatch done = new CountDownLatch(1);
        CountDownLatch looked = new CountDownLatch(1);
        long before = AtRest.worked(ProcessHandle.current()).values().stream().mapToLong(ns -> ns).sum();
        Thread works = new Thread(() -> {
            while (ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() < tenth) {
                Thread.onSpinWait();
            }
            done.countDown();
            try {
                looked.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        works.start();
        done.await();
        long after = AtRest.worked(ProcessHandle.current()).values().stream().mapToLong(ns -> ns).sum();
        looked.countDown();
        works.join();
        assertThat(after - before).isGreaterThan(tenth * 9 / 10);
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
