package mosspebble.app.book;

import java.io.ByteArrayInputStream;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import javafx.stage.Screen;
import mosspebble.app.control.Hint;
import mosspebble.app.cloth.StoneImage;
import mosspebble.app.model.Opener;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.book.Page;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.words.BookWords;

/** The book lying open: the stone on the left leaf, what is known of it on the right one. */
final class PageSpread extends BorderPane {

    private static final double MOST_PICTURE = 430;
    private static final double LEAST_PICTURE = 200;
    private static final double PHOTO = 96;

    private final Surroundings with;
    private final BookModel model;
    private final PlanWorker.Line drawing = new PlanWorker.Line();
    private final ImageView picture = new ImageView();
    private final Label name = new Label();
    private final Label purpose = Panel.quiet("");
    private final VBox facts = new VBox(3);
    private final LifeLine life = new LifeLine();
    private final FlowPane photos = new FlowPane(8, 8);
    private final Label place = Panel.quiet("");
    private final VBox left;
    private final Opener opener = new Opener();
    private String drawn = "";
    private double drawnAt;

    PageSpread(Surroundings with, BookModel model) {
        this.with = with;
        this.model = model;
        setId("book-page");
        name.setId("book-page-name");
        name.getStyleClass().add("empty-title");
        name.setWrapText(true);
        name.setTextAlignment(TextAlignment.CENTER);
        name.setMinHeight(Region.USE_PREF_SIZE);
        purpose.setTextAlignment(TextAlignment.CENTER);
        left = new VBox(10, new StackPane(picture), name, purpose);
        left.setAlignment(Pos.CENTER);
        left.getStyleClass().addAll("book-leaf", "left-leaf");
        left.setMinWidth(0);
        VBox right = new VBox(6, facts, photos);
        right.getStyleClass().add("book-facts");
        ScrollPane scroll = new ScrollPane(right);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("stage-scroll");
        VBox leaf = new VBox(scroll);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        leaf.getStyleClass().addAll("book-leaf", "right-leaf");
        leaf.setMinWidth(0);
        HBox spread = new HBox(left, leaf);
        HBox.setHgrow(left, Priority.ALWAYS);
        HBox.setHgrow(leaf, Priority.ALWAYS);
        left.prefWidthProperty().bind(spread.widthProperty().divide(2));
        leaf.prefWidthProperty().bind(spread.widthProperty().divide(2));
        spread.getStyleClass().add("book-spread");
        setCenter(spread);
        Button before = Panel.button("book-before", "‹", "The page before", () -> model.turn(-1));
        Button next = Panel.button("book-next", "›", "The next page", () -> model.turn(1));
        before.getStyleClass().add("sheet-turn");
        next.getStyleClass().add("sheet-turn");
        HBox foot = new HBox(14, before, place, next);
        foot.setAlignment(Pos.CENTER);
        foot.getStyleClass().add("book-foot");
        setBottom(foot);
        place.setWrapText(false);
        left.heightProperty().addListener((o, a, b) -> fit());
        left.widthProperty().addListener((o, a, b) -> fit());
    }

    private double side() {
        double side = Math.min(left.getWidth() - 70, left.getHeight() - 190);
        return Math.max(LEAST_PICTURE, Math.min(MOST_PICTURE, side));
    }

    private void fit() {
        if (Math.abs(side() - drawnAt) > 24 && model.page().isPresent() && isVisible()) {
            draw(model.page().orElseThrow());
        }
    }

