/** Runs the store, the readers, the planner and the window through what must not hurt them. No part of the product. */
package mosspebble.torture;
