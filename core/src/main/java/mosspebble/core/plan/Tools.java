package mosspebble.core.plan;

import java.util.Optional;
import java.util.stream.IntStream;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Share;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Shelf;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;

/** Which brush or pen an area or line asks for, and how fast it goes (common practice, no source). */
record Tools(Tool tool, double mm2PerMinute) {

    /** Speed of a pen or liner along a line, mm a minute. */
    static final double LINE_MM_PER_MINUTE = 70;

    /** Speed along an edge that is painted up to, mm a minute; a further coat finds its edge there. */
    private static final double EDGE_MM_PER_MINUTE = 150;
    private static final double NEXT_EDGE_MM_PER_MINUTE = 300;

    /** Varnish under a flat brush, mm2 a minute; and to lay out for it, minutes. */
    static final double SEAL_MM2_PER_MINUTE = 3000;
    static final double SEAL_LAY_OUT_MIN = 2;

    /** Inside an edge, mm2 a minute: a flat brush 12 mm wide 30 to 60 cm2, a round one no. 6 15 to 25, smaller ones by their width. */
    private static final double LARGE = 4500;
    private static final double MEDIUM = 2000;
    private static final double SMALL = 900;
    private static final double FINE = 400;

    /** A damp sponge: about 50 dabs of 25 mm2 a minute. */
    private static final double SPONGE = 1250;

    /** Powder rubbed on, leaf pressed; a gem of 12 mm2 set in half a minute; paste; a spray (common practice, no source). */
    private static final double RUBBING = 600;
    private static final double GEM_SPEED = 25;
    private static final double KNIFE_SPEED = 1500;
    private static final double SPRAY_SPEED = 20000;

    /** A pen, mm2 a minute for every mm of its tip: 0.7 mm fills 3 to 5 cm2; no tip counts as thinner than this, mm. */
    private static final double PEN_SPEED = 570;
    private static final double THINNEST_MM = 0.3;

    /** Equal dots set with a fresh load each (common practice, no source). */
    private static final double DOTS_PER_MINUTE = 14;

    /** Nobody sets a larger dot with one touch, mm (common practice, no source). */
    static final double LARGEST_DOT_MM = 8;

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

    /** Whether no piece of it is larger than a dot of so many mm. */
    static boolean eachIsAtMost(Geometry area, double dotMm) {
        return IntStream.range(0, area.getNumGeometries()).allMatch(i -> area.getGeometryN(i).getArea() <= Math.PI * dotMm * dotMm / 4);
    }

    /** @param coat from 1 */
    static double edgeMmPerMinute(int coat) {
        return coat == 1 ? EDGE_MM_PER_MINUTE : NEXT_EDGE_MM_PER_MINUTE;
    }

    /** Whether it is too broad to follow an edge. */
    boolean isLarge() {
        return mm2PerMinute >= LARGE && tool.followsEdges();
    }

    /**
     * @param share how it is laid
     * @param widestMm diameter of the largest disc in the area, mm
     */
    static Tools of(Geometry place, Mix mix, boolean line, Share.Kind share, double widestMm, Shelf shelf) {
        Optional<Paint> pen = mix.isSingle()
                ? shelf.find(mix.parts().get(0).paint()).filter(Paint::hasNib) : Optional.empty();
        if (pen.isPresent()) {
            double tip = pen.get().tip().value();
            return new Tools(new Tool(Tool.Kind.PEN, tip), PEN_SPEED * Math.max(THINNEST_MM, tip));
        }
        if (line) {
            return new Tools(Tool.brush(Tool.Kind.LINER), FINE);
        }
        if (share == Share.Kind.FOAM || share == Share.Kind.DABS) {
            return new Tools(Tool.brush(Tool.Kind.SPONGE), SPONGE);
        }
        if (share == Share.Kind.STREAKS) {
            return new Tools(Tool.brush(Tool.Kind.DRY_BRUSH), MEDIUM);
        }
        Optional<Tools> own = byShare(share, mix, shelf);
        if (own.isPresent()) {
            return own.get();
        }
        double dot = dotMm(place);
        if (dot > 0) {
            return new Tools(new Tool(Tool.Kind.DOT_END, dot), DOTS_PER_MINUTE * Math.PI * dot * dot / 4);
        }
        if (widestMm >= 14) {
            return new Tools(Tool.brush(Tool.Kind.LARGE_FLAT), LARGE);
        }
        if (widestMm >= 5) {
            return new Tools(Tool.brush(Tool.Kind.MEDIUM_ROUND), MEDIUM);
        }
        if (widestMm >= 2) {
            return new Tools(Tool.brush(Tool.Kind.SMALL_ROUND), SMALL);
        }
        return new Tools(Tool.brush(Tool.Kind.FINE_ROUND), FINE);
    }

    /** What is not laid with a brush for its area. */
    private static Optional<Tools> byShare(Share.Kind share, Mix mix, Shelf shelf) {
        return switch (share) {
            case POWDER -> Optional.of(new Tools(Tool.brush(Tool.Kind.APPLICATOR), RUBBING));
            case LEAF -> Optional.of(new Tools(Tool.brush(Tool.Kind.LEAF_BRUSH), RUBBING));
            case GLUE, GEM -> Optional.of(new Tools(Tool.brush(Tool.Kind.TWEEZERS), GEM_SPEED));
            case PASTE -> Optional.of(new Tools(Tool.brush(Tool.Kind.KNIFE), KNIFE_SPEED));
            case ISOLATED -> shelf.find(mix.parts().get(0).paint()).filter(p -> p.binder() == Binder.SOLVENT_LACQUER)
                    .map(p -> new Tools(Tool.brush(Tool.Kind.SPRAY), SPRAY_SPEED));
            default -> Optional.empty();
        };
    }

    /** Whether a disc of so many mm fits somewhere in the area. */
    static boolean widerThan(Geometry area, double mm) {
        return area.getEnvelopeInternal().getWidth() >= mm && area.getEnvelopeInternal().getHeight() >= mm
                && (isBroad(area, mm / 2) || !Shapes.grown(area, -mm / 2).isEmpty());
    }

    /**
     * Whether a piece must hold a disc of a radius, by its area A and the length L of its edges alone: no inner parallel edge at a distance
     * t is longer than L + 2 pi t h with h holes (B. Sz.-Nagy 1959, from memory), so an area in which no disc of radius r fits is at most L
     * r + pi h r2. Quicker than to shrink it, and never wrong; where it says no, nothing is known.
     */
    static boolean isBroad(Geometry area, double radiusMm) {
        return IntStream.range(0, area.getNumGeometries()).mapToObj(area::getGeometryN).filter(Polygon.class::isInstance)
                .map(Polygon.class::cast).anyMatch(p -> p.getArea() > p.getLength() * radiusMm
                        + Math.PI * p.getNumInteriorRing() * radiusMm * radiusMm);
    }
}
