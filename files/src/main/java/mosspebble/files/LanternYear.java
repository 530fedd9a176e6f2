package mosspebble.files;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.advice.Proposals;
import mosspebble.core.book.Page;
import mosspebble.core.book.Page.Event;
import mosspebble.core.book.Page.Gone;
import mosspebble.core.book.Page.Look;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Shelf;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;

/** The demo's book: a made-up year before the stones that are in hand, with what went wrong in it. */
final class LanternYear {

    private final Repertoire repertoire;
    private final Shelf shelf = LanternWalk.shelf();
    private final Palette palette = new Palette(shelf);
    private final List<BookKeeping.Kept> pages = new ArrayList<>();

    private LanternYear(Repertoire repertoire) {
        this.repertoire = repertoire;
    }

    /** One stone of the year while it is put together. */
    private final class Written {
        private final Project project;
        private Page page;

        Written(Project project, Page page) {
            this.project = project;
            this.page = page;
        }

        Written gone(Gone.Place place, boolean outdoors, int days, String words) {
            page = page.withGone(new Gone(place, outdoors, words, 0, page.made().finished().plusDays(days)));
            return this;
        }

        Written sold(double price, int days, String words) {
            page = page.withGone(new Gone(Gone.Place.SOLD, false, words, price, page.made().finished().plusDays(days)));
            return this;
        }

        Written look(int months, Look.State state, String where, String words) {
            page = page.plus(new Look(page.gone().since().plusMonths(months), state, where, words));
            return this;
        }

        Written event(Event.Kind kind, String product, String words) {
            page = page.plus(new Event(page.made().finished().minusDays(1), kind, product, words));
            if (!product.isEmpty() && page.used().stream().noneMatch(u -> u.paint().equals(product))) {
                List<Page.Used> more = new ArrayList<>(page.used());
                more.add(new Page.Used(product, shelf.find(product).orElseThrow().name(), 0.1));
                page = page.withUsed(more);
            }
            return this;
        }

        void done() {
            pages.add(new BookKeeping.Kept(page, project));
        }
    }

    static List<BookKeeping.Kept> pages(Repertoire repertoire) {
        LanternYear year = new LanternYear(repertoire);
        year.winter();
        year.spring();
        year.summer();
        year.autumn();
        return year.pages;
    }

    private Written stone(String id, String name, String motif, Stone stone, String finished, int minutes, int planned, String sealer) {
        Subject.Figure subject = new Subject.Figure(motif);
        Project bare = LanternWalk.fitted(id, name, stone, repertoire, subject);
        Item item = bare.sketch().orElseThrow().items().get(0);
        Map<String, Mix> colours = Proposals.nearest(repertoire.motif(motif).orElseThrow(), item, palette);
        Project project = bare.withColours(colours);
        LocalDate day = LocalDate.parse(finished);
        double area = 0.88 * stone.length().value() * stone.width().value();
        Optional<Paint> seals = shelf.find(sealer);
        List<Page.Used> used = new ArrayList<>(colours.values().stream().flatMap(m -> m.parts().stream()).map(Mix.Part::paint).distinct()
                .map(p -> new Page.Used(p, shelf.find(p).orElseThrow().name(), Math.round(area / 40) / 100.0)).toList());
        seals.ifPresent(s -> used.add(new Page.Used(s.id(), s.name(), Math.round(area / 12) / 100.0)));
        Page.Body body = new Page.Body(name, "", List.of(repertoire.motif(motif).orElseThrow().title()), project.origin().where(),
                stone.rock(), stone.length().value(), stone.width().value(), area);
        Page.Made made = new Page.Made(day.minusDays(2 + minutes / 60), day, minutes, true, planned, Math.round(area / 25) / 100.0, sealer,
                seals.map(Paint::name).orElse(""));
        return new Written(project, new Page(id, body, made, used, List.of(), new Gone(Gone.Place.HERE, false, "", 0, day), List.of(),
                List.of()));
    }

    private static Stone stone(double length, double width, double height, RockKind rock, String colour, int seed) {
        boolean rough = rock == RockKind.SANDSTONE;
        return LanternWalk.stone(length, width, height, new Shape.Grown(Form.OVAL, 0.7 + 0.03 * (seed % 9), 0.1 + 0.03 * (seed % 8)), 2.2,
                false, length >= width ? 0 : 270, seed, rock, rough ? Texture.ROUGH : Texture.SMOOTH, colour);
    }

