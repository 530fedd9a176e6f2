package mosspebble.app.control;

import java.util.function.DoubleConsumer;
import java.util.function.DoubleFunction;
import java.util.function.DoubleSupplier;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A slider with its name and value in words. While it is dragged the change is a draft; letting go or a key commits it. */
public final class Measure extends VBox {

    private final Slider slider;
    private final Label value = new Label();
    private final DoubleSupplier current;
    private final DoubleFunction<String> words;
    private boolean showing;
    private double taken;

    public Measure(String id, String name, String tooltip, double low, double high, double step, DoubleSupplier current,
            DoubleFunction<String> words, DoubleConsumer draft, DoubleConsumer commit) {
        this.current = current;
        this.words = words;
        getStyleClass().add("measure");
        Label label = new Label(name);
        label.getStyleClass().add("quiet");
        value.getStyleClass().add("value");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        slider = new Slider(low, high, low);
        slider.setId(id);
        slider.setBlockIncrement(step);
        Hint.on(slider, tooltip);
        slider.setAccessibleText(name);
        label.setLabelFor(slider);
        getChildren().addAll(new HBox(label, gap, value), slider);
        slider.valueProperty().addListener((o, before, now) -> {
            double rounded = Math.round(now.doubleValue() / step) * step;
            value.setText(words.apply(rounded));
            if (!showing) {
                if (slider.isValueChanging()) {
                    draft.accept(rounded);
                } else {
                    commit.accept(rounded);
                }
            }
        });
        slider.valueChangingProperty().addListener((o, before, now) -> {
            if (now) {
                taken = slider.getValue();
            } else if (!showing) { // taken and let go, it stays where it was, also between two steps
                commit.accept(slider.getValue() == taken ? taken : Math.round(slider.getValue() / step) * step);
            }
        });
        refresh();
    }

    public void refresh() {
        if (!slider.isValueChanging()) {
            showing = true;
            slider.setValue(current.getAsDouble());
            value.setText(words.apply(current.getAsDouble()));
            showing = false;
        }
    }
}
