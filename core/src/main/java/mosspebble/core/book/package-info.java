/** The painter's book: a page for every finished stone, what became of it, and what all of them together teach. */
package mosspebble.core.book;
