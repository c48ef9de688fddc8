package homalon.app.casting.customer;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** What a customer was called before. */
@Entity
@Table(name = "customer_name")
final class CustomerNameRow {
    @Id
    UUID id;

    @Column(name = "customer_id")
    UUID customerId;

    String name;

    @Column(name = "by_person")
    UUID by;

    Instant at;

    CustomerNameRow() {}

    CustomerNameRow(UUID customer, String name, UUID by, Instant at) {
        this.id = UUID.randomUUID();
        this.customerId = customer;
        this.name = name;
        this.by = by;
        this.at = at;
    }
}
