package mosspebble.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.proof.Moment;
import mosspebble.core.proof.Proof;
import mosspebble.core.proof.ProofFinding;
import mosspebble.core.proof.ProofFinding.Kind;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.units.Facts;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.GeometryFactory;

/** What is said about a photo held against its plan. */
class ProofWordsTest {

    private static final PlacedDesign NOTHING = new PlacedDesign(List.of(), List.of(), List.of(), new GeometryFactory().createPolygon());

    private static String said(Kind kind, Facts facts) {
        return ProofWords.sentence(new ProofFinding(kind, Optional.empty(), Optional.of("x"), Optional.empty(), facts), NOTHING);
    }

    private static Facts moved(double right, double down) {
        return Facts.of("mm", Math.hypot(right, down)).and("right", right).and("down", down).and("off", 0.3);
    }

    @Test
    void everyKindHasASentenceWithItsAmountAndAWayToMendIt() {
        assertThat(said(Kind.OTHER_STONE, Facts.of("stones", 2))).isEqualTo("No stone in this photo has this outline.");
        assertThat(said(Kind.OTHER_STONE, Facts.of("stones", 1))).isEqualTo("The stone in this photo does not have this outline.");
        assertThat(said(Kind.TURNED, Facts.of("degrees", -2.13).and("off", 0.24).and("word", true).and("climbs", true)))
                .isEqualTo("It climbs by 2.1° (±\u00a00.2).");
        assertThat(said(Kind.TURNED, Facts.of("degrees", 2.13).and("off", 0.24).and("word", true).and("climbs", false))).contains("falls");
        assertThat(said(Kind.TURNED, Facts.of("degrees", 3.0).and("off", 0.24).and("word", false).and("climbs", false)))
                .contains("turned clockwise by 3°");
        assertThat(said(Kind.TURNED, Facts.of("degrees", -3.0).and("off", 0.24).and("word", false).and("climbs", false)))
                .contains("turned anticlockwise by 3°");
        assertThat(said(Kind.MOVED, moved(1.5, -0.2))).isEqualTo("It sits 1.5 mm too far to the right (±\u00a00.3).");
        assertThat(said(Kind.MOVED, moved(-1, -1))).contains("1.4 mm too far to the left and up");
        assertThat(said(Kind.PART_MOVED, moved(0.1, 2))).contains("2 mm too far down");
        assertThat(said(Kind.SIZED, Facts.of("mm", 0.8).and("length", 9.0).and("off", 0.2))).contains("0.8 mm longer", "9 mm");
        assertThat(said(Kind.PART_SIZED, Facts.of("mm", -0.8).and("length", 9.0).and("off", 0.2))).contains("0.8 mm shorter");
        assertThat(said(Kind.NEAR_EDGE, Facts.of("left", 3.0).and("planned", 5.2))).contains("ends 3 mm before the edge; 5.2 mm");
        assertThat(said(Kind.NEAR_EDGE, Facts.of("left", 0.0).and("planned", 5.2))).contains("runs over the edge");
        assertThat(said(Kind.DOTS_COUNT, Facts.of("seen", 23).and("planned", 24))).contains("has 23 dots where 24 were planned");
        assertThat(said(Kind.DOTS_GAP, Facts.of("gap", 4.1).and("usual", 3.0))).contains("4.1 mm from dot to dot", "3 mm is usual");
        assertThat(said(Kind.COLOUR, Facts.of("difference", 12.0).and("lighter", -9.0).and("chroma", -8.0).and("off", 4.0)))
                .contains("darker and duller than its mix", "apart by 12", "wrong by 4");
        assertThat(said(Kind.COLOUR, Facts.of("difference", 12.0).and("lighter", 1.0).and("chroma", 8.0).and("off", 4.0)))
                .contains("came out stronger than");
        assertThat(said(Kind.BALD, Facts.of("mm2", 6.0).and("places", 2))).contains("in 2 places, over 6 mm²");
        assertThat(said(Kind.BLED, Facts.of("mm2", 6.0).and("places", 1))).contains("beside it over 6 mm²");
        assertThat(said(Kind.ROUND, Facts.of("degrees", 3.0))).contains("so round");
        assertThat(said(Kind.NOT_SEEN, Facts.none())).contains("cannot be made out");
        assertThat(said(Kind.NO_DESIGN, Facts.none())).contains("Nothing is planned");
        List<String> ways = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            ProofFinding finding = new ProofFinding(kind, Optional.empty(), Optional.empty(), Optional.empty(), Facts.none());
            ways.add(ProofWords.mend(finding, true));
            ways.add(ProofWords.mend(finding, false));
        }
        assertThat(ways).allMatch(w -> w.endsWith(".") && w.length() > 20);
        assertThat(ProofWords.mend(new ProofFinding(Kind.TURNED, Optional.empty(), Optional.empty(), Optional.empty(), Facts.none()), true))
                .as("what paint does not cover can be rubbed out").startsWith("Rub it out");
    }

    @Test
    void nothingComparedIsNotCalledAsPlanned() {
        assertThat(ProofWords.summary(new Proof(Moment.pencilled(), Optional.empty(), List.of(), List.of(), List.of())))
                .isEqualTo("Not compared.");
    }
}
