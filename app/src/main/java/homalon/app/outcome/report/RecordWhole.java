package homalon.app.outcome.report;

import homalon.app.casting.sheets.Sheets;
import homalon.app.casting.work.WorkLog;
import homalon.app.check.integrity.Cracks;
import homalon.app.check.integrity.PressureTests;
import homalon.app.shop.instruments.StepGauges;
import homalon.app.shop.stock.Orders;
import homalon.core.gauge.InUse;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BenchGauges;
import homalon.core.visit.CrackFile;
import homalon.core.visit.GaugesInHand;
import homalon.core.visit.PartFile;
import homalon.core.visit.SheetFile;
import homalon.core.visit.TestFile;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What was done beside the face, for the record: the log of work, cracks, pressure tests, and every figure of the sheets. */
@Component
@RequiredArgsConstructor
class RecordWhole {
    private final WorkLog work;
    private final Cracks cracks;
    private final PressureTests tests;
    private final Sheets sheets;
    private final Orders orders;
    private final StepGauges gauges;

    /** @param measuredWith null where no instrument was noted */
    record Whole(
            List<Work> work,
            List<Crack> cracks,
            List<Test> pressureTests,
            List<Sheet> sheets,
            List<Order> orders,
            List<Gauge> measuredWith) {}

    /**
     * An instrument as it stood when it was taken in hand.
     *
     * @param standard uncertainty, in mm, cc or bar
     */
    record Gauge(String step, String code, String name, String kind, double standard, String state, String due) {
        static Gauge of(String step, InUse use) {
            return new Gauge(
                    step,
                    use.code(),
                    use.name(),
                    use.kind().name(),
                    use.standard(),
                    use.state().name(),
                    use.due().map(LocalDate::toString).orElse(null));
        }
    }

    record Order(
            UUID id,
            String code,
            String words,
            int quantity,
            String operation,
            int arrived,
            boolean cancelled,
            String by,
            String at) {}

    record Work(long line, UUID id, String kind, String what, String note, String by, String at) {}

    record Crack(
            int no,
            String place,
            BigDecimal lengthMm,
            List<String> reaches,
            String foundBy,
            boolean suspected,
            List<BigDecimal> fromMm,
            List<BigDecimal> toMm,
            String remedy,
            String otherwiseBecause,
            BigDecimal pinMm,
            String by,
            String at) {}

    record Test(
            String medium,
            boolean wet,
            double holdMinutes,
            double mayLoseBar,
            List<Reading> readings,
            List<String> bubbles,
            boolean lookedForBubbles,
            String verdict,
            double lostBar,
            String by,
            String at) {}

    record Reading(int second, double bar, Double celsius, String by, String at) {}

    record Sheet(String sheet, Map<String, String> setUp, List<Map<String, String>> setUps, List<Figure> figures) {}

    record Figure(
            long line,
            UUID id,
            String place,
            String kind,
            String typed,
            String typedUnit,
            BigDecimal mm,
            String by,
            String at,
            boolean stands) {}

    Whole of(PartFile part, Map<UUID, String> names) {
        UUID visit = part.visit().id();
        List<TestFile> tested = tests.of(part);
        GaugesInHand testing = gauges.of(part, tested);
        Collection<SheetFile> begun =
                sheets.ofVisits(List.of(visit)).getOrDefault(visit, Map.of()).values();
        List<Gauge> with = Stream.concat(
                        begun.stream()
                                .flatMap(s -> gauges.of(part, s).instruments().stream()
                                        .map(i -> Gauge.of(s.sheet().path(), i))),
                        testing.instruments().stream().map(i -> Gauge.of(StepGauges.PRESSURE, i)))
                .toList();
        return new Whole(
                work.of(part).stream()
                        .map(e -> new Work(
                                e.seq(),
                                e.id(),
                                e.kind().name(),
                                e.what(),
                                e.note(),
                                names.get(e.by()),
                                e.at().toString()))
                        .toList(),
                cracks.of(part).stream().map(c -> crack(c, names)).toList(),
                tested.stream().map(t -> test(t, testing.gauges(), names)).toList(),
                begun.stream().map(s -> sheet(s, names)).toList(),
                orders.of(part).stream()
                        .map(o -> new Order(
                                o.id(),
                                o.code(),
                                o.words(),
                                o.quantity(),
                                o.operation().name(),
                                o.arrived(),
                                o.cancelled(),
                                names.get(o.by()),
                                o.at().toString()))
                        .toList(),
                with.isEmpty() ? null : with);
    }

    private static Crack crack(CrackFile c, Map<UUID, String> names) {
        return new Crack(
                c.no(),
                c.what().place().name(),
                RecordNumbers.mm(Length.roundedFromMm(c.what().length())),
                c.what().reaches().stream().map(Enum::name).toList(),
                c.what().method().name(),
                c.what().suspect(),
                RecordNumbers.spot(c.from().x(), c.from().y()),
                RecordNumbers.spot(c.to().x(), c.to().y()),
                c.remedy().name(),
                c.why().isEmpty() ? null : c.why(),
                c.pin().signum() > 0 ? RecordNumbers.mm(c.pin()) : null,
                names.get(c.by()),
                c.at().toString());
    }

    private static Test test(TestFile t, BenchGauges gauges, Map<UUID, String> names) {
        var decay = t.decay(gauges);
        return new Test(
                t.medium(),
                t.wet(),
                t.asked().hold(),
                t.asked().most(),
                t.readings().stream()
                        .map(r -> new Reading(
                                r.second(),
                                r.bar(),
                                r.celsius().isPresent() ? r.celsius().getAsDouble() : null,
                                names.get(r.by()),
                                r.at().toString()))
                        .toList(),
                t.bubbles().stream().map(TestFile.BubbleFile::where).toList(),
                t.looked() || !t.bubbles().isEmpty(),
                decay.verdict().name(),
                BigDecimal.valueOf(decay.lost())
                        .setScale(4, RoundingMode.HALF_UP)
                        .doubleValue(),
                names.get(t.by()),
                t.at().toString());
    }

    private static Sheet sheet(SheetFile s, Map<UUID, String> names) {
        return new Sheet(
                s.sheet().name(),
                s.setup(),
                s.setups().size() > 1 ? s.setups() : null,
                s.history().stream()
                        .map(f -> new Figure(
                                f.seq(),
                                f.id(),
                                f.place(),
                                f.kind().name(),
                                f.typed(),
                                f.unit().name(),
                                f.value().map(RecordNumbers::mm).orElse(null),
                                names.get(f.by()),
                                f.at().toString(),
                                s.standing().containsValue(f)))
                        .toList());
    }
}
