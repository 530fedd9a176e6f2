package mosspebble.app.colour;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Swatch;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Edge;
import mosspebble.core.project.Project;
import mosspebble.core.stone.EdgeStrip;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.UnitTextException;

/** What runs all round the edge: a ground, and bands. */
final class EdgePage extends PageView {

    private final Panel panel;
    private final ColourModel colours;
    private final ComboBox<Optional<Mix>> ground = new ComboBox<>();
    private final VBox bands = new VBox(8);
    private final javafx.scene.control.Label size = Panel.quiet("");
    private Object shown;
    private boolean showing;

    EdgePage(Panel panel, ColourModel colours) {
        this.panel = panel;
        this.colours = colours;
        ground.setId("edge-ground");
        ground.setMaxWidth(Double.MAX_VALUE);
        Hint.on(ground, "Colour of the whole edge, all the way round");
        ground.setAccessibleText("Ground of the edge");
        dress(ground);
        ground.setOnAction(e -> {
            if (!showing && ground.getValue() != null) {
                panel.edit("Ground of the edge", p -> p.withEdge(p.edge().withGround(ground.getValue())));
            }
        });
        bands.setId("edge-bands");
        Button add = Panel.button("edge-add", "Add a band", "A band of colour all the way round, on the girdle", this::add);
        getChildren().addAll(Panel.quiet(
                "What runs all round, for both faces at once. The edge is unrolled: as long as the girdle, from one face to the other."),
                size, Panel.heading("Ground of the edge"), ground, Panel.heading("Bands"), bands, add);
    }

    private Edge edge() {
        return panel.project().map(Project::edge).orElse(Edge.BARE);
    }

    private void add() {
        List<Optional<Mix>> all = choices();
        Mix mix = all.size() > 1 ? all.get(1).orElseThrow() : null;
        if (mix == null) {
            panel.workbench.tell("The shelf is empty: there is no colour for a band.");
            return;
        }
        panel.edit("Add a band round the edge", p -> {
            List<Edge.Band> more = new ArrayList<>(p.edge().bands());
            more.add(new Edge.Band(0, 3, mix));
            return p.withEdge(p.edge().withBands(more));
        });
    }

    /** None, the colours of this stone, then what is on the shelf by itself. */
    private List<Optional<Mix>> choices() {
        Set<Mix> mixes = new LinkedHashSet<>();
        panel.project().ifPresent(p -> {
            mixes.addAll(p.colours().values());
            p.ground().ifPresent(mixes::add);
            p.edge().ground().ifPresent(mixes::add);
            p.edge().bands().forEach(b -> mixes.add(b.mix()));
        });
        panel.workbench.studio().shelf().paints().stream()
                .filter(p -> p.kind().does(PaintKind.Use.FILLS) || p.kind().does(PaintKind.Use.DRAWS) || p.kind().does(PaintKind.Use.METAL))
                .forEach(p -> mixes.add(Mix.of(p.id())));
        List<Optional<Mix>> all = new ArrayList<>(List.of(Optional.empty()));
        mixes.forEach(m -> all.add(Optional.of(m)));
        return all;
    }

    private void dress(ComboBox<Optional<Mix>> box) {
        box.setCellFactory(list -> new MixCell());
        box.setButtonCell(new MixCell());
    }

    private final class MixCell extends ListCell<Optional<Mix>> {
        @Override
        protected void updateItem(Optional<Mix> mix, boolean empty) {
            super.updateItem(mix, empty);
            if (empty || mix == null) {
                setText(null);
                setGraphic(null);
                return;
            }
            setText(mix.map(panel.workbench.studio().shelf()::words).orElse("bare stone"));
            Optional<Palette.Colour> colour = mix.flatMap(colours.palette()::colour);
            setGraphic(colour.map(c -> (Node) new Swatch(c.optics().full().toSrgb(), 14)).orElse(null));
        }
    }

