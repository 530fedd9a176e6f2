package mosspebble.core.coats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Spectrum;

/**
 * The different films that occur on a stone, each worked out once and known by its number; 0 is the bare stone. One table belongs to one
 * computation and is not shared
 * between threads.
 */
public final class FilmTable {

    private record Key(int below, Coat coat) {}

    private final List<Film> films = new ArrayList<>();
    private final Map<Key, Integer> known = new HashMap<>();
    private final double soakIn;

    /**
     * @param bare look of the bare stone
     * @param soakIn share of the first coat lost in the stone, 0 to under 1
     */
    public FilmTable(Spectrum bare, double soakIn) {
        if (!(soakIn >= 0 && soakIn < 1)) {
            throw new IllegalArgumentException("soak-in must be 0 to under 1, was " + soakIn);
        }
        this.soakIn = soakIn;
        films.add(new Film(-1, Optional.empty(), 0, 0, bare, Lab.of(bare)));
    }

    public Film film(int number) {
        return films.get(number);
    }

    public int size() {
        return films.size();
    }

    /** Number of the film with one more coat. */
    public int over(int below, Coat coat) {
        return known.computeIfAbsent(new Key(below, coat), key -> {
            Film ground = films.get(below);
            double um = coat.dryUm() * (ground.isBare() ? 1 - soakIn : 1);
            Spectrum look = coat.optics().over(ground.look(), um);
            films.add(new Film(below, Optional.of(coat), um, ground.totalUm() + um, look, Lab.of(look)));
            return films.size() - 1;
        });
    }

    /** Number of the film with so many more coats. */
    public int over(int below, Coat coat, int coats) {
        int film = below;
        for (int i = 0; i < coats; i++) {
            film = over(film, coat);
        }
        return film;
    }

    /**
     * Smallest number of coats over a film after which the difference (CIEDE2000) to the colour at full thickness is at most the tolerance.
     *
     * @param most give up after so many; then {@code most + 1} is returned
     */
    public int coatsToHide(int ground, Coat coat, double tolerance, int most) {
        Lab full = Lab.of(coat.optics().full());
        int film = ground;
        for (int coats = 1; coats <= most; coats++) {
            film = over(film, coat);
            if (films.get(film).lab().differenceTo(full) <= tolerance) {
                return coats;
            }
        }
        return most + 1;
    }

    /** The coats of a film from the stone up. */
    public List<Film> stack(int number) {
        List<Film> stack = new ArrayList<>();
        for (int i = number; i > 0; i = films.get(i).below()) {
            stack.add(0, films.get(i));
        }
        return List.copyOf(stack);
    }
}
