package homalon.core.valves;

import homalon.core.input.BadInputException;
import homalon.core.words.Message;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;

/** What a valve's seat looks like, each said by a digit, so that a keypad alone does. */
public enum Look {
    GOOD('1', false, false),
    PITTED('2', true, false),
    BURNT('3', true, true),
    CRACKED('4', true, true),
    LOOSE('5', true, true),
    DROPPED('6', true, true),
    RIM('7', false, false),
    MIDDLE('8', false, false),
    LOW('9', false, false);

    private final char digit;
    private final Message words = Message.of(this);
    private final boolean bad;
    private final boolean insert;

    Look(char digit, boolean bad, boolean insert) {
        this.digit = digit;
        this.bad = bad;
        this.insert = insert;
    }

    public char digit() {
        return digit;
    }

    public Message words() {
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
                    .orElseThrow(() -> new BadInputException("typed", "text.stop", digits()));
            said.add(look);
        }
        if (said.isEmpty()) {
            throw new BadInputException("typed", "text.stop", digits());
        }
        boolean alsoBad = said.stream().anyMatch(Look::bad);
        if (said.contains(GOOD) && alsoBad) {
            throw new BadInputException("typed", "valves.good-or-what-is-wrong-with-it-not-both");
        }
        return said;
    }

    private static Message digits() {
        return Message.of(
                "valves.key",
                Arrays.stream(values())
                        .map(l -> Message.of("text.space", l.digit, l.words))
                        .collect(Message.joining("text.comma")));
    }
}
