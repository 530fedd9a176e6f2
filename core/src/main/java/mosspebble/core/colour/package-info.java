/**
 * Colour as light: spectra in 36 bands, paints with absorption and scatter, mixes by parts, differences as seen. Needs units and stone;
 * hands on
 * how a film looks over what is below.
 */
package mosspebble.core.colour;
