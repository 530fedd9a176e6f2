package mosspebble.core.book;

import java.time.LocalDate;
import java.util.List;
import mosspebble.core.stone.RockKind;

/** Made-up pages for tests. */
final class Pages {

    static final LocalDate MAY = LocalDate.of(2026, 5, 1);

    private Pages() {}

    static Page page(String id) {
        return new Page(id, new Page.Body("Stone " + id, "", List.of("owl"), "Quillbeck", RockKind.GRANITE, 90, 70, 5000),
                new Page.Made(MAY.minusDays(3), MAY, 120, true, 100, 1.5, "varnish", "gloss varnish"),
                List.of(new Page.Used("pen-black", "black pen", 0.2), new Page.Used("varnish", "gloss varnish", 2)), List.of(),
                new Page.Gone(Page.Gone.Place.GARDEN, true, "", 0, MAY), List.of(), List.of());
    }

    static Page looked(Page page, LocalDate at, Page.Look.State state) {
        return page.plus(new Page.Look(at, state, "", ""));
    }

    static Page sold(String id, double price, double cost, double minutes) {
        Page page = page(id);
        return page.withMade(page.made().withCost(cost).withHandMinutes(minutes))
                .withGone(new Page.Gone(Page.Gone.Place.SOLD, false, "", price, MAY));
    }
}
