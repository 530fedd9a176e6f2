package mosspebble.files;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.area.Shapes;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Geometry;

/**
 * Reads a motif: an SVG file with {@code data-} attributes, described in {@code docs/motif-format.md}. Document types, entities, scripts,
 * event attributes and links to
 * anything outside are refused, never followed.
 */
public final class MotifReader {

    private static final int MOST_POINTS = Outlines.MOST_POINTS;
    private static final long MOST_CUTTING = 4_000_000;
    private static final int MOST_PARTS = 500;
    private static final double FARTHEST = 100_000;

    private final String place;
    private final XMLStreamReader xml;
    private final List<MotifPart> parts = new ArrayList<>();
    private final List<Geometry> silhouettes = new ArrayList<>();
    private List<Slot> slots = List.of();
    private String id = "";
    private String title = "";
    private boolean wears;
    private boolean prefersWearing;
    private boolean clipped;
    private double flatness = 0.05;
    private int points;

    private MotifReader(String place, XMLStreamReader xml) {
        this.place = place;
        this.xml = xml;
    }

    /**
     * @param place file name for messages
     * @throws FileTrouble naming element, line and what was expected; nothing is half read
     */
    public static Motif read(InputStream in, String place) throws FileTrouble {
        return SvgElements.read(in, place, xml -> new MotifReader(place, xml).motif());
    }

    static Motif read(byte[] bytes, String place) throws FileTrouble {
        return InFile.read(bytes, place, (all, name) -> SvgElements.read(all, name, xml -> new MotifReader(name, xml).motif()));
    }

    private Motif motif() throws XMLStreamException, FileTrouble {
        SvgElements elements = new SvgElements(place, xml);
        elements.each((depth, transform) -> {
            if (depth == 1) {
                root(xml.getLocalName());
            } else if (xml.getAttributeValue(null, "data-part") != null) {
                part(xml.getLocalName(), transform);
            }
        });
        return assemble();
    }

    private Motif assemble() throws FileTrouble {
        if (parts.isEmpty()) {
            throw trouble("svg", "No element has a data-part attribute, so there is nothing to paint.",
                    "Mark the parts as docs/motif-format.md shows.");
        }
        List<Geometry> areas = parts.stream().filter(p -> p.isArea() && p.sits() != Presence.WEARING).map(MotifPart::shape).toList();
        if (areas.isEmpty() && silhouettes.isEmpty()) {
            throw trouble("svg", "The motif has lines only, so it has no outer shape.",
                    "Add a filled part, or mark one with data-silhouette=\"yes\".");
        }
        countBeforeWork();
        Geometry silhouette = Shapes.union(silhouettes.isEmpty() ? areas : silhouettes);
        List<MotifPart> kept = new ArrayList<>();
        for (MotifPart part : parts) {
            Geometry shape = clipped && part.role() == Role.FILL ? Shapes.common(part.shape(), silhouette) : part.shape();
            if (!shape.isEmpty()) {
                kept.add(part.withShape(shape));
            }
        }
        for (MotifPart part : kept) {
            if (part.mirror().isPresent() && kept.stream().noneMatch(p -> p.id().equals(part.mirror().get()))) {
                throw trouble(part.id(), "Its mirror partner " + Said.shortly(part.mirror().get(), 60) + " does not exist.",
                        "Name an existing part or drop data-mirror.");
            }
        }
        try {
            return new Motif(id, title, slots, kept, silhouette, clipped ? silhouette : sitting(areas, kept), wears, prefersWearing);
        } catch (IllegalArgumentException e) {
            throw trouble("svg", sentence(e), "Correct the data- attributes.");
        }
    }

    /** Parts are laid over one another and cut by the silhouette: what that takes is known before it is begun. */
    private void countBeforeWork() throws FileTrouble {
        Intricacy.crossingsOf(parts.stream().map(MotifPart::shape).toList());
        if (clipped && (long) points * parts.size() > MOST_CUTTING) {
            throw trouble("svg", "It has " + parts.size() + " parts and " + points + " points, and all are to be cut by the silhouette.",
                    "Take data-clip out, or simplify the paths.");
        }
        InFile.stopIfAsked(place);
    }

    /** What must fit: the areas, and the lines that stand out from them. */
    private Geometry sitting(List<Geometry> areas, List<MotifPart> kept) {
        List<Geometry> all = new ArrayList<>(areas);
        kept.stream().filter(p -> p.role() == Role.LINE && p.sits() != Presence.WEARING)
                .forEach(p -> all.add(Shapes.stroke(p.shape(), 4 * flatness)));
        return Shapes.union(all);
    }

    private static String sentence(IllegalArgumentException e) {
        String message = Said.shortly(e.getMessage(), 240);
        return message.substring(0, 1).toUpperCase(Locale.ROOT) + message.substring(1) + (message.endsWith(".") ? "" : ".");
    }

