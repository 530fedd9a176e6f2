/**
 * Grounds and blends: how an area takes more than one flat colour. Needs colours and shapes; hands on pieces, each an area with its colour,
 * its thinness, how soft its edge is and what it
 * is laid wet with.
 */
package mosspebble.core.blend;
