package mosspebble.core.words;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Shelf;
import mosspebble.core.supplies.Jar;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.supplies.StandIn;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;

/** What is taken from the jars, in words. */
public final class SupplyWords {

    private SupplyWords() {}

    /** What runs out and at which stone, or that all of it is there. */
    public static String jars(List<Jar> jars, Shelf shelf, Function<String, String> stone) {
        List<Jar> out = jars.stream().filter(j -> j.runsOutAt().isPresent()).toList();
        if (jars.isEmpty()) {
            return "Nothing is painted yet.";
        }
        if (out.isEmpty()) {
            return "All of it is there.";
        }
        return Words.upper(Words.list(out.stream().map(j -> name(j, shelf)).toList())) + (out.size() == 1 ? " runs" : " run") + " out"
                + (out.stream().map(Jar::runsOutAt).distinct().count() == 1 ? " at " + stone.apply(out.get(0).runsOutAt().orElseThrow())
                        : "")
                + ".";
    }

    /** "2.1 of 30 ml", of a pen "1.4 of 28 m", of gems "3 of 12", or by how much it does not reach. */
    public static String amount(Jar jar, Shelf shelf) {
        if (jar.runsOutAt().isEmpty() && shelf.find(jar.paint()).filter(p -> p.kind().counted()).isPresent()) {
            return pieces(jar.needed()) + " of " + pieces(jar.left());
        }
        if (jar.runsOutAt().isPresent()) {
            return amount(jar.missing(), jar, shelf) + " missing";
        }
        String left = amount(jar.left(), jar, shelf);
        return amount(jar.needed(), jar, shelf).replace(left.substring(left.lastIndexOf(' ')), "") + " of " + left;
    }

    /** Millilitres, or of a pen the metres it writes with them. */
    private static String amount(Millilitres volume, Jar jar, Shelf shelf) {
        if (shelf.find(jar.paint()).filter(p -> p.kind().counted()).isPresent()) {
            return pieces(volume);
        }
        Optional<Paint> pen = shelf.find(jar.paint()).filter(p -> p.kind().pen() && p.tip().value() > 0);
        return pen.map(p -> metres(PaintUse.penMetres(volume, p.tip().value(), p.film().wetCoat().value())))
                .orElseGet(() -> Numbers.millilitres(volume.value()));
    }

    private static String pieces(Millilitres count) {
        return Numbers.text(Math.ceil(count.value() - 1e-9), 0);
    }

    private static String metres(double metres) {
        return (metres < 10 ? Numbers.text(Math.max(0.1, metres), 1) : Numbers.text(metres, 0)) + " m";
    }

    /** What is to be bought of one, and at which stone it runs out: "2 x titan white (60 ml), for the heron". */
    public static String buy(Jar jar, Shelf shelf, Function<String, String> stone) {
        Optional<Paint> paint = shelf.find(jar.paint());
        double full = paint.map(p -> p.pot().full().value()).orElse(0.0);
        String what = full > 0 ? jar.toBuy(full) + " × " + name(jar, shelf) + " (" + amount(new Millilitres(full), jar, shelf) + ")"
                : Words.upper(name(jar, shelf)) + ", " + amount(jar.missing(), jar, shelf);
        double price = paint.map(p -> p.pot().price() * jar.toBuy(full)).orElse(0.0);
        return what + ", from " + stone.apply(jar.runsOutAt().orElseThrow()) + " on"
                + (price > 0 ? ", " + Numbers.money(price) : "");
    }

    /** What could stand in for a paint that runs out, and how near it comes. */
    public static String inItsPlace(StandIn stands, Shelf shelf) {
        return "Or take " + shelf.words(stands.mix()) + " from what is left: " + Seen.beside(stands.difference()) + ".";
    }

    /** What it costs by the painter's prices; how much of it has none is said. */
    public static String cost(List<Jar> jars, Shelf shelf) {
        double cost = 0;
        int unknown = 0;
        for (Jar jar : jars) {
            double each = shelf.find(jar.paint()).map(p -> p.pot().costOf(jar.needed().value())).orElse(0.0);
            cost += each;
            unknown += each == 0 && jar.needed().value() > 0 ? 1 : 0;
        }
        if (cost == 0) {
            return jars.isEmpty() ? "" : "No prices are known; type them on the shelf.";
        }
        return "Paint for " + Numbers.money(cost) + " by your prices"
                + (unknown > 0 ? "; of " + Words.number(unknown) + " there is no price" : "")
                + ".";
    }

    private static String name(Jar jar, Shelf shelf) {
        return shelf.find(jar.paint()).map(Paint::name).orElse(jar.paint());
    }
}
