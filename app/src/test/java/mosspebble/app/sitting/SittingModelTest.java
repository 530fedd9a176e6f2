package mosspebble.app.sitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.Optional;
import java.util.SplittableRandom;
import mosspebble.app.Turned;
import mosspebble.app.model.AnswersInTurn;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.InTime;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Studio;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Celsius;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Sitting without a window: whole weekends by a clock that is set. */
class SittingModelTest {

    private static final Studio WALK = LanternWalk.studio(BuiltIn.repertoire());

    private final Turned clock = new Turned("2026-11-27T18:40:00");
    private final AnswersInTurn answers = new AnswersInTurn();
    private Workbench workbench;
    private SittingModel model;
    private Timetable.Solver solver = (known, unwanted) -> Optional.of(known);

    private interface Use {
        void of(PlanWorker desk) throws Exception;
    }

    private void with(List<String> stones, Use use) throws Exception {
        workbench = new Workbench(WALK.withProjects(WALK.projects().stream().filter(p -> stones.contains(p.id())).toList()),
                (s, title) -> {});
        try (PlanWorker desk = new PlanWorker(BuiltIn::repertoire, answers, error -> {
            throw new AssertionError(error);
        })) {
            Results results = new Results(workbench, desk);
            model = new SittingModel(workbench, results, desk, solver, clock);
            desk.begin();
            workbench.stageProperty().set(Finding.Stage.SITTING);
            model.activate();
            answers.until(() -> model.shown().table() != null && desk.idle());
            use.of(desk);
        }
    }

    private Diary diary() {
        return workbench.studio().diary();
    }

    private PaintPlan plan(String stone) {
        return model.shown().plans().get(stone);
    }

    /** Does the next piece, so many times as long as planned; the clock is set to when it is due. */
    private void doNext(double slow) {
        Timetable.Placed next = model.shown().next().orElseThrow();
        clock.to(next.start().isAfter(clock.instant()) ? next.start() : clock.instant());
        model.tick();
        Timetable.Placed due = model.shown().next().orElseThrow();
        Duration hand = Duration.ofMillis((long) (model.shown().piece(due).hand().toMillis() * slow));
        model.begin();
        clock.on(hand);
        model.done();
    }

    /** Nothing before what it waits for was done and dry, hands never at two places. */
    private void held(Map<String, PaintPlan> plans) {
        Map<String, Diary.Deed> last = new HashMap<>();
        Instant free = Instant.MIN;
        for (Diary.Deed deed : diary().deeds()) {
            if (deed.spoiled()) {
                last.remove(deed.stone() + deed.step() + deed.part());
                continue;
            }
            assertThat(deed.from()).as("one pair of hands at %s", deed).isAfterOrEqualTo(free);
            free = deed.to();
            PaintPlan plan = plans.get(deed.stone());
            List<String> names = plan.names();
            Step step = plan.steps().get(names.indexOf(deed.step()));
            for (Step.After after : deed.part() == 0 ? step.after() : List.<Step.After>of()) {
                Step before = plan.steps().get(after.step());
                Diary.Deed first = last.get(deed.stone() + names.get(after.step()) + (ManyStones.parts(before) - 1));
                assertThat(first).as("%s comes after %s", deed, names.get(after.step())).isNotNull();
                assertThat(deed.from()).as("%s on dry %s", deed, first)
                        .isAfterOrEqualTo(first.to().plus(after.lag(before)).minusSeconds(1));
            }
            last.put(deed.stone() + deed.step() + deed.part(), deed);
        }
    }

    @Test
    void nineStonesArePaintedOverTheirSittingsAsPlanned() throws Exception {
        List<String> all = WALK.projects().stream().map(p -> p.id()).toList();
        with(all, desk -> {
            Timetable first = model.shown().table();
            List<Instant> ready = model.inTurn().stream().map(id -> first.ready().get(id).at()).toList();
            assertThat(ready).as("the stones in the order in which they are ready").isSorted().hasSameSizeAs(first.ready().keySet());
            Map<String, PaintPlan> plans = Map.copyOf(model.shown().plans());
            assertThat(plans).hasSize(9);
            int pieces = first.placed().size();
            for (int i = 0; i < pieces && model.shown().next().isPresent(); i++) {
                doNext(1);
                answers.until(() -> ready(all));
            }
            assertThat(diary().deeds()).hasSize(pieces);
            assertThat(model.shown().next()).isEmpty();
            held(plans);
            List<Workload.Hours> hours = Diary.USUAL.hours(LocalDate.of(2026, 11, 27), ZoneOffset.UTC);
            assertThat(diary().deeds()).allSatisfy(d -> assertThat(hours)
                    .anyMatch(h -> !d.from().isBefore(h.from()) && !d.to().isAfter(h.to())));
            Instant last = diary().last().orElseThrow().to();
            assertThat(model.shown().table().end()).as("ready when it was promised, or sooner")
                    .isBeforeOrEqualTo(first.end().plusSeconds(90));
            assertThat(last).isBeforeOrEqualTo(first.end().plusSeconds(90));
            for (String id : all) {
                assertThat(model.stepsDone(id)).isEqualTo(plans.get(id).steps().size());
                assertThat(model.strangers(id)).isZero();
            }
        });
    }

