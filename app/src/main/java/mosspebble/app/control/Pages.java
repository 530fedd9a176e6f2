package mosspebble.app.control;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import javafx.scene.Node;

/** Pages of which one is seen, each behind a pebble of one row. */
public final class Pages<P> {

    private final Choice<P> row = Choice.pages(this::show);
    private final Map<P, Node> pages = new LinkedHashMap<>();

    /** Adds a page; the first is seen until another is shown. */
    public void add(String id, String words, P value, String tooltip, Node page) {
        row.option(id, words, value, tooltip);
        pages.put(value, page);
        show(pages.keySet().iterator().next());
    }

    /** The pebbles. */
    public Choice<P> row() {
        return row;
    }

    /** All pages, those that are not seen too. */
    public Collection<Node> all() {
        return pages.values();
    }

    public void show(P value) {
        row.show(value);
        pages.forEach((each, page) -> {
            page.setVisible(each == value);
            page.setManaged(each == value);
        });
    }
}
