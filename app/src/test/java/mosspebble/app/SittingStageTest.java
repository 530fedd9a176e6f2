package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextArea;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import mosspebble.app.model.Workbench;
import mosspebble.app.sitting.SittingModel;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Diary;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.util.WaitForAsyncUtils;

/** The Sitting stage in the real window, by a clock that the test turns. */
class SittingStageTest {

    @TempDir
    private Path folder;

    private static Diary diary(Driver app) {
        return ((Workbench) app.scene().getRoot().getProperties().get(Workbench.class)).studio().diary();
    }

    private static void sitting(Driver app) {
        app.settled();
        app.keys(KeyCode.DIGIT5);
        app.until("the hem", () -> app.robot.lookup(".hem-stitch").queryAll().size() > 3 && app.show().idle());
    }

    /** At the table, with time from morning to night. */
    private static void sitDown(Driver app) {
        sitting(app);
        app.click("#sitting-week");
        app.type("#week", "Mon-Sun 8:00-23:00");
        app.robot.interact(() -> app.find("#hem").requestFocus());
        app.keys(KeyCode.O);
        app.until("something to do", () -> app.text("#work-done").equals("Done"));
    }

    private static Bounds place(Driver app, String query) {
        Node node = app.find(query);
        return node.localToScreen(node.getBoundsInLocal());
    }

    @Test
    void threeStonesArePlannedForADayAndWhatWouldHelpIsOffered() throws Exception {
        Turned clock = new Turned("2026-11-27T18:40:00");
        try (Driver app = new Driver(folder.resolve("s.pebble"), clock, "owl", "snail", "fox")) {
            app.settled();
            assertThat(app.text("#ready")).as("no timetable yet").endsWith(" at best");
            sitting(app);
            assertThat(app.robot.lookup("#ready-list .button").queryAll()).hasSize(3);
            app.until("tray and head say what the timetable says",
                    () -> app.text("#ready").matches(".* by hand, ready \\p{L}{3} \\d+, [\\d:]+"));
            String head = app.text("#ready");
            assertThat(app.find("#tray-owl").getAccessibleText()).endsWith(head.substring(head.indexOf("ready ")));
            assertThat(app.text("#bound")).contains("ready").contains(":");
            app.type("#due", "31 Feb");
            assertThat(app.text("#due-problem")).contains("no day");
            app.type("#due", "2026-11-01");
            assertThat(app.text("#due-problem")).contains("is over");
            app.type("#due", "Sun 12:00");
            app.until("the owl late", () -> app.present("#late") && app.text("#late").contains("Owl keeping a lamp"));
            app.still(); // what would help moves what is below
            assertThat(diary(app).due()).containsEntry("owl", LocalDateTime.parse("2026-11-29T12:00"));
            app.type("#due", "Wed 2 Dec 20:00");
            app.still();
            app.click("#sitting-week");
            app.type("#week", "Mon-Fri 19:30-20:15");
            assertThat(app.text("#longer")).startsWith("If all takes a quarter longer");
            app.click("#sitting-ready");
            app.until("what would help", () -> app.show().idle() && app.present("#way-0"));
            app.until("a later day", () -> later(app).isPresent());
            app.robot.interact(() -> ((Button) app.find(later(app).orElseThrow())).fire());
            app.until("the owl may be ready later", () -> diary(app).due().get("owl").isAfter(LocalDateTime.parse("2026-12-02T20:00")));
            app.until("it is not late then", () -> !app.present("#late"));
            app.still();
            app.click("#sitting-week");
            app.type("#week", "never");
            assertThat(app.text("#week-problem")).contains("never");
            app.type("#week", "Sat 9-10, Sat 9:30-11");
            assertThat(app.text("#week-problem")).contains("overlaps");
            assertThat(diary(app).week()).isEqualTo("Mon-Fri 19:30-20:15");
        }
    }

