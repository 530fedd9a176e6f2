package mosspebble.app.book;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javax.imageio.ImageIO;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.sketch.TracingModel;
import mosspebble.core.area.Grid;
import mosspebble.core.book.Answers;
import mosspebble.core.book.Book;
import mosspebble.core.book.Finished;
import mosspebble.core.book.Page;
import mosspebble.core.care.Lessons;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Lamp;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Again;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Item;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.words.BookWords;
import mosspebble.core.words.BookWords.Question;
import mosspebble.files.BookFiles;
import mosspebble.files.BookKeeping;
import mosspebble.files.FileTrouble;
import mosspebble.files.Journal;
import mosspebble.files.LabelSheet;
import mosspebble.files.Paper;

/**
 * The book as it is looked at and written in. It is read when it is first wanted, and every change is written at once, on a thread of its
 * own; a change that the disk refuses is told and taken back.
 */
public final class BookModel {

    /** What the book is open at. */
    public enum Matter {
        SHELF("All stones", "Everything painted, year by year"), PAGE("Page", "One stone: how it was made, where it is, how it lasted"),
        ANSWERS("Answers", "What all of them together teach");

        private final String label;
        private final String tooltip;

        Matter(String label, String tooltip) {
            this.label = label;
            this.tooltip = tooltip;
        }

        public String label() {
            return label;
        }

        public String tooltip() {
            return tooltip;
        }
    }

    /** Longer side of the pictures that are kept, pixels. */
    static final int SMALL = 240;

    private final Workbench workbench;
    private final Results show;
    private final PlanWorker.Line refitting = new PlanWorker.Line();
    private final PlanWorker desk;
    private final BookKeeping keeping;
    private final Clock clock;
    private final Executor disk;
    private final Executor answers;
    private final Function<Item, String> title;
    private final ReadOnlyObjectWrapper<Book> book = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<Matter> matter = new SimpleObjectProperty<>(Matter.SHELF);
    private final StringProperty open = new SimpleStringProperty("");
    private final StringProperty search = new SimpleStringProperty("");
    private final ObjectProperty<Question> question = new SimpleObjectProperty<>(Question.LASTS);
    private final BooleanProperty outdoors = new SimpleBooleanProperty(true);
    private final ObjectProperty<Answers.Rock> rock = new SimpleObjectProperty<>(Answers.Rock.ANY);
    private Lessons taught = Lessons.NOTHING;
    private boolean asked;
    private Runnable whenRead = () -> {};

    /**
     * @param title the painter's name for a thing on a stone
     * @param disk where the book is read and written, one thing after the other
     * @param answers the interface thread
     */
    public BookModel(Workbench workbench, Results show, PlanWorker desk, BookKeeping keeping, Clock clock, Function<Item, String> title,
            Executor disk, Executor answers) {
        this.workbench = workbench;
        this.show = show;
        this.desk = desk;
        this.keeping = keeping;
        this.clock = clock;
        this.title = title;
        this.disk = disk;
        this.answers = answers;
        book.addListener((o, before, now) -> {
            Lessons learnt = now == null ? Lessons.NOTHING : Answers.lessons(now.pages());
            if (!learnt.equals(taught)) {
                taught = learnt;
                show.taught(learnt);
            }
        });
    }

    /** The book; null until it is read. */
    public ReadOnlyObjectProperty<Book> bookProperty() {
        return book.getReadOnlyProperty();
    }

    public ObjectProperty<Matter> matterProperty() {
        return matter;
    }

    /** Id of the page that lies open; empty for none. */
    StringProperty openProperty() {
        return open;
    }

    StringProperty searchProperty() {
        return search;
    }

    public ObjectProperty<Question> questionProperty() {
        return question;
    }

    BooleanProperty outdoorsProperty() {
        return outdoors;
    }

    ObjectProperty<Answers.Rock> rockProperty() {
        return rock;
    }

    LocalDate today() {
        return LocalDate.now(clock);
    }

