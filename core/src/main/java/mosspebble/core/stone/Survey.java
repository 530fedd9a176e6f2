package mosspebble.core.stone;

/** A stone with all that follows from its measures, worked out once. */
public record Survey(Stone stone, Dome dome, Zones zones, StoneFacts facts) {

    public static Survey of(Stone stone) {
        Dome dome = Dome.of(stone);
        return new Survey(stone, dome, Zones.of(dome, stone.limits()), StoneFacts.of(stone, dome));
    }
}
