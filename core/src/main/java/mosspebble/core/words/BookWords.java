package mosspebble.core.words;

import java.time.Duration;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import mosspebble.core.book.Answers;
import mosspebble.core.book.Book;
import mosspebble.core.book.Lasting;
import mosspebble.core.book.Page;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;

/** The book in words: its pages, and what they answer. */
public final class BookWords {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    /** Fewer stones than that have no middle, and no sealer is the best of them. */
    private static final int FEW = 3;

    private BookWords() {}

    /** What the book can be asked. */
    public enum Question {
        LASTS("What lasts?", "Which sealer keeps a stone like new, outdoors or in"),
        TAKES("How long?", "Time of the hand by how much is painted"),
        FAILED("What failed?", "Pens and paints that smeared, bled or lifted"),
        SOLD("What sold?", "What an hour of the hand brought"),
        OUT("Where are they?", "Where the stones went, and which to look at again");

        private final String label;
        private final String means;

        Question(String label, String means) {
            this.label = label;
            this.means = means;
        }

        public String label() {
            return label;
        }

        public String means() {
            return means;
        }
    }

    public static String day(LocalDate date) {
        return DAY.format(date);
    }

    public static String shortDay(LocalDate date) {
        return SHORT.format(date);
    }

    // --- a page

    /** "Painted in 3 h 20 min from 2 to 9 May 2026, planned were 2 h 50 min". */
    public static String made(Page page) {
        Page.Made made = page.made();
        String time = Durations.words(Duration.ofMinutes(Math.round(made.handMinutes())));
        String days = made.begun().equals(made.finished()) ? "on " + day(made.finished())
                : "from " + shortDay(made.begun()) + " to " + shortDay(made.finished());
        String planned = made.plannedMinutes() <= 0 ? ""
                : made.timed() ? "; planned were " + Durations.words(Duration.ofMinutes(Math.round(made.plannedMinutes())))
                : " by the plan, which nobody timed";
        return Words.upper(time) + " by hand " + days + planned + ".";
    }

    /** "95 by 70 mm, granite, from the stream bed". @param size the lengths as they are to be shown */
    public static String stone(Page page, String size) {
        return size + ", " + page.stone().rock().label() + (page.stone().place().isBlank() ? "" : ", from " + page.stone().place()) + ".";
    }

    public static String sealed(Page page) {
        return page.made().sealerName().isEmpty() ? "Not sealed." : "Sealed with " + page.made().sealerName() + ".";
    }

    /** Where it is. */
    public static String gone(Page page) {
        Page.Gone gone = page.gone();
        String price = gone.place() == Page.Gone.Place.SOLD ? " for " + Numbers.money(gone.price()) : "";
        String since = gone.place() == Page.Gone.Place.HERE ? "" : ", since " + shortDay(gone.since());
        return Words.upper(gone.place().label()) + price + (gone.outdoors() ? ", outdoors" : "") + since
                + (gone.words().isBlank() ? "." : ": " + gone.words() + ".");
    }

    public static String event(Page.Event event, String product) {
        return shortDay(event.at()) + ": " + (product.isEmpty() ? "" : product + " ") + event.kind().label()
                + (event.words().isBlank() ? "" : ", " + event.words());
    }

    /** "after 4 months: seal dull on the rim". */
    public static String look(Page page, Page.Look look) {
        return after(page.gone().since(), look.at()) + ": " + look.state().label() + (look.where().isBlank() ? "" : " " + look.where())
                + (look.words().isBlank() ? "" : ", " + look.words());
    }

    private static String after(LocalDate from, LocalDate to) {
        long days = Math.max(0, to.toEpochDay() - from.toEpochDay());
        long months = Math.round(days / Lasting.MONTH);
        return days < 21 ? "after " + days + (days == 1 ? " day" : " days") : "after " + months + (months == 1 ? " month" : " months");
    }

