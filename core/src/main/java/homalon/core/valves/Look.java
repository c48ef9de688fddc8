package homalon.core.valves;

import homalon.core.input.BadInputException;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** What a valve's seat looks like, each said by a letter. */
public enum Look {
    GOOD('g', "good", false, false),
    PITTED('p', "pitted", true, false),
    BURNT('b', "burnt", true, true),
    CRACKED('c', "cracked", true, true),
    LOOSE('l', "loose insert", true, true),
    DROPPED('d', "insert dropped", true, true),
    RIM('r', "contact near the rim", false, false),
    MIDDLE('m', "contact in the middle", false, false),
    LOW('o', "contact low", false, false);

    private final char letter;
    private final String words;
    private final boolean bad;
    private final boolean insert;

    Look(char letter, String words, boolean bad, boolean insert) {
        this.letter = letter;
        this.words = words;
        this.bad = bad;
        this.insert = insert;
    }

    public char letter() {
        return letter;
    }

    public String words() {
        return words;
    }

    /** Asks for seat work. */
    public boolean bad() {
        return bad;
    }

    /** Past grinding: asks for an insert. */
    public boolean asksInsert() {
        return insert;
    }

    /** @throws BadInputException naming the letters there are */
    public static Set<Look> read(String letters) {
        Set<Look> said = EnumSet.noneOf(Look.class);
        for (char c : letters.toLowerCase(Locale.ROOT).replace(" ", "").toCharArray()) {
            Look look = Arrays.stream(values())
                    .filter(l -> l.letter == c)
                    .findFirst()
                    .orElseThrow(() -> new BadInputException("typed", letters() + "."));
            said.add(look);
        }
        if (said.isEmpty()) {
            throw new BadInputException("typed", letters() + ".");
        }
        boolean alsoBad = said.stream().anyMatch(Look::bad);
        if (said.contains(GOOD) && alsoBad) {
            throw new BadInputException("typed", "Good, or what is wrong with it; not both.");
        }
        return said;
    }

    private static String letters() {
        return Arrays.stream(values()).map(l -> l.letter + " " + l.words).collect(Collectors.joining(", ", "Key ", ""));
    }
}
