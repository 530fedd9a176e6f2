package mosspebble.core.plan;

import java.util.Optional;
import mosspebble.core.project.Project;
import mosspebble.core.project.Side;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.stone.Survey;

/**
 * What a plan holds for one face.
 *
 * @param project as it is with this face up
 * @param survey of the stone as it lies then
 * @param film how thick it lies
 * @param noticed what the planner came upon
 */
public record FacePlan(Project project, Survey survey, Optional<PlacedDesign> design, PaintPlan.Thickness film, Noticed noticed) {

    public Side side() {
        return project.sides().backUp() ? Side.BACK : Side.FRONT;
    }

    FacePlan of(Project whole) {
        return new FacePlan(whole, survey, design, film, noticed);
    }
}