    private void root(String name) throws FileTrouble {
        if (!name.equals("svg")) {
            throw trouble(name, "The file begins with <" + Said.shortly(name, 40) + ">.", "A motif is an SVG file and begins with <svg>.");
        }
        id = attribute("data-motif", "");
        title = Said.first(attribute("data-title", id), 60);
        if (!id.matches("[a-z0-9-]{1,40}")) {
            throw trouble("svg", "data-motif is \"" + Said.shortly(id, 40) + "\".",
                    "Give the motif a name of small letters, digits and dashes.");
        }
        String wearing = choice("data-wears", "no", "no", "yes", "preferred");
        wears = !wearing.equals("no");
        prefersWearing = wearing.equals("preferred");
        clipped = choice("data-clip", "no", "no", "yes").equals("yes");
        String box = attribute("viewBox", "");
        String[] numbers = box.trim().split("[\\s,]+");
        if (numbers.length == 4) {
            flatness = Math.max(number("viewBox", numbers[2], 1e-3, FARTHEST), number("viewBox", numbers[3], 1e-3, FARTHEST)) / 5000;
        } else {
            throw trouble("svg", "viewBox is \"" + Said.shortly(box, 40) + "\".", "Give four numbers: left top width height.");
        }
        List<Slot> found = new ArrayList<>();
        for (String slot : attribute("data-slots", "").split(";")) {
            String[] cells = slot.trim().split("\\s*:\\s*");
            if (cells.length != 3 || !cells[2].matches("#[0-9a-fA-F]{6}") || cells[0].isEmpty() || found.size() >= 40) {
                throw trouble("svg", "data-slots has \"" + Said.shortly(slot, 40) + "\".",
                        "Write each colour slot as name: Title: #rrggbb, separated by semicolons.");
            }
            found.add(new Slot(cells[0], cells[1], Srgb.ofHex(cells[2])));
        }
        slots = found;
    }

    private void part(String element, AffineTransform transform) throws FileTrouble {
        String part = attribute("data-part", "");
        if (part.isBlank() || part.length() > 60 || parts.size() >= MOST_PARTS) {
            throw trouble(element, "data-part is empty or too long, or there are more than " + MOST_PARTS + " parts.",
                    "Give each part a short name of its own.");
        }
        Shape drawn = transform.createTransformedShape(new SvgElements(place, xml).shape());
        Role role = switch (choice("data-role", "fill", "fill", "line", "highlight")) {
            case "line" -> Role.LINE;
            case "highlight" -> Role.HIGHLIGHT;
            default -> Role.FILL;
        };
        double pen = number("data-pen", attribute("data-pen", "0"), 0, 15);
        boolean line = role == Role.LINE || role == Role.HIGHLIGHT && pen > 0;
        if (line && pen == 0) {
            throw trouble(part, "A line needs a width.", "Add data-pen with the width in mm, such as 0.7.");
        }
        Geometry shape;
        try {
            shape = line ? Outlines.lines(drawn, flatness) : Outlines.area(drawn, flatness);
        } catch (Intricacy.TooIntricate e) {
            throw trouble(part, e.getMessage(), SvgElements.SIMPLIFY);
        }
        points += shape.getNumPoints();
        if (points > MOST_POINTS) {
            throw trouble(part, "The drawing has more than " + MOST_POINTS + " points.", "Simplify the paths.");
        }
        if (shape.isEmpty() || !(Math.abs(shape.getEnvelopeInternal().getMaxX()) < FARTHEST)
                || !(Math.abs(shape.getEnvelopeInternal().getMaxY()) < FARTHEST)) {
            throw trouble(part, "The part encloses nothing or lies beyond any paper.",
                    "Draw it as a closed shape, or mark it data-role=\"line\".");
        }
        Presence sits = switch (choice("data-sits", "always", "always", "on-stone", "wearing")) {
            case "on-stone" -> Presence.ON_STONE;
            case "wearing" -> Presence.WEARING;
            default -> Presence.ALWAYS;
        };
        if (choice("data-silhouette", "no", "no", "yes").equals("yes")) {
            silhouettes.add(shape);
        }
        try {
            parts.add(new MotifPart(part, Said.first(attribute("data-title", part.replace('-', ' ')), 60), role, attribute("data-slot", ""),
                    shape,
                    new MotifPart.Make(line ? pen : 0, number("data-round", attribute("data-round", "0"), 0, 1),
                            choice("data-outline", "no", "no", "yes").equals("yes"), sits),
                    Optional.ofNullable(xml.getAttributeValue(null, "data-mirror"))));
        } catch (IllegalArgumentException e) {
            throw trouble(part, sentence(e), "Correct its attributes.");
        }
    }

    private double number(String name, String text, double low, double high) throws FileTrouble {
        try {
            double value = Double.parseDouble(text);
            if (value >= low && value <= high) {
                return value;
            }
        } catch (NumberFormatException e) {
            // answered below, with the same sentence as a number out of range
        }
        throw trouble(attribute("data-part", xml.getLocalName()), name + " is \"" + Said.shortly(text, 40) + "\".",
                "Expected a number from " + low + " to " + high + ".");
    }

    private String attribute(String name, String otherwise) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? otherwise : value;
    }

    private String choice(String name, String otherwise, String... allowed) throws FileTrouble {
        String value = attribute(name, otherwise);
        if (!List.of(allowed).contains(value)) {
            throw trouble(attribute("data-part", xml.getLocalName()), name + " is \"" + Said.shortly(value, 40) + "\".",
                    "Expected one of " + String.join(", ", allowed) + ".");
        }
        return value;
    }

    private FileTrouble trouble(String element, String found, String remedy) {
        return SvgElements.trouble(place, xml, element, found, remedy);
    }
}
