package mosspebble.app;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import mosspebble.files.Journal;

/**
 * Whether there is a graphics card to draw with, as the last start found it. Where there is none the toolkit draws by itself, but not
 * before it has loaded a stand-in for the card, some 50 MB that stay; so that is not tried a second time until the machine is switched on
 * anew or another display is used.
 */
final class GraphicsCard {

    /** The toolkit's own setting: in what order ways of drawing are tried. */
    private static final String ORDER = "prism.order";
    private static final String NONE = "none";
    private static final int LONGEST = 400;

    private final Path file;
    private final Optional<String> here;

    /**
     * @param folder where it is kept
     * @param boot a file that says something else each time the machine is switched on; where there is none nothing is remembered
     * @param display that is drawn on, null for none
     */
    GraphicsCard(Path folder, Path boot, String display) {
        this.file = folder.resolve("graphics.txt");
        this.here = read(boot).filter(b -> display != null).map(b -> b + " " + display);
    }

    /** That of this machine since it was switched on. */
    static GraphicsCard ofThisMachine(Path folder) {
        return new GraphicsCard(folder, Path.of("/proc/sys/kernel/random/boot_id"), System.getenv("DISPLAY"));
    }

    /** Spares the toolkit the search for a card where none was found; before it starts. What somebody set by hand stands. */
    void spareSearch() {
        if (System.getProperty(ORDER) == null && here.isPresent() && read(file).equals(here.map(h -> NONE + " " + h))) {
            System.setProperty(ORDER, "sw");
        }
    }

    /** Keeps what a search found, if there was one. */
    void remember(boolean found) {
        if (System.getProperty(ORDER) != null || here.isEmpty()) {
            return;
        }
        try {
            if (found) {
                Files.deleteIfExists(file);
            } else {
                Files.createDirectories(file.getParent());
                Files.writeString(file, NONE + " " + here.get(), StandardCharsets.UTF_8);
            }
        } catch (IOException e) {
            Journal.note("whether there is a graphics card cannot be kept; it is looked for at every start");
        }
    }

    private static Optional<String> read(Path file) {
        try {
            return Files.isRegularFile(file) && Files.size(file) <= LONGEST ? Optional.of(Files.readString(file).strip())
                    : Optional.empty();
        } catch (IOException e) { // one that cannot be read, or is no text
            return Optional.empty();
        }
    }
}
