package mosspebble.core.units;

import java.util.Locale;

/**
 * Reads and writes lengths the way people write them at the bench: {@code 92mm}, {@code 9.2 cm}, {@code 3 3/4 in},
 * {@code 3-3/4"}, {@code 9,2 cm}, and simple arithmetic such as {@code 100 - 2*4 mm}. A number without a unit takes the bare unit; within
 * a sum a number without a unit takes the last unit written in it.
 */
public final class LengthText {

    private static final int LONGEST = 60;

    private final String text;
    private int at;

    private LengthText(String text) {
        this.text = text;
    }

    /**
     * @param text what was typed, up to 60 characters
     * @param bare the unit of a number that has none
     * @throws UnitTextException saying what was found, where and what would be understood
     */
    public static Millimetres parse(String text, LengthUnit bare) throws UnitTextException {
        String trimmed = text.strip();
        if (trimmed.isEmpty()) {
            throw new UnitTextException("Nothing was typed. Write a length such as " + example(bare) + ".", 0);
        }
        if (trimmed.length() > LONGEST) {
            throw new UnitTextException("That is too long for one length. Write something like " + example(bare) + ".", LONGEST);
        }
        String normal = trimmed.toLowerCase(Locale.ROOT).replace('\u2033', '"').replace('\u2212', '-').replace('×', '*');
        return new Millimetres(new LengthText(normal).whole(bare));
    }

    private double whole(LengthUnit bare) throws UnitTextException {
        LengthUnit unit = lastUnit(bare);
        double value = sum(unit);
        skipSpace();
        if (at < text.length()) {
            throw unexpected(unit);
        }
        if (!Double.isFinite(value)) {
            throw new UnitTextException("That does not come out as a number. Write something like " + example(unit) + ".", 0);
        }
        return value;
    }

    /** The last unit in the text speaks for all numbers that have none: {@code 3 + 1/2 in}. */
    private LengthUnit lastUnit(LengthUnit bare) {
        LengthUnit found = bare;
        int best = -1;
        for (LengthUnit unit : LengthUnit.values()) {
            int where = Math.max(text.lastIndexOf(unit.symbol()), unit == LengthUnit.INCH ? text.lastIndexOf('"') : -1);
            if (where > best) {
                best = where;
                found = unit;
            }
        }
        return found;
    }

    private double sum(LengthUnit unit) throws UnitTextException {
        double value = product(unit);
        for (skipSpace(); at < text.length() && (peek() == '+' || peek() == '-'); skipSpace()) {
            boolean plus = text.charAt(at++) == '+';
            double next = product(unit);
            value = plus ? value + next : value - next;
        }
        return value;
    }

    private double product(LengthUnit unit) throws UnitTextException {
        Term value = term(unit);
        for (skipSpace(); at < text.length() && (peek() == '*' || peek() == '/'); skipSpace()) {
            boolean times = text.charAt(at++) == '*';
            Term next = term(unit);
            if (times && value.isLength && next.isLength) {
                throw new UnitTextException("A length times a length is an area. Multiply by a plain number.", at);
            }
            if (!times && next.isLength) {
                throw new UnitTextException("Divide by a plain number, not by a length.", at);
            }
            value = new Term(times ? value.number * next.number : value.number / next.number, value.isLength || next.isLength);
        }
        return value.isLength ? value.number : value.number * unit.millimetres();
    }

    private record Term(double number, boolean isLength) {}

    private Term term(LengthUnit unit) throws UnitTextException {
        skipSpace();
        if (at < text.length() && peek() == '(') {
            at++;
            double inner = sum(unit);
            skipSpace();
            if (at >= text.length() || peek() != ')') {
                throw new UnitTextException("A bracket is open. Close it with ).", at);
            }
            at++;
            return new Term(inner, true);
        }
        boolean negative = at < text.length() && peek() == '-';
        if (negative) {
            at++;
            skipSpace();
        }
        double number = mixedNumber(unit);
        skipSpace();
        LengthUnit written = unitHere();
        double signed = negative ? -number : number;
        return written == null ? new Term(signed, false) : new Term(signed * written.millimetres(), true);
    }

