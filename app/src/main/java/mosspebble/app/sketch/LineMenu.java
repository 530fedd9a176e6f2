package mosspebble.app.sketch;

import java.util.Locale;
import java.util.function.Consumer;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.Region;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Swatch;
import mosspebble.app.model.Workbench;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.sketch.LineWish;

/** A button that tells which line is wanted and lets another be chosen: none, by contrast, black, white, grey, a pen, a paint. */
final class LineMenu extends MenuButton {

    private static final double SWATCH = 12;

    private final Workbench workbench;
    private final String follows;

    /**
     * @param what whose line it is, for the tooltip and for who cannot see
     * @param follows how it is called that nothing is wanted in particular
     */
    LineMenu(String id, String what, String follows, Workbench workbench) {
        this.workbench = workbench;
        this.follows = follows;
        setId(id);
        getStyleClass().addAll("pebble", "line-menu");
        setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(this, "Chooses " + what);
        setAccessibleText("Chooses " + what);
        getItems().add(new MenuItem(what)); // what there is to choose is made when the menu is opened
    }

    /** @param chosen takes the wish that is chosen */
    void show(LineWish wish, Consumer<LineWish> chosen) {
        setText(words(wish));
        setGraphic(null);
        workbench.studio().shelf().find(wish.paint()).ifPresent(p -> setGraphic(new Swatch(p.swatch(), SWATCH)));
        getStyleClass().remove("flat");
        if (wish.colour() == LineWish.Colour.OPEN) {
            getStyleClass().add("flat");
        }
        setOnShowing(e -> offer(wish, chosen));
    }

    private void offer(LineWish wish, Consumer<LineWish> chosen) {
        getItems().clear();
        for (LineWish.Colour colour : LineWish.Colour.values()) {
            if (colour != LineWish.Colour.PAINT) {
                MenuItem item = new MenuItem(words(LineWish.OPEN.coloured(colour)));
                item.setId(getId() + "-" + colour.name().toLowerCase(Locale.ROOT));
                item.setOnAction(e -> chosen.accept(wish.coloured(colour)));
                getItems().add(item);
            }
        }
        Menu pens = new Menu("with a pen");
        Menu paints = new Menu("with a brush");
        for (Paint paint : workbench.studio().shelf().paints()) {
            boolean pen = paint.hasNib();
            if (pen || paint.kind().does(PaintKind.Use.FILLS) || paint.kind().does(PaintKind.Use.METAL)) {
                MenuItem item = new MenuItem(paint.name(), new Swatch(paint.swatch(), SWATCH));
                item.setId(getId() + "-" + paint.id());
                item.setOnAction(e -> chosen.accept(wish.in(paint.id())));
                (pen ? pens : paints).getItems().add(item);
            }
        }
        getItems().addAll(new SeparatorMenuItem(), pens, paints);
    }

    private String words(LineWish wish) {
        return switch (wish.colour()) {
            case OPEN -> follows;
            case NONE -> "no line";
            case CONTRAST -> "by contrast";
            case BLACK -> "black";
            case WHITE -> "white";
            case GREY -> "grey";
            case PAINT -> workbench.studio().shelf().find(wish.paint()).map(Paint::name).orElse("a paint that is gone");
        };
    }
}
