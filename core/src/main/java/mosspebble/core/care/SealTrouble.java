package mosspebble.core.care;

import java.util.List;

/** What can go wrong with a seal, while it dries or with the years, and for which kinds that is known (common practice, no source). */
public enum SealTrouble {
    CLOUDS, WRINKLES, PEELS, YELLOWS, STAYS_STICKY, SCRATCHED;

    /** Those that a kind of seal is known for, the likeliest first. */
    public static List<SealTrouble> of(SealKind kind) {
        return switch (kind) {
            case TOP_COAT -> List.of(CLOUDS, PEELS, STAYS_STICKY, SCRATCHED);
            case BRUSH_VARNISH, POLYURETHANE -> List.of(PEELS, YELLOWS, WRINKLES, CLOUDS, SCRATCHED);
            case SPRAY_VARNISH, GLOSS_GLAZE -> List.of(WRINKLES, CLOUDS, PEELS, YELLOWS, SCRATCHED);
            case RESIN -> List.of(STAYS_STICKY, CLOUDS, YELLOWS, SCRATCHED);
            case WAX -> List.of(CLOUDS, SCRATCHED);
        };
    }
}
