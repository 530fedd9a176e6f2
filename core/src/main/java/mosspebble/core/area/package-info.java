/**
 * Areas and the grids they are counted on: what every stage from the stone on works with. {@code Remembered} keeps what was worked out from
 * areas that have not changed.
 */
package mosspebble.core.area;
