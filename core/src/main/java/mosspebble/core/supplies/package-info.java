/** How much paint it takes. Needs areas and coats. */
package mosspebble.core.supplies;
