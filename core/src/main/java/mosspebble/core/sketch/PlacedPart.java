package mosspebble.core.sketch;

import org.locationtech.jts.geom.Geometry;

/**
 * A part on the stone.
 *
 * @param part where it comes from
 * @param drawn its pencil line or area, mm
 * @param painted the area that paint takes, mm: the drawn area, or the line at its pen's width
 */
public record PlacedPart(MotifPart part, Geometry drawn, Geometry painted) {}
