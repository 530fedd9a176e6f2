package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding.Weight;
import mosspebble.core.finding.Finding;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Support;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** What leaves the face or the stone. */
final class StaysOnFace implements Rule {

    /** So little is lost in the line, mm (common practice, no source). */
    private static final double SLIGHT_MM = 0.3;
    /** What leaves farther than this was not meant to run off, mm (common practice, no source). */
    private static final double MEANT_MM = 20;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        return on.placed().stream().flatMap(placed -> leaves(placed, on).stream()).toList();
    }

    private static Optional<Finding> leaves(PlacedItem placed, Bench on) {
        Item item = placed.item();
        if (item.subject() instanceof Subject.Guide) {
            return Optional.empty();
        }
        boolean pattern = item.subject() instanceof Subject.Pattern; // its lines may be meant to run out, as cracks do
        Map<String, Double> leaving = leaving(pattern ? placed.parts().stream().filter(p -> p.part().isArea()).toList() : placed.parts(),
                zone(placed, on), on.remembered());
        Optional<Map.Entry<String, Double>> worst = leaving.entrySet().stream().max(Map.Entry.comparingByValue())
                .filter(e -> e.getValue() > SLIGHT_MM);
        if (worst.isEmpty()) {
            return Optional.empty();
        }
        double far = worst.get().getValue();
        if (far <= item.runOffMm()) {
            return Optional
                    .of(Finding.of(Code.RUNS_OFF, Facts.of("part", worst.get().getKey()).and("mm", far).and("mostMm", item.runOffMm())));
        }
        boolean offStone = !on.survey().zones().outline().covers(placed.silhouette());
        boolean word = item.subject() instanceof Subject.Word; // only words say their size; for others it is worked out when it is wanted
        Item lying = item.withManner(ItemMode.ON_STONE);
        Repertoire repertoire = on.workshop().repertoire();
        Support bed = on.bed();
        Optional<Placement> fit = word
                ? on.remembered().recall("fit", lying, repertoire, bed, (thing, all, support, m) -> Designs.fit(thing, all, support))
                : Optional.empty();
        Facts facts = Facts.of("part", worst.get().getKey()).and("mm", far).and("others", leaving.size() - 1).and("offStone", offStone);
        if (word && !onRim(item) && fit.isPresent()) {
            facts = facts.and("lettersMm", fit.get().scale());
        }
        List<Remedy> remedies = new ArrayList<>();
        if (!word || fit.isPresent()) {
            remedies.add(Remedy.of(Cure.FIT_TO_FACE, p -> fit.or(() -> Designs.fit(lying, repertoire, bed))
                    .map(f -> Bench.with(p, item, i -> i.withManner(i.wearing() ? ItemMode.ON_STONE : i.manner()).withPlacement(f)))
                    .orElse(p)));
        }
        if (!offStone && far < MEANT_MM) {
            remedies.add(Remedy.of(Cure.LET_RUN_OFF,
                    p -> Bench.with(p, item, i -> i.withRoom(new Item.Room(i.marginMm(), i.mostTurn(), Math.ceil(far))))));
        }
        return Optional.of(Finding.of(Code.LEAVES, facts, remedies).weighing(offStone ? Weight.STOP : Weight.MIND));
    }

    private static Geometry zone(PlacedItem placed, Bench on) {
        return placed.wears() || placed.item().subject() instanceof Subject.Dots ? on.survey().zones().outline()
                : onRim(placed.item()) ? on.survey().zones().paintable() : on.survey().zones().face();
    }

    private static boolean onRim(Item item) {
        return item.subject() instanceof Subject.Word word && word.setting().path() == LetterSetting.Path.RIM;
    }

    /** Parts that leave a zone, by name, with how far, mm. */
    private static Map<String, Double> leaving(List<PlacedPart> parts, Geometry zone, Remembered remembered) {
        Map<String, Double> found = new TreeMap<>();
        for (PlacedPart part : parts) {
            if (part.part().role() == Role.GUIDE || remembered.covers(zone, part.drawn())) {
                continue;
            }
            Geometry out = Shapes.outside(part.drawn(), zone);
            if (!out.isEmpty()) {
                double far = 0;
                for (Coordinate point : out.getCoordinates()) {
                    far = Math.max(far, zone.distance(zone.getFactory().createPoint(point)));
                }
                found.put(part.part().title(), far);
            }
        }
        return found;
    }
}
