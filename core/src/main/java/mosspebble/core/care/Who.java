package mosspebble.core.care;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;

/**
 * Which products a rule is about: all that fit every one of its terms. As text the terms are joined by "&", each a field and what it must
 * be, or must not: {@code binder=acrylic & not use=medium}.
 *
 * @param terms 1 to {@link #MOST}
 */
public record Who(List<Term> terms) {

    /** Most terms of one. */
    public static final int MOST = 6;

    private static final Map<String, PaintKind.Use> USES = Arrays.stream(PaintKind.Use.values())
            .collect(Collectors.toMap(Who::name, use -> use));
    private static final Map<String, Binder> BINDERS = Arrays.stream(Binder.values())
            .collect(Collectors.toMap(binder -> binder.label().toLowerCase(Locale.ROOT), binder -> binder));

    /** What a term looks at. */
    public enum Field { PAINT, KIND, BINDER, FINISH, USE }

    /**
     * One thing a product must be, or must not be.
     *
     * @param value in small letters: the id of a paint, the label of a kind, binder or finish, or what it can be used for
     */
    public record Term(Field field, String value, boolean not) {

        boolean fits(Paint paint) {
            return not != switch (field) {
                case PAINT -> paint.id().equals(value);
                case KIND -> paint.kind().label().equals(value);
                case BINDER -> paint.binder() == BINDERS.get(value);
                case FINISH -> paint.finish().label().equals(value);
                case USE -> USES.containsKey(value) && paint.kind().does(USES.get(value));
            };
        }

        @Override
        public String toString() {
            return (not ? "not " : "") + field.name().toLowerCase(Locale.ROOT) + "=" + value;
        }
    }

    public Who {
        terms = List.copyOf(terms);
        if (terms.isEmpty() || terms.size() > MOST) {
            throw new IllegalArgumentException("a rule names one to " + MOST + " things that a product must be");
        }
    }

    /**
     * Reads a text.
     *
     * @throws IllegalArgumentException saying what is not understood and what may stand there
     */
    public static Who parse(String text) {
        return new Who(Arrays.stream(text.strip().toLowerCase(Locale.ROOT).split("\\s*&\\s*")).limit(MOST + 1L).map(Who::term).toList());
    }

    private static Term term(String text) {
        boolean not = text.startsWith("not ");
        String rest = (not ? text.substring(4) : text).strip();
        int equals = rest.indexOf('=');
        String name = (equals < 0 ? rest : rest.substring(0, equals)).strip();
        Field field = Arrays.stream(Field.values()).filter(f -> f.name().toLowerCase(Locale.ROOT).equals(name)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("\"" + name + "\" is none of " + names(Field.values())));
        String value = equals < 0 ? "" : rest.substring(equals + 1).strip();
        List<String> known = known(field);
        if (value.isEmpty() || value.length() > Paint.LONGEST || !known.isEmpty() && !known.contains(value)) {
            throw new IllegalArgumentException("\"" + value + "\" is no " + name
                    + (known.isEmpty() ? " of at most " + Paint.LONGEST + " letters" : ": " + String.join(", ", known)));
        }
        return new Term(field, value, not);
    }

    private static List<String> known(Field field) {
        return switch (field) {
            case PAINT -> List.of();
            case KIND -> Arrays.stream(PaintKind.values()).map(PaintKind::label).toList();
            case BINDER -> Arrays.stream(Binder.values()).map(Binder::label).map(l -> l.toLowerCase(Locale.ROOT)).toList();
            case FINISH -> Arrays.stream(Finish.values()).map(Finish::label).toList();
            case USE -> Arrays.stream(PaintKind.Use.values()).map(Who::name).toList();
        };
    }

    private static String names(Enum<?>[] all) {
        return Arrays.stream(all).map(Who::name).collect(Collectors.joining(", "));
    }

    private static String name(Enum<?> one) {
        return one.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** Whether a product is meant. */
    public boolean fits(Paint paint) {
        return terms.stream().allMatch(t -> t.fits(paint));
    }

    /** As text, which {@link #parse} reads. */
    @Override
    public String toString() {
        return terms.stream().map(Term::toString).collect(Collectors.joining(" & "));
    }
}
