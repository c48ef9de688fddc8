package homalon.app.casting.agreed;

import homalon.app.casting.part.PartVisits;
import homalon.core.input.BadInputException;
import homalon.core.visit.Owed;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was agreed with customers. Nothing of it is changed later: another day is said anew, what was owed comes. */
@Service
@Transactional
@RequiredArgsConstructor
public class AgreedBook {
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST = 200;
    private static final int YEARS = 2;

    private final PromiseRepository promises;
    private final OwedRepository owed;
    private final CallRepository calls;
    private final ChoiceBook choices;
    private final PartVisits visits;
    private final Clock clock;

    /**
     * A day as it was said.
     *
     * @param told to whom; may be empty
     * @param usual the day by which it was ready in 80 of 100 draws, as it was said
     */
    public record Day(LocalDate day, String told, Optional<LocalDate> usual) {}

    public record Promise(UUID visit, Day said, UUID by, Instant at) {}

    /**
     * What is wanting.
     *
     * @param expected the day on which the customer said it comes
     */
    public record Wanting(Owed what, String words, Optional<LocalDate> expected) {}

    /** @param come when it did; empty while it is owed */
    public record Owing(UUID id, UUID visit, Wanting wanting, LocalDate since, UUID by, Optional<Instant> come) {
        public boolean open() {
            return come.isEmpty();
        }
    }

    /** @param again the day on which to ring again */
    public record Call(UUID visit, String said, Optional<LocalDate> again, UUID by, Instant at) {}

    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    }

    /** By visit, those without left out; the first said first. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Promise>> promises(Collection<UUID> of) {
        return by(
                of.isEmpty()
                        ? Stream.of()
                        : promises.findByVisitInOrderByAtAscIdAsc(of).stream().map(PromiseRow::told),
                Promise::visit);
    }

    /** By visit, with what has come. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Owing>> owed(Collection<UUID> of) {
        return by(
                of.isEmpty()
                        ? Stream.of()
                        : owed.findByVisitInOrderBySinceAscIdAsc(of).stream().map(OwedRow::told),
                Owing::visit);
    }

    @Transactional(readOnly = true)
    public Map<UUID, List<Call>> calls(Collection<UUID> of) {
        return by(
                of.isEmpty()
                        ? Stream.of()
                        : calls.findByVisitInOrderByAtAscIdAsc(of).stream().map(CallRow::told),
                Call::visit);
    }

    private static <T> Map<UUID, List<T>> by(Stream<T> all, Function<T, UUID> visit) {
        return all.collect(Collectors.groupingBy(visit));
    }

    /** Visits in the shop for which a day was said, or something is owed. */
    @Transactional(readOnly = true)
    public List<UUID> visitsHere() {
        return Stream.concat(promises.visitsHere().stream(), owed.visitsHere().stream())
                .distinct()
                .toList();
    }

    /** Visits for which a day of those was said. */
    @Transactional(readOnly = true)
    public List<UUID> visitsWith(LocalDate from, LocalDate to) {
        return promises.visitsWith(from, to);
    }

    /** @throws BadInputException for a day that cannot be promised, or a casting that left */
    public void promise(PartFile part, UUID id, Day said, UUID by) {
        part.requireHere("day", "to promise a day");
        requireNear("day", said.day());
        requireShort("told", said.told(), LONGEST_NAME);
        if (!promises.existsById(id)) {
            promises.saveAndFlush(new PromiseRow(id, part.visit().id(), said, by, clock.instant()));
            visits.writtenBeside(part.visit().id());
        }
    }

    /**
     * The customer owes something. An answer holds up all that is done to the casting, so that it waits on the customer from now on.
     *
     * @throws BadInputException for words too long or a day that cannot be, or a casting that left
     */
    public void owes(PartFile part, UUID id, Wanting wanting, UUID by) {
        part.requireHere("words", "to say what is owed for it");
        wanting.expected().ifPresent(d -> requireNear("expected", d));
        requireShort("words", wanting.words(), LONGEST);
        if (wanting.what() == Owed.OTHER && wanting.words().isBlank()) {
            throw new BadInputException("words", "app.agreed.say-what-it-is");
        }
        if (owed.existsById(id)) {
            return;
        }
        owed.save(new OwedRow(id, part.visit().id(), wanting, today(), by));
        if (wanting.what() == Owed.ANSWER && part.visit().stuck().isEmpty()) {
            String why = wanting.words().isBlank() ? "an answer" : wanting.words();
            visits.stick(part.id(), Optional.of(StuckOn.CUSTOMER), why, by);
        }
    }

    /**
     * Something that was owed is there; once it was the last answer, the casting goes on.
     *
     * @throws BadInputException when it is not owed any more
     */
    public void came(PartFile part, UUID id, UUID by) {
        part.requireHere("owed", "to say what came for it");
        OwedRow row = owed.findById(id)
                .filter(o -> o.visit.equals(part.visit().id()))
                .orElseThrow(() -> new BadInputException("owed", "app.agreed.that-is-not-owed-any-more"));
        if (row.comeAt != null) {
            return;
        }
        row.comeAt = clock.instant();
        row.comeBy = by;
        owed.saveAndFlush(row);
        boolean more = owed.findByVisitInOrderBySinceAscIdAsc(List.of(row.visit)).stream()
                .anyMatch(o -> o.what == Owed.ANSWER && o.comeAt == null);
        boolean waits =
                part.visit().stuck().filter(s -> s.on() == StuckOn.CUSTOMER).isPresent();
        if (row.what == Owed.ANSWER && !more && waits) {
            visits.stick(part.id(), Optional.empty(), "", by);
        }
    }

    /** @throws BadInputException for words too long or a day that cannot be, or a casting that left */
    public void called(PartFile part, UUID id, String said, Optional<LocalDate> again, UUID by) {
        part.requireHere("said", "to say what was said on the phone");
        again.ifPresent(d -> requireNear("again", d));
        requireShort("said", said, LONGEST);
        if (said.isBlank()) {
            throw new BadInputException("said", "app.agreed.say-what-was-said");
        }
        if (!calls.existsById(id)) {
            calls.save(new CallRow(id, part.visit().id(), said.strip(), again, by, clock.instant()));
        }
    }

    /** Takes the words out that may name a customer who is erased; days and what became of them stay. */
    public void forget(UUID customer) {
        promises.forget(customer);
        owed.forget(customer);
        calls.forget(customer);
        choices.forget(customer);
    }

    private void requireNear(String field, LocalDate day) {
        if (day.isBefore(today()) || day.isAfter(today().plusYears(YEARS))) {
            throw new BadInputException(field, "app.agreed.key-a-day-from-today-on");
        }
    }

    private static void requireShort(String field, String text, int most) {
        if (text.strip().length() > most) {
            throw new BadInputException(field, "app.agreed.at-most-letters", most);
        }
    }
}
