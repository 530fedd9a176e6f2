package mosspebble.core.blend;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Objects;
import mosspebble.core.colour.Mix;

/**
 * How an area takes its colour.
 *
 * @param more the colours besides the area's own, in order
 * @param angle direction in which the colours follow each other, degrees clockwise from straight up
 * @param amount 0 to 1; what it does depends on the kind, see {@link BlendKind#amount()}
 * @param join where the first colour ends, share of the area along the direction, 0.05 to 0.95
 * @param method how joins are made
 */
@RecordBuilder
public record Blend(BlendKind kind, List<Mix> more, double angle, double amount, double join, Method method) implements BlendBuilder.With {

    /** How colours are brought into each other. */
    public enum Method {
        /** Both colours wet. */
        WET,
        /** Thin glazes on dry paint. */
        GLAZES
    }

    /** The upper two thirds one colour, the lower third another (common practice, no source). */
    public static final double THIRDS = 2 / 3.0;

    public Blend {
        Objects.requireNonNull(kind);
        Objects.requireNonNull(method);
        more = List.copyOf(more);
        if (more.size() > kind.mostColours()) {
            throw new IllegalArgumentException(
                    kind.label() + " takes " + kind.mostColours() + " colours besides its own, had " + more.size());
        }
        if (!Double.isFinite(angle)) {
            throw new IllegalArgumentException("the direction must be a number of degrees");
        }
        angle = (angle % 360 + 360) % 360;
        check("amount", amount, 0, 1);
        check("join", join, 0.05, 0.95);
    }

    private static void check(String what, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException("the " + what + " of a blend must be " + low + " to " + high + ", was " + value);
        }
    }

    public static Blend flat() {
        return of(BlendKind.FLAT);
    }

    /** A kind with its usual settings and no further colours yet. */
    public static Blend of(BlendKind kind) {
        return new Blend(kind, List.of(), 180, kind == BlendKind.SPIRAL ? 0.4 : 0.5, kind == BlendKind.SPLIT ? THIRDS : 0.5, Method.WET);
    }

    /** Whether it has the colours it needs. */
    public boolean complete() {
        return more.size() >= kind.leastColours();
    }

    public Blend withColours(List<Mix> colours) {
        return new Blend(kind, colours, angle, amount, join, method);
    }

    public Blend withShape(double newAngle, double newAmount, double newJoin) {
        return new Blend(kind, more, newAngle, newAmount, newJoin, method);
    }

}
