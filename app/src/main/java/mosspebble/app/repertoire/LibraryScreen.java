package mosspebble.app.repertoire;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import mosspebble.app.model.Action;
import mosspebble.app.model.Navigator;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.app.sketch.SheetModel;
import mosspebble.app.sketch.SketchModel;
import mosspebble.app.sketch.TracingModel;
import mosspebble.core.finding.Finding.Stage;

/** Everything that can be put on a stone; it lies open until something is chosen. */
public final class LibraryScreen extends Screen {

    private final SketchModel sketch;
    private final TracingModel tracing;
    private final SheetModel sheets;

    public LibraryScreen(Surroundings with, SketchModel sketch, TracingModel tracing, SheetModel sheets) {
        super(with, Navigator.LIBRARY, "Sketch", Stage.SKETCH);
        this.sketch = sketch;
        this.tracing = tracing;
        this.sheets = sheets;
    }

    @Override
    public boolean isAside() {
        return true;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.empty();
    }

    @Override
    protected Optional<Node> makeMiddle() {
        return Optional
                .of(new LibraryView(with.workbench(), new LibraryView.Models(sketch, tracing, sheets), with.worker(), with.files(),
                        with::back));
    }

    @Override
    public void opened() {
        ((LibraryView) middle().orElseThrow()).open();
    }

    @Override
    public void getReady() {
        ((LibraryView) middle().orElseThrow()).ready();
    }

    @Override
    public List<Action> actions() {
        return List.of();
    }
}
