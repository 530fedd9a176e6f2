package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.locks.LockSupport;
import mosspebble.core.words.StepWords;
import mosspebble.app.buildup.MendModel;
import mosspebble.app.colour.ColourModel;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.shelf.ShelfModel;
import mosspebble.core.advice.Correction;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Nudge;
import mosspebble.core.colour.Palette;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Srgb;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import mosspebble.instruments.SimulatedStripeReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.locationtech.jts.geom.Coordinate;

/** Colour, shelf and putting right without a window. */
class ColourModelTest {

    @TempDir
    private Path folder;

    private final Workbench workbench = new Workbench(LanternWalk.studio(BuiltIn.repertoire()), (studio, title) -> {});

    private interface Use {
        void of(PlanWorker desk, Results show, ColourModel colours) throws Exception;
    }

    private void with(Use use) throws Exception {
        try (PlanWorker desk = new PlanWorker(BuiltIn::repertoire, Runnable::run, error -> {
            throw new AssertionError(error);
        })) {
            Results show = new Results(workbench, desk);
            desk.begin();
            until(() -> show.plan() != null);
            use.of(desk, show, new ColourModel(workbench, show, desk));
        }
    }

    static void until(Callable<Boolean> condition) throws Exception {
        for (int i = 0; i < 3000 && !condition.call(); i++) {
            Thread.onSpinWait();
            LockSupport.parkNanos(10_000_000);
        }
        assertThat(condition.call()).isTrue();
    }

