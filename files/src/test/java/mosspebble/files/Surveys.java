package mosspebble.files;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;

/** Stones as they were measured, each once for all tests of one process: many plan on the same few. */
final class Surveys {

    private static final Map<Stone, Survey> KNOWN = new ConcurrentHashMap<>();

    private Surveys() {}

    static Survey of(Stone stone) {
        return KNOWN.computeIfAbsent(stone, Survey::of);
    }
}
