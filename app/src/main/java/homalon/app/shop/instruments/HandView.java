package homalon.app.shop.instruments;

import homalon.app.foundation.words.Words;
import homalon.core.gauge.InUse;
import homalon.core.quantity.LengthWriter;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What a step of a visit is measured with, as its page shows it.
 *
 * @param step as the page's address has it
 * @param words what is in hand
 * @param marks what is said of instruments that are not to be relied on
 * @param kinds that may be taken in hand
 */
public record HandView(String step, String words, List<String> marks, List<Kind> kinds) {

    /** Instruments of one kind, and the one in hand. */
    public record Kind(String kind, String label, List<Option> options, boolean none) {}

    /** @param selected whether it is in hand, or proposed where nothing was begun */
    public record Option(String code, String label, boolean selected) {}

    static HandView of(String step, List<InUse> instruments, List<Hands.Choice> choices, LengthWriter writer) {
        String words = instruments.isEmpty()
                ? "No instrument noted: what gauges may be off by is the shop's or the general value."
                : "Measured with " + called(instruments)
                        + "; of what is not noted the shop's or the general value stands.";
        return new HandView(step, words, marks(instruments, writer), kinds(choices, instruments));
    }

    /** Before it is begun: what was in hand last is proposed. */
    public static List<Kind> proposed(List<Hands.Choice> choices) {
        return choices.stream().map(c -> kind(c, c.proposed())).toList();
    }

    /** What may be taken, and of each kind the one in hand. */
    public static List<Kind> kinds(List<Hands.Choice> choices, List<InUse> instruments) {
        return choices.stream().map(c -> kind(c, now(c, instruments))).toList();
    }

    private static String now(Hands.Choice choice, List<InUse> instruments) {
        return instruments.stream()
                .filter(i -> i.kind() == choice.kind())
                .map(InUse::code)
                .reduce((a, b) -> b)
                .orElse("");
    }

    private static Kind kind(Hands.Choice choice, String selected) {
        List<Option> options = choice.instruments().stream()
                .map(k -> new Option(
                        k.instrument().code(),
                        k.called() + " · " + Words.of(k.standing().state().words()),
                        k.instrument().code().equals(selected)))
                .toList();
        return new Kind(
                choice.kind().name(),
                Words.of(choice.kind().words()),
                options,
                options.stream().noneMatch(Option::selected));
    }

    /** All of them, by code and name. */
    public static String called(List<InUse> instruments) {
        return instruments.stream().map(i -> i.code() + " " + i.name()).collect(Collectors.joining(", "));
    }

    /** What is said of instruments that were past due, never compared, or found out. */
    public static List<String> marks(List<InUse> instruments, LengthWriter writer) {
        return instruments.stream()
                .flatMap(i -> i.mark().stream())
                .map(m -> Words.of(m, writer))
                .toList();
    }
}