    private static Slot slot(ColourModel colours, String id) {
        return colours.slots().stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void partsAreAddedAndTakenAwayAndWhatDoesNotMixIsSaid() throws Exception {
        with((desk, show, colours) -> {
            Slot belly = slot(colours, "belly");
            colours.set(belly, Mix.of("sand"));
            colours.change(belly, "cream", 1);
            colours.change(belly, "cream", 1);
            assertThat(colours.mix(belly)).contains(new Mix(List.of(new Mix.Part("sand", 1), new Mix.Part("cream", 2))));
            colours.change(belly, "pen-black", 1);
            assertThat(workbench.noticeProperty().get()).contains("do not mix");
            colours.change(belly, "white", 1);
            colours.change(belly, "brick", 1);
            assertThat(workbench.noticeProperty().get()).contains("three paints");
            colours.change(belly, "sand", -1);
            assertThat(colours.mix(belly).orElseThrow().parts()).extracting(Mix.Part::paint).containsExactly("cream", "white");
            colours.nudge(belly, Nudge.Toward.WARMER);
            assertThat(workbench.noticeProperty().get()).startsWith("Warmer: ");
        });
    }

    @Test
    void aPlaceOnTheStoneTakesItsColourInHand() throws Exception {
        with((desk, show, colours) -> {
            Coordinate eye = show.plan().design().orElseThrow().parts().stream().filter(p -> p.part().slot().equals("beak")).findFirst()
                    .orElseThrow().drawn().getCentroid().getCoordinate();
            colours.pick(eye.x, eye.y);
            assertThat(colours.slotProperty().get()).isEqualTo("beak");
            colours.pick(500, 500);
            assertThat(colours.slotProperty().get()).as("beside the stone nothing changes").isEqualTo("beak");
            workbench.choose("moon");
            until(() -> show.plan() != null && show.plan().project().id().equals("moon"));
            colours.pick(0, 35.5);
            assertThat(colours.slots()).extracting(Slot::id).contains(colours.slotProperty().get());
        });
    }

    @Test
    void rulesOfOnesOwnComeInAsATableReachThePlanAndGoOutAgain() throws Exception {
        with((desk, show, colours) -> {
            ShelfModel shelf = new ShelfModel(workbench, new FileWork(workbench, Runnable::run, Runnable::run),
                    new SimulatedStripeReader(5));
            Path table = folder.resolve("rules.csv");
            Files.writeString(table,
                    "below,above,way out,reason\nkind=brush paint,paint=varnish,isolate,it clouded\nbinder=egg,use=seals,,\n");
            shelf.bringRules(table);
            assertThat(shelf.quarrels()).hasSize(1);
            assertThat(workbench.noticeProperty().get()).startsWith("Rules of your own: 1. 1 not read: Row 3: What is below:");
            until(() -> StepWords.titles(show.plan()).stream().anyMatch(t -> t.startsWith("Isolate")));
            Path written = folder.resolve("out.csv");
            shelf.writeRules(written);
            assertThat(Files.readString(written)).contains("it clouded").contains("use=cracks");
            shelf.withoutQuarrel(0);
            assertThat(shelf.quarrels()).isEmpty();
            workbench.undo();
            assertThat(shelf.quarrels()).as("one edit like any other").hasSize(1);
            Files.writeString(table, "below,above\n");
            shelf.bringRules(table);
            assertThat(workbench.noticeProperty().get()).endsWith("holds no rules of your own.");
            assertThat(shelf.quarrels()).hasSize(1);
        });
    }

    @Test
    void whatAStoneTakesGrowsWithItsCoatsAndPalettesAreForThisStone() throws Exception {
        with((desk, show, colours) -> {
            double[] use = colours.use(slot(colours, "feathers"));
            assertThat(use[0]).isPositive();
            assertThat(use[1]).isGreaterThanOrEqualTo(1);
            colours.askSchemes();
            until(() -> colours.schemesProperty().get().size() >= 3);
            colours.take(colours.schemesProperty().get().get(1));
            Project now = workbench.shown().orElseThrow();
            assertThat(now.colours()).containsAllEntriesOf(colours.schemesProperty().get().get(1).colours());
            workbench.undo();
            assertThat(workbench.shown().orElseThrow()).isEqualTo(LanternWalk.studio(BuiltIn.repertoire()).project("owl").orElseThrow());
        });
    }

    @Test
    void aStandInThatGivesBackWhatTheShelfSaysChangesNothingAndSaysSoOnItsButton() {
        ShelfModel shelf = new ShelfModel(workbench, new FileWork(workbench, Runnable::run, Runnable::run), new SimulatedStripeReader(5));
        shelf.paintProperty().set("river");
        Srgb before = shelf.inHand().orElseThrow().swatch();
        shelf.readSwatch();
        assertThat(shelf.inHand().orElseThrow().swatch()).isEqualTo(before);
        assertThat(workbench.noticeProperty().get()).contains("nothing was measured");
        shelf.readStripe();
        assertThat(shelf.inHand().orElseThrow().hidingSpread()).as("stripes of its own are read").isNotEqualTo(0.08);
        assertThat(shelf.reader().button("Read")).isEqualTo("Read (simulated)");
    }

    @Test
    void aTableOfPaintsWaitsForTheWordAndTestsAreKeptOnce() throws Exception {
        ShelfModel shelf = new ShelfModel(workbench, new FileWork(workbench, Runnable::run, Runnable::run), new SimulatedStripeReader(5));
        Path table = folder.resolve("t.csv");
        Files.writeString(table, "name,kind,colour\nfog,brush paint,#99aabb\n");
        int before = shelf.shelf().paints().size();
        shelf.bring(table);
        assertThat(shelf.shelf().paints()).hasSize(before);
        shelf.leaveIt();
        assertThat(shelf.broughtProperty().get()).isNull();
        shelf.bring(table);
        shelf.takeOver();
        assertThat(shelf.shelf().find("fog")).isPresent();
        shelf.bring(folder.resolve("none.csv"));
        assertThat(workbench.noticeProperty().get()).contains("no such file");
        shelf.paintProperty().set("fog");
        shelf.test("varnish", Optional.of(SmearTest.Outcome.SMEARS));
        shelf.test("varnish", Optional.of(SmearTest.Outcome.FINE));
        assertThat(workbench.studio().tests()).filteredOn(t -> t.below().equals("fog"))
                .containsExactly(new SmearTest("fog", "varnish", SmearTest.Outcome.FINE, ""));
        shelf.test("varnish", Optional.empty());
        assertThat(workbench.studio().tests()).noneMatch(t -> t.below().equals("fog"));
        assertThat(shelf.rename("chalk white")).isPresent();
        assertThat(shelf.rename("fog grey")).isEmpty();
        Path out = folder.resolve("out.csv");
        shelf.write(out);
        assertThat(Files.readString(out)).contains("fog grey");
        shelf.takeAway();
        assertThat(shelf.shelf().find("fog")).isEmpty();
    }

    @Test
    void aMistakeIsPutRightWhereItIsPointedAt() throws Exception {
        with((desk, show, colours) -> {
            MendModel mend = new MendModel(workbench, show, desk);
            mend.ask();
            assertThat(mend.correctionProperty().get()).as("nothing pointed at").isNull();
            mend.slipOfThePen();
            assertThat(mend.slippedProperty().get()).isNotNull();
            mend.ask();
            until(() -> mend.correctionProperty().get() != null);
            Correction there = mend.correctionProperty().get();
            assertThat(there.steps()).hasSizeGreaterThan(2);
            for (int i = 0; i < 200; i++) {
                mend.move(5, 0);
            }
            assertThat(mend.placeProperty().get()[0]).as("kept near the stone").isLessThan(60);
            workbench.choose("fox");
            assertThat(mend.placeProperty().get()).as("another stone, nothing pointed at").isNull();
            assertThat(new Palette(workbench.studio().shelf()).colour(mend.slippedProperty().get())).isPresent();
        });
    }
}
