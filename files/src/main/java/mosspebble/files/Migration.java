package mosspebble.files;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosspebble.core.project.Room;

/**
 * Brings the documents of a studio from one format to the next, one numbered step after the other. Each walks the JSON as it stands, not
 * through today's records.
 */
final class Migration {

    /** How many there are: the format that this program writes. */
    static final int STEPS = 15;

    private static final String TABLE = "(id TEXT PRIMARY KEY, position INTEGER NOT NULL, document TEXT NOT NULL)";

    private Migration() {}

    /**
     * One step.
     *
     * @param from the format it is in; 0 for a file without anything in it
     * @throws FileTrouble if a document is not what that format writes
     */
    static void step(Connection connection, int from, Path file) throws SQLException, FileTrouble {
        switch (from) {
            case 0 -> begin(connection);
            case 1 -> {
                run(connection, "CREATE TABLE own" + TABLE);
                each(connection, "project", "id", file, Migration::toItems);
            }
            case 2 -> {
                each(connection, "project", "id", file, Migration::toBlends);
                each(connection, "setting", "key", file, Migration::toPots);
                run(connection, "INSERT INTO setting(key, document) VALUES('tests', '{\"tests\":[]}')");
            }
            case 3 -> each(connection, "project", "id", file, Migration::toSides);
            case 4 -> each(connection, "project", "id", file, Migration::toLines);
            case 5 -> each(connection, "project", "id", file, Migration::toLayers);
            case 6 -> {
                each(connection, "project", "id", file, Migration::toSkins);
                each(connection, "found", "id", file, Migration::toSkins);
                each(connection, "setting", "key", file, tests -> {
                    if (tests.has("tests")) {
                        tests.putArray("quarrels");
                    }
                });
            }
            case 7 -> run(connection,
                    "INSERT INTO setting(key, document) VALUES('diary', '{\"week\":\"Mon-Fri 19:00-21:00, Sat-Sun 14:00-18:00\","
                            + "\"days\":[],\"due\":{},\"resting\":[],\"pins\":[],\"deeds\":[],\"dryings\":[],\"taken\":[]}')");
            case 8 -> {
                run(connection, BookRows.PAGE);
                run(connection, BookRows.PHOTO);
                each(connection, "setting", "key", file, view -> {
                    if (view.has("evening")) {
                        view.putObject("comfort").put("textPercent", 100).put("contrast", false).put("still", false).put("leftHand", false);
                    }
                });
            }
            case 9 -> {
                each(connection, "setting", "key", file, air -> {
                    if (air.has("airSpeed")) {
                        ObjectNode usual = air.deepCopy();
                        air.removeAll();
                        air.set("usual", usual);
                        air.putObject("days");
                        air.put("sprayed", Room.USUALLY_SPRAYED);
                    }
                });
                run(connection, "UPDATE setting SET key = 'room' WHERE key = 'climate'");
            }
            case 10 -> {
                // besides, tracings and pictures to go by among the files of one's own, which an older program does not know
                each(connection, "project", "id", file, project -> {});
                oneOfAName(connection);
                each(connection, "setting", "key", file, view -> {
                    if (view.path("comfort") instanceof ObjectNode comfort) {
                        comfort.put("cardPx", 0.0);
                    }
                });
            }
            case 11 -> each(connection, "setting", "key", file, Migration::toTerms);
            case 12 -> {
                each(connection, "project", "id", file, Migration::toMeasured);
                each(connection, "page", "id", "planned", file, Migration::toMeasured);
                each(connection, "setting", "key", file, view -> {
                    if (view.has("evening")) {
                        view.put("led", true);
                    }
                });
            }
            case 13 -> each(connection, "setting", "key", file, room -> {
                if (room.has("sprayed")) {
                    room.putObject("sittings");
                }
            });
            case 14 -> {
                each(connection, "project", "id", file, Migration::toOldPaint);
                each(connection, "page", "id", "planned", file, Migration::toOldPaint);
                each(connection, "setting", "key", file, diary -> {
                    if (diary.has("deeds")) {
                        diary.putArray("laid");
                    }
                });
            }
            default -> throw new IllegalArgumentException("there is no step from format " + from);
        }
    }

