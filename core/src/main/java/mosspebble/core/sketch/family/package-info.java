/**
 * The pattern families that ship: each turns a few dials into a motif of meaningful parts. Needs motifs and shapes; hands on a list of
 * families for the repertoire.
 */
package mosspebble.core.sketch.family;
