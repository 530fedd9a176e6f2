package mosspebble.app.finish;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.care.SealChoice;
import mosspebble.core.care.SealTrouble;
import mosspebble.core.units.Words;
import mosspebble.core.words.SealWords;

/** The planned sealer beside the next best, and what comes before, with and after it. */
final class SealView extends ScrollPane {

    /** So many ways to seal are held side by side. */
    private static final int BESIDE = 2;

    private final Workbench workbench;
    private final Results show;
    private final FinishModel model;
    private final Clock clock;
    private final HBox seals = new HBox(18);
    private final VBox drawing = column("What is left of the drawing", 190);
    private final VBox years = column("With the years", 300);
    private final VBox cautions = column("Take care", 190);
    private Object shown;

    SealView(Workbench workbench, Results show, FinishModel model, Clock clock) {
        this.workbench = workbench;
        this.show = show;
        this.model = model;
        this.clock = clock;
        setId("seal-view");
        getStyleClass().addAll("stage-scroll", "sheet-table");
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        seals.setId("seals");
        HBox words = new HBox(26, cautions, drawing, years);
        VBox all = new VBox(22, seals, words);
        all.getStyleClass().add("seal-table");
        setContent(all);
    }

    private static VBox column(String name, double wide) {
        Label heading = Panel.heading(name);
        heading.setWrapText(true);
        VBox column = new VBox(7, heading);
        column.setPrefWidth(wide);
        HBox.setHgrow(column, Priority.ALWAYS);
        return column;
    }

    void refresh() {
        if (show.plan() == null) {
            return;
        }
        SealAdvice advice = model.advice();
        boolean outdoors = model.outdoors();
        LocalDate today = LocalDate.now(clock);
        fill(drawing, SealWords.drawing(advice.kind()));
        fill(cautions, SealWords.cautions(advice));
        fill(years, List.of(SealWords.renew(advice.kind(), outdoors, today.plusDays(show.plan().readyAfter().toDays()))));
        SealTrouble.of(advice.kind())
                .forEach(t -> years.getChildren().add(Panel.quiet(SealWords.title(t) + ". " + SealWords.mend(t, advice.kind()))));
        List<SealChoice> choices = model.seals(today.getMonth(), BESIDE);
        String taken = model.sealer();
        Object now = List.of(choices, taken, choices.stream().map(c -> model.told(c.sealer())).toList());
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        seals.getChildren().setAll(choices.stream().map(c -> card(c, c.sealer().id().equals(taken), choices)).toList());
    }

    private static void fill(VBox column, List<String> lines) {
        column.getChildren().remove(1, column.getChildren().size());
        lines.forEach(line -> column.getChildren().add(Panel.quiet(line)));
    }

    /** What another of them says as well stands back. */
    private VBox card(SealChoice choice, boolean planned, List<SealChoice> beside) {
        Label name = new Label(Words.upper(choice.sealer().name()));
        name.getStyleClass().add("card-title");
        name.setWrapText(true);
        name.setMinHeight(Region.USE_PREF_SIZE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox top = new HBox(10, name, gap);
        VBox card = new VBox(4, top);
        SealWords.choice(choice).forEach(words -> {
            Label line = new Label(words);
            line.setWrapText(true);
            line.getStyleClass().add(beside.stream().filter(c -> c != choice).anyMatch(c -> SealWords.choice(c).contains(words)) ? "alike"
                    : "own");
            card.getChildren().add(line);
        });
        model.told(choice.sealer()).ifPresent(words -> {
            Label line = new Label(words);
            line.setWrapText(true);
            line.getStyleClass().add("own");
            line.setId("seal-book-" + choice.sealer().id());
            card.getChildren().add(line);
        });
        Button take = Panel.button("seal-take-" + choice.sealer().id(), planned ? "planned" : "Take this",
                "Seal with " + choice.sealer().name(), () -> workbench.edit("Seal with " + choice.sealer().name(),
                        p -> p.withHabits(p.habits().withSealer(choice.sealer()))));
        take.setDisable(planned);
        take.setMinHeight(44);
        take.setMinWidth(Region.USE_PREF_SIZE);
        top.getChildren().add(take);
        card.setId("seal-" + choice.sealer().id());
        card.getStyleClass().addAll("paper-sheet", "seal-card");
        card.setPrefWidth(340);
        HBox.setHgrow(card, Priority.ALWAYS);
        return card;
    }
}
