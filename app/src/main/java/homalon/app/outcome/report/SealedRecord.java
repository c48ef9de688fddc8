package homalon.app.outcome.report;

import homalon.app.foundation.load.Sha256;
import homalon.app.foundation.people.People;
import homalon.core.visit.PartFile;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a seal is made over: the casting, the visit's record and every line that was measured or written on it. */
@Component
class SealedRecord {
    static final String FORMAT = "homalon-seal/1";
    private static final JsonMapper JSON = JsonMapper.shared();

    private final ReleaseRepository releases;
    private final RecordJson records;
    private final People people;
    private final String program;

    SealedRecord(ReleaseRepository releases, RecordJson records, People people, Optional<BuildProperties> build) {
        this.releases = releases;
        this.records = records;
        this.people = people;
        this.program = build.map(BuildProperties::getVersion).orElse("unknown");
    }

    String program() {
        return program;
    }

    /** Before it is made canonical. */
    ObjectNode of(PartFile part, Optional<UUID> by, Instant at, byte[] salt, Optional<String> previous) {
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
}
