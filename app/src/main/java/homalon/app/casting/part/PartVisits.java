package homalon.app.casting.part;

import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.InkedLine;
import homalon.core.part.SealingBands;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.LongStream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A casting's visits: what it waits for, where its gasket seals, its leaving and its coming back. */
@Service
@Transactional
@RequiredArgsConstructor
public class PartVisits {
    private final Parts parts;
    private final JobRepository jobs;
    private final Changes changes;
    private final CastingLocks locks;
    private final Clock clock;
    private final EntityManager entities;

    /** Something that is read with the visit was written beside it: whoever remembers the visit reads it anew. */
    public void writtenBeside(UUID visit) {
        // By the session: a query with a lock leaves the version of a row that is loaded already.
        entities.find(Job.class, visit, LockModeType.OPTIMISTIC_FORCE_INCREMENT);
    }

    /** Says what the part waits for; empty: it waits for nothing. */
    public void stick(UUID partId, Optional<StuckOn> on, String why, UUID by) {
        Job job = jobs.present(partId);
        if (job.releasedAt != null) {
            throw new BadInputException("why", "app.part.this-part-was-handed-over-book-it-in");
        }
        String tidy = why == null ? "" : why.strip();
        if (on.isPresent() && (tidy.isEmpty() || tidy.length() > 200)) {
            throw new BadInputException("why", "app.part.say-in-a-few-words-what-it-waits-for");
        }
        job.stuckOn = on.orElse(null);
        job.stuckWhy = on.isPresent() ? tidy : null;
        job.stuckSince = on.isPresent() ? LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault()) : null;
        changes.writeStuck(job.id, on, tidy, by);
    }

    /**
     * The part leaves the shop.
     *
     * @param open steps that are not done
     * @param note why it leaves all the same; needed when a step is open
     */
    public void handOver(UUID partId, List<String> open, String note, UUID by) {
        locks.take(List.of(partId));
        Job job = jobs.present(partId);
        if (job.releasedAt != null) {
            return;
        }
        String why = PartFields.limited("note", note, 500);
        if (!open.isEmpty() && why.isEmpty()) {
            throw new BadInputException(
                    "note", "app.part.not-done-yet-finish-it-or-key-why-the", String.join(", ", open));
        }
        job.releasedAt = clock.instant();
        job.releasedBy = by;
        job.releasedNote = why;
        job.stuckOn = null;
        job.stuckWhy = null;
        job.stuckSince = null;
    }

    /**
     * A visit of former years is over: nothing of it was measured here.
     *
     * @param left not before it came
     * @param note where it is known from
     */
    public void leftBefore(UUID partId, Instant left, String note, UUID by) {
        Job job = jobs.present(partId);
        job.releasedAt = left;
        job.releasedBy = by;
        job.releasedNote = PartFields.limited("note", note, 500);
    }

    /** The same casting is back: a new visit with its life behind it. */
    public PartFile comeBack(String tag, String history, String wishes, UUID by) {
        PartFile file = parts.byTag(tag);
        if (file.visit().releasedAt().isEmpty()) {
            throw new BadInputException("tag", "app.part.is-in-the-shop-already-open-it-instead", file.tag());
        }
        Job job = new Job(file.id(), file.visit().no() + 1, by, clock.instant());
        job.history = PartFields.limited("history", history, 2000);
        // It carries what it carried; what happened to it since is asked anew.
        file.visit().came().ifPresent(c -> {
            job.happened = "";
            job.shafts = c.shaftsKept();
        });
        job.wishes = PartFields.limited("wishes", wishes, 2000);
        jobs.save(job);
        return parts.byTag(tag);
    }

    /** Where the gasket in hand seals, for this visit; it turns what counts as clean, so that it is told who said it. */
    public void seal(PartFile part, SealingBands bands, UUID by) {
        part.requireHere("ring", "to say where its gasket seals");
        if (bands.inked().stream().flatMap(l -> l.points().stream()).anyMatch(s -> !onFace(part, s))) {
            throw new BadInputException("ink", "app.part.inked-line-a-corner-lies-beyond-the");
        }
        Job job = jobs.findById(part.visit().id()).orElseThrow();
        job.sealRing = bands.ring().nanometres();
        job.sealBead = bands.bead().nanometres();
        job.sealOpening = bands.opening().map(Length::nanometres).orElse(null);
        job.sealInk = bands.inked().map(PartVisits::nanometres).orElse(null);
        jobs.saveAndFlush(job);
        LengthWriter writer = new LengthWriter(BenchUnit.MM);
        changes.write(
                part.visit().id(),
                ChangeLine.What.SEALING,
                writer.size(bands.ring()) + " around a bore, " + writer.size(bands.bead()) + " around a hole"
                        + bands.opening()
                                .map(o -> ", from an opening of " + writer.size(o))
                                .orElse("")
                        + bands.inked()
                                .map(l -> ", within a line inked along " + l.written(BenchUnit.MM) + " mm")
                                .orElse(""),
                by);
    }

    private static boolean onFace(PartFile part, Spot spot) {
        return spot.x() >= 0
                && spot.y() >= 0
                && spot.x() <= part.numbers().length().mm()
                && spot.y() <= part.numbers().width().mm();
    }

    private static long[] nanometres(InkedLine line) {
        return line.points().stream()
                .flatMapToLong(s -> LongStream.of(
                        Length.roundedFromMm(s.x()).nanometres(),
                        Length.roundedFromMm(s.y()).nanometres()))
                .toArray();
    }
}
