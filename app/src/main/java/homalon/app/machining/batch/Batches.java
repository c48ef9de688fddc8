package homalon.app.machining.batch;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.web.NotHereException;
import homalon.app.machining.cut.CutTogether;
import homalon.core.visit.PartFile;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Castings that lie on one table and are cut together. */
@Service
@Transactional
@RequiredArgsConstructor
public class Batches implements CutTogether {
    private final Parts parts;
    private final BatchRepository batches;

    /** One id for each ledger, so that the same sent twice is written once. */
    static UUID derived(UUID id, PartFile part) {
        return UUID.nameUUIDFromBytes((id + ":" + part.visit().id()).getBytes(StandardCharsets.UTF_8));
    }

    /** The castings of a batch in the order they were put together. */
    @Transactional(readOnly = true)
    List<PartFile> members(UUID batch) {
        List<PartFile> members = parts.ofVisits(batches.visits(batch));
        if (members.isEmpty()) {
            throw new NotHereException("There is no such batch: go back to the bench.");
        }
        return members;
    }

    /** Tags of the castings of a batch. */
    @Transactional(readOnly = true)
    List<String> tags(UUID batch) {
        return members(batch).stream().map(PartFile::tag).toList();
    }

    /** The batch that a casting's present visit is cut in. */
    @Override
    @Transactional(readOnly = true)
    public Optional<UUID> ofPart(PartFile part) {
        return batches.ofVisit(part.visit().id());
    }
}
