package mosspebble.core.sketch;

import java.util.List;
import java.util.Optional;

/** The motifs and faces at hand. */
public record Repertoire(List<Motif> motifs, List<Typeface> typefaces) {

    public Repertoire {
        motifs = List.copyOf(motifs);
        typefaces = List.copyOf(typefaces);
    }

    public Optional<Motif> motif(String id) {
        return motifs.stream().filter(m -> m.id().equals(id)).findFirst();
    }

    public Optional<Typeface> typeface(String id) {
        return typefaces.stream().filter(t -> t.id().equals(id)).findFirst();
    }
}