    /** A stone by itself, of any format in which stones were sent, brought to what this program writes. */
    static void stone(ObjectNode project, int from) {
        if (from < 13) {
            toMeasured(project);
        }
        if (from < 15) {
            toOldPaint(project);
        }
    }

    /** Stones of a program that did not ask are of the size that is kept. */
    private static void toMeasured(ObjectNode project) {
        if (project.path("history") instanceof ObjectNode history) {
            history.putArray("unmeasured");
        }
    }

    /** Of a stone of which nobody asked what lies on it from earlier, nothing does. */
    private static void toOldPaint(ObjectNode project) {
        if (project.path("history") instanceof ObjectNode history) {
            history.putArray("oldPaint");
        }
    }

    /** Days that are due and stones that rest, of the diary, become what is wanted of each stone. */
    private static void toTerms(ObjectNode diary) {
        if (!diary.has("deeds")) {
            return;
        }
        JsonNode due = diary.remove("due");
        Set<String> resting = new TreeSet<>();
        diary.remove("resting").forEach(id -> resting.add(id.textValue()));
        Set<String> stones = new TreeSet<>(resting);
        due.fieldNames().forEachRemaining(stones::add);
        ObjectNode terms = diary.putObject("terms");
        stones.forEach(id -> terms.putObject(id).<ObjectNode>set("due", due.has(id) ? due.get(id) : null).putNull("from").putNull("after")
                .put("rests", resting.contains(id)));
    }

    private static void begin(Connection connection) throws SQLException {
        run(connection, "CREATE TABLE project" + TABLE);
        run(connection, "CREATE TABLE setting(key TEXT PRIMARY KEY, document TEXT NOT NULL)");
        run(connection, "CREATE TABLE edit(number INTEGER PRIMARY KEY AUTOINCREMENT, at TEXT NOT NULL, title TEXT NOT NULL)");
        run(connection, "CREATE TABLE found" + TABLE);
    }

    private static void run(Connection connection, String statement) throws SQLException {
        try (Statement sql = connection.createStatement()) {
            sql.execute(statement);
        }
    }

    /** What was planned for the stones of the book speaks as the stones in hand do. */
    private static void oneOfAName(Connection connection) throws SQLException {
        Map<String, String> changed = new LinkedHashMap<>();
        try (Statement sql = connection.createStatement(); ResultSet rows = sql.executeQuery("SELECT id, planned FROM page")) {
            while (rows.next()) {
                String now = StudioJson.oneOfAName(rows.getString(2));
                if (!now.equals(rows.getString(2))) {
                    changed.put(rows.getString(1), now);
                }
            }
        }
        for (Map.Entry<String, String> each : changed.entrySet()) {
            StudioFile.run(connection, "UPDATE page SET planned = ? WHERE id = ?", each.getValue(), each.getKey());
        }
    }

    private static void each(Connection connection, String table, String key, Path file, Consumer<ObjectNode> change)
            throws SQLException, FileTrouble {
        each(connection, table, key, "document", file, change);
    }

    private static void each(Connection connection, String table, String key, String column, Path file, Consumer<ObjectNode> change)
            throws SQLException, FileTrouble {
        Map<String, String> changed = new LinkedHashMap<>();
        try (Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery("SELECT " + key + ", " + column + " FROM " + table)) {
            while (rows.next()) {
                String place = file + ", " + table + " " + Said.shortly(rows.getString(1), 40);
                changed.put(rows.getString(1), changed(rows.getString(2), place, change));
            }
        }
        try (PreparedStatement put = connection.prepareStatement("UPDATE " + table + " SET " + column + " = ? WHERE " + key + " = ?")) {
            for (Map.Entry<String, String> each : changed.entrySet()) {
                put.setString(1, each.getValue());
                put.setString(2, each.getKey());
                put.executeUpdate();
            }
        }
    }

