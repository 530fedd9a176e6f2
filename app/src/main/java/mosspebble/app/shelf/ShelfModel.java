package mosspebble.app.shelf;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Workbench;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Drawdown;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Pot;
import mosspebble.core.colour.Shelf;
import mosspebble.core.plan.TakenOut;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;
import mosspebble.files.LanternWalk;
import mosspebble.files.QuarrelCsv;
import mosspebble.files.ShelfCsv;
import mosspebble.instruments.StripeReader;

/** The shelf: the paint in hand, changing and calibrating it, tests of what smears, CSV in and out. */
public final class ShelfModel {

    /** Readings taken of one patch. */
    private static final int READINGS = 5;

    private final Workbench workbench;
    private final FileWork files;
    private final StripeReader reader;
    private Supplier<Map<String, Double>> takenOut = Map::of;
    private final StringProperty paint = new SimpleStringProperty("");
    private final ReadOnlyObjectWrapper<ShelfCsv.Read> brought = new ReadOnlyObjectWrapper<>();

    public ShelfModel(Workbench workbench, FileWork files, StripeReader reader) {
        this.reader = reader;
        this.files = files;
        this.workbench = workbench;
    }

    /** @param taken millilitres, by paint, that passes took which are ticked off, while their stones are in hand */
    void takenOutBy(Supplier<Map<String, Double>> taken) {
        takenOut = taken;
    }

    /** What is in the pot now: what was counted, less what passes took since. */
    Millilitres left(Paint of) {
        return new Millilitres(Math.max(0, of.left().value() - takenOut.get().getOrDefault(of.id(), 0.0)));
    }

    /** A pot in which there is so much now. @param ml 0 or more */
    Pot holding(Paint of, double ml) {
        return new Pot(new Millilitres(ml + takenOut.get().getOrDefault(of.id(), 0.0)), of.pot().full(), of.pot().price());
    }

    /** Id of the paint in hand. */
    public StringProperty paintProperty() {
        return paint;
    }

    /** A file that was read and waits for the painter's word; null for none. */
    public ReadOnlyObjectProperty<ShelfCsv.Read> broughtProperty() {
        return brought.getReadOnlyProperty();
    }

    public Shelf shelf() {
        return workbench.studio().shelf();
    }

    /** The paint in hand, else the first. */
    public Optional<Paint> inHand() {
        return shelf().find(paint.get()).or(() -> shelf().paints().stream().findFirst());
    }

    public boolean change(String what, UnaryOperator<Paint> change) {
        return inHand().map(p -> workbench.editStudio(what + " of " + p.name(), s -> s.withShelf(s.shelf().with(change.apply(p)))))
                .orElse(false);
    }

    /** Lays out a made-up shelf where there is none; what stands on one already is one's own, and stays as it is. */
    public void layOutSample() {
        if (shelf().paints().isEmpty()) {
            workbench.editStudio("Lay out a sample shelf", s -> s.withShelf(LanternWalk.shelf()));
            workbench.tell("A sample shelf is laid out: " + shelf().paints().size()
                    + " paints, pens and the like, all made up. S looks at it.");
        } else {
            workbench.tell("Paints stand on the shelf already; a sample is laid out only where there are none.");
        }
    }

    /** A new paint beside the one in hand, of its kind. */
    public void add() {
        PaintKind kind = inHand().map(Paint::kind).orElse(PaintKind.BRUSH);
        String name = "new " + kind.label();
        String id = shelf().freeId(name);
        if (workbench.editStudio("Add a paint",
                s -> s.withShelf(s.shelf().with(Paint.usual(id, free(name), kind, Srgb.ofHex("#9a8f7a"), new Millilitres(20)))))) {
            paint.set(id);
        }
    }

    private String free(String name) {
        String tried = name;
        for (int n = 2; taken(tried); n++) {
            tried = name + " " + n;
        }
        return tried;
    }

