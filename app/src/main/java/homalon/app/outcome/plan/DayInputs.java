package homalon.app.outcome.plan;

import homalon.app.casting.part.InTheShop;
import homalon.app.casting.part.StepSource;
import homalon.core.bench.AtTheBench;
import homalon.core.bench.Awaited;
import homalon.core.bench.DayPlan;
import homalon.core.bench.JobSize;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.ShopTimes;
import homalon.core.hours.WeekHours;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.route.Step.Mark;
import homalon.core.route.VisitSteps;
import homalon.core.visit.OfOneEngine;
import homalon.core.visit.PartFile;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** All that a bench day is planned from, gathered from where it is written. */
@Component
@RequiredArgsConstructor
class DayInputs {
    private final InTheShop shop;
    private final StepSource steps;
    private final Awaits awaits;
    private final ShopInputs own;
    private final HandsAtWork hands;
    private final PinBook pins;
    private final Sizes sizes;

    /**
     * @param crew of the shop
     * @param castings in it
     * @param beyond castings that are due after those
     * @param mark the same for the same, another where anything is different that a plan follows from
     */
    record Gathered(ShopCrew crew, List<AtTheBench> castings, int beyond, String mark) {}

    Gathered gather(Instant now) {
        LocalDate today = LocalDate.ofInstant(now, ZoneId.systemDefault());
        List<PartFile> parts = shop.firstDue(DayPlan.CASTINGS);
        Map<UUID, VisitSteps.Standing> standing = steps.steps(parts, own.writer());
        Map<UUID, List<Awaited>> waits = awaits.of(parts, today);
        Map<UUID, HandsAtWork.Hand> atWork = hands.now();
        List<UUID> visits = parts.stream().map(p -> p.visit().id()).toList();
        Map<UUID, List<PinBook.Said>> said = pins.now(visits);
        Map<UUID, Function<Operation, JobSize>> large = sizes.of(parts, standing);
        Map<String, PartFile> here = parts.stream().collect(Collectors.toMap(PartFile::tag, p -> p));
        ShopCrew crew = own.crew();
        ShopTimes times = own.times();
        List<AtTheBench> castings = parts.stream()
                .map(p -> casting(
                        p,
                        OfOneEngine.wanted(p, here),
                        own.weight(p, now),
                        large.get(p.visit().id()),
                        standing.get(p.visit().id()),
                        waits.getOrDefault(p.visit().id(), List.of()),
                        Optional.ofNullable(atWork.get(p.visit().id())),
                        said.getOrDefault(p.visit().id(), List.of())))
                .toList();
        int beyond = (int) shop.many() - parts.size();
        return new Gathered(crew, castings, beyond, mark(crew, times, castings) + "+" + beyond);
    }

    private static AtTheBench casting(
            PartFile part,
            Optional<LocalDate> wanted,
            int weight,
            Function<Operation, JobSize> size,
            VisitSteps.Standing standing,
            List<Awaited> waits,
            Optional<HandsAtWork.Hand> hand,
            List<PinBook.Said> said) {
        return new AtTheBench(
                part.tag(),
                part.material(),
                standing.route(),
                size,
                part.visit().promised(),
                wanted,
                weight,
                Awaited.waits(waits.stream().map(w -> w.on(standing.route())).toList(), ZoneId.systemDefault()),
                hand.flatMap(h -> begun(standing)
                        .map(o -> new AtTheBench.InHand(o, h.person().toString(), h.since()))),
                said.stream().collect(Collectors.toMap(PinBook.Said::work, PinBook.Said::pin)));
    }

    /** What somebody who writes about it is at: what was begun, else what is due first. */
    private static Optional<Operation> begun(VisitSteps.Standing standing) {
        return standing.strip().stream()
                .filter(s -> s.mark() == Mark.BEGUN || s.mark() == Mark.DUE)
                .sorted((a, b) -> Boolean.compare(b.mark() == Mark.BEGUN, a.mark() == Mark.BEGUN))
                .flatMap(s -> s.kind().operation().stream())
                .filter(o -> standing.route().open(o).isPresent())
                .findFirst();
    }

    private static String mark(ShopCrew crew, ShopTimes own, List<AtTheBench> castings) {
        StringBuilder all = new StringBuilder();
        week(crew.hours().week(), all);
        all.append(crew.hours().off());
        crew.stations().forEach(all::append);
        crew.hands().forEach(h -> {
            all.append(h.id()).append(h.off()).append(new TreeSet<>(h.skills()));
            h.week().ifPresent(w -> week(w, all));
        });
        all.append(new TreeMap<>(crew.changes()))
                .append(new TreeMap<>(crew.standing()))
                .append(new TreeSet<>(crew.nights()));
        all.append(own.written());
        for (AtTheBench casting : castings) {
            all.append(casting.tag())
                    .append(casting.metal())
                    .append(casting.promised())
                    .append(casting.wanted())
                    .append(casting.weight());
            all.append(casting.waits().all())
                    .append(new TreeMap<>(casting.waits().some()));
            all.append(new TreeMap<>(casting.pins()));
            casting.inHand().ifPresent(h -> all.append(h.operation()).append(h.person()));
            casting.route()
                    .openSteps()
                    .forEach(
                            s -> all.append(s.operation()).append(casting.size().apply(s.operation())));
            for (Route.Before before : casting.route().edges()) {
                all.append(before.from()).append('<').append(before.to()).append(' ');
            }
        }
        try {
            byte[] sum =
                    MessageDigest.getInstance("SHA-256").digest(all.toString().getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(sum);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void week(WeekHours week, StringBuilder all) {
        for (DayOfWeek day : DayOfWeek.values()) {
            all.append(WeekHours.written(week.on(day))).append(';');
        }
    }
}
