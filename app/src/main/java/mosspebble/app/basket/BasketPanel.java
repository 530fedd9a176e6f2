package mosspebble.app.basket;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Hint;
import mosspebble.app.model.Navigator;
import mosspebble.app.screen.OriginFields;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.RockKind;
import mosspebble.files.BuiltIn;

/** Beside the basket: what is shown in which order, and the stone in hand with where it came from. */
public final class BasketPanel extends Panel {

    private final BasketShelf shelf;
    private final VBox inHand = new VBox(9);
    private FoundStone shown;

    public BasketPanel(Surroundings with, BasketShelf shelf, List<BuiltIn.Title> subjects) {
        super(with.workbench(), with.results());
        this.shelf = shelf;
        Choice<String> proportions = new Choice<>("Shape", shelf.proportions::set);
        proportions.option("shape-all", "all", null, "Stones of all shapes");
        for (String word : new String[] {"round", "oval", "long"}) {
            proportions.option("shape-" + word, word, word, "Only " + word + " stones");
        }
        Choice<RockKind> rocks = new Choice<>("Rock", shelf.rock::set);
        rocks.option("find-all", "all", null, "All rocks");
        for (RockKind kind : RockKind.values()) {
            rocks.option("find-" + kind.name().toLowerCase(Locale.ROOT), kind.label(), kind, "Only " + kind.label());
        }
        Choice<BasketShelf.Order> order = new Choice<>("Order", shelf.order::set);
        order.option("order-size", "size", BasketShelf.Order.SIZE, "The longest first")
                .option("order-name", "name", BasketShelf.Order.NAME, "By name")
                .option("order-rock", "rock", BasketShelf.Order.ROCK, "By rock");
        MenuButton best = new MenuButton("Best for …");
        best.setId("best-for");
        best.getStyleClass().add("pebble");
        Hint.on(best, "Ranks the stones for a subject");
        for (BuiltIn.Title subject : subjects) {
            MenuItem rank = new MenuItem(subject.title());
            rank.setId("best-for-" + subject.id());
            rank.setOnAction(e -> {
                best.setText("Best for: " + subject.title());
                shelf.subject.set(subject.id());
                shelf.order.set(BasketShelf.Order.SUBJECT);
                shelf.rank();
            });
            best.getItems().add(rank);
        }
        getChildren().addAll(inHand, proportions, rocks, order, best);
        shelf.chosen.addListener((o, a, b) -> refresh());
        shelf.order.addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            proportions.show(shelf.proportions.get());
            rocks.show(shelf.rock.get());
            order.show(shelf.order.get());
            if (shelf.order.get() != BasketShelf.Order.SUBJECT) {
                best.setText("Best for …");
            }
            Set<RockKind> there = workbench.studio().basket().stream().map(f -> f.stone().rock()).collect(Collectors.toSet());
            for (RockKind kind : RockKind.values()) {
                rocks.allow(kind, there.contains(kind) || kind == shelf.rock.get());
            }
            FoundStone now = shelf.inHand().orElse(null);
            if (now != shown || inHand.getChildren().isEmpty()) {
                shown = now;
                details(with.navigator());
            }
        });
    }

    private void change(String title, UnaryOperator<FoundStone> change) {
        String id = shelf.chosen.get();
        workbench.editStudio(title, s -> s.withBasket(s.basket().stream().map(f -> f.id().equals(id) ? change.apply(f) : f).toList()));
    }

    private Optional<String> tryChange(String title, UnaryOperator<FoundStone> change) {
        try {
            change(title, change);
            String refused = workbench.noticeProperty().get();
            return refused.isEmpty() ? Optional.empty() : Optional.of(refused);
        } catch (IllegalArgumentException e) {
            return Optional.of(e.getMessage());
        }
    }

    private void details(Navigator navigator) {
        inHand.getChildren().clear();
        if (shown == null) {
            inHand.getChildren().add(quiet("Choose a stone in the basket to take it up or to note where it was found."));
            return;
        }
        FoundStone found = shown;
        Label title = heading(found.name());
        Button take = button("take-up", "Take it up", "Puts this stone on the cloth", () -> {
            if (workbench.editStudio("Take up " + found.name(), s -> s.takenUp(found.id()))) {
                workbench.choose(found.id());
                navigator.back();
            }
        });
        take.getStyleClass().add("main");
        Button away = button("throw-out", "Take it out", "Takes the stone out of the basket",
                () -> workbench.editStudio("Take " + found.name() + " out", s -> {
                    List<FoundStone> kept = new ArrayList<>(s.basket());
                    kept.removeIf(f -> f.id().equals(found.id()));
                    return s.withBasket(kept);
                }));
        HBox buttons = new HBox(6, take, away);
        Entry name = new Entry("found-name", "Name", "What you call this stone", found::name,
                text -> tryChange("Name", f -> new FoundStone(f.id(), text.strip(), f.stone(), f.origin())));
        OriginFields origin = new OriginFields("found", found::origin,
                (what, change) -> tryChange(what, f -> f.withOrigin(change.apply(f.origin()))));
        inHand.getChildren().addAll(title, buttons, name, origin);
        found.origin().picture().flatMap(BasketPanel::picture).ifPresent(image -> {
            ImageView view = new ImageView(image);
            view.setPreserveRatio(true);
            view.setFitHeight(96);
            inHand.getChildren().add(view);
        });
    }

    private static Optional<Image> picture(String base64) {
        try {
            Image image = new Image(new ByteArrayInputStream(Base64.getDecoder().decode(base64)));
            return image.isError() ? Optional.empty() : Optional.of(image);
        } catch (IllegalArgumentException e) {
            return Optional.empty(); // a damaged picture is no picture
        }
    }
}
