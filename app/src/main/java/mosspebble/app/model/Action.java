package mosspebble.app.model;

/**
 * Something that can be done by name, by key or by button.
 *
 * @param name as it stands in the command field
 * @param key shown beside it, may be empty
 */
public record Action(String name, String key, Runnable run) {}
