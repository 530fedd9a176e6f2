package mosspebble.files;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Typeface;

/** What ships: motifs and faces. */
public final class BuiltIn {

    /** Id of the face that words take unless told otherwise. */
    public static final String SLAB = "heavy-slab";

    private static final List<String[]> TITLES = List.of(motif("owl-lamp", "Owl keeping a lamp"), motif("harbour-dusk", "Harbour light at dusk"), motif("snail-post", "Snail with post"),
            motif("fox-asleep", "Sleeping fox"), motif("moon-asleep", "Sleeping moon"), motif("heron", "Heron in the reeds"), motif("toadstool", "Toadstool house"), motif("fern", "Fern frond"),
            motif("lantern", "Standing lantern"), motif("stars", "Crescent and stars"));

    private static final List<String[]> FACES = List.of(face(SLAB, "Heavy slab", "AlfaSlabOne_400Regular.ttf"), face("slab", "Slab", "ZillaSlab_600SemiBold.ttf"),
            face("serif", "Serif", "Lora_700Bold.ttf"), face("rounded", "Rounded", "Fredoka_700Bold.ttf"), face("hand", "Rounded hand", "PatrickHand_400Regular.ttf"),
            face("script", "Flowing script", "DancingScript_700Bold.ttf"));

    private static String[] face(String id, String title, String file) {
        return new String[] {id, title, file};
    }

    /** Id, title and file name of every shipped face. */
    public static List<String[]> faces() {
        return FACES.stream().map(String[]::clone).toList();
    }

    private static String[] motif(String id, String title) {
        return new String[] {id, title};
    }

    private BuiltIn() {}

    /** The shipped repertoire. */
    public static Repertoire repertoire() {
        try {
            List<Motif> motifs = new ArrayList<>();
            for (String[] shipped : TITLES) {
                String name = shipped[0];
                try (InputStream in = open("motifs/" + name + ".svg")) {
                    motifs.add(MotifReader.read(in, name + ".svg"));
                }
            }
            return new Repertoire(motifs, FACES.stream().map(f -> (Typeface) new FontFace(f[0], f[1], f[2])).toList());
        } catch (FileTrouble | IOException e) {
            throw new IllegalStateException("A shipped file is damaged; install Moss Pebble again. " + e.getMessage(), e);
        }
    }

    /** Id and title of every shipped motif. */
    public static List<String[]> titles() {
        return TITLES.stream().map(String[]::clone).toList();
    }

    static InputStream open(String resource) throws IOException {
        InputStream in = BuiltIn.class.getResourceAsStream(resource);
        if (in == null) {
            throw new IOException("missing " + resource);
        }
        return in;
    }
}
