package mosspebble.app.finish;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
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
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Swatch;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.SeenBy;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.care.Plaque;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.care.SealChoice;
import mosspebble.core.care.SealHours;
import mosspebble.core.care.SealKind;
import mosspebble.core.care.SealTrouble;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.LargePicture;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.Untested;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.stone.StoneFacts;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;
import mosspebble.core.words.CareWords;
import mosspebble.core.words.SealWords;
import mosspebble.files.FileTrouble;
import mosspebble.files.InFile;
import mosspebble.files.Journal;
import mosspebble.files.Paper;
import mosspebble.files.PictureFile;
import mosspebble.files.PlanJson;
import mosspebble.files.Sheets;
import mosspebble.files.SmearSheet;

/** Sealing, what is needed, and the sheets. */
public final class FinishPanel extends Panel {

    private final VBox supplies = new VBox(4);
    private final VBox cautions = new VBox(6);
    private final VBox drawing = new VBox(6);
    private final VBox years = new VBox(6);
    private final Label plaque = quiet("");
    private final Label sealing = new Label();
    private final HBox seals = new HBox(14);
    private final Entry forecast;
    private final Label when = quiet("");
    private List<SealHours.Hour> hours = List.of();
    private String typed = "";
    private final Label untriedWords = quiet("");
    private final VBox untried;
    private final Label done = quiet("");
    private final ProgressBar progress = new ProgressBar();
    private final Button cancel;
    private final HBox working;
    private Paper paper = Paper.usualIn(Locale.getDefault());
    private int longest = 2_000;
    private PictureFile.Ground behind = PictureFile.Ground.LINEN;
    private Path folder = Path.of(System.getProperty("user.home"), "Moss Pebble sheets");
    private Task<?> running;
    private final PlanWorker desk;
    private final PlanWorker.Line exporting = new PlanWorker.Line();
    private boolean planning;
    private Object shownSeals;

    /** So many ways to seal are held side by side. */
    private static final int BESIDE = 2;
    private static final double CARD_WIDE = 120;

    /** So much linen is seen round a stone in a picture, mm. */
    private static final double ROUND_MM = 14;

