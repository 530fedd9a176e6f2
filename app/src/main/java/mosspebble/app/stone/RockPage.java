package mosspebble.app.stone;

import java.util.Locale;
import javafx.scene.layout.HBox;
import mosspebble.app.control.Choice;
import mosspebble.app.screen.PageView;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Numbers;

/** What the stone is made of, how it feels under the thumb, and what was on it before. */
final class RockPage extends PageView {

    private final StonePanel panel;
    private final Choice<RockKind> rock;
    private final Choice<Texture> texture;
    private final Choice<Skin.Before> sealed;
    private final Choice<Boolean> loose;

    RockPage(StonePanel panel) {
        this.panel = panel;
        rock = new Choice<>("Rock", kind -> panel.skin("Rock kind", s -> s.withRock(kind)));
        for (RockKind kind : RockKind.values()) {
            rock.option("rock-" + kind.name().toLowerCase(Locale.ROOT), kind.label(), kind,
                    kind.label() + ", " + Numbers.shortText(kind.lightest()) + " to " + Numbers.shortText(kind.heaviest()) + " g/cm³");
        }
        texture = new Choice<>("Feels", t -> panel.skin("Skin", s -> s.withTexture(t)));
        for (Texture t : Texture.values()) {
            texture.option("skin-" + t.label(), t.label(), t, "The stone feels " + t.label());
        }
        sealed = new Choice<>("Before", b -> panel.skin("What was on it before", s -> s.withState(b, s.loose())));
        sealed.option("skin-bare", "bare", Skin.Before.NOTHING, "Nothing on it yet")
                .option("skin-to-cast", "to be cast", Skin.Before.TO_BE_CAST, "Of plaster or cement: the plan begins with the mould")
                .option("skin-sealed", "sealed", Skin.Before.SEALER, "It has been varnished or sealed before: that is dulled")
                .option("skin-painted", "painted, kept", Skin.Before.PAINT_KEPT,
                        "Old paint stays as the ground: measure its colour as the stone's")
                .option("skin-sanded", "painted, sanded", Skin.Before.PAINT_SANDED, "Old paint is sanded smooth")
                .option("skin-stripped", "painted, stripped", Skin.Before.PAINT_STRIPPED, "Old paint is taken off down to the stone");
        loose = new Choice<>("Grains", b -> panel.skin("Loose grains", s -> s.withState(s.before(), b)));
        loose.option("grains-firm", "firm", false, "Nothing rubs off").option("grains-loose", "rub off", true,
                "Grains come off under the thumb");
        rock.unlabelled();
        getChildren().addAll(rock, new HBox(10, texture.unwrapped(), loose.unwrapped()), sealed);
    }

    @Override
    public void refresh() {
        Stone stone = panel.stone();
        rock.show(stone.rock());
        texture.show(stone.texture());
        sealed.show(stone.skin().before());
        loose.show(stone.skin().loose());
    }
}
