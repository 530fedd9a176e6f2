package mosspebble.core.colour;

import java.util.ArrayList;
import java.util.List;

/** Colours and differences in a painter's plain words; the borders are ours (common practice, no source). */
public final class ColourWords {

    private static final double NOTICED = 1.5;

    private static final Object[][] HUES = {{18.0, "pink red"}, {42.0, "red"}, {62.0, "orange"}, {84.0, "golden yellow"}, {105.0, "yellow"},
        {128.0, "yellow green"}, {165.0, "green"}, {205.0, "sea green"},
        {250.0, "sky blue"}, {290.0, "blue"}, {318.0, "violet"}, {345.0, "purple"}, {360.0, "pink red"}};

    private ColourWords() {}

    /** How near a difference (CIEDE2000) is. */
    public static String near(double difference) {
        return difference < 1 ? "the same to the eye" : difference < 3 ? "very near" : difference < 6 ? "near"
                : difference < 12 ? "clearly different" : "far off";
    }

    /** In which way a colour differs from the one wanted: "a little lighter and warmer"; empty where nobody would notice. */
    public static String off(Lab got, Lab wanted) {
        List<String> words = new ArrayList<>();
        double l = got.l() - wanted.l();
        if (Math.abs(l) >= NOTICED) {
            words.add(amount(l) + (l > 0 ? "lighter" : "darker"));
        }
        double chroma = got.chroma() - wanted.chroma();
        if (Math.abs(chroma) >= 2 * NOTICED) {
            words.add(amount(chroma / 2) + (chroma > 0 ? "brighter" : "duller"));
        }
        double warm = Warmth.of(got) - Warmth.of(wanted);
        double across = 2 * Math.sqrt(Math.max(0, got.chroma() * wanted.chroma())) * Math.abs(Math.sin((angle(got) - angle(wanted)) / 2));
        if (across >= 2 * NOTICED && Math.abs(warm) >= NOTICED) {
            words.add(amount(across / 2) + (warm > 0 ? "warmer" : "cooler"));
        } else if (across >= 2 * NOTICED) {
            words.add(amount(across / 2) + (got.a() > wanted.a() ? "redder" : "greener"));
        }
        return words.isEmpty() ? "" : words.size() == 1 ? words.get(0)
                : String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.get(words.size() - 1);
    }

    private static String amount(double difference) {
        return Math.abs(difference) < 4 ? "a little " : Math.abs(difference) < 10 ? "" : "much ";
    }

    private static double angle(Lab lab) {
        return Math.atan2(lab.b(), lab.a());
    }

    /** A plain name: "dark dull red", "pale grey". */
    public static String name(Lab lab) {
        String tone = lab.l() < 12 ? "black" : lab.l() > 93 ? "white" : "";
        if (lab.chroma() < 7) {
            return !tone.isEmpty() ? tone : lab.l() < 38 ? "dark grey" : lab.l() > 74 ? "pale grey" : "grey";
        }
        double hue = Math.toDegrees(angle(lab));
        hue = hue < 0 ? hue + 360 : hue;
        String name = "pink red";
        for (Object[] each : HUES) {
            if (hue <= (double) each[0]) {
                name = (String) each[1];
                break;
            }
        }
        if (lab.l() < 48 && lab.chroma() < 38 && hue > 30 && hue < 90) {
            name = "brown";
        }
        String light = lab.l() < 34 ? "dark " : lab.l() > 78 ? "pale " : "";
        String strength = lab.chroma() < 22 ? "dull " : lab.chroma() > 62 ? "bright " : "";
        return light + (name.equals("brown") ? "" : strength) + name;
    }
}
