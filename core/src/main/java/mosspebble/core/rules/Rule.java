package mosspebble.core.rules;

import java.util.List;
import mosspebble.core.finding.Finding;

/** One thing that a practised painter looks for. */
interface Rule {

    /** What is found, in the order in which one would say it; empty if nothing is. */
    List<Finding> look(Bench on);

    /** Whether it looks at each painted face by itself; else once at the whole job. */
    default boolean atEachFace() {
        return false;
    }
}
