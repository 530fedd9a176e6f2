package mosspebble.files;

import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import mosspebble.core.colour.Mix;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Stencil;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;

/** The design of the face that is up as SVG 1.1 in true millimetres: outline, parts in their colours (deepest first), guides as lines. */
public final class DesignSvg {

    private static final double MARGIN_MM = 2;

    private DesignSvg() {}

    /** @throws FileTrouble if it cannot be written; then nothing has changed */
    public static void write(PaintPlan plan, Path file) throws FileTrouble {
        Geometry outline = plan.survey().zones().outline();
        write(plan.project().name(), outline.getEnvelopeInternal(), file, svg -> {
            path(svg, "outline", outline, "none", "#22271f");
            if (plan.design().isPresent()) {
                Map<String, Srgb> colours = colours(plan);
                for (PlacedPart part : plan.design().get().parts()) {
                    boolean guide = part.part().role() == Role.GUIDE;
                    Srgb colour = colours.getOrDefault(part.part().slot(), new Srgb(128, 128, 128));
                    path(svg, part.part().title(), guide ? part.drawn() : part.painted(), guide ? "none" : hex(colour),
                            guide ? "#9a958a" : "none");
                }
            }
        });
    }

    /**
     * The template to cut out as SVG: lines alone, one path for each cut in the order of cutting, the sheet's edge last.
     *
     * @throws FileTrouble if the design leaves no template, or it cannot be written; then nothing has changed
     */
    public static void writeStencil(PaintPlan plan, Path file) throws FileTrouble {
        Stencil stencil = stencil(plan).orElseThrow(() -> new FileTrouble(plan.project().name(),
                "There is nothing in this design to cut a template of, or it covers the whole stone.",
                "Sketch a figure or a word that leaves stone round it; for one that wears the stone take the guide."));
        write(plan.project().name() + ": template", stencil.paper().getEnvelopeInternal(), file, svg -> {
            int number = 0;
            for (Geometry cut : stencil.cuts()) {
                path(svg, "cut " + ++number, cut, "none", "#c0392b");
            }
            path(svg, "edge of the sheet", stencil.paper(), "none", "#22271f");
        });
    }

    /** The template of the face that is up; empty where the design leaves none. */
    static Optional<Stencil> stencil(PaintPlan plan) {
        return plan.design().flatMap(d -> Stencil.of(d, plan.survey().zones().outline()));
    }

    private interface Body {
        void write(XMLStreamWriter svg) throws XMLStreamException;
    }

    private static void write(String title, Envelope around, Path file, Body body) throws FileTrouble {
        Envelope box = new Envelope(around);
        box.expandBy(MARGIN_MM);
        SafeWrite.write(file, out -> {
            Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            try {
                XMLStreamWriter svg = XMLOutputFactory.newInstance().createXMLStreamWriter(writer);
                svg.writeStartDocument("UTF-8", "1.0");
                svg.writeStartElement("svg");
                svg.writeDefaultNamespace("http://www.w3.org/2000/svg");
                svg.writeAttribute("version", "1.1");
                svg.writeAttribute("width", number(box.getWidth()) + "mm");
                svg.writeAttribute("height", number(box.getHeight()) + "mm");
                svg.writeAttribute("viewBox", number(box.getMinX()) + " " + number(box.getMinY()) + " " + number(box.getWidth()) + " "
                        + number(box.getHeight()));
                svg.writeStartElement("title");
                svg.writeCharacters(title);
                svg.writeEndElement();
                body.write(svg);
                svg.writeEndElement();
                svg.writeEndDocument();
                svg.flush();
            } catch (XMLStreamException e) {
                throw new IOException(e);
            }
        });
    }

    /** By slot: what is mixed for it, or the motif's own wish. */
    private static Map<String, Srgb> colours(PaintPlan plan) {
        Map<Mix, Srgb> mixed = new HashMap<>();
        for (Step step : plan.steps()) {
            step.layers().forEach(l -> mixed.putIfAbsent(l.load().mix(), l.load().coat().swatch()));
        }
        Map<String, Srgb> colours = new HashMap<>();
        for (Slot slot : plan.design().orElseThrow().slots()) {
            Mix mix = plan.project().colours().get(slot.id());
            colours.put(slot.id(), mix == null ? slot.wish() : mixed.getOrDefault(mix, slot.wish()));
        }
        return colours;
    }

    private static void path(XMLStreamWriter svg, String title, Geometry shape, String fill, String stroke) throws XMLStreamException {
        StringBuilder d = new StringBuilder();
        for (int i = 0; i < shape.getNumGeometries(); i++) {
            Geometry each = shape.getGeometryN(i);
            if (each instanceof Polygon polygon && !polygon.isEmpty()) {
                ring(d, polygon.getExteriorRing(), true);
                for (int k = 0; k < polygon.getNumInteriorRing(); k++) {
                    ring(d, polygon.getInteriorRingN(k), true);
                }
            } else if (each instanceof LineString line && !line.isEmpty()) {
                ring(d, line, false);
            }
        }
        if (d.isEmpty()) {
            return;
        }
        svg.writeStartElement("path");
        svg.writeAttribute("d", d.toString());
        svg.writeAttribute("fill", fill);
        svg.writeAttribute("fill-rule", "evenodd");
        svg.writeAttribute("stroke", stroke);
        svg.writeAttribute("stroke-width", "0.2");
        svg.writeStartElement("title");
        svg.writeCharacters(title);
        svg.writeEndElement();
        svg.writeEndElement();
    }

    private static void ring(StringBuilder d, LineString line, boolean closed) {
        Coordinate[] all = line.getCoordinates();
        int count = closed ? all.length - 1 : all.length;
        for (int i = 0; i < count; i++) {
            d.append(i == 0 ? "M" : "L").append(number(all[i].x)).append(' ').append(number(all[i].y));
        }
        d.append(closed ? "Z" : "");
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.3f", value);
    }

    private static String hex(Srgb colour) {
        return String.format(Locale.ROOT, "#%02x%02x%02x", colour.red(), colour.green(), colour.blue());
    }
}