    @Test
    void aStoneWaitsForAnotherOrForADayAndForNothingAgain() throws Exception {
        Turned clock = new Turned("2026-11-27T18:40:00");
        try (Driver app = new Driver(folder.resolve("s.pebble"), clock, "owl", "snail", "fox")) {
            sitting(app);
            app.click("#tray-owl");
            assertThat(app.text("#waits")).isEqualTo("waits for nothing");
            app.choose("waits", "snail");
            assertThat(diary(app).terms("owl").after()).contains("snail");
            assertThat(app.text("#waits")).isEqualTo("waits for Snail with post");
            app.until("it is said at the owl", () -> app.present("#ready-owl")
                    && app.find("#ready-owl").getAccessibleText().endsWith("It waits until Snail with post is painted and dry."));
            app.click("#tray-snail");
            app.until("the snail's own", () -> app.text("#waits").equals("waits for nothing"));
            app.settled(); // a menu closes with a column that is laid out anew
            app.click("#waits");
            app.until("the menu is open", () -> ((MenuButton) app.find("#waits")).isShowing());
            app.robot.interact(() -> ((Workbench) app.scene().getRoot().getProperties().get(Workbench.class))
                    .look(s -> s.withView(LengthUnit.INCH, false)));
            assertThat(((MenuButton) app.find("#waits")).getItems()).as("what is open stays under the hand").hasSize(3);
            List<MenuItem> offered = ((Menu) ((MenuButton) app.find("#waits")).getItems().get(1)).getItems();
            assertThat(offered).as("no ring is offered").extracting(MenuItem::getId).containsExactly("waits-fox");
            app.keys(KeyCode.ESCAPE);
            app.until("the menu is closed", () -> !((MenuButton) app.find("#waits")).isShowing());
            app.click("#rests");
            app.until("both are left out", () -> app.robot.lookup("#ready-list .label").queryAll().stream()
                    .filter(n -> n instanceof Label l && l.getText().equals("Owl keeping a lamp waits for Snail with post")).count() == 1);
            app.click("#rests");
            app.click("#tray-owl");
            app.choose("waits", "day-5");
            assertThat(diary(app).terms("owl")).isEqualTo(
                    new Diary.Terms(Optional.empty(), Optional.of(LocalDateTime.parse("2026-12-02T00:00")), Optional.empty(), false));
            app.until("a day", () -> app.find("#ready-owl").getAccessibleText().endsWith("It waits until Wednesday 2 December."));
            app.choose("waits", "nothing");
            assertThat(diary(app).terms()).isEmpty();
        }
    }

    /** The way out that gives the owl a later day, if it is offered. */
    private static Optional<String> later(Driver app) {
        return IntStream.range(0, 5).mapToObj(i -> "#way-" + i).filter(app::present)
                .filter(w -> app.text(w).startsWith("Owl keeping a lamp only by ")).findFirst();
    }

    @Test
    void aStitchIsDraggedToAnotherSittingAndStaysPinnedThere() throws Exception {
        Turned clock = new Turned("2026-11-27T18:40:00");
        try (Driver app = new Driver(folder.resolve("s.pebble"), clock, "snail")) {
            sitting(app);
            String first = app.robot.lookup(".hem-stitch").queryAll().stream().map(Node::getId).findFirst().orElseThrow();
            Bounds from = place(app, "#" + first);
            Bounds to = place(app, "#end-2026-11-28-0");
            app.robot.drag(from.getCenterX(), from.getCenterY(), MouseButton.PRIMARY).moveTo(to.getMinX() - 40, to.getCenterY()).drop();
            app.until("it is pinned", () -> !diary(app).pins().isEmpty());
            assertThat(diary(app).pins()).allSatisfy(p -> assertThat(p.sitting()).isEqualTo(LocalDateTime.parse("2026-11-28T14:00")));
            assertThat(app.text("#notice")).contains("is pinned to Sat 28 November, 14:00");
            app.until("the foot tells of it", () -> app.present("#pin") && app.text("#pin").equals("Free it"));
            Bounds now = place(app, "#" + first);
            assertThat(now.getMinY()).as("it lies on Saturday's strip").isGreaterThan(place(app, "#end-2026-11-27-0").getMaxY());
            app.click("#pin");
            app.until("it is free", () -> diary(app).pins().isEmpty());
            app.robot.interact(() -> app.find("#end-2026-11-28-0").requestFocus());
            app.keys(KeyCode.RIGHT);
            app.until("longer", () -> diary(app).on(LocalDate.of(2026, 11, 28)).get(0).length().equals(Duration.ofMinutes(255)));
            app.robot.interact(() -> app.find("#begin-2026-11-27-0").requestFocus());
            app.keys(KeyCode.DELETE);
            app.until("no sitting on Friday", () -> diary(app).on(LocalDate.of(2026, 11, 27)).isEmpty());
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("it is back", () -> diary(app).on(LocalDate.of(2026, 11, 27)).size() == 1);
            app.click("#more-2026-11-30");
            app.until("one more", () -> diary(app).on(LocalDate.of(2026, 11, 30)).size() == 2);
        }
    }

