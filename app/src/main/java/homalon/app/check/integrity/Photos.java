package homalon.app.check.integrity;

import homalon.app.casting.part.CastingLocks;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.load.Picture;
import homalon.app.foundation.store.EvidenceLog;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Photos of castings, kept in the database. */
@Service
@Transactional
@RequiredArgsConstructor
public class Photos {
    private static final int MOST = 40;

    private final CastingLocks locks;
    private final Parts parts;
    private final EvidenceLog log;
    private final EntityManager entities;

    /** A photo without its picture. */
    public record Photo(UUID id, String note, int width, int height, UUID by, Instant at) {}

    @Transactional(readOnly = true)
    public List<Photo> of(PartFile part) {
        return entities.createQuery(
                        "select id, note, width, height, by, at from PhotoRow where visit = :visit order by seq",
                        Photo.class)
                .setParameter("visit", part.visit().id())
                .getResultList();
    }

    @Transactional(readOnly = true)
    public List<Photo> ofEveryVisit(PartFile part) {
        return parts.everyVisit(part).stream().flatMap(v -> of(v).stream()).toList();
    }

    /** Of any visit of the casting. */
    @Transactional(readOnly = true)
    public Optional<byte[]> jpeg(PartFile part, UUID id) {
        return entities
                .createQuery("select jpeg from PhotoRow where id = :id and visit in (:visits)", byte[].class)
                .setParameter("id", id)
                .setParameter(
                        "visits",
                        parts.everyVisit(part).stream().map(v -> v.visit().id()).toList())
                .getResultList()
                .stream()
                .findFirst();
    }

    void add(PartFile part, UUID id, Picture picture, String note, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        part.requireHere("photo", "to add photos");
        if (of(part).size() >= MOST) {
            throw new BadInputException("photo", "app.integrity.forty-photos-of-one-visit-are-enough");
        }
        String tidy = note == null ? "" : note.strip();
        log.add(new PhotoRow(id, part.visit().id(), picture, tidy.length() > 120 ? tidy.substring(0, 120) : tidy, by));
    }
}
