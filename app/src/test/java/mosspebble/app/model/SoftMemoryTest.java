package mosspebble.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class SoftMemoryTest {

    private final List<String> made = new ArrayList<>();

    private String make(String key) {
        made.add(key);
        return key.toUpperCase(java.util.Locale.ROOT);
    }

    private String ask(SoftMemory<String, String> memory, String key) {
        return memory.of(key, () -> make(key));
    }

    @Test
    void whatWasWorkedOutIsNotWorkedOutAgain() {
        SoftMemory<String, String> memory = new SoftMemory<>(3);
        String first = ask(memory, "owl");
        assertThat(ask(memory, "owl")).isSameAs(first).isEqualTo("OWL");
        assertThat(ask(memory, "snail")).isEqualTo("SNAIL");
        assertThat(made).containsExactly("owl", "snail");
    }

    @Test
    void theLongestUnusedIsGivenUp() {
        SoftMemory<String, String> memory = new SoftMemory<>(2);
        ask(memory, "owl");
        ask(memory, "snail");
        ask(memory, "owl");
        ask(memory, "moon");
        ask(memory, "owl");
        assertThat(made).as("the owl was asked for since, so the snail went").containsExactly("owl", "snail", "moon");
        ask(memory, "snail");
        assertThat(made).containsExactly("owl", "snail", "moon", "snail");
    }

    /** As terrains, of which a close look at a large stone takes as much room as twenty small ones. */
    @Test
    void soManyAreKeptAsFitTogetherAndTheLastOneInAnyCase() {
        SoftMemory<String, String> memory = new SoftMemory<>(10, String::length);
        ask(memory, "owl");
        ask(memory, "snail");
        ask(memory, "ox");
        assertThat(made).as("3 + 5 + 2 fit").containsExactly("owl", "snail", "ox");
        ask(memory, "owl");
        ask(memory, "fox");
        ask(memory, "owl");
        ask(memory, "ox");
        assertThat(made).as("the snail alone made room for the fox").containsExactly("owl", "snail", "ox", "fox");
        ask(memory, "hippopotamus");
        ask(memory, "hippopotamus");
        assertThat(made).as("larger than all, and kept").endsWith("fox", "hippopotamus");
        ask(memory, "ox");
        assertThat(made).as("all others went for it, and it goes for the next").endsWith("hippopotamus", "ox");
        ask(memory, "hippopotamus");
        assertThat(made).endsWith("ox", "hippopotamus");
    }

    @Test
    void whatWasGivenUpHalfWayIsHandedBackAndNotKept() {
        SoftMemory<String, String> memory = new SoftMemory<>(2);
        assertThat(memory.of("owl", () -> make("owl"), whole -> false)).isEqualTo("OWL");
        assertThat(memory.of("owl", () -> make("owl"), whole -> true)).isEqualTo("OWL");
        ask(memory, "owl");
        assertThat(made).containsExactly("owl", "owl");
    }

    @Test
    void whatHasTheSameHashIsNotTakenForTheOther() {
        assertThat("Aa").as("as is well known").hasSameHashCodeAs("BB");
        SoftMemory<String, String> memory = new SoftMemory<>(5);
        assertThat(ask(memory, "Aa")).isEqualTo("AA");
        assertThat(ask(memory, "BB")).isEqualTo("BB");
        assertThat(ask(memory, "Aa")).isEqualTo("AA");
        assertThat(made).containsExactly("Aa", "BB", "Aa");
    }
}
