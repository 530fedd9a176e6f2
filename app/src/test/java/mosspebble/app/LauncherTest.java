package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The script that starts everything, as far as it must understand what it meets. */
class LauncherTest {

    /** A machine may say something before its version, as it does where options for it are set. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "openjdk version \"17.0.9\" 2023-10-17 | app-17.jsa",
        "Picked up JAVA_TOOL_OPTIONS: -Dwhere=\"3\";openjdk version \"17.0.9\" 2023-10-17 | app-17.jsa",
        "NOTE: Picked up JDK_JAVA_OPTIONS: -Xmx1g;openjdk version \"21\" 2023-09-19;OpenJDK Runtime Environment (build 21+35) | app-21.jsa",
        "openjdk version \"11.0.2\" 2019-01-15 | Java 17 or newer is needed; JAVA is 11.",
        "nothing that is known | Java 17 or newer is needed; JAVA is of no version that can be read."})
    void theVersionIsReadWhateverIsSaidBeforeIt(String said, String expected, @TempDir Path folder) throws Exception {
        Path java = folder.resolve("java");
        Files.writeString(java, "#!/bin/sh\ncat >&2 <<'END'\n" + said.replace(";", "\n") + "\nEND\n");
        assertThat(java.toFile().setExecutable(true)).isTrue();
        Process shell = new ProcessBuilder("bash", "-c", "say() { echo \"$@\"; }; eval \"$(sed -n '/^java_options()/,/^}/p' ../pebble)\";"
                + " java_bin=" + java + "; dist=d; java_options; echo \"${archive#d/}\"").redirectErrorStream(true).start();
        String answer = new String(shell.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        shell.waitFor();
        assertThat(answer.replace(java.toString(), "JAVA")).startsWith(expected);
    }
}
