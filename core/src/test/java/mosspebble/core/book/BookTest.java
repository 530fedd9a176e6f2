package mosspebble.core.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class BookTest {

    private static final LocalDate MAY = Pages.MAY;

    @Test
    void pagesLieByTheDayTheyWereFinishedAndAreFoundByTheBeginningsOfWords() {
        Page early = Pages.page("early").withMade(Pages.page("x").made().withBegun(MAY.minusYears(1)).withFinished(MAY.minusYears(1)));
        Page late = Pages.page("late").plus(new Page.Event(MAY, Page.Event.Kind.SMEARED, "pen-black", "the varnish took the black along"));
        Book book = new Book(List.of(early, late));

        assertThat(book.pages()).extracting(Page::id).containsExactly("late", "early");
        assertThat(Book.byYear(book.pages()).keySet()).containsExactly(2026, 2025);
        assertThat(book.found("")).hasSize(2);
        assertThat(book.found("  Smear BLACK ")).containsExactly(late);
        assertThat(book.found("granite 2025")).containsExactly(early);
        assertThat(book.found("lack")).as("no word begins so").isEmpty();
        assertThat(book.without("late").pages()).containsExactly(early);
        assertThat(book.with(early.withEvents(late.events())).found("smeared")).hasSize(2);
        assertThatThrownBy(() -> new Book(List.of(early, early))).hasMessageContaining("same id");
    }

    @Test
    void aStoneIsLookedAtAfterThreeMonthsAfterAYearAndThenEachYear() {
        Page page = Pages.page("a");
        assertThat(Book.nextLook(page)).hasValue(LocalDate.of(2026, 8, 1));
        Page august = Pages.looked(page, LocalDate.of(2026, 8, 20), Page.Look.State.LIKE_NEW);
        assertThat(Book.nextLook(august)).hasValue(LocalDate.of(2027, 5, 1));
        Page later = Pages.looked(august, LocalDate.of(2029, 6, 1), Page.Look.State.DULL);
        assertThat(Book.nextLook(later)).hasValue(LocalDate.of(2030, 5, 1));
        assertThat(Book.nextLook(Pages.looked(later, LocalDate.of(2029, 7, 1), Page.Look.State.LOST))).as("it is gone").isEmpty();
        for (Page.Gone.Place place : List.of(Page.Gone.Place.GIFT, Page.Gone.Place.SOLD, Page.Gone.Place.HERE)) {
            assertThat(Book.nextLook(page.withGone(page.gone().withPlace(place)))).as(place.label()).isEmpty();
        }
        Book book = new Book(List.of(august, Pages.page("b")));
        assertThat(book.due(LocalDate.of(2026, 7, 31))).isEmpty();
        assertThat(book.due(LocalDate.of(2026, 8, 1))).extracting(Page::id).containsExactly("b");
        assertThat(book.due(LocalDate.of(2027, 6, 1))).extracting(Page::id).as("the longest wait first").containsExactly("b", "a");
    }

    @Test
    void aPageRefusesWhatCannotBe() {
        Page page = Pages.page("a");
        assertThatThrownBy(() -> page.made().withFinished(MAY.minusDays(9))).hasMessageContaining("finished after it is begun");
        assertThatThrownBy(() -> page.made().withCost(-1)).hasMessageContaining("not below 0");
        assertThatThrownBy(() -> page.gone().withPrice(-2)).hasMessageContaining("price");
        assertThatThrownBy(() -> Pages.looked(page, MAY.minusDays(1), Page.Look.State.DULL)).hasMessageContaining("after it is finished");
        assertThatThrownBy(() -> page.stone().withName(" ")).hasMessageContaining("name");
        assertThatThrownBy(() -> page.stone().withLengthMm(Double.NaN)).hasMessageContaining("longer and wider");
        assertThatThrownBy(() -> page.plus(new Page.Event(MAY, Page.Event.Kind.WRONG, "", "x".repeat(401)))).hasMessageContaining("401");
        assertThatThrownBy(() -> page.withId("../up")).hasMessageContaining("id");
    }

    @Test
    void theNextPageOfTheSameStoneGetsANumber() {
        Book book = Book.EMPTY;
        assertThat(Finished.id("owl", book)).isEqualTo("owl");
        book = book.with(Pages.page("owl"));
        assertThat(Finished.id("owl", book)).isEqualTo("owl-2");
        assertThat(Finished.id("owl", book.with(Pages.page("owl-2")))).isEqualTo("owl-3");
        String longest = "a".repeat(80);
        assertThat(Finished.id(longest, book.with(Pages.page(longest)))).hasSize(80).endsWith("-2");
    }

    @Test
    void aBookOfManyPagesHasEachOnceInItsYearAndEachIsFoundByItsName() {
        Random random = new Random(11);
        List<Page> pages = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            LocalDate finished = LocalDate.of(2019, 1, 1).plusDays(random.nextInt(2900));
            Page page = Pages.page("p" + i).withLooks(List.of());
            page = page.withStone(page.stone().withName("Stone nr" + i))
                    .withMade(new Page.Made(finished, finished, 60, true, 60, 1, "", ""))
                    .withGone(page.gone().withSince(finished.plusDays(random.nextInt(40))));
            for (int k = random.nextInt(4); k > 0; k--) {
                page = Pages.looked(page, finished.plusDays(40 + random.nextInt(900)), Page.Look.State.values()[random.nextInt(6)]);
            }
            pages.add(page);
        }
        Book book = new Book(pages);
        Map<Integer, List<Page>> years = Book.byYear(book.pages());
        assertThat(years.values().stream().mapToInt(List::size).sum()).isEqualTo(300);
        years.forEach((year, stones) -> assertThat(stones).allMatch(p -> p.made().finished().getYear() == year));
        assertThat(List.copyOf(years.keySet())).isSortedAccordingTo(Comparator.reverseOrder());
        for (Page page : pages) {
            assertThat(book.found(page.stone().name())).contains(page).allMatch(p -> p.stone().name().startsWith(page.stone().name()));
            LocalDate last = page.lastLook().map(Page.Look::at).orElse(page.gone().since());
            assertThat(Book.nextLook(page)).as("after the last look, and within a year of it").hasValueSatisfying(
                    next -> assertThat(next).isAfter(last).isBeforeOrEqualTo(last.plusYears(1)));
        }
        for (LocalDate day = LocalDate.of(2019, 1, 1); day.getYear() < 2030; day = day.plusMonths(5)) {
            assertThat(book.due(day.plusMonths(5))).as("what is due stays due until somebody looks").containsAll(book.due(day));
        }
    }
}
