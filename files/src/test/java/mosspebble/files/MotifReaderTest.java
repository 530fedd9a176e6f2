package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.SplittableRandom;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Role;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

class MotifReaderTest {

    private static final String HEAD = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 100 100\" data-motif=\"kite\" "
            + "data-slots=\"a: A: #336699\" data-wears=\"yes\">";

    private static Motif read(String svg) throws FileTrouble {
        return MotifReader.read(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)), "kite.svg");
    }

    @Test
    void shapesTransformsAndRolesAreRead() throws FileTrouble {
        Motif motif = read(
                HEAD + """
                        <g transform="translate(10 20)"><rect data-part="sail" data-slot="a" data-outline="yes" data-round="0.5" x="0" y="0" width="30" height="40"/></g>
                        <circle data-part="eye" data-slot="a" cx="50" cy="50" r="10"/>
                        <path data-part="tail" data-slot="a" data-role="line" data-pen="0.7" d="M0 0 L30 40"/>
                        <circle cx="1" cy="1" r="1"/></svg>""");

        assertThat(motif.parts()).extracting(MotifPart::id).containsExactly("sail", "eye", "tail");
        assertThat(motif.parts().get(0).shape().getArea()).isCloseTo(1200, within(1e-6));
        assertThat(motif.parts().get(0).shape().getEnvelopeInternal().getMinX()).isCloseTo(10, within(1e-6));
        assertThat(motif.parts().get(1).shape().getArea()).isCloseTo(Math.PI * 100, within(2.0));
        assertThat(motif.parts().get(2).role()).isEqualTo(Role.LINE);
        assertThat(motif.parts().get(2).shape().getLength()).isCloseTo(50, within(1e-6));
        assertThat(motif.wears()).isTrue();
    }

    /** A drawing 60 mm wide on the stone is looked at with some fifty pixels to a mm: no corner of what is round may stand out. */
    @Test
    void whatIsRoundStaysRoundAtEightTimes() throws FileTrouble {
        Motif motif = read(HEAD + "<circle data-part=\"eye\" data-slot=\"a\" cx=\"50\" cy=\"50\" r=\"40\"/></svg>");
        Coordinate[] ring = motif.parts().get(0).shape().getCoordinates();
        double pixel = 100 / (60 * 50.0);
        for (int i = 1; i < ring.length; i++) {
            double middle = Math.hypot((ring[i].x + ring[i - 1].x) / 2 - 50, (ring[i].y + ring[i - 1].y) / 2 - 50);
            assertThat(40 - middle).as("between corners the edge lies in by").isLessThan(0.7 * pixel);
        }
        assertThat(ring.length).as("and yet few are enough").isBetween(40, 140);
    }

    @Test
    void aHoleStaysAHole() throws FileTrouble {
        Motif motif = read(HEAD + "<path data-part=\"ring\" data-slot=\"a\" d=\"M0 0 H40 V40 H0 Z M10 10 V30 H30 V10 Z\"/></svg>");

        assertThat(motif.parts().get(0).shape().getArea()).isCloseTo(1200, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {
        "<script>alert(1)</script> | script",
        "<path data-part=\"p\" data-slot=\"a\" d=\"M0 0H9V9Z\" onclick=\"x()\"/> | onclick",
        "<a href=\"http://example.org/\"><path data-part=\"p\" data-slot=\"a\" d=\"M0 0H9V9Z\"/></a> | href",
        "<image href=\"#x\"/> | image",
        "<path data-part=\"p\" data-slot=\"a\" style=\"fill:url(http://example.org/x)\" d=\"M0 0H9V9Z\"/> | style",
        "<path data-part=\"p\" data-slot=\"nope\" d=\"M0 0H9V9Z\"/> | slot nope",
        "<path data-part=\"p\" data-slot=\"a\" d=\"M0 0 Q\"/> | path data",
        "<path data-part=\"p\" data-slot=\"a\" data-role=\"line\" d=\"M0 0H9\"/> | needs a width",
        "<circle data-part=\"p\" data-slot=\"a\" r=\"NaN\"/> | NaN",
        "<circle data-part=\"p\" data-slot=\"a\" r=\"1e300\"/> | 1e300",
        "<path data-part=\"p\" data-slot=\"a\" d=\"M0 0H9\"/> | encloses nothing",
        "<text data-part=\"p\" data-slot=\"a\">x</text> | cannot be a <text>",
        "<path data-part=\"p\" data-slot=\"a\" data-mirror=\"q\" d=\"M0 0H9V9Z\"/> | mirror partner q",
        "<path data-part=\"p\" data-slot=\"a\" data-round=\"7\" d=\"M0 0H9V9Z\"/> | data-round",
        "<path data-part=\"p\" data-slot=\"a\" transform=\"spin(3)\" d=\"M0 0H9V9Z\"/> | transform",
        "<g/> | nothing to paint"})
    void hostileOrBrokenMotifsAreRefusedWithFileElementAndReason(String body, String reason) {
        assertThatThrownBy(() -> read(HEAD + body + "</svg>")).isInstanceOf(FileTrouble.class).hasMessageStartingWith("kite.svg")
                .hasMessageContaining(reason);
    }

    @Test
    void documentTypesEntitiesAndMonstersAreRefused() {
        String lol = "<!DOCTYPE svg [<!ENTITY a \"aaaaaaaa\"><!ENTITY b \"&a;&a;&a;\"><!ENTITY x SYSTEM \"file:///etc/passwd\">]>";
        assertThatThrownBy(() -> read(lol + HEAD + "<path data-part=\"p\" data-title=\"&x;\" data-slot=\"a\" d=\"M0 0H9V9Z\"/></svg>"))
                .isInstanceOf(FileTrouble.class)
                .message().doesNotContain("root:");
        assertThatThrownBy(() -> read(HEAD + "<g>".repeat(10_000) + "</g>".repeat(10_000) + "</svg>")).hasMessageContaining("deeper than");
        assertThatThrownBy(() -> read(HEAD + "<path data-part=\"p\" data-slot=\"a\" data-role=\"line\" data-pen=\"1\" d=\"M0 0 "
                + "L5 5 L9 1 ".repeat(80_000) + "\"/></svg>"))
                .hasMessageContaining("points");
        assertThatThrownBy(() -> read(" ".repeat(2_100_000))).hasMessageContaining("2 MB");
        assertThatThrownBy(() -> read("")).hasMessageContaining("empty");
        assertThatThrownBy(() -> read("<html></html>")).hasMessageContaining("<html>");
        assertThatThrownBy(() -> read(HEAD + "<path")).hasMessageContaining("not well-formed");
    }

    @Test
    void mutatedMotifsGiveOnlyClearErrors() throws Exception {
        byte[] good;
        try (InputStream in = BuiltIn.open("motifs/owl-lamp.svg")) {
            good = in.readAllBytes();
        }
        SplittableRandom random = new SplittableRandom(11);
        int refused = 0;
        for (int i = 0; i < 400; i++) {
            byte[] bad = good.clone();
            for (int k = 0; k < 1 + random.nextInt(6); k++) {
                bad[random.nextInt(bad.length)] = (byte) (random.nextBoolean() ? random.nextInt(32, 127) : random.nextInt(256));
            }
            try {
                MotifReader.read(new ByteArrayInputStream(bad), "mutant.svg");
            } catch (FileTrouble trouble) {
                assertThat(trouble.getMessage()).startsWith("mutant.svg");
                refused++;
            }
        }
        assertThat(refused).isGreaterThan(50);
    }

    @Test
    void shippedPairsAreMirrorImages() {
        for (BuiltIn.Title title : BuiltIn.titles()) {
            Motif motif = BuiltIn.repertoire().motif(title.id()).orElseThrow();
            for (MotifPart part : motif.parts()) {
                if (part.mirror().isPresent() && part.isArea()) {
                    MotifPart partner = motif.parts().stream().filter(p -> p.id().equals(part.mirror().get())).findFirst().orElseThrow();
                    double middle = (part.shape().getCentroid().getX() + partner.shape().getCentroid().getX()) / 2;
                    Geometry mirrored = AffineTransformation.reflectionInstance(middle, 0, middle, 1)
                            .translate(0, partner.shape().getCentroid().getY() - part.shape().getCentroid().getY()).transform(part.shape());
                    assertThat(partner.mirror()).as("%s names its partner back", partner.id()).hasValue(part.id());
                    assertThat(mirrored.symDifference(partner.shape()).getArea()).as("%s and %s", part.id(), partner.id())
                            .isLessThan(0.01 * part.shape().getArea());
                }
            }
        }
    }

    @Test
    @Tag("outside") // advance widths by a second reader of the font file, Apache FontBox
    void letterWidthsAreThoseOfTheFontFile() throws Exception {
        Map<String, String> files = Map.of("heavy-slab", "AlfaSlabOne_400Regular.ttf", "slab", "ZillaSlab_600SemiBold.ttf", "serif",
                "Lora_700Bold.ttf", "rounded", "Fredoka_700Bold.ttf", "hand", "PatrickHand_400Regular.ttf", "script",
                "DancingScript_700Bold.ttf");
        assertThat(BuiltIn.faces()).as("and the single-stroke pen").hasSize(files.size() + 1);
        for (Map.Entry<String, String> shipped : files.entrySet()) {
            try (InputStream in = BuiltIn.open("fonts/" + shipped.getValue());
                    TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(in))) {
                var face = BuiltIn.repertoire().typeface(shipped.getKey()).orElseThrow();
                for (char letter : "LANTERNWALKquillbeck0123ÄŁ".toCharArray()) {
                    int glyph = font.getUnicodeCmapLookup().getGlyphId(letter);
                    double em = (double) font.getAdvanceWidth(glyph) / font.getUnitsPerEm();
                    assertThat(face.glyph(letter).orElseThrow().advance()).as("%s: advance of %s", shipped.getKey(), letter).isCloseTo(em,
                            within(0.0015));
                    assertThat(face.glyph(letter).orElseThrow().shape().isValid()).as("%s: outline of %s", shipped.getKey(), letter)
                            .isTrue();
                }
                assertThat(face.glyph('中')).as("%s has Latin letters only", shipped.getKey()).isEmpty();
            }
        }
    }
}
