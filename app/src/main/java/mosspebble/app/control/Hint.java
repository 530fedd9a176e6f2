package mosspebble.app.control;

import javafx.event.EventHandler;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

/**
 * What is said of a control when the pointer rests on it, and to whoever listens in place of looking. The window that shows it is made when
 * a pointer comes for the first time: each costs as much as the control itself, and most are never seen.
 */
public final class Hint implements EventHandler<MouseEvent> {

    private static final String KEY = "hint";

    private final Node node;
    private String words = "";
    private Tooltip shown;

    private Hint(Node node) {
        this.node = node;
    }

    /** Says something of a control, in place of what was said before. */
    public static void on(Node node, String words) {
        Hint hint = (Hint) node.getProperties().computeIfAbsent(KEY, key -> {
            Hint made = new Hint(node);
            node.addEventHandler(MouseEvent.MOUSE_ENTERED, made);
            return made;
        });
        hint.words = words;
        node.setAccessibleHelp(words);
        if (hint.shown != null) {
            hint.shown.setText(words);
        }
    }

    /** What is said of a control; empty for nothing. */
    public static String of(Node node) {
        return node.getProperties().get(KEY) instanceof Hint hint ? hint.words : "";
    }

    @Override
    public void handle(MouseEvent entered) {
        if (shown == null && !words.isEmpty()) {
            shown = new Tooltip(words);
            Tooltip.install(node, shown);
        }
    }
}