    private boolean taken(String name) {
        return shelf().paints().stream().anyMatch(p -> p.name().equalsIgnoreCase(name));
    }

    public void takeAway() {
        inHand().ifPresent(p -> workbench.editStudio("Take " + p.name() + " off the shelf", s -> s.withShelf(s.shelf().without(p.id()))));
    }

    /** Another name; refused if another paint has it. */
    public Optional<String> rename(String name) {
        if (inHand().filter(p -> !p.name().equalsIgnoreCase(name.strip())).isPresent() && taken(name.strip())) {
            return Optional.of("Another paint is called that. Give each a name of its own.");
        }
        return change("Name", p -> p.withName(name.strip())) ? Optional.empty() : refusal();
    }

    private Optional<String> refusal() {
        String reason = workbench.noticeProperty().get();
        workbench.tell("");
        return Optional.of(reason);
    }

    // --- the reader

    private List<Srgb> read(Paint of, StripeReader.Patch patch) {
        List<Srgb> readings = new ArrayList<>();
        for (int i = 0; i < READINGS; i++) {
            readings.add(reader.read(of, patch));
        }
        return readings;
    }

    /** What the shelf reads stripes with. */
    public StripeReader reader() {
        return reader;
    }

    /** The swatch from the reader, held on the dry patch; a stand-in that only gives back what the shelf says changes nothing. */
    public void readSwatch() {
        inHand().ifPresent(p -> {
            Srgb read = mean(read(p, StripeReader.Patch.DRY));
            if (!reader.readsSwatch()) {
                workbench.tell("The " + reader.label() + " shows " + read.hex() + ", made from what the shelf says of " + p.name()
                        + ": nothing was measured and nothing was changed.");
            } else if (change("Colour", q -> q.withSwatch(read))) {
                workbench.tell("The " + reader.label() + " read " + read.hex() + ", the mean of " + READINGS + ".");
            }
        });
    }

    private static Srgb mean(List<Srgb> readings) {
        return new Srgb((int) Math.round(readings.stream().mapToInt(Srgb::red).average().orElseThrow()),
                (int) Math.round(readings.stream().mapToInt(Srgb::green).average().orElseThrow()),
                (int) Math.round(readings.stream().mapToInt(Srgb::blue).average().orElseThrow()));
    }

    /** The black was gone after so many coats. */
    public void counted(int coats) {
        inHand().ifPresent(p -> found(Drawdown.counted(p, coats), "the black was gone after " + coats + (coats == 1 ? " coat" : " coats")));
    }

    /** Both patches of a stripe of one coat are read. */
    public void readStripe() {
        inHand().ifPresent(p -> {
            try {
                found(Drawdown.read(p, 1, Drawdown.Card.PRINTED, read(p, StripeReader.Patch.OVER_BLACK),
                        read(p, StripeReader.Patch.OVER_WHITE)), "both patches were read");
            } catch (IllegalArgumentException e) {
                workbench.tell(e.getMessage());
            }
        });
    }

    private void found(Drawdown drawdown, String how) {
        double hiding = Math.min(0.999, Math.max(0.02, drawdown.hiding()));
        if (change("Hiding", q -> q.withHiding(hiding, Math.min(0.5, drawdown.spread())))) {
            workbench.tell("One coat hides " + Numbers.text(100 * hiding, 1) + " % ± " + Numbers.text(100 * drawdown.spread(), 1) + ": "
                    + how + ".");
        }
    }

    /** The same patch wet and dry. */
    public void readWetAndDry() {
        inHand().ifPresent(p -> {
            try {
                double shift = Math.round(10 * Drawdown.dryingShift(read(p, StripeReader.Patch.WET), read(p, StripeReader.Patch.DRY)))
                        / 10.0;
                if (change("Drying shift", q -> q.withDryingShift(shift))) {
                    workbench.tell(
                            p.name() + " dries " + (shift > 0 ? "darker" : "lighter") + " by " + Numbers.text(Math.abs(shift), 1) + " L*.");
                }
            } catch (IllegalArgumentException e) {
                workbench.tell(e.getMessage());
            }
        });
    }

