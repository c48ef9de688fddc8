package homalon.core.visit;

import homalon.core.part.Valve;
import homalon.core.quantity.Length;
import homalon.core.seats.ValveHeads;
import homalon.core.valves.BookItem;
import homalon.core.valves.Measure;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What valves do to the chambers that they lie in: how large their heads are, how far seat work will set them deeper.
 *
 * @param byCylinder of cylinders whose valve heads are all known
 * @param shallowest the valve that lies least deep below the face, as it was read
 */
public record HeadsInChambers(Map<Integer, ValveHeads> byCylinder, Optional<Shallowest> shallowest) {
    /** Before it was said how the valves lie. */
    public static final HeadsInChambers UNKNOWN = new HeadsInChambers(Map.of(), Optional.empty());

    /** @param recession below the face, mm */
    public record Shallowest(double recession, Instant at) {}

    /** @param toCut off the face still to come */
    public static HeadsInChambers of(ValveFile file, Length toCut) {
        SeatPlans plans = new SeatPlans(file, toCut);
        Map<Integer, List<ValveHeads.Head>> heads = new HashMap<>();
        Set<Integer> open = new HashSet<>();
        @Nullable Shallowest shallowest = null;
        for (Valve v : file.valves()) {
            OptionalDouble diameter = file.book(v).figure(BookItem.HEAD_DIAMETER);
            if (diameter.isPresent()) {
                heads.computeIfAbsent(v.cylinder(), c -> new ArrayList<>())
                        .add(new ValveHeads.Head(diameter.getAsDouble(), plans.sink(v)));
            } else {
                open.add(v.cylinder());
            }
            Optional<Figure> read = file.figure(v, Measure.RECESSION);
            OptionalDouble recession = file.readings(v).figure(Measure.RECESSION);
            if (read.isPresent() && recession.isPresent()) {
                double below = recession.getAsDouble();
                boolean less = shallowest == null || below < shallowest.recession();
                shallowest = less ? new Shallowest(below, read.get().at()) : shallowest;
            }
        }
        heads.keySet().removeAll(open);
        Map<Integer, ValveHeads> known = new HashMap<>();
        heads.forEach((c, list) -> known.put(c, new ValveHeads(list)));
        return new HeadsInChambers(known, Optional.ofNullable(shallowest));
    }
}
