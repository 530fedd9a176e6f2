package mosspebble.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import mosspebble.core.colour.Mix;
import mosspebble.core.units.Numbers;

/**
 * What is decided for the edge of a stone, all the way round.
 *
 * @param ground colour of the whole edge, if one is wanted
 * @param bands that run all round, the first laid first
 */
@RecordBuilder
public record Edge(Optional<Mix> ground, List<Band> bands) implements EdgeBuilder.With {

    /** Most bands round an edge. */
    public static final int MOST = 12;

    /** A bare edge. */
    public static final Edge BARE = new Edge(Optional.empty(), List.of());

    /**
     * A band that runs all round.
     *
     * @param offMm from the girdle to its middle, mm along the stone, toward the front; below 0 toward the back
     * @param wideMm 0.3 to 60
     */
    public record Band(double offMm, double wideMm, Mix mix) {
        public Band {
            Objects.requireNonNull(mix);
            if (!(wideMm >= 0.3 && wideMm <= 60)) {
                throw new IllegalArgumentException("A band round the edge is 0.3 to 60 mm wide, was " + Numbers.shortText(wideMm) + " mm.");
            }
            if (!(Math.abs(offMm) <= 200)) {
                throw new IllegalArgumentException("A band lies at most 200 mm from the girdle, was " + Numbers.shortText(offMm) + " mm.");
            }
        }
    }

    public Edge {
        Objects.requireNonNull(ground);
        bands = List.copyOf(bands);
        if (bands.size() > MOST) {
            throw new IllegalArgumentException("An edge carries at most " + MOST + " bands, had " + bands.size() + ".");
        }
    }

    public boolean isPainted() {
        return ground.isPresent() || !bands.isEmpty();
    }

}
