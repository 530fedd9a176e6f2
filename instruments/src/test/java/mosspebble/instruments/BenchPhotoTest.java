package mosspebble.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import boofcv.alg.drawing.FiducialImageEngine;
import boofcv.alg.fiducial.square.FiducialSquareGenerator;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mosspebble.core.colour.Lab;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoFinding;
import mosspebble.core.photo.PhotoHints;
import mosspebble.core.photo.PhotoReader;
import mosspebble.core.photo.PhotoReading;
import mosspebble.core.photo.PhotoStone;
import mosspebble.core.photo.ScaleCard;
import mosspebble.core.photo.SheetMap;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.units.Millimetres;
import mosspebble.core.words.PhotoWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Photos of the simulated bench, whose truth is known, read by the reader that reads real ones. */
class BenchPhotoTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    /** As many as a test has time for; {@code -Dphotos=200} is what docs/photo.md speaks of. */
    private static final int PHOTOS = Integer.getInteger("photos", 30);

    private record Result(long seed, int stone, double lengthOff, double widthOff, double areaOff, double colourOff, boolean doubtful) {}

    private static PhotoReading read(BenchScene scene) {
        return new PhotoReader().read(SimulatedBenchCamera.photograph(scene), PhotoHints.none(), () -> false);
    }

    private static List<PhotoFinding.Kind> kinds(PhotoReading reading) {
        return reading.findings().stream().map(PhotoFinding::kind).toList();
    }

    private static double extent(Geometry shape, double angle) {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (Coordinate c : shape.getCoordinates()) {
            double along = c.x * Math.cos(angle) + c.y * Math.sin(angle);
            low = Math.min(low, along);
            high = Math.max(high, along);
        }
        return high - low;
    }

    private static List<Result> results(long seed) {
        BenchScene scene = BenchScene.varied(seed, 1360, 1020);
        PhotoReading reading = read(scene);
        List<Result> results = new ArrayList<>();
        if (reading.stones().size() != scene.stones().size()) {
            results.add(new Result(seed, -1, 99, 99, 99, 99, !reading.findings().isEmpty()));
        }
        for (int i = 0; i < reading.stones().size(); i++) {
            PhotoStone found = reading.stones().get(i);
            Coordinate at = found.sheet().getCentroid().getCoordinate();
            BenchScene.Lying lying = scene.stones().stream().min(Comparator.comparingDouble(l -> Math.hypot(l.x() - at.x, l.y() - at.y)))
                    .orElseThrow();
            Stone truth = lying.stone();
            // the painter measures the height with callipers, to half a millimetre
            double height = Math.round(2 * truth.height().value()) / 2.0;
            Geometry outline = found.outline(height * truth.faceShare(), height * (1 - truth.faceShare()), truth.fullness());
            Geometry wanted = StoneOutline.of(truth).polygon(FACTORY);
            double turn = Math.toRadians(truth.wayUp());
            results.add(new Result(seed, i, Math.abs(extent(outline, turn) - truth.length().value()),
                    Math.abs(extent(outline, turn + Math.PI / 2) - truth.width().value()),
                    Math.abs(outline.getArea() / wanted.getArea() - 1), Lab.of(found.colour()).differenceTo(Lab.of(truth.colour())),
                    reading.doubtful(i)));
        }
        return results;
    }

    @Test
    void variedPhotosAreReadToTheirTruthAndNoFailureIsSilent() {
        List<Result> all = IntStream.range(0, PHOTOS).parallel().mapToObj(seed -> results(seed)).flatMap(List::stream).toList();
        List<Double> lengths = new ArrayList<>();
        List<Double> areas = new ArrayList<>();
        List<Double> colours = new ArrayList<>();
        for (Result r : all) {
            lengths.add(r.lengthOff());
            lengths.add(r.widthOff());
            areas.add(r.areaOff());
            colours.add(r.colourOff());
            if (r.areaOff() > 0.01 || r.lengthOff() > 0.8 || r.widthOff() > 0.8) {
                assertThat(r.doubtful()).as("worse than promised without a word: %s", r).isTrue();
            }
        }
        Collections.sort(lengths);
        Collections.sort(areas);
        Collections.sort(colours);

        assertThat(all.size()).isGreaterThan(PHOTOS * 5 / 2);
        assertThat(lengths.get(lengths.size() / 2)).as("median error of a length, mm").isLessThan(0.3);
        assertThat(lengths.get(lengths.size() * 95 / 100)).as("95th percentile, mm").isLessThan(0.8);
        assertThat(areas.get(areas.size() * 95 / 100)).as("area, 95th percentile").isLessThan(0.01);
        assertThat(colours.get(colours.size() * 95 / 100)).as("colour of the dry stone, CIEDE2000").isLessThan(3);
    }

    @Test
    void onAWhiteSheetEveryWorseReadingCarriesAFinding() {
        for (long seed = 300; seed < 304; seed++) {
            BenchScene scene = BenchScene.varied(seed, 1200, 900);
            assertThat(kinds(read(scene.withSheet(BenchScene.WHITE, 0.4)))).contains(PhotoFinding.Kind.PALE_SHEET);
        }
    }

    private static Stone cobble(double length) {
        return Stone.cobble().withShape(new Shape.Grown(Form.OVAL, 1, 0)).withSize(new Millimetres(length), new Millimetres(0.8 * length),
                new Millimetres(0.35 * length));
    }

    private static BenchScene one(Stone stone, double x, double y) {
        return BenchScene.varied(5, 1600, 1200).withStones(List.of(new BenchScene.Lying(stone, x, y)));
    }

    @Test
    void eachFailureHasItsOwnSentenceAndWayOut() {
        BenchScene plain = one(cobble(80), 200, 110);
        PhotoReading even = read(plain);
        assertThat(even.findings()).isEmpty();
        assertThat(even.stones().size()).isEqualTo(1);

        PhotoReading noCard = read(plain.withCard(false, 0));
        assertThat(noCard.stones()).isEmpty();
        assertThat(noCard.findings()).singleElement()
                .satisfies(
                        f -> assertThat(PhotoWords.sentence(f)).contains("scale card is not in the picture").contains("mark two points"));

        PhotoReading hidden = read(plain.withCard(true, 2));
        assertThat(hidden.findings()).anySatisfy(f -> assertThat(PhotoWords.sentence(f)).contains("Only 2 of the card's 4 marks"));
        assertThat(hidden.stones().size()).isEqualTo(1);

        assertThat(kinds(read(plain.withBlur(3)))).contains(PhotoFinding.Kind.BLURRED);
        assertThat(kinds(read(plain.withBlur(12)))).contains(PhotoFinding.Kind.NO_CARD);
        assertThat(kinds(read(one(cobble(24), 200, 110)))).contains(PhotoFinding.Kind.SMALL);
        assertThat(kinds(read(one(cobble(60), 318, 40).from(-30, 120, 420)))).contains(PhotoFinding.Kind.ASIDE);
        assertThat(kinds(read(one(cobble(80), 372, 120)))).contains(PhotoFinding.Kind.TOUCHES_EDGE);
        assertThat(kinds(read(plain.withStones(List.of())))).containsExactly(PhotoFinding.Kind.NO_STONES);
        assertThat(kinds(read(plain.from(-60, 420, 380)))).contains(PhotoFinding.Kind.LEANED);
    }

    @Test
    void aShadowTakenForStoneIsSaid() {
        BenchScene scene = one(cobble(80), 200, 110);
        BenchScene low = new BenchScene(scene.stones(), BenchScene.WHITE, 1600, 1200,
                new BenchScene.Camera(scene.camera().x(), scene.camera().y(), scene.camera().z(), scene.camera().aimX(),
                        scene.camera().aimY(), 0, 0.7, 2),
                new BenchScene.Lamp(0, 270, 22, 0.8), new BenchScene.CardOnSheet(true, 0), 3);
        PhotoReading reading = read(low);

        assertThat(reading.findings()).anySatisfy(f -> {
            assertThat(f.kind()).isEqualTo(PhotoFinding.Kind.SHADOW);
            assertThat(PhotoWords.sentence(f)).contains("soft, as a shadow's is").contains("coloured sheet");
        });
    }

    @Test
    void touchingStonesAreSaidAndALineCutsThemApart() {
        BenchScene scene = BenchScene.varied(5, 1600, 1200)
                .withStones(List.of(new BenchScene.Lying(cobble(70), 160, 130), new BenchScene.Lying(cobble(70), 229.5, 130)));
        Photo photo = SimulatedBenchCamera.photograph(scene);
        PhotoReader reader = new PhotoReader();
        PhotoReading joined = reader.read(photo, PhotoHints.none(), () -> false);

        assertThat(joined.stones().size()).isEqualTo(1);
        assertThat(joined.findings())
                .anySatisfy(f -> assertThat(PhotoWords.sentence(f)).contains("Two stones seem to touch").contains("draw a line"));
        SheetMap map = joined.map().orElseThrow();
        // the girdle stands above the sheet, so the place where they touch is seen a little outward of it
        double lift = 1 + 0.45 * 0.35 * 70 / map.camera()[2];
        double x = map.camera()[0] + (194.75 - map.camera()[0]) * lift;
        Coordinate above = map.toImage(x, 95);
        Coordinate below = map.toImage(x, 165);
        PhotoReading cut = reader.read(photo,
                new PhotoHints(Optional.empty(), List.of(new PhotoHints.Line(above.x, above.y, below.x, below.y))), () -> false);
        assertThat(cut.stones().size()).isEqualTo(2);
        assertThat(kinds(cut)).doesNotContain(PhotoFinding.Kind.TOUCHES_ANOTHER);
        assertThat(cut.stones().stream().map(s -> s.stone(new Millimetres(24.5), cobble(70)).length().value()).toList())
                .allSatisfy(mm -> assertThat(mm).isCloseTo(70, within(2.0)));
    }

    @Test
    void aBentCardIsSaid() {
        Photo flat = SimulatedBenchCamera.photograph(one(cobble(80), 200, 110));
        int[] bent = new int[flat.width() * flat.height()];
        for (int y = 0; y < flat.height(); y++) {
            for (int x = 0; x < flat.width(); x++) {
                int from = (int) Math.round(y + 5 * Math.sin(2 * Math.PI * x / 300)); // paper that lies in waves
                bent[y * flat.width() + x] = flat.at(x, Math.max(0, Math.min(flat.height() - 1, from)));
            }
        }
        PhotoReading even = new PhotoReader().read(flat, PhotoHints.none(), () -> false);
        PhotoReading uneven = new PhotoReader().read(new Photo(flat.width(), flat.height(), bent, flat.focalPx()), PhotoHints.none(),
                () -> false);

        assertThat(kinds(even)).doesNotContain(PhotoFinding.Kind.CARD_UNEVEN);
        assertThat(uneven.findings()).anySatisfy(f -> {
            assertThat(f.kind()).isEqualTo(PhotoFinding.Kind.CARD_UNEVEN);
            assertThat(PhotoWords.sentence(f)).contains("bent").contains("50 mm ruler");
        });
    }

    @Test
    void anOutlineThatFoldsBackOnItselfIsBridgedAndSaid() {
        BenchScene scene = BenchScene.varied(5, 1600, 1200)
                .withStones(List.of(new BenchScene.Lying(cobble(64), 150, 110), new BenchScene.Lying(cobble(64), 213.5, 110),
                        new BenchScene.Lying(cobble(64), 213.5, 157)));
        PhotoReading reading = read(scene);

        assertThat(reading.stones().size()).as("they are taken for one").isLessThan(3);
        assertThat(reading.findings()).anySatisfy(f -> {
            assertThat(f.kind()).isEqualTo(PhotoFinding.Kind.FOLDED);
            assertThat(PhotoWords.sentence(f)).contains("bridged over").contains("Drag the points");
        });
    }

    @Test
    void twoMarkedPointsServeWhereThereIsNoCard() {
        BenchScene scene = one(cobble(80), 200, 110).withCard(false, 0).from(120, 100, 430);
        Photo photo = SimulatedBenchCamera.photograph(scene);
        // from straight above, so many pixels stand for a millimetre
        double pixelsPerMm = BenchScene.FOCAL * 1600 / 430;
        PhotoHints hints = new PhotoHints(
                Optional.of(new PhotoHints.Distance(new PhotoHints.Line(400, 300, 400 + 100 * pixelsPerMm, 300), 100)), List.of());
        PhotoReading reading = new PhotoReader().read(photo, hints, () -> false);

        assertThat(kinds(reading)).contains(PhotoFinding.Kind.SCALE_BY_HAND);
        assertThat(reading.stones().size()).isEqualTo(1);
        assertThat(reading.stones().get(0).stone(new Millimetres(28), cobble(80)).length().value()).isCloseTo(80, within(2.4));
    }

    @Test
    @Tag("outside") // the square marks by the generator of the vision library, whose detector must read them
    void theCardsMarksAreThoseOfTheLibrary() {
        for (ScaleCard.Mark mark : ScaleCard.MARKS) {
            FiducialImageEngine engine = new FiducialImageEngine();
            engine.configure(0, 80);
            FiducialSquareGenerator generator = new FiducialSquareGenerator(engine);
            generator.setMarkerWidth(80);
            generator.generate(mark.number(), 4);
            for (int row = 0; row < ScaleCard.CELLS; row++) {
                for (int column = 0; column < ScaleCard.CELLS; column++) {
                    assertThat(engine.getGray().get(10 * column + 5, 10 * row + 5) < 128)
                            .as("mark %d, cell %d %d", mark.number(), column, row).isEqualTo(mark.black(column, row));
                }
            }
        }
    }

    @Test
    void theCameraIsFoundWhereItStood() {
        for (long seed = 40; seed < 43; seed++) {
            BenchScene scene = BenchScene.varied(seed, 1600, 1200);
            double[] camera = read(scene).map().orElseThrow().camera();
            assertThat(camera[2]).isCloseTo(scene.camera().z(), within(4.0));
            assertThat(camera[0]).isCloseTo(scene.camera().x(), within(8.0));
            assertThat(camera[1]).isCloseTo(scene.camera().y(), within(8.0));
        }
    }

    @Test
    void theSameSceneGivesTheSamePhotoAndAnotherSeedAnother() {
        Photo one = SimulatedBenchCamera.photograph(BenchScene.varied(7, 320, 240));
        Photo again = SimulatedBenchCamera.photograph(BenchScene.varied(7, 320, 240));
        Photo other = SimulatedBenchCamera.photograph(BenchScene.varied(8, 320, 240));
        int same = 0;
        int differ = 0;
        for (int y = 0; y < 240; y++) {
            for (int x = 0; x < 320; x++) {
                same += one.at(x, y) == again.at(x, y) ? 1 : 0;
                differ += one.at(x, y) == other.at(x, y) ? 0 : 1;
            }
        }
        assertThat(same).isEqualTo(320 * 240);
        assertThat(differ).isGreaterThan(320 * 240 / 2);
    }
}
