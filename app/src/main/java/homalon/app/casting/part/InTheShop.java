package homalon.app.casting.part;

import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Castings that are in the shop, some at a time: a shop may hold thousands, and no answer may need more statements or more time
 * because of those that it does not show.
 */
@Service
@Transactional(readOnly = true)
@RequiredArgsConstructor
public class InTheShop {
    private final JobRepository jobs;
    private final PartRepository rows;
    private final Parts parts;

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

    /**
     * What stands on the bench.
     *
     * @param free the first that somebody can go on with
     * @param stuck the first of those that wait, by what they wait for
     * @param gone the last that were handed over and did not come back
     */
    public record Bench(Count count, List<PartFile> free, Map<StuckOn, List<PartFile>> stuck, List<PartFile> gone) {}

    /**
     * Read together, so that it takes as many statements whatever waits.
     *
     * @param after the visit after which the free ones come; empty from the start on
     * @param free most of them; each of the others likewise
     */
    public Bench bench(LocalDate today, Optional<UUID> after, int free, int stuck, int gone) {
        List<UUID> first = after.map(a -> jobs.freeAfter(a, free)).orElseGet(() -> jobs.free(free));
        List<UUID> waiting = jobs.stuckOfEach(
                Arrays.stream(StuckOn.values()).map(StuckOn::name).collect(Collectors.joining(",")), stuck);
        List<UUID> left = jobs.handedOver(Limit.of(2 * gone));
        Map<UUID, PartFile> all =
                parts
                        .byIds(Stream.of(first, waiting, left)
                                .flatMap(List::stream)
                                .distinct()
                                .toList())
                        .stream()
                        .collect(Collectors.toMap(PartFile::id, Function.identity()));
        Map<StuckOn, List<PartFile>> held = new EnumMap<>(StuckOn.class);
        for (UUID id : waiting) {
            PartFile part = all.get(id);
            part.visit()
                    .stuck()
                    .ifPresent(s -> held.computeIfAbsent(s.on(), on -> new ArrayList<>())
                            .add(part));
        }
        return new Bench(
                count(today),
                first.stream().map(all::get).toList(),
                held,
                left.stream()
                        .distinct()
                        .map(all::get)
                        .filter(p -> p.visit().releasedAt().isPresent())
                        .limit(gone)
                        .toList());
    }

    private Count count(LocalDate today) {
        Map<StuckOn, Long> stuck = new EnumMap<>(StuckOn.class);
        long free = 0;
        long late = 0;
        for (JobRepository.Here here : jobs.count(today)) {
            if (here.on() == null) {
                free = here.many();
                late = here.late();
            } else {
                stuck.put(here.on(), here.many());
            }
        }
        return new Count(free, late, stuck);
    }

    /**
     * What somebody can go on with: the earliest due first, then the one that came first.
     *
     * @param visit after which these come
     */
    public List<PartFile> after(UUID visit, int most) {
        return parts.byIds(jobs.freeAfter(visit, most));
    }

    /** Those that are here, whether somebody can go on with them or not, the earliest due first. */
    public List<PartFile> firstDue(int most) {
        return parts.byIds(jobs.firstDue(Limit.of(most)));
    }

    /** All that are here. */
    public long many() {
        return jobs.countByReleasedAtIsNullAndVoidedAtIsNull();
    }

    /** Tags of a customer's castings, the first that came first. */
    public List<String> of(UUID customer) {
        return rows.inTheShopOf(customer);
    }

    /** How many wait for the same. */
    public long manyStuck(StuckOn on) {
        return jobs.countByStuckOnAndReleasedAtIsNullAndVoidedAtIsNull(on);
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
