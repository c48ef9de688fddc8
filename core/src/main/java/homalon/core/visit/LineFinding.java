package homalon.core.visit;

import homalon.core.gauge.Uncertain;
import homalon.core.lines.SaddleGap;
import homalon.core.lines.ShaftLine;
import homalon.core.lines.ShaftLine.Between;
import homalon.core.lines.ShaftLine.Bore;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BenchGauges;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * What a line's figures say.
 *
 * @param left what is left of the clearance, with what indicator and bore gauge leave open of it; empty with feelers, which give a span
 * @param shaft best line through what was read; with feelers through the middles of what they allow
 * @param span what feelers allow; empty with an indicator
 * @param stopped bores where the limit blade goes: out by that limit until the figures prove that the shaft runs all the same
 * @param askew saddles of which one side stands lower, by bore
 */
public record LineFinding(
        Optional<Uncertain> left,
        ShaftLine shaft,
        List<Bore> bores,
        Optional<ShaftLine.Span> span,
        List<Integer> stopped,
        Map<Integer, Length> askew,
        Turns verdict) {

    /**
     * One shaft as it stands.
     *
     * @param oldest reading of it that counts
     */
    public record Shaft(String name, Optional<Instant> oldest, Turns turns) {}

    /** Every shaft that was set up. */
    public static List<Shaft> shafts(SheetFile sheet, BenchGauges gauges) {
        return LineSetup.all(sheet).stream()
                .map(s -> new Shaft(
                        s.name(),
                        s.places(false).stream()
                                .flatMap(p ->
                                        Optional.ofNullable(sheet.standing().get(p.key())).stream())
                                .map(Figure::at)
                                .min(Comparator.naturalOrder()),
                        of(sheet, s, gauges).map(LineFinding::verdict).orElse(Turns.NOT_PROVEN)))
                .toList();
    }

    /** Empty until every bore of that shaft is read. */
    public static Optional<LineFinding> of(SheetFile sheet, LineSetup setup, BenchGauges gauges) {
        double running = setup.running().mm();
        List<Bore> bores = new ArrayList<>();
        List<Between> felt = new ArrayList<>();
        List<Integer> stopped = new ArrayList<>();
        Map<Integer, Length> askew = new TreeMap<>();
        for (int i = 0; i < setup.at().size(); i++) {
            double at = setup.at().get(i).mm();
            double clearance = setup.clearance().get(i).mm();
            if (setup.way() != LineSetup.Way.INDICATOR) {
                SaddleGap saddle = setup.saddle(sheet, i);
                if (!saddle.isTried()) {
                    return Optional.empty();
                }
                Between between = saddle.at(at, clearance);
                felt.add(between);
                bores.add(new Bore(at, between.middle(), 0, clearance));
                int bore = i + 1;
                setup.blade().filter(saddle::goes).ifPresent(b -> stopped.add(bore));
                saddle.askew().ifPresent(by -> askew.put(bore, by));
            } else {
                OptionalDouble height = sheet.mm(setup.key("h", i));
                OptionalDouble side = setup.sideways() ? sheet.mm(setup.key("s", i)) : OptionalDouble.of(0);
                if (height.isEmpty() || side.isEmpty()) {
                    return Optional.empty();
                }
                bores.add(new Bore(at, height.getAsDouble(), side.getAsDouble(), clearance));
            }
        }
        if (felt.isEmpty()) {
            ShaftLine shaft = ShaftLine.of(bores, running, gauges);
            return Optional.of(new LineFinding(
                    Optional.of(ShaftLine.open(bores, shaft, gauges)),
                    shaft,
                    bores,
                    Optional.empty(),
                    List.of(),
                    Map.of(),
                    shaft.verdict()));
        }
        return Optional.of(felt(bores, ShaftLine.between(felt, running), stopped, askew));
    }

    /** A bore that the limit blade went into settles it, whatever the rest leaves open. */
    private static LineFinding felt(
            List<Bore> bores, ShaftLine.Span span, List<Integer> stopped, Map<Integer, Length> askew) {
        boolean out = span.verdict() == Turns.NOT_PROVEN && !stopped.isEmpty();
        return new LineFinding(
                Optional.empty(),
                span.middle(),
                bores,
                Optional.of(span),
                List.copyOf(stopped),
                Collections.unmodifiableMap(askew),
                out ? Turns.TIGHT : span.verdict());
    }
}
