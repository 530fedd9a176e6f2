/**
 * What bare rock looks like close up: its minerals and marks as colour, relief and shine at every place of the skin, by kind of rock. Needs
 * the stone only; knows nothing of paint, pixels or light.
 */
package mosspebble.core.rock;
