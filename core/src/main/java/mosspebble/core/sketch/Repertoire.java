package mosspebble.core.sketch;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** The motifs, faces and families at hand. */
public interface Repertoire {

    Optional<Motif> motif(String id);

    Optional<Typeface> typeface(String id);

    Optional<Family> family(String id);

    /**
     * What a subject is made of, as last worked out or worked out now. A repertoire may remember it; the same subject always gives the
     * same.
     *
     * @param making works it out
     */
    default Optional<Motif> made(Subject subject, Supplier<Optional<Motif>> making) {
        return making.get();
    }

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
