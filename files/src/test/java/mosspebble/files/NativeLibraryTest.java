package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.sqlite.SQLiteJDBCLoader;
import org.sqlite.util.LibraryLoaderUtil;

/** Where the database's library is looked for, asked of programs of their own: a program loads it once. */
class NativeLibraryTest {

    @TempDir
    Path folder;

    /** Opens a database in memory after the library was made ready. */
    static final class Opening {
        public static void main(String[] args) throws Exception {
            boolean there = NativeLibrary.beside(Path.of(args[0]));
            NativeLibrary.ready();
            try (Stream<String> maps = Files.lines(Path.of("/proc/self/maps"))) {
                String loaded = maps.filter(l -> l.contains("libsqlitejdbc")).map(l -> l.replaceAll(".* ", "")).findFirst().orElse("none");
                System.out.println(there + " " + loaded);
            }
        }
    }

    private String opened(Path beside) throws Exception {
        List<String> command = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1", "-cp", System.getProperty("java.class.path"), Opening.class.getName(), beside.toString()));
        ProcessBuilder builder = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.INHERIT);
        builder.environment().put("XDG_CACHE_HOME", folder.resolve("cache").toString());
        Process process = builder.start();
        String said = new String(process.getInputStream().readAllBytes()).strip();
        assertThat(process.waitFor()).isZero();
        return said;
    }

    private Path ours() throws Exception {
        Path beside = Files.createDirectory(folder.resolve("lib"));
        String packed = LibraryLoaderUtil.getNativeLibResourcePath() + "/" + LibraryLoaderUtil.getNativeLibName();
        try (var in = SQLiteJDBCLoader.class.getResourceAsStream(packed)) {
            Files.copy(in, beside.resolve(System.mapLibraryName("sqlitejdbc")));
        }
        return beside;
    }

    @Test
    void theOneBesideJavaIsTakenAndNothingUnpacked() throws Exception {
        Path beside = ours();
        assertThat(opened(beside)).isEqualTo("true " + beside.resolve("libsqlitejdbc.so"));
        assertThat(folder.resolve("cache")).doesNotExist();
    }

    @Test
    void withoutOneThereItIsUnpackedIntoTheCache() throws Exception {
        Path bare = Files.createDirectory(folder.resolve("bare"));
        assertThat(opened(bare)).startsWith("false " + folder.resolve("cache")).endsWith("libsqlitejdbc.so");
    }

    @Test
    void oneThatIsNoneKeepsNobodyOut() throws Exception {
        Path broken = Files.createDirectory(folder.resolve("broken"));
        Files.writeString(broken.resolve(System.mapLibraryName("sqlitejdbc")), "no library");
        assertThat(opened(broken)).startsWith("true ").endsWith("libsqlitejdbc.so");
    }
}
