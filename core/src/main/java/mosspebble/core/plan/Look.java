package mosspebble.core.plan;

/** How the stone is looked at. */
public enum Look { DRY, WET, SEALED }
