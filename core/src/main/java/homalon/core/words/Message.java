package homalon.core.words;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collector;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a rule or a sum has to say, without the words: the code of a sentence and what stands in it. The sentences themselves are in
 * {@code homalon/words/*.properties}, one file for each room, in the patterns of {@link java.text.MessageFormat}; whoever shows a
 * message chooses the language and the unit.
 *
 * @param code of the sentence: the room, a dot, and its first words or the constant that it names
 * @param args in the order of the pattern's numbers: messages, {@link Mm}, {@link Mm2}, {@link Celsius}, {@link Kelvin}, {@link First}, and what is shown as it is
 */
public record Message(String code, List<Object> args) {
    /** Says nothing. */
    public static final Message NONE = new Message("", List.of());

    private static final String PLAIN = "text.plain";

    public Message {
        args = List.copyOf(args);
    }

    /** A computed length in millimetres, shown in the unit of the bench. */
    public record Mm(double value) {}

    /** An area in square millimetres, shown in the unit of the bench. */
    public record Mm2(double value) {}

    /** A temperature in degrees Celsius, shown in what the reader chose. */
    public record Celsius(double value) {}

    /** A difference of temperatures in kelvin. */
    public record Kelvin(double value) {}

    /** A message whose first letter is written large, or small, whatever its words are. */
    public record First(Message message, boolean large) {}

    /** At the beginning of a sentence. */
    public static Message capital(Message message) {
        return of(PLAIN, new First(message, true));
    }

    /** Within a sentence. */
    public static Message small(Message message) {
        return of(PLAIN, new First(message, false));
    }

    public static Message of(String code, Object... args) {
        return new Message(code, List.of(args));
    }

    /** The words of a constant, by the room and the names of the enumeration and of the constant itself. */
    public static Message of(Enum<?> constant) {
        return new Message(code(constant), List.of());
    }

    /**
     * Further words of a constant.
     *
     * @param what they tell of it
     */
    public static Message of(Enum<?> constant, String what) {
        return new Message(code(constant) + "." + what, List.of());
    }

    private static String code(Enum<?> constant) {
        String type = constant.getDeclaringClass().getName();
        String room = type.substring("homalon.core.".length()).replace('$', '.');
        return room + "." + constant.name();
    }

    /** What is no word of ours: a name that was keyed, a figure, a sign. */
    public static Message plain(String text) {
        return text.isEmpty() ? NONE : of(PLAIN, text);
    }

    /** The same with lengths after what stands in it already, millimetres. */
    public Message with(double... lengthsMm) {
        List<Object> all = new ArrayList<>(args);
        for (double mm : lengthsMm) {
            all.add(new Mm(mm));
        }
        return new Message(code, all);
    }

    /** The same with each of its own lengths changed. */
    public Message lengths(DoubleUnaryOperator change) {
        return new Message(
                code,
                args.stream()
                        .map(a -> a instanceof Mm mm ? new Mm(change.applyAsDouble(mm.value())) : a)
                        .toList());
    }

    /** One after the other with a comma between. */
    public static Message list(Collection<Message> messages) {
        return messages.stream().collect(joining("text.comma"));
    }

    /**
     * Those that say something, one after the other.
     *
     * @param between code of the pattern that puts one, {@code {0}}, before the other, {@code {1}}
     */
    public static Collector<Message, ?, Message> joining(String between) {
        return Collectors.filtering(
                m -> !m.isEmpty(),
                Collectors.reducing(NONE, (a, b) -> a.isEmpty() ? b : b.isEmpty() ? a : of(between, a, b)));
    }

    /** Those that say something, as sentences. */
    public static Message sentences(Message... messages) {
        return Stream.of(messages).collect(joining("text.space"));
    }

    public boolean isEmpty() {
        return code.isEmpty();
    }
}
