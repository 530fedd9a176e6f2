package mosspebble.app.shell;

import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.ListView;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.PopupWindow;
import javafx.stage.Window;

/** Keys as they are written in the table of actions, and as they are pressed. */
final class Keys {

    private static final Map<String, KeyCode> NAMED = Map.of("/", KeyCode.SLASH, ".", KeyCode.PERIOD, ",", KeyCode.COMMA, "Delete",
            KeyCode.DELETE, "Escape", KeyCode.ESCAPE, "?", KeyCode.SLASH, "+", KeyCode.PLUS, "-", KeyCode.MINUS);

    private Keys() {}

    /** Whether what is pressed is the key that is written so; "?" is also F1, and the slash with Shift. */
    static boolean match(String written, KeyEvent pressed) {
        if (written.isEmpty()) {
            return false;
        }
        if (written.equals("?")) {
            return pressed.getCode() == KeyCode.F1 || pressed.getCode() == KeyCode.QUOTE && "?".equals(pressed.getText())
                    || pressed.getCode() == KeyCode.SLASH && pressed.isShiftDown() || "?".equals(pressed.getText());
        }
        if (written.equals("Ctrl +") || written.equals("Ctrl -")) { // wherever the layout has them, and on the number pad
            boolean plus = written.endsWith("+");
            return pressed.isControlDown() && (plus ? List.of(KeyCode.PLUS, KeyCode.ADD, KeyCode.EQUALS)
                    : List.of(KeyCode.MINUS, KeyCode.SUBTRACT)).contains(pressed.getCode());
        }
        String[] parts = written.split(" ");
        String last = parts[parts.length - 1];
        boolean ctrl = written.contains("Ctrl");
        boolean shift = written.contains("Shift");
        return pressed.getCode() == code(last) && pressed.isControlDown() == ctrl && pressed.isShiftDown() == shift;
    }

    /** @throws IllegalArgumentException if nothing on a keyboard is called so */
    static KeyCode code(String name) {
        if (NAMED.containsKey(name)) {
            return NAMED.get(name);
        }
        if (name.length() == 1 && Character.isDigit(name.charAt(0))) {
            return KeyCode.valueOf("DIGIT" + name);
        }
        return KeyCode.valueOf(name);
    }

    /**
     * Whether a key without Ctrl is for what has the focus: a field, a list, a choice that lies open. Escape leaves what is aside all the
     * same, unless something lies open over it.
     */
    static boolean belongToTheFocus(KeyEvent e) {
        boolean popup = Window.getWindows().stream().anyMatch(w -> w instanceof PopupWindow && !(w instanceof Tooltip) && w.isShowing());
        if (popup) {
            return true;
        }
        boolean field = e.getTarget() instanceof TextInputControl;
        if (e.getCode() == KeyCode.ESCAPE || e.getCode() == KeyCode.F1) {
            return field;
        }
        for (Node node = e.getTarget() instanceof Node target ? target : null; node != null; node = node.getParent()) {
            if (node instanceof TextInputControl || node instanceof ComboBoxBase) {
                return true;
            }
            if (node instanceof ListView) {
                return e.getCode().isLetterKey() || e.getCode() == KeyCode.DELETE; // a list has no use for the others
            }
        }
        return false;
    }
}
