package mosspebble.files;

import java.nio.file.Path;

/** Where things lie that may be thrown away: they are made again. */
public final class CacheFolder {

    private CacheFolder() {}

    /** The program's own folder in the user's cache (XDG Base Directory Specification); need not exist. */
    public static Path path() {
        String own = System.getenv("XDG_CACHE_HOME");
        return own != null && Path.of(own).isAbsolute() ? Path.of(own, "moss-pebble")
                : Path.of(System.getProperty("user.home"), ".cache", "moss-pebble");
    }
}
