/** The work held against its plan: a photo of a pencilled or painted stone, laid over what was planned. */
package mosspebble.core.proof;
