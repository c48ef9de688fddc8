package homalon.core.valves;

import homalon.core.gauge.Uncertain;
import homalon.core.valves.Aspect.Subject;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Collects what is found of one valve, each with its limit and the limit's source from the book. */
final class Aspects {
    private final ValveBook book;
    private final List<Aspect> all = new ArrayList<>();

    Aspects(ValveBook book) {
        this.book = book;
    }

    List<Aspect> all() {
        return List.copyOf(all);
    }

    private OptionalDouble limit(@Nullable BookItem item) {
        Optional<ValveBook.Entry> entry = Optional.ofNullable(item).flatMap(book::entry);
        return entry.isPresent() ? OptionalDouble.of(entry.get().value()) : OptionalDouble.empty();
    }

    /** What was seen or felt, and has no figure. */
    void seen(Subject subject, Verdict verdict, Message says) {
        all.add(new Aspect(
                subject,
                Optional.of(verdict),
                Optional.empty(),
                OptionalDouble.empty(),
                Message.NONE,
                says,
                false,
                Optional.empty()));
    }

    /**
     * @param verdict null where nothing says how it should be
     * @param limit null where there is none
     * @param working null where there is nothing to work out
     */
    void add(
            Subject subject,
            @Nullable Verdict verdict,
            double figure,
            @Nullable BookItem limit,
            Message says,
            @Nullable Working working) {
        add(subject, verdict, Uncertain.exact(figure), limit, says, working);
    }

    /** The same of a figure whose gauges leave something open. */
    void add(
            Subject subject,
            @Nullable Verdict verdict,
            Uncertain figure,
            @Nullable BookItem limit,
            Message says,
            @Nullable Working working) {
        all.add(new Aspect(
                subject,
                Optional.ofNullable(verdict),
                Optional.of(figure),
                limit(limit),
                limit == null ? Message.NONE : book.source(limit),
                says,
                false,
                Optional.ofNullable(working)));
    }

    /**
     * Nearer to its limit than its gauges can tell: neither within nor out.
     *
     * @param what how the figure is called
     */
    void near(Subject subject, Uncertain figure, BookItem limit, Message what, @Nullable Working working) {
        all.add(new Aspect(
                subject,
                Optional.of(Verdict.NOT_PROVEN),
                Optional.of(figure),
                limit(limit),
                book.source(limit),
                Message.of("valves.too-near-to-tell", what),
                true,
                Optional.ofNullable(working)));
    }
}
