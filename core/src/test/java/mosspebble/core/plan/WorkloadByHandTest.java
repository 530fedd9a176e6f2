package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.drying.Climate;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Project;
import mosspebble.core.project.Room;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Celsius;
import org.junit.jupiter.api.Test;

/** What is left to do on a board with a bar set on it and a line across, and on another that waits for it, told off by hand. */
class WorkloadByHandTest {

    private static final Map<String, Mix> COLOURS = Map.of("board", Mix.of("blue"), "bar", Mix.of("yellow"), "line", Mix.of("black"));
    /** A Monday evening. */
    private static final LocalDateTime MONDAY = LocalDateTime.parse("2026-11-30T19:00:00");
    private static final Instant FROM = MONDAY.toInstant(ZoneOffset.UTC);
    private static final PaintPlan BOARD = Boards.plan(Boards.project("board", 40, COLOURS), Paints.shelf());
    private static final PaintPlan OTHER = Boards.plan(Boards.project("other", 40, COLOURS), Paints.shelf());

    private static Workload workload(Diary diary, Room room, PaintPlan... plans) {
        return ManyStones.workload(List.of(plans), diary, room, FROM, ZoneOffset.UTC);
    }

    private static Workload workload(Diary diary, PaintPlan... plans) {
        return workload(diary, new Room(Climate.room()), plans);
    }

    private static Diary.Deed deed(PaintPlan plan, int step, int part, boolean spoiled) {
        return new Diary.Deed(plan.project().id(), plan.names().get(step), part, FROM.minusSeconds(7200), FROM.minusSeconds(7000), spoiled);
    }

    private static Diary done(Diary diary, PaintPlan plan, int steps) {
        Diary all = diary;
        for (int step = 0; step < steps; step++) {
            for (int part = 0; part < ManyStones.parts(plan.steps().get(step)); part++) {
                all = all.plus(deed(plan, step, part, false));
            }
        }
        return all;
    }

    private static Step step(Workload.Piece piece) {
        return (piece.stone().equals("board") ? BOARD : OTHER).steps().get(piece.step());
    }

    private static int first(PaintPlan plan, Step.Kind kind) {
        return IntStream.range(0, plan.steps().size()).filter(i -> plan.steps().get(i).kind() == kind).findFirst().orElseThrow();
    }

    // --- what there is to do

    @Test
    void everyPartOfEveryStepIsAPieceInItsOrder() {
        Workload all = workload(Diary.USUAL, BOARD);
        List<String> wanted = new ArrayList<>();
        for (int i = 0; i < BOARD.steps().size(); i++) {
            for (int part = 0; part < ManyStones.parts(BOARD.steps().get(i)); part++) {
                wanted.add(i + "." + part);
            }
        }
        assertThat(all.pieces().stream().map(p -> p.step() + "." + p.part()).toList()).isEqualTo(wanted);
        assertThat(all.pieces()).allSatisfy(p -> assertThat(p.when()).isEqualTo(Workload.Window.ANY));
        Set<String> follows = new TreeSet<>();
        all.waits().forEach(w -> follows.add(w.before() + " " + w.then()));
        for (int i = 1; i < wanted.size(); i++) {
            assertThat(follows).as("one stone, one piece after the other").contains(i - 1 + " " + i);
        }
    }

    @Test
    void whatIsDoneIsLeftOutAndWhatFollowsItWaitsUntilItIsDry() {
        int line = first(BOARD, Step.Kind.DETAIL);
        Workload left = workload(done(Diary.USUAL, BOARD, line), BOARD);
        assertThat(left.pieces().get(0).step()).isEqualTo(line);
        Step.Work before = BOARD.steps().get(line).after().stream().map(a -> BOARD.steps().get(a.step()).work())
                .max((a, b) -> a.dries().compareTo(b.dries())).orElseThrow();
        Instant end = deed(BOARD, 0, 0, false).to();
        assertThat(left.pieces().get(0).when().earliest().orElseThrow()).isBetween(end, end.plus(before.dries()));
        assertThat(left.drying()).as("until the slowest of what is done is dry").containsKey("board");
        assertThat(left.drying().get("board")).isAfterOrEqualTo(end.plus(BOARD.steps().get(line - 1).work().dries()));
        assertThat(workload(done(Diary.USUAL, BOARD, BOARD.steps().size()), BOARD).pieces()).isEmpty();
    }

