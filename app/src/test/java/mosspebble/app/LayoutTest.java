package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import javafx.geometry.Bounds;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.paint.LinearGradient;
import javafx.scene.paint.Stop;
import javafx.scene.shape.Shape;
import javafx.scene.text.Text;
import mosspebble.app.control.Hint;
import mosspebble.app.repertoire.Catalogue;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Strokes;
import org.locationtech.jts.geom.Coordinate;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Every screen in a small, a usual and a large window, measured on what is shown: nothing cut short, no scrolling within scrolling. */
class LayoutTest {

    /** Where words may end in an ellipsis, since they are a painter's own, or stand whole elsewhere. */
    private static final Set<String> OWN_WORDS = Set.of("tray-name", "hem-stone", "title", "shortened");

    private static final List<String> SCREENS = List.of("Go to Stone", "Stone: dome", "Stone: weigh", "Stone: rock", "Stone: skin",
            "Stone: marks", "Stone: seen", "Stone: suits", "Stone: ready", "Stone: found", "Stone: outline", "Go to Sketch",
            "Sketch: how it lies", "Sketch: where", "Sketch: parts", "Sketch: what it is",
            "Go to Colour", "Colour: paints", "Colour: wish", "Colour: blend", "Colour: beside", "Colour: palettes", "Colour: edge",
            "Colour: mix", "Go to Build-up", "Build-up: all passes", "Build-up: put it right", "Build-up: habits", "Build-up: in hand",
            "Sitting: who is ready when",
            "Sitting: week and room",
            "Finish: sheets",
            "Finish: seal", "Finish: jars", "Finish: picture", "Look at the shelf", "Shelf: film", "Shelf: sealers", "Shelf: over what",
            "Shelf: paint", "Look into the basket", "Compare two habits",
            "Hold a photo against the plan",
            "Sketch: add something from the library", "Open the book", "The book: a page", "Ask the book: What lasts?",
            "Ask the book: How long?", "Ask the book: Where are they?", "About Moss Pebble");

    /** Pages of columns, which are no wider where there is more room. */
    private static final Pattern PAGES = Pattern.compile("(Stone|Sketch|Colour|Shelf): ");

    private static final List<String> MAIN = SCREENS.stream().filter(s -> !PAGES.matcher(s).lookingAt()).toList();

    /** What was made a moment ago has its size too. */
    private static void laidOut(Parent root) {
        root.applyCss();
        root.layout();
    }

    private static void there(Driver app, String screen) {
        app.until(screen, () -> app.show().idle());
    }

    @TempDir
    private Path folder;

