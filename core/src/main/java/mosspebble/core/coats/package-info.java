/**
 * What lies on the stone: films of coats, how they look, how many coats until nothing shows through. Needs colours and grids; hands on
 * films and coat counts.
 */
package mosspebble.core.coats;
