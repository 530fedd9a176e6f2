package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import biweekly.Biweekly;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import mosspebble.core.book.Page;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Tracing;
import mosspebble.core.sketch.OwnFile;
import org.apache.commons.csv.CSVFormat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.w3c.dom.Document;

/** A studio as open files: out and in again it is the same; other programs read what is theirs; a zip from elsewhere does no harm. */
class StudioFolderTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);
    private static final Studio DEMO = LanternWalk.studio(BuiltIn.repertoire());
    private static final List<BookKeeping.Kept> YEAR = Year.pages();

    /** A stone, a motif and a tracing of one's own, and the basket. */
    private static final Studio SMALL = traced(DEMO.withProjects(List.of(DEMO.project("snail").orElseThrow())))
            .plus(new OwnFile(OwnFile.Kind.MOTIF, "own-kite", "Kite", "<svg viewBox=\"0 0 2 2\"><path d=\"M0 0L2 0L1 2Z\"/></svg>"));

    private static Studio traced(Studio studio) {
        return studio.plus(OwnFiles.kept(Tracing.of(studio.projects().get(0)).orElseThrow(), "Snail", studio));
    }

    @TempDir
    private Path folder;

    private Path photo() throws IOException {
        Path file = folder.resolve("seen.png");
        BufferedImage image = new BufferedImage(80, 64, BufferedImage.TYPE_INT_RGB);
        image.setRGB(7, 9, 0xC0FFEE);
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    private StudioStore studio(Studio studio, List<BookKeeping.Kept> pages) throws FileTrouble {
        return StudioStore.open(folder.resolve("first.pebble"), () -> studio, () -> pages);
    }

    @ParameterizedTest
    @CsvSource({"whole.zip, 1", "whole, 0"})
    void outAndInAgainItIsTheSameStudio(String name, int stones) throws Exception {
        Studio studio = SMALL.withProjects(SMALL.projects().subList(0, stones));
        Path second = folder.resolve("elsewhere/second.pebble");
        try (StudioStore store = studio(studio, YEAR)) {
            BookKeeping book = store.book();
            Page seen = book.addPhoto(book.book().pages().get(2), photo(), TODAY, "on the sill");
            book.keepPicture(seen.id(), Files.readAllBytes(photo()));
            assertThat(StudioFolder.write(studio, book, folder.resolve(name), TODAY, (fraction, what) -> true)).isTrue();

            StudioFolder.TakenIn in = StudioFolder.read(folder.resolve(name), second);
            assertThat(in.studio()).isEqualTo(studio);
            assertThat(in.pages()).isEqualTo(YEAR.size());
            try (StudioStore again = StudioStore.open(second, LanternWalk::newcomer)) {
                assertThat(again.studio()).isEqualTo(studio);
                BookKeeping other = again.book();
                assertThat(other.book().pages()).isEqualTo(book.book().pages());
                for (Page page : book.book().pages()) {
                    assertThat(StudioJson.write(other.planned(page.id()))).isEqualTo(StudioJson.write(book.planned(page.id())));
                }
                assertThat(other.picture(seen.id())).hasValue(book.picture(seen.id()).orElseThrow());
                Page.Photo photo = seen.photos().get(0);
                assertThat(other.photo(photo.id())).hasValue(book.photo(photo.id()).orElseThrow());
                assertThat(other.photos().resolve(photo.original())).hasSameBinaryContentAs(photo());
            }
        }
        assertThat(left()).containsOnly("first.pebble", "first-photos", "seen.png", name, "elsewhere");
    }

    /** Names of what lies in the folder, logs of the studio and day's copies aside. */
    private List<String> left() throws IOException {
        try (Stream<Path> inside = Files.list(folder)) {
            return inside.map(p -> p.getFileName().toString())
                    .filter(n -> !n.endsWith("-wal") && !n.endsWith("-shm") && !n.endsWith(".lock") && !n.contains("backup")
                            && !n.contains("copies"))
                    .toList();
        }
    }

    @Test
    void otherProgramsReadWhatIsTheirs() throws Exception {
        try (StudioStore store = studio(SMALL, YEAR)) {
            StudioFolder.write(SMALL, store.book(), folder.resolve("out"), TODAY, (fraction, what) -> true);
        }
        Path out = folder.resolve("out");
        String stone = SMALL.projects().get(0).id();
        Document svg = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(out.resolve("stones/" + stone + ".svg").toFile());
        assertThat(svg.getDocumentElement().getAttribute("width")).endsWith("mm");
        BufferedImage picture = ImageIO.read(out.resolve("stones/" + stone + ".png").toFile());
        assertThat(Math.max(picture.getWidth(), picture.getHeight())).isEqualTo(900);
        assertThat(out.resolve("own/own-kite.svg")).hasContent(SMALL.own().get(1).content());
        try (var rows = CSVFormat.RFC4180.builder().setHeader().get().parse(Files.newBufferedReader(out.resolve("book.csv")))) {
            assertThat(rows.getRecords()).hasSize(YEAR.size());
        }
        assertThat(ShelfCsv.read(out.resolve("shelf.csv")).paints()).hasSameSizeAs(SMALL.shelf().paints());
        assertThat(Biweekly.parse(out.resolve("looks.ics").toFile()).first().getEvents()).isNotEmpty();
        assertThat(out.resolve("schemas/stone.schema.json")).exists();
        assertThat(Files.readString(out.resolve("stones/" + stone + ".json"))).as("one field to a line").contains("{\n  \"id\"");
    }

    @Test
    void stoppedItLeavesNothing() throws Exception {
        List<Double> told = new ArrayList<>();
        try (StudioStore store = studio(SMALL, YEAR)) {
            boolean written = StudioFolder.write(SMALL, store.book(), folder.resolve("out.zip"), TODAY, (fraction, what) -> {
                told.add(fraction);
                return fraction < 0.1;
            });
            assertThat(written).isFalse();
        }
        assertThat(told).isSorted().allMatch(f -> f >= 0 && f <= 1);
        assertThat(left()).containsOnly("first.pebble");
    }

    @Test
    void whatStandsThereIsLeftAsItIs() throws Exception {
        Files.createDirectory(folder.resolve("mine"));
        Studio bare = SMALL.withProjects(List.of());
        try (StudioStore store = studio(bare, List.of())) {
            assertThatThrownBy(() -> StudioFolder.write(bare, store.book(), folder.resolve("mine"), TODAY, (fraction, what) -> true))
                    .isInstanceOf(FileTrouble.class).hasMessageContaining("Something of that name stands there");
            StudioFolder.write(bare, store.book(), folder.resolve("out.zip"), TODAY, (fraction, what) -> true);
            assertThatThrownBy(() -> StudioFolder.read(folder.resolve("out.zip"), folder.resolve("first.pebble")))
                    .hasMessageContaining("Choose a name that is free");
            assertThat(store.studio()).isEqualTo(bare);
        }
    }

    // --- what comes from elsewhere

    /** The bare files of a studio without stones, changed by hand. */
    private Path changed(Consumer<Path> change) throws Exception {
        Path out = folder.resolve("out");
        try (StudioStore store = studio(SMALL.withProjects(List.of()), YEAR.subList(0, 2))) {
            StudioFolder.write(store.studio(), store.book(), out, TODAY, (fraction, what) -> true);
        }
        change.accept(out);
        return out;
    }

    private void refused(Path from, String words) throws IOException {
        List<String> before = left();
        Path second = folder.resolve("second.pebble");
        assertThatThrownBy(() -> StudioFolder.read(from, second)).isInstanceOf(FileTrouble.class).hasMessageContaining(words);
        assertThat(left()).as("nothing new lies there").containsExactlyInAnyOrderElementsOf(before);
    }

    private static void index(Path out, Consumer<ObjectNode> change) {
        edit(out.resolve("studio.json"), change);
    }

    private static void edit(Path file, Consumer<ObjectNode> change) {
        try {
            ObjectNode node = (ObjectNode) StudioJson.shared().readTree(Files.readString(file));
            change.accept(node);
            Files.writeString(file, node.toString());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aFolderThatIsNoStudioIsRefusedWithASentence() throws Exception {
        Path out = changed(o -> index(o, i -> i.put("format", "garden")));
        refused(out, "This is no studio of Moss Pebble");
        index(out, i -> i.put("format", StudioFolder.FORMAT).put("version", StudioFile.VERSION + 1));
        refused(out, "written by a newer Moss Pebble");
        index(out, i -> i.put("version", StudioFile.VERSION).withArray("stones").add("../../owl"));
        refused(out, "cannot be understood");
        index(out, i -> i.putArray("stones").add("owl"));
        refused(out, "stones/owl.json");
        index(out, i -> i.putArray("stones"));
        Files.writeString(out.resolve("room.json"), "{\"usual\": 5");
        refused(out, "room.json");
        Files.writeString(out.resolve("room.json"), "{\"usual\": 5}");
        refused(out, "cannot be understood");
        Files.delete(out.resolve("studio.json"));
        refused(out, "studio.json is missing");
    }

    @Test
    void aPageThatContradictsItselfIsRefused() throws Exception {
        String page = YEAR.get(0).page().id();
        Path out = changed(o -> edit(o.resolve("book/" + page + ".json"), p -> p.put("id", "another")));
        refused(out, "calls itself");
        edit(out.resolve("book/" + page + ".json"), p -> p.put("id", page).withArray("photos").addObject().put("id", "one")
                .put("taken", "2026-11-01").put("original", "../../.profile").put("words", ""));
        refused(out, "no photo of ours");
        edit(out.resolve("book/" + page + ".json"), p -> p.putArray("photos"));
        assertThat(StudioFolder.read(out, folder.resolve("second.pebble")).pages()).isEqualTo(2);
    }

    private interface Entries {
        void put(ZipOutputStream out) throws IOException;
    }

    private int sent;

    private Path zip(Entries entries) throws IOException {
        Path file = folder.resolve("sent-" + ++sent + ".zip");
        try (OutputStream raw = Files.newOutputStream(file); ZipOutputStream out = new ZipOutputStream(raw)) {
            entries.put(out);
        }
        return file;
    }

    @ParameterizedTest
    @CsvSource({"../evil.txt", "stones/../../evil.txt", "/tmp/evil.txt", "a\\..\\evil.txt"})
    void pathsThatClimbOutAreRefused(String name) throws Exception {
        refused(zip(out -> {
            out.putNextEntry(new ZipEntry(name));
            out.write("x".getBytes(StandardCharsets.UTF_8));
        }), "which would lie elsewhere");
        assertThat(folder.resolve("evil.txt")).doesNotExist();
    }

    @Test
    void aZipThatSwellsIsStoppedAtItsBounds() throws Exception {
        Path bomb = zip(out -> {
            out.putNextEntry(new ZipEntry("studio.json"));
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 64; i++) {
                out.write(zeros);
            }
        });
        assertThat(Files.size(bomb)).isLessThan(100_000);
        Path into = Files.createDirectory(folder.resolve("into"));
        assertThatThrownBy(() -> ZipFolder.unzip(bomb, into, new ZipFolder.Bounds(10_000_000, 100))).isInstanceOf(FileTrouble.class)
                .hasMessageContaining("larger than 10 MB");
        assertThat(Files.size(into.resolve("studio.json"))).isLessThanOrEqualTo(10_000_000);
        Path many = zip(out -> {
            for (int i = 0; i < 101; i++) {
                out.putNextEntry(new ZipEntry("stones/" + i + ".json"));
            }
        });
        assertThatThrownBy(() -> ZipFolder.unzip(many, into, new ZipFolder.Bounds(10_000_000, 100)))
                .hasMessageContaining("more than 100 files");
        refused(bomb, "larger than"); // an index of that size is none
    }

    @Test
    void whatIsNoZipOrHalfAZipIsRefused() throws Exception {
        Path text = Files.writeString(folder.resolve("notes.zip"), "three stones by the gate");
        refused(text, "no zip, or nothing is in it");
        Path whole = zip(out -> {
            out.putNextEntry(new ZipEntry("studio.json"));
            for (int i = 0; i < 5_000; i++) {
                out.write(Integer.toHexString(i * 7919).getBytes(StandardCharsets.UTF_8));
            }
        });
        Files.write(whole, java.util.Arrays.copyOf(Files.readAllBytes(whole), 3_000));
        refused(whole, "The zip is damaged");
        refused(folder.resolve("gone.zip"), "There is no such file");
    }

    @Test
    void aZipPackedWithItsFolderIsTakenIn() throws Exception {
        Path out = changed(o -> {});
        Path packed = zip(sent -> {
            try (Stream<Path> walk = Files.walk(out)) {
                for (Path file : walk.filter(Files::isRegularFile).toList()) {
                    sent.putNextEntry(new ZipEntry("My stones/" + out.relativize(file)));
                    Files.copy(file, sent);
                }
            }
        });
        assertThat(StudioFolder.read(packed, folder.resolve("second.pebble")).studio()).isEqualTo(SMALL.withProjects(List.of()));
        try (ZipFile read = new ZipFile(packed.toFile())) {
            assertThat(read.getEntry("My stones/studio.json")).isNotNull();
        }
    }
}
