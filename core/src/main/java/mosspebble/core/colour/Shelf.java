package mosspebble.core.colour;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The paints a painter owns, in their order; ids are unique. */
public record Shelf(List<Paint> paints) {

    public Shelf {
        paints = List.copyOf(paints);
        if (paints.stream().map(Paint::id).distinct().count() < paints.size()) {
            throw new IllegalArgumentException("two paints on the shelf have the same id");
        }
    }

    public Optional<Paint> find(String id) {
        return paints.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    public List<Paint> ofKind(PaintKind kind) {
        return paints.stream().filter(p -> p.kind() == kind).toList();
    }

    /** A mix in words: "2 white : 1 brick red". A paint no longer on the shelf is named by its id. */
    public String words(Mix mix) {
        if (mix.isSingle()) {
            return name(mix.parts().get(0).paint());
        }
        return mix.parts().stream().map(p -> p.parts() + " " + name(p.paint())).collect(Collectors.joining(" : "));
    }

    private String name(String id) {
        return find(id).map(Paint::name).orElse(id + " (not on the shelf)");
    }
}
