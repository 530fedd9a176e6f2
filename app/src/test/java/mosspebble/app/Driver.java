package mosspebble.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ConcurrentModificationException;
import java.util.List;
import java.util.Locale;
import javafx.scene.input.KeyEvent;
import javafx.event.EventType;
import javafx.event.Event;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Bounds;
import javafx.geometry.Dimension2D;
import javafx.scene.control.MenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Menu;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.event.EventHandler;
import javafx.scene.input.MouseEvent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import mosspebble.app.cloth.ClothView;
import mosspebble.app.control.Pulses;
import mosspebble.app.model.Results;
import mosspebble.app.shell.Shell;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Studio;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.service.query.EmptyNodeQueryException;
import org.testfx.util.WaitForAsyncUtils;

/** Drives the real application in its real window as a person would: by pointer and keys. */
final class Driver implements AutoCloseable {

    static {
        System.setProperty("java.awt.headless", "true");
    }

    /** So often the window must have answered with nothing to do. */
    private static final int STILL = 8;

    /** The stones most tests need: every one more is a plan and a picture that they wait for. */
    private static final List<String> MOSTLY = List.of("owl", "lettering", "snail");

    private static final ChangeListener<Parent> UNPAINTED = (window, before, root) -> root.setOpacity(0);

    /** Whatever a window is given, one after the other. */
    private static final ChangeListener<Scene> IN_IT = (window, before, scene) -> {
        if (scene != null) {
            scene.rootProperty().removeListener(UNPAINTED);
            scene.rootProperty().addListener(UNPAINTED);
            scene.getRoot().setOpacity(0);
        }
    };

    final FxRobot robot = new Hand();
    private final Stage stage;
    private final MossPebbleApp app;
    private int pressed;

    /** On the demo, or on one's own studio, where there is none yet with a shelf laid out and nothing else. */
    Driver(Path studio, boolean demo) throws TimeoutException, FileTrouble {
        this(demo ? studio : withShelf(studio), demo, MOSTLY);
    }

    private static Path withShelf(Path studio) throws FileTrouble {
        if (Files.notExists(studio)) {
            StudioStore.open(studio, () -> LanternWalk.newcomer().withShelf(LanternWalk.shelf())).close();
        }
        return studio;
    }

    /** On one's own studio as it is the first time: there is nothing at all. */
    static Driver ofANewcomer(Path studio) throws TimeoutException, FileTrouble {
        return new Driver(studio, false, MOSTLY);
    }

    /** On a studio with these stones of the demo, which is made only where there is none yet; without any: all nine. */
    Driver(Path studio, String... stones) throws TimeoutException, FileTrouble {
        this(studio, true, List.of(stones));
    }

    /** The same by another clock. */
    Driver(Path studio, Clock clock, String... stones) throws TimeoutException, FileTrouble {
        this(studio, true, List.of(stones), clock);
    }

    private Driver(Path studio, boolean demo, List<String> stones) throws TimeoutException, FileTrouble {
        this(studio, demo, stones, Clock.systemDefaultZone());
    }

    private Driver(Path studio, boolean demo, List<String> stones, Clock clock) throws TimeoutException, FileTrouble {
        if (demo) {
            made(studio, stones);
        }
        stage = FxToolkit.registerPrimaryStage();
        app = new MossPebbleApp(new MossPebbleApp.Wish(studio, demo, null, false, Finding.Stage.STONE, null, List.of(),
                new Dimension2D(1280, 800)), clock);
        unpainted(stage);
        FxToolkit.setupApplication(() -> app);
        WaitForAsyncUtils.waitForFxEvents(1);
        // an application restarted in one process finds keys pressed as the last one left them
        robot.release(new KeyCode[0]);
    }

    /** The file of a studio with these stones of the demo, without its book, where there is none yet; without any: all nine. */
    static Path made(Path studio, List<String> stones) throws FileTrouble {
        if (Files.notExists(studio)) {
            StudioStore.open(studio, () -> Demo.of(stones)).close();
        }
        return studio;
    }

    /** On the demo as it ships, with its book; three stones of it, which are enough. */
    static Driver ofTheWholeWalk(Path studio, Clock clock) throws TimeoutException, FileTrouble {
        if (Files.notExists(studio)) {
            StudioStore.open(studio, () -> Demo.of(MOSTLY), Year::pages).close();
        }
        return new Driver(studio, true, MOSTLY, clock);
    }

    /** The demo, made once for all tests of one process. */
    private static final class Demo {

        private static final Studio ALL = LanternWalk.studio(BuiltIn.repertoire());

        static Studio of(List<String> stones) {
            return stones.isEmpty() ? ALL : ALL.withProjects(ALL.projects().stream().filter(p -> stones.contains(p.id())).toList());
        }
    }

    /** Where there is no screen nobody sees what is painted, which takes a fifth of the time: all is there and laid out as if it were. */
    static void unpainted(Stage stage) {
        if (Boolean.getBoolean("testfx.headless")) {
            now(() -> {
                stage.sceneProperty().removeListener(IN_IT);
                stage.sceneProperty().addListener(IN_IT);
            });
        }
    }

