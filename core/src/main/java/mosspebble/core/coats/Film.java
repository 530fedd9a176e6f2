package mosspebble.core.coats;

import java.util.Optional;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Spectrum;

/**
 * All that lies on one place: the bare stone, or a coat over another film.
 *
 * @param below number of the film below in its table, -1 for bare stone
 * @param coat the top coat; empty on bare stone
 * @param layerUm dry thickness of the top coat here, after soak-in, µm
 * @param totalUm dry thickness of all coats here, µm
 * @param look as seen, dry
 */
public record Film(int below, Optional<Coat> coat, double layerUm, double totalUm, Spectrum look, Lab lab) {

    public boolean isBare() {
        return coat.isEmpty();
    }
}
