package mosspebble.core.sketch;

import java.util.List;
import java.util.Optional;

/** The motifs, faces and families at hand. */
public interface Repertoire {

    Optional<Motif> motif(String id);

    Optional<Typeface> typeface(String id);

    Optional<Family> family(String id);

    /** Everything by list, for those who have it all at hand. */
    static Repertoire of(List<Motif> motifs, List<Typeface> typefaces, List<Family> families) {
        List<Motif> m = List.copyOf(motifs);
        List<Typeface> t = List.copyOf(typefaces);
        List<Family> f = List.copyOf(families);
        return new Repertoire() {
            @Override
            public Optional<Motif> motif(String id) {
                return m.stream().filter(o -> o.id().equals(id)).findFirst();
            }

            @Override
            public Optional<Typeface> typeface(String id) {
                return t.stream().filter(o -> o.id().equals(id)).findFirst();
            }

            @Override
            public Optional<Family> family(String id) {
                return f.stream().filter(o -> o.id().equals(id)).findFirst();
            }
        };
    }

    static Repertoire of(List<Motif> motifs, List<Typeface> typefaces) {
        return of(motifs, typefaces, List.of());
    }
}
