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

    private static final List<String[]> TITLES = List.of(new String[] {"owl-lamp", "Owl keeping a lamp"}, new String[] {"harbour-dusk", "Harbour light at dusk"});

    private static final List<String> MOTIFS = List.of("owl-lamp", "harbour-dusk");

    private BuiltIn() {}

    /** The shipped repertoire. */
    public static Repertoire repertoire() {
        try {
            List<Motif> motifs = new ArrayList<>();
            for (String name : MOTIFS) {
                try (InputStream in = open("motifs/" + name + ".svg")) {
                    motifs.add(MotifReader.read(in, name + ".svg"));
                }
            }
            try (InputStream in = open("fonts/AlfaSlabOne_400Regular.ttf")) {
                Typeface slab = Typefaces.read(in, SLAB, "Heavy slab", "AlfaSlabOne_400Regular.ttf");
                return new Repertoire(motifs, List.of(slab));
            }
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
