package mosspebble.core.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import mosspebble.core.care.Lessons;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;

class AnswersTest {

    private static Page sealed(String id, String sealer, int days, Page.Look.State state) {
        Page page = Pages.page(id);
        Page with = page.withMade(page.made().withSealerName(sealer));
        return days == 0 ? with : Pages.looked(with, Pages.MAY.plusDays(days), state);
    }

    @Test
    void theSealerThatKeptMoreStonesLikeNewForAYearComesFirst() {
        List<Page> pages = List.of(sealed("a", "wax", 90, Page.Look.State.DULL), sealed("b", "wax", 400, Page.Look.State.LIKE_NEW),
                sealed("c", "gloss varnish", 380, Page.Look.State.LIKE_NEW), sealed("d", "gloss varnish", 0, null),
                sealed("e", "resin", 0, null), sealed("f", "spray", 500, Page.Look.State.FLAKING)
                        .withGone(new Page.Gone(Page.Gone.Place.SILL, false, "", 0, Pages.MAY)));
        List<Answers.Sealed> outdoors = Answers.sealers(pages, p -> p.gone().outdoors());

        assertThat(outdoors).extracting(Answers.Sealed::sealer).as("resin was seen by nobody, spray stands indoors")
                .containsExactly("gloss varnish", "wax", "resin");
        assertThat(outdoors.get(0).unseen()).isEqualTo(1);
        assertThat(outdoors.get(1).lasting().still(12)).isEqualTo(0.5);
        assertThat(outdoors.get(2).lasting().spans()).isEmpty();
    }

    @Test
    void timesAreThoseOfStonesOfAboutTheSize() {
        List<Page> pages = List.of(sized("a", 1000, 30), sized("b", 4000, 100), sized("c", 5000, 90), sized("d", 6000, 200),
                sized("e", 20000, 600), sized("f", 0, 60));
        assertThat(Answers.times(pages)).extracting(Answers.Took::page).containsExactly("a", "b", "c", "d", "e");
        assertThat(Answers.hours(pages, 5000)).hasValueSatisfying(m -> {
            assertThat(m.count()).isEqualTo(3);
            assertThat(m.least()).isEqualTo(1.5);
            assertThat(m.median()).isCloseTo(100 / 60.0, within(1e-12));
            assertThat(m.most()).isCloseTo(200 / 60.0, within(1e-12));
        });
        assertThat(Answers.hours(pages, 100_000)).isEmpty();
        assertThat(Answers.Middle.of(List.of(4.0, 1.0, 3.0, 2.0)).orElseThrow().median()).isEqualTo(2.5);
        Page guessed = sized("g", 5000, 900);
        assertThat(Answers.asPlanned(List.of(sized("b", 1, 120), guessed.withMade(guessed.made().withTimed(false)))))
                .as("only what was timed, 120 minutes for 100").hasValueSatisfying(m -> {
                    assertThat(m.count()).isEqualTo(1);
                    assertThat(m.median()).isCloseTo(1.2, within(1e-12));
                });
    }

    private static Page sized(String id, double area, double minutes) {
        Page page = Pages.page(id);
        return page.withStone(page.stone().withPaintedMm2(area)).withMade(page.made().withHandMinutes(minutes));
    }

    @Test
    void whatFailedIsCountedByProductAndStone() {
        Page.Event smear = new Page.Event(Pages.MAY, Page.Event.Kind.SMEARED, "pen-black", "");
        List<Page> pages = List.of(Pages.page("a").plus(smear).plus(smear), Pages.page("b"), Pages.page("c")
                .plus(new Page.Event(Pages.MAY, Page.Event.Kind.LIFTED, "varnish", "")).plus(new Page.Event(LocalDate.of(2026, 5, 2),
                        Page.Event.Kind.WRONG, "varnish", "a hair in it")));
        assertThat(Answers.failures(pages)).extracting(Answers.Behaved::product).containsExactly("pen-black", "varnish");
        assertThat(Answers.failures(pages)).allSatisfy(b -> {
            assertThat(b.stones()).isEqualTo(3);
            assertThat(b.failed()).as("a stone counts once").hasSize(1);
        });
        assertThat(pages.get(2).lessons()).hasSize(2);
    }

