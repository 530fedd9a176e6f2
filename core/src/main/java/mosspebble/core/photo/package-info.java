/**
 * Stones from a photo: finds the printed scale card, removes perspective, finds every stone on the sheet and gives its outline in mm with
 * its uncertainty. Needs stones and colour; hands on stones. Places are
 * in pixels (x to the right, y down, a pixel covers its number to the next) or on the sheet in mm from the card's upper left corner.
 */
package mosspebble.core.photo;
