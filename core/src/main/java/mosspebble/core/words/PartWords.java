package mosspebble.core.words;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosspebble.core.blend.Share;
import mosspebble.core.plan.What;
import mosspebble.core.sketch.PartName;
import mosspebble.core.units.Words;

/** What is painted by its names: one part, both of a pair, all of a row, a word; and the shares of a blend. */
public final class PartWords {

    /** A name that is one of a count, such as "band 3". */
    private static final Pattern NUMBERED = Pattern.compile("\\p{L}+ \\d+");

    private PartWords() {}

    /** A part by its name, with its article where it takes one: "the belly", but "band 3". */
    static String the(String part) {
        return NUMBERED.matcher(part).matches() ? part : "the " + part;
    }

    static String shortened(List<What> all) {
        List<String> names = names(all);
        return names.size() <= 3 ? Words.list(names)
                : names.get(0) + ", " + names.get(1) + " and " + Words.number(names.size() - 2) + " more";
    }

    /** What a pass is laid on, each once: what comes in pairs or in a row under one name. */
    static List<String> names(List<What> all) {
        if (all.stream().allMatch(w -> w.share().kind() == Share.Kind.BASE)) {
            return List.of("the base under " + Words.list(names(all.stream().map(What::whole).toList())));
        }
        Share first = all.isEmpty() ? Share.WHOLE : all.get(0).share();
        boolean letter = all.size() >= FEW_LETTERS && all.stream().allMatch(w -> isLetter(w.whole()) && w.on().isEmpty());
        if ((letter && !first.equals(Share.WHOLE) || MEDIA.contains(first.kind())) && all.stream().allMatch(w -> w.share().equals(first))) {
            return List.of(share(first, Words.list(names(all.stream().map(What::whole).toList()))));
        }
        List<What> left = new ArrayList<>(all);
        List<String> names = new ArrayList<>();
        for (String with : BESIDE_LETTERS) {
            List<What> letters = left.stream().filter(w -> isLetter(w) && PartName.of(w.part()).with().equals(with)).toList();
            if (letters.size() >= FEW_LETTERS) {
                names.add((with.isEmpty() ? "" : "the " + with + " ") + words(letters));
                left.removeAll(letters);
            }
        }
        names.addAll(rows(left));
        return names;
    }

    /** A letter may have its shade and its light. */
    private static final List<String> BESIDE_LETTERS = List.of("", "shade of", "light in");

    /** What lies on several things alike is named once, before all of them. */
    private static final Set<Share.Kind> MEDIA = EnumSet.of(Share.Kind.CRACKLE, Share.Kind.CRACKED, Share.Kind.SIZE, Share.Kind.LEAF,
            Share.Kind.GLAZE, Share.Kind.STREAKS, Share.Kind.FOAM, Share.Kind.DABS, Share.Kind.FACETS, Share.Kind.STROKES);

    /** Fewer letters are named one by one. */
    private static final int FEW_LETTERS = 4;

    private static boolean isLetter(What what) {
        return what.of() == What.Of.PART && what.share().kind() == Share.Kind.WHOLE && what.on().isEmpty()
                && PartName.of(what.part()).letterOf().isPresent();
    }

    /** "the word LANTERN", "the words LANTERN and WALK", or so many letters of them. */
    private static String words(List<What> letters) {
        List<String> words = letters.stream().flatMap(l -> PartName.of(l.part()).letterOf().stream()).filter(w -> !w.isEmpty()).distinct()
                .toList();
        int all = words.stream().mapToInt(w -> w.replace(" ", "").length()).sum();
        if (words.isEmpty()) {
            return "the " + Words.number(letters.size()) + " letters";
        }
        return all != letters.size() ? "the " + Words.number(letters.size()) + " letters of " + Words.list(words)
                : (words.size() == 1 && !words.get(0).contains(" ") ? "the word " : "the words ") + Words.list(words);
    }

    static List<String> rows(List<What> all) {
        Map<String, List<What>> rows = new LinkedHashMap<>();
        for (What what : all) {
            String row = what.row().title().isEmpty() ? stem(what.part()) : what.row().title();
            boolean grouped = !what.part().isEmpty() && what.on().isEmpty();
            rows.computeIfAbsent(grouped ? what.of() + " " + row + " " + what.share() : name(what), k -> new ArrayList<>()).add(what);
        }
        return rows.values().stream().map(PartWords::row).distinct().toList();
    }

    /** What is done to the parts of one row, which may belong to several things. */
    private static String row(List<What> row) {
        What first = row.get(0);
        int count = (int) row.stream().map(w -> w.row().thing() + " " + w.part()).distinct().count();
        if (first.part().isEmpty() || !first.on().isEmpty() || count == 1 && first.row().size() == 1) {
            return name(first);
        }
        String of = switch (first.of()) {
            case SHADE_SIDE -> "the shade side of ";
            case SHADE_INSIDE -> "the shade inside ";
            case LIGHT_SIDE -> "the light side of ";
            default -> "";
        };
        return share(first.share(), of + (count == 1 ? one(first) : many(row, count)));
    }

    /** One part of a row. */
    private static String one(What what) {
        String stem = stem(what.part());
        String all = Words.number(what.row().size());
        return what.row().title().isEmpty()
                ? stem.equals(what.part()) ? "one of the " + all + " " + Words.plural(stem) : the(what.part())
                : hasOwnName(what) ? the(what.part()) : "one of the " + what.row().title();
    }

    /** Whether a part of a row is called by more than its row: "large spot" of the spots. */
    private static boolean hasOwnName(What what) {
        int last = what.part().lastIndexOf(' ');
        return last > 0 && Words.plural(what.part().substring(last + 1)).equals(what.row().title());
    }

