package mosspebble.core.sketch.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mosspebble.core.sketch.Family;
import mosspebble.core.sketch.Motif;

/** A family by its dials and what it does with them. */
final class Made implements Family {

    /** Reads dials while drawing. */
    static final class Dials {
        private final Made family;
        private final Map<String, Double> values;
        final Site site;

        private Dials(Made family, Map<String, Double> values, Site site) {
            this.family = family;
            this.values = values;
            this.site = site;
        }

        double get(String id) {
            return Family.value(family.dials.stream().filter(d -> d.id().equals(id)).findFirst().orElseThrow(), values);
        }

        int count(String id) {
            return (int) Math.round(get(id));
        }
    }

    /** Draws one. */
    interface Draw {
        void draw(Drawing drawing, Dials dials);
    }

    private final String id;
    private final String title;
    private final List<Dial> dials = new ArrayList<>();
    private final Draw draw;

    Made(String id, String title, Draw draw) {
        this.id = id;
        this.title = title;
        this.draw = draw;
    }

    /** A length, as a share of half the width or of what its name says. */
    Made dial(String dial, String name, double low, double high, double usual) {
        return dial(dial, name, low, high, usual, Scale.SHARE);
    }

    Made degrees(String dial, String name, double low, double high, double usual) {
        return dial(dial, name, low, high, usual, Scale.DEGREES);
    }

    Made turns(String dial, String name, double low, double high, double usual) {
        return dial(dial, name, low, high, usual, Scale.TURNS);
    }

    private Made dial(String dial, String name, double low, double high, double usual, Scale scale) {
        dials.add(new Dial(dial, name, low, high, usual, scale, List.of()));
        return this;
    }

    Made number(String dial, String name, int low, int high, int usual) {
        return dial(dial, name, low, high, usual, Scale.COUNT);
    }

    /** One of a few, the first is 0. */
    Made choice(String dial, String name, int usual, String... names) {
        dials.add(new Dial(dial, name, 0, names.length - 1, usual, Scale.CHOICE, List.of(names)));
        return this;
    }

    /** Another one of the same kind. */
    Made seeded() {
        return dial("seed", "Another", 1, 99, 1, Scale.ANOTHER);
    }

    /** With what a hand does a little differently each time. */
    Made byHand() {
        return dial("hand", "As by hand", 0, 1, 0.4).seeded();
    }

    @Override
    public String id() {
        return id;
    }

    @Override
    public String title() {
        return title;
    }

    @Override
    public List<Dial> dials() {
        return List.copyOf(dials);
    }

    @Override
    public Motif motif(Map<String, Double> values, Site site) {
        Drawing drawing = new Drawing(id, title);
        draw.draw(drawing, new Dials(this, values, site));
        return drawing.motif();
    }
}