    @Test
    void onlyWhatFormsAFilmOrASealNeedsWarmth() {
        Workload all = workload(Diary.USUAL, BOARD);
        for (int i = 0; i < all.pieces().size(); i++) {
            Step step = step(all.pieces().get(i));
            assertThat(all.shared().cold().pieces().contains(i)).as(step.key())
                    .isEqualTo(step instanceof Step.Lay || step instanceof Step.Seal);
        }
        int fill = first(BOARD, Step.Kind.FILL);
        Diary pinned = Diary.USUAL.withPin("board", BOARD.names().get(fill), Optional.of(MONDAY));
        Workload.Piece piece = workload(pinned, BOARD).pieces().stream().filter(p -> p.step() == fill).findFirst().orElseThrow();
        assertThat(piece.when().earliest()).contains(FROM);
        assertThat(piece.when().latest()).contains(FROM.plus(Duration.ofHours(2)));
        assertThat(workload(pinned, BOARD).shared().cold().pieces()).as("who pins it there warms the room")
                .doesNotContain(workload(pinned, BOARD).pieces().indexOf(piece));
    }

    @Test
    void gelAndLeafSetInTheirOwnTimeAndPaintUnderADryerAsWell() {
        Project project = Boards.project("p", 40, Map.of("board", Mix.of("blue"), "bar", Mix.of("gold dust")))
                .withBlend("bar", Blend.of(BlendKind.POWDERED));
        PaintPlan plan = Boards.plan(project, Boards.materials());
        List<Step> set = plan.steps().stream().filter(s -> s instanceof Step.Lay l
                && l.layers().stream().anyMatch(each -> l.share(each).setsByItself())).toList();
        assertThat(set).as("gel and powder").isNotEmpty().noneMatch(ManyStones::formsFilm);
        Step fill = plan.steps().get(first(plan, Step.Kind.FILL));
        assertThat(ManyStones.formsFilm(fill)).isTrue();
        assertThat(ManyStones.driesInAir(plan, fill)).isTrue();
        PaintPlan dried = Boards.plan(project.withHabits(project.habits().withDryer(true)), Boards.materials());
        Step warm = dried.steps().get(first(dried, Step.Kind.FILL));
        assertThat(ManyStones.formsFilm(warm)).as("a dryer does not make a film in the cold").isTrue();
        assertThat(ManyStones.driesInAir(dried, warm)).isFalse();
        assertThat(ManyStones.formsFilm(plan.steps().get(0))).as("washing").isFalse();
    }

    /** A plan mixes a colour once; a timetable mixes it for every pass of it, and saves that where it is still damp. */
    @Test
    void everyPassOfAMixMixesItAndSavesThatWhereItIsDamp() {
        Mix pale = new Mix(List.of(new Mix.Part("blue", 1), new Mix.Part("white", 1)));
        Mix orange = new Mix(List.of(new Mix.Part("yellow", 3), new Mix.Part("red", 1)));
        PaintPlan plan = Boards.plan(Boards.project("board", 40, Map.of("board", pale, "bar", orange, "line", Mix.of("black"))),
                Paints.shelf());
        Workload all = workload(Diary.USUAL, plan);
        List<Mix> mixes = new ArrayList<>();
        Duration hand = Duration.ZERO;
        for (Step step : plan.steps()) {
            hand = hand.plus(step.work().hand());
            if (step instanceof Step.Lay lay) {
                mixes.addAll(lay.mixes());
            }
        }
        assertThat(mixes).as("what is laid as it comes needs no mixing, and orange takes several coats").containsOnly(pale, orange)
                .hasSizeGreaterThan(2);
        assertThat(all.pieces().stream().map(Workload.Piece::hand).reduce(Duration.ZERO, Duration::plus))
                .isEqualTo(hand.plus(BuildUp.SAVED.multipliedBy(mixes.size() - 2)));
        Map<Integer, Map<String, Duration>> saved = all.shared().mixing().saved();
        for (int i = 0; i < all.pieces().size(); i++) {
            Step step = plan.steps().get(all.pieces().get(i).step());
            assertThat(saved.containsKey(i)).as(step.key()).isEqualTo(step.kind() == Step.Kind.FILL);
        }
        assertThat(saved.values()).allSatisfy(of -> assertThat(of.values()).containsOnly(BuildUp.SAVED));
    }

