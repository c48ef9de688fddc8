package homalon.core.valves;

import homalon.core.input.BadInputException;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;

/** What a valve's seat looks like, each said by a digit, so that a keypad alone does. */
public enum Look {
    GOOD('1', "good", false, false),
    PITTED('2', "pitted", true, false),
    BURNT('3', "burnt", true, true),
    CRACKED('4', "cracked", true, true),
    LOOSE('5', "loose insert", true, true),
    DROPPED('6', "insert dropped", true, true),
    RIM('7', "contact near the rim", false, false),
    MIDDLE('8', "contact in the middle", false, false),
    LOW('9', "contact low", false, false);

    private final char digit;
    private final String words;
    private final boolean bad;
    private final boolean insert;

    Look(char digit, String words, boolean bad, boolean insert) {
        this.digit = digit;
        this.words = words;
        this.bad = bad;
        this.insert = insert;
    }

    public char digit() {
        return digit;
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

    /** @throws BadInputException naming the digits there are */
    public static Set<Look> read(String typed) {
        Set<Look> said = EnumSet.noneOf(Look.class);
        for (char c : typed.replace(" ", "").toCharArray()) {
            Look look = Arrays.stream(values())
                    .filter(l -> l.digit == c)
                    .findFirst()
                    .orElseThrow(() -> new BadInputException("typed", digits() + "."));
            said.add(look);
        }
        if (said.isEmpty()) {
            throw new BadInputException("typed", digits() + ".");
        }
        boolean alsoBad = said.stream().anyMatch(Look::bad);
        if (said.contains(GOOD) && alsoBad) {
            throw new BadInputException("typed", "Good, or what is wrong with it; not both.");
        }
        return said;
    }

    private static String digits() {
        return Arrays.stream(values()).map(l -> l.digit + " " + l.words).collect(Collectors.joining(", ", "Key ", ""));
    }
}
