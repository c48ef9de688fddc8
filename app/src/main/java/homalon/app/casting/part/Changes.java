package homalon.app.casting.part;

import homalon.app.foundation.store.EvidenceLog;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lines about what was changed on a visit that can turn a verdict: who, when and what. Added to only. */
@Service
@Transactional
@RequiredArgsConstructor
public class Changes {
    private static final int MOST = 400;

    private final EvidenceLog log;

    public void write(UUID visit, ChangeLine.What what, String detail, UUID by) {
        log.add(new ChangeLine(visit, what, detail.length() > MOST ? detail.substring(0, MOST) : detail, by));
    }

    /** Of one visit, the oldest first. */
    @Transactional(readOnly = true)
    public List<ChangeLine> of(UUID visit) {
        return log.ofVisit(ChangeLine.class, visit);
    }
}
