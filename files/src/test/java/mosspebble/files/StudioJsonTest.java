package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import org.junit.jupiter.api.Test;

/** The file's keys are the file's own: how the code groups a value does not show in it. */
class StudioJsonTest {

    private static final Studio STUDIO = LanternWalk.studio(BuiltIn.repertoire());

    @Test
    void innerRecordsAreWrittenFlatAndReadBack() throws Exception {
        for (Project project : STUDIO.projects()) {
            JsonNode json = StudioJson.shared().readTree(StudioJson.write(project));
            assertThat(json.path("habits").path("lines").isTextual()).as("a habit stands among the habits").isTrue();
            assertThat(json.path("habits").path("seal").isTextual()).isTrue();
            assertThat(json.path("stone").path("length").isNumber()).as("a length is a number of mm").isTrue();
            assertThat(json.path("stone").path("fullness").isNumber()).isTrue();
            assertThat(List.of("outline", "lie", "room", "wholeHabits")).noneMatch(key -> json.findValue(key) != null);
            assertThat(StudioJson.read(json.toString(), Project.class, "project")).isEqualTo(project);
        }
        JsonNode shelf = StudioJson.shared().readTree(StudioJson.write(STUDIO.shelf().paints()));
        assertThat(shelf.get(0).has("hiding")).isTrue();
        assertThat(shelf.get(0).has("film")).isFalse();
    }

    @Test
    void aValueOutOfItsRangeIsRefusedWhereverItIsGrouped() throws Exception {
        ObjectNode json = (ObjectNode) StudioJson.shared().readTree(StudioJson.write(STUDIO.projects().get(0)));
        ((ObjectNode) json.get("stone")).put("length", 6000);
        assertThatThrownBy(() -> StudioJson.read(json.toString(), Project.class, "the first stone")).isInstanceOf(FileTrouble.class)
                .hasMessageContaining("The length of a stone must be 8 to 600 mm");
        ((ObjectNode) json.get("stone")).put("length", 90).remove("shape");
        assertThatThrownBy(() -> StudioJson.read(json.toString(), Project.class, "the first stone")).isInstanceOf(FileTrouble.class);
    }
}
