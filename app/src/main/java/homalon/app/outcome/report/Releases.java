package homalon.app.outcome.report;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.people.People;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Seals visits as they are handed over: a record in canonical JSON whose SHA-256 holds that of the casting's visit before, and the
 * papers as they were given. Whatever is changed later, this is what was said that day.
 */
@Service
public class Releases {
    static final String FORMAT = "homalon-seal/1";
    private static final JsonMapper JSON = JsonMapper.shared();

    private final ReleaseRepository releases;
    private final ReleasePaperRepository papers;
    private final ReleaseSaltRepository salts;
    private final ReleaseErasedRepository erased;
    private final Parts parts;
    private final Reports reports;
    private final ReportPdf pdf;
    private final RecordJson records;
    private final ShopKey key;
    private final People people;
    private final ITemplateEngine templates;
    private final Clock clock;
    private final String program;
    private final SecureRandom random = new SecureRandom();

    Releases(
            ReleaseRepository releases,
            ReleasePaperRepository papers,
            ReleaseSaltRepository salts,
            ReleaseErasedRepository erased,
            Parts parts,
            Reports reports,
            ReportPdf pdf,
            RecordJson records,
            ShopKey key,
            People people,
            ITemplateEngine templates,
            Clock clock,
            Optional<BuildProperties> build) {
        this.releases = releases;
        this.papers = papers;
        this.salts = salts;
        this.erased = erased;
        this.parts = parts;
        this.reports = reports;
        this.pdf = pdf;
        this.records = records;
        this.key = key;
        this.people = people;
        this.templates = templates;
        this.clock = clock;
        this.program = build.map(BuildProperties::getVersion).orElse("unknown");
    }

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

    /** Every sealed visit of a casting, the first visit first. */
    @Transactional(readOnly = true)
    List<Release> ofCasting(PartFile part) {
        return releases.findByPartIdOrderByNo(part.id()).stream()
                .map(Releases::file)
                .toList();
    }

    @Transactional(readOnly = true)
    Optional<byte[]> paper(UUID visit, String kind, BenchUnit unit) {
        return papers.findById(new ReleasePaperRow.Key(visit, name(kind, unit))).map(p -> p.content);
    }

    /** When the customer's name went from the papers of a visit. */
    @Transactional(readOnly = true)
    Optional<Instant> erasedAt(UUID visit) {
        return erased.findById(visit).map(e -> e.at);
    }

    private static String name(String kind, BenchUnit unit) {
        return kind + "-" + unit.name().toLowerCase(Locale.ROOT);
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
        byte[] seal = Canonical.of(document(part, by, now, salt, previous).toString());
        String digest = Sha256.of(seal);
        List<ReleasePaperRow> printed = List.of(
                page(part, BenchUnit.MM, digest),
                page(part, BenchUnit.THOU, digest),
                print(part, BenchUnit.MM, digest),
                print(part, BenchUnit.THOU, digest));
        ReleaseRow row = new ReleaseRow();
        row.visit = part.visit().id();
        row.partId = part.id();
        row.no = part.visit().no();
        row.sealedAt = now;
        row.sealedBy = by.orElse(null);
        row.later = by.isEmpty();
        row.program = program;
        row.digest = digest;
        row.previous = previous.orElse(null);
        row.seal = seal;
        row.keyId = key.id().orElse(null);
        row.signature = key.sign(signed(digest, sums(printed))).orElse(null);
        releases.saveAndFlush(row);
        papers.saveAllAndFlush(printed);
        salts.saveAndFlush(new ReleaseSaltRow(row.visit, salt));
    }

    /** What a signature stands under: the digest, and the sum of every paper. */
    static byte[] signed(String digest, List<String> sums) {
        return (digest + "\n" + String.join("\n", sums)).getBytes(StandardCharsets.US_ASCII);
    }

    private static List<String> sums(List<ReleasePaperRow> printed) {
        return printed.stream()
                .map(p -> p.name + " " + Sha256.of(p.content))
                .sorted()
                .toList();
    }

    @Transactional(readOnly = true)
    List<String> sums(UUID visit) {
        Optional<ReleaseErasedRow> gone = erased.findById(visit);
        if (gone.isPresent()) {
            return gone.get().sums.lines().sorted().toList();
        }
        return papers.sums(visit).stream().sorted().toList();
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

    private ReleasePaperRow page(PartFile part, BenchUnit unit, String digest) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("r", reports.of(part, new LengthWriter(unit)).sealed(grouped(digest)));
        return new ReleasePaperRow(
                part.visit().id(),
                name("page", unit),
                templates.process("report/sealed", context).getBytes(StandardCharsets.UTF_8));
    }

    private ReleasePaperRow print(PartFile part, BenchUnit unit, String digest) {
        return new ReleasePaperRow(
                part.visit().id(),
                name("pdf", unit),
                pdf.print(reports.of(part, new LengthWriter(unit)).sealed(grouped(digest))));
    }

    private ObjectNode document(PartFile part, Optional<UUID> by, Instant at, byte[] salt, Optional<String> previous) {
        ObjectNode doc = JSON.createObjectNode();
        doc.put("format", FORMAT);
        doc.put("program", program);
        doc.put("tag", part.tag());
        doc.put("visit", part.visit().no());
        doc.put("visitId", part.visit().id().toString());
        doc.put("sealedAt", at.toString());
        by.ifPresentOrElse(b -> doc.put("sealedBy", people.nameOf(b)), () -> doc.put("sealedLater", true));
        // A person who is erased takes the salt along: the digest stays, and says nothing any more.
        doc.put("customer", "sha256:" + Sha256.of(salt, part.customer().getBytes(StandardCharsets.UTF_8)));
        previous.ifPresent(p -> doc.put("previous", p));
        ObjectNode casting = records.castingOf(part);
        casting.remove("customer");
        doc.set("casting", casting);
        doc.set("record", records.visitOf(part));
        ArrayNode evidence = doc.putArray("evidence");
        evidence(part.visit().id()).forEach(e -> {
            ObjectNode line = evidence.addObject();
            line.put("kind", e.kind);
            line.put("seq", e.seq);
            line.set("line", JSON.readTree(e.json));
        });
        return doc;
    }

    @Transactional(readOnly = true)
    List<VisitEvidence> evidence(UUID visit) {
        return releases.evidence(visit);
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