    void refresh() {
        if (model.page().isEmpty()) {
            model.turn(0);
            if (model.page().isEmpty()) { // nothing is found by what is sought
                model.bookProperty().get().pages().stream().findFirst().ifPresent(p -> model.turnTo(p.id()));
            }
            return;
        }
        Page page = model.page().orElseThrow();
        name.setText(page.stone().name());
        String shows = String.join(", ", page.stone().shows());
        purpose.setText(!page.stone().purpose().isBlank() ? page.stone().purpose() : shows.equals(page.stone().name()) ? "" : shows);
        List<String> ids = model.found().stream().map(Page::id).toList();
        int at = ids.indexOf(page.id());
        place.setText(at < 0 ? "1 of " + model.bookProperty().get().pages().size() : at + 1 + " of " + ids.size());
        facts.getChildren().clear();
        LengthUnit unit = with.workbench().studio().unit();
        section("How it was made");
        line(BookWords.stone(page, LengthText.number(new Millimetres(page.stone().lengthMm()), unit) + " by "
                + LengthText.format(new Millimetres(page.stone().widthMm()), unit)));
        line(BookWords.made(page));
        line(BookWords.sealed(page) + (page.made().cost() > 0 ? " Paint and seal for " + Numbers.money(page.made().cost()) + "." : ""));
        if (!page.events().isEmpty()) {
            section("What happened");
            page.events().forEach(e -> mark(e.kind().fails() || e.kind() == Page.Event.Kind.WRONG,
                    BookWords.event(e, e.product().isEmpty() ? "" : model.product(e.product()))));
        }
        section("Where it is");
        line(BookWords.gone(page));
        section("How it lasted");
        if (page.gone().place() == Page.Gone.Place.HERE && page.looks().isEmpty()) {
            line("It has not gone out yet.");
        } else {
            life.show(page, model.today(), with.workbench().studio());
            facts.getChildren().add(life);
            if (page.looks().isEmpty()) {
                line("Nobody has looked yet.");
            }
        }
        page.looks().forEach(l -> mark(l.state().worn(), BookWords.look(page, l)));
        String next = BookWords.next(page, model.today());
        if (!next.isEmpty()) {
            line(next);
        }
        photos(page);
        draw(page);
    }

    private void section(String words) {
        facts.getChildren().add(Panel.heading(words));
    }

    private Label line(String words) {
        Label line = new Label(words);
        line.setWrapText(true);
        line.setMinHeight(Region.USE_PREF_SIZE);
        facts.getChildren().add(line);
        return line;
    }

    /** A line with a mark before it, not by colour alone. */
    private void mark(boolean bad, String words) {
        line((bad ? "✕ " : "○ ") + words).getStyleClass().add(bad ? "book-bad" : "book-good");
    }

    private void photos(Page page) {
        photos.getChildren().clear();
        for (Page.Photo photo : page.photos()) {
            ImageView view = new ImageView();
            view.setFitWidth(PHOTO);
            view.setFitHeight(PHOTO);
            view.setPreserveRatio(true);
            Button button = new Button("", view);
            button.getStyleClass().add("book-photo");
            button.setId("book-" + photo.id());
            button.setAccessibleText("Photo of " + BookWords.day(photo.taken()));
            Hint.on(button, "Photo of " + BookWords.day(photo.taken()) + "; opens the original");
            button.setOnAction(e -> opener.open(model.original(photo), with.workbench()::tell));
            photos.getChildren().add(button);
            model.photo(photo, jpeg -> view.setImage(new Image(new ByteArrayInputStream(jpeg))));
        }
    }

    private void draw(Page page) {
        double side = side();
        if (drawn.equals(page.id()) && Math.abs(side - drawnAt) <= 24) {
            return;
        }
        if (!drawn.equals(page.id())) { // the small one meanwhile
            model.picture(page, png -> {
                if (drawn.equals(page.id()) && picture.getImage() == null) {
                    show(new Image(new ByteArrayInputStream(png)), side);
                }
            });
            picture.setImage(null);
        }
        drawn = page.id();
        drawnAt = side;
        double output = Screen.getPrimary().getOutputScaleX();
        model.large(drawing, page, (int) Math.round(side * output), large -> {
            if (drawn.equals(page.id())) {
                StoneImage still = new StoneImage(large.grid());
                still.draw(large.pixels());
                show(still.image(), side);
            }
        });
    }

    private void show(Image image, double side) {
        picture.setImage(image);
        picture.setFitWidth(side);
        picture.setFitHeight(side);
        picture.setPreserveRatio(true);
    }
}
