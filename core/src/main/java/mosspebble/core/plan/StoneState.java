package mosspebble.core.plan;

/** How the stone is looked at: dry, wet with paint or water, under a seal that still hardens, sealed. */
public enum StoneState {
    DRY, WET, CURING, SEALED
}
