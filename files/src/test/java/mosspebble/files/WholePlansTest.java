package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.zip.CRC32;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Palette;
import mosspebble.core.finding.Finding;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.stone.Survey;
import mosspebble.core.timetable.Sitting;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.io.WKTWriter;

/**
 * Whole plans of a studio that was written in November 2026, in words and numbers, against those kept beside it. They were written by the
 * program itself and say nothing about what is right: they
 * tell that code was moved without changing what it does. With {@code -Dplans.write=FOLDER} they are written anew.
 */
class WholePlansTest {

    @TempDir
    private Path folder;

    @ParameterizedTest
    @ValueSource(strings = {"fox", "harbour", "heron", "lettering", "moon", "owl", "snail", "toadstool", "window"})
    void aPlanIsTheSameInEveryWordAndNumber(String wanted) throws Exception {
        Path file = folder.resolve("studio.pebble");
        Files.copy(Objects.requireNonNull(WholePlansTest.class.getResourceAsStream("/lantern-walk-2026-11.pebble")), file);
        Studio studio;
        try (StudioStore store = StudioStore.open(file, () -> {
            throw new AssertionError("the studio is there");
        })) {
            studio = store.studio();
        }
        Project project = studio.projects().stream().filter(p -> p.id().startsWith(wanted)).findFirst().orElseThrow();
        Workshop workshop = new Workshop(new Palette(studio.shelf()), OwnFiles.with(BuiltIn.repertoire(), studio.own()), studio.climate(),
                studio.tests());
        PaintPlan plan = Plans.plan(project, Survey.of(project.stone()), workshop, new Remembered());
        List<String> lines = lines(plan);
        String write = System.getProperty("plans.write");
        if (write != null) {
            Files.write(Path.of(write, wanted + ".txt"), lines);
        }
        assertThat(lines).isEqualTo(
                new String(Objects.requireNonNull(WholePlansTest.class.getResourceAsStream("/plans/" + wanted + ".txt")).readAllBytes(),
                        java.nio.charset.StandardCharsets.UTF_8).lines().toList());
    }

    private static List<String> lines(PaintPlan plan) {
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < plan.steps().size(); i++) {
            Step o = plan.steps().get(i);
            Sitting.Step time = plan.sitting().steps().get(i);
            lines.add(i + 1 + " " + o.kind() + " | " + StepWords.title(o) + " | " + StepWords.sentence(o) + " | " + StepWords.reason(o)
                    + " | " + StepWords.tool(o));
            lines.add("   " + o.mix().map(m -> m.parts().toString()).orElse("")
                    + o.coat().map(c -> " " + c.name() + " " + c.swatch().hex() + " " + hundredths(c.dryUm())).orElse("") + " coats "
                    + o.coats() + " thin " + o.layer().map(l -> l.load().thin()).orElse(1.0)
                    + " area " + hundredths(o.work().areaMm2()) + " hand " + o.work().hand() + " between " + o.work().between() + " dries "
                    + o.work().dries() + " from " + time.start() + " to " + time.end() + " soft " + hundredths(o.soft().mm())
                    + o.soft().within().map(w -> " in " + sum(w)).orElse("")
                    + o.wet().map(w -> " wet " + w.first() + " " + w.open() + " " + w.work()).orElse("") + " place " + sum(o.place()));
            o.after().forEach(a -> lines.add("   after " + (a.step() + 1) + " " + StepWords.reason(a)));
        }
        for (Finding finding : plan.findings()) {
            lines.add(finding.weight() + " " + finding.stage() + " " + FindingWords.sentence(finding) + " "
                    + finding.remedies().stream().map(FindingWords::label).toList());
        }
        plan.supplies()
                .forEach(s -> lines.add(s.paint() + " " + hundredths(s.needed().value()) + " ml of " + hundredths(s.left().value())));
        lines.add("hand " + plan.handTime() + " ready " + plan.readyAfter() + " film " + hundredths(plan.thickestUm())
                + plan.weakest().map(w -> " at " + hundredths(w.x()) + " " + hundredths(w.y()) + " " + hundredths(w.um())
                        + " µm in " + w.coats() + " under " + (w.top() + 1)).orElse("")
                + " narrow " + plan.hardToPaint().stream().sorted().toList());
        for (StoneState look : StoneState.values()) {
            lines.add("picture " + look + " " + picture(plan, look));
        }
        return lines;
    }

    private static double hundredths(double value) {
        return Math.round(value * 100) / 100.0;
    }

    /** A geometry in one number, to a thousandth of a millimetre. */
    private static String sum(Geometry place) {
        WKTWriter writer = new WKTWriter();
        writer.setPrecisionModel(new PrecisionModel(1000));
        CRC32 sum = new CRC32();
        sum.update(writer.write(place).getBytes(java.nio.charset.StandardCharsets.UTF_8));
        return Long.toHexString(sum.getValue());
    }

    private static String picture(PaintPlan plan, StoneState look) {
        double reach = Math.max(plan.survey().dome().outline().halfWidth(), plan.survey().dome().outline().halfHeight());
        Grid grid = Grid.around(plan.survey().dome().outline().halfWidth() + 1, plan.survey().dome().outline().halfHeight() + 1,
                reach * 2 / 200);
        StonePicture picture = StonePicture.of(plan, StoneTerrain.of(plan.survey(), grid), look);
        CRC32 sum = new CRC32();
        int[] pixels = new int[grid.cells()];
        for (int steps = 0; steps <= picture.steps(); steps += Math.max(1, picture.steps() / 4)) {
            picture.draw(steps, plan.project().habits().light().from(), pixels);
            Arrays.stream(pixels).forEach(p -> sum.update(new byte[] {(byte) (p >> 24), (byte) (p >> 16), (byte) (p >> 8), (byte) p}));
        }
        return Long.toHexString(sum.getValue());
    }
}
