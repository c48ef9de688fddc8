package homalon.core.rulebook;

import homalon.core.input.MailAddress;
import homalon.core.input.Problems;
import homalon.core.quantity.DayForm;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What stands on a shop's papers beside its name, and what its tags are printed on.
 *
 * @param address lines of it, as they stand on a letter
 * @param label what tags are printed on
 * @param sheet what reports are printed on
 * @param days how days are written, on pages and papers
 */
public record ShopPaper(List<String> address, String phone, String mail, Label label, Sheet sheet, DayForm days) {
    public static final ShopPaper NONE = new ShopPaper(List.of(), "", "", Label.SHEET, Sheet.A4, DayForm.DAY_FIRST);

    private static final int LINES = 5;
    private static final int LETTERS = 60;

    /** What a tag is printed on. */
    public enum Label {
        /** A sheet of the printer's own size. */
        SHEET,
        /** Tape of 62 mm. */
        TAPE_62,
        /** Labels of 100 by 50 mm. */
        LABEL_100;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }

        public static Optional<Label> byName(String name) {
            return Arrays.stream(values()).filter(l -> l.name().equals(name)).findFirst();
        }
    }

    /** What a report is printed on. */
    public enum Sheet {
        /** 210 by 297 mm. */
        A4,
        /** 8.5 by 11 inches. */
        LETTER;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }

        public static Optional<Sheet> byName(String name) {
            return Arrays.stream(values()).filter(s -> s.name().equals(name)).findFirst();
        }
    }

    public ShopPaper {
        address = List.copyOf(address);
    }

    /**
     * As it is keyed.
     *
     * @param address one line under the other
     * @throws homalon.core.input.BadInputException for what fits on no letter
     */
    public static ShopPaper read(String address, String phone, String mail, String label, String sheet, String days) {
        List<String> lines =
                address.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
        Problems problems = new Problems();
        problems.require(
                lines.size() <= LINES && lines.stream().allMatch(l -> l.length() <= LETTERS),
                "address",
                "rulebook.an-address-has-so-many-lines",
                LINES,
                LETTERS);
        problems.require(
                phone.strip().length() <= LETTERS, "phone", "rulebook.a-phone-number-has-so-many-letters", LETTERS);
        problems.require(MailAddress.isOneOrBlank(mail), "mail", "rulebook.key-the-mail-address-with-its-at");
        problems.throwIfAny();
        return new ShopPaper(
                lines,
                phone.strip(),
                mail.strip(),
                Label.byName(label).orElse(Label.SHEET),
                Sheet.byName(sheet).orElse(Sheet.A4),
                DayForm.byName(days).orElse(DayForm.DAY_FIRST));
    }

    /** In one line under the shop's name; empty where nothing was keyed. */
    public String line() {
        List<String> all = new ArrayList<>(address);
        all.add(phone);
        all.add(mail);
        return all.stream().filter(s -> !s.isEmpty()).collect(Collectors.joining(" · "));
    }
}
