package homalon.app.casting.part;

import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.foundation.settings.ShopSettings;
import homalon.core.visit.PartFile;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Puts a casting together from its rows: itself, its visits, the limits entered for it, and what the shop set. */
@Component
@RequiredArgsConstructor
class PartFiles {
    private final JobRepository jobs;
    private final LimitRepository limits;
    private final ShopSettings settings;
    private final EntityManager entities;
    private final Memory memory;

    /** Changes whenever the part, a visit of it or a limit entered for it does: versions and numbers only go up. */
    private record Stamp(UUID id, int version, long visits, long versions, long limits, long withdrawn, long setting) {}

    private Optional<Stamp> stamp(String tag) {
        // By the session itself: a repository's way round it costs as much again, at every page of a part.
        return entities.createQuery("""
                        select p.id, p.version,
                          (select count(*) from Job j where j.partId = p.id and j.voidedAt is null),
                          (select coalesce(sum(j.version), 0) from Job j where j.partId = p.id),
                          (select count(*) from LimitRow l where l.partId = p.id),
                          (select count(l.withdrawnAt) from LimitRow l where l.partId = p.id),
                          (select coalesce(max(s.seq), 0) from ShopSetting s)
                        from Part p where p.tag = :tag
                        """, Stamp.class).setParameter("tag", tag).getResultList().stream()
                .findFirst();
    }

    /** The casting once for each of its visits, the first visit first. */
    List<PartFile> everyVisit(Part row) {
        // A visit that was handed over is judged by the limits of that day.
        List<LimitRow> entered = limits.findByPartId(row.id);
        ShopSettings.History history = settings.history();
        return jobs.ofPart(row.id).stream()
                .map(j -> PartRows.file(
                        row,
                        List.of(j),
                        entered.stream()
                                .filter(l -> j.releasedAt == null ? l.withdrawnAt == null : l.inForceAt(j.releasedAt))
                                .toList(),
                        history))
                .toList();
    }

    List<PartFile> of(Collection<Part> found) {
        return of(found, settings.history());
    }

    private record Tagged(String tag) implements Question<PartFile> {}

    /**
     * Every page of a part asks for it: one question tells whether it is what it was (ADR 18).
     *
     * @param find asked where it is not
     */
    Optional<PartFile> ofTag(String tag, Supplier<Optional<Part>> find) {
        Tagged of = new Tagged(tag);
        // Read before the part: what is remembered may be newer than its stamp, never older.
        return stamp(tag)
                .flatMap(stamp ->
                        memory.at(of, stamp).or(() -> find.get().map(p -> memory.keep(of, stamp, part(p, stamp)))));
    }

    private PartFile part(Part found, Stamp stamp) {
        return of(List.of(found), settings.history(stamp.setting())).get(0);
    }

    private List<PartFile> of(Collection<Part> found, ShopSettings.History history) {
        List<UUID> ids = found.stream().map(p -> p.id).toList();
        Map<UUID, List<Job>> visits = jobs.ofParts(ids).stream().collect(Collectors.groupingBy(j -> j.partId));
        Map<UUID, List<LimitRow>> entered = limits.ofParts(ids).stream().collect(Collectors.groupingBy(l -> l.partId));
        Function<Part, PartFile> file =
                p -> PartRows.file(p, visits.get(p.id), entered.getOrDefault(p.id, List.of()), history);
        // What was voided has no visit left.
        return found.stream().filter(p -> visits.containsKey(p.id)).map(file).toList();
    }
}
