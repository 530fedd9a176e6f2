package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.Lettering;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Facts;

/** What could not be laid: letters that a face lacks, borders without room, words longer than the rim, motifs that are not there. */
final class CanBeLaid implements Rule {

    @Override
    public boolean atEachFace() {
        return true;
    }

    @Override
    public List<Finding> look(Bench on) {
        List<Finding> found = new ArrayList<>();
        for (Item item : on.project().sketch().map(Sketch::items).orElse(List.of())) {
            if (item.subject() instanceof Subject.Word word) {
                on.workshop().repertoire().typeface(word.typeface()).ifPresent(face -> {
                    List<String> missing = Lettering.missing(word, face);
                    if (!missing.isEmpty()) {
                        found.add(
                                Finding.of(Code.MISSING_LETTERS, Facts.of("face", face.title()).and("letters", String.join(" ", missing))));
                    }
                });
            }
            if (on.plan().design().flatMap(d -> d.item(item.id())).isEmpty()) {
                found.add(missing(item, on));
            }
        }
        return found;
    }

    private static Finding missing(Item item, Bench on) {
        if (item.subject() instanceof Subject.Dots || item.subject() instanceof Subject.Guide) {
            return Finding.of(Code.NO_ROOM, Facts.of("dots", item.subject() instanceof Subject.Dots));
        }
        if (item.subject() instanceof Subject.Word word && word.setting().path() == LetterSetting.Path.RIM) {
            Optional<Placement> fit = Designs.fit(item, on.workshop().repertoire(), on.bed());
            return fit
                    .map(at -> Finding.of(Code.WORDS_TOO_LONG, Facts.of("lettersMm", at.scale()),
                            Remedy.of(Cure.FIT_TO_RIM, p -> Bench.with(p, item, i -> i.withPlacement(at)))))
                    .orElse(Finding.of(Code.WORDS_TOO_LONG, Facts.none()));
        }
        return Finding.of(Code.NOT_IN_REPERTOIRE, Facts.none());
    }
}
