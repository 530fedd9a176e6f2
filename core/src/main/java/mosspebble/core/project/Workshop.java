package mosspebble.core.project;

import java.util.List;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.sketch.Repertoire;

/** What a plan needs besides the stone and what is decided for it: the paints, the motifs, the room, and what was tested. */
public record Workshop(Palette palette, Repertoire repertoire, Climate climate, List<SmearTest> tests) {

    public Workshop {
        tests = List.copyOf(tests);
    }
}
