package mosspebble.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.Set;
import java.util.TreeSet;
import mosspebble.core.project.Studio;

/**
 * All that helps to find out what went wrong, in one text file: versions, the shape of the studio without the painter's words and pictures,
 * and the log.
 */
public final class TroubleReport {

    /** Lists longer than this are told by their length only. */
    private static final int LONGEST_LIST = 60;

    /** Names of fields, and fixed choices, are the program's own words. */
    private static final Set<String> FIELDS = new TreeSet<>();
    private static final Set<String> CONSTANTS = new TreeSet<>();

    static {
        gather(Studio.class, new HashSet<>());
    }

    private TroubleReport() {}

    /**
     * @param version of the program
     * @param folder where the log lies
     * @throws FileTrouble if it cannot be written; then nothing has changed
     */
    public static void write(Path file, String version, Path folder, Studio studio) throws FileTrouble {
        String text = text(version, folder, studio);
        SafeWrite.write(file, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
    }

    static String text(String version, Path folder, Studio studio) {
        Runtime machine = Runtime.getRuntime();
        ObjectMapper json = StudioJson.shared();
        return "Moss Pebble " + version + ", report of " + Instant.now().truncatedTo(ChronoUnit.SECONDS) + "\n"
                + "Java " + System.getProperty("java.version") + " (" + System.getProperty("java.vendor") + "), JavaFX "
                + System.getProperty("javafx.version", "?") + "\n"
                + System.getProperty("os.name") + " " + System.getProperty("os.version") + " " + System.getProperty("os.arch") + ", "
                + machine.availableProcessors() + " processors, " + (machine.maxMemory() >> 20) + " MB\n"
                + "Studio format " + StudioFile.VERSION + "\n\n--- the studio, every word and picture replaced by its length\n\n"
                + shape(json.valueToTree(studio)).toPrettyString() + "\n\n--- the log\n\n" + Journal.read(folder);
    }

    /** Numbers and switches as they are; of every text only how long it is, since any may be the painter's. */
    static JsonNode shape(JsonNode node) {
        if (node.isObject()) {
            ObjectNode object = JsonNodeFactory.instance.objectNode();
            int[] number = {0};
            node.properties()
                    .forEach(e -> object.set(FIELDS.contains(e.getKey()) ? e.getKey() : "entry " + ++number[0], shape(e.getValue())));
            return object;
        }
        if (node.isArray()) {
            ArrayNode array = JsonNodeFactory.instance.arrayNode();
            if (node.size() > LONGEST_LIST) {
                return array.add(node.size() + " entries");
            }
            node.forEach(each -> array.add(shape(each)));
            return array;
        }
        if (node.isTextual()) {
            return JsonNodeFactory.instance
                    .textNode(CONSTANTS.contains(node.textValue()) ? node.textValue() : node.textValue().length() + " letters");
        }
        return node;
    }

    /** The names of all fields and fixed choices that a studio is made of. */
    private static void gather(Type type, Set<Type> seen) {
        if (!seen.add(type)) {
            return;
        }
        if (type instanceof ParameterizedType generic) {
            gather(generic.getRawType(), seen);
            for (Type each : generic.getActualTypeArguments()) {
                gather(each, seen);
            }
        } else if (type instanceof Class<?> plain && plain.getName().startsWith("mosspebble.")) {
            if (plain.isEnum()) {
                for (Object constant : plain.getEnumConstants()) {
                    CONSTANTS.add(((Enum<?>) constant).name());
                }
            }
            if (plain.isSealed()) {
                for (Class<?> each : plain.getPermittedSubclasses()) {
                    gather(each, seen);
                }
            }
            if (plain.isRecord()) {
                for (RecordComponent part : plain.getRecordComponents()) {
                    FIELDS.add(part.getName());
                    gather(part.getGenericType(), seen);
                }
            }
        }
    }
}