    /** A document with a change; {@code place} is where it stands, for an error. */
    static String changed(String document, String place, Consumer<ObjectNode> change) throws FileTrouble {
        try {
            if (StudioJson.shared().readTree(StudioJson.oneOfAName(document)) instanceof ObjectNode node) {
                change.accept(node);
                return StudioJson.shared().writeValueAsString(node);
            }
            throw new FileTrouble(place, "The entry is empty.", "Restore a copy of the studio.");
        } catch (JsonProcessingException | ClassCastException | StackOverflowError e) {
            throw new FileTrouble(place, "The entry cannot be understood: it is not whole.", "Restore a copy of the studio.", e);
        }
    }

    /** Calls for a node and all that is in it. */
    private static void walk(JsonNode node, Consumer<ObjectNode> change) {
        node.forEach(each -> walk(each, change));
        if (node instanceof ObjectNode object) {
            change.accept(object);
        }
    }

    // --- 1 to 2: what lies on the stone knows more than whether it wears the stone

    private static void toItems(ObjectNode project) {
        walk(project, node -> {
            if (node.has("wearing")) {
                node.put("manner", node.remove("wearing").asBoolean() ? "WEARING" : "ON_STONE").put("mostTurn", 0.0).put("runOffMm", 0.0)
                        .put("fringeMm", 0.0).put("mirrored", false).put("matched", false);
                node.putArray("leftOut");
                node.putNull("group");
            }
            if (node.path("kind").asText().equals("word")) {
                ObjectNode setting = node.putObject("setting");
                setting.put("path", "STRAIGHT").put("bend", 0.0).put("style", "SOLID").put("optical", 0.5).put("space", 0.0)
                        .put("lineStep", 1.38).put("boxes", false).put("swell", 0.0).put("toEye", false).put("penMm", 0.8)
                        .putObject("kerns");
            }
            if (node.path("kind").asText().equals("dots")) {
                node.put("series", "EQUAL").put("count", 0).put("ratio", 0.5).put("bandMm", 0.0).put("innerMm", 0.0);
            }
        });
    }

    // --- 2 to 3: blends, an order of one's own, one light, pots

    private static void toBlends(ObjectNode project) {
        blank(project);
        if (project.path("below") instanceof ObjectNode below) {
            blank(below);
        }
        if (project.path("habits") instanceof ObjectNode habits) {
            JsonNode shade = habits.remove("shade");
            ObjectNode light = habits.putObject("light");
            light.set("from", habits.remove("lightFrom"));
            light.set("shade", shade);
            light.set("contact", shade);
            light.put("highlight", 0.0).put("halo", 0.0);
            habits.put("lineStyle", "EVEN").put("medium", "BY_AREA").put("hand", "RIGHT").put("seal", "GLOSS");
        }
    }

    private static void blank(ObjectNode face) {
        face.putObject("blends");
        face.putArray("order");
    }

    private static void toPots(ObjectNode setting) {
        for (JsonNode each : setting.path("paints")) {
            if (each instanceof ObjectNode paint) {
                paint.put("binder", "ACRYLIC").put("hidingSpread", 0.08);
                ObjectNode pot = paint.putObject("pot");
                pot.set("left", paint.remove("left"));
                pot.put("full", 0.0).put("price", 0.0);
            }
        }
    }

    // --- 3 to 4: two faces and an edge; steps are known by what they are, not by their words

    private static void toSides(ObjectNode project) {
        ObjectNode history = project.objectNode();
        history.set("origin", project.remove("origin"));
        history.set("weighings", project.remove("weighings"));
        ObjectNode sides = project.objectNode();
        sides.set("up", face(project));
        JsonNode below = project.remove("below");
        sides.set("below", below instanceof ObjectNode other ? face(other) : project.nullNode());
        sides.put("backUp", false).putNull("lay");
        ObjectNode edge = sides.putObject("edge");
        edge.putNull("ground").putArray("bands");
        project.set("history", history);
        project.set("sides", sides);
    }

    private static ObjectNode face(ObjectNode from) {
        ObjectNode face = from.objectNode();
        for (String name : new String[] {"sketch", "colours", "ground", "blends"}) {
            face.set(name, from.remove(name));
        }
        ArrayNode order = face.putArray("order");
        JsonNode keys = from.remove("order");
        if (keys != null) {
            keys.forEach(key -> order.add(key(key.asText())));
        }
        face.putNull("own");
        return face;
    }

