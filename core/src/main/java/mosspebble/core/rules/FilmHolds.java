package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.units.Facts;

/** Where the film is thickest, and everything that makes it let go there. */
final class FilmHolds implements Rule {

    /** A film thicker than this may peel, µm; thinner on glassy stone (common practice, no source). */
    private static final double PEEL_UM = 260;
    /** More coats than this on a rim chip (common practice, no source). */
    private static final int RIM_COATS = 6;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        if (on.plan().weakest().isEmpty()) {
            return List.of();
        }
        List<Finding> found = new ArrayList<>();
        PaintPlan.Weakest w = on.plan().weakest().get();
        boolean glassy = on.glassy();
        double limit = PEEL_UM * (glassy ? 0.7 : 1) * (w.onRim() ? 0.8 : 1);
        Facts facts = Facts.of("coats", w.coats()).and("step", on.plan().steps().get(w.top()));
        if (w.um() > limit) {
            found.add(
                    Finding.of(Code.FILM_THICK, facts.and("um", w.um()).and("limitUm", limit).and("glassy", glassy).and("rim", w.onRim())));
        }
        if (w.onRim() && w.coats() > RIM_COATS) {
            found.add(Finding.of(Code.RIM_CHIPS, facts));
        }
        return found;
    }
}