    /** Reads the book, once. */
    public void read() {
        if (asked) {
            return;
        }
        asked = true;
        ask(keeping::book, read -> {
            book.set(read);
            Runnable next = whenRead;
            whenRead = () -> {};
            next.run();
        }, () -> asked = false);
    }

    /** Something to be read from the disk. */
    private interface Reading<T> {
        T read() throws FileTrouble;
    }

    private <T> void ask(Reading<T> reading, Consumer<T> then, Runnable otherwise) {
        disk.execute(() -> {
            try {
                T read = reading.read();
                answers.execute(() -> then.accept(read));
            } catch (FileTrouble e) {
                Journal.trouble("the book", e);
                answers.execute(() -> {
                    workbench.tell(e.getMessage());
                    otherwise.run();
                });
            } catch (IllegalStateException e) {
                Journal.note("the studio was closed before the book was written"); // the window is closing
            }
        });
    }

    // --- looking

    List<Page> found() {
        return book.get() == null ? List.of() : book.get().found(search.get());
    }

    Optional<Page> page() {
        return book.get() == null ? Optional.empty() : book.get().page(open.get());
    }

    List<Page> due() {
        return book.get() == null ? List.of() : book.get().due(today());
    }

    /** What the book tells of a sealer, outdoors or in; empty where no stone with it was looked at. */
    public Optional<String> told(String sealer, boolean out) {
        return book.get() == null ? Optional.empty() : Answers.sealers(book.get().pages(), p -> p.gone().outdoors() == out
                && p.gone().place() != Page.Gone.Place.HERE && p.made().sealerName().equals(sealer)).stream()
                .filter(s -> !s.lasting().spans().isEmpty()).findFirst().map(s -> BookWords.told(s, out));
    }

    /**
     * What smeared or bled under a seal is minded from now on, as a test of the painter's own: plans that lay the one over the other are
     * told so.
     */
    void mind(Page page, Page.Event event) {
        Studio studio = workbench.studio();
        String seal = page.made().sealer();
        boolean meant = event.kind() == Page.Event.Kind.SMEARED || event.kind() == Page.Event.Kind.BLED;
        if (!meant || event.product().isEmpty() || event.product().equals(seal) || studio.shelf().find(event.product()).isEmpty()
                || studio.shelf().find(seal).isEmpty()) {
            return;
        }
        List<SmearTest> tests = new ArrayList<>(studio.tests().stream()
                .filter(t -> !t.below().equals(event.product()) || !t.above().equals(seal)).toList());
        tests.add(new SmearTest(event.product(), seal, SmearTest.Outcome.SMEARS, BookWords.minded(page)));
        if (workbench.editStudio("Mind what smeared", s -> s.withTests(tests))) {
            workbench.tell(BookWords.minds(product(event.product()), product(seal)));
        }
    }

    public void turnTo(String page) {
        open.set(page);
        matter.set(Matter.PAGE);
    }

    /** To the next page that is found, or the one before. */
    void turn(int by) {
        List<String> ids = found().stream().map(Page::id).toList();
        int at = ids.indexOf(open.get());
        if (!ids.isEmpty()) {
            turnTo(ids.get(Math.floorMod(at < 0 ? 0 : at + by, ids.size())));
        }
    }

    /** How a stone looks: the small picture that is kept, drawn and kept first where there is none. PNG. */
    void picture(Page page, Consumer<byte[]> then) {
        Studio studio = workbench.studio();
        ask(() -> keeping.picture(page.id()), kept -> kept.ifPresentOrElse(then,
                () -> ask(() -> keeping.planned(page.id()), planned -> desk.askLater(new PlanWorker.Line(),
                        d -> png(drawn(d, planned, studio, SMALL)), png -> {
                            keep(page.id(), png);
                            then.accept(png);
                        }), () -> {})),
                () -> {});
    }

    private void keep(String page, byte[] png) {
        ask(() -> {
            keeping.keepPicture(page, png);
            return png;
        }, kept -> {}, () -> {});
    }

