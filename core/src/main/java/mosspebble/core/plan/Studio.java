package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.units.LengthUnit;

/** Everything a painter has in hand: the whole state of the application that is kept. */
public record Studio(List<Project> projects, Shelf shelf, Climate climate, LengthUnit unit, boolean evening) {

    public Studio {
        projects = List.copyOf(projects);
        Objects.requireNonNull(shelf);
        Objects.requireNonNull(climate);
        Objects.requireNonNull(unit);
        if (projects.stream().map(Project::id).distinct().count() < projects.size()) {
            throw new IllegalArgumentException("two stones in the studio have the same id");
        }
    }

    public Optional<Project> project(String id) {
        return projects.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** The studio with one project changed; the same studio if there is none of that id. */
    public Studio edit(String id, UnaryOperator<Project> change) {
        return withProjects(projects.stream().map(p -> p.id().equals(id) ? change.apply(p) : p).toList());
    }

    public Studio plus(Project project) {
        List<Project> more = new ArrayList<>(projects);
        more.add(project);
        return withProjects(more);
    }

    public Studio without(String id) {
        return withProjects(projects.stream().filter(p -> !p.id().equals(id)).toList());
    }

    private Studio withProjects(List<Project> changed) {
        return new Studio(changed, shelf, climate, unit, evening);
    }

    public Studio withShelf(Shelf newShelf) {
        return new Studio(projects, newShelf, climate, unit, evening);
    }

    public Studio withClimate(Climate newClimate) {
        return new Studio(projects, shelf, newClimate, unit, evening);
    }

    public Studio withView(LengthUnit newUnit, boolean newEvening) {
        return new Studio(projects, shelf, climate, newUnit, newEvening);
    }
}
