package homalon.app.foundation.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** The key under which devices write what a person keyed and has not sent yet. */
@Entity
@Immutable
@Table(name = "device_key")
final class DeviceKey {
    @Id
    @Column(name = "person_id")
    UUID person;

    byte[] secret;
}
