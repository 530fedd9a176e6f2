package mosspebble.files;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.KeyDeserializer;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.deser.std.StdDeserializer;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.ser.std.StdSerializer;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import java.io.IOException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import mosspebble.core.blend.Blend;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Pot;
import mosspebble.core.project.Edge;
import mosspebble.core.project.Face;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.project.Room;
import mosspebble.core.project.Sides;
import mosspebble.core.sketch.GuideKind;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Viewpoint;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Grams;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;

/**
 * The core's values as JSON: records by their fields, a unit as its number, a colour as {@code #rrggbb}, a subject with its {@code kind}.
 * Records refuse nonsense themselves, so
 * what is read is valid or an error.
 */
final class StudioJson {

    private static final ObjectMapper MAPPER = mapper(RecordReader.module());
    private static final String RESTORE = "Restore a copy of the studio.";

    private StudioJson() {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({@JsonSubTypes.Type(value = Subject.Figure.class, name = "figure"),
        @JsonSubTypes.Type(value = Subject.Word.class, name = "word"),
        @JsonSubTypes.Type(value = Subject.Dots.class, name = "dots"), @JsonSubTypes.Type(value = Subject.Pattern.class, name = "pattern"),
        @JsonSubTypes.Type(value = Subject.Stroke.class, name = "stroke"),
        @JsonSubTypes.Type(value = Subject.Guide.class, name = "guide")})
    private interface SubjectKind {}

    /** Records keep to their components: methods that look like getters are no fields. */
    @JsonAutoDetect(getterVisibility = JsonAutoDetect.Visibility.NONE, isGetterVisibility = JsonAutoDetect.Visibility.NONE,
            fieldVisibility = JsonAutoDetect.Visibility.ANY)
    @JsonIgnoreProperties()
    private interface FieldsOnly {}

    /** Records within records are written flat: how the code groups a value is no matter of the file's. */
    private abstract static class FlatHabits implements FieldsOnly {
        @JsonUnwrapped
        private Habits.Outline outline;
        @JsonUnwrapped
        private Habits.Handling handling;
        @JsonUnwrapped
        private Habits.Keeping keeping;
    }

    private abstract static class NamedProject implements FieldsOnly {
        @JsonProperty("habits")
        private Habits wholeHabits;
    }

    private abstract static class FlatPaint implements FieldsOnly {
        @JsonUnwrapped
        private Paint.Hiding cover;
        @JsonUnwrapped
        private Paint.Film film;
    }

    private abstract static class FlatStone implements FieldsOnly {
        @JsonUnwrapped
        private Stone.Size size;
        @JsonUnwrapped
        private Stone.Swell swell;
    }

    private abstract static class FlatItem implements FieldsOnly {
        @JsonUnwrapped
        private Item.Lie lie;
        @JsonUnwrapped
        private Item.Room room;
    }

    private abstract static class FlatLetters implements FieldsOnly {
        @JsonUnwrapped
        private LetterSetting.Baseline baseline;
        @JsonUnwrapped
        private LetterSetting.Spacing spacing;
        @JsonUnwrapped
        private LetterSetting.Strokes strokes;
    }

    private abstract static class FlatDots implements FieldsOnly {
        @JsonUnwrapped
        private Subject.Dots.Ring ring;
        @JsonUnwrapped
        private Subject.Dots.Count counted;
        @JsonUnwrapped
        private Subject.Dots.Shrink shrink;
        @JsonUnwrapped
        private Subject.Dots.Frame frame;
    }

    /** Its own kind has another name than the kind of subject: two fields of one name are no JSON that others read. */
    private abstract static class NamedGuide implements FieldsOnly {
        @JsonProperty("guide")
        private GuideKind kind;
    }

    /** How guides were written up to format 10. */
    private static final String GUIDE_BEFORE = "\"kind\":\"guide\",\"kind\":\"";
    private static final String GUIDE_NOW = "\"kind\":\"guide\",\"guide\":\"";

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({@JsonSubTypes.Type(value = Shape.Grown.class, name = "grown"),
        @JsonSubTypes.Type(value = Shape.Measured.class, name = "measured")})
    private interface ShapeKind {}

    /** @param records reads records; if it does not, the library does, which takes longer the first time */
    static ObjectMapper mapper(SimpleModule records) {
        SimpleModule units = new SimpleModule();
        unit(units, Millimetres.class, Millimetres::value, Millimetres::new);
        unit(units, Micrometres.class, Micrometres::value, Micrometres::new);
        unit(units, Millilitres.class, Millilitres::value, Millilitres::new);
        unit(units, Grams.class, Grams::value, Grams::new);
        unit(units, Celsius.class, Celsius::value, Celsius::new);
        moment(units, LocalTime.class, LocalTime::parse);
        moment(units, LocalDate.class, LocalDate::parse);
        moment(units, LocalDateTime.class, LocalDateTime::parse);
        moment(units, Instant.class, Instant::parse);
        units.addSerializer(Srgb.class, new StdSerializer<Srgb>(Srgb.class) {
            @Override
            public void serialize(Srgb value, JsonGenerator out, SerializerProvider provider) throws IOException {
                out.writeString(value.hex());
            }
        });
        units.addDeserializer(Srgb.class, new StdDeserializer<Srgb>(Srgb.class) {
            @Override
            public Srgb deserialize(JsonParser in, DeserializationContext context) throws IOException {
                return Srgb.ofHex(in.getValueAsString(""));
            }
        });
        JsonMapper.Builder builder = JsonMapper.builder().addModule(records).addModule(units).addModule(new Jdk8Module())
                .addMixIn(Subject.class, SubjectKind.class).addMixIn(Shape.class, ShapeKind.class);
        for (Class<?> plain : new Class<?>[] {Mix.class, Room.class, Light.class, Pot.class, Blend.class,
            Placement.class, Viewpoint.class, FoundStone.class, Subject.Word.class,
            Sides.class, Face.class, Edge.class}) {
            builder.addMixIn(plain, FieldsOnly.class);
        }
        builder.addMixIn(Project.class, NamedProject.class).addMixIn(Habits.class, FlatHabits.class).addMixIn(Paint.class, FlatPaint.class)
                .addMixIn(Stone.class, FlatStone.class)
                .addMixIn(Item.class, FlatItem.class).addMixIn(LetterSetting.class, FlatLetters.class)
                .addMixIn(Subject.Dots.class, FlatDots.class).addMixIn(Subject.Guide.class, NamedGuide.class);
        ObjectMapper mapper = builder.build();
        mapper.getFactory().setStreamReadConstraints(
                StreamReadConstraints.builder().maxNestingDepth(40).maxStringLength(OwnFile.LONGEST + 1000).maxNumberLength(40).build());
        return mapper;
    }

    private static <T> void unit(SimpleModule module, Class<T> type, ToDoubleFunction<T> number, DoubleFunction<T> of) {
        module.addSerializer(type, new StdSerializer<T>(type) {
            @Override
            public void serialize(T value, JsonGenerator out, SerializerProvider provider) throws IOException {
                out.writeNumber(number.applyAsDouble(value));
            }
        });
        module.addDeserializer(type, new StdDeserializer<T>(type) {
            @Override
            public T deserialize(JsonParser in, DeserializationContext context) throws IOException {
                return of.apply(in.getDoubleValue());
            }
        });
    }

    /** A time as ISO 8601 writes it. */
    private static <T> void moment(SimpleModule module, Class<T> type, Function<String, T> parse) {
        module.addSerializer(type, new StdSerializer<T>(type) {
            @Override
            public void serialize(T value, JsonGenerator out, SerializerProvider provider) throws IOException {
                out.writeString(value.toString());
            }
        });
        module.addKeyDeserializer(type, new KeyDeserializer() {
            @Override
            public Object deserializeKey(String text, DeserializationContext context) throws IOException {
                try {
                    return parse.apply(text);
                } catch (DateTimeException e) {
                    throw context.weirdKeyException(type, text, "no time");
                }
            }
        });
        module.addDeserializer(type, new StdDeserializer<T>(type) {
            @Override
            public T deserialize(JsonParser in, DeserializationContext context) throws IOException {
                String text = in.getValueAsString("");
                try {
                    return parse.apply(text);
                } catch (DateTimeException e) {
                    throw context.weirdStringException(text, type, "no time");
                }
            }
        });
    }

    static ObjectMapper shared() {
        return MAPPER;
    }

    static String write(Object value) {
        try {
            return MAPPER.writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a value of the core could not be written: " + value, e);
        }
    }

    /**
     * A document in which every field of an object has a name of its own. Up to format 10 a pencil guide had two fields called kind, of
     * which a tree keeps only the last; quotes within words are escaped, so that no text of the painter's can look like them.
     */
    static String oneOfAName(String json) {
        return json.replace(GUIDE_BEFORE, GUIDE_NOW);
    }

    /** @throws FileTrouble with the place in the text and what was wrong */
    static <T> T read(String json, Class<T> type, String place) throws FileTrouble {
        try {
            T value = MAPPER.readValue(oneOfAName(json), type);
            if (value == null) {
                throw new FileTrouble(place, "The entry is empty.", RESTORE);
            }
            return value;
        } catch (JsonProcessingException | RuntimeException | StackOverflowError e) {
            throw new FileTrouble(place, "The entry cannot be understood: " + reason(e) + ".", RESTORE, e);
        }
    }

    /** What is wrong, without the names of our classes: our own refusals as they are, everything else as the field it stands in. */
    static String reason(Throwable e) {
        for (Throwable each = e; each != null; each = each.getCause()) {
            if (each instanceof IllegalArgumentException && each.getMessage() != null && !(each instanceof NumberFormatException)) {
                return Said.shortly(each.getMessage(), 200).replaceFirst("\\.$", "");
            }
        }
        if (e instanceof JsonMappingException mapping && !mapping.getPath().isEmpty()) {
            String field = mapping.getPath().stream()
                    .map(r -> r.getFieldName() == null ? String.valueOf(r.getIndex() + 1) : r.getFieldName()).reduce((a, b) -> a + ", " + b)
                    .orElse("");
            return "what stands under \"" + Said.shortly(field, 120) + "\" is missing or not of the right kind";
        }
        if (e instanceof JsonMappingException) {
            return "something in it is missing or not of the right kind";
        }
        return "it is not whole";
    }
}
