package mosspebble.app;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;

/** The program's version, as the build wrote it. */
final class Version {

    static final String TEXT = read();

    private Version() {}

    private static String read() {
        try (InputStream in = Version.class.getResourceAsStream("version.txt")) {
            return in == null ? "unknown" : new String(in.readAllBytes(), StandardCharsets.UTF_8).strip();
        } catch (IOException e) {
            return "unknown";
        }
    }
}
