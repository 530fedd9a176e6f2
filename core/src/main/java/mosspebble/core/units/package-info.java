/** Values at the doors: lengths, films, masses, volumes, temperatures and colour codes, each its own type. */
package mosspebble.core.units;