    @Test
    void nothingIsCutShortAndNothingScrollsWithinWhatScrolls() throws Exception {
        Set<String> wrong = new TreeSet<>();
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl", "harbour")) {
            app.settled();
            // width, height, and by how many sizes of a quarter words grow before: at last they are twice as large
            int quarters = 0;
            for (int[] size : new int[][] {{1100, 720, 0}, {1280, 800, 0}, {2560, 1440, 0}, {1280, 800, 1}, {1100, 720, 1},
                {1600, 1000, 2}}) {
                if (quarters == 0 && size[2] > 0) { // fractions are the longest sizes there are
                    app.robot.interact(() -> inInchesAndLeftHanded((Workbench) app.scene().getRoot().getProperties().get(Workbench.class)));
                }
                quarters += size[2];
                int grown = 25 * quarters;
                boolean large = grown >= FREE_TO_SCROLL;
                app.robot.interact(() -> {
                    app.scene().getWindow().setWidth(size[0]);
                    app.scene().getWindow().setHeight(size[1]);
                    for (int i = 0; i < size[2]; i++) {
                        app.does("Words larger");
                    }
                });
                app.robot.press(KeyCode.ESCAPE).release(KeyCode.ESCAPE); // what was told
                for (String screen : quarters == 0 && size[0] > 1100 ? MAIN : SCREENS) {
                    app.atOnce(() -> app.does(screen));
                    assertThat(app.robot.lookup("#notice").tryQuery().map(n -> ((Label) n).getText()).orElse("")).as(screen)
                            .doesNotStartWith("There is nothing called");
                    there(app, screen);
                    String where = screen + " at " + size[0] + ", words larger by " + grown + " %";
                    if (!wrongs(app, where, large).isEmpty()) {
                        app.settled(); // what came just now is laid out in the next pulse
                        wrong.addAll(wrongs(app, where, large));
                    }
                    assertThat(app.scene().getRoot().getChildrenUnmodifiable().get(0).getLayoutBounds().getWidth())
                            .as("%s fits the window of %d px", screen, size[0]).isLessThanOrEqualTo(size[0] + 0.5);
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    private static Set<String> wrongs(Driver app, String where, boolean large) {
        Set<String> wrong = new TreeSet<>();
        app.atOnce(() -> {
            laidOut(app.scene().getRoot());
            look(app.scene().getRoot(), false, where, wrong);
            fingers(app.scene().getRoot(), false, where, wrong);
            whole(app, where, large, wrong);
        });
        return wrong;
    }

    private static void inInchesAndLeftHanded(Workbench workbench) {
        workbench.look(s -> s.withView(LengthUnit.INCH, false));
        workbench.look(s -> s.withComfort(s.view().comfort().withLeftHand(true)));
    }

    /** What a character, words, dots, patterns, guides and a stroke ask differs: all their pages at the smallest size. */
    @Test
    void everyKindOfThingOnTheStoneHasPagesThatAreWhole() throws Exception {
        Set<String> wrong = new TreeSet<>();
        try (Driver app = new Driver(folder.resolve("kinds.pebble"), "snail")) {
            app.settled();
            app.robot.interact(() -> {
                app.scene().getWindow().setWidth(1100);
                app.scene().getWindow().setHeight(720);
            });
            Workbench workbench = (Workbench) app.scene().getRoot().getProperties().get(Workbench.class);
            List<Catalogue.Offer> offers = Catalogue.offers(workbench.studio()).stream()
                    .filter(o -> !(o.subject() instanceof Subject.Figure)).toList();
            assertThat(offers).extracting(o -> (Object) o.subject().getClass()).contains(Subject.Word.class, Subject.Dots.class,
                    Subject.Pattern.class, Subject.Guide.class);
            for (Catalogue.Offer offer : offers) {
                long before = things(workbench);
                app.does(offer.title());
                app.until(offer.title() + " in hand", () -> things(workbench) > before);
                // how it lies differs only by what is found, when it is planned: most of words, and of what has a broken edge
                boolean much = offer.subject() instanceof Subject.Word || offer.title().startsWith("Jagged");
                for (String page : much ? List.of("Sketch: what it is", "Sketch: how it lies", "Sketch: where")
                        : List.of("Sketch: what it is")) {
                    app.does(page);
                    app.until(page, () -> !much || app.show().idle());
                    asked(app, offer.title() + ", " + page, wrong);
                }
                app.keys(KeyCode.CONTROL, KeyCode.Z);
                app.until("without it again", () -> things(workbench) == before);
            }
            for (Subject.Becomes becomes : Subject.Becomes.values()) {
                app.robot.interact(() -> stroke(workbench, becomes));
                app.until("a stroke that becomes " + becomes, () -> app.show().idle());
                assertThat(app.present("#stroke-words")).isTrue();
                asked(app, "a stroke that becomes " + becomes, wrong);
            }
        }
        assertThat(wrong).isEmpty();
    }

    private static long things(Workbench workbench) {
        return workbench.shown().flatMap(Project::sketch).map(s -> s.items().size()).orElse(0);
    }

    private void asked(Driver app, String where, Set<String> wrong) {
        wrong.addAll(wrongs(app, where, false));
    }

    /** A line drawn over the stone, in hand. */
    private static void stroke(Workbench workbench, Subject.Becomes becomes) {
        List<Coordinate> drawn = List.of(new Coordinate(-12, 3), new Coordinate(-3, -2), new Coordinate(5, 1), new Coordinate(13, -4));
        Strokes.Placed placed = Strokes.drawn(drawn, becomes, becomes == Subject.Becomes.DOTS ? 2 : 0.7).orElseThrow();
        Item item = Item.of(placed.stroke(), ItemMode.ON_STONE, placed.placement(), 1);
        workbench.edit("Draw", p -> p.withSketch(Optional.of(p.sketch().orElseThrow().plus(item))));
        workbench.itemProperty()
                .set(workbench.shown().flatMap(Project::sketch).orElseThrow().items().stream().reduce((a, b) -> b).orElseThrow().id());
    }

    /** What is done with the shelf stands in one row beside its search, and with larger words in more, so that the search keeps room. */
    @Test
    void theShelfsDeedsLeaveItsSearchRoom() throws Exception {
        try (Driver app = new Driver(folder.resolve("shelf.pebble"), "snail")) {
            app.settled();
            app.robot.interact(() -> app.scene().getWindow().setWidth(1100));
            app.does("Look at the shelf");
            app.until("the shelf", () -> app.present("#paint-add"));
            assertThat(top(app, "#paint-add")).isEqualTo(top(app, "#shelf-write"));
            assertThat(app.find("#shelf-search").getLayoutBounds().getWidth()).isGreaterThan(250);
            app.robot.interact(() -> {
                app.does("Words larger");
                app.does("Words larger");
            });
            app.until("a second row", () -> top(app, "#paint-add") < top(app, "#shelf-write"));
            assertThat(app.find("#shelf-search").getLayoutBounds().getWidth()).isGreaterThan(200);
        }
    }

    private static double top(Driver app, String what) {
        return app.find(what).localToScene(app.find(what).getLayoutBounds()).getMinY();
    }

    /** Words twice as large in the smallest window: what is pressed next to the stone, and the way to the table, stay within it. */
    @Test
    void wordsTwiceAsLargeLeaveTheHandItsButtons() throws Exception {
        try (Driver app = new Driver(folder.resolve("large.pebble"), "owl")) {
            app.settled();
            app.robot.interact(() -> {
                app.scene().getWindow().setWidth(1100);
                app.scene().getWindow().setHeight(720);
                for (int i = 0; i < 4; i++) {
                    app.does("Words larger");
                }
            });
            app.settled();
            Bounds cloth = app.find("#cloth").localToScene(app.find("#cloth").getLayoutBounds());
            double lowest = cloth.getMinY() + 16 + cloth.getHeight() / 2 + app.scale() * app.plan().project().stone().length().value() / 2;
            Node hem = app.find("#cloth-shown");
            assertThat(lowest + 33 + 5).as("the feet of the letters of the measure below the stone, 33 px lower, over the words of the hem")
                    .isLessThan(hem.localToScene(hem.getLayoutBounds()).getMinY());
            app.does("Go to Colour");
            app.settled();
            double column = left(app, "#slots");
            assertThat(right(Set.of(app.find("#look-dry"), app.find("#look-wet"), app.find("#play")))).isLessThan(column);
            assertThat(app.present("#step-words")).as("its place is needed").isFalse();
            Set<Node> pebbles = app.robot.lookup(".path-button").queryAll();
            assertThat(pebbles).hasSize(6);
            for (Node pebble : pebbles) {
                assertThat(pebble.lookup(".path-name").getParent().getLayoutBounds().getWidth()).as("words within their pebble")
                        .isLessThan(96 * 1.2);
            }
            app.does("Go to Sitting");
            app.until("what comes next", () -> app.present("#sit-down") && app.show().idle());
            assertThat(right(Set.of(app.find("#sit-down"), app.find("#next-deed")))).isLessThan(column);
            Set<String> wrong = new TreeSet<>();
            app.robot.interact(() -> look(app.find("#hem-foot"), false, "the foot of the hem", wrong));
            assertThat(wrong).isEmpty();
            app.robot.interact(() -> {
                for (int i = 0; i < 4; i++) {
                    app.does("Words smaller");
                }
            });
            app.does("Go to Colour");
            app.until("room for it again", () -> app.present("#step-words"));
        }
    }

    private static double left(Driver app, String what) {
        return app.find(what).localToScene(app.find(what).getLayoutBounds()).getMinX();
    }

    /** At the smallest size nine stones are seen on the tray, and of each when it is ready. */
    @Test
    void nineStonesLieSideBySideOnTheTray() throws Exception {
        try (Driver app = new Driver(folder.resolve("nine.pebble"), "snail", "owl")) {
            app.settled();
            app.does("5 more stones like it");
            app.does("2 more stones like it");
            app.until("all nine planned", () -> app.show().thumbs().size() == 9);
            for (int wide : new int[] {1100, 1280, 1100}) {
                app.robot.interact(() -> app.scene().getWindow().setWidth(wide));
                app.until("all nine at " + wide, () -> right(app.robot.lookup(".tray-stone").queryAll()) <= app.find("#new-stone")
                        .localToScene(app.find("#new-stone").getLayoutBounds()).getMinX());
                app.settled();
                Set<String> wrong = new TreeSet<>();
                app.robot.interact(() -> look(app.find("#tray"), false, "tray at " + wide, wrong));
                assertThat(wrong).isEmpty();
                assertThat(app.find("#tray-owl").getAccessibleText()).contains("at best");
            }
            assertThat(app.text("#new-stone")).isEqualTo("+ New stone");
            app.robot.interact(() -> {
                for (int i = 0; i < 4; i++) {
                    app.does("Words larger");
                }
            });
            app.until("all nine beside a plus, with words twice as large", () -> app.text("#new-stone").equals("+")
                    && right(app.robot.lookup(".tray-stone").queryAll()) <= left(app, "#new-stone"));
            assertThat(app.find("#new-stone").getAccessibleText()).isEqualTo("New stone");
            assertThat(right(Set.of(app.find("#new-stone")))).isLessThan(1_100);
        }
    }

    /** Words larger by so much, %, and more may make a column scroll. */
    private static final int FREE_TO_SCROLL = 50;

    /** Lists, as long as what is on them. */
    private static final Set<String> LISTS = Set.of("Sketch: parts", "Shelf: sealers", "Shelf: over what");

    /** With words of the usual size a stage's column is whole without scrolling, but for lists. */
    private static void whole(Driver app, String where, boolean larger, Set<String> wrong) {
        if (LISTS.stream().anyMatch(where::startsWith)) {
            return;
        }
        ScrollPane column = larger ? null : column(app.scene().getRoot());
        if (column != null && shows(column)) {
            wrong.add(where + ": its column has to be scrolled by "
                    + (column.getContent().getLayoutBounds().getHeight() - column.getViewportBounds().getHeight()));
        }
    }

    private static double right(Set<Node> nodes) {
        return nodes.stream().mapToDouble(n -> n.localToScene(n.getLayoutBounds()).getMaxX()).max().orElseThrow();
    }

    /** Where a finger with paint on it may press, px: 44; pages of a column and daubs 36; at the table itself 56. */
    private static final double PAINTED_FINGER = 44;
    private static final double FINGER = 36;

    private static final Set<String> PRESSED = Set.of("pebble", "dab", "daub");
    private static final Set<String> PRESSED_WITH_PAINT = Set.of("step-bar", "top");

    private static void fingers(Node node, boolean paint, String where, Set<String> wrong) {
        if (!node.isVisible()) {
            return;
        }
        boolean byName = "step-why".equals(node.getId()) || "new-stone".equals(node.getId());
        boolean pressed = byName || node.getStyleClass().stream().anyMatch(PRESSED::contains);
        boolean painted = byName || paint && node.getStyleClass().contains("pebble");
        if (pressed && high(node) < (painted ? PAINTED_FINGER : FINGER)) {
            wrong.add(where + ": too low for a finger, " + high(node) + " px, " + name(node));
        }
        if (node instanceof Parent parent) {
            boolean below = paint || node.getStyleClass().stream().anyMatch(PRESSED_WITH_PAINT::contains);
            parent.getChildrenUnmodifiable().forEach(child -> fingers(child, below, where, wrong));
        }
    }

    /** The column of the stage that is seen; null where there is none. */
    private static ScrollPane column(Node node) {
        if (!node.isVisible()) {
            return null;
        }
        if (node instanceof ScrollPane pane && pane.getStyleClass().contains("stage-scroll")) {
            return pane.getParent().getStyleClass().contains("stage") ? pane : null;
        }
        return node instanceof Parent parent
                ? parent.getChildrenUnmodifiable().stream().map(LayoutTest::column).filter(p -> p != null).findFirst().orElse(null)
                : null;
    }

    /** So much of what a field asks is seen at least, sizes of its letters. */
    private static final double BEGINNING = 8;

    private static void look(Node node, boolean scrolls, String where, Set<String> wrong) {
        if (!node.isVisible()) {
            return;
        }
        boolean within = scrolls;
        if (node instanceof ScrollPane pane) {
            boolean bar = shows(pane);
            if (bar && scrolls) {
                wrong.add(where + ": scrolls within what scrolls, " + name(node));
            }
            within |= bar;
        }
        if (node instanceof Labeled labeled && labeled.getText() != null && !labeled.getText().isEmpty()
                && (node instanceof Label || node instanceof Button
                        || node instanceof ToggleButton)
                && OWN_WORDS.stream().noneMatch(node.getStyleClass()::contains)) {
            for (Node part : labeled.getChildrenUnmodifiable()) {
                if (part instanceof Text text && text.isVisible() && !text.getText().equals(labeled.getText())
                        && text.getText().endsWith(labeled.getEllipsisString())) {
                    wrong.add(where + ": cut short, " + name(node) + " \"" + labeled.getText() + "\"");
                }
            }
        }
        if (node instanceof TextField field && field.getText() != null && field.getText().isEmpty() && field.getPromptText() != null) {
            Text prompt = new Text(field.getPromptText());
            prompt.setFont(field.getFont());
            double room = field.getWidth() - field.snappedLeftInset() - field.snappedRightInset();
            // what asks at length stands in its help too; its beginning says what is asked for
            if (Math.min(prompt.getLayoutBounds().getWidth(), BEGINNING * field.getFont().getSize()) > room) {
                wrong.add(where + ": no room for what it asks, " + name(node) + " \"" + field.getPromptText() + "\"");
            }
        }
        if (node instanceof Parent parent) {
            for (Node child : new ArrayList<>(parent.getChildrenUnmodifiable())) {
                look(child, within, where, wrong);
            }
        }
    }

    /** Whether its upright bar is shown, so that there is something to scroll. */
    private static boolean shows(ScrollPane pane) {
        return pane.getChildrenUnmodifiable().stream()
                .filter(n -> n instanceof ScrollBar b && b.getOrientation() == Orientation.VERTICAL)
                .anyMatch(n -> n.isVisible() && high(n) > 20);
    }

    private static double high(Node node) {
        Bounds bounds = node.getLayoutBounds();
        return bounds.getHeight();
    }

    private static String name(Node node) {
        return node.getId() == null ? String.join(".", node.getStyleClass()) : "#" + node.getId();
    }

    @Test
    // WCAG 2.2, 1.4.3: 4.5 : 1 for text, 3 : 1 for large text (24 px, or 18.7 px bold); what is disabled is let off
    void everyTextStandsOutByDayAndInTheEveningAndWhatCanBePressedOrFilledHasAName() throws Exception {
        Set<String> wrong = new TreeSet<>();
        int[] seen = {0};
        int[] named = {0};
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl", "harbour")) {
            app.settled();
            for (int light = 0; light < 2; light++) {
                for (String screen : light == 0 ? SCREENS : MAIN) {
                    app.atOnce(() -> app.does(screen));
                    there(app, screen);
                    String where = screen + (light == 0 ? " by day" : " in the evening");
                    app.atOnce(() -> {
                        app.scene().getRoot().applyCss(); // what was made a moment ago as well
                        texts(app.scene().getRoot(), where, wrong, seen);
                        path(app.scene().getRoot(), where, wrong);
                        names(app.scene().getRoot(), screen, wrong, named);
                    });
                }
                app.robot.interact(() -> app.does("Evening or day light on the screen"));
            }
        }
        assertThat(seen[0]).isGreaterThan(1_000);
        assertThat(named[0]).isGreaterThan(600);
        assertThat(wrong).isEmpty();
    }

    private static void texts(Node node, String where, Set<String> wrong, int[] seen) {
        if (!node.isVisible() || node.isDisabled() || node.getStyleClass().contains("path-button")) {
            return; // words on the path stand on a drawn pebble
        }
        if (node instanceof Labeled labeled && labeled.getText() != null && !labeled.getText().isBlank()
                && labeled.getTextFill() instanceof Color ink) {
            Optional<Color> behind = behind(labeled);
            if (behind.isPresent()) {
                seen[0]++;
                double size = labeled.getFont().getSize();
                boolean large = size >= 24 || size >= 18.7 && labeled.getFont().getStyle().contains("Bold");
                double ratio = contrast(over(ink, behind.get()), behind.get());
                if (ratio < (large ? 3 : 4.5)) {
                    wrong.add(String.format(Locale.ROOT, "%.1f : 1, %s \"%s\" %s on %s, %s", ratio, name(node), labeled.getText(), ink,
                            behind.get(), where));
                }
            }
        }
        if (node instanceof Parent parent) {
            new ArrayList<>(parent.getChildrenUnmodifiable()).forEach(child -> texts(child, where, wrong, seen));
        }
    }

    /** Words on the pebbles of the path, against the pebble where the path below it is darkest. */
    private static void path(Node root, String where, Set<String> wrong) {
        LinearGradient moss = (LinearGradient) ((Region) root.lookup(".path")).getBackground().getFills().get(0).getFill();
        for (Node button : root.lookupAll(".path-button")) {
            Shape stone = (Shape) button.lookup(".path-stone");
            Color pebble = (Color) stone.getFill();
            for (Node words : List.of(button.lookup(".path-name"), button.lookup(".path-number"))) {
                for (Stop below : moss.getStops()) {
                    Color seen = over(Color.color(pebble.getRed(), pebble.getGreen(), pebble.getBlue(), stone.getOpacity()),
                            below.getColor());
                    double ratio = contrast((Color) ((Labeled) words).getTextFill(), seen);
                    if (ratio < 4.5) {
                        wrong.add(
                                String.format(Locale.ROOT, "%.1f : 1, \"%s\" on the path, %s", ratio, ((Labeled) words).getText(), where));
                    }
                }
            }
        }
    }

    /** The plain colour that lies behind a node, if it is one. */
    private static Optional<Color> behind(Node node) {
        List<Color> films = new ArrayList<>();
        for (Node n = node; n != null; n = n.getParent()) {
            if (n instanceof Region region && region.getBackground() != null && !region.getBackground().getFills().isEmpty()) {
                List<BackgroundFill> fills = region.getBackground().getFills();
                for (int k = fills.size() - 1; k >= 0; k--) {
                    if (!(fills.get(k).getFill() instanceof Color colour)) {
                        return Optional.empty(); // a gradient
                    }
                    films.add(colour);
                    if (colour.getOpacity() > 0.99) {
                        Color seen = colour;
                        for (int f = films.size() - 2; f >= 0; f--) {
                            seen = over(films.get(f), seen);
                        }
                        return Optional.of(seen);
                    }
                }
            }
        }
        return Optional.empty();
    }

    private static Color over(Color film, Color below) {
        double a = film.getOpacity();
        return Color.color(a * film.getRed() + (1 - a) * below.getRed(), a * film.getGreen() + (1 - a) * below.getGreen(),
                a * film.getBlue() + (1 - a) * below.getBlue());
    }

    /** WCAG 2.2, relative luminance and contrast ratio. */
    private static double contrast(Color one, Color other) {
        double a = luminance(one);
        double b = luminance(other);
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    private static double luminance(Color colour) {
        return 0.2126 * linear(colour.getRed()) + 0.7152 * linear(colour.getGreen()) + 0.0722 * linear(colour.getBlue());
    }

    private static double linear(double code) {
        return code <= 0.04045 ? code / 12.92 : Math.pow((code + 0.055) / 1.055, 2.4);
    }

    private static void names(Node node, String where, Set<String> wrong, int[] seen) {
        if (!node.isVisible()) {
            return;
        }
        boolean control = node instanceof ButtonBase || node instanceof TextInputControl || node instanceof Slider
                || node instanceof ComboBoxBase<?>;
        if (control && (node.isFocusTraversable() || node instanceof ButtonBase)) { // arrows reach what Tab does not
            seen[0]++;
            boolean said = node.getAccessibleText() != null && !node.getAccessibleText().isBlank()
                    || node instanceof ButtonBase button && button.getText() != null && button.getText().matches("(?s).*\\p{L}.*")
                    || !Hint.of(node).isEmpty();
            if (!said) {
                wrong.add(where + ": " + name(node));
            }
        }
        if (node instanceof Parent parent) {
            new ArrayList<>(parent.getChildrenUnmodifiable()).forEach(child -> names(child, where, wrong, seen));
        }
    }
}
