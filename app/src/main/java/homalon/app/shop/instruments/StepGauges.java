package homalon.app.shop.instruments;

import homalon.app.casting.part.PartPage;
import homalon.core.gauge.InstrumentKind;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.GaugesInHand;
import homalon.core.visit.PartFile;
import homalon.core.visit.SheetFile;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the gauges of a step leave open: of those in hand their own, of the rest the shop's. */
@Component
@RequiredArgsConstructor
public class StepGauges {
    private final Hands hands;

    /**
     * @param step as its page's address has it
     * @param readings when what stands was read
     */
    public GaugesInHand of(PartFile part, String step, Stream<Instant> readings) {
        var taken = hands.taken(List.of(part.visit().id()))
                .getOrDefault(new Hands.Step(part.visit().id(), step), List.of());
        return GaugesInHand.of(part.rules().gauges(), taken, taken.isEmpty() ? List.of() : readings.toList());
    }

    /** Of a sheet: what was keyed on it. */
    public GaugesInHand of(PartFile part, SheetFile sheet) {
        return of(part, sheet.sheet().path(), sheet.standing().values().stream().map(f -> f.at()));
    }

    /** What a page shows of a sheet's. */
    public void show(PartPage page, SheetFile sheet) {
        show(page, sheet.sheet().path(), of(page.part(), sheet), sheet.sheet().instruments());
    }

    /** The same of a step that is no sheet. */
    public void show(PartPage page, String step, GaugesInHand in, List<InstrumentKind> kinds) {
        page.show("inHand", HandView.of(step, in.instruments(), hands.choices(kinds, page.me()), page.writer()));
    }

    /** For the report: what it was measured with, and what is said against it; empty where none was noted. */
    public static List<String> told(GaugesInHand in, LengthWriter writer) {
        return in.instruments().isEmpty()
                ? List.of()
                : Stream.concat(
                                Stream.of("measured with " + HandView.called(in.instruments())),
                                HandView.marks(in.instruments(), writer).stream())
                        .toList();
    }
}
