package mosspebble.core.coats;

import java.util.Map;
import java.util.TreeMap;
import mosspebble.core.area.Cells;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;

/** Which film lies on each cell of a grid. Belongs to one computation; a cell is painted when at least half of it is covered. */
public final class FilmMap {

    private final Grid grid;
    private final FilmTable table;
    private final int[] film;

    public FilmMap(Grid grid, FilmTable table) {
        this.grid = grid;
        this.table = table;
        this.film = new int[grid.cells()];
    }

    public Grid grid() {
        return grid;
    }

    public FilmTable table() {
        return table;
    }

    /** Lays coats on every covered cell. */
    public void lay(Mask mask, Coat coat, int coats) {
        int[] next = new int[table.size()];
        for (int r = 0; r < mask.rows(); r++) {
            int base = (mask.row() + r) * grid.columns() + mask.column();
            for (int c = 0; c < mask.columns(); c++) {
                if (mask.at(c, r) >= 0.5f) {
                    int before = film[base + c];
                    if (next[before] == 0) {
                        next[before] = table.over(before, coat, coats);
                    }
                    film[base + c] = next[before];
                }
            }
        }
    }

    /** Number of the film on a cell by its number, rows first. */
    public int at(int cell) {
        return film[cell];
    }

    /** Number of the film on a cell. */
    public int at(int column, int row) {
        return film[row * grid.columns() + column];
    }

    /** Number of the film at a place in mm; 0 outside the grid. */
    public int at(double x, double y) {
        int column = (int) Math.floor((x - grid.left()) / grid.cellMm());
        int row = (int) Math.floor((y - grid.top()) / grid.cellMm());
        return column < 0 || row < 0 || column >= grid.columns() || row >= grid.rows() ? 0 : at(column, row);
    }

    /** Cells of each film under a mask, by film number. */
    public Map<Integer, Integer> cellsUnder(Mask mask) {
        int[] count = new int[table.size()];
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                if (mask.at(c, r) >= 0.5f) {
                    count[at(mask.column() + c, mask.row() + r)]++;
                }
            }
        }
        Map<Integer, Integer> found = new TreeMap<>();
        for (int i = 0; i < count.length; i++) {
            if (count[i] > 0) {
                found.put(i, count[i]);
            }
        }
        return found;
    }

    /** Thickest film on the stone, µm. */
    public double thickestUm() {
        double most = 0;
        for (int number : film) {
            most = Math.max(most, table.film(number).totalUm());
        }
        return most;
    }
}