    /** When it is to be looked at again; empty where never. */
    public static String next(Page page, LocalDate today) {
        return Book.nextLook(page)
                .map(d -> d.isAfter(today) ? "Look at it again on " + day(d) + "." : "Look at it: it is time since " + day(d) + ".")
                .orElse("");
    }

    /** What stands in a calendar. */
    public static String lookAt(Page page) {
        return "Look how " + page.stone().name() + " has lasted";
    }

    /** What stands on a label beside the picture. */
    public static List<String> label(Page page) {
        List<String> lines = new ArrayList<>();
        lines.add("Painted by hand on " + page.stone().rock().label() + ", " + page.made().finished().getMonth().getDisplayName(
                TextStyle.FULL, Locale.ENGLISH) + " " + page.made().finished().getYear() + ".");
        if (!page.made().sealerName().isEmpty()) {
            lines.add(sealed(page));
        }
        return lines;
    }

    /** How whoever gets it cares for it (common practice, no source). */
    public static String care(Page page) {
        return (page.made().sealerName().isEmpty() ? "Not sealed: keep it dry." : "Wipe it with a damp cloth; bring it in from frost.")
                + " Not for food, fire or aquaria.";
    }

    /** What stands in the name of the book at the start where stones wait to be looked at; empty for none. */
    public static String due(List<Page> due) {
        return due.isEmpty() ? ""
                : due.size() == 1 ? "The book asks how " + due.get(0).stone().name() + " has lasted (U)."
                : "The book asks how " + due.size() + " stones have lasted, " + due.get(0).stone().name() + " first (U).";
    }

    /** What was learnt by a stone, for whoever paints it again; empty where all went well. */
    public static String lessons(Page page, Function<String, String> product) {
        List<String> all = new ArrayList<>();
        page.lessons().forEach(e -> all.add((e.product().isEmpty() ? "" : product.apply(e.product()) + " ") + e.kind().label()
                + (e.words().isBlank() ? "" : ", " + e.words())));
        page.looks().stream().filter(l -> l.state().worn()).findFirst().ifPresent(l -> all.add(look(page, l)));
        return all.isEmpty() ? "" : "Last time: " + String.join("; ", all) + ".";
    }

    // --- answers

    private static String stones(int count) {
        return count == 1 ? "1 stone" : count + " stones";
    }

    /** One sealer with its count: what was seen, and no more than that. */
    public static String lasts(Answers.Sealed sealed) {
        Lasting lasting = sealed.lasting();
        String unseen = sealed.unseen() == 0 ? ""
                : "; nobody has looked at " + sealed.unseen() + (lasting.spans().isEmpty() ? "" : " more");
        if (lasting.spans().isEmpty()) {
            return unseen.substring(2);
        }
        String seen = lasting.worn() == 0 ? "none of " + lasting.spans().size() + " worn, seen for up to " + months(lasting.longest())
                : lasting.worn() + " of " + lasting.spans().size() + " worn" + (lasting.spans().size() < FEW
                        ? ", the first after " + months(firstWorn(lasting))
                        : lasting.median().isPresent() ? ", half of them within " + months(lasting.median().getAsDouble())
                        : ", the first after " + months(firstWorn(lasting)));
        return seen + unseen;
    }

    private static double firstWorn(Lasting lasting) {
        return lasting.spans().stream().filter(Lasting.Span::worn).mapToDouble(Lasting.Span::months).min().orElse(0);
    }

    /** What stands on the card of a sealer. */
    public static String told(Answers.Sealed sealed, boolean outdoors) {
        return "Your book, " + (outdoors ? "outdoors" : "indoors") + ": " + lasts(sealed) + ".";
    }

    /** The note of a smear test that came from a page. */
    public static String minded(Page page) {
        String note = "the book: " + page.stone().name() + ", " + shortDay(page.made().finished());
        return note.substring(0, Math.min(120, note.length()));
    }

    public static String minds(String below, String above) {
        return "From now on plans mind that " + below + " smears under " + above + ". It stands with the tests on the shelf.";
    }

