package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import mosspebble.core.area.Grid;
import mosspebble.core.picture.Differences;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Survey;
import org.junit.jupiter.api.Test;

/** A dryer changes the order of passes, and nothing of what is seen in the end: what lies in front stays in front. */
class WhateverTheOrderTest {

    private static final double PIXELS_PER_MM = 3.4;

    /** Where a glaze ends on a wet-laid area one square millimetre may differ. */
    private static final double LEAST_MM2 = 2;

    @Test
    void aStoneLooksTheSameWithTheDryerAndWithout() {
        int orders = 0;
        for (Project project : WalkPlans.STUDIO.projects()) {
            PaintPlan one = WalkPlans.of(project.id());
            PaintPlan other = WalkPlans.of(project.withHabits(project.habits().withDryer(!project.habits().dryer())));
            Survey survey = one.survey();
            Grid grid = Grid.around(survey.dome().outline().halfWidth() + 2, survey.dome().outline().halfHeight() + 2, 1 / PIXELS_PER_MM);
            StoneTerrain terrain = StoneTerrain.of(survey, grid);
            assertThat(Differences.of(StonePicture.of(one, terrain, StoneState.DRY), StonePicture.of(other, terrain, StoneState.DRY), 5))
                    .as(project.name()).allMatch(p -> p.area() < LEAST_MM2 * PIXELS_PER_MM * PIXELS_PER_MM);
            orders += keys(one).equals(keys(other)) ? 0 : 1;
        }
        assertThat(orders).as("there are stones whose passes do change places").isGreaterThan(2);
    }

    private static List<String> keys(PaintPlan plan) {
        return plan.steps().stream().map(Step::key).toList();
    }
}
