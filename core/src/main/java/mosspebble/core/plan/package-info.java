/**
 * Puts the stages together: stone, sketch, shelf, habits and climate become an ordered plan of operations with findings. Needs all stages
 * before it.
 */
package mosspebble.core.plan;
