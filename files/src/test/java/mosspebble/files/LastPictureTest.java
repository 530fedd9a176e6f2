package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Grid;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The picture that is kept for the next start. */
class LastPictureTest {

    private static final Project OWL = LanternWalk.studio(BuiltIn.repertoire()).project("owl").orElseThrow();
    private static final Grid GRID = new Grid(-20, -15.5, 0.25, 160, 124);

    @TempDir
    Path folder;

    private Path studio() {
        return folder.resolve("studio.pebble");
    }

    private static LastPicture picture() {
        int[] pixels = new int[GRID.cells()];
        for (int i = 0; i < pixels.length; i++) {
            pixels[i] = 0xFF000000 | i * 40_503;
        }
        return new LastPicture(GRID, pixels);
    }

    @Test
    void itIsReadAsItWasWritten() throws Exception {
        assertThat(LastPicture.read(studio(), OWL, "1")).as("nothing there yet").isEmpty();
        picture().write(studio(), OWL, "1");
        LastPicture read = LastPicture.read(studio(), OWL, "1").orElseThrow();
        assertThat(read.grid()).isEqualTo(GRID);
        assertThat(read.pixels()).isEqualTo(picture().pixels());
        assertThat(LastPicture.file(studio()).getFileName()).as("beside the studio, out of sight").hasToString(".studio.last-picture");
    }

    /** A picture under a wrong key would be shown of what it is not: whatever it depends on makes it another. */
    @Test
    void whateverItDependsOnMakesItStale() throws Exception {
        picture().write(studio(), OWL, "1");
        Map<String, Project> changes = new LinkedHashMap<>();
        changes.put("turned", OWL.withStone(OWL.stone().withWayUp(90)));
        changes.put("another shape", OWL.withStone(OWL.stone().withSeed(OWL.stone().seed() + 1)));
        changes.put("a crack more", OWL.withStone(OWL.stone().plus(new Patch(Patch.Kind.CRACK, -5, 3, 12, 9, 0.5, 0.5, false))));
        changes.put("another skin", OWL.withStone(OWL.stone().withSkin(Skin.of(RockKind.BASALT, Texture.SMOOTH, Srgb.ofHex("#444444")))));
        changes.put("other light", OWL.withHabits(OWL.habits().withLight(OWL.habits().light().withFrom(90))));
        changes.forEach((what, after) -> {
            assertThat(after).as(what).isNotEqualTo(OWL);
            assertThat(LastPicture.read(studio(), after, "1")).as(what).isEmpty();
        });
        assertThat(LastPicture.read(studio(), OWL, "2")).as("another program draws otherwise").isEmpty();
        assertThat(LastPicture.read(studio(), OWL.withName("Owl").withSketch(Optional.empty()), "1")).as("bare it is the same").isPresent();
    }

    @Test
    void whatIsNoPictureIsNone() throws Exception {
        picture().write(studio(), OWL, "1");
        Path file = LastPicture.file(studio());
        byte[] whole = Files.readAllBytes(file);
        for (int length : new int[] {0, 1, 20, 120, whole.length / 2, whole.length - 1}) {
            Files.write(file, Arrays.copyOf(whole, length));
            assertThat(LastPicture.read(studio(), OWL, "1")).as("%s bytes of %s", length, whole.length).isEmpty();
        }
        Files.writeString(file, "no picture at all, but text");
        assertThat(LastPicture.read(studio(), OWL, "1")).isEmpty();
        Files.delete(file);
        Files.createDirectory(file);
        assertThat(LastPicture.read(studio(), OWL, "1")).as("a folder of that name").isEmpty();
        Grid huge = new Grid(0, 0, 0.1, 2_001, 2_000);
        new LastPicture(huge, new int[huge.cells()]).write(folder.resolve("b.pebble"), OWL, "1");
        assertThat(LastPicture.file(folder.resolve("b.pebble"))).as("nor is one kept that is too large").doesNotExist();
    }
}