    private void winter() {
        stone("y-candle", "Candle for the longest night", "candle", stone(88, 66, 28, RockKind.BASALT, "#5b5c5a", 3), "2025-12-20", 95, 90,
                "varnish").gone(Gone.Place.SILL, false, 1, "kitchen window").look(3, Look.State.LIKE_NEW, "", "")
                .look(11, Look.State.LIKE_NEW, "", "").done();
        stone("y-lantern", "Standing lantern", "lantern", stone(104, 70, 30, RockKind.GRANITE, "#918f8a", 5), "2025-12-29", 140, 125,
                "varnish").gone(Gone.Place.GARDEN, true, 3, "left of the gate").look(3, Look.State.LIKE_NEW, "", "")
                .look(9, Look.State.DULL, "on the rim", "it stands in the drip of the roof").done();
        stone("y-stars", "First stars", "stars", stone(76, 74, 22, RockKind.SLATE, "#454a4f", 8), "2026-01-10", 60, 70, "wax")
                .event(Event.Kind.LEARNT, "pen-white", "two coats of white pen, the first is always grey")
                .gone(Gone.Place.GARDEN, true, 2, "on the wall").look(3, Look.State.DULL, "all over", "wax does not stand the rain").done();
        stone("y-mole", "Mole with a candle cap", "mole-candle", stone(98, 78, 34, RockKind.SANDSTONE, "#b89a6e", 11), "2026-01-24", 190,
                150, "spray").event(Event.Kind.SMEARED, "ink-black", "the spray took the whiskers along")
                .gone(Gone.Place.GARDEN, true, 4, "under the hazel")
                .look(3, Look.State.LIKE_NEW, "", "").look(8, Look.State.FLAKING, "on the back", "sandstone drinks from below").done();
        stone("y-key", "The old key", "old-key", stone(112, 58, 24, RockKind.SLATE, "#464b50", 14), "2026-02-07", 70, 75, "varnish")
                .sold(14, 6, "market at Quillbeck").done();
        stone("y-bear", "Sleeping bear", "bear-asleep", stone(120, 92, 44, RockKind.GRANITE, "#7d7b76", 17), "2026-02-21", 230, 190,
                "varnish-matt").gone(Gone.Place.SILL, false, 2, "children's room").look(3, Look.State.LIKE_NEW, "", "")
                .look(8, Look.State.CHIPPED, "at one ear", "it was carried about").done();
    }

    private void spring() {
        stone("y-bridge", "Bridge in the morning", "bridge-morning", stone(140, 96, 26, RockKind.SLATE, "#4b5055", 20), "2026-03-08", 260,
                230, "varnish").event(Event.Kind.CHANGED, "", "the sky from two blues in place of one")
                .sold(32, 12, "market at Quillbeck").done();
        stone("y-frog", "Frog under a leaf", "frog-leaf", stone(84, 72, 30, RockKind.LIMESTONE, "#d5cdbb", 23), "2026-03-15", 110, 105,
                "varnish").gone(Gone.Place.GARDEN, true, 2, "by the pond").look(3, Look.State.LIKE_NEW, "", "")
                .look(8, Look.State.LIKE_NEW, "", "only moss on it").done();
        stone("y-mouse", "Mouse with a key", "mouse-key", stone(70, 60, 28, RockKind.BASALT, "#5f605d", 26), "2026-03-28", 100, 85,
                "spray").event(Event.Kind.SMEARED, "ink-black", "once more; pen from now on")
                .gone(Gone.Place.GARDEN, true, 5, "beside the path").look(3, Look.State.LIKE_NEW, "", "")
                .look(7, Look.State.FLAKING, "below", "lifts in scales after a wet summer").done();
        stone("y-boat", "Little boat", "little-boat", stone(96, 80, 26, RockKind.SANDSTONE, "#bfa06f", 29), "2026-04-11", 130, 120,
                "varnish").gone(Gone.Place.GARDEN, true, 3, "on the low wall").look(3, Look.State.LIKE_NEW, "", "")
                .look(6, Look.State.CLOUDY, "low at the side", "water came in from the bare back").done();
        stone("y-acorns", "Acorns", "acorns", stone(62, 56, 24, RockKind.BASALT, "#5b5c5a", 32), "2026-04-19", 55, 50, "varnish-matt")
                .gone(Gone.Place.HIDDEN, true, 1, "along the path to the mill; the town allows it, nothing is glued down")
                .look(2, Look.State.LOST, "", "somebody has found it").done();
        stone("y-crow", "Crow with a ribbon", "crow-ribbon", stone(108, 76, 32, RockKind.LIMESTONE, "#d8d1c2", 35), "2026-05-03", 160, 150,
                "varnish").sold(24, 8, "market at Quillbeck").done();
        stone("y-kettle", "Kettle on the boil", "kettle", stone(90, 86, 30, RockKind.GRANITE, "#8b8984", 38), "2026-05-16", 120, 115,
                "varnish").event(Event.Kind.BLED, "pen-gold", "the gold ran under the varnish; a spray between would have held it")
                .gone(Gone.Place.SILL, false, 1, "kitchen").look(3, Look.State.LIKE_NEW, "", "").done();
        stone("y-pines", "Three pines in snow", "snow-pines", stone(86, 82, 27, RockKind.SLATE, "#4a4f54", 41), "2026-05-30", 85, 95,
                "resin").gone(Gone.Place.GARDEN, true, 3, "beside the steps").look(3, Look.State.LIKE_NEW, "", "still like glass")
                .look(6, Look.State.LIKE_NEW, "", "").done();
    }