    /** "9 months"; days where it is shorter. */
    public static String months(double months) {
        long days = Math.round(months * Lasting.MONTH);
        return days < 60 ? days + (days == 1 ? " day" : " days") : Math.round(months) + " months";
    }

    /** The sentence over the sealers. */
    public static String lasting(List<Answers.Sealed> sealers, boolean outdoors, Answers.Rock rock) {
        String where = (outdoors ? "outdoors" : "indoors") + switch (rock) {
            case ANY -> "";
            case POROUS -> " on porous stone";
            case TIGHT -> " on tight stone";
        };
        int seen = sealers.stream().mapToInt(s -> s.lasting().spans().size()).sum();
        if (seen == 0) {
            return "No stone " + where + " has been looked at yet.";
        }
        List<Answers.Sealed> known = sealers.stream().filter(s -> s.lasting().spans().size() >= FEW).toList();
        if (known.isEmpty()) {
            return "Too few to tell: " + stones(seen) + " " + where + (seen == 1 ? " has" : " have") + " been looked at, and no sealer on "
                    + FEW + " of them.";
        }
        Answers.Sealed best = known.get(0);
        if (known.size() == 1) {
            return Words.upper(name(best.sealer())) + " " + where + ": " + lasts(best) + "."
                    + (seen > best.lasting().spans().size() ? " No other was looked at on " + FEW + " stones, so none is called the best."
                            : "");
        }
        return Words.upper(name(best.sealer())) + " has lasted best " + where + " so far: " + lasts(best) + "."
                + (seen < 10 ? " These are " + stones(seen) + ", no more." : "");
    }

    public static String name(String sealer) {
        return sealer.isEmpty() ? "no seal at all" : sealer;
    }

    /** How long stones take. @param like those of about the size of the stone in hand */
    public static String takes(List<Answers.Took> times, Optional<Answers.Middle> like, Optional<Answers.Middle> asPlanned) {
        if (times.isEmpty()) {
            return "No stone of the book has a time yet.";
        }
        String some = like.map(m -> m.count() == 1 ? "One stone of about the size of this one took " + hours(m.median()) + "."
                : stones(m.count()) + " of about the size of this one took " + hours(m.least()) + " to " + hours(m.most()) + ", "
                        + hours(m.median()) + " in the middle.")
                .orElse("None of the " + stones(times.size()) + " is of about the size of this one.");
        return some + asPlanned.map(m -> " You take " + Numbers.text(m.median(), 2) + " times as long as planned, from " + stones(m.count())
                + " that were timed.").orElse("");
    }

    public static String hours(double hours) {
        return Durations.words(Duration.ofMinutes(Math.round(60 * hours)));
    }

    public static String failed(List<Answers.Behaved> failures) {
        if (failures.isEmpty()) {
            return "Nothing has smeared, bled or lifted.";
        }
        Answers.Behaved worst = failures.get(0);
        return Words.upper(worst.name()) + " failed on " + worst.failed().size() + " of " + stones(worst.stones()) + ".";
    }

    public static String sold(List<Answers.Sale> sales, Optional<Double> perHour) {
        return sales.isEmpty() ? "Nothing has been sold yet."
                : stones(sales.size()) + " sold for " + Numbers.money(sales.stream().mapToDouble(Answers.Sale::price).sum())
                        + perHour.map(p -> ": " + Numbers.money(p) + " for an hour of the hand, paint taken off").orElse("") + ".";
    }

    /** Where the stones of a book are. */
    public static String out(List<Page> pages, int due) {
        long gone = pages.stream().filter(p -> p.gone().place() != Page.Gone.Place.HERE).count();
        return stones(pages.size()) + " in the book, " + gone + " of them out of the house; "
                + (due == 0 ? "none waits to be looked at." : due + (due == 1 ? " waits" : " wait") + " to be looked at.");
    }
}
