package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Patch;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** Letters that lie over a crack. */
final class OffCracks implements Rule {

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        List<Finding> found = new ArrayList<>();
        for (PlacedItem placed : on.placed()) {
            on.survey().dome().patches().stream()
                    .filter(p -> p.kind() == Patch.Kind.CRACK && placed.item().subject() instanceof Subject.Word)
                    .flatMap(p -> over(placed, p).stream()).findFirst()
                    .ifPresent(part -> found.add(Finding.of(Code.OVER_CRACK, Facts.of("part", part.part().title()),
                            Remedy.of(Cure.FIT_BESIDE_CRACK, p -> Designs.fit(placed.item(), on.workshop().repertoire(), on.bed())
                                    .map(f -> Bench.with(p, placed.item(), i -> i.withPlacement(f))).orElse(p)))));
        }
        return found;
    }

    private static Optional<PlacedPart> over(PlacedItem placed, Patch crack) {
        Geometry line = placed.silhouette().getFactory()
                .createLineString(new Coordinate[] {new Coordinate(crack.x(), crack.y()), new Coordinate(crack.toX(), crack.toY())});
        return placed.parts().stream().filter(p -> p.painted().distance(line) < crack.radiusMm()).findFirst();
    }
}
