package mosspebble.core.rules;

import java.util.Comparator;
import java.util.Optional;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.sketch.PlacedPart;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** Where on the stone a finding lies. */
public final class WhereFound {

    private WhereFound() {}

    /**
     * A place on the face that is up, within the part that the finding names or where old paint is seen, mm; empty where it names none, or
     * none that lies there.
     */
    public static Optional<Coordinate> of(Finding finding, PaintPlan plan) {
        Geometry stays = plan.up().stays();
        if (!finding.below() && finding.code() == Code.OLD_PAINT_SEEN && !stays.isEmpty()) {
            return Optional.of(stays.getInteriorPoint().getCoordinate());
        }
        if (finding.below() || !finding.facts().has("part")) {
            return Optional.empty();
        }
        String part = finding.facts().text("part");
        Geometry stone = plan.survey().zones().outline();
        return plan.design().stream().flatMap(d -> d.parts().stream()).filter(p -> named(p, part)).map(p -> p.drawn().intersection(stone))
                .filter(g -> !g.isEmpty()).max(Comparator.comparingDouble(g -> g.getArea() + 1e-3 * g.getLength()))
                .map(g -> g.getInteriorPoint().getCoordinate());
    }

    private static boolean named(PlacedPart part, String name) {
        return part.part().title().equalsIgnoreCase(name) || part.part().id().equals(name);
    }
}