    // --- one stone behind another, or behind a day

    @Test
    void whatWaitsForAnotherStoneBeginsOnceThatIsPaintedAndDry() {
        Workload apart = workload(Diary.USUAL, BOARD, OTHER);
        assertThat(apart.waits()).as("nothing goes from stone to stone")
                .allMatch(w -> apart.pieces().get(w.before()).stone().equals(apart.pieces().get(w.then()).stone()));
        Workload behind = workload(Diary.USUAL.withAfter("other", "board"), BOARD, OTHER);
        List<Workload.Wait> across = behind.waits().stream()
                .filter(w -> !behind.pieces().get(w.before()).stone().equals(behind.pieces().get(w.then()).stone())).toList();
        assertThat(across).isNotEmpty().allSatisfy(wait -> {
            Step last = step(behind.pieces().get(wait.before()));
            assertThat(behind.pieces().get(wait.before()).stone()).isEqualTo("board");
            assertThat(last).as("not the seal: the stone is sealed when it likes").isNotInstanceOf(Step.Seal.class);
            assertThat(wait.lag()).isEqualTo(last.work().dries());
            assertThat(step(behind.pieces().get(wait.then()))).as("it may be washed before").isNotInstanceOf(Step.Prepare.class);
        });
        Workload begun = workload(done(Diary.USUAL.withAfter("other", "board"), OTHER, first(OTHER, Step.Kind.FILL) + 1), BOARD, OTHER);
        assertThat(begun.waits()).as("what is in hand waits for nothing")
                .allMatch(w -> begun.pieces().get(w.before()).stone().equals(begun.pieces().get(w.then()).stone()));
    }

    @Test
    void aStoneIsBegunOnItsDayAndNoSooner() {
        LocalDateTime friday = MONDAY.plusDays(4);
        Workload later = workload(Diary.USUAL.withFrom("board", Optional.of(friday)), BOARD, OTHER);
        List<Workload.Piece> held = later.pieces().stream().filter(p -> p.when().earliest().isPresent()).toList();
        assertThat(held).isNotEmpty().allSatisfy(p -> {
            assertThat(p.stone()).isEqualTo("board");
            assertThat(p.when().earliest()).contains(friday.toInstant(ZoneOffset.UTC));
            assertThat(step(p)).isNotInstanceOf(Step.Prepare.class);
        });
    }

    // --- the room

    @Test
    void onlySittingsThatDifferFromTheUsualAirAreTold() {
        assertThat(workload(Diary.USUAL, BOARD).shared().slower()).as("every day as usual").isEmpty();
        assertThat(workload(Diary.USUAL, BOARD).shared().cold().sittings()).isEmpty();
        Climate cool = new Climate(new Celsius(12), 0.7, 0.1);
        Climate cold = new Climate(new Celsius(5), 0.7, 0.1);
        LocalDate tuesday = MONDAY.toLocalDate().plusDays(1);
        Room room = new Room(Climate.room()).with(tuesday, Optional.of(cool), tuesday).with(tuesday.plusDays(1), Optional.of(cold),
                tuesday);
        Workload all = workload(Diary.USUAL, room, BOARD);
        Instant second = FROM.plus(Duration.ofDays(1));
        Instant third = FROM.plus(Duration.ofDays(2));
        assertThat(all.shared().slower()).containsOnlyKeys(second, third);
        assertThat(all.shared().slower().get(second)).isGreaterThan(1);
        assertThat(all.shared().slower().get(third)).isGreaterThan(all.shared().slower().get(second));
        assertThat(all.shared().cold().sittings()).as("below 10 degrees water paint forms no film").containsExactly(third);
        assertThat(ManyStones.isTooCold(room, MONDAY)).isFalse();
        Climate just = new Climate(new Celsius(10), 0.7, 0.1);
        assertThat(ManyStones.isTooCold(room.with(tuesday, Optional.of(just), tuesday), MONDAY.plusDays(1))).as("not below 10").isFalse();
    }

