package mosspebble.app.shelf;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ColorPicker;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.util.StringConverter;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.control.OneStop;
import mosspebble.app.control.Pages;
import mosspebble.app.control.Swatch;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Opacity;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Pot;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;
import mosspebble.core.units.Words;
import mosspebble.core.words.CareWords;

/** The paint in hand: what it is, how it hides and dries, what is left, and what it smears under. */
public final class ShelfPanel extends Panel {

    private static final int COUNTED = 6;

    /** What is looked at of the paint in hand. */
    public enum Page {
        PAINT("Paint", "Its name, kind, colour and nib, and what is left of it"),
        FILM("Film", "How it hides, dries and shines, and what binds it"),
        SEALERS("Sealers", "What your own test pieces under sealers showed"),
        OVER("Over what", "What goes over what");

        private final String label;
        private final String tooltip;

        Page(String label, String tooltip) {
            this.label = label;
            this.tooltip = tooltip;
        }

        public String label() {
            return label;
        }
    }

    private final ShelfModel desk;
    private final HBox head = new HBox(10);
    private final VBox tests = new VBox(5);
    private final RulesBox rules;
    private final Pages<Page> pages = new Pages<>();
    private Object shown;

    public ShelfPanel(Workbench workbench, Results show, ShelfModel desk) {
        super(workbench, show);
        this.desk = desk;
        head.setAlignment(Pos.CENTER_LEFT);
        Entry name = new Entry("paint-name", "Name", "What you call it", () -> paint().map(Paint::name).orElse(""), desk::rename);
        ComboBox<PaintKind> kind = oneOf("paint-kind", "Kind", PaintKind.values(), PaintKind::label);
        kind.setOnAction(e -> paint().filter(p -> kind.getValue() != null && p.kind() != kind.getValue())
                .ifPresent(p -> desk.change("Kind", q -> as(q, kind.getValue()))));
        Entry colour = new Entry("paint-colour", "Colour", "Of the thick dry film: # and six digits",
                () -> paint().map(p -> p.swatch().hex()).orElse(""),
                text -> take("Colour", p -> p.withSwatch(Srgb.ofHex(text.strip()))));
        ColorPicker picker = new ColorPicker();
        picker.setId("paint-picker");
        picker.getStyleClass().add("button");
        Hint.on(picker, "Pick the colour");
        picker.setAccessibleText("Pick the colour");
        picker.setOnAction(e -> desk.change("Colour", p -> p.withSwatch(srgb(picker.getValue()))));
        Button read = button("paint-read", desk.reader().button("Read"), "The " + desk.reader().label() + ", held on the dry patch",
                desk::readSwatch);
        picker.setMinWidth(44);
        picker.setMaxWidth(44);
        read.setMinWidth(Region.USE_PREF_SIZE);
        colour.setMinWidth(90);
        HBox colours = new HBox(6, colour, picker, read);
        colours.setAlignment(Pos.BOTTOM_LEFT);
        Choice<Opacity> opacity = new Choice<>("Hides, by its label",
                o -> desk.change("Opacity", p -> p.withHiding(o.hiding(), Opacity.SPREAD)));
        for (Opacity each : Opacity.values()) {
            opacity.option("opacity-" + each.name().toLowerCase(Locale.ROOT), each.label(), each,
                    "One coat hides " + Math.round(100 * each.hiding()) + " %, give or take " + Math.round(100 * Opacity.SPREAD));
        }
        Label hides = quiet("");
        hides.setId("paint-hides");
        FlowPane counts = new FlowPane(4, 4);
        for (int n = 1; n <= COUNTED; n++) {
            int coats = n;
            Button count = button("counted-" + n, String.valueOf(n),
                    "The black of the card was gone after " + n + (n == 1 ? " coat" : " coats"), () -> desk.counted(coats));
            count.getStyleClass().add("round");
            counts.getChildren().add(count);
        }
        OneStop.in(counts);
        counts.getChildren().add(button("paint-stripe", desk.reader().button("Read both patches"),
                "One coat over black and over white, read five times each", desk::readStripe));
        VBox drawdown = new VBox(5,
                quiet("Drawdown: paint a stripe over the printed black-and-white card. The black was gone after so many coats:"), counts,
                hides);
        Label dries = quiet("");
        dries.setId("paint-dries");
        HBox wet = new HBox(8,
                button("paint-wet-dry", desk.reader().button("Wet, dry"), "The same patch wet, then dry", desk::readWetAndDry),
                dries);
        wet.setAlignment(Pos.CENTER_LEFT);
        Choice<Finish> finish = new Choice<>("Finish", f -> desk.change("Finish", p -> p.withFinish(f)));
        for (Finish each : Finish.values()) {
            finish.option("finish-" + each.label(), each.label(), each, "Dries " + each.label());
        }
        ComboBox<Binder> binder = oneOf("paint-binder", "Binder", Binder.values(), Binder::label);
        binder.setOnAction(e -> paint().filter(p -> binder.getValue() != null && p.binder() != binder.getValue())
                .ifPresent(p -> desk.change("Binder", q -> q.withFilm(q.film().withBinder(binder.getValue())))));
        VBox bound = new VBox(3, quiet("Binder"), binder);
        Entry tip = lengthEntry("paint-tip", "Nib", "Width of its line; 0 for what is brushed",
                () -> paint().map(Paint::tip).orElse(new Millimetres(0)),
                v -> take("Nib", p -> p.withTip(v)));
        Entry coat = new Entry("paint-coat", "Wet coat, µm", "How thick a usual coat is while wet",
                () -> paint().map(p -> Numbers.text(p.wetCoat().value(), 0)).orElse(""),
                text -> number(text, "60", v -> take("Wet coat", p -> p.withFilm(p.film().withWetCoat(new Micrometres(v))))));
        Entry left = new Entry("paint-left", "Left, ml", "0 if you do not know; passes that are ticked off are taken off",
                () -> paint().map(p -> Numbers.text(desk.left(p).value(), 2)).orElse(""),
                text -> number(text, "20", v -> take("Left, ml", p -> p.withPot(desk.holding(p, v)))));
        Entry full = pot("paint-full", "Pot, ml", p -> p.full().value(), (p, v) -> new Pot(p.left(), new Millilitres(v), p.price()));
        Entry price = pot("paint-price", "Price", Pot::price, (p, v) -> new Pot(p.left(), p.full(), v));
        tests.setId("smear-tests");
        this.rules = new RulesBox(desk);
        Button away = button("paint-away", "Take off the shelf", "Stones that use it are told by a finding", desk::takeAway);
        for (Page each : Page.values()) {
            pages.add("shelf-page-" + each.name().toLowerCase(Locale.ROOT), each.label, each, each.tooltip, switch (each) {
                case PAINT -> new VBox(7, name, kind, colours, opacity, PageView.row(left, full, price), PageView.row(tip, coat), away);
                case FILM -> new VBox(9, drawdown, wet, finish, bound);
                case SEALERS -> new VBox(9, quiet("What your own test pieces showed goes before every rule."), tests);
                case OVER -> rules;
            });
        }
        VBox place = new VBox();
        place.getChildren().addAll(pages.all());
        getChildren().addAll(head, pages.row(), place);
        desk.paintProperty().addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            Optional<Paint> now = paint();
            present(pages.row(), now.isPresent());
            present(place, now.isPresent());
            now.ifPresent(p -> {
                name.refresh();
                colour.refresh();
                tip.refresh();
                coat.refresh();
                left.refresh();
                full.refresh();
                price.refresh();
                kind.setValue(p.kind());
                picker.setValue(Swatch.colour(p.swatch()));
                opacity.show(p.hidingSpread() == Opacity.SPREAD && Math.abs(Opacity.of(p.hiding()).hiding() - p.hiding()) < 1e-9
                        ? Opacity.of(p.hiding()) : null);
                finish.show(p.finish());
                binder.setValue(p.binder());
                hides.setText("One coat hides " + Numbers.text(100 * p.hiding(), 1) + " % ± " + Numbers.text(100 * p.hidingSpread(), 1)
                        + (p.hiding() >= 0.98 ? ": the black is gone at once." : "."));
                dries.setText(Math.abs(p.dryingShift()) < 0.05 ? "dries as it looks wet" : "dries "
                        + (p.dryingShift() > 0 ? "darker" : "lighter") + " by " + Numbers.text(Math.abs(p.dryingShift()), 1) + " L*");
                present(drawdown, !p.kind().clear());
                present(opacity, !p.kind().clear());
                present(wet, !p.kind().clear());
            });
            head(now);
            rules.refresh();
        });
    }

    private static <T> ComboBox<T> oneOf(String id, String name, T[] values, Function<T, String> label) {
        ComboBox<T> box = new ComboBox<>();
        box.setId(id);
        box.getItems().setAll(values);
        box.setConverter(new StringConverter<>() {
            @Override
            public String toString(T value) {
                return value == null ? "" : label.apply(value);
            }

            @Override
            public T fromString(String text) {
                throw new UnsupportedOperationException("a " + name + " is chosen, not typed");
            }
        });
        box.setAccessibleText(name);
        box.setMaxWidth(Double.MAX_VALUE);
        return box;
    }

    public void show(Page page) {
        pages.show(page);
    }

    private Optional<Paint> paint() {
        return desk.inHand();
    }

    private static Paint as(Paint p, PaintKind kind) {
        Paint usual = Paint.usual(p.id(), p.name(), kind, p.swatch(), p.left());
        return usual.withHiding(kind.clear() ? usual.hiding() : p.hiding(), p.hidingSpread()).withPot(p.pot());
    }

    private static Srgb srgb(Color colour) {
        return new Srgb((int) Math.round(255 * colour.getRed()), (int) Math.round(255 * colour.getGreen()),
                (int) Math.round(255 * colour.getBlue()));
    }

    private Optional<String> take(String what, UnaryOperator<Paint> change) {
        try {
            if (desk.change(what, change)) {
                return Optional.empty();
            }
        } catch (IllegalArgumentException e) {
            return Optional.of(Words.sentence(e.getMessage()));
        }
        String reason = workbench.noticeProperty().get();
        workbench.tell("");
        return Optional.of(Words.sentence(reason));
    }

    private interface OfPot {
        double of(Pot pot);
    }

    private interface NewPot {
        Pot of(Pot pot, double value);
    }

    private Entry pot(String id, String name, OfPot get, NewPot set) {
        return new Entry(id, name, "0 if you do not know", () -> paint().map(p -> Numbers.text(get.of(p.pot()), 2)).orElse(""),
                text -> number(text, "20", v -> take(name, p -> p.withPot(set.of(p.pot(), v)))));
    }

    private void head(Optional<Paint> now) {
        Object state = now.map(p -> (Object) List.of(p, workbench.studio().tests(), workbench.studio().shelf())).orElse("");
        if (state.equals(shown)) {
            return;
        }
        shown = state;
        head.getChildren().clear();
        tests.getChildren().clear();
        if (now.isEmpty()) {
            head.getChildren().add(quiet("No paint on the shelf."));
            return;
        }
        Paint p = now.get();
        Label title = new Label(p.name());
        title.setId("paint-title");
        title.setWrapText(true);
        title.getStyleClass().add("step-title");
        head.getChildren().addAll(ShelfView.stripe(p), title);
        for (Paint sealer : workbench.studio().shelf().that(PaintKind.Use.SEALS)) {
            if (!sealer.id().equals(p.id())) {
                tests.getChildren().add(test(p, sealer));
            }
        }
        if (tests.getChildren().isEmpty()) {
            tests.getChildren().add(quiet("There is no sealer on the shelf."));
        }
    }

    private Region test(Paint below, Paint sealer) {
        Optional<SmearTest> own = desk.test(sealer.id());
        Optional<String> against = Compatibility.of(below, sealer, true, List.of()).map(CareWords::sentence);
        Choice<SmearTest.Outcome> outcome = new Choice<>(sealer.name(), o -> desk.test(sealer.id(), Optional.ofNullable(o)));
        outcome.option("test-none-" + sealer.id(), "not tested", null, against.orElse("The rules know nothing against it."));
        for (SmearTest.Outcome each : new SmearTest.Outcome[] {SmearTest.Outcome.FINE, SmearTest.Outcome.SMEARS, SmearTest.Outcome.LIFTS,
            SmearTest.Outcome.CLOUDS}) {
            outcome.option("test-" + each.name().toLowerCase(Locale.ROOT) + "-" + sealer.id(), each.label(), each,
                    "Your test piece: it " + each.label());
        }
        outcome.show(own.map(SmearTest::outcome).orElse(null));
        VBox box = new VBox(2, outcome);
        against.filter(rule -> own.isEmpty()).ifPresent(rule -> box.getChildren().add(quiet(rule)));
        return box;
    }
}
