package mosspebble.files;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.IllegalPathStateException;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.RoundRectangle2D;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.batik.parser.AWTPathProducer;
import org.apache.batik.parser.AWTTransformProducer;
import org.apache.batik.parser.ParseException;
import org.apache.batik.parser.TransformListParser;

/** The safe door for SVG: bounded, no document types, entities, scripts, event attributes or links to anything outside. */
final class SvgElements {

    static final int MOST_BYTES = 2_000_000;
    static final String SIMPLIFY = "Simplify the paths in a vector editor.";
    private static final int MOST_ELEMENTS = 5_000;
    private static final int DEEPEST = 48;
    private static final int MOST_NUMBERS = 3 * Outlines.MOST_POINTS;
    private static final Pattern ENTITY = Pattern.compile("entity \"([^\"]{1,40})\"");
    private static final double FARTHEST = 100_000;
    private static final Set<String> ACTIVE = Set.of("script", "foreignobject", "image", "iframe", "use", "animate", "set",
            "animatetransform", "style");

    /** What is made from the stream of elements. */
    interface Content<T> {
        T from(XMLStreamReader xml) throws XMLStreamException, FileTrouble;
    }

    /** Told of every element as it starts, with all transforms down to it; depth 1 is the root. */
    interface Visitor {
        void start(int depth, AffineTransform transform) throws FileTrouble;
    }

    private final String place;
    private final XMLStreamReader xml;
    private final Deque<AffineTransform> transforms = new ArrayDeque<>();

    SvgElements(String place, XMLStreamReader xml) {
        this.place = place;
        this.xml = xml;
    }

    static <T> T read(InputStream in, String place, Content<T> content) throws FileTrouble {
        return InFile.read(in, MOST_BYTES, place, SIMPLIFY, (bytes, name) -> read(bytes, name, content));
    }

    /** Reads the bytes of a file; a byte order mark before them is no part of it. */
    static <T> T read(byte[] bytes, String place, Content<T> content) throws FileTrouble {
        if (bytes.length == 0) {
            throw new FileTrouble(place, "The file is empty.", "Export the drawing again as SVG.");
        }
        if (bytes.length > MOST_BYTES) {
            throw new FileTrouble(place, "The file is larger than 2 MB.", SIMPLIFY);
        }
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
        String text = "";
        try {
            text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
            return content.from(factory.createXMLStreamReader(new StringReader(text.startsWith("\uFEFF") ? text.substring(1) : text)));
        } catch (XMLStreamException e) {
            int line = e.getLocation() == null ? 0 : e.getLocation().getLineNumber();
            Matcher entity = ENTITY.matcher(e.getMessage() == null ? "" : e.getMessage());
            throw entity.find() ? unknownEntity(place + ", line " + line, entity.group(1), e)
                    : new FileTrouble(place + ", line " + line, "The file is not well-formed SVG.", "Export it again from a vector editor.",
                            e);
        } catch (CharacterCodingException e) {
            throw new FileTrouble(place, "The file is not text in UTF-8.", "Export it again from a vector editor as SVG with UTF-8.", e);
        } catch (Intricacy.TooIntricate e) {
            throw new FileTrouble(place, "The drawing is too intricate: " + e.getMessage().substring(0, 1).toLowerCase(Locale.ROOT)
                    + e.getMessage().substring(1), SIMPLIFY, e);
        }
    }

    private static FileTrouble unknownEntity(String place, String name, Throwable cause) {
        String shown = "&" + Said.shortly(name, 30) + ";";
        return new FileTrouble(place, "The file uses " + shown + ", a short form of web pages that SVG does not know.",
                "Write the letter itself" + (name.equals("nbsp") ? " or &#160;" : "") + " instead.", cause);
    }

    void each(Visitor visitor) throws XMLStreamException, FileTrouble {
        transforms.push(new AffineTransform());
        int elements = 0;
        int depth = 0;
        while (xml.hasNext()) {
            InFile.stopIfAsked(place);
            switch (xml.next()) {
                case XMLStreamConstants.ENTITY_REFERENCE -> throw unknownEntity(place + " at line " + xml.getLocation().getLineNumber(),
                        String.valueOf(xml.getLocalName()), null);
                case XMLStreamConstants.DTD, XMLStreamConstants.ENTITY_DECLARATION ->
                        throw trouble("document", "The file declares a document type or entities, which are refused.",
                                "Remove the DOCTYPE line.");
                case XMLStreamConstants.START_ELEMENT -> {
                    depth++;
                    elements++;
                    if (elements > MOST_ELEMENTS || depth > DEEPEST) {
                        throw trouble(xml.getLocalName(),
                                "The drawing has more than " + MOST_ELEMENTS + " elements or groups deeper than " + DEEPEST + ".",
                                "Simplify it.");
                    }
                    refuseActive(xml.getLocalName());
                    AffineTransform own = new AffineTransform(transforms.peek());
                    String transform = xml.getAttributeValue(null, "transform");
                    if (transform != null) {
                        own.concatenate(transform(xml.getLocalName(), transform));
                    }
                    transforms.push(own);
                    visitor.start(depth, own);
                }
                case XMLStreamConstants.END_ELEMENT -> {
                    depth--;
                    transforms.pop();
                }
                default -> {}
            }
        }
    }

