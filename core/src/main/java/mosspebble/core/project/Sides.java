package mosspebble.core.project;

import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mosspebble.core.stone.Stone;

/**
 * The two faces and the edge of a stone as it lies.
 *
 * @param up the face that is up
 * @param below the other one; empty if nobody has looked at it yet
 * @param backUp whether the back is up
 * @param lay the stone as it was measured with the other face up, so that turning it twice changes nothing; empty if it was never turned
 */
public record Sides(Face up, Optional<Face> below, boolean backUp, Optional<Stone> lay, Edge edge) {

    /** Nothing decided yet. */
    static final Sides BARE = new Sides(Face.BARE, Optional.empty(), false, Optional.empty(), Edge.BARE);

    public Sides {
        Objects.requireNonNull(up);
        Objects.requireNonNull(below);
        Objects.requireNonNull(lay);
        Objects.requireNonNull(edge);
    }

    Sides up(UnaryOperator<Face> change) {
        return new Sides(change.apply(up), below, backUp, lay, edge);
    }

    Sides withEdge(Edge newEdge) {
        return new Sides(up, below, backUp, lay, newEdge);
    }

    /** Less the other face. */
    Sides alone() {
        return new Sides(up, Optional.empty(), backUp, lay, edge);
    }

    /**
     * How a stone lies once it is turned over: as it was measured with that face up, if it still is the same stone.
     *
     * @param stone as it lies now
     * @param lay as it was measured then
     */
    public static Stone turnedOver(Stone stone, Optional<Stone> lay) {
        return lay.filter(before -> before.turnedOver().equals(stone)).orElseGet(stone::turnedOver);
    }

    /** @param stone as it lies now */
    Sides turnedOver(Stone stone) {
        return new Sides(below.orElse(Face.BARE), Optional.of(up), !backUp, Optional.of(stone), edge);
    }
}
