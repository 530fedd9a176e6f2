/** Speed, measured beside a baseline; not part of the product. */
package mosspebble.bench;
