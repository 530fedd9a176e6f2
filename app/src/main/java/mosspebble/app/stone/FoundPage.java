package mosspebble.app.stone;

import mosspebble.app.screen.OriginFields;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Origin;

/** Where the stone came from. */
final class FoundPage extends PageView {

    private final OriginFields fields;

    FoundPage(StonePanel panel) {
        fields = new OriginFields("stone", () -> panel.project().map(Project::origin).orElse(Origin.unknown()),
                (title, change) -> panel.tryEdit(title, p -> p.withOrigin(change.apply(p.origin()))));
        getChildren().addAll(fields, Panel.quiet("The book keeps it with the stone."));
    }

    @Override
    public void refresh() {
        fields.refresh();
    }
}
