/**
 * How the stone looks after each step, as pixels: relief, grain, films and light. Needs the plan; hands on plain arrays of colours, so that
 * screen, paper and tests see the same.
 */
package mosspebble.core.picture;
