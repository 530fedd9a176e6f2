package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectReader;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import mosspebble.core.book.Page;
import mosspebble.core.colour.Shelf;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Project;
import mosspebble.core.project.Room;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.GuideKind;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Placement;
import mosspebble.core.stone.FoundStone;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The schemas that ship say what is written: they are what the writers say of themselves, and a validator of others (JSON Schema 2020-12)
 * lets all of the demo pass.
 */
class SchemasTest {

    /** Where the schemas lie that ship; written anew with {@code -Dschemas.write=true}. */
    private static final Path SHIPPED = Path.of("src/main/resources/mosspebble/files/schemas");

    private static final ObjectMapper JSON = StudioJson.shared();
    private static final JsonSchemaFactory VALIDATORS = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012);
    private static final Studio DEMO = LanternWalk.studio(BuiltIn.repertoire());

    private record Kind(String name, Class<?> type, String title) {
        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<Kind> kinds() {
        return Stream.of(new Kind("studio", StudioFolder.Index.class, "What lies in a studio, in its order"),
                new Kind("stone", Project.class, "A stone and all that is decided for it"),
                new Kind("found", FoundStone.class, "A stone of the basket"),
                new Kind("own", OwnFile.class, "A motif, a face or a tracing of the painter's own"),
                new Kind("page", Page.class, "A page of the book"), new Kind("shelf", Shelf.class, "Paints, pens and sealers"),
                new Kind("tests", StudioFile.settings(DEMO).get("tests").getClass(), "What was tried, and rules of the painter's own"),
                new Kind("room", Room.class, "The air at the table"),
                new Kind("diary", Diary.class, "When there is time, and what is done"),
                new Kind("view", Studio.View.class, "How it is looked at"),
                new Kind("sent", StoneFile.Sent.class, "A stone to send"));
    }

    private static JsonSchema shipped(String name) throws Exception {
        try (InputStream in = BuiltIn.open("schemas/" + name + ".schema.json")) {
            return VALIDATORS.getSchema(new String(in.readAllBytes(), StandardCharsets.UTF_8), InputFormat.JSON);
        }
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void whatShipsIsWhatTheWritersSayOfThemselves(Kind kind) throws Exception {
        ObjectNode schema = SchemaOf.of(kind.type, kind.title);
        Path file = SHIPPED.resolve(kind.name + ".schema.json");
        if (Boolean.getBoolean("schemas.write")) {
            Files.createDirectories(SHIPPED);
            Files.writeString(file, JSON.writerWithDefaultPrettyPrinter().writeValueAsString(schema) + "\n");
        }
        assertThat(JSON.readTree(Files.readString(file)).equals(schema))
                .as("%s says what is written; write it anew with -Dschemas.write=true", file).isTrue();
    }

    @Test
    void allOfTheDemoPasses() throws Exception {
        for (Project stone : DEMO.projects()) {
            passes("stone", stone);
        }
        for (FoundStone stone : DEMO.basket()) {
            passes("found", stone);
        }
        for (BookKeeping.Kept kept : Year.pages()) {
            passes("page", kept.page());
            passes("stone", kept.planned());
        }
        for (Map.Entry<String, Object> each : StudioFile.settings(DEMO).entrySet()) {
            passes(each.getKey(), each.getValue());
        }
    }

    /** RFC 8259: the names within an object should be unique; of two alike, readers keep one or the other. */
    private static final ObjectReader STRICT = JSON.reader().with(StreamReadFeature.STRICT_DUPLICATE_DETECTION);

    @Test
    void everyGuideHasFieldsOfDifferentNames() throws Exception {
        Project snail = DEMO.project("snail").orElseThrow();
        for (GuideKind kind : GuideKind.values()) {
            Item guide = Item.of(kind.usual(), ItemMode.ON_STONE, new Placement(0, 0, 0, 6), 1);
            passes("stone", snail.withSketch(snail.sketch().map(s -> s.plus(guide))));
        }
    }

    private static void passes(String schema, Object value) throws Exception {
        JsonNode written = STRICT.readTree(StudioJson.write(value));
        assertThat(shipped(schema).validate(written)).as("%s", value).isEmpty();
    }

    @Test
    void aFieldThatIsMissingUnknownOrOfAnotherKindDoesNot() throws Exception {
        ObjectNode owl = (ObjectNode) JSON.readTree(StudioJson.write(DEMO.project("owl").orElseThrow()));
        List<String> refused = new ArrayList<>();
        owl.fieldNames().forEachRemaining(field -> {
            try {
                ObjectNode without = owl.deepCopy();
                without.remove(field);
                ObjectNode other = owl.deepCopy();
                other.put(field, false);
                if (!shipped("stone").validate(without).isEmpty() && !shipped("stone").validate(other).isEmpty()) {
                    refused.add(field);
                }
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(refused).hasSize(owl.size()).contains("sides", "habits");

        ObjectNode more = owl.deepCopy();
        more.put("glued", 3);
        assertThat(shipped("stone").validate(more)).hasSize(1);
    }

    /** A plan is written by hand, field by field, so its schema is held against what is written: nothing more and nothing less passes. */
    @Test
    void everyPlannedStonePassesAndNoneWithAFieldMoreOrLess(@TempDir Path folder) throws Exception {
        List<Project> stones = new ArrayList<>(DEMO.projects());
        stones.add(DEMO.projects().get(0).withSketch(Optional.empty()));
        JsonSchema schema = shipped("plan");
        Set<String> kinds = new TreeSet<>();
        for (Project stone : stones) {
            Path file = folder.resolve(stone.id() + ".json");
            PlanJson.write(WalkPlans.of(stone), file);
            ObjectNode plan = (ObjectNode) STRICT.readTree(Files.readString(file));
            assertThat(schema.validate(plan)).as(stone.id()).isEmpty();
            plan.get("steps").forEach(s -> kinds.add(s.get("kind").asText()));
            for (String field : List.of("stone", "steps", "findings", "supplies", "handMin")) {
                assertThat(schema.validate(plan.deepCopy().without(field))).as("%s without %s", stone.id(), field).isNotEmpty();
            }
            if (stone.sketch().isEmpty()) {
                continue; // nothing to do on it
            }
            ((ObjectNode) plan.get("steps").get(0)).put("number", "first").put("glued", true);
            assertThat(schema.validate(plan)).as("a step with a word for its number and a field too many").hasSize(2);
        }
        assertThat(kinds).as("of all kinds of work").contains("pencil", "fill", "shade", "detail", "seal", "sign", "ground");
    }
}
