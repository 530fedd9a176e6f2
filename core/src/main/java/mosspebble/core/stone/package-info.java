/**
 * The bare stone: outline, dome, zones, weight and surface kind. Needs only units; hands on places in millimetres and how the surface
 * leans there.
 *
 * <p>One frame is used everywhere: millimetres, x to the right, y down toward the painter, origin in the middle of the outline's bounding
 * box as
 * the stone lies for painting, z up from the girdle.
 */
package mosspebble.core.stone;
