package mosspebble.files;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import mosspebble.core.sketch.Family;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Typeface;
import mosspebble.core.sketch.family.Families;

/** What ships: motifs, faces, families. */
public final class BuiltIn {

    /** Id of the face that words take unless told otherwise. */
    public static final String SLAB = "heavy-slab";

    /** On which shelf of the library a motif stands. */
    public enum Kind { CHARACTER, SCENERY }

    /** A shipped motif by name; the drawing itself is read when it is first wanted. */
    public record Title(String id, String title, Kind kind) {}

    private static final List<Title> TITLES = List.of(character("owl-lamp", "Owl keeping a lamp"),
            character("snail-post", "Snail with post"), character("fox-asleep", "Sleeping fox"),
            character("moon-asleep", "Sleeping moon"), character("heron", "Heron in the reeds"),
            character("badger-lamp", "Badger with a lamp"), character("mole-candle", "Mole with a candle cap"),
            character("mouse-key", "Mouse with a key"), character("bear-asleep", "Sleeping bear"), character("seal-pup", "Seal pup"),
            character("frog-leaf", "Frog under a leaf"), character("crow-ribbon", "Crow with a ribbon"),
            character("bat-cloak", "Bat in its cloak"), character("lamplighter", "Lamplighter"), character("pebble-troll", "Pebble troll"),
            scenery("harbour-dusk", "Harbour light at dusk"), scenery("toadstool", "Toadstool house"), scenery("fern", "Fern frond"),
            scenery("lantern", "Standing lantern"), scenery("stars", "Crescent and stars"),
            scenery("cottage-night", "Cottage by night"), scenery("bridge-morning", "Bridge in the morning"),
            scenery("mountain-lake", "Mountain lake"), scenery("little-boat", "Little boat"), scenery("kettle", "Kettle on the boil"),
            scenery("candle", "Candle in a holder"), scenery("acorns", "Two acorns"), scenery("campfire", "Campfire"),
            scenery("snow-pines", "Three pines in snow"), scenery("old-key", "Old key"));

    private static final List<FontFace> FONTS = List.of(new FontFace(SLAB, "Heavy slab", "AlfaSlabOne_400Regular.ttf"),
            new FontFace("slab", "Slab", "ZillaSlab_600SemiBold.ttf"),
            new FontFace("serif", "Serif", "Lora_700Bold.ttf"), new FontFace("rounded", "Rounded", "Fredoka_700Bold.ttf"),
            new FontFace("hand", "Rounded hand", "PatrickHand_400Regular.ttf"),
            new FontFace("script", "Flowing script", "DancingScript_700Bold.ttf"));

    private static final Typeface PEN = new PenFace();

    private BuiltIn() {}

    private static Title character(String id, String title) {
        return new Title(id, title, Kind.CHARACTER);
    }

    private static Title scenery(String id, String title) {
        return new Title(id, title, Kind.SCENERY);
    }

    /** All shipped faces. */
    public static List<Typeface> faces() {
        List<Typeface> faces = new ArrayList<>(FONTS);
        faces.add(PEN);
        return faces;
    }

    /** The shipped repertoire; a motif is read when it is first asked for. */
    public static Repertoire repertoire() {
        return Shipped.ONE;
    }

    /** The same one for all who ask: what it has read need not be read again. */
    private static final class Shipped implements Repertoire {
        private static final Shipped ONE = new Shipped();

        private final Map<String, Optional<Motif>> read = new ConcurrentHashMap<>();

        @Override
        public Optional<Motif> motif(String id) {
            return read.computeIfAbsent(id,
                    name -> TITLES.stream().anyMatch(t -> t.id().equals(name)) ? Optional.of(shipped(name)) : Optional.empty());
        }

        @Override
        public Optional<Typeface> typeface(String id) {
            return faces().stream().filter(f -> f.id().equals(id)).findFirst();
        }

        @Override
        public Optional<Family> family(String id) {
            return Families.list().stream().filter(f -> f.id().equals(id)).findFirst();
        }
    }

    private static Motif shipped(String name) {
        try (InputStream in = open("motifs/" + name + ".svg")) {
            return MotifReader.read(in, name + ".svg");
        } catch (FileTrouble | IOException e) {
            throw new IllegalStateException("A shipped file is damaged; install Moss Pebble again. " + e.getMessage(), e);
        }
    }

    /** Every shipped motif by name. */
    public static List<Title> titles() {
        return TITLES;
    }

    static InputStream open(String resource) throws IOException {
        InputStream in = BuiltIn.class.getResourceAsStream(resource);
        if (in == null) {
            throw new IOException("missing " + resource);
        }
        return in;
    }
}
