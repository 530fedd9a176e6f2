package mosspebble.app.finish;

import java.util.function.Supplier;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import java.util.Locale;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.book.Finished;
import mosspebble.core.book.Page;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.care.SealChoice;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.SittingPage;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.Untested;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Item;
import mosspebble.core.units.LengthUnit;
import mosspebble.files.FileTrouble;
import mosspebble.files.Journal;
import mosspebble.files.LabelSheet;
import mosspebble.files.Paper;
import mosspebble.files.SheetBook;
import mosspebble.files.Sheets;
import mosspebble.files.SittingSheets;
import java.time.Month;
import java.util.function.BooleanSupplier;
import java.util.function.Function;

/** Which matter of finishing one is at, the sheets as they would be printed now, and what could seal the stone. */
public final class FinishModel {

    /** What finishing is made of. */
    public enum Matter {
        SHEETS("Sheets", "Guide and step cards, to print"), SEAL("Seal", "What seals it, when, and what comes after"), JARS("Jars",
                "What it takes, what is left, what to buy"),
        PICTURE("Picture", "A picture of the stone, and the plan as a file");

        private final String label;
        private final String tooltip;

        Matter(String label, String tooltip) {
            this.label = label;
            this.tooltip = tooltip;
        }

        String label() {
            return label;
        }

        String tooltip() {
            return tooltip;
        }
    }

    /** What lies on the table. */
    enum Pages {
        STONE("this stone", "Guide and steps of the stone on the cloth"), LABEL("label", "To go with the stone as a gift or for sale"),
        SITTINGS("sittings", "A page for each sitting, over all stones in hand");

        private final String label;
        private final String tooltip;

        Pages(String label, String tooltip) {
            this.label = label;
            this.tooltip = tooltip;
        }

        String label() {
            return label;
        }

        String tooltip() {
            return tooltip;
        }
    }

    /** Binds what lies on the table; answers with nothing where it was given up. */
    private interface Binding {
        Optional<SheetBook> bound(BooleanSupplier unwanted) throws FileTrouble;
    }

    /** Makes sheets of a plan, or finds those that lie on the table; for any thread but the window's. Empty if told to stop. */
    interface Making {
        Optional<SheetBook> of(PaintPlan plan, Sheets.Progress progress) throws FileTrouble;
    }

    private final Workbench workbench;
    private final Results show;
    private final PlanWorker desk;
    final Exports exports;
    private final ObjectProperty<Pages> pages = new SimpleObjectProperty<>(Pages.STONE);
    private final ObjectProperty<LabelSheet.Size> labelSize = new SimpleObjectProperty<>(LabelSheet.Size.LARGE);
    private final BooleanProperty pageFull = new SimpleBooleanProperty(true);
    private final ReadOnlyStringWrapper without = new ReadOnlyStringWrapper("");
    private Supplier<Optional<List<SittingPage>>> sittings = Optional::empty;
    private Function<Item, String> title = item -> "";
    private Runnable planSittings = () -> {};
    private Clock clock = Clock.systemDefaultZone();
    private final ObjectProperty<Matter> matter = new SimpleObjectProperty<>(Matter.SHEETS);
    private final ObjectProperty<Paper> paper = new SimpleObjectProperty<>(Paper.usualIn(Locale.getDefault()));
    private final BooleanProperty mirrored = new SimpleBooleanProperty();
    private final BooleanProperty template = new SimpleBooleanProperty();
    private final ObjectProperty<Sheets.Cards> cards = new SimpleObjectProperty<>(Sheets.Cards.WHOLE);
    private final ReadOnlyObjectWrapper<SheetBook> book = new ReadOnlyObjectWrapper<>();
    private final PlanWorker.Line binding = new PlanWorker.Line();
    private List<Object> boundAs = List.of();
    private Function<Paint, Optional<String>> told = sealer -> Optional.empty();
    private Supplier<List<String>> turn = List::of;

    public FinishModel(Workbench workbench, Results show, PlanWorker desk) {
        this.workbench = workbench;
        this.show = show;
        this.desk = desk;
        this.exports = new Exports(workbench, desk);
        show.planProperty().addListener((o, a, b) -> bind());
        workbench.stageProperty().addListener((o, a, b) -> bind());
        matter.addListener((o, a, b) -> bind());
        paper.addListener((o, a, b) -> bind());
        cards.addListener((o, a, b) -> bind());
        mirrored.addListener((o, a, b) -> bind());
        template.addListener((o, a, b) -> bind());
        pages.addListener((o, a, b) -> bind());
        labelSize.addListener((o, a, b) -> bind());
        pageFull.addListener((o, a, b) -> bind());
    }

