package mosspebble.core.supplies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mosspebble.core.Paints;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.units.Millilitres;
import org.junit.jupiter.api.Test;

class StandInTest {

    private static Jar jar(String paint, double left, double needed) {
        return new Jar(paint, new Millilitres(left), new Millilitres(needed), needed > left ? Optional.of("p") : Optional.empty());
    }

    @Test
    void theNearestMixOfWhatTheOthersCanSpareStandsInAndNoneThatRunsOutItself() {
        Shelf shelf = Paints.shelf();
        Paint blue = shelf.find("blue").orElseThrow();
        Shelf twins = shelf.with(new Paint("blue-2", "second blue", blue.kind(), blue.swatch(), blue.cover(), blue.film(), blue.tip(),
                blue.pot()));
        Jar missing = jar("blue", 0.5, 2);
        StandIn twin = StandIn.of(missing, List.of(missing), twins).orElseThrow();
        assertThat(twin.mix()).isEqualTo(Mix.of("blue-2"));
        assertThat(twin.difference()).isCloseTo(0, within(1e-6));

        List<Jar> scarce = List.of(missing, jar("blue-2", 20, 19));
        assertThat(StandIn.of(missing, scarce, twins)).as("a millilitre and a half is missing, the twin can spare one")
                .satisfiesAnyOf(s -> assertThat(s).isEmpty(), s -> assertThat(s.orElseThrow().mix()).isNotEqualTo(Mix.of("blue-2")));
        assertThat(StandIn.of(jar("blue", 3, 2), List.of(), twins)).as("it reaches").isEmpty();
    }

    @Test
    void aPenIsReplacedByAPenAndASealerByNothing() {
        Shelf shelf = Paints.shelf();
        for (Paint paint : shelf.paints()) {
            Jar missing = jar(paint.id(), 0, 0.3);
            Optional<StandIn> stands = StandIn.of(missing, List.of(missing), shelf);
            stands.ifPresent(s -> s.mix().parts().forEach(part -> {
                Paint other = shelf.find(part.paint()).orElseThrow();
                assertThat(other.kind().pen()).as("%s for %s", other.name(), paint.name()).isEqualTo(paint.kind().pen());
                assertThat(other.id()).isNotEqualTo(paint.id());
            }));
            if (paint.kind().clear()) {
                assertThat(stands).as(paint.name()).isEmpty();
            }
        }
    }

    private static Paint twin(Shelf shelf, String of, String id) {
        Paint paint = shelf.find(of).orElseThrow();
        return new Paint(id, id, paint.kind(), paint.swatch(), paint.cover(), paint.film(), paint.tip(), paint.pot());
    }

    @Test
    void aPaintThatCanSpareJustWhatIsMissingStandsIn() {
        Shelf twins = Paints.shelf().with(twin(Paints.shelf(), "blue", "blue-2"));
        Jar missing = jar("blue", 0.5, 2);
        assertThat(StandIn.of(missing, List.of(missing, jar("blue-2", 20, 18.5)), twins).orElseThrow().mix()).isEqualTo(Mix.of("blue-2"));
        assertThat(StandIn.of(missing, List.of(missing, jar("blue-2", 20, 18.51)), twins).map(StandIn::mix))
                .as("a hundredth of a millilitre short").isNotEqualTo(Optional.of(Mix.of("blue-2")));
        assertThat(StandIn.of(jar("blue", 2, 2), List.of(), twins)).as("it reaches to the last drop").isEmpty();
        assertThat(StandIn.of(jar("gone", 0, 2), List.of(), twins)).as("no such paint").isEmpty();
    }

    /** Each of the parts must be there: of one millilitre of a mix of three to one, three quarters and one quarter. */
    @Test
    void everyPartOfAMixIsThere() {
        Shelf shelf = Paints.shelf();
        for (Paint paint : shelf.paints()) {
            Jar missing = jar(paint.id(), 0, 5);
            List<Jar> jars = shelf.paints().stream().map(p -> p.equals(paint) ? missing : jar(p.id(), 20, 17)).toList();
            StandIn.of(missing, jars, shelf).filter(s -> !paint.kind().pen()).ifPresent(s -> {
                assertThat(s.mix().parts()).as("three can be spared of each, five are missing: no paint alone").hasSizeGreaterThan(1);
                assertThat(s.mix().parts()).as(paint.name()).allMatch(part -> 5.0 * part.parts() / s.mix().totalParts() <= 3 + 1e-9);
                assertThat(s.mix().totalParts()).isLessThanOrEqualTo(6);
                assertThat(s.mix().parts()).noneMatch(part -> part.paint().equals(paint.id()));
            });
        }
    }

    @Test
    void theDifferenceIsThatOfTheColoursAndAnotherColourStandsForNothing() {
        Shelf shelf = Paints.shelf();
        Palette palette = new Palette(shelf);
        for (Paint paint : shelf.paints()) {
            Jar missing = jar(paint.id(), 0, 0.3);
            StandIn.of(missing, List.of(missing), shelf).ifPresent(s -> {
                double apart = palette.colour(s.mix()).orElseThrow().lab()
                        .differenceTo(palette.colour(Mix.of(paint.id())).orElseThrow().lab());
                assertThat(s.difference()).as(paint.name()).isCloseTo(apart, within(1e-9)).isLessThanOrEqualTo(25);
            });
        }
        Shelf two = new Shelf(List.of(shelf.find("white").orElseThrow(), shelf.find("black").orElseThrow()));
        assertThat(StandIn.of(jar("white", 0, 1), List.of(), two)).as("black for white").isEmpty();
    }
}
