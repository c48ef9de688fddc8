package homalon.core.words;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import java.text.MessageFormat;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleFunction;

/** The English of a message: tests of the rules look at what a machinist would read. */
public final class English {
    private static final Map<String, ResourceBundle> ROOMS = new ConcurrentHashMap<>();

    private English() {}

    /** Lengths in millimetres, to a thousandth. */
    public static String of(Message message) {
        return of(message, mm -> String.format(Locale.ROOT, "%.3f", mm));
    }

    /** With {@code {}} for each length. */
    public static String bare(Message message) {
        return of(message, mm -> "{}");
    }

    /** Those that stand in it, millimetres. */
    public static List<Double> lengths(Message message) {
        return message.args().stream()
                .filter(a -> a instanceof Message.Mm)
                .map(a -> ((Message.Mm) a).value())
                .toList();
    }

    private static String of(Message message, DoubleFunction<String> length) {
        return message.isEmpty()
                ? ""
                : new MessageFormat(pattern(message.code()), Locale.ROOT)
                        .format(message.args().stream()
                                .map(a -> written(a, length))
                                .toArray());
    }

    public static List<String> of(Collection<Message> messages) {
        return messages.stream().map(English::of).toList();
    }

    public static Optional<String> of(Optional<Message> message) {
        return message.map(English::of);
    }

    static String pattern(String code) {
        return ROOMS.computeIfAbsent(
                        code.substring(0, code.indexOf('.')),
                        r -> ResourceBundle.getBundle("homalon/words/" + r, Locale.ROOT))
                .getString(code);
    }

    private static String written(Object arg, DoubleFunction<String> length) {
        if (arg instanceof Message.First first) {
            String words = of(first.message(), length);
            String head = words.substring(0, 1);
            return (first.large() ? head.toUpperCase(Locale.ROOT) : head.toLowerCase(Locale.ROOT)) + words.substring(1);
        }
        return arg instanceof Message m
                ? of(m, length)
                : arg instanceof Message.Mm mm
                        ? length.apply(mm.value())
                        : arg instanceof Message.Celsius heat
                                ? new LengthWriter(BenchUnit.MM).temperature(heat.value())
                                : arg instanceof Message.Kelvin apart
                                        ? new LengthWriter(BenchUnit.MM).apart(apart.value())
                                        : arg instanceof Message.Mm2 area
                                                ? Quantity.AREA.full(area.value(), BenchUnit.MM)
                                                : String.valueOf(arg);
    }
}
