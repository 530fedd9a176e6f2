/** Water leaving a film: how long it stays open, when it can be touched, painted over, sealed. Needs units and the stone. */
package mosspebble.core.drying;
