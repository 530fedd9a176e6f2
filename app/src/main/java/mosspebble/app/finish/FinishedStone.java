package mosspebble.app.finish;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import mosspebble.app.cloth.StoneImage;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.area.Grid;
import mosspebble.core.colour.Lamp;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.stone.StoneFacts;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Numbers;

/** The stone as it will be when it is sealed, beside a bar of 100 mm. */
final class FinishedStone extends VBox {

    private static final double MOST_WIDE = 300;
    private static final double LEAST_WIDE = 170;
    /** Of what stands in the middle it takes so much, the page the rest. */
    private static final double SHARE = 0.32;
    private static final double HIGH = 380;
    private static final double BAR_MM = 100;

    private final Workbench workbench;
    private final PlanWorker desk;
    private final PlanWorker.Line drawing = new PlanWorker.Line();
    private final ImageView image = new ImageView();
    private final Region bar = new Region();
    private final Label words = new Label();
    private PaintPlan shown;
    private double wide = MOST_WIDE;

    FinishedStone(Workbench workbench, Results show, PlanWorker desk) {
        super(10);
        this.workbench = workbench;
        this.desk = desk;
        setId("finished");
        setAlignment(Pos.CENTER);
        setMinWidth(LEAST_WIDE);
        setPrefWidth(MOST_WIDE);
        setMaxWidth(MOST_WIDE);
        bar.getStyleClass().add("bar");
        bar.setMinHeight(10);
        bar.setMaxHeight(10);
        words.getStyleClass().add("quiet");
        words.setWrapText(true);
        words.setTextAlignment(TextAlignment.CENTER);
        words.setMinHeight(USE_PREF_SIZE);
        StackPane place = new StackPane(image);
        Label length = new Label("100 mm");
        length.getStyleClass().add("unit");
        getChildren().addAll(place, bar, length, words);
        show.planProperty().addListener((o, a, b) -> draw(b));
        workbench.stageProperty().addListener((o, a, b) -> draw(show.plan()));
        draw(show.plan());
    }

    /** @param room of all that stands in the middle, px */
    void fit(double room) {
        double fits = Math.max(LEAST_WIDE, Math.min(MOST_WIDE, SHARE * room));
        if (Math.abs(fits - wide) > 4) {
            wide = fits;
            setMinWidth(wide);
            setMaxWidth(wide);
            PaintPlan again = shown;
            shown = null;
            draw(again);
        }
    }

    private void draw(PaintPlan plan) {
        if (plan == shown || workbench.stageProperty().get() != Stage.FINISH) {
            return; // while something else is shown nothing is drawn here
        }
        shown = plan;
        if (plan == null) {
            image.setImage(null);
            words.setText("");
            return;
        }
        double halfWide = plan.survey().dome().outline().halfWidth();
        double halfHigh = plan.survey().dome().outline().halfHeight();
        double scale = Math.min((wide - 16) / Math.max(2 * halfWide + 8, BAR_MM), HIGH / (2 * halfHigh + 8));
        double output = getScene() == null || getScene().getWindow() == null ? 1 : getScene().getWindow().getRenderScaleX();
        bar.setMinWidth(BAR_MM * scale);
        bar.setMaxWidth(BAR_MM * scale);
        StoneFacts facts = plan.survey().facts();
        LengthUnit unit = workbench.studio().unit();
        words.setText(
                LengthText.number(plan.survey().stone().length(), unit) + " by " + LengthText.format(plan.survey().stone().width(), unit)
                        + ", " + Numbers.text(facts.weight().value(), 0) + " g");
        desk.ask(drawing, d -> {
            Grid grid = Grid.around(halfWide + 4, halfHigh + 4, 1 / (scale * output));
            StonePicture picture = d.picture(plan, grid, StoneState.SEALED, Lamp.DAYLIGHT);
            return d.lit(Results.Moment.after(picture.steps(), picture, plan.project().habits().light().from()));
        }, lit -> {
            Image still = StoneImage.still(lit);
            image.setImage(still);
            image.setFitWidth(still.getWidth() / output);
            image.setFitHeight(still.getHeight() / output);
        });
    }
}
