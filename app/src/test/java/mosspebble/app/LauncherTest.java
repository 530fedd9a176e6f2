package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.lang.module.Configuration;
import java.lang.module.ModuleFinder;
import java.lang.module.ResolvedModule;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.spi.ToolProvider;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
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
        assertThat(options(java(folder, said, "")).get("archive")).startsWith(expected);
    }

    /** A Java of its own is taken only where it was made of the Java that is asked for, and after the libraries were last changed. */
    @ParameterizedTest
    @CsvSource({"17.0.9, 17.0.9, true", "17.0.9, 17.0.8, false", "21, 17.0.9, false", "17.0.9, none, false"})
    void aJavaOfItsOwnIsTakenWhereItIsTheOneThatIsAskedFor(String asked, String made, boolean taken, @TempDir Path folder)
            throws Exception {
        Path home = java(folder, "openjdk version \"" + asked + "\" 2023-10-17", asked);
        Path own = folder.resolve("dist/runtime");
        if (!made.equals("none")) {
            Files.createDirectories(own);
            Files.writeString(own.resolve("release"), "MODULES=\"java.base\"\nJAVA_VERSION=\"" + made + "\"\n");
        }
        Map<String, String> found = options(home);
        assertThat(found.get("program")).isEqualTo(taken ? own + "/bin/java" : home + "/bin/java");
        assertThat(found.get("archive")).isEqualTo(taken ? "runtime/app.jsa" : "app-" + asked.replaceAll("\\..*", "") + ".jsa");
        assertThat(found.get("options").contains("--module-path")).as("the toolkit's modules are named where they are not in it")
                .isEqualTo(!taken);
    }

    @Test
    void oneThatWasMadeOfOlderLibrariesIsLeft(@TempDir Path folder) throws Exception {
        Path home = java(folder, "openjdk version \"17.0.9\" 2023-10-17", "17.0.9");
        Path release = Files.createDirectories(folder.resolve("dist/runtime")).resolve("release");
        Files.writeString(release, "JAVA_VERSION=\"17.0.9\"\n");
        Files.setLastModifiedTime(release, FileTime.from(Files.getLastModifiedTime(Path.of("../pom.xml")).toInstant().minusSeconds(60)));
        assertThat(options(home).get("program")).isEqualTo(home + "/bin/java");
    }

    /** What the program's own Java is made of: all that our own code asks of Java, as the JDK's own tool reads it. */
    @Test
    void allThatTheProgramAsksOfJavaIsInIt() throws Exception {
        String made = Files.readString(Path.of("installer/runtime.sh"));
        List<String> modules = List.of(made.replaceAll("(?s).*--add-modules (\\S+).*", "$1").split(","));
        assertThat(modules).hasSizeGreaterThan(5).contains("javafx.controls");
        ToolProvider jdeps = ToolProvider.findFirst("jdeps").orElseThrow();
        StringWriter said = new StringWriter();
        int ended = jdeps.run(new PrintWriter(said), new PrintWriter(said), "--multi-release", "17", "--ignore-missing-deps",
                "--no-recursive", "--print-module-deps", "target/classes", "../files/target/classes", "../core/target/classes");
        assertThat(ended).as(said.toString()).isZero();
        List<String> asked = List.of(said.toString().strip().split(","));
        ModuleFinder system = ModuleFinder.ofSystem();
        Set<String> there = Configuration.empty()
                .resolve(system, ModuleFinder.of(), modules.stream().filter(m -> !m.startsWith("javafx")).toList()).modules().stream()
                .map(ResolvedModule::name).collect(Collectors.toSet());
        assertThat(there).containsAll(asked.stream().filter(m -> !m.startsWith("javafx")).toList());
    }

    /** A home of a Java that says this of itself. */
    private static Path java(Path folder, String said, String version) throws IOException {
        Path java = Files.createDirectories(folder.resolve("jdk/bin")).resolve("java");
        Files.writeString(java, "#!/bin/sh\ncat >&2 <<'END'\n" + said.replace(";", "\n") + "\nEND\n");
        assertThat(java.toFile().setExecutable(true)).isTrue();
        Path home = folder.resolve("jdk");
        Files.writeString(home.resolve("release"), "JAVA_VERSION=\"" + version + "\"\n");
        return home;
    }

    /** What the script would start and how, under {@code archive} alone where it refuses. */
    private static Map<String, String> options(Path home) throws Exception {
        String dist = home.resolveSibling("dist").toString();
        ProcessBuilder builder = new ProcessBuilder("bash", "-c",
                "say() { echo \"archive=$@\"; }; eval \"$(sed -n '/^java_bin=/,/^app()/p' pebble | sed '$d')\"; dist=" + dist + ";"
                        + " java_options; echo \"archive=$archive\"; echo \"program=$program\"; echo \"options=${options[*]}\"");
        builder.environment().put("JAVA_HOME", home.toString());
        Process shell = builder.directory(new File("..")).redirectErrorStream(true).start();
        String answer = new String(shell.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        shell.waitFor();
        return answer.lines().map(l -> l.split("=", 2)).collect(
                Collectors.toMap(l -> l[0], l -> l[1].replace(home + "/bin/java is", "JAVA is").replace(dist + "/app", "app")
                        .replace(dist + "/runtime/app", "runtime/app")));
    }
}
