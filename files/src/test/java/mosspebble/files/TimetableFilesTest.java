package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import biweekly.Biweekly;
import biweekly.ICalendar;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Hazard;
import mosspebble.core.plan.SittingPage;
import mosspebble.core.plan.Step;
import mosspebble.core.timetable.HoursText;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.words.HazardWords;
import mosspebble.core.words.StepWords;
import mosspebble.core.words.TimetableWords;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class TimetableFilesTest {

    private static final Map<String, PaintPlan> PLANS = plans();
    private static final Timetable TABLE = Timetable.of(ManyStones.workload(List.copyOf(PLANS.values()),
            HoursText.parse("Mon-Fri 19-21, Sat 14-18", LocalDate.of(2026, 11, 27), ZoneOffset.UTC),
            Instant.parse("2026-11-27T18:00:00Z"), Map.of()));

    @TempDir
    Path folder;

    private static Map<String, PaintPlan> plans() {
        Map<String, PaintPlan> plans = new LinkedHashMap<>();
        for (String id : List.of("snail", "moon")) {
            var project = WalkPlans.stone(id);
            var named = id.equals(
                    "moon") ? project.withName("=Moon, \"asleep\" ☾, in a name longer than a line of a calendar",
                            "") : project;
            plans.put(id, WalkPlans.of(named));
        }
        return plans;
    }

    @Test
    void theRowsAreReadBackInTheirOrder() throws Exception {
        Path file = folder.resolve("t.csv");
        TimetableFiles.csv(TABLE, PLANS, ZoneId.of("Europe/Vienna"), file);
        List<CSVRecord> rows = CSVFormat.RFC4180.parse(Files.newBufferedReader(file)).getRecords();
        assertThat(rows).hasSize(TABLE.placed().size() + 1);
        assertThat(rows.get(0).toList()).startsWith("sitting", "start", "end", "stone");
        assertThat(rows.get(1).get(0)).isEqualTo("1");
        assertThat(rows.get(1).get(1)).as("an hour ahead of UTC in winter").isEqualTo("2026-11-27 20:00");
        assertThat(rows.get(rows.size() - 1).get(0)).isEqualTo(String.valueOf(TABLE.sittings()));
        for (int k = 1; k < rows.size() - 1; k++) {
            assertThat(rows.get(k).get(2)).isLessThanOrEqualTo(rows.get(k + 1).get(1));
        }
        assertThat(rows.stream().map(r -> r.get(3)).distinct()).as("no cell is a formula").noneMatch(name -> name.startsWith("="));
    }

    /** Events by a reader of its own (RFC 5545: lines are unfolded, a name and its parameters end at a colon). */
    private static List<Map<String, String>> events(byte[] bytes) {
        String text = new String(bytes, StandardCharsets.UTF_8);
        assertThat(text).startsWith("BEGIN:VCALENDAR\r\n").endsWith("END:VCALENDAR\r\n").contains("VERSION:2.0\r\n", "PRODID:");
        for (String line : text.split("\r\n")) {
            assertThat(line).doesNotContain("\n");
            assertThat(line.length()).as("RFC 5545, 3.1: lines of at most 75").isLessThanOrEqualTo(75);
        }
        List<Map<String, String>> events = new ArrayList<>();
        for (String line : text.replace("\r\n ", "").split("\r\n")) {
            if (line.equals("BEGIN:VEVENT")) {
                events.add(new LinkedHashMap<>());
            } else if (!events.isEmpty() && line.contains(":")) {
                events.get(events.size() - 1).putIfAbsent(line.split("[;:]")[0], line.substring(line.indexOf(':') + 1));
            }
        }
        return events;
    }

    @Test
    void theCalendarHoldsSittingsSealsAndWhenAStoneIsReady() throws Exception {
        Path file = folder.resolve("t.ics");
        TimetableFiles.calendar(TABLE, PLANS, file);
        List<Map<String, String>> events = events(Files.readAllBytes(file));
        long seals = TABLE.placed().stream().map(p -> TABLE.of().pieces().get(p.piece()))
                .filter(p -> PLANS.get(p.stone()).steps().get(p.step()) instanceof Step.Seal).count();
        assertThat(events).hasSize((int) (TABLE.sittings() + seals + 2));
        DateTimeFormatter utc = DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss'Z'").withZone(ZoneOffset.UTC);
        assertThat(events.get(0).get("DTSTART")).isEqualTo(utc.format(TABLE.placed().get(0).start())).isEqualTo("20261127T190000Z");
        assertThat(events.get(0).get("SUMMARY")).startsWith("Paint: ");
        assertThat(events.stream().map(e -> e.get("UID")).distinct()).hasSameSizeAs(events);
        assertThat(events).filteredOn(e -> e.get("SUMMARY").startsWith("Ready: Snail")).singleElement()
                .satisfies(e -> assertThat(e.get("DTSTART")).isEqualTo(utc.format(TABLE.ready().get("snail").at())));
        ICalendar library = Biweekly.parse(file.toFile()).first();
        assertThat(library.getEvents()).hasSameSizeAs(events);
        assertThat(library.getEvents().stream().map(e -> e.getSummary().getValue())).anyMatch(s -> s.contains("asleep\" ☾, in a name"));
        byte[] once = Files.readAllBytes(file);
        TimetableFiles.calendar(TABLE, PLANS, file);
        assertThat(Files.readAllBytes(file)).as("the same again").isEqualTo(once);
    }

    @ParameterizedTest
    @EnumSource(Paper.class)
    void eachSittingIsAPageOfPaperWithABoxForEachPass(Paper paper) throws Exception {
        Path file = folder.resolve("sittings.pdf");
        List<SittingPage> sittings = SittingPage.of(TABLE, PLANS);
        SittingSheets.write(sittings, LanternWalk.shelf(), paper, ZoneOffset.UTC, file);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            assertThat(document.getNumberOfPages()).isGreaterThanOrEqualTo(sittings.size());
            assertThat(document.getPage(0).getMediaBox().getWidth() * 25.4 / 72).isCloseTo(paper.widthMm(), within(0.1));
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            for (SittingPage sitting : sittings) {
                assertThat(text).contains(TimetableWords.heading(sitting, ZoneOffset.UTC));
                SittingPage.Row last = sitting.rows().get(sitting.rows().size() - 1);
                assertThat(text).contains(TimetableWords.time(last.start(), ZoneOffset.UTC)).contains(StepWords.tool(last.done()));
            }
            assertThat(sittings).as("some seal, some only paint")
                    .anyMatch(p -> p.hazards(LanternWalk.shelf()).contains(Hazard.VARNISH))
                    .anyMatch(p -> p.hazards(LanternWalk.shelf()).isEmpty());
            HazardWords.sentences(sittings.stream().flatMap(p -> p.hazards(LanternWalk.shelf()).stream()).toList())
                    .forEach(told -> assertThat(text).contains(told));
            int boxes = 0;
            for (PDPage page : document.getPages()) {
                boxes += new String(page.getContents().readAllBytes(), StandardCharsets.ISO_8859_1).split(" re\n", -1).length - 1;
            }
            long swatches = sittings.stream().flatMap(s -> s.rows().stream()).filter(r -> r.done().coat().isPresent()).count();
            assertThat(boxes).as("a box to tick for each, and a swatch where there is paint")
                    .isEqualTo(TABLE.placed().size() + (int) swatches);
        }
    }
}
