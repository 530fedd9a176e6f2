package mosspebble.app.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.lang.reflect.Proxy;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import mosspebble.app.Year;
import mosspebble.app.model.AnswersInTurn;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.book.Page;
import mosspebble.core.care.SmearTest;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.words.FindingWords;
import mosspebble.files.BookInHand;
import mosspebble.files.BookKeeping;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LabelSheet;
import mosspebble.files.LanternWalk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The book without a window, on a disk that can be made to refuse. */
class BookModelTest {

    private static final Studio WALK = LanternWalk.studio(BuiltIn.repertoire());
    private static final List<BookKeeping.Kept> YEAR = Year.pages();

    private final AnswersInTurn answers = new AnswersInTurn();
    private final BookInHand kept = new BookInHand(YEAR);
    private boolean full;
    private Workbench workbench;
    private Results results;
    private BookModel model;

    /** The book as it is kept, until the disk is full. */
    private BookKeeping disk() {
        return (BookKeeping) Proxy.newProxyInstance(getClass().getClassLoader(), new Class<?>[] {BookKeeping.class},
                (proxy, method, arguments) -> {
                    if (full && List.of("add", "change", "remove").contains(method.getName())) {
                        throw new FileTrouble("s.pebble", "The page is not kept: the disk is full.", "Make room.");
                    }
                    return method.invoke(kept, arguments);
                });
    }

    private interface Use {
        void of(PlanWorker desk) throws Exception;
    }

    private void with(Use use) throws Exception {
        workbench = new Workbench(WALK.withProjects(List.of(WALK.project("snail").orElseThrow())), (s, title) -> {});
        try (PlanWorker desk = new PlanWorker(BuiltIn::repertoire, answers, error -> {
            throw new AssertionError(error);
        })) {
            results = new Results(workbench, desk);
            model = new BookModel(workbench, results, desk, disk(), Clock.fixed(Instant.parse("2026-11-27T18:00:00Z"), ZoneOffset.UTC),
                    item -> "Snail with post", Runnable::run, answers);
            desk.begin();
            answers.until(() -> results.plan() != null && desk.idle());
            model.read();
            answers.until(() -> model.bookProperty().get() != null);
            use.of(desk);
        }
    }

    @Test
    void theStoneOnTheClothGetsAPageWithWhatItsPlanSays() throws Exception {
        with(desk -> {
            model.write();
            answers.until(() -> !workbench.noticeProperty().get().isEmpty());
            Page page = model.page().orElseThrow();
            assertThat(page.id()).isEqualTo("snail");
            assertThat(page.stone().shows()).containsExactly("Snail with post");
            assertThat(page.made().finished()).isEqualTo(LocalDate.of(2026, 11, 27));
            assertThat(kept.book().page("snail")).hasValue(page);
            assertThat(kept.planned("snail")).isEqualTo(WALK.project("snail").orElseThrow());
            for (PaintUse use : results.plan().supplies()) {
                double before = WALK.shelf().find(use.paint()).orElseThrow().pot().left().value();
                assertThat(workbench.studio().shelf().find(use.paint()).orElseThrow().pot().left().value()).as(use.paint())
                        .isCloseTo(Math.max(0, before - use.needed().value()), within(1e-9));
            }
            assertThat(workbench.undoTitleProperty().get()).isEqualTo("Take it off the jars");
            workbench.undo();
            assertThat(workbench.studio().shelf()).isEqualTo(WALK.shelf());
            assertThat(kept.book().page("snail")).as("the book is outside undo").isPresent();
            model.write();
            answers.until(() -> model.page().orElseThrow().id().equals("snail-2"));
            assertThat(kept.book().pages()).hasSize(YEAR.size() + 2);
        });
    }

    @Test
    void paintedAgainOnASmallerStoneItIsFittedThere() throws Exception {
        with(desk -> {
            model.write();
            answers.until(() -> model.page().isPresent());
            Project first = WALK.project("snail").orElseThrow();
            Stone small = first.stone().withSize(new Millimetres(first.stone().length().value() / 2),
                    new Millimetres(first.stone().width().value() / 2), new Millimetres(first.stone().height().value() / 2));
            model.again(Optional.of(small), () -> {});
            answers.until(() -> workbench.studio().projects().size() == 2);
            Project again = workbench.studio().projects().get(1);
            assertThat(again.name()).isEqualTo(first.name() + " again");
            assertThat(again.stone()).isEqualTo(small);
            double size = again.sketch().orElseThrow().items().get(0).placement().scale()
                    / first.sketch().orElseThrow().items().get(0).placement().scale();
            assertThat(size).isBetween(0.35, 0.65);
            assertThat(workbench.noticeProperty().get()).startsWith("It lies here at 0.").contains("of its size.");
        });
    }

