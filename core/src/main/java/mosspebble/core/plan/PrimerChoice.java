package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.Sheen;
import mosspebble.core.colour.Palette;
import mosspebble.core.project.Habits;
import mosspebble.core.units.Facts;

/**
 * Whether and where a primer saves coats: for each primer and each number of its coats the area-weighted coats of all regions are counted,
 * each region
 * taking the cheaper of bare and primed; fewest coats win, and among equals less primer.
 *
 * @param regions indices of the regions that get primer below
 */
record PrimerChoice(Palette.Colour primer, int coats, List<Integer> regions, Why why) {

    /** Cover in so many thin coats needs no primer (common practice, no source). */
    private static final int ENOUGH = 2;

    static final int MOST_COATS = 7;

    private static final int MOST_PRIMER = 3;

    /**
     * @param bare looks of the bare stone that count, dry and sealed
     * @param areas of the regions, mm2
     */
    static Optional<PrimerChoice> of(List<Region> regions, double[] areas, List<FilmTable> bare, List<Palette.Colour> primers,
            Habits habits) {
        if (habits.primer() == Habits.Primer.NEVER || primers.isEmpty() || regions.isEmpty()) {
            return Optional.empty();
        }
        int[] alone = new int[regions.size()];
        double without = 0;
        for (int i = 0; i < alone.length; i++) {
            alone[i] = needed(regions.get(i), bare, null, 0, habits.tolerance());
            without += areas[i] * alone[i];
        }
        boolean whole = habits.primer() == Habits.Primer.WHOLE;
        double best = whole ? Double.POSITIVE_INFINITY : without * (1 - 1e-9);
        PrimerChoice choice = null;
        for (Palette.Colour primer : primers) {
            for (int coats = 1; coats <= MOST_PRIMER; coats++) {
                double cost = 0;
                List<Integer> primed = new ArrayList<>();
                Why example = Why.of(Why.Reason.PRIMED_BY_HABIT);
                double gain = 0;
                for (int i = 0; i < alone.length; i++) {
                    int over = needed(regions.get(i), bare, primer, coats, habits.tolerance());
                    boolean prime = whole || alone[i] > ENOUGH && coats + over < alone[i];
                    cost += areas[i] * (prime ? coats + over : alone[i]);
                    if (prime) {
                        primed.add(i);
                        if (areas[i] * (alone[i] - over) > gain) {
                            gain = areas[i] * (alone[i] - over);
                            example = new Why(Why.Reason.PRIMER_SAVES_COATS,
                                    Facts.of("over", over).and("primer", coats).and("alone", alone[i]).and("most", MOST_COATS),
                                    List.of(regions.get(i).what()));
                        }
                    }
                }
                if (!primed.isEmpty() && cost < best) {
                    best = cost;
                    choice = new PrimerChoice(primer, coats, List.copyOf(primed), example);
                }
            }
        }
        return Optional.ofNullable(choice);
    }

    /** Whether an area hides over one of the primers where it does not hide on the bare stone. */
    static boolean mends(Region region, List<FilmTable> bare, List<Palette.Colour> primers, double tolerance) {
        for (Palette.Colour primer : primers) {
            for (int coats = 1; coats <= MOST_PRIMER; coats++) {
                if (needed(region, bare, primer, coats, tolerance) <= MOST_COATS) {
                    return true;
                }
            }
        }
        return false;
    }

    private static int needed(Region region, List<FilmTable> bare, Palette.Colour primer, int primerCoats, double tolerance) {
        int most = 0;
        for (FilmTable table : bare) {
            int ground = primer == null ? 0 : table.over(0, coat(primer, 1), primerCoats);
            most = Math.max(most, table.coatsToHide(ground, coat(region.colour(), region.thin()), tolerance, MOST_COATS));
        }
        return most;
    }

    private static Coat coat(Palette.Colour colour, double thin) {
        return new Coat("", colour.optics().full().toSrgb(), colour.optics(), colour.dryUm() * thin, colour.dryingShift(), Sheen.MATT, 0);
    }
}
