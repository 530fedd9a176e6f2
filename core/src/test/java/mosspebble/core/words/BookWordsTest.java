package mosspebble.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mosspebble.core.book.Answers;
import mosspebble.core.book.Lasting;
import mosspebble.core.book.Page;
import mosspebble.core.stone.RockKind;
import org.junit.jupiter.api.Test;

class BookWordsTest {

    private static final LocalDate MAY = LocalDate.of(2026, 5, 1);

    private static Page page() {
        return new Page("owl", new Page.Body("Gate owl", "", List.of(), "the stream bed", RockKind.GRANITE, 90, 70, 5000),
                new Page.Made(MAY.minusDays(3), MAY, 200, true, 170, 1.5, "varnish", "gloss varnish"), List.of(), List.of(),
                new Page.Gone(Page.Gone.Place.GARDEN, true, "left of the gate", 0, MAY), List.of(), List.of());
    }

    @Test
    void aPageReadsAsAPainterWouldTellIt() {
        Page page = page();
        assertThat(BookWords.made(page)).isEqualTo("3 h 20 min by hand from 28 Apr 2026 to 1 May 2026; planned were 2 h 50 min.");
        assertThat(BookWords.made(page.withMade(page.made().withTimed(false).withBegun(MAY))))
                .isEqualTo("3 h 20 min by hand on 1 May 2026 by the plan, which nobody timed.");
        assertThat(BookWords.stone(page, "90 by 70 mm")).isEqualTo("90 by 70 mm, granite, from the stream bed.");
        assertThat(BookWords.gone(page)).isEqualTo("In a garden, outdoors, since 1 May 2026: left of the gate.");
        assertThat(BookWords.gone(page.withGone(new Page.Gone(Page.Gone.Place.SOLD, false, "", 18.5, MAY))))
                .isEqualTo("Sold for 18.50, since 1 May 2026.");
        assertThat(BookWords.look(page, new Page.Look(MAY.plusMonths(4), Page.Look.State.DULL, "on the rim", "")))
                .isEqualTo("after 4 months: seal dull on the rim");
        assertThat(BookWords.look(page, new Page.Look(MAY.plusDays(1), Page.Look.State.LOST, "", ""))).isEqualTo("after 1 day: lost");
        assertThat(BookWords.next(page, MAY)).isEqualTo("Look at it again on 1 August 2026.");
        assertThat(BookWords.next(page, MAY.plusMonths(5))).isEqualTo("Look at it: it is time since 1 August 2026.");
        assertThat(BookWords.lessons(page, p -> p)).isEmpty();
        assertThat(BookWords.lessons(page.plus(new Page.Event(MAY, Page.Event.Kind.SMEARED, "pen", "under spray"))
                .plus(new Page.Event(MAY, Page.Event.Kind.CHANGED, "", "another blue")), p -> "black pen"))
                .isEqualTo("Last time: black pen smeared, under spray.");
        assertThat(BookWords.due(List.of())).isEmpty();
        assertThat(BookWords.due(List.of(page, page))).isEqualTo("The book asks how 2 stones have lasted, Gate owl first (U).");
        assertThat(BookWords.label(page)).containsExactly("Painted by hand on granite, May 2026.", "Sealed with gloss varnish.");
        assertThat(BookWords.care(page)).contains("frost", "Not for food");
    }

    private static Answers.Sealed sealed(String name, int unseen, double... months) {
        return new Answers.Sealed(name, new Lasting(Arrays.stream(months)
                .mapToObj(m -> new Lasting.Span("p" + m, Math.abs(m), m > 0)).toList()), unseen);
    }

    @Test
    void answersSayHowManyStonesTheyStandOnAndNoMore() {
        assertThat(BookWords.lasts(sealed("wax", 2))).isEqualTo("nobody has looked at 2");
        assertThat(BookWords.lasts(sealed("wax", 0, 3))).isEqualTo("1 of 1 worn, the first after 3 months");
        assertThat(BookWords.lasts(sealed("wax", 1, -3, -9, -7)))
                .isEqualTo("none of 3 worn, seen for up to 9 months; nobody has looked at 1 more");
        assertThat(BookWords.lasts(sealed("wax", 0, 3, 5, -9))).isEqualTo("2 of 3 worn, half of them within 5 months");
        assertThat(BookWords.lasts(sealed("wax", 0, 1, -9, -9, -9))).as("half of them have not worn yet")
                .isEqualTo("1 of 4 worn, the first after 30 days");
        assertThat(BookWords.lasting(List.of(), true, Answers.Rock.ANY)).isEqualTo("No stone outdoors has been looked at yet.");
        assertThat(BookWords.lasting(List.of(sealed("resin", 0, -3), sealed("wax", 0, 2)), true, Answers.Rock.POROUS)).isEqualTo(
                "Too few to tell: 2 stones outdoors on porous stone have been looked at, and no sealer on 3 of them.");
        assertThat(BookWords.lasting(List.of(sealed("resin", 0, -3), sealed("varnish", 0, -3, -4, 9)), false, Answers.Rock.ANY))
                .as("one stone is no winner, and one sealer alone is none either").startsWith("Varnish indoors: 1 of 3 worn")
                .endsWith("No other was looked at on 3 stones, so none is called the best.");
        assertThat(BookWords.lasting(List.of(sealed("varnish", 0, -3, -4, 9)), false, Answers.Rock.TIGHT))
                .isEqualTo("Varnish indoors on tight stone: 1 of 3 worn, half of them within 9 months.");
        assertThat(BookWords.lasting(List.of(sealed("varnish", 0, -3, -4, 9), sealed("wax", 0, 1, 2, 3)), true, Answers.Rock.ANY))
                .startsWith("Varnish has lasted best outdoors so far: 1 of 3 worn").endsWith("These are 6 stones, no more.");
        assertThat(BookWords.takes(List.of(), Optional.empty(), Optional.empty())).contains("No stone of the book has a time");
        assertThat(BookWords.takes(List.of(new Answers.Took("a", 5000, 2)), Answers.Middle.of(List.of(2.0, 3.0, 2.5)),
                Answers.Middle.of(List.of(1.12, 1.1, 1.3))))
                .isEqualTo("3 stones of about the size of this one took 2 h to 3 h, 2 h 30 min in "
                        + "the middle. You take 1.12 times as long as planned, from 3 stones that were timed.");
        assertThat(BookWords.failed(List.of())).isEqualTo("Nothing has smeared, bled or lifted.");
        assertThat(BookWords.sold(List.of(), Optional.empty())).isEqualTo("Nothing has been sold yet.");
        assertThat(BookWords.sold(List.of(new Answers.Sale("a", 20, 18, 2)), Optional.of(9.0)))
                .isEqualTo("1 stone sold for 20.00: 9.00 for an hour of the hand, paint taken off.");
        assertThat(BookWords.out(List.of(page()), 1))
                .isEqualTo("1 stone in the book, 1 of them out of the house; 1 waits to be looked at.");
    }
}
