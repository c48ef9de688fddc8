package homalon.app.shop.instruments;

import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.ReadTransaction;
import homalon.core.gauge.Compared;
import homalon.core.gauge.GaugeStanding;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.BadInputException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The register of the shop's instruments. */
@Service
@Transactional
@RequiredArgsConstructor
public class Instruments {
    private final InstrumentRepository rows;
    private final ComparedRepository comparisons;
    private final CheckRepository checks;
    private final InUseRepository uses;
    private final EvidenceLog log;
    private final ReadTransaction reading;
    private final Clock clock;

    /**
     * An instrument and how it stands today.
     *
     * @param compared in the order in which they were written down
     */
    public record Known(
            UUID id, Instrument instrument, List<Compared> compared, GaugeStanding standing, boolean retired) {
        /** {@code M-01 lever indicator}. */
        public String called() {
            return instrument.code() + " " + instrument.name();
        }
    }

    /** A reference that was read. */
    public record Check(Instant at, UUID by, double reference, double read) {
        public double off() {
            return read - reference;
        }
    }

    /** A step of a visit that was measured with it. */
    public record Used(UUID visit, String step, Instant at) {}

    private static final int MOST_USES = 200;

    /** All of them, those that were retired last. */
    @Transactional(readOnly = true)
    public List<Known> all() {
        return reading.once(All.OF_THEM, this::read);
    }

    private enum All {
        OF_THEM
    }

    private List<Known> read() {
        Map<UUID, List<ComparedRow>> by =
                comparisons.findAllByOrderBySeq().stream().collect(Collectors.groupingBy(ComparedRow::instrument));
        List<Known> known = rows.findAllByOrderByCode().stream()
                .map(r -> known(r, by.getOrDefault(r.id, List.of())))
                .toList();
        return Stream.concat(
                        known.stream().filter(k -> !k.retired()), known.stream().filter(Known::retired))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<Known> ofKind(InstrumentKind kind) {
        return all().stream()
                .filter(k -> !k.retired() && k.instrument().kind() == kind)
                .toList();
    }

    /** @param code in any letters */
    @Transactional(readOnly = true)
    public Optional<Known> find(String code) {
        return rows.findByCode(code.strip().toUpperCase(Locale.ROOT))
                .map(r -> known(r, comparisons.findByInstrumentOrderBySeq(r.id)));
    }

    /** @throws NotHereException when there is none */
    @Transactional(readOnly = true)
    public Known known(String code) {
        return find(code).orElseThrow(() -> new NotHereException("There is no instrument of the code " + code + "."));
    }

    private Known known(InstrumentRow row, List<ComparedRow> compared) {
        List<Compared> all = compared.stream().map(ComparedRow::compared).toList();
        Instrument instrument = row.instrument();
        return new Known(row.id, instrument, all, GaugeStanding.of(instrument, all, today()), row.retiredAt != null);
    }

    /** By the shop's own clock. */
    LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    }

    /** The code that is proposed for the next one. */
    @Transactional(readOnly = true)
    public String nextCode() {
        int highest = rows.findAllByOrderByCode().stream()
                .map(r -> r.code)
                .filter(c -> c.startsWith("M-"))
                .mapToInt(c -> Integer.parseInt(c.substring(2)))
                .max()
                .orElse(0);
        return "M-" + (highest < 9 ? "0" : "") + (highest + 1);
    }

    public void add(Instrument instrument) {
        if (rows.findByCode(instrument.code()).isPresent()) {
            throw new BadInputException("code", "app.instruments.there-is-one-of-that-code", instrument.code());
        }
        rows.save(new InstrumentRow(instrument));
    }

    /** What it is called and good to from now on; what was read with it stays as it was. */
    public void amend(Instrument instrument) {
        row(instrument.code()).amend(instrument);
    }

    /** No longer offered, or offered again; what was read with it stays. */
    public void retire(String code, boolean retired) {
        row(code).retiredAt = retired ? clock.instant() : null;
    }

    private InstrumentRow row(String code) {
        return rows.findByCode(code).orElseThrow(() -> new BadInputException("code", "app.instruments.no-such", code));
    }

    /** @param id made by the page, so that the same sent twice is kept once */
    public void compare(UUID id, String code, Compared compared, UUID by) {
        if (compared.on().isAfter(today())) {
            throw new BadInputException("on", "app.instruments.that-day-is-to-come");
        }
        if (log.find(ComparedRow.class, id).isEmpty()) {
            log.add(new ComparedRow(id, row(code).id, compared, by));
        }
    }

    /** @param id as with {@link #compare} */
    public void check(UUID id, String code, double reference, double read, UUID by) {
        if (log.find(CheckRow.class, id).isEmpty()) {
            log.add(new CheckRow(id, row(code).id, reference, read, by));
        }
    }

    /** In order of time. */
    @Transactional(readOnly = true)
    public List<Check> checks(String code) {
        return checks.findByInstrumentOrderBySeq(row(code).id).stream()
                .map(c -> new Check(c.at(), c.by(), c.reference(), c.read()))
                .toList();
    }

    /** What was measured with it since a day, the latest first, each step of a visit once. */
    @Transactional(readOnly = true)
    public List<Used> usedSince(String code, Optional<LocalDate> day) {
        Instant since =
                day.map(d -> d.atStartOfDay(ZoneId.systemDefault()).toInstant()).orElse(Instant.EPOCH);
        return uses.since(code, since, MOST_USES).stream()
                .collect(Collectors.toMap(
                        u -> new Hands.Step(u.visit(), u.step()),
                        u -> new Used(u.visit(), u.step(), u.at()),
                        (a, b) -> a,
                        LinkedHashMap::new))
                .values()
                .stream()
                .toList();
    }
}
