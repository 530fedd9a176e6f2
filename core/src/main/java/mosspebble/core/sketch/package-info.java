/**
 * The design: motifs and words, and how they are made to sit on or wear this stone. Needs the stone's zones; hands on parts as shapes in
 * mm.
 */
package mosspebble.core.sketch;
