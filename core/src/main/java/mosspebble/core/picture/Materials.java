package mosspebble.core.picture;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.coats.Sheen;
import mosspebble.core.rock.Noise;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** How special materials look: flakes, chrome, leaf, gems, the body of paste. Places in mm; all are fixed to the stone. */
final class Materials {

    private static final Noise FLAKES = new Noise(5);
    private static final Noise CREASES = new Noise(23);

    /** A sheet of leaf breaks into pieces about so wide, mm. */
    private static final double LEAF_MM = 9;

    private static final int FACETS = 8;

    /** Body of paste, µm, as far as the picture holds heights. */
    private static final double PASTE_UM = 190;

    /** A gem: where and how large. */
    private record Gem(double x, double y, double radius) {}

    private final Sheen sheen;
    private final List<Gem> gems = new ArrayList<>();

    /** @param place of what is laid; gems stand one in each piece of it */
    Materials(Sheen sheen, Geometry place) {
        this.sheen = sheen;
        for (int i = 0; sheen == Sheen.GEM && i < place.getNumGeometries(); i++) {
            Coordinate middle = place.getGeometryN(i).getCentroid().getCoordinate();
            gems.add(new Gem(middle.x, middle.y, Math.sqrt(place.getGeometryN(i).getArea() / Math.PI)));
        }
    }

    /** Whether what is laid is of one colour and has no body of its own. */
    boolean isPlain() {
        return switch (sheen) {
            case SHIFT, CHROME, LEAF, GEM, RAISED -> false;
            default -> true;
        };
    }

    /** The colour of a place with its height in the top byte: the play of flakes, mirrors and facets. */
    int at(int colour, double x, double y) {
        return switch (sheen) {
            case SHIFT -> shifted(colour, 1, broad(x, y));
            case CHROME -> lit(colour, chrome(x, y));
            case LEAF -> leaf(colour, x, y);
            case GEM -> gem(colour, x, y);
            default -> colour;
        };
    }

    /** Height of paste, µm, which shows through whatever is painted on it. */
    static int body(double x, double y) {
        double ridge = 1 - Math.abs(2 * CREASES.smooth(x * 0.7, y * 0.45) - 1);
        return (int) (40 + PASTE_UM * (0.55 * ridge + 0.45 * CREASES.smooth(x * 1.9 + 7, y * 1.6)));
    }

    private static double broad(double x, double y) {
        return FLAKES.smooth(x * 0.35 + 40, y * 0.35);
    }

    /** A mirror shows sky and ground as bands with a sharp line between them. */
    private static double chrome(double x, double y) {
        double along = 0.075 * y + 0.03 * x + 0.3 * FLAKES.smooth(x * 0.12 + 40, y * 0.12);
        double band = along - Math.floor(along);
        return band < 0.5 ? 0.6 + 0.5 * band : 1.55 - 1.2 * (band - 0.5);
    }

    /** Pieces of slightly different tone with creases between them. */
    private static int leaf(int colour, double x, double y) {
        double cx = x / LEAF_MM + 0.5 * CREASES.smooth(x * 0.3, y * 0.3);
        double cy = y / LEAF_MM + 0.5 * CREASES.smooth(y * 0.3 + 9, x * 0.3);
        double edge = Math.min(Math.min(cx - Math.floor(cx), Math.ceil(cx) - cx), Math.min(cy - Math.floor(cy), Math.ceil(cy) - cy));
        double tone = 0.95 + 0.18 * CREASES.hash((long) Math.floor(cx), (long) Math.floor(cy));
        double crinkle = 0.34 * (CREASES.smooth(x * 1.7, y * 1.3) - 0.5);
        return lit(colour, edge < 0.012 ? 0.82 : tone + crinkle);
    }

    /** Facets round a table, a light on one side and what it throws on the other, and a dome of height. */
    private int gem(int colour, double x, double y) {
        for (Gem gem : gems) {
            double dx = (x - gem.x) / gem.radius;
            double dy = (y - gem.y) / gem.radius;
            double r = Math.hypot(dx, dy);
            if (r <= 1.15) {
                int facet = (int) Math.floor((Math.atan2(dy, dx) / (2 * Math.PI) + 1) * FACETS) % FACETS;
                double turned = Math.cos(2 * Math.PI * (facet + 0.5) / FACETS + 2.2); // light from the upper left
                double light = r < 0.5 ? 1.15 + 0.35 * (dx + dy) : 0.85 + 0.5 * turned * (facet % 2 == 0 ? 1 : 0.7);
                boolean spark = Math.hypot(dx + 0.3, dy + 0.32) < 0.14;
                int height = (int) (255 * Math.sqrt(Math.max(0, 1 - 0.7 * r * r)));
                return (spark ? 0xFFFFFF : lit(colour, light) & 0xFFFFFF) | height << 24;
            }
        }
        return colour;
    }

    private static int lit(int colour, double light) {
        return shifted(colour, light, -1);
    }

    /** @param turn of the hue from green to the others, 0 to 1; below 0 for none */
    private static int shifted(int colour, double light, double turn) {
        int result = colour & 0xFF000000;
        for (int shift = 0; shift < 24; shift += 8) {
            double turned = turn < 0 ? light : light * (1 + (shift == 8 ? 0.5 : -0.2) * (turn - 0.5));
            result |= (int) Math.min(255, (colour >>> shift & 255) * turned) << shift;
        }
        return result;
    }
}
