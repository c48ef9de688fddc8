package homalon.app.shop.instruments;

import homalon.app.foundation.store.EvidenceLog;
import homalon.core.gauge.Compared;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.Reversal;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tables and edges that were read both ways: what they are out by themselves. */
@Service
@Transactional
@RequiredArgsConstructor
class Reversals {
    private static final Pattern BETWEEN = Pattern.compile("[\\s;]+");
    private static final int LONGEST = 2000;

    private final Instruments instruments;
    private final ReversalRepository rows;
    private final EvidenceLog log;

    /** @param by whoever keyed it */
    record Found(UUID id, Instant at, UUID by, Reversal.Way way, Reversal reversal) {}

    /** The latest first. */
    @Transactional(readOnly = true)
    List<Found> of(UUID instrument) {
        return rows.findByInstrumentOrderBySeqDesc(instrument).stream()
                .map(r -> new Found(r.id(), r.at(), r.by(), r.way(), r.found()))
                .toList();
    }

    /**
     * @param id made by the page, so that the same sent twice is kept once
     * @param first readings with blanks between, in that unit
     * @param second the same places once it was turned
     * @throws BadInputException for an instrument of which that tells nothing, or readings that do not pair
     */
    void keep(UUID id, String code, Reversal.Way way, String first, String second, BenchUnit unit, UUID by) {
        Instruments.Known known = instruments.known(code);
        if (!known.instrument().kind().turns(way)) {
            throw new BadInputException("way", "app.instruments.that-is-not-read-both-ways");
        }
        if (first.length() > LONGEST || second.length() > LONGEST) {
            throw new BadInputException("first", "app.instruments.fewer-places");
        }
        read(way, first, second, unit);
        if (log.find(ReversalRow.class, id).isEmpty()) {
            log.add(new ReversalRow(id, known.id(), way, first.strip(), second.strip(), unit, by));
        }
    }

    static Reversal read(Reversal.Way way, String first, String second, BenchUnit unit) {
        return way.of(heights(first, unit), heights(second, unit));
    }

    private static double[] heights(String typed, BenchUnit unit) {
        return Arrays.stream(BETWEEN.split(typed.strip()))
                .filter(t -> !t.isEmpty())
                .mapToDouble(t -> Length.parse(t, unit).mm())
                .toArray();
    }

    /**
     * From now on it is good to what was found. An edge turned over was compared with itself; of a table turned ends nothing is known of
     * what it is hollow or crowned as a whole, so that this is no comparison.
     */
    void take(String code, UUID id, UUID by) {
        Instruments.Known known = instruments.known(code);
        Found found = of(known.id()).stream()
                .filter(f -> f.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new BadInputException("id", "app.instruments.that-reversal-is-not-here"));
        Instrument was = known.instrument();
        double kept = found.reversal().keeps();
        instruments.amend(
                new Instrument(was.code(), was.name(), was.kind(), Instrument.Known.LIMITS, kept, was.months()));
        if (found.way() == Reversal.Way.OVER) {
            instruments.compare(
                    id,
                    code,
                    new Compared(
                            instruments.today(),
                            "itself, turned over",
                            found.reversal().most()),
                    by);
        }
    }
}
