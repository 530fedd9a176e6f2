/**
 * What one could do: put a mistake right, palettes, neighbours that are hard to tell apart, which subjects suit a stone, colours to begin
 * with. Reads a plan, changes none.
 */
package mosspebble.core.advice;
