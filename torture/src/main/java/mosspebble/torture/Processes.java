package mosspebble.torture;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Starts processes of our own and takes their words. */
final class Processes {

    private static final String JAVA = Path.of(System.getProperty("java.home"), "bin", "java").toString();
    private static Path archive;

    private Processes() {}

    /** A process and what it says. */
    static final class Running implements AutoCloseable {
        final Process process;
        private final BufferedReader out;

        Running(Process process) {
            this.process = process;
            out = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        }

        /** The next line; null at the end. */
        String line() throws IOException {
            return out.readLine();
        }

        /** Kills it as kill -9 does, and gives what it had still said, whole lines only. */
        List<String> kill() throws IOException, InterruptedException {
            process.toHandle().destroyForcibly(); // the handle's: the process's own would close what it had said
            List<String> rest = new ArrayList<>();
            StringBuilder text = new StringBuilder();
            for (int c = out.read(); c >= 0; c = out.read()) {
                text.append((char) c);
            }
            String all = text.toString();
            if (all.lastIndexOf('\n') >= 0) {
                rest.addAll(all.substring(0, all.lastIndexOf('\n')).lines().toList());
            }
            process.waitFor();
            return rest;
        }

        @Override
        public void close() {
            process.destroyForcibly();
        }
    }

    /** Makes a class-data archive once, so that the many short processes start quickly. */
    static synchronized void prepare() throws IOException, InterruptedException {
        if (archive != null) {
            return;
        }
        Path folder = Files.createTempDirectory("torture-cds");
        Path made = folder.resolve("child.jsa");
        List<String> command = new ArrayList<>(List.of(JAVA, "-Xlog:disable", "-XX:+UseSerialGC", "-XX:ArchiveClassesAtExit=" + made, "-cp",
                classPath(), Child.class.getName(), "edit", folder.resolve("s.pebble").toString(), "1", "3"));
        new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start().waitFor();
        archive = Files.exists(made) ? made : folder;
    }

    private static String classPath() {
        return System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
    }

    static List<String> command(String... args) {
        List<String> command = new ArrayList<>(
                List.of(JAVA, "-Xlog:disable", "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-Xmx400m", "-Djava.awt.headless=true"));
        if (archive != null && archive.toString().endsWith(".jsa")) {
            command.add("-XX:SharedArchiveFile=" + archive);
        }
        command.addAll(List.of("-cp", classPath(), Child.class.getName()));
        command.addAll(List.of(args));
        return command;
    }

    static Running child(String... args) throws IOException {
        return new Running(new ProcessBuilder(command(args)).redirectError(ProcessBuilder.Redirect.DISCARD).start());
    }

    static void clear(Path folder) throws IOException {
        if (Files.isDirectory(folder)) {
            try (Stream<Path> all = Files.walk(folder)) {
                for (Path each : all.sorted(Comparator.reverseOrder()).toList()) {
                    Files.deleteIfExists(each);
                }
            }
        }
    }
}
