package mosspebble.torture;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Starts processes of our own and takes their words. */
final class Processes {

    /** How long to wait before what is said is looked at again, ns. */
    private static final int LOOK_NS = 300_000;

    private static final String JAVA = Path.of(System.getProperty("java.home"), "bin", "java").toString();
    private static Path archive;

    private Processes() {}

    /**
     * A process and what it says. It says it into a file: of a pipe, what was said last can be lost, since the run-time drains it at the
     * process's end while we still wait to read it, and then the end looks as if it had come before the words.
     */
    static final class Running implements AutoCloseable {
        final Process process;
        private final Path said;
        private final InputStream out;
        private final ByteArrayOutputStream begun = new ByteArrayOutputStream();

        Running(List<String> command) throws IOException {
            said = Files.createTempFile("torture-said", ".txt");
            process = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).redirectOutput(said.toFile()).start();
            out = Files.newInputStream(said);
        }

        /** The next whole line, waited for; null at the end. */
        String line() throws IOException, InterruptedException {
            boolean ended = false;
            while (true) {
                for (int c = out.read(); c >= 0; c = out.read()) {
                    if (c == '\n') {
                        String line = begun.toString(StandardCharsets.UTF_8);
                        begun.reset();
                        return line;
                    }
                    begun.write(c);
                }
                if (ended) {
                    return null;
                }
                ended = !process.isAlive(); // whatever it has said by now is looked at once more
                Thread.sleep(0, LOOK_NS);
            }
        }

        /** Kills it as kill -9 does, and gives what it had still said, whole lines only. */
        List<String> kill() throws IOException, InterruptedException {
            process.destroyForcibly().waitFor();
            List<String> rest = new ArrayList<>();
            for (String line = line(); line != null; line = line()) {
                rest.add(line);
            }
            return rest;
        }

        @Override
        public void close() throws IOException {
            process.destroyForcibly();
            out.close();
            Files.deleteIfExists(said);
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
        return new Running(command(args));
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
