package homalon.app.check.integrity;

import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.store.EvidenceLog;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.integrity.Crack;
import homalon.core.integrity.CrackRules;
import homalon.core.integrity.Remedy;
import homalon.core.quantity.Length;
import homalon.core.visit.CrackFile;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Cracks marked on castings. Every change is a further line; the last one of a crack stands. */
@Service
@Transactional
@RequiredArgsConstructor
public class Cracks {
    private static final int MOST = 40;

    private final CastingLocks locks;
    private final EvidenceLog log;
    private final Clock clock;

    /** Standing cracks of present visits, by visit, in the order of their numbers. */
    @Transactional(readOnly = true)
    public Map<UUID, List<CrackFile>> ofParts(Collection<PartFile> parts) {
        Map<UUID, PartFile> byVisit =
                parts.stream().collect(Collectors.toMap(p -> p.visit().id(), Function.identity()));
        if (byVisit.isEmpty()) {
            return Map.of();
        }
        Map<UUID, List<CrackRow>> lines = new LinkedHashMap<>();
        log.ofVisits(CrackRow.class, byVisit.keySet())
                .forEach(r ->
                        lines.computeIfAbsent(r.crack(), k -> new ArrayList<>()).add(r));
        Map<UUID, List<CrackFile>> all = new HashMap<>();
        for (List<CrackRow> of : lines.values()) {
            CrackRow last = of.get(of.size() - 1);
            if (!last.gone()) {
                all.computeIfAbsent(last.visit(), k -> new ArrayList<>()).add(file(byVisit.get(last.visit()), of));
            }
        }
        return all;
    }

    @Transactional(readOnly = true)
    public List<CrackFile> of(PartFile part) {
        return ofParts(List.of(part)).getOrDefault(part.visit().id(), List.of());
    }

    /** Marks a crack that was found; the rule's proposal stands until someone chooses otherwise. */
    public UUID mark(PartFile part, UUID id, Crack crack, int bore, Spot from, Spot to, UUID by) {
        // Two people marking at once must not give one number twice.
        if (!locks.first(part, id)) {
            return id;
        }
        part.requireHere("crack", "to look for cracks");
        int no = log.ofVisit(CrackRow.class, part.visit().id()).stream()
                        .mapToInt(CrackRow::no)
                        .max()
                        .orElse(0)
                + 1;
        if (no > MOST) {
            throw new BadInputException("crack", "app.integrity.forty-cracks-on-one-casting-it-is-scrap");
        }
        Remedy proposed = CrackRules.propose(crack).remedy();
        CrackFile file = new CrackFile(
                id, no, crack, bore, from, to, proposed, "", Length.ZERO, by, clock.instant(), clock.instant());
        log.add(new CrackRow(id, part.visit().id(), file, false, by));
        return id;
    }

    /**
     * Chooses what becomes of it.
     *
     * @param why needed when it is not what the rule proposes
     * @param pin diameter; zero for none
     */
    public void decide(PartFile part, UUID id, UUID crack, Remedy remedy, String why, Length pin, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        CrackFile file = one(part, crack);
        String reason = why == null ? "" : why.strip();
        mayBe(file, remedy, reason);
        CrackFile chosen = new CrackFile(
                crack,
                file.no(),
                file.what(),
                file.bore(),
                file.from(),
                file.to(),
                remedy,
                remedy == file.rule().remedy() ? "" : reason,
                pin,
                by,
                clock.instant(),
                clock.instant());
        if (pin.signum() > 0) {
            chosen.stitch();
        }
        log.add(new CrackRow(id, part.visit().id(), chosen, false, by));
    }

    private static void mayBe(CrackFile file, Remedy remedy, String reason) {
        if (!CrackRules.ladder(file.what()).contains(remedy)) {
            throw new BadInputException(
                    "remedy", "app.integrity.that-cannot-be-done-here-choose-another", remedy.words());
        }
        if (remedy != file.rule().remedy() && reason.isEmpty()) {
            throw new BadInputException(
                    "why",
                    "app.integrity.the-rule-says-key-why-you-choose",
                    file.rule().remedy().words());
        }
        if (reason.length() > 300) {
            throw new BadInputException("why", "app.integrity.that-is-too-long-to-keep-at-most-300");
        }
    }

    /** Takes it off the drawing: it was no crack, or marked twice. */
    public void remove(PartFile part, UUID id, UUID crack, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        log.add(new CrackRow(id, part.visit().id(), one(part, crack), true, by));
    }

    private CrackFile one(PartFile part, UUID crack) {
        part.requireHere("crack", "to look for cracks");
        return of(part).stream()
                .filter(c -> c.crack().equals(crack))
                .findFirst()
                .orElseThrow(
                        () -> new BadInputException("crack", "app.integrity.that-crack-was-taken-off-the-drawing"));
    }

    private static CrackFile file(PartFile part, List<CrackRow> lines) {
        CrackRow last = lines.get(lines.size() - 1);
        Instant since = last.at();
        for (int i = lines.size() - 1; i >= 0 && lines.get(i).remedy() == last.remedy(); i--) {
            since = lines.get(i).at();
        }
        return last.file(part, since);
    }
}
