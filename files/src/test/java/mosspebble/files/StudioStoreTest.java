package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import mosspebble.core.project.Side;
import mosspebble.core.project.OldPaint;
import mosspebble.core.project.Tracing;
import mosspebble.core.sketch.GuideKind;
import mosspebble.core.sketch.Placement;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import java.io.BufferedReader;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import mosspebble.core.stone.Skin;
import mosspebble.core.care.Who;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.Compatibility;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.stone.Stone;
import mosspebble.core.project.Project;
import mosspebble.core.project.Room;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.words.StepWords;
import org.assertj.core.api.recursive.comparison.RecursiveComparisonConfiguration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class StudioStoreTest {

    private static final Repertoire REPERTOIRE = BuiltIn.repertoire();

    @TempDir
    private Path folder;

    private Path file() {
        return folder.resolve("studio.pebble");
    }

    @Test
    void everyEditIsThereAfterReopening() throws FileTrouble {
        Studio changed;
        try (StudioStore store = StudioStore.open(file(), () -> LanternWalk.studio(REPERTOIRE))) {
            changed = store.studio().edit("owl", p -> p.withName("Renamed", "for the bridge")).without("harbour").withView(LengthUnit.INCH,
                    true);
            store.commit(changed, "Rename");
        }

        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio()).isEqualTo(changed);
            assertThat(store.studio().projects()).hasSize(LanternWalk.studio(REPERTOIRE).projects().size() - 1);
        }
    }

    @Test
    void orderOfStonesIsKept() throws FileTrouble {
        try (StudioStore store = StudioStore.open(file(), () -> LanternWalk.studio(REPERTOIRE))) {
            Studio without = store.studio().without("owl");
            store.commit(without, "Take off");
            store.commit(without.plus(LanternWalk.studio(REPERTOIRE).project("owl").orElseThrow()), "Put back");
        }
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio().projects()).extracting(p -> p.id()).containsExactly("harbour", "lettering", "snail", "moon", "fox",
                    "heron", "window", "toadstool", "owl");
        }
    }

    @Test
    void aSecondInstanceIsKeptOutAndSaidSo() throws FileTrouble {
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThatThrownBy(() -> StudioStore.open(file(), LanternWalk::newcomer)).isInstanceOf(FileTrouble.class)
                    .hasMessageContaining("already open").hasMessageContaining("close it first");
            assertThat(store.studio()).isEqualTo(LanternWalk.newcomer());
        }
        StudioStore.open(file(), LanternWalk::newcomer).close();
    }

    @Test
    void aStudioOfFormat1IsBroughtUpToDateWithAllThatWasInIt() throws Exception {
        // the Lantern Walk as the program before format 2 kept it
        try (InputStream in = getClass().getResourceAsStream("studio-format-1.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio().projects()).hasSize(7);
            assertThat(store.studio().own()).isEmpty();
            Item harbour = store.studio().project("harbour").orElseThrow().sketch().orElseThrow().items().get(0);
            assertThat(harbour.manner()).isEqualTo(ItemMode.WEARING);
            List<Item> moon = store.studio().project("moon").orElseThrow().sketch().orElseThrow().items();
            assertThat(moon.get(0).manner()).isEqualTo(ItemMode.ON_STONE);
            assertThat(moon.get(1).subject()).isEqualTo(
                    Subject.Dots.usual().withRing(new Subject.Dots.Ring(3.6, 1.4, 2)).withCounted(new Subject.Dots.Count(0, true, true)));
            assertThat(store.studio().project("lettering").orElseThrow().sketch().orElseThrow().items().get(0).subject())
                    .isEqualTo(new Subject.Word(List.of("LANTERN", "WALK"), BuiltIn.SLAB));
            Studio changed = store.studio().plus(new OwnFile(OwnFile.Kind.MOTIF, "own-kite", "Kite", "<svg/>"));
            store.commit(changed, "Bring Kite");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().own()).extracting(OwnFile::id).containsExactly("own-kite");
        }
    }

    @Test
    void aStudioOfFormat2KeepsItsPaintsHabitsAndLight() throws Exception {
        // the Lantern Walk as the program before format 3 kept it
        try (InputStream in = getClass().getResourceAsStream("studio-format-2.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            Studio studio = store.studio();
            assertThat(studio.projects()).hasSize(9);
            assertThat(studio.shelf().paints()).hasSize(24);
            Paint white = studio.shelf().find("white").orElseThrow();
            assertThat(white.left().value()).isEqualTo(90);
            assertThat(white.hiding()).isEqualTo(0.87);
            assertThat(white.binder()).isEqualTo(Binder.ACRYLIC);
            Project moon = studio.project("moon").orElseThrow();
            assertThat(moon.habits()).isEqualTo(Habits.usual());
            assertThat(moon.blends()).isEmpty();
            assertThat(moon.order()).isEmpty();
            assertThat(studio.tests()).isEmpty();
            store.commit(studio.withTests(List.of(new SmearTest("pen-black", "varnish", SmearTest.Outcome.FINE, "scrap"))), "Smear test");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().tests()).extracting(SmearTest::below).containsExactly("pen-black");
        }
    }

    @Test
    void aStudioOfFormat3KeepsBothFacesAndAnOrderOfOnesOwn() throws Exception {
        // the Lantern Walk as the program before format 4 kept it, with an order and a stone turned over
        try (InputStream in = getClass().getResourceAsStream("studio-format-3.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            Studio studio = store.studio();
            assertThat(studio.project("owl").orElseThrow().name()).isEqualTo("Owl at dusk");
            Project window = studio.project("window").orElseThrow();
            assertThat(window.sketch()).isPresent();
            assertThat(window.paintedBelow()).isTrue();
            assertThat(window.edge().isPainted()).isFalse();
            assertThat(window.turnedOver().turnedOver()).as("turning it twice changes nothing from now on")
                    .isEqualTo(window.turnedOver().turnedOver().turnedOver().turnedOver());
            Project snail = studio.project("snail").orElseThrow();
            assertThat(snail.order()).startsWith("FILL part:body sand", "FILL part:left eye white").contains("SHADE shade_side:body sand",
                    "OUTLINE outlines pen-black");
            assertThat(snail.blends().get(Project.GROUND).kind()).isEqualTo(BlendKind.BANDS);
            Workshop workshop = new Workshop(new Palette(studio.shelf()), BuiltIn.repertoire(), studio.climate(), List.of());
            List<Step> passes = WalkPlans.of(snail, workshop).steps().stream()
                    .filter(o -> o.kind().movable() && o.kind() != Step.Kind.PRIME).toList();
            assertThat(StepWords.what(passes.get(0))).as("the order is followed by passes that take its steps along").contains("body");
            assertThat(StepWords.what(passes.get(1))).contains("eye");
        }
    }

    /** The demo's stones are the same since but for the heron's vein, and so is all of the owl but for its place, as it was drawn anew. */
    private static void assertIsTheOldWalk(Studio read) {
        Studio now = LanternWalk.studio(BuiltIn.repertoire());
        assertThat(read.projects()).extracting(Project::stone).containsExactlyElementsOf(
                now.projects().stream().map(p -> p.id().equals("heron") ? p.stone().withSeed(41) : p.stone()).toList());
        Project owl = now.project("owl").orElseThrow();
        Project was = read.project("owl").orElseThrow();
        assertThat(was.withSketch(owl.sketch())).isEqualTo(owl);
        Item thing = was.sketch().orElseThrow().items().get(0);
        assertThat(thing.withPlacement(owl.sketch().orElseThrow().items().get(0).placement()))
                .isEqualTo(owl.sketch().orElseThrow().items().get(0));
    }

    @Test
    void aStudioOfFormat4LeavesAllLinesOpenAndKeepsWhatIsChosen() throws Exception {
        // the Lantern Walk as the program before format 5 kept it
        try (InputStream in = getClass().getResourceAsStream("studio-format-4.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        LineWish white = LineWish.OPEN.coloured(LineWish.Colour.WHITE).withWidthMm(0.8).withStyle(LineWish.Style.SHADED);
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio().projects()).hasSize(9)
                    .allSatisfy(p -> assertThat(p.sketch().orElseThrow().items()).extracting(Item::lines).containsOnly(Item.Lines.OPEN));
            assertIsTheOldWalk(store.studio());
            Studio chosen = store.studio().edit("toadstool", p -> p.withSketch(p.sketch().map(s -> s.with("i2",
                    i -> i.withLines(i.lines().withWhole(white).with("cap", LineWish.OPEN.in("copper")))))));
            store.commit(chosen, "Line");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            Item.Lines lines = again.studio().project("toadstool").orElseThrow().sketch().orElseThrow().items().get(1).lines();
            assertThat(lines.whole()).isEqualTo(white);
            assertThat(lines.of("cap")).isEqualTo(new LineWish(LineWish.Colour.PAINT, "copper", LineWish.Style.SHADED, 0.8));
        }
    }

    @Test
    void aStudioOfFormat5HasNoLayersAndNothingKeptWithinAndKeepsBothWhenChosen() throws Exception {
        // the Lantern Walk as the program before format 6 kept it, with white lines round the second thing of the toadstool
        try (InputStream in = getClass().getResourceAsStream("studio-format-5.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        Blend foam = Blend.of(BlendKind.FOAM).withColours(List.of(Mix.of("cream")));
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            Studio read = store.studio();
            assertThat(read.projects()).hasSize(9).allSatisfy(p -> {
                assertThat(p.blends().values()).allMatch(b -> b.over().isEmpty());
                assertThat(p.sketch().orElseThrow().items()).allMatch(i -> i.within().isEmpty());
                assertThat(p.wholeHabits().sealer()).isEmpty();
            });
            assertIsTheOldWalk(read);
            assertThat(read.project("toadstool").orElseThrow().sketch().orElseThrow().items().get(1).lines().whole().colour())
                    .isEqualTo(LineWish.Colour.WHITE);
            store.commit(read.edit("toadstool", p -> p.withBlend(Project.GROUND, Blend.flat().plusOver(foam))
                    .withSketch(p.sketch().map(s -> s.with("i2", i -> i.withWithin(Optional.of("cap")))))
                    .withHabits(p.habits().withSealer(read.shelf().find("resin").orElseThrow()))), "Layers");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            Project kept = again.studio().project("toadstool").orElseThrow();
            assertThat(kept.blends().get(Project.GROUND).over()).containsExactly(foam);
            assertThat(kept.sketch().orElseThrow().item("i2").orElseThrow().within()).contains("cap");
            assertThat(kept.wholeHabits().sealer()).isEqualTo("resin");
            assertThat(kept.wholeHabits().seal()).isEqualTo(Habits.Seal.RESIN);
        }
    }

    @Test
    void aStudioOfFormat9KeepsItsAirAndLearnsOfDaysOfTheirOwn() throws Exception {
        // the Lantern Walk as the program before format 10 kept it, with busy times, a day of its own and two pages of its book
        try (InputStream in = getClass().getResourceAsStream("studio-format-9.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        LocalDate friday = LocalDate.of(2026, 11, 27);
        Climate cold = new Climate(new Celsius(9), 0.7, 0.1);
        Room room;
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio().projects()).hasSize(9);
            assertThat(store.studio().room()).isEqualTo(new Room(new Climate(new Celsius(19), 0.55, 0.1)));
            assertThat(store.studio().diary().taken()).containsExactly(
                    new Workload.Hours(Instant.parse("2026-11-28T15:00:00Z"), Instant.parse("2026-11-28T16:30:00Z")));
            assertThat(store.studio().diary().on(friday)).containsExactly(new Span(LocalTime.of(18, 0), LocalTime.of(22, 0)));
            room = store.studio().room().with(friday, Optional.of(cold), friday).withSprayed(7);
            store.commit(store.studio().withRoom(room), "Room");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().room()).isEqualTo(room);
        }
    }

    /** Stones of the demo that were drawn anew after format 10. */
    private static final Set<String> DRAWN_SINCE = Set.of("heron", "toadstool");

    /** What is fitted to a stone fits to a hundredth of a mm: since then round things are read with more corners. */
    private static final Comparator<Double> FITTED = (a, b) -> Math.abs(a - b) < 0.01 ? 0 : Double.compare(a, b);

    @Test
    void aStudioOfFormat10KeepsWhatItHasAndTakesTracings() throws Exception {
        // the Lantern Walk as the program before format 11 kept it, with two pages of its book
        try (InputStream in = getClass().getResourceAsStream("studio-format-10.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        Tracing traced;
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            Studio studio = store.studio();
            assertThat(studio.projects()).filteredOn(p -> !DRAWN_SINCE.contains(p.id()))
                    .usingRecursiveFieldByFieldElementComparator(RecursiveComparisonConfiguration.builder()
                            .withComparatorForType(FITTED, Double.class).build())
                    .isEqualTo(LanternWalk.studio(BuiltIn.repertoire()).projects().stream().filter(p -> !DRAWN_SINCE.contains(p.id()))
                            .toList())
                    .hasSize(7);
            assertThat(store.book().book().pages()).hasSize(2)
                    .allSatisfy(page -> assertThat(store.book().planned(page.id()).unmeasured()).isEmpty());
            traced = Tracing.of(studio.project("fox").orElseThrow()).orElseThrow();
            assertThat(studio.view().comfort()).as("no card was laid on the screen").isEqualTo(Studio.Comfort.USUAL);
            Studio more = studio.plus(OwnFiles.kept(traced, " A fox asleep ", studio));
            store.commit(more.withComfort(more.view().comfort().withCardPx(344.25)), "Keep a tracing");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().view().comfort().cardPx()).isEqualTo(344.25);
            OwnFile kept = again.studio().own().get(0);
            assertThat(kept.title()).isEqualTo("A fox asleep");
            assertThat(OwnFiles.tracing(kept)).isEqualTo(traced);
            assertThat(OwnFiles.kept(traced, "Another", again.studio()).id()).isNotEqualTo(kept.id());
            assertThatThrownBy(() -> OwnFiles.tracing(new OwnFile(OwnFile.Kind.TRACING, "own-x", "Torn", "{\"name\":")))
                    .isInstanceOf(FileTrouble.class).hasMessageContaining("Torn");
            assertThatThrownBy(() -> OwnFiles.kept(traced, " ", again.studio())).hasMessageContaining("needs a name");
        }
    }

    @Test
    void aStudioOfFormat11KeepsWhatIsDueAndWhatRestsAndLearnsToWait() throws Exception {
        // the Lantern Walk as the program before format 12 kept it, with two due days, two stones that rest, a pin and a deed
        try (InputStream in = getClass().getResourceAsStream("studio-format-11.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        LocalDateTime sunday = LocalDateTime.of(2026, 11, 29, 12, 0);
        Diary diary;
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            diary = store.studio().diary();
            assertThat(diary.due()).containsExactly(Map.entry("fox", LocalDateTime.of(2026, 12, 6, 18, 0)), Map.entry("owl", sunday));
            assertThat(diary.resting()).containsExactly("fox", "moon");
            assertThat(diary.terms("moon")).isEqualTo(new Diary.Terms(Optional.empty(), Optional.empty(), Optional.empty(), true));
            assertThat(diary.pins()).hasSize(1);
            assertThat(diary.deeds()).hasSize(1);
            diary = diary.withAfter("heron", "snail").withFrom("window", Optional.of(sunday)).withResting("moon", false);
            store.commit(store.studio().withDiary(diary), "Waits");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().diary()).isEqualTo(diary);
        }
    }

    @Test
    void aStudioOfFormat12HasMeasuredStonesAndLearnsOfStandIns() throws Exception {
        // the Lantern Walk as the program before format 13 kept it, with two weighings, a card on the screen and a stone that waits
        try (InputStream in = getClass().getResourceAsStream("studio-format-12.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        Project standIn = Project.standIn("new", "Stone 10").measured(Stone.Measure.WIDTH);
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            Studio studio = store.studio();
            assertThat(studio.projects()).hasSize(9).allSatisfy(p -> assertThat(p.unmeasured()).isEmpty());
            assertThat(studio.project("owl").orElseThrow().weighings()).containsExactly(new SteadyMass.Weighing(0, 312.5),
                    new SteadyMass.Weighing(6.5, 310.25));
            assertThat(studio.view().comfort()).isEqualTo(Studio.Comfort.USUAL.withTextPercent(125).withCardPx(344.25));
            assertThat(studio.view().led()).isTrue();
            assertThat(studio.diary().terms("heron").after()).hasValue("snail");
            store.commit(studio.plus(standIn).withLed(false), "New stone");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().project("new")).hasValue(standIn);
            assertThat(again.studio().view().led()).isFalse();
        }
    }

    @Test
    void aStudioOfFormat13KeepsTheAirOfItsDaysAndLearnsOfThatOfSittings() throws Exception {
        // the Lantern Walk as the program before format 14 kept it, with two sittings on a Saturday that is cold
        try (InputStream in = getClass().getResourceAsStream("studio-format-13.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        LocalDate saturday = LocalDate.of(2026, 11, 28);
        Climate usual = new Climate(new Celsius(19), 0.55, 0.1);
        Climate cold = new Climate(new Celsius(9), 0.7, 0.1);
        Room room;
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            room = store.studio().room();
            assertThat(room).isEqualTo(new Room(usual, Map.of(saturday, cold), Map.of(), 6));
            assertThat(store.studio().diary().on(saturday)).hasSize(2);
            room = room.with(saturday.atTime(19, 0), Optional.of(usual), saturday);
            store.commit(store.studio().withRoom(room), "The stove is lit");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().room()).isEqualTo(room);
            assertThat(again.studio().room().in(saturday.atTime(19, 0))).isEqualTo(usual);
            assertThat(again.studio().room().in(saturday.atTime(9, 0))).isEqualTo(cold);
        }
    }

    @Test
    void aStudioOfFormat14KeepsWhatWasDoneAndLearnsOfPaintThatLiesThere() throws Exception {
        // the Lantern Walk as the program before format 15 kept it, the owl washed and pencilled
        try (InputStream in = getClass().getResourceAsStream("studio-format-14.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        OldPaint moon = OldPaint.on(Side.FRONT, new GeometryFactory().createPoint(new Coordinate(2, -3)).buffer(4), Mix.of("white"), 1, 2);
        Diary kept;
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            Diary diary = store.studio().diary();
            assertThat(diary.deeds()).extracting(Diary.Deed::step).containsExactly("FRONT PREPARE WASH", "FRONT PENCIL");
            assertThat(diary.laid()).isEmpty();
            assertThat(store.studio().projects()).hasSize(9).allMatch(p -> p.oldPaint().isEmpty());
            kept = diary.withLaid("owl", "FRONT FILL part:body earth brown", List.of(moon));
            store.commit(store.studio().withDiary(kept).edit("owl", p -> p.withOldPaint(List.of(moon))), "A moon lies on the owl");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().diary()).isEqualTo(kept);
            assertThat(again.studio().project("owl").orElseThrow().oldPaint()).containsExactly(moon);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {6, 7, 8, 9, 10, 11, 12, 13, 14})
    void pencilGuidesOfEveryEarlierFormatAreStillThere(int format) throws Exception {
        try (InputStream in = getClass().getResourceAsStream("studio-format-" + format + ".pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        Item guide = Item.of(GuideKind.values()[1].usual(), ItemMode.ON_STONE, new Placement(0, 0, 0, 6), 1).withId("g1");
        String before = StudioJson.write(guide).replace("\"guide\":\"" + GuideKind.values()[1], "\"kind\":\"" + GuideKind.values()[1]);
        assertThat(before).as("as it was written: two fields of one name").contains("\"kind\":\"guide\",\"kind\":\"");
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + file()); Statement statement = sql.createStatement()) {
            assertThat(statement.executeUpdate("UPDATE project SET document = replace(document, '\"items\":[', '\"items\":[" + before
                    + ",') WHERE id = 'snail'")).isEqualTo(1);
        }
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio().project("snail").flatMap(Project::sketch).orElseThrow().items())
                    .anySatisfy(i -> assertThat(i.subject()).isEqualTo(guide.subject()));
        }
    }

    @Test
    void aStudioOfFormat8LooksAsItDidAndKeepsWhatSuitsTheEyes() throws Exception {
        // the Lantern Walk as the program before format 9 kept it
        try (InputStream in = getClass().getResourceAsStream("studio-format-8.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        Studio.Comfort comfort = new Studio.Comfort(175, true, true, true);
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio().projects()).hasSize(9);
            assertThat(store.studio().view()).isEqualTo(new Studio.View(LengthUnit.MM, false, Studio.Comfort.USUAL, true));
            store.commit(store.studio().withComfort(comfort), "Eyes and hands");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().view().comfort()).isEqualTo(comfort);
        }
    }

    @Test
    void aStudioOfFormat7GetsAnEmptyDiaryAndKeepsWhatIsWrittenIntoIt() throws Exception {
        // the Lantern Walk as the program before format 8 kept it
        try (InputStream in = getClass().getResourceAsStream("studio-format-7.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        Instant at = Instant.parse("2026-11-27T19:00:00Z");
        LocalDate friday = LocalDate.of(2026, 11, 27);
        Diary diary = Diary.USUAL.withWeek("Sat 9:30-24:00").withDay(friday, List.of(new Span(LocalTime.of(20, 0), LocalTime.MIDNIGHT)))
                .withDue("owl", Optional.of(friday.atTime(12, 0))).withResting("fox", true)
                .withPin("owl", "FRONT PENCIL", Optional.of(friday.atTime(20, 0)))
                .plus(new Diary.Deed("owl", "FRONT PREPARE WASH", 0, at, at.plusSeconds(61), false));
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio().projects()).hasSize(9);
            assertThat(store.studio().diary()).isEqualTo(Diary.USUAL);
            store.commit(store.studio().withDiary(diary), "Diary");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().diary()).isEqualTo(diary);
        }
        for (String[] wrong : new String[][] {{"\"20:00\"", "\"25:61\""}, {"2026-11-27T19:00:00Z", "yesterday"},
            {"Sat 9:30-24:00", "now and then"}}) {
            try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + file()); Statement change = sql.createStatement()) {
                change.execute(
                        "UPDATE setting SET document = replace(document, '" + wrong[0] + "', '" + wrong[1] + "') WHERE key = 'diary'");
            }
            assertThatThrownBy(() -> StudioStore.open(file(), LanternWalk::newcomer)).isInstanceOf(FileTrouble.class)
                    .hasMessageContaining("diary").hasMessageContaining("copy");
            try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + file()); Statement change = sql.createStatement()) {
                change.execute(
                        "UPDATE setting SET document = replace(document, '" + wrong[1] + "', '" + wrong[0] + "') WHERE key = 'diary'");
            }
        }
    }

    @Test
    void aStudioOfFormat6HasBareStonesNoRulesOfItsOwnAndKeepsBothWhenChosen() throws Exception {
        // the Lantern Walk as the program before format 7 kept it, with a smear test
        try (InputStream in = getClass().getResourceAsStream("studio-format-6.pebble")) {
            Files.write(file(), in.readAllBytes());
        }
        SmearTest test = new SmearTest("pen-black", "varnish", SmearTest.Outcome.SMEARS, "on slate");
        Quarrel own = new Quarrel(Who.parse("binder=oil & not paint=gold"), Who.parse("use=seals"), true, Compatibility.Severity.CARE,
                Quarrel.Way.WAIT, Duration.ofHours(72), "still soft");
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            Studio read = store.studio();
            assertThat(read.projects()).hasSize(9).allSatisfy(p -> assertThat(p.stone().skin().before()).isEqualTo(Skin.Before.NOTHING));
            assertThat(read.basket()).isEqualTo(LanternWalk.studio(BuiltIn.repertoire()).basket());
            assertThat(read.tests()).containsExactly(test);
            assertThat(read.known().quarrels()).isEmpty();
            store.commit(read.withQuarrels(List.of(own)).edit("owl", p -> p.withStone(p.stone()
                    .withSkin(p.stone().skin().withState(Skin.Before.PAINT_SANDED, false)))), "Rules");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio().known()).isEqualTo(new Compatibility.Known(List.of(test), List.of(own)));
            assertThat(again.studio().project("owl").orElseThrow().stone().skin().before()).isEqualTo(Skin.Before.PAINT_SANDED);
        }
    }

    @Test
    void keysOfStepsLoseTheirWords() {
        assertThat(Migration.key("GROUND the second band of the ground river")).isEqualTo("GROUND ground:band-2 river");
        assertThat(Migration.key("FILL streaks over the left wing white 2 again")).isEqualTo("FILL part:left wing:streaks white 2 again");
        assertThat(Migration.key("GROUND the dark behind the subject soot")).isEqualTo("GROUND ground:dark_behind soot");
        assertThat(Migration.key("SHADE the light side of the shell cream")).isEqualTo("SHADE light_side:shell cream");
        assertThat(Migration.key("FILL the wing, first with white in the load blue")).isEqualTo("FILL part:wing:white_in_load blue");
        assertThat(Migration.key("PREPARE")).isEqualTo("PREPARE");
    }

    @Test
    void blendsOrderLightAndTestsComeBackAsTheyWere() throws Exception {
        Studio studio = LanternWalk.studio(BuiltIn.repertoire());
        for (BlendKind kind : BlendKind.values()) {
            List<Mix> more = List.of(Mix.of("white"), Mix.of("plum"), Mix.of("rose")).subList(0, kind.mostColours());
            studio = studio.edit("owl", p -> p.withBlend("slot-" + kind,
                    Blend.of(kind).withColours(more).withShape(33, 0.25, 0.4).withMethod(Blend.Method.GLAZES)));
        }
        Habits habits = Habits.usual().withLineStyle(Habits.LineStyle.METALLIC).withMedium(Habits.Medium.PENS).withHand(Habits.Hand.LEFT)
                .withSeal(Habits.Seal.RESIN).withLight(new Light(45, 0.1, 0.2, 0.3, 0.4));
        studio = studio.edit("owl",
                p -> p.withOrder(List.of("FILL the belly sand", "FILL the wings umber")).withHabits(habits).turnedOver());
        studio = studio.withTests(List.of(new SmearTest("ink-black", "varnish", SmearTest.Outcome.SMEARS, "on slate")));
        Studio all = studio;
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            store.commit(all, "everything");
        }
        try (StudioStore again = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(again.studio()).isEqualTo(all);
            assertThat(again.studio().project("owl").orElseThrow().turnedOver().blends()).hasSize(BlendKind.values().length - 1);
        }
    }

    @Test
    void aNewerStudioIsSaidAndLeftUntouched() throws Exception {
        StudioStore.open(file(), LanternWalk::newcomer).close();
        try (FileChannel out = FileChannel.open(file(), StandardOpenOption.WRITE)) {
            out.write(ByteBuffer.allocate(4).putInt(0, 99), 60);
        }
        byte[] before = Files.readAllBytes(file());

        assertThatThrownBy(() -> StudioStore.open(file(), LanternWalk::newcomer)).hasMessageContaining("newer Moss Pebble")
                .hasMessageContaining("99").hasMessageContaining("untouched");
        assertThat(Files.readAllBytes(file())).isEqualTo(before);
    }

    @Test
    void garbageIsSaidAndLeftUntouched() throws Exception {
        SplittableRandom random = new SplittableRandom(1);
        StudioStore.open(file(), () -> LanternWalk.studio(REPERTOIRE)).close();
        byte[] good = Files.readAllBytes(file());
        for (int i = 0; i < 120; i++) {
            byte[] bad = good.clone();
            if (i % 3 == 0) {
                bad = Arrays.copyOf(bad, random.nextInt(bad.length));
            } else {
                for (int k = 0; k < 1 + random.nextInt(40); k++) {
                    bad[i % 3 == 1 ? random.nextInt(bad.length) : random.nextInt(200)] = (byte) random.nextInt(256);
                }
            }
            Path damaged = folder.resolve("damaged-" + i + ".pebble");
            Files.write(damaged, bad);
            try (StudioStore store = StudioStore.open(damaged, LanternWalk::newcomer)) {
                assertThat(store.studio()).isNotNull(); // the damage hit nothing that matters
            } catch (FileTrouble trouble) {
                assertThat(trouble.getMessage()).contains("damaged-" + i).matches("(?s).*[.!]$");
            }
        }
    }

    @Test
    void anEditThatWasAcceptedOutlivesAKill() throws Exception {
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        SplittableRandom random = new SplittableRandom(7);
        int last = -1;
        for (int round = 0; round < 2; round++) {
            Process child = new ProcessBuilder(java, "-Xshare:auto", "-cp",
                    System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")), Editor.class.getName(),
                    file().toString())
                    .redirectError(ProcessBuilder.Redirect.INHERIT).start();
            int wanted = 5 + random.nextInt(40);
            int seen = 0;
            try (BufferedReader out = new BufferedReader(new InputStreamReader(child.getInputStream(), StandardCharsets.UTF_8))) {
                for (String line = out.readLine(); line != null && seen < wanted; line = out.readLine()) {
                    last = Integer.parseInt(line);
                    seen++;
                }
                child.destroyForcibly();
            }
            child.waitFor();
            assertThat(seen).isEqualTo(wanted);
            try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
                int kept = Integer.parseInt(store.studio().project("owl").orElseThrow().name().substring(5));
                assertThat(kept).as("last accepted edit").isGreaterThanOrEqualTo(last);
            }
        }
    }

    /** A child that edits without end and says so after each commit; run by the test above. */
    static final class Editor {
        public static void main(String[] args) throws FileTrouble {
            StudioStore store = StudioStore.open(Path.of(args[0]),
                    () -> LanternWalk.studio(BuiltIn.repertoire()).edit("owl", p -> p.withName("edit 0", "")));
            int number = Integer.parseInt(store.studio().project("owl").orElseThrow().name().substring(5));
            while (true) {
                number++;
                String name = "edit " + number;
                store.commit(store.studio().edit("owl", p -> p.withName(name, "")), name);
                System.out.println(number);
                System.out.flush();
            }
        }
    }
}
