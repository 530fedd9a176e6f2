package mosspebble.app.screen;

import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Pulses;

/**
 * Where one page of several stands at a time, each made when it is first wanted.
 *
 * @param <P> what a page is asked for by
 */
public final class PagePlace<P> extends VBox {

    private final Collection<P> all;
    private final Function<P, PageView> making;
    private final Map<P, PageView> made = new LinkedHashMap<>();
    private final Set<P> shown = new HashSet<>();
    private P wanted;
    private boolean coming;

    /** @param all everything there is a page for; nothing else may be asked for */
    PagePlace(Collection<P> all, Function<P, PageView> making) {
        this.all = all;
        this.making = making;
    }

    /** Puts a page there, brought up to date; one that was never seen comes when the press that asked for it has been answered. */
    public void show(P which) {
        wanted = which;
        if (shown.contains(which) || getChildren().isEmpty() && !coming) {
            put(which);
            return;
        }
        getChildren().clear(); // what stood there is not what was asked for
        if (!coming) {
            coming = true;
            Pulses.afterAnswer(() -> {
                coming = false;
                if (wanted != null) {
                    put(wanted);
                }
            });
        }
    }

    private void put(P which) {
        PageView page = page(which);
        shown.add(which);
        if (!getChildren().contains(page)) {
            getChildren().setAll(page);
        }
        page.refresh();
    }

    /** Nothing stands there. */
    public void clear() {
        wanted = null;
        getChildren().clear();
    }

    /** All pages, each made when it is asked for. */
    Stream<Supplier<PageView>> pages() {
        return all.stream().map(which -> () -> page(which));
    }

    /** A page, whether it stands there or not. */
    public PageView page(P which) {
        return made.computeIfAbsent(which, making);
    }
}
