package mosspebble.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class CpSatSolverTest {

    private static final Instant START = Instant.parse("2026-11-27T18:00:00Z");
    private static final CpSatSolver SOLVER = new CpSatSolver(1);

    @BeforeAll
    static void loads() {
        boolean shipped = System.getProperty("os.name").equals("Linux") && System.getProperty("os.arch").equals("amd64");
        assumeTrue(shipped || CpSatSolver.works(), "no native solver for this machine");
        assertThat(CpSatSolver.works()).isTrue();
    }

    private static Instant at(long minutes) {
        return START.plusSeconds(60 * minutes);
    }

    private static Map<String, List<String[]>> rows(String name) throws Exception {
        Map<String, List<String[]>> rows = new LinkedHashMap<>();
        try (BufferedReader in = new BufferedReader(
                new InputStreamReader(CpSatSolverTest.class.getResourceAsStream(name), StandardCharsets.UTF_8))) {
            in.lines().filter(l -> !l.startsWith("#") && !l.startsWith("instance")).map(l -> l.split(",", -1))
                    .forEach(r -> rows.computeIfAbsent(r[0], k -> new ArrayList<>()).add(r));
        }
        return rows;
    }

    /** A job shop: each machine is a place that holds one stone, and nothing needs a hand. */
    private static Workload jobShop(List<String[]> operations) {
        List<Workload.Piece> pieces = new ArrayList<>();
        List<Workload.Wait> waits = new ArrayList<>();
        Map<Integer, Workload.Stay> stays = new TreeMap<>();
        Duration before = Duration.ZERO;
        for (String[] row : operations) {
            Duration takes = Duration.ofMinutes(Long.parseLong(row[4]));
            if (!row[2].equals("0")) {
                waits.add(new Workload.Wait(pieces.size() - 1, pieces.size(), before));
            }
            stays.put(pieces.size(), new Workload.Stay("machine " + row[3], takes));
            pieces.add(new Workload.Piece("job " + row[1], Integer.parseInt(row[2]), Duration.ZERO, takes, "", ""));
            before = takes;
        }
        Map<String, Integer> places = stays.values().stream().map(Workload.Stay::place).distinct()
                .collect(Collectors.toMap(p -> p, p -> 1));
        return new Workload(pieces, waits, List.of(new Workload.Hours(START, at(100_000))), START, Map.of(), Map.of(),
                new Workload.Shared(places, stays, Map.of()));
    }

    /** What the solver proves in a second or two; the others take it five to a minute. */
    private static final Set<String> SOON = Set.of("ft06", "la01", "la03", "la05");

    @Test
    // ft06, ft20 (Fisher and Thompson 1963), la01 to la05 (Lawrence 1984); optima as published, and proven by the same solver elsewhere
    void theKnownOptimaOfJobShopsAreFoundAndProven() throws Exception {
        Map<String, List<String[]>> optima = rows("jobshop_optima.csv");
        int proven = 0;
        for (Map.Entry<String, List<String[]>> each : rows("jobshop_instances.csv").entrySet()) {
            Instant best = at(Long.parseLong(optima.get(each.getKey()).get(0)[1]));
            Timetable java = Timetable.of(jobShop(each.getValue()));
            assertThat(java.bound()).as(each.getKey()).isBeforeOrEqualTo(best);
            assertThat(java.end()).as(each.getKey()).isAfterOrEqualTo(best);
            if (SOON.contains(each.getKey())) {
                Timetable found = new CpSatSolver(10).better(java, () -> false).orElseThrow();
                assertThat(found.end()).as(each.getKey()).isEqualTo(best);
                assertThat(found.proven()).as(each.getKey()).isTrue();
                proven++;
            }
        }
        assertThat(proven).isEqualTo(4);
    }

    /** Stones of some coats in evenings, some of them due, with a place and rooms. */
    private static Workload madeUp(SplittableRandom random, int stones, int steps) {
        List<Workload.Piece> pieces = new ArrayList<>();
        List<Workload.Wait> waits = new ArrayList<>();
        Map<Integer, Workload.Stay> stays = new TreeMap<>();
        for (int s = 0; s < stones; s++) {
            for (int c = 0; c < steps; c++) {
                if (c > 0) {
                    waits.add(new Workload.Wait(pieces.size() - 1, pieces.size(), Duration.ofMinutes(random.nextInt(5, 60)),
                            Optional.empty(), random.nextBoolean()));
                }
                if (c == steps - 1) {
                    stays.put(pieces.size(), new Workload.Stay("box", Duration.ofMinutes(20)));
                }
                pieces.add(new Workload.Piece("stone " + s, c, Duration.ofMinutes(random.nextInt(2, 20)),
                        c == steps - 1 ? Duration.ofHours(3) : Duration.ofMinutes(10), "load " + random.nextInt(5), "brush"));
            }
        }
        List<Workload.Hours> hours = new ArrayList<>();
        Map<Instant, Double> slower = new TreeMap<>();
        for (int day = 0; day < 7; day++) {
            hours.add(new Workload.Hours(at(day * 1_440L), at(day * 1_440L + 120)));
            slower.put(at(day * 1_440L), random.nextInt(3) == 0 ? random.nextDouble(0.5, 3) : 1);
        }
        return new Workload(pieces, waits, hours, START, Map.of("stone 0", at(random.nextInt(200, 5_000))), Map.of(),
                new Workload.Shared(Map.of("box", random.nextInt(1, 3)), stays, slower,
                        new Workload.Cold(IntStream.range(0, pieces.size()).filter(i -> random.nextBoolean()).boxed()
                                .collect(Collectors.toSet()), random.nextBoolean() ? Set.of() : Set.of(at(0), at(2 * 1_440))),
                        new Workload.Mixing(Duration.ofHours(2),
                                IntStream.range(0, pieces.size()).boxed().filter(i -> i % 3 == 0)
                                        .collect(Collectors.toMap(i -> i, i -> Map.of("mix " + i % 2, Duration.ofMinutes(2)))),
                                Map.of())));
    }

    /** An evening holds one of four passes: with paint that needs warmth two cold evenings are lost, and nothing is better. */
    @Test
    void whatIsProvenKnowsOfEveningsThatAreTooCold() {
        for (boolean warmth : new boolean[] {true, false}) {
            List<Workload.Piece> pieces = IntStream.range(0, 4)
                    .mapToObj(i -> new Workload.Piece("stone " + i, 0, Duration.ofMinutes(25), Duration.ZERO, "load", "brush")).toList();
            List<Workload.Hours> hours = IntStream.range(0, 10)
                    .mapToObj(day -> new Workload.Hours(at(day * 1_440L), at(day * 1_440L + 40))).toList();
            Workload.Cold cold = new Workload.Cold(warmth ? Set.of(0, 1, 2, 3) : Set.of(), Set.of(at(1_440), at(3 * 1_440)));
            Workload workload = new Workload(pieces, List.of(), hours, START, Map.of(), Map.of(),
                    new Workload.Shared(Map.of(), Map.of(), Map.of(), cold));
            Timetable found = SOLVER.better(Timetable.quick(workload), () -> false).orElseThrow();
            assertThat(found.end()).isEqualTo(at((warmth ? 5 : 3) * 1_440L + 25));
            assertThat(found.bound()).isEqualTo(found.end());
            assertThat(found.proven()).isTrue();
        }
    }

    @Test
    void nothingGetsWorseAndWhatIsProvenIsNotBeaten() {
        SplittableRandom random = new SplittableRandom(8);
        int closer = 0;
        for (int k = 0; k < 12; k++) {
            Workload workload = madeUp(random, random.nextInt(2, 6), random.nextInt(2, 6));
            Timetable quick = Timetable.quick(workload);
            Timetable found = SOLVER.better(quick, () -> false).orElseThrow();
            assertThat(found.placed()).hasSameSizeAs(workload.pieces())
                    .as("nothing that needs warmth where it is cold").noneMatch(p -> workload.hours().stream()
                            .anyMatch(
                                    h -> workload.isTooCold(p.piece(), h) && !p.start().isBefore(h.from()) && p.start().isBefore(h.to())));
            assertThat(late(found)).isLessThanOrEqualTo(late(quick));
            assertThat(found.bound()).isAfterOrEqualTo(quick.bound()).isBeforeOrEqualTo(found.end());
            Timetable java = Timetable.of(workload);
            assertThat(java.end()).as("nobody is through before what is proven").isAfterOrEqualTo(found.bound());
            closer += found.bound().isAfter(quick.bound()) || found.end().isBefore(quick.end()) ? 1 : 0;
        }
        assertThat(closer).as("it knows more than the search in some").isGreaterThan(2);
    }

    private static Duration late(Timetable table) {
        return table.ready().values().stream().map(Timetable.Ready::late).reduce(Duration.ZERO, Duration::plus);
    }

    @Test
    void theSameQuestionGetsTheSameAnswerAndWhatIsNotWantedIsGivenUp() {
        Workload workload = madeUp(new SplittableRandom(5), 6, 8);
        Timetable quick = Timetable.quick(workload);
        assertThat(SOLVER.better(quick, () -> false)).isEqualTo(SOLVER.better(quick, () -> false));
        assertThat(new CpSatSolver(1_000).better(quick, () -> true)).contains(quick);
        Instant began = Instant.now();
        Timetable given = new CpSatSolver(1_000).better(quick, () -> Instant.now().isAfter(began.plusSeconds(1))).orElseThrow();
        assertThat(given.placed()).hasSameSizeAs(workload.pieces());
    }
}