    Scene scene() {
        return stage.getScene();
    }

    Results show() {
        return (Results) scene().getRoot().getProperties().get(Results.class);
    }

    /** Pixels of the window a mm of the stone on the cloth; its picture may have fewer. */
    double scale() {
        return ((ClothView) find("#cloth")).scale();
    }

    PaintPlan plan() {
        return show().plan();
    }

    /** Does by its name what can be done by name, from any thread. */
    void does(String name) {
        robot.interact(() -> ((Shell) scene().getRoot()).perform(name));
    }

    /** Does or looks at something in the window where what it answers is waited for otherwise, or not at all. */
    void atOnce(Runnable work) {
        now(work);
    }

    <T extends Node> T find(String query) {
        return robot.lookup(query).query();
    }

    boolean present(String query) {
        return robot.lookup(query).tryQuery().filter(Driver::isSeen).isPresent();
    }

    /** Whether a node and all that it lies in are visible. */
    private static boolean isSeen(Node node) {
        return node.isVisible() && (node.getParent() == null || isSeen(node.getParent()));
    }

    String text(String query) {
        Node node = find(query);
        return node instanceof TextInputControl field ? field.getText() : ((Labeled) node).getText();
    }

    /** Clicks a control, first bringing it into view if its column is scrolled. */
    void click(String query) {
        await(query + " to be there", () -> present(query));
        Node node = inPlace(query);
        jump(node.localToScreen(node.getBoundsInLocal()));
        Node[] over = new Node[1];
        EventHandler<MouseEvent> witness = e -> over[0] = within((Node) e.getTarget(), node) ? null : (Node) e.getTarget();
        scene().addEventFilter(MouseEvent.MOUSE_PRESSED, witness);
        Bounds at = node.localToScreen(node.getBoundsInLocal());
        now(() -> pointer().mouseMove(at.getCenterX(), at.getCenterY()));
        now(() -> pointer().mousePress(MouseButton.PRIMARY));
        now(() -> pointer().mouseRelease(MouseButton.PRIMARY));
        pressed++;
        answered();
        scene().removeEventFilter(MouseEvent.MOUSE_PRESSED, witness);
        if (over[0] != null) {
            throw new AssertionError("what was pressed for " + query + " is " + over[0] + ", which lies over it");
        }
    }

    private static boolean within(Node inner, Node outer) {
        return inner == outer || inner.getParent() != null && within(inner.getParent(), outer);
    }

    /**
     * A control brought into view; what was just made anew while it was looked for is looked for again. On a busy machine what has just
     * appeared can wait long for its place: everything is laid out first, or the click would go where it stood last.
     */
    private Node inPlace(String query) {
        Node[] found = new Node[1];
        await(query + " to be in place", () -> {
            Node node = find(query);
            now(() -> {
                laidOut();
                reveal(node);
                laidOut();
            });
            answered();
            found[0] = node;
            return node.localToScreen(node.getBoundsInLocal()) != null;
        });
        return found[0];
    }

    private void laidOut() {
        scene().getRoot().applyCss();
        scene().getRoot().layout();
    }

    /** Puts the pointer beside a place at once; the test robot would walk there pixel by pixel. */
    private void jump(Bounds place) {
        now(() -> pointer().mouseMove(place.getCenterX() - 1, place.getCenterY() - 1));
    }

    /** Events of a press come as tasks of their own, and so does what they put off. */
    private static final int ROUNDS = 4;
    /** In so many pulses what was put off is there. */
    private static final int MOST_BEATS = 12;

    private static final long LONGEST_PULSE_MS = 500;

    private static Robot pointer() {
        return new Robot();
    }

    private static void reveal(Node node) {
        for (Node above = node.getParent(); above != null; above = above.getParent()) {
            if (above instanceof ScrollPane pane && pane.getContent() != null) {
                double content = pane.getContent().getBoundsInLocal().getHeight();
                double view = pane.getViewportBounds().getHeight();
                double y = pane.getContent().sceneToLocal(node.localToScene(node.getBoundsInLocal())).getCenterY();
                if (content > view) {
                    pane.setVvalue(Math.max(0, Math.min(1, (y - view / 2) / (content - view))));
                }
            }
        }
    }

    /** Chooses from a menu as a person would, by the item's id. */
    void choose(String menu, String what) {
        click("#" + menu);
        robot.interact(() -> {
            MenuButton button = find("#" + menu);
            item(button.getItems(), menu + "-" + what).fire();
            button.hide();
        });
        settled();
    }

    private static MenuItem item(List<MenuItem> items, String id) {
        for (MenuItem each : items) {
            if (id.equals(each.getId())) {
                return each;
            }
            if (each instanceof Menu more && more.getItems().stream().anyMatch(i -> id.equals(i.getId()))) {
                return item(more.getItems(), id);
            }
        }
        throw new AssertionError("no " + id);
    }

