package mosspebble.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.units.LengthUnit;

/**
 * Everything a painter has: the whole state of the application that is kept.
 *
 * @param projects stones in hand
 * @param basket stones that wait
 * @param known what was found out about products over one another, and rules of the painter's own
 * @param own motifs and faces of the painter's own
 * @param room the air at the table, and the room there is
 * @param diary when there is time to paint, and what is done
 */
@RecordBuilder
public record Studio(List<Project> projects, List<FoundStone> basket, List<OwnFile> own, Shelf shelf, Compatibility.Known known,
        Room room, Diary diary, View view) implements StudioBuilder.With {

    /**
     * How it is looked at.
     *
     * @param led whether somebody at the first stone is told what to do where
     */
    public record View(LengthUnit unit, boolean evening, Comfort comfort, boolean led) {
        public View {
            Objects.requireNonNull(unit);
            Objects.requireNonNull(comfort);
        }
    }

    /**
     * What suits the painter's eyes and hands.
     *
     * @param textPercent size of all words, 100 to 200 % of the usual
     * @param contrast whether ink is black and grounds are plain
     * @param still whether nothing flashes or plays by itself
     * @param leftHand whether the column stands at the left, where the left hand is
     * @param cardPx how wide a bank card is on the painter's screen, pixels of the interface; 0 while that was not asked
     */
    public record Comfort(int textPercent, boolean contrast, boolean still, boolean leftHand, double cardPx) {

        /** Width of a bank card, mm: ISO/IEC 7810, ID-1. */
        public static final double CARD_MM = 85.60;
        /** Narrowest and widest that a card is on any screen, pixels. */
        public static final double LEAST_CARD_PX = 150;
        public static final double MOST_CARD_PX = 900;

        public Comfort(int textPercent, boolean contrast, boolean still, boolean leftHand) {
            this(textPercent, contrast, still, leftHand, 0);
        }

        /** As it is for whoever chose nothing. */
        public static final Comfort USUAL = new Comfort(100, false, false, false);
        /** Sizes of text to choose among, %. */
        public static final List<Integer> SIZES = List.of(100, 125, 150, 175, 200);

        public Comfort {
            if (textPercent < 100 || textPercent > 200) {
                throw new IllegalArgumentException("Words can be shown at 100 to 200 % of their usual size, not at " + textPercent + " %.");
            }
            if (cardPx != 0 && !(cardPx >= LEAST_CARD_PX && cardPx <= MOST_CARD_PX)) {
                throw new IllegalArgumentException("A card is 150 to 900 pixels wide on a screen.");
            }
        }

        public Comfort withCardPx(double px) {
            return new Comfort(textPercent, contrast, still, leftHand, px);
        }

        /** The next larger or smaller size there is; the same at the end. */
        public Comfort sized(boolean larger) {
            return new Comfort(larger ? SIZES.stream().filter(s -> s > textPercent).findFirst().orElse(textPercent)
                    : SIZES.stream().filter(s -> s < textPercent).reduce((a, b) -> b).orElse(textPercent), contrast, still, leftHand,
                    cardPx);
        }

        public Comfort withTextPercent(int percent) {
            return new Comfort(percent, contrast, still, leftHand, cardPx);
        }

        public Comfort withContrast(boolean on) {
            return new Comfort(textPercent, on, still, leftHand, cardPx);
        }

        public Comfort withStill(boolean on) {
            return new Comfort(textPercent, contrast, on, leftHand, cardPx);
        }

        public Comfort withLeftHand(boolean on) {
            return new Comfort(textPercent, contrast, still, on, cardPx);
        }
    }

    /** Most stones in the basket. */
    public static final int MOST_FOUND = 500;

    public Studio {
        projects = List.copyOf(projects);
        basket = List.copyOf(basket);
        own = List.copyOf(own);
        if (known.tests().size() > SmearTest.MOST) {
            throw new IllegalArgumentException("A studio keeps " + SmearTest.MOST + " smear tests; take old ones out first.");
        }
        Objects.requireNonNull(shelf);
        Objects.requireNonNull(room);
        Objects.requireNonNull(diary);
        Objects.requireNonNull(view);
        if (Stream.concat(projects.stream().map(Project::id), basket.stream().map(FoundStone::id)).distinct().count()
                < projects.size() + basket.size()) {
            throw new IllegalArgumentException("two stones in the studio have the same id");
        }
        if (own.size() > OwnFile.MOST || own.stream().map(OwnFile::id).distinct().count() < own.size()) {
            throw new IllegalArgumentException("A studio keeps " + OwnFile.MOST + " motifs, faces and tracings of one's own, each once.");
        }
        if (basket.size() > MOST_FOUND) {
            throw new IllegalArgumentException("The basket holds " + MOST_FOUND + " stones; take some out first.");
        }
    }

    public LengthUnit unit() {
        return view.unit();
    }

    public boolean evening() {
        return view.evening();
    }

    /** The usual air at the table. */
    public Climate climate() {
        return room.usual();
    }

    public Studio withClimate(Climate climate) {
        return withRoom(room.withUsual(climate));
    }

    /** The painter's own tests of one product over another. */
    public List<SmearTest> tests() {
        return known.tests();
    }

    public Studio withTests(List<SmearTest> tests) {
        return withKnown(new Compatibility.Known(tests, known.quarrels()));
    }

    public Studio withQuarrels(List<Quarrel> quarrels) {
        return withKnown(new Compatibility.Known(known.tests(), quarrels));
    }

    public Optional<Project> project(String id) {
        return projects.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** The studio with one project changed; the same studio if there is none of that id. */
    public Studio edit(String id, UnaryOperator<Project> change) {
        return withProjects(projects.stream().map(p -> p.id().equals(id) ? change.apply(p) : p).toList());
    }

    public Studio plus(Project project) {
        List<Project> more = new ArrayList<>(projects);
        more.add(project);
        return withProjects(more);
    }

    /** Without a stone, and the pictures to go by that lie on it. */
    public Studio without(String id) {
        return withProjects(projects.stream().filter(p -> !p.id().equals(id)).toList()).withOwn(own.stream()
                .filter(o -> !o.id().equals(SheetBelow.id(id, false)) && !o.id().equals(SheetBelow.id(id, true))).toList());
    }

    public Optional<FoundStone> found(String id) {
        return basket.stream().filter(f -> f.id().equals(id)).findFirst();
    }

    /** A stone of the basket taken in hand. */
    public Studio takenUp(String id) {
        return found(id).map(found -> withBasket(basket.stream().filter(f -> f != found).toList()).plus(Project.begin(found))).orElse(this);
    }

    /** A stone in hand laid into the basket; its picture is given up. */
    public Studio laidBack(String id) {
        return project(id).map(project -> {
            List<FoundStone> more = new ArrayList<>(basket);
            more.add(project.found());
            return without(id).withBasket(more);
        }).orElse(this);
    }

    /** With a file of one's own; one of the same id is replaced. */
    public Studio plus(OwnFile file) {
        List<OwnFile> more = new ArrayList<>(own.stream().filter(o -> !o.id().equals(file.id())).toList());
        more.add(file);
        return withOwn(more);
    }

    /** Without a file of one's own; things that use it are told by a finding. */
    public Studio withoutOwn(String id) {
        return withOwn(own.stream().filter(o -> !o.id().equals(id)).toList());
    }

    public Studio withView(LengthUnit newUnit, boolean newEvening) {
        return withView(new View(newUnit, newEvening, view.comfort(), view.led()));
    }

    public Studio withLed(boolean led) {
        return withView(new View(view.unit(), view.evening(), view.comfort(), led));
    }

    public Studio withComfort(Comfort comfort) {
        return withView(new View(view.unit(), view.evening(), comfort, view.led()));
    }
}
