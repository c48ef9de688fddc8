package homalon.app.machining.batch;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.words.Words;
import homalon.app.machining.cut.Plans;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which castings could go on a table together, and why others could not. */
@Component
@Transactional(readOnly = true)
@RequiredArgsConstructor
class BatchCandidates {
    /** More castings than this lie on no table. */
    private static final int MOST_MARKED = 40;

    private final Parts parts;
    private final Plans plans;
    private final Ledgers ledgers;
    private final BatchRepository batches;

    /**
     * A casting that could go on the table, or why it could not.
     *
     * @param plan that stands
     * @param not why it cannot; empty when it can
     */
    record Candidate(PartFile part, Optional<PlanFile> plan, String not) {}

    /** Some castings in the shop with a plan; whether there are more. */
    record Candidates(List<Candidate> some, boolean more) {}

    /** Which could go on the table with the first: on the first page that one itself and those marked already lead. */
    Candidates of(PartFile first, List<String> marked, String words, int page, int size) {
        List<UUID> found = plans.plannedBeside(first, words, page * size, size + 1);
        List<PartFile> all = new ArrayList<>();
        if (page == 0) {
            all.add(first);
            marked.stream()
                    .distinct()
                    .limit(MOST_MARKED)
                    .flatMap(t -> parts.find(t).stream())
                    .filter(p -> !p.id().equals(first.id()))
                    .forEach(all::add);
        }
        parts.byIds(found.subList(0, Math.min(size, found.size()))).stream()
                .filter(p -> !marked.contains(p.tag()))
                .forEach(all::add);
        return new Candidates(judged(first, all), found.size() > size);
    }

    List<Candidate> judged(PartFile first, List<PartFile> asked) {
        List<UUID> visits = asked.stream().map(p -> p.visit().id()).toList();
        Map<UUID, PlanFile> planned = plans.ofVisits(visits);
        Map<UUID, LedgerFile> books =
                ledgers.ofParts(asked.stream().map(PartFile::id).toList());
        Set<UUID> taken = inBatches(visits);
        List<Candidate> all = new ArrayList<>();
        for (PartFile part : asked) {
            UUID visit = part.visit().id();
            Optional<PlanFile> plan = Optional.ofNullable(planned.get(visit));
            boolean cut = !books.get(part.id()).passes(visit).isEmpty();
            all.add(new Candidate(part, plan, not(first, part, plan.isPresent(), cut, taken.contains(visit))));
        }
        return all;
    }

    private static String not(PartFile first, PartFile part, boolean planned, boolean cut, boolean taken) {
        if (!planned) {
            return "it has no plan yet";
        }
        if (part.material() != first.material()) {
            return Words.of(part.material().words()) + ": another cutter";
        }
        if (cut) {
            return "it is being cut already";
        }
        return taken ? "it is in another batch" : "";
    }

    private Set<UUID> inBatches(Collection<UUID> visits) {
        return Set.copyOf(batches.taken(visits));
    }
}
