package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import mosspebble.core.Paints;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.project.Habits;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class ShadesTest {

    private static final Palette PALETTE = new Palette(Paints.shelf().with(Paints.brush("moss", "#5d6b38", 0.95))
            .with(Paints.brush("tan", "#c9a074", 0.9)).with(Paints.brush("rose", "#c9707c", 0.9)));

    private static Palette.Colour colour(String paint) {
        return PALETTE.colour(Mix.of(paint)).orElseThrow();
    }

    private static Lab darkened(Lab lab) {
        return new Lab(lab.l() * 0.75, lab.a() * 0.95, lab.b() * 0.9);
    }

    private static double hue(Lab lab) {
        return Math.toDegrees(Math.atan2(lab.b(), lab.a()));
    }

    @Test
    @Tag("outside") // shade is the same colour, darker; no new hue appears in a shade (common practice, no source)
    void aShadeStaysInTheFamilyAndIsDarker() {
        for (String paint : List.of("tan", "red", "blue", "yellow", "palegreen", "purple", "rose", "moss")) {
            Palette.Colour base = colour(paint);
            Palette.Colour shade = Shades.darker(PALETTE, base, darkened(base.lab())).orElseThrow();
            assertThat(shade.lab().l()).as(paint).isLessThan(base.lab().l() - 3);
            assertThat(shade.mix().totalParts()).as(paint).isLessThanOrEqualTo(12);
            if (shade.lab().chroma() > 5) {
                assertThat(Math.abs(Math.IEEEremainder(hue(shade.lab()) - hue(base.lab()), 360))).as("%s in %s", paint, shade.mix())
                        .isLessThanOrEqualTo(32);
            }
        }
        assertThat(Shades.darker(PALETTE, colour("tan"), darkened(colour("tan").lab())).orElseThrow().mix().parts())
                .as("a tan face is never shaded with moss green").noneMatch(p -> p.paint().equals("moss"));
    }

    @Test
    @Tag("outside") // highlights are the same colour with white (common practice, no source)
    void aLightIsTheColourItselfWithSomethingPale() {
        Palette.Colour red = colour("red");
        Palette.Colour light = Shades.lighter(PALETTE, red, new Lab(62, red.lab().a() * 0.9, red.lab().b() * 0.9)).orElseThrow();
        assertThat(light.lab().l()).isGreaterThan(red.lab().l());
        assertThat(light.mix().parts()).anyMatch(p -> p.paint().equals("red"));
    }

    @Test // shades are the base plus a touch, so that its own pot serves (common practice, no source)
    void theShadeOfAMixKeepsItsParts() {
        Palette.Colour base = PALETTE.colour(new Mix(List.of(new Mix.Part("tan", 3), new Mix.Part("yellow", 1)))).orElseThrow();
        for (double darker : new double[] {0.9, 0.8, 0.7, 0.6}) {
            Lab wanted = new Lab(base.lab().l() * darker, base.lab().a(), base.lab().b());
            Mix shade = Shades.darker(PALETTE, base, wanted).orElseThrow().mix();
            assertThat(shade.touchOver(base.mix())).as("%s", shade).isPresent();
            assertThat(shade.totalParts()).isLessThanOrEqualTo(Mix.MEASURED_PARTS);
        }
    }

    @Test
    void greyIsShadedGrey() {
        Palette palette = new Palette(Paints.shelf().with(Paints.brush("stone", "#8b8b89", 0.95)));
        Palette.Colour base = palette.colour(Mix.of("stone")).orElseThrow();
        assertThat(Shades.darker(palette, base, darkened(base.lab())).orElseThrow().lab().chroma()).isLessThan(14);
    }

    @Test
    void aShelfWithNothingDarkerHasNoShade() {
        Palette one = new Palette(new Shelf(List.of(Paints.brush("black", "#1a1a1c", 0.99))));
        Palette.Colour black = one.colour(Mix.of("black")).orElseThrow();
        assertThat(Shades.darker(one, black, darkened(black.lab()))).isEqualTo(Optional.empty());
    }

    /** Nobody sees a black shade on what is nearly black (common practice, no source). */
    @Test
    void whatIsNearlyBlackTakesNoShadeThoughSomethingDarkerIsThere() {
        Palette.Colour nearly = PALETTE.colour(new Mix(List.of(new Mix.Part("black", 3), new Mix.Part("umber", 1)))).orElseThrow();
        assertThat(nearly.lab().l()).isBetween(12.0, 20.0);
        assertThat(Shades.darker(PALETTE, nearly, new Lab(8, 0, 0))).isEmpty();
        Palette.Colour brown = PALETTE.colour(new Mix(List.of(new Mix.Part("umber", 3), new Mix.Part("black", 1)))).orElseThrow();
        assertThat(brown.lab().l()).isGreaterThan(20);
        assertThat(Shades.darker(PALETTE, brown, new Lab(8, 0, 0))).isPresent();
    }

    @Test
    void anotherHueIsNotTakenHoweverNearItLies() {
        Palette.Colour tan = colour("tan");
        Palette.Colour shade = Shades.darker(PALETTE, tan, colour("moss").lab()).orElseThrow();
        assertThat(shade.mix()).isNotEqualTo(Mix.of("moss"));
        assertThat(Math.abs(Math.IEEEremainder(hue(shade.lab()) - hue(tan.lab()), 360))).isLessThanOrEqualTo(32);
        assertThat(Shades.darker(PALETTE, colour("rose"), colour("blue").lab()).map(Palette.Colour::mix))
                .isNotEqualTo(Optional.of(Mix.of("blue")));
    }

    @Test
    @Tag("outside") // black unless it would vanish, white then (common practice, no source)
    void aSubjectIsDrawnInBlackUnlessThatVanishes() {
        assertThat(pen(32)).as("black still shows on this").isEqualTo("blackpen");
        assertThat(pen(88)).isEqualTo("blackpen");
        assertThat(pen(10)).as("black on black vanishes").isEqualTo("whitepen");
    }

    private static String pen(double lightness) {
        Lab area = new Lab(lightness, 0, 0);
        return OutlinePen
                .choose(PALETTE, Habits.usual(),
                        List.of(new OutlinePen.Edge(area, List.of(area), 40, 60, OutlinePen.habit(Habits.usual()))))
                .get(0).orElseThrow().paint().id();
    }
}
