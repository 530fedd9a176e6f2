package mosspebble.files;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Uid;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Date;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Numbers;
import mosspebble.core.words.StepWords;
import mosspebble.core.words.TimetableWords;
import org.apache.commons.csv.CSVFormat;

/** A timetable for other programs: as rows (CSV, RFC 4180) and as events of a calendar (iCalendar, RFC 5545). */
public final class TimetableFiles {

    private static final List<String> COLUMNS = List.of("sitting", "start", "end", "stone", "step", "what", "hand min", "dry");
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT);

    private TimetableFiles() {}

    /**
     * One row for each piece of work, in its order.
     *
     * @param plans by the id of their project
     */
    public static void csv(Timetable table, Map<String, PaintPlan> plans, ZoneId zone, Path file) throws FileTrouble {
        SafeWrite.write(file, out -> {
            Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            var printer = CSVFormat.RFC4180.print(writer);
            printer.printRecord(COLUMNS);
            int sitting = 0;
            for (List<Timetable.Placed> one : table.bySitting()) {
                sitting++;
                for (Timetable.Placed each : one) {
                    Workload.Piece piece = table.of().pieces().get(each.piece());
                    PaintPlan plan = plans.get(piece.stone());
                    Step step = plan.steps().get(piece.step());
                    printer.printRecord(sitting, moment(each.start(), zone), moment(each.end(), zone),
                            CsvCells.harmless(plan.project().name()), piece.step() + 1, CsvCells.harmless(StepWords.title(step)),
                            Numbers.text(each.takes().toSeconds() / 60.0, 1), moment(each.end().plus(piece.dries()), zone));
                }
            }
            printer.flush();
        });
    }

    private static String moment(Instant at, ZoneId zone) {
        return MOMENT.format(at.atZone(zone));
    }

    /** An event for each sitting, for when each stone is sealed, and for when it is ready; times in UTC. */
    public static void calendar(Timetable table, Map<String, PaintPlan> plans, Path file) throws FileTrouble {
        ICalendar calendar = new ICalendar();
        calendar.setVersion(ICalVersion.V2_0);
        calendar.setProductId("-//Moss Pebble//Timetable//EN");
        List<VEvent> events = new ArrayList<>();
        int number = 0;
        for (List<Timetable.Placed> one : table.bySitting()) {
            Set<String> names = new LinkedHashSet<>();
            for (Timetable.Placed each : one) {
                names.add(plans.get(table.of().pieces().get(each.piece()).stone()).project().name());
            }
            events.add(event("sitting-" + ++number, TimetableWords.sitting(List.copyOf(names)), one.get(0).start(),
                    one.get(one.size() - 1).end(), table));
        }
        for (Timetable.Placed each : table.placed()) {
            Workload.Piece piece = table.of().pieces().get(each.piece());
            PaintPlan plan = plans.get(piece.stone());
            if (plan.steps().get(piece.step()) instanceof Step.Seal) {
                events.add(event("seal-" + piece.stone() + "-" + each.piece(), TimetableWords.seal(plan.project().name()), each.start(),
                        each.end(), table));
            }
        }
        for (Timetable.Ready ready : table.ready().values()) {
            events.add(event("ready-" + ready.stone(), TimetableWords.isReady(plans.get(ready.stone()).project().name()), ready.at(),
                    ready.at().plusSeconds(60), table));
        }
        events.stream().sorted(Comparator.comparing((VEvent e) -> e.getDateStart().getValue())).forEach(calendar::addEvent);
        SafeWrite.write(file, out -> Biweekly.write(calendar).go(out));
    }

    private static VEvent event(String id, String words, Instant from, Instant to, Timetable table) {
        VEvent event = new VEvent();
        event.setUid(new Uid(id + "-" + table.of().from().getEpochSecond() + "@moss-pebble"));
        event.setDateTimeStamp(Date.from(table.of().from()));
        event.setSummary(words);
        event.setDateStart(Date.from(from), true);
        event.setDateEnd(Date.from(to), true);
        return event;
    }
}