    /** Turns the clock, and has the program look at it. */
    private static void later(Driver app, Turned clock, Duration time) {
        clock.on(time);
        app.robot.interact(() -> model(app).tick());
        WaitForAsyncUtils.waitForFxEvents(1);
    }

    private static SittingModel model(Driver app) {
        return (SittingModel) app.scene().getRoot().getProperties().get(SittingModel.class);
    }

    /** Works on until nothing can be done at the moment. */
    private static int work(Driver app, Turned clock, int most) {
        int done = 0;
        while (done < most && app.text("#work-done").equals("Done")) {
            int before = diary(app).deeds().size();
            later(app, clock, Duration.ofSeconds(90));
            app.keys(KeyCode.SPACE);
            app.until("one more is done", () -> diary(app).deeds().size() == before + 1 && app.show().idle());
            done++;
        }
        return done;
    }

    @Test
    void aStoneIsPaintedByKeysAloneOverAWeekendWithARestartInTheMiddle() throws Exception {
        Turned clock = new Turned("2026-11-28T09:00:10");
        Path studio = folder.resolve("s.pebble");
        int steps;
        try (Driver app = new Driver(studio, clock, "snail")) {
            sitDown(app);
            steps = app.plan().steps().size();
            assertThat(app.text("#work-stone")).isEqualTo("Snail with post · step 1 of " + steps);
            assertThat(work(app, clock, 9)).isBetween(1, 8);
            app.until("it must dry", () -> app.text("#work-done").equals("It is dry: go on"));
            assertThat(app.present("#drying-snail")).isTrue();
            assertThat(((Labeled) app.find("#tray-snail .tray-state")).getText()).startsWith("touch from ");
            until(app, clock);
            app.until("it is dry", () -> app.text("#work-done").equals("Done"));
            app.until("and it is said, with what comes next", () -> Optional.ofNullable(app.scene().getFocusOwner().getAccessibleText())
                    .filter(t -> t.startsWith("It is dry. Snail with post · step ") && t.contains(": " + app.text("#work-title") + ". "))
                    .isPresent());
            app.keys(KeyCode.N);
            app.until("not yet", () -> !app.text("#work-done").equals("Done"));
            later(app, clock, Duration.ofMinutes(6));
            app.until("now it is", () -> app.text("#work-done").equals("Done"));
            work(app, clock, 2);
            assertThat(app.show().takenOut()).as("what is ticked off is out of the jars").isNotEmpty()
                    .allSatisfy((paint, ml) -> assertThat(ml).isPositive());
            int done = diary(app).deeds().size();
            String title = app.text("#work-title");
            app.keys(KeyCode.B);
            app.until("taken back", () -> diary(app).deeds().size() == done - 1 && app.show().idle());
            until(app, clock);
            assertThat(work(app, clock, 1)).isEqualTo(1);
            app.until("as before", () -> app.text("#work-title").equals(title));
            app.keys(KeyCode.R);
            app.until("once more", () -> diary(app).last().orElseThrow().spoiled() && app.show().idle());
            assertThat(app.text("#work-title")).isNotEqualTo(title);
            app.keys(KeyCode.P);
            assertThat(app.text("#work-count")).isEqualTo("paused");
            app.keys(KeyCode.P);
            app.keys(KeyCode.ESCAPE);
            assertThat(app.find("#work-along").isVisible()).isFalse();
        }
        try (Driver app = new Driver(studio, clock, "snail")) {
            sitting(app);
            app.keys(KeyCode.O);
            for (int stops = 0; stops < 200 && !app.text("#work-title").equals("All is done"); stops++) {
                work(app, clock, 99);
                until(app, clock);
            }
            assertThat(app.text("#work-title")).isEqualTo("All is done");
            assertThat(diary(app).deeds().stream().filter(d -> !d.spoiled()).map(Diary.Deed::step).distinct().count()).isEqualTo(steps);
            assertThat(diary(app).deeds()).isSortedAccordingTo(Comparator.comparing(Diary.Deed::to));
            assertThat(diary(app).hands()).as("ninety seconds a pass teach").isNotEmpty();
            app.keys(KeyCode.ESCAPE);
            app.command("times have taught");
            String work = diary(app).hands().keySet().iterator().next();
            app.click("#forget-" + work.replace(' ', '-'));
            app.until("it is forgotten", () -> !diary(app).hands().containsKey(work));
            assertThat(diary(app).last().orElseThrow().to()).as("its seal goes on over days")
                    .isAfter(Instant.parse("2026-11-29T09:00:00Z"));
        }
    }

