package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import mosspebble.core.project.Studio;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Held against the library, which reads records by itself if nobody else does. */
@Tag("outside")
class RecordReaderTest {

    private static final ObjectMapper LIBRARY = StudioJson.mapper(new SimpleModule("nothing"));
    private static final ObjectMapper OURS = StudioJson.mapper(RecordReader.module());

    private record Document(String json, Class<?> type) {}

    private static List<Document> documents() {
        Studio studio = LanternWalk.studio(BuiltIn.repertoire());
        List<Object> values = new ArrayList<>(studio.projects());
        values.addAll(List.of(studio.shelf(), studio.room(), studio.diary(), studio.view()));
        values.addAll(studio.basket());
        return values.stream().map(v -> new Document(StudioJson.write(v), v.getClass())).toList();
    }

    /** What comes of a document: the value, or in which words it is refused. */
    private static Object read(ObjectMapper by, String json, Class<?> type) {
        try {
            return by.readValue(json, type);
        } catch (JsonProcessingException | RuntimeException e) {
            return "refused: " + StudioJson.reason(e);
        }
    }

    @Test
    void aStudioIsReadAsTheLibraryReadsIt() {
        for (Document document : documents()) {
            Object value = read(OURS, document.json, document.type);
            assertThat(value).isInstanceOf(document.type).isEqualTo(read(LIBRARY, document.json, document.type));
            assertThat(StudioJson.write(value)).as("nothing is lost").isEqualTo(document.json);
        }
    }

    /** A field is missing, empty, of another kind, or one nobody knows. */
    @Test
    void whatIsNotAsItShouldBeIsTakenOrRefusedInTheSameWords() throws Exception {
        SplittableRandom random = new SplittableRandom(17);
        List<Document> documents = documents();
        int refused = 0;
        int taken = 0;
        for (int i = 0; i < 600; i++) {
            Document document = documents.get(random.nextInt(documents.size()));
            JsonNode tree = LIBRARY.readTree(document.json);
            List<ObjectNode> objects = new ArrayList<>();
            collect(tree, objects);
            ObjectNode object = objects.get(random.nextInt(objects.size()));
            List<String> names = new ArrayList<>();
            object.fieldNames().forEachRemaining(names::add);
            if (names.isEmpty()) {
                continue;
            }
            String name = names.get(random.nextInt(names.size()));
            int way = random.nextInt(6);
            switch (way) {
                case 0 -> object.remove(name);
                case 1 -> object.putNull(name);
                case 2 -> object.put(name, -1e9);
                case 3 -> object.put(name, "what is this");
                case 4 -> object.putArray(name).add(true);
                default -> object.put("nobody knows", 1);
            }
            String json = LIBRARY.writeValueAsString(tree);
            Object ours = read(OURS, json, document.type);
            assertThat(ours).as("%s in way %d: %s", name, way, object).isEqualTo(read(LIBRARY, json, document.type));
            refused += ours instanceof String ? 1 : 0;
            taken += ours instanceof String ? 0 : 1;
        }
        assertThat(refused).isGreaterThan(100);
        assertThat(taken).isGreaterThan(20);
    }

    private static void collect(JsonNode node, List<ObjectNode> into) {
        if (node instanceof ObjectNode object) {
            into.add(object);
            object.elements().forEachRemaining(n -> collect(n, into));
        } else if (node instanceof ArrayNode array) {
            array.elements().forEachRemaining(n -> collect(n, into));
        }
    }

    /** A record within itself, nothing given, and a constructor that refuses. */
    private record Twig(String name, int leaves, Optional<Double> bend, List<Twig> twigs) {
        Twig {
            if (leaves < 0) {
                throw new IllegalArgumentException("a twig has no fewer leaves than none");
            }
        }
    }

    @Test
    void whatIsMissingIsNothingAndWhoRefusesIsHeard() throws Exception {
        assertThat(OURS.readValue("{}", Twig.class)).isEqualTo(new Twig(null, 0, Optional.empty(), null));
        Twig read = OURS.readValue("{\"twigs\":[{\"twigs\":[],\"bend\":2,\"leaves\":1,\"name\":\"b\"}],\"name\":\"a\",\"bend\":null}",
                Twig.class);
        assertThat(read).isEqualTo(new Twig("a", 0, Optional.empty(), List.of(new Twig("b", 1, Optional.of(2.0), List.of()))));
        assertThatThrownBy(() -> OURS.readValue("{\"twigs\":[{},{\"leaves\":-1}]}", Twig.class)).isInstanceOfSatisfying(
                JsonMappingException.class, e -> {
                    assertThat(e).hasRootCauseMessage("a twig has no fewer leaves than none");
                    assertThat(e.getPath()).extracting(r -> r.getFieldName() == null ? r.getIndex() + "" : r.getFieldName())
                            .containsExactly("twigs", "1");
                });
        assertThatThrownBy(() -> OURS.readValue("[]", Twig.class)).isInstanceOf(JsonMappingException.class);
        assertThatThrownBy(() -> OURS.readValue("{\"name\":\"a\"", Twig.class)).isInstanceOf(JsonProcessingException.class);
    }
}
