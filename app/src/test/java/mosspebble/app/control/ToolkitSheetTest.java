package mosspebble.app.control;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import javafx.css.CssParser;
import javafx.css.Selector;
import javafx.css.Stylesheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is left out of the toolkit's sheet, and that nothing of ours would need it. */
class ToolkitSheetTest {

    private static List<String> selectors(String sheet) {
        Stylesheet parsed = new CssParser().parse(sheet);
        return parsed.getRules().stream().flatMap(r -> r.getSelectors().stream()).map(Selector::toString).toList();
    }

    @Test
    void ofAListOfSelectorsThoseAreKeptThatAWindowMayHave() {
        String kept = ToolkitSheet.without("""
                /* .button { gone } */
                .root { -fx-base: #ececec; }
                .chart { -fx-padding: 5px; }
                .button, .tab-pane > .tab, .check-box > .box { -fx-padding: 1em; }
                .combo-box-popup > .list-view { -fx-padding: 2em; }
                .table-view .label { -fx-padding: 3em; }
                """);
        assertThat(kept.lines().map(String::strip).filter(l -> !l.isEmpty())).containsExactly(".root { -fx-base: #ececec; }", ".button,",
                ".check-box > .box { -fx-padding: 1em; }", ".combo-box-popup > .list-view { -fx-padding: 2em; }");
    }

    @Test
    void whatIsKeptStandsInTheToolkitsOrderAndIsLessThanHalfOfIt() throws Exception {
        List<String> whole = selectors(ToolkitSheet.whole());
        List<String> kept = selectors(ToolkitSheet.without(ToolkitSheet.whole()));
        assertThat(kept).hasSizeBetween(200, whole.size() / 2);
        assertThat(whole).containsSubsequence(kept);
    }

    @ParameterizedTest
    @ValueSource(strings = {".button:hover", ".toggle-button:selected", ".text-field", ".text-area .content", ".scroll-bar > .thumb",
        ".slider .track",
        ".progress-bar > .bar", ".menu-button > .arrow-button", ".context-menu", ".combo-box-base", ".color-palette > .color-picker-grid",
        ".custom-color-dialog", ".list-cell:filled:selected", ".check-box > .box > .mark", ".tooltip", ".separator:horizontal .line",
        ".root"})
    void whatWindowsOfOursHaveIsKept(String selector) {
        assertThat(ToolkitSheet.isKept(selector)).isTrue();
    }

    /** A control has its own name in small letters for its style class. */
    private static String styleClass(JavaClass control) {
        return control.getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", "-").toLowerCase(Locale.ROOT);
    }

    @Test
    void noControlIsUsedWhoseRulesAreLeftOut() {
        Set<String> used = new TreeSet<>();
        for (JavaClass ours : new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("mosspebble.app")) {
            for (Dependency dependency : ours.getDirectDependenciesFromSelf()) {
                JavaClass other = dependency.getTargetClass().getBaseComponentType();
                if (other.getPackageName().equals("javafx.scene.control") || other.getPackageName().equals("javafx.scene.chart")) {
                    used.add(styleClass(other));
                }
            }
        }
        assertThat(used).contains("button", "list-view", "color-picker", "progress-bar");
        assertThat(used.stream().filter(c -> !ToolkitSheet.isKept("." + c))).as("controls whose look is left out in ToolkitSheet")
                .isEmpty();
        assertThat(List.of("table-view", "radio-button", "tab-pane", "line-chart", "date-picker", "spinner", "tree-view"))
                .noneMatch(c -> ToolkitSheet.isKept("." + c));
    }
}
