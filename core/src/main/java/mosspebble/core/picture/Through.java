package mosspebble.core.picture;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Film;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.colour.Spectrum;

/** How much of a difference of the ground is still seen through a film: the same coats over a dark and over a pale ground. */
final class Through {

    private static final double DARK = 0.2;
    private static final double PALE = 0.6;

    private final FilmTable table;
    private final List<Spectrum> dark = new ArrayList<>();
    private final List<Spectrum> pale = new ArrayList<>();

    Through(FilmTable table) {
        this.table = table;
        dark.add(Spectrum.flat(DARK));
        pale.add(Spectrum.flat(PALE));
    }

    /** 1 on the bare stone to 0 where nothing of it shows. */
    double of(int number) {
        for (int k = dark.size(); k <= number; k++) { // a film lies on one with a smaller number
            Film film = table.film(k);
            Coat coat = film.coat().orElseThrow();
            dark.add(coat.optics().over(dark.get(film.below()), film.layerUm()));
            pale.add(coat.optics().over(pale.get(film.below()), film.layerUm()));
        }
        double left = pale.get(number).luminance() - dark.get(number).luminance();
        return Math.max(0, Math.min(1, left / (PALE - DARK)));
    }
}