    @Test
    // worked by hand: 20 for 2 h with paint for 2 is 9 an hour, 14 for half an hour with paint for 1 is 26; together 31 for 2.5 h is 12.4
    void anHourBringsWhatIsLeftOfThePrice() {
        List<Answers.Sale> sales = Answers.sales(List.of(Pages.sold("a", 20, 2, 120), Pages.sold("b", 14, 1, 30), Pages.page("c")));
        assertThat(sales).extracting(Answers.Sale::page).containsExactly("b", "a");
        assertThat(sales).extracting(Answers.Sale::perHour).containsExactly(26.0, 9.0);
        assertThat(Answers.perHour(sales).orElseThrow()).isCloseTo(12.4, within(1e-12));
        assertThat(Answers.perHour(List.of())).isEmpty();
    }

    @Test
    void stonesAreToldApartByWhetherTheyDrink() {
        for (RockKind rock : RockKind.values()) {
            Page page = Pages.page("a").withStone(Pages.page("a").stone().withRock(rock));
            assertThat(Answers.Rock.ANY.fits(page)).isTrue();
            assertThat(Answers.Rock.POROUS.fits(page)).as(rock.label()).isNotEqualTo(Answers.Rock.TIGHT.fits(page));
            assertThat(Answers.Rock.POROUS.fits(page)).as(rock.label()).isEqualTo(SealAdvice.of(
                    Stone.cobble().withSkin(Skin.of(rock, Texture.SMOOTH, Srgb.ofHex("#888888"))), true).why().porous());
        }
    }

    @Test
    void oneStoneTeachesNothingAndTwoOfThreeDo() {
        Page dull = sealed("a", "wax", 90, Page.Look.State.DULL);
        assertThat(Answers.lessons(List.of())).isEqualTo(Lessons.NOTHING);
        assertThat(Answers.lessons(List.of(dull, sealed("b", "wax", 400, Page.Look.State.LIKE_NEW))).worn()).as("one").isEmpty();
        List<Page> two = List.of(dull, sealed("b", "wax", 400, Page.Look.State.LIKE_NEW), sealed("c", "wax", 120, Page.Look.State.FLAKING),
                sealed("d", "resin", 700, Page.Look.State.DULL), sealed("e", "resin", 800, Page.Look.State.DULL));
        assertThat(Answers.lessons(two).worn()).as("resin lasted for more than a year").singleElement().satisfies(w -> {
            assertThat(w.sealer()).isEqualTo("wax");
            assertThat(w.outdoors()).isTrue();
            assertThat(List.of(w.worn(), w.stones())).containsExactly(2, 3);
            assertThat(w.months()).as("the second of three").isCloseTo(120 / Lasting.MONTH, within(1e-9));
        });
    }

    @Test
    void whatFailedTwiceAndWhatTookLongerThreeTimesIsTaught() {
        Page.Event smear = new Page.Event(Pages.MAY, Page.Event.Kind.SMEARED, "pen-black", "");
        List<Page> pages = List.of(Pages.page("a").plus(smear), Pages.page("b").plus(smear), Pages.page("c"));
        assertThat(Answers.lessons(pages).failed()).containsExactly(new Lessons.Failed("pen-black", "black pen", 2, 3));
        assertThat(Answers.lessons(pages).slower()).as("120 minutes for 100 are as planned").isEmpty();
        List<Page> slow = List.of(sized("a", 1, 140), sized("b", 1, 150), sized("c", 1, 100));
        assertThat(Answers.lessons(slow).slower()).hasValue(1.4);
        assertThat(Answers.lessons(slow).timed()).isEqualTo(3);
        assertThat(Answers.lessons(slow.subList(0, 2)).slower()).as("two are too few").isEmpty();
    }
}