    @Override
    public void refresh() {
        PaintPlan plan = panel.show.plan();
        Optional<EdgeStrip> strip = plan == null ? Optional.empty() : plan.edge();
        size.setText(strip
                .map(s -> LengthText.format(new Millimetres(s.lengthMm()), panel.workbench.studio().unit()) + " round, "
                        + LengthText.format(new Millimetres(s.lowestMm()), panel.workbench.studio().unit()) + " high at its lowest.")
                .orElse(""));
        Panel.present(size, strip.isPresent());
        Object now = List.of(edge(), panel.workbench.studio().shelf(), panel.workbench.studio().unit(),
                panel.project().map(Project::id).orElse(""));
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        showing = true;
        ground.getItems().setAll(choices());
        ground.setValue(edge().ground());
        showing = false;
        bands.getChildren().clear();
        for (int i = 0; i < edge().bands().size(); i++) {
            bands.getChildren().add(band(i));
        }
        if (edge().bands().isEmpty()) {
            bands.getChildren().add(Panel.quiet("No band yet."));
        }
    }

    private Node band(int number) {
        ComboBox<Optional<Mix>> colour = new ComboBox<>();
        colour.setId("band-colour-" + number);
        colour.setMaxWidth(Double.MAX_VALUE);
        colour.setAccessibleText("Colour of band " + (number + 1));
        dress(colour);
        colour.getItems().setAll(choices().stream().filter(Optional::isPresent).toList());
        colour.setValue(Optional.of(edge().bands().get(number).mix()));
        colour.setOnAction(e -> colour.getValue()
                .ifPresent(mix -> change(number, "Colour of band " + (number + 1), b -> new Edge.Band(b.offMm(), b.wideMm(), mix))));
        Entry wide = length("band-wide-" + number, "Width", "How wide the band is", edge().bands().get(number).wideMm(),
                v -> change(number, "Width of band " + (number + 1), b -> new Edge.Band(b.offMm(), v, b.mix())));
        Entry off = length("band-off-" + number, "Off the girdle",
                "From the girdle to its middle; more than 0 toward the front, less toward the back", edge().bands().get(number).offMm(),
                v -> change(number, "Place of band " + (number + 1), b -> new Edge.Band(v, b.wideMm(), b.mix())));
        Button away = Panel.button("band-away-" + number, "✕", "Take this band away",
                () -> panel.edit("Take band " + (number + 1) + " away", p -> {
                    List<Edge.Band> fewer = new ArrayList<>(p.edge().bands());
                    fewer.remove(number);
                    return p.withEdge(p.edge().withBands(fewer));
                }));
        HBox.setHgrow(colour, javafx.scene.layout.Priority.ALWAYS);
        HBox first = new HBox(6, colour, away);
        first.setAlignment(Pos.CENTER_LEFT);
        away.setMinWidth(Region.USE_PREF_SIZE);
        return new VBox(4, first, row(wide, off));
    }

    private interface Change {
        Edge.Band of(Edge.Band band);
    }

    private Optional<String> change(int number, String title, Change change) {
        return panel.tryEdit(title, p -> {
            List<Edge.Band> changed = new ArrayList<>(p.edge().bands());
            changed.set(number, change.of(changed.get(number)));
            return p.withEdge(p.edge().withBands(changed));
        });
    }

    private interface Take {
        Optional<String> take(double mm);
    }

    /** A length that may be below zero. */
    private Entry length(String id, String name, String tooltip, double now, Take take) {
        return new Entry(id, name, tooltip,
                () -> (now < 0 ? "-" : "") + LengthText.number(new Millimetres(Math.abs(now)), panel.workbench.studio().unit()), text -> {
                    String plain = text.strip();
                    boolean below = plain.startsWith("-") || plain.startsWith("−");
                    try {
                        double mm = plain.matches("[-−]?\\s*0+([.,]0*)?\\s*") ? 0
                                : LengthText.parse(below ? plain.substring(1) : plain, panel.workbench.studio().unit()).value();
                        return take.take(below ? -mm : mm);
                    } catch (UnitTextException e) {
                        return Optional.of(e.getMessage());
                    }
                });
    }
}
