package homalon.app.outcome.report;

import homalon.app.casting.part.PartVisits;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.WriteTransaction;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** The hand-over of a casting: its visit ended, its report sealed and what was left open written down, all or nothing. */
@Component
@RequiredArgsConstructor
class HandOver {
    private final Parts parts;
    private final PartVisits visits;
    private final Releases releases;
    private final Journal journal;
    private final WriteTransaction writing;

    /**
     * Hands a casting over.
     *
     * @param part the casting as it stood when it was asked
     * @param open what is not done, in words; empty when all is
     * @param note why it goes all the same; asked for when something is open
     * @param by who hands it over
     * @throws homalon.core.input.BadInputException when something is open and no note says why
     */
    void of(PartFile part, List<String> open, String note, UUID by) {
        writing.of(() -> {
            visits.handOver(part.id(), open, note, by);
            // Read anew: it has been handed over since.
            releases.seal(parts.byTag(part.tag()), Optional.of(by));
            if (part.visit().releasedAt().isEmpty() && !open.isEmpty()) {
                journal.write(
                        Journal.What.LEFT_UNFINISHED,
                        by,
                        part.tag() + ", " + String.join(", ", open) + ": " + note.strip());
            }
            return true;
        });
    }
}
