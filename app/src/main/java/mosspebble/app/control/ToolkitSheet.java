package mosspebble.app.control;

import java.io.IOException;
import java.io.InputStream;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javafx.application.Application;

/**
 * The toolkit's own style sheet without what is for controls that no window of ours has. For every node that is shown or dressed anew the
 * toolkit asks each rule of every sheet whether it holds; more than half of the rules of its own are for charts, tables, trees and other
 * controls.
 */
public final class ToolkitSheet {

    /** Style classes of what is left out. */
    private static final Pattern LEFT_OUT = Pattern.compile("""
            .*chart.*|axis.*|.*-legend.*|default-color\\d|negative|\
            table-.*|.*-table-.*|tree-.*|.*-tree-.*|column-.*|empty-table|\
            html-editor.*|web-view|date-.*|day-.*|hijrah-.*|calendar-.*|month-.*|week-.*|(next|previous)-month|today|\
            pagination.*|page|page-.*|number-button|bullet-button|tab|tab-.*|tabs-.*|split-pane.*|split-menu-button|split-arrows.*|\
            tool-bar.*|titled-pane|accordion|spinner|choice-box|dialog-pane|alert|progress-indicator|radio-button|menu-bar|password-field|\
            transparent-pattern""");

    private static final Pattern STYLE_CLASS = Pattern.compile("\\.([A-Za-z][\\w-]*)");
    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)}");

    private static final String WHOLE = "/com/sun/javafx/scene/control/skin/modena/modena.css";

    private ToolkitSheet() {}

    /** Has the windows of this process dressed by it, from before the first control; where it was not built by the whole one. */
    public static void wear() {
        URL built = ToolkitSheet.class.getResource("/mosspebble/app/toolkit.bss");
        if (built != null && Application.getUserAgentStylesheet() == null) {
            Application.setUserAgentStylesheet(built.toExternalForm());
        }
    }

    /**
     * The toolkit's sheet as it comes with it.
     *
     * @throws IOException where it is not there or cannot be read
     */
    static String whole() throws IOException {
        try (InputStream in = ToolkitSheet.class.getResourceAsStream(WHOLE)) {
            if (in == null) {
                throw new IOException("The toolkit has no style sheet at " + WHOLE + ": see what it is called in this version.");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** A sheet without rules for what is left out; the others in their order, with the selectors that remain. */
    static String without(String sheet) {
        StringBuilder kept = new StringBuilder();
        Matcher rule = RULE.matcher(COMMENT.matcher(sheet).replaceAll(""));
        while (rule.find()) {
            selectors(rule.group(1)).ifPresent(s -> kept.append(s).append(" {").append(rule.group(2)).append("}\n"));
        }
        return kept.toString();
    }

    private static Optional<String> selectors(String list) {
        String kept = Arrays.stream(list.split(",")).map(String::strip).filter(ToolkitSheet::isKept).collect(Collectors.joining(",\n"));
        return Optional.of(kept).filter(s -> !s.isEmpty());
    }

    /** Whether a selector can hold for something that a window of ours has. */
    static boolean isKept(String selector) {
        return STYLE_CLASS.matcher(selector).results().noneMatch(c -> LEFT_OUT.matcher(c.group(1)).matches());
    }
}
