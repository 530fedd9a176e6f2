package mosspebble.core.book;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * All pages, the stone finished last first.
 *
 * @param pages no id twice
 */
public record Book(List<Page> pages) {

    public static final Book EMPTY = new Book(List.of());

    /** Months after it went out at which a stone is looked at again; from then on once a year (common practice, no source). */
    private static final int[] LOOKS = {3, 12};

    public Book {
        pages = pages.stream().sorted(Comparator.comparing((Page p) -> p.made().finished()).reversed().thenComparing(Page::id)).toList();
        if (pages.stream().map(Page::id).distinct().count() < pages.size()) {
            throw new IllegalArgumentException("Two pages of the book have the same id.");
        }
    }

    public Optional<Page> page(String id) {
        return pages.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** With a page; one of the same id is replaced. */
    public Book with(Page page) {
        return new Book(Stream.concat(pages.stream().filter(p -> !p.id().equals(page.id())), Stream.of(page)).toList());
    }

    public Book without(String id) {
        return new Book(pages.stream().filter(p -> !p.id().equals(id)).toList());
    }

    /** Pages on which every one of the words begins a word somewhere; all of them for no words. */
    public List<Page> found(String words) {
        String[] sought = words.strip().toLowerCase(Locale.ROOT).split("\\s+");
        return pages.stream().filter(page -> {
            String all = " " + text(page);
            for (String word : sought) {
                if (!all.contains(" " + word)) {
                    return false;
                }
            }
            return true;
        }).toList();
    }

    private static String text(Page page) {
        return Stream.of(Stream.of(page.stone().name(), page.stone().purpose(), page.stone().place(), page.stone().rock().label(),
                page.made().sealerName(), page.gone().place().label(), page.gone().words(),
                String.valueOf(page.made().finished().getYear()),
                page.made().finished().getMonth().name()),
                page.stone().shows().stream(), page.used().stream().map(Page.Used::name),
                page.events().stream().flatMap(e -> Stream.of(e.kind().label(), e.words())),
                page.looks().stream().flatMap(l -> Stream.of(l.state().label(), l.where(), l.words())))
                .flatMap(s -> s).collect(Collectors.joining(" ")).toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ");
    }

    /** Pages by year, the latest year first. */
    public static Map<Integer, List<Page>> byYear(List<Page> pages) {
        Map<Integer, List<Page>> years = new TreeMap<>(Comparator.<Integer>reverseOrder());
        pages.forEach(p -> years.computeIfAbsent(p.made().finished().getYear(), y -> new ArrayList<>()).add(p));
        return years;
    }

    /** The next day on which a stone is to be looked at; empty for one that is gone, or out of reach. */
    public static Optional<LocalDate> nextLook(Page page) {
        boolean lost = page.lastLook().filter(l -> l.state() == Page.Look.State.LOST).isPresent();
        if (lost || !page.gone().place().inReach() || page.gone().place() == Page.Gone.Place.HERE) {
            return Optional.empty();
        }
        LocalDate from = page.gone().since();
        LocalDate last = page.lastLook().map(Page.Look::at).orElse(from);
        for (int months : LOOKS) {
            if (from.plusMonths(months).isAfter(last)) {
                return Optional.of(from.plusMonths(months));
            }
        }
        LocalDate next = from.plusMonths(LOOKS[LOOKS.length - 1]);
        while (!next.isAfter(last)) {
            next = next.plusYears(1);
        }
        return Optional.of(next);
    }

    /** Stones that should be looked at by now, the one that waits longest first. */
    public List<Page> due(LocalDate today) {
        return pages.stream().filter(p -> nextLook(p).filter(d -> !d.isAfter(today)).isPresent())
                .sorted(Comparator.comparing(p -> nextLook(p).orElseThrow())).toList();
    }
}
