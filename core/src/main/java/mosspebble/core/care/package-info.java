/** Sealing and what comes after. Needs the stone and where it will live. */
package mosspebble.core.care;