    @Test
    void whatTheDiskRefusesIsTakenBackAndTold() throws Exception {
        with(desk -> {
            full = true;
            model.write();
            answers.until(() -> !workbench.noticeProperty().get().isEmpty());
            assertThat(workbench.noticeProperty().get()).contains("disk is full");
            assertThat(model.bookProperty().get().page("snail")).isEmpty();
            assertThat(model.matterProperty().get()).isEqualTo(BookModel.Matter.SHELF);
            model.turnTo("y-key");
            Page before = model.page().orElseThrow();
            assertThat(model.change(p -> p.withGone(p.gone().withPrice(99)))).isEmpty();
            answers.until(() -> model.page().orElseThrow().equals(before));
            full = false;
            assertThat(model.change(p -> p.withGone(p.gone().withPrice(-3)))).hasValueSatisfying(r -> assertThat(r).contains("price"));
            assertThat(model.change(p -> p.withGone(p.gone().withPrice(99)))).isEmpty();
            answers.until(() -> true);
            assertThat(kept.book().page("y-key").orElseThrow().gone().price()).isEqualTo(99);
        });
    }

    @Test
    void aStoneIsPaintedAgainWithWhatWasLearnt() throws Exception {
        with(desk -> {
            model.turnTo("y-mole");
            List<String> gone = new ArrayList<>();
            model.again(Optional.empty(), () -> gone.add("to the cloth"));
            answers.until(() -> !gone.isEmpty());
            Project again = workbench.shown().orElseThrow();
            assertThat(again.name()).isEqualTo("Mole with a candle cap again");
            assertThat(again.sketch()).usingRecursiveComparison() // it is fitted anew, which rounds
                    .withComparatorForType((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : Double.compare(a, b), Double.class)
                    .isEqualTo(kept.planned("y-mole").sketch());
            assertThat(again.colours()).isEqualTo(kept.planned("y-mole").colours());
            assertThat(workbench.noticeProperty().get()).contains("black alcohol ink pen smeared", "whiskers", "flaking");
            model.again(Optional.of(WALK.basket().get(1).stone()), () -> gone.add("again"));
            answers.until(() -> gone.size() == 2);
            assertThat(workbench.shown().orElseThrow().stone()).isEqualTo(WALK.basket().get(1).stone());
        });
    }

    @Test
    void whatSmearedUnderASealIsMindedByPlansAndCanBeTakenBack() throws Exception {
        with(desk -> {
            Page key = model.bookProperty().get().page("y-key").orElseThrow();
            LocalDate day = key.made().finished();
            int tests = workbench.studio().tests().size();
            model.mind(key, new Page.Event(day, Page.Event.Kind.LIFTED, "pen-white", "tape"));
            model.mind(key, new Page.Event(day, Page.Event.Kind.SMEARED, "", "who knows what"));
            model.mind(key, new Page.Event(day, Page.Event.Kind.SMEARED, "pen-of-old", "not on the shelf any more"));
            assertThat(workbench.studio().tests()).as("no product under the seal").hasSize(tests);

            model.mind(key, new Page.Event(day, Page.Event.Kind.SMEARED, "pen-white", "")); // on slate it was fine under the same varnish
            assertThat(workbench.studio().tests()).hasSize(tests);
            assertThat(workbench.studio().tests()).filteredOn(t -> t.below().equals("pen-white")).singleElement().satisfies(t -> {
                assertThat(t.outcome()).isEqualTo(SmearTest.Outcome.SMEARS);
                assertThat(t.above()).isEqualTo("varnish");
                assertThat(t.note()).isEqualTo("the book: The old key, 7 Feb 2026");
            });
            answers.until(() -> desk.idle() && results.plan() != null && results.plan().findings().stream()
                    .anyMatch(f -> FindingWords.sentence(f).contains("smears")));
            workbench.undo();
            assertThat(workbench.studio().tests()).filteredOn(t -> t.below().equals("pen-white")).singleElement()
                    .satisfies(t -> assertThat(t.outcome()).isEqualTo(SmearTest.Outcome.FINE));
        });
    }

    @Test
    void aSealerIsToldOfWhereItsStonesWereLookedAt() throws Exception {
        with(desk -> {
            assertThat(model.told("clear wax", true)).hasValue("Your book, outdoors: 1 of 1 worn, the first after 3 months.");
            assertThat(model.told("satin spray varnish", true).orElseThrow()).startsWith("Your book, outdoors: 2 of 2 worn");
            assertThat(model.told("two-part resin", false)).as("none indoors").isEmpty();
            assertThat(model.told("matt varnish", true)).as("its stone was lost before it was looked at").isEmpty();
        });
    }

    @Test
    void picturesAreDrawnOnceAndKept() throws Exception {
        with(desk -> {
            Page page = model.bookProperty().get().page("y-key").orElseThrow();
            List<byte[]> got = new ArrayList<>();
            assertThat(kept.picture("y-key")).isEmpty();
            model.picture(page, got::add);
            answers.until(() -> got.size() == 1);
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(got.get(0)));
            assertThat(Math.max(image.getWidth(), image.getHeight())).isBetween(BookModel.SMALL - 2, BookModel.SMALL + 2);
            assertThat(image.getWidth()).as("a long stone").isGreaterThan(image.getHeight() * 3 / 2);
            assertThat(image.getRGB(0, 0) >>> 24).as("nothing round the stone").isLessThan(40);
            assertThat(image.getRGB(image.getWidth() / 2, image.getHeight() / 2) >>> 24).isEqualTo(255);
            assertThat(kept.picture("y-key")).isPresent();
            model.picture(page, got::add);
            answers.until(() -> got.size() == 2);
            assertThat(got.get(1)).isEqualTo(got.get(0));
        });
    }

