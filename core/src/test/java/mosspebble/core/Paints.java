package mosspebble.core;

import java.util.List;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Shelf;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;

/** A made-up shelf for tests: usual craft acrylics; pigments hide as they are known to (white and yellow poorly, black at once). */
public final class Paints {

    private Paints() {}

    public static Shelf shelf() {
        return new Shelf(List.of(
                brush("white", "#f6f4ee", 0.87), brush("yellow", "#f2c21b", 0.66), brush("red", "#b3261e", 0.93),
                brush("darkred", "#6b1518", 0.97),
                brush("blue", "#1f4e9c", 0.95), brush("black", "#1a1a1c", 0.995), brush("palegreen", "#b9d6a3", 0.66),
                brush("purple", "#7a4f94", 0.94),
                brush("umber", "#4a3426", 0.975),
                pen("blackpen", "#19191b", 0.5, 0.985), pen("whitepen", "#f4f3ef", 0.7, 0.90),
                Paint.usual("gesso", "white gesso", PaintKind.PRIMER, Srgb.ofHex("#f3f2ee"), new Millilitres(100)),
                Paint.usual("varnish", "gloss varnish", PaintKind.VARNISH, Srgb.ofHex("#f5f1e2"), new Millilitres(100))));
    }

    public static Paint brush(String id, String hex, double hiding) {
        return Paint.usual(id, id, PaintKind.BRUSH, Srgb.ofHex(hex), new Millilitres(59)).withHiding(hiding, 0.05);
    }

    private static Paint pen(String id, String hex, double tip, double hiding) {
        return Paint.usual(id, id, PaintKind.PEN, Srgb.ofHex(hex), new Millilitres(6)).withHiding(hiding, 0.05).made(Binder.ACRYLIC,
                Finish.MATT, new Millimetres(tip), new Micrometres(18));
    }
}
