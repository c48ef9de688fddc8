package homalon.app.outcome.times;

import homalon.app.casting.part.Parts;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.SetUpsSeen;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.StationKind;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import homalon.core.visit.Promises;
import homalon.core.visit.Waited;
import java.time.Duration;
import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Hours, set-ups and waiting of a month, as far as they were seen from what was keyed. */
@Component
@RequiredArgsConstructor
public class MonthTimes {
    private static final int ALL = 100;

    private final SeenWork seen;
    private final WaitedBook waited;
    private final Parts parts;
    private final CrewBook crews;

    /**
     * @param hands by operation; none where nothing was seen
     * @param sum of those
     * @param setUps how many changes of metal there were at the surfacer
     * @param setUpTime what they take by the shop's table
     * @param setUpShare of the time at the surfacer; empty where there are too few to say
     * @param left castings that were handed over
     * @param here their time in the shop, in the mean
     * @param waiting of it, by cause, in the mean
     * @param waitShare of a hundred days of them those on which they waited; empty where there are too few to say
     */
    public record View(
            List<TimeOnIt.Line> hands,
            String sum,
            int setUps,
            String setUpTime,
            String setUpShare,
            int left,
            String here,
            List<TimeOnIt.Line> waiting,
            String waitShare) {}

    public View of(YearMonth month, ZoneId zone) {
        Instant from = month.atDay(1).atStartOfDay(zone).toInstant();
        Instant to = month.plusMonths(1).atDay(1).atStartOfDay(zone).toInstant();
        Map<Operation, Duration> hands = TimeOnIt.byOperation(seen.between(from, to));
        int each = crews.changes()
                .getOrDefault(StationKind.SURFACER, ShopCrew.USUAL_CHANGES.getOrDefault(StationKind.SURFACER, 0));
        SetUpsSeen setUps = SetUpsSeen.of(seen.passes(from, to), each);
        int setUpShare =
                setUps.percent(hands.getOrDefault(Operation.CUT, Duration.ZERO).toMinutes());
        List<PartFile> left = parts.asVisited(parts.visitsHandedOver(from, to));
        Waited all = waited.of(left).values().stream().reduce(Waited.NONE, Waited::plus);
        Waited mean = left.isEmpty() ? all : all.over(left.size());
        return new View(
                TimeOnIt.lines(hands),
                Spell.hours(hands.values().stream().reduce(Duration.ZERO, Duration::plus)),
                setUps.count(),
                Spell.hours(Duration.ofMinutes(setUps.minutes())),
                setUpShare < 0 ? "" : setUpShare + " of 100",
                left.size(),
                Spell.days(mean.here()),
                TimeOnIt.waiting(mean),
                left.size() < Promises.ENOUGH || all.here().isZero()
                        ? ""
                        : Math.round((double) ALL
                                        * all.any().toMinutes()
                                        / all.here().toMinutes()) + " of 100");
    }
}