    ObjectProperty<Pages> pagesProperty() {
        return pages;
    }

    ObjectProperty<LabelSheet.Size> labelSizeProperty() {
        return labelSize;
    }

    /** Whether a page is filled with labels; else there is one. */
    BooleanProperty pageFullProperty() {
        return pageFull;
    }

    /** Why there are no pages; empty while there are, or while they are made. */
    ReadOnlyStringProperty withoutProperty() {
        return without.getReadOnlyProperty();
    }

    /**
     * Where the sittings come from.
     *
     * @param planned their pages; empty while they are not planned
     * @param plan has them planned
     */
    public void sittings(Supplier<Optional<List<SittingPage>>> planned, Runnable plan) {
        sittings = planned;
        planSittings = plan;
    }

    /** Told when there is another timetable. */
    public void sittingsChanged() {
        if (pages.get() == Pages.SITTINGS) {
            bind();
        }
    }

    /** What stands on a label besides. @param of the name of a thing that is painted */
    public void labels(Clock today, Function<Item, String> of) {
        clock = today;
        title = of;
    }

    public ObjectProperty<Matter> matterProperty() {
        return matter;
    }

    ObjectProperty<Paper> paperProperty() {
        return paper;
    }

    /** Whether guides come once more mirrored. */
    BooleanProperty mirroredProperty() {
        return mirrored;
    }

    /** Whether there is a template to cut out. */
    BooleanProperty templateProperty() {
        return template;
    }

    private Sheets.Layout layout() {
        return new Sheets.Layout(cards.get(), mirrored.get(), template.get()).withShelf(workbench.studio().shelf());
    }

    /** How what is chosen now is made: the sheets of any plan, or the pages that lie on the table; empty where those are not made yet. */
    Optional<Making> making() {
        if (pages.get() != Pages.STONE) {
            return Optional.ofNullable(book.get()).map(made -> (plan, progress) -> Optional.of(made));
        }
        return Optional.of(sheets());
    }

    private Making sheets() {
        LengthUnit unit = workbench.studio().unit();
        Paper on = paper.get();
        Sheets.Layout laidOut = layout();
        return (plan, progress) -> desk.sheets(plan, on, unit, laidOut, progress);
    }

    /** How steps are laid out on them. */
    ObjectProperty<Sheets.Cards> cardsProperty() {
        return cards;
    }

    /** The sheets; null while they are being made. */
    ReadOnlyObjectProperty<SheetBook> bookProperty() {
        return book.getReadOnlyProperty();
    }

    /** Makes the sheets anew where they are looked at and something changed. */
    private void bind() {
        PaintPlan plan = show.plan();
        if (workbench.stageProperty().get() != Stage.FINISH || matter.get() != Matter.SHEETS) {
            return;
        }
        LengthUnit unit = workbench.studio().unit();
        Paper on = paper.get();
        Pages wanted = pages.get();
        List<SittingPage> planned = wanted == Pages.SITTINGS ? sittings.get().orElse(null) : null;
        if (wanted == Pages.SITTINGS && planned == null) {
            planSittings.run();
        }
        List<Object> as = plan == null && planned == null ? List.of(wanted)
                : List.of(System.identityHashCode(plan), System.identityHashCode(planned), on, unit, layout(), wanted, labelSize.get(),
                        pageFull.get());
        if (as.equals(boundAs)) {
            return;
        }
        boundAs = as;
        book.set(null);
        without.set(switch (wanted) {
            case SITTINGS -> planned == null || planned.isEmpty() ? "No sitting is planned: see Sitting, where they are." : "";
            default -> plan == null || !plan.steps().isEmpty() ? "" : "Nothing is painted on this stone yet.";
        });
        if (plan == null && wanted != Pages.SITTINGS || !without.get().isEmpty()) {
            return;
        }
        Binding way = binding(wanted, plan, planned, on);
        desk.askBeside(binding, unwanted -> {
            try {
                return way.bound(unwanted);
            } catch (FileTrouble e) {
                Journal.trouble("sheets to look at", e);
                return Optional.<SheetBook>empty();
            }
        }, made -> book.set(made.orElse(null)), error -> book.set(null));
    }

