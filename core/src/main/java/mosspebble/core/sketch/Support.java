package mosspebble.core.sketch;

import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Viewpoint;
import mosspebble.core.stone.Zones;

/** What a sketch is laid on: the stone, and from where it will be seen. */
public record Support(Survey survey, Viewpoint viewpoint) {

    /** A stone seen straight from above. */
    public static Support of(Survey survey) {
        return new Support(survey, Viewpoint.above());
    }

    public Zones zones() {
        return survey.zones();
    }

    public Dome dome() {
        return survey.dome();
    }
}
