package homalon.app.check.integrity;

import homalon.app.casting.readings.KeyedLine;
import homalon.app.casting.readings.TellsReadings;
import homalon.core.geometry.Spot;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What a gauge and the water showed while castings were under pressure. */
@Component
@RequiredArgsConstructor
class PressureReadings implements TellsReadings {
    private final PressureTests tests;

    @Override
    public List<KeyedLine> history(List<PartFile> visits) {
        return tests.everyLine(visits.stream().map(v -> v.visit().id()).toList()).entrySet().stream()
                .flatMap(e -> {
                    Set<PressureReadingRow> stand = Set.copyOf(PressureTests.standing(e.getValue()));
                    return e.getValue().stream().map(r -> line(e.getKey(), r, stand.contains(r)));
                })
                .collect(Collectors.toList());
    }

    private static KeyedLine line(PressureTestRow test, PressureReadingRow r, boolean stands) {
        boolean bubbles = r.kind() == PressureReadingRow.Kind.BUBBLES;
        return new KeyedLine(
                test.visit(),
                "pressure",
                r.seq(),
                bubbles ? r.bubbles().where() : test.medium() + ", after " + r.second() + " s",
                bubbles ? Optional.of(r.bubbles().spot()) : Optional.<Spot>empty(),
                Optional.empty(),
                r.kind().name(),
                typed(r),
                "",
                Optional.empty(),
                stands,
                r.by(),
                r.at());
    }

    private static String typed(PressureReadingRow r) {
        return switch (r.kind()) {
            case READING ->
                r.reading().bar() + " bar"
                        + (r.reading().celsius().isPresent()
                                ? ", " + r.reading().celsius().getAsDouble() + " °C"
                                : "");
            case BUBBLES -> "bubbles";
            case NO_BUBBLES -> "no bubbles";
            case WITHDRAWN -> "";
        };
    }
}
