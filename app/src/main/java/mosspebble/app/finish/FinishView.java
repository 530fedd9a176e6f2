package mosspebble.app.finish;

import java.time.Clock;
import javafx.scene.layout.StackPane;
import mosspebble.app.finish.FinishModel.Matter;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;

/** What stands in the middle while one finishes: sheets, seals or jars. */
final class FinishView extends StackPane {

    private final SheetsView sheets;
    private final SealView seal;
    private final JarsView jars;
    private final FinishModel model;

    FinishView(Workbench workbench, Results show, PlanWorker desk, FinishModel model, Clock clock) {
        this.model = model;
        this.sheets = new SheetsView(model, desk, new FinishedStone(workbench, show, desk));
        this.seal = new SealView(workbench, show, model, clock);
        this.jars = new JarsView(workbench, show, model::stonesInTurn);
        getChildren().addAll(sheets, seal, jars);
        setMinSize(0, 0);
        model.matterProperty().addListener((o, a, b) -> refresh());
        refresh();
    }

    JarsView jars() {
        return jars;
    }

    void refresh() {
        Matter matter = model.matterProperty().get();
        Panel.present(sheets, matter == Matter.SHEETS);
        Panel.present(seal, matter == Matter.SEAL);
        Panel.present(jars, matter == Matter.JARS);
        if (matter == Matter.SEAL) {
            seal.refresh();
        } else if (matter == Matter.JARS) {
            jars.refresh();
        }
    }
}
