package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.Who;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What goes over what, out as a table and back. */
class QuarrelCsvTest {

    private static final Quarrel OWN = new Quarrel(Who.parse("paint=gold-pen"), Who.parse("use=seals & finish=matt"), true,
            Compatibility.Severity.NEVER, Quarrel.Way.WAIT, Duration.ofHours(36), "=went dull, twice");

    @TempDir
    private Path folder;

    private static QuarrelCsv.Read read(String text) throws FileTrouble {
        return QuarrelCsv.read(text.getBytes(StandardCharsets.UTF_8), "rules.csv");
    }

    @Test
    void theTableGoesOutWithOnesOwnRowsAndOnlyTheseComeBack() throws Exception {
        Path file = folder.resolve("rules.csv");
        QuarrelCsv.write(List.of(OWN), file);
        QuarrelCsv.Read back = QuarrelCsv.read(file);
        assertThat(back.troubles()).isEmpty();
        assertThat(back.own()).containsExactly(OWN);
        QuarrelCsv.write(List.of(), file);
        assertThat(QuarrelCsv.read(file).own()).as("the table alone is nobody's own").isEmpty();
    }

    @Test
    @Tag("outside") // commons-csv with its own RFC 4180 format as a second reader
    void anyReaderOfCsvReadsItAndNoSpreadsheetRunsIt() throws Exception {
        Path file = folder.resolve("rules.csv");
        QuarrelCsv.write(List.of(OWN), file);
        List<CSVRecord> rows = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get().parse(Files.newBufferedReader(file))
                .getRecords();
        assertThat(rows).hasSize(Compatibility.Rule.values().length + 1);
        CSVRecord last = rows.get(rows.size() - 1);
        assertThat(last.get("above")).isEqualTo("use=seals & finish=matt");
        assertThat(last.get("where")).isEqualTo("anywhere below");
        assertThat(last.get("wait")).isEqualTo("36 h");
        assertThat(last.get("reason")).isEqualTo("'=went dull, twice");
    }

    @Test
    void aRowOfTheTableThatWasChangedBecomesOnesOwn() throws Exception {
        Path file = folder.resolve("rules.csv");
        QuarrelCsv.write(List.of(), file);
        String text = Files.readString(file).replaceFirst("24 h", "48 h");
        assertThat(read(text).own()).singleElement().satisfies(q -> assertThat(q.rest()).isEqualTo(Duration.ofHours(48)));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"binder=egg,use=seals,,,,, | 'Row 2: What is below: \"egg\" is no binder: acrylic'",
        ",use=seals,,,,, | 'Row 2: What is below is missing. Write such as binder=oil'",
        "use=seals,use=fills,here,,,, | 'Row 2: \"here\" is no where. Write one of: touching, anywhere below.'",
        "use=seals,use=fills,,fatal,,, | 'Row 2: \"fatal\" is no how bad. Write one of: never, care, note.'",
        "use=seals,use=fills,,,wait,, | 'Row 2: The way out is to wait, but the wait is missing.'",
        "use=seals,use=fills,,,wait,3 weeks, | 'Row 2: \"weeks\" is no unit for wait. Write 0 to 336 h.'",
        "use=seals,use=fills,,,wait,15 d, | 'Row 2: The wait is 15 d; it must be 0 to 336 h.'"})
    void whatIsWrongInARowIsSaidWithItsNumberAndHowToMendIt(String row, String said) throws Exception {
        QuarrelCsv.Read back = read("below,above,where,how bad,way out,wait,reason\n" + row + "\nbinder=oil,binder=wax,,,,,mine\n");
        assertThat(back.troubles()).singleElement().satisfies(t -> assertThat(t.toString()).startsWith(said));
        assertThat(back.own()).as("what is in order is read").hasSize(1);
    }

    @Test
    void whatIsNoSuchTableIsRefusedAsAWhole() {
        assertThatThrownBy(() -> read("")).isInstanceOf(FileTrouble.class).hasMessageContaining("empty");
        assertThatThrownBy(() -> read("name,kind,colour\n")).isInstanceOf(FileTrouble.class).hasMessageContaining("\"below\"");
        assertThatThrownBy(() -> read("below,above\n" + "binder=oil,use=seals\n".repeat(201))).hasMessageContaining("200 rules");
        assertThatThrownBy(() -> read("below,above,below\n")).hasMessageContaining("twice");
    }
}