    // --- tests

    /** What one's own test of the paint in hand under another product said; empty if not tested. */
    public Optional<SmearTest> test(String above) {
        return inHand().flatMap(p -> workbench.studio().tests().stream().filter(t -> t.below().equals(p.id()) && t.above().equals(above))
                .reduce((a, b) -> b));
    }

    /** Enters a test; an empty outcome forgets it. */
    public void test(String above, Optional<SmearTest.Outcome> outcome) {
        inHand().ifPresent(p -> workbench.editStudio("Smear test of " + p.name(), s -> {
            List<SmearTest> tests = new ArrayList<>(s.tests());
            tests.removeIf(t -> t.below().equals(p.id()) && t.above().equals(above));
            outcome.ifPresent(o -> tests.add(new SmearTest(p.id(), above, o, "")));
            return s.withTests(tests);
        }));
    }

    // --- CSV

    /** Reads a file; what is in order waits for the painter's word. */
    public void bring(Path file) {
        files.run("Reading " + file.getFileName(), () -> ShelfCsv.read(file), (ShelfCsv.Read read) -> {
            if (read.paints().isEmpty() && read.troubles().isEmpty()) {
                workbench.tell(file.getFileName() + " holds no paints: there is a head row and nothing below it.");
                return;
            }
            brought.set(read);
        });
    }

    /** Takes over what was read: a paint of the same name is replaced, others are added. */
    public void takeOver() {
        ShelfCsv.Read read = brought.get();
        if (read != null && workbench.editStudio("Bring " + read.paints().size() + " paints", s -> {
            Shelf shelf = s.shelf();
            for (Paint each : read.paints()) {
                Optional<Paint> same = shelf.paints().stream().filter(p -> p.name().equalsIgnoreCase(each.name())).findFirst();
                String id = same.map(Paint::id).orElse(shelf.freeId(each.name()));
                shelf = shelf.with(each.withId(id));
            }
            return s.withShelf(shelf);
        })) {
            brought.set(null);
        }
    }

    public void leaveIt() {
        brought.set(null);
    }

    public void write(Path file) {
        Shelf now = TakenOut.from(shelf(), takenOut.get());
        files.run("Writing " + file.getFileName(), () -> {
            ShelfCsv.write(now, file);
            return file.toAbsolutePath();
        }, written -> workbench.tell("Written: " + written));
    }

    // --- what goes over what

    /** The painter's own rules, in their order. */
    public List<Quarrel> quarrels() {
        return workbench.studio().known().quarrels();
    }

    public void withoutQuarrel(int index) {
        List<Quarrel> fewer = new ArrayList<>(quarrels());
        fewer.remove(index);
        workbench.editStudio("Take a rule out", s -> s.withQuarrels(fewer));
    }

    /** Reads a table of rules; its own rows take the place of those there were, in one edit. */
    public void bringRules(Path file) {
        files.run("Reading " + file.getFileName(), () -> QuarrelCsv.read(file), (QuarrelCsv.Read read) -> {
            String left = read.troubles().isEmpty() ? "" : " " + read.troubles().size() + " not read: " + read.troubles().get(0);
            if (read.own().isEmpty()) {
                workbench.tell(file.getFileName() + " holds no rules of your own." + left);
            } else if (workbench.editStudio("Bring " + read.own().size() + " rules", s -> s.withQuarrels(read.own()))) {
                workbench.tell("Rules of your own: " + read.own().size() + "." + left);
            }
        });
    }

    public void writeRules(Path file) {
        List<Quarrel> own = quarrels();
        files.run("Writing " + file.getFileName(), () -> {
            QuarrelCsv.write(own, file);
            return file.toAbsolutePath();
        }, written -> workbench.tell("Written: " + written));
    }
}
