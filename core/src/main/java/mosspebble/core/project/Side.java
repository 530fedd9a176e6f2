package mosspebble.core.project;

/** The places of a stone that are painted. */
public enum Side { FRONT, BACK, EDGE }
