package mosspebble.app.view;

import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import javafx.concurrent.Task;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import mosspebble.app.model.Show;
import mosspebble.app.model.Workbench;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.colour.Paint;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Numbers;
import mosspebble.files.FileTrouble;
import mosspebble.files.Paper;
import mosspebble.files.PlanJson;
import mosspebble.files.Sheets;

/** Sealing, what is needed, and the sheets. */
final class FinishPanel extends Panel {

    private final VBox supplies = new VBox(4);
    private final VBox cautions = new VBox(6);
    private final Label sealing = new Label();
    private final Label done = quiet("");
    private final ProgressBar progress = new ProgressBar();
    private final Button cancel;
    private final HBox working;
    private Paper paper = Paper.usualIn(Locale.getDefault());
    private Path folder = Path.of(System.getProperty("user.home"), "Moss Pebble sheets");
    private Task<?> running;

    FinishPanel(Workbench workbench, Show show) {
        super(workbench, show);
        sealing.setWrapText(true);
        sealing.setId("sealing");
        Choice<Boolean> place = new Choice<>("It will live", o -> edit(o ? "Outdoors" : "Indoors", p -> p.withHabits(p.habits().withOutdoors(o))));
        place.option("live-outdoors", "outdoors", true, "Garden, doorstep, left to be found").option("live-indoors", "indoors", false, "Shelf, window sill, gift");
        Choice<Paper> papers = new Choice<>("Sheets", p -> paper = p);
        for (Paper p : Paper.values()) {
            papers.option("paper-" + p.name().toLowerCase(Locale.ROOT), p.label(), p, p.label());
        }
        papers.show(paper);
        Entry where = new Entry("folder", "Folder", "Where sheets and plans are written", () -> folder.toString(), text -> {
            try {
                folder = Path.of(text.strip());
                return text.isBlank() ? Optional.of("Write a folder.") : Optional.empty();
            } catch (InvalidPathException e) {
                return Optional.of("That is not a folder name: " + e.getReason() + ".");
            }
        });
        HBox.setHgrow(where, Priority.ALWAYS);
        Button browse = button("browse", "…", "Choose a folder", () -> {
            DirectoryChooser chooser = new DirectoryChooser();
            Optional.ofNullable(chooser.showDialog(getScene().getWindow())).ifPresent(file -> {
                folder = file.toPath();
                where.reset();
            });
        });
        HBox target = new HBox(6, where, browse);
        target.setAlignment(Pos.BOTTOM_LEFT);
        Button sheets = button("export-sheets", "Guide and step cards (PDF)", "The guide at true size and a card for every step", this::sheets);
        sheets.getStyleClass().add("main");
        Button json = button("export-plan", "Plan (JSON)", "The whole plan in an open format", this::json);
        cancel = button("export-cancel", "Cancel", "Stop writing (Escape)", this::cancel);
        done.setId("export-done");
        progress.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(progress, Priority.ALWAYS);
        working = new HBox(8, progress, cancel);
        present(working, false);
        getChildren().addAll(sealing, place, papers, target, sheets, json, working, done, heading("Paint it takes"), supplies, heading("Take care"), cautions);
        onRefresh(() -> {
            boolean outdoors = project().map(p -> p.habits().outdoors()).orElse(true);
            place.show(outdoors);
            SealAdvice advice = SealAdvice.of(stone(), outdoors);
            sealing.setText(advice.coats() + " coats of varnish, " + Durations.words(advice.between()) + " apart, cured after " + Durations.words(advice.cure()) + ". " + advice.reason());
            cautions.getChildren().setAll(advice.cautions().stream().map(Panel::quiet).toList());
            supplies.getChildren().clear();
            PaintPlan plan = show.plan();
            if (plan == null || plan.supplies().isEmpty()) {
                supplies.getChildren().add(quiet("Nothing yet."));
            } else {
                plan.supplies().forEach(use -> supplies.getChildren().add(line(use)));
            }
        });
    }

    private HBox line(PaintUse use) {
        Optional<Paint> paint = workbench.studio().shelf().find(use.paint());
        Label name = new Label(paint.map(Paint::name).orElse(use.paint()));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label needed = new Label(Numbers.text(use.needed().value(), 2) + " ml");
        Label left = quiet(use.runsOut() ? "runs out" : "of " + Numbers.text(use.left().value(), 0));
        if (use.runsOut()) {
            left.getStyleClass().add("problem");
        }
        HBox row = new HBox(8, gap, needed, left);
        paint.ifPresent(p -> row.getChildren().add(0, new Swatch(p.swatch(), 14)));
        row.getChildren().add(paint.isPresent() ? 1 : 0, name);
        return row;
    }

    private Path file(String ending) {
        String name = project().map(p -> p.name()).orElse("stone").toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
        return folder.resolve((name.isEmpty() ? "stone" : name) + ending);
    }

    private interface Job {
        boolean run(Sheets.Progress progress) throws FileTrouble;
    }

    /** Writes guide and step cards. */
    void sheets() {
        PaintPlan plan = show.plan();
        if (plan != null) {
            Path file = file("-sheets.pdf");
            LengthUnit unit = workbench.studio().unit();
            Paper chosen = paper;
            start(file, p -> Sheets.write(plan, chosen, unit, file, p));
        }
    }

    /** Writes the plan. */
    void json() {
        PaintPlan plan = show.plan();
        if (plan != null) {
            Path file = file("-plan.json");
            start(file, p -> {
                PlanJson.write(plan, file);
                return true;
            });
        }
    }

    private void start(Path file, Job job) {
        cancel();
        Task<Boolean> task = new Task<>() {
            @Override
            protected Boolean call() throws FileTrouble {
                return job.run((fraction, what) -> {
                    updateProgress(fraction, 1);
                    return !isCancelled();
                });
            }
        };
        running = task;
        done.setText("");
        progress.progressProperty().bind(task.progressProperty());
        present(working, true);
        task.setOnSucceeded(e -> end(task.getValue() ? "Written: " + file : "Stopped; nothing was written."));
        task.setOnCancelled(e -> end("Stopped; nothing was written."));
        task.setOnFailed(e -> end(task.getException().getMessage()));
        Thread thread = new Thread(task, "export");
        thread.setDaemon(true);
        thread.start();
    }

    private void end(String words) {
        present(working, false);
        done.setText(words);
    }

    private void cancel() {
        if (running != null) {
            running.cancel(false);
        }
    }
}