    private static final Pattern KEY = Pattern.compile("([A-Z_]+) (.+?) ([^ ]+)((?: [0-9]+)?(?: again)?)");

    private static final Map<Pattern, String> SHARES = shares();

    private static Map<Pattern, String> shares() {
        Map<Pattern, String> shares = new LinkedHashMap<>();
        String[][] all = {{"the first part of (.*)", "first_part"}, {"the second part of (.*)", "second_part"},
            {"the first band of (.*)", "band-1"}, {"the second band of (.*)", "band-2"}, {"the third band of (.*)", "band-3"},
            {"the fourth band of (.*)", "band-4"}, {"a mixed step of (.*)", "mixed_step"}, {"streaks over (.*)", "streaks"},
            {"foam on (.*)", "foam"}, {"sponge dabs on (.*)", "dabs"}, {"facets on (.*)", "facets"},
            {"the first arm of (.*)", "arm-1"}, {"the second arm of (.*)", "arm-2"}, {"the third arm of (.*)", "arm-3"},
            {"the fourth arm of (.*)", "arm-4"}, {"(.*), first with white in the load", "white_in_load"},
            {"the tip colour of (.*)", "tip_colour"}, {"the next colour of (.*)", "inner_colour-1"},
            {"the foot colour of (.*)", "inner_colour-2"}, {"the glaze on (.*)", "glaze"}, {"the wash in (.*)", "dropped_wash"}};
        for (String[] each : all) {
            shares.put(Pattern.compile(each[0]), each[1]);
        }
        return shares;
    }

    /** The key of a step: once its English title stood in it. */
    static String key(String old) {
        Matcher key = KEY.matcher(old);
        return key.matches() ? key.group(1) + " " + what(key.group(2)) + " " + key.group(3) + key.group(4) : old;
    }

    private static String what(String title) {
        for (Map.Entry<Pattern, String> each : SHARES.entrySet()) {
            Matcher share = each.getKey().matcher(title);
            if (share.matches()) {
                return what(share.group(1)) + ":" + each.getValue();
            }
        }
        return switch (title) {
            case "the ground" -> "ground";
            case "the dark behind the subject" -> "ground:dark_behind";
            case "the halo round the subject" -> "halo";
            case "the outlines" -> "outlines";
            case "the inner lines" -> "inner_lines";
            default -> title.startsWith("the shade side of the ") ? "shade_side:" + title.substring(22)
                    : title.startsWith("the light side of the ") ? "light_side:" + title.substring(22)
                    : title.startsWith("the ") ? "part:" + title.substring(4) : title;
        };
    }

    // --- 4 to 5: the line round a thing and its parts is chosen, and what glitter is laid on

    private static void toLines(ObjectNode project) {
        walk(project, node -> {
            if (node.has("manner") && node.has("leftOut")) {
                ObjectNode lines = node.putObject("lines");
                lines.putObject("whole").put("colour", "OPEN").put("paint", "").put("style", "OPEN").put("widthMm", 0.0);
                lines.putObject("parts");
            }
            if (node.has("dryer") && node.has("medium")) {
                node.put("sparkleBase", true);
            }
        });
    }

    // --- 5 to 6: further layers upon a blend, things kept within a part of another, a sealer by its name

    /** What lies on a stone already is named, not only whether it is sealed; whoever has gel has a lamp. */
    private static void toSkins(ObjectNode stone) {
        walk(stone, node -> {
            if (node.has("dryer") && node.has("medium")) {
                node.put("lamp", true);
            }
            if (node.has("rock") && node.has("sealed")) {
                node.put("before", node.remove("sealed").asBoolean() ? "SEALER" : "NOTHING");
            }
        });
    }

    private static void toLayers(ObjectNode project) {
        walk(project, node -> {
            if (node.has("manner") && node.has("leftOut")) {
                node.putNull("within");
            }
            if (node.has("dryer") && node.has("medium")) {
                node.put("sealer", "");
            }
            if (node.has("more") && node.has("join")) {
                node.putArray("over");
            }
        });
    }
}
