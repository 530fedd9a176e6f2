package mosspebble.files;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Pot;
import mosspebble.core.colour.Shelf;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.units.Millilitres;

/**
 * One stone as a file to send to a friend: what is decided for it, with the paints and the motifs and faces of one's own that it names
 * (docs/stone-format.md).
 */
public final class StoneFile {

    /** What a file of ours calls itself. */
    static final String FORMAT = "moss-pebble-stone";

    private static final long MOST_BYTES = 40_000_000;

    /**
     * What is in it.
     *
     * @param version format of studios whose words it speaks
     * @param paints as they are on the sender's shelf
     */
    record Sent(String format, int version, Project stone, List<Paint> paints, List<OwnFile> own) {
        Sent {
            paints = List.copyOf(paints);
            own = List.copyOf(own);
        }
    }

    private StoneFile() {}

    /** Whoever takes it in has another stone, on which nothing lies. */
    public static void write(Project painted, Studio studio, Path file) throws FileTrouble {
        Project stone = painted.withOldPaint(List.of());
        String text = StudioJson.write(stone);
        List<Paint> paints = studio.shelf().paints().stream().filter(p -> text.contains('"' + p.id() + '"')).toList();
        List<OwnFile> own = studio.own().stream().filter(o -> text.contains('"' + o.id() + '"')).toList();
        byte[] bytes = StudioJson.write(new Sent(FORMAT, StudioFile.VERSION, stone, paints, own)).getBytes(StandardCharsets.UTF_8);
        SafeWrite.write(file, out -> out.write(bytes));
    }

    /**
     * What came with a stone that was taken in.
     *
     * @param studio with it
     * @param stone its id there
     * @param paints names of paints that were not on the shelf and stand there now, with nothing in them
     */
    public record TakenIn(Studio studio, String stone, List<String> paints) {}

    /** Reads a stone from a file; it changes nothing yet. */
    public static Received read(Path file) throws FileTrouble {
        return InFile.read(file, MOST_BYTES, "Ask for a stone with fewer files of its own.", (bytes, place) -> {
            Sent sent;
            try {
                sent = StudioJson.read(Migration.changed(new String(bytes, StandardCharsets.UTF_8), place, StoneFile::ofToday), Sent.class,
                        place);
            } catch (FileTrouble e) {
                throw new FileTrouble(place, "This is no stone of Moss Pebble, or the file is damaged.", "Ask for it again.", e);
            }
            if (!FORMAT.equals(sent.format)) {
                throw new FileTrouble(place, "This is no stone of Moss Pebble.", "Choose a file that was saved as a stone to send.");
            }
            if (sent.version > StudioFile.VERSION) {
                throw new FileTrouble(place, "This stone was sent by a newer Moss Pebble (format " + sent.version + ", this program knows "
                        + StudioFile.VERSION + ").", "Update the program, or ask for it from an older one.");
            }
            return new Received(sent);
        });
    }

    private static void ofToday(ObjectNode sent) {
        if (sent.path("stone") instanceof ObjectNode stone) {
            Migration.stone(stone, sent.path("version").asInt());
        }
    }

    /** A stone that was read. */
    public static final class Received {

        private final Sent sent;

        private Received(Sent sent) {
            this.sent = sent;
        }

        public String name() {
            return sent.stone.name();
        }

        /**
         * A studio with it: a stone of the same id gets another; a paint of the same id stays the painter's own, others come with empty
         * pots; a motif or face of the same id and other content comes under another id.
         *
         * @throws IllegalArgumentException if shelf or studio have no room
         */
        public TakenIn into(Studio studio) {
            String id = sent.stone.id();
            for (int i = 2; studio.project(id).isPresent() || studio.found(id).isPresent(); i++) {
                String end = "-" + i;
                id = sent.stone.id().substring(0, Math.min(sent.stone.id().length(), 80 - end.length())) + end;
            }
            Project stone = sent.stone.withId(id);
            Shelf shelf = studio.shelf();
            List<String> missing = new ArrayList<>();
            for (Paint paint : sent.paints) {
                if (shelf.find(paint.id()).isEmpty()) {
                    shelf = shelf.with(paint.withPot(new Pot(new Millilitres(0), paint.pot().full(), paint.pot().price())));
                    missing.add(paint.name());
                }
            }
            Studio with = studio.withShelf(shelf);
            for (OwnFile own : sent.own) {
                String as = own.id();
                for (int i = 2; !free(with, as, own); i++) {
                    as = own.id().substring(0, Math.min(own.id().length(), 46)) + "-" + i;
                }
                with = with.plus(new OwnFile(own.kind(), as, own.title(), own.content()));
                if (!as.equals(own.id())) {
                    stone = renamed(stone, own.id(), as);
                }
            }
            return new TakenIn(with.plus(stone), id, missing);
        }

        private static boolean free(Studio studio, String id, OwnFile own) {
            return studio.own().stream().filter(o -> o.id().equals(id)).allMatch(o -> o.content().equals(own.content()));
        }

        /** Ids of one's own files stand in quotes and nowhere else. */
        private static Project renamed(Project stone, String from, String to) {
            try {
                return StudioJson.read(StudioJson.write(stone).replace('"' + from + '"', '"' + to + '"'), Project.class, from);
            } catch (FileTrouble e) {
                throw new IllegalStateException("a stone could not be written and read again", e);
            }
        }
    }
}
