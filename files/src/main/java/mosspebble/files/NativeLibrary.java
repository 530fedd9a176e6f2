package mosspebble.files;

import java.io.IOException;
import java.io.InputStream;
import java.net.JarURLConnection;
import java.net.URL;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.jar.JarEntry;
import org.sqlite.SQLiteJDBCLoader;
import org.sqlite.util.LibraryLoaderUtil;

/**
 * The database's native library: the one that lies beside the program's own Java, or else that of its jar, unpacked once and kept, so that
 * a program that is killed leaves no copy behind in the temp folder and a full or locked temp folder keeps nobody out. Where the cache
 * folder cannot be written, the library is left to unpack itself as it always did.
 */
final class NativeLibrary {

    private NativeLibrary() {}

    /**
     * Makes the library ready; asked before a studio is opened.
     *
     * @throws FileTrouble if it can be unpacked nowhere from where it may be run
     */
    static synchronized void ready() throws FileTrouble {
        if (System.getProperty("org.sqlite.lib.path") == null && !beside(Path.of(System.getProperty("java.home"), "lib"))) {
            unpack();
        }
        try {
            SQLiteJDBCLoader.initialize();
        } catch (Exception | LinkageError e) { // the loader throws whatever the system answered
            String temp = System.getProperty("org.sqlite.tmpdir", System.getProperty("java.io.tmpdir"));
            throw new FileTrouble(temp,
                    "The database that keeps the studio can neither be unpacked into this folder and run from it, nor into "
                            + CacheFolder.path()
                            + ".",
                    "Make room in one of them, or allow programs to be run from there, then start again.", e);
        }
    }

    /**
     * Takes the library that lies in a folder, where Java has its own: a program with a Java of its own has it there, and nothing need be
     * asked of the system nor unpacked.
     */
    static boolean beside(Path folder) {
        String name = System.mapLibraryName("sqlitejdbc");
        if (!Files.isRegularFile(folder.resolve(name))) {
            return false;
        }
        take(folder, name);
        return true;
    }

    private static void take(Path folder, String name) {
        System.setProperty("org.sqlite.lib.path", folder.toString());
        System.setProperty("org.sqlite.lib.name", name);
    }

    private static void unpack() {
        String name = LibraryLoaderUtil.getNativeLibName();
        URL packed = SQLiteJDBCLoader.class.getResource(LibraryLoaderUtil.getNativeLibResourcePath() + "/" + name);
        try {
            if (packed == null || !(packed.openConnection() instanceof JarURLConnection jar)) {
                return;
            }
            JarEntry library = jar.getJarEntry(); // known by its checksum: at most starts it need not be read
            Path folder = CacheFolder.path().resolve("sqlite-" + SQLiteJDBCLoader.getVersion() + "-" + Long.toHexString(library.getCrc()));
            Path file = folder.resolve(name);
            if (!Files.isRegularFile(file) || Files.size(file) != library.getSize()) {
                Files.createDirectories(folder);
                Path part = Files.createTempFile(folder, name, ".part");
                try (InputStream in = jar.getInputStream()) {
                    Files.copy(in, part, StandardCopyOption.REPLACE_EXISTING);
                    SafeWrite.moveInto(part, file);
                } finally {
                    Files.deleteIfExists(part);
                }
            }
            take(folder, name);
        } catch (IOException e) {
            Journal.note("the cache folder cannot be written; the database library unpacks itself");
        }
    }
}
