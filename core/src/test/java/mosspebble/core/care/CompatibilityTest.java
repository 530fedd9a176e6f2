package mosspebble.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import mosspebble.core.care.Compatibility.Rule;
import mosspebble.core.care.Compatibility.Severity;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What goes over what, as painters know it (common practice, no source; the product's own sheet goes before it). */
class CompatibilityTest {

    private static Paint product(PaintKind kind, Binder binder, Finish finish) {
        Paint usual = Paint.usual((kind + "-" + binder + "-" + finish).toLowerCase(java.util.Locale.ROOT), kind.toString(), kind,
                Srgb.ofHex("#808080"), new Millilitres(30));
        return usual.withFilm(usual.film().withBinder(binder).withFinish(finish));
    }

    @ParameterizedTest
    @CsvSource({
        // below kind, binder, finish, above kind, binder, finish, whether they touch, what is said
        "INK, DYE_INK, MATT, VARNISH, ACRYLIC, GLOSS, true, DYE_UNDER_A_SEALER",
        "INK, PIGMENT_INK, MATT, VARNISH, ACRYLIC, GLOSS, true,",
        "INK, ALCOHOL, MATT, VARNISH, RESIN, GLOSS, true, ALCOHOL_INK_UNDER_RESIN",
        "INK, ALCOHOL, MATT, VARNISH, SOLVENT_LACQUER, GLOSS, true, ALCOHOL_INK_UNDER_LACQUER",
        "INK, ALCOHOL, MATT, VARNISH, ACRYLIC, SATIN, true, ALCOHOL_INK_UNDER_A_BRUSHED_VARNISH",
        "INK, ALCOHOL, MATT, BRUSH, ACRYLIC, SATIN, true, WATER_BASED_PAINT_ON_ALCOHOL_INK",
        "BRUSH, OIL, GLOSS, BRUSH, ACRYLIC, SATIN, true, WATER_BASED_OVER_OIL",
        "BRUSH, ACRYLIC, SATIN, BRUSH, OIL, GLOSS, true,",
        "CRACKLE, ACRYLIC, SATIN, BRUSH, ACRYLIC, SATIN, false, ANYTHING_OVER_CRACKLE",
        "CRACKLE, ACRYLIC, SATIN, PEN, ACRYLIC, MATT, true, ANYTHING_OVER_CRACKLE",
        "CRACKLE, ACRYLIC, SATIN, VARNISH, ACRYLIC, SATIN, false, SEALER_OVER_CRACKLE",
        "GEL, UV_GEL, GLOSS, BRUSH, ACRYLIC, SATIN, true, PAINT_ON_GEL",
        "GEL, UV_GEL, GLOSS, BRUSH, ACRYLIC, SATIN, false,",
        "GEL, UV_GEL, GLOSS, VARNISH, ACRYLIC, GLOSS, true, SEALER_OVER_GEL",
        "GEL, UV_GEL, GLOSS, GEL, UV_GEL, GLOSS, true,",
        "BRUSH, ACRYLIC, SATIN, VARNISH, RESIN, GLOSS, true, RESIN_OVER_PAINT",
        "BRUSH, ACRYLIC, SATIN, VARNISH, SOLVENT_LACQUER, GLOSS, true, LACQUER_OVER_FRESH_ACRYLIC",
        "VARNISH, RESIN, GLOSS, BRUSH, ACRYLIC, SATIN, true, ANYTHING_ON_RESIN",
        "VARNISH, RESIN, GLOSS, CRACKLE, ACRYLIC, SATIN, true, ANYTHING_ON_RESIN",
        "METALLIC, ACRYLIC, SATIN, VARNISH, ACRYLIC, MATT, true, MATT_OVER_GLITTER_OR_METAL",
        "METALLIC, ACRYLIC, SATIN, VARNISH, ACRYLIC, GLOSS, true,",
        "GLITTER, ACRYLIC, GLOSS, INK, PIGMENT_INK, MATT, true, INK_ON_A_GLOSSY_FILM",
        "WASH, GUM, MATT, BRUSH, ACRYLIC, SATIN, true, WATER_OVER_A_WASH",
        "WASH, GUM, MATT, VARNISH, ACRYLIC, GLOSS, true, WATER_OVER_A_WASH",
        "WASH, GUM, MATT, VARNISH, POLYURETHANE, GLOSS, true, WATER_VARNISH_OVER_A_WASH",
        "WASH, GUM, MATT, ISOLATING, SOLVENT_LACQUER, SATIN, true,",
        "VARNISH, WAX, SATIN, BRUSH, ACRYLIC, SATIN, true, ANYTHING_ON_WAX",
        "CRACKLE, ACRYLIC, SATIN, VARNISH, RESIN, GLOSS, false, RESIN_OVER_CRACKLE",
        "GEL, UV_GEL, GLOSS, POWDER, NONE, GLOSS, true,",
        "POWDER, NONE, GLOSS, PEN, ACRYLIC, MATT, true, PAINT_ON_POWDER",
        "POWDER, NONE, GLOSS, ISOLATING, SOLVENT_LACQUER, SATIN, true,",
        "POWDER, NONE, GLOSS, VARNISH, ACRYLIC, GLOSS, true, SEALER_OVER_POWDER",
        "LEAF, NONE, GLOSS, BRUSH, ACRYLIC, SATIN, true, PAINT_ON_LEAF",
        "ISOLATING, SOLVENT_LACQUER, SATIN, BRUSH, ACRYLIC, SATIN, true,",
        "BRUSH, ACRYLIC, MATT, INK, PIGMENT_INK, MATT, true,",
        "BRUSH, ACRYLIC, SATIN, BRUSH, ACRYLIC, SATIN, true,",
        "BRUSH, ACRYLIC, SATIN, VARNISH, ACRYLIC, SATIN, true,"})
    void eachPairIsJudgedAsPaintersDo(PaintKind below, Binder belowBinder, Finish belowFinish, PaintKind above, Binder aboveBinder,
            Finish aboveFinish, boolean touch, Rule rule) {
        Optional<Compatibility.Verdict> verdict = Compatibility.of(product(below, belowBinder, belowFinish),
                product(above, aboveBinder, aboveFinish), touch, List.of());
        assertThat(verdict.flatMap(Compatibility.Verdict::rule)).isEqualTo(Optional.ofNullable(rule));
        assertThat(verdict.map(Compatibility.Verdict::severity)).isEqualTo(Optional.ofNullable(rule).map(Rule::severity));
    }

    @Test
    void whatRuinsAStoneIsNeverAMereNote() {
        assertThat(List.of(Rule.DYE_UNDER_A_SEALER, Rule.PAINT_ON_GEL, Rule.WATER_BASED_OVER_OIL,
                Rule.ALCOHOL_INK_UNDER_RESIN, Rule.ALCOHOL_INK_UNDER_LACQUER, Rule.PAINT_ON_POWDER, Rule.ANYTHING_ON_WAX))
                .extracting(Rule::severity).containsOnly(Severity.NEVER);
    }

    @Test
    void thePaintersLatestTestWinsOverRuleAndOverOlderTests() {
        Paint ink = product(PaintKind.INK, Binder.DYE_INK, Finish.MATT);
        Paint sealer = product(PaintKind.VARNISH, Binder.ACRYLIC, Finish.SATIN);
        SmearTest smears = new SmearTest(ink.id(), sealer.id(), SmearTest.Outcome.SMEARS, "on slate");
        SmearTest fine = new SmearTest(ink.id(), sealer.id(), SmearTest.Outcome.FINE, "sprayed first");
        assertThat(Compatibility.of(ink, sealer, true, List.of(smears, fine))).isEmpty();
        assertThat(Compatibility.of(ink, sealer, true, List.of(fine, smears))).hasValueSatisfying(v -> {
            assertThat(v.severity()).isEqualTo(Severity.NEVER);
            assertThat(v.test()).contains(smears);
            assertThat(v.rule()).isEmpty();
        });
        SmearTest another = new SmearTest("other ink", sealer.id(), SmearTest.Outcome.FINE, "");
        assertThat(Compatibility.of(ink, sealer, true, List.of(another))).as("a test of something else says nothing").isPresent();
        assertThat(Compatibility.of(sealer, ink, true, List.of(fine))).as("nor one the other way round").isEmpty();
    }

    @Test
    void aTestNamesTwoProductsAndItsNoteIsShort() {
        assertThatThrownBy(() -> new SmearTest("a", "a", SmearTest.Outcome.FINE, "")).hasMessageContaining("two different");
        assertThatThrownBy(() -> new SmearTest(" ", "a", SmearTest.Outcome.FINE, "")).hasMessageContaining("two different");
        assertThatThrownBy(() -> new SmearTest("a", "b", SmearTest.Outcome.FINE, "x".repeat(121))).hasMessageContaining("120");
        assertThat(new SmearTest("a", "b", SmearTest.Outcome.FINE, "x".repeat(120)).note()).hasSize(120);
    }

    private static Stone of(double porosity) {
        return Stone.cobble()
                .withSkin(new Skin(RockKind.SANDSTONE, Texture.SMOOTH, porosity, Srgb.ofHex("#b0a088"), Skin.Before.NOTHING, false));
    }

    @Test
    // two thin coats rather than one thick, three on what drinks; two to three days for a pour to harden (common practice, no source)
    void sealingFollowsStonePlaceAndSealer() {
        Paint pour = product(PaintKind.VARNISH, Binder.RESIN, Finish.GLOSS);
        Paint matt = product(PaintKind.VARNISH, Binder.ACRYLIC, Finish.MATT);
        assertThat(SealAdvice.of(of(0.01), false).coats()).isEqualTo(2);
        assertThat(SealAdvice.of(of(SealAdvice.POROUS), false).coats()).isEqualTo(3);
        assertThat(SealAdvice.of(of(0.059), false).why().porous()).isFalse();
        assertThat(SealAdvice.of(of(0.01), true).cure()).isGreaterThan(SealAdvice.of(of(0.01), false).cure());
        SealAdvice poured = SealAdvice.of(of(0.2), true, pour);
        assertThat(poured.coats()).isEqualTo(1);
        assertThat(poured.between()).isEqualTo(Duration.ZERO);
        assertThat(poured.cure()).isBetween(Duration.ofHours(24), Duration.ofHours(72));
        assertThat(poured.why().poured()).isTrue();
        assertThat(SealAdvice.of(of(0.01), true, matt).why().finish()).isEqualTo(Finish.MATT);
    }
}
