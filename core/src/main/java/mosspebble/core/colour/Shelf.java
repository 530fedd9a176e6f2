package mosspebble.core.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The paints a painter owns, in their order; ids are unique. */
public record Shelf(List<Paint> paints) {

    /** Most paints on a shelf. */
    public static final int MOST = 500;

    public Shelf {
        paints = List.copyOf(paints);
        if (paints.size() > MOST) {
            throw new IllegalArgumentException("A shelf holds " + MOST + " paints; take some out first.");
        }
        if (paints.stream().map(Paint::id).distinct().count() < paints.size()) {
            throw new IllegalArgumentException("two paints on the shelf have the same id");
        }
    }

    /** With a paint; one of the same id is replaced where it stands. */
    public Shelf with(Paint paint) {
        List<Paint> more = new ArrayList<>(paints);
        for (int i = 0; i < more.size(); i++) {
            if (more.get(i).id().equals(paint.id())) {
                more.set(i, paint);
                return new Shelf(more);
            }
        }
        more.add(paint);
        return new Shelf(more);
    }

    public Shelf without(String id) {
        return new Shelf(paints.stream().filter(p -> !p.id().equals(id)).toList());
    }

    /** An id made from a name that no paint here has. */
    public String freeId(String name) {
        String id = Paint.idOf(name);
        for (int n = 2; find(id).isPresent(); n++) {
            id = Paint.idOf(name) + "-" + n;
        }
        return id;
    }

    public Optional<Paint> find(String id) {
        return paints.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** The paints that can be used so, in their order. */
    public List<Paint> that(PaintKind.Use use) {
        return paints.stream().filter(p -> p.kind().does(use)).toList();
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