    // --- a sitting's page

    @Test
    void aPageLaysOutEveryPaintOnceInTheOrderOfItsNeed() {
        Timetable table = Timetable.quick(workload(done(Diary.USUAL, BOARD, first(BOARD, Step.Kind.FILL)), BOARD));
        List<SittingPage> pages = SittingPage.of(table, Map.of("board", BOARD));
        List<String> paints = pages.stream().flatMap(p -> p.paints().stream()).distinct().toList();
        assertThat(paints).startsWith("blue").contains("yellow", "black");
        assertThat(pages).allSatisfy(page -> {
            assertThat(page.paints()).doesNotHaveDuplicates();
            assertThat(page.from()).isEqualTo(page.rows().get(0).start());
            Instant free = page.from();
            for (SittingPage.Row row : page.rows()) {
                assertThat(row.start()).isEqualTo(free.plus(row.waited()));
                assertThat(row.dry()).isAfterOrEqualTo(row.start().plus(row.hand()));
                free = row.start().plus(row.hand());
            }
            assertThat(page.to()).isEqualTo(free);
            Set<String> used = new TreeSet<>();
            page.rows().forEach(r -> r.done().layers().forEach(l -> l.load().mix().parts().forEach(p -> used.add(p.paint()))));
            assertThat(page.paints()).containsExactlyInAnyOrderElementsOf(used);
        });
    }

    // --- what is done

    @Test
    void whatIsDoneIsCountedForItsOwnStoneAndNotOnceSpoiled() {
        int fill = first(BOARD, Step.Kind.FILL);
        int parts = ManyStones.parts(BOARD.steps().get(fill));
        Diary diary = done(Diary.USUAL, BOARD, fill + 1);
        DoneSteps done = new DoneSteps(BOARD, diary);
        assertThat(done.inOrder()).isEqualTo(fill + 1);
        assertThat(done.done(fill)).isTrue();
        assertThat(done.done(fill + 1)).isFalse();
        assertThat(done.strangers()).isZero();
        assertThat(new DoneSteps(OTHER, diary).begun()).as("the other stone").isFalse();
        Diary spoiled = diary.plus(deed(BOARD, fill, parts - 1, true));
        assertThat(new DoneSteps(BOARD, spoiled).done(fill, parts - 1)).isEmpty();
        assertThat(new DoneSteps(BOARD, spoiled).inOrder()).isEqualTo(fill);
        assertThat(new DoneSteps(BOARD, spoiled.plus(deed(BOARD, fill, parts - 1, false))).done(fill)).as("done again").isTrue();
    }

    @Test
    void whatWasDoneWithAnotherPaintCountsInItsPlaceAndWhatIsNoLongerThereIsAStranger() {
        int bar = IntStream.range(0, BOARD.steps().size()).filter(i -> BOARD.steps().get(i).key().contains("bar")).findFirst()
                .orElseThrow();
        String name = BOARD.names().get(bar);
        assertThat(name).contains(" yellow");
        Diary.Deed white = new Diary.Deed("board", name.replace(" yellow", " white"), 0, FROM, FROM.plusSeconds(60), false);
        DoneSteps done = new DoneSteps(BOARD, Diary.USUAL.plus(white));
        assertThat(done.done(bar, 0)).contains(white);
        assertThat(done.strangers()).isZero();
        Diary.Deed lid = new Diary.Deed("board", name.replace("bar", "lid"), 0, FROM, FROM.plusSeconds(60), false);
        assertThat(new DoneSteps(BOARD, Diary.USUAL.plus(lid)).strangers()).as("no such part any more").isEqualTo(1);
        assertThat(new DoneSteps(BOARD, Diary.USUAL.plus(lid)).done(bar, 0)).isEmpty();
        Diary.Deed own = new Diary.Deed("board", name, 0, FROM, FROM.plusSeconds(60), false);
        assertThat(new DoneSteps(BOARD, Diary.USUAL.plus(own).plus(white)).done(bar, 0)).as("its own paint goes before another")
                .contains(own);
        assertThat(new DoneSteps(BOARD, Diary.USUAL.plus(own).plus(white)).strangers()).isEqualTo(1);
        Diary.Deed longer = new Diary.Deed("board", name.replace(" yellow", " white and more"), 0, FROM, FROM.plusSeconds(60), false);
        assertThat(new DoneSteps(BOARD, Diary.USUAL.plus(longer)).strangers()).as("another thing, not another paint").isEqualTo(1);
        Diary.Deed earlier = new Diary.Deed("board", Diary.EARLIER + name, 0, FROM, FROM.plusSeconds(60), false);
        assertThat(new DoneSteps(BOARD, Diary.USUAL.plus(earlier)).strangers()).as("done before this plan").isZero();
    }

