package mosspebble.app.buildup;

import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.advice.Correction;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Studio;
import mosspebble.core.stone.Stone;

/** Putting a mistake right: where it is, what it is, which colour slipped. */
public final class MendModel {

    private final Workbench workbench;
    private final Results show;
    private final PlanWorker desk;
    private final PlanWorker.Line mending = new PlanWorker.Line();
    private final ReadOnlyObjectWrapper<Correction> correction = new ReadOnlyObjectWrapper<>();
    private final BooleanProperty pointing = new SimpleBooleanProperty();
    private final ObjectProperty<double[]> place = new SimpleObjectProperty<>();
    private final ObjectProperty<Correction.Mishap> mishap = new SimpleObjectProperty<>(Correction.Mishap.SLIP);
    private final ObjectProperty<Mix> slipped = new SimpleObjectProperty<>();

    public MendModel(Workbench workbench, Results show, PlanWorker desk) {
        this.workbench = workbench;
        this.show = show;
        this.desk = desk;
        workbench.shownProperty().addListener((o, a, b) -> {
            if (a == null || b == null || !a.id().equals(b.id())) {
                place.set(null);
            }
        });
    }

    /** Whether a click on the cloth points at a mistake. */
    public BooleanProperty pointingProperty() {
        return pointing;
    }

    /** Where, x and y in mm; null before something was pointed at. */
    public ObjectProperty<double[]> placeProperty() {
        return place;
    }

    public ObjectProperty<Correction.Mishap> mishapProperty() {
        return mishap;
    }

    /** The colour that lies where it should not, or that should be there; null before it is said. */
    public ObjectProperty<Mix> slippedProperty() {
        return slipped;
    }

    /** What to do; null while something is missing. */
    public ReadOnlyObjectProperty<Correction> correctionProperty() {
        return correction.getReadOnlyProperty();
    }

    /** Works out anew what to do, for what is pointed at now. */
    public void ask() {
        PaintPlan plan = show.plan();
        double[] at = place.get();
        if (plan == null || at == null) {
            correction.set(null);
            return;
        }
        int done = show.steps();
        Correction.Mishap what = mishap.get();
        Optional<Mix> which = Optional.ofNullable(slipped.get());
        Studio studio = workbench.studio();
        desk.ask(mending, d -> Correction.of(plan, done, at[0], at[1], what, which, d.palette(studio.shelf()), studio.climate()),
                answer -> {
                    if (place.get() != null) {
                        correction.set(answer);
                    }
                });
    }

    /** The commonest mishap: a slip of the darkest pen, at the middle until something is pointed at. */
    public void slipOfThePen() {
        mishap.set(Correction.Mishap.SLIP);
        workbench.studio().shelf().that(PaintKind.Use.DRAWS).stream()
                .min((a, b) -> Double.compare(Lab.of(a.swatch()).l(), Lab.of(b.swatch()).l()))
                .ifPresent(pen -> slipped.set(Mix.of(pen.id())));
        if (place.get() == null) {
            atMiddle();
        }
    }

    /** Puts the pointer at the middle of the stone, for those who come by keyboard. */
    public void atMiddle() {
        place.set(new double[] {0, 0});
    }

    /** Moves it by so many mm, kept on the stone. */
    public void move(double dx, double dy) {
        Stone stone = workbench.shown().orElseThrow().stone();
        double reach = Math.max(stone.length().value(), stone.width().value()) / 2;
        double[] at = place.get() == null ? new double[] {0, 0} : place.get();
        place.set(new double[] {Math.max(-reach, Math.min(reach, at[0] + dx)), Math.max(-reach, Math.min(reach, at[1] + dy))});
    }
}
