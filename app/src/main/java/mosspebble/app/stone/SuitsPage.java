package mosspebble.app.stone;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Polygon;
import mosspebble.app.control.Hint;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.advice.Suitability;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.WayUp;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Numbers;
import mosspebble.core.words.AdviceWords;
import mosspebble.files.BuiltIn;

/** Which way up, and which subjects suit the stone, with reasons in words and numbers. */
final class SuitsPage extends PageView {

    private static final int WAYS = 3;
    /** As many subjects as are seen without scrolling, in a window of the usual height and in a low one. */
    private static final int FEW = 2;
    private static final int FEWEST = 1;
    private static final double WORDS = 240;
    private static final double PICTURE_PX = 40;

    private record Answer(List<WayUp> ways, List<Ranked> subjects) {}

    private record Ranked(String title, Suitability suits) {}

    private final StonePanel panel;
    private final PlanWorker desk;
    private final PlanWorker.Line line = new PlanWorker.Line();
    private final VBox ways = new VBox(4);
    private final VBox subjects = new VBox(6);
    private Survey asked;
    private boolean whole;
    private Answer told;
    private int shown;
    private Optional<Subject> askedSubject = Optional.empty();

    SuitsPage(StonePanel panel, PlanWorker desk) {
        this.panel = panel;
        this.desk = desk;
        getChildren().addAll(Panel.heading("Which way up"), ways, Panel.heading("Subjects for it"), subjects);
    }

    @Override
    public void refresh() {
        PaintPlan plan = panel.show.plan();
        if (plan == null) { // nothing of another stone stays
            asked = null;
            told = null;
            ways.getChildren().clear();
            subjects.getChildren().clear();
            return;
        }
        if (told != null && few() != shown) { // the window or its words have another size
            show(told);
        }
        if (plan.survey() == asked && panel.workbench.itemInHand().map(Item::subject).equals(askedSubject)) {
            return;
        }
        asked = plan.survey();
        askedSubject = panel.workbench.itemInHand().map(Item::subject);
        Optional<Subject> subject = askedSubject;
        Studio studio = panel.workbench.studio();
        desk.ask(line, d -> {
            Optional<Motif> motif = subject.flatMap(s -> Designs.motif(s, d.repertoire(studio)));
            List<Ranked> ranked = new ArrayList<>();
            for (BuiltIn.Title title : BuiltIn.titles()) {
                d.repertoire(studio).motif(title.id()).ifPresent(
                        candidate -> ranked.add(new Ranked(candidate.title(), Suitability.of(candidate, plan.survey(), studio.shelf()))));
            }
            ranked.sort((a, b) -> Double.compare(b.suits().score(), a.suits().score()));
            return new Answer(WayUp.ranked(plan.survey(), motif, 0), ranked);
        }, this::show);
    }

    private int few() {
        return getScene() != null && Panel.isLow(getScene().getHeight(), panel.workbench.studio()) ? FEWEST : FEW;
    }

    private void show(Answer answer) {
        told = answer;
        shown = few();
        ways.getChildren().clear();
        for (int i = 0; i < Math.min(WAYS, answer.ways().size()); i++) {
            WayUp way = answer.ways().get(i);
            boolean now = Math.abs(Math.IEEEremainder(way.degrees() - panel.stone().wayUp(), 360)) < 0.5;
            Label words = panel.lines((now ? "as it lies: " : "") + String.join(", ", AdviceWords.reasons(way)), WORDS);
            words.getStyleClass().add("small");
            HBox content = new HBox(10, small(way.outline(panel.stone())), words);
            content.setAlignment(Pos.CENTER_LEFT);
            Button button = new Button();
            button.setId("way-up-" + i);
            button.setGraphic(content);
            button.getStyleClass().addAll("slot");
            if (now) {
                button.getStyleClass().add("chosen");
            }
            button.setMaxWidth(Double.MAX_VALUE);
            button.setMinHeight(Region.USE_PREF_SIZE);
            button.setAccessibleText("Turn it this way up: " + words.getText());
            Hint.on(button, "Turn the stone this way up, " + Numbers.text(way.degrees(), 0) + "°");
            button.setOnAction(e -> panel.edit("Which way up", p -> p.withStone(p.stone().withWayUp(way.degrees()))));
            ways.getChildren().add(button);
        }
        subjects.getChildren().clear();
        List<Ranked> all = answer.subjects();
        all.stream().limit(whole ? all.size() : shown).forEach(ranked -> {
            Label title = new Label(ranked.title() + ": " + AdviceWords.word(ranked.suits()));
            Label why = Panel.quiet(String.join(", ", AdviceWords.reasons(ranked.suits())));
            subjects.getChildren().add(new VBox(1, title, why));
        });
        if (all.size() > shown && !whole) {
            subjects.getChildren().add(Panel.button("suits-all", "All " + all.size() + " subjects", "The less suitable too", () -> {
                whole = true;
                show(answer);
            }));
        }
    }

    private static Polygon small(StoneOutline outline) {
        Polygon shape = new Polygon();
        double scale = (PICTURE_PX / 2 - 3) / Math.max(outline.halfWidth(), outline.halfHeight());
        for (int i = 0; i < outline.size(); i += 6) {
            shape.getPoints().addAll(PICTURE_PX / 2 + scale * outline.x(i), PICTURE_PX / 2 + scale * outline.y(i));
        }
        shape.getStyleClass().add("small-stone");
        return shape;
    }
}
