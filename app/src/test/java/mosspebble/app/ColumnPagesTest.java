package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import mosspebble.app.model.Workbench;
import mosspebble.app.shell.Elsewhere;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Paint;
import mosspebble.core.finding.Code;
import mosspebble.core.sketch.Item;
import mosspebble.core.stone.Origin;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.words.FindingWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The pages that columns are told apart into: each does what it says, and findings lead to the right one. */
class ColumnPagesTest {

    @TempDir
    private Path folder;

    private static Stone stone(Driver app) {
        return app.plan().project().stone();
    }

    private static Optional<Item> item(Driver app, int number) {
        return app.plan().project().sketch().map(s -> s.items()).filter(all -> all.size() > number).map(all -> all.get(number));
    }

    /** Turns to what is told about that, and presses the button that leads elsewhere. */
    private static void follow(Driver app, Code code, String sentence) throws TimeoutException {
        app.until(sentence, () -> app.plan().findings().stream().anyMatch(f -> f.code() == code));
        app.settled();
        for (int k = 0; k < app.plan().findings().size() && !app.text("#finding").contains(sentence); k++) {
            app.click("#finding-after");
        }
        assertThat(app.text("#finding")).contains(sentence);
        int number = app.plan().findings().stream().map(f -> f.code()).toList().indexOf(code);
        app.click("#elsewhere-" + number);
        app.settled();
    }

    private static ImageView picture(Driver app, String name) {
        return app.robot.lookup(".found").queryAll().stream().filter(n -> ((Labeled) n).getAccessibleText().startsWith(name))
                .flatMap(n -> n.lookupAll(".image-view").stream()).map(ImageView.class::cast).findFirst().orElseThrow();
    }

    @Test
    void fewStonesOfTheBasketFillTheTableAllAtOneScale() throws Exception {
        try (Driver app = new Driver(folder.resolve("basket.pebble"), "owl")) {
            app.settled();
            app.does("Look into the basket");
            app.until("all four are drawn", () -> app.show().idle() && app.robot.lookup(".found .image-view").queryAll().size() == 4);
            double slab = picture(app, "Long slab").getFitWidth(); // 124 mm across the table, the round one 78 mm, the sandstone 94 mm high
            double round = picture(app, "Round from the river").getFitWidth();
            double sandstone = picture(app, "Field sandstone").getFitHeight();
            assertThat(slab).isGreaterThan(200);
            assertThat((slab - round) / (124 - 78)).as("px for a mm").isCloseTo((slab - sandstone) / (124 - 94), within(0.05));
            assertThat(app.find("#basket").lookupAll(".scroll-bar").stream().filter(Node::isVisible)).as("all of them are seen").isEmpty();
            app.until("as fine as it is large", () -> picture(app, "Long slab").getImage().getWidth() > 0.97 * slab);
            app.robot.interact(() -> app.scene().getWindow().setHeight(720));
            app.until("smaller in a low window", () -> app.show().idle() && picture(app, "Long slab").getFitWidth() < 0.9 * slab);
            assertThat(app.find("#basket").lookupAll(".scroll-bar").stream().filter(Node::isVisible)).isEmpty();
        }
    }

    @Test
    void inALowWindowOtherWaysToMendAFindingWaitInAMenu() throws Exception {
        try (Driver app = new Driver(folder.resolve("low.pebble"), "snail")) {
            app.settled();
            app.does("Words, serif");
            app.until("letters too thin for a brush", () -> app.present("#finding") && app.text("#finding").contains("too narrow"));
            int number = app.plan().findings().stream().map(f -> f.code()).toList().indexOf(Code.TOO_NARROW);
            List<String> ways = app.plan().findings().get(number).remedies().stream().map(FindingWords::label).toList();
            assertThat(ways).hasSizeGreaterThan(2);
            assertThat(app.text("#remedy-" + number)).isEqualTo(ways.get(0));
            assertThat(app.text("#remedy-" + number + "-1")).isEqualTo(ways.get(1));
            assertThat(app.present("#remedies-" + number)).isFalse();
            app.robot.interact(() -> app.scene().getWindow().setHeight(720));
            app.until("a menu", () -> app.present("#remedies-" + number));
            assertThat(app.text("#remedy-" + number)).as("the first way is one press away").isEqualTo(ways.get(0));
            assertThat(app.present("#remedy-" + number + "-1")).isFalse();
            assertThat(((MenuButton) app.find("#remedies-" + number)).getItems()).extracting(i -> i.getText())
                    .containsExactlyElementsOf(ways.subList(1, ways.size()));
            String first = app.text("#finding");
            app.click("#finding-after");
            assertThat(app.text("#finding")).isNotEqualTo(first);
            for (int k = 0; !app.text("#finding").equals(first); k++) {
                assertThat(k).as("after the last comes the first").isLessThan(9);
                app.click("#finding-after");
            }
            app.click("#remedies-" + number);
            MenuItem other = ((MenuButton) app.find("#remedies-" + number)).getItems().get(0);
            app.robot.interact(other::fire);
            app.until("it is done", () -> app.text("#undo").equalsIgnoreCase("Undo: " + ways.get(1)));
        }
    }

