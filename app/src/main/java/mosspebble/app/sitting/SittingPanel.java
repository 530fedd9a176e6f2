package mosspebble.app.sitting;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.input.TransferMode;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Entry;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.InTime;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.SittingPage;
import mosspebble.core.project.Project;
import mosspebble.core.project.Room;
import mosspebble.core.timetable.DueText;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.words.TimetableWords;
import mosspebble.files.Paper;
import mosspebble.files.SittingSheets;
import mosspebble.files.TakenTimes;
import mosspebble.files.TimetableFiles;
import mosspebble.instruments.ClimateProbe;

/** Who is ready when and what is tight, with what is said of the stone in hand at its own row; and the week with the room. */
final class SittingPanel extends Panel {

    /** What is shown. */
    enum Page { READY, WEEK }

    private static final Duration AHEAD = Duration.ofDays(56);

    private final SittingModel model;
    /** Stones in the order in which they are ready: those before the one in hand, that one, and those after it. */
    private final VBox sooner = new VBox(1);
    private final VBox row = new VBox();
    private final VBox own = new VBox(8, row);
    private final VBox later = new VBox(1);
    private final VBox ready = new VBox(3, sooner, own, later);
    private final ObjectProperty<Page> page = new SimpleObjectProperty<>(Page.READY);
    private final VBox tight = new VBox(5);
    private final Label bound = quiet("");
    private final Label longer = quiet("");
    private Object listed;