    @Test
    void pagesAreTurnedAmongThoseThatAreFound() throws Exception {
        with(desk -> {
            model.searchProperty().set("market");
            List<String> found = model.found().stream().map(Page::id).toList();
            assertThat(found).containsExactly("y-fox", "y-seal", "y-lake", "y-crow", "y-bridge", "y-key");
            model.turnTo("y-fox");
            model.turn(1);
            assertThat(model.page().orElseThrow().id()).isEqualTo("y-seal");
            model.turn(-1);
            model.turn(-1);
            assertThat(model.page().orElseThrow().id()).isEqualTo("y-key");
            assertThat(model.due()).extracting(Page::id).containsExactly("y-badger");
        });
    }

    @Test
    void rowsACalendarAndLabelsAreSavedWhereAsked(@TempDir Path folder) throws Exception {
        with(desk -> {
            FileWork files = new FileWork(workbench, Runnable::run, answers);
            model.save(files, folder);
            answers.until(() -> workbench.noticeProperty().get().startsWith("Saved: book.csv and book.ics"));
            assertThat(Files.readAllLines(folder.resolve("book.csv"))).hasSize(YEAR.size() + 1);
            assertThat(Files.readString(folder.resolve("book.ics"))).contains("Look how Badger with a lamp has lasted");
            model.turnTo("y-key");
            Path label = folder.resolve("label.pdf");
            model.label(files, LabelSheet.Size.LARGE, 4, label);
            answers.until(() -> workbench.noticeProperty().get().equals("Saved: " + label));
            assertThat(Files.size(label)).isGreaterThan(10_000);
            Path blocked = Files.createDirectory(folder.resolve("blocked.pdf"));
            model.label(files, LabelSheet.Size.SMALL, 1, blocked);
            answers.until(() -> workbench.noticeProperty().get().contains("folder of that name"));
        });
    }

    @Test
    void aProductIsMeantByTheBeginningOfItsName() throws Exception {
        Page page = YEAR.stream().map(BookKeeping.Kept::page).filter(p -> p.id().equals("y-mole")).findFirst().orElseThrow();
        assertThat(BookModel.used(page, "  Black alcohol ")).hasValue("ink-black");
        assertThat(BookModel.used(page, "satin spray varnish")).hasValue("spray");
        assertThat(BookModel.used(page, "gold leaf")).isEmpty();
        assertThat(BookModel.used(page, " ")).isEmpty();
        with(desk -> {
            assertThat(model.product("ink-black")).isEqualTo("black alcohol ink pen");
            assertThat(model.product("gone-for-years")).as("nobody knows it any more").isEqualTo("gone-for-years");
        });
    }

    @Test
    void aPageThatIsTakenOutIsGoneAndAnotherLiesOpenNowhere() throws Exception {
        with(desk -> {
            model.turnTo("y-key");
            model.takeOut();
            answers.until(() -> workbench.noticeProperty().get().equals("The old key is taken out of the book."));
            assertThat(model.matterProperty().get()).isEqualTo(BookModel.Matter.SHELF);
            assertThat(model.page()).isEmpty();
            assertThat(kept.book().page("y-key")).isEmpty();
            assertThat(model.change(p -> p)).hasValue("No page is open.");
            full = true;
            model.turnTo("y-bear");
            model.takeOut();
            answers.until(() -> workbench.noticeProperty().get().contains("disk is full"));
            assertThat(model.bookProperty().get().page("y-bear")).as("what is not taken out is there").isPresent();
        });
    }
}