    /** A picture on its grid. */
    record Drawn(Grid grid, int[] pixels) {}

    /** A large picture of the stone of a page. @param side longer side, pixels of the screen */
    void large(PlanWorker.Line line, Page page, int side, Consumer<Drawn> then) {
        Studio studio = workbench.studio();
        ask(() -> keeping.planned(page.id()), planned -> desk.ask(line, d -> drawn(d, planned, studio, side), then), () -> {});
    }

    private static Drawn drawn(PlanWorker d, Project project, Studio studio, int side) {
        PaintPlan plan = d.planAside(project, studio);
        Survey survey = plan.survey();
        double wide = survey.dome().outline().halfWidth() + 4;
        double high = survey.dome().outline().halfHeight() + 4;
        Grid grid = Grid.around(wide, high, 2 * Math.max(wide, high) / side);
        boolean sealed = plan.steps().stream().anyMatch(s -> s instanceof Step.Seal);
        StonePicture picture = d.picture(plan, grid, sealed ? StoneState.SEALED : StoneState.DRY, Lamp.DAYLIGHT);
        return new Drawn(grid, d.lit(Results.Moment.after(picture.steps(), picture, project.habits().light().from())).pixels());
    }

    private static byte[] png(Drawn drawn) {
        BufferedImage image = new BufferedImage(drawn.grid.columns(), drawn.grid.rows(), BufferedImage.TYPE_INT_ARGB_PRE);
        image.getRaster().setDataElements(0, 0, drawn.grid.columns(), drawn.grid.rows(), drawn.pixels);
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(image, "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new IllegalStateException("a picture in memory could not be written", e);
        }
    }

    void photo(Page.Photo photo, Consumer<byte[]> then) {
        ask(() -> keeping.photo(photo.id()), kept -> kept.ifPresent(then), () -> {});
    }

    /** Where the original of a photo lies. */
    Path original(Page.Photo photo) {
        return keeping.photos().resolve(photo.original());
    }

    // --- for paper and other programs

    /** Writes rows of all stones and a calendar of the days on which they are to be looked at. */
    void save(FileWork files, Path folder) {
        Book now = book.get();
        LocalDate today = today();
        files.run("Saving the book", () -> {
            BookFiles.csv(now, folder.resolve("book.csv"));
            BookFiles.calendar(now, today, clock.getZone(), folder.resolve("book.ics"));
            return folder;
        }, where -> workbench.tell("Saved: book.csv and book.ics in " + where));
    }

    /** Writes labels for the open page. @param count how many of them */
    void label(FileWork files, LabelSheet.Size size, int count, Path file) {
        page().ifPresent(page -> picture(page, png -> files.run("Making labels", () -> {
            LabelSheet.write(Collections.nCopies(count, new LabelSheet.Label(page, png)), size, Paper.usualIn(Locale.getDefault()), file);
            return file;
        }, done -> workbench.tell("Saved: " + done))));
    }

    // --- writing

    /** Whether the stone on the cloth can go into the book: it is planned. */
    boolean canWrite() {
        PaintPlan plan = show.plan();
        return book.get() != null && plan != null && !plan.steps().isEmpty()
                && workbench.shown().filter(p -> p.id().equals(plan.project().id())).isPresent();
    }

    /** Writes the page of the stone on the cloth and turns to it. */
    void write() {
        if (book.get() == null) { // asked for before it was read
            whenRead = this::write;
            read();
            return;
        }
        if (!canWrite()) {
            workbench.tell("There is no painted stone on the cloth to write about.");
            return;
        }
        PaintPlan plan = show.plan();
        Project whole = workbench.shown().orElseThrow();
        List<String> shows = plan.project().sketch().stream().flatMap(s -> s.items().stream()).map(title).distinct().toList();
        Page page = Finished.page(Finished.id(whole.id(), book.get()), plan, workbench.studio(), shows, today(), clock.getZone());
        Book before = book.get();
        ask(() -> {
            keeping.add(new BookKeeping.Kept(page, whole));
            return page;
        }, done -> {
            workbench.editStudio("Take it off the jars", s -> s.withShelf(Finished.used(s.shelf(), plan, s.diary())));
            workbench.tell(page.stone().name() + " is in the book, and what it took is off the jars; Ctrl Z puts it back there.");
        }, () -> back(before));
        book.set(before.with(page)); // only now: whoever shows it asks the disk for its picture
        turnTo(page.id());
    }

