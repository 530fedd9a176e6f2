package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import javax.imageio.ImageIO;
import mosspebble.core.book.Book;
import mosspebble.core.book.Page;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The book on paper and for other programs, read back by other readers. */
class BookFilesTest {

    private static final Book BOOK = new Book(Year.pages().stream().map(BookKeeping.Kept::page).toList());

    @TempDir
    private Path folder;

    @Test
    void rowsHoldEveryStoneAndNoCellThatRuns() throws Exception {
        Page page = BOOK.page("y-key").orElseThrow();
        Page sly = page.withId("sly").withStone(page.stone().withName("=cmd|' /C calc'!A0"));
        Path file = folder.resolve("book.csv");
        BookFiles.csv(BOOK.with(sly), file);
        List<CSVRecord> rows = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get()
                .parse(Files.newBufferedReader(file, StandardCharsets.UTF_8)).getRecords();
        assertThat(rows).hasSize(BOOK.pages().size() + 1);
        CSVRecord key = rows.stream().filter(r -> r.get("stone").equals("The old key")).findFirst().orElseThrow();
        assertThat(key.get("price")).isEqualTo("14.00");
        assertThat(key.get("finished")).isEqualTo("2026-02-07");
        assertThat(key.get("place")).isEqualTo("sold");
        assertThat(Double.parseDouble(key.get("hand min"))).isEqualTo(page.made().handMinutes());
        assertThat(rows).noneMatch(r -> r.get("stone").startsWith("="));
        CSVRecord mole = rows.stream().filter(r -> r.get("stone").startsWith("Mole")).findFirst().orElseThrow();
        assertThat(mole.get("happened")).contains("smeared", "whiskers");
        assertThat(mole.get("state")).isEqualTo("flaking");
    }

    @Test
    @Tag("outside") // RFC 5545, 3.3.4: a whole day is DTSTART;VALUE=DATE:yyyymmdd
    void everyStoneThatIsToBeLookedAtHasADayInTheCalendar() throws Exception {
        LocalDate today = LocalDate.of(2026, 11, 27);
        Path file = folder.resolve("book.ics");
        BookFiles.calendar(BOOK, today, ZoneId.systemDefault(), file);
        List<String> lines = new ArrayList<>();
        for (String line : Files.readAllLines(file)) { // RFC 5545, 3.1: a line that begins with a blank goes on from the one before
            if (line.startsWith(" ")) {
                lines.set(lines.size() - 1, lines.get(lines.size() - 1) + line.substring(1));
            } else {
                lines.add(line);
            }
        }
        long looks = BOOK.pages().stream().filter(p -> Book.nextLook(p).isPresent()).count();
        assertThat(lines.stream().filter("BEGIN:VEVENT"::equals)).hasSize((int) looks);
        int bat = lines.indexOf("SUMMARY:Look how Bat in its cloak has lasted");
        assertThat(lines.subList(bat - 3, bat + 4)).contains("DTSTART;VALUE=DATE:20261229"); // out on 29 September, three months on
        int badger = lines.indexOf("SUMMARY:Look how Badger with a lamp has lasted");
        assertThat(lines.subList(badger - 3, badger + 4)).as("it was due before").contains("DTSTART;VALUE=DATE:20261127");
        assertThat(lines).noneMatch(l -> l.contains("The old key"));
    }

    @Test
    @Tag("outside") // ISO 216: A4 is 210 by 297 mm; sizes of the labels by a second reader of the PDF
    void labelsLieSideBySideWithNameAndCare() throws Exception {
        Page page = BOOK.page("y-key").orElseThrow();
        byte[] png = picture(240, 160);
        Path file = folder.resolve("label.pdf");
        LabelSheet.write(Collections.nCopies(25, new LabelSheet.Label(page, png)), LabelSheet.Size.SMALL, Paper.A4, file);
        try (PDDocument labels = Loader.loadPDF(file.toFile())) {
            assertThat(labels.getNumberOfPages()).as("3 across, 7 down").isEqualTo(2);
            PDPage first = labels.getPage(0);
            assertThat(first.getMediaBox().getWidth() / 72 * 25.4).isCloseTo(210, within(0.1));
            assertThat(first.getMediaBox().getHeight() / 72 * 25.4).isCloseTo(297, within(0.1));
            String words = new PDFTextStripper().getText(labels).replaceAll("\\s+", " ");
            assertThat(words.split("The old key", -1)).hasSize(26);
            assertThat(words).contains("Painted by hand on slate, February 2026.", "Sealed with gloss varnish.",
                    "Not for food, fire or aquaria.");
            first.getResources().getFontNames().forEach(name -> {
                try {
                    assertThat(first.getResources().getFont(name).isEmbedded()).isTrue();
                } catch (IOException e) {
                    throw new java.io.UncheckedIOException(e);
                }
            });
        }
        Page longest = page
                .withStone(page.stone().withName("A very long name of a stone that would run out of its label " + "x".repeat(60)));
        LabelSheet.write(List.of(new LabelSheet.Label(longest, png)), LabelSheet.Size.LARGE, Paper.LETTER, file);
        assertThat(Loader.loadPDF(file.toFile()).getNumberOfPages()).isEqualTo(1);
    }

    private static byte[] picture(int wide, int high) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(wide, high, BufferedImage.TYPE_INT_ARGB), "png", out);
        return out.toByteArray();
    }
}
