package mosspebble.files;

import com.fasterxml.jackson.databind.BeanProperty;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.introspect.AnnotatedClass;
import com.fasterxml.jackson.databind.introspect.AnnotatedClassResolver;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonAnyFormatVisitor;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonArrayFormatVisitor;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonFormatTypes;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonFormatVisitable;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonFormatVisitorWrapper;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonIntegerFormatVisitor;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonMapFormatVisitor;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonNumberFormatVisitor;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonObjectFormatVisitor;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonStringFormatVisitor;
import com.fasterxml.jackson.databind.jsonFormatVisitors.JsonBooleanFormatVisitor;
import com.fasterxml.jackson.databind.jsontype.NamedType;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Set;
import mosspebble.core.units.Srgb;

/**
 * The schema (JSON Schema 2020-12) of what the mapper writes for a type, found by asking its serializers, so that it cannot say anything
 * else than they do.
 */
final class SchemaOf extends JsonFormatVisitorWrapper.Base {

    private static final String DRAFT = "https://json-schema.org/draft/2020-12/schema";

    private final ObjectMapper mapper;
    private final ObjectNode definitions;
    private ObjectNode made;

    private SchemaOf(ObjectMapper mapper, ObjectNode definitions) {
        super(mapper.getSerializerProviderInstance());
        this.mapper = mapper;
        this.definitions = definitions;
        this.made = mapper.createObjectNode();
    }

    /** @param title what the document is */
    static ObjectNode of(Class<?> type, String title) throws JsonMappingException {
        ObjectMapper mapper = StudioJson.shared();
        ObjectNode definitions = mapper.createObjectNode();
        JsonNode root = of(mapper, definitions, mapper.constructType(type));
        ObjectNode schema = mapper.createObjectNode();
        schema.put("$schema", DRAFT).put("title", title);
        schema.setAll((ObjectNode) root);
        schema.set("$defs", definitions);
        return schema;
    }

    private static JsonNode of(ObjectMapper mapper, ObjectNode definitions, JavaType type) throws JsonMappingException {
        SchemaOf visitor = new SchemaOf(mapper, definitions);
        mapper.acceptJsonFormatVisitor(type, visitor);
        if (type.isReferenceType()) {
            ObjectNode either = mapper.createObjectNode();
            either.putArray("anyOf").add(visitor.made).add(mapper.createObjectNode().put("type", "null"));
            return either;
        }
        return visitor.made;
    }

    private JsonNode of(JavaType type) throws JsonMappingException {
        return of(mapper, definitions, type);
    }

    private static String name(JavaType type) {
        Class<?> raw = type.getRawClass();
        return raw.getEnclosingClass() == null ? raw.getSimpleName() : raw.getEnclosingClass().getSimpleName() + raw.getSimpleName();
    }

    private Collection<NamedType> kinds(Class<?> raw) {
        AnnotatedClass annotated = AnnotatedClassResolver.resolveWithoutSuperTypes(mapper.getSerializationConfig(), raw,
                mapper.getSerializationConfig());
        Collection<NamedType> found = mapper.getSerializationConfig().getAnnotationIntrospector().findSubtypes(annotated);
        return found == null ? Set.of() : found;
    }

    @Override
    public JsonObjectFormatVisitor expectObjectFormat(JavaType type) throws JsonMappingException {
        String name = name(type);
        made = mapper.createObjectNode().put("$ref", "#/$defs/" + name);
        if (definitions.has(name)) {
            return null;
        }
        ObjectNode object = definitions.putObject(name);
        Collection<NamedType> kinds = kinds(type.getRawClass());
        if (!kinds.isEmpty()) {
            for (NamedType kind : kinds) {
                object.withArray("oneOf").add(of(mapper.constructType(kind.getType())));
                ObjectNode one = (ObjectNode) definitions.get(name(mapper.constructType(kind.getType())));
                one.withObject("properties").putObject("kind").put("const", kind.getName());
                one.withArray("required").add("kind");
            }
            return null;
        }
        object.put("type", "object");
        ObjectNode properties = object.putObject("properties");
        object.putArray("required");
        object.put("additionalProperties", false);
        return new JsonObjectFormatVisitor.Base(getProvider()) {
            @Override
            public void property(BeanProperty writer) throws JsonMappingException {
                properties.set(writer.getName(), of(writer.getType()));
                object.withArray("required").add(writer.getName());
            }

            @Override
            public void optionalProperty(BeanProperty writer) throws JsonMappingException {
                property(writer);
            }
        };
    }

    @Override
    public JsonArrayFormatVisitor expectArrayFormat(JavaType type) throws JsonMappingException {
        ObjectNode array = made.put("type", "array");
        if (type.getContentType() != null) {
            array.set("items", of(type.getContentType()));
        }
        return new JsonArrayFormatVisitor.Base(getProvider()) {
            @Override
            public void itemsFormat(JsonFormatVisitable handler, JavaType element) {}

            @Override
            public void itemsFormat(JsonFormatTypes format) {}
        };
    }

    @Override
    public JsonMapFormatVisitor expectMapFormat(JavaType type) throws JsonMappingException {
        made.put("type", "object").set("additionalProperties", of(type.getContentType()));
        return new JsonMapFormatVisitor.Base(getProvider());
    }

    @Override
    public JsonStringFormatVisitor expectStringFormat(JavaType type) {
        ObjectNode string = made.put("type", "string");
        if (type.isEnumType()) {
            for (Object each : type.getRawClass().getEnumConstants()) {
                string.withArray("enum").add(((Enum<?>) each).name());
            }
        }
        return new JsonStringFormatVisitor.Base();
    }

    @Override
    public JsonNumberFormatVisitor expectNumberFormat(JavaType type) {
        made.put("type", "number");
        return new JsonNumberFormatVisitor.Base();
    }

    @Override
    public JsonIntegerFormatVisitor expectIntegerFormat(JavaType type) {
        made.put("type", "integer");
        return new JsonIntegerFormatVisitor.Base();
    }

    @Override
    public JsonBooleanFormatVisitor expectBooleanFormat(JavaType type) {
        made.put("type", "boolean");
        return new JsonBooleanFormatVisitor.Base();
    }

    /** What the core's own values are written as: colours and times as text, units as their number. */
    @Override
    public JsonAnyFormatVisitor expectAnyFormat(JavaType type) {
        Class<?> raw = type.getRawClass();
        if (raw == Srgb.class) {
            made.put("type", "string").put("pattern", "^#[0-9a-f]{6}$");
        } else if (raw == LocalDate.class) {
            made.put("type", "string").put("format", "date");
        } else if (raw == Instant.class) {
            made.put("type", "string").put("format", "date-time");
        } else if (raw.getName().startsWith("java.time.")) {
            made.put("type", "string").put("pattern", "^[0-9T:.-]+$");
        } else if (raw.getName().startsWith("mosspebble.core.units.")) {
            made.put("type", "number");
        } else {
            throw new IllegalStateException("nothing is known of how " + raw + " is written");
        }
        return new JsonAnyFormatVisitor.Base();
    }
}
