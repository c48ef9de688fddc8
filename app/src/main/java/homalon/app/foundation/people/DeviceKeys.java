package homalon.app.foundation.people;

import jakarta.persistence.EntityManager;
import java.security.SecureRandom;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keys of persons for their devices, made when they are first asked for. */
@Service
@Transactional
@RequiredArgsConstructor
public class DeviceKeys {
    private static final int BYTES = 32;

    private final EntityManager entities;
    private final SecureRandom random = new SecureRandom();

    /** The same one every time; two devices that ask first at once get the same. */
    public byte[] of(UUID person) {
        byte[] fresh = new byte[BYTES];
        random.nextBytes(fresh);
        entities.createNativeQuery(
                        "insert into device_key (person_id, secret) values (:person, :secret) on conflict (person_id) do nothing")
                .setParameter("person", person)
                .setParameter("secret", fresh)
                .executeUpdate();
        return entities.find(DeviceKey.class, person).secret;
    }
}
