package mosspebble.app;

import static com.tngtech.archunit.core.domain.JavaModifier.FINAL;
import static com.tngtech.archunit.core.domain.JavaModifier.STATIC;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The arrows on the napkin: app to files and instruments to core, and in core each stage looks back only. */
class ArchitectureTest {

    private static final JavaClasses OURS = new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("mosspebble");

    @Test
    void stagesLookBack() {
        looksBackOnly("mosspebble.core", "units", "area", "stone", "sketch", "colour", "blend", "photo", "coats", "drying", "timetable",
                "supplies", "care", "project", "finding", "plan", "book", "proof", "rules", "advice", "words", "rock", "picture");
    }

    @Test
    void noValueHasMoreThanEightComponents() {
        List<String> large = OURS.stream().filter(c -> c.reflect().isRecord() && c.reflect().getRecordComponents().length > 8)
                .map(c -> c.getName()).toList();
        assertThat(large).isEmpty();
        assertThat(OURS.stream().filter(c -> c.reflect().isRecord()).count()).as("records seen").isGreaterThan(100);
    }

    @Test
    void theWindowIsBuiltFromTheControlsUp() {
        looksBackOnly("mosspebble.app", "control", "model", "cloth", "screen", "stone", "sketch", "repertoire", "colour", "shelf",
                "buildup",
                "compare", "sitting", "finish", "book", "photo", "proof", "basket", "shell");
    }

    private static void looksBackOnly(String parent, String... order) {
        String[] all = Arrays.stream(order).map(name -> parent + "." + name + "..").toArray(String[]::new);
        classes().that().resideInAPackage(parent + ".*..").should().resideInAnyPackage(all).check(OURS);
        for (int i = 0; i < all.length - 1; i++) {
            noClasses().that().resideInAPackage(all[i]).should().dependOnClassesThat()
                    .resideInAnyPackage(Arrays.copyOfRange(all, i + 1, all.length)).check(OURS);
        }
    }

    @Test
    void coreKnowsNoInterfaceNoFileNoNetworkNoClock() {
        noClasses().that().resideInAPackage("mosspebble.core..").should().dependOnClassesThat()
                .resideInAnyPackage("javafx..", "java.awt..", "javax.swing..", "java.io..", "java.nio.file..", "java.net..", "java.sql..",
                        "mosspebble.files..", "mosspebble.app..",
                        "mosspebble.instruments..")
                .check(OURS);
        noClasses().that().resideInAPackage("mosspebble.core..").should().callMethodWhere(
                DescribedPredicate.describe("reads the clock",
                        call -> call.getName().equals("now") || call.getName().equals("currentTimeMillis")
                                || call.getName().equals("nanoTime")))
                .check(OURS);
        fields().that().areDeclaredInClassesThat().resideInAPackage("mosspebble.core..").and().haveModifier(STATIC).should()
                .haveModifier(FINAL).check(OURS);
    }

    @Test
    void nobodyLaysWorkOutOnAllCoresButOneLevelDeep() {
        noClasses().that().doNotHaveSimpleName("Parallel").should().callMethodWhere(
                DescribedPredicate.describe("begins a parallel stream",
                        call -> call.getName().equals("parallel") || call.getName().equals("parallelStream")))
                .check(OURS);
    }

    @Test
    void filesAndInstrumentsKnowOnlyCore() {
        noClasses().that().resideInAPackage("mosspebble.files..").should().dependOnClassesThat()
                .resideInAnyPackage("mosspebble.app..", "mosspebble.instruments..", "javafx..").check(OURS);
        noClasses().that().resideInAPackage("mosspebble.instruments..").should().dependOnClassesThat()
                .resideInAnyPackage("mosspebble.app..", "mosspebble.files..", "javafx..").check(OURS);
    }

    @Test
    void screensKnowInstrumentsOnlyByTheirInterfaces() {
        noClasses().that().resideInAPackage("mosspebble.app.*..").should().dependOnClassesThat().haveSimpleNameStartingWith("Simulated")
                .check(OURS);
    }

    @Test
    void viewModelsKnowNoNodes() {
        noClasses().that().resideInAPackage("mosspebble.app.model..").should().dependOnClassesThat()
                .resideInAnyPackage("javafx.scene..", "javafx.stage..", "mosspebble.app.shell..").check(OURS);
    }
}
