package mosspebble.app.book;

import java.io.ByteArrayInputStream;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.WeakHashMap;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import mosspebble.core.book.Page;

/** A small picture of a stone of the book, got when it is first shown; the last few hundred are kept in hand. */
final class StonePrint extends StackPane {

    private static final int KEPT = 240;
    private static final Map<BookModel, Map<String, Image>> IN_HAND = new WeakHashMap<>();

    private final BookModel model;
    private final ImageView image = new ImageView();
    private final Region unseen = new Region();
    private String shown = "";

    StonePrint(BookModel model, double side) {
        this.model = model;
        image.setFitWidth(side);
        image.setFitHeight(side);
        image.setPreserveRatio(true);
        image.setSmooth(true);
        setMinSize(side, side);
        setMaxSize(side, side);
        unseen.getStyleClass().add("book-unseen");
        unseen.visibleProperty().bind(image.imageProperty().isNull().and(widthProperty().greaterThan(60)));
        getChildren().addAll(unseen, image);
    }

    private Map<String, Image> inHand() {
        return IN_HAND.computeIfAbsent(model, m -> new SeenLast());
    }

    /** Knows no model: what is kept weakly by a model may not lead back to it. */
    private static final class SeenLast extends LinkedHashMap<String, Image> {

        SeenLast() {
            super(16, 0.75f, true);
        }

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Image> eldest) {
            return size() > KEPT;
        }
    }

    void show(Page page) {
        if (shown.equals(page.id())) {
            return;
        }
        shown = page.id();
        Image ready = inHand().get(page.id());
        image.setImage(ready);
        if (ready == null) {
            model.picture(page, png -> {
                Image got = new Image(new ByteArrayInputStream(png));
                inHand().put(page.id(), got);
                if (shown.equals(page.id())) {
                    image.setImage(got);
                }
            });
        }
    }
}
