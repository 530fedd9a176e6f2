package mosspebble.files;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.BeanDescription;
import com.fasterxml.jackson.databind.DeserializationConfig;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.deser.Deserializers;
import com.fasterxml.jackson.databind.deser.std.StdDeserializer;
import com.fasterxml.jackson.databind.module.SimpleModule;
import java.io.IOException;
import java.lang.reflect.Array;
import java.lang.reflect.Constructor;
import java.lang.reflect.Field;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Reads a record from an object that has a field for each of its components. The library does so as well, but first looks at all that a
 * class could be read by, which for the records of a studio takes longer than to read it; here a record is its components and its
 * constructor. What a mix-in says of them holds here too: {@link JsonProperty} gives another name, {@link JsonUnwrapped} says that a
 * record within is written flat. What is missing is null, zero or an empty {@link Optional}; the constructor refuses what it cannot take.
 */
final class RecordReader extends StdDeserializer<Object> {

    private static final long serialVersionUID = 1L;

    /** A field of the object; what reads it is sought when it first comes. */
    private static final class Part {
        private final int at;
        private final JavaType type;
        private volatile JsonDeserializer<Object> reader;

        Part(int at, JavaType type) {
            this.at = at;
            this.type = type;
        }

        Object read(JsonParser in, DeserializationContext context) throws IOException {
            JsonDeserializer<Object> by = reader;
            if (by == null) {
                by = context.findRootValueDeserializer(type);
                reader = by;
            }
            return in.hasToken(JsonToken.VALUE_NULL) ? by.getNullValue(context) : by.deserialize(in, context);
        }

        Object missing() {
            Class<?> raw = type.getRawClass();
            return raw.isPrimitive() ? Array.get(Array.newInstance(raw, 1), 0) : raw == Optional.class ? Optional.empty() : null;
        }
    }

    /** Where an argument of a constructor comes from. */
    private interface Source {
        Object of(Object[] values) throws ReflectiveOperationException;
    }

    /** A record of what was read. */
    private record Made(Constructor<?> constructor, Source[] from) implements Source {
        @Override
        public Object of(Object[] values) throws ReflectiveOperationException {
            Object[] arguments = new Object[from.length];
            for (int i = 0; i < from.length; i++) {
                arguments[i] = from[i].of(values);
            }
            return constructor.newInstance(arguments);
        }
    }

    private final transient Map<String, Part> parts = new HashMap<>();
    private final transient Made made;
    private final transient boolean flat;

    private RecordReader(JavaType type, DeserializationConfig config) {
        super(type);
        made = made(type, config);
        flat = Arrays.stream(made.from).anyMatch(Made.class::isInstance);
    }

    /** Has all records read so that no other module reads. */
    static SimpleModule module() {
        return new SimpleModule("records") {
            private static final long serialVersionUID = 1L;

            @Override
            public void setupModule(SetupContext context) {
                super.setupModule(context);
                context.addDeserializers(new Deserializers.Base() {
                    @Override
                    public JsonDeserializer<?> findBeanDeserializer(JavaType type, DeserializationConfig config, BeanDescription bean) {
                        return type.getRawClass().isRecord() ? new RecordReader(type, config) : null;
                    }
                });
            }
        };
    }

    private Made made(JavaType type, DeserializationConfig config) {
        Class<?> raw = type.getRawClass();
        Class<?> mixIn = config.findMixInClassFor(raw);
        RecordComponent[] components = raw.getRecordComponents();
        Source[] from = new Source[components.length];
        Class<?>[] arguments = new Class<?>[components.length];
        for (int i = 0; i < components.length; i++) {
            RecordComponent component = components[i];
            arguments[i] = component.getType();
            JavaType each = config.getTypeFactory().resolveMemberType(component.getGenericType(), type.getBindings());
            Field said = said(mixIn, component.getName());
            if (said != null && said.isAnnotationPresent(JsonUnwrapped.class)) {
                from[i] = made(each, config);
                continue;
            }
            int at = parts.size();
            JsonProperty name = said == null ? null : said.getAnnotation(JsonProperty.class);
            parts.put(name == null ? component.getName() : name.value(), new Part(at, each));
            from[i] = values -> values[at];
        }
        try {
            Constructor<?> constructor = raw.getDeclaredConstructor(arguments);
            constructor.setAccessible(true);
            return new Made(constructor, from);
        } catch (NoSuchMethodException e) {
            throw new IllegalStateException("a record without its constructor: " + raw, e);
        }
    }

    /** What a mix-in says of a component; null if nothing. */
    private static Field said(Class<?> mixIn, String component) {
        if (mixIn != null) {
            for (Field field : mixIn.getDeclaredFields()) {
                if (field.getName().equals(component)) {
                    return field;
                }
            }
        }
        return null;
    }

    @Override
    public boolean isCachable() {
        return true;
    }

    @Override
    public Object deserialize(JsonParser in, DeserializationContext context) throws IOException {
        if (in.hasToken(JsonToken.START_OBJECT)) {
            in.nextToken();
        }
        Object[] values = new Object[parts.size()];
        for (Part part : parts.values()) {
            values[part.at] = part.missing();
        }
        for (; in.hasToken(JsonToken.FIELD_NAME); in.nextToken()) {
            String name = in.currentName();
            in.nextToken();
            Part part = parts.get(name);
            if (part != null) {
                values[part.at] = read(part, name, in, context);
            } else if (flat) {
                in.skipChildren(); // as the library does where a record within is written flat
            } else {
                handleUnknownProperty(in, context, handledType(), name);
            }
        }
        if (!in.hasToken(JsonToken.END_OBJECT)) {
            return context.handleUnexpectedToken(getValueType(), in);
        }
        try {
            return made.of(values);
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof Error error) {
                throw error;
            }
            throw context.instantiationException(handledType(), e.getCause());
        } catch (ReflectiveOperationException e) {
            throw context.instantiationException(handledType(), e);
        }
    }

    private Object read(Part part, String name, JsonParser in, DeserializationContext context) throws IOException {
        try {
            return part.read(in, context);
        } catch (JacksonException | RuntimeException e) {
            throw JsonMappingException.wrapWithPath(e, handledType(), name);
        }
    }
}