    @Test
    void whatWasPaintedAndThenLeftOutIsPlannedOver() throws Exception {
        List<String> one = List.of("lettering");
        with(one, desk -> {
            while (!(model.shown().step(model.shown().piece(model.shown().next().orElseThrow())) instanceof Step.Sign)) {
                doNext(1);
                answers.until(() -> ready(one));
            }
            PaintPlan painted = plan("lettering");
            assertThat(diary().laid()).as("where all of it lies is known").extracting(Diary.Laid::step)
                    .containsAll(painted.names().stream().filter(n -> n.contains(" FILL ")).toList());
            workbench.edit("Without the small words", p -> p.withSketch(p.sketch().flatMap(s -> s.without("i2"))));
            answers.until(() -> ready(one) && plan("lettering") != painted);
            assertThat(model.strangers("lettering")).as("the small words are in no pass any more").isPositive();
            model.planOn("lettering");
            answers.until(() -> ready(one) && plan("lettering").steps().get(0) instanceof Step.Earlier);
            assertThat(model.strangers("lettering")).isZero();
            assertThat(model.back()).as("what is of earlier stays done").isFalse();
            assertThat(model.again()).isFalse();
            List<Step> left = plan("lettering").steps().stream().filter(s -> s instanceof Step.Lay).toList();
            assertThat(left).as("the ground over them, and no letter that stays").isNotEmpty()
                    .allMatch(s -> s.kind() == Step.Kind.GROUND);
            assertThat(model.shown().next().map(n -> model.shown().step(model.shown().piece(n)))).containsInstanceOf(Step.Lay.class);
            int deeds = diary().deeds().size();
            while (model.shown().next().isPresent()) {
                doNext(1);
                answers.until(() -> ready(one));
            }
            assertThat(diary().deeds()).hasSizeGreaterThan(deeds);
            assertThat(diary().laid()).as("it is sealed").isEmpty();
            assertThat(model.strangers("lettering")).isZero();
            for (int i = diary().deeds().size(); i > deeds; i--) {
                workbench.undo();
            }
            workbench.undo();
            answers.until(() -> ready(one));
            assertThat(model.strangers("lettering")).as("undone").isPositive();
            assertThat(workbench.studio().project("lettering").orElseThrow().oldPaint()).isEmpty();
        });
    }

    private boolean ready(List<String> stones) {
        return stones.stream().allMatch(id -> workbench.studio().project(id).orElseThrow().equals(
                plan(id) == null ? null : plan(id).project()));
    }

    @ParameterizedTest
    @ValueSource(longs = {3, 8})
    void whateverHappensTheRestIsPlannedFromWhatIsReallyThere(long seed) throws Exception {
        SplittableRandom random = new SplittableRandom(seed);
        List<String> three = List.of("owl", "snail", "toadstool");
        with(three, desk -> {
            Map<String, PaintPlan> plans = Map.copyOf(model.shown().plans());
            for (int i = 0; i < 300 && model.shown().next().isPresent(); i++) {
                switch (random.nextInt(12)) {
                    case 0 -> model.notYet(Duration.ofMinutes(random.nextInt(2, 40)));
                    case 1 -> model.again();
                    case 2 -> model.back();
                    case 3 -> clock.on(Duration.ofMinutes(random.nextInt(1, 300)));
                    case 4 -> workbench.undo();
                    default -> doNext(random.nextDouble(0.4, 2.5));
                }
                model.tick();
                answers.until(() -> ready(three));
            }
            while (model.shown().next().isPresent()) {
                doNext(1);
                answers.until(() -> ready(three));
            }
            held(plans);
            three.forEach(id -> assertThat(model.stepsDone(id)).isEqualTo(plans.get(id).steps().size()));
        });
    }

