package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosspebble.core.advice.Proposals;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Pairs;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Support;
import mosspebble.core.sketch.Typeface;
import mosspebble.core.stone.Stone;
import mosspebble.core.words.FindingWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.locationtech.jts.geom.Geometry;

/** What ships to be painted, and what painters bring. */
class LibraryTest {

    private static final Repertoire REPERTOIRE = BuiltIn.repertoire();

    @TempDir
    private Path folder;

    @Test
    void everyShippedMotifFitsAFaceWithAllItsPartsAndItsPairsAreCongruent() {
        assertThat(BuiltIn.titles()).extracting(BuiltIn.Title::id).doesNotHaveDuplicates();
        assertThat(BuiltIn.titles().stream().filter(t -> t.kind() == BuiltIn.Kind.CHARACTER)).hasSizeGreaterThanOrEqualTo(14);
        assertThat(BuiltIn.titles().stream().filter(t -> t.kind() == BuiltIn.Kind.SCENERY)).hasSizeGreaterThanOrEqualTo(14);
        Support bed = Support.of(Surveys.of(Stone.cobble()));
        for (BuiltIn.Title title : BuiltIn.titles()) {
            Motif motif = REPERTOIRE.motif(title.id()).orElseThrow();
            assertThat(motif.title()).as("the title in the list is that of the file").isEqualTo(title.title());
            Item item = Item.of(new Subject.Figure(title.id()), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 1);
            Placement placement = Designs.fit(item, REPERTOIRE, bed).orElseThrow();
            PlacedItem fitted = Designs.place(new Sketch(List.of(item.withPlacement(placement))), REPERTOIRE, bed).orElseThrow().items()
                    .get(0);
            assertThat(bed.zones().face().buffer(0.05).covers(fitted.silhouette())).as("%s stays on the face", title.title()).isTrue();
            for (boolean mirrored : new boolean[] {false, true}) {
                PlacedItem placed = Designs
                        .place(new Sketch(List.of(item.withMirrored(mirrored).withPlacement(placement))), REPERTOIRE, bed).orElseThrow()
                        .items().get(0);
                assertThat(Pairs.of(placed)).as("pairs of %s", title.title())
                        .allSatisfy(pair -> assertThat(pair.apartMm()).as(pair.one().part().title()).isLessThan(0.05));
            }
            Geometry sizes = motif.sitting();
            assertThat(placement.scale() * Math.max(sizes.getEnvelopeInternal().getWidth(), sizes.getEnvelopeInternal().getHeight()))
                    .as("%s is worth painting", title.title()).isGreaterThan(30);
            for (Slot slot : motif.slots()) {
                assertThat(motif.parts().stream().anyMatch(p -> p.slot().equals(slot.id())))
                        .as("%s uses its colour %s", title.title(), slot.title()).isTrue();
            }
        }
    }

    @Test
    void whatWearsTheStoneCoversItsFace() {
        Support bed = Support.of(Surveys.of(Stone.cobble()));
        for (BuiltIn.Title title : BuiltIn.titles()) {
            if (REPERTOIRE.motif(title.id()).orElseThrow().prefersWearing()) {
                Item item = Item.of(new Subject.Figure(title.id()), ItemMode.WEARING, new Placement(0, 0, 0, 1), 0);
                Geometry worn = Designs.place(new Sketch(List.of(item)), REPERTOIRE, bed).orElseThrow().silhouette();
                assertThat(worn.getArea() / bed.zones().paintable().getArea()).as(title.title()).isCloseTo(1, within(0.06));
            }
        }
    }

    @Test
    void theExamplesInTheManualAreReadAsTheyStand() throws Exception {
        String manual = Files.readString(manual("docs/motif-format.md"));
        Matcher blocks = Pattern.compile("```svg\n(.*?)```", Pattern.DOTALL).matcher(manual);
        int read = 0;
        while (blocks.find()) {
            Motif motif = MotifReader.read(new ByteArrayInputStream(blocks.group(1).getBytes(StandardCharsets.UTF_8)), "motif-format.md");
            assertThat(motif.parts()).isNotEmpty();
            read++;
        }
        assertThat(read).isEqualTo(2);
    }

    private static Path manual(String name) {
        Path here = Path.of("").toAbsolutePath();
        while (!Files.exists(here.resolve(name))) {
            here = here.getParent();
        }
        return here.resolve(name);
    }