    /** Turns the clock to what comes next. */
    private static Step next(Driver app) {
        SittingModel.Shown shown = model(app).shown();
        Workload.Piece piece = shown.table().of().pieces().get(shown.next().orElseThrow().piece());
        return shown.plans().get(piece.stone()).steps().get(piece.step());
    }

    @Test
    void whatWasPaintedAndThenLeftOutIsToldAndPlannedOnFromByAClick() throws Exception {
        Turned clock = new Turned("2026-11-28T09:00:10");
        try (Driver app = new Driver(folder.resolve("s.pebble"), clock, "lettering")) {
            sitDown(app);
            for (int k = 0; k < 60 && !(next(app) instanceof Step.Sign); k++) {
                until(app, clock);
                app.until("due", () -> app.text("#work-done").equals("Done"));
                work(app, clock, 1);
            }
            app.keys(KeyCode.ESCAPE);
            Workbench workbench = (Workbench) app.scene().getRoot().getProperties().get(Workbench.class);
            app.robot.interact(
                    () -> workbench.edit("Without the small words", p -> p.withSketch(p.sketch().flatMap(s -> s.without("i2")))));
            app.click("#sitting-ready");
            app.until("it is told", () -> app.present("#strange-lettering"));
            assertThat(app.text("#strange-lettering")).startsWith("Lantern Walk");
            app.click("#plan-on-lettering");
            app.until("planned on from it", () -> app.show().idle() && !app.present("#strange-lettering")
                    && app.plan().steps().get(0) instanceof Step.Earlier);
            assertThat(app.find("#hem").isVisible()).isTrue();
            app.keys(KeyCode.CONTROL, KeyCode.Z);
            app.until("undone, and told again", () -> app.show().idle() && app.present("#strange-lettering"));
        }
    }

    private static void until(Driver app, Turned clock) {
        model(app).shown().next().map(Timetable.Placed::start).map(at -> Duration.between(clock.instant(), at).plusSeconds(5))
                .filter(d -> !d.isNegative()).ifPresent(d -> later(app, clock, d));
    }