    @Test
    void afterTheFirstPaintTheNextPassIsThereBeforeItsStoneIsPlannedAnew() throws Exception {
        with(List.of("snail"), desk -> {
            while (!(model.shown().step(model.shown().piece(model.shown().next().orElseThrow())) instanceof Step.Lay)) {
                doNext(1);
                answers.until(desk::idle);
            }
            PaintPlan before = plan("snail");
            Workload.Piece painted = model.shown().piece(model.shown().next().orElseThrow());
            doNext(1);
            assertThat(workbench.studio().project("snail").orElseThrow().order()).as("the order stays from now on")
                    .isEqualTo(before.order());
            assertThat(model.shown().piece(model.shown().next().orElseThrow())).as("nothing was waited for").isNotEqualTo(painted);
            answers.until(desk::idle);
            assertThat(plan("snail").project().order()).isEqualTo(before.order());
            assertThat(plan("snail").names()).as("the same passes in the same order").isEqualTo(before.names());
        });
    }

    @Test
    void whatIsInHandStaysInHandAndPaintThatIsDrySoonerIsWrittenDown() throws Exception {
        clock.to(Instant.parse("2026-11-28T14:00:00Z"));
        with(List.of("owl", "fox"), desk -> {
            Map<String, Integer> seen = new HashMap<>();
            for (int i = 0; i < 40 && diary().dryings().isEmpty(); i++) {
                Timetable.Placed next = model.shown().next().orElseThrow();
                boolean waits = next.start().isAfter(clock.instant().plus(Duration.ofMinutes(5)));
                Workload.Piece piece = model.shown().piece(next);
                seen.merge(piece.stone(), 1, Integer::sum);
                if (waits && !plan(piece.stone()).steps().get(piece.step()).after().isEmpty()
                        && model.sameSitting(clock.instant(), next.start())) {
                    clock.on(Duration.between(clock.instant(), next.start()).dividedBy(2));
                    model.tick();
                    model.begin();
                    answers.until(() -> desk.idle());
                    assertThat(model.begun()).as("still in hand after planning anew").isPresent();
                    assertThat(model.shown().piece(model.shown().next().orElseThrow()).step()).isEqualTo(piece.step());
                    clock.to(clock.instant().plusSeconds(60));
                    model.done();
                } else {
                    doNext(1);
                }
                answers.until(() -> ready(List.of("owl", "fox")));
            }
            assertThat(diary().dryings()).isNotEmpty().allSatisfy(d -> assertThat(d.seconds()).isLessThan(d.usualSeconds()));
        });
    }

    @Test
    void whatTheSolverFindsIsShownAndWhereItDoesNotRunThatIsSaid() throws Exception {
        Instant[] proven = new Instant[1];
        solver = (known, unwanted) -> {
            proven[0] = known.end();
            return Optional.of(known.improved(List.of(), Optional.of(known.end())));
        };
        with(List.of("owl", "fox", "snail"), desk -> {
            evenings(desk);
            assertThat(proven[0]).as("it was asked").isEqualTo(model.shown().table().end());
            assertThat(model.shown().table().proven()).isTrue();
            assertThat(model.isWithoutSolver()).isFalse();
        });
        solver = (known, unwanted) -> Optional.empty();
        with(List.of("owl", "fox", "snail"), desk -> {
            evenings(desk);
            assertThat(model.shown().table().placed()).isNotEmpty();
            assertThat(model.isWithoutSolver()).isTrue();
        });
    }

    /** When each step that is left is begun. */
    private Map<Integer, Instant> starts() {
        Map<Integer, Instant> starts = new TreeMap<>();
        Timetable table = model.shown().table();
        table.placed().forEach(p -> starts.merge(table.of().pieces().get(p.piece()).step(), p.start(), (a, b) -> a.isBefore(b) ? a : b));
        return starts;
    }

    /** Three quarters of an hour each, in which the search alone proves nothing. */
    private void evenings(PlanWorker desk) throws InterruptedException {
        model.edit("Week", d -> d.withWeek("Mon-Sun 19:00-19:45"));
        answers.until(desk::idle);
    }