    /** A decimal, a fraction {@code 3/4} or a whole and a fraction {@code 3 3/4}. */
    private double mixedNumber(LengthUnit unit) throws UnitTextException {
        double whole = decimal(unit);
        if (at + 1 < text.length() && peek() == '/' && Character.isDigit(text.charAt(at + 1))) {
            at++;
            return whole / decimal(unit);
        }
        int mark = at;
        skipSpace();
        if (at < text.length() && (peek() == '-' || Character.isDigit(peek()))) {
            if (peek() == '-' && at == mark) { // 3-3/4; with a space before the dash it is a difference
                at++;
            }
            if (at < text.length() && Character.isDigit(peek())) {
                double top = decimal(unit);
                if (at < text.length() && peek() == '/') {
                    at++;
                    return whole + top / decimal(unit);
                }
            }
        }
        at = mark;
        return whole;
    }

    private double decimal(LengthUnit unit) throws UnitTextException {
        skipSpace();
        int start = at;
        while (at < text.length() && (Character.isDigit(peek()) || peek() == '.' || peek() == ',')) {
            at++;
        }
        if (start == at) {
            throw unexpected(unit);
        }
        try {
            return Numbers.parse(text.substring(start, at));
        } catch (NumberFormatException e) {
            throw new UnitTextException(
                    "\"" + text.substring(start, at) + "\" is not a number. Write something like " + example(unit) + ".", start);
        }
    }

    private LengthUnit unitHere() {
        if (at < text.length() && peek() == '"') {
            at++;
            return LengthUnit.INCH;
        }
        for (LengthUnit unit : LengthUnit.values()) {
            if (text.startsWith(unit.symbol(), at)) {
                at += unit.symbol().length();
                if (unit == LengthUnit.INCH && text.startsWith("ches", at)) {
                    at += 4;
                } else if (unit == LengthUnit.INCH && text.startsWith("ch", at)) {
                    at += 2;
                }
                return unit;
            }
        }
        return null;
    }

    private UnitTextException unexpected(LengthUnit unit) {
        String found = at < text.length() ? "\"" + text.substring(at) + "\" is not understood" : "Something is missing at the end";
        return new UnitTextException(found + ". Write a length such as " + example(unit) + ".", at);
    }

    private static String example(LengthUnit unit) {
        return switch (unit) {
            case MM -> "92 mm or 3 3/4 in";
            case CM -> "9.2 cm or 3 3/4 in";
            case INCH -> "3 3/4 in or 92 mm";
        };
    }

    private char peek() {
        return text.charAt(at);
    }

    private void skipSpace() {
        while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
            at++;
        }
    }

    /** The length in the given unit: "96", "9.6", and inches to the nearest sixteenth as "3 3/4". */
    public static String number(Millimetres length, LengthUnit unit) {
        return switch (unit) {
            case MM -> Numbers.text(length.value(), 1);
            case CM -> Numbers.text(length.value() / 10, 2);
            case INCH -> sixteenths(length.inInches());
        };
    }

    /** The length with its unit: "96 mm", "3 3/4 in". */
    public static String format(Millimetres length, LengthUnit unit) {
        return number(length, unit) + " " + unit.symbol();
    }

    private static String sixteenths(double inches) {
        long parts = Math.round(Math.abs(inches) * 16);
        String sign = inches < 0 && parts > 0 ? "-" : "";
        long whole = parts / 16;
        long top = parts % 16;
        if (top == 0) {
            return sign + whole;
        }
        long bottom = 16;
        while (top % 2 == 0) {
            top /= 2;
            bottom /= 2;
        }
        return sign + (whole == 0 ? "" : whole + " ") + top + "/" + bottom;
    }
}