    @Test
    void rockAndWhereItLayAreOnePressFromWhatIsToldOfThem() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            app.click("#page-rock");
            app.click("#rock-sandstone");
            app.click("#skin-rough");
            app.click("#skin-painted");
            app.click("#grains-loose");
            app.until("all of it", () -> stone(app).rock() == RockKind.SANDSTONE && stone(app).texture() == Texture.ROUGH
                    && stone(app).skin().before() == Skin.Before.PAINT_KEPT && stone(app).skin().loose());
            app.click("#page-outline");
            follow(app, Code.LOOSE_GRAINS, "rains");
            assertThat(app.<ToggleButton>find("#grains-loose").isSelected()).as("the page on which that is said").isTrue();
            app.click("#page-found");
            app.click("#stone-taking-forbidden");
            app.until("noted", () -> app.plan().project().origin().taking() == Origin.Taking.FORBIDDEN);
            app.click("#page-outline");
            follow(app, Code.TAKING_FORBIDDEN, "Taking this stone was not allowed");
            assertThat(app.present("#stone-taking-forbidden")).as("where it is from, which is no matter of the outline").isTrue();
        }
    }

    /** From any page of the habits what is told of coats leads to those of coats. */
    @Test
    void whatIsToldOfCoatsLeadsToTheHabitsOfCoats() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            app.does("Habits: lines");
            app.until("lines", () -> app.present("#lines-last") && !app.present("#primer-whole"));
            Elsewhere coats = Elsewhere.of(Code.PALE_NEEDS_PRIMER).orElseThrow();
            app.click("#stage-stone");
            app.does(coats.action());
            app.until("coats", () -> app.present("#primer-whole") && !app.present("#lines-last"));
            app.does("Habits: drying, seal");
            app.until("the seal", () -> app.present("#seal-matt") && app.present("#habit-dryer") && !app.present("#primer-whole"));
        }
    }

    /** A dome that is higher 8 mm in from the edge than it was thought is fuller (geometry). */
    @Test
    void theTapeTellsHowFullTheDomeIs() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            double before = stone(app).fullness();
            app.click("#page-weigh");
            assertThat(app.present("#fact-weight")).as("what follows stands beside it").isTrue();
            assertThat(app.present("#face-tilt")).isFalse();
            app.type("#gauge-height", "high");
            assertThat(app.text("#gauge-height-problem")).isNotBlank();
            app.keys(KeyCode.ESCAPE);
            app.type("#gauge-height", "30");
            app.until("fuller", () -> stone(app).fullness() > before + 0.05);
            app.until("one reading", () -> app.present("#dome-question") && app.text("#dome-question").startsWith("1 reading, fullness"));
            double first = stone(app).fullness();
            app.type("#gauge-height", "29.2");
            app.until("less full by both", () -> stone(app).fullness() < first - 0.01);
            assertThat(app.text("#dome-question")).startsWith("2 readings").contains("off by");
            app.type("#gauge-height", "20");
            app.until("that cannot be true", () -> app.text("#dome-question").startsWith("No dome over this outline"));
            app.click("#page-skin");
            assertThat(app.present("#length")).as("measures have no say there").isFalse();
        }
    }

    @Test
    void aThingIsLaidOnTheMiddleAndSeveralOfItAreOneGroup() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            app.click("#stage-sketch");
            app.click("#sketch-lies");
            assertThat(app.present("#align-upright")).as("a page of its own").isFalse();
            app.keys(KeyCode.ESCAPE);
            app.robot.interact(() -> app.find("#cloth").requestFocus());
            app.keys(KeyCode.SHIFT, KeyCode.RIGHT);
            app.until("aside", () -> item(app, 0).filter(i -> i.placement().x() > 3).isPresent());
            app.click("#sketch-where");
            app.click("#align-upright");
            app.until("on the upright middle line", () -> item(app, 0).filter(i -> Math.abs(i.placement().x()) < 2).isPresent());
            app.type("#several-count", "1");
            assertThat(app.text("#several-count-problem")).contains("2 to");
            app.keys(KeyCode.ESCAPE);
            app.type("#several-count", "3");
            app.click("#in-ring");
            app.until("three", () -> item(app, 2).isPresent());
            app.settled();
            assertThat(app.text("#group")).isEqualTo("Take the group apart");
            app.click("#group");
            app.until("apart", () -> item(app, 0).filter(i -> i.group().isEmpty()).isPresent());
        }
    }

    @Test
    void theBasketOffersWhatIsInIt() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.keys(KeyCode.B);
            app.until("four stones", () -> app.robot.lookup(".found").queryAll().size() == 4);
            assertThat(app.present("#find-slate")).isTrue();
            assertThat(app.present("#find-flint")).as("there is none in the basket").isFalse();
            app.choose("best-for", "owl-lamp");
            app.until("ranked", () -> app.robot.lookup(".moss").queryAll().size() == 4);
            assertThat(app.<MenuButton>find("#best-for").getText()).startsWith("Best for: ");
            app.click("#order-name");
            app.until("by name again", () -> app.<MenuButton>find("#best-for").getText().equals("Best for …"));
        }
    }

    @Test
    void aPageOfTheShelfStaysWhereAnotherPaintIsTaken() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), true)) {
            app.settled();
            app.keys(KeyCode.S);
            app.click("#shelf-yellow");
            app.click("#shelf-page-film");
            app.robot.interact(() -> app.<ComboBox<Binder>>find("#paint-binder").setValue(Binder.OIL));
            app.until("bound in oil", () -> paint(app, "yellow").binder() == Binder.OIL);
            app.click("#shelf-sand");
            app.until("another paint", () -> app.text("#paint-title").equals("sand"));
            assertThat(app.present("#paint-stripe")).as("the same page").isTrue();
            assertThat(app.<ComboBox<Binder>>find("#paint-binder").getValue()).isEqualTo(paint(app, "sand").binder());
            app.does("Shelf: over what");
            assertThat(app.present("#rules")).isTrue();
            assertThat(app.present("#paint-stripe")).isFalse();
        }
    }

    private static Paint paint(Driver app, String id) {
        return ((Workbench) app.scene().getRoot().getProperties().get(Workbench.class)).studio().shelf().find(id).orElseThrow();
    }

    @Test
    void listsBeginWithTheBestAndOpen() throws Exception {
        try (Driver app = new Driver(folder.resolve("s.pebble"), "owl")) {
            app.settled();
            app.click("#page-suits");
            app.until("ways up", () -> app.present("#suits-all"));
            String all = app.text("#suits-all");
            int few = app.robot.lookup(".matter .label").queryAll().size();
            app.click("#suits-all");
            app.until("all of them", () -> !app.present("#suits-all"));
            int subjects = Integer.parseInt(all.replaceAll("\\D", ""));
            assertThat(subjects).as("made up for the walk").isGreaterThan(20);
            assertThat(app.robot.lookup(".matter .label").queryAll().size() - few).as("a name and a reason for each of the others")
                    .isGreaterThanOrEqualTo(2 * (subjects - 4));
            app.does("Colour: palettes");
            app.until("palettes", () -> app.present("#palette-dusk"));
            List<Double> highs = app.robot.lookup("#palettes .slot").queryAll().stream().map(n -> n.getLayoutBounds().getHeight()).toList();
            assertThat(highs).hasSize(5).allSatisfy(high -> assertThat(high).as("no higher than title, strip and sentence")
                    .isCloseTo(76, within(14.0)));
            Node card = app.find("#palette-dusk");
            assertThat(card.getAccessibleText()).contains("apart by at least");
            assertThat(((Labeled) card).getGraphic().getLayoutBounds().getWidth()).isLessThan(card.getLayoutBounds().getWidth());
        }
    }
}
