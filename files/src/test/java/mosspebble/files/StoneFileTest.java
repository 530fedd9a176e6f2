package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Shelf;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** One stone, sent and taken in. */
class StoneFileTest {

    private static final Studio WALK = LanternWalk.studio(BuiltIn.repertoire());

    @TempDir
    private Path folder;

    @Test
    void everyDemoStoneComesWholeIntoAnEmptyStudioWithItsPaints() throws Exception {
        Studio bare = LanternWalk.newcomer().withShelf(new Shelf(List.of()));
        for (Project stone : WALK.projects()) {
            Path file = folder.resolve(stone.id() + ".json");
            StoneFile.write(stone, WALK, file);
            StoneFile.TakenIn in = StoneFile.read(file).into(bare);
            assertThat(in.studio().project(in.stone())).hasValue(stone);
            for (Mix mix : stone.colours().values()) {
                for (Mix.Part part : mix.parts()) {
                    Paint paint = in.studio().shelf().find(part.paint()).orElseThrow();
                    assertThat(paint.pot().left().value()).as("nobody has it yet").isZero();
                    assertThat(paint.swatch()).isEqualTo(WALK.shelf().find(part.paint()).orElseThrow().swatch());
                    assertThat(in.paints()).contains(paint.name());
                }
            }
        }
    }

    @Test
    void whatThePainterHasStaysHers() throws Exception {
        Path file = folder.resolve("owl.json");
        StoneFile.write(WALK.project("owl").orElseThrow(), WALK, file);
        StoneFile.TakenIn in = StoneFile.read(file).into(WALK);
        assertThat(in.stone()).isEqualTo("owl-2");
        assertThat(in.studio().projects()).hasSize(10);
        assertThat(in.studio().shelf()).isEqualTo(WALK.shelf());
        assertThat(in.paints()).isEmpty();
        assertThat(StoneFile.read(file).into(in.studio()).stone()).isEqualTo("owl-3");
    }

    @Test
    void aMotifOfOnesOwnComesAlongAndUnderAnotherIdWhereThatIsTaken() throws Exception {
        OwnFile kite = new OwnFile(OwnFile.Kind.MOTIF, "own-kite", "Kite", "<svg>one</svg>");
        Project stone = WALK.project("snail").orElseThrow().withSketch(Optional.of(new Sketch(
                List.of(Item.of(new Subject.Figure("own-kite"), ItemMode.ON_STONE, new Placement(0, 0, 0, 20), 1)))));
        Path file = folder.resolve("kite.json");
        StoneFile.write(stone, WALK.plus(kite), file);

        StoneFile.TakenIn plain = StoneFile.read(file).into(WALK);
        assertThat(plain.studio().own()).containsExactly(kite);
        OwnFile other = new OwnFile(OwnFile.Kind.MOTIF, "own-kite", "Another kite", "<svg>two</svg>");
        StoneFile.TakenIn beside = StoneFile.read(file).into(WALK.plus(other));
        assertThat(beside.studio().own()).extracting(OwnFile::id).containsExactly("own-kite", "own-kite-2");
        assertThat(beside.studio().project(beside.stone()).orElseThrow().sketch().orElseThrow().items().get(0).subject())
                .isEqualTo(new Subject.Figure("own-kite-2"));
        assertThat(StoneFile.read(file).into(WALK.plus(kite)).studio().own()).as("the same file twice").containsExactly(kite);
    }

    @Test
    void aStoneFromAProgramBeforeStandInsIsTakenIn() throws Exception {
        Path file = folder.resolve("owl.json");
        StoneFile.write(WALK.project("owl").orElseThrow(), WALK, file);
        String today = Files.readString(file);
        String before = today.replaceFirst("\"version\":\\d+", "\"version\":11").replaceFirst(",\"unmeasured\":\\[]", "");
        assertThat(before).doesNotContain("unmeasured");
        Files.writeString(file, before);
        assertThat(StoneFile.read(file).into(LanternWalk.newcomer()).studio().project("owl")).isEqualTo(WALK.project("owl"));
    }

    @Test
    void whatIsNoStoneIsRefusedInASentence() throws Exception {
        Path file = folder.resolve("owl.json");
        StoneFile.write(WALK.project("owl").orElseThrow(), WALK, file);
        String good = Files.readString(file);
        String[][] wrong = {{"hello there", "no stone"}, {"{}", "no stone"}, {"null", "no stone"}, {"[".repeat(100_000), "no stone"},
            {good.replace("moss-pebble-stone", "something-else"), "no stone of Moss Pebble"},
            {good.replaceFirst("\"version\":\\d+", "\"version\":99"), "newer Moss Pebble"},
            {good.substring(0, good.length() / 2), "damaged"}, {good.replaceFirst("\"length\":[0-9.]+", "\"length\":-4"), "damaged"}};
        for (String[] each : wrong) {
            Path bad = Files.writeString(folder.resolve("bad.json"), each[0]);
            assertThatThrownBy(() -> StoneFile.read(bad)).as(each[1]).isInstanceOf(FileTrouble.class).hasMessageContaining(each[1]);
        }
        assertThatThrownBy(() -> StoneFile.read(folder.resolve("none.json"))).isInstanceOf(FileTrouble.class)
                .hasMessageContaining("no such file");
    }
}