    @Test
    void brokenAndHostileFilesOfOnesOwnAreAnsweredWithWhatToDo() throws Exception {
        String head = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 10 10\" data-motif=\"x\" data-slots=\"a: A: #112233\">";
        StringBuilder points = new StringBuilder("0,0");
        for (int i = 0; i < 150_000; i++) {
            points.append(' ').append(i % 97).append(',').append(i % 89);
        }
        String[][] wrong = {
            {"empty.svg", "", ""},
            {"script.svg", head + "<script>alert(1)</script></svg>", "script"},
            {"link.svg", head + "<image href=\"http://far.away/x.png\"/></svg>", "refused"},
            {"entity.svg", "<!DOCTYPE svg [<!ENTITY a \"aaaa\">]>" + head + "</svg>", "DOCTYPE"},
            {"deep.svg", head + "<g>".repeat(10_000) + "</g>".repeat(10_000) + "</svg>", "48"},
            {"nan.svg", head + "<circle data-part=\"p\" data-slot=\"a\" cx=\"NaN\" cy=\"1\" r=\"2\"/></svg>", "NaN"},
            {"many.svg", head + "<polygon data-part=\"p\" data-slot=\"a\" points=\"" + points + "\"/></svg>", "point"},
            {"none.svg", head + "<rect width=\"4\" height=\"4\"/></svg>", "data-part"},
            {"letter.ttf", "Dear aunt, this is a letter.", "not a font"},
        };
        for (String[] file : wrong) {
            Path path = Files.writeString(folder.resolve(file[0]), file[1], StandardCharsets.UTF_8);
            assertThatThrownBy(() -> OwnFiles.read(path)).as(file[0]).isInstanceOf(FileTrouble.class)
                    .hasMessageContaining(file[0].substring(0, 4)).hasMessageContaining(file[2]);
        }
        byte[] font;
        try (InputStream in = BuiltIn.open("fonts/ZillaSlab_600SemiBold.ttf")) {
            font = in.readAllBytes();
        }
        Path torn = Files.write(folder.resolve("torn.ttf"), Arrays.copyOf(font, 400));
        assertThatThrownBy(() -> OwnFiles.read(torn)).isInstanceOf(FileTrouble.class).hasMessageContaining("torn.ttf");
        assertThatThrownBy(() -> OwnFiles.read(folder)).isInstanceOf(FileTrouble.class).hasMessageContaining("not a file");
        Path whole = Files.write(folder.resolve("mine.ttf"), font);
        OwnFile own = OwnFiles.read(whole);
        assertThat(own.kind()).isEqualTo(OwnFile.Kind.FACE);
        Typeface face = OwnFiles.with(REPERTOIRE, List.of(own)).typeface(own.id()).orElseThrow();
        assertThat(face.glyph('Q').orElseThrow().shape().getArea())
                .isCloseTo(REPERTOIRE.typeface("slab").orElseThrow().glyph('Q').orElseThrow().shape().getArea(), within(1e-9));
    }

    @Test
    void thePenFaceHasAllPlainLettersAsSingleStrokes() {
        Typeface pen = REPERTOIRE.typeface("pen").orElseThrow();
        for (char letter = '!'; letter <= 'z'; letter++) {
            if (Character.isLetterOrDigit(letter)) {
                Geometry strokes = pen.glyph(letter).orElseThrow().shape();
                assertThat(strokes.getDimension()).as("%s is lines", letter).isEqualTo(1);
                assertThat(strokes.getEnvelopeInternal().getMaxY()).as("%s stands on or hangs below the line", letter).isBetween(-0.05,
                        0.35);
                assertThat(strokes.getEnvelopeInternal().getMinY()).as("%s is no higher than a capital", letter).isBetween(-1.06, -0.5);
                assertThat(pen.glyph(letter).orElseThrow().advance()).as("%s leaves room", letter)
                        .isGreaterThanOrEqualTo(strokes.getEnvelopeInternal().getMaxX());
            }
        }
    }

    @Test
    // ISO 128 line widths and ISO 9175-1 nibs, from memory: 0.13 0.18 0.25 0.35 0.5 0.7 1.0 1.4 2.0; the trade adds 0.3 and 2.5 (common
    // practice, no source)
    @Tag("outside")
    void thePensOfTheShelfAreNibsThatAreSoldAndTooNarrowIsSaidInTheirTerms() {
        Set<Double> nibs = Set.of(0.13, 0.18, 0.25, 0.3, 0.35, 0.5, 0.7, 1.0, 1.4, 2.0, 2.5);
        assertThat(LanternWalk.shelf().that(PaintKind.Use.DRAWS)).extracting(Paint::tip)
                .allSatisfy(tip -> assertThat(nibs).contains(tip.value()));
        Subject.Word small = new Subject.Word(List.of("quillbeck"), "serif");
        Project project = Project.begin("p", "P", Stone.cobble())
                .withSketch(Optional.of(Sketch.of(small, ItemMode.ON_STONE, new Placement(0, 0, 0, 2.5), 0)));
        Palette palette = new Palette(LanternWalk.shelf());
        Motif motif = Designs.motif(small, REPERTOIRE).orElseThrow();
        for (var colour : Proposals.nearest(motif, project.sketch().orElseThrow().items().get(0), palette).entrySet()) {
            project = project.withColour(colour.getKey(), colour.getValue());
        }
        PaintPlan plan = Plans.plan(project, Surveys.of(project.stone()), palette, REPERTOIRE, Climate.room());
        Finding narrow = plan.findings().stream().filter(f -> f.code() == Code.TOO_NARROW).findFirst().orElseThrow();
        assertThat(FindingWords.sentence(narrow)).contains(" mm wide").contains("needs");
        assertThat(narrow.remedies()).extracting(FindingWords::label).anyMatch(l -> l.startsWith("Enlarge"))
                .anyMatch(l -> l.startsWith("Thicken"));
        assertThat(plan.hardToPaint()).isNotEmpty();
    }

    @Test
    void theFindingNamesTheLetterTheMillimetresAndWhatFits() {
        Subject.Word word = new Subject.Word(List.of("LANTERN"), "slab", LetterSetting.plain());
        Project project = Project.begin("p", "P", Stone.cobble())
                .withSketch(Optional.of(Sketch.of(word, ItemMode.ON_STONE, new Placement(3, 0, 0, 22), 1)));
        PaintPlan plan = Plans.plan(project, Surveys.of(project.stone()), new Palette(LanternWalk.shelf()), REPERTOIRE, Climate.room());
        Finding leaves = plan.findings().stream().filter(f -> f.code() == Code.LEAVES).findFirst().orElseThrow();
        assertThat(FindingWords.sentence(leaves))
                .matches("The last N leaves the .* by \\d+\\.\\d mm, and [a-z]+ more; \\d+ mm letters fit\\.");
        Project mended = leaves.remedy().orElseThrow().change().apply(project);
        assertThat(Plans.plan(mended, Surveys.of(mended.stone()), new Palette(LanternWalk.shelf()), REPERTOIRE, Climate.room()).findings())
                .noneMatch(f -> f.code() == Code.LEAVES);
    }
}
