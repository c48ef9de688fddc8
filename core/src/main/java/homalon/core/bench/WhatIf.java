package homalon.core.bench;

import homalon.core.hours.DaysOff;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Something that is only tried: a plan with it, and nothing kept.
 *
 * @param down a station that cannot be used from now on
 * @param away somebody who is not there from today on
 * @param rush a casting that is wanted today before all others
 * @param later a casting whose parts that are ordered do not come before the end of that day
 * @param until the last day of what is tried
 */
public record WhatIf(
        Optional<String> down, Optional<String> away, Optional<String> rush, Optional<String> later, LocalDate until) {
    /** As much as all that is wanted in a usual shop. */
    private static final int BEFORE_ALL = 100;

    public boolean nothing() {
        return down.isEmpty() && away.isEmpty() && rush.isEmpty() && later.isEmpty();
    }

    /** @param again when what is tried is over */
    public ShopCrew crew(ShopCrew of, LocalDate today, Instant now, Instant again) {
        List<ShopCrew.Post> posts = of.stations().stream()
                .map(p -> down.filter(p.id()::equals).isPresent()
                        ? new ShopCrew.Post(
                                p.id(),
                                p.name(),
                                p.kind(),
                                p.holds(),
                                List.of(new ShopCrew.Down(now, Optional.of(again))))
                        : p)
                .toList();
        List<ShopCrew.Hand> hands = of.hands().stream()
                .map(h -> away.filter(h.id()::equals).isPresent() ? without(h, today) : h)
                .toList();
        return new ShopCrew(of.hours(), posts, hands, of.changes(), of.standing(), of.nights());
    }

    private ShopCrew.Hand without(ShopCrew.Hand hand, LocalDate today) {
        List<DaysOff> off = new ArrayList<>(hand.off());
        off.add(new DaysOff(today, until.isBefore(today) ? today : until, ""));
        return new ShopCrew.Hand(hand.id(), hand.week(), off, hand.skills());
    }

    /** @param again when what is tried is over */
    public List<AtTheBench> castings(List<AtTheBench> of, LocalDate today, Instant again) {
        return of.stream()
                .map(c -> rush.filter(c.tag()::equals).isPresent() ? c.wanted(today, BEFORE_ALL) : c)
                .map(c -> later.filter(c.tag()::equals).isPresent() ? c.withoutPartsUntil(again) : c)
                .toList();
    }
}
