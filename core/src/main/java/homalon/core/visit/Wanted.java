package homalon.core.visit;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.NotALengthException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.Month;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What somebody looks for among castings, as it was typed: letters that stand in its tag, stamps, casting number, engine or
 * customer; a bore with its unit; a year, a month or a day on which it came or left; where it is now. All of it must fit; a year and
 * a word of state may be part of a name as well, so that either will do.
 *
 * @param terms in the order they were typed; empty for every casting
 */
public record Wanted(List<Term> terms) {
    /** More words than that narrow nothing. */
    private static final int MOST = 8;

    /** A bore that was typed is as near to what was measured as a ruler is. */
    private static final Length BORE_EITHER_WAY = Length.ofMm("0.5");

    private static final Pattern SIZE = Pattern.compile(
            "(?:bore\\s+)?(\\d{1,4}(?:[.,]\\d{1,4})?)\\s*(mm|in|inch|\")(?=\\s|$)|bore\\s+(\\d{1,4}(?:[.,]\\d{1,4})?)");
    private static final Pattern DAY = Pattern.compile("((?:19|20)\\d\\d)(?:-(\\d\\d)(?:-(\\d\\d))?)?");
    private static final Pattern MONTH = Pattern.compile("\\b([a-z]{3,9})\\.?\\s+((?:19|20)\\d\\d)\\b");
    private static final Pattern STATE = Pattern.compile("in the shop|handed over|waits? on \\w+");

    public Wanted {
        terms = List.copyOf(terms);
    }

    /** Where a casting is. */
    public enum State {
        HERE(Pattern.compile("here|in the shop")),
        WAITING(Pattern.compile("wait(s|ing)?|stuck|waits? on \\w+")),
        LATE(Pattern.compile("late|overdue")),
        GONE(Pattern.compile("gone|left|handed over"));

        private final Pattern words;

        State(Pattern words) {
            this.words = words;
        }
    }

    /**
     * One thing that must fit.
     *
     * @param word letters that stand in its words; empty for what can only be a bore or a day
     * @param bore from and to
     * @param days the first and the last on which it came or left
     * @param state where it is
     */
    public record Term(
            String word, Optional<Between<Length>> bore, Optional<Between<LocalDate>> days, Optional<State> state) {
        static Term word(String word) {
            return new Term(word, Optional.empty(), Optional.empty(), Optional.empty());
        }

        static Term bore(Length bore) {
            return new Term(
                    "",
                    Optional.of(new Between<>(bore.minus(BORE_EITHER_WAY), bore.plus(BORE_EITHER_WAY))),
                    Optional.empty(),
                    Optional.empty());
        }

        static Term days(String word, LocalDate from, LocalDate to) {
            return new Term(word, Optional.empty(), Optional.of(new Between<>(from, to)), Optional.empty());
        }

        static Term state(String word, State state) {
            return new Term(word, Optional.empty(), Optional.empty(), Optional.of(state));
        }

        /** Whether letters alone decide. */
        public boolean plain() {
            return bore.isEmpty() && days.isEmpty() && state.isEmpty();
        }
    }

    /** From and to, both of them within. */
    public record Between<T>(T from, T to) {}

    /**
     * @param typed as it stands in the field
     * @param unit in which a bore without a unit is meant
     */
    public static Wanted read(String typed, BenchUnit unit) {
        String rest = typed.strip().toLowerCase(Locale.ROOT);
        List<Term> terms = new ArrayList<>();
        rest = taken(SIZE.matcher(rest), rest, m -> size(m, unit), terms);
        rest = taken(MONTH.matcher(rest), rest, Wanted::month, terms);
        rest = taken(STATE.matcher(rest), rest, m -> state(m.group()), terms);
        for (String word : rest.split("\\s+")) {
            if (!word.isEmpty()) {
                terms.add(day(word).or(() -> state(word)).orElse(Term.word(word)));
            }
        }
        return new Wanted(terms.subList(0, Math.min(MOST, terms.size())));
    }

    private interface Reader {
        Optional<Term> of(Matcher m);
    }

    /** What is left once all that could be read was taken out. */
    private static String taken(Matcher m, String text, Reader reader, List<Term> terms) {
        StringBuilder left = new StringBuilder();
        int at = 0;
        while (m.find()) {
            Optional<Term> term = reader.of(m);
            if (term.isPresent()) {
                terms.add(term.get());
                left.append(text, at, m.start()).append(' ');
                at = m.end();
            }
        }
        return left.append(text.substring(at)).toString();
    }

    private static Optional<Term> size(Matcher m, BenchUnit unit) {
        String number = (m.group(1) == null ? m.group(3) : m.group(1)).replace(',', '.');
        String suffix = m.group(2) == null ? "" : m.group(2).equals("mm") ? " mm" : " in";
        try {
            return Optional.of(Term.bore(Length.parseSize(number + suffix, unit)));
        } catch (NotALengthException e) {
            return Optional.empty();
        }
    }

    private static Optional<Term> month(Matcher m) {
        return Arrays.stream(Month.values())
                .filter(month -> month.name().toLowerCase(Locale.ROOT).startsWith(m.group(1)))
                .findFirst()
                .map(month -> YearMonth.of(Integer.parseInt(m.group(2)), month))
                .map(month -> Term.days("", month.atDay(1), month.atEndOfMonth()));
    }

    private static Optional<Term> day(String word) {
        Matcher m = DAY.matcher(word);
        if (!m.matches()) {
            return Optional.empty();
        }
        int year = Integer.parseInt(m.group(1));
        try {
            if (m.group(2) == null) {
                return Optional.of(Term.days(word, LocalDate.of(year, 1, 1), LocalDate.of(year, 12, 31)));
            }
            YearMonth month = YearMonth.of(year, Integer.parseInt(m.group(2)));
            if (m.group(3) == null) {
                return Optional.of(Term.days(word, month.atDay(1), month.atEndOfMonth()));
            }
            LocalDate day = month.atDay(Integer.parseInt(m.group(3)));
            return Optional.of(Term.days(word, day, day));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private static Optional<Term> state(String word) {
        return Arrays.stream(State.values())
                .filter(s -> s.words.matcher(word).matches())
                .findFirst()
                .map(s -> Term.state(word, s));
    }
}