    @Test
    void inAColdRoomStonesDryLongerAndUndoWarmsItAgain() throws Exception {
        LocalDate friday = LocalDate.of(2026, 11, 27);
        with(List.of("snail"), desk -> {
            while (!ManyStones.driesInAir(plan("snail"), model.shown().step(model.shown().piece(model.shown().next().orElseThrow())))) {
                doNext(1);
                answers.until(desk::idle);
            }
            doNext(1);
            answers.until(desk::idle);
            Map<Integer, Instant> warm = starts();
            SittingModel.Drying usual = model.drying("snail").orElseThrow();
            LocalDate laid = usual.since().atZone(ZoneOffset.UTC).toLocalDate();
            model.air(laid, Optional.of(new Climate(new Celsius(9), 0.7, 0.1)));
            answers.until(desk::idle);
            double slower = model.room().slower(laid.atTime(19, 0));
            assertThat(slower).isGreaterThan(1.5);
            SittingModel.Drying cold = model.drying("snail").orElseThrow();
            assertThat(Duration.between(cold.since(), cold.until()).toSeconds())
                    .isCloseTo(Math.round(slower * Duration.between(usual.since(), usual.until()).toSeconds()), within(2L));
            Map<Integer, Instant> later = starts();
            assertThat(later.keySet()).isEqualTo(warm.keySet());
            assertThat(later).as("nothing comes sooner").allSatisfy((step, at) -> assertThat(at).isAfterOrEqualTo(warm.get(step)));
            assertThat(later).as("what is to be laid on it comes later").isNotEqualTo(warm);
            assertThat(workbench.studio().climate().temperature().value()).as("stones are planned as before").isEqualTo(19);
            workbench.undo();
            assertThat(model.drying("snail")).contains(usual);
            model.air(friday, Optional.of(workbench.studio().climate()));
            assertThat(model.room().days()).as("the same air is no other air").isEmpty();
        });
    }

    @Test
    void whatIsInTheHandIsPaintedThoughItIsTooColdAndTheRestIsLeftForWarmerOnes() throws Exception {
        with(List.of("snail"), desk -> {
            while (!ManyStones.formsFilm(model.shown().step(model.shown().piece(model.shown().next().orElseThrow())))) {
                doNext(1);
                answers.until(desk::idle);
            }
            Timetable.Placed next = model.shown().next().orElseThrow();
            if (next.start().isAfter(clock.instant())) {
                clock.to(next.start());
            }
            model.tick();
            model.begin();
            answers.until(desk::idle);
            LocalDate today = clock.instant().atZone(ZoneOffset.UTC).toLocalDate();
            model.air(today, Optional.of(new Climate(new Celsius(8), 0.6, 0.1)));
            answers.until(desk::idle);
            Timetable cold = model.shown().table();
            assertThat(cold.placed().get(0).start()).as("in the hand").isBeforeOrEqualTo(clock.instant().plusSeconds(60));
            assertThat(cold.placed().stream().skip(1).filter(p -> ManyStones.formsFilm(model.shown().step(model.shown().piece(p)))))
                    .as("all other paint").isNotEmpty()
                    .allMatch(p -> p.start().atZone(ZoneOffset.UTC).toLocalDate().isAfter(today));
        });
    }

    @Test
    void aSittingThatBeginsSoonerKeepsItsAirAndWhatIsPinnedToIt() throws Exception {
        LocalDate saturday = LocalDate.of(2026, 11, 28);
        with(List.of("snail"), desk -> {
            Span was = model.diary().on(saturday).get(0);
            LocalDateTime begins = saturday.atTime(was.from());
            Climate cold = new Climate(new Celsius(12), 0.7, 0.1);
            model.air(begins, Optional.of(cold));
            model.pin("snail", List.of(plan("snail").names().get(0)), Optional.of(begins));
            model.resize(saturday, was, new Span(was.from().minusMinutes(30), was.to()));
            assertThat(model.room().sittings()).containsOnly(Map.entry(begins.minusMinutes(30), cold));
            assertThat(model.diary().pins()).extracting(Diary.Pin::sitting).containsExactly(begins.minusMinutes(30));
            workbench.undo();
            assertThat(model.room().in(begins)).as("one step of undo for all of it").isEqualTo(cold);
            assertThat(model.diary().pins()).extracting(Diary.Pin::sitting).containsExactly(begins);
        });
    }

    /** How often the time is told within so many seconds, asked for each of them. */
    private int told(int seconds) {
        int told = 0;
        for (int i = 0; i < seconds; i++) {
            clock.on(Duration.ofSeconds(1));
            if (model.isDue()) {
                model.tick();
                assertThat(model.nowProperty().get()).isEqualTo(clock.instant());
                told++;
            }
        }
        return told;
    }

