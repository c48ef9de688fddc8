package homalon.app.foundation.words;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.words.Message;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.context.support.ResourceBundleMessageSource;
import org.springframework.util.StringUtils;

/**
 * The words of what the core has to say, in the reader's language and unit. The one place where a sentence comes from: a file for
 * each room in {@code homalon/words}; another language is the same files with its sign behind their names.
 */
public final class Words {
    private static final LengthWriter MILLIMETRES = new LengthWriter(BenchUnit.MM);

    /** From here on a length is a size of the casting, mm. */
    private static final double SIZE = 5;

    /** Each has a file. */
    static final List<String> ROOMS = List.of(
            "route",
            "gauge",
            "surface",
            "face",
            "sure",
            "cut",
            "valves",
            "chambers",
            "seats",
            "guides",
            "integrity",
            "lines",
            "money",
            "part",
            "visit",
            "table",
            "rulebook",
            "ledger",
            "catalogue",
            "quantity",
            "hours",
            "bench",
            "text",
            "app");

    /** By room: a code is looked for in the file of its room alone. */
    private static final Map<String, MessageSource> SOURCES =
            ROOMS.stream().collect(Collectors.toUnmodifiableMap(room -> room, Words::source));

    private Words() {}

    private static MessageSource source(String room) {
        ResourceBundleMessageSource source = new ResourceBundleMessageSource();
        source.setBasename("homalon/words/" + room);
        // Not that of whichever thread asks first.
        source.setBundleClassLoader(Words.class.getClassLoader());
        source.setDefaultEncoding("UTF-8");
        source.setFallbackToSystemLocale(false);
        source.setAlwaysUseMessageFormat(true);
        return source;
    }

    /** Lengths in millimetres. */
    public static String of(Message message) {
        return of(message, MILLIMETRES);
    }

    /** Nothing for a message that says nothing. */
    public static String of(Message message, LengthWriter writer) {
        if (message.isEmpty()) {
            return "";
        }
        Object[] args = message.args().stream().map(a -> written(a, writer)).toArray();
        String room = message.code().substring(0, message.code().indexOf('.'));
        return SOURCES.get(room).getMessage(message.code(), args, LocaleContextHolder.getLocale());
    }

    public static List<String> of(Collection<Message> messages) {
        return messages.stream().map(Words::of).toList();
    }

    public static Optional<String> of(Optional<Message> message) {
        return message.map(Words::of);
    }

    private static String written(Object arg, LengthWriter writer) {
        if (arg instanceof Message message) {
            return of(message, writer);
        }
        if (arg instanceof Message.First first) {
            String words = of(first.message(), writer);
            return first.large() ? StringUtils.capitalize(words) : StringUtils.uncapitalize(words);
        }
        if (arg instanceof Message.Celsius heat) {
            return writer.temperature(heat.value());
        }
        if (arg instanceof Message.Kelvin apart) {
            return writer.apart(apart.value());
        }
        if (arg instanceof Message.Mm2 area) {
            return Quantity.AREA.full(area.value(), writer.unit());
        }
        if (arg instanceof LocalDate day) {
            return writer.days().day(day);
        }
        return arg instanceof Message.Mm mm ? written(mm.value(), writer) : String.valueOf(arg);
    }

    /** Sizes of a casting are written to a hundredth. */
    private static String written(double mm, LengthWriter writer) {
        return Math.abs(mm) >= SIZE ? writer.size(Length.roundedFromMm(Math.rint(mm * 100) / 100)) : writer.full(mm);
    }
}
