package mosspebble.app.shell;

import java.time.Clock;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.util.Duration;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.words.FindingWords;

/**
 * Says aloud what is told without being asked for: notices, what was found after an edit, what is dry. The toolkit knows no regions that a
 * screen reader watches, so what is said goes before the name of the node in focus, whose changes a reader speaks; the node has its own
 * name again after a while, or when the focus goes on. What was said is kept, the last of it, to be read again.
 */
final class Announcer {

    /** So many of what was said last are kept. */
    static final int KEPT = 40;

    /** So many findings at once are said in full. */
    private static final int IN_FULL = 2;
    /** What was said a moment before is said again with what comes next: a reader breaks off where the name changes. */
    private static final Duration UNHEARD = Duration.seconds(3);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm");

    private final Node within;
    private final Workbench workbench;
    private final Clock clock;
    private final Deque<String> said = new ArrayDeque<>();
    private final PauseTransition silence = Lull.of(Duration.seconds(8));
    private Node speaking;
    private String name;
    private String spoken;
    private String telling;
    private PaintPlan before;

    /** @param within the window's root, in whose scene the focus is asked for */
    Announcer(Node within, Workbench workbench, Results show, Clock clock) {
        this.within = within;
        this.workbench = workbench;
        this.clock = clock;
        silence.setOnFinished(e -> hush());
        workbench.noticeProperty().addListener((o, a, b) -> say(b));
        workbench.unkeptProperty().addListener((o, a, b) -> say(b));
        show.planProperty().addListener((o, a, b) -> planned(b));
        // what was planned under the hand is not planned again when the hand lets go
        workbench.studioProperty().addListener((o, a, b) -> Platform.runLater(() -> planned(show.plan())));
        // of whatever scene it is in, which may go on with another studio
        within.sceneProperty().flatMap(Scene::focusOwnerProperty).addListener((o, a, b) -> hush());
    }

    /** Says something now, after what was said a moment before; nothing where it is blank. */
    void say(String words) {
        say(words, true);
    }

    /** Says how things stand now: what was said before holds no longer. */
    void sayInstead(String words) {
        say(words, false);
    }

    private void say(String words, boolean after) {
        if (words.isBlank()) {
            return;
        }
        said.addLast(TIME.format(ZonedDateTime.now(clock)) + "  " + words);
        if (said.size() > KEPT) {
            said.removeFirst();
        }
        Platform.runLater(() -> speak(words, after)); // what has the focus may take a new name of its own for the same reason
    }

    private void speak(String latest, boolean after) {
        boolean atOnce = after && speaking != null && silence.getCurrentTime().lessThan(UNHEARD);
        String words = atOnce ? telling + " " + latest : latest;
        hush();
        Node focused = within.getScene() == null ? null : within.getScene().getFocusOwner();
        if (focused == null || focused.accessibleTextProperty().isBound()) {
            return;
        }
        speaking = focused;
        name = focused.getAccessibleText();
        String own = name == null && focused instanceof Labeled labeled ? labeled.getText() : name;
        telling = words;
        spoken = own == null ? words : words + " " + own;
        focused.setAccessibleText(spoken);
        silence.playFromStart();
    }

    /** What was said, a line each, the last one last. */
    String toRead() {
        return String.join("\n", said);
    }

    /** Gives the node its name back, unless it took another meanwhile. */
    private void hush() {
        silence.stop();
        if (speaking != null && spoken.equals(speaking.getAccessibleText())) {
            speaking.setAccessibleText(name);
        }
        speaking = null;
    }

    /** Says what is found that was not there before the last edit of the same stone. */
    private void planned(PaintPlan plan) {
        if (workbench.isDrafting() || plan == before) {
            return;
        }
        PaintPlan known = before;
        before = plan;
        if (known == null || plan == null || !known.project().id().equals(plan.project().id())) {
            return;
        }
        Set<Code> codes = known.findings().stream().map(Finding::code).collect(Collectors.toSet());
        List<Finding> fresh = plan.findings().stream().filter(f -> !codes.contains(f.code())).toList();
        String words = fresh.stream().limit(IN_FULL).map(FindingWords::sentence).collect(Collectors.joining(" "));
        say(fresh.size() > IN_FULL ? words + " And " + (fresh.size() - IN_FULL) + " more." : words);
    }
}
