package homalon.app.foundation.settings;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The logo at the head of the shop's papers, as it stands now and as it stood on a day. */
@Service
@Transactional
@RequiredArgsConstructor
public class ShopLogos {
    private final EntityManager entities;
    private final Clock clock;

    /** As the address of a picture that carries itself, for a page as for paper; empty where there was none then. */
    @Transactional(readOnly = true)
    public Optional<String> at(Instant then) {
        return entities
                .createQuery("from ShopLogo where at <= :then order by seq desc", ShopLogo.class)
                .setParameter("then", then)
                .setMaxResults(1)
                .getResultList()
                .stream()
                .findFirst()
                .flatMap(l -> Optional.ofNullable(l.jpeg))
                .map(jpeg -> "data:image/jpeg;base64," + Base64.getEncoder().encodeToString(jpeg));
    }

    @Transactional(readOnly = true)
    public Optional<String> now() {
        return at(clock.instant());
    }

    /** @param jpeg empty for none from now on */
    public void use(Optional<byte[]> jpeg, UUID by) {
        entities.persist(new ShopLogo(jpeg.orElse(null), by, clock.instant()));
    }
}
