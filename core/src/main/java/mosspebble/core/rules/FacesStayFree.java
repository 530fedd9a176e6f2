package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import mosspebble.core.area.Shapes;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PartName;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Geometry;

/** Words that lie over somebody's face. */
final class FacesStayFree implements Rule {

    /** What a face is known by: the last word of a part's name. */
    private static final Set<String> FACE = Set.of("eye", "pupil", "nose", "beak", "mouth", "smile", "snout", "face", "brow");

    /** So much of a part must be covered before it counts, mm2. */
    private static final double COVERED_MM2 = 0.5;

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        List<Finding> found = new ArrayList<>();
        List<PlacedItem> placed = on.placed();
        for (int i = 0; i < placed.size(); i++) {
            if (placed.get(i).item().subject() instanceof Subject.Word word) {
                Geometry letters = Shapes.union(placed.get(i).parts().stream().map(PlacedPart::painted).toList());
                for (PlacedItem behind : placed.subList(0, i)) {
                    List<PlacedPart> covered = behind.parts().stream().filter(p -> isOfAFace(p)
                            && Shapes.common(Shapes.polygons(p.drawn()), letters).getArea() > COVERED_MM2).toList();
                    if (!covered.isEmpty()) {
                        found.add(finding(on, placed.get(i).item(), word, behind, covered));
                    }
                }
            }
        }
        return found;
    }

    private static boolean isOfAFace(PlacedPart part) {
        String stem = PartName.of(part.part().title()).stem().toLowerCase(Locale.ROOT);
        return FACE.contains(stem.substring(stem.lastIndexOf(' ') + 1));
    }

    private static Finding finding(Bench on, Item item, Subject.Word word, PlacedItem behind, List<PlacedPart> covered) {
        Facts facts = Facts.of("words", String.join(" ", word.lines())).and("part", covered.get(0).part().title())
                .and("others", covered.size() - 1).and("thing", behind.motif().title().toLowerCase(Locale.ROOT));
        Set<String> group = on.project().sketch().map(s -> s.together(item.id())).orElse(List.of()).stream().map(Item::id)
                .collect(Collectors.toSet());
        return on.plan().design().flatMap(d -> Designs.beside(d, item, group, on.workshop().repertoire(), on.bed()))
                .map(at -> Finding.of(Code.COVERS_FACE, facts,
                        Remedy.of(Cure.FIT_BESIDE_OTHERS, p -> Bench.with(p, item, i -> i.withPlacement(at)))))
                .orElse(Finding.of(Code.COVERS_FACE, facts));
    }
}
