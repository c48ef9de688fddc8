package homalon.app.part;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Castings that are in the shop, some at a time: a shop may hold thousands, and no answer may need more statements or more time
 * because of those that it does not show.
 */
@Service
@Transactional(readOnly = true)
public class InTheShop {
    private final JobRepository jobs;
    private final PartRepository rows;
    private final Parts parts;

    InTheShop(JobRepository jobs, PartRepository rows, Parts parts) {
        this.jobs = jobs;
        this.rows = rows;
        this.parts = parts;
    }

    /**
     * How many there are.
     *
     * @param free somebody can go on with
     * @param late of those, due before today
     * @param stuck waiting, by what they wait for
     */
    public record Count(long free, long late, Map<StuckOn, Long> stuck) {
        public long waiting() {
            return stuck.values().stream().mapToLong(Long::longValue).sum();
        }
    }

    public Count count(LocalDate today) {
        Map<StuckOn, Long> stuck = new EnumMap<>(StuckOn.class);
        jobs.countStuck().forEach(s -> stuck.put(s.on(), s.many()));
        JobRepository.Free free = jobs.countFree(today);
        return new Count(free.many(), free.late(), stuck);
    }

    /**
     * What somebody can go on with: the earliest due first, then the one that came first.
     *
     * @param after the visit after which these come; empty from the start on
     */
    public List<PartFile> free(Optional<UUID> after, int most) {
        return parts.byIds(after.map(a -> jobs.freeAfter(a, most)).orElseGet(() -> jobs.free(most)));
    }

    /** Tags of a customer's castings, the first that came first. */
    public List<String> of(String customer) {
        return rows.inTheShopOf(customer);
    }

    /** What waits for the same, the longest wait first. */
    public List<PartFile> stuck(StuckOn on, int from, int most) {
        return parts.byIds(jobs.stuck(on.name(), from, most));
    }

    /**
     * The other kind, with as many bores at the same spacing; those of the same customer first.
     *
     * @param words that stand in its tag, engine, customer or casting number
     */
    public List<PartFile> mayMate(PartFile part, String words, int most) {
        long spacing = part.numbers().spacing().nanometres();
        return parts.byIds(rows.mayMate(
                part.kind().name(),
                part.numbers().cylinders(),
                Math.round(spacing * 0.97),
                Math.round(spacing * 1.03),
                Parts.like(words),
                part.customer(),
                most));
    }

    /** Others of the same kind and customer: the other bank of a V is one of them. */
    public List<PartFile> besides(PartFile part, int most) {
        return parts.byIds(rows.besides(part.kind(), part.customer(), part.id(), Limit.of(most)));
    }
}
