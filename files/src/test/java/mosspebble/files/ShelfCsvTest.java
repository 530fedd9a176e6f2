package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Opacity;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ShelfCsvTest {

    @TempDir
    private Path folder;

    private static ShelfCsv.Read read(String text) throws FileTrouble {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    private static ShelfCsv.Read read(byte[] bytes) throws FileTrouble {
        return ShelfCsv.read(new ByteArrayInputStream(bytes), "shelf.csv");
    }

    @Test
    void theShelfThatShipsGoesOutAndComesBackAsItWas() throws Exception {
        Path file = folder.resolve("shelf.csv");
        ShelfCsv.write(LanternWalk.shelf(), file);
        ShelfCsv.Read back = ShelfCsv.read(file);
        assertThat(back.troubles()).isEmpty();
        assertThat(back.note()).isEmpty();
        assertThat(back.paints()).hasSameSizeAs(LanternWalk.shelf().paints());
        for (int i = 0; i < back.paints().size(); i++) {
            Paint was = LanternWalk.shelf().paints().get(i);
            Paint is = back.paints().get(i);
            assertThat(is.name()).isEqualTo(was.name());
            assertThat(is.withPot(was.pot())).usingRecursiveComparison().ignoringFields("id").isEqualTo(was);
            assertThat(is.pot()).isEqualTo(was.pot());
        }
    }

    @Test
    @Tag("outside") // commons-csv with its own RFC 4180 format as a second reader
    void anyReaderOfCsvReadsIt() throws Exception {
        Path file = folder.resolve("shelf.csv");
        ShelfCsv.write(LanternWalk.shelf(), file);
        List<CSVRecord> rows = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get().parse(Files.newBufferedReader(file))
                .getRecords();
        assertThat(rows).hasSameSizeAs(LanternWalk.shelf().paints());
        assertThat(rows.get(0).get("colour")).isEqualTo(LanternWalk.shelf().paints().get(0).swatch().hex());
    }

    @Test
    void columnsInAnyOrderUnitsAndDefaults() throws Exception {
        ShelfCsv.Read read = read(
                "colour;name;kind;left (ml);tip;opacity;binder\n#8a7f6c;Fog;brush paint;0,5 l;;semi-opaque;\n#101010;Ink line;INK;1 fl "
                        + "oz;0,02 in;;alcohol\n");
        assertThat(read.troubles()).isEmpty();
        Paint fog = read.paints().get(0);
        assertThat(fog.left().value()).isEqualTo(500);
        assertThat(fog.hiding()).isEqualTo(Opacity.SEMI_OPAQUE.hiding());
        assertThat(fog.kind()).isEqualTo(PaintKind.BRUSH);
        Paint ink = read.paints().get(1);
        assertThat(ink.left().value()).as("US fluid ounce, 29.5735 ml (NIST SP 811)").isCloseTo(29.5735, within(1e-3));
        assertThat(ink.tip().value()).isCloseTo(0.508, within(1e-9));
        assertThat(ink.binder()).isEqualTo(Binder.ALCOHOL);
    }

    @Test
    void everyBadRowIsToldWithWhatWhereAndHow() throws Exception {
        ShelfCsv.Read read = read(
                "name,kind,colour,left,tip,solids\nGood,brush paint,#8a7f6c,10 ml,,0.4\n,brush "
                        + "paint,#8a7f6c,,,\nBlue,watercolour,#0000ff,,,\nRed,pen,red,,,\nPink,paint pen,#ff8899,-3,,\n"
                        + "Grey,paint pen,#888888,5 kg,,\nTan,paint pen,#ccaa88,5,90 mm,\ngood,brush paint,#8a7f6c,1,,\nOdd,brush "
                        + "paint,#8a7f6c,a lot,,\n");
        assertThat(read.paints()).extracting(Paint::name).containsExactly("Good");
        assertThat(read.troubles()).extracting(ShelfCsv.Trouble::row).containsExactly(3L, 4L, 5L, 6L, 7L, 8L, 9L, 10L);
        assertThat(read.troubles().get(0).sentence()).contains("name is missing");
        assertThat(read.troubles().get(1).sentence()).contains("watercolour").contains("brush paint");
        assertThat(read.troubles().get(2).sentence()).contains("\"red\" is no colour");
        assertThat(read.troubles().get(3).sentence()).contains("0 to 10000 ml");
        assertThat(read.troubles().get(4).sentence()).contains("\"kg\" is no unit");
        assertThat(read.troubles().get(5).sentence()).contains("0 to 15 mm");
        assertThat(read.troubles().get(6).sentence()).contains("row 2");
        assertThat(read.troubles().get(7).sentence()).contains("no number");
    }

    @Test
    void filesThatAreNoShelfAreAnsweredInASentence() {
        assertThatThrownBy(() -> read("name,colour\nA,#000000\n")).isInstanceOf(FileTrouble.class)
                .hasMessageContaining("no column \"kind\"").hasMessageContaining("name, kind, colour");
        assertThatThrownBy(() -> read("")).hasMessageContaining("empty");
        assertThatThrownBy(() -> read("name,name,kind,colour\n")).hasMessageContaining("stands twice");
        assertThatThrownBy(() -> read("name,kind,colour\n\"never closed,brush paint,#000000\n")).hasMessageContaining("quotation mark");
        StringBuilder many = new StringBuilder("name,kind,colour\n");
        for (int i = 0; i < 100_000; i++) {
            many.append("p").append(i).append(",brush paint,#123456\n");
        }
        assertThatThrownBy(() -> read(many.toString())).hasMessageContaining("more than 500 rows");
        assertThatThrownBy(() -> read(new byte[5_000_000])).hasMessageContaining("larger than 4 MB");
        assertThatThrownBy(() -> read(new byte[] {'a', 0, 'b', 0, 1})).hasMessageContaining("not a text file");
    }

    @Test
    void otherEncodingsAreReadAndSaid() throws Exception {
        String text = "name,kind,colour\nCafé,brush paint,#6b4a32\n";
        assertThat(read(text.getBytes(Charset.forName("windows-1252"))).paints().get(0).name()).isEqualTo("Café");
        assertThat(read(text.getBytes(Charset.forName("windows-1252"))).note()).contains("Windows-1252");
        assertThat(read(text.getBytes(StandardCharsets.UTF_16)).paints().get(0).name()).isEqualTo("Café");
        assertThat(read(("\uFEFF" + text).getBytes(StandardCharsets.UTF_8)).paints().get(0).id()).isEqualTo("cafe");
    }

    @Test
    void mutatedFilesGiveOnlyClearErrors() throws Exception {
        Path file = folder.resolve("shelf.csv");
        ShelfCsv.write(LanternWalk.shelf(), file);
        byte[] good = Files.readAllBytes(file);
        SplittableRandom random = new SplittableRandom(21);
        int refused = 0;
        for (int i = 0; i < 1_500; i++) {
            byte[] bad = good.clone();
            for (int k = random.nextInt(1, 20); k > 0; k--) {
                bad[random.nextInt(bad.length)] = (byte) random.nextInt(256);
            }
            try {
                ShelfCsv.Read read = read(bad);
                assertThat(read.troubles()).allMatch(t -> !t.sentence().isBlank());
            } catch (FileTrouble e) {
                assertThat(e.remedy()).isNotBlank();
                refused++;
            }
        }
        assertThat(refused).as("some cannot be read at all").isPositive();
    }
}