    private void refuseActive(String name) throws FileTrouble {
        if (ACTIVE.contains(name.toLowerCase(Locale.ROOT))) {
            throw trouble(name, "The element <" + Said.shortly(name, 40) + "> is refused: motifs hold plain shapes only.",
                    "Turn it into paths, or remove it.");
        }
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            String attribute = xml.getAttributeLocalName(i).toLowerCase(Locale.ROOT);
            String value = xml.getAttributeValue(i);
            if (attribute.startsWith("on") || attribute.equals("href") && !value.startsWith("#")
                    || value.toLowerCase(Locale.ROOT).contains("javascript:")
                    || value.contains("url(") && !value.contains("url(#")) {
                throw trouble(name,
                        "The attribute " + Said.shortly(attribute, 40) + " runs a script or leads outside the file, which is refused.",
                        "Remove it.");
            }
        }
    }

    /** Whether the current element is a shape. */
    boolean isShape() {
        return Set.of("path", "circle", "ellipse", "rect", "polygon", "polyline").contains(xml.getLocalName());
    }

    /** The shape of the current element, its transform not applied. */
    Shape shape() throws FileTrouble {
        String element = xml.getLocalName();
        return switch (element) {
            case "path" -> path(attribute("d", ""));
            case "circle" -> ellipse(length("r"), length("r"));
            case "ellipse" -> ellipse(length("rx"), length("ry"));
            case "rect" -> new RoundRectangle2D.Double(length("x"), length("y"), length("width"), length("height"), 2 * length("rx"),
                    2 * Math.max(length("ry"), length("rx")));
            case "line" -> new Line2D.Double(length("x1"), length("y1"), length("x2"), length("y2"));
            case "polygon", "polyline" -> polygon(element.equals("polygon"));
            default -> throw trouble(element, "A part cannot be a <" + Said.shortly(element, 40) + ">.",
                    "Use path, circle, ellipse, rect, line, polygon or polyline.");
        };
    }

    private Shape ellipse(double rx, double ry) throws FileTrouble {
        return new Ellipse2D.Double(length("cx") - rx, length("cy") - ry, 2 * rx, 2 * ry);
    }

    private Shape polygon(boolean closed) throws FileTrouble {
        String[] numbers = attribute("points", "").trim().split("[\\s,]+");
        Path2D path = new Path2D.Double();
        if (numbers.length < 4 || numbers.length > MOST_NUMBERS) {
            throw trouble(xml.getLocalName(), "points has " + numbers.length + " numbers.", "Give at least two points as x,y pairs.");
        }
        for (int i = 0; i + 1 < numbers.length; i += 2) {
            double x = number("points", numbers[i]);
            double y = number("points", numbers[i + 1]);
            if (i == 0) {
                path.moveTo(x, y);
            } else {
                path.lineTo(x, y);
            }
        }
        if (closed) {
            path.closePath();
        }
        return path;
    }

    private Shape path(String data) throws FileTrouble {
        try {
            return AWTPathProducer.createShape(new StringReader(data), Path2D.WIND_NON_ZERO);
        } catch (ParseException | IOException | IllegalPathStateException | ArithmeticException e) {
            throw trouble(attribute("data-part", "path"), "Its path data cannot be read: \"" + Said.shortly(data, 30) + "\".",
                    "Export the path again.");
        }
    }

    private AffineTransform transform(String element, String text) throws FileTrouble {
        TransformListParser parser = new TransformListParser();
        AWTTransformProducer producer = new AWTTransformProducer();
        parser.setTransformListHandler(producer);
        try {
            parser.parse(text);
            return producer.getAffineTransform();
        } catch (ParseException e) {
            throw trouble(element, "Its transform cannot be read: \"" + Said.shortly(text, 40) + "\".",
                    "Write matrix, translate, scale or rotate.");
        }
    }

    private double length(String name) throws FileTrouble {
        return number(name, attribute(name, "0"));
    }

    private double number(String name, String text) throws FileTrouble {
        try {
            double value = Double.parseDouble(text);
            if (Math.abs(value) <= FARTHEST) {
                return value;
            }
        } catch (NumberFormatException e) {
            // answered below, with the same sentence as a number out of range
        }
        throw trouble(attribute("data-part", xml.getLocalName()), name + " is \"" + Said.shortly(text, 40) + "\".",
                "Expected a number from -" + FARTHEST + " to " + FARTHEST + ".");
    }

    private String attribute(String name, String otherwise) {
        String value = xml.getAttributeValue(null, name);
        return value == null ? otherwise : value;
    }

    FileTrouble trouble(String element, String found, String remedy) {
        return trouble(place, xml, element, found, remedy);
    }

    static FileTrouble trouble(String place, XMLStreamReader xml, String element, String found, String remedy) {
        int line = xml.getLocation() == null ? 0 : xml.getLocation().getLineNumber();
        return new FileTrouble(place + ", " + Said.shortly(element, 60) + (line > 0 ? " at line " + line : ""), found, remedy);
    }
}
