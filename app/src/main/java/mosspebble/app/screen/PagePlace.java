package mosspebble.app.screen;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.layout.VBox;

/**
 * Where one page of several stands at a time, each made when it is first wanted.
 *
 * @param <P> what a page is asked for by
 */
public final class PagePlace<P> extends VBox {

    private final Collection<P> all;
    private final Function<P, PageView> making;
    private final Map<P, PageView> made = new LinkedHashMap<>();

    /** @param all everything there is a page for; nothing else may be asked for */
    PagePlace(Collection<P> all, Function<P, PageView> making) {
        this.all = all;
        this.making = making;
    }

    /** Puts a page there, brought up to date. */
    public void show(P which) {
        PageView page = page(which);
        if (!getChildren().contains(page)) {
            getChildren().setAll(page);
        }
        page.refresh();
    }

    /** Nothing stands there. */
    public void clear() {
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
