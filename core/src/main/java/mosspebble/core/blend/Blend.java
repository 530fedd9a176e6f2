package mosspebble.core.blend;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
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
 * @param over what is laid upon it once it is dry, in order, at most {@link #MOST_OVER}: each of a kind that leaves what lies below seen
 */
@RecordBuilder
public record Blend(BlendKind kind, List<Mix> more, double angle, double amount, double join, Method method,
        List<Blend> over) implements BlendBuilder.With {

    /** How colours are brought into each other. */
    public enum Method {
        /** Both colours wet. */
        WET,
        /** Thin glazes on dry paint. */
        GLAZES
    }

    /** Most layers upon the first (common practice, no source): more of them hide what they lie on. */
    public static final int MOST_OVER = 3;

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
        over = List.copyOf(over);
        if (over.size() > MOST_OVER) {
            throw new IllegalArgumentException("at most " + MOST_OVER + " layers lie upon the first, had " + over.size());
        }
        for (Blend layer : over) {
            if (!layer.kind.laysOver() || !layer.over.isEmpty()) {
                throw new IllegalArgumentException(layer.kind.label() + " cannot lie upon another way of laying the colour");
            }
        }
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
        return new Blend(kind, List.of(), 180, kind == BlendKind.SPIRAL ? 0.4 : 0.5, kind == BlendKind.SPLIT ? THIRDS : 0.5, Method.WET,
                List.of());
    }

    /** Whether it has the colours it needs; its layers are asked by themselves. */
    public boolean complete() {
        return more.size() >= kind.leastColours();
    }

    public Blend withColours(List<Mix> colours) {
        return new Blend(kind, colours, angle, amount, join, method, over);
    }

    public Blend withShape(double newAngle, double newAmount, double newJoin) {
        return new Blend(kind, more, newAngle, newAmount, newJoin, method, over);
    }

    /** The way itself, 0, or one of the layers upon it, from 1 for the lowest. */
    public Blend layer(int number) {
        return number == 0 ? this : over.get(number - 1);
    }

    /** The same with one layer changed; layer 0 is the way itself, whose layers stay as they are. */
    public Blend withLayer(int number, Blend changed) {
        if (number == 0) {
            return changed.withOver(over);
        }
        List<Blend> layers = new ArrayList<>(over);
        layers.set(number - 1, changed);
        return withOver(layers);
    }

    /** With one more layer on top. */
    public Blend plusOver(Blend layer) {
        List<Blend> layers = new ArrayList<>(over);
        layers.add(layer);
        return withOver(layers);
    }

    /** Without a layer, from 1 for the lowest. */
    public Blend withoutOver(int number) {
        List<Blend> layers = new ArrayList<>(over);
        layers.remove(number - 1);
        return withOver(layers);
    }

}
