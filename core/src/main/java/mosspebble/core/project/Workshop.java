package mosspebble.core.project;

import java.util.List;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.sketch.Repertoire;

/** What a plan needs besides the stone and what is decided for it: the paints, the motifs, the room, and what was tested. */
public record Workshop(Palette palette, Repertoire repertoire, Climate climate, Compatibility.Known known) {

    /** With nothing but tests besides the table of what goes over what. */
    public Workshop(Palette palette, Repertoire repertoire, Climate climate, List<SmearTest> tests) {
        this(palette, repertoire, climate, new Compatibility.Known(tests, List.of()));
    }
}
