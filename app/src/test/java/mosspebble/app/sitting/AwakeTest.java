package mosspebble.app.sitting;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AwakeTest {

    @TempDir
    private Path folder;

    /** A command that notes its own number and then lasts as long as what it is told to run. */
    private List<String> lasting(Path note) {
        return List.of("sh", "-c", "echo $$ > " + note + ".part; mv " + note + ".part " + note + "; cat");
    }

    private static Optional<ProcessHandle> noted(Path note) throws Exception {
        for (int tries = 0; tries < 400 && !Files.exists(note); tries++) {
            Thread.sleep(25);
        }
        return ProcessHandle.of(Long.parseLong(Files.readString(note).strip()));
    }

    @Test
    void theFirstCommandThatStaysIsKeptUntilItIsLetGo() throws Exception {
        Path note = folder.resolve("held");
        Path other = folder.resolve("other");
        Awake awake = new Awake(List.of(List.of("no-such-command-anywhere"), List.of("false"), lasting(note), lasting(other)));
        awake.hold(true);
        awake.hold(true);
        ProcessHandle held = noted(note).orElseThrow();
        assertThat(held.isAlive()).isTrue();
        awake.hold(false);
        held.onExit().get(10, java.util.concurrent.TimeUnit.SECONDS);
        assertThat(held.isAlive()).isFalse();
        assertThat(other).as("one is enough").doesNotExist();
        Files.delete(note);
        awake.hold(true);
        assertThat(noted(note)).as("held once more").isPresent();
        awake.hold(false);
    }

    @Test
    void whereThereIsNoSuchCommandNothingHappens() throws Exception {
        Path note = folder.resolve("after");
        Awake awake = new Awake(List.of(List.of("no-such-command-anywhere"), List.of("false")));
        awake.hold(true);
        awake.hold(false);
        Awake next = new Awake(List.of(lasting(note)));
        next.hold(true);
        assertThat(noted(note)).isPresent();
        next.hold(false);
    }
}
