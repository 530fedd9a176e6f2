/** Devices at the bench behind small interfaces, and the simulated ones that ship. */
package mosspebble.instruments;
