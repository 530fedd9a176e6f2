package mosspebble.core.sketch;

import mosspebble.core.units.Srgb;

/** A place for a colour in a design: its name and the colour it would like to have. */
public record Slot(String id, String title, Srgb wish) {}