    private void back(Book before) {
        book.set(before);
        if (page().isEmpty()) {
            matter.set(Matter.SHELF);
        }
    }

    /** Changes the page that lies open; answers with the reason where that cannot be. */
    Optional<String> change(UnaryOperator<Page> how) {
        if (page().isEmpty()) {
            return Optional.of("No page is open.");
        }
        Page changed;
        try {
            changed = how.apply(page().orElseThrow());
        } catch (IllegalArgumentException e) {
            return Optional.of(e.getMessage());
        }
        Book before = book.get();
        book.set(before.with(changed));
        ask(() -> {
            keeping.change(changed);
            return changed;
        }, done -> {}, () -> back(before));
        return Optional.empty();
    }

    /** Takes the open page out for good. */
    void takeOut() {
        page().ifPresent(page -> {
            Book before = book.get();
            book.set(before.without(page.id()));
            matter.set(Matter.SHELF);
            ask(() -> {
                keeping.remove(page.id());
                return page;
            }, done -> workbench.tell(page.stone().name() + " is taken out of the book."), () -> back(before));
        });
    }

    /** Lays a photo to the open page. */
    void addPhoto(Path file) {
        page().ifPresent(page -> ask(() -> keeping.addPhoto(page, file, today(), ""), with -> {
            book.set(book.get().with(with));
            workbench.tell("The photo is laid to " + page.stone().name() + ".");
        }, () -> {}));
    }

    /**
     * Begins another stone with the design of the open page; what was learnt by the first is told.
     *
     * @param then called once it lies on the cloth
     */
    void again(Optional<Stone> on, Runnable then) {
        page().ifPresent(page -> ask(() -> keeping.planned(page.id()), planned -> {
            Project again = planned.withId("stone-" + UUID.randomUUID()).withName(page.stone().name() + " again", planned.purpose())
                    .withWeighings(List.of()).withOldPaint(List.of());
            Studio studio = workbench.studio();
            String lessons = BookWords.lessons(page, this::product);
            desk.ask(refitting, d -> Again.on(on.orElse(again.stone()), again, d.repertoire(studio)), laid -> {
                workbench.add(laid.project());
                String lies = on.isEmpty() ? "" : "It lies here " + TracingModel.size(laid.size()) + ". ";
                workbench.tell(lies + (lessons.isEmpty() ? "Nothing went wrong with it last time." : lessons));
                then.run();
            });
        }, () -> {}));
    }

    /** The name of a product, as it is on the shelf or was on a page. */
    String product(String id) {
        return workbench.studio().shelf().find(id).map(p -> p.name())
                .or(() -> book.get() == null ? Optional.empty() : book.get().pages().stream().flatMap(p -> p.used().stream())
                        .filter(u -> u.paint().equals(id)).map(Page.Used::name).findFirst())
                .orElse(id);
    }

    /** The product of a page that is meant by its name or the beginning of it; empty for none. */
    static Optional<String> used(Page page, String name) {
        String sought = name.strip().toLowerCase(Locale.ROOT);
        return sought.isEmpty() ? Optional.empty() : page.used().stream().filter(u -> u.name().toLowerCase(Locale.ROOT).equals(sought))
                .findFirst().or(() -> page.used().stream().filter(u -> u.name().toLowerCase(Locale.ROOT).startsWith(sought)).findFirst())
                .map(Page.Used::paint);
    }
}
