package mosspebble.files;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Uid;
import biweekly.util.ICalDate;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import mosspebble.core.book.Book;
import mosspebble.core.book.Page;
import mosspebble.core.units.Numbers;
import mosspebble.core.words.BookWords;
import org.apache.commons.csv.CSVFormat;

/** The book for other programs: as rows (CSV, RFC 4180), and the days on which stones are to be looked at as a calendar (RFC 5545). */
public final class BookFiles {

    private static final List<String> COLUMNS = List.of("stone", "shows", "rock", "length mm", "width mm", "painted cm2", "begun",
            "finished", "hand min", "planned min", "timed", "cost", "sealer", "place", "outdoors", "since", "price", "where", "last look",
            "state", "happened");

    private BookFiles() {}

    /** One row for each stone, the latest first; numbers with a point, days as 2026-05-01. */
    public static void csv(Book book, Path file) throws FileTrouble {
        SafeWrite.write(file, out -> {
            Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            var printer = CSVFormat.RFC4180.print(writer);
            printer.printRecord(COLUMNS);
            for (Page p : book.pages()) {
                Optional<Page.Look> look = p.lastLook();
                printer.printRecord(CsvCells.harmless(p.stone().name()), CsvCells.harmless(String.join(", ", p.stone().shows())),
                        p.stone().rock().label(), Numbers.text(p.stone().lengthMm(), 1), Numbers.text(p.stone().widthMm(), 1),
                        Numbers.text(p.stone().paintedMm2() / 100, 1), p.made().begun(), p.made().finished(),
                        Numbers.text(p.made().handMinutes(), 1), Numbers.text(p.made().plannedMinutes(), 1),
                        p.made().timed() ? "yes" : "no",
                        Numbers.money(p.made().cost()), CsvCells.harmless(p.made().sealerName()), p.gone().place().label(),
                        p.gone().outdoors() ? "yes" : "no", p.gone().since(), Numbers.money(p.gone().price()),
                        CsvCells.harmless(p.gone().words()), look.map(l -> l.at().toString()).orElse(""),
                        look.map(l -> l.state().label()).orElse(""), CsvCells.harmless(String.join("; ", p.events().stream()
                                .map(e -> e.kind().label() + (e.words().isBlank() ? "" : " " + e.words())).toList())));
            }
            printer.flush();
        });
    }

    /**
     * A whole day for each stone that is to be looked at again.
     *
     * @param today what was due before stands on this day
     */
    public static void calendar(Book book, LocalDate today, ZoneId zone, Path file) throws FileTrouble {
        ICalendar calendar = new ICalendar();
        calendar.setVersion(ICalVersion.V2_0);
        calendar.setProductId("-//Moss Pebble//Book//EN");
        for (Page page : book.pages()) {
            Book.nextLook(page).ifPresent(day -> {
                LocalDate on = day.isBefore(today) ? today : day;
                VEvent event = new VEvent();
                event.setUid(new Uid("look-" + page.id() + "-" + day + "@moss-pebble"));
                event.setDateTimeStamp(Date.from(page.made().finished().atStartOfDay(zone).toInstant()));
                event.setSummary(BookWords.lookAt(page));
                event.setDescription(BookWords.gone(page));
                event.setDateStart(new ICalDate(Date.from(on.atStartOfDay(ZoneId.systemDefault()).toInstant()), false));
                calendar.addEvent(event);
            });
        }
        SafeWrite.write(file, out -> Biweekly.write(calendar).go(out));
    }
}