    @Test
    void aColdDayIsToldByItsNameAndSaysWhatThatBreaks() throws Exception {
        Turned clock = new Turned("2026-11-27T18:40:00");
        try (Driver app = new Driver(folder.resolve("s.pebble"), clock, "snail")) {
            sitting(app);
            LocalDate day = LocalDate.of(2026, 11, 28);
            app.click("#room-" + day);
            assertThat(app.text("#day-slower")).startsWith("As usual: 19 °C and 55 %");
            app.type("#day-temperature", "cold");
            assertThat(app.text("#day-temperature-problem")).contains("is not a number");
            app.type("#day-temperature", "8");
            app.until("the cold is told",
                    () -> app.present("#left-for-cold") && app.text("#left-for-cold").startsWith("Nothing is painted on Sat 28"));
            Timetable table = model(app).shown().table();
            assertThat(table.placed().stream().filter(p -> p.start().atZone(ZoneId.of("UTC")).toLocalDate().equals(day)))
                    .as("no paint where it is too cold for it").noneMatch(
                            p -> ManyStones.formsFilm(app.plan().steps().get(table.of().pieces().get(p.piece()).step())));
            assertThat(app.present("#too-cold")).as("so there is nothing to warn of").isFalse();
            assertThat(app.text("#day-slower")).contains("8 °C", "times the usual time", "no film below 10 °C");
            assertThat(app.text("#room-" + day)).isEqualTo("Sat 28 Nov · 8 °C");
            app.click("#sitting-week");
            assertThat(app.text("#temperature")).as("the usual room").isEqualTo("19");
            app.click("#sitting-ready");
            app.click("#day-usual");
            app.until("all is as usual", () -> !app.present("#left-for-cold") && app.text("#room-" + day).equals("Sat 28 November"));
            app.click("#day-probe");
            app.until("the probe was read", () -> app.text("#room-" + day).contains("°C"));
            app.click("#sitting-week");
            app.type("#sprayed", "0");
            assertThat(app.text("#sprayed-problem")).contains("1 to 50");
            app.type("#sprayed", "9");
            assertThat(app.text("#sprayed")).isEqualTo("9");
        }
    }

    /** No word of the head of a day lies over another. */
    private static void apart(Driver app, String day) {
        List<Bounds> words = ((Parent) app.find(day)).getChildrenUnmodifiable().stream()
                .filter(n -> n instanceof Label && n.isVisible() && n.getBoundsInParent().getMinY() < 20)
                .map(n -> ((Label) n).lookup(".text")).map(t -> t.localToScreen(t.getBoundsInLocal())).toList();
        assertThat(words).hasSizeGreaterThan(3);
        for (int i = 0; i < words.size(); i++) {
            for (int k = 0; k < i; k++) {
                assertThat(words.get(i).intersects(words.get(k))).as("%s over %s", words.get(i), words.get(k)).isFalse();
            }
        }
    }

    @Test
    void aMorningInTheGardenIsColderThanTheEveningOfItsDay() throws Exception {
        Turned clock = new Turned("2026-11-27T18:40:00");
        try (Driver app = new Driver(folder.resolve("s.pebble"), clock, "snail")) {
            sitting(app);
            app.click("#sitting-week");
            app.type("#week", "Mon-Fri 19-21, Sat 9-11, Sat 19-21");
            app.click("#sitting-ready");
            LocalDate day = LocalDate.of(2026, 11, 28);
            app.until("two sittings on Saturday", () -> app.present("#begin-" + day + "-1"));
            app.click("#room-" + day);
            assertThat(app.text("#day-slower")).startsWith("As usual");
            app.click("#day-sitting-0");
            app.type("#day-temperature", "12");
            assertThat(app.text("#day-slower")).startsWith("12 °C and 55 %").contains("times the usual time");
            app.until("the hem tells it", () -> app.present("#air-" + day + "-0"));
            assertThat(app.text("#air-" + day + "-0")).isEqualTo("9:00 · 12 °C");
            assertThat(app.text("#room-" + day)).as("the day is as usual").isEqualTo("Sat 28 November");
            apart(app, "#day-" + day);
            app.click("#day-sitting-1");
            assertThat(app.text("#day-slower")).startsWith("As usual: 19 °C");
            assertThat(((Button) app.find("#day-usual")).isDisabled()).as("it has no air of its own").isTrue();
            app.click("#day-sitting-0");
            app.click("#day-usual");
            app.until("warm again", () -> !app.present("#air-" + day + "-0"));
            app.click("#undo");
            app.until("undone", () -> app.present("#air-" + day + "-0"));
        }
    }