    public FinishPanel(Workbench workbench, Results show, PlanWorker desk) {
        super(workbench, show);
        this.desk = desk;
        sealing.setWrapText(true);
        sealing.setId("sealing");
        Choice<Boolean> place = new Choice<>("It will live",
                o -> edit(o ? "Outdoors" : "Indoors", p -> p.withHabits(p.habits().withOutdoors(o))));
        place.option("live-outdoors", "outdoors", true, "Garden, doorstep, left to be found").option("live-indoors", "indoors", false,
                "Shelf, window sill, gift");
        Choice<Paper> papers = new Choice<>("Sheets", p -> paper = p);
        for (Paper p : Paper.values()) {
            papers.option("paper-" + p.name().toLowerCase(Locale.ROOT), p.label(), p, p.label());
        }
        papers.show(paper);
        Entry where = new Entry("folder", "Folder", "Where sheets and plans are written", () -> folder.toString(), text -> {
            if (text.isBlank()) {
                return Optional.of("Write a folder.");
            }
            try {
                folder = InFile.path(text.strip());
                return Optional.empty();
            } catch (FileTrouble e) {
                return Optional.of("That cannot be the name of a folder.");
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
        Button sheets = button("export-sheets", "Guide and step cards (PDF)", "The guide at true size and a card for every step",
                this::sheets);
        sheets.getStyleClass().add("main");
        Choice<Integer> sizes = new Choice<>("Picture, pixels", n -> longest = n);
        for (int n : new int[] {1_000, 2_000, 4_000, 8_000}) {
            sizes.option("pixels-" + n, Numbers.text(n, 0), n, "The longer side; a large one takes its time");
        }
        sizes.show(longest);
        Choice<PictureFile.Ground> grounds = new Choice<>("Behind it", g -> behind = g);
        for (PictureFile.Ground g : PictureFile.Ground.values()) {
            grounds.option("behind-" + g.name().toLowerCase(Locale.ROOT), g.label(), g, g.label());
        }
        grounds.show(behind);
        Button image = button("export-picture", "Picture (PNG)", "The stone as it lies on the cloth now", this::picture);
        Button json = button("export-plan", "Plan (JSON)", "The whole plan in an open format", this::json);
        cancel = button("export-cancel", "Cancel", "Stop writing (Escape)", this::cancel);
        done.setId("export-done");
        progress.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(progress, Priority.ALWAYS);
        working = new HBox(8, progress, cancel);
        present(working, false);
        seals.setId("seals");
        untried = new VBox(6, untriedWords, button("export-tests", "Test sheet (PDF)", "A field for each to try it under the sealer",
                this::testSheet));
        untried.setId("untried");
        forecast = new Entry("forecast", "Forecast: hour, °C, % damp, rain",
                "Such as 9 14 80, 12 19 60, 15 21 50: when all coats can be laid",
                () -> typed, text -> {
                    try {
                        hours = text.isBlank() ? List.of() : SealHours.parse(text);
                        typed = text.strip();
                        refresh();
                        return Optional.empty();
                    } catch (IllegalArgumentException e) {
                        return Optional.of(Words.sentence(e.getMessage()));
                    }
                });
        when.setId("seal-hours");
        getChildren().addAll(place, seals, sealing, forecast, when, untried, papers, target, sheets, json, sizes, grounds, image, working,
                done,
                heading("Paint it takes"), supplies,
                heading("What is left of the drawing"), drawing, heading("On a plaque"), plaque, heading("With the years"), years,
                heading("Take care"), cautions);
        onRefresh(() -> {
            boolean outdoors = project().map(p -> p.habits().outdoors()).orElse(true);
            place.show(outdoors);
            Optional<Step.Seal> planned = planned();
            SealAdvice advice = planned.map(Step.Seal::advice).orElseGet(() -> SealAdvice.of(stone(), outdoors));
            sealing.setText(SealWords.reason(advice));
            choices(planned, outdoors);
            present(when, !hours.isEmpty());
            SealKind kind = advice.kind();
            when.setText(hours.isEmpty() ? "" : SealWords.hours(hours, advice, kind.isLaidInTheOpen()));
            List<Untested.Pair> pairs = untested();
            present(untried, !pairs.isEmpty());
            untriedWords.setText(CareWords.untried(pairs));
            StoneFacts facts = show.plan() == null ? null : show.plan().survey().facts();
            plaque.setText(facts == null ? "" : CareWords.plaque(Plaque.of(facts.weight().value(), facts.backMm2(),
                    stone().flatBack() ? 0 : stone().backDepthMm())));
            LocalDate ready = LocalDate.now().plusDays(show.plan() == null ? 0 : show.plan().readyAfter().toDays());
            years.getChildren().setAll(quiet(SealWords.renew(advice.kind(), outdoors, ready)));
            SealTrouble.of(advice.kind()).forEach(
                    t -> years.getChildren().add(quiet(SealWords.title(t) + ". " + SealWords.mend(t, advice.kind()))));
            drawing.getChildren().setAll(SealWords.drawing(advice.kind()).stream().map(Panel::quiet).toList());
            cautions.getChildren().setAll(SealWords.cautions(advice).stream().map(Panel::quiet).toList());
            supplies.getChildren().clear();
            PaintPlan plan = show.plan();
            if (plan == null || plan.supplies().isEmpty()) {
                supplies.getChildren().add(quiet("Nothing yet."));
            } else {
                plan.supplies().forEach(use -> supplies.getChildren().add(line(use)));
            }
        });
    }

    private Optional<Step.Seal> planned() {
        return Optional.ofNullable(show.plan()).stream().flatMap(p -> p.steps().stream()).filter(s -> s instanceof Step.Seal)
                .map(s -> (Step.Seal) s).reduce((a, b) -> b);
    }

    /** The planned sealer and the best of the others, side by side. */
    private void choices(Optional<Step.Seal> planned, boolean outdoors) {
        List<Paint> shelf = workbench.studio().shelf().that(PaintKind.Use.SEALS);
        double area = planned.isEmpty() ? 0
                : show.plan().steps().stream().filter(s -> s instanceof Step.Seal).mapToDouble(s -> s.work().areaMm2()).sum(); // both faces
        String taken = planned.flatMap(Step::mix).map(m -> m.parts().get(0).paint()).orElse("");
        Finish wanted = shelf.stream().filter(p -> p.id().equals(taken)).map(Paint::finish).findFirst().orElse(Finish.SATIN);
        List<SealChoice> all = SealChoice.of(shelf, stone(), area,
                new SealChoice.Wish(outdoors, wanted, LocalDate.now().getMonth()), painted(), workbench.studio().known());
        List<SealChoice> two = Stream.concat(all.stream().filter(c -> c.sealer().id().equals(taken)),
                all.stream().filter(c -> !c.sealer().id().equals(taken))).limit(BESIDE).toList();
        Object now = List.of(two, taken, area > 0);
        if (now.equals(shownSeals)) {
            return;
        }
        shownSeals = now;
        seals.getChildren().clear();
        for (SealChoice choice : area > 0 ? two : List.<SealChoice>of()) {
            VBox card = new VBox(4, heading(Words.upper(choice.sealer().name())));
            SealWords.choice(choice).forEach(words -> card.getChildren().add(quiet(words)));
            boolean in = choice.sealer().id().equals(taken);
            Button take = button("seal-take-" + choice.sealer().id(), in ? "planned" : "Take this", "Seal with " + choice.sealer().name(),
                    () -> edit("Seal with " + choice.sealer().name(), p -> p.withHabits(p.habits().withSealer(choice.sealer()))));
            take.setDisable(in);
            card.getChildren().add(take);
            card.setId("seal-" + choice.sealer().id());
            HBox.setHgrow(card, Priority.ALWAYS);
            card.setPrefWidth(CARD_WIDE);
            seals.getChildren().add(card);
        }
    }

    /** What the plan lays below its seal. */
    private List<Paint> painted() {
        return show.plan() == null ? List.of() : show.plan().steps().stream().filter(s -> s instanceof Step.Lay)
                .flatMap(s -> s.layers().stream()).flatMap(l -> l.load().mix().parts().stream()).distinct()
                .flatMap(p -> workbench.studio().shelf().find(p.paint()).stream()).toList();
    }

    private HBox line(PaintUse use) {
        Optional<Paint> paint = workbench.studio().shelf().find(use.paint());
        Label name = new Label(paint.map(Paint::name).orElse(use.paint()));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label needed = new Label(Numbers.millilitres(use.needed().value()));
        Label left = quiet(use.runsOut() ? "runs out" : "of " + Numbers.text(use.left().value(), 0));
        if (use.runsOut()) {
            left.getStyleClass().add("problem");
        }
        HBox row = new HBox(8, gap, needed, left);
        paint.ifPresent(p -> row.getChildren().add(0, new Swatch(p.swatch(), 14)));
        row.getChildren().add(paint.isPresent() ? 1 : 0, name);
        return row;
    }

    private static String stem(String name) {
        String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
        return plain.isEmpty() ? "stone" : plain;
    }

    private interface Job {
        boolean run(PaintPlan plan, Path file, Sheets.Progress progress) throws FileTrouble;
    }

    /** Writes guide and step cards. */
    public void sheets() {
        LengthUnit unit = workbench.studio().unit();
        Paper chosen = paper;
        start("-sheets.pdf", (plan, file, progress) -> Sheets.write(plan, chosen, unit, file, progress));
    }

    private List<Untested.Pair> untested() {
        return show.plan() == null ? List.of()
                : Untested.of(show.plan(), workbench.studio().shelf(), workbench.studio().known());
    }

    /** Writes a sheet to try out what was never tried under the sealer. */
    public void testSheet() {
        Paper chosen = paper;
        Studio studio = workbench.studio();
        start("-tests.pdf", (plan, file, progress) -> {
            List<Untested.Pair> pairs = Untested.of(plan, studio.shelf(), studio.known());
            if (pairs.isEmpty()) {
                throw new FileTrouble(plan.project().name(), "All its pens and inks were tried under its sealer.",
                        "There is nothing to test.");
            }
            SmearSheet.write(pairs, chosen, file);
            return true;
        });
    }

    /** Writes a picture of the stone as the cloth shows it. */
    public void picture() {
        int pixels = longest;
        PictureFile.Ground ground = behind;
        StoneState look = workbench.lookProperty().get();
        SeenBy by = workbench.seenByProperty().get();
        int asked = workbench.stepProperty().get();
        start("-" + pixels + ".png", (plan, file, progress) -> PictureFile.write(plan,
                new LargePicture.Wish(pixels, ground == PictureFile.Ground.CLEAR ? 1 : ROUND_MM, look, by.lamp(),
                        new StonePicture.Shown(Math.min(asked, plan.steps().size()), 0, plan.project().habits().light().from(),
                                by.care(Care.FULL))),
                ground, file, progress));
    }

    /** Writes the plan. */
    public void json() {
        start("-plan.json", (plan, file, progress) -> {
            PlanJson.write(plan, file);
            return true;
        });
    }

    /**
     * Works out the plan of the stone on the cloth as it is kept now, whatever the screen shows, and writes what is made from it under that
     * stone's name.
     */
    private void start(String ending, Job job) {
        cancel();
        Studio studio = workbench.studio();
        Optional<Project> stone = workbench.shown().flatMap(p -> studio.project(p.id()));
        if (stone.isEmpty()) {
            done.setText("Put a stone on the cloth first.");
            return;
        }
        Project project = stone.get();
        Path file = folder.resolve(stem(project.name()) + ending);
        done.setText("");
        progress.progressProperty().unbind();
        progress.setProgress(ProgressBar.INDETERMINATE_PROGRESS);
        present(working, true);
        planning = true;
        desk.ask(exporting, d -> d.plan(project, studio), plan -> {
            if (planning) {
                planning = false;
                write(plan, file, job);
            }
        }, error -> {
            planning = false;
            end(project.name()
                    + " cannot be worked out as it is now, so nothing was written. Undo the last change, or take the last thing off.");
        });
    }

    private void write(PaintPlan plan, Path file, Job job) {
        Task<Boolean> task = new Task<>() {
            @Override
            protected Boolean call() throws FileTrouble {
                return job.run(plan, file, (fraction, what) -> {
                    updateProgress(fraction, 1);
                    return !isCancelled();
                });
            }
        };
        running = task;
        progress.progressProperty().bind(task.progressProperty());
        task.setOnSucceeded(e -> end(task.getValue() ? "Written: " + file : "Stopped; nothing was written."));
        task.setOnCancelled(e -> end("Stopped; nothing was written."));
        task.setOnFailed(e -> {
            if (!(task.getException() instanceof FileTrouble)) {
                Journal.trouble("writing sheets", task.getException());
            }
            end(task.getException() instanceof FileTrouble trouble ? trouble.getMessage()
                    : "The sheets could not be made: the program stumbled over them. Nothing was written.");
        });
        Thread thread = new Thread(task, "export");
        thread.setDaemon(true);
        thread.start();
    }

    private void end(String words) {
        present(working, false);
        done.setText(words);
    }

    private void cancel() {
        if (planning) {
            planning = false;
            end("Stopped; nothing was written.");
        }
        if (running != null) {
            running.cancel(false);
        }
    }
}
