/** When each step is done. Needs only durations and what waits for what. */
package mosspebble.core.timetable;
