/** What the painter should know, and what mends it. */
package mosspebble.core.finding;
