package mosspebble.app.photo;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import mosspebble.app.model.Action;
import mosspebble.app.model.Navigator;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.instruments.BenchCamera;

/** Stones from a photo. */
public final class PhotoScreen extends Screen {

    private final PhotoModel model;

    public PhotoScreen(Surroundings with, BenchCamera camera) {
        super(with, Navigator.PHOTO, "Photo", Stage.STONE);
        this.model = new PhotoModel(with.workbench(), with.worker(), camera);
    }

    @Override
    public boolean isAside() {
        return true;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new PhotoPanel(with, model));
    }

    @Override
    protected Optional<Node> makeMiddle() {
        return Optional.of(new PhotoView(model));
    }

    @Override
    public List<Action> actions() {
        return List.of(Action.of("Photograph stones", this::go).key("P").also("camera", "picture"),
                Action.of("Take a photo", here(model::take)));
    }
}
