package homalon.app.outcome.estimate;

import homalon.app.casting.part.PartShells;
import homalon.app.outcome.plan.FoundBefore;
import homalon.app.outcome.plan.Sizes;
import homalon.app.shop.stock.Need;
import homalon.app.shop.stock.NeedSource;
import homalon.app.shop.stock.Orders;
import homalon.core.bench.JobSize;
import homalon.core.bench.Piece;
import homalon.core.bench.UsualChances;
import homalon.core.bench.UsualTimes;
import homalon.core.money.Estimate;
import homalon.core.money.PriceList;
import homalon.core.money.Risk;
import homalon.core.money.Risks;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Happened;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.route.VisitSteps;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Grows an estimate from the route of a casting and its parts list. */
@Component
@RequiredArgsConstructor
class Grower {
    private static final String PART = "PART/";
    private static final int LONGEST_CODE = 40;

    private final PartShells routes;
    private final Sizes sizes;
    private final FoundBefore before;
    private final NeedSource needs;
    private final Orders orders;

    /**
     * @param list that it was grown from
     * @param size how much there is to do of each work
     * @param risks what may still turn up
     */
    record Grown(PriceList list, Function<Operation, JobSize> size, Estimate estimate, List<Risk> risks) {}

    Grown grow(PriceList list, PartFile part, Estimate.Said said) {
        UUID visit = part.visit().id();
        VisitSteps.Standing standing = routes.standing(part, new LengthWriter(BenchUnit.MM));
        Route route = standing.route();
        Function<Operation, JobSize> size =
                sizes.of(List.of(part), Map.of(visit, standing)).get(visit);
        ToIntFunction<Operation> minutes = o -> UsualTimes.of(o, part.material()).of(size.apply(o)).stream()
                .filter(Piece::attended)
                .mapToInt(Piece::minutes)
                .sum();
        boolean hot = part.visit()
                .came()
                .filter(c -> c.happened().contains(Happened.OVERHEATED))
                .isPresent();
        return new Grown(
                list,
                size,
                Estimate.of(list, part.material(), route, size, minutes, parts(part), said),
                Risks.of(list, hot, UsualChances.mayFind(part.material(), route, size, before.now())));
    }

    /** What is needed and what was ordered, by what it is: a thing that is ordered stays the same line. */
    private List<Estimate.Part> parts(PartFile part) {
        Map<String, Estimate.Part> all = new LinkedHashMap<>();
        for (Need need : needs.needs(part)) {
            merge(all, need.code(), need.words(), need.quantity(), need.operation(), false);
        }
        Map<String, Estimate.Part> ordered = new LinkedHashMap<>();
        for (Orders.Order o : orders.of(part)) {
            if (!o.cancelled()) {
                merge(ordered, o.code(), o.words(), o.quantity(), o.operation(), !o.open());
            }
        }
        ordered.forEach((key, o) -> all.merge(key, o, (need, order) -> need.count() > order.count() ? need : order));
        return new ArrayList<>(all.values());
    }

    private static void merge(
            Map<String, Estimate.Part> all, String code, String words, int count, Operation operation, boolean here) {
        String name = code.isEmpty() ? words : code;
        String key = PART + (name.length() > LONGEST_CODE ? name.substring(0, LONGEST_CODE) : name);
        all.merge(
                key,
                new Estimate.Part(key, words, count, operation, Optional.empty(), here),
                (a, b) -> new Estimate.Part(
                        key, a.words(), a.count() + b.count(), a.operation(), Optional.empty(), a.here() && b.here()));
    }
}
