package homalon.app.casting.part;

import homalon.app.foundation.store.EvidenceLog;
import homalon.core.visit.StuckOn;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lines about what was changed on a visit that can turn a verdict: who, when and what. Added to only. */
@Service
@Transactional
@RequiredArgsConstructor
public class Changes {
    private static final int MOST = 400;
    /** Between whom it waits for and why. */
    private static final String STUCK = ": ";

    private final EvidenceLog log;

    public void write(UUID visit, ChangeLine.What what, String detail, UUID by) {
        log.add(new ChangeLine(visit, what, detail.length() > MOST ? detail.substring(0, MOST) : detail, by));
    }

    /**
     * Somebody said whom or what a visit waits for.
     *
     * @param on empty: it goes on
     */
    public record Stuck(UUID visit, Optional<StuckOn> on, Instant at) {}

    void writeStuck(UUID visit, Optional<StuckOn> on, String why, UUID by) {
        String said =
                on.map(o -> o.name().toLowerCase(Locale.ROOT) + STUCK + why).orElse("goes on");
        write(visit, ChangeLine.What.STUCK, said, by);
    }

    /** By visit, in the order in which it was said. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Stuck>> stuck(Collection<UUID> visits) {
        return log.ofVisits(ChangeLine.class, visits).stream()
                .filter(l -> l.what() == ChangeLine.What.STUCK)
                .map(l -> new Stuck(l.visit(), on(l.detail()), l.at()))
                .collect(Collectors.groupingBy(Stuck::visit));
    }

    private static Optional<StuckOn> on(String detail) {
        return Arrays.stream(StuckOn.values())
                .filter(o -> detail.startsWith(o.name().toLowerCase(Locale.ROOT) + STUCK))
                .findFirst();
    }

    /** Of one visit, the oldest first. */
    @Transactional(readOnly = true)
    public List<ChangeLine> of(UUID visit) {
        return log.ofVisit(ChangeLine.class, visit);
    }
}
