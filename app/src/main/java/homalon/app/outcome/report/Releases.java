package homalon.app.outcome.report;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.load.Sha256;
import homalon.app.foundation.web.NotHereException;
import homalon.core.visit.PartFile;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Seals visits as they are handed over: a record in canonical JSON whose SHA-256 holds that of the casting's visit before, and the
 * papers as they were given. Whatever is changed later, this is what was said that day.
 */
@Service
@RequiredArgsConstructor
public class Releases {
    private final ReleaseRepository releases;
    private final ReleaseSaltRepository salts;
    private final SealedPapers papers;
    private final SealedRecord records;
    private final Parts parts;
    private final ShopKey key;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    /**
     * A sealed visit.
     *
     * @param later true when it was sealed by an upgrade, not on the day
     * @param previous digest of the casting's visit before; empty for the first
     */
    public record Release(
            UUID visit,
            int no,
            Instant sealedAt,
            Optional<UUID> sealedBy,
            boolean later,
            String program,
            String digest,
            Optional<String> previous,
            byte[] seal,
            Optional<String> keyId,
            Optional<byte[]> signature) {
        /** In groups of four, so that two people can read it to each other. */
        public String shown() {
            return grouped(digest);
        }
    }

    static String grouped(String digest) {
        return digest.replaceAll("(.{4})(?=.)", "$1 ");
    }

    @Transactional(readOnly = true)
    Optional<Release> of(PartFile part) {
        return releases.findById(part.visit().id()).map(Releases::file);
    }

    /**
     * The sealed visit of that number; 0: the present one, where it was handed over.
     *
     * @throws NotHereException when that visit is not sealed
     */
    @Transactional(readOnly = true)
    Optional<Release> of(PartFile part, int visit) {
        if (visit == 0) {
            return of(part);
        }
        return Optional.of(ofCasting(part).stream()
                .filter(r -> r.no() == visit)
                .findFirst()
                .orElseThrow(() -> new NotHereException(
                        "Visit " + visit + " of " + part.tag() + " is not sealed: it was not handed over.")));
    }

    /** Every sealed visit of a casting, the first visit first. */
    @Transactional(readOnly = true)
    List<Release> ofCasting(PartFile part) {
        return releases.findByPartIdOrderByNo(part.id()).stream()
                .map(Releases::file)
                .toList();
    }

    /**
     * Seals a visit that was handed over, once.
     *
     * @param by whoever handed over; empty for an upgrade
     */
    @Transactional
    public void seal(PartFile part, Optional<UUID> by) {
        if (releases.existsById(part.visit().id())) {
            return;
        }
        byte[] salt = new byte[32];
        random.nextBytes(salt);
        Optional<String> previous =
                releases.findByPartIdAndNo(part.id(), part.visit().no() - 1).map(r -> r.digest);
        Instant now = clock.instant();
        byte[] seal = Canonical.of(records.of(part, by, now, salt, previous).toString());
        String digest = Sha256.of(seal);
        List<ReleasePaperRow> printed = papers.print(part, digest);
        ReleaseRow row = new ReleaseRow();
        row.visit = part.visit().id();
        row.partId = part.id();
        row.no = part.visit().no();
        row.sealedAt = now;
        row.sealedBy = by.orElse(null);
        row.later = by.isEmpty();
        row.program = records.program();
        row.digest = digest;
        row.previous = previous.orElse(null);
        row.seal = seal;
        row.keyId = key.id().orElse(null);
        row.signature = key.sign(signed(digest, SealedPapers.sums(printed))).orElse(null);
        releases.saveAndFlush(row);
        papers.keep(printed);
        salts.saveAndFlush(new ReleaseSaltRow(row.visit, salt));
    }

    /** What a signature stands under: the digest, and the sum of every paper. */
    static byte[] signed(String digest, List<String> sums) {
        return (digest + "\n" + String.join("\n", sums)).getBytes(StandardCharsets.US_ASCII);
    }

    /** A visit that was handed over, by the tag of its casting. */
    record Which(String tag, int no) {}

    /** The visit whose sealed record or one of whose papers has this SHA-256. */
    @Transactional(readOnly = true)
    Optional<Which> withSum(String sum) {
        return releases.withSum(sum).stream()
                .findFirst()
                .flatMap(r -> parts.byId(r.partId).map(p -> new Which(p.tag(), r.no)));
    }

    /** Visits that were handed over before there were seals; castings' visits in their order. */
    @Transactional(readOnly = true)
    List<String> tagsToSeal() {
        Set<UUID> sealed = Set.copyOf(releases.sealed());
        return parts
                .ofVisits(parts.visitsHandedOver().stream()
                        .filter(v -> !sealed.contains(v))
                        .toList())
                .stream()
                .map(PartFile::tag)
                .distinct()
                .sorted()
                .toList();
    }

    @Transactional
    public void sealLater(String tag) {
        parts.everyVisit(parts.byTag(tag)).stream()
                .filter(v -> v.visit().releasedAt().isPresent())
                .forEach(v -> seal(v, Optional.empty()));
    }

    private static Release file(ReleaseRow r) {
        return new Release(
                r.visit,
                r.no,
                r.sealedAt,
                Optional.ofNullable(r.sealedBy),
                r.later,
                r.program,
                r.digest,
                Optional.ofNullable(r.previous),
                r.seal,
                Optional.ofNullable(r.keyId),
                Optional.ofNullable(r.signature));
    }
}
