package mosspebble.core.plan;

import java.util.Optional;
import mosspebble.core.area.Shapes;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Shelf;
import org.locationtech.jts.geom.Geometry;

/** Which brush or pen an area or line asks for, and how fast it goes (common practice, no source). */
record Tools(Tool tool, double mm2PerMinute) {

    /** Speed of a pen or liner along a line, mm a minute. */
    static final double LINE_MM_PER_MINUTE = 70;

    private static final double LARGE = 900;

    /** Equal dots set with a fresh load each (common practice, no source). */
    private static final double DOTS_PER_MINUTE = 14;

    /** Nobody sets a larger dot with one touch, mm (common practice, no source). */
    private static final double LARGEST_DOT_MM = 8;

    /** Diameter of the dots if the area is nothing but equal discs, each set with one touch, mm; else 0. */
    static double dotMm(Geometry area) {
        int count = area.getNumGeometries();
        double usual = area.getArea() / Math.max(1, count);
        for (int i = 0; i < count; i++) {
            Geometry one = area.getGeometryN(i);
            double round = 4 * Math.PI * one.getArea() / (one.getLength() * one.getLength());
            if (!(round >= 0.97) || Math.abs(one.getArea() / usual - 1) > 0.05) {
                return 0;
            }
        }
        double diameter = Math.sqrt(4 * usual / Math.PI);
        return count > 0 && diameter <= LARGEST_DOT_MM ? diameter : 0;
    }

    /** Whether it is too broad to follow an edge. */
    boolean isLarge() {
        return mm2PerMinute >= LARGE;
    }

    /** @param widestMm diameter of the largest disc in the area, mm */
    static Tools of(Geometry place, Mix mix, boolean line, double widestMm, Shelf shelf) {
        Optional<Paint> pen = mix.isSingle()
                ? shelf.find(mix.parts().get(0).paint()).filter(Paint::hasNib) : Optional.empty();
        if (pen.isPresent()) {
            return new Tools(new Tool(Tool.Kind.PEN, pen.get().tip().value()), 90 * Math.max(1, pen.get().tip().value()));
        }
        if (line) {
            return new Tools(Tool.brush(Tool.Kind.LINER), 90);
        }
        double dot = dotMm(place);
        if (dot > 0) {
            return new Tools(new Tool(Tool.Kind.DOT_END, dot), DOTS_PER_MINUTE * Math.PI * dot * dot / 4);
        }
        if (widestMm >= 14) {
            return new Tools(Tool.brush(Tool.Kind.LARGE_FLAT), LARGE);
        }
        if (widestMm >= 5) {
            return new Tools(Tool.brush(Tool.Kind.MEDIUM_ROUND), 420);
        }
        if (widestMm >= 2) {
            return new Tools(Tool.brush(Tool.Kind.SMALL_ROUND), 200);
        }
        return new Tools(Tool.brush(Tool.Kind.FINE_ROUND), 110);
    }

    /** Whether a disc of so many mm fits somewhere in the area. */
    static boolean widerThan(Geometry area, double mm) {
        return area.getEnvelopeInternal().getWidth() >= mm && area.getEnvelopeInternal().getHeight() >= mm
                && !Shapes.grown(area, -mm / 2).isEmpty();
    }
}