    void type(String query, String words) {
        click(query);
        push(KeyCode.CONTROL, KeyCode.A);
        push(KeyCode.DELETE);
        robot.write(words, 0);
        push(KeyCode.ENTER);
        pressed++;
        answered();
    }

    /** Clicks and keys besides letters typed into a field: what was in a field is marked when it is entered. */
    int pressed() {
        return pressed;
    }

    /** Puts on the stone what the library finds first, by keys alone. */
    void put(String search) {
        keys(KeyCode.A);
        until("the library", () -> scene().getFocusOwner() != null && "library-search".equals(scene().getFocusOwner().getId()));
        robot.write(search, 0);
        keys(KeyCode.ENTER);
    }

    /** Does by name what the command field finds first, by keys alone. */
    void command(String words) {
        keys(KeyCode.SLASH);
        until("the command field", () -> scene().getFocusOwner() != null && "command".equals(scene().getFocusOwner().getId()));
        robot.write(words, 0);
        keys(KeyCode.ENTER);
    }

    void keys(KeyCode... keys) {
        push(keys);
        pressed++;
        answered();
    }

    /** Presses keys together and lets them go. */
    private void push(KeyCode... keys) {
        for (KeyCode key : keys) {
            now(() -> pointer().keyPress(key));
        }
        for (int i = keys.length - 1; i >= 0; i--) {
            KeyCode key = keys[i];
            now(() -> pointer().keyRelease(key));
        }
    }

    /** The test robot sleeps after whatever it does; this one goes on when the window has answered. */
    private final class Hand extends FxRobot {
        @Override
        public FxRobot interact(Runnable work) {
            now(work);
            if (!Platform.isFxApplicationThread()) { // else one asked within what is done there
                answered();
            }
            return this;
        }

        @Override
        public FxRobot write(String words, int sleep) {
            for (char letter : words.toCharArray()) {
                String text = String.valueOf(letter);
                KeyCode known = letter == '\n' ? KeyCode.ENTER : KeyCode.getKeyCode(text.toUpperCase(Locale.ROOT));
                KeyCode code = known == null ? KeyCode.UNDEFINED : known;
                for (EventType<KeyEvent> type : List.of(KeyEvent.KEY_PRESSED, KeyEvent.KEY_TYPED, KeyEvent.KEY_RELEASED)) {
                    boolean typed = type == KeyEvent.KEY_TYPED;
                    now(() -> {
                        Scene scene = scene();
                        Event.fireEvent(scene.getFocusOwner() == null ? scene : scene.getFocusOwner(),
                                new KeyEvent(type, typed ? text : "", typed ? "" : text, typed ? KeyCode.UNDEFINED : code, false, false,
                                        false,
                                        false));
                    });
                }
            }
            answered();
            return this;
        }
    }

    /** Does something on the interface thread and waits until it is done. */
    private static void now(Runnable work) {
        WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(work));
    }

    /** Waits until the window has answered what was pressed, what that put off, and is laid out and drawn as it is then. */
    private void answered() {
        boolean[] more = {true};
        for (int k = 0; more[0] && k < MOST_BEATS; k++) {
            drawn();
            now(() -> more[0] = Pulses.isWaiting());
        }
    }

    private void drawn() {
        for (int i = 0; i < ROUNDS; i++) {
            now(() -> {});
        }
        CountDownLatch drawn = new CountDownLatch(1);
        now(() -> {
            Scene seen = scene();
            if (seen == null) {
                drawn.countDown();
                return;
            }
            seen.addPostLayoutPulseListener(new Runnable() {
                @Override
                public void run() {
                    seen.removePostLayoutPulseListener(this);
                    drawn.countDown();
                }
            });
            Platform.requestNextPulse();
        });
        try {
            drawn.await(LONGEST_PULSE_MS, TimeUnit.MILLISECONDS); // a window that is being closed draws no more
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Waits until something is so, and the window has answered what made it so. */
    void until(String what, Callable<Boolean> condition) {
        await(what, condition);
        answered();
    }

    private static void await(String what, Callable<Boolean> condition) {
        try {
            WaitForAsyncUtils.waitFor(40, TimeUnit.SECONDS, () -> {
                try {
                    return condition.call();
                } catch (IndexOutOfBoundsException | ConcurrentModificationException | EmptyNodeQueryException e) {
                    return false; // looked at while the interface was changing, or before it is there
                }
            });
        } catch (TimeoutException e) {
            throw new AssertionError("waited in vain for " + what, e);
        }
    }

    /** Waits until the plan of what is shown is there. */
    void settled() {
        until("the plan", () -> show() != null && show().plan() != null && !show().busyProperty().get());
    }

    /** Waits until nothing is worked at, and still nothing after several looks: answers that ask the next question leave gaps. */
    void still() {
        for (int looks = 0; looks < STILL; looks++) {
            if (!show().idle()) {
                looks = -1;
                until("everything is worked out", () -> show().idle());
            }
            answered();
        }
    }

    @Override
    public void close() throws TimeoutException {
        FxToolkit.cleanupApplication(app);
        FxToolkit.cleanupStages();
    }
}