    /** Parts of parts: "tufts of row", "light half of the leaf". */
    private static final Pattern PART_OF = Pattern.compile("(.+?) (of|on) (the )?(.+)");

    private static String stem(String part) {
        return PartName.of(part).stem();
    }

    /** The numbers of the parts of a row, rising; fewer where some have none. */
    private static List<Integer> numbers(List<What> row, String stem) {
        return row.stream().map(What::part).distinct().filter(p -> p.startsWith(stem + " ")).map(p -> p.substring(stem.length() + 1))
                .filter(n -> n.matches("\\d{1,4}")).map(Integer::parseInt).sorted().toList();
    }

    private static String many(List<What> row, int count) {
        What.Row whole = row.get(0).row();
        String stem = stem(row.get(0).part());
        boolean all = count == whole.size();
        boolean pair = count == 2 && whole.size() <= 2
                && row.stream().map(w -> PartName.of(w.part()).side()).flatMap(Optional::stream).distinct().count() == 2;
        if (pair) {
            Matcher inside = PART_OF.matcher(stem);
            return inside.matches() && inside.group(3) != null
                    ? "the " + Words.plural(inside.group(1)) + " " + inside.group(2) + " both " + Words.plural(inside.group(4))
                    : "both " + Words.plural(stem);
        }
        String number = Words.number(count);
        Matcher of = PART_OF.matcher(stem);
        if (of.matches()) {
            boolean numbered = !stem.equals(row.get(0).part());
            if (!whole.title().isEmpty()) {
                return (all ? "all " : "some of the ") + whole.title();
            }
            if (!numbered && of.group(3) == null) {
                return "the " + stem + ", " + number + " times";
            }
            String head = of.group(2).equals("on") ? Words.plural(of.group(1)) : of.group(1);
            return "the " + head + " " + of.group(2) + " " + (all && count > 2 ? "all " : "") + number + " " + Words.plural(of.group(4));
        }
        String title = whole.title().isEmpty() ? Words.plural(stem) : whole.title();
        if (count < whole.size() && whole.title().isEmpty()) {
            List<Integer> numbers = numbers(row, stem);
            if (numbers.size() == count && numbers.get(count - 1) - numbers.get(0) == count - 1) {
                return title + " " + numbers.get(0) + (count == 2 ? " and " : " to ") + numbers.get(count - 1);
            }
        }
        List<Integer> apart = all && count == 2 ? numbers(row, stem) : List.of();
        if (apart.size() == 2 && apart.get(1) > apart.get(0) + 1) { // what is numbered between them is of another sort
            return title + " " + apart.get(0) + " and " + apart.get(1);
        }
        return all ? (count > 2 ? "all " : "the ") + number + " " + title
                : whole.size() == 1 ? "the " + number + " " + title : number + " of the " + title;
    }

    /** What something is called, with its article. */
    public static String name(What what) {
        String whole = switch (what.of()) {
            case PART -> the(what.part());
            case GROUND -> "the ground";
            case HALO -> "the halo round the subject";
            case SHADE_SIDE -> "the shade side of " + the(what.part());
            case SHADE_INSIDE -> "the shade inside " + the(what.part());
            case LIGHT_SIDE -> "the light side of " + the(what.part());
            case OUTLINES -> "the outlines";
            case INNER_LINES -> "the inner lines";
            case WHOLE_PICTURE -> "the whole picture";
            case BRIGHT_AREAS -> "the bright areas";
            case EDGE -> "the edge";
            case EDGE_BAND -> "the band round the edge";
            case OLD_PAINT -> "the old paint";
        };
        String share = share(what.share(), whole);
        return what.on().isEmpty() ? share : share + " where it lies on " + shortened(what.on());
    }

    /** A share of something by what the whole is called. */
    private static String share(Share share, String whole) {
        return switch (share.kind()) {
            case WHOLE, THIN_WASH -> whole;
            case FIRST_PART -> "the first part of " + whole;
            case SECOND_PART -> "the second part of " + whole;
            case DARK_BEHIND -> "the dark behind the subject";
            case BAND -> ordinal(share) + " part of " + whole;
            case MIXED_STEP -> "a mixed step of " + whole;
            case STREAKS -> "streaks over " + whole;
            case FOAM -> "foam on " + whole;
            case DABS -> (share.of() > 1 ? ordinal(share) + " " : "") + "sponge dabs on " + whole;
            case FACETS -> "facets on " + whole;
            case ARM -> ordinal(share) + " arm of " + whole;
            case RUN -> ordinal(share) + " colour of " + whole;
            case STROKES -> "strokes over " + whole;
            case WHITE_IN_LOAD -> whole + ", first with white in the load";
            case TIP_COLOUR -> "the tip colour of " + whole;
            case INNER_COLOUR -> "the " + (share.number() == 1 ? "next" : "foot") + " colour of " + whole;
            case GLAZE -> (share.of() > 1 ? ordinal(share) + " glaze on " : "the glaze on ") + whole;
            case DROPPED_WASH -> "the wash in " + whole;
            case CRACKLE -> "crackle medium on " + whole;
            case CRACKED -> "the coat that cracks on " + whole;
            case BASE -> "the base under " + whole;
            case GEL -> "gel on " + whole;
            case POWDER -> "powder on " + whole;
            case SIZE -> "size on " + whole;
            case LEAF -> "leaf on " + whole;
            case GLUE -> "glue on " + whole;
            case GEM -> "gems on " + whole;
            case PASTE -> whole;
            case ISOLATED -> whole;
        };
    }

    private static String ordinal(Share share) {
        return switch (share.number()) {
            case 1 -> "the first";
            case 2 -> "the second";
            case 3 -> "the third";
            default -> "the fourth";
        };
    }
}