    @Test
    void aPassThatTookFarTooLongIsAskedAbout() throws Exception {
        Turned clock = new Turned("2026-11-28T14:00:10");
        try (Driver app = new Driver(folder.resolve("s.pebble"), clock, "snail")) {
            sitting(app);
            app.click("#sit-down");
            app.until("something to do", () -> app.text("#work-done").equals("Done"));
            later(app, clock, Duration.ofMinutes(47));
            app.click("#work-done");
            app.until("a question", () -> app.present("#work-usual"));
            assertThat(Duration.between(diary(app).last().orElseThrow().from(), diary(app).last().orElseThrow().to()).toMinutes())
                    .isEqualTo(47);
            app.click("#work-usual");
            app.until("the usual time", () -> Duration.between(diary(app).last().orElseThrow().from(),
                    diary(app).last().orElseThrow().to()).toMinutes() < 10);
            assertThat(app.present("#work-usual")).isFalse();
            app.click("#work-wrong");
            app.until("where it is mended", () -> app.robot.lookup("#mishap-slip").tryQuery().isPresent() || app.present("#mend-page")
                    || !app.find("#work-along").isVisible());
            assertThat(app.robot.lookup(".work-button").queryAllAs(Button.class)).allSatisfy(b -> assertThat(b.getHeight())
                    .as("wide enough for an elbow").isGreaterThanOrEqualTo(56));
            assertThat(List.of("#work-done", "#work-leave")).allSatisfy(id -> assertThat(app.find(id).getAccessibleRole()).isNotNull());
        }
    }

    @Test
    void theNextPictureIsThereAtOnceAndWhatIsCoveredWaits() throws Exception {
        Turned clock = new Turned("2026-11-28T14:00:10");
        try (Driver app = new Driver(folder.resolve("s.pebble"), clock, "snail", "toadstool")) {
            sitting(app);
            app.click("#sit-down");
            app.until("something to do", () -> app.text("#work-done").equals("Done") && app.show().idle());
            ImageView picture = inside(app, ImageView.class);
            Node hem = app.find(".hem-day");
            for (int k = 0; k < 3 && (k == 0 || app.text("#work-done").equals("Done")); k++) {
                Image before = picture.getImage();
                Image[] after = new Image[1];
                app.robot.interact(() -> {
                    ((Button) app.find("#work-done")).fire();
                    after[0] = picture.getImage();
                });
                assertThat(after[0]).as("another picture before anything else is done").isNotNull().isNotSameAs(before);
                app.until("sharp, where a thumb in the tray has some 150 pixels",
                        () -> app.show().idle() && picture.getImage().getWidth() > 220);
            }
            assertThat((Object) app.find(".hem-day")).as("nobody sees it").isSameAs(hem);
            String stone = app.text("#work-stone");
            app.keys(KeyCode.ESCAPE);
            app.until("the hem as it is now", () -> app.find(".hem-day") != hem);
            app.until("what was in hand lies on the cloth", () -> stone.contains(app.text("#name")));
            app.keys(KeyCode.CONTROL, KeyCode.T);
            app.until("what was told", () -> app.present("#told-text") && app.find("#told").isVisible());
            List<String> told = ((TextArea) app.find("#told-text")).getText().lines().filter(l -> l.contains(": ")).toList();
            assertThat(told).as("each pass is said once, whatever timetable came meanwhile").hasSizeGreaterThanOrEqualTo(2)
                    .doesNotHaveDuplicates();
        }
    }

