package mosspebble.app.finish;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.Shelf;
import mosspebble.core.project.Project;
import mosspebble.core.supplies.Jar;
import mosspebble.core.supplies.StandIn;
import mosspebble.core.words.SupplyWords;
import mosspebble.files.Journal;

/** What is to be bought, and what it costs. */
final class JarsPage extends PageView {

    private final Panel panel;
    private final JarsView jars;
    private final Choice<Boolean> which;
    private final VBox buy = new VBox(6);
    private final Label cost = Panel.quiet("");
    private final PlanWorker desk;
    private final PlanWorker.Line standing = new PlanWorker.Line();
    private boolean all;

    JarsPage(Panel panel, JarsView jars, PlanWorker desk) {
        this.desk = desk;
        this.panel = panel;
        this.jars = jars;
        which = new Choice<>("For", a -> {
            all = a;
            refresh();
        });
        which.option("jars-one", "this stone", false, "What this stone takes").option("jars-all", "all stones", true,
                "What all stones in hand take, in the order in which they stand in the tray");
        buy.setId("buy");
        cost.setId("cost");
        getChildren().addAll(which, Panel.heading("To buy"), buy, Panel.heading("It costs"), cost);
    }

    @Override
    public void refresh() {
        which.show(all);
        jars.setAll(all);
        Shelf shelf = panel.workbench.studio().shelf();
        List<Jar> missing = jars.shown().stream().filter(j -> j.runsOutAt().isPresent()).toList();
        buy.getChildren().setAll(missing.stream().map(j -> line(SupplyWords.buy(j, shelf, this::name))).toList());
        List<Jar> of = jars.shown();
        desk.askBeside(standing, unwanted -> {
            Map<String, StandIn> found = new LinkedHashMap<>();
            for (Jar jar : missing) {
                if (!unwanted.getAsBoolean()) {
                    StandIn.of(jar, of, shelf).ifPresent(stands -> found.put(jar.paint(), stands));
                }
            }
            return found;
        }, found -> standIns(missing, found, shelf), error -> Journal.trouble("what could stand in", error));
        if (missing.isEmpty()) {
            buy.getChildren().setAll(Panel.quiet("Nothing."));
        }
        cost.setText(SupplyWords.cost(jars.shown(), shelf));
    }

    /** Under each that is to be bought what could be taken in its place. */
    private void standIns(List<Jar> missing, Map<String, StandIn> found, Shelf shelf) {
        List<Node> lines = new ArrayList<>();
        for (Jar jar : missing) {
            lines.add(line(SupplyWords.buy(jar, shelf, this::name)));
            Optional.ofNullable(found.get(jar.paint())).ifPresent(stands -> {
                Label instead = Panel.quiet(SupplyWords.inItsPlace(stands, shelf));
                instead.setId("instead-" + jar.paint());
                lines.add(instead);
            });
        }
        if (!lines.isEmpty()) {
            buy.getChildren().setAll(lines);
        }
    }

    private String name(String stone) {
        return panel.workbench.studio().project(stone).map(Project::name).orElse(stone);
    }

    private static Label line(String words) {
        Label line = new Label(words);
        line.setWrapText(true);
        return line;
    }
}