    SittingPanel(Workbench workbench, Results show, SittingModel model, ClimateProbe probe, FileWork files) {
        super(workbench, show);
        this.model = model;
        ready.setId("ready-list");
        tight.setId("tight");
        bound.setId("bound");
        longer.setId("longer");
        Entry due = new Entry("due", "When it should be ready",
                "A day, with a time if you like: Sunday, 6.12., 2026-12-06 12:00; empty for no matter when", this::due, this::due);
        ToggleButton rests = toggle("rests", "rests", "It is left out of the timetable for now",
                r -> project().ifPresent(p -> model.edit(r ? "Leave " + p.name() + " out" : "Take " + p.name() + " in",
                        d -> d.withResting(p.id(), r))));
        ToggleButton dryer = toggle("dry-dryer", "hair dryer", "Warm moving air between coats; never on solvent products",
                d -> edit(d ? "Use the dryer" : "Dry in the air", p -> p.withHabits(p.habits().withDryer(d))));
        Entry week = new Entry("week", "Your week", "When there is time to paint, such as Mon-Fri 19:00-21:00, Sat 14-18",
                () -> model.diary().week(), this::week);
        ClimateFields climate = new ClimateFields("", () -> workbench.studio().climate(),
                c -> workbench.editStudio("Room", s -> s.withClimate(c)));
        Entry sprayed = new Entry("sprayed", "Spray place", "How many sprayed stones stand there side by side until they can be touched",
                () -> Integer.toString(model.room().sprayed()), this::sprayed);
        VBox air = climate.row(sprayed);
        WaitsMenu waits = new WaitsMenu(workbench, model);
        own.getStyleClass().add("own-stone");
        own.getChildren().addAll(new FlowPane(6, 6, waits, dryer, rests), due);
        Button read = button("read-probe", probe.button("Read"), "Takes temperature and humidity of the room now",
                () -> workbench.editStudio("Read the probe",
                        s -> s.withClimate(probe.read(LocalTime.ofInstant(model.nowProperty().get(), model.zone())))));
        Button along = button("take-along", "Take along …", "Saves the sittings on paper (PDF), as a calendar and as CSV into a folder",
                () -> {
                    DirectoryChooser chooser = new DirectoryChooser();
                    Optional.ofNullable(chooser.showDialog(getScene().getWindow())).ifPresent(to -> save(files, to.toPath()));
                });
        Button busy = button("busy", "Busy …", "Reads a calendar of yours (.ics): what is taken there is no time to paint", () -> {
            FileChooser chooser = new FileChooser();
            chooser.setTitle("A calendar of yours (.ics)");
            Optional.ofNullable(chooser.showOpenDialog(getScene().getWindow())).ifPresent(file -> readTaken(files, file.toPath()));
        });
        busy.setMinWidth(Region.USE_PREF_SIZE);
        Choice<Page> pages = Choice.pages(page::set);
        pages.option("sitting-ready", "Who is ready when", Page.READY, "When each stone is ready, and what is tight");
        pages.option("sitting-week", "Week and room", Page.WEEK, "When there is time to paint, and the air in which it dries");
        VBox whenReady = new VBox(11, bound, tight, ready);
        VBox hours = new VBox(11, week, longer, air, new FlowPane(8, 8, read, busy, along));
        VBox place = new VBox(whenReady);
        getChildren().addAll(pages, place);
        page.addListener((o, a, b) -> {
            place.getChildren().setAll(b == Page.READY ? whenReady : hours);
            refresh();
        });
        setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
        });
        setOnDragDropped(e -> e.getDragboard().getFiles().forEach(f -> readTaken(files, f.toPath())));
        onRefresh(() -> {
            climate.refresh();
            sprayed.refresh();
            week.refresh();
            due.refresh();
            pages.show(page.get());
            rests.setSelected(project().filter(p -> model.diary().resting().contains(p.id())).isPresent());
            dryer.setSelected(project().map(p -> p.habits().dryer()).orElse(false));
            waits.refresh();
            list();
        });
        model.follow(this::list);
        model.waysProperty().addListener((o, a, b) -> list());
    }

    ObjectProperty<Page> pageProperty() {
        return page;
    }

    private static ToggleButton toggle(String id, String words, String tooltip, Consumer<Boolean> change) {
        ToggleButton toggle = new ToggleButton(words);
        toggle.setId(id);
        toggle.getStyleClass().addAll("pebble", "tight");
        Hint.on(toggle, tooltip);
        toggle.setMinWidth(Region.USE_PREF_SIZE);
        toggle.setOnAction(e -> change.accept(toggle.isSelected()));
        return toggle;
    }

    /** Takes over the times that a calendar takes, in place of those it had. */
    void readTaken(FileWork files, Path file) {
        Instant from = model.nowProperty().get();
        files.run("Reading " + file.getFileName(), () -> TakenTimes.read(file, from, from.plus(AHEAD), model.zone()), taken -> {
            if (model.edit("Busy times", d -> d.withTaken(taken))) {
                workbench.tell(TimetableWords.taken(taken.size()));
            }
        });
    }

    /** Saves the timetable as it is shown. */
    private void save(FileWork files, Path folder) {
        SittingModel.Shown now = model.shown();
        if (now.table() == null) {
            workbench.tell(now.trouble());
            return;
        }
        files.run("Saving the sittings", () -> {
            TimetableFiles.csv(now.table(), now.plans(), model.zone(), folder.resolve("timetable.csv"));
            TimetableFiles.calendar(now.table(), now.plans(), folder.resolve("timetable.ics"));
            SittingSheets.write(SittingPage.of(now.table(), now.plans()), workbench.studio().shelf(), Paper.usualIn(Locale.getDefault()),
                    model.zone(), folder.resolve("sittings.pdf"));
            return folder;
        }, where -> workbench.tell("Saved: sittings.pdf, timetable.ics and timetable.csv in " + where));
    }

    // --- fields

    private String due() {
        return project().map(p -> model.diary().due().get(p.id())).map(TimetableWords::due).orElse("");
    }

    private Optional<String> due(String text) {
        Optional<Project> project = project();
        if (project.isEmpty()) {
            return Optional.empty();
        }
        try {
            LocalDateTime now = LocalDateTime.ofInstant(model.nowProperty().get(), model.zone());
            Optional<LocalDateTime> when = DueText.parse(text, now);
            if (when.filter(w -> w.isBefore(now)).isPresent()) {
                return Optional.of(TimetableWords.past(when.get()));
            }
            model.edit("Due day of " + project.get().name(), d -> d.withDue(project.get().id(), when));
            return Optional.empty();
        } catch (IllegalArgumentException e) {
            return Optional.of(e.getMessage());
        }
    }

    private Optional<String> week(String text) {
        if (model.edit("Your week", d -> d.withWeek(text.strip()))) {
            return Optional.empty();
        }
        String reason = workbench.noticeProperty().get();
        workbench.tell("");
        return Optional.of(reason);
    }

    private Optional<String> sprayed(String text) {
        try {
            int stones = Integer.parseInt(text.strip());
            Room room = model.room().withSprayed(stones);
            workbench.editStudio("Spray place", s -> s.withRoom(room));
            return Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.of("\"" + text + "\" is no number of stones. Write something like 4.");
        } catch (IllegalArgumentException e) {
            return Optional.of(e.getMessage());
        }
    }

    // --- what comes of it

    private void list() {
        SittingModel.Shown shown = model.shown();
        Object now = List.of(shown, model.waysProperty().get(), project().map(Project::id), workbench.studio().diary(), model.room(),
                model.isWithoutSolver());
        if (now.equals(listed)) {
            return;
        }
        listed = now;
        sooner.getChildren().clear();
        row.getChildren().clear();
        later.getChildren().clear();
        tight.getChildren().clear();
        own.setVisible(project().isPresent());
        own.setManaged(project().isPresent());
        Timetable table = shown.table();
        bound.setText(table == null || table.placed().isEmpty() ? ""
                : TimetableWords.bound(table, model.zone()) + " " + TimetableWords.sittings(table)
                        + (model.isWithoutSolver() ? " " + TimetableWords.WITHOUT_SOLVER : ""));
        longer.setText(table == null || table.placed().isEmpty() ? "" : TimetableWords.stretched(table, model.zone()));
        if (table == null) {
            row.getChildren().add(left(project().map(Project::name).orElse("")));
            return;
        }
        List<Timetable.Ready> all = table.ready().values().stream().filter(r -> shown.plans().containsKey(r.stone()))
                .sorted(Comparator.comparing(Timetable.Ready::at)).toList();
        all.forEach(r -> add(r.stone(), row(r)));
        ManyStones.leftOut(List.copyOf(shown.plans().values()), model.diary()).stream().filter(shown.plans()::containsKey)
                .forEach(id -> add(id, left(TimetableWords.leftOut(id, model.diary(), model::name))));
        if (row.getChildren().isEmpty()) { // all painted, or not planned yet
            row.getChildren().add(left(project().map(Project::name).orElse("")));
        }
        TimetableWords.leftForCold(table, model.room(), model.zone()).ifPresent(words -> tight("left-for-cold", words));
        TimetableWords.tooCold(table, shown.plans(), model.diary(), model.room(), model.zone())
                .ifPresent(words -> tight("too-cold", words));
        for (String stone : shown.plans().keySet()) {
            if (model.strangers(stone) > 0) {
                tight("strange-" + stone, TimetableWords.strangers(model.name(stone), model.strangers(stone)));
                Button on = button("plan-on-" + stone, "Plan on from what lies there",
                        "What is painted stays; what lacks is planned, its coats counted on what lies there", () -> model.planOn(stone));
                on.setMaxWidth(Double.MAX_VALUE);
                tight.getChildren().add(on);
            }
        }
        long late = all.stream().filter(r -> !r.late().isZero()).count();
        if (late > 0) {
            tight("late", TimetableWords.late(all.stream().filter(r -> !r.late().isZero()).toList(), model::name));
            List<InTime.Way> ways = model.waysProperty().get();
            for (int i = 0; i < ways.size(); i++) {
                InTime.Means means = ways.get(i).means();
                Button way = button("way-" + i, TimetableWords.way(means, model::name), TimetableWords.left(ways.get(i)),
                        () -> model.take(means));
                way.setMaxWidth(Double.MAX_VALUE);
                tight.getChildren().add(way);
                String then = TimetableWords.left(ways.get(i));
                if (i + 1 == ways.size() || !then.equals(TimetableWords.left(ways.get(i + 1)))) { // once for ways that end alike
                    tight.getChildren().add(quiet(then));
                }
            }
        }
    }

    /** Adds what cannot be as one would wish. */
    private void tight(String id, String words) {
        Label label = new Label(words);
        label.setId(id);
        label.getStyleClass().add("problem");
        label.setWrapText(true);
        tight.getChildren().add(label);
    }

    /** Adds what is said of a stone where it has its turn. */
    private void add(String stone, Region words) {
        if (project().filter(p -> p.id().equals(stone)).isPresent()) {
            row.getChildren().add(words);
        } else {
            (row.getChildren().isEmpty() ? sooner : later).getChildren().add(words);
        }
    }

    private static Label left(String words) {
        Label label = quiet(words);
        label.getStyleClass().add("sitting-left");
        return label;
    }

    private Button row(Timetable.Ready each) {
        Label name = new Label(model.name(each.stone()));
        name.setMinWidth(0);
        name.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(name, Priority.ALWAYS);
        Instant from = model.shown().table().of().from();
        Label at = new Label(TimetableWords.soon(each.at(), from, model.zone()));
        at.setMinWidth(Region.USE_PREF_SIZE);
        at.getStyleClass().add(each.late().isZero() ? "quiet" : "problem");
        HBox row = new HBox(8, name, at);
        row.setAlignment(Pos.CENTER_LEFT);
        Button button = new Button("", row);
        row.prefWidthProperty().bind(button.widthProperty().subtract(14));
        button.setId("ready-" + each.stone());
        button.getStyleClass().add("next-pass");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setMinWidth(0);
        button.getStyleClass().add("sitting-row");
        String words = TimetableWords.ready(model.shown().table(), each, model.name(each.stone()), model.zone())
                + TimetableWords.waits(model.diary().terms(each.stone()), model::name).map(w -> " " + w).orElse("");
        button.setAccessibleText(words);
        Hint.on(button, words);
        button.setOnAction(e -> workbench.choose(each.stone()));
        return button;
    }
}