    @Test
    void theTimeIsToldEverySecondOnlyWhereItIsLookedAt() throws Exception {
        with(List.of("snail"), desk -> {
            assertThat(told(30)).as("at the table").isEqualTo(30);
            workbench.stageProperty().set(Finding.Stage.SKETCH);
            assertThat(told(180)).as("elsewhere: once a minute").isEqualTo(3);
            clock.to(clock.instant().minus(Duration.ofHours(2)));
            assertThat(model.isDue()).as("a clock put back is told at once").isTrue();
            model.planHere();
            assertThat(told(30)).as("where the pages of a sitting are looked at").isEqualTo(30);
            workbench.stageProperty().set(Finding.Stage.COLOUR);
            clock.on(Duration.ofSeconds(1));
            workbench.stageProperty().set(Finding.Stage.SITTING);
            model.activate();
            assertThat(model.nowProperty().get()).as("who comes back sees the time").isEqualTo(clock.instant());
        });
    }

    @Test
    void dryingIsToldUntilItIsDryAlsoByASecondModel() throws Exception {
        with(List.of("snail"), desk -> {
            doNext(1);
            SittingModel.Drying drying = model.drying("snail").orElseThrow();
            Duration dries = plan("snail").steps().get(0).work().dries();
            assertThat(drying.until()).isEqualTo(drying.since().plus(dries));
            clock.to(drying.since().plus(dries.dividedBy(4)));
            model.tick();
            assertThat(model.drying("snail").orElseThrow().share(clock.instant())).isBetween(0.24, 0.26);
            Results results = new Results(workbench, desk);
            SittingModel other = new SittingModel(workbench, results, desk, solver, clock);
            answers.until(() -> results.thumbs().size() == 1);
            assertThat(other.drying("snail")).as("after a restart").isEqualTo(model.drying("snail"));
            clock.to(drying.until().plusSeconds(1));
            model.tick();
            assertThat(model.drying("snail")).isEmpty();
            clock.to(drying.since().minus(Duration.ofHours(3)));
            model.activate();
            assertThat(workbench.noticeProperty().get()).as("a clock that goes behind").startsWith("The clock shows").contains("Undo");
        });
    }

    @Test
    void hoursAreChangedAndWhatCannotBeIsSaidAndLosesNothing() throws Exception {
        with(List.of("snail"), desk -> {
            LocalDate friday = LocalDate.of(2026, 11, 27);
            Span was = diary().on(friday).get(0);
            assertThat(model.resize(friday, was, new Span(LocalTime.of(18, 0), LocalTime.of(22, 15)))).isTrue();
            model.addSitting(friday, new Span(LocalTime.of(8, 0), LocalTime.of(9, 0)));
            assertThat(diary().on(friday)).hasSize(2);
            model.addSitting(friday, new Span(LocalTime.of(8, 30), LocalTime.of(9, 30)));
            assertThat(workbench.noticeProperty().get()).contains("overlap");
            assertThat(diary().on(friday)).hasSize(2);
            model.edit("Never", d -> d.withWeek("").withDays(List.of()));
            answers.until(() -> desk.idle());
            assertThat(model.shown().table()).isNull();
            assertThat(model.shown().trouble()).contains("no sitting");
            model.edit("A minute", d -> d.withWeek("Mon 19:00-19:20").withDays(List.of()));
            answers.until(() -> desk.idle());
            assertThat(model.shown().table()).isNotNull();
            model.dropSitting(LocalDate.of(2026, 11, 30), new Span(LocalTime.of(19, 0), LocalTime.of(19, 20)));
            assertThat(diary().on(LocalDate.of(2026, 11, 30))).isEmpty();
            workbench.undo();
            workbench.undo();
            workbench.undo();
            assertThat(diary().on(friday)).hasSize(2);
        });
    }

    @Test
    void whatWasOfferedBeforeAChangeUndoesNothingOfIt() throws Exception {
        with(List.of("owl"), desk -> {
            model.edit("Due", d -> d.withDue("owl", Optional.of(LocalDateTime.parse("2026-11-28T12:00"))));
            answers.until(() -> desk.idle() && model.waysProperty().get().stream().anyMatch(w -> w.means() instanceof InTime.Means.Later));
            InTime.Means later = model.waysProperty().get().stream().map(InTime.Way::means).filter(InTime.Means.Later.class::isInstance)
                    .findFirst().orElseThrow();
            model.edit("Week", d -> d.withWeek("Mon-Fri 19:30-20:15"));
            assertThat(model.waysProperty().get()).as("found for other hours").isEmpty();
            model.take(later);
            assertThat(diary().week()).as("typed since").isEqualTo("Mon-Fri 19:30-20:15");
            assertThat(diary().due().get("owl")).isEqualTo(((InTime.Means.Later) later).due());
        });
    }

