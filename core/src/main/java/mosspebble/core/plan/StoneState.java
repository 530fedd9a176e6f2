package mosspebble.core.plan;

/** How the stone is looked at. */
public enum StoneState { DRY, WET, SEALED }