    private Binding binding(Pages wanted, PaintPlan plan, List<SittingPage> planned, Paper on) {
        Studio studio = workbench.studio();
        Making sheets = sheets();
        return switch (wanted) {
            case STONE -> unwanted -> sheets.of(plan, (fraction, what) -> !unwanted.getAsBoolean());
            case SITTINGS -> unwanted -> Optional.of(SittingSheets.book(planned, studio.shelf(), on, clock.getZone()));
            case LABEL -> {
                LabelSheet.Size size = labelSize.get();
                int count = pageFull.get() ? LabelSheet.toAPage(size, on) : 1;
                List<String> shows = plan.project().sketch().stream().flatMap(s -> s.items().stream()).map(title).distinct().toList();
                Page page = Finished.page(plan.project().id(), plan, studio, shows, LocalDate.now(clock), clock.getZone());
                yield unwanted -> Optional
                        .of(LabelSheet.book(Collections.nCopies(count, LabelSheet.label(page, plan)), size, on));
            }
        };
    }

    /** Name of a file of what lies on the table, to follow the stone's. */
    String ending() {
        return switch (pages.get()) {
            case STONE -> "-sheets.pdf";
            case LABEL -> "-label.pdf";
            case SITTINGS -> "-sittings.pdf";
        };
    }

    // --- sealing

    /** What the painter's own book tells of a sealer; empty for nothing. */
    Optional<String> told(Paint sealer) {
        return told.apply(sealer);
    }

    /** @param told what the book tells of a sealer, asked when the seals are looked at */
    public void toldBy(Function<Paint, Optional<String>> byTheBook) {
        told = byTheBook;
    }

    /** @param order ids of stones as they are painted one after the other, as far as that is known */
    public void inTurn(Supplier<List<String>> order) {
        turn = order;
    }

    /** All stones in hand, those first that are painted first. */
    List<Project> stonesInTurn() {
        List<String> first = turn.get();
        return workbench.studio().projects().stream()
                .sorted(Comparator.comparingInt(p -> first.contains(p.id()) ? first.indexOf(p.id()) : first.size())).toList();
    }

    Optional<Step.Seal> planned() {
        return Optional.ofNullable(show.plan()).stream().flatMap(p -> p.steps().stream()).filter(s -> s instanceof Step.Seal)
                .map(s -> (Step.Seal) s).reduce((a, b) -> b);
    }

    public boolean outdoors() {
        return workbench.shown().map(p -> p.habits().outdoors()).orElse(true);
    }

    SealAdvice advice() {
        return planned().map(Step.Seal::advice).orElseGet(() -> SealAdvice.of(workbench.shown().map(Project::stone).orElseThrow(),
                outdoors()));
    }

    /** Id of the sealer that is planned; empty for none. */
    String sealer() {
        return planned().flatMap(Step::mix).map(m -> m.parts().get(0).paint()).orElse("");
    }

    /** The planned sealer and the best of the others. */
    List<SealChoice> seals(Month now, int most) {
        double area = planned().isEmpty() ? 0
                : show.plan().steps().stream().filter(s -> s instanceof Step.Seal).mapToDouble(s -> s.work().areaMm2()).sum(); // both faces
        if (area <= 0) {
            return List.of();
        }
        List<Paint> shelf = workbench.studio().shelf().that(PaintKind.Use.SEALS);
        String taken = sealer();
        Finish wanted = shelf.stream().filter(p -> p.id().equals(taken)).map(Paint::finish).findFirst().orElse(Finish.SATIN);
        List<SealChoice> all = SealChoice.of(shelf, workbench.shown().map(Project::stone).orElseThrow(), area,
                new SealChoice.Wish(outdoors(), wanted, now), painted(), workbench.studio().known());
        return Stream.concat(all.stream().filter(c -> c.sealer().id().equals(taken)),
                all.stream().filter(c -> !c.sealer().id().equals(taken))).limit(most).toList();
    }

    /** What the plan lays below its seal. */
    private List<Paint> painted() {
        return show.plan().steps().stream().filter(s -> s instanceof Step.Lay).flatMap(s -> s.layers().stream())
                .flatMap(l -> l.load().mix().parts().stream()).distinct()
                .flatMap(p -> workbench.studio().shelf().find(p.paint()).stream()).toList();
    }

    /** What was never tried under the sealer. */
    List<Untested.Pair> untested() {
        return show.plan() == null ? List.of()
                : Untested.of(show.plan(), workbench.studio().shelf(), workbench.studio().known());
    }
}