    private void summer() {
        stone("y-lake", "Mountain lake", "mountain-lake", stone(150, 100, 28, RockKind.SLATE, "#454a4f", 44), "2026-06-13", 280, 240,
                "varnish").sold(38, 9, "summer market").done();
        stone("y-troll", "Pebble troll", "pebble-troll", stone(80, 76, 36, RockKind.GRANITE, "#918f8a", 47), "2026-06-20", 125, 110,
                "varnish").gone(Gone.Place.GARDEN, true, 2, "under the bridge").look(3, Look.State.LIKE_NEW, "", "")
                .look(5, Look.State.LIKE_NEW, "", "").done();
        stone("y-seal", "Seal pup", "seal-pup", stone(94, 68, 33, RockKind.BASALT, "#5b5c5a", 50), "2026-07-04", 105, 100, "varnish")
                .sold(19, 3, "summer market").done();
        stone("y-campfire", "Campfire", "campfire", stone(88, 84, 29, RockKind.SANDSTONE, "#b89a6e", 53), "2026-07-12", 115, 100,
                "varnish").event(Event.Kind.WRONG, "", "flames muddy, painted wet into wet; done again in two coats")
                .gone(Gone.Place.GARDEN, true, 4, "by the bench").look(3, Look.State.DULL, "on top", "sun all day").done();
        stone("y-cottage", "Cottage by night", "cottage-night", stone(126, 88, 30, RockKind.SLATE, "#464b50", 56), "2026-07-25", 210, 200,
                "varnish").gone(Gone.Place.GIFT, false, 6, "for the new house").done();
        stone("y-badger", "Badger with a lamp", "badger-lamp", stone(110, 82, 38, RockKind.GRANITE, "#84827d", 59), "2026-08-08", 175, 155,
                "varnish").gone(Gone.Place.GARDEN, true, 2, "right of the gate").done();
        stone("y-snail", "Snail for the letter box", "snail-post", stone(72, 64, 34, RockKind.LIMESTONE, "#d5cdbb", 62), "2026-08-22", 120,
                105, "varnish").sold(21, 5, "asked for at the gate").done();
        stone("y-fern", "Fern", "fern", stone(100, 62, 25, RockKind.BASALT, "#5f605d", 65), "2026-08-30", 75, 80, "wax")
                .gone(Gone.Place.SILL, false, 1, "bath").look(2, Look.State.LIKE_NEW, "", "").done();
    }

    private void autumn() {
        stone("y-lamplighter", "Lamplighter", "lamplighter", stone(134, 86, 36, RockKind.GRANITE, "#7d7b76", 68), "2026-09-12", 270, 235,
                "varnish").event(Event.Kind.LEARNT, "", "light areas first: the lamp glows when nothing dark lies below it")
                .gone(Gone.Place.GARDEN, true, 2, "where the walk turns").done();
        stone("y-bat", "Bat in its cloak", "bat-cloak", stone(82, 78, 30, RockKind.BASALT, "#5b5c5a", 71), "2026-09-27", 95, 100,
                "varnish").gone(Gone.Place.HIDDEN, true, 2, "by the mill; name and rules of the walk are written on its back").done();
        stone("y-owl", "Owl for the school", "owl-lamp", stone(92, 72, 32, RockKind.LIMESTONE, "#d8d1c2", 74), "2026-10-10", 150, 130,
                "varnish").gone(Gone.Place.GIFT, false, 4, "the school at Upper Quillbeck").done();
        stone("y-fox", "Fox, a small one", "fox-asleep", stone(78, 58, 27, RockKind.SANDSTONE, "#b89a6e", 77), "2026-10-25", 110, 95,
                "varnish").event(Event.Kind.LIFTED, "pen-umber", "tape took the brown off; a day is too short for it")
                .sold(20, 6, "autumn market").done();
        stone("y-toadstool", "Toadstool house", "toadstool", stone(86, 82, 33, RockKind.BASALT, "#5f605d", 80), "2026-11-14", 140, 125,
                "varnish").done();
    }
}
