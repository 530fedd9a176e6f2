package mosspebble.core.book;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.RockKind;

/**
 * One stone in the book: what it was, how it was made, where it went and how it lasted. What was planned for it is kept beside the page.
 *
 * @param id unique in the book
 * @param used paints, pens and sealer
 * @param events what was changed or went wrong on the way, the earliest first
 * @param looks how it was found later, the earliest first
 * @param photos taken of it, the earliest first
 */
@RecordBuilder
public record Page(String id, Body stone, Made made, List<Used> used, List<Event> events, Gone gone, List<Look> looks, List<Photo> photos)
        implements PageBuilder.With {

    /** Longest line of words on a page. */
    public static final int LONGEST = 400;

    /** Most events, looks or photos of one stone. */
    public static final int MOST = 200;

    private static final int MOST_USED = 300;
    private static final double LARGEST_MM = 3000;

    /**
     * What it is.
     *
     * @param shows what is painted on it, in words
     * @param place where it was found, may be empty
     * @param lengthMm above 0
     * @param widthMm above 0
     * @param paintedMm2 area that was painted, 0 for none
     */
    @RecordBuilder
    public record Body(String name, String purpose, List<String> shows, String place, RockKind rock, double lengthMm, double widthMm,
            double paintedMm2) implements PageBodyBuilder.With {
        public Body {
            Objects.requireNonNull(rock);
            shows = List.copyOf(shows);
            if (name.isBlank() || name.length() > LONGEST || purpose.length() > LONGEST || place.length() > LONGEST
                    || shows.size() > MOST) {
                throw new IllegalArgumentException("A page needs a name, and no line longer than " + LONGEST + " letters.");
            }
            if (!(lengthMm > 0 && widthMm > 0 && lengthMm <= LARGEST_MM && widthMm <= LARGEST_MM && paintedMm2 >= 0
                    && Double.isFinite(paintedMm2))) {
                throw new IllegalArgumentException("A stone is longer and wider than 0, and no longer than " + LARGEST_MM / 1000 + " m.");
            }
        }
    }

    /**
     * How it was made.
     *
     * @param handMinutes time of the hand
     * @param timed whether that was measured at the table; else it is what the plan says
     * @param plannedMinutes what the plan said
     * @param cost of what was used, in the painter's own money
     * @param sealer id of what it was sealed with; empty for none
     * @param sealerName its name then; empty for none
     */
    @RecordBuilder
    public record Made(LocalDate begun, LocalDate finished, double handMinutes, boolean timed, double plannedMinutes, double cost,
            String sealer, String sealerName) implements PageMadeBuilder.With {
        public Made {
            if (finished.isBefore(begun)) {
                throw new IllegalArgumentException("A stone is finished after it is begun: not on " + finished + " where it was begun on "
                        + begun + ".");
            }
            if (!(handMinutes >= 0 && plannedMinutes >= 0 && cost >= 0 && Double.isFinite(handMinutes + plannedMinutes + cost))) {
                throw new IllegalArgumentException("Time and cost are not below 0.");
            }
            Objects.requireNonNull(sealer);
            Objects.requireNonNull(sealerName);
        }

        public double handHours() {
            return handMinutes / 60;
        }
    }

    /** A paint, pen or sealer, by its name then. @param ml 0 or more */
    public record Used(String paint, String name, double ml) {
        public Used {
            if (paint.isBlank() || name.isBlank() || !(ml >= 0 && Double.isFinite(ml))) {
                throw new IllegalArgumentException("What was used has a name, and an amount not below 0.");
            }
        }
    }

    /**
     * Something that happened on the way.
     *
     * @param product id of the paint or pen it was about; empty for none
     */
    public record Event(LocalDate at, Kind kind, String product, String words) {

        /** What kind of thing happened. */
        public enum Kind {
            CHANGED("changed"), WRONG("went wrong"), SMEARED("smeared"), BLED("bled"), LIFTED("lifted off"), LEARNT("learnt");

            private final String label;

            Kind(String label) {
                this.label = label;
            }

            public String label() {
                return label;
            }

            /** Whether a product failed. */
            public boolean fails() {
                return this == SMEARED || this == BLED || this == LIFTED;
            }
        }

        public Event {
            Objects.requireNonNull(at);
            Objects.requireNonNull(kind);
            Objects.requireNonNull(product);
            checkWords(words);
        }
    }

    /**
     * Where it went.
     *
     * @param outdoors whether rain, frost and sun reach it
     * @param words to whom, or where exactly; the rules of a place where it was hidden
     * @param price it was sold for, in the painter's own money; 0 where it was not sold
     * @param since the day it went there
     */
    @RecordBuilder
    public record Gone(Place place, boolean outdoors, String words, double price, LocalDate since) implements PageGoneBuilder.With {

        /** Kinds of places. */
        public enum Place {
            HERE("still here"), SILL("on a sill"), GARDEN("in a garden"), GIFT("given away"), SOLD("sold"), HIDDEN("hidden");

            private final String label;

            Place(String label) {
                this.label = label;
            }

            public String label() {
                return label;
            }

            /** Whether the painter can go and look at it. */
            public boolean inReach() {
                return this != GIFT && this != SOLD;
            }
        }

        public Gone {
            Objects.requireNonNull(place);
            Objects.requireNonNull(since);
            checkWords(words);
            if (!(price >= 0 && Double.isFinite(price))) {
                throw new IllegalArgumentException("A price is not below 0.");
            }
        }
    }

    /** How it was found one day. @param where on the stone, such as "on the rim"; may be empty */
    public record Look(LocalDate at, State state, String where, String words) {

        /** States in which a stone is found. */
        public enum State {
            LIKE_NEW("like new"), DULL("seal dull"), FADED("colours faded"), CHIPPED("chipped"), CLOUDY("seal cloudy"),
            FLAKING("flaking"), LOST("lost");

            private final String label;

            State(String label) {
                this.label = label;
            }

            public String label() {
                return label;
            }

            /** Whether it shows wear; a stone that is gone tells nothing about that. */
            public boolean worn() {
                return this != LIKE_NEW && this != LOST;
            }
        }

        public Look {
            Objects.requireNonNull(at);
            Objects.requireNonNull(state);
            checkWords(where);
            checkWords(words);
        }
    }

    /**
     * A photo of it; the original lies beside the studio and is never altered.
     *
     * @param original its file in the folder of photos
     */
    public record Photo(String id, LocalDate taken, String original, String words) {
        public Photo {
            FoundStone.checkId(id);
            Objects.requireNonNull(taken);
            FoundStone.checkId(original);
            checkWords(words);
        }
    }

    public Page {
        FoundStone.checkId(id);
        Objects.requireNonNull(stone);
        Objects.requireNonNull(made);
        Objects.requireNonNull(gone);
        used = List.copyOf(used);
        events = events.stream().sorted(Comparator.comparing(Event::at)).toList();
        looks = looks.stream().sorted(Comparator.comparing(Look::at)).toList();
        photos = photos.stream().sorted(Comparator.comparing(Photo::taken)).toList();
        if (used.size() > MOST_USED || events.size() > MOST || looks.size() > MOST || photos.size() > MOST) {
            throw new IllegalArgumentException("A page holds " + MOST + " events, looks and photos at most.");
        }
        looks.stream().filter(l -> l.at().isBefore(made.finished())).findFirst().ifPresent(l -> {
            throw new IllegalArgumentException("How it lasted is looked at after it is finished, not on " + l.at() + ".");
        });
    }

    private static void checkWords(String words) {
        if (words.length() > LONGEST) {
            throw new IllegalArgumentException("A line of the book has at most " + LONGEST + " letters, not " + words.length() + ".");
        }
    }

    public Page plus(Event event) {
        List<Event> more = new ArrayList<>(events);
        more.add(event);
        return withEvents(more);
    }

    public Page plus(Look look) {
        List<Look> more = new ArrayList<>(looks);
        more.add(look);
        return withLooks(more);
    }

    public Page plus(Photo photo) {
        List<Photo> more = new ArrayList<>(photos);
        more.add(photo);
        return withPhotos(more);
    }

    /** How it was found last; empty while nobody has looked. */
    public Optional<Look> lastLook() {
        return looks.isEmpty() ? Optional.empty() : Optional.of(looks.get(looks.size() - 1));
    }

    /** What went wrong on the way, and what was learnt by it. */
    public List<Event> lessons() {
        return events.stream().filter(e -> e.kind() != Event.Kind.CHANGED).toList();
    }
}