    @Test
    void nineStonesFitIntoTrayAndHemWithoutScrollingSideways() throws Exception {
        Turned clock = new Turned("2026-11-28T13:20:00");
        try (Driver app = new Driver(folder.resolve("s.pebble"), clock)) {
            sitting(app);
            Bounds window = inScene(app.find(".tray"));
            assertThat(app.robot.lookup(".tray-stone").queryAllAs(Node.class)).hasSize(9).allSatisfy(stone -> {
                Bounds place = inScene(stone);
                assertThat(place.getMinX()).isGreaterThanOrEqualTo(window.getMinX());
                assertThat(place.getMaxX()).as(stone.getId()).isLessThanOrEqualTo(inScene(app.find("#new-stone")).getMinX() + 1);
            });
            assertThat(inScene(app.find("#new-stone")).getMaxX()).isLessThanOrEqualTo(window.getMaxX());
            app.still(); // better timetables come one after the other
            double right = inScene(app.find("#hem")).getMaxX();
            app.until("all laid out", () -> app.show().idle()
                    && app.robot.lookup(".hem-stitch").queryAllAs(Node.class).stream().allMatch(n -> inScene(n).getWidth() > 0));
            assertThat(app.robot.lookup(".hem-stitch").queryAllAs(Node.class)).hasSizeGreaterThan(30).allSatisfy(stitch -> {
                Bounds place = inScene(stitch);
                assertThat(place.getMaxX()).as(stitch.getId()).isLessThan(right);
                assertThat(place.getWidth()).as("wide enough to be seen").isGreaterThanOrEqualTo(14);
                assertThat(stitch.getAccessibleText()).isNotBlank();
            });
            assertThat(app.robot.lookup(".hem-day").queryAll()).hasSizeGreaterThan(5);
            assertThat(app.find("#cloth").getParent().isVisible()).as("the stage owns the middle").isFalse();
            assertThat(app.text("#next-deed")).isNotBlank();
            assertThat(app.text("#countdown")).isEqualTo("40 min");
            later(app, clock, Duration.ofMinutes(41));
            assertThat(app.text("#countdown")).isEqualTo("now");
        }
    }

    private static Bounds inScene(Node node) {
        return node.localToScene(node.getBoundsInLocal());
    }

    @Test
    void thePlaceOfThePassIsTheBrightestOnTheStone() throws Exception {
        Turned clock = new Turned("2026-11-28T14:00:10");
        try (Driver app = new Driver(folder.resolve("s.pebble"), clock, "harbour")) {
            sitDown(app);
            for (int k = 0; k < 12 && !app.text("#work-sentence").contains("night blue"); k++) {
                work(app, clock, 1);
                until(app, clock);
            }
            assertThat(app.robot.lookup("#puddle .label").queryAll()).as("its mixes are counted out").extracting(n -> ((Label) n).getText())
                    .anyMatch(t -> t.startsWith("Mix "));
            app.until("the picture", () -> app.show().idle() && inside(app, ImageView.class).getImage() != null);
            Canvas light = inside(app, Canvas.class);
            WritableImage[] dim = new WritableImage[1];
            app.robot.interact(() -> {
                SnapshotParameters clear = new SnapshotParameters();
                clear.setFill(Color.TRANSPARENT);
                dim[0] = light.snapshot(clear, null);
            });
            int clear = 0;
            int dark = 0;
            for (int y = 0; y < dim[0].getHeight(); y += 4) {
                for (int x = 0; x < dim[0].getWidth(); x += 4) {
                    double cover = dim[0].getPixelReader().getColor(x, y).getOpacity();
                    clear += cover < 0.05 ? 1 : 0;
                    dark += cover > 0.4 && cover < 0.7 ? 1 : 0;
                }
            }
            assertThat(dark).as("what is not painted now is dimmed").isGreaterThan(clear / 20);
            assertThat(clear).as("the place itself is not").isGreaterThan(200);
        }
    }

    private static <T extends Node> T inside(Driver app, Class<T> kind) {
        return ((StackPane) app.find("#work-picture")).getChildren().stream().filter(kind::isInstance).map(kind::cast).findFirst()
                .orElseThrow();
    }
}