    // --- what would help a late stone

    @Test
    void aWayIsTakenInTheDiaryAndNowhereElse() {
        LocalDate day = MONDAY.toLocalDate();
        Span was = Diary.USUAL.on(day).get(0);
        Span longer = new Span(was.from(), was.to().plusMinutes(30));
        Diary diary = Diary.USUAL.withFrom("board", Optional.of(MONDAY));
        assertThat(InTime.changed(diary, new InTime.Means.Longer(day, was, longer)).on(day)).containsExactly(longer);
        assertThat(InTime.changed(diary, new InTime.Means.Longer(day, new Span(LocalTime.of(9, 0), LocalTime.of(10, 0)), longer)).on(day))
                .as("a sitting that is no longer there stays as it is").containsExactly(was);
        assertThat(InTime.changed(diary, new InTime.Means.Extra(day, longer)).on(day)).containsExactly(longer);
        assertThat(InTime.changed(diary, new InTime.Means.Later("board", MONDAY.plusDays(3))).due())
                .containsOnly(Map.entry("board", MONDAY.plusDays(3)));
        assertThat(InTime.changed(diary, new InTime.Means.AtOnce("board")).terms("board").from()).isEmpty();
        assertThat(InTime.changed(diary, new InTime.Means.LeftOut("board")).resting()).containsExactly("board");
        assertThat(InTime.changed(diary, new InTime.Means.Dryer("board"))).as("the plan is another, not the diary").isEqualTo(diary);
    }

    @Test
    void waysAreFoundForALateStoneAndNoneForOneInTime() {
        BooleanSupplier wanted = () -> false;
        Diary late = Diary.USUAL.withDue("board", Optional.of(MONDAY.plusHours(1)));
        Timetable table = Timetable.quick(workload(late, BOARD));
        List<InTime.Way> ways = new InTime(List.of(BOARD), Map.of(), late, new Room(Climate.room()), table, ZoneOffset.UTC, wanted).ways();
        assertThat(ways).isNotEmpty().allSatisfy(w -> assertThat(w.late()).isZero());
        assertThat(ways).map(InTime.Way::means).hasAtLeastOneElementOfType(InTime.Means.Later.class)
                .hasAtLeastOneElementOfType(InTime.Means.LeftOut.class);
        for (InTime.Way way : ways) {
            Diary then = InTime.changed(late, way.means());
            Workload left = workload(then, BOARD);
            assertThat(left.pieces().isEmpty() || Timetable.quick(left).ready().get("board").late().isZero()).as("%s", way.means())
                    .isTrue();
        }
        Diary early = Diary.USUAL.withDue("board", Optional.of(MONDAY.plusDays(30)));
        Timetable inTime = Timetable.quick(workload(early, BOARD));
        assertThat(new InTime(List.of(BOARD), Map.of(), early, new Room(Climate.room()), inTime, ZoneOffset.UTC, wanted).ways()).isEmpty();
        assertThat(new InTime(List.of(BOARD), Map.of(), late, new Room(Climate.room()), table, ZoneOffset.UTC, () -> true).ways())
                .as("once nobody wants it nothing is tried").isEmpty();
    }
}
