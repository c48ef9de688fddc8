package homalon.app.casting.part;

import homalon.app.foundation.people.Journal;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Bookings that were mistakes. They stay in the store with their reason, out of every list, and free their tag. */
@Service
@Transactional
@RequiredArgsConstructor
class VoidedBookings {
    private final PartRepository parts;
    private final JobRepository jobs;
    private final CastingLocks locks;
    private final List<BookingKeeper> keepers;
    private final Journal journal;
    private final Clock clock;

    /**
     * Voids the present visit; the casting as well when it was never here before.
     *
     * @return whether the casting is still known by its earlier visits
     * @throws BadInputException without a reason, once it left, or when something of the visit cannot be undone
     */
    boolean voids(PartFile part, String why, UUID by) {
        locks.take(List.of(part.id()));
        Job job = jobs.present(part.id());
        if (job.releasedAt != null || !job.id.equals(part.visit().id())) {
            throw new BadInputException("void", "app.part.this-visit-is-over-and-is-not-voided");
        }
        keepers.stream()
                .map(k -> k.keeps(part))
                .flatMap(Optional::stream)
                .findFirst()
                .ifPresent(reason -> {
                    throw new BadInputException("void", "app.part.this-booking-is-not-voided", reason);
                });
        String tidy = PartFields.required(
                "void", why, 500, "Key why the booking was a mistake, such as booked in twice or the wrong customer.");
        Instant now = clock.instant();
        job.voidedAt = now;
        job.voidedWhy = tidy;
        job.releasedAt = now;
        job.releasedBy = by;
        job.stuckOn = null;
        job.stuckWhy = null;
        job.stuckSince = null;
        // Its number is the next visit's.
        job.no = -job.no;
        jobs.flush();
        boolean known = !jobs.ofPart(part.id()).isEmpty();
        if (!known) {
            Part row = parts.findById(part.id()).orElseThrow();
            row.voidedTag = row.tag;
            row.tag = "void " + row.id;
        }
        journal.write(Journal.What.BOOKING_VOIDED, by, part.tag() + ", " + tidy);
        return known;
    }
}
