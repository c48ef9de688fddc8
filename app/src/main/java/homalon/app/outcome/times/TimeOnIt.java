package homalon.app.outcome.times;

import homalon.app.foundation.words.Words;
import homalon.core.bench.ShopTimes;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import homalon.core.visit.Waited;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** The time that one visit took: in hands as far as it was seen, and waiting. */
@Component
@RequiredArgsConstructor
public class TimeOnIt {
    private final SeenWork seen;
    private final WaitedBook waited;

    public record Line(String what, String time) {}

    /**
     * @param hands by operation; none where nothing was seen
     * @param sum of those
     * @param here since it came, or between its coming and its leaving
     * @param waiting by cause
     * @param rest of the time here in which it waited for nobody
     */
    public record View(List<Line> hands, String sum, String here, List<Line> waiting, String rest) {}

    public View of(PartFile part) {
        Map<Operation, Duration> hands = byOperation(seen.of(part.visit().id()));
        Waited time = waited.of(List.of(part)).getOrDefault(part.visit().id(), Waited.NONE);
        return new View(
                lines(hands),
                Spell.hours(hands.values().stream().reduce(Duration.ZERO, Duration::plus)),
                Spell.days(time.here()),
                waiting(time),
                Spell.days(time.here().minus(time.any())));
    }

    static Map<Operation, Duration> byOperation(List<ShopTimes.Seen> lines) {
        return ShopTimes.took(lines).entrySet().stream()
                .collect(Collectors.toMap(
                        e -> e.getKey().of().operation(), Map.Entry::getValue, Duration::plus, TreeMap::new));
    }

    static List<Line> lines(Map<Operation, Duration> hands) {
        return hands.entrySet().stream()
                .map(e -> new Line(StringUtils.capitalize(Words.of(e.getKey().words())), Spell.hours(e.getValue())))
                .toList();
    }

    static List<Line> waiting(Waited time) {
        return Arrays.stream(StuckOn.values())
                .flatMap(on ->
                        Optional.ofNullable(time.by().get(on))
                                .map(d -> new Line(Words.of(on.words()), Spell.days(d)))
                                .stream())
                .toList();
    }
}