    @Test
    void theDryerIsOfferedAndTakenWhereItHelps() throws Exception {
        with(List.of("owl"), desk -> {
            Instant alone = model.shown().table().ready().get("owl").at();
            List<InTime.Way> offered = new ArrayList<>();
            for (int hours = 6; hours < 60 && offered.stream().noneMatch(w -> w.means() instanceof InTime.Means.Dryer); hours += 6) {
                LocalDateTime due = LocalDateTime.ofInstant(alone, ZoneOffset.UTC).minusHours(hours);
                model.edit("Due", d -> d.withDue("owl", Optional.of(due)));
                answers.until(() -> desk.idle());
                offered = model.waysProperty().get();
                assertThat(model.shown().table().ready().get("owl").late()).isPositive();
                assertThat(offered).isNotEmpty();
            }
            InTime.Means first = offered.get(0).means();
            int left = offered.get(0).late();
            model.take(first);
            answers.until(() -> desk.idle() && ready(List.of("owl")));
            assertThat(model.shown().table().ready().values().stream().filter(r -> !r.late().isZero()).count()).isLessThanOrEqualTo(left);
        });
    }

    @Test
    void stitchesHoldAllThatIsPlannedEachOfOneStoneWithoutAPause() throws Exception {
        with(List.of("owl", "snail", "fox"), desk -> {
            Timetable table = model.shown().table();
            Map<LocalDate, List<Bundle>> days = Bundle.byDay(table, ZoneOffset.UTC);
            List<Timetable.Placed> all = days.values().stream().flatMap(List::stream).flatMap(b -> b.placed().stream()).toList();
            assertThat(all).isEqualTo(table.placed());
            days.forEach((date, bundles) -> bundles.forEach(b -> {
                assertThat(b.start().atZone(ZoneOffset.UTC).toLocalDate()).isEqualTo(date);
                assertThat(b.placed()).allSatisfy(p -> assertThat(model.shown().piece(p).stone()).isEqualTo(b.stone()));
                for (int i = 1; i < b.placed().size(); i++) {
                    assertThat(Duration.between(b.placed().get(i - 1).end(), b.placed().get(i).start())).isLessThanOrEqualTo(
                            Duration.ofMinutes(1));
                }
                assertThat(b.dry(table)).isAfterOrEqualTo(b.end());
                assertThat(model.steps(b)).isNotEmpty().doesNotHaveDuplicates();
            }));
            assertThat(days.values().stream().mapToInt(List::size).sum()).as("short passes in a row are one stitch")
                    .isLessThan(table.placed().size());
        });
    }

    @Test
    void theSoundIsSoftAndDiesAway() {
        byte[] wave = Chime.wave();
        int loudest = 0;
        int atEnd = 0;
        for (int i = 0; i + 1 < wave.length; i += 2) {
            int value = Math.abs((short) ((wave[i + 1] << 8) | (wave[i] & 0xff)));
            loudest = Math.max(loudest, value);
            atEnd = i > wave.length - 2_000 ? Math.max(atEnd, value) : atEnd;
        }
        assertThat(loudest).as("a third of full scale at most").isBetween(2_000, Short.MAX_VALUE / 3);
        assertThat(atEnd).isLessThan(loudest / 20);
    }

    @Test
    void nothingIsSearchedForWhileAnotherStageIsShown() throws Exception {
        with(List.of("snail"), desk -> {
            SittingModel.Shown known = model.shown();
            workbench.stageProperty().set(Finding.Stage.SKETCH);
            model.edit("Another week", d -> d.withWeek("Mon-Sun 8:00-9:00"));
            clock.on(Duration.ofHours(30));
            model.tick();
            answers.until(desk::idle);
            assertThat(model.shown()).isSameAs(known);
            workbench.stageProperty().set(Finding.Stage.SITTING);
            model.activate();
            answers.until(desk::idle);
            assertThat(model.shown().next().orElseThrow().start()).as("caught up on coming back").isAfterOrEqualTo(clock.instant());
            assertThat(model.shown().table().of().hours().get(0).length()).isEqualTo(Duration.ofHours(1));
        });
    }
}
