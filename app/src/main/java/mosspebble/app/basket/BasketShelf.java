package mosspebble.app.basket;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Studio;
import mosspebble.core.advice.Suitability;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.RockKind;

/** What of the basket is shown, in which order, and which stone is in hand. */
public final class BasketShelf {

    /** Orders of the basket. */
    enum Order { SIZE, NAME, ROCK, SUBJECT }

    private final Workbench workbench;
    private final PlanWorker desk;
    private final PlanWorker.Line line = new PlanWorker.Line();
    final ObjectProperty<String> proportions = new SimpleObjectProperty<>();
    final ObjectProperty<RockKind> rock = new SimpleObjectProperty<>();
    final ObjectProperty<Order> order = new SimpleObjectProperty<>(Order.SIZE);
    final StringProperty chosen = new SimpleStringProperty("");
    /** Id of the motif the stones are ranked for. */
    final StringProperty subject = new SimpleStringProperty("owl-lamp");
    final ObjectProperty<Map<String, Suitability>> suits = new SimpleObjectProperty<>(Map.of());

    public BasketShelf(Workbench workbench, PlanWorker desk) {
        this.workbench = workbench;
        this.desk = desk;
    }

    Optional<FoundStone> inHand() {
        return workbench.studio().found(chosen.get());
    }

    List<FoundStone> shown() {
        List<FoundStone> found = new ArrayList<>(workbench.studio().basket());
        found.removeIf(f -> proportions.get() != null && !FoundStone.proportions(f.stone()).equals(proportions.get())
                || rock.get() != null && f.stone().rock() != rock.get());
        found.sort(switch (order.get()) {
            case SIZE -> Comparator.comparingDouble((FoundStone f) -> -f.stone().length().value());
            case NAME -> Comparator.comparing(FoundStone::name);
            case ROCK -> Comparator.comparing((FoundStone f) -> f.stone().rock().label()).thenComparing(FoundStone::name);
            case SUBJECT -> Comparator
                    .comparingDouble((FoundStone f) -> -Optional.ofNullable(suits.get().get(f.id())).map(Suitability::score).orElse(0.0));
        });
        return found;
    }

    /** Ranks all stones of the basket for the subject, away from the interface thread. */
    void rank() {
        Studio studio = workbench.studio();
        List<FoundStone> basket = studio.basket();
        String motif = subject.get();
        desk.ask(line, d -> {
            Map<String, Suitability> found = new HashMap<>();
            d.repertoire(studio).motif(motif)
                    .ifPresent(m -> basket.forEach(f -> found.put(f.id(), Suitability.of(m, d.survey(f.stone()), studio.shelf()))));
            return found;
        }, suits::set);
    }
}
