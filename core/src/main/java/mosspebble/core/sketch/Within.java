package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.geom.Geometry;

/** Keeps a thing within a part of another: a pattern on a coat, kept out of its openings and off what lies on the coat. */
public final class Within {

    /** What is smaller is set whole or not at all, mm2: nobody cuts a dot in two (common practice, no source). */
    static final double CUT_FROM = 12;

    /** A small piece counts as inside with so much of its area. */
    private static final double WHOLE = 0.9;

    /** A part must hold so much of a thing to be offered for it. */
    private static final double WORTH_OFFERING = 0.05;

    private Within() {}

    /**
     * Where a thing may be that is kept within a part.
     *
     * @param part id as in the whole sketch
     * @param behind the things behind, the deepest first
     * @return mm: the part without what lies on it of its own thing or of another thing behind; empty if there is no such area
     */
    static Optional<Geometry> room(String part, List<PlacedItem> behind, Remembered remembered) {
        List<PlacedPart> all = behind.stream().flatMap(i -> i.parts().stream()).toList();
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).part().id().equals(part) && all.get(i).part().isArea()) {
                List<Geometry> upon = all.subList(i + 1, all.size()).stream()
                        .filter(p -> p.part().isArea() && p.part().role() != Role.GUIDE).map(PlacedPart::drawn).toList();
                Geometry room = remembered.without(all.get(i).drawn(), upon);
                return room.isEmpty() ? Optional.empty() : Optional.of(room);
            }
        }
        return Optional.empty();
    }

    /**
     * A thing cut to its room; small pieces are whole or not there.
     *
     * @return as it was where nothing of it would be left
     */
    static PlacedItem kept(PlacedItem thing, Geometry room) {
        List<PlacedPart> parts = new ArrayList<>();
        for (PlacedPart part : thing.parts()) {
            if (part.part().role() == Role.GUIDE) {
                parts.add(part);
                continue;
            }
            Geometry drawn = part.part().isArea() ? area(part.drawn(), room) : Shapes.inside(part.drawn(), room);
            if (!drawn.isEmpty()) {
                parts.add(new PlacedPart(part.part(), drawn, part.part().isArea() ? drawn : Shapes.stroke(drawn, part.part().penMm())));
            }
        }
        return parts.stream().allMatch(p -> p.part().role() == Role.GUIDE) ? thing
                : new PlacedItem(thing.item(), thing.motif(), thing.wears(), parts,
                        Shapes.union(parts.stream().filter(p -> p.part().isArea()).map(PlacedPart::drawn).toList()));
    }

    private static Geometry area(Geometry drawn, Geometry room) {
        List<Geometry> kept = new ArrayList<>();
        for (int i = 0; i < drawn.getNumGeometries(); i++) {
            Geometry piece = drawn.getGeometryN(i);
            Geometry inside = Shapes.common(piece, room);
            if (piece.getArea() >= CUT_FROM) {
                kept.add(inside);
            } else if (inside.getArea() > WHOLE * piece.getArea()) {
                kept.add(piece);
            }
        }
        return kept.isEmpty() ? Shapes.nothing() : Shapes.union(kept);
    }

    /** The parts of things behind that a thing could be kept within, the one that holds most of it first; the one it is in comes along. */
    public static List<PlacedPart> offered(PlacedDesign design, String item) {
        PlacedItem thing = design.item(item)
                .orElseThrow(() -> new IllegalArgumentException("there is no such thing on the stone: " + item));
        List<PlacedItem> behind = design.items().subList(0, design.items().indexOf(thing));
        Geometry own = thing.parts().stream().anyMatch(p -> p.part().isArea()) ? thing.silhouette()
                : Shapes.union(thing.parts().stream().map(PlacedPart::painted).toList());
        Remembered remembered = new Remembered();
        record Offer(PlacedPart part, double held) {}
        return behind.stream().flatMap(i -> i.parts().stream()).filter(p -> p.part().role() == Role.FILL && p.part().isArea())
                .filter(p -> p.drawn().getEnvelopeInternal().intersects(own.getEnvelopeInternal())
                        || thing.item().within().equals(Optional.of(p.part().id())))
                .map(p -> new Offer(p, room(p.part().id(), behind, remembered).map(room -> Shapes.common(room, own).getArea()).orElse(0.0)))
                .filter(o -> o.held() > WORTH_OFFERING * own.getArea() || thing.item().within().equals(Optional.of(o.part().part().id())))
                .sorted(Comparator.comparingDouble(Offer::held).reversed()).map(Offer::part).toList();
    }
}
