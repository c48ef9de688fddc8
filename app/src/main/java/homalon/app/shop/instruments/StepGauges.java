package homalon.app.shop.instruments;

import homalon.app.casting.part.PartPage;
import homalon.core.gauge.InstrumentKind;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.GaugesInHand;
import homalon.core.visit.PartFile;
import homalon.core.visit.SheetFile;
import homalon.core.visit.TestFile;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the gauges of a step leave open: of those in hand their own, of the rest the shop's. */
@Component
@RequiredArgsConstructor
public class StepGauges {
    /** The step of pressure tests, as its page's address has it. */
    public static final String PRESSURE = "pressure";

    private final Hands hands;

    /**
     * @param step as its page's address has it
     * @param readings when what stands was read
     */
    private GaugesInHand of(PartFile part, String step, Stream<Instant> readings) {
        var taken = hands.taken(List.of(part.visit().id()))
                .getOrDefault(new Hands.Step(part.visit().id(), step), List.of());
        return GaugesInHand.of(part.rules().gauges(), taken, taken.isEmpty() ? List.of() : readings.toList());
    }

    /** Of a sheet: what was keyed on it. */
    public GaugesInHand of(PartFile part, SheetFile sheet) {
        return of(part, sheet.sheet().path(), sheet.standing().values().stream().map(f -> f.at()));
    }

    /** Of pressure tests: when their gauge was read. */
    public GaugesInHand of(PartFile part, List<TestFile> tests) {
        return of(part, PRESSURE, TestFile.read(tests));
    }

    /** What a page shows of a sheet's. */
    public void show(PartPage page, SheetFile sheet) {
        show(page, sheet.sheet().path(), of(page.part(), sheet), sheet.sheet().instruments());
    }

    /** What the page of pressure tests shows. */
    public void show(PartPage page, GaugesInHand testing) {
        show(page, PRESSURE, testing, List.of(InstrumentKind.PRESSURE_GAUGE));
    }

    private void show(PartPage page, String step, GaugesInHand in, List<InstrumentKind> kinds) {
        page.show("inHand", HandView.of(step, in.instruments(), hands.choices(kinds, page.me()), page.writer()));
    }

    /** For the report: what it was measured with, and what is said against it; empty where none was noted. */
    public static Optional<String> told(GaugesInHand in, LengthWriter writer) {
        return in.instruments().isEmpty()
                ? Optional.empty()
                : Optional.of(String.join(
                        " ",
                        Stream.concat(
                                        Stream.of("measured with " + HandView.called(in.instruments()) + "."),
                                        HandView.marks(in.instruments(), writer).stream())
                                .toList()));
    }
}
